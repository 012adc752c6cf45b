import fc from 'fast-check';
import { commit, makeStep, newBuild, type Build, type Edit, type Refusal, type Step } from '@inch-tower/core';
import { loadDemoBuilds } from '../../../demo/loadDemo';
import { createSettling, type Made } from './settling';

const named = (value: string): Edit => ({ type: 'set.name', value });

/** A page and a worker whose answers come when the test says so. */
function bench(start: Build, settled: typeof commit = commit) {
  let rev = 1;
  const answers: ((how: 'settled' | 'silent') => void)[] = [];
  const page = {
    shown: { build: start, rev },
    saved: start,
    said: [] as string[],
    made: [] as Made[],
    waits: [] as (() => void)[],
    isWaiting: false,
  };
  const settling = createSettling({
    settle: (from, edits) =>
      new Promise<Step | Refusal | null>((resolve) => {
        answers.push((how) => resolve(how === 'settled' ? settled(from.build, edits) : null));
      }),
    nextRev: () => ++rev,
    made: (_id, made) => {
      page.shown = { build: made.shown, rev: made.rev };
      page.saved = made.step.build;
      page.made.push(made);
    },
    refused: (_id, words) => page.said.push(words),
    ahead: (_id, build) => (page.shown = { build, rev: ++rev }),
    later: (_ms, work) => {
      page.waits.push(work);
      return () => undefined;
    },
    waits: (_id, isWaiting) => (page.isWaiting = isWaiting),
  });
  const take = (...edits: Edit[]) => settling.take('b', page.shown, edits);
  const answer = async (how: 'settled' | 'silent' = 'settled') => {
    answers.shift()?.(how);
    for (let i = 0; i < 10; i++) await Promise.resolve();
  };
  return { page, settling, take, answer, answers };
}
const cupboard = loadDemoBuilds().find(({ id }) => id === 'hall-cupboard')!;
const rack = (): Build => cupboard;
/** Settles as the solver would, with another layout than the edits leave, and at no cost. */
const settledQuickly: typeof commit = (build, edits) => {
  const made = makeStep(build, edits);
  return made.ok ? makeStep(build, [...edits, { type: 'layout.set', layout: { ...made.build.layout } }]) : made;
};

test('what moves nothing is made on the page at once', async () => {
  const { take, page, answers } = bench(newBuild('b', 'B'));
  expect(await take(named('C'))).toBe(true);
  expect([page.shown.build.name, page.made[0]?.by, answers.length]).toEqual(['C', 'page', 0]);
});

test('what moves something is shown settled, and nothing before', async () => {
  const { take, page, answer } = bench(rack());
  const unit = rack().items.find(({ sheet }) => rack().sheets[sheet]?.kind === 'drive')!.units[0].id;
  const taken = take({ type: 'units.remove', units: [unit] });
  expect(page.made).toHaveLength(0);
  // From the very moment it is made: what is shown must not be called saved.
  expect(page.isWaiting).toBe(true);
  await answer();
  expect(await taken).toBe(true);
  expect(page.isWaiting).toBe(false);
  const whole = commit(rack(), [{ type: 'units.remove', units: [unit] }]) as Step;
  expect(page.shown.build).toEqual(whole.build);
  expect(page.made[0]).toMatchObject({ by: 'worker', last: true });
});

test('an edit that takes long is shown as it was made, then settled', async () => {
  const { take, page, answer } = bench(rack());
  const edit = {
    type: 'item.add',
    sheets: [],
    archetypes: [],
    item: { ...rack().items[0]!, id: 'i-new', units: [{ id: 'u-new' }] },
  } as never as Edit;
  const made = makeStep(rack(), [edit]);
  if (!made.ok) return expect(made.words).not.toBe('');
  const taken = take(edit);
  page.waits[0]!();
  expect(await taken).toBe(true);
  expect(page.shown.build).toEqual(made.build);
  expect(page.made).toHaveLength(0);
  await answer();
  expect(page.shown.build).toEqual((commit(rack(), [edit]) as Step).build);
});

test('edits made while another is under way stand on what that becomes, in order', async () => {
  const { take, page, answer } = bench(rack());
  const [a, b] = rack().items.filter(({ sheet }) => rack().sheets[sheet]?.kind === 'drive');
  const first: Edit = { type: 'units.remove', units: [a!.units[0].id] };
  const second: Edit = { type: 'units.remove', units: [(b ?? a)!.units.at(-1)!.id] };
  const both = [take(first), take(second), take(named('Later'))];
  await answer();
  await answer();
  await answer();
  expect(await Promise.all(both)).toEqual([true, true, true]);
  const one = commit(rack(), [first]) as Step;
  const two = commit(one.build, [second]) as Step;
  expect(page.saved).toEqual({ ...two.build, name: 'Later' });
  expect(page.made.map(({ last }) => last)).toEqual([false, false, true]);
});

