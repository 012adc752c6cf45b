import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { copyWithStructuralSharing } from '@reduxjs/toolkit/query';
import type { Build, Edit } from '@inch-tower/core';
import { ALL_SAVED, type SaveFacts } from '../saving/facts';
import type { BenchView } from '../worker/messages';

/** One undo step: what was done with its settling, what takes it back, and its words. */
export type HistoryStep = {
  readonly edits: readonly Edit[];
  readonly inverse: readonly Edit[];
  readonly words: string;
};

export type BenchState = SaveFacts & {
  readonly build: Build | null;
  readonly past: readonly HistoryStep[];
  readonly future: readonly HistoryStep[];
  readonly rev: number;
  /** Edits wait to be settled: none of them is on its way to the server yet. */
  readonly isWaiting: boolean;
  readonly view: BenchView | null;
  /** The view before the last change, for saying what it did. */
  readonly before: BenchView | null;
  /** Why the machine as it stands could not be worked out; its figures are then of an earlier state. */
  readonly unworked: string | null;
  readonly said: string | null;
  readonly problem: string | null;
  readonly opening: 'idle' | 'loading' | 'ready' | 'missing' | 'failed' | 'unreadable';
};

const initialState: BenchState = {
  ...ALL_SAVED,
  build: null,
  past: [],
  future: [],
  rev: 0,
  isWaiting: false,
  view: null,
  before: null,
  unworked: null,
  said: null,
  problem: null,
  opening: 'idle',
};
/** A machine as it is to be drawn, under a revision no other has. */
type Shown = { readonly build: Build; readonly rev: number };
const LONGEST_HISTORY = 500;

/**
 * What the open machine shows; its edits on their way to the server are the desk's. Reducers copy what thunks have
 * computed.
 */
export const benchSlice = createSlice({
  name: 'bench',
  initialState,
  reducers: {
    opening: () => ({ ...initialState, opening: 'loading' as const }),
    notOpened: (state, { payload }: PayloadAction<'missing' | 'failed' | 'unreadable'>) => ({
      ...state,
      opening: payload,
    }),
    opened: (_, { payload }: PayloadAction<Shown & Pick<BenchState, 'past' | 'future'> & { facts: SaveFacts }>) => ({
      ...initialState,
      ...payload.facts,
      rev: payload.rev,
      build: payload.build,
      past: payload.past,
      future: payload.future,
      opening: 'ready' as const,
    }),
    /** Edits as they were made, while it is worked out where things go: what is new lies on the table. */
    ahead: (state, { payload }: PayloadAction<Shown>) => ({ ...state, ...payload }),
    waits: (state, { payload }: PayloadAction<boolean>) => ({ ...state, isWaiting: payload }),
    edited: (state, { payload }: PayloadAction<Shown & { step: HistoryStep }>) => ({
      ...state,
      build: payload.build,
      rev: payload.rev,
      past: [...state.past, payload.step].slice(-LONGEST_HISTORY),
      future: [],
      before: state.view,
      said: payload.step.words,
      problem: null,
    }),
    undone: (state, { payload }: PayloadAction<Shown>) => {
      const step = state.past.at(-1)!;
      return {
        ...state,
        ...payload,
        past: state.past.slice(0, -1),
        future: [step, ...state.future],
        before: state.view,
        said: `Undone: ${step.words}`,
        problem: null,
      };
    },
    redone: (state, { payload }: PayloadAction<Shown>) => {
      const [step, ...future] = state.future;
      return {
        ...state,
        ...payload,
        past: [...state.past, step!],
        future,
        before: state.view,
        said: `Done again: ${step!.words}`,
        problem: null,
      };
    },
    /** A late answer to an older revision is dropped. What has not changed stays the same object, not drawn again. */
    viewed: (state, { payload }: PayloadAction<BenchView>) =>
      payload.rev === state.rev
        ? { ...state, view: copyWithStructuralSharing<BenchView>(state.view, payload), unworked: null }
        : state,
    notViewed: (state, { payload }: PayloadAction<{ rev: number; words: string }>) =>
      payload.rev === state.rev ? { ...state, unworked: payload.words } : state,
    saving: (state, { payload }: PayloadAction<SaveFacts>) => ({ ...state, ...payload }),
    refused: (state, { payload }: PayloadAction<string>) => ({ ...state, problem: payload }),
    problemSeen: (state) => ({ ...state, problem: null }),
    closed: () => initialState,
  },
});
export const bench = benchSlice.actions;
