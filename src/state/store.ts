import { addListener, configureStore, createListenerMiddleware } from '@reduxjs/toolkit';
import { useDispatch, useSelector, useStore } from 'react-redux';

import { askedReducer } from './askedSlice';
import { benchReducer } from './benchSlice';
import { backupReducer } from './backupSlice';
import { pullsReducer } from './pullsSlice';
import { displayReducer } from './displaySlice';
import { typedReducer } from './typedSlice';
import { jobsReducer } from '@/state/jobs/jobsSlice';
import { libraryReducer } from './librarySlice';
import { practiceReducer } from './practiceSlice';
import { shelfReducer } from './shelfSlice';
import { templatesReducer } from './templatesSlice';
import { storageReducer } from './storageSlice';
import { verdictsReducer } from './verdictsSlice';

const SLOW_MS = 10_000;

export function makeStore() {
  return configureStore({
    reducer: {
      jobs: jobsReducer,
      shelf: shelfReducer,
      library: libraryReducer,
      templates: templatesReducer,
      display: displayReducer,
      backup: backupReducer,
      typed: typedReducer,
      pulls: pullsReducer,
      practice: practiceReducer,
      storage: storageReducer,
      verdicts: verdictsReducer,
      asked: askedReducer,
      bench: benchReducer,
    },
    middleware: (defaults) =>
      // Redux's checks, which run in development alone, take long over a large workshop: that is known.
      defaults({
        immutableCheck: { warnAfter: SLOW_MS },
        serializableCheck: { warnAfter: SLOW_MS },
      }).prepend(createListenerMiddleware().middleware),
  });
}

export type AppStore = ReturnType<typeof makeStore>;
export type RootState = ReturnType<AppStore['getState']>;

/** Adds listeners to actions, such as saving. */
export const addAppListener = addListener.withTypes<RootState, AppStore['dispatch']>();

export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();
export const useAppSelector = useSelector.withTypes<RootState>();
export const useAppStore = useStore.withTypes<AppStore>();
