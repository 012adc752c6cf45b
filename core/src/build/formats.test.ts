import { readdirSync, readFileSync } from 'node:fs';
import { createAssessor } from '../assess';
import { catalogue, AS_OF } from '../testing/fixture';
import { commit } from '../solve/settle';
import { resolve } from '../parts/resolve';
import { VALUES } from '../parts/sheet';
import type { Build } from './build';
import type { Edit } from './edits';
import { editSchema } from './edits';
import { newBuild } from './newBuild';
import { parseBuild, parseBuildText } from './parseBuild';
import { FORMAT, UPGRADES, upgradeEdits } from './upgrades/upgrade';

/** Files as they were written in format 1; they are never changed. */
const folder = 'core/src/testing/formats/1';
const names = readdirSync(folder).filter((name) => name !== 'kept-copy.json');
const text = (name: string): string => readFileSync(`${folder}/${name}`, 'utf8');
const raw = (name: string): Record<string, unknown> => JSON.parse(text(name)) as Record<string, unknown>;
const opened = (name: string): Build => {
  const parsed = parseBuildText(text(name));
  if (!parsed.ok) throw new Error(`${name}: ${parsed.words}`);
  return parsed.build;
};

test('the steps lead from the first format to the newest, one by one', () => {
  expect(UPGRADES.map((step) => step.from)).toEqual(Array.from({ length: FORMAT - 1 }, (_, i) => i + 1));
  expect(newBuild('a', 'A').format).toBe(FORMAT);
});

test.each(names)('%s of format 1 opens, keeps its wires, its hours and its readings, and is worked out', (name) => {
  const build = opened(name);
  const was = raw(name) as { layout: { wires: { lead: string }[] }; readings: { state: string }[] };
  expect(build.format).toBe(FORMAT);
  expect(build.layout.wires.map((wire) => wire.cable)).toEqual(was.layout.wires.map((wire) => wire.lead));
  expect(build.readings.length).toBe(was.readings.length);
  const { figures, stored } = createAssessor().assess(build, AS_OF);
  expect(stored).toBe(true);
  expect(Object.keys(figures).length).toBeGreaterThan(0);
  // Written and read again it is the same.
  expect(parseBuild(JSON.parse(JSON.stringify(build)))).toEqual({ ok: true, build });
});

test('the words for hours and readings of format 1 are those of the one list', () => {
  const { profile, readings } = opened('every-section.json');
  expect(new Set([...profile.weekday, ...profile.weekend])).toEqual(
    new Set(['off', 'asleep', 'idle', 'working', 'busy']),
  );
  expect(readings.map((one) => one.state)).toEqual(['idle', 'asleep', 'working', 'busy', 'peak']);
});

test('a file of a later format is refused with a sentence, one of none likewise', () => {
  const later = parseBuild({ ...newBuild('a', 'A'), format: FORMAT + 1, hologram: true });
  expect(later).toMatchObject({
    ok: false,
    code: 'otherFormat',
    words: expect.stringContaining('from a later Inch Tower') as string,
  });
  for (const format of [0, -1, 1.5, '1', null, undefined])
    expect(parseBuild({ ...newBuild('a', 'A'), format })).toMatchObject({ ok: false, code: 'otherFormat' });
});

test('upgrading takes whatever is there and leaves the judging to the schema', () => {
  for (const odd of [
    {},
    { layout: 3 },
    { layout: { wires: 'x' } },
    { layout: { wires: [1, null, { lead: 2 }] } },
    { profile: [] },
    { readings: [[]] },
  ]) {
    expect(
      parseBuild({ ...raw('field-kit.json'), ...odd, format: 1, ...(Object.keys(odd).length ? {} : { items: 7 }) }),
    ).toMatchObject({ ok: false });
  }
});

test('edits that waited under format 1 are edits of the newest and make the same machine', () => {
  const kept = raw('kept-copy.json') as { build: unknown; edits: unknown[][] };
  const steps = kept.edits.map((step) => upgradeEdits(step, 1));
  for (const edit of steps.flat()) expect(editSchema.safeParse(edit).error?.issues ?? []).toEqual([]);
  expect(steps.flat().map((edit) => (edit as Edit).type)).toEqual(
    expect.arrayContaining(['cable.put', 'cable.how', 'layout.set', 'restore']),
  );
  const parsed = parseBuild(kept.build);
  if (!parsed.ok) throw new Error(parsed.words);
  // Made once more on what they led to, they lead there again.
  const again = steps.reduce<Build>((build, edits) => {
    const step = commit(build, edits as readonly Edit[]);
    if (!step.ok) throw new Error(step.words);
    return step.build;
  }, parsed.build);
  expect({ ...again, counter: null }).toEqual({ ...parsed.build, counter: null });
});

describe('what is absent', () => {
  const build = opened('boathouse-rack.json');
  const finite = (without: unknown): string | null => {
    const parsed = parseBuild(without);
    if (!parsed.ok) return parsed.words;
    try {
      createAssessor().assess(parsed.build, AS_OF);
      return null;
    } catch (error) {
      return String(error);
    }
  };

  test.each(Object.keys(build.sheets))('any field of %s may be missing: in its sheet, and in its archetype', (id) => {
    const sheet = build.sheets[id]!;
    const archetype = build.archetypes[sheet.archetype]!;
    const fields = Object.keys(VALUES[sheet.kind].shape);
    const faults = fields.flatMap((field) => {
      const { [field as 'name']: _own, ...lessSheet } = sheet;
      const { [field as 'name']: _typical, ...lessArchetype } = archetype;
      const words = finite({
        ...build,
        sheets: { ...build.sheets, [id]: lessSheet },
        archetypes: { ...build.archetypes, [archetype.id]: lessArchetype },
      });
      // A sheet whose features lie past the shell that stands in for its own is refused with a reason, and saved again it is not.
      return words && !/more than the shell|larger than|beyond/.test(words) ? [`${field}: ${words}`] : [];
    });
    expect(faults).toEqual([]);
  });

  test('any optional field of an item, the brief and the site may be missing', () => {
    const whole = opened('every-section.json');
    const faults = (['brief', 'site', 'profile'] as const).flatMap((section) =>
      Object.keys(whole[section]).flatMap((field) => {
        const { [field as never]: _gone, ...rest } = whole[section] as Record<string, unknown>;
        const parsed = parseBuild({ ...whole, [section]: rest });
        return parsed.ok ? [finite({ ...whole, [section]: rest })] : [];
      }),
    );
    expect(faults.filter((one) => one !== null)).toEqual([]);
    expect(faults.length).toBeGreaterThan(10);
  });
});

test('a catalogue part with nothing but its archetype resolves whole', () => {
  for (const sheet of Object.values(catalogue.sheets)) {
    const part = resolve(sheet, catalogue.archetypes[sheet.archetype]!) as unknown as Record<string, unknown>;
    for (const [field, schema] of Object.entries(VALUES[sheet.kind].shape))
      if (!schema.safeParse(undefined).success)
        expect([sheet.id, field, part[field] === undefined]).toEqual([sheet.id, field, false]);
  }
});
