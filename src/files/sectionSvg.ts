import type { PackLayout } from '@/core/evaluate/engine/layers';
import type { UnitChoice } from '@/core/units/quantity';
import { formatWithUnit } from '@/core/units/quantity';
import { LIMESTONE } from '@/drawing/palette';
import type { Box, SectionState } from '@/drawing/sectionShape';
import { shapeSection } from '@/drawing/sectionShape';
import { spreadLabels } from '@/drawing/spreadLabels';

import { at, escapeXml } from './svgText';

interface Options extends SectionState {
  readonly width: number;
  readonly height: number;
  readonly units?: UnitChoice;
  /** Plates with something wrong, by identifier. */
  readonly wrong?: ReadonlySet<string>;
  /** Family of the labels. */
  readonly font?: string;
}

const LABELS = 170;
const LABEL_SIZE = 9;

function rect(box: Box, attributes: string): string {
  return `<rect x="${at(box.x)}" y="${at(box.y)}" width="${at(box.width)}" height="${at(box.height)}" ${attributes}/>`;
}

/**
 * The section of a pack as an SVG document: the drawing of the screen, in the light colours, with each plate's name and
 * thickness beside it. Nothing in it but shapes and text.
 */
export function sectionSvg(
  layout: PackLayout,
  { width, height, units = {}, wrong = new Set(), font = 'sans-serif', ...state }: Options,
): string {
  const drawn = width - LABELS;
  const shape = shapeSection(layout, drawn, height, state);
  const c = LIMESTONE;
  const parts: string[] = [];
  parts.push(
    `<polygon points="${shape.ridge.map((p) => p.map(at).join(',')).join(' ')}" fill="${c.slate}"/>`,
    rect(shape.pressurePlate, `fill="${c.slate}"`),
    rect(shape.floor, `fill="${c.floor}"`),
  );
  for (const s of shape.layers) {
    const { layer, core } = s;
    const fill = layer.lined !== 'none' || layer.turnsWith === 'basket' ? c.ochreDeep : c.steel;
    parts.push(rect(core, `fill="${fill}"`));
    for (const lining of s.linings) parts.push(rect(lining, `fill="${c.ochre}"`));
    for (const ghost of s.ghosts)
      parts.push(
        rect(ghost, `fill="none" stroke="${c.ochre}" stroke-width="0.6" stroke-dasharray="3 2"`),
      );
    parts.push(
      `<line x1="${at(core.x)}" y1="${at(core.y)}" x2="${at(core.x + core.width)}" y2="${at(core.y)}" stroke="#FFFFFF" stroke-width="0.7"/>`,
    );
    if (s.judder)
      parts.push(rect(s.judder, `fill="none" stroke="${c.ink}" stroke-width="1" rx="2"`));
    if (s.joint) parts.push(rect(s.joint, `fill="${c.ink}"`));
    if (s.assumed) parts.push(rect(core, `fill="none" stroke="${c.ink}" stroke-dasharray="4 3"`));
    if (wrong.has(layer.plate.id))
      parts.push(
        rect(
          { x: 1.5, y: s.row.y - 1, width: drawn - 3, height: s.row.height + 2 },
          `fill="none" stroke="${c.stop}" stroke-width="2" stroke-dasharray="5 3"`,
        ),
      );
  }
  const mids = shape.layers.map((s) => s.row.y + s.row.height / 2);
  const labels = spreadLabels(mids, LABEL_SIZE + 3, 8, shape.height - 8);
  shape.layers.forEach(({ layer, expands }, i) => {
    const y = labels[i] ?? 0;
    const mid = mids[i] ?? 0;
    const words = [
      `${layer.number} ${layer.kind.name}`,
      layer.thickness === undefined ? '' : formatWithUnit(layer.thickness, 'length', units),
      layer.plate.facing === 'outward' ? 'out' : layer.plate.facing === 'inward' ? 'in' : '',
      layer.plate.judder ? 'judder pair' : '',
      expands ? 'expands' : '',
    ].filter(Boolean);
    parts.push(
      `<line x1="${at(drawn - 2)}" y1="${at(mid)}" x2="${at(drawn + 8)}" y2="${at(y)}" stroke="${c.soft}" stroke-width="0.6"/>`,
      `<text x="${at(drawn + 11)}" y="${at(y + LABEL_SIZE * 0.35)}" font-family="${escapeXml(font)}" font-size="${LABEL_SIZE}" fill="${c.ink}">${escapeXml(words.join(', ').slice(0, 200))}</text>`,
    );
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${at(width)}" height="${at(shape.height)}" viewBox="0 0 ${at(width)} ${at(shape.height)}">${parts.join('')}</svg>`;
}
