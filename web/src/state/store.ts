import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector, useStore } from 'react-redux';
import { api } from './api';
import { benchSlice } from './benchSlice';

export const store = configureStore({
  reducer: { bench: benchSlice.reducer, [api.reducerPath]: api.reducer },
  // A build is a deep tree: checking all of it at every action is for development only, and with room.
  middleware: (defaults) =>
    defaults({ immutableCheck: { warnAfter: 200 }, serializableCheck: { warnAfter: 200 } }).concat(api.middleware),
});
export type RootState = ReturnType<typeof store.getState>;
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();
export const useAppStore = useStore.withTypes<typeof store>();
export const useAppSelector = useSelector.withTypes<RootState>();
