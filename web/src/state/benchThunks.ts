import type { ThunkAction, UnknownAction } from '@reduxjs/toolkit';
import { commit, replay, type Build, type Edit } from '@inch-tower/core';
import { benchWorker } from '../worker/client';
import { api, problemOf } from './api';
import { bench } from './benchSlice';
import type { RootState } from './store';
import { forgetUnsaved, keepUnsaved, readUnsaved } from './unsaved';

export type Thunk<R = void> = ThunkAction<R, RootState, unknown, UnknownAction>;

/** The build last asked for: what comes later for another is dropped. */
let opening: string | null = null;

export const closeBuild = (): Thunk => (dispatch) => {
  opening = null;
  // What is still waiting for its moment is sent now, not when the machine is opened next.
  clearTimeout(timer);
  void dispatch(saveNow());
  dispatch(bench.closed());
};

/** Opens a build; edits kept in this browser that the server has not answered go on from where they were. */
export const openBuild = (id: string): Thunk<Promise<void>> => async (dispatch, getState) => {
  opening = id;
  dispatch(bench.opening());
  const [kept, asked] = await Promise.all([readUnsaved(id), dispatch(api.endpoints.build.initiate(id, { forceRefetch: true, subscribe: false }))]);
  // Another machine was opened, or the bench left, while this one was on its way.
  if (opening !== id) return;
  if (asked.data) {
    const { build, etag } = asked.data;
    // A save whose answer was lost: what is kept here is what the server has.
    const answered = kept && JSON.stringify(kept.build) === JSON.stringify(build);
    if (answered) await forgetUnsaved(id);
    if (!kept || answered) dispatch(bench.opened({ build, etag, unsaved: [] }));
    else {
      dispatch(bench.opened({ build: kept.build, etag: kept.etag, unsaved: kept.edits }));
      if (kept.etag !== etag) dispatch(bench.stale({ build, etag }));
    }
  } else if (kept) dispatch(bench.opened({ build: kept.build, etag: kept.etag, unsaved: kept.edits }));
  else {
    dispatch(bench.notOpened(problemOf(asked.error).code === 'noBuild' ? 'missing' : 'failed'));
    return;
  }
  const { build, rev, unsaved } = getState().bench;
  dispatch(bench.viewed(await benchWorker().open(build!, rev)));
  if (unsaved.length) dispatch(saveSoon());
};

/** Does edits as one step of the history: apply, settle, show, keep, save. Gives whether they were taken. */
export const edit = (edits: readonly Edit[], words?: string): Thunk<boolean> => (dispatch, getState) => {
  const { build } = getState().bench;
  if (!build) return false;
  const step = commit(build, edits);
  if (!step.ok) {
    dispatch(bench.refused(step.words));
    return false;
  }
  dispatch(bench.edited({ build: step.build, step: { edits: step.edits, inverse: step.inverse, words: words ?? step.words } }));
  dispatch(afterChange(step.edits));
  return true;
};

export const undo = (): Thunk => (dispatch, getState) => {
  const { build, past } = getState().bench;
  const step = past.at(-1);
  const before = build && step && replay(build, step.inverse);
  if (!before || 'ok' in before) return;
  dispatch(bench.undone(before));
  dispatch(afterChange(step.inverse));
};

export const redo = (): Thunk => (dispatch, getState) => {
  const { build, future } = getState().bench;
  const step = future[0];
  const after = build && step && replay(build, step.edits);
  if (!after || 'ok' in after) return;
  dispatch(bench.redone(after));
  dispatch(afterChange(step.edits));
};

const afterChange = (edits: readonly Edit[]): Thunk => (dispatch, getState) => {
  const { rev } = getState().bench;
  void benchWorker().apply(edits, rev).then((view) => view && dispatch(bench.viewed(view)));
  void dispatch(keepHere()).then(() => dispatch(saveSoon()));
};

const keepHere = (): Thunk<Promise<void>> => async (dispatch, getState) => {
  const { build, etag, unsaved } = getState().bench;
  if (!build) return;
  if (unsaved.length === 0) {
    await forgetUnsaved(build.id);
    dispatch(bench.saved({ etag, steps: 0 }));
    return;
  }
  const kept = await keepUnsaved(build.id, { build, etag, edits: unsaved });
  if (getState().bench.save !== 'saving') dispatch(bench.kept(kept));
};

