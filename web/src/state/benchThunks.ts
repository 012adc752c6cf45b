import type { ThunkAction, UnknownAction } from '@reduxjs/toolkit';
import { replay, type Build, type Edit } from '@inch-tower/core';
import { freshId } from '../freshId';
import { factsOf } from '../saving/facts';
import { desk } from '../saving/here';
import { commitIn, viewOf, type Since } from '../worker/client';
import { bench } from './benchSlice';
import { keepHistory, keptHistory, tabStore } from './keptHistory';
import { createSettling, type Made } from './settling';
import type { RootState, store } from './store';

export type Thunk<R = void> = ThunkAction<R, RootState, unknown, UnknownAction>;

/** The build last asked for: what comes later for another is dropped. */
let opening: string | null = null;

let lastRev = 0;
const nextRev = (): number => ++lastRev;

let page: Pick<typeof store, 'dispatch' | 'getState'> | null = null;
/** Edits of the page on their way through the worker. */
const settling = createSettling({
  settle: commitIn,
  nextRev,
  made: (id, made) => page?.dispatch(stepMade(id, made)),
  refused: (id, words) => page?.dispatch(refusedOf(id, words)),
  ahead: (id, build) => page?.dispatch(aheadOf(id, build)),
  later: (ms, work) => {
    const timer = setTimeout(work, ms);
    return () => clearTimeout(timer);
  },
  waits: (id, isWaiting) => page?.dispatch(waitsOf(id, isWaiting)),
});
/** The page whose machines are settled: told once at its start. */
export const settleFor = (shown: NonNullable<typeof page>): void => {
  page = shown;
};
/** Whatever is not settled yet goes to the desk as it was made: the page may be about to go away. */
export const flushEdits = (): void => settling.flush();

const isShown = (state: RootState, id: string): boolean => state.bench.build?.id === id;
const stepMade =
  (id: string, { step, shown, rev, words, by, last }: Made): Thunk =>
  (dispatch, getState) => {
    desk.edited(id, step.build, step.edits);
    if (!isShown(getState(), id)) return;
    const { rev: from } = getState().bench;
    const { edits, inverse } = step;
    dispatch(bench.edited({ build: shown, rev, step: { edits, inverse, words: words ?? step.words } }));
    if (by === 'unsolved')
      dispatch(
        bench.refused(
          'Where things go could not be worked out in time. What you did is kept as you made it: ' +
            'new parts lie on the table, cables are as they were.',
        ),
      );
    if (last) void dispatch(look(by === 'worker' ? 'committed' : by === 'page' ? { from, edits } : null));
  };
const refusedOf =
  (id: string, words: string): Thunk =>
  (dispatch, getState) => {
    if (isShown(getState(), id)) dispatch(bench.refused(`${words} Nothing was changed.`));
  };
const waitsOf =
  (id: string, isWaiting: boolean): Thunk =>
  (dispatch, getState) => {
    if (isShown(getState(), id)) dispatch(bench.waits(isWaiting));
  };
const aheadOf =
  (id: string, build: Build): Thunk =>
  (dispatch, getState) => {
    if (isShown(getState(), id)) dispatch(bench.ahead({ build, rev: nextRev() }));
  };

/** What can be undone of the open machine outlives its page: asked for when that goes away. */
export const keepOpenHistory = ({ bench: { build, past, future } }: RootState): void => {
  if (build) keepHistory(build, { past, future }, tabStore());
};

/** Leaves the bench; what is not saved yet goes on to the server from the desk. */
export const closeBuild = (): Thunk => (dispatch, getState) => {
  const id = opening;
  opening = null;
  keepOpenHistory(getState());
  dispatch(bench.closed());
  if (id) void settling.idle(id).then(() => (opening === id ? undefined : desk.leave(id)));
};

/** Opens a build; edits that the server has not answered go on from where they were. */
export const openBuild =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch) => {
    opening = id;
    dispatch(bench.opening());
    await settling.idle(id);
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
    const { build } = draft;
    dispatch(bench.opened({ build, rev: nextRev(), facts: factsOf(draft), ...keptHistory(build, tabStore()) }));
    await dispatch(look(null));
  };

