import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { createBrowserRouter, RouterProvider } from 'react-router';
import './app.css';
import { api } from './state/api';
import { store } from './state/store';
import { benchWorker } from './worker/client';
import { applyTheme, readTheme } from './theme';
import { FloorPage } from './views/floor/FloorPage';
import { NowherePage } from './views/NowherePage';

const loadBench = () => import('./views/bench/BenchPage');
const BenchPage = lazy(loadBench);

applyTheme(readTheme());
// The worker and, for a link to a bench, its code and catalogue start loading before React does.
benchWorker();
if (location.pathname.startsWith('/b/')) {
  void loadBench();
  void store.dispatch(api.endpoints.catalogue.initiate());
}
const router = createBrowserRouter([
  { path: '/', element: <FloorPage /> },
  { path: '/b/:id', element: <Suspense fallback={<p className="p-6 text-mid">Opening the bench …</p>}><BenchPage /></Suspense> },
  { path: '*', element: <NowherePage /> },
]);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>
  </StrictMode>,
);
