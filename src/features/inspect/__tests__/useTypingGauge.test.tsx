import { fireEvent, render, renderHook, screen } from '@testing-library/react';

import { useTypingGauge } from '../useTypingGauge';

function heard(typed = false) {
  const keys = { take: jest.fn(), erase: jest.fn(), step: jest.fn(), key: jest.fn() };
  const hook = renderHook(
    ({ typed: now }) =>
      useTypingGauge(keys as unknown as Parameters<typeof useTypingGauge>[0], now),
    { initialProps: { typed } },
  );
  return { keys, ...hook };
}
const press = (key: string, target: Element = document.body, more = {}) =>
  fireEvent.keyDown(target, { key, ...more });

describe('a gauge that types', () => {
  it('is heard key by key without a field, and its Enter takes the reading', () => {
    const { keys } = heard();
    for (const key of ['2', '.', '8', '7', ' ', 'i', 'n']) press(key);
    expect(keys.key.mock.calls.map(([k]: string[]) => k).join('')).toBe('2.87 in');
    press('Enter');
    expect(keys.take).toHaveBeenCalledTimes(1);
    press('Backspace');
    expect(keys.erase).toHaveBeenCalledTimes(1);
  });

  it('goes on and back by the page keys', () => {
    const { keys } = heard();
    press('PageDown');
    press('PageUp');
    expect(keys.step.mock.calls).toEqual([[1], [-1]]);
  });

  it('leaves to fields what is typed in them, and to the browser its own keys', () => {
    const { keys } = heard();
    render(<input aria-label="Notes" />);
    press('2', screen.getByLabelText('Notes'));
    press('Enter', screen.getByLabelText('Notes'));
    for (const more of [{ ctrlKey: true }, { metaKey: true }, { altKey: true }])
      press('r', document.body, more);
    press('F5');
    press('Tab');
    expect(keys.key).not.toHaveBeenCalled();
    expect(keys.take).not.toHaveBeenCalled();
    // What is none of its keys is not held back.
    expect(press('Tab')).toBe(true);
    expect(press('7')).toBe(false);
  });

  it('presses a button that has the focus only while nothing is typed', () => {
    const { keys, rerender } = heard(false);
    const pressed = jest.fn();
    render(<button onKeyDown={pressed}>Skip</button>);
    const button = screen.getByText('Skip');
    press('Enter', button);
    expect(keys.take).not.toHaveBeenCalled();
    expect(pressed).toHaveBeenCalledTimes(1);
    rerender({ typed: true });
    press('Enter', button);
    expect(keys.take).toHaveBeenCalledTimes(1);
    // The gauge's Enter never reaches the button.
    expect(pressed).toHaveBeenCalledTimes(1);
  });

  it('is heard no more once the run is left', () => {
    const { keys, unmount } = heard();
    unmount();
    press('2');
    press('Enter');
    expect(keys.key).not.toHaveBeenCalled();
    expect(keys.take).not.toHaveBeenCalled();
  });
});
