import { printSpot } from '../build/layout';
import { plannedUnits, unitsById } from '../machine/units';
import { cube, fixture, tweak, type Fixture } from '../testing/fixture';
import { hostOrder } from './hostOrder';
import { bayWords, deviceWords, hostWords } from './cableWords';
import { wiringFor } from './wiring';

const rack = () => fixture().add('gable-24').add('gannet-e8').add('shire-16').add('crag-q8').add('clew-r32', 2);
const order = (made: Fixture) => {
  const units = plannedUnits(made.build);
  const feeders = new Map(
    made.build.layout.wires.flatMap((wire) =>
      wire.device.flatMap(({ host }) =>
        units.find(({ id }) => id === host)?.part.kind === 'expander' ? [[host, wire.host[0].host] as const] : [],
      ),
    ),
  );
  return hostOrder(units, made.build.layout, unitsById(units), feeders).map(({ part }) => part.name);
};

test('the board comes first, then what is on its chipset, then what is on the processor, each by its place', () => {
  const made = rack()
    .add('stickle-500', 1, { at: ['u4/m2a'] })
    .add('skein-10', 1, { at: ['u4/pcie6'] })
    .add('tern-8i', 1, { at: ['u4/pcie2'] })
    .add('tern-16i', 1, { at: ['u4/pcie1'] });
  const { hosts } = wiringFor(made.build, made.assess());
  const names = order(made);
  expect(names[0]).toBe('Gannet E8');
  expect(names.slice(-2)).toEqual(['Tern 16i', 'Tern 8i']);
  expect(names).toHaveLength(5);
  // The rows of the view are these, a socket under its own name.
  expect(hosts.map(({ name }) => name)).toEqual(
    names.map((name) => (name.startsWith('Stickle') ? 'M.2 socket 1' : name)),
  );
});

test('an expander card follows the card that feeds it', () => {
  const names = order(rack().add('weir-24').add('skein-10').add('tern-8i').add('barge-8', 20));
  expect(names.indexOf('Weir 24')).toBe(names.indexOf('Tern 8i') + 1);
});

test('cards and modules that have no place are not in it', () => {
  const made = cube().add('tern-8i').add('skein-10').add('stickle-500', 3);
  expect(order(made).filter((name) => name.startsWith('Stickle'))).toHaveLength(2);
  expect(order(made).filter((name) => /^(Tern|Skein)/.test(name))).toHaveLength(1);
});

describe('words of a cable', () => {
  const words = (made: Fixture) => {
    const units = plannedUnits(made.build);
    const byId = unitsById(units);
    return made.build.layout.wires.map((wire) => ({
      from: hostWords(byId.get(wire.host[0].host)!, wire, byId),
      ...deviceWords(wire, byId, made.build.layout),
      device: printSpot(wire.device[0]),
    }));
  };
  test('a backplane by its connector and the bays behind it', () => {
    const [first] = words(rack().add('tern-8i').add('barge-8', 4));
    expect(first).toMatchObject({
      from: expect.stringMatching(/^Tern 8i [A-Z]1, four-lane port [12]$/),
      words: expect.stringMatching(/^Gable 24 A1, front bays connector \d, bays \d+–\d+$/),
      brief: expect.stringMatching(/^front \d+–\d+$|^front bays/),
    });
  });
  test('drives of bare bays by where they sit; of a breakout none is told for all', () => {
    const tower = () =>
      fixture(tweak('plover-a6', { connectors: [] }))
        .add('steading-t9')
        .add('plover-a6')
        .add('drover-4')
        .add('ember-650')
        .add('tern-8i');
    const [one] = words(tower().add('barge-8', 1));
    expect(one).toMatchObject({
      words: expect.stringMatching(/^F1 in drive cage|^G1 in drive cage/),
      brief: expect.stringMatching(/^drive cage/),
    });
    const [many] = words(tower().add('barge-8', 3));
    expect(many!.brief).toBe('');
    expect(many!.words.split(', ')).toHaveLength(3);
  });
  test('a bay of an adapter is named with it, no place is no words', () => {
    const made = fixture().add('steading-t9').add('plover-a6').add('cradle-2').add('pike-960', 2);
    const units = plannedUnits(made.build);
    const byId = unitsById(units);
    const drives = units.filter(({ part }) => part.kind === 'drive');
    expect(
      drives.map((unit) => bayWords(unit, made.build.layout, byId)).filter((text) => / of [A-Z]1$/.test(text)).length,
    ).toBeGreaterThan(0);
    expect(bayWords(drives[0]!, { at: {} }, byId)).toBe('');
  });
});

describe('loose ends', () => {
  const loose = (made: Fixture) =>
    wiringFor(made.build, made.assess()).loose.map(({ words, why }) => `${words}: ${why}`);
  test('nothing is loose in a machine that is whole', () => {
    expect(loose(cube().add('barge-8', 4))).toEqual([]);
  });
  test('a drive without a bay, a card without a slot, a cable that fits nowhere', () => {
    expect(loose(cube().add('barge-8', 9))).toEqual(expect.arrayContaining(['Barge 8 TB: no bay']));
    expect(loose(cube().add('tern-8i').add('skein-10'))).toEqual([
      expect.stringMatching(/^(Tern 8i|Skein 10): no slot$/),
    ]);
    expect(
      loose(
        cube(tweak('larder-8', { inTheBox: [] }))
          .add('lead-forward-8643')
          .add('barge-8', 4),
      ),
    ).toEqual([expect.stringMatching(/fits nowhere here$/)]);
  });
  test('ports outside behind a closed wall', () => {
    const made = fixture(tweak('gable-24', { openings: [] }))
      .add('gable-24')
      .add('gannet-e8')
      .add('tern-4i4e', 1, { at: ['u4/pcie1'] });
    expect(loose(made)).toEqual([expect.stringMatching(/^1 port of Tern 4i 4e: no opening in the rear wall$/)]);
  });
});
