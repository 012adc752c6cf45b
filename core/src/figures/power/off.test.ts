import { createAssessor } from '../../assess';
import { catalogue, fixture, tweak, type Fixture } from '../../testing/fixture';
import { rack, tower } from '../../testing/rules';
import { Ledger, rangedOf } from '../quantity';
import { offWallW } from './off';
import { yearSums } from './year';

const off = (made: Fixture) => rangedOf(offWallW(createAssessor().context(made.build), new Ledger(false))!);

test('a board that waits to be woken, and one with a management controller', () => {
  // 0.5 / 0.75 + 0.3; with 4 W more 4.5 / 0.75 + 0.3.
  expect(off(tower(tweak('plover-a6', { remoteManagement: false }))).value).toBeCloseTo(0.967, 3);
  const managed = off(tower(tweak('plover-a6', { remoteManagement: true })));
  expect(managed.value).toBeCloseTo(6.3, 3);
  expect(managed.lo).toBeLessThan(4.5);
  expect(managed.hi).toBeGreaterThan(8);
});

test('two modules take a watt each, drives in their bays nothing', () => {
  const from = tweak('gannet-e8', { remoteManagement: true });
  expect(off(rack(from).add('tern-16i').add('brazier-800').add('barge-12', 8)).value).toBeCloseTo(8, 3);
});

test('nothing is drawn where nothing is plugged in', () => {
  expect(offWallW(createAssessor().context(fixture(catalogue).add('byre-15').build), new Ledger(false))).toBeNull();
});

test('a year that is switched off half of every day counts those hours by what it draws off', () => {
  const { build } = tower(tweak('plover-a6', { remoteManagement: true })).add('barge-8', 2);
  const context = createAssessor().context(build);
  const day = (state: 'idle' | 'off') => Array.from({ length: 24 }, (_, i) => (i < 12 ? state : 'off'));
  const of = (state: 'idle' | 'off') =>
    yearSums(context, { ...build.profile, weekday: day(state), weekend: day(state), scrubsPerYear: 0 }, build.tariff)
      .kwh!.value;
  expect(of('off')).toBeCloseTo((6.3 * 8766) / 1000, 1);
  const idleW = createAssessor().assess(build, { asOf: '2026-01-01' }).figures['power.idleWallW']!.value;
  expect(of('idle')).toBeCloseTo(((6.3 + idleW) * 4383) / 1000, 0);
});
