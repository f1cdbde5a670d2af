import { entry } from '../../job/entry';
import { spec } from '../../job/specs/spec';
import type { Job } from '../../job/types';
import { line, part } from '../../strip/line';
import { length, say } from '../../text/sentence';
import type { ClutchKind } from '../kind';

const own = (job: Job) => job.fittings?.['wedge'];
const isFitted = (job: Job): boolean => own(job)?.['type'] === 'wedge';
const put = (job: Job, type: string): Job => ({
  ...job,
  fittings: { ...job.fittings, wedge: { ...own(job), type } },
});

/** A made-up wedge under the pressure plate: a kind that only a test has. */
export const wedge: ClutchKind = {
  id: 'wedge',
  name: 'wedge',
  isFitted,
  example: (job) => ({ ...job, fittings: { wedge: { type: 'wedge', height: entry(2) } } }),
  families: [
    { name: 'Wedge', how: 'It wedges.', tell: 'A wedge.', mind: 'Its height.', drawing: 'gap' },
  ],
  terms: { wedge: { name: 'Wedgelet', text: 'Made up.' } },
  fields: {
    'fittings.wedge.height': spec({
      label: 'Wedge height',
      symbol: 'h_w',
      quantity: 'length',
      bounds: { above: 0, max: 5 },
    }),
  },
  choice: {
    heading: 'Wedge',
    label: 'Under the pressure plate',
    options: [
      { value: 'none', label: 'None' },
      { value: 'wedge', label: 'A wedge' },
    ],
    of: (job) => (isFitted(job) ? 'wedge' : 'none'),
    put,
  },
  form: () => [{ fields: ['fittings.wedge.height'] }],
  shown: ['wedge:room'],
  figures: (sheet) => {
    sheet.compute('wedge:room', {
      label: 'Room beside the wedge',
      quantity: 'length',
      section: 1,
      formula: '5 − h_w',
      from: { h: sheet.entry('fittings.wedge.height') },
      value: ({ h }) => 5 - h,
    });
  },
  verdicts: (sheet) => {
    const room = sheet.known('wedge:room');
    return [
      room && {
        id: 'wedge:room',
        state: room.value < 1 ? 'stop' : 'good',
        title: room.value < 1 ? 'Wedge too high' : 'Wedge has room',
        sentence: say`Beside the wedge ${length(room.value)} is left.`,
        figures: ['wedge:room'],
      },
    ];
  },
  problems: ({ job }) =>
    own(job)?.['height'] === undefined
      ? [{ path: 'fittings.wedge.height', state: 'watch', sentence: ['Measure the wedge.'] }]
      : [],
  strip: () => ({ plates: [line('wedge', 'Wedge out')] }),
  parts: () => [part('wedgeScrews', 'Wedge screws')],
  checklist: () => ({ hub: [{ key: 'wedge', section: 'Hub', text: ['Wedge in, thin end first'] }] }),
  causes: {
    wedged: { name: 'Wedge too high', prior: -5, complaints: { drags: [60, 'It wedges.'] } },
  },
  sheetRows: () => [['Wedge', 'in']],
};
