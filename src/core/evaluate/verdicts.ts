import { bindMargin } from '../springs/coil';
import { judgeConditions } from './conditionVerdicts';
import { judgeFamily } from './familyVerdicts';
import type { FigureId, Outcome, State } from './figure';
import type { PackLayout } from './layers';
import { between } from './layers';
import type { Amount, Sentence } from './sentence';
import { count, force, length, say, times, torque } from './sentence';
import { judgeSetting } from './settingVerdicts';
import type { Sheet } from './sheet';

export type VerdictId =
  | 'order'
  | 'holds'
  | 'releases'
  | 'stack'
  | 'coils'
  | 'pressure'
  | 'gap'
  | 'step'
  | 'ring'
  | 'retention'
  | 'start'
  | 'wear'
  | 'oil'
  | 'caliper'
  | 'judder'
  | 'even'
  | 'auto'
  | 'installGap'
  | 'gain'
  | 'freePlay'
  | 'heads'
  | 'gapWays'
  | 'thumb'
  | 'repeat'
  | 'endFloat'
  | 'chain';

/** A judgement in words: a state, a few words, and a sentence with the number and the reason. */
export interface Verdict {
  readonly id: VerdictId | 'overall';
  readonly state: State | 'unknown';
  readonly title: string;
  readonly sentence: Sentence;
  /** The figures it rests on. */
  readonly figures: readonly FigureId[];
}

/**
 * Where a reserve turns from stop to watch to good, at the weakest lining with tang friction. Design
 * estimates: below 1 the clutch slips; a tenth is left for hot oil and wear.
 */
export const RESERVE_STOP = 1;
export const RESERVE_GOOD = 1.1;
/** Share of the needed lift below which a pack drags for certain rather than a little while cold. */
export const LIFT_WATCH = 0.8;

/**
 * The verdicts on a pack from the figures that are worked out on a sheet, one for each question that applies to it.
 * @param sheet with all figures worked out
 * Never throws for a job that passes the schema; a question that can't be answered yet has the state `unknown`.
 * Source: `docs/mechanics.md`, section by section; thresholds are design estimates named there.
 * @example judge(sheet, layout).filter((v) => v.state === 'stop').length // 0
 */
export function judge(sheet: Sheet, layout: PackLayout): Verdict[] {
  return [
    judgeOrder(layout),
    judgeHolding(sheet),
    judgeRelease(sheet),
    judgeStack(sheet),
    ...(sheet.job.springs.type === 'diaphragm' ? [] : [judgeCoils(sheet)]),
    judgePressure(sheet, layout),
    ...judgeFamily(sheet),
    ...judgeConditions(sheet, layout),
    ...judgeSetting(sheet),
  ];
}

function unknownVerdict(id: VerdictId, title: string, outcome: Outcome | undefined): Verdict {
  const reason = outcome?.status === 'unknown' ? outcome.reason : 'Nothing is entered yet.';
  // What contradicts itself is a fault, what is missing is only not there yet.
  const state = outcome?.status === 'unknown' && outcome.cause ? 'stop' : 'unknown';
  return { id, state, title, sentence: [reason], figures: outcome ? [outcome.id] : [] };
}

function judgeOrder(layout: PackLayout): Verdict {
  const metal = layout.faces.filter((f) => f.kind === 'metal');
  const n = layout.slipping.length;
  const base = { id: 'order', figures: ['faces'] } as const;
  if (layout.layers.length === 0) {
    return {
      ...base,
      state: 'unknown',
      title: 'No plates yet',
      sentence: say`Add the plates from the hub floor outward.`,
    };
  }
  const first = metal[0];
  if (first) {
    return {
      ...base,
      state: 'stop',
      title: 'Metal on metal',
      sentence: say`${between(layout, first.below, first.above)} slip on each other without lining${metal.length > 1 ? `, and so do ${metal.length - 1} more pairs` : ''}: they would weld or wear at once.`,
    };
  }
  if (n === 0) {
    return {
      ...base,
      state: 'stop',
      title: 'Nothing slips',
      sentence: say`No face of this pack slips on a lining, so it can’t take up or hold.`,
    };
  }
  return {
    ...base,
    state: 'good',
    title: `${n} slipping faces`,
    sentence: say`${count(n)} slipping faces, counted from the order of ${count(layout.layers.length)} plates.`,
  };
}

