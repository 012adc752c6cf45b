import { createAssessor } from '../assess';
import type { Brief } from '../build/build';
import { AS_OF, cube, fixture, type Fixture } from '../testing/fixture';
import { rack } from '../testing/rules';
import { poolOf } from '../pool/setsOf';
import { compareBuilds } from './compare';

const met = (brief: Brief, ...made: Fixture[]) => {
  const builds = made.map((one, i) => one.set({ id: `m${i}`, ...(i === 0 ? { brief } : {}) }).build);
  return Object.fromEntries(compareBuilds(builds, AS_OF).wishes.map((row) => [row.wish, row.met.join(' ')]));
};
const small = () => cube().add('barge-8', 4);
const large = () => rack().add('brazier-800').add('tern-16i').add('barge-12', 12);

test('each machine is held against the wishes of the first, whatever its own brief says', () => {
  const modest = large().set({ brief: { usableTb: 1, idleW: 500 } });
  const inRack = small().set({ site: { ...small().build.site, place: 'rack' } });
  expect(met({ usableTb: 60, idleW: 60, rackUnits: 3 }, small(), modest)).toEqual({
    usableTb: 'no yes',
    idleW: 'yes no',
  });
  // Standing where the first one stands: four units do not go into three, and a cube lies on a shelf of it.
  expect(met({ rackUnits: 3 }, inRack, modest)).toEqual({ rackUnits: 'perhaps no' });
});

test('what is nice to have is told like a must, and tags nothing', () => {
  const brief: Brief = { mustHave: ['hotSwap'], niceToHave: ['remoteManagement', 'allFlash'] };
  const rows = compareBuilds([small().set({ brief }).build, large().build], AS_OF).wishes;
  expect(rows.map(({ wish, level, met: each }) => [wish, level, ...each])).toEqual([
    ['hotSwap', 'must', 'yes', 'yes'],
    ['remoteManagement', 'nice', 'no', 'yes'],
    ['allFlash', 'nice', 'no', 'no'],
  ]);
  expect(
    small()
      .set({ brief })
      .snags()
      .filter((code) => code.includes('mustHave')),
  ).toEqual([]);
});

test('what nothing is chosen for is open, and money in another currency is not held against it', () => {
  const bare = fixture().add('larder-8');
  expect(met({ mustHave: ['ecc', 'remoteManagement', 'allFlash'], failuresSurvived: 1 }, small(), bare)).toMatchObject({
    ecc: 'yes open',
    remoteManagement: 'no open',
    allFlash: 'no open',
    failuresSurvived: 'yes open',
  });
  const abroad = small().set({ currency: 'CHF' });
  expect(met({ moneyMinor: 50_000 }, small(), abroad)).toEqual({ moneyMinor: 'no open' });
});

test('a wish that only the high end passes is perhaps not met; a room louder than the wish is no fault', () => {
  const idle = small().assess().figures['power.idleWallW']!;
  expect(met({ idleW: (idle.value + idle.hi) / 2 }, small())).toEqual({ idleW: 'perhaps' });
  const office = cube().set({ site: { ...cube().build.site, listening: 'office' } });
  expect(office.set({ brief: { earDb: 20 } }).snags()).toContain('note within.sound');
  expect(met({ earDb: 20 }, office)).toEqual({ earDb: 'yes' });
});

test('a machine without a fan and without a disk meets any wish for quiet; one without a board is open', () => {
  const silent = fixture().add('satchel-1b').add('sprig-n4').add('clew-s16', 2).add('pike-960', 1);
  expect(silent.assess().figures['sound.earIdleDb']).toBeUndefined();
  expect(met({ earDb: 20 }, silent, fixture().add('pike-960', 1))).toEqual({ earDb: 'yes open' });
});

test('sets that are only proposed are laid out by this brief, and that is told; kept ones are not', () => {
  const own = { failuresSurvived: 1 };
  const loose = large().set({ id: 'b', brief: own }).build;
  const { sets } = poolOf(createAssessor().context(loose));
  const kept = { ...loose, id: 'c', pool: { ...loose.pool, sets: sets.map(({ set }) => set) } };
  const first = large().set({ id: 'a', brief: { failuresSurvived: 2, usableTb: 10, idleW: 500 } }).build;
  const { wishes, rows } = compareBuilds([first, loose, kept], AS_OF);
  const told = Object.fromEntries(wishes.map(({ wish, met: each, relaid }) => [wish, [each.join(' '), relaid]]));
  expect(told).toEqual({
    usableTb: ['yes yes yes', [false, true, false]],
    failuresSurvived: ['yes yes no', [false, true, false]],
    idleW: ['yes yes yes', undefined],
  });
  // The numbers beside it are of the sets each has by its own brief.
  expect(rows.find(({ by }) => by === 'failures')?.cells.map((cell) => cell?.value)).toEqual([2, 1, 1]);
});

test('without wishes there are no rows, and no machine either', () => {
  expect(met({}, small(), large())).toEqual({});
  expect(compareBuilds([], AS_OF).wishes).toEqual([]);
});

test('what is not wanted and each service are told by machine; of several one that carries it is enough', () => {
  const brief: Brief = {
    notWanted: ['remoteManagement'],
    services: [
      { name: 'Index', memoryGb: 40, level: 'must' },
      { name: 'Mail', memoryGb: 2, cores: 1, alwaysOn: true, level: 'nice' },
    ],
  };
  const first = small().set({ id: 'a', brief }).build;
  const second = large().set({ id: 'b' }).build;
  const bare = fixture().add('larder-8').set({ id: 'c' }).build;
  const rows = compareBuilds([first, second, [first, second], bare], AS_OF).wishes;
  expect(rows.map(({ wish, level, service, met: each }) => [service?.name ?? wish, level, ...each])).toEqual([
    ['remoteManagement', 'not', 'yes', 'no', 'no', 'open'],
    ['Index', 'must', 'no', 'yes', 'yes', 'open'],
    ['Mail', 'nice', 'no', 'yes', 'yes', 'open'],
  ]);
});
