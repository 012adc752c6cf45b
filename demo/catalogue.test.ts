import {
  allRemedies,
  assess,
  createAssessor,
  PART_KINDS,
  plannedUnits,
  layOut,
  resolve,
  supplyBox,
  wordsOf,
  type Box,
  type Part,
  type PartKind,
} from '@inch-tower/core';
import { loadDemoBuilds, loadDemoCatalogue } from './loadDemo';

const catalogue = loadDemoCatalogue();
const parts = Object.values(catalogue.sheets).map((sheet) => resolve(sheet, catalogue.archetypes[sheet.archetype]!));
const all: readonly Part[] = [
  ...parts,
  ...Object.values(catalogue.archetypes).map((archetype) =>
    resolve({ ...archetype, archetype: archetype.id } as never, archetype),
  ),
];
const within = (what: string, value: number, lo: number, hi: number) => {
  if (value < lo || value > hi) throw new Error(`${what} is ${value}, wanted ${lo} to ${hi}`);
};

test('there are enough parts and archetypes, and every kind has both', () => {
  expect(parts.length).toBeGreaterThanOrEqual(150);
  expect(Object.keys(catalogue.archetypes).length).toBeGreaterThanOrEqual(40);
  for (const kind of PART_KINDS) {
    expect([kind, parts.some((part) => part.kind === kind)]).toEqual([kind, true]);
    expect([kind, Object.values(catalogue.archetypes).some((archetype) => archetype.kind === kind)]).toEqual([
      kind,
      true,
    ]);
  }
});

test('names are not used twice and every part has a price or comes with another', () => {
  expect(new Set(parts.map((part) => `${part.maker} ${part.name}`)).size).toBe(parts.length);
  const builtIn = new Set(parts.flatMap((part) => part.builtIn.map((inner) => inner.sheet)));
  for (const part of parts)
    if (!builtIn.has(part.id)) expect([part.id, (part.price?.minor ?? 0) > 0]).toEqual([part.id, true]);
});

test('what a sheet has built in or in its box is a sheet of the catalogue', () => {
  for (const part of all)
    for (const inner of [...part.builtIn, ...part.inTheBox])
      expect([part.id, inner.sheet in catalogue.sheets]).toEqual([part.id, true]);
});

test('parts of one series are of one maker and one kind', () => {
  const series = new Map<string, Set<string>>();
  for (const part of parts)
    if (part.family) series.set(part.family, (series.get(part.family) ?? new Set()).add(`${part.maker} ${part.kind}`));
  for (const [name, makers] of series) expect([name, makers.size]).toEqual([name, 1]);
  expect(series.size).toBeGreaterThan(20);
});

type OneOf<K extends PartKind> = Extract<Part, { kind: K }>;
const card = (part: OneOf<'controller' | 'expander' | 'networkCard' | 'accelerator' | 'carrier'>) => {
  within(`${part.id} length`, part.lengthMm, 60, 330);
  within(`${part.id} thickness`, part.thickSlots, 1, 3);
  within(`${part.id} idle`, part.idleW, 0.1, 20);
  within(`${part.id} peak over busy`, part.peakW / part.busyW, 1, 1.5);
};
const share = (watts: number, a12: number, a5: number) => (a12 * 12 + a5 * 5) / watts;