function looseSprings(sheet: Sheet): Sentence {
  const installed = sheet.known('installedLength');
  const longest = Math.max(
    ...sheet.job.springs.coil.groups.map((g) => g.freeLength?.value ?? -Infinity),
  );
  return installed && Number.isFinite(longest) && installed.value > longest
    ? say`The springs stand loose: in place they are ${length(installed.value)} long, ${length(installed.value - longest)} longer than free.`
    : installed
      ? say`The springs stand loose: in place they are ${length(installed.value)} long, no shorter than free.`
      : say`The spring is not pressed at all at this stack.`;
}

function judgeHolding(sheet: Sheet): Verdict {
  const clamp = sheet.known('clamp');
  const deflection = sheet.known('deflection');
  const stack = sheet.known('stack');
  if (stack && deflection && deflection.value <= 0) {
    return {
      id: 'holds',
      state: 'stop',
      title: 'No clamp',
      figures: ['deflection', 'stack'],
      sentence: say`The spring is not pressed: this stack of ${length(stack.value)} would have to be ${length(-deflection.value)} taller before it touches.`,
    };
  }
  if (clamp && clamp.value <= 0) {
    return {
      id: 'holds',
      state: 'stop',
      title: 'No clamp',
      figures: ['clamp', 'installedLength'],
      sentence: looseSprings(sheet),
    };
  }
  const reserve = sheet.known('reserveWithTangs');
  if (!reserve)
    return unknownVerdict('holds', 'Holding not known yet', sheet.outcomes.get('reserveWithTangs'));
  const atPeak = reserve.range?.low ?? reserve.value;
  const alongCurve = sheet.known('leastCurveReserve');
  // With the weights still slow or the torque early, another speed than that of peak torque may be the worst.
  const onCurve = alongCurve !== undefined && alongCurve.value < atPeak - 1e-9;
  const weakest = onCurve ? alongCurve.value : atPeak;
  const figures: FigureId[] = ['reserveWithTangs', 'capacityWithTangs', 'torqueAtClutch', 'clamp'];
  if (onCurve) figures.unshift('leastCurveReserve');
  const where = onCurve ? ' at the worst speed of its curve' : '';
  const asked = torque(sheet.known('torqueAtClutch')?.value ?? 0);
  if (weakest < RESERVE_STOP) {
    return {
      id: 'holds',
      state: 'stop',
      title: 'Slips',
      figures,
      sentence: [
        ...say`Holds ${below(weakest, RESERVE_STOP)} times the engine${where} at its weakest lining with tang friction, and ${times(reserve.value)} at typical: less than the ${asked} that reach the clutch.`,
        ...lateDisc(sheet),
      ],
    };
  }
  if (weakest < RESERVE_GOOD) {
    return {
      id: 'holds',
      state: 'watch',
      title: 'Holds, with little to spare',
      figures,
      sentence: say`Holds ${below(weakest, RESERVE_GOOD)} times the engine${where} at its weakest lining with tang friction: too little for hot starts; ${times(RESERVE_GOOD)} is wanted.`,
    };
  }
  return {
    id: 'holds',
    state: 'good',
    title: 'Holds',
    figures,
    sentence: say`Holds ${times(weakest)} times the engine${where} at its weakest lining with tang friction, ${times(reserve.value)} at typical.`,
  };
}

/** A reserve that misses what is wanted, with a decimal more where rounding would hide that it does. */
const below = (value: number, wanted: number): Amount =>
  Number(value.toFixed(2)) >= wanted ? { ...times(value), decimals: 4 } : times(value);

