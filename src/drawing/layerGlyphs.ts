import type { Facing } from '@/core/job/types';

import type { Box } from './sectionShape';

/* Signs on a layer, as paths for any drawing. */

const tallIn = ({ height }: Box): number => Math.min(4.5, height / 2 - 0.5);

/** A thin wavy ring, seen from the side: a judder spring in its bore. */
export function wave({ x, y, width, height }: Box): string {
  const step = width / 4;
  const up = (n: number) => (n % 2 === 0 ? y : y + height);
  return [0, 1, 2, 3, 4].map((n) => `${n === 0 ? 'M' : 'L'}${x + n * step} ${up(n)}`).join('');
}

/** Wedges that press apart: a disc that grows with rpm. */
export function wedges(core: Box): string {
  const centre = core.x + core.width / 2;
  const mid = core.y + core.height / 2;
  const tall = tallIn(core);
  return `M${centre - 16} ${mid}l8 ${-tall}l8 ${tall}zM${centre} ${mid}l8 ${tall}l8 ${-tall}z`;
}

/** Which way the marked face of a plate looks. */
export function pointer(core: Box, facing: Facing): string {
  const mid = core.y + core.height / 2;
  const tall = facing === 'outward' ? tallIn(core) : -tallIn(core);
  return `M${core.x + 8} ${mid + tall}l5 ${-2 * tall}l5 ${2 * tall}z`;
}
