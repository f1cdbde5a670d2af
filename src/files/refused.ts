/** Text from the file in a message: shortened, and without characters that hide or reverse text. */
const MOST_CHARS = 400;
const HIDDEN = /[\p{Cc}\p{Cs}\u200E\u200F\u202A-\u202E\u2066-\u2069]/gu;

/** A file that is not taken, with the reason in words for the builder. */
export class FileRefused extends Error {
  constructor(message: string) {
    const plain = message.replace(HIDDEN, '·');
    super(plain.length > MOST_CHARS ? `${plain.slice(0, MOST_CHARS)} …` : plain);
    this.name = 'FileRefused';
  }
}

/** A larger backup is not read at all. */
export const MAX_BACKUP_BYTES = 250_000_000;