/** Where an expanding disc still presses less than the springs allow at peak torque: that is why it slips. */
function lateDisc(sheet: Sheet): Sentence {
  const pressed = sheet.known('clampAtPeak');
  const springs = sheet.known('clamp');
  if (!sheet.job.expanding.fitted || !pressed || !springs || pressed.value >= springs.value)
    return [];
  return say` The expanding disc presses with ${force(pressed.value)} there; the springs would let it press with ${force(springs.value)}.`;
}

function judgeRelease(sheet: Sheet): Verdict {
  const had = sheet.known('liftHad');
  const needed = sheet.known('liftNeeded');
  const clear = sheet.known('clearancePerFace');
  if (!had || !needed || !clear) {
    const lacking = (['liftHad', 'liftNeeded', 'clearancePerFace'] as const).find(
      (id) => !sheet.known(id),
    );
    return unknownVerdict(
      'releases',
      'Release not known yet',
      lacking && sheet.outcomes.get(lacking),
    );
  }
  const figures: FigureId[] = ['liftHad', 'liftNeeded', 'clearancePerFace'];
  const short = needed.value - had.value;
  // A ten-thousandth of a millimetre is no difference that anybody could set.
  if (short <= 1e-4) {
    return {
      id: 'releases',
      state: 'good',
      title: 'Releases',
      figures,
      sentence: say`Lifts ${length(had.value)} where ${length(needed.value)} is needed, and leaves ${length(clear.value)} at each face.`,
    };
  }
  if (had.value >= LIFT_WATCH * needed.value) {
    return {
      id: 'releases',
      state: 'watch',
      title: 'Lift is scarce',
      figures,
      sentence: say`Lifts ${length(had.value)}, ${length(short)} less than needed: it may drag while the oil is cold.`,
    };
  }
  return {
    id: 'releases',
    state: 'stop',
    title: 'Drags',
    figures,
    sentence: say`Lifts ${length(had.value)} where ${length(needed.value)} is needed: only ${length(clear.value)} at each face, so it drags and neutral is hard to find.`,
  };
}

function judgeStack(sheet: Sheet): Verdict {
  const stack = sheet.known('stack');
  const margin = sheet.known('stackMargin');
  if (!stack || !margin) {
    return unknownVerdict(
      'stack',
      'Stack not judged yet',
      sheet.outcomes.get(stack ? 'stackMargin' : 'stack'),
    );
  }
  const figures: FigureId[] = ['stack', 'stackMargin'];
  if (margin.value < 0) {
    const min = sheet.entry('pack.windowMin');
    const below = min.known && stack.value < min.value;
    return {
      id: 'stack',
      state: 'stop',
      title: below ? 'Stack too low' : 'Stack too tall',
      figures,
      sentence: say`The stack of ${length(stack.value)} misses its window by ${length(-margin.value)}: it is too ${below ? 'low' : 'tall'}.`,
    };
  }
  return {
    id: 'stack',
    state: 'good',
    title: margin.value === 0 ? 'Stack on the edge of its window' : 'Stack in its window',
    figures,
    sentence:
      margin.value === 0
        ? say`The stack of ${length(stack.value)} lies on the edge of its window, which still belongs to it.`
        : say`The stack of ${length(stack.value)} lies in its window, ${length(margin.value)} from the nearer edge.`,
  };
}

function judgeCoils(sheet: Sheet): Verdict {
  const room = sheet.known('coilClearance');
  const lift = sheet.known('liftHad');
  if (!room || !lift)
    return unknownVerdict('coils', 'Coil bind not known yet', sheet.outcomes.get('coilClearance'));
  const margin = bindMargin(lift.value);
  const base = { id: 'coils', figures: ['coilClearance'] } as const;
  if (room.value < 0) {
    return {
      ...base,
      state: 'stop',
      title: 'Springs go solid',
      sentence: say`The coils touch ${length(-room.value)} before full lift: the lever would stop hard and something bends.`,
    };
  }
  if (room.value < margin) {
    return {
      ...base,
      state: 'watch',
      title: 'Springs nearly solid',
      sentence: say`At full lift ${length(room.value)} is left before the coils touch; ${length(margin)} is wanted.`,
    };
  }
  return {
    ...base,
    state: 'good',
    title: 'Springs stay open',
    sentence: say`At full lift ${length(room.value)} is left before the coils touch.`,
  };
}

