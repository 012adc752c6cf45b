import {
  addItemEdit,
  airOf,
  allRemedies,
  commit,
  createAssessor,
  marginOf,
  quieten,
  replay,
  sameTemperature,
  type Build,
  type Edit,
  type SheetId,
  type WarmRow,
} from '@inch-tower/core';
import { loadDemoBuilds, loadDemoCatalogue } from './loadDemo';
import { recipes, situations, type Recipe } from './situations';

/** What builders must be told of air and sound, on the kinds of machine they plan. */
const catalogue = loadDemoCatalogue();
const start = recipes(catalogue);
const all = situations(catalogue);
const asOf = { asOf: '2026-11-01' };
const assessor = createAssessor();
const air = (build: Build) => airOf(assessor.context(build));
const rowsOf = (build: Build): WarmRow[] => air(build).boxes.flatMap(({ rows }) => [...rows]);
const isDrive = ({ where }: WarmRow) => where === 'stream' || where === 'inside' || where === 'cage';
const hottest = (build: Build) =>
  Math.max(
    ...rowsOf(build)
      .filter(isDrive)
      .map(({ on }) => on.hot.tempC.value),
  );
const idleDb = (build: Build) => assessor.assess(build, asOf).figures['sound.earIdleDb']!.value;
const made = (build: Build, ...edits: Edit[]): Build => {
  const step = commit(build, edits);
  if (!step.ok) throw new Error(step.words);
  return step.build;
};
const atDuty = (build: Build, duty: number): Build => ({
  ...build,
  policy: { ...build.policy, fans: { kind: 'fixed', duty } },
});

/** Twenty-four bays in a room with a desk, all filled, two loud redundant supplies. */
const office = (): Recipe => {
  const recipe = start('lock-office', 'Lock office')
    .add('gable-24')
    .add('gannet-e8')
    .add('shire-16')
    .add('crag-q8')
    .add('clew-r32', 4)
    .add('brazier-800')
    .add('tern-16x')
    .add('barge-12', 24);
  return recipe.with({ site: { ...recipe.build.site, listening: 'office', place: 'floor' } });
};

describe('twenty-four bays in a room with a desk', () => {
  const { build } = office();
  test('stock: heard far over the room, and the view says so with its sources', () => {
    const { heard, roomDb } = air(build);
    expect(roomDb).toBe(36);
    expect(heard.find(({ state }) => state === 'idle')!.ear.lo).toBeGreaterThan(roomDb);
    const sources = heard[0]!.sources.map(({ label }) => label);
    expect(sources.slice(0, 2).every((label) => /Stock/.test(label))).toBe(true);
  });
  test('each swap and its effect at the same temperature: fans, shroud, vents, alone and together', () => {
    const run = quieten({ build, assessment: assessor.assess(build, asOf) }, catalogue, createAssessor(), asOf);
    let last;
    for (const step of run) last = step;
    const titles = last!.best.map(({ title }) => title);
    expect(last!.best[0]!.savesDb).toBeGreaterThan(5);
    expect(titles.some((title) => /rear fans/.test(title))).toBe(true);
    expect(titles.some((title) => /shroud|[Ss]eal vents/.test(title))).toBe(true);
    expect(last!.best.every(({ hottestC }) => hottestC! <= hottest(build) + 0.1)).toBe(true);
  }, 60_000);
  test('winter and summer against the same with quieter fans: equal in degrees, quieter in both', () => {
    const quiet = made(
      build,
      ...[
        ['hush-120', 'wall', 3],
        ['hush-80', 'rear', 2],
      ].map(([sheet, key, count], i, list) => {
        const before = list.slice(0, i).reduce((now, [id, at, n]) => {
          const next = replay(now, [fit(now, id as string, at as string, n as number)]);
          if ('ok' in next) throw new Error(next.words);
          return next;
        }, build);
        return fit(before, sheet as string, key as string, count as number);
      }),
    );
    const same = sameTemperature(assessor.context(build), createAssessor().context(quiet))!;
    for (const { mine, other, missesK } of [same.normal, same.hot]) {
      if (missesK > 0) expect(other.duty).toBe(1);
      else expect(other.hottestC).toBeLessThanOrEqual(mine.hottestC + 0.1);
      expect(other.earDb!).toBeLessThan(mine.earDb!);
    }
  });
  test('a cooler without a fan starves behind slow fans', () => {
    const processor = (duty: number) =>
      rowsOf(atDuty(build, duty)).find(({ where }) => where === 'processor')!.on.hot.tempC.value;
    expect(processor(0.2)).toBeGreaterThan(processor(0.8) + 5);
  });
});

function fit(build: Build, sheet: string, key: string, count: number): Edit {
  const host = build.items.find((item) => item.sheet === 'gable-24')!.units[0]!.id;
  const spots = Array.from({ length: count }, (_, i) => ({ host, key, n: i + 1 }));
  return addItemEdit(build, catalogue, sheet as SheetId, count, { spots });
}

test('a long accelerator behind a taken-out wall of fans: what that costs in air is told', () => {
  const build = all['sound-desk']!;
  const box = build.items.find((item) => item.sheet === 'byre-15s')!.units[0]!.id;
  const open = made(build, { type: 'change.add', change: { id: 'x', kind: 'option', host: box, key: 'noWall' } });
  expect(hottest(open)).toBeGreaterThan(hottest(build) + 3);
});

