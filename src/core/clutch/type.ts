import { LAYOUTS } from '../guide/layouts';
import { chooseLayout } from '../job/edits/details';
import type { ClutchLayout, Job } from '../job/types';

/** The clutch type on screen: a pack with an expanding disc is a type of its own. */
export type ClutchType = ClutchLayout | 'auto';

export const CLUTCH_TYPES: readonly Exclude<ClutchType, 'unknown'>[] = [
  'pack',
  'auto',
  'startAndPack',
  'startAndBelt',
  'belt',
];

const AUTO = {
  name: 'Auto-clutch: plate pack with an expanding disc',
  means: 'The disc engages by engine speed: gap, lever gain and break-in are part of the work.',
};

/**
 * Name and consequence of a clutch type.
 * @example describeType('pack').name // "Plate pack"
 */
export const describeType = (
  type: ClutchType,
): { readonly name: string; readonly means: string } => (type === 'auto' ? AUTO : LAYOUTS[type]);

const typeWith = ({ machine }: Pick<Job, 'machine'>, auto: boolean): ClutchType =>
  auto && machine.layout === 'pack' ? 'auto' : machine.layout;

/**
 * The clutch that the machine leaves with.
 * @example clutchType(quad) // "auto"
 */
export const clutchType = (job: Pick<Job, 'machine' | 'expanding'>): ClutchType =>
  typeWith(job, job.expanding.fitted);

/**
 * The clutch that the machine came with.
 * @example typeAsCame(quad) // "auto"
 */
export const typeAsCame = (job: Pick<Job, 'machine' | 'expanding' | 'strip'>): ClutchType => {
  const came = job.strip.came?.attached['expanding'];
  return typeWith(job, came === undefined ? job.expanding.fitted : came === 'yes');
};

/**
 * Sets the clutch that the machine came with; the one it leaves with follows until it is chosen.
 * @example clutchType(chooseTypeAsCame(blank, 'auto')) // "auto"
 */
export function chooseTypeAsCame(job: Job, type: ClutchType): Job {
  const auto = type === 'auto';
  const next = chooseLayout(job, auto ? 'pack' : type);
  const { came } = job.strip;
  return came?.attached['expanding'] === undefined
    ? { ...next, expanding: { ...next.expanding, fitted: auto } }
    : {
        ...next,
        strip: {
          ...next.strip,
          came: { ...came, attached: { ...came.attached, expanding: auto ? 'yes' : 'no' } },
        },
      };
}

/**
 * Sets whether the machine leaves as an auto-clutch, apart from how it came.
 * @example typeAsCame(chooseTypeAsGoes(chooseTypeAsCame(blank, 'pack'), true)) // "pack"
 */
export function chooseTypeAsGoes(job: Job, auto: boolean): Job {
  const { came } = job.strip;
  const before = typeAsCame(job) === 'auto' ? 'yes' : 'no';
  return {
    ...job,
    strip: { ...job.strip, came: { ...came, attached: { expanding: before, ...came?.attached } } },
    expanding: { ...job.expanding, fitted: auto },
  };
}
