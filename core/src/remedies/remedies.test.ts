import { AS_OF, catalogue, cube, fixture, tweak, type Fixture } from '../testing/fixture';
import { createAssessor } from '../assess';
import type { Catalogue } from '../parts/catalogue';
import { parseSpot } from '../build/layout';
import { commit } from '../solve/settle';
import { assess } from '../assess';
import { allRemedies, conflictLines } from './remedies';
import { mismatchWords, tryAt, type TryRow } from './tryAt';
import type { Base } from './weigh';

const baseOf = (made: Fixture): Base => ({ build: made.build, assessment: made.assess() });
const remedies = (made: Fixture, code: string, from: Catalogue = catalogue) => {
  const base = baseOf(made);
  const snag = base.assessment.snags.find((one) => one.code === code)!;
  return allRemedies(base, snag, from, createAssessor(), AS_OF);
};
const rows = (
  made: Fixture,
  spot: string,
  more: { count?: number; replace?: boolean; search?: string } = {},
  from: Catalogue = catalogue,
): TryRow[] => [...tryAt(baseOf(made), { spot: parseSpot(spot)!, ...more }, from, createAssessor(), AS_OF)];

const troubled: readonly (readonly [string, Fixture])[] = [
  ['reaches.portsShort', cube().add('reed-250', 1, { role: 'boot' }).add('pike-960', 4)],
  ['reaches.portsShort', cube().add('reed-250', 1, { role: 'boot' }).add('pike-960', 4).add('barge-8', 8)],
  [
    'fits.coolerHeight',
    cube(tweak('fell-47', { heightMm: 74 })).add('pike-960', 2, { at: ['u2/roof.1', 'u2/roof.2'] }),
  ],
  ['fits.cardLength', fixture().add('steading-t9').add('plover-a6').add('tern-24i')],
  ['fits.supplyForm', fixture().add('larder-8').add('ember-550')],
  ['fits.boardInChassis', fixture().add('larder-8').add('plover-a6')],
  ['fits.driveInBay', fixture().add('steading-t9').add('plover-a6').add('pike-960', 2)],
  ['mates.memory', fixture().add('larder-8').add('wren-c8').add('clew-5-16')],
  ['mates.memoryRegistered', fixture().add('larder-8').add('wren-c8').add('clew-r32')],
  [
    'powered.start12V',
    cube(tweak('ember-450s', { rail12A: 12 }))
      .add('tern-8i')
      .add('barge-12', 8),
  ],
  ['within.sound', cube().set({ brief: { earDb: 24 }, site: { ...cube().build.site, listening: 'none' } })],
];

test.each(troubled)('%s has a remedy that, when done, really cures it and blocks nothing new', (code, made) => {
  const found = remedies(made, code);
  expect(found.length).toBeGreaterThan(0);
  expect(found.length).toBeLessThanOrEqual(5);
  const before = made
    .assess()
    .snags.filter((snag) => snag.severity === 'blocker')
    .map((snag) => snag.code);
  for (const remedy of found) {
    expect(remedy.cure).toBe(true);
    const step = commit(made.build, remedy.edits);
    if (!step.ok) throw new Error(step.words);
    const after = assess(step.build, AS_OF);
    expect(after.snags.map((snag) => snag.code)).not.toContain(code);
    for (const snag of after.snags) if (snag.severity === 'blocker') expect(before).toContain(snag.code);
    expect(after.figures['cost.now']?.value ?? 0).toBeCloseTo(
      (made.assess().figures['cost.now']?.value ?? 0) + (remedy.delta['cost.now'] ?? 0),
      6,
    );
  }
});

const server = () => fixture().add('gable-24').add('gannet-e8').add('shire-16').add('crag-q8').add('clew-r32', 4);
const tall = () => fixture().add('steading-t9').add('plover-a6').add('drover-4').add('tarn-155').add('clew-16e', 2);

