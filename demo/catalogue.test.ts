import { allRemedies, assess, createAssessor, PART_KINDS, plannedUnits, resolve, wordsOf, type Part, type PartKind } from '@inch-tower/core';
import { loadDemoBuilds, loadDemoCatalogue } from './loadDemo';

const catalogue = loadDemoCatalogue();
const parts = Object.values(catalogue.sheets).map((sheet) => resolve(sheet, catalogue.archetypes[sheet.archetype]!));
const all: readonly Part[] = [...parts, ...Object.values(catalogue.archetypes).map((archetype) => resolve({ ...archetype, archetype: archetype.id } as never, archetype))];
const within = (what: string, value: number, lo: number, hi: number) => { if (value < lo || value > hi) throw new Error(`${what} is ${value}, wanted ${lo} to ${hi}`); };

test('there are enough parts and archetypes, and every kind has both', () => {
  expect(parts.length).toBeGreaterThanOrEqual(50);
  expect(Object.keys(catalogue.archetypes).length).toBeGreaterThanOrEqual(12);
  for (const kind of PART_KINDS) expect([kind, parts.some((part) => part.kind === kind)]).toEqual([kind, true]);
});

test('names are not used twice and every part has a price or comes with another', () => {
  expect(new Set(parts.map((part) => `${part.maker} ${part.name}`)).size).toBe(parts.length);
  const builtIn = new Set(parts.flatMap((part) => part.builtIn.map((inner) => inner.sheet)));
  for (const part of parts) if (!builtIn.has(part.id)) expect([part.id, (part.price?.minor ?? 0) > 0]).toEqual([part.id, true]);
});

/** Bounds of what is made, by class: mm, g, W, dB, money. */
const BOUNDS: Partial<Record<PartKind, (part: never) => void>> = {
  chassis: (part: Extract<Part, { kind: 'chassis' }>) => {
    within(`${part.id} width`, part.widthMm, 150, part.style === 'rack' ? 440 : 320);
    within(`${part.id} depth`, part.depthMm, 200, 760);
    within(`${part.id} mass`, part.massG, 1500, 30_000);
    if (part.rackUnits) within(`${part.id} height a unit`, part.heightMm / part.rackUnits, 42, 44.45);
  },
  drive: (part: Extract<Part, { kind: 'drive' }>) => {
    const tera = part.capacityBytes / 1e12;
    within(`${part.id} idle`, part.idleW, part.medium === 'disk' ? 0.6 : 0.2, part.size === '3.5' ? 8 : 5);
    within(`${part.id} busy over idle`, part.busyW / part.idleW, 1.1, 9);
    if (part.medium === 'disk') within(`${part.id} dB`, part.soundIdleDb ?? -1, 14, 32);
    within(`${part.id} height`, part.heightMm, 3.5, 26.2);
    if (part.price && part.size !== 'usb') within(`${part.id} a TB`, part.price.minor / 100 / tera, part.medium === 'disk' ? 8 : 45, part.medium === 'disk' ? 50 : 170);
    // What the rails carry and what the sheet draws are one number seen twice.
    for (const [watts, a12, a5] of [[part.idleW, part.idle12A, part.idle5A], [part.busyW, part.busy12A, part.busy5A]] as const) within(`${part.id} A × V against W`, (a12 * 12 + a5 * 5) / watts, 0.85, 1.15);
  },
  supply: (part: Extract<Part, { kind: 'supply' }>) => {
    within(`${part.id} 12 V against W`, (part.rail12A * 12) / part.ratedW, 0.85, 1.15);
    for (const point of part.efficiency) within(`${part.id} efficiency`, point.pct, 75, 97);
    within(`${part.id} length`, part.lengthMm, 80, 220);
  },
  fan: (part: Extract<Part, { kind: 'fan' }>) => {
    within(`${part.id} dB`, part.soundDb, 15, 62);
    within(`${part.id} flow`, part.flowM3h, 5, 320);
    within(`${part.id} W`, part.maxW, 0.3, 22);
    expect(part.curve.at(-1)).toEqual({ duty: 1, rpmShare: 1 });
  },
  board: (part: Extract<Part, { kind: 'board' }>) => { within(`${part.id} idle`, part.idleW, 5, 30); within(`${part.id} edge`, part.edgeMm, 170, 330); expect(part.share12 + part.share5).toBeLessThanOrEqual(1); },
  processor: (part: Extract<Part, { kind: 'processor' }>) => { within(`${part.id} idle`, part.idleW, 2, 40); within(`${part.id} peak over busy`, part.peakW / part.busyW, 1, 2); },
  controller: (part: Extract<Part, { kind: 'controller' }>) => { within(`${part.id} length`, part.lengthMm, 60, 320); within(`${part.id} idle`, part.idleW, 1, 20); },
  memory: (part: Extract<Part, { kind: 'memory' }>) => within(`${part.id} idle`, part.idleW, 0.5, 4),
  cooler: (part: Extract<Part, { kind: 'cooler' }>) => within(`${part.id} height`, part.heightMm, 20, 170),
};

