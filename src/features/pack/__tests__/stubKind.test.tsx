import { fireEvent, render, screen } from '@testing-library/react';
import { PaperProvider } from 'react-native-paper';
import { Provider } from 'react-redux';

import { blankJob } from '@/core/job/blank';
import { hasPlace } from '@/features/entry/askedFor';
import { UnitsProvider } from '@/features/display/useUnits';
import { jobActions } from '@/state/jobs/jobsSlice';
import { JobContext } from '@/state/jobs/useJob';
import { makeStore } from '@/state/store';
import { limestone } from '@/ui/theme';

import { MachineTab } from '../MachineTab';
import type * as Stub from '@/core/clutch/__tests__/stub/kind';
import type * as Kinds from '@/core/clutch/kinds';

jest.mock('@/core/clutch/kinds', () => {
  const { CLUTCH_KINDS } = jest.requireActual<typeof Kinds>('@/core/clutch/kinds');
  const { stub } = jest.requireActual<typeof Stub>('@/core/clutch/__tests__/stub/kind');
  return { CLUTCH_KINDS: [...CLUTCH_KINDS, stub] };
});

describe('a kind of clutch that is one folder and one line', () => {
  it('is selected and filled in on the screen, with its results below', () => {
    const store = makeStore();
    const job = blankJob('one', 'UR-1', '2026-11-28T10:00:00.000Z');
    store.dispatch(jobActions.jobsLoaded({ jobs: [job], drafts: {} }));
    render(
      <Provider store={store}>
        <PaperProvider theme={limestone}>
          <JobContext.Provider value="one">
            <UnitsProvider>
              <MachineTab />
            </UnitsProvider>
          </JobContext.Provider>
        </PaperProvider>
      </Provider>,
    );
    expect(screen.queryByRole('textbox', { name: 'Wedge height' })).toBeNull();
    fireEvent.click(screen.getByRole('radio', { name: 'A wedge' }));
    const height = screen.getByRole('textbox', { name: 'Wedge height' });
    fireEvent.focus(height);
    fireEvent.change(height, { target: { value: '1.5' } });
    fireEvent.blur(height);
    expect(screen.getByText('Room beside the wedge')).toBeTruthy();
    expect(store.getState().jobs.entities['one']?.fittings).toMatchObject({
      stub: { type: 'wedge', height: { value: 1.5 } },
    });
    expect(hasPlace('fittings.stub.height')).toBe(true);
  });
});
