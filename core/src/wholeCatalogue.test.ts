import fc from 'fast-check';
import { createAssessor } from './assess';
import { billOf } from './bill/bill';
import { parseBuild } from './build/parseBuild';
import { drawingSvg } from './geometry/svg';
import type { Catalogue } from './parts/catalogue';
import { classSheet } from './parts/classSheet';
import { checkLayout } from './solve/checkLayout';
import { layOut } from './geometry/chassisPlan';
import { problemOf } from './solve/problem';
import { sceneOf } from './geometry/scene';
import { replay } from './build/step';
import { commit } from './solve/settle';
import { ofKind } from './machine/units';
import { tryAt } from './remedies/tryAt';
import { GRAVITY } from './snags/finding';
import { wordsOf } from './snags/words';
import { AS_OF, catalogue, fixture, type Fixture } from './testing/fixture';

const ids = Object.values(catalogue.sheets).map((sheet) => sheet.id as string);
const of = (kind: string) => ids.filter((id) => catalogue.sheets[id]!.kind === kind);
/** A kit as a builder might gather it: a chassis or two, a board, and a handful of anything. */
const kits = fc.record({
  boxes: fc.array(fc.constantFrom(...of('chassis')), { minLength: 1, maxLength: 2 }),
  board: fc.constantFrom(...of('board')),
  rest: fc.array(fc.tuple(fc.constantFrom(...ids), fc.integer({ min: 1, max: 6 })), { maxLength: 7 }),
  drives: fc.array(fc.tuple(fc.constantFrom(...of('drive')), fc.integer({ min: 1, max: 8 })), { maxLength: 3 }),
});
type Kit = {
  readonly boxes: readonly string[];
  readonly board: string;
  readonly rest: readonly (readonly [string, number])[];
  readonly drives: readonly (readonly [string, number])[];
};
const gathered = ({ boxes, board, rest, drives }: Kit, from: Catalogue = catalogue): Fixture =>
  [...boxes.map((id) => [id, 1] as const), [board, 1] as const, ...rest, ...drives].reduce(
    (made, [id, count]) => made.add(id, count),
    fixture(from),
  );
const runs = { numRuns: 80, seed: 20_261_123 };

test('whatever is gathered from the catalogue, the layout passes the checker and the file is read back with it', () => {
  fc.assert(
    fc.property(kits, (kit) => {
      const { build } = gathered(kit);
      expect(checkLayout(problemOf(build), build.layout)).toEqual([]);
      expect(parseBuild(JSON.parse(JSON.stringify(build)))).toEqual({ ok: true, build });
    }),
    runs,
  );
});