test('every sheet and archetype lies within what its class can be', () => {
  for (const part of all) (BOUNDS[part.kind] as ((part: Part) => void) | undefined)?.(part);
});

test('idle, busy and peak rise in that order wherever a sheet has them', () => {
  for (const part of all) if ('idleW' in part && 'busyW' in part && 'peakW' in part) expect([part.id, part.idleW <= part.busyW && part.busyW <= part.peakW]).toEqual([part.id, true]);
});

describe('the demo builds', () => {
  const builds = new Map(loadDemoBuilds().map((build) => [build.id, build]));
  const assessed = (id: string) => assess(builds.get(id)!, { asOf: '2026-11-01' });

  test('hall cupboard: three instructive snags', () => {
    const { snags, status, stored, figures } = assessed('hall-cupboard');
    expect({ status, stored }).toEqual({ status: 'blocked', stored: true });
    expect(snags.map((snag) => wordsOf(snag).what)).toEqual([
      'Fell 74 is 4 mm too high: 74 mm, room for 70 mm under the roof drives.',
      '4 drives in bays, 2 ports that can reach them. Reed 250 GB M.2 SATA switches off 2 ports.',
      'Probably over the wished 24 dB(A) at the ear: 24.3, could be 23. Most of it: Stock 120.',
    ]);
    // By hand: 129 + 212 + 109 + 32 + 2 × 48 + 88 bought, the five drives owned; 4 × 0.96 TB; 8 bays; no port left.
    expect(figures['cost.now']!.value).toBe(666);
    expect(figures['capacity.rawTb']!.value).toBeCloseTo(3.84, 9);
    expect([figures['bays.free']!.value, figures['ports.free']!.value, figures['drives.room']!.value]).toEqual([8, 0, 0]);
    // 8.5 + 4.5/0.75 + 2.4 + 1.5 + 5 × 0.6 and two fans slowly: about 22 W, and the supply's 7 W.
    expect(figures['power.idleWallW']!.value).toBeGreaterThan(26);
    expect(figures['power.idleWallW']!.value).toBeLessThan(31);
  });

  test('boathouse rack: sound, sixteen of twenty-four bays filled', () => {
    const { snags, status, figures, needs } = assessed('boathouse-rack');
    expect({ snags, status }).toEqual({ snags: [], status: 'sound' });
    expect(figures['capacity.rawTb']!.value).toBe(192);
    expect([figures['drives.room']!.value, figures['bays.free']!.value, figures['ports.free']!.value]).toEqual([8, 8, 16]);
    expect(needs.needs.map((need) => [need.lead.id, need.count])).toEqual([['straight:sff-8643:sff-8643', 4]]);
    // 16 × 1.8 A and the rest of the rack with its fans at full: between 40 and 50 A.
    expect(figures['power.start12A']!.value).toBeGreaterThan(40);
    expect(figures['power.start12A']!.value).toBeLessThan(50);
  });

  test('the one not begun is empty', () => {
    expect(assessed('field-kit').status).toBe('empty');
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
    expect(assess(build, { asOf: '2026-11-01' }).status).toBe('sound');
  });

  test('the files carry the sheets of the catalogue as they are now', () => {
    for (const build of builds.values()) for (const [id, sheet] of Object.entries(build.sheets)) expect([id, sheet]).toEqual([id, catalogue.sheets[id]]);
  });

  test('four quite different machines can be put together', () => {
    const styles = new Set(parts.flatMap((part) => (part.kind === 'chassis' ? [`${part.style}${part.rackUnits ?? ''}`] : [])));
    expect([...styles].sort()).toEqual(['cube', 'rack1', 'rack4', 'tower']);
    for (const build of builds.values()) expect(plannedUnits(build).every((unit) => unit.part.name.length > 0)).toBe(true);
  });
});

test('the catalogue files are what a reader sees: names hold no markup', () => {
  for (const part of parts) expect(part.name).not.toMatch(/[<>&]/);
});
