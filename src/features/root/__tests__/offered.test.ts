import { neverOffered, offeredWorkshop } from '../offered';

const values = new Map<string, string>();
let full = false;
/** The server's answer, when a test lets it come. */
let answer: (body: unknown) => void;
let fail: () => void;

beforeEach(() => {
  values.clear();
  full = false;
  Object.defineProperty(globalThis, 'localStorage', {
    configurable: true,
    value: {
      getItem: (key: string) => values.get(key) ?? null,
      setItem: (key: string, value: string) => {
        if (full) throw new DOMException('no room', 'QuotaExceededError');
        values.set(key, value);
      },
    },
  });
  globalThis.fetch = jest.fn(
    () =>
      new Promise<Response>((resolve, reject) => {
        answer = (body) => resolve(new Response(JSON.stringify(body)));
        fail = () => reject(new TypeError('no network'));
      }),
  );
});

/** Lets everything run that waits for nothing from outside. */
const settle = () => new Promise((resolve) => setTimeout(resolve));
const never = () => {
  throw new Error('The page was asked to switch.');
};
/** A visit in the past to a server with that workshop. */
async function visited(workshop: 'demo' | 'empty'): Promise<void> {
  const offered = offeredWorkshop(never);
  answer({ workshop });
  await offered;
}

test('a first visit waits for what the server offers, and remembers it', async () => {
  expect(neverOffered()).toBe(true);
  const offered = offeredWorkshop(never);
  answer({ workshop: 'empty' });
  expect(await offered).toBe('empty');
  expect(neverOffered()).toBe(false);
});

test.each([[{ workshop: 'something' }], [{}], ['empty'], [null]])(
  'an answer that says nothing of a workshop, %j, is none',
  async (body) => {
    const offered = offeredWorkshop(never);
    answer(body);
    expect(await offered).toBe('demo');
    expect(neverOffered()).toBe(true);
  },
);

test('without a server a first visit has the demo, and the next one asks again', async () => {
  const offered = offeredWorkshop(never);
  fail();
  expect(await offered).toBe('demo');
  expect(neverOffered()).toBe(true);
});

test('a later visit does not wait for an answer that may never come', async () => {
  await visited('empty');
  expect(await offeredWorkshop(never)).toBe('empty');
});

test('the same answer, or none, changes nothing', async () => {
  await visited('empty');
  await offeredWorkshop(never);
  answer({ workshop: 'empty' });
  await settle();
  await offeredWorkshop(never);
  fail();
  await settle();
  expect(await offeredWorkshop(never)).toBe('empty');
});

test('another answer is remembered, and the page is notified once', async () => {
  await visited('demo');
  const differs = jest.fn();
  expect(await offeredWorkshop(differs)).toBe('demo');
  answer({ workshop: 'empty' });
  await settle();
  expect(differs).toHaveBeenCalledTimes(1);
  expect(await offeredWorkshop(never)).toBe('empty');
});

test('an answer that can not be remembered never has the page load again and again', async () => {
  await visited('demo');
  full = true;
  await offeredWorkshop(never);
  answer({ workshop: 'empty' });
  await settle();
  full = false;
  expect(await offeredWorkshop(never)).toBe('demo');
});
