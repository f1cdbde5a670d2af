import { afterBreakIn } from './cases/afterBreakIn';
import { basketSpeed } from './cases/basketSpeed';
import { complaint } from './cases/complaint';
import { countIn } from './cases/countIn';
import { judgeSteels } from './cases/judgeSteels';
import { layPack } from './cases/layPack';
import { measureDisc } from './cases/measureDisc';
import { rampHub } from './cases/rampHub';
import { readChart } from './cases/readChart';
import { scarceLift } from './cases/scarceLift';
import { setGap } from './cases/setGap';
import { tighten } from './cases/tighten';
import { unevenSprings } from './cases/unevenSprings';
import { usedAgain } from './cases/usedAgain';
import type { Exercise, MistakeId } from './model';

export interface ExerciseKind {
  readonly title: string;
  readonly work: 'measure' | 'judge' | 'specify' | 'build' | 'set';
  /** Mistakes the exercise is about. */
  readonly mistakes: readonly MistakeId[];
  /** @param seed any whole number; the same one makes the same case */
  readonly make: (seed: number) => Exercise;
}

const kinds = {
  measureDisc: { title: 'A worn disc', work: 'measure', mistakes: ['oneSpot'], make: measureDisc },
  readChart: {
    title: 'The leaflet in inches',
    work: 'measure',
    mistakes: ['inches'],
    make: readChart,
  },
  judgeSteels: {
    title: 'New discs, old steels',
    work: 'judge',
    mistakes: ['warped'],
    make: judgeSteels,
  },
  complaint: {
    title: 'Complaint and fix',
    work: 'judge',
    mistakes: ['wrongCure'],
    make: complaint,
  },
  layPack: { title: 'A wrong pack order', work: 'specify', mistakes: ['order'], make: layPack },
  unevenSprings: {
    title: 'Two kinds of spring',
    work: 'specify',
    mistakes: ['unevenSprings'],
    make: unevenSprings,
  },
  scarceLift: {
    title: 'A lighter lever',
    work: 'specify',
    mistakes: ['scarceLift'],
    make: scarceLift,
  },
  basketSpeed: {
    title: 'Weights and shoes',
    work: 'specify',
    mistakes: ['basketSpeed'],
    make: basketSpeed,
  },
  rampHub: {
    title: 'A hub on ramps',
    work: 'specify',
    mistakes: ['springsAlone'],
    make: rampHub,
  },
  usedAgain: { title: 'Parts to reuse', work: 'build', mistakes: ['reused'], make: usedAgain },
  countIn: {
    title: 'Counting parts back in',
    work: 'build',
    mistakes: ['forgotten'],
    make: countIn,
  },
  tighten: {
    title: 'Bolts and hub nut',
    work: 'build',
    mistakes: ['tightening'],
    make: tighten,
  },
  setGap: { title: 'The install gap', work: 'set', mistakes: ['startPoint'], make: setGap },
  afterBreakIn: {
    title: 'After the break-in',
    work: 'set',
    mistakes: ['breakIn'],
    make: afterBreakIn,
  },
} as const satisfies Record<string, ExerciseKind>;

export type ExerciseId = keyof typeof kinds;

/** All exercises, in the order of the work. */
export const EXERCISES: Readonly<Record<ExerciseId, ExerciseKind>> = kinds;
export const EXERCISE_IDS = Object.keys(kinds) as readonly ExerciseId[];
/**
 * Whether a text names an exercise. Never throws.
 * @example isExercise('setGap') // true
 */
export const isExercise = (id: string | undefined): id is ExerciseId =>
  id !== undefined && Object.hasOwn(kinds, id);