test('what was made on an edit that comes out otherwise and no longer goes is said, and only that', async () => {
  const { take, page, answer } = bench(rack());
  const unit = rack().items.find(({ sheet }) => rack().sheets[sheet]?.kind === 'drive')!.units[0].id;
  const first = take({ type: 'units.remove', units: [unit] });
  expect(await take({ type: 'units.remove', units: [unit] })).toBe(false);
  expect(page.said).toHaveLength(1);
  await answer();
  expect(await first).toBe(true);
});

test('a worker that never answers loses nothing: the edit is made unsolved and said to be', async () => {
  const { take, page, answer } = bench(rack());
  const taken = take({ type: 'set.stage', value: 0 });
  await answer('silent');
  await taken;
  expect(page.made.every(({ by }) => by === 'unsolved')).toBe(true);
});

test('a page that goes away takes along what waits; an answer that comes later changes nothing', async () => {
  const { take, page, settling, answer } = bench(rack());
  const unit = rack().items.find(({ sheet }) => rack().sheets[sheet]?.kind === 'drive')!.units[0].id;
  void take({ type: 'units.remove', units: [unit] });
  void take(named('Still here'));
  settling.flush();
  expect(page.made).toHaveLength(2);
  expect(page.saved.name).toBe('Still here');
  expect(JSON.stringify(page.saved.items)).not.toContain(`"${unit}"`);
  const before = page.saved;
  await answer();
  expect(page.saved).toBe(before);
  expect(settling.isIdle('b')).toBe(true);
});

test('whatever order edits, answers, silences and looks come in, every edit taken is in what is saved', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.constantFrom('edit', 'remove', 'answer', 'silent', 'wait', 'flush'), { maxLength: 24 }),
      async (acts) => {
        const world = bench(rack(), settledQuickly);
        const units = rack().items.flatMap((item) =>
          rack().sheets[item.sheet]?.kind === 'drive' ? item.units.map(({ id }) => id) : [],
        );
        let [names, out] = [0, 0];
        const gone: string[] = [];
        for (const act of acts) {
          if (act === 'edit') void world.take(named(`N${++names}`));
          if (act === 'remove' && units[out]) {
            gone.push(units[out]!);
            void world.take({ type: 'units.remove', units: [units[out++]!] });
          }
          if (act === 'answer') await world.answer();
          if (act === 'silent') await world.answer('silent');
          if (act === 'wait') for (const work of world.page.waits.splice(0)) work();
          if (act === 'flush') world.settling.flush();
        }
        while (!world.settling.isIdle('b')) await world.answer();
        const left = new Set(world.page.saved.items.flatMap((item) => item.units.map(({ id }) => id as string)));
        expect(world.page.saved.name).toBe(names ? `N${names}` : rack().name);
        expect(gone.filter((id) => left.has(id))).toEqual([]);
        expect(world.page.shown.build).toEqual(world.page.saved);
      },
    ),
    { numRuns: 150 },
  );
});

test('two answers given before the first is drawn are both kept: of a section, and of one price', async () => {
  const { take, page, answer } = bench(rack(), settledQuickly);
  const build = rack();
  const unit = build.items.find(({ sheet }) => build.sheets[sheet]?.kind === 'drive')!.units[0].id;
  const item = build.items.find(({ price, deal }) => price && deal === 'buy')!;
  const [price, brief] = [item.price!, build.brief];
  const all = [
    take({ type: 'units.remove', units: [unit] }),
    // What follows is made by somebody who sees none of it yet.
    take({ type: 'set.brief', value: { ...brief, idleW: 51 } }),
    take({ type: 'set.brief', value: { ...brief, peakW: 222 } }),
    take({ type: 'item.patch', item: item.id, patch: { price: { ...price, minor: 189 } } }),
    take(
      { type: 'item.patch', item: item.id, patch: { price: { ...price, doubtful: true } } },
      { type: 'item.patch', item: item.id, patch: { price: { ...price, from: 'fair on the green' } } },
    ),
  ];
  expect(page.shown.build).toBe(build);
  for (let i = 0; i < all.length; i++) await answer();
  expect(await Promise.all(all)).toEqual(all.map(() => true));
  expect(page.saved.brief).toMatchObject({ idleW: 51, peakW: 222 });
  expect(page.saved.items.find(({ id }) => id === item.id)!.price).toMatchObject({
    minor: 189,
    doubtful: true,
    from: 'fair on the green',
  });
});
