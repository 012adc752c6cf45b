import type { PoolSet } from '../../pool/layouts';
import type { Role } from '../../machine/roles';
import { cube, fixture, tweak, type Fixture } from '../../testing/fixture';
import { find, firstRemedy, said } from '../../testing/rules';

const disks = (made: Fixture, from: number, to: number) =>
  Array.from({ length: to - from + 1 }, (_, i) => made.unit('barge-8', from + i));
const withSets = (made: Fixture, ...sets: Pick<PoolSet, 'layout' | 'units'>[]) =>
  made.set({ pool: { sets: sets.map((set, i) => ({ id: `set${i + 1}`, ...set })) } });
const inRole = (made: Fixture, sheet: string, count: number, role: Role) =>
  made.edit(
    ...Array.from({ length: count }, (_, i) => ({ type: 'unit.role' as const, unit: made.unit(sheet, i + 1), role })),
  );
const wishing = (made: Fixture, failuresSurvived: number) =>
  made.set({ brief: { ...made.build.brief, failuresSurvived } });

describe('shingled drives', () => {
  const shingled = (is: boolean) => cube(tweak('barge-8', { shingled: is })).add('barge-8', 4);
  test('in parity they are a caution, made or proposed; as mirrors, and plain ones in parity, are not', () => {
    const made = shingled(true);
    expect(said(withSets(made, { layout: 'parity1', units: disks(made, 1, 3) }), 'lasts.shingled')).toEqual([
      'caution: 3 shingled drives (Barge 8 TB) in a set of parity.',
    ]);
    expect(said(made, 'lasts.shingled')).toEqual(['caution: 4 shingled drives (Barge 8 TB) in a set of parity.']);
    expect(find(withSets(made, { layout: 'mirror2', units: disks(made, 1, 4) }), 'lasts.shingled')).toEqual([]);
    expect(find(shingled(false), 'lasts.shingled')).toEqual([]);
  });
});

describe('metadata', () => {
  const withMeta = (count: number, layout: 'parity1' | 'parity2') => {
    const made = inRole(cube().add('barge-8', 4).add('zander-960', 3), 'zander-960', count, 'meta');
    return withSets(made, { layout, units: disks(made, 1, 4) });
  };
  test('on one drive it is what the pool hangs on; on two it may survive less than the pool does', () => {
    expect(said(withMeta(1, 'parity1'), 'lasts.alone')[0]).toMatch(
      /^caution: Zander 960 GB.* alone keeps the metadata of the pool\.$/,
    );
    expect(find(withMeta(2, 'parity1'), 'lasts.alone')).toEqual([]);
    expect(said(withMeta(2, 'parity2'), 'lasts.alone')).toEqual([
      'note: The metadata is on 2 drives, of which 1 may fail; of the pool 2 may.',
    ]);
    expect(find(withMeta(3, 'parity2'), 'lasts.alone')).toEqual([]);
  });
});

test('one drive for the system is worth knowing where the pool is to survive failures', () => {
  const made = cube().add('barge-8', 4);
  const boots = (count: number) => inRole(made.add('zander-960', count), 'zander-960', count, 'boot');
  expect(said(wishing(boots(1), 1), 'lasts.system')[0]).toMatch(
    /^note: 1 drive of the pool may fail; the system is on/,
  );
  expect(find(wishing(boots(2), 1), 'lasts.system')).toEqual([]);
  expect(find(boots(1), 'lasts.system')).toEqual([]);
});

test('a log that forgets is a caution, with a UPS a note; one that keeps is neither', () => {
  const log = (powerLossSafe: boolean) =>
    inRole(cube(tweak('zander-960', { powerLossSafe })).add('barge-8', 4).add('zander-960'), 'zander-960', 1, 'log');
  expect(said(log(false), 'lasts.log')[0]).toMatch(/^caution: Zander 960 GB.* is not said to keep what it was just/);
  expect(said(log(false).add('sump-700'), 'lasts.log')[0]).toMatch(/^note: .* the UPS helps until it or the supply/);
  expect(find(log(true), 'lasts.log')).toEqual([]);
});

test('a read cache that is a disk, or far larger than the memory', () => {
  const made = cube().add('barge-8', 4);
  expect(said(inRole(made, 'barge-8', 1, 'cache'), 'lasts.cache')).toEqual([
    'caution: Barge 8 TB is a disk: as read cache it is no faster than the pool.',
  ]);
  const flash = inRole(made.add('zander-960'), 'zander-960', 1, 'cache');
  const memoryGb = 32;
  expect(said(flash, 'lasts.cache')).toEqual([`note: 960 GB of read cache beside ${memoryGb} GB of memory.`]);
  expect(find(flash.add('clew-16e', 4), 'lasts.cache')).toEqual([]);
});

