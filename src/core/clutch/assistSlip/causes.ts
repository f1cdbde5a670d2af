import type { DecidingTest, KindCause, MeasuredWeight } from '../../causes/cause';
import { bad, good, w } from '../../causes/cause';
import type { Verdict } from '../../evaluate/engine/verdict';
import type { Job } from '../../job/types';

const OPENS_AS_BEFORE = 'Does not change how far the plates part.';

export const RAMP_CAUSES = {
  rampsSharp: {
    name: 'Ramps close to locking',
    prior: -14,
    complaints: {
      grabby: [22, 'Their own torque closes the pack.'],
      chatters: [10, 'They lock and let go in turn.'],
      slips: [-20, 'They add clamp under power.'],
    },
  },
  rampsWorn: {
    name: 'Ramps worn or marked',
    prior: -10,
    complaints: {
      overrunChatter: [24, 'The halves catch on the step as they part.'],
      powerSlip: [20, 'Halves that do not close add no clamp.'],
      grabby: [14, 'The halves close in a jump.'],
      drags: [-8, OPENS_AS_BEFORE],
    },
  },
  rampsWrong: {
    name: 'Hub halves or their springs in the wrong order',
    prior: -12,
    complaints: {
      powerSlip: [22, 'Without their ramps the light springs hold too little.'],
      overrunChatter: [16, 'The overrun ramp works at the wrong place.'],
      heavy: [-12, 'Not felt at the lever.'],
    },
  },
} as const satisfies Readonly<Record<string, KindCause>>;

export const RAMP_TESTS: Readonly<Record<string, DecidingTest>> = {
  rampSnap: {
    name: 'Pull away slowly, then open the throttle a little',
    minutes: 5,
    outcomes: [
      bad('Snaps shut', [
        w('rampsSharp', 30, 'The torque itself closes the pack.'),
        w('rampsWorn', 8, 'Worn ramps close in a jump.'),
      ]),
      good([w('rampsSharp', -30, 'Takes up evenly.')]),
    ],
  },
  rampLook: {
    name: 'Hub halves apart: ramps, marks, order',
    minutes: 25,
    outcomes: [
      bad('A step in the ramps', [
        w('rampsWorn', 34, 'The nail catches.'),
        w('rampsWrong', -10, 'Put together right.'),
      ]),
      {
        id: 'order',
        label: 'Marks apart, or parts swapped',
        weights: [w('rampsWrong', 36, 'Not as its maker builds it.')],
      },
      good([w('rampsWorn', -30, 'Smooth.'), w('rampsWrong', -30, 'By their marks.')]),
    ],
  },
};

/** Weights from the verdict on the ramps. */
export function weighRamps(v: Verdict): MeasuredWeight[] {
  if (v.id !== 'ramps:drive' || v.state === 'unknown') return [];
  return [
    {
      cause: 'rampsSharp',
      tenths: v.state === 'good' ? -25 : 28,
      because: v.title,
      from: 'Ramp share',
    },
  ];
}

/** Where no ramps are fitted they cause nothing; worn ones are seen. */
export function weighRampWear(
  isFitted: (job: Job) => boolean,
  wear: (job: Job) => readonly [worn: number | undefined, limit: number],
) {
  return (job: Job): MeasuredWeight[] => {
    if (!isFitted(job)) {
      if (job.machine.layout === 'unknown') return [];
      return (['rampsSharp', 'rampsWorn', 'rampsWrong'] as const).map((cause) => ({
        cause,
        tenths: -40,
        because: 'This hub has no ramps.',
        from: 'The machine',
      }));
    }
    const [worn, limit] = wear(job);
    if (worn === undefined) return [];
    return [
      {
        cause: 'rampsWorn',
        tenths: worn > limit ? 30 : -22,
        because:
          worn > limit
            ? 'The ramps are worn past their limit.'
            : 'The ramps are within their limit.',
        from: 'Ramp wear',
      },
    ];
  };
}
