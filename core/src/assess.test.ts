import fc from 'fast-check';
import { AS_OF, catalogue, cube, fixture, tweak, type Fixture } from './testing/fixture';
import { assess, createAssessor } from './assess';
import type { Build } from './build/build';
import { parseBuild } from './build/parseBuild';
import { addItemEdit } from './build/newItem';
import { commit } from './solve/settle';
import type { SheetId } from './parts/ids';

const strip = ({ units: _units, ...rest }: ReturnType<typeof assess>) => rest;
const sheets = Object.keys(catalogue.sheets) as SheetId[];
const kit = fc.array(fc.tuple(fc.nat(sheets.length - 1), fc.integer({ min: 1, max: 6 })), { maxLength: 9 });

function grow(parts: readonly (readonly [number, number])[]): Build {
  return parts.reduce((build, [at, count]) => {
    const step = commit(build, [addItemEdit(build, catalogue, sheets[at]!, count)]);
    return step.ok ? step.build : build;
  }, fixture().build);
}

test('cold and warm answers are equal, edit after edit', () => {
  fc.assert(
    fc.property(kit, (parts) => {
      const warm = createAssessor();
      let build = fixture().build;
      for (const [at, count] of parts) {
        const step = commit(build, [addItemEdit(build, catalogue, sheets[at]!, count)]);
        if (step.ok) build = step.build;
        expect(strip(warm.assess(build, AS_OF))).toEqual(strip(assess(build, AS_OF)));
      }
    }),
    { numRuns: 40, seed: 17 },
  );
});

/** Replaces values deep in a document with others of a like kind. */
function mutate(value: unknown, draws: Iterator<number>): unknown {
  const draw = () => (draws.next().value as number | undefined) ?? 1;
  if (draw() % 40 === 0) return [null, 0, -1, 1e9, '', 'u2', [], {}, true][draw() % 9];
  if (Array.isArray(value)) {
    const list = value.map((one) => mutate(one, draws));
    if (draw() % 60 === 0) list.pop();
    return list;
  }
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(
      Object.entries(value).flatMap(([key, one]) => (draw() % 150 === 0 ? [] : [[key, mutate(one, draws)]])),
    );
  if (typeof value === 'number' && draw() % 25 === 0) return value * ((draw() % 5) + 0.5);
  return value;
}

test('300 mutated files: each is refused with words or assessed, none throws', () => {
  const source = JSON.parse(JSON.stringify(cube().add('tern-8i').add('barge-8', 3).add('reed-250').build)) as Record<
    string,
    unknown
  >;
  let taken = 0;
  fc.assert(
    fc.property(
      fc.infiniteStream(fc.nat(100_000)),
      fc.constantFrom('items', 'layout', 'sheets', 'site', 'brief', 'policy', 'changes', 'pool'),
      (draws, section) => {
        const parsed = parseBuild({ ...source, [section]: mutate(source[section], draws) });
        if (!parsed.ok) {
          expect(parsed.words.length).toBeGreaterThan(10);
          return;
        }
        taken++;
        const found = assess(parsed.build, AS_OF);
        expect(['empty', 'partsMissing', 'blocked', 'clear']).toContain(found.status);
        for (const figure of Object.values(found.figures)) expect(Number.isFinite(figure.value)).toBe(true);
      },
    ),
    { numRuns: 300, seed: 23 },
  );
  expect(taken).toBeGreaterThan(5);
});

test('any kit is assessed, with every figure finite and low ≤ likely ≤ high', () => {
  fc.assert(
    fc.property(kit, (parts) => {
      for (const figure of Object.values(assess(grow(parts), AS_OF).figures)) {
        expect(Number.isFinite(figure.value)).toBe(true);
        expect(figure.lo).toBeLessThanOrEqual(figure.value + 1e-9);
        expect(figure.hi).toBeGreaterThanOrEqual(figure.value - 1e-9);
      }
    }),
    { numRuns: 60, seed: 29 },
  );
});

test('status: empty, parts missing, blocked, clear', () => {
  expect(fixture().assess().status).toBe('empty');
  expect(cube().assess()).toMatchObject({ status: 'partsMissing', open: [{ kind: 'drive' }] });
  expect(cube().add('barge-8', 5).assess().status).toBe('blocked');
  expect(cube().add('barge-8', 4).assess()).toMatchObject({ status: 'clear', open: [] });
});

test('a stored layout that stands is used as it is, one that does not is solved anew', () => {
  const made = cube().add('barge-8', 4);
  expect(made.assess()).toMatchObject({ stored: true });
  const broken = {
    ...made.build,
    layout: {
      ...made.build.layout,
      at: {
        ...made.build.layout.at,
        [made.unit('barge-8')]: { spot: { host: 'u2', key: 'cage', n: 99 }, how: 'put' as const },
      },
    },
  };
  const found = assess(broken, AS_OF);
  expect(found.stored).toBe(false);
  expect(found.status).toBe('clear');
});

test('missing things point at the place where they go', () => {
  const keys = fixture()
    .add('larder-8')
    .add('wren-c8')
    .assess()
    .open.map((one) => `${one.kind} ${one.spot.key}`);
  expect(keys).toEqual(['processor socket', 'cooler coolerMount', 'memory memory', 'supply supply', 'drive cage']);
});

test('a stick is no drive to keep data on; one of a terabyte and more, or with that role, is', () => {
  const open = (made: Fixture) => made.assess().open.map(({ kind }) => kind);
  expect(open(cube().add('dab-32'))).toEqual(['drive']);
  expect(open(cube().add('dab-32', 1, { role: 'data' }))).toEqual([]);
  expect(open(cube(tweak('dab-32', { capacityBytes: 2e12 })).add('dab-32'))).toEqual([]);
});
