import {
  addItemEdit,
  allRemedies,
  createAssessor,
  commit,
  hostDrives,
  memoryRoom,
  ofKind,
  wiringFor,
  wordsOf,
  type Build,
  type SheetId,
  type Snag,
} from '@inch-tower/core';
import { loadDemoCatalogue } from './loadDemo';
import { situations } from './situations';

const catalogue = loadDemoCatalogue();
const all = situations(catalogue);
const asOf = { asOf: '2026-11-01' };
const assess = (build: Build) => createAssessor().assess(build, asOf);
const sentences = (build: Build) =>
  assess(build).snags.map((snag) => `${snag.severity} ${snag.code}: ${wordsOf(snag).what}`);

/** What must be found in each, by a piece of its sentence. */
const FOUND: Readonly<Record<string, readonly RegExp[]>> = {
  'lock-keepers-box': [
    /caution fits\.opening: Dunlin 2 PCI: .* only without its bracket, and 1 outside port cannot be used/,
    /reaches\.slotLink: 1 drive on Dunlin 2 PCI has the PCI bus: 100 MB\/s for the 110 MB\/s it could give/,
    /powered\.plugs: SATA power plugs: 3 wanted, Clinker 400 Flex has 2\. Splitters are needed/,
    /note fits\.goesFirst: 1 memory module of Sprig I2 goes in first: Clinker 400 Flex lies over it\./,
  ],
  'granary-fifteen': [
    /caution mates\.powerDisable: 2 drives obey the power-disable pin, and nothing here cuts it/,
    /note fits\.fixedBays: 6 drives sit in bays that are not hot swap/,
    /fits\.rackBody: Byre 15 Wide is 446 mm wide; with slide rails there is room for 440 mm/,
    /complete\.smallParts: Also needed: coin cell, I\/O shield, slide rails/,
  ],
  'sound-desk': [
    /blocker fits\.cardLength: Beacon 300 is 32 mm too long: 312 mm, room for 280 mm to the fan wall/,
    /fits\.holes: 6 drives mate, but nothing holds them: Pike 960 GB/,
    /fits\.cardCovers: Beacon 300 is 3 slots thick and covers/,
  ],
  'evening-copies': [/blocker reaches\.multiplier: Crib 6 on one port hangs 6 drives on one SATA port/],
  'attic-four': [
    /blocker fits\.cardSlot: .*no slot is left that takes it\. The only one is in use/,
    /fits\.supplyScrews: Ember 450 SFX goes into .* no screw points/,
  ],
  'reel-room': [
    /note reaches\.cardUplink: 24 drives on Tern 24i long could give 12,480 MB\/s; its (link|chip) .* Only copies inside feel it/,
    /blocker fits\.cardLength: Tern 24i long is 3 mm too long: 315 mm, room for 312 mm to the fan wall/,
  ],
  'gauge-house': [
    /blocker fits\.stick: Dab 32 GB boot stick stands 40 mm above the board; 28 mm are there under the cover/,
    /blocker mates\.memoryRegistered: Clew 16 GB registered/,
    /blocker fits\.cardHeight: Punt 1 stands 68\.9 mm high in its slot; Plank 1U has 37\.5 mm there\. On a riser it lies flat/,
    /fits\.rackDepth: Plank 1U is 420 mm deep; with 35 mm of handles/,
    /mates\.spareCables: .*it is a forward breakout, the other way round\. Wanted: 1 × Reverse breakout/,
  ],
  rescue: [/complete\.smallParts: Also needed: slide rails/],
  weighbridge: [
    /fits\.coolerBase: The base of Crag Q6 is 44 mm; the heat spreader of Shire X12, used is 52 mm/,
    /complete\.smallParts: Also needed: coin cell, I\/O shield/,
    /mates\.frontUsb/,
  ],
  'four-nodes': [
    /note fits\.plugRoom: Pike 480 GB goes in turned round, plugs to the front: 48 mm are there, 12 mm behind; a plug and its bend want 30 mm\./,
    /complete\.uselessPorts: Sprig X4 node has 6 drive ports; Hurdle Half has 1 bay: 5 stay idle/,
    /complete\.smallParts: Also needed: rack kit, brick tray/,
  ],
  'eel-loft': [/mates\.frontUsb: Larder 8 has USB 3 in front; Wren X8 has no header for it/],
};

