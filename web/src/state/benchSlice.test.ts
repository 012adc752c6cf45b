import { ALL_SAVED } from '../saving/facts';
import { newBuild, type Edit } from '@inch-tower/core';
import type { BenchView } from '../worker/messages';
import { bench, benchSlice, type BenchState, type HistoryStep } from './benchSlice';

const reduce = benchSlice.reducer;
const start = (): BenchState => reduce(undefined, bench.opened({ build: newBuild('b', 'B'), facts: ALL_SAVED }));
const named = (name: string): { build: ReturnType<typeof newBuild>; step: HistoryStep } => ({
  build: newBuild('b', name),
  step: {
    edits: [{ type: 'set.name', value: name } as Edit],
    inverse: [{ type: 'restore', sections: { name: 'B' } } as Edit],
    words: `Named ${name}`,
  },
});
const view = (rev: number): BenchView => ({
  rev,
  status: 'empty',
  figures: {},
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
  expect(state.rev).toBe(start().rev + 1);
  expect(state.future).toEqual([]);
  expect(state.said).toBe('Named C');
});

test('undo takes the last step back and keeps it to be done again', () => {
  const undone = reduce(reduce(start(), bench.edited(named('C'))), bench.undone(newBuild('b', 'B')));
  expect([undone.past.length, undone.future.length, undone.said]).toEqual([0, 1, 'Undone: Named C']);
  const redone = reduce(undone, bench.redone(newBuild('b', 'C')));
  expect([redone.past.length, redone.future.length, redone.said]).toEqual([1, 0, 'Done again: Named C']);
});

test('a late answer of the worker is dropped', () => {
  const state = start();
  const newer = reduce(state, bench.edited(named('C')));
  expect(reduce(newer, bench.viewed(view(state.rev))).view).toBeNull();
  expect(reduce(newer, bench.viewed(view(newer.rev))).view).not.toBeNull();
});

test('a new edit clears what could have been done again', () => {
  const undone = reduce(reduce(start(), bench.edited(named('C'))), bench.undone(newBuild('b', 'B')));
  expect(reduce(undone, bench.edited(named('D'))).future).toEqual([]);
});

test('what the desk says of saving is copied, and nothing else is touched', () => {
  const state = reduce(
    reduce(start(), bench.edited(named('C'))),
    bench.saving({ save: 'stale', unsaved: 1, trouble: { kind: 'stale', words: '' }, strays: [] }),
  );
  expect([state.save, state.unsaved, state.trouble?.kind, state.past.length]).toEqual(['stale', 1, 'stale', 1]);
});

test('opening another machine keeps nothing of the last', () => {
  const state = reduce(
    reduce(start(), bench.edited(named('C'))),
    bench.opened({ build: newBuild('other', 'Other'), facts: ALL_SAVED }),
  );
  expect(state).toMatchObject({ past: [], future: [], unsaved: 0, save: 'saved', said: null });
});
