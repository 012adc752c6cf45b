import { ALL_SAVED } from '../saving/facts';
import { newBuild } from '@inch-tower/core';
import type { BenchView } from '../worker/messages';
import { bench, benchSlice, type BenchState, type HistoryStep } from './benchSlice';

const reduce = benchSlice.reducer;
const start = (): BenchState =>
  reduce(undefined, bench.opened({ build: newBuild('b', 'B'), rev: 1, facts: ALL_SAVED, past: [], future: [] }));
const shown = (name: string, rev: number) => ({ build: newBuild('b', name), rev });
const named = (name: string, rev = 2): ReturnType<typeof shown> & { step: HistoryStep } => ({
  ...shown(name, rev),
  step: {
    edits: [{ type: 'set.name', value: name }],
    inverse: [{ type: 'restore', sections: { name: 'B' } }],
    words: `Named ${name}`,
  },
});
const view = (rev: number): BenchView => ({
  rev,
  status: 'empty',
  figures: {},
  heard: null,
  snags: [],
  open: [],
  needs: [],
  small: [],
  unplaced: [],
  unconnected: [],
});

test('an edit is one step: past and a new revision, nothing to redo', () => {
  const state = reduce(start(), bench.edited(named('C')));
  expect(state.past).toHaveLength(1);
  expect(state.rev).toBe(2);
  expect(state.future).toEqual([]);
  expect(state.said).toBe('Named C');
});

test('undo takes the last step back and keeps it to be done again', () => {
  const undone = reduce(reduce(start(), bench.edited(named('C'))), bench.undone(shown('B', 3)));
  expect([undone.past.length, undone.future.length, undone.said]).toEqual([0, 1, 'Undone: Named C']);
  const redone = reduce(undone, bench.redone(shown('C', 4)));
  expect([redone.past.length, redone.future.length, redone.said]).toEqual([1, 0, 'Done again: Named C']);
});

test('a late answer of the worker is dropped', () => {
  const state = start();
  const newer = reduce(state, bench.edited(named('C')));
  expect(reduce(newer, bench.viewed(view(state.rev))).view).toBeNull();
  expect(reduce(newer, bench.viewed(view(newer.rev))).view).not.toBeNull();
});

test('a new edit clears what could have been done again', () => {
  const undone = reduce(reduce(start(), bench.edited(named('C'))), bench.undone(shown('B', 3)));
  expect(reduce(undone, bench.edited(named('D'))).future).toEqual([]);
});

test('what the desk says of saving is copied, and nothing else is touched', () => {
  const state = reduce(
    reduce(start(), bench.edited(named('C'))),
    bench.saving({ save: 'stale', unsaved: 1, trouble: { kind: 'stale', words: '' }, strays: [] }),
  );
  expect([state.save, state.unsaved, state.trouble?.kind, state.past.length]).toEqual(['stale', 1, 'stale', 1]);
});

test('an edit drawn before it is settled waits, and makes the figures old', () => {
  const opened = reduce(start(), bench.viewed(view(1)));
  const ahead = reduce(reduce(opened, bench.waits(true)), bench.ahead(shown('C', 2)));
  expect([ahead.build?.name, ahead.isWaiting, ahead.view?.rev === ahead.rev, ahead.past.length]).toEqual([
    'C',
    true,
    false,
    0,
  ]);
});

test('opening another machine keeps nothing of the last', () => {
  const state = reduce(
    reduce(start(), bench.edited(named('C'))),
    bench.opened({ build: newBuild('other', 'Other'), rev: 9, facts: ALL_SAVED, past: [], future: [] }),
  );
  expect(state).toMatchObject({ past: [], future: [], unsaved: 0, save: 'saved', said: null });
});
