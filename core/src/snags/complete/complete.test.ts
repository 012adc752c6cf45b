import { find, firstRemedy, said, type Pair } from '../../testing/rules';
import { cube, fixture, tweak } from '../../testing/fixture';
const withCell = (...extra: object[]) => tweak('wren-c8', { inTheBox: [{ sheet: 'shield-atx', count: 1 }, ...extra] });
const PAIRS: readonly Pair[] = [
  [
    'a second supply on the table',
    'complete.runsNothing',
    () => cube().add('ember-550'),
    /^caution: Ember 550 ATX feeds nothing: Ember 450 SFX has its place\.$/,
    () => cube(),
  ],
  [
    'a second chassis with nothing in it',
    'complete.runsNothing',
    () => cube().add('creel-2'),
    /^caution: Nothing is in Creel 2; everything is in Larder 8\.$/,
    () => fixture().add('creel-2'),
  ],
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
              count: 7,
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
    /^note: Sprig N4 has 7 drive ports; Satchel 1, bare has 1 bay: 6 stay idle\.$/,
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

describe('something to start from', () => {
  test('four equal disks and nothing else is a caution; a module, a stick or a drive set to it is enough', () => {
    expect(said(cube().add('barge-8', 4), 'complete.boot')).toEqual([
      'caution: 4 drives for data, and none for the system to start from.',
    ]);
    expect(find(cube().add('barge-8', 4).add('reed-250'), 'complete.boot')).toEqual([]);
    const made = cube().add('barge-8', 4);
    const own = made.edit({ type: 'unit.role', unit: made.unit('barge-8'), role: 'boot' } as never);
    expect(find(own, 'complete.boot')).toEqual([]);
  });
  test('its cure is a small module or stick that finds a socket', () => {
    expect(firstRemedy(cube().add('barge-8', 4), 'complete.boot')[0]).toMatch(/^Add (Reed|Stickle|Dab)/);
  });
  test('of a machine without a supply it is not asked yet', () => {
    const bare = fixture().add('larder-8').add('wren-c8').add('clew-16e').add('barge-8', 2);
    expect(find(bare, 'complete.boot')).toEqual([]);
  });
});

test('a controller that no drive hangs on is a note; one that carries them is none', () => {
  const idle = cube().add('tern-8i').add('reed-250');
  expect(said(idle, 'complete.idleCard')).toEqual(['note: Tern 8i carries no drive and draws about 9 W all the same.']);
  expect(find(idle.add('barge-8', 8), 'complete.idleCard')).toEqual([]);
});
