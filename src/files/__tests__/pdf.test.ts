import { diaphragm } from '@/core/clutch/diaphragm/kind';
import { entry } from '@/core/job/entry';
import { put } from '@/testing/packs';
import { crag, finished, jobsOfEachKind, scree, signedOff } from '@/testing/jobs';
import { readFileSync } from 'node:fs';

import { XMLValidator } from 'fast-xml-parser';
import Papa from 'papaparse';

import { evaluate } from '@/core/evaluate/evaluate';
import { figureText } from '@/core/text/figureText';
import type { Job } from '@/core/job/types';
import { minute } from '@/core/text/minute';
import { orderList } from '@/core/paper/orderList';

import { circleSvg } from '../circleSvg';
import { writeOrderCsv } from '../orderCsv';
import { makePdf } from '../pdf/makePdf';
import type { JobPdf, PdfRequest } from '../pdf/paperOf';
import { paperOf } from '../pdf/paperOf';
import { sectionSvg } from '../sectionSvg';

const fontOf = (name: string) =>
  readFileSync(require.resolve(`@expo-google-fonts/atkinson-hyperlegible-${name}.ttf`)).toString(
    'base64',
  );
const FONTS = {
  text: fontOf('next/400Regular/AtkinsonHyperlegibleNext_400Regular'),
  textBold: fontOf('next/700Bold/AtkinsonHyperlegibleNext_700Bold'),
  digits: fontOf('mono/400Regular/AtkinsonHyperlegibleMono_400Regular'),
  digitsBold: fontOf('mono/700Bold/AtkinsonHyperlegibleMono_700Bold'),
  letters: readFileSync('assets/paper/letters.ttf').toString('base64'),
  signs: readFileSync('assets/paper/signs.ttf').toString('base64'),
};
const ask = (job: Job, part: Partial<JobPdf> = {}): JobPdf => ({
  job,
  kind: 'job',
  pageSize: 'A4',
  units: {},
  unfinished: [],
  ...part,
});
const textOf = (request: PdfRequest) => JSON.stringify(paperOf(request).blocks);

const HOSTILE = '=cmd()|"<script>&\u202e\u0000x\u{1F600}';

describe('paper', () => {
  it('is a PDF with fonts of its own inside, small, for every demo job and sheet', async () => {
    for (const job of jobsOfEachKind())
      for (const kind of ['job', 'rider', 'order'] as const) {
        const bytes = Buffer.from(await makePdf(ask(job, { kind }), FONTS));
        expect(bytes.subarray(0, 5).toString('latin1')).toBe('%PDF-');
        expect(bytes.toString('latin1')).toContain('AtkinsonHyperlegible');
        expect(bytes.length).toBeLessThan(300_000);
      }
  });

  it('carries the figures of the evaluation, in the builder’s units', () => {
    const job = crag();
    const units = { length: 'in', torque: 'ftlb' } as const;
    for (const id of ['stack', 'clamp', 'torqueAtClutch', 'reserveWithTangs', 'liftHad'] as const) {
      const figure = evaluate(job).figures.get(id);
      if (figure?.status !== 'known') throw new Error(`${id} is not known`);
      const { value } = figureText(figure, units);
      expect(textOf(ask(job, { units }))).toMatch(
        new RegExp(`"${figure.label}( \\*)?","${value.replace('.', '\\.')}`),
      );
    }
  });

  it('lists the settings with their targets and the adjuster position', () => {
    const facts = (job: Job) =>
      Object.fromEntries(
        paperOf(ask(job)).blocks.flatMap((b) => (b.kind === 'facts' ? b.rows : [])),
      );
    const base = put(diaphragm.example(scree()), {
      'setting.turnsOut': 1,
      'setting.marksOut': 2,
      'setting.targetGain': 12,
    });
    const auto: Job = {
      ...base,
      setting: { ...base.setting, readings: [{ id: 'a', turns: entry(0.75), gain: entry(27) }] },
    };
    expect(facts(auto)).toMatchObject({
      'Retainer step': '2',
      'Install gap': '0.950 mm; specified 0.900 mm to 1.000 mm',
      'Adjuster position': '1 turn and 2 marks out from firm contact',
      'Lever gain': '27.0 mm at 0.75 turns; target 12.0 mm',
    });
    expect(facts(finished(crag()))).toMatchObject({
      Soak: `in oil from ${minute('2026-03-08T17:00:00.000Z')}, planned 8 h`,
      'Free play at the lever': '2.5 mm; specified 2.0 mm to 6.0 mm',
      'Lift round the plate': '0° 1.84 mm, 120° 1.85 mm, 240° 1.86 mm',
    });
  });

  it('says what is open, what was signed over and why, and never calls a machine safe', () => {
    const half: Job = {
      ...put(finished(crag()), { 'strip.parts.n4.in': 5 }),
      stage: 'build',
    };
    expect(textOf(ask(half))).toContain('Drive pins: 6 removed, 5 fitted.');
    expect(paperOf(ask(half)).subtitle).toBe('Job sheet, not signed: at Build');
    const over: Job = {
      ...half,
      signOff: {
        revisions: [],
        overrides: [{ itemId: 'part:n4', reason: 'never there', by: 'B', at: half.createdAt }],
      },
    };
    expect(textOf(ask(over))).toContain('Reason: never there (B, ');
    for (const job of jobsOfEachKind())
      for (const kind of ['job', 'rider', 'order'] as const)
        expect(textOf(ask(job, { kind }))).not.toMatch(/\b(is|are) safe\b/i);
  });

  it('prints the caution that an auto-clutch can move the machine, and the signed digest', () => {
    expect(textOf(ask(scree(), { kind: 'rider' }))).toContain('can move with the lever');
    const job = signedOff(crag());
    expect(paperOf(ask(job)).foot).toContain(job.signOff.revisions[0]?.digest);
  });

  it('shows hostile names as text in PDF, SVG and CSV', async () => {
    const job: Job = {
      ...crag(),
      machine: { ...crag().machine, name: HOSTILE },
      notes: HOSTILE.repeat(200),
      pack: {
        ...crag().pack,
        kinds: crag().pack.kinds.map((k) => ({ ...k, name: HOSTILE })),
        plates: crag().pack.plates.map((p) => ({ ...p, isNew: true })),
      },
    };
    expect((await makePdf(ask(job), FONTS)).length).toBeGreaterThan(10_000);
    const svg = sectionSvg(job, evaluate(job), { width: 400, height: 300 });
    expect(svg).not.toContain('<script');
    expect(svg).not.toContain('\u0000');
    expect(svg).toContain('&lt;script&gt;');
    // A label is cut before it is escaped, never in the middle of an escape.
    const [first, ...kinds] = job.pack.kinds;
    const long = first ? [{ ...first, name: '&'.repeat(120) }, ...kinds] : [];
    const cut = { ...job, pack: { ...job.pack, kinds: long } };
    for (const width of [150, 400, 900])
      expect(XMLValidator.validate(sectionSvg(cut, evaluate(cut), { width, height: 300 }))).toBe(
        true,
      );
    const csv = writeOrderCsv(job.number, orderList(job));
    const { data, errors } = Papa.parse<string[]>(csv, { skipEmptyLines: true });
    expect(errors).toEqual([]);
    expect(data[0]).toEqual(['job', 'part', 'specification', 'count', 'from', 'why']);
    // A spreadsheet takes what begins with = for a formula; an apostrophe makes it text.
    expect(data.slice(1).every((row) => row.every((cell) => !/^[=+@-]/.test(cell)))).toBe(true);
  });

  it('draws every plate of a pack, and every bolt of a circle, once', () => {
    const svg = sectionSvg(crag(), evaluate(crag()), { width: 430, height: 290 });
    for (let n = 1; n <= 15; n++) expect(svg).toMatch(new RegExp(`>${n} (Disc|Steel)`));
    const circle = circleSvg(8, 100, 'x');
    for (let n = 1; n <= 8; n++) expect(circle).toContain(`>${n}</text>`);
  });
});