test('silence: a fanless supply takes its fan out of what is heard', () => {
  const loud = start('mill', 'Mill')
    .add('steading-t9')
    .add('plover-a6')
    .add('drover-4')
    .add('tarn-155')
    .add('clew-16e', 2)
    .add('ember-550')
    .add('pike-960', 2).build;
  const supply = loud.items.find((item) => item.sheet === 'ember-550')!.units[0]!.id;
  const item = loud.items.find((one) => one.sheet === 'ember-550')!.id;
  const step = commit(loud, [
    {
      type: 'item.replace',
      item,
      sheet: 'moss-500' as SheetId,
      sheets: [catalogue.sheets['moss-500']!],
      archetypes: [catalogue.archetypes[catalogue.sheets['moss-500']!.archetype]!],
    },
  ]);
  if (!step.ok) throw new Error(step.words);
  const sources = air(loud).heard[0]!.sources;
  const saves = sources.find(({ units }) => units.includes(supply))?.savesDb ?? 0;
  expect(idleDb(loud) - idleDb(step.build)).toBeCloseTo(saves, 1);
});

test('1U: its 40 mm fans at a third and at full', () => {
  const build = all['gauge-house']!;
  const quiet = air(atDuty(build, 0.3)).heard;
  const full = quiet.find(({ state }) => state === 'peak')!.ear.value;
  expect(full - quiet.find(({ state }) => state === 'idle')!.ear.value).toBeGreaterThan(15);
  expect(hottest(atDuty(build, 0.3))).toBeGreaterThan(hottest(atDuty(build, 1)));
});

test('eight-bay cube: faster fans in place of the stock one cool its drives, and are heard', () => {
  const build = all['eel-loft']!;
  expect(
    rowsOf(build)
      .filter(isDrive)
      .every((row) => marginOf(row) > 0),
  ).toBe(true);
  expect(hottest(atDuty(build, 1))).toBeLessThan(hottest(atDuty(build, 0.3)));
  expect(idleDb(atDuty(build, 1))).toBeGreaterThan(idleDb(atDuty(build, 0.3)) + 6);
});

test('home-made box without a fan: its processor as a range, and its drives', () => {
  const still = { ...catalogue, sheets: { ...catalogue.sheets } } as typeof catalogue;
  (still.sheets as Record<string, unknown>)['creel-2w'] = { ...catalogue.sheets['creel-2w']!, builtIn: [] };
  const { build } = recipes(still)('loft', 'Loft')
    .add('creel-2w')
    .add('sprig-i2')
    .add('clew-3s8')
    .add('pellet-b160')
    .add('cradle-1w')
    .add('lighter-1');
  const { boxes } = air(build);
  expect(boxes[0]!.air.hot.isStill).toBe(true);
  for (const { on } of boxes[0]!.rows) expect(on.hot.tempC.hi - on.hot.tempC.lo).toBeGreaterThan(4);
});

test('twelve small drives in two cages without a fan: past their limit, and a fan at the side is no help to them', () => {
  const build = all['evening-copies']!;
  expect(
    rowsOf(build)
      .filter(isDrive)
      .every((row) => marginOf(row) < 0),
  ).toBe(true);
  const assessment = assessor.assess(build, asOf);
  const snag = assessment.snags.find(({ code }) => code === 'cooled.drives')!;
  const ways = allRemedies({ build, assessment }, snag, catalogue, createAssessor(), asOf);
  // It moves the air behind them, and next to none past them.
  for (const { after } of ways) expect(hottest(after)).toBeLessThan(hottest(build) - 1);
});

test('the old desktop: rubber under its disks takes some of them out of what is heard', () => {
  const build = loadDemoBuilds().find(({ id }) => id === 'old-desktop')!;
  const soft = made(build, addItemEdit(build, catalogue, 'damper-4' as SheetId, 2));
  expect(idleDb(soft)).toBeLessThan(idleDb(build) - 0.2);
});

test('twenty-four SSDs on three cards side by side: who heats whom, and a free slot between is the cure', () => {
  const row = (...slots: readonly string[]) => {
    const plain = start('reels', 'Reels')
      .add('gable-24')
      .add('gannet-e8')
      .add('shire-16')
      .add('crag-q8')
      .add('clew-r32', 4)
      .add('brazier-800')
      .add('tern-8i', 3)
      .add('zander-960', 24).build;
    const board = plain.items.find((item) => item.sheet === 'gannet-e8')!.units[0]!.id;
    const cards = plain.items.find((item) => item.sheet === 'tern-8i')!.units;
    return atDuty(
      made(
        plain,
        ...cards.map(({ id }, i): Edit => ({ type: 'place.put', unit: id, spot: { host: board, key: slots[i]! } })),
      ),
      0.4,
    );
  };
  const card = (build: Build) =>
    Math.max(
      ...rowsOf(build)
        .filter(({ where }) => where === 'card')
        .map(({ on }) => on.hot.tempC.value),
    );
  const [beside, apart] = [row('pcie1', 'pcie2', 'pcie3'), row('pcie1', 'pcie3', 'pcie5')];
  expect(rowsOf(beside).some(({ beside: names }) => (names ?? []).length > 0)).toBe(true);
  expect(card(beside)).toBeGreaterThan(card(apart) + 1);
});

test('old against new, at the same temperature: who is louder and what each draws, winter and summer', () => {
  const [old, planned] = [all['weighbridge']!, all['eel-loft']!];
  const same = sameTemperature(assessor.context(old), createAssessor().context(planned))!;
  for (const { mine, other, missesK } of [same.normal, same.hot]) {
    for (const one of [mine, other]) {
      expect(one.wallW).toBeGreaterThan(10);
      expect(one.earDb).toBeGreaterThan(0);
    }
    if (missesK === 0) expect(other.hottestC).toBeLessThanOrEqual(mine.hottestC + 0.1);
    else expect(other.hottestC - mine.hottestC).toBeCloseTo(missesK, 6);
  }
});
