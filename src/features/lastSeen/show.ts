/*
 * Runs before the program, as a script of its own: shows the screen as it was left, or the first one there is, takes presses
 * on it, and gives way as soon as the same screen stands alive behind it. A press is handed on to what was pressed.
 */
import { neverOffered } from '@/store/offered';

import type { Drawn } from './picture';
import { bringTo, FIRST_SCREENS_ID, firstOf, PICTURE_KEY, pictureOf, placeNow } from './picture';

/** The program starts in a second or two; if it does not, what it says must be seen. */
const LONGEST_MS = 8000;
/** How long what was pressed may take to be there. */
const PRESS_MS = 2000;
const PRESSED = 'a, button, input, textarea, [role="button"], [role="link"], [tabindex]';
/** What stands alive: a screen with something in it, or a fault. */
const ALIVE = '[role="main"], [role="alert"]';

/** The screen as it was left; on a first visit the one that the server has laid into the page. */
function drawn(): Drawn | undefined {
  try {
    const first = document.getElementById(FIRST_SCREENS_ID);
    // Nobody else needs it.
    first?.remove();
    if (first && neverOffered()) return firstOf(first.textContent, placeNow());
    return pictureOf(localStorage.getItem(PICTURE_KEY), placeNow());
  } catch {
    return undefined;
  }
}

const nameOf = (element: Element): string =>
  [
    element.tagName,
    element.getAttribute('role'),
    element.getAttribute('data-testid'),
    // A row's label changes with the day; where it leads does not.
    element.getAttribute('href') ?? element.getAttribute('aria-label') ?? element.textContent,
  ].join('|');

/** Hands a press on, once what was pressed is there and is the only one of its name. */
function press(root: Element, name: string): void {
  const until = performance.now() + PRESS_MS;
  const look = () => {
    const found = [...root.querySelectorAll<HTMLElement>(PRESSED)].filter(
      (element) => nameOf(element) === name,
    );
    const [first] = found;
    if (first && found.length === 1) {
      first.focus();
      if (!first.matches('input, textarea')) first.click();
    } else if (performance.now() < until) requestAnimationFrame(look);
  };
  look();
}

function show({ html, css, fonts }: Drawn, root: HTMLElement): void {
  for (const [name, url] of fonts) document.fonts.add(new FontFace(name, `url(${url})`));
  const host = document.createElement('div');
  // Not for who listens: nothing of it can be used yet, and the screen itself follows.
  host.setAttribute('aria-hidden', 'true');
  host.dataset.testid = 'last-seen';
  host.style.cssText = 'position: fixed; inset: 0; z-index: 1; overflow: hidden;';
  const inside = host.attachShadow({ mode: 'closed' });
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(css);
  inside.adoptedStyleSheets = [sheet];
  const content = document.createElement('div');
  content.style.cssText = 'display: flex; height: 100%;';
  content.innerHTML = html;
  bringTo(new Date(), content);
  for (const element of content.querySelectorAll<HTMLElement>(PRESSED)) element.tabIndex = -1;
  inside.append(content);

  let pressed: string | undefined;
  const keep = (event: Event) => event.preventDefault();
  content.addEventListener('mousedown', keep);
  content.addEventListener('click', (event) => {
    keep(event);
    const target = event.target instanceof Element ? event.target.closest(PRESSED) : null;
    if (!(target instanceof HTMLElement)) return;
    pressed = nameOf(target);
    target.style.opacity = '0.5';
  });

  const leave = () => {
    alive.disconnect();
    clearTimeout(atLast);
    host.remove();
    if (pressed !== undefined) press(root, pressed);
  };
  const alive = new MutationObserver(() => {
    if ([...root.querySelectorAll(ALIVE)].some((part) => part.textContent)) leave();
  });
  const atLast = setTimeout(leave, LONGEST_MS);
  alive.observe(root, { childList: true, subtree: true });
  document.body.append(host);
}

const root = document.getElementById('root');
const picture = root ? drawn() : undefined;
if (root && picture) show(picture, root);