test.each<readonly [what: string, code: string, made: () => Fixture, titles: readonly RegExp[]]>([
  [
    'as many cheap holders as the drives want come before a dear cage',
    'fits.driveInBay',
    () => tall().add('ember-650').add('pike-960', 4),
    [/^Add 2 × Cradle 2$/, /^Add Crib 4 small in 1$/],
  ],
  [
    'a module without a socket gets a card that has one, and the system may go to a drive in a bay',
    'fits.driveInBay',
    () => cube().add('stickle-500', 1, { role: 'boot' }).add('stickle-2000', 2).add('barge-8', 2),
    [/^Add Punt 1$/, /^Take \w+ \d+ GB instead of Stickle 500 GB NVMe$/],
  ],
  [
    'for two cards and one slot a module with ports takes the place of the controller',
    'fits.cardSlot',
    () => cube().add('tern-8i').add('skein-10').add('barge-8', 8),
    [/^Take Stilt M5 instead of Tern 8i$/],
  ],
  [
    'with SAS drives no module does: a larger board in a larger chassis, in one step',
    'fits.cardSlot',
    () => cube().add('tern-8i').add('skein-10').add('sluice-8', 6),
    [/^Take .* in .* instead of Wren C8 in Larder 8$/],
  ],
  [
    'a card that draws more than its slot gives: one that draws less says what it gives up',
    'powered.slot',
    () => tall().add('ember-650').add('beacon-120').add('tern-16i').add('skein-10x2').add('sluice-8', 4),
    [/^Give up 1 network port: take Skein 10.* instead of Skein 10, two ports$/],
  ],
  [
    'a card too long for its chassis that no other does the work of: another chassis',
    'fits.cardLength',
    () => cube().add('beacon-300').add('barge-8', 4),
    [/^Take .* instead of Larder 8$/],
  ],
  [
    'a second card that carries nothing takes half of the cables',
    'complete.idleCard',
    () => server().add('brazier-1200').add('tern-8i', 2).add('barge-8', 8),
    [/^Deal the drives over Tern 8i and Tern 8i$/],
  ],
])('%s', (_what, code, made, titles) => {
  const found = remedies(made(), code).map(({ title }) => title);
  for (const title of titles) expect(found).toContainEqual(expect.stringMatching(title));
});

test('a card’s few watts are no harm to a supply that was short before: ports come before drives taken out', () => {
  const made = fixture().add('gable-12').add('gannet-c8').add('shire-16').add('crag-2u').add('clew-r32', 8);
  const found = remedies(made.add('brazier-550').add('barge-12', 12), 'reaches.portsShort');
  expect(found.map(({ title }) => title)[0]).toMatch(/^Add /);
});

test('the same words are said once, however many parts a snag is about', () => {
  const made = fixture().add('trug-4f').add('wren-c8').add('drover-4').add('fell-47').add('clew-16e', 2);
  const found = remedies(made.add('ember-450s').add('barge-8', 4), 'cooled.drives').map(({ title }) => title);
  expect(found.length).toBeGreaterThan(1);
  expect(new Set(found).size).toBe(found.length);
});

test('of what costs about the same the new part comes first, a used one where it costs clearly less', () => {
  const short = (usedMinor: number) => {
    const price = { minor: usedMinor, currency: 'EUR' };
    const from = tweak(
      'stilt-4',
      { soldUsed: true, price },
      tweak('stilt-2', { price: { minor: 3000, currency: 'EUR' } }),
    );
    const made = cube(from).add('barge-8', 5);
    const { build } = made;
    const assessment = made.assess();
    const snag = assessment.snags.find(({ code }) => code === 'reaches.portsShort')!;
    return allRemedies({ build, assessment }, snag, from, createAssessor(), AS_OF).map(({ title }) => title);
  };
  expect(short(2900).slice(0, 2)).not.toContain('Add Stilt 4');
  expect(short(800)[0]).toBe('Add Stilt 4');
});

test('disks that are owned are not laid aside for larger ones while one more has room', () => {
  const wish = (deal: 'buy' | 'owned') =>
    remedies(
      cube()
        .add('tern-8i')
        .add('barge-8', 4, { deal })
        .set({ brief: { usableTb: 30, failuresSurvived: 1 } }),
      'within.usable',
    )[0]!.title;
  expect(wish('buy')).toBe('Take Barge 10 TB instead of Barge 8 TB');
  expect(wish('owned')).toBe('Add Barge 8 TB');
});

test('where ECC is a must and the board has none, a board that has it is offered', () => {
  const made = fixture().add('steading-t9').add('plover-a8').add('drover-4').add('clew-16e', 2);
  expect(remedies(made.set({ brief: { mustHave: ['ecc'] } }), 'within.mustHave')[0]?.title).toMatch(
    /^Take .* instead of Plover A8$/,
  );
});

