import { createAssessor } from '../../assess';
import { catalogue, cube, fixture, tweak, type Fixture } from '../../testing/fixture';
import { Ledger } from '../quantity';
import { soundSources } from './ear';
import { pressureLevel, sumLevels, TO_POWER_DB } from './levels';

const ear = (made: Fixture) => made.assess().figures['sound.earIdleDb'];
const quietSite = (made: Fixture, site: Partial<Fixture['build']['site']>) =>
  made.set({ site: { ...made.build.site, listening: 'none', door: 'none', ...site } });

test('two equal sources are 3 dB more than one, ten are 10 dB', () => {
  expect(sumLevels([30, 30])).toBeCloseTo(33.0103, 3);
  expect(sumLevels(Array<number>(10).fill(30))).toBeCloseTo(40, 9);
});

test('pressure over a floor at 1 m is 8 dB below power, in a free field 11', () => {
  expect(TO_POWER_DB.pressureOverFloor1m).toBeCloseTo(7.98, 2);
  expect(TO_POWER_DB.pressureFreeField1m).toBeCloseTo(10.99, 2);
});

test('40 dB of power by a wall, 2 m away, in an ordinary room', () => {
  // 40 + 10·log10(4 / (4π·4) + 4/20) = 40 + 10·log10(0.07958 + 0.2)
  expect(pressureLevel(40, 4, 2, 20)).toBeCloseTo(34.465, 2);
});

test('the cube at the ear, by hand: a stock fan at the rear and a cooler fan inside', () => {
  const share = 0.3 + (0.2 / 0.3) * 0.28;
  const level = (db: number) => db + 50 * Math.log10(share) + 10.9921;
  const power = sumLevels([level(33), Math.max(9, 25 + 50 * Math.log10(share)) + 10.9921 - 6]);
  expect(ear(quietSite(cube(), {}))!.value).toBeCloseTo(pressureLevel(power, 4, 2, 20), 3);
});

test('a door takes away; the room is told beside the machine’s part, not added to it', () => {
  const bare = ear(quietSite(cube(), {}))!.value;
  expect(ear(quietSite(cube(), { door: 'ordinary' }))!.value).toBeCloseTo(bare - 8, 6);
  expect(ear(quietSite(cube(), { listening: 'bedroom' }))).toMatchObject({ value: bare, note: 'room 22' });
  expect(ear(quietSite(cube(), {}))!.note).toBeUndefined();
});

test('a quieter fan in the mount takes the place of the stock one', () => {
  const before = ear(quietSite(cube(), {}))!.value;
  const after = ear(quietSite(cube().add('hush-120', 1, { at: ['u2/rear'] }), {}))!.value;
  expect(after).toBeLessThan(before - 4);
});

test('a supply whose fan stands still adds nothing; one that runs does', () => {
  const still = quietSite(cube(), {});
  const busy = quietSite(cube().add('barge-12', 8), {});
  const noDrives = ear(still)!.value;
  expect(ear(busy)!.value).toBeGreaterThan(noDrives + 1);
});

test('drives on steel are louder than in trays, on dampers quieter', () => {
  const levelOf = (mounting: 'hard' | 'tray' | 'soft') => {
    const made = quietSite(cube().add('barge-8', 4), {});
    const chassis = made.build.sheets['larder-8'] as { bayGroups?: unknown };
    const groups = (made.build.archetypes['cube-8'] as unknown as { bayGroups: { key: string }[] }).bayGroups;
    const sheets = {
      ...made.build.sheets,
      'larder-8': { ...chassis, bayGroups: groups.map((group) => ({ ...group, mounting })) },
    } as never;
    return ear(made.set({ sheets }))!.value;
  };
  expect(levelOf('hard')).toBeGreaterThan(levelOf('tray'));
  expect(levelOf('soft')).toBeLessThan(levelOf('tray'));
});

test('nothing that sounds, no figure', () => {
  expect(ear(fixture().add('wren-c8'))).toBeUndefined();
});

test('a supply is as loud as the load of its own box makes it: a shelf beside it adds nothing', () => {
  const loud = tweak('ember-450s', {
    fanStopsBelowLoad: null,
    sound: [
      { load: 0, db: 10 },
      { load: 1, db: 60 },
    ],
  });
  const workingOf = (made: Fixture) =>
    JSON.stringify(createAssessor().explain(made.build, 'sound.earIdleDb')).match(/Ember 450 SFX at (\d+) % load/)?.[1];
  const cubeAlone = cube(loud).add('tern-8e').add('barge-8', 4);
  const withShelf = cubeAlone.add('loft-16').add('barge-8', 12);
  expect(workingOf(cubeAlone)).toMatch(/^\d+$/);
  expect(workingOf(withShelf)).toBe(workingOf(cubeAlone));
});

test('half the speed takes 15.05 dB off a fan, down to its floor', () => {
  const slow = (share: number) => {
    const from = tweak('hush-120', {
      curve: [
        { duty: 0, rpmShare: share },
        { duty: 1, rpmShare: share },
      ],
      startDuty: 0,
      soundDb: 60,
      soundFloorDb: 8,
    });
    const made = quietSite(
      fixture(from)
        .add('larder-8')
        .add('hush-120', 1, { at: ['u1/rear'] }),
      {},
    );
    const context = createAssessor().context(made.build);
    return soundSources(context, new Ledger(false), 'idle').find(
      ({ label }) => label === catalogue.sheets['hush-120']!.name,
    )!.power.value;
  };
  expect(slow(1) - slow(0.5)).toBeCloseTo(50 * Math.log10(2), 9);
  expect(slow(0.01)).toBeCloseTo(slow(0.001), 9);
});

test('half the way outdoors is 6.02 dB more; in a room, where it rings, less', () => {
  const at = (room: 'outdoors' | 'hard', earMm: number) =>
    ear(quietSite(cube(), { room, earMm, standing: 'open' }))!.value;
  expect(at('outdoors', 2000) - at('outdoors', 4000)).toBeCloseTo(20 * Math.log10(2), 2);
  expect(at('hard', 2000) - at('hard', 4000)).toBeLessThan(1.5);
});

test('all together are never below the loudest of them, in any state', () => {
  const made = quietSite(cube().add('barge-12', 8), {});
  const context = createAssessor().context(made.build);
  for (const state of ['idle', 'working', 'peak'] as const) {
    const levels = soundSources(context, new Ledger(false), state).map(({ power }) => power.value);
    expect(levels.length).toBeGreaterThan(1);
    expect(sumLevels(levels)).toBeGreaterThan(Math.max(...levels));
    expect(sumLevels(levels)).toBeLessThanOrEqual(Math.max(...levels) + 10 * Math.log10(levels.length) + 1e-9);
  }
});