test('a spare that is smaller than what it is to stand in for, or can for one set of two', () => {
  const made = cube().add('barge-8', 3).add('barge-10', 2);
  const spared = inRole(made, 'barge-8', 1, 'spare');
  const small = disks(spared, 2, 3);
  const large = [made.unit('barge-10', 1), made.unit('barge-10', 2)];
  const two = withSets(spared, { layout: 'mirror2', units: small }, { layout: 'mirror2', units: large });
  expect(said(two, 'lasts.spare')).toEqual(['note: Barge 8 TB can stand in for drives of 1 of 2 sets.']);
  expect(said(withSets(spared, { layout: 'mirror2', units: large }), 'lasts.spare')[0]).toMatch(
    /^caution: Barge 8 TB is too small/,
  );
  expect(find(withSets(spared, { layout: 'mirror2', units: small }), 'lasts.spare')).toEqual([]);
});

describe('sets as they are made', () => {
  const four = cube().add('barge-8', 4);
  test('a set without the drives its layout wants holds nothing; laid out anew it does', () => {
    const short = withSets(four, { layout: 'parity2', units: disks(four, 1, 3) });
    expect(said(short, 'lasts.set')).toEqual(['caution: set1 has 3 drives; double parity wants at least 4.']);
    expect(firstRemedy(short, 'lasts.set')).toEqual([
      'Lay all data drives out anew; a pool in use is copied off first',
    ]);
    expect(find(withSets(four, { layout: 'parity2', units: disks(four, 1, 4) }), 'lasts.set')).toEqual([]);
  });
  test('a stripe is a caution where failures are to be survived, and beside a set that survives some', () => {
    const stripe = withSets(four, { layout: 'stripe', units: disks(four, 1, 4) });
    expect(said(wishing(stripe, 1), 'lasts.weakest')).toEqual([
      'caution: In set1 no drive may fail; the brief wants 1.',
    ]);
    // Nobody asked for more.
    expect(find(stripe, 'lasts.weakest')).toEqual([]);
    const mixed = withSets(
      four,
      { layout: 'stripe', units: disks(four, 1, 2) },
      { layout: 'mirror2', units: disks(four, 3, 4) },
    );
    expect(said(mixed, 'lasts.weakest')).toEqual(['caution: In set1 no drive may fail; in others 1 may.']);
    expect(find(wishing(withSets(four, { layout: 'mirror2', units: disks(four, 1, 4) }), 1), 'lasts.weakest')).toEqual(
      [],
    );
  });
  test('a pool of flash beside one of disks is held against its own sets alone', () => {
    const both = four.add('zander-960', 2);
    const flash = [both.unit('zander-960', 1), both.unit('zander-960', 2)];
    const made = withSets(both, { layout: 'parity2', units: disks(both, 1, 4) }, { layout: 'mirror2', units: flash });
    expect(find(made, 'lasts.weakest')).toEqual([]);
    expect(said(wishing(made, 2), 'lasts.weakest')).toEqual([
      'caution: In set2 any 1 drive may fail; the brief wants 2.',
    ]);
  });
  test('drives in no set are told where sets are made, and can make one', () => {
    const loose = withSets(four, { layout: 'mirror2', units: disks(four, 1, 2) });
    expect(said(loose, 'lasts.loose')).toEqual(['note: 2 data drives are in no set.']);
    expect(firstRemedy(loose, 'lasts.loose')).toEqual([
      'Make a set of the drives that are in none',
      'Put them in set1: 4 drives then',
    ]);
    expect(find(four, 'lasts.loose')).toEqual([]);
  });
});

test('a machine without drives says nothing of its pool', () => {
  expect(
    fixture()
      .add('larder-8')
      .snags()
      .filter((one) => one.includes('lasts.')),
  ).toEqual([]);
});

test('what the software allows: drives by its licence, and the day its support ends', () => {
  const made = cube().add('barge-8', 4);
  const with_ = (software: object) => said(made.set({ pool: { sets: [], software } }), 'lasts.software');
  expect(with_({ mostDrives: 3 })).toEqual(['caution: 4 drives are in the machine; the software takes at most 3.']);
  expect(with_({ mostDrives: 4 })).toEqual([]);
  expect(with_({ supportedUntil: '2026-10-31' })).toEqual(['caution: Its support ended on 2026-10-31.']);
  expect(with_({ supportedUntil: '2027-10-31' })).toEqual(['note: Its support ends on 2027-10-31.']);
  expect(with_({ supportedUntil: '2028-01-01' })).toEqual([]);
});
