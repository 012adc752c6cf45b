import { createAssessor } from '../assess';
import { ofKind } from '../machine/units';
import { AS_OF, catalogue, cube, tweak } from '../testing/fixture';
import { movers } from './movers';

const of = (from = catalogue, kind: 'board' | 'drive' | 'fan' = 'board') => {
  const { build } = cube(from).add('tern-8i').add('barge-8', 4);
  const assessor = createAssessor();
  const unit = ofKind(assessor.assess(build, AS_OF).units, kind)[0]!;
  return movers(build, unit, assessor, AS_OF);
};

test('the typical numbers of a board come in the order of what they move, and each says which figure', () => {
  const told = of();
  const shares = told.map(({ share }) => share);
  expect(told.length).toBeGreaterThan(0);
  expect(shares).toEqual([...shares].sort((a, b) => b - a));
  for (const one of told)
    expect([one.field, one.lo < one.value, one.value < one.hi, one.from !== one.to]).toEqual([
      one.field,
      true,
      true,
      true,
    ]);
});

test('a number that is moved moves the figure by what the working says: watts of the board over the supply’s loss', () => {
  const peak = of().find(({ field }) => field === 'busyW')!;
  expect(peak.figure).toBe('power.peakWallW');
  const inside = peak.hi - peak.lo;
  expect((peak.to - peak.from) / inside).toBeGreaterThan(1);
  expect((peak.to - peak.from) / inside).toBeLessThan(1.4);
});

test('what is measured or stated is not among them, whatever it moves', () => {
  const fields = of(tweak('wren-c8', { busyW: 14, from: { busyW: { basis: 'measured' } } })).map(({ field }) => field);
  expect(of().map(({ field }) => field)).toContain('busyW');
  expect(fields).not.toContain('busyW');
});
