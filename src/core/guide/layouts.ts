import type { ClutchLayout } from '../job/types';

interface Layout {
  readonly name: string;
  /** Consequence for the work. */
  readonly means: string;
  /** A pack of plates to build. */
  readonly plates: boolean;
  /** The shoes of a start clutch. */
  readonly shoes: boolean;
  readonly belt: boolean;
}

/** Clutch layout of a machine: the parts that move it off, and the parts that can be worked on. */
export const LAYOUTS: Readonly<Record<ClutchLayout, Layout>> = {
  unknown: { name: 'Not known yet', means: '', plates: true, shoes: false, belt: false },
  pack: {
    name: 'Plate pack',
    means: 'Measure and specify the pack.',
    plates: true,
    shoes: false,
    belt: false,
  },
  startAndPack: {
    name: 'Start clutch and plate pack',
    means:
      'Creep, late engagement and slip at pull-away come from the start clutch; drag and hard shifts from the pack. Check both.',
    plates: true,
    shoes: true,
    belt: false,
  },
  startAndBelt: {
    name: 'Start clutch and belt',
    means:
      'Only the start clutch is covered here: shoes, drum and springs. For belt and sheaves use their own manual.',
    plates: false,
    shoes: true,
    belt: true,
  },
  belt: {
    name: 'Belt only',
    means:
      'Under Ridge does not cover this machine: it has no wet clutch. For belt, sheaves, rollers and springs use their own manual.',
    plates: false,
    shoes: false,
    belt: true,
  },
};

/**
 * Whether a machine of this layout has plates to specify.
 * @example hasPack('startAndBelt') // false
 */
export const hasPack = (layout: ClutchLayout): boolean => LAYOUTS[layout].plates;

/**
 * Whether a machine of this layout has anything that runs in oil.
 * @example hasWetClutch('belt') // false
 */
export const hasWetClutch = (layout: ClutchLayout): boolean =>
  LAYOUTS[layout].plates || LAYOUTS[layout].shoes;
