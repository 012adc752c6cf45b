import { AS_OF, catalogue, cube, fixture, tweak, type Fixture } from '../testing/fixture';
import { assess, createAssessor } from '../assess';
import { runningUnits } from '../machine/running';
import { FIGURE_IDS, FIGURES, flat, roomStage, type FigureId } from './figures';
import { isFact, Ledger, rangeOfQuantity, type Working } from './quantity';
import { cableNeeds } from '../needs/cables';
import { plannedUnits } from '../machine/units';

const machines: readonly (readonly [string, Fixture])[] = [
  ['the cube with eight disks', cube().add('tern-8i').add('barge-8', 8)],
  [
    'a tower with a cage',
    fixture()
      .add('steading-t9')
      .add('plover-a6')
      .add('drover-8')
      .add('tarn-155')
      .add('clew-32e', 2)
      .add('ember-550')
      .add('crib-5')
      .add('barge-12', 6),
  ],
  [
    'a rack',
    fixture()
      .add('gable-24')
      .add('gannet-e8')
      .add('shire-16')
      .add('crag-q8')
      .add('clew-r32', 4)
      .add('brazier-800')
      .add('tern-24i')
      .add('barge-12', 12),
  ],
];

test.each(machines)('the working of every figure ends in the figure itself: %s', (_name, made) => {
  const assessor = createAssessor();
  const { figures } = assessor.assess(made.build, AS_OF);
  for (const id of FIGURE_IDS) {
    const explained = assessor.explain(made.build, id);
    if (!figures[id]) {
      expect(explained).toBeNull();
      continue;
    }
    expect(explained!.figure).toEqual(figures[id]);
    expect(explained!.working.value).toBeCloseTo(figures[id].value, 9);
    expect(explained!.working.lo).toBeCloseTo(figures[id].lo, 9);
    expect(explained!.working.hi).toBeCloseTo(figures[id].hi, 9);
  }
});

const leaves = (line: Working): (readonly [string, number])[] =>
  line.of.flatMap((one) => (isFact(one) ? [[one.field, one.value] as const] : leaves(one)));

test('a working goes down to the fields of part sheets, and its sums add up', () => {
  const { working } = createAssessor().explain(cube().add('barge-8', 3).build, 'power.idleWallW')!;
  expect(leaves(working)).toEqual(
    expect.arrayContaining([
      ['idleW', 8.5],
      ['idleW', 3.5],
      ['maxW', 2.2],
    ]),
  );
  const check = (line: Working) => {
    if (line.op === 'sum') expect(line.of.reduce((sum, one) => sum + one.value, 0)).toBeCloseTo(line.value, 9);
    if (line.op === 'times') expect(line.of[0]!.value * line.times!).toBeCloseTo(line.value, 9);
    line.of.forEach((one) => {
      if (!isFact(one)) check(one);
    });
  };
  check(working);
});

test('twenty-four drives of one sheet err together, different facts in quadrature', () => {
  const ledger = new Ledger(false);
  const a = ledger.ofFact({
    id: 'a',
    sheet: 'x' as never,
    name: 'a',
    field: 'idleW',
    value: 5,
    lo: 4,
    hi: 6,
    unit: 'W',
    basis: 'stated',
  });
  const b = ledger.ofFact({
    id: 'b',
    sheet: 'x' as never,
    name: 'b',
    field: 'idleW',
    value: 5,
    lo: 4,
    hi: 6,
    unit: 'W',
    basis: 'stated',
  });
  expect(rangeOfQuantity(ledger.times('24', a, 24))).toEqual({ lo: 96, hi: 144 });
  expect(rangeOfQuantity(ledger.sum('two', 'W', [a, a]))).toEqual({ lo: 8, hi: 12 });
  expect(rangeOfQuantity(ledger.sum('both', 'W', [a, b])).hi).toBeCloseTo(10 + Math.SQRT2, 9);
  expect(rangeOfQuantity(ledger.map('less', 'W', [a, b], 'a − b', (x, y) => x - y)).lo).toBeCloseTo(-Math.SQRT2, 9);
});

/** A plain generator of seeded draws (mulberry32) and a normal draw from it. */
function seeded(seed: number) {
  let state = seed;
  const next = () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return () => Math.sqrt(-2 * Math.log(next() || 1e-9)) * Math.cos(2 * Math.PI * next());
}

test.each(['power.idleWallW', 'power.peakWallW', 'sound.earIdleDb', 'power.start12A', 'cost.now'] as FigureId[])(
  '2,000 draws of the facts behind %s: 90 to 99 %% inside low to high',
  (id) => {
    const made = machines[0]![1];
    const units = plannedUnits(made.build);
    const { layout } = made.build;
    const context = {
      units,
      layout,
      running: runningUnits(units, layout),
      site: made.build.site,
      policy: made.build.policy,
      pool: made.build.pool,
      currency: 'EUR',
      rates: {},
      copies: 1,
      failuresSurvived: 0,
      needs: cableNeeds(units, layout.wires, []).needs,
      small: [],
      room: roomStage(units, layout),
    };
    const compute = FIGURES[id].compute as (from: typeof context, ledger: Ledger) => ReturnType<Ledger['sum']> | null;
    const { lo, hi } = flat(id, compute(context, new Ledger(false)))!;
    const normal = seeded(20261101);
    let inside = 0;
    for (let i = 0; i < 2000; i++) {
      const drawn = new Map<string, number>();
      // Each error once a draw, shared by the typical facts of one field; half-widths are two standard deviations.
      const ledger = new Ledger(false, (fact) => {
        const z = drawn.get(fact.id) ?? normal() / 2;
        drawn.set(fact.id, z);
        return fact.value + (z < 0 ? z * (fact.value - fact.lo) : z * (fact.hi - fact.value));
      });
      const { value } = compute(context, ledger)!;
      if (value >= lo - 1e-9 && value <= hi + 1e-9) inside++;
    }
    expect(inside / 2000).toBeGreaterThanOrEqual(0.9);
    expect(inside / 2000).toBeLessThanOrEqual(0.99);
  },
);

