/** The demo and an empty workshop never share records; the server says which one is meant. */
export type Offered = 'demo' | 'empty';

const REMEMBERED = 'under-ridge-workshop';

function remembered(): Offered | undefined {
  try {
    const kind = localStorage.getItem(REMEMBERED);
    return kind === 'demo' || kind === 'empty' ? kind : undefined;
  } catch {
    // Site data is blocked: each visit is a first one.
    return undefined;
  }
}

/** Whether this is most likely a first visit. */
export const neverOffered = (): boolean => remembered() === undefined;

function remember(kind: Offered): void {
  try {
    localStorage.setItem(REMEMBERED, kind);
  } catch {
    // No room: the next visit asks again.
  }
}

/** What the server says; nothing where none answers: the development server knows no such question, and offline nobody does. */
async function ask(): Promise<Offered | undefined> {
  try {
    const answer = await fetch('/api/workshop');
    const told: unknown = answer.ok ? await answer.json() : undefined;
    const kind =
      typeof told === 'object' && told !== null && 'workshop' in told ? told.workshop : undefined;
    return kind === 'demo' || kind === 'empty' ? kind : undefined;
  } catch {
    return undefined;
  }
}

/**
 * Which workshop to open. What was offered before is opened without waiting: where the signal is bad an answer may take
 * minutes. One that says otherwise is remembered when it comes, and `differs` is called.
 */
export async function offeredWorkshop(differs: () => void): Promise<Offered> {
  const before = remembered();
  const answer = ask().then((told) => {
    if (told) remember(told);
    return told;
  });
  if (before === undefined) return (await answer) ?? 'demo';
  void answer.then((told) => {
    // What could not be remembered would be asked for again and again.
    if (told && told !== before && remembered() === told) differs();
  });
  return before;
}