/** Bounds of what is made, by class: mm, g, W, dB, money. */
const BOUNDS: { readonly [K in PartKind]: (part: OneOf<K>) => void } = {
  chassis: (part) => {
    // What ends a card stands where the drawing puts it.
    for (const limit of part.clearances) {
      const wall = part.fanMounts.find(({ key }) => key === limit.because);
      if (limit.for === 'card' && wall?.at && part.boardAt)
        within(`${part.id} ${wall.key} behind the card it ends`, part.boardAt.zMm - limit.maxMm - wall.at.zMm, 0, 60);
    }
    if (part.boardAt) {
      within(`${part.id} board, from the left`, part.boardAt.xMm, 0, part.widthMm);
      within(`${part.id} board, from the front`, part.boardAt.zMm, 0, part.depthMm);
    }
    within(`${part.id} width`, part.widthMm, 100, part.style === 'rack' || part.rackUnits ? 450 : 330);
    within(`${part.id} depth`, part.depthMm, 100, 760);
    const litres = (part.widthMm * part.heightMm * part.depthMm) / 1e6;
    within(`${part.id} g a litre`, part.massG / litres, 60, 1100);
    if (part.rackUnits) within(`${part.id} height a unit`, part.heightMm / part.rackUnits, 42, 44.45);
  },
  drive: (part) => {
    const tera = part.capacityBytes / 1e12;
    within(`${part.id} idle`, part.idleW, part.medium === 'disk' ? 0.6 : 0.2, part.size === '3.5' ? 8 : 5);
    within(`${part.id} busy over idle`, part.busyW / part.idleW, 1.1, 9);
    within(`${part.id} sequential`, part.sequentialMBps, 30, part.interface === 'nvme' ? 7500 : 560);
    if (part.medium === 'disk') within(`${part.id} dB`, part.soundIdleDb ?? -1, 14, 32);
    within(`${part.id} height`, part.heightMm, 3.5, 26.2);
    if (part.price && part.size !== 'usb')
      within(
        `${part.id} a TB`,
        part.price.minor / 100 / tera,
        part.medium === 'disk' ? 8 : 45,
        part.medium === 'disk' ? 50 : 170,
      );
    // What the rails carry and what the sheet draws are one number seen twice.
    within(`${part.id} idle A × V against W`, share(part.idleW, part.idle12A, part.idle5A), 0.85, 1.15);
    within(`${part.id} busy A × V against W`, share(part.busyW, part.busy12A, part.busy5A), 0.85, 1.15);
  },
  supply: (part) => {
    // A brick of another voltage has no rail of 12 V.
    if (part.outV !== undefined) within(`${part.id} volts`, part.outV, 5, 54);
    if (part.rail12A > 0) within(`${part.id} 12 V against W`, (part.rail12A * 12) / part.ratedW, 0.85, 1.15);
    for (const point of part.efficiency) within(`${part.id} efficiency`, point.pct, 75, 97);
    within(`${part.id} length`, part.lengthMm, part.form === 'dc-converter' ? 30 : 80, 220);
    if (part.price) within(`${part.id} price a W`, part.price.minor / 100 / part.ratedW, 0.05, 0.6);
  },
  fan: (part) => {
    within(`${part.id} dB`, part.soundDb, 15, 62);
    within(`${part.id} flow`, part.flowM3h, 5, 320);
    within(`${part.id} W`, part.maxW, 0.3, 22);
    expect(part.curve.at(-1)).toEqual({ duty: 1, rpmShare: 1 });
  },
  board: (part) => {
    within(`${part.id} idle`, part.idleW, 1, 30);
    within(`${part.id} edge`, part.edgeMm, 80, 330);
    expect(part.share12 + part.share5).toBeLessThanOrEqual(1);
    for (const n of part.memoryFillOrder) within(`${part.id} fill order`, n, 1, part.memorySlots);
    expect([part.id, new Set(part.memoryFillOrder).size]).toEqual([part.id, part.memorySlots]);
  },
  processor: (part) => {
    within(`${part.id} idle`, part.idleW, 2, 40);
    within(`${part.id} peak over busy`, part.peakW / part.busyW, 1, 2);
  },
  controller: (part) => {
    card(part);
    within(`${part.id} MB/s a lane`, part.throughputMBps / part.lanes, 90, Math.max(500, 250 * 2 ** (part.gen - 1)));
  },
  expander: card,
  networkCard: card,
  accelerator: card,
  carrier: card,
  memory: (part) => {
    within(`${part.id} idle`, part.idleW, 0.5, 4);
    if (part.price) within(`${part.id} price a GB`, part.price.minor / 100 / (part.capacityBytes / 1024 ** 3), 1, 5);
  },
  cooler: (part) => {
    within(`${part.id} height`, part.heightMm, 20, 170);
    within(`${part.id} K at full`, part.carriesW * part.kPerW, 8, 60);
  },
  adapter: (part) => {
    within(`${part.id} depth`, part.depthMm, 90, 220);
    within(`${part.id} idle`, part.idleW, 0, 3);
  },
  cable: (part) => {
    within(`${part.id} length`, part.lengthMm, 200, 3000);
    expect([part.id, part.lengthMm <= (part.maxTotalMm ?? Infinity)]).toEqual([part.id, true]);
  },
  powerAdapter: (part) => within(`${part.id} A`, part.ratedA, 3, 20),
  enclosure: (part) => within(`${part.id} real rate of the link`, part.realMBps / (part.gbPerS * 125), 0.6, 0.95),
  ups: (part) => {
    within(`${part.id} W a VA`, part.ratedW / part.ratedVa, 0.5, 1);
    within(`${part.id} Wh`, part.batteryWh, 40, 2000);
  },
  riser: (part) => within(`${part.id} length`, part.lengthMm, 20, 400),
  sundry: (part) => within(`${part.id} pack`, part.packOf, 1, 100),
};

