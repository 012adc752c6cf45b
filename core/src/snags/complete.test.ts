import { find, said, type Pair } from '../testing/rules';
import { cube, fixture, tweak } from '../testing/fixture';
const withCell = (...extra: object[]) => tweak('wren-c8', { inTheBox: [{ sheet: 'shield-atx', count: 1 }, ...extra] });
const PAIRS: readonly Pair[] = [
  [
    'a board without its coin cell',
    'complete.smallParts',
    () => cube(withCell()),
    /^note: Also needed: coin cell\.$/,
    () => cube(withCell({ sheet: 'cell', count: 1 })),
  ],
  [
    'more ports than bays',
    'complete.uselessPorts',
    () =>
      fixture(
        tweak('sprig-n4', {
          connectors: [
            {
              key: 'sata',
              label: 'SATA',
              count: 2,
              kind: 'sata',
              lanes: 1,
              carries: ['sata'],
              gbPerLane: 6,
              role: 'host',
              side: 'inside',
            },
          ],
        }),
      )
        .add('satchel-1b')
        .add('sprig-n4'),
    /^note: Sprig N4 has 2 drive ports; Satchel 1, bare has 1 bay: 1 stays idle\.$/,
    () => fixture().add('satchel-1b').add('sprig-n4'),
  ],
];

test.each(PAIRS)('%s', (_what, code, there, sentence, not) => {
  expect(said(there(), code)[0]).toMatch(sentence);
  expect(said(there(), code)[0]!.split(/\s+/).length).toBeLessThanOrEqual(36);
  expect(said(not(), code).filter((one) => sentence.test(one))).toEqual([]);
});

test('what is bought used comes without what was in its box, and costs it', () => {
  const plain = cube();
  const item = plain.build.items.find((one) => one.sheet === 'wren-c8')!;
  const used = plain.edit({ type: 'item.patch', item: item.id, patch: { condition: 'good' } });
  expect(said(used, 'complete.smallParts')).toEqual(['note: Also needed: coin cell, I/O shield.']);
  expect(used.assess().figures['cost.now']!.value - plain.assess().figures['cost.now']!.value).toBeCloseTo(9, 6);
  expect(
    find(used.edit({ type: 'item.patch', item: item.id, patch: { deal: 'owned' } }), 'complete.smallParts'),
  ).toEqual([]);
});
