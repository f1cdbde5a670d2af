import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector, useStore } from 'react-redux';

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
    },
    // Both checks walk the whole state after every key; types and tests guard the same.
    middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }),
  });
}

export type AppStore = ReturnType<typeof makeStore>;
export type RootState = ReturnType<AppStore['getState']>;

export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();
export const useAppSelector = useSelector.withTypes<RootState>();
export const useAppStore = useStore.withTypes<AppStore>();