test('what gives a part up stands behind what keeps everything', () => {
  const titles = remedies(troubled[0]![1], 'reaches.portsShort').map((one) => one.title);
  expect(titles[0]).toBe('Take Stickle 250 GB NVMe instead of Reed 250 GB M.2 SATA');
  expect(titles.findIndex((title) => title.startsWith('Take out'))).toBe(-1);
  expect(
    remedies(fixture().add('steading-t9').add('plover-a6').add('pike-960', 2), 'fits.driveInBay').at(-1)!.title,
  ).toMatch(/^Take out/);
});

test('where one change is not enough, two together are offered', () => {
  expect(remedies(troubled[1]![1], 'reaches.portsShort').map((one) => one.title)).toContain(
    'Add Tern 8i, and take Stickle 250 GB NVMe instead of Reed 250 GB M.2 SATA',
  );
});

test('a long card: shorter cards with as many ports first, the cage and its bays last, said to be lost', () => {
  const titles = remedies(troubled[3]![1], 'fits.cardLength').map((one) => one.title);
  expect(titles[0]).toMatch(/instead of Tern 24i long$/);
  expect(titles).toContain('Give up 6 bays: take out the drive cage');
});

test('nothing in the catalogue helps: no remedy is made up', () => {
  const bare = { ...catalogue, sheets: {} };
  expect(remedies(fixture().add('larder-8').add('ember-550'), 'fits.supplyForm', bare)).toEqual([]);
});

test('trying weighs every part against this build and changes nothing', () => {
  const made = cube().add('barge-8', 3);
  const before = structuredClone(made.build);
  const found = rows(made, 'u2/cage.8');
  expect(made.build).toEqual(before);
  const row = found.find((one) => one.goes && one.sheet === 'barge-8');
  expect(row).toMatchObject({ goes: true, weighed: { delta: { 'capacity.rawTb': 8, 'drives.room': -1 } } });
  const fifth = rows(made.add('barge-8', 1), 'u2/cage.8').find((one) => one.goes && one.sheet === 'barge-8');
  expect(fifth).toMatchObject({ goes: true, weighed: { causes: [{ code: 'reaches.portsShort' }] } });
});

test('what does not go comes with its one reason; other kinds of part are not listed', () => {
  expect(rows(cube(), 'u4/socket').every((one) => (one.goes ? one.weighed.edits.length : one.why) !== undefined)).toBe(
    true,
  );
  expect(rows(cube(), 'u4/socket').some((one) => one.sheet === 'barge-8')).toBe(false);
  const wrong = rows(fixture().add('larder-8').add('wren-c8'), 'u4/socket').filter((one) => !one.goes);
  expect(wrong.map((one) => (one.goes ? '' : mismatchWords(one.why)))).toContain('Socket Q8; this place takes Q4');
  expect(
    rows(fixture().add('larder-8'), 'u2/supply')
      .filter((one) => !one.goes)
      .map((one) => (one.goes ? '' : mismatchWords(one.why))),
  ).toContain('Form atx; this place takes sfx, sfx-l');
});

test.each([
  'floor/chassis',
  'u2/tray',
  'u2/cage.1',
  'u2/roof.2',
  'u2/supply',
  'u2/rear',
  'u4/memory.2',
  'u4/socket',
  'u4/coolerMount',
  'u4/m2a',
  'u4/m2b',
  'u4/pcie1',
  'u4/sata.1',
  'table/any',
  'table/drive',
])('something can be tried at %s', (spot) => {
  const bare = spot === 'u2/tray' ? fixture().add('larder-8') : fixture().add('larder-8').add('wren-c8');
  expect(rows(bare, spot).filter((one) => one.goes).length).toBeGreaterThan(0);
});

test('several at once are one edit, in this place and its free neighbours', () => {
  const made = cube().add('tern-8i');
  const row = rows(made, 'u2/cage.3', { count: 8 }).find((one) => one.goes && one.sheet === 'barge-8');
  if (!row?.goes) throw new Error('no row');
  expect(row.weighed.edits).toHaveLength(1);
  const step = commit(made.build, row.weighed.edits);
  expect(step.ok && Object.values(step.build.layout.at).filter((seat) => seat.spot.key === 'cage')).toHaveLength(8);
});

