import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit';
import type { Build, Edit } from '@inch-tower/core';
import type { BenchView } from '../worker/messages';

/** One undo step: what was done with its settling, what takes it back, and its words. */
export type HistoryStep = { readonly edits: readonly Edit[]; readonly inverse: readonly Edit[]; readonly words: string };
export type SaveState = 'saved' | 'saving' | 'kept' | 'unkept' | 'stale';

export type BenchState = {
  readonly build: Build | null;
  readonly etag: string;
  /** Edits since the version of `etag`, a list a step. */
  readonly unsaved: readonly (readonly Edit[])[];
  readonly past: readonly HistoryStep[];
  readonly future: readonly HistoryStep[];
  readonly rev: number;
  readonly view: BenchView | null;
  /** The view before the last change, for saying what it did. */
  readonly before: BenchView | null;
  readonly save: SaveState;
  readonly theirs: { readonly build: Build; readonly etag: string } | null;
  readonly said: string | null;
  readonly problem: string | null;
  readonly opening: 'idle' | 'loading' | 'ready' | 'missing' | 'failed';
};

const initialState: BenchState = { build: null, etag: '', unsaved: [], past: [], future: [], rev: 0, view: null, before: null, save: 'saved', theirs: null, said: null, problem: null, opening: 'idle' };
const LONGEST_HISTORY = 500;

/** Serialisable facts only; the reducers copy what thunks have computed. */
export const benchSlice = createSlice({
  name: 'bench',
  initialState,
  reducers: {
    opening: () => ({ ...initialState, opening: 'loading' as const }),
    notOpened: (state, { payload }: PayloadAction<'missing' | 'failed'>) => ({ ...state, opening: payload }),
    opened: (state, { payload }: PayloadAction<{ build: Build; etag: string; unsaved: readonly (readonly Edit[])[] }>) =>
      ({ ...initialState, rev: state.rev + 1, build: payload.build, etag: payload.etag, unsaved: payload.unsaved, save: payload.unsaved.length ? 'kept' as const : 'saved' as const, opening: 'ready' as const }),
    edited: (state, { payload }: PayloadAction<{ build: Build; step: HistoryStep }>) => ({
      ...state, build: payload.build, rev: state.rev + 1, past: [...state.past, payload.step].slice(-LONGEST_HISTORY), future: [],
      unsaved: [...state.unsaved, payload.step.edits], before: state.view, said: payload.step.words, problem: null,
    }),
    undone: (state, { payload }: PayloadAction<Build>) => {
      const step = state.past.at(-1)!;
      // A step the server has never been sent is simply not sent; one under way must be taken back there too.
      // Told by identity, which a draft hides: the originals are compared.
      const before = original(state);
      const neverSent = state.save !== 'saving' && !!before && before.unsaved.at(-1) === before.past.at(-1)?.edits;
      const unsaved = neverSent ? state.unsaved.slice(0, -1) : [...state.unsaved, step.inverse];
      return { ...state, build: payload, rev: state.rev + 1, past: state.past.slice(0, -1), future: [step, ...state.future], unsaved, before: state.view, said: `Undone: ${step.words}`, problem: null };
    },
    redone: (state, { payload }: PayloadAction<Build>) => {
      const [step, ...future] = state.future;
      return { ...state, build: payload, rev: state.rev + 1, past: [...state.past, step!], future, unsaved: [...state.unsaved, step!.edits], before: state.view, said: `Done again: ${step!.words}`, problem: null };
    },
    /** A late answer to an older revision is dropped. */
    viewed: (state, { payload }: PayloadAction<BenchView>) => (payload.rev === state.rev ? { ...state, view: payload } : state),
    saving: (state) => ({ ...state, save: 'saving' as const }),
    kept: (state, { payload }: PayloadAction<boolean>) => (state.save === 'stale' ? state : { ...state, save: payload ? 'kept' as const : 'unkept' as const }),
    saved: (state, { payload }: PayloadAction<{ etag: string; steps: number }>) => {
      const unsaved = state.unsaved.slice(payload.steps);
      return { ...state, etag: payload.etag, unsaved, save: unsaved.length ? 'kept' as const : 'saved' as const };
    },
    stale: (state, { payload }: PayloadAction<{ build: Build; etag: string }>) => ({ ...state, save: 'stale' as const, theirs: payload }),
    refused: (state, { payload }: PayloadAction<string>) => ({ ...state, problem: payload }),
    problemSeen: (state) => ({ ...state, problem: null }),
    closed: () => initialState,
  },
});
export const bench = benchSlice.actions;