describe('what a job takes', () => {
  it('lists new plates, the shelf’s, what was condemned, and what is used up', () => {
    const lines = orderList({
      ...crag(),
      pack: {
        ...crag().pack,
        plates: crag().pack.plates.map((p) => (p.kindId === 'disc' ? { ...p, isNew: true } : p)),
      },
    });
    expect(lines).toContainEqual({
      what: 'Disc',
      spec: '3.000 mm, paper',
      count: 8,
      from: 'order',
      why: 'new in this pack',
    });
    const worn = crag();
    const condemned: Job = {
      ...worn,
      pack: {
        ...worn.pack,
        plates: worn.pack.plates.map((p) =>
          p.id === 'p3'
            ? { ...p, readings: { '1': { value: 2.4 } } }
            : p.id === 'p2'
              ? { ...p, shelfId: 's1' }
              : p,
        ),
      },
    };
    const taken = orderList(condemned);
    expect(taken).toContainEqual(
      expect.objectContaining({ what: 'Disc', from: 'order', count: 1, spec: '3.000 mm' }),
    );
    expect(taken).toContainEqual(
      expect.objectContaining({ what: 'Steel', from: 'shelf', count: 1 }),
    );
    expect(taken).toContainEqual(expect.objectContaining({ what: 'Lock washer', spec: 'Hub nut' }));
  });
});

describe('the job sheet on paper', () => {
  it('takes at most three pages, the rider’s sheet one, on both kinds of paper', async () => {
    for (const pageSize of ['A4', 'LETTER'] as const)
      for (const [kind, most] of [
        ['job', 3],
        ['rider', 1],
      ] as const) {
        const bytes = await makePdf(ask(finished(scree()), { kind, pageSize }), FONTS);
        const pages = Buffer.from(bytes)
          .toString('latin1')
          .match(/\/Type \/Page\b/g);
        expect(pages?.length ?? 0).toBeLessThanOrEqual(most);
        expect(pages?.length ?? 0).toBeGreaterThan(0);
      }
  });

  it('shows the photographs of findings', async () => {
    const photo = {
      id: 'ph',
      caption: 'Worm from below',
      takenAt: '2026-03-09T10:00:00.000Z',
      width: 1,
      height: 1,
      bytes: 68,
    };
    const job: Job = {
      ...crag(),
      photos: [photo],
      findings: [
        {
          id: 'f',
          part: 'worm',
          text: 'Soft worm',
          decision: 'replace',
          agreed: '',
          photoIds: ['ph'],
        },
      ],
    };
    const pixel =
      'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
    expect(textOf(ask(job))).toContain('Worm from below');
    const withPhoto = await makePdf(ask(job, { photos: { ph: pixel } }), FONTS);
    const without = await makePdf(ask(job), FONTS);
    const images = (bytes: Uint8Array) =>
      Buffer.from(bytes)
        .toString('latin1')
        .match(/\/Subtype \/Image/g)?.length ?? 0;
    expect(images(withPhoto)).toBeGreaterThan(images(without));
  });

  it('names an expanding disc in the order list', () => {
    const job = scree();
    const fresh: Job = {
      ...job,
      pack: { ...job.pack, plates: job.pack.plates.map((p) => ({ ...p, isNew: true })) },
    };
    expect(orderList(fresh).filter((l) => l.what === 'Expanding disc')).toHaveLength(1);
    expect(orderList({ ...crag() }).some((l) => l.what === 'Expanding disc')).toBe(false);
  });
});
