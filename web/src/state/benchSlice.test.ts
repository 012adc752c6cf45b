import { newBuild, type Edit } from '@inch-tower/core';
import type { BenchView } from '../worker/messages';
import { bench, benchSlice, type BenchState, type HistoryStep } from './benchSlice';

const reduce = benchSlice.reducer;
const start = (): BenchState => reduce(undefined, bench.opened({ build: newBuild('b', 'B'), etag: 'one', unsaved: [] }));
const named = (name: string): { build: ReturnType<typeof newBuild>; step: HistoryStep } => ({
  build: newBuild('b', name),
  step: { edits: [{ type: 'set.name', value: name } as Edit], inverse: [{ type: 'restore', sections: { name: 'B' } } as Edit], words: `Named ${name}` },
});
const view = (rev: number): BenchView => ({ rev, status: 'empty', figures: {}, snags: [], open: [], needs: [], small: [], unplaced: [], unconnected: [] });

test('an edit is one step: past, unsaved and a new revision, nothing to redo', () => {
  const state = reduce(start(), bench.edited(named('C')));
  expect(state.past).toHaveLength(1);
  expect(state.unsaved).toHaveLength(1);
  expect(state.rev).toBe(start().rev + 1);
  expect(state.future).toEqual([]);
  expect(state.said).toBe('Named C');
});

test('an edit the server was never sent is taken back without a word to it', () => {
  const edited = reduce(start(), bench.edited(named('C')));
  const undone = reduce(edited, bench.undone(newBuild('b', 'B')));
  expect(undone.unsaved).toEqual([]);
  expect(undone.future).toHaveLength(1);
});

test('an edit under way to the server is taken back there too', () => {
  const edited = reduce(start(), bench.edited(named('C')));
  const saving = reduce(edited, bench.saving());
  const undone = reduce(saving, bench.undone(newBuild('b', 'B')));
  expect(undone.unsaved).toHaveLength(2);
  const saved = reduce(undone, bench.saved({ etag: 'two', steps: 1 }));
  expect(saved.unsaved).toEqual([edited.past[0]!.inverse]);
  expect(saved.save).toBe('kept');
});

test('what came while a save was on its way stays unsaved', () => {
  const first = reduce(reduce(start(), bench.edited(named('C'))), bench.saving());
  const second = reduce(first, bench.edited(named('D')));
  const saved = reduce(second, bench.saved({ etag: 'two', steps: 1 }));
  expect(saved.unsaved).toEqual([named('D').step.edits]);
  expect(saved.etag).toBe('two');
  expect(reduce(saved, bench.saved({ etag: 'three', steps: 1 })).save).toBe('saved');
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

test('once it was changed elsewhere, keeping it here does not hide that', () => {
  const stale = reduce(start(), bench.stale({ build: newBuild('b', 'Theirs'), etag: 'x' }));
  expect(reduce(stale, bench.kept(true)).save).toBe('stale');
});

test('opening another machine keeps nothing of the last', () => {
  const state = reduce(reduce(start(), bench.edited(named('C'))), bench.opened({ build: newBuild('other', 'Other'), etag: 'e', unsaved: [] }));
  expect(state).toMatchObject({ past: [], future: [], unsaved: [], save: 'saved', said: null });
});
