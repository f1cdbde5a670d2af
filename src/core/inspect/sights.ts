import type { Fixture, Sight } from '../job/types';
import type { Decision } from './decisions';

/** What each thing that is seen is called at the bench. */
export const SIGHT_NAME: Readonly<Record<Sight, string>> = {
  blued: 'Blued',
  hotSpots: 'Hot spots',
  glazed: 'Glazed',
  burnt: 'Burnt',
  weldedLining: 'Lining welded on',
  cracked: 'Cracked',
  tangsWorn: 'Tangs worn',
  splinesWorn: 'Splines worn',
  grooved: 'Grooved',
  overTravel: 'Over-travel marks',
  loose: 'Loose rivets or hardware',
  pitted: 'Pitted or flat race',
};

export const FIXTURE_NAME: Readonly<Record<Fixture, string>> = {
  basket: 'Basket',
  hub: 'Hub',
  pressurePlate: 'Pressure plate',
  springs: 'Springs',
  bearing: 'Release bearing',
  release: 'Release parts',
  cover: 'Cover',
  shoes: 'Start clutch shoes',
  drum: 'Start clutch drum',
  oneWay: 'One-way bearing',
};

/** Possible damage on each part. */
export const SIGHTS_ON: Readonly<Record<'disc' | 'steel' | Fixture, readonly Sight[]>> = {
  disc: ['glazed', 'burnt', 'cracked', 'tangsWorn', 'loose'],
  steel: ['blued', 'hotSpots', 'glazed', 'weldedLining', 'grooved', 'cracked', 'tangsWorn'],
  basket: ['cracked', 'loose', 'grooved'],
  hub: ['splinesWorn', 'cracked', 'grooved', 'loose'],
  pressurePlate: ['blued', 'grooved', 'cracked'],
  springs: ['overTravel', 'cracked', 'loose', 'grooved'],
  bearing: ['pitted', 'loose'],
  release: ['grooved', 'cracked', 'loose', 'pitted'],
  cover: ['grooved', 'cracked'],
  shoes: ['glazed', 'burnt', 'cracked', 'loose'],
  drum: ['blued', 'grooved', 'cracked'],
  oneWay: ['pitted', 'loose'],
};

/** Decision and reason of a damage; any not listed means watch. */
interface SightRule {
  readonly decision: Decision;
  readonly because: string;
}

const rule = (decision: Decision, because: string): SightRule => ({ decision, because });

const ON_DISC: Partial<Record<Sight, SightRule>> = {
  glazed: rule('change', 'Glazing lowers friction permanently.'),
  burnt: rule('change', 'Burnt lining has lost its friction and crumbles.'),
  cracked: rule('scrap', 'A cracked disc breaks up.'),
  tangsWorn: rule('watch', 'Worn tangs catch in the basket: measure their clearance.'),
  loose: rule('scrap', 'Lining or rivets come loose: overheated.'),
};

const ON_STEEL: Partial<Record<Sight, SightRule>> = {
  blued: rule('watch', 'Blueing shows overheating: check the flatness.'),
  hotSpots: rule('keep', 'Spots alone are usually harmless.'),
  glazed: rule('watch', 'Remove glazing with fine abrasive before refitting.'),
  weldedLining: rule('watch', 'Remove the welded lining and measure again.'),
  grooved: rule('change', 'Grooves wear new lining quickly.'),
  cracked: rule('scrap', 'A cracked steel breaks up.'),
  tangsWorn: rule('watch', 'Worn tangs catch on the hub: measure their clearance.'),
};