test.each(Object.entries(all))('%s: what must be found is found, in short sentences', (id, build) => {
  const said = sentences(build);
  for (const found of FOUND[id]!) expect(said).toEqual(expect.arrayContaining([expect.stringMatching(found)]));
  // What, by how much and why: at most 35 words together.
  for (const snag of assess(build).snags) {
    const { what, why } = wordsOf(snag);
    expect([what, why, `${what} ${why}`.split(/\s+/).length > 35]).toEqual([what, why, false]);
  }
});

test.each(Object.entries(all))(
  '%s: every blocker has a way out, and taking the first leaves that blocker behind',
  (_id, build) => {
    const assessment = assess(build);
    for (const snag of assessment.snags.filter(({ severity }) => severity === 'blocker')) {
      const [first] = allRemedies({ build, assessment }, snag, catalogue, createAssessor(), asOf);
      expect({ snag: snag.key, way: first?.title, cure: first?.cure }).toEqual({
        snag: snag.key,
        way: expect.any(String),
        cure: true,
      });
      const step = commit(build, first!.edits);
      if (!step.ok) throw new Error(step.words);
      expect(blockers(step.build, snag)).toEqual([]);
    }
  },
);
/** What may burn, starve or cook something: power and air. */
const harms = (build: Build) =>
  assess(build)
    .snags.filter(({ code, severity }) => severity !== 'note' && /^(powered|cooled)\./.test(code))
    .map(({ code, severity }) => `${severity} ${code}`);

test.each(Object.entries(all))('%s: the first remedy of no snag brings harm with it', (_id, build) => {
  const assessment = assess(build);
  const before = harms(build);
  for (const snag of assessment.snags) {
    const [first] = allRemedies({ build, assessment }, snag, catalogue, createAssessor(), asOf);
    const step = first && commit(build, first.edits);
    if (!step?.ok) continue;
    // What blocked and only cautions now is no new harm.
    const after = harms(step.build).filter(
      (harm) => !before.includes(harm) && !before.includes(harm.replace('caution', 'blocker')),
    );
    expect([snag.key, first?.title, after]).toEqual([snag.key, first?.title, []]);
  }
});

const blockers = (build: Build, like: Snag) =>
  assess(build).snags.filter(({ severity, code }) => severity === 'blocker' && code === like.code);

test.each(Object.entries(all).filter(([id]) => id !== 'rescue'))(
  '%s: remedy by remedy it comes to a machine without blockers',
  (_id, build) => {
    let now = build;
    for (let step = 0; step < 6; step++) {
      const assessment = assess(now);
      const snag = assessment.snags.find(({ severity }) => severity === 'blocker');
      if (!snag) return;
      const [first] = allRemedies({ build: now, assessment }, snag, catalogue, createAssessor(), asOf);
      const done = commit(now, first!.edits);
      if (!done.ok) throw new Error(done.words);
      now = done.build;
    }
    throw new Error(`still blocked: ${sentences(now).join('; ')}`);
  },
);

test('granary: sixteen ports for fifteen drives, two breakouts of the kit serve eight of them', () => {
  const { figures, needs } = assess(all['granary-fifteen']!);
  expect(figures['drives.room']!.value).toBe(9);
  expect(needs.needs.reduce((sum, need) => sum + need.fromKit + need.fromBoxes, 0)).toBeGreaterThan(0);
});

test('sound desk: lanes added up against the processor, cards apart', () => {
  const build = all['sound-desk']!;
  const { hosts, budgets } = wiringFor(build, assess(build));
  expect(budgets.find(({ source }) => source === 'processor')).toMatchObject({ used: 32, has: 64, unit: 'lanes' });
  expect(hosts.flatMap(({ link }) => (link && !link.uplink ? [link.rate] : [])).sort()).toEqual([
    'x16 gen 3',
    'x8 gen 3',
    'x8 gen 3',
  ]);
});

test('evening copies: behind the multiplier six drives share one port', () => {
  const build = all['evening-copies']!;
  const { unconnected } = assess(build);
  expect(unconnected.length).toBeGreaterThan(0);
  const snag = assess(build).snags.find(({ code }) => code === 'reaches.multiplier')!;
  const [first] = allRemedies({ build, assessment: assess(build) }, snag, catalogue, createAssessor(), asOf);
  const after = commit(build, first!.edits);
  if (!after.ok) throw new Error(after.words);
  expect(sentences(after.build)).toEqual(
    expect.arrayContaining([expect.stringMatching(/reaches\.uplink: 6 drives in .* share a port multiplier/)]),
  );
});

