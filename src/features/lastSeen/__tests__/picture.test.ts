import type { FirstScreens, Picture, Place } from '../picture';
import { ANY_DAY, firstOf, pictureOf } from '../picture';

const HERE: Place = {
  address: '/job/a?stage=set',
  day: '2026-11-29',
  width: 390,
  height: 844,
  dark: false,
};
const PICTURE: Picture = { ...HERE, html: '<p>Set</p>', css: '', fonts: [['Text', '/text.woff2']] };
const kept = (picture: object) => JSON.stringify(picture);

describe('a screen as it was left', () => {
  it('is that of the same place', () => {
    expect(pictureOf(kept(PICTURE), HERE)).toEqual(PICTURE);
  });

  it('is that of any day where its days are marked', () => {
    const any = { ...PICTURE, day: ANY_DAY };
    expect(pictureOf(kept(any), { ...HERE, day: '2026-12-24' })).toEqual(any);
    expect(pictureOf(kept(any), { ...HERE, day: '2026-12-24', width: 844 })).toBeUndefined();
  });

  it.each<Partial<Place>>([
    { address: '/job/a?stage=log' },
    { day: '2026-11-30' },
    { width: 844 },
    { height: 390 },
    { dark: true },
  ])('is none where %j', (other) => {
    expect(pictureOf(kept(PICTURE), { ...HERE, ...other })).toBeUndefined();
  });

  it.each([null, '', '{', 'null', '7', kept(HERE), kept({ ...PICTURE, fonts: 7 })])(
    'is none where %j was kept',
    (text) => {
      expect(pictureOf(text, HERE)).toBeUndefined();
    },
  );
});

describe('the list on a first visit', () => {
  const screens = [0, 560, 1000].flatMap((from) =>
    [false, true].map((dark) => ({ from, dark, html: `${from} ${dark ? 'dark' : 'light'}` })),
  );
  const FIRST: FirstScreens = { css: 'p{}', fonts: PICTURE.fonts, screens };
  const html = (other: Partial<Place>) =>
    firstOf(JSON.stringify(FIRST), { ...HERE, address: '/', ...other })?.html;

  it.each<[Partial<Place>, string]>([
    [{ width: 320 }, '0 light'],
    [{ width: 559 }, '0 light'],
    [{ width: 560, dark: true }, '560 dark'],
    [{ width: 999 }, '560 light'],
    [{ width: 1000 }, '1000 light'],
    [{ width: 3840, dark: true }, '1000 dark'],
  ])('at %j is the widest that fits: %s', (place, expected) => {
    expect(html(place)).toBe(expected);
  });

  it.each<Partial<Place>>([{ address: '/due' }, { address: '/?a=1' }])('is none at %j', (place) => {
    expect(html(place)).toBeUndefined();
  });
});
