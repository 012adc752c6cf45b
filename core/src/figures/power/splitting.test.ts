import { createAssessor } from '../../assess';
import type { Catalogue } from '../../parts/catalogue';
import { resolve, type PartOf } from '../../parts/resolve';
import { allRemedies } from '../../remedies/remedies';
import { AS_OF, catalogue, fixture, tweak, type Fixture } from '../../testing/fixture';
import { wordsOf } from '../../snags/words';
import type { PlugInput } from '../../needs/plugInputs';
import { chainsOf } from '../../plugs/chains';
import { eachInput } from '../../plugs/inputs';
import type { PlugCase } from './plugPlan';
import { adaptersHold } from './splitting';

/** A supply of the given chains, in plugs: SATA or 4-pin. */
const chains = (sata: readonly number[], peripheral: readonly number[] = [], gaugeAwg = 18): Catalogue =>
  tweak('ember-650', {
    cables: [
      { key: 'main', count: 1, plugs: [{ plug: '24-pin', count: 1 }], lengthMm: 500, gaugeAwg },
      { key: 'cpu', count: 2, plugs: [{ plug: '8-pin-cpu', count: 1 }], lengthMm: 500, gaugeAwg },
      ...sata.map((count, i) => ({
        key: `s${i}`,
        count: 1,
        plugs: [{ plug: 'sata-power', count }],
        lengthMm: 500,
        gaugeAwg,
      })),
      ...peripheral.map((count, i) => ({
        key: `p${i}`,
        count: 1,
        plugs: [{ plug: 'peripheral', count }],
        lengthMm: 500,
        gaugeAwg,
      })),
    ],
  });
const rack = (from: Catalogue, disks: number) =>
  fixture(from).add('byre-15').add('gannet-e8').add('ember-650').add('tern-16i').add('barge-8', disks);
const shortage = (made: Fixture) =>
  made
    .assess()
    .snags.filter((snag) => snag.code === 'powered.plugs')
    .map((snag) => `${snag.severity}: ${wordsOf(snag).what}`)
    .filter((words) => /SATA/.test(words));
const ways = (made: Fixture, from: Catalogue) => {
  const assessment = made.assess();
  const snag = assessment.snags.find(({ code, facts }) => code === 'powered.plugs' && facts.plug === 'sata-power')!;
  return allRemedies({ build: made.build, assessment }, snag, from, createAssessor(), AS_OF).map((one) => one.title);
};

test('a fifth disk on a cable may be split in, but is past its wire with thirsty disks: a caution, and no splitter is offered', () => {
  const from = chains([4, 4]);
  expect(shortage(rack(from, 9))).toEqual([
    'caution: SATA power plugs: 9 wanted, Ember 650 ATX has 8. Splitters are needed, and may carry more than they should.',
  ]);
  expect(ways(rack(from, 9), from).filter((title) => /Yoke/.test(title))).toEqual([]);
});

test('one more 4-pin chain takes them: a caution with that splitter as its cure', () => {
  const from = chains([4, 4], [3]);
  expect(shortage(rack(from, 9))).toEqual([
    'caution: SATA power plugs: 9 wanted, Ember 650 ATX has 8. Splitters are needed.',
  ]);
  expect(ways(rack(from, 9), from)).toContain('Add Yoke, peripheral to 2 × SATA');
});

test('twenty-four plugs by splitters on one chain: a blocker', () => {
  const from = chains([4]);
  expect(shortage(rack(from, 15))[0]).toMatch(/^blocker: /);
  expect(ways(rack(from, 15), from).filter((title) => /Yoke/.test(title))).toEqual([]);
});

test('flash draws little: a SATA splitter for it is offered where one for disks is not', () => {
  const from = chains([2]);
  const flash = fixture(from).add('byre-15s').add('gannet-e8').add('ember-650').add('tern-8i').add('pike-960', 4);
  expect(shortage(flash)[0]).toMatch(/^caution: /);
});

const drive = (id: string) =>
  resolve(
    catalogue.sheets[id as never]!,
    catalogue.archetypes[catalogue.sheets[id as never]!.archetype]!,
  ) as PartOf<'drive'>;
