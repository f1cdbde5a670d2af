import { crag } from '@/testing/jobs';
import { act, fireEvent, render, screen } from '@testing-library/react';
import { PaperProvider } from 'react-native-paper';
import { Provider } from 'react-redux';

import { entryAt } from '@/core/job/entryAt';
import type { Job } from '@/core/job/types';
import { displayActions } from '@/state/displaySlice';
import { UnitsProvider } from '@/features/display/useUnits';
import { jobActions } from '@/state/jobs/jobsSlice';
import { JobContext } from '@/state/jobs/useJob';
import { makeStore } from '@/state/store';
import { limestone } from '@/ui/theme';

import { EntryField } from '../EntryField';

const PATH = 'engine.peakTorque';

function setUp() {
  const store = makeStore();
  const jobs = [crag()];
  store.dispatch(jobActions.jobsLoaded({ jobs, drafts: {} }));
  const id = jobs[0]?.id ?? '';
  render(
    <Provider store={store}>
      <PaperProvider theme={limestone}>
        <JobContext.Provider value={id}>
          <UnitsProvider>
            <EntryField path={PATH} />
          </UnitsProvider>
        </JobContext.Provider>
      </PaperProvider>
    </Provider>,
  );
  const field = () => screen.getByRole<HTMLInputElement>('textbox', { name: 'Engine peak torque' });
  const entry = () => entryAt(store.getState().jobs.entities[id] as Job, PATH);
  return { store, field, entry };
}

describe('a field for a number', () => {
  it('leaves the value alone while it is only looked at', () => {
    const { field, entry } = setUp();
    const before = entry();
    fireEvent.focus(field());
    fireEvent.blur(field());
    expect(field().value).toBe('40');
    expect(entry()).toBe(before);
  });

  it('shows another unit without touching what is stored', () => {
    const { store, field, entry } = setUp();
    act(() => void store.dispatch(displayActions.unitChosen({ quantity: 'torque', unit: 'ftlb' })));
    expect(field().value).toBe('29.5');
    expect(entry()?.value).toBe(40);
  });

  it('keeps what it refuses, and says why once the press that left it is over', async () => {
    const { field, entry } = setUp();
    fireEvent.focus(field());
    fireEvent.change(field(), { target: { value: '4x' } });
    expect(screen.queryByText(/not a unit/)).toBeNull();
    fireEvent.blur(field());
    // Words that came up at once would move what the finger is on.
    expect(screen.queryByText(/not a unit/)).toBeNull();
    expect(await screen.findByText(/“x” is not a unit for this field/)).toBeTruthy();
    expect(field().value).toBe('4x');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    expect(entry()).toBeUndefined();
  });
});
