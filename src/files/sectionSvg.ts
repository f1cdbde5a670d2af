import type { Evaluation } from '@/core/evaluate/evaluate';
import type { Job } from '@/core/job/types';
import type { UnitChoice } from '@/core/units/format';
import { formatValue } from '@/core/units/format';
import { dimensionsAt } from '@/drawing/halfSection/dimensions';
import type { View } from '@/drawing/halfSection/halfSection';
import { drawHalfSection } from '@/drawing/halfSection/halfSection';
import { heightForLabels, placeLabels } from '@/drawing/halfSection/labels';
import { painted } from '@/drawing/halfSection/looks';
import type { Strata } from '@/drawing/palette';
import { LIMESTONE } from '@/drawing/palette';

import { at, escapeXml } from './svgText';

interface Options extends Pick<View, 'width' | 'height' | 'wear'> {
  readonly units?: UnitChoice;
  /** Plates with something wrong, by identifier. */
  readonly wrong?: ReadonlySet<string>;
  /** Colours: light, or greys for paper. */
  readonly strata?: Strata;
  /** Family of the labels. */
  readonly font?: string;
  /** Only the numbers beside the plates, where a table names them. */
  readonly numbersOnly?: boolean;
}

const LABELS = 150;
const NUMBERS = 34;
/** Longer names give way to their figures. */
const LONGEST_NAME = 24;

/**
 * The half-section of a job as an SVG document: the drawing of the screen with each plate's number, name and thickness, and
 * its dimensions. Nothing in it but shapes and text.
 */
export function sectionSvg(
  job: Job,
  evaluation: Pick<Evaluation, 'figures' | 'layout'>,
  {
    width,
    height,
    units = {},
    wrong = new Set(),
    strata = LIMESTONE,
    font = 'sans-serif',
    numbersOnly = false,
    ...view
  }: Options,
): string {
  const left = numbersOnly ? NUMBERS : LABELS;
  const drawing = drawHalfSection(
    { job, evaluation },
    {
      ...view,
      width,
      height: Math.max(height, heightForLabels(evaluation.layout.layers.length)),
      left,
    },
  );
  const labels = placeLabels(drawing, [], left - 12);
  const size = labels.size - 3;
  const say = (value: number) => formatValue(value, 'length', units);
  const text = (x: number, y: number, anchor: string, words: string) =>
    `<text x="${at(x)}" y="${at(y)}" text-anchor="${anchor}" font-family="${escapeXml(font)}" font-size="${size}" fill="${strata.ink}">${escapeXml(words)}</text>`;
  const parts = painted(drawing.shapes, strata).map(
    (p) =>
      `<path d="${p.d}" fill="${p.fill}" opacity="${p.opacity}"${p.stroke ? ` stroke="${p.stroke}" stroke-width="${p.width}"` : ''}${p.dash ? ` stroke-dasharray="${p.dash}"` : ''}/>`,
  );
  parts.push(
    `<path d="${labels.leaders}" fill="none" stroke="${strata.soft}" stroke-width="0.5"/>`,
  );
  drawing.layers.forEach(({ layer, row, expands }, i) => {
    if (wrong.has(layer.plate.id))
      parts.push(
        `<rect x="${at(row.x + 1)}" y="${at(row.y - 1)}" width="${at(row.width - 2)}" height="${at(row.height + 2)}" fill="none" stroke="${strata.stop}" stroke-width="1.6" stroke-dasharray="5 3"/>`,
      );
    const words = [
      layer.kind.name,
      layer.plate.facing === 'outward' ? 'out' : layer.plate.facing === 'inward' ? 'in' : '',
      layer.plate.judder ? 'judder pair' : '',
      expands ? 'expands' : '',
    ].filter(Boolean);
    const y = (labels.at[i] ?? 0) + size * 0.35;
    if (numbersOnly) {
      parts.push(text(left - 14, y, 'end', String(layer.number)));
      return;
    }
    parts.push(
      text(0, y, 'start', `${layer.number} ${shortened(words.join(', '))}`),
      text(left - 14, y, 'end', layer.thickness === undefined ? '–' : say(layer.thickness)),
    );
  });
  for (const d of dimensionsAt(drawing, [], 0, say))
    parts.push(
      `<path d="${d.line}" fill="none" stroke="${strata.ink}" stroke-width="0.8"/>`,
      text(d.x, d.y, d.anchor, d.text),
    );
  for (const note of drawing.notes) parts.push(text(note.x, note.y, 'end', note.text));
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${at(width)}" height="${at(drawing.height)}" viewBox="0 0 ${at(width)} ${at(drawing.height)}">${parts.join('')}</svg>`;
}

const shortened = (name: string): string =>
  name.length > LONGEST_NAME ? `${name.slice(0, LONGEST_NAME - 1)}…` : name;
