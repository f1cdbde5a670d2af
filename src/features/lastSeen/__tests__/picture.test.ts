import type { Picture, Place } from '../picture';
import { pictureOf } from '../picture';

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
