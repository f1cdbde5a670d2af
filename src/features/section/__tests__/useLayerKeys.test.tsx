import { typeInField } from '@/state/jobs/editJob';
import { cleanup, fireEvent, render, renderHook, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';

import { coilPack } from '@/testing/packs';
import { historyOpened } from '@/state/jobs/editing';
import { jobActions } from '@/state/jobs/jobsSlice';
import { makeStore } from '@/state/store';

import type { LayerEdits } from '../useLayerEdits';
import { LAYER_KEYS, useLayerKeys } from '../useLayerKeys';

const NAMES = [
  'move',
  'drop',
  'again',
  'flip',
  'remove',
  'insert',
  'kind',
  'thickness',
  'alike',
  'step',
  'stepMore',
] as const;

function keys({ active = true, ids = ['p1'] }: { active?: boolean; ids?: readonly string[] } = {}) {
  const edits = Object.fromEntries(NAMES.map((name) => [name, jest.fn()])) as unknown as Record<
    (typeof NAMES)[number],
    jest.Mock
  >;
  const set = jest.fn();
  const store = makeStore();
  const job = coilPack();
  store.dispatch(jobActions.jobsLoaded({ jobs: [job], drafts: {} }));
  store.dispatch(historyOpened({ jobId: job.id }));
  const wrapper = ({ children }: { readonly children: ReactNode }) => (
    <Provider store={store}>{children}</Provider>
  );
  const selection = { ids, set } as unknown as Parameters<typeof useLayerKeys>[1];
  renderHook(() => useLayerKeys(active, selection, edits as unknown as LayerEdits), {
    wrapper,
  });
  render(
    <>
      <button data-testid="layer-p1">Disc</button>
      <button data-testid="layer-p2">Steel</button>
      <input aria-label="Notes" />
    </>,
  );
  const press = (key: string, more = {}, id = 'layer-p1') => {
    const at = screen.getByTestId(id);
    at.focus();
    return fireEvent.keyDown(at, { key, ...more });
  };
  return { edits, set, store, job, press };
}

describe('the keys of the section', () => {
  it.each<[string, object, (typeof NAMES)[number], readonly unknown[]]>([
    ['ArrowUp', {}, 'step', [1]],
    ['ArrowDown', {}, 'step', [-1]],
    ['ArrowUp', { altKey: true }, 'move', [1]],
    ['ArrowDown', { altKey: true }, 'move', [-1]],
    ['ArrowUp', { shiftKey: true }, 'stepMore', [1]],
    ['ArrowDown', { shiftKey: true }, 'stepMore', [-1]],
    ['a', {}, 'alike', []],
    ['A', { shiftKey: true }, 'alike', []],
    ['d', {}, 'again', []],
    ['i', {}, 'insert', ['over']],
    ['t', {}, 'flip', []],
    ['Delete', {}, 'remove', []],
  ])('%s with %j is %s', (key, more, edit, args) => {
    const { edits, press } = keys();
    // Used up: the page does not scroll by it.
    expect(press(key, more)).toBe(false);
    expect(edits[edit]).toHaveBeenCalledTimes(1);
    expect(edits[edit]).toHaveBeenCalledWith(...args);
    for (const other of NAMES) if (other !== edit) expect(edits[other]).not.toHaveBeenCalled();
  });

  it('chooses the layer that has the focus where none is chosen, and none by Escape', () => {
    const none = keys({ ids: [] });
    none.press('d', {}, 'layer-p2');
    expect(none.set).toHaveBeenCalledWith(['p2']);
    cleanup();
    const some = keys();
    some.press('Escape');
    expect(some.set).toHaveBeenLastCalledWith([]);
  });

  it('takes steps back and does them again from anywhere that is no field', () => {
    const { store, job } = keys({ active: false });
    const torque = () => store.getState().jobs.entities[job.id]?.engine.peakTorque?.value;
    const was = torque();
    store.dispatch(typeInField(job.id, 'engine.peakTorque', '51', {}));
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true });
    expect(torque()).toBe(was);
    fireEvent.keyDown(document.body, { key: 'y', ctrlKey: true });
    expect(torque()).toBe(51);
    fireEvent.keyDown(document.body, { key: 'Z', metaKey: true });
    expect(torque()).toBe(was);
    fireEvent.keyDown(document.body, { key: 'Z', ctrlKey: true, shiftKey: true });
    expect(torque()).toBe(51);
    // In a field the browser's own undo is meant.
    fireEvent.keyDown(screen.getByLabelText('Notes'), { key: 'z', ctrlKey: true });
    expect(torque()).toBe(51);
  });

  it('does nothing to layers elsewhere, or while there is no section to edit', () => {
    const elsewhere = keys();
    fireEvent.keyDown(document.body, { key: 'd' });
    fireEvent.keyDown(screen.getByLabelText('Notes'), { key: 'Delete' });
    expect(NAMES.some((name) => elsewhere.edits[name].mock.calls.length > 0)).toBe(false);
  });

  it('has a key for each that is listed', () => {
    keys();
    expect(LAYER_KEYS.map(([key]) => key)).toEqual(
      expect.arrayContaining(['A', 'D', 'I', 'T', 'Delete', 'Escape']),
    );
  });
});
