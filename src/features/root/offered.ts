/** Demo and empty workshop never share records; the server says which one to use. */
export type OfferedWorkshop = 'demo' | 'empty';

const REMEMBERED = 'under-ridge-workshop';

function remembered(): OfferedWorkshop | undefined {
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

function remember(kind: OfferedWorkshop): void {
  try {
    localStorage.setItem(REMEMBERED, kind);
  } catch {
    // No room: the next visit asks again.
  }
}

/** The answer of the server; undefined without one: offline, or on the development server. */
async function ask(): Promise<OfferedWorkshop | undefined> {
  try {
    const answer = await fetch('/api/workshop');
    const reported: unknown = answer.ok ? await answer.json() : undefined;
    const kind =
      typeof reported === 'object' && reported !== null && 'workshop' in reported
        ? reported.workshop
        : undefined;
    return kind === 'demo' || kind === 'empty' ? kind : undefined;
  } catch {
    return undefined;
  }
}

/**
 * The workshop to open. A known answer is used without waiting, since a bad connection may take minutes. A different answer is
 * remembered when it arrives, and `differs` is called.
 */
export async function offeredWorkshop(differs: () => void): Promise<OfferedWorkshop> {
  const before = remembered();
  const answer = ask().then((told) => {
    if (told) remember(told);
    return told;
  });
  if (before === undefined) return (await answer) ?? 'demo';
  void answer.then((told) => {
    // An answer that can't be remembered would be requested repeatedly.
    if (told && told !== before && remembered() === told) differs();
  });
  return before;
}