test('more of a sheet joins its item and goes on with its marks', () => {
  const made = cube().add('barge-8', 2);
  const row = rows(made, 'u2/cage.7').find((one) => one.goes && one.sheet === 'barge-8');
  const step = row?.goes ? commit(made.build, row.weighed.edits) : null;
  const item = step?.ok ? step.build.items.find((one) => one.sheet === 'barge-8') : undefined;
  expect(item!.units.map((unit) => unit.mark.slice(1))).toEqual(['1', '2', '3']);
});

test('a search narrows by name, maker or kind; replacing leaves the part itself out', () => {
  expect(
    rows(cube(), 'u2/cage.1', { search: 'RILL drive' })
      .filter((one) => one.goes)
      .map((one) => one.sheet),
  ).toEqual(['rill-8']);
  const replaced = rows(cube(), 'u2/supply', { replace: true })
    .filter((one) => one.goes)
    .map((one) => one.sheet);
  expect(replaced.sort()).toEqual(['ember-600s', 'ember-750s']);
});

test('a card that finds no slot because another is held: the hold is named, and giving it up is a cure', () => {
  const slot = { bus: 'pcie', gen: 4, owner: 'processor', openEnd: false } as const;
  const from = tweak('plover-a8', {
    slots: [
      { ...slot, key: 'wide', label: 'Wide', position: 0, lanes: 16, wiredLanes: 16 },
      { ...slot, key: 'narrow', label: 'Narrow', position: 2, lanes: 4, wiredLanes: 4 },
    ],
  });
  const first = fixture(from).add('steading-t9').add('plover-a8').add('skein-10');
  const made = first
    .edit({ type: 'place.hold', unit: first.unit('skein-10'), spot: { host: first.unit('plover-a8'), key: 'wide' } })
    .add('tern-8i');
  const base = baseOf(made);
  const snag = base.assessment.snags.find(({ code }) => code === 'fits.cardSlot')!;
  expect([...conflictLines(base, snag)].sort()).toEqual([
    '2 slots that take them',
    'Skein 10',
    'Skein 10 is held where it is',
    'Tern 8i',
  ]);
  expect(allRemedies(base, snag, from, createAssessor(), AS_OF)).toContainEqual(
    expect.objectContaining({ cure: true, edits: [{ type: 'place.release', unit: made.unit('skein-10') }] }),
  );
});

test('room says what ends first', () => {
  const ends = (made: Fixture) => JSON.stringify(createAssessor().explain(made.build, 'drives.room'));
  expect(ends(cube())).toContain('then the ports end');
  expect(ends(cube().add('tern-8i'))).toContain('then the bays end');
});

test('a controller in stock comes before one to buy, and costs nothing', () => {
  const made = cube().add('barge-8', 8);
  const base: Base = { ...baseOf(made), owned: { 'tern-6g8': { stockId: 's1' } } };
  const snag = base.assessment.snags.find(({ code }) => code === 'reaches.portsShort')!;
  const [best] = allRemedies(base, snag, catalogue, createAssessor(), AS_OF);
  expect(best).toMatchObject({ title: 'From stock: Tern 8 6G, used', cure: true });
  expect(commit(made.build, best!.edits)).toMatchObject({
    build: {
      items: expect.arrayContaining([expect.objectContaining({ sheet: 'tern-6g8', deal: 'owned', stockId: 's1' })]),
    },
  });
});

test('where the drives are what is heard, fewer of them are offered', () => {
  const loud = cube()
    .add('tern-8i')
    .add('barge-8', 8)
    .set({ brief: { earDb: 22 } });
  expect(remedies(loud, 'within.sound').map(({ title }) => title)).toContain(
    '4 × Barge 16 TB in place of 8 × Barge 8 TB',
  );
});

test('of many ways alike three stand before ways of another kind', () => {
  // An owned module switches off two ports: five cards of a kind would cure that, and so would another module.
  const made = cube().add('reed-250', 1, { role: 'boot', deal: 'owned' }).add('pike-960', 4);
  const titles = remedies(made, 'reaches.portsShort').map(({ title }) => title);
  const isAdded = titles.map((title) => title.startsWith('Add '));
  expect(isAdded.filter(Boolean).length).toBeGreaterThanOrEqual(3);
  expect(titles.slice(3).some((title) => /^Take .* instead of Reed/.test(title))).toBe(true);
  // What comes in its place is not owned.
  const instead = remedies(made, 'reaches.portsShort').find(({ title }) => title.includes('instead of Reed'))!;
  expect(instead.delta['cost.now']).toBeGreaterThan(0);
});
