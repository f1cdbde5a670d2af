import { dueWords } from '@/features/jobs/due';
import { isoDay } from '@/ui/dates';

/*
 * A screen as it was left. Opened again at the same address it is there at once, until the program has started and what it
 * shows is live. It is shown only while it is still true: each change of what is stored takes it away.
 */

/** Where and how a screen stands. */
export interface Place {
  /** Path and query of its address. */
  readonly address: string;
  /** The day on which it was seen, or any where its days are marked: what is due tomorrow is due today the day after. */
  readonly day: string;
  readonly width: number;
  readonly height: number;
  /** Whether the device asks for dark colours. */
  readonly dark: boolean;
}

/** What is needed to show a screen. */
export interface Drawn {
  readonly html: string;
  readonly css: string;
  /** Names and addresses of the fonts it is written in. */
  readonly fonts: readonly (readonly [name: string, url: string])[];
}

export interface Picture extends Place, Drawn {}

/** The list as a first visit sees it, for every device: the server lays it into the page. */
export interface FirstScreens extends Pick<Drawn, 'css' | 'fonts'> {
  readonly screens: readonly {
    /** The least width that it is laid out for. */
    readonly from: number;
    readonly dark: boolean;
    readonly html: string;
  }[];
}

/** The element of the page that holds the first screens. */
export const FIRST_SCREENS_ID = 'first-screens';

export const PICTURE_KEY = 'under-ridge-last-seen';

/** The day of a picture that is brought to any. */
export const ANY_DAY = 'any';

/** The place that this page stands at now. */
export function placeNow(): Place {
  return {
    address: location.pathname + location.search,
    day: isoDay(),
    width: innerWidth,
    height: innerHeight,
    dark: matchMedia('(prefers-color-scheme: dark)').matches,
  };
}

const PLACE = ['address', 'width', 'height', 'dark'] as const;

/** The picture that is kept in a text, if it is one of that place. */
export function pictureOf(text: string | null, place: Place): Picture | undefined {
  if (text === null) return undefined;
  try {
    const picture = JSON.parse(text) as Picture;
    const whole = typeof picture.html === 'string' && typeof picture.css === 'string';
    const fits =
      PLACE.every((k) => picture[k] === place[k]) && [place.day, ANY_DAY].includes(picture.day);
    return whole && fits && Array.isArray(picture.fonts) ? picture : undefined;
  } catch {
    return undefined;
  }
}

/** The first screen for that place, if it is one of the list. */
export function firstOf(text: string, place: Place): Drawn | undefined {
  const { css, fonts, screens } = JSON.parse(text) as FirstScreens;
  const [widest] = screens
    .filter(({ from, dark }) => from <= place.width && dark === place.dark)
    .sort((a, b) => b.from - a.from);
  return widest && place.address === '/' ? { html: widest.html, css, fonts } : undefined;
}

/** Brings what is drawn to a day. */
export function bringTo(day: Date, drawn: Element): void {
  for (const element of drawn.querySelectorAll<HTMLElement>('[data-due]'))
    element.textContent = dueWords(element.dataset.due ?? '', day);
}
