import { act, renderHook } from '@testing-library/react';
import { router } from 'expo-router';
import type { PropsWithChildren } from 'react';
import { Provider } from 'react-redux';

import { FIELDS } from '@/core/job/fields';

import { makeStore } from '@/state/store';

import { hasPlace, placeOf, useAskedUnder, useFocusField, useGoToField } from '../askedFor';

jest.mock('expo-router', () => ({ router: { setParams: jest.fn() } }));

/** What a part of the screen sees of the field that is asked for, and the ways to ask. */
function setUp(beginning: string) {
  const store = makeStore();
  const wrapper = ({ children }: PropsWithChildren) => (
    <Provider store={store}>{children}</Provider>
  );
  return renderHook(
    () => ({
      asked: useAskedUnder(beginning),
      focusField: useFocusField(),
      goToField: useGoToField(),
    }),
    { wrapper },
  ).result;
}

/** Frames come when the test says so. */
let frames: FrameRequestCallback[] = [];
function nextFrame(times = 1): void {
  for (let i = 0; i < times; i++) {
    const due = frames;
    frames = [];
    act(() => due.forEach((frame) => frame(0)));
  }
}

beforeEach(() => {
  frames = [];
  document.body.innerHTML = '';
  jest.spyOn(globalThis, 'requestAnimationFrame').mockImplementation((frame) => frames.push(frame));
  globalThis.CSS = { escape: (text: string) => text } as typeof CSS;
  HTMLElement.prototype.scrollIntoView = jest.fn();
  Object.defineProperty(HTMLElement.prototype, 'offsetParent', {
    configurable: true,
    get: () => document.body,
  });
});
afterEach(() => {
  nextFrame(60);
  jest.restoreAllMocks();
});

describe('a field that is asked for from elsewhere', () => {
  it('gets the focus once it is drawn, and its part opens meanwhile', () => {
    const result = setUp('release.');
    expect(result.current.asked).toBe(false);
    act(() => result.current.focusField('release.leverTravel'));
    expect(result.current.asked).toBe(true);
    nextFrame(3);
    document.body.innerHTML = '<input data-testid="release.leverTravel" />';
    nextFrame();
    expect(document.activeElement?.getAttribute('data-testid')).toBe('release.leverTravel');
    expect(result.current.asked).toBe(false);
  });

  it('is waited for no longer than a few frames', () => {
    const result = setUp('pack.');
    act(() => result.current.focusField('pack.windowMin'));
    nextFrame(60);
    expect(result.current.asked).toBe(false);
    expect(frames).toHaveLength(0);
  });

  it('is looked for in the part of Specify that holds it', () => {
    const result = setUp('springs.');
    act(() => result.current.goToField('springs.coil.shim'));
    expect(router.setParams).toHaveBeenCalledWith({ stage: 'specify', tab: 'springs' });
    act(() => result.current.goToField('engine.idleRpm'));
    expect(router.setParams).toHaveBeenLastCalledWith({ stage: 'specify', tab: 'machine' });
    // A field elsewhere changes no page.
    jest.mocked(router.setParams).mockClear();
    act(() => result.current.goToField('prove.recheckLift'));
    expect(router.setParams).not.toHaveBeenCalled();
  });

  it('is in one part, in the order of the parts', () => {
    expect(placeOf('engine.peakTorque')).toBeLessThan(placeOf('pack.windowMin'));
    expect(placeOf('pack.windowMin')).toBeLessThan(placeOf('springs.coil.shim'));
    expect(placeOf('springs.coil.shim')).toBeLessThan(placeOf('release.leverTravel'));
    const placed = Object.keys(FIELDS).filter(hasPlace);
    expect(placed.length).toBeGreaterThan(60);
    expect(placed.some((path) => path.startsWith('prove.'))).toBe(false);
  });
});