test('every snag has words without a hole in them, every figure a range around its value', () => {
  fc.assert(
    fc.property(kits, (kit) => {
      const { snags, figures } = gathered(kit).assess();
      for (const snag of snags) {
        const { what, why } = wordsOf(snag);
        expect(what).not.toMatch(/undefined|NaN|null|\[object/);
        expect(why.length).toBeGreaterThan(10);
        expect(what.split(/\s+/).length).toBeLessThanOrEqual(45);
      }
      expect(new Set(snags.map((snag) => snag.key)).size).toBe(snags.length);
      for (const figure of Object.values(figures))
        expect(figure.lo <= figure.value && figure.value <= figure.hi).toBe(true);
    }),
    runs,
  );
});

test('a drive more never lowers what the machine draws or costs', () => {
  fc.assert(
    fc.property(kits, fc.constantFrom(...of('drive')), (kit, drive) => {
      const before = gathered(kit);
      const [a, b] = [before.assess().figures, before.add(drive).assess().figures];
      for (const id of ['power.idleWallW', 'power.peakWallW', 'cost.now'] as const)
        if (a[id] && b[id]) expect(b[id].value).toBeGreaterThanOrEqual(a[id].value - 1e-9);
    }),
    { ...runs, numRuns: 40 },
  );
});

const DRAWS = ['standbyW', 'idleW', 'busyW', 'sustainedW', 'peakW', 'idle12A', 'busy12A', 'peak12A'];
const WEIGHS = ['massG'];
type Sheets = Readonly<Record<string, Readonly<Record<string, unknown>>>>;
/** The catalogue with some fields of a sheet raised where they stand: on the sheet itself, or on its class. */
function raised(id: string, fields: readonly string[], by: number): Catalogue {
  const more = (values: Readonly<Record<string, unknown>>) =>
    Object.fromEntries(
      fields.flatMap((field) => (typeof values[field] === 'number' ? [[field, values[field] + by]] : [])),
    );
  const sheets = catalogue.sheets as unknown as Sheets;
  const archetypes = catalogue.archetypes as unknown as Sheets;
  const archetype = archetypes[sheets[id]!.archetype as string];
  return {
    archetypes: archetype
      ? { ...archetypes, [archetype.id as string]: { ...archetype, ...more(archetype) } }
      : archetypes,
    sheets: { ...sheets, [id]: { ...sheets[id], ...more(sheets[id]!) } },
  } as unknown as Catalogue;
}
/**
 * How hard each rule of power, heat and the brief speaks. Temperatures are left out: more heat may start the fan of a
 * supply, or a draught, and cool what stands in it.
 */
const spoken = (made: Fixture) =>
  made.assess().snags.reduce((worst, { code, severity }) => {
    if (severity !== 'note' && /^(powered|cooled\.cooler|cooled\.passive|within|mates\.boardWatts)/.test(code))
      worst.set(code, Math.min(worst.get(code) ?? 2, GRAVITY[severity]));
    return worst;
  }, new Map<string, number>());

test.each([
  ['a watt and an ampere', DRAWS, 1],
  ['thirty watts', DRAWS.filter((field) => field.endsWith('W')), 30],
  ['a kilogram', WEIGHS, 1000],
])('%s more never takes away or softens what is past a limit', (_what, fields, by) => {
  fc.assert(
    fc.property(kits, fc.nat(), (kit, n) => {
      const parts = [...kit.boxes, kit.board, ...kit.rest.map(([id]) => id), ...kit.drives.map(([id]) => id)];
      const before = spoken(gathered(kit));
      const after = spoken(gathered(kit, raised(parts[n % parts.length]!, fields, by)));
      const softer = [...before].filter(([code, rank]) => (after.get(code) ?? 3) > rank).map(([code]) => code);
      expect(softer).toEqual([]);
    }),
    { ...runs, numRuns: 40 },
  );
});

test('cold and warm answers are equal, and undo gives the deep-equal build', () => {
  const warm = createAssessor();
  fc.assert(
    fc.property(kits, fc.constantFrom(...ids), (kit, more) => {
      const before = gathered(kit);
      const after = before.add(more);
      warm.assess(before.build, AS_OF);
      expect(warm.assess(after.build, AS_OF)).toEqual(createAssessor().assess(after.build, AS_OF));
      const step = commit(before.build, [{ type: 'units.remove', units: [before.build.items[0]!.units[0].id] }]);
      if (step.ok) expect(replay(step.build, step.inverse)).toEqual(before.build);
    }),
    { ...runs, numRuns: 40 },
  );
});

test('bill and drawing are made of anything', () => {
  fc.assert(
    fc.property(kits, (kit) => {
      const made = gathered(kit);
      const assessment = made.assess();
      expect(billOf(made.build, assessment).total).toBeCloseTo(assessment.figures['cost.now']?.value ?? 0, 6);
      expect(drawingSvg(made.build, sceneOf(assessment.units, assessment.layout).boxes)).not.toMatch(/NaN|undefined/);
    }),
    { ...runs, numRuns: 40 },
  );
});

test.each(of('chassis'))('%s: nothing is drawn outside of its shell', (id) => {
  const chassis = ofKind(problemOf(fixture().add(id).build).units, 'chassis')[0]!.part;
  for (const [key, box] of layOut(chassis).cells) {
    expect([key, box.xMm >= 0 && box.yMm >= 0 && box.zMm >= 0]).toEqual([key, true]);
    expect([
      key,
      box.xMm + box.widthMm <= chassis.widthMm + 1e-6 &&
        box.yMm + box.heightMm <= chassis.heightMm + 1e-6 &&
        box.zMm + box.depthMm <= chassis.depthMm + 1e-6,
    ]).toEqual([key, true]);
  }
});

describe('trying', () => {
  const base = (made: Fixture) => ({ build: made.build, assessment: made.assess() });
  const machine = () =>
    fixture().add('larder-8').add('wren-c8').add('drover-4').add('fell-47').add('clew-16e', 2).add('ember-450s');
  const going = (made: Fixture, more: object, candidates?: readonly string[]) =>
    [
      ...tryAt(
        base(made),
        { spot: { host: 'u2', key: 'cage', n: 1 }, ...more },
        catalogue,
        createAssessor(),
        AS_OF,
        candidates?.map((id) => catalogue.sheets[id]!),
      ),
    ].flatMap((row) => (row.goes ? [row] : []));

  test('owned parts cost nothing, keep their age, and join what is owned of the same entry', () => {
    const owned = { 'barge-8': { stockId: 's1', year: 2019, hours: 12_000, condition: 'good' as const } };
    const [row, ...others] = going(machine(), { owned, count: 2 });
    expect([row!.sheet, others.length, row!.weighed.delta['cost.now'] ?? 0]).toEqual(['barge-8', 0, 0]);
    const item = row!.weighed.after.items.at(-1)!;
    expect(item).toMatchObject({ deal: 'owned', stockId: 's1', year: 2019, hours: 12_000 });
    const more = [
      ...tryAt(
        base(machine().edit(...row!.weighed.edits)),
        { spot: { host: 'u2', key: 'cage', n: 3 }, owned },
        catalogue,
        createAssessor(),
        AS_OF,
      ),
    ][0]!;
    expect(more.goes && more.weighed.after.items.at(-1)!.units).toHaveLength(3);
  });

  test('candidates narrow what is tried, not where what is built into them is found', () => {
    expect(going(machine(), {}, ['barge-8', 'hush-120']).map((row) => row.sheet)).toEqual(['barge-8']);
    const classes = {
      ...catalogue,
      sheets: {
        ...catalogue.sheets,
        ...Object.fromEntries(
          Object.values(catalogue.archetypes).map((one) => {
            const sheet = classSheet(one);
            return [sheet.id, sheet];
          }),
        ),
      },
    };
    const rows = [
      ...tryAt(
        base(fixture().add('larder-8')),
        { spot: { host: 'u2', key: 'tray' } },
        classes,
        createAssessor(),
        AS_OF,
        Object.values(catalogue.archetypes).map(classSheet),
      ),
    ];
    expect(rows.flatMap((row) => (row.goes ? [row.sheet] : [])).sort()).toEqual(['class-board-itx', 'class-board-soc']);
  });

  test('a class in a machine: every number typical, and the build still opens anywhere', () => {
    const sheet = classSheet(catalogue.archetypes['disk-35-air']!);
    const made = fixture({ ...catalogue, sheets: { ...catalogue.sheets, [sheet.id]: sheet } })
      .add('larder-8')
      .add('wren-c8')
      .add(sheet.id, 2);
    expect(made.assess().figures['capacity.rawTb']!.value).toBe(12);
    expect(made.assess().figures['power.idleWallW']!.basis).toBe('typical');
    expect(parseBuild(JSON.parse(JSON.stringify(made.build))).ok).toBe(true);
  });
});
