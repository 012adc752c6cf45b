import { createAssessor } from '../../assess';
import { catalogue, cube, tweak, type Fixture } from '../../testing/fixture';
import { tower } from '../../testing/rules';
import { dropV, ohmPerM } from '../../plugs/chains';
import { isPastAllCables } from './overloads';
import type { ChainPlan, PlugPlan } from './plugPlan';
import { cablePeak } from './plugRows';

const planOf = (made: Fixture): PlugPlan => createAssessor().plugs(made.build)[0]!;
const marksOn = ({ plugs }: ChainPlan) =>
  plugs.map(({ on, splitter }) => [...on, ...(splitter?.on ?? [])].map(({ input }) => input.input.by.mark).join('+'));
const chainsOf = (made: Fixture, key: string) => planOf(made).chains.filter(({ chain }) => chain.host.key === key);

/** A disk with round numbers: 2 A on 12 V and 1 A on 5 V for its first 6 s, then 0.4 and 0.5 A; busy 0.6 and 0.7 A. */
const round = tweak('barge-8', {
  spinUp: [{ atS: 0, forS: 6, a12: 2, a5: 1, a33: 0 }],
  idle12A: 0.4,
  idle5A: 0.5,
  busy12A: 0.6,
  busy5A: 0.7,
  staggersStart: 'yes',
});
const cabled = (from = round) =>
  tweak(
    'ember-650',
    {
      cables: [
        {
          key: 'main',
          count: 1,
          plugs: [
            { plug: '24-pin', count: 1 },
            { plug: '8-pin-cpu', count: 1 },
          ],
          lengthMm: 500,
          gaugeAwg: 18,
        },
        { key: 'sata', count: 3, plugs: [{ plug: 'sata-power', count: 4 }], lengthMm: 500, gaugeAwg: 18 },
      ],
    },
    from,
  );

test('the resistance of copper by its gauge: the tables of the trade (ohm a metre at 20 °C)', () => {
  expect(ohmPerM(18)).toBeCloseTo(0.02095, 4);
  expect(ohmPerM(16)).toBeCloseTo(0.01317, 4);
  expect(ohmPerM(20)).toBeCloseTo(0.03331, 4);
});

test('the drop along a chain, by hand: four loads of 2 and 1 A at 0.5 m and every 0.15 m', () => {
  const wire = { gaugeAwg: 18, firstMm: 500, stepMm: 150, live: 1, returns: 2 };
  const { v12, v5 } = dropV(
    wire,
    [1, 2, 3, 4].map(() => ({ a12: 2, a5: 1 })),
  );
  // Segments carry 8, 6, 4, 2 A and 4, 3, 2, 1 A: 0.02095 × (0.5 × (8 + 6) + 0.15 × (10.5 + 7 + 3.5)).
  expect(v12).toBeCloseTo(0.02095 * (0.5 * 14 + 0.15 * 21), 4);
  expect(v5).toBeCloseTo(0.02095 * (0.5 * (4 + 6) + 0.15 * (7.5 + 5 + 2.5)), 4);
});

test('six disks: four on the first cable, two on the second, the third stays in the box', () => {
  const sata = chainsOf(tower(cabled()).add('barge-8', 6), 'sata');
  expect(sata.map(marksOn)).toEqual([
    [expect.any(String), expect.any(String), expect.any(String), expect.any(String)],
    [expect.any(String), expect.any(String), '', ''],
    ['', '', '', ''],
  ]);
  expect(sata.map(({ start }) => start.a12)).toEqual([8, 4, 0]);
  expect(sata.map(({ start }) => start.a5)).toEqual([4, 2, 0]);
  expect(sata[0]!.run.a12).toBeCloseTo(2.4);
  expect(sata[0]!.drives).toBe(4);
  // Of the two rails it is 5 V that loses more of its volts.
  expect(sata[0]!.drop!.start).toBeCloseTo((0.02095 * (0.5 * (4 + 6) + 0.15 * (7.5 + 5 + 2.5))) / 5, 4);
});

