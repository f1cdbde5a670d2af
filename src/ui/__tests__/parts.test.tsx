import { fireEvent, render, screen } from '@testing-library/react';
import { PaperProvider } from 'react-native-paper';

import { Choice } from '../Choice';
import { Formula } from '../Formula';
import { RidgeLine } from '../Ridge';
import { StateMark } from '../StateMark';
import { limestone } from '../theme';

const show = (part: React.ReactNode) =>
  render(<PaperProvider theme={limestone}>{part}</PaperProvider>);

describe('shared parts', () => {
  it('tell a state by a word where no word stands beside the mark', () => {
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

  it('set what follows an underscore low, without the underscore', () => {
    const { container } = show(<Formula>{'K = T_cap/T_req, F_(k+1)'}</Formula>);
    expect(container.textContent).toBe('K = Tcap/Treq, Fk+1');
  });

  it('say in words at which stage a job stands', () => {
    show(<RidgeLine stage="build" width={390} />);
    expect(screen.getByRole('navigation', { name: 'Stage 5 of 8: Build' })).toBeTruthy();
  });
});