test('raw capacity counts data drives in decimal terabytes, not the boot drive', () => {
  const { figures } = cube().add('barge-8', 3).add('stickle-500', 1, { role: 'boot' }).assess();
  expect(figures['capacity.rawTb']).toMatchObject({ value: 24, lo: 24, hi: 24, unit: 'TB' });
});

test('room for drives is what bays and ports together allow', () => {
  const room = (made: Fixture) => {
    const { figures } = made.assess();
    return [figures['drives.room']!.value, figures['bays.free']!.value, figures['ports.free']!.value];
  };
  expect(room(cube())).toEqual([4, 8, 4]);
  expect(room(cube().add('tern-8i'))).toEqual([8, 8, 12]);
  expect(room(cube().add('barge-8', 8))).toEqual([0, 0, 0]);
  expect(room(cube().add('reed-250', 1, { role: 'boot' }))).toEqual([2, 8, 2]);
});

test('money now: bought at its price, owned for nothing, cables the wiring needs at their typical price', () => {
  // 129 + 212 + 109 + 36 + 2 × 48 + 88, eight drives at 149, card 68, one cable at 16: the breakout in the board's box
  // serves the other four.
  const made = cube().add('tern-8i').add('barge-8', 8);
  expect(made.assess().figures['cost.now']).toMatchObject({ value: 670 + 8 * 149 + 68 + 16, unit: 'EUR' });
  const owned = made.edit({ type: 'item.patch', item: made.build.items.at(-1)!.id, patch: { deal: 'owned' } });
  expect(owned.assess().figures['cost.now']!.value).toBe(670 + 68 + 16);
});

test('tax and shipping are added, another currency is kept out', () => {
  const made = fixture().add('barge-8', 2);
  const priced = (price: NonNullable<Fixture['build']['items'][number]['price']>) =>
    made.edit({ type: 'item.patch', item: made.build.items[0]!.id, patch: { price } }).assess().figures['cost.now']!
      .value;
  expect(
    priced({ minor: 10_000, currency: 'EUR', per: 'unit', taxIncluded: false, taxPct: 20, shippingMinor: 500 }),
  ).toBeCloseTo(245, 9);
  expect(priced({ minor: 10_000, currency: 'EUR', per: 'item', taxIncluded: true })).toBe(100);
  expect(priced({ minor: 10_000, currency: 'CHF', per: 'unit', taxIncluded: true })).toBe(0);
});

test('a part without a price takes its class price, known to a quarter', () => {
  const { price: _price, ...sheet } = catalogue.sheets['barge-8']!;
  const from = { ...catalogue, sheets: { ...catalogue.sheets, 'barge-8': sheet as never } };
  expect(fixture(from).add('barge-8', 1).assess().figures['cost.now']).toMatchObject({
    value: 150,
    lo: 112.5,
    hi: 187.5,
    basis: 'typical',
  });
});

test('cables come from the kit, then from the boxes, and only then are bought', () => {
  const needs = (made: Fixture) =>
    made.assess().needs.needs.map((need) => [need.cable.id, need.fromKit, need.fromBoxes, need.toBuy]);
  expect(needs(cube().add('barge-8', 4))).toEqual([['reverse:sata:sff-8643', 0, 1, 0]]);
  expect(needs(cube().add('tern-8i').add('barge-8', 8))).toEqual([
    ['reverse:sata:sff-8643', 0, 1, 0],
    ['straight:sff-8643:sff-8643', 0, 0, 1],
  ]);
  expect(needs(cube().add('tern-8i').add('lead-8643', 2).add('barge-8', 8))).toEqual([
    ['straight:sff-8643:sff-8643', 2, 0, 0],
  ]);
});

test('a part of a later stage counts for nothing yet', () => {
  const later = cube().add('barge-8', 4);
  const staged = later
    .set({ stages: [{ name: 'Now' }, { name: 'Later' }] })
    .edit({ type: 'item.patch', item: later.build.items.at(-1)!.id, patch: { stage: 1 } });
  expect(staged.assess().figures).toEqual(cube().assess().figures);
  expect(assess({ ...staged.build, stage: 1 }, AS_OF).figures['capacity.rawTb']!.value).toBe(32);
});

test('a longer name changes no figure object', () => {
  const assessor = createAssessor();
  const made = cube(tweak('hush-92', {})).add('barge-8', 2);
  const before = assessor.assess(made.build, AS_OF);
  const after = assessor.assess({ ...made.build, name: 'Another' }, AS_OF);
  expect(after.figures).toBe(before.figures);
  expect(after.snags).toBe(before.snags);
});
