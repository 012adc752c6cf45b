import { newBuild } from '@inch-tower/core';
import { keepHistory, keptHistory } from './keptHistory';

const storeOf = (most = Infinity) => {
  const kept = new Map<string, string>();
  return {
    kept,
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, text: string) => {
      if (text.length > most) throw new DOMException('full', 'QuotaExceededError');
      kept.set(key, text);
    },
    removeItem: (key: string) => void kept.delete(key),
  };
};
const build = newBuild('b', 'B');
const step = (words: string) => ({
  edits: [{ type: 'set.name' as const, value: words }],
  inverse: [{ type: 'set.name' as const, value: 'B' }],
  words,
});

test('the history of a machine is there again while the machine is as it was', () => {
  const store = storeOf();
  keepHistory(build, { past: [step('one')], future: [step('two')] }, store);
  expect(keptHistory(newBuild('b', 'B'), store)).toEqual({ past: [step('one')], future: [step('two')] });
  expect(keptHistory({ ...newBuild('b', 'B'), rates: undefined } as never, store).past).toHaveLength(1);
  expect(keptHistory(newBuild('b', 'Changed elsewhere'), store)).toEqual({ past: [], future: [] });
  expect(keptHistory(newBuild('c', 'B'), store)).toEqual({ past: [], future: [] });
});

test('nothing done keeps nothing, and takes away what was kept', () => {
  const store = storeOf();
  keepHistory(build, { past: [step('one')], future: [] }, store);
  keepHistory(build, { past: [], future: [] }, store);
  expect(store.kept.size).toBe(0);
});

test('the last steps are kept, and a browser without room or with rubbish in it keeps the page going', () => {
  const store = storeOf();
  keepHistory(build, { past: Array.from({ length: 100 }, (_, i) => step(String(i))), future: [] }, store);
  expect(keptHistory(build, store).past.map(({ words }) => words)).toEqual(
    Array.from({ length: 60 }, (_, i) => String(i + 40)),
  );
  const full = storeOf(10);
  keepHistory(build, { past: [step('one')], future: [] }, full);
  expect(keptHistory(build, full)).toEqual({ past: [], future: [] });
  store.kept.set('inch-tower.history.b', '{');
  expect(keptHistory(build, store)).toEqual({ past: [], future: [] });
});
