import { useCallback, useEffect, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { newBuild, parseBuildText, LIMITS, type Build } from '@inch-tower/core';
import { freshId } from '../../freshId';
import {
  problemOf,
  useBuildsQuery,
  useCreateBuildMutation,
  useDeleteBuildMutation,
  useLazyWholeBuildQuery,
  type BuildCard,
} from '../../state/api';
import { desk, onDraftChanged } from '../../saving/here';
import { forgetKeys, keptOf } from '../../saving/keptStore';
import { Masthead } from '../Masthead';
import type { Leaving } from './DeleteQuestion';
import { FloorLine } from './FloorLine';
import { KeptLine } from './KeptLine';

const PAGE = 60;
/** From so many machines on they are looked for by name. */
const SEARCH_FROM = 13;
const SEARCH_AFTER_MS = 200;
const LOOK_AGAIN_MS = 1_500;

/** The builds as elevations standing on one floor line, all to one scale. */
export function FloorPage() {
  const [typed, setTyped] = useState('');
  const search = useLater(typed, SEARCH_AFTER_MS);
  const [limit, setLimit] = useState(PAGE);
  const { data, error, isLoading, refetch } = useBuildsQuery({ search, limit });
  // Cards are worked out after each save: until they are there the list is asked for again.
  const waits = data?.builds.some(({ card }) => card === null) ?? false;
  useEffect(() => {
    if (!waits) return;
    const timer = setInterval(() => void refetch(), LOOK_AGAIN_MS);
    return () => clearInterval(timer);
  }, [waits, refetch]);
  // A save that was still on its way when the list was read changes it when it arrives.
  useEffect(
    () =>
      onDraftChanged((id) => {
        if (!desk.waiting().some((one) => one.id === id)) void refetch();
      }),
    [refetch],
  );
  const [createBuild] = useCreateBuildMutation();
  const [deleteBuild] = useDeleteBuildMutation();
  const [readBuild] = useLazyWholeBuildQuery();
  const [problem, setProblem] = useState<string | null>(null);
  const [leaving, setLeaving] = useState<Leaving | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  useEffect(() => {
    document.title = 'Inch Tower';
  }, []);

  const create = useCallback(
    async (build: Build, query = '') => {
      setProblem(null);
      const made = await createBuild(build);
      if (made.data) void navigate(`/b/${build.id}${query}`);
      else setProblem(problemOf(made.error).detail);
    },
    [createBuild, navigate],
  );
  const duplicate = useCallback(
    async ({ id, name }: BuildCard) => {
      const read = await readBuild(id);
      if (read.data)
        await create({ ...read.data, id: freshId(), name: `${name}, copy`.slice(0, LIMITS.nameCharacters) });
      else setProblem(`“${name || 'Unnamed'}” was not duplicated. ${problemOf(read.error).detail}`);
    },
    [create, readBuild],
  );
  const askTakeDown = useCallback(async (card: BuildCard) => {
    const kept = await keptOf(card.id);
    setLeaving({
      card,
      keys: kept.map(({ key }) => key),
      steps: (desk.draft(card.id)?.unsaved.length ?? 0) + kept.reduce((sum, { edits }) => sum + edits.length, 0),
    });
  }, []);
  const keep = useCallback(() => setLeaving(null), []);
  const takeDown = async ({ card: { id, etag, name }, keys }: Leaving) => {
    setLeaving(null);
    setProblem(null);
    const gone = await deleteBuild({ id, etag });
    if (gone.error && problemOf(gone.error).code !== 'noBuild')
      return setProblem(`“${name || 'Unnamed'}” was not taken down. ${problemOf(gone.error).detail}`);
    // What this browser kept of it was told of and goes with it.
    await desk.giveUp(id);
    await forgetKeys(keys);
  };
  const importFile = async (chosen: File) => {
    if (chosen.size > LIMITS.bodyBytes)
      return setProblem(
        `${chosen.name} was not imported: it is larger than ${LIMITS.bodyBytes / 1024 / 1024} MB. Nothing was saved.`,
      );
    const parsed = parseBuildText(await chosen.text());
    if (!parsed.ok) return setProblem(`${chosen.name} was not imported. ${parsed.words} Nothing was saved.`);
    await create({ ...parsed.build, id: freshId() });
  };
  const shown = data?.builds ?? [];
  const total = data?.total ?? 0;
  const searches = typed !== '' || total >= SEARCH_FROM;

  return (
    <div className="flex h-full flex-col">
      <Masthead />
      <main className="flex min-h-0 flex-1 flex-col overflow-auto">
        <div className="flex flex-wrap items-center gap-2 px-6 pt-5">
          <h1 className="mr-4 text-xl font-semibold">Machines</h1>
          <button
            type="button"
            className="press strong no-print"
            onClick={() => void create(newBuild(freshId(), 'New machine'), '?name=edit')}
          >
            New machine
          </button>
          <button type="button" className="press no-print" onClick={() => file.current?.click()}>
            Import a build file
          </button>
          {total > 1 && (
            <Link className="no-print flex min-h-7 items-center px-2 text-[14px] underline" to="/compare">
              Compare
            </Link>
          )}
          <input
            ref={file}
            type="file"
            accept=".json,application/json"
            className="hidden"
            aria-label="Build file"
            tabIndex={-1}
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              event.target.value = '';
              if (chosen) void importFile(chosen);
            }}
          />
          {searches && (
            <label className="ml-auto flex items-center gap-2 text-[13px]">
              Find by name
              <input
                type="search"
                className="field w-48"
                value={typed}
                maxLength={200}
                onChange={(event) => {
                  setTyped(event.target.value);
                  setLimit(PAGE);
                }}
              />
            </label>
          )}
        </div>
        {problem && (
          <p role="alert" className="mx-6 mt-3 flex items-start gap-3 border-l-4 border-bad bg-sheet px-3 py-2">
            <span className="min-w-0 flex-1 break-words">{problem}</span>
            <button type="button" className="plain min-h-6 underline" onClick={() => setProblem(null)}>
              Close
            </button>
          </p>
        )}
        <KeptLine />
        {isLoading && <p className="px-6 py-8 text-mid">Looking for your machines …</p>}
        {error && (
          <p role="alert" className="mx-6 mt-6 bg-sheet px-3 py-2">
            {problemOf(error).detail} Nothing you did is lost.{' '}
            <button type="button" className="plain min-h-6 underline" onClick={() => void refetch()}>
              Try again
            </button>
          </p>
        )}
        {data && total === 0 && (
          <p className="px-6 py-8 text-mid">
            {search
              ? `No machine has “${search}” in its name.`
              : 'No machine stands here yet. Begin with “New machine”: no brief is asked for.'}
          </p>
        )}
        {shown.length > 0 && (
          <FloorLine
            cards={shown}
            leaving={leaving}
            onDuplicate={duplicate}
            onTakeDown={askTakeDown}
            onDelete={takeDown}
            onKeep={keep}
          />
        )}
        {shown.length < total && (
          <p className="px-6 pb-8 text-[13px] text-mid">
            {shown.length} of {total} machines.{' '}
            {limit < MOST ? (
              <button type="button" className="press ml-2" onClick={() => setLimit(Math.min(MOST, limit + PAGE))}>
                Show more
              </button>
            ) : (
              'Find the others by name.'
            )}
          </p>
        )}
      </main>
    </div>
  );
}
const MOST = 200;

/** A value a little later, once it has come to rest. */
function useLater<T>(value: T, afterMs: number): T {
  const [later, setLater] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setLater(value), afterMs);
    return () => clearTimeout(timer);
  }, [value, afterMs]);
  return later;
}
