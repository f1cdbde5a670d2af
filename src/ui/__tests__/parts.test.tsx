import { fireEvent, render, screen } from '@testing-library/react';
import { PaperProvider } from 'react-native-paper';

import { Choice } from '../Choice';
import { Formula } from '@/features/figures/Formula';
import { Field } from '../Field';
import { STAGES } from '@/core/job/types';
import { RidgeEdge, RidgeLine } from '@/features/job/Ridge';
import { StateMark } from '../StateMark';
import { limestone } from '../theme';

const show = (part: React.ReactNode) =>
  render(<PaperProvider theme={limestone}>{part}</PaperProvider>);

describe('shared parts', () => {
  it('give a state as a word where no word is beside the mark', () => {
    show(
      <>
        <StateMark state="stop" label />
        <StateMark state="good" />
      </>,
    );
    expect(screen.getAllByRole('img').map((e) => e.getAttribute('aria-label'))).toEqual(['Stop']);
  });

  it('offer a choice as radio buttons and report the one taken', () => {
    const onChange = jest.fn();
    const options = [
      { value: 'a', label: 'Friction disc' },
      { value: 'b', label: 'Steel' },
    ];
    show(<Choice label="First and last" value="a" options={options} onChange={onChange} />);
    expect(screen.getByRole('radio', { name: 'Friction disc' }).getAttribute('aria-checked')).toBe(
      'true',
    );
    fireEvent.click(screen.getByRole('radio', { name: 'Steel' }));
    expect(onChange).toHaveBeenCalledWith('b');
  });

  it('name a field, say what is wrong with it, and lock it where nothing may be typed', () => {
    const field = (props: object) => (
      <Field label="Lift" value="1.7" onChangeText={() => undefined} {...props} />
    );
    const { rerender } = show(field({ message: 'give a number above 0' }));
    const box = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'Lift' });
    expect(box().getAttribute('aria-invalid')).toBe('true');
    expect(document.getElementById(box().getAttribute('aria-describedby') ?? '')?.textContent).toBe(
      'give a number above 0',
    );
    rerender(<PaperProvider theme={limestone}>{field({ editable: false })}</PaperProvider>);
    expect(box().getAttribute('aria-invalid')).not.toBe('true');
    expect(box().readOnly).toBe(true);
  });

  it('set what follows an underscore low, without the underscore', () => {
    const { container } = show(<Formula>{'K = T_cap/T_req, F_(k+1)'}</Formula>);
    expect(container.textContent).toBe('K = Tcap/Treq, Fk+1');
  });

  it('give the stage of a job as text', () => {
    show(<RidgeLine stage="build" width={390} />);
    expect(screen.getByRole('navigation', { name: 'Stage 5 of 8: Build' })).toBeTruthy();
  });

  it.each([
    ['lying', <RidgeLine key="l" stage="inspect" width={390} openable={STAGES} left={['strip']} />],
    [
      'standing',
      <RidgeEdge key="e" stage="inspect" height={600} openable={STAGES} left={['strip']} />,
    ],
  ])('tell of each stage of a %s ridge whether it was passed whole', (_how, ridge) => {
    show(ridge);
    expect(screen.getAllByRole('link').map((l) => l.getAttribute('aria-label'))).toEqual([
      'Intake, passed',
      'Strip, passed, with open items',
      'Inspect, current stage',
      'Specify, not started',
      'Build, not started',
      'Set, not started',
      'Prove, not started',
      'Log, not started',
    ]);
  });
});
