import fc from 'fast-check';

/* Content of damaged or malicious files, for tests of readers. */

/** Texts that reach for something: scripts, formulas, other directions, other lengths. */
export const HOSTILE_TEXTS = [
  '<script>alert(1)</script>',
  '"><img src=x onerror=alert(1)>',
  '=HYPERLINK("http://elsewhere.example","x")',
  "@SUM(1+1)*cmd|' /C calc'!A0",
  '\u202Egnp.exe\u202C',
  '\u2067\u061C\u200F',
  '\u0000\u0007\u001B[2J',
  '\uD800',
  '👨‍🔧🏍️',
  'a\r\nBEGIN:VEVENT\r\nSUMMARY:x',
  'x'.repeat(100_000),
  '',
] as const;

const hostileValue: fc.Arbitrary<unknown> = fc.oneof(
  fc.constantFrom<unknown>(
    ...HOSTILE_TEXTS,
    null,
    true,
    -1,
    1e308,
    -0,
    1e-320,
    9007199254740993,
    [],
    {},
    [[[[[[[[[[[[[[[[[[[[[[[[]]]]]]]]]]]]]]]]]]]]]]]],
    { value: '1' },
    { value: 1e999 },
    Array.from({ length: 5000 }, () => 0),
  ),
  fc.string(),
  fc.double(),
);

const HOSTILE_KEYS = ['__proto__', 'constructor', 'prototype', 'toString', 'length', '', '\u202E'];

type Step = readonly [where: number, how: number, key: number, value: unknown];

/** A document with a few of its parts replaced, taken out, doubled, or given a name that reaches for something. */
export function spoiltJson(document: unknown): fc.Arbitrary<string> {
  return fc
    .array(fc.tuple(fc.nat(), fc.nat(5), fc.nat(HOSTILE_KEYS.length - 1), hostileValue), {
      minLength: 1,
      maxLength: 3,
    })
    .map((steps) => JSON.stringify(steps.reduce<unknown>(spoil, structuredClone(document))));
}

function spoil(document: unknown, [where, how, keyAt, given]: Step): unknown {
  // The same value may be drawn twice, and must not end up within itself.
  const value = structuredClone(given);
  const places: { readonly in: Record<string, unknown>; readonly key: string }[] = [];
  const walk = (node: unknown) => {
    if (typeof node !== 'object' || node === null) return;
    for (const key of Object.keys(node)) {
      places.push({ in: node as Record<string, unknown>, key });
      walk((node as Record<string, unknown>)[key]);
    }
  };
  walk(document);
  const place = places[where % Math.max(1, places.length)];
  if (!place) return value;
  const { in: parent, key } = place;
  const hostileKey = HOSTILE_KEYS[keyAt] ?? '';
  if (how === 0 && !Array.isArray(parent)) Reflect.deleteProperty(parent, key);
  else if (how === 1 && Array.isArray(parent)) parent.push(parent[Number(key)]);
  else if (how === 2) name(parent, hostileKey, value);
  else if (how === 3) name(parent[key], hostileKey, { polluted: true });
  else parent[key] = value;
  return document;
}

/** Gives an object a name of its own, also one that an assignment would take for another. */
function name(object: unknown, key: string, value: unknown): void {
  if (typeof object !== 'object' || object === null || Array.isArray(object)) return;
  Object.defineProperty(object, key, {
    value,
    enumerable: true,
    configurable: true,
    writable: true,
  });
}

/** A text with pieces cut, doubled or inserted. */
export function spoiltText(text: string): fc.Arbitrary<string> {
  return fc
    .array(
      fc.tuple(
        fc.nat(Math.max(0, text.length - 1)),
        fc.nat(60),
        fc.oneof(fc.string({ maxLength: 8 }), fc.constantFrom(...HOSTILE_TEXTS)),
      ),
      { minLength: 1, maxLength: 4 },
    )
    .map((cuts) =>
      cuts.reduce((t, [at, cut, insert]) => t.slice(0, at) + insert + t.slice(at + cut), text),
    );
}

/** Bytes of which some are others, cut off or lengthened. */
export function spoiltBytes(bytes: Uint8Array): fc.Arbitrary<Uint8Array> {
  return fc
    .record({
      flips: fc.array(fc.tuple(fc.nat(bytes.length - 1), fc.nat(255)), { maxLength: 8 }),
      end: fc.oneof(fc.constant(bytes.length), fc.nat(bytes.length)),
      more: fc.uint8Array({ maxLength: 12 }),
    })
    .map(({ flips, end, more }) => {
      const spoilt = new Uint8Array(end + more.length);
      spoilt.set(bytes.subarray(0, end));
      spoilt.set(more, end);
      for (const [at, value] of flips) if (at < end) spoilt[at] = value;
      return spoilt;
    });
}
