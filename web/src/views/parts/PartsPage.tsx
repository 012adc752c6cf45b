import { Suspense, useEffect } from 'react';
import { NavLink, Outlet } from 'react-router';
import { problemOf, useCatalogueQuery } from '../../state/api';
import { Masthead } from '../Masthead';

const PAGES = [
  ['/parts', 'All parts'],
  ['/parts/paste', 'Paste a part'],
  ['/parts/own', 'Type a part'],
  ['/parts/stock', 'Stock'],
  ['/parts/files', 'Files'],
] as const;

/** Everything about parts apart from any machine: the catalogue, sheets of one's own, what is owned, files. */
export default function PartsPage() {
  const { data, error, refetch } = useCatalogueQuery();
  useEffect(() => {
    document.title = 'Parts · Inch Tower';
  }, []);
  return (
    <div className="flex h-full min-h-[480px] flex-col">
      <Masthead>
        <nav aria-label="Parts" className="flex gap-1 text-[14px]">
          {PAGES.map(([to, words]) => (
            <NavLink
              key={to}
              end
              to={to}
              className={({ isActive }) =>
                'flex min-h-7 items-center px-2 whitespace-nowrap ' +
                `${isActive ? 'font-semibold shadow-[inset_0_-3px_0_var(--tape)]' : 'text-mid hover:underline'}`
              }
            >
              {words}
            </NavLink>
          ))}
        </nav>
      </Masthead>
      {data ? (
        <Suspense fallback={<p className="p-6 text-mid">Opening …</p>}>
          <Outlet context={data} />
        </Suspense>
      ) : (
        <main className="p-6">
          {error ? (
            <p role="alert">
              {problemOf(error).detail}{' '}
              <button type="button" className="plain min-h-6 underline" onClick={() => void refetch()}>
                Try again
              </button>
            </p>
          ) : (
            <p className="text-mid">Fetching the catalogue …</p>
          )}
        </main>
      )}
    </div>
  );
}
