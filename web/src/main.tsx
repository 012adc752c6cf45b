import { lazy, StrictMode, Suspense } from 'react';
import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { createBrowserRouter, RouterProvider } from 'react-router';
import './app.css';
import { store } from './state/store';
import { applyTheme, readTheme } from './theme';
import { FloorPage } from './views/floor/FloorPage';
import { NowherePage } from './views/NowherePage';

const BenchPage = lazy(() => import('./views/bench/BenchPage'));

applyTheme(readTheme());
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
