import { Suspense, useEffect, useMemo } from 'react';
import { Link, Outlet, useParams } from 'react-router';
import { classSheet, classSheetId } from '@inch-tower/core';
import { problemOf, useCatalogueQuery } from '../../state/api';
import { closeBuild, openBuild } from '../../state/benchThunks';
import { useAppDispatch, useAppSelector } from '../../state/store';
import { giveCatalogue } from '../../worker/client';
import { Masthead } from '../Masthead';

const ASK_AGAIN_MS = 4_000;

/**
 * Opens the build of the address and its catalogue, then hands over to the view asked for; the build stays open between
 * views.
 */
export default function BuildPage() {
  const { id = '' } = useParams();
  const dispatch = useAppDispatch();
  const { data: listed, error, refetch } = useCatalogueQuery();
  const sheets = useAppSelector((state) => state.bench.build?.sheets);
  const archetypes = useAppSelector((state) => state.bench.build?.archetypes);
  // While the server is away a machine is still opened, with the sheets it carries itself.
  const alone = useMemo(
    () => (error && sheets && archetypes ? { sheets, archetypes, own: [], unreadable: [] } : undefined),
    [error, sheets, archetypes],
  );
  const catalogue = listed ?? alone;
  useEffect(() => {
    if (!error) return;
    const timer = setInterval(() => void refetch(), ASK_AGAIN_MS);
    return () => clearInterval(timer);
  }, [error, refetch]);
  const opening = useAppSelector((state) => state.bench.opening);
  useEffect(() => {
    void dispatch(openBuild(id));
    return () => dispatch(closeBuild());
  }, [dispatch, id]);
  const whole = useMemo(
    () =>
      catalogue && {
        ...catalogue,
        sheets: {
          ...catalogue.sheets,
          ...Object.fromEntries(
            Object.values(catalogue.archetypes).map((one) => [classSheetId(one.id), classSheet(one)]),
          ),
        },
      },
    [catalogue],
  );
  useEffect(() => {
    if (whole) giveCatalogue(whole);
  }, [whole]);

  const name = useAppSelector((state) => state.bench.build?.name ?? '');
  useEffect(() => {
    document.title = `${name || 'Unnamed'} · Inch Tower`;
  }, [name]);

  if (opening === 'ready' && whole)
    return (
      <Suspense fallback={<p className="p-6 text-mid">Opening …</p>}>
        <Outlet context={whole} />
      </Suspense>
    );
  const words =
    opening === 'missing'
      ? 'There is no machine at this address. It may have been taken down.'
      : opening === 'failed'
        ? 'The server does not answer, and this browser keeps no copy of the machine.'
        : opening === 'unreadable'
          ? 'This machine was saved by a later Inch Tower. Load this page anew to get that one; nothing was changed.'
          : error
            ? problemOf(error).detail
            : null;
  return (
    <div>
      <Masthead />
      <main className="p-6">
        {words ? (
          <p role="alert">
            {words}{' '}
            <Link className="underline" to="/">
              Back to your machines
            </Link>
          </p>
        ) : (
          <p className="text-mid">Opening the bench …</p>
        )}
      </main>
    </div>
  );
}