/** Copies what the desk says of the open machine's saving onto the page. */
export const showSaving =
  (id: string): Thunk =>
  (dispatch, getState) => {
    const draft = desk.draft(id);
    if (draft && getState().bench.build?.id === id) dispatch(bench.saving(factsOf(draft)));
  };

/** Does edits as one step of the history; resolves once they are shown, false where they were refused. */
export const edit =
  (edits: readonly Edit[], words?: string): Thunk<Promise<boolean>> =>
  (dispatch, getState) => {
    const { build, rev } = getState().bench;
    if (!build) return Promise.resolve(false);
    // Nothing is shown as done that nobody would bring to the server.
    if (!desk.draft(build.id)) {
      dispatch(
        bench.refused(
          'This machine is no longer open here. Nothing was changed; go to your machines and open it again.',
        ),
      );
      return Promise.resolve(false);
    }
    return settling.take(build.id, { build, rev }, edits, words);
  };

/** Does something to the open machine once no edit of it waits any more. */
const onceIdle =
  (work: Thunk): Thunk =>
  (dispatch, getState) => {
    const id = getState().bench.build?.id;
    if (!id) return;
    if (settling.isIdle(id)) return dispatch(work);
    void settling.idle(id).then(() => {
      if (isShown(getState(), id)) dispatch(work);
    });
  };

export const undo = (): Thunk =>
  onceIdle((dispatch, getState) => {
    const { build, past, rev: from } = getState().bench;
    const step = past.at(-1);
    const before = build && step && replay(build, step.inverse);
    if (!before || 'ok' in before) return;
    dispatch(bench.undone({ build: before, rev: nextRev() }));
    desk.undone(build.id, before, step.edits, step.inverse);
    void dispatch(look({ from, edits: step.inverse }));
  });

export const redo = (): Thunk =>
  onceIdle((dispatch, getState) => {
    const { build, future, rev: from } = getState().bench;
    const step = future[0];
    const after = build && step && replay(build, step.edits);
    if (!after || 'ok' in after) return;
    dispatch(bench.redone({ build: after, rev: nextRev() }));
    desk.edited(build.id, after, step.edits);
    void dispatch(look({ from, edits: step.edits }));
  });

/** Has the worker look at the machine as it stands; what comes late, after a newer edit, is dropped. */
const look =
  (since: Since): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const { build, rev } = getState().bench;
    if (!build) return;
    const viewed = await viewOf(build, rev, since);
    dispatch(viewed.ok ? bench.viewed(viewed.view) : bench.notViewed({ rev, words: viewed.words }));
  };

/** Works the machine out once more, where that failed. */
export const lookAgain = (): Thunk<Promise<void>> => look(null);

/**
 * Does what a notice offers with the open machine's unsaved edits, shows what became of it and says what did not go.
 */
const answered =
  (work: (id: string) => Promise<{ readonly words: string | null } | void>): Thunk<Promise<boolean>> =>
  async (dispatch, getState) => {
    const id = getState().bench.build?.id;
    if (!id) return false;
    await settling.idle(id);
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
    if (id) await settling.idle(id);
    const done = id ? await desk.keepAsCopy(id, copyId, name) : null;
    if (!done) return null;
    if (done.words) dispatch(bench.refused(done.words));
    // Nothing is edited any more on a machine whose edits went elsewhere.
    else dispatch(bench.closed());
    return done.words ? null : copyId;
  };

/** Forgets what is unsaved of the open machine and gives it, for a file. */
export const giveUp = (): Thunk<Promise<Build | null>> => async (dispatch, getState) => {
  const id = getState().bench.build?.id;
  if (id) await settling.idle(id);
  const { build } = getState().bench;
  if (build) await desk.giveUp(build.id);
  dispatch(bench.closed());
  return build;
};