const SAVE_AFTER_MS = 500;
const TRY_AGAIN_MS = 3_000;
let timer: ReturnType<typeof setTimeout> | undefined;
let inFlight = false;

export const saveSoon = (afterMs = SAVE_AFTER_MS): Thunk => (dispatch) => {
  clearTimeout(timer);
  timer = setTimeout(() => void dispatch(saveNow()), afterMs);
};

/** Saves what is unsaved. The browser's copy is forgotten only after the server has answered for all of it. */
export const saveNow = (): Thunk<Promise<void>> => async (dispatch, getState) => {
  const { build, etag, unsaved, save } = getState().bench;
  if (inFlight || !build || unsaved.length === 0 || save === 'stale') return;
  inFlight = true;
  dispatch(bench.saving());
  const answer = await dispatch(api.endpoints.saveBuild.initiate({ build, etag }));
  inFlight = false;
  if (getState().bench.build?.id !== build.id) {
    if (answer.data) await forgetUnsaved(build.id);
    return;
  }
  if (answer.data) {
    dispatch(bench.saved({ etag: answer.data.etag, steps: unsaved.length }));
    if (getState().bench.unsaved.length === 0) await forgetUnsaved(build.id);
    else { await dispatch(keepHere()); dispatch(saveSoon(0)); }
    return;
  }
  const problem = problemOf(answer.error);
  if (problem.code === 'stale' && problem.theirs) dispatch(bench.stale(problem.theirs));
  else {
    await dispatch(keepHere());
    dispatch(bench.kept(getState().bench.save !== 'unkept'));
    if (problem.code !== 'away' && problem.code !== 'databaseAway' && problem.code !== 'tooMany') dispatch(bench.refused(problem.detail));
    else dispatch(saveSoon(TRY_AGAIN_MS));
  }
};

/** The three ways out when a build was saved elsewhere meanwhile: nothing is lost in any of them. */
export const join = (): Thunk<Promise<void>> => async (dispatch, getState) => {
  const { theirs, unsaved } = getState().bench;
  if (!theirs) return;
  let joined = theirs.build;
  const taken: (readonly Edit[])[] = [];
  let left = 0;
  for (const edits of unsaved) {
    const own = edits.filter((one) => one.type !== 'layout.set' && one.type !== 'restore');
    const step = own.length === edits.filter((one) => one.type !== 'layout.set').length ? commit(joined, own) : null;
    if (!step?.ok) { left++; continue; }
    joined = step.build;
    taken.push(step.edits);
  }
  await dispatch(reopen(joined, theirs.etag, taken));
  if (left) dispatch(bench.refused(`${left} of your ${unsaved.length} changes could not be made on the newer version.`));
};

export const takeTheirs = (): Thunk<Promise<void>> => async (dispatch, getState) => {
  const { theirs } = getState().bench;
  if (theirs) await dispatch(reopen(theirs.build, theirs.etag, []));
};

/** Keeps this version as a build of its own and gives its id. */
export const keepAsCopy = (id: string): Thunk<Promise<string | null>> => async (dispatch, getState) => {
  const { build, theirs } = getState().bench;
  if (!build || !theirs) return null;
  const made = await dispatch(api.endpoints.createBuild.initiate({ ...build, id, name: `${build.name}, my copy` }));
  if (!made.data) {
    dispatch(bench.refused(problemOf(made.error).detail));
    return null;
  }
  await forgetUnsaved(build.id);
  return id;
};

const reopen = (build: Build, etag: string, unsaved: readonly (readonly Edit[])[]): Thunk<Promise<void>> => async (dispatch, getState) => {
  dispatch(bench.opened({ build, etag, unsaved }));
  if (unsaved.length) await dispatch(keepHere());
  else await forgetUnsaved(build.id);
  dispatch(bench.viewed(await benchWorker().open(build, getState().bench.rev)));
  if (unsaved.length) dispatch(saveSoon(0));
};
