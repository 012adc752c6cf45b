import type { Price } from '../build/build';
import { AS_OF, fixture } from '../testing/fixture';
import { assess } from '../assess';
import { applyEdit } from '../build/applyEdit';
import { billOf } from './bill';
import { setAside, takeOffer } from './offers';

const euro = (minor: number, more: Partial<Price> = {}): Price => ({
  minor,
  currency: 'EUR',
  per: 'unit',
  taxIncluded: true,
  ...more,
});
/** Four drives at 180 each; offered at 165 with 20 of shipping, at 150 less tax, and at 140 dollars. */
const made = () => {
  const { build } = fixture().add('larder-8').add('barge-8', 4);
  const item = build.items.at(-1)!;
  const offers = [
    euro(16_500, { shippingMinor: 2000, seller: 'private' }),
    euro(15_000, { taxIncluded: false, taxPct: 19 }),
    euro(14_000, { currency: 'USD' }),
  ];
  return { ...build, items: build.items.map((one) => (one === item ? { ...one, price: euro(18_000), offers } : one)) };
};

test('offers stand beside the price by what all of it costs, to the cent; one without a rate is last', () => {
  const bill = (rates: object) => {
    const build = { ...made(), rates } as ReturnType<typeof made>;
    return billOf(build, assess(build, AS_OF)).lines.find(({ what }) => what === 'Barge 8 TB')!;
  };
  // 4 × 165 + 20 = 680; 4 × 150 × 1.19 = 714; 4 × 180 = 720.
  expect(bill({}).offers.map(({ total, at }) => [total && Number(total.toFixed(2)), at])).toEqual([
    [680, 0],
    [714, 1],
    [720, null],
    [null, 2],
  ]);
  // A dollar being 0.9: 504.
  expect(bill({ USD: 0.9 }).offers.map(({ total }) => total && Number(total.toFixed(2)))).toEqual([504, 680, 714, 720]);
  expect(bill({}).total).toBe(720);
});

test('an offer is taken, and what counted is set aside: nothing is lost, and undone it is as before', () => {
  const build = made();
  const item = build.items.at(-1)!;
  const patch = takeOffer(item, 1)!;
  expect(patch.price).toEqual(item.offers![1]);
  expect(patch.offers).toEqual([item.offers![0], item.offers![2], item.price]);
  const done = applyEdit(build, { type: 'item.patch', item: item.id, patch } as never);
  if (!('build' in done)) throw new Error(done.words);
  expect(billOf(done.build, assess(done.build, AS_OF)).lines.find(({ what }) => what === 'Barge 8 TB')!.total).toBe(
    714,
  );
  const back = applyEdit(done.build, done.inverse as never);
  if (!('build' in back)) throw new Error(back.words);
  expect(back.build.items).toEqual(build.items);
  expect(takeOffer(item, 7)).toBeNull();
});

test('a price is set aside once, and at most twelve are', () => {
  expect(setAside({ price: euro(1) })).toEqual({ offers: [euro(1)] });
  expect(setAside({ price: euro(1), offers: [euro(1)] })).toBeNull();
  expect(setAside({ offers: [euro(1)] })).toBeNull();
  expect(setAside({ price: euro(0), offers: Array.from({ length: 12 }, (_, i) => euro(i + 1)) })).toBeNull();
});
