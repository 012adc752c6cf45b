import type { ThunkAction, UnknownAction } from '@reduxjs/toolkit';
import { commit, replay, type Build, type Edit } from '@inch-tower/core';
import { freshId } from '../freshId';
import { factsOf } from '../saving/facts';
import { desk } from '../saving/here';
import { viewOf } from '../worker/client';
import { bench } from './benchSlice';
import type { RootState } from './store';

export type Thunk<R = void> = ThunkAction<R, RootState, unknown, UnknownAction>;

/** The build last asked for: what comes later for another is dropped. */
let opening: string | null = null;

/** Leaves the bench; what is not saved yet goes on to the server from the desk. */
export const closeBuild = (): Thunk => (dispatch) => {
  if (opening) desk.leave(opening);
  opening = null;
  dispatch(bench.closed());
};

/** Opens a build; edits that the server has not answered go on from where they were. */
export const openBuild =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch) => {
    opening = id;
    dispatch(bench.opening());
    const opened = await desk.open(id);
    // Another machine was opened, or the bench left, while this one was on its way.
    if (opening !== id) return desk.leave(id);
    if (opened === 'ready') await dispatch(showDraft(id));
    else dispatch(bench.notOpened(opened));
  };

const showDraft =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch) => {
    const draft = desk.draft(id);
    if (!draft || opening !== id) return;
    dispatch(bench.opened({ build: draft.build, facts: factsOf(draft) }));
    await dispatch(look(null));
  };

/** Copies what the desk says of the open machine's saving onto the page. */
export const showSaving =
  (id: string): Thunk =>
  (dispatch, getState) => {
    const draft = desk.draft(id);
    if (draft && getState().bench.build?.id === id) dispatch(bench.saving(factsOf(draft)));
  };

/** Does edits as one step of the history: apply, settle, show, keep, save. Gives whether they were taken. */
export const edit =
  (edits: readonly Edit[], words?: string): Thunk<boolean> =>
  (dispatch, getState) => {
    const { build } = getState().bench;
    if (!build) return false;
    // Nothing is shown as done that nobody would bring to the server.
    if (!desk.draft(build.id)) {
      dispatch(
        bench.refused(
          'This machine is no longer open here. Nothing was changed; go to your machines and open it again.',
        ),
      );
      return false;
    }
    const step = commit(build, edits);
    if (!step.ok) {
      dispatch(bench.refused(`${step.words} Nothing was changed.`));
      return false;
    }
    dispatch(
      bench.edited({
        build: step.build,
        step: { edits: step.edits, inverse: step.inverse, words: words ?? step.words },
      }),
    );
    desk.edited(build.id, step.build, step.edits);
    void dispatch(look(step.edits));
    return true;
  };

export const undo = (): Thunk => (dispatch, getState) => {
  const { build, past } = getState().bench;
  const step = past.at(-1);
  const before = build && step && replay(build, step.inverse);
  if (!before || 'ok' in before) return;
  dispatch(bench.undone(before));
  desk.undone(build.id, before, step.edits, step.inverse);
  void dispatch(look(step.inverse));
};

export const redo = (): Thunk => (dispatch, getState) => {
  const { build, future } = getState().bench;
  const step = future[0];
  const after = build && step && replay(build, step.edits);
  if (!after || 'ok' in after) return;
  dispatch(bench.redone(after));
  desk.edited(build.id, after, step.edits);
  void dispatch(look(step.edits));
};

/** Has the worker look at the machine as it stands; what comes late, after a newer edit, is dropped. */
const look =
  (edits: readonly Edit[] | null): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const { build, rev } = getState().bench;
    if (!build) return;
    const viewed = await viewOf(build, rev, edits);
    dispatch(viewed.ok ? bench.viewed(viewed.view) : bench.notViewed({ rev, words: viewed.words }));
  };

/**
 * Does what a notice offers with the open machine's unsaved edits, shows what became of it and says what did not go.
 */
const answered =
  (work: (id: string) => Promise<{ readonly words: string | null } | void>): Thunk<Promise<boolean>> =>
  async (dispatch, getState) => {
    const id = getState().bench.build?.id;
    if (!id) return false;
    const done = await work(id);
    await dispatch(showDraft(id));
    if (done?.words) dispatch(bench.refused(done.words));
    return !done?.words;
  };
export const join = () => answered((id) => desk.join(id, freshId()));
export const takeTheirs = () => answered((id) => desk.takeTheirs(id));
export const joinStray = (key: string) => answered((id) => desk.joinStray(id, key, freshId()));
export const copyStray = (key: string) => answered((id) => desk.copyStray(id, key, freshId()));
export const forgetStray = (key: string) => answered((id) => desk.forgetStray(id, key));
export const tryAgain = () => answered((id) => desk.tryAgain(id));

/** Keeps this version as a machine of its own and gives its id; null, with words, when that failed. */
export const keepAsCopy =
  (name?: string): Thunk<Promise<string | null>> =>
  async (dispatch, getState) => {
    const id = getState().bench.build?.id;
    const copyId = freshId();
    const done = id ? await desk.keepAsCopy(id, copyId, name) : null;
    if (!done) return null;
    if (done.words) dispatch(bench.refused(done.words));
    // Nothing is edited any more on a machine whose edits went elsewhere.
    else dispatch(bench.closed());
    return done.words ? null : copyId;
  };

/** Forgets what is unsaved of the open machine and gives it, for a file. */
export const giveUp = (): Thunk<Promise<Build | null>> => async (dispatch, getState) => {
  const { build } = getState().bench;
  if (build) await desk.giveUp(build.id);
  dispatch(bench.closed());
  return build;
};