test('every sheet and archetype lies within what its class can be', () => {
  for (const part of all) (BOUNDS[part.kind] as (part: Part) => void)(part);
});

const overlap = (at: number, size: number, other: number, otherSize: number) =>
  Math.min(at + size, other + otherSize) - Math.max(at, other) > 1;
const meet = (a: Box, b: Box) =>
  overlap(a.xMm, a.widthMm, b.xMm, b.widthMm) &&
  overlap(a.yMm, a.heightMm, b.yMm, b.heightMm) &&
  overlap(a.zMm, a.depthMm, b.zMm, b.depthMm);

test('the longest supply of every form that a bay takes lies inside the shell and in no drive bay', () => {
  const supplies = parts.filter((part) => part.kind === 'supply');
  let seen = 0;
  for (const part of all)
    if (part.kind === 'chassis')
      for (const bay of part.supplyBays)
        for (const form of bay.forms) {
          const { cells, features } = layOut(part);
          const fit = supplies
            .filter((one) => one.form === form && one.lengthMm <= bay.maxLengthMm)
            .sort((a, b) => b.lengthMm - a.lengthMm)[0];
          const room = cells.get(`${bay.key}.${bay.count}`)!;
          if (bay.outside || room.assumed || !fit) continue;
          const box = supplyBox(room, bay, fit);
          seen++;
          within(`${part.id} ${form} supply, top`, box.yMm + box.heightMm, 0, part.heightMm);
          within(`${part.id} ${form} supply, right`, box.xMm + box.widthMm, 0, part.widthMm);
          within(`${part.id} ${form} supply, front`, box.zMm, 0, part.depthMm);
          for (const group of part.bayGroups) {
            const bays = features.get(group.key)!;
            expect([part.id, form, group.key, !bays.assumed && meet(box, bays)]).toEqual([
              part.id,
              form,
              group.key,
              false,
            ]);
          }
        }
  expect(seen).toBeGreaterThan(10);
});

test('bays, supplies and the largest board of a chassis do not lie in one another', () => {
  for (const part of all)
    if (part.kind === 'chassis') {
      const { features } = layOut(part);
      const bodies = [
        'tray',
        ...part.bayGroups.map(({ key }) => key),
        ...part.supplyBays.filter(({ outside }) => !outside).map(({ key }) => key),
      ].flatMap((key) => {
        const box = features.get(key);
        return box && !box.assumed ? [{ key, box }] : [];
      });
      for (const [i, one] of bodies.entries())
        for (const two of bodies.slice(i + 1)) {
          expect([part.id, one.key, two.key, meet(one.box, two.box)]).toEqual([part.id, one.key, two.key, false]);
        }
    }
});

test('idle, busy and peak rise in that order wherever a sheet has them', () => {
  for (const part of all)
    if ('idleW' in part && 'busyW' in part && 'peakW' in part)
      expect([part.id, part.idleW <= part.busyW && part.busyW <= part.peakW]).toEqual([part.id, true]);
});

