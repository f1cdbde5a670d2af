import type { DndContextProps, DragMoveEvent } from '@dnd-kit/core';
import { MouseSensor, TouchSensor, useSensor, useSensors } from '@dnd-kit/core';
import { getEventCoordinates } from '@dnd-kit/utilities';
import { useState } from 'react';

import type { HalfSection } from '@/drawing/halfSection/halfSection';
import { gapAt } from '@/drawing/halfSection/halfSection';

/** A finger may slip this far, px, and it is still a tap. */
const SLIP = { activationConstraint: { distance: { y: 8 } } };

/** Layers are moved by keys of their own, which the tools beside the section explain. */
const QUIET: NonNullable<DndContextProps['accessibility']> = {
  announcements: {
    onDragStart: () => undefined,
    onDragOver: () => undefined,
    onDragEnd: () => undefined,
    onDragCancel: () => undefined,
  },
  screenReaderInstructions: { draggable: '' },
};

/**
 * A layer of the section dragged to another place.
 * @param pinching two fingers enlarge the section, so that neither drags a layer
 */
export function useLayerDrag(
  shape: HalfSection,
  onDrop: ((plateId: string, gap: number) => void) | undefined,
  pinching: boolean,
) {
  const [gap, setGap] = useState<number>();
  const sensors = useSensors(useSensor(MouseSensor, SLIP), useSensor(TouchSensor, SLIP));
  const gapUnder = ({ active, activatorEvent, delta }: DragMoveEvent) => {
    const row = shape.layers.find(({ layer }) => layer.plate.id === active.id)?.row;
    const top = active.rect.current.initial?.top;
    const start = getEventCoordinates(activatorEvent)?.y;
    if (!row || top === undefined || start === undefined) return undefined;
    return gapAt(shape, row.y + (start - top) + delta.y);
  };
  const context: DndContextProps = {
    sensors,
    accessibility: QUIET,
    autoScroll: false,
    onDragMove: (event) => setGap(pinching ? undefined : gapUnder(event)),
    onDragEnd: (event) => {
      setGap(undefined);
      const over = gapUnder(event);
      if (!pinching && over !== undefined) onDrop?.(String(event.active.id), over);
    },
    onDragCancel: () => setGap(undefined),
  };
  return { context, gap };
}
