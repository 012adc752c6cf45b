import { lazy, StrictMode, Suspense, type ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { BrowserRouter, Route, Routes, useLocation } from 'react-router';
import './app.css';
import { api } from './state/api';
import { flushEdits, keepOpenHistory, settleFor, showSaving } from './state/benchThunks';
import { desk, onDraftChanged } from './saving/here';
import { store } from './state/store';
import { benchWorker } from './worker/client';
import { applyTheme, readTheme } from './theme';
import { Unbroken } from './views/BrokenPage';
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
const PanelsPage = lazy(() => import('./views/parts/PanelsPage'));
const PastePage = lazy(() => import('./views/parts/PastePage'));
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
const waiting = (words: string, page: ReactNode) => (
  <Suspense fallback={<p className="p-6 text-mid">{words}</p>}>{page}</Suspense>
);
/** Broken views are told where they stood, and left by going elsewhere. */
function Views() {
  return (
    <Unbroken where={useLocation().key}>
      <Routes>
        <Route path="/" element={<FloorPage />} />
        {/* One parent for all views of a machine: going from one to another keeps it open. */}
        <Route path="/b/:id" element={waiting('Opening the bench …', <BuildPage />)}>
          <Route index element={<Bench />} />
          <Route path="brief" element={<BriefPage />} />
          <Route path="wiring" element={<WiringPage />} />
          <Route path="power" element={<PowerPage />} />
          <Route path="air" element={<AirPage />} />
          <Route path="pool" element={<PoolPage />} />
          <Route path="bill" element={<BillPage />} />
        </Route>
        <Route path="/parts" element={waiting('Opening the parts …', <PartsPage />)}>
          <Route index element={<BrowsePage />} />
          <Route path="own" element={<OwnSheetPage />} />
          <Route path="panels" element={<PanelsPage />} />
          <Route path="paste" element={<PastePage />} />
          <Route path="stock" element={<StockPage />} />
          <Route path="files" element={<FilesPage />} />
        </Route>
        <Route path="/compare" element={waiting('Opening …', <ComparePage />)} />
        <Route path="*" element={<NowherePage />} />
      </Routes>
    </Unbroken>
  );
}

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={store}>
      <BrowserRouter>
        <Views />
      </BrowserRouter>
      <KeyGate />
    </Provider>
  </StrictMode>,
);
