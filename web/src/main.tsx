import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { createBrowserRouter, RouterProvider } from 'react-router';
import './app.css';
import { api } from './state/api';
import { flushEdits, keepOpenHistory, settleFor, showSaving } from './state/benchThunks';
import { desk, onDraftChanged } from './saving/here';
import { store } from './state/store';
import { benchWorker } from './worker/client';
import { applyTheme, readTheme } from './theme';
import { BrokenPage } from './views/BrokenPage';
import { KeyGate } from './views/KeyGate';
import { FloorPage } from './views/floor/FloorPage';
import { NowherePage } from './views/NowherePage';

const loadBuild = () => import('./views/build/BuildPage');
const BuildPage = lazy(loadBuild);
const loadBench = () => import('./views/bench/Bench');
const Bench = lazy(loadBench);
const PartsPage = lazy(() => import('./views/parts/PartsPage'));
const BrowsePage = lazy(() => import('./views/parts/BrowsePage'));
const OwnSheetPage = lazy(() => import('./views/parts/OwnSheetPage'));
const StockPage = lazy(() => import('./views/parts/StockPage'));
const FilesPage = lazy(() => import('./views/parts/FilesPage'));
const WiringPage = lazy(() => import('./views/wiring/WiringPage'));
const PowerPage = lazy(() => import('./views/power/PowerPage'));
const AirPage = lazy(() => import('./views/air/AirPage'));
const ComparePage = lazy(() => import('./views/compare/ComparePage'));
const BillPage = lazy(() => import('./views/bill/BillPage'));
const PoolPage = lazy(() => import('./views/pool/PoolPage'));
const BriefPage = lazy(() => import('./views/brief/BriefPage'));

applyTheme(readTheme());
onDraftChanged((id) => store.dispatch(showSaving(id)));
settleFor(store);
// What waits for the worker goes to the desk before the page does; what this page alone has is not closed away without
// asking.
addEventListener('pagehide', () => {
  flushEdits();
  keepOpenHistory(store.getState());
});
addEventListener('beforeunload', (event) => {
  flushEdits();
  if (desk.mustAsk()) event.preventDefault();
});
// The worker and, for a link to a bench, its code and catalogue start loading before React does.
benchWorker();
if (location.pathname.startsWith('/b/')) {
  void loadBuild();
  void loadBench();
  void store.dispatch(api.endpoints.catalogue.initiate());
}
const router = createBrowserRouter([
  {
    errorElement: <BrokenPage />,
    children: [
      { path: '/', element: <FloorPage /> },
      // One parent for all views of a machine: going from one to another keeps it open.
      {
        path: '/b/:id',
        element: (
          <Suspense fallback={<p className="p-6 text-mid">Opening the bench …</p>}>
            <BuildPage />
          </Suspense>
        ),
        children: [
          { index: true, element: <Bench /> },
          { path: 'brief', element: <BriefPage /> },
          { path: 'wiring', element: <WiringPage /> },
          { path: 'power', element: <PowerPage /> },
          { path: 'air', element: <AirPage /> },
          { path: 'pool', element: <PoolPage /> },
          { path: 'bill', element: <BillPage /> },
        ],
      },
      {
        path: '/parts',
        element: (
          <Suspense fallback={<p className="p-6 text-mid">Opening the parts …</p>}>
            <PartsPage />
          </Suspense>
        ),
        children: [
          { index: true, element: <BrowsePage /> },
          { path: 'own', element: <OwnSheetPage /> },
          { path: 'stock', element: <StockPage /> },
          { path: 'files', element: <FilesPage /> },
        ],
      },
      {
        path: '/compare',
        element: (
          <Suspense fallback={<p className="p-6 text-mid">Opening …</p>}>
            <ComparePage />
          </Suspense>
        ),
      },
      { path: '*', element: <NowherePage /> },
    ],
  },
]);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={store}>
      <RouterProvider router={router} />
      <KeyGate />
    </Provider>
  </StrictMode>,
);
