import type { Cutaway } from '@/core/takeoff/cutaway';
import type { HalfSection } from '@/drawing/halfSection/halfSection';
import { drawHalfSection } from '@/drawing/halfSection/halfSection';
import type { Subject } from '@/drawing/halfSection/measures';

/** The half-section that the cutaway moves. */
export interface Scene {
  readonly drawing: HalfSection;
  /** So many times as wide as they are, gaps are drawn. */
  readonly times: number;
  /** The layer above each friction face, by number. */
  readonly faces: readonly number[];
}

/** The drawing of a cutaway, with the room that its plates ever take. */
export const sceneOf = (
  subject: Subject,
  { widest, layout }: Cutaway,
  width: number,
  height: number,
  times: number,
): Scene => ({
  drawing: drawHalfSection(subject, { width, height, room: widest * times }),
  times,
  faces: layout.slipping.map((f) => f.above),
});
