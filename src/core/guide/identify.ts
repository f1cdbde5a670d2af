import type { ClutchLayout } from '../job/types';

/*
 * Identifies the clutch of an unknown machine. Questions about looks and behaviour, as data: every answer leads to the next
 * question or to a result with its reason.
 */

export type QuestionId = 'lever' | 'shift' | 'idleShift' | 'twoDrums' | 'beltCover';

export interface GuideAnswer {
  readonly label: string;
  readonly to:
    | { readonly question: QuestionId }
    | { readonly layout: Exclude<ClutchLayout, 'unknown'>; readonly because: string };
}

export interface GuideQuestion {
  readonly text: string;
  /** Where to look. */
  readonly help: string;
  readonly answers: readonly GuideAnswer[];
}

export const FIRST_QUESTION: QuestionId = 'lever';

export const GUIDE: Readonly<Record<QuestionId, GuideQuestion>> = {
  lever: {
    text: 'Is there a clutch lever for the hand?',
    help: 'Left of the bars. A brake lever with a parking catch does not count.',
    answers: [
      { label: 'Yes', to: { question: 'idleShift' } },
      { label: 'No', to: { question: 'shift' } },
    ],
  },
  idleShift: {
    text: 'Lever out, in gear, engine idling: does it idle without stalling?',
    help: 'On a stand with the wheel clear, brake on. An auto-clutch or a start clutch slips at idle; a plain pack stalls the engine.',
    answers: [
      {
        label: 'It stalls or pulls',
        to: {
          layout: 'pack',
          because: 'A hand lever, and a clutch engaged at idle: one pack does all the work.',
        },
      },
      { label: 'It idles without moving', to: { question: 'twoDrums' } },
    ],
  },
  shift: {
    text: 'Is there a pedal or a lever that shifts single gears?',
    help: 'One, two, three and on. A selector with only high, low, neutral and reverse does not count.',
    answers: [
      {
        label: 'Yes, single gears',
        to: {
          layout: 'startAndPack',
          because:
            'Gears shifted without a hand lever: a start clutch moves the machine off, and a small pack opens with the shift pedal.',
        },
      },
      { label: 'No, a selector or nothing', to: { question: 'beltCover' } },
    ],
  },
  twoDrums: {
    text: 'Under the cover: is there a drum with shoes on the crankshaft beside the pack?',
    help: 'Two round parts of similar size side by side: a smooth drum on the crankshaft, a basket with fingers on the gearbox input.',
    answers: [
      {
        label: 'Yes, a drum and a pack',
        to: {
          layout: 'startAndPack',
          because:
            'The drum holds the shoes of a start clutch; the pack only serves the gear change.',
        },
      },
      {
        label: 'Only a pack',
        to: {
          layout: 'pack',
          because: 'A pack that is open at idle contains an expanding disc: an auto-clutch.',
        },
      },
    ],
  },
  beltCover: {
    text: 'Is the belt cover dry, and is there an oil-bath part before the belt?',
    help: 'A dry, ducted cover with a belt and two sheaves. A wet start clutch is on the crankshaft behind the front sheave, with its own drain or seal.',
    answers: [
      {
        label: 'A wet start clutch before the belt',
        to: {
          layout: 'startAndBelt',
          because:
            'Shoes in oil move the machine off; the belt does the rest. There is no plate pack.',
        },
      },
      {
        label: 'Only belt and sheaves',
        to: {
          layout: 'belt',
          because: 'The sheaves themselves move the machine off. This machine has no wet clutch.',
        },
      },
    ],
  },
};
