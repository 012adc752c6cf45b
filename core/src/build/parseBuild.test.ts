import { cube, fixture } from '../testing/fixture';
import { parseBuild, parseBuildText } from './parseBuild';
import { newBuild } from './newBuild';
import { assess } from '../assess';

const file = () => JSON.parse(JSON.stringify(cube().add('barge-8', 3).build)) as Record<string, unknown>;
const refusal = (value: unknown) => {
  const parsed = parseBuild(value);
  if (parsed.ok) throw new Error('was taken');
  return parsed;
};

test('a build written and read again is deep-equal', () => {
  const { build } = cube().add('barge-8', 3);
  expect(parseBuildText(JSON.stringify(build))).toEqual({ ok: true, build });
});

test.each(['', '{', 'hello', '[1,2'])('text that is not JSON is refused as such: %j', (text) => {
  expect(parseBuildText(text)).toMatchObject({ ok: false, code: 'notJson' });
});

test.each([null, 5, 'x', [], true])('JSON that is no object is no build: %j', (value) => {
  expect(refusal(value).code).toBe('notABuild');
});

test('another format is refused by its number', () => {
  expect(refusal({ ...file(), format: 3 })).toMatchObject({
    code: 'otherFormat',
    words: expect.stringContaining('format 3') as string,
  });
  expect(refusal({})).toMatchObject({ code: 'otherFormat' });
});

test('past a limit the limit is named', () => {
  expect(refusal({ ...file(), name: 'n'.repeat(201) })).toMatchObject({
    code: 'overLimit',
    words: 'The name has 201 characters; at most 200.',
  });
  expect(refusal({ ...file(), notes: 'n'.repeat(20_001) }).code).toBe('overLimit');
  const many = file() as { items: { units: unknown[]; sheet: string }[] };
  const drives = many.items.find((item) => item.sheet === 'barge-8')!;
  drives.units = Array.from({ length: 501 }, (_, i) => ({ id: `x${i}`, mark: `X${i + 1}` }));
  expect(refusal(many)).toMatchObject({ code: 'overLimit', words: 'The build has 501 drives; at most 500.' });
  expect(parseBuildText(`"${'x'.repeat(9 * 1024 * 1024)}"`)).toMatchObject({ code: 'overLimit' });
});

test('unknown fields, wrong types and broken references are refused with their place', () => {
  expect(refusal({ ...file(), surprise: 1 }).code).toBe('notABuild');
  expect(refusal({ ...file(), copies: 'two' }).at).toContain('copies');
  const missing = file() as { sheets: Record<string, unknown> };
  delete missing.sheets['barge-8'];
  expect(refusal(missing).words).toContain('barge-8');
  const twice = file() as { items: { id: string }[] };
  twice.items[1]!.id = twice.items[0]!.id;
  expect(refusal(twice).words).toContain('stands twice');
  const swapped = file() as { sheets: Record<string, { archetype: string }>; archetypes: Record<string, unknown> };
  swapped.sheets['barge-8']!.archetype = 'cube-8';
  expect(refusal(swapped).words).toContain('archetype is a chassis');
});

test('a chassis whose bays are larger than its shell is refused', () => {
  const wide = file() as { sheets: Record<string, Record<string, unknown>> };
  wide.sheets['larder-8']!.widthMm = 120;
  expect(refusal(wide).words).toContain('more than the shell');
});

test('a script in a name is a name: kept as text, harmless in every sentence', () => {
  const name = '<script>alert(1)</script>';
  const parsed = parseBuild({ ...newBuild('b', name) });
  expect(parsed).toMatchObject({ ok: true, build: { name } });
  expect(assess(fixture().set({ name }).build, { asOf: '2026-01-01' }).status).toBe('empty');
});

test('a prototype key in a record does not reach the prototype', () => {
  const text = JSON.stringify(file()).replace('"sheets":{', '"sheets":{"__proto__":{"polluted":true},');
  parseBuildText(text);
  expect(({} as { polluted?: boolean }).polluted).toBeUndefined();
});

test.each(['constructor', '__proto__', 'toString'])('an id that every object answers to is refused: %s', (id) => {
  const build = structuredClone(cube().build) as unknown as { items: { units: { id: string }[] }[] };
  build.items[1]!.units[0]!.id = id;
  expect(parseBuild(build)).toMatchObject({
    ok: false,
    words: expect.stringContaining('a name every object has') as string,
  });
});
