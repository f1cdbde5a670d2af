import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import canonicalize from 'canonicalize';

/**
 * SHA-256 of plain data in canonical JSON (RFC 8785), in hex: independent of key order and of the program that wrote it.
 * @throws {TypeError} for what JSON can't hold
 */
export function digestOf(content: object): string {
  const text = canonicalize(content);
  if (text === undefined) throw new TypeError('the content can’t be written as JSON');
  return bytesToHex(sha256(utf8ToBytes(text)));
}
