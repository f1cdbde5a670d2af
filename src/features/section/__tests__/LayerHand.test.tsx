import { act, createEvent, fireEvent, render, screen } from '@testing-library/react';
import { View } from 'react-native';

import { workOut } from '@/core/evaluate/evaluate';
import { demoJob } from '@/demo/jobs';
import { shapeSection } from '@/drawing/sectionShape';

import { LayerHand } from '../LayerHand';

/* Fingers on the drawing, through the events that a browser sends. */

const { layout } = workOut(demoJob('UR-0106'));
const shape = shapeSection(layout, 300, 500);
/** The middle of a layer, by number from the floor. */
const middle = (number: number): number => {
  const row = shape.layers[number - 1]?.row;
  if (!row) throw new Error(`There is no layer ${number}.`);
  return row.y + row.height / 2;
};
const idOf = (number: number) => shape.layers[number - 1]?.layer.plate.id;

const touch = (points: readonly (readonly [number, number])[]) =>
  points.map(([x, y], identifier) => ({
    identifier,
    pageX: x,
    pageY: y,
    clientX: x,
    clientY: y,
    force: 1,
    target: screen.getByTestId('drawing'),
  }));

type Points = readonly (readonly [number, number])[];

let clock = 0;

function send(type: 'touchStart' | 'touchMove' | 'touchEnd', now: Points, changed = now): void {
  const drawing = screen.getByTestId('drawing');
  const event = createEvent[type](drawing, {
    touches: touch(now),
    targetTouches: touch(now),
    changedTouches: touch(changed),
  });
  // Moves at one and the same moment count as one.
  Object.defineProperty(event, 'timeStamp', { value: (clock += 16) });
  act(() => void fireEvent(drawing, event));
}

function hand({ drops = true, pinches = true } = {}) {
  const [onGap, onDrop, onPinch] = [jest.fn(), jest.fn(), jest.fn()];
  const made = new LayerHand(onGap);
  render(<View testID="drawing" {...made.handlers} />);
  made.update({
    shape,
    frame: undefined,
    ...(drops ? { onDrop } : {}),
    ...(pinches ? { onPinch } : {}),
  });
  return { onGap, onDrop, onPinch };
}

describe('the hand on the section', () => {
  it('drags the layer on which it came down to the gap where it is let go', () => {
    const { onGap, onDrop } = hand();
    send('touchStart', [[100, middle(2)]]);
    send('touchMove', [[100, middle(4)]]);
    send('touchMove', [[100, middle(6) - 1]]);
    expect(onGap).toHaveBeenLastCalledWith(6);
    send('touchEnd', [], [[100, middle(6) - 1]]);
    expect(onDrop).toHaveBeenCalledTimes(1);
    expect(onDrop).toHaveBeenCalledWith(idOf(2), 6);
    // Nothing is marked any more.
    expect(onGap).toHaveBeenLastCalledWith(undefined);
  });

  it.each([
    ['a finger that only slips', 0, 7],
    ['one that goes along the layer', 60, 20],
  ])('leaves %s to others: a tap, or scrolling', (_what, dx, dy) => {
    const { onDrop, onGap } = hand();
    send('touchStart', [[100, middle(2)]]);
    send('touchMove', [[100 + dx, middle(2) + dy]]);
    send('touchEnd', [], [[100 + dx, middle(2) + dy]]);
    expect(onDrop).not.toHaveBeenCalled();
    expect(onGap).not.toHaveBeenCalled();
  });

  it('drags nothing where nothing may be moved', () => {
    const { onGap } = hand({ drops: false });
    send('touchStart', [[100, middle(2)]]);
    send('touchMove', [[100, middle(6)]]);
    send('touchEnd', [], [[100, middle(6)]]);
    expect(onGap).not.toHaveBeenCalled();
  });

  it('spreads two fingers by their distance, and drops no layer', () => {
    const { onPinch, onDrop } = hand();
    send('touchStart', [[100, 100]]);
    send('touchStart', [
      [100, 100],
      [100, 200],
    ]);
    send('touchMove', [
      [100, 100],
      [100, 200],
    ]);
    send('touchMove', [
      [100, 50],
      [100, 250],
    ]);
    expect(onPinch).toHaveBeenLastCalledWith(2, false);
    send('touchEnd', [], [[100, 250]]);
    expect(onPinch).toHaveBeenLastCalledWith(2, true);
    expect(onDrop).not.toHaveBeenCalled();
  });
});
