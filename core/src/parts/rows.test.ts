import { catalogue } from '../testing/fixture';
import { fieldsOf } from './fields';
import { askOf, blankOf, placeWords, rowChoiceWords, withAnother, type Ask } from './rows';
import { VALUES } from './sheet';
import { PART_KINDS } from './vocabulary';

const lists = PART_KINDS.flatMap((kind) =>
  fieldsOf(kind)
    .filter(({ type }) => type === 'list')
    .map((field) => ({ kind, field, ask: askOf(field.schema) })),
);
/** Everything that is asked for inside one list. */
function all(ask: Ask, name: string): { name: string; ask: Ask }[] {
  if (ask.type === 'group') return ask.fields.flatMap((one) => all(one.ask, one.name));
  if (ask.type === 'rows' || ask.type === 'many') return [{ name, ask }, ...all(ask.of, name)];
  return [{ name, ask }];
}

test('every list of every kind has a form, but what a chassis can be changed by and the modes of a board', () => {
  const kept = lists.filter(({ ask }) => all(ask, '').some((one) => one.ask.type === 'kept'));
  expect(kept.map(({ kind, field }) => `${kind}.${field.name}`)).toEqual([
    'chassis.options',
    'board.modes',
    'cable.ends',
  ]);
});

test('no choice is shown as a bare key', () => {
  const shown = lists.flatMap(({ field, ask }) =>
    all(ask, field.name).flatMap(({ name, ask: own }) =>
      own.type === 'choice' ? own.options.map((one) => rowChoiceWords(name, one)) : [],
    ),
  );
  expect(
    shown.filter((words) => /[a-z][A-Z]|^[a-z]+-[a-z]/.test(words) && !/^(hot-swap|low-profile|eSATA)$/.test(words)),
  ).toEqual([]);
});

test('what a class has in its lists is what its form asks for', () => {
  const fits = (ask: Ask, value: unknown): boolean => {
    if (value === null) return true;
    if (ask.type === 'group')
      return Object.entries(value as object).every(([key, one]) => {
        const field = ask.fields.find(({ name }) => name === key);
        return field !== undefined && (one === null ? field.may === 'none' : fits(field.ask, one));
      });
    if (ask.type === 'rows' || ask.type === 'many') return (value as unknown[]).every((one) => fits(ask.of, one));
    if (ask.type === 'choice') return ask.options.includes(value as string);
    if (ask.type === 'number') return (value as number) >= ask.least && (value as number) <= ask.most;
    return true;
  };
  for (const archetype of Object.values(catalogue.archetypes))
    for (const { kind, field, ask } of lists) {
      const value = (archetype as unknown as Record<string, unknown>)[field.name];
      if (archetype.kind === kind && value !== undefined)
        expect([archetype.id, field.name, fits(ask, value)]).toEqual([archetype.id, field.name, true]);
    }
});

test('a first row of every list passes its schema, once it is called something', () => {
  for (const { kind, field, ask } of lists) {
    if (ask.type !== 'rows') continue;
    const blank = JSON.parse(
      JSON.stringify(
        Array.from({ length: Math.max(1, ask.least) }, () => blankOf(ask.of)),
        (key, one: unknown) => (key === 'label' ? 'x' : one),
      ),
    ) as unknown;
    const schema = VALUES[kind].shape[field.name as never] as unknown as {
      safeParse: (value: unknown) => { error?: { issues: readonly { path: PropertyKey[]; code: string }[] } };
    };
    // Words are typed by the builder; nothing else is wrong with it.
    const issues = schema.safeParse(blank).error?.issues ?? [];
    expect([
      kind,
      field.name,
      issues.filter(({ path }) => !/generation|effects|^0.lanes$/.test(path.join('.'))),
    ]).toEqual([kind, field.name, []]);
  }
});

test('another row is like the last, by a key and a label of its own', () => {
  const { ask } = lists.find(({ kind, field }) => kind === 'board' && field.name === 'slots')!;
  if (ask.type !== 'rows') throw new Error('slots are rows');
  const slot = (n: number) => ({ key: `pcie${n}`, label: `Slot ${n}`, lanes: 16 });
  expect(withAnother([slot(1), slot(2)], ask.of)).toEqual([slot(1), slot(2), slot(3)]);
  expect(withAnother([slot(1), slot(3)], ask.of).at(-1)).toEqual({ ...slot(2), label: 'Slot 4' });
  expect(withAnother([{ key: 'front', label: 'Front' }], ask.of).at(-1)).toMatchObject({
    key: 'front1',
    label: 'Front 2',
  });
});

test('a fault is told by its place in the form', () => {
  expect(placeWords(['slots', 1, 'wiredLanes'], () => 'slots')).toBe('slots, row 2, wired lanes');
});
