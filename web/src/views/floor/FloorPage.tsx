import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { newBuild, parseBuildText, LIMITS, type Build } from '@inch-tower/core';
import { problemOf, useBuildsQuery, useCreateBuildMutation, useDeleteBuildMutation } from '../../state/api';
import { Masthead } from '../Masthead';
import { FloorLine } from './FloorLine';

const freshId = () => `b-${crypto.randomUUID().slice(0, 12)}`;

/** The builds as elevations standing on one floor line, all to one scale. */
export function FloorPage() {
  const { data: cards, error, isLoading, refetch } = useBuildsQuery();
  const [createBuild] = useCreateBuildMutation();
  const [deleteBuild] = useDeleteBuildMutation();
  const [problem, setProblem] = useState<string | null>(null);
  const [leaving, setLeaving] = useState<Build | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  useEffect(() => { document.title = 'Inch Tower'; }, []);

  const create = async (build: Build, query = '') => {
    setProblem(null);
    const made = await createBuild(build);
    if (made.data) void navigate(`/b/${build.id}${query}`);
    else setProblem(problemOf(made.error).detail);
  };
  const importFile = async (chosen: File) => {
    if (chosen.size > LIMITS.bodyBytes) return setProblem(`${chosen.name} was not taken in: it is larger than ${LIMITS.bodyBytes / 1024 / 1024} MB. Nothing was saved.`);
    const parsed = parseBuildText(await chosen.text());
    if (!parsed.ok) return setProblem(`${chosen.name} was not taken in. ${parsed.words} Nothing was saved.`);
    await create({ ...parsed.build, id: freshId() });
  };

  return (
    <div className="flex h-full flex-col">
      <Masthead><span className="text-mid">The floor</span></Masthead>
      <main className="flex min-h-0 flex-1 flex-col overflow-auto">
        <div className="flex flex-wrap items-center gap-2 px-6 pt-5">
          <h1 className="mr-4 text-xl font-semibold">Machines</h1>
          <button type="button" className="press strong" onClick={() => void create(newBuild(freshId(), 'New machine'), '?name=edit')}>New machine</button>
          <button type="button" className="press" onClick={() => file.current?.click()}>Take in a build file</button>
          <input ref={file} type="file" accept=".json,application/json" className="hidden" aria-label="Build file" tabIndex={-1} onChange={(event) => { const chosen = event.target.files?.[0]; event.target.value = ''; if (chosen) void importFile(chosen); }} />
        </div>
        {problem && <p role="alert" className="mx-6 mt-3 flex items-start gap-3 border-l-4 border-bad bg-sheet px-3 py-2"><span className="min-w-0 flex-1 break-words">{problem}</span><button type="button" className="plain min-h-6 underline" onClick={() => setProblem(null)}>Close</button></p>}
        {leaving && (
          <p role="alertdialog" aria-label="Take down a machine" className="mx-6 mt-3 flex flex-wrap items-center gap-3 border-l-4 border-warn bg-sheet px-3 py-2">
            <span>Take down “{leaving.name}” for good? Its file and all its revisions go with it.</span>
            <button type="button" className="press" onClick={() => { void deleteBuild(leaving.id); setLeaving(null); }}>Take it down</button>
            <button type="button" className="press" autoFocus onClick={() => setLeaving(null)}>Keep it</button>
          </p>
        )}
        {isLoading && <p className="px-6 py-8 text-mid">Looking at the floor …</p>}
        {error && <p role="alert" className="mx-6 mt-6 bg-sheet px-3 py-2">{problemOf(error).detail} Nothing you did is lost. <button type="button" className="plain min-h-6 underline" onClick={() => void refetch()}>Try again</button></p>}
        {cards && cards.length === 0 && <p className="px-6 py-8 text-mid">No machine stands here yet. Begin with “New machine”: no brief is asked for.</p>}
        {cards && cards.length > 0 && <FloorLine cards={cards} onDuplicate={(build) => void create({ ...build, id: freshId(), name: `${build.name}, copy`.slice(0, LIMITS.nameCharacters) })} onTakeDown={setLeaving} />}
      </main>
    </div>
  );
}