test('eel loft: ports for twelve bays, fans on the headers of the board', () => {
  const { figures, small } = assess(all['eel-loft']!);
  expect(figures['ports.free']!.value + 7).toBe(12);
  expect(small.some(({ use }) => use === 'fanSplitter')).toBe(false);
});

test('eel loft: 64 of 128 GB, and two modules more of the same are the way to the rest', () => {
  const { units, layout } = assess(all['eel-loft']!);
  expect(memoryRoom(ofKind(units, 'board')[0]!, units, layout)).toEqual({
    fittedBytes: 64 * 1024 ** 3,
    mostBytes: 128 * 1024 ** 3,
    slots: 4,
    free: 2,
    path: { add: 2, ofBytes: 32 * 1024 ** 3, giveUp: 0 },
  });
});

test('lock keeper’s box: two ports of the board and two of the card reach a drive, the outside one does not', () => {
  const { figures } = assess(all['lock-keepers-box']!);
  const drives = all['lock-keepers-box']!.items.filter(
    ({ sheet }) => sheet === 'coot-1' || sheet === 'lighter-1',
  ).reduce((sum, { units }) => sum + units.length, 0);
  expect(drives + figures['ports.free']!.value).toBe(4);
});

test('reel room: one card holds everything back, three do not', () => {
  const build = all['reel-room']!;
  const one = build.items.find(({ sheet }) => sheet === 'tern-24i')!;
  const three = commit(build, [
    { type: 'item.remove', item: one.id },
    addItemEdit(build, catalogue, 'tern-8i' as SheetId, 3),
  ]);
  if (!three.ok) throw new Error(three.words);
  expect(sentences(build).filter((one) => one.includes('reaches.cardUplink'))).toHaveLength(1);
  expect(sentences(three.build).filter((one) => /blocker|reaches\.(cardUplink|slotLink)/.test(one))).toEqual([]);
});

test('four nodes: two modules go into the slots that are filled first', () => {
  const build = all['four-nodes']!;
  const modules = build.items
    .find(({ sheet }) => sheet === 'clew-s16')!
    .units.map(({ id }) => build.layout.at[id]!.spot.n);
  expect(modules.sort()).toEqual([2, 4]);
});

describe('rescue: can another machine take every member', () => {
  const host = (count: number, sheet = 'sluice-6') =>
    hostDrives(all.rescue!, [{ sheet: sheet as SheetId, count }], catalogue, catalogue, createAssessor(), asOf);
  test('twelve bays take eight SAS drives behind one card, and twelve SATA ones', () => {
    // It has no drive of its own to start from; nothing else troubles it.
    const troubles = [expect.objectContaining({ code: 'complete.boot', severity: 'caution' })];
    expect(host(8)).toMatchObject({ drives: 8, placed: 8, connected: 8, all: true, newBlockers: 0, troubles });
    // What the machine can then no longer do: four bays are left, and no port there speaks SAS; eight SATA drives leave
    // room for four more.
    expect(host(8).roomAfter).toBe(0);
    expect(host(8, 'barge-8').roomAfter).toBe(4);
    expect(host(12, 'barge-8')).toMatchObject({ all: true });
  });
  test('twelve SAS drives want another card: it says which', () => {
    const twelve = host(12);
    expect(twelve).toMatchObject({ placed: 12, connected: 8, all: false });
    expect(twelve.ways[0]!.title).toMatch(/^(Add|Take) Tern|Grebe/);
    // Taken, the drives are in it with their cables, and cost nothing.
    expect(assess(twelve.ways[0]!.after).unconnected).toEqual([]);
    expect(twelve.ways[0]!.after.items.find(({ sheet }) => sheet === 'sluice-6')).toMatchObject({
      deal: 'owned',
      units: { length: 12 },
    });
    expect(twelve.alone!.delta['cost.now']).toBeLessThan(60);
  });
  test('thirty-two do not go in: a shelf and a card to reach it are what helps', () => {
    const many = host(32);
    expect(many).toMatchObject({ drives: 32, placed: 12, all: false });
    expect(many.ways.map(({ title }) => title).join('; ')).toContain('Loft 16');
    expect(many.ways.map(({ title }) => title).join('; ')).not.toContain('Take out');
  });
});