const ON_FIXTURE: Readonly<Record<Fixture, Partial<Record<Sight, SightRule>>>> = {
  basket: {
    cracked: rule('scrap', 'A cracked basket bursts.'),
    loose: rule('change', 'Loose rivets or dampers rattle and come apart.'),
    grooved: rule('watch', 'Notches catch the plates: measure their depth.'),
  },
  hub: {
    splinesWorn: rule('change', 'Worn splines catch the plates and indicate misalignment.'),
    cracked: rule('scrap', 'A cracked hub breaks.'),
    grooved: rule('watch', 'Notches catch the plates: measure their depth.'),
    loose: rule('change', 'Loose dampers or rivets come apart.'),
  },
  pressurePlate: {
    blued: rule('watch', 'Overheated: check the flatness.'),
    grooved: rule('watch', 'Grind out the grooves, or replace the plate.'),
    cracked: rule('scrap', 'A cracked pressure plate breaks.'),
  },
  springs: {
    overTravel: rule('watch', 'Over-travel marks: the release stop is missing or wrong.'),
    cracked: rule('scrap', 'A cracked spring breaks.'),
    loose: rule('change', 'Loose rivets or hardware on the spring.'),
    grooved: rule('watch', 'Fingers or ends are worn: compare with a new one.'),
  },
  bearing: {
    pitted: rule('change', 'A pitted or flat race loads the balls on their edge and fails.'),
    loose: rule('change', 'A loose bearing lets the plate tilt.'),
  },
  release: {
    grooved: rule(
      'change',
      'A worn worm or ramp loses lift, and keeps wearing under the full spring force.',
    ),
    cracked: rule('scrap', 'A cracked release part breaks.'),
    loose: rule('watch', 'Play reduces lift.'),
    pitted: rule('change', 'A pitted ramp or rod end wears on quickly.'),
  },
  cover: {
    grooved: rule('watch', 'Grooves in the cover indicate a bent shaft or a failed pilot bearing.'),
    cracked: rule('change', 'A cracked cover leaks and may not support the release.'),
  },
  shoes: {
    glazed: rule('change', 'Glazed shoes slip when pulling away.'),
    burnt: rule('change', 'Burnt lining has lost its friction and crumbles.'),
    cracked: rule('scrap', 'A cracked shoe breaks up.'),
    loose: rule('scrap', 'Lining that comes off jams in the drum.'),
  },
  drum: {
    blued: rule('watch', 'Overheated: check it for cracks and roundness.'),
    grooved: rule('change', 'Grooves wear new shoes quickly.'),
    cracked: rule('scrap', 'A cracked drum bursts.'),
  },
  oneWay: {
    pitted: rule('change', 'Pitted rollers slip or jam.'),
    loose: rule('change', 'A loose bearing does not hold.'),
  },
};

/**
 * The decision for a damage on a part.
 * @example sightRule('disc', 'glazed').decision // "change"
 */
export function sightRule(on: 'disc' | 'steel' | Fixture, sight: Sight): SightRule {
  const table = on === 'disc' ? ON_DISC : on === 'steel' ? ON_STEEL : ON_FIXTURE[on];
  return table[sight] ?? rule('watch', `${SIGHT_NAME[sight]}: inspect again.`);
}

/** Damage that indicates a cause elsewhere. */
export const SECONDARY_CAUSES: readonly {
  readonly on: 'disc' | 'steel' | Fixture;
  readonly sight: Sight;
  readonly says: string;
}[] = [
  {
    on: 'hub',
    sight: 'splinesWorn',
    says: 'Worn splines indicate misalignment: check shaft and pilot bearing.',
  },
  {
    on: 'hub',
    sight: 'cracked',
    says: 'Cracks at the slots indicate misalignment: check shaft and pilot bearing.',
  },
  {
    on: 'cover',
    sight: 'grooved',
    says: 'Grooves in the cover indicate a bent shaft or a failed pilot bearing.',
  },
  {
    on: 'disc',
    sight: 'loose',
    says: 'Loose lining comes from overheating: find the cause of the slip.',
  },
  {
    on: 'disc',
    sight: 'burnt',
    says: 'Burnt lining comes from slip: find the cause before fitting new discs.',
  },
  {
    on: 'steel',
    sight: 'blued',
    says: 'Blued steels come from slip: find the cause before fitting new discs.',
  },
  {
    on: 'springs',
    sight: 'overTravel',
    says: 'Over-travel marks: a release stop is missing or wrong.',
  },
  {
    on: 'bearing',
    sight: 'pitted',
    says: 'A flat race instead of a ground radius loads the balls on their edge: check that the part is correct.',
  },
];
