import { catalogue } from '../testing/fixture';
import { resolve } from '../parts/resolve';
import { wishGap } from './wishGap';

const part = (id: string) => resolve(catalogue.sheets[id]!, catalogue.archetypes[catalogue.sheets[id]!.archetype]!);

test('a chassis misses the bays that are wished, of hot swap where that is a must', () => {
  expect(wishGap(part('larder-8'), { drivesLater: 8 })).toBe(0);
  expect(wishGap(part('larder-8'), { drivesLater: 12, mustHave: ['hotSwap'] })).toBe(4);
  expect(wishGap(part('steading-t9'), { drivesLater: 2, mustHave: ['hotSwap'] })).toBe(2);
  expect(wishGap(part('gable-24'), { drivesLater: 24, mustHave: ['hotSwap'] })).toBe(0);
  expect(wishGap(part('steading-t9'), { mustHave: ['hotSwap'] })).toBe(1);
  expect(wishGap(part('larder-8'), {})).toBe(0);
});

test('other parts miss a must each', () => {
  expect(wishGap(part('plover-a8'), { mustHave: ['ecc', 'remoteManagement'] })).toBe(2);
  expect(wishGap(part('wren-c8-m'), { mustHave: ['ecc', 'remoteManagement'] })).toBe(0);
  expect(wishGap(part('barge-8'), { mustHave: ['allFlash'] })).toBe(1);
  expect(wishGap(part('pike-960'), { mustHave: ['allFlash', 'ecc'] })).toBe(0);
  expect(wishGap(part('ember-550'), { mustHave: ['ecc'] })).toBe(0);
});