const bare = (id: string, count: number): PlugInput[] =>
  Array.from({ length: count }, (_, i) => ({
    plug: 'sata-power',
    count: 1,
    by: { id: `d${i}` } as never,
    group: `d${i}`,
    drives: [{ part: drive(id) } as never],
    feeds: [],
  }));
const part = <K extends 'supply' | 'powerAdapter'>(id: string, from = catalogue) =>
  resolve(from.sheets[id as never]!, from.archetypes[from.sheets[id as never]!.archetype]!) as PartOf<K>;
const supply = (from: Catalogue) => part<'supply'>('ember-650', from);
/** Whether adapters hold inputs at a supply in a box with nothing else. */
const hold = (wanted: readonly PlugInput[], of: PartOf<'supply'>, more: readonly PartOf<'powerAdapter'>[]): boolean => {
  const unit = { id: 'f', part: of } as never;
  const inputs = eachInput(wanted, { units: [], layout: fixture().build.layout });
  const one: PlugCase = {
    box: null,
    supplies: [unit],
    wanted,
    inputs,
    chains: chainsOf([unit], []),
    splitters: [],
    atOnce: Infinity,
  };
  return adaptersHold(one, more);
};

test('an adapter holds up to its rated A and not past it, its drives at their high end', () => {
  // Pike 960: at most 0.56 A on 5 V, a quarter more as a typical value; four of them 2.8 A.
  const four = part<'powerAdapter'>('yoke-4');
  expect(hold(bare('pike-960', 4), supply(chains([1])), [four])).toBe(true);
  expect(hold(bare('pike-960', 4), supply(chains([1])), [{ ...four, ratedA: 2.5 }])).toBe(false);
  // Barge 8 starts with 1.6 A on 12 V, 2 A at the high end: two on a SATA plug, not three.
  expect(hold(bare('barge-8', 2), supply(chains([1])), [four])).toBe(true);
  expect(hold(bare('barge-8', 3), supply(chains([1])), [four])).toBe(false);
});

test('flash by splitters is held to the wire too: twelve on one cable are past its 8 A, four are not', () => {
  // At most 0.7 A on 5 V each: 2.8 A a splitter, three of them 8.4 A.
  const four = part<'powerAdapter'>('yoke-4');
  expect(hold(bare('pike-960', 4), supply(chains([3])), [four])).toBe(true);
  expect(hold(bare('pike-960', 12), supply(chains([3])), [four, four, four])).toBe(false);
  expect(hold(bare('pike-960', 12), supply(chains([1, 1, 1])), [four, four, four])).toBe(true);
});

test('two splitters share what hangs on them; on one cable they stop at four disks', () => {
  const two = part<'powerAdapter'>('yoke-2');
  expect(hold(bare('barge-8', 3), supply(chains([], [2])), [two, two])).toBe(true);
  expect(hold(bare('barge-8', 6), supply(chains([], [3])), [two, two, two])).toBe(false);
  expect(hold(bare('barge-8', 6), supply(chains([], [1, 1, 1])), [two, two, two])).toBe(true);
});

test('a thin wire carries less: 22 AWG does not hold what 18 AWG does', () => {
  const two = part<'powerAdapter'>('yoke-2');
  expect(hold(bare('barge-8', 2), supply(chains([], [1])), [two])).toBe(true);
  expect(hold(bare('barge-8', 2), supply(chains([], [1], 22)), [two])).toBe(false);
});

test('a processor plug made of a smaller one carries the processor at its peak, or is not offered', () => {
  const one = part<'powerAdapter'>('yoke-8c');
  const processor = (peakW: number): PlugInput => ({
    plug: '8-pin-cpu',
    count: 1,
    by: { id: 'b' } as never,
    group: 'b/cpu',
    drives: [],
    feeds: [
      {
        part: {
          ...resolve(catalogue.sheets['drover-4' as never]!, catalogue.archetypes['cpu-desktop' as never]!),
          peakW,
        },
      } as never,
    ],
  });
  expect(hold([processor(58)], supply(chains([4])), [one])).toBe(true);
  expect(hold([processor(155)], { ...supply(chains([4])), cables: [] }, [one])).toBe(false);
});
