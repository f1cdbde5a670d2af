import type { Picture } from './picture';
import { ANY_DAY, PICTURE_KEY, placeNow } from './picture';

/** Longer than this it is not worth its room. */
const MOST_CHARACTERS = 600_000;
/** What is not there when its screen is opened again, or would stand still: what lies over it, a search, a run of measuring, a film. */
const PASSING =
  '[role="dialog"], [role="alertdialog"], [role="menu"], [data-testid="reading"], [data-passing], canvas, video';

/** Keeps the screen as it stands, for when it is opened again. */
export function keepPicture(fonts: Picture['fonts']): void {
  const root = document.getElementById('root');
  if (!root?.querySelector('[role="main"]') || document.querySelector(PASSING)) return;
  const text = JSON.stringify({
    ...placeNow(),
    ...(root.querySelector('[data-any-day]') ? { day: ANY_DAY } : {}),
    html: htmlOf(root),
    css: cssFor(root),
    fonts,
  } satisfies Picture);
  if (text.length > MOST_CHARACTERS) return;
  try {
    localStorage.setItem(PICTURE_KEY, text);
  } catch {
    // No room: it opens without.
  }
}

/** What was seen is no longer so. */
export function forgetPicture(): void {
  try {
    localStorage.removeItem(PICTURE_KEY);
  } catch {
    // Where nothing can be stored nothing is kept either.
  }
}

/** The page's content with what was typed into it, which its text does not hold by itself. */
function htmlOf(root: HTMLElement): string {
  const copy = root.cloneNode(true) as HTMLElement;
  const typed = root.querySelectorAll<HTMLInputElement | HTMLTextAreaElement>('input, textarea');
  copy.querySelectorAll('input, textarea').forEach((field, i) => {
    const value = typed[i]?.value ?? '';
    if (field instanceof HTMLTextAreaElement) field.textContent = value;
    else field.setAttribute('value', value);
  });
  return copy.innerHTML;
}

/** The rules that this content stands under, of the several hundred that the page has gathered. */
function cssFor(root: HTMLElement): string {
  const classes = new Set(
    [...root.querySelectorAll('[class]')].flatMap((element) => [...element.classList]),
  );
  return [...document.styleSheets]
    .filter((sheet) => sheet.media.length === 0 || matchMedia(sheet.media.mediaText).matches)
    .flatMap((sheet) => [...sheet.cssRules])
    .filter(
      (rule) =>
        rule instanceof CSSKeyframesRule ||
        (rule instanceof CSSStyleRule && concerns(rule.selectorText, classes)),
    )
    .map((rule) => rule.cssText)
    .join('\n');
}

/** Whether a selector names a class that is there, or none at all. */
function concerns(selector: string, classes: ReadonlySet<string>): boolean {
  const named = selector.match(/\.[\w-]+/g);
  return named === null || named.some((name) => classes.has(name.slice(1)));
}