function judgePressure(sheet: Sheet, layout: PackLayout): Verdict {
  const pressure = sheet.known('liningPressure');
  const limits = layout.layers.flatMap((l) =>
    l.kind.pressureLimit && l.lined !== 'none' ? [l.kind.pressureLimit.value] : [],
  );
  const base = { id: 'pressure', figures: ['liningPressure'] } as const;
  if (!pressure)
    return unknownVerdict(
      'pressure',
      'Lining pressure not known yet',
      sheet.outcomes.get('liningPressure'),
    );
  if (limits.length === 0) {
    return {
      ...base,
      state: 'unknown',
      title: 'Lining pressure not judged',
      sentence: say`A pressure limit from the lining’s maker is needed to judge ${{ value: pressure.value, quantity: 'pressure' }}.`,
    };
  }
  const limit = Math.min(...limits);
  const amounts = [
    { value: pressure.value, quantity: 'pressure' },
    { value: limit, quantity: 'pressure' },
  ] as const;
  return pressure.value > limit
    ? {
        ...base,
        state: 'stop',
        title: 'Lining pressed too hard',
        sentence: say`The lining is pressed with ${amounts[0]}, above its limit of ${amounts[1]}.`,
      }
    : {
        ...base,
        state: 'good',
        title: 'Lining pressure in its limit',
        sentence: say`The lining is pressed with ${amounts[0]}; its limit is ${amounts[1]}.`,
      };
}

/**
 * The verdict on the whole pack: the worst of the others, and what speaks for it when none is bad.
 * @example judgeOverall(judge(sheet, layout), sheet).state // "good"
 */
export function judgeOverall(verdicts: readonly Verdict[], sheet: Sheet): Verdict {
  const worst =
    verdicts.find((v) => v.state === 'stop') ?? verdicts.find((v) => v.state === 'watch');
  const open = verdicts.filter((v) => v.state === 'unknown' && MUST.has(v.id));
  if (worst && worst.state === 'stop') {
    const more = verdicts.filter((v) => v !== worst && v.state === 'stop');
    const also =
      more.length > 0
        ? [
            ` Also: ${more.map((v) => v.title.charAt(0).toLowerCase() + v.title.slice(1)).join(', ')}.`,
          ]
        : [];
    return { ...worst, id: 'overall', sentence: [...worst.sentence, ...also] };
  }
  if (open.length > 0) {
    const [first] = open;
    return {
      id: 'overall',
      state: 'unknown',
      title: 'No verdict yet',
      sentence: first?.sentence ?? [],
      figures: first?.figures ?? [],
    };
  }
  if (worst) return { ...worst, id: 'overall' };
  const reserve = sheet.known('reserveWithTangs');
  const clear = sheet.known('clearancePerFace');
  const stack = verdicts.find((v) => v.id === 'stack');
  return {
    id: 'overall',
    state: 'good',
    title: 'Holds and releases',
    figures: ['reserveWithTangs', 'clearancePerFace', 'stack'],
    sentence: [
      ...say`${times(reserve?.range?.low ?? 0)} times the engine at its weakest lining, ${length(clear?.value ?? 0)} clear at each face`,
      ...(stack?.state === 'good'
        ? [', stack in its window.']
        : ['; no window is entered for the stack.']),
    ],
  };
}

/** Without these there is no verdict on the pack. */
const MUST: ReadonlySet<string> = new Set(['order', 'holds', 'releases']);
