import { useEffect, useRef } from 'react';

import { redone, undone } from '@/state/jobs/editing';
import { useAppDispatch } from '@/state/store';
import { useKeys } from '@/ui/useKeys';

import type { LayerEdits } from './useLayerEdits';
import type { Selection } from './useSelection';

/** Keys of the section, as listed under `?`; undo and redo of a job are listed above them. */
export const LAYER_KEYS = [
  ['Up, Down', 'Next layer outward or inward'],
  ['Alt Up, Alt Down', 'Move selected layers'],
  ['Shift Up, Shift Down', 'Select one more layer'],
  ['A', 'Select all plates of this type'],
  ['D', 'Duplicate'],
  ['I', 'Insert a plate above the selected one'],
  ['T', 'Turn over'],
  ['Delete', 'Remove'],
  ['Escape', 'Clear selection'],
] as const;

/** Undo and redo outside fields; the other keys while a layer has the focus. */
export function useLayerKeys(active: boolean, selection: Selection, edits: LayerEdits): void {
  const dispatch = useAppDispatch();
  const follow = useRef(false);
  const last = selection.ids.at(-1);
  // Keeps the focus on a moved layer, which is another element.
  useEffect(() => {
    if (!follow.current) return;
    follow.current = false;
    const node = document.querySelector(`[data-testid="layer-${last ?? ''}"]`);
    if (node instanceof HTMLElement) node.focus();
  });
  useKeys((event) => {
    const command = event.ctrlKey || event.metaKey;
    const key = event.key.toLowerCase();
    if (command && (key === 'z' || key === 'y')) {
      const back = key === 'z' && !event.shiftKey;
      dispatch(back ? undone() : redone());
      return true;
    }
    if (!active || command) return false;
    const { activeElement } = document;
    const at = activeElement?.getAttribute('data-testid')?.match(/^layer-(.+)$/)?.[1];
    if (at === undefined) return false;
    if (last === undefined) selection.set([at]);
    const act = KEYS[event.key] ?? KEYS[key];
    if (!act) return false;
    follow.current = true;
    act(edits, selection, event);
    return true;
  });
}

type Act = (edits: LayerEdits, selection: Selection, event: KeyboardEvent) => void;

const along =
  (by: 1 | -1): Act =>
  (edits, selection, { altKey, shiftKey }) => {
    if (altKey) edits.move(by);
    else if (shiftKey) edits.stepMore(by);
    else edits.step(by);
  };

const KEYS: Readonly<Partial<Record<string, Act>>> = {
  ArrowUp: along(1),
  ArrowDown: along(-1),
  Delete: (edits) => edits.remove(),
  Escape: (_edits, selection) => selection.set([]),
  a: (edits) => edits.alike(),
  d: (edits) => edits.again(),
  i: (edits) => edits.insert('over'),
  t: (edits) => edits.flip(),
};
