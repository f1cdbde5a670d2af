import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector, useStore } from 'react-redux';

import { backupReducer } from '@/features/backup/backupSlice';
import { pullsReducer } from '@/features/bench/pullsSlice';
import { displayReducer } from '@/features/display/displaySlice';
import { typedReducer } from '@/features/entry/typedSlice';
import { jobsReducer } from '@/features/jobs/jobsSlice';
import { libraryReducer } from '@/features/library/librarySlice';
import { practiceReducer } from '@/features/practice/practiceSlice';
import { shelfReducer } from '@/features/shelf/shelfSlice';
import { templatesReducer } from '@/features/worksheet/templatesSlice';
import { storageReducer } from '@/storage/storageSlice';

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
