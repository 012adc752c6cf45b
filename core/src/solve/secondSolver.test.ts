import highsLoader, { type Highs } from 'highs';
import { faultsOf } from '../testing/mip/compare';
import { machine } from '../testing/mip/machines';

let highs: Highs;
beforeAll(async () => {
  highs = await highsLoader();
});

// A thousand of them: `npm run verify -- solver`.
test.each(Array.from({ length: 60 }, (_, i) => i + 1))(
  'drawn machine %i: a general solver finds the same levels, and the layout has them',
  (seed) => {
    expect(faultsOf(highs, machine(seed)).faults).toEqual([]);
  },
);
