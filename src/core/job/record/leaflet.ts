/* What a leaflet says in words: steps and sheets quote it. */

export const LEAFLET_PARTS = [
  'alwaysNew',
  'leftOut',
  'screws',
  'pattern',
  'contact',
  'recheck',
  'cautions',
] as const;
export type LeafletPart = (typeof LEAFLET_PARTS)[number];

/** Texts of a leaflet in the builder's words, by part. */
export type LeafletTexts = Readonly<Partial<Record<LeafletPart, string>>>;