test('in waves a cable carries one wave and what turns beside it', () => {
  const willing = { staggersStart: 'yes' };
  const waves = (drives: number) =>
    tower(cabled(tweak('plover-a6', willing, round)))
      .add('barge-8', 4)
      .edit({
        type: 'set.policy',
        value: { spinUp: { kind: 'waves', drives, everyS: 10 }, fans: { kind: 'fixed', duty: 0.4 } },
      });
  // Two start at 2 A each; of the first wave two turn by then.
  expect(chainsOf(waves(2), 'sata')[0]!.start.a12).toBeCloseTo(2 * 2 + 2 * 0.4);
  expect(chainsOf(waves(1), 'sata')[0]!.start.a12).toBeCloseTo(2 + 3 * 0.4);
});

test('what is put or held on a cable stays there; what was put where no cable is any more is dealt anew', () => {
  const made = tower(cabled()).add('barge-8', 2);
  const [first] = chainsOf(made, 'sata');
  const { input } = first!.plugs[0]!.on[0]!.input;
  const spot = first!.plugs[0]!.on[0]!.input.spot;
  const put = (key: string, n: number) =>
    made.set({
      layout: {
        ...made.build.layout,
        plugs: [{ cable: input.plug, host: [{ host: first!.chain.host.host, key, n }], device: [spot], how: 'put' }],
      },
    });
  // The other one joins it there: one cable is enough for two.
  expect(chainsOf(put('sata', 3), 'sata').map((one) => marksOn(one)[0] !== '')).toEqual([false, false, true]);
  expect(chainsOf(put('sata', 3), 'sata')[2]!.plugs[0]!.on[0]!.how).toBe('put');
  expect(chainsOf(put('gone', 1), 'sata').map((one) => marksOn(one)[0] !== '')).toEqual([true, false, false]);
});

test('a processor’s plug parts the current among four wires', () => {
  const { chains } = planOf(cube());
  const cpu = chains.find(({ chain }) => chain.host.key === 'cpu')!;
  expect(cpu.chain.wire).toMatchObject({ live: 4, returns: 4 });
  // 336 W on 12 V (EPS12V).
  expect(cpu.chain.wireA).toBe(28);
});

test('what has no plug is named', () => {
  const one = tweak(
    'ember-650',
    { cables: (cabled().sheets['ember-650'] as never as { cables: object[] }).cables.slice(0, 1) },
    catalogue,
  );
  expect(planOf(tower(one).add('barge-8', 1)).without.map(({ input }) => input.plug)).toEqual(['sata-power']);
});

test('past all cables together there is no way of dealing, whatever was found', () => {
  const want = (a12: number) => ({
    plug: 'sata-power' as const,
    start: { a12, a5: 0 },
    run: { a12: 0, a5: 0 },
    disks: 1,
  });
  const bin = { plugs: { 'sata-power': 4 }, startA: 8, runA: 8 };
  const dealt = (amps: readonly number[], plugged = amps.length) => ({
    wants: amps.map(want),
    bins: [bin, bin, { ...bin, plugs: { peripheral: 3 } }],
    splitters: [],
    placed: {
      on: amps.map((_, i) => (i < plugged ? { chain: 0, splitter: null } : null)),
      splitters: [],
      score: [],
      whole: false,
    },
  });
  expect(isPastAllCables(dealt([9, 9]))).toBe(true);
  expect(isPastAllCables(dealt([9, 7]))).toBe(false);
  expect(isPastAllCables(dealt([9, 9], 1))).toBe(false);
});

test('where a cable carries most: flash at work on 5 V, disks at their start on 12 V', () => {
  const amps = (a12: number, a5: number) => ({ a12, a5 });
  const peak = (start: [number, number], run: [number, number]) =>
    cablePeak({ start: amps(...start), run: amps(...run), carriesA: 8 });
  expect(peak([0, 1.4], [0, 6.7])).toEqual({ amps: 6.7, rail: '5 V', when: 'run', share: 6.7 / 8 });
  expect(peak([9.6, 3.7], [2.1, 2.8])).toEqual({ amps: 9.6, rail: '12 V', when: 'start', share: 1.2 });
  // What is the same all the while is told of the start.
  expect(peak([12, 0], [12, 0])).toMatchObject({ when: 'start', rail: '12 V' });
});
