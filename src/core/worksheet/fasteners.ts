import { check } from '../errors';
import { SPRING_KINDS } from '../clutch/fitted';
import { hasPack } from '../guide/layouts';
import { countedOut } from '../strip/line';
import type { Entry, Job } from '../job/types';
import type { Fastener } from '../job/work';
import type { Mm, NewtonMetre, UnitId } from '../units/quantity';
import type { UnitChoice } from '../units/format';
import { unitWritten } from '../units/written';
import { formatWithUnit } from '../units/format';

/**
 * The fasteners that the clutch of this job has, without torques: those belong to the machine's manual and are typed
 * in. A start for the builder's own list.
 * @example usualFasteners(blank, id).map((f) => f.name) // ["Hub nut", "Spring bolts", "Cover bolts"]
 */
export function usualFasteners(job: Job, newId: () => string): Fastener[] {
  const made = (role: Fastener['role'], name: string, lock: Fastener['lock']): Fastener => ({
    id: newId(),
    role,
    name,
    lock,
    grade: '',
  });
  const held = SPRING_KINDS.filter((kind) => kind.isFitted(job)).flatMap((kind) => {
    const bolts = kind.fastener?.(job);
    return bolts ? [{ ...made('springs', bolts.name, bolts.lock), ...bolts }] : [];
  });
  const hubNut = { ...made('hubNut', 'Hub nut', 'lockWasher'), count: { value: 1 } };
  return [
    ...(job.strip.hubStays || !hasPack(job.machine.layout) ? [] : [hubNut]),
    ...(hasPack(job.machine.layout) ? held : []),
    { ...made('cover', 'Cover bolts', 'none'), ...countedOut(job, 'coverBolts') },
  ];
}

/** The unit in which a torque was written, where it was written with one. */
const givenUnit = ({ typed = '' }: Entry): UnitId | undefined => unitWritten(typed, 'torque')?.id;

/** Below this, N·m, a torque is also shown in inch-pounds, the scale of a small wrench. */
const SMALL = 15;

/**
 * A torque in both units, the entered one first: "8.1 ft-lb (11.0 N·m)". Wrong conversions break bolts.
 * @param like another torque whose unit goes first, for a share of it
 * @example bothTorques({ value: 12.5, typed: '12.5 Nm' }) // "12.5 Nm (111 in·lb)"
 */
export function bothTorques(torque: Entry, choice: UnitChoice = {}, like: Entry = torque): string {
  const { value, typed } = torque;
  const unit = givenUnit(like) ?? choice.torque ?? 'Nm';
  const metric = formatWithUnit(value, 'torque');
  const imperial = formatWithUnit(value, 'torque', {
    torque: unit === 'Nm' ? (value < SMALL ? 'inlb' : 'ftlb') : unit,
  });
  const first = typed && givenUnit(torque) ? typed.trim() : unit === 'Nm' ? metric : imperial;
  return `${first} (${unit === 'Nm' ? imperial : metric})`;
}

/** Preload of a steel bolt of class 8.8 at 70 % of its proof stress, MPa, and friction of the thread as usual. */
const PRELOAD_STRESS = 0.7 * 640;
const NUT_FACTOR = 0.2;
/** Stress area of a coarse thread as a share of d². */
const STRESS_AREA = 0.57;

/**
 * The torque that is usual for a steel bolt of this size, N·m: T = 0.2·d·F with F at 70 % of the proof stress of class
 * 8.8. For a question only, never for tightening: the manual's figure counts.
 * @param size outside diameter of the thread, mm, above 0
 * @throws {DomainError} for a size out of range
 * Source: bolted joints, T = K·d·F.
 * @example usualTorque(6) // about 11
 */
export function usualTorque(size: Mm): NewtonMetre {
  check('size', size, { above: 0 });
  return (NUT_FACTOR * size * PRELOAD_STRESS * STRESS_AREA * size * size) / 1000;
}

/**
 * Whether a torque is below a third or above twice the usual one: in-lb and ft-lb differ by twelve.
 * @example isUnusual(90, 6) // true
 */
export function isUnusual(torque: NewtonMetre, size: Mm): boolean {
  const usual = usualTorque(size);
  return torque < usual / 3 || torque > usual * 2;
}

/** A wrench clicks within so much of its setting, as a share. Assumed value. */
const WRENCH = 0.04;

/**
 * Whether an applied torque is off its printed value or range; undefined for one that is right.
 * @example torqueOff({ value: 12, range: { low: 11, high: 13 } }, 13.5) // "above"
 */
export function torqueOff(
  { value, range }: Entry,
  applied: NewtonMetre,
): 'below' | 'above' | undefined {
  const low = range?.low ?? value * (1 - WRENCH);
  const high = range?.high ?? value * (1 + WRENCH);
  return applied < low - EDGE ? 'below' : applied > high + EDGE ? 'above' : undefined;
}

const EDGE = 1e-9;