describe('the demo builds', () => {
  const builds = new Map(loadDemoBuilds().map((build) => [build.id, build]));
  const assessed = (id: string) => assess(builds.get(id)!, { asOf: '2026-11-01' });

  test('hall cupboard: four instructive snags and a note', () => {
    const { snags, status, stored, figures } = assessed('hall-cupboard');
    expect({ status, stored }).toEqual({ status: 'blocked', stored: true });
    expect(snags.map((snag) => wordsOf(snag).what)).toEqual([
      'Fell 74 is 4 mm too high: 74 mm, room for 70 mm under the roof drives.',
      '4 drives in bays, 2 ports that can reach them. Reed 250 GB M.2 SATA switches off 2 ports.',
      'At most 1.9 TB usable if any 2 drives may fail; 40 TB are wished.',
      'Probably over the wished 20 dB(A) at the ear: 20.4, could be 17. Most of it: Stock 120.',
      '2 drives of the pool may fail; the system is on Reed 250 GB M.2 SATA alone.',
    ]);
    // By hand: 129 + 212 + 109 + 32 + 2 × 48 + 88 bought, the five drives owned; 4 × 0.96 TB; 8 bays; no port left.
    expect(figures['cost.now']!.value).toBe(666);
    expect(figures['capacity.rawTb']!.value).toBeCloseTo(3.84, 9);
    expect([figures['bays.free']!.value, figures['ports.free']!.value, figures['drives.room']!.value]).toEqual([
      8, 0, 0,
    ]);
    // 8.5 + 4.5/0.75 + 2.4 + 1.5 + 5 × 0.6 and two fans slowly: about 22 W, and the supply's 7 W.
    expect(figures['power.idleWallW']!.value).toBeGreaterThan(26);
    expect(figures['power.idleWallW']!.value).toBeLessThan(31);
  });

  test('boathouse rack: sound, sixteen of twenty-four bays filled', () => {
    const { snags, status, figures, needs } = assessed('boathouse-rack');
    expect({ snags: snags.map(({ code, severity }) => `${severity} ${code}`), status }).toEqual({
      snags: [
        'caution fits.rackDepth',
        'caution powered.wires',
        'caution within.usable',
        'note complete.smallParts',
        'note complete.idleCard',
        'note within.lift',
      ],
      status: 'clear',
    });
    expect(figures['capacity.rawTb']!.value).toBe(192);
    expect([figures['drives.room']!.value, figures['bays.free']!.value, figures['ports.free']!.value]).toEqual([
      8, 8, 16,
    ]);
    expect(needs.needs.map((need) => [need.cable.id, need.count])).toEqual([['straight:sff-8643:sff-8643', 4]]);
    // 16 × 1.8 A and the rest of the rack, busy with its self-test, its fans at full: between 45 and 58 A.
    expect(figures['power.start12A']!.value).toBeGreaterThan(45);
    expect(figures['power.start12A']!.value).toBeLessThan(58);
  });

  test('old desktop: all owned, nothing to buy, seven of seven ports used', () => {
    const { status, snags, figures, needs } = assessed('old-desktop');
    expect({ status, snags: snags.map((snag) => snag.code) }).toEqual({
      status: 'clear',
      snags: [
        'lasts.ratedBays',
        'lasts.worn',
        'mates.memoryUneven',
        'mates.memorySpeed',
        'mates.frontUsb',
        'lasts.aged',
        'lasts.aged',
        'lasts.aged',
        'within.idle',
      ],
    });
    expect(figures['cost.now']!.value).toBe(0);
    // Six laptop disks of 1 TB; the disk in the drawer is leaving and is not the pool's.
    expect(figures['capacity.rawTb']!.value).toBeCloseTo(6, 9);
    expect(figures['ports.free']!.value).toBe(0);
    expect(needs.needs).toMatchObject([{ count: 7, fromKit: 7, toBuy: 0 }]);
    // Board 22 + 10 / 0.75 + memory 2 × 1.4 + disks 6 × 0.9 + 7 and fans: about 52 W, and the old supply's 14 W.
    expect(figures['power.idleWallW']!.value).toBeGreaterThan(60);
    expect(figures['power.idleWallW']!.value).toBeLessThan(72);
    expect(builds.get('old-desktop')!.items.every((item) => item.deal === 'owned')).toBe(true);
  });

  test('school shelf: two boxes, two supplies, one cable between them', () => {
    const { status, figures, needs, units } = assessed('school-shelf');
    expect(status).toBe('clear');
    expect([
      units.filter((unit) => unit.part.kind === 'chassis').length,
      units.filter((unit) => unit.part.kind === 'supply').length,
    ]).toEqual([2, 2]);
    expect(needs.needs.map((need) => [need.cable.id, need.count, need.fromBoxes])).toEqual([
      ['straight:usb-c:usb-c', 1, 1],
    ]);
    expect(figures['capacity.rawTb']!.value).toBe(64);
    // 189 + 46 + 44 + 159 + 4 × 268
    expect(figures['cost.now']!.value).toBe(1516);
    // Host 4 + 3/0.75 + 1 + 0.8, enclosure 3 + 1 + 4 × 5.6 and a fan: about 37 W, and two bricks' losses.
    expect(figures['power.idleWallW']!.value).toBeGreaterThan(40);
    expect(figures['power.idleWallW']!.value).toBeLessThan(47);
  });

  test('field kit: twelve SSDs in two cages, eleven and a half TB, on a brick', () => {
    const { status, figures, snags, needs } = assessed('field-kit');
    expect({ status, blockers: snags.filter((snag) => snag.severity === 'blocker') }).toEqual({
      status: 'clear',
      blockers: [],
    });
    expect(figures['capacity.rawTb']!.value).toBeCloseTo(11.52, 9);
    expect([figures['bays.free']!.value, figures['ports.free']!.value]).toEqual([0, 0]);
    expect(needs.needs).toMatchObject([{ count: 12, toBuy: 12 }]);
    expect(figures['sound.earIdleDb']).toBeUndefined();
    // 72 + 148 + 52 + 72 + 49 + 2 × 64 + 31 + 12 × 69 + 12 cables at about 3
    expect(figures['cost.now']!.value).toBeCloseTo(1416, 0);
  });

  test('the one not begun is empty', () => {
    expect(assessed('reading-room').status).toBe('empty');
  });

  test('every blocker of the demo has a weighed remedy, and following the first ones ends without a blocker', () => {
    let build = builds.get('hall-cupboard')!;
    for (let step = 0; step < 4; step++) {
      const assessor = createAssessor();
      const assessment = assessor.assess(build, { asOf: '2026-11-01' });
      const blocker = assessment.snags.find((snag) => snag.severity === 'blocker');
      if (!blocker) break;
      const first = allRemedies({ build, assessment }, blocker, catalogue, createAssessor(), { asOf: '2026-11-01' })[0];
      expect(first?.cure).toBe(true);
      build = first!.after;
    }
    expect(assess(build, { asOf: '2026-11-01' }).status).toBe('clear');
  });

  test('the files carry the sheets of the catalogue as they are now', () => {
    for (const build of builds.values())
      for (const [id, sheet] of Object.entries(build.sheets)) expect([id, sheet]).toEqual([id, catalogue.sheets[id]]);
  });

  test('quite different machines can be put together', () => {
    const styles = new Set(
      parts.flatMap((part) => (part.kind === 'chassis' ? [`${part.style}${part.rackUnits ?? ''}`] : [])),
    );
    expect([...styles].sort()).toEqual([
      'cube',
      'external',
      'external3',
      'openFrame',
      'rack1',
      'rack2',
      'rack4',
      'tower',
    ]);
    for (const build of builds.values())
      expect(plannedUnits(build).every((unit) => unit.part.name.length > 0)).toBe(true);
  });
});

test('the catalogue files are what a reader sees: names hold no markup', () => {
  for (const part of parts) expect(part.name).not.toMatch(/[<>&]/);
});
