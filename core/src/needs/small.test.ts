import { newBuild } from '../build/newBuild';
import { billOf } from '../bill/bill';
import { cube, fixture, tweak, type Fixture } from '../testing/fixture';
import type { SmallUse } from './small';

const need = (made: Fixture, use: SmallUse) => made.assess().small.find((one) => one.use === use);
const counts = (made: Fixture, use: SmallUse) => {
  const one = need(made, use);
  return one ? [one.count, one.fromKit, one.fromBoxes, one.toBuy] : null;
};
const inRack = (made: Fixture) => made.set({ site: { ...newBuild('x', 'x').site, place: 'rack' } });
const rack = () =>
  fixture().add('gable-24').add('gannet-e8').add('shire-16').add('crag-q8').add('clew-r32', 2).add('brazier-800');

describe('what a machine wants, and where it comes from', () => {
  test('a new board brings cell and shield, a cooler its paste, a supply its cable', () => {
    for (const use of ['coinCell', 'ioShield', 'paste', 'mainsLead'] as const)
      expect(counts(cube(), use)).toEqual([1, 0, 1, 0]);
  });
  test('the kit comes before the boxes', () => {
    expect(counts(cube().add('paste'), 'paste')).toEqual([1, 1, 0, 0]);
    expect(counts(cube().add('cell').add('cell'), 'coinCell')).toEqual([1, 1, 0, 0]);
  });
  test('a redundant supply wants a cable for each module', () => {
    expect(need(rack(), 'mainsLead')!.count).toBe(2);
  });
  test('the mains cable is named by the outlet; for one of a UPS or a rack none lies in the box', () => {
    const at = (mainsPlug: string) => rack().set({ site: { ...newBuild('x', 'x').site, mainsPlug } });
    expect(need(at('C13'), 'mainsLead')!.what).toBe('Mains cable');
    expect(need(at('G'), 'mainsLead')).toMatchObject({ what: 'Mains cable, plug type G' });
    const boxed = cube().set({ site: { ...newBuild('x', 'x').site, mainsPlug: 'C14' } });
    expect(counts(cube(), 'mainsLead')).toEqual([1, 0, 1, 0]);
    expect(counts(boxed, 'mainsLead')).toEqual([1, 0, 0, 1]);
    expect(need(boxed, 'mainsLead')!.what).toBe('Mains cable, C13 to C14');
  });
  test('screws only where a drive is screwed in: by size a pack', () => {
    expect(counts(cube().add('barge-8', 4), 'screws')).toBeNull();
    const roof = cube().add('pike-960', 2, { at: ['u2/roof.1', 'u2/roof.2'] });
    expect(need(roof, 'screws')!.count).toBe(1);
  });
  test('slide rails in a rack, where they are sold apart; on a shelf none', () => {
    expect(need(rack(), 'slideRails')).toBeUndefined();
    expect(counts(inRack(rack()), 'slideRails')).toEqual([1, 0, 0, 1]);
    expect(counts(inRack(rack().add('rails-4u')), 'slideRails')).toEqual([1, 1, 0, 0]);
    expect(need(inRack(fixture().add('plank-1u')), 'slideRails')).toBeUndefined();
  });
  test('fans past the headers of the board: a splitter makes three of one', () => {
    const few = (count: number) => tweak('gannet-e8', { fanHeaders: [{ key: 'fan', count, pwm: true, maxA: 5 }] });
    const fans = fixture()
      .add('gable-24')
      .assess()
      .units.filter(({ part }) => part.kind === 'fan').length;
    const made = (count: number) => fixture(few(count)).add('gable-24').add('gannet-e8');
    expect(need(made(fans), 'fanSplitter')).toBeUndefined();
    expect(need(made(fans - 1), 'fanSplitter')!.count).toBe(1);
    expect(need(made(fans - 2), 'fanSplitter')!.count).toBe(1);
    expect(need(made(fans - 3), 'fanSplitter')!.count).toBe(2);
  });
  test('a used chassis may lack its caddies: as many as drives sit in trays', () => {
    const made = cube().add('barge-8', 3);
    const item = made.build.items.find(({ sheet }) => sheet === 'larder-8')!;
    const used = made.edit({ type: 'item.patch', item: item.id, patch: { condition: 'worn' } });
    expect(counts(made, 'caddy')).toBeNull();
    expect(counts(used, 'caddy')).toEqual([3, 0, 0, 3]);
    expect(counts(used.add('caddy-35', 2), 'caddy')![1]).toBeGreaterThan(0);
  });
  test('a network cable for every link of the place there is a port for; nothing said, none', () => {
    const linked = (...links: { gbPerS: number; count: number }[]) => {
      const made = cube().add('skein-10x2');
      return made.set({ site: { ...made.build.site, links } });
    };
    expect(need(linked(), 'networkCable')).toBeUndefined();
    expect(need(linked({ gbPerS: 10, count: 2 }), 'networkCable')).toMatchObject({
      count: 2,
      what: 'Network cable, 10 Gb/s',
    });
    const ports = need(linked({ gbPerS: 10, count: 9 }), 'networkCable')!.count;
    expect(ports).toBeGreaterThan(1);
    expect(ports).toBeLessThan(9);
    expect(need(linked({ gbPerS: 25, count: 1 }), 'networkCable')!.what).toBe('Direct-attach cable, 25 Gb/s');
  });
  test('a soldered processor and a board of its own form want neither paste nor shield', () => {
    const small = fixture().add('satchel-1').add('clew-s16');
    expect(need(small, 'paste')).toBeUndefined();
    expect(need(small, 'ioShield')).toBeUndefined();
  });
});

test('what is to buy is a line of the bill and part of the money, what is here is neither', () => {
  const bare = cube(tweak('wren-c8', { inTheBox: [] }));
  const assessment = bare.assess();
  const lines = billOf(bare.build, assessment).lines.filter(({ kind }) => kind === 'sundry');
  expect(lines.map(({ what, count, total }) => [what, count, total])).toEqual([
    ['Coin cell', 1, 2],
    ['I/O shield', 1, 7],
  ]);
  expect(assessment.figures['cost.now']!.value - cube().assess().figures['cost.now']!.value).toBeCloseTo(9, 6);
  expect(billOf(bare.build, assessment).total).toBeCloseTo(assessment.figures['cost.now']!.value, 6);
});

test('in another currency small parts are wanted and not counted', () => {
  const bare = cube(tweak('wren-c8', { inTheBox: [] })).set({ currency: 'GBP' });
  expect(need(bare, 'coinCell')!.toBuy).toBe(1);
  expect(billOf(bare.build, bare.assess()).lines.find(({ what }) => what === 'Coin cell')!.total).toBeNull();
});

describe('splitters for drive plugs that are short', () => {
  const supply = (sata: number, peripheral: number) =>
    tweak('ember-650', {
      cables: [
        { key: 'main', count: 1, plugs: [{ plug: '24-pin', count: 1 }], lengthMm: 500, gaugeAwg: 18 },
        { key: 'cpu', count: 1, plugs: [{ plug: '8-pin-cpu', count: 2 }], lengthMm: 500, gaugeAwg: 18 },
        { key: 's', count: 1, plugs: [{ plug: 'sata-power', count: sata }], lengthMm: 500, gaugeAwg: 18 },
        {
          key: 'p',
          count: 1,
          plugs: [{ plug: 'peripheral', count: Math.max(1, peripheral) }],
          lengthMm: 500,
          gaugeAwg: 18,
        },
      ],
    });
  const kit = (sata: number, peripheral: number, drives: number) =>
    fixture(supply(sata, peripheral))
      .add('byre-15')
      .add('gannet-e8')
      .add('ember-650')
      .add('tern-16i')
      .add('barge-8', drives);
  test('a free 4-pin plug gives two more, a plug of their own kind one; with splitters in the kit none is wanted', () => {
    expect(need(kit(4, 1, 4), 'powerSplitter')).toBeUndefined();
    // Three are short: two from the 4-pin plug, one by parting a plug of their kind.
    expect(need(kit(4, 1, 7), 'powerSplitter')).toMatchObject({ count: 2, toBuy: 2 });
    expect(need(kit(4, 2, 7), 'powerSplitter')).toMatchObject({ count: 2 });
    expect(need(kit(4, 1, 7).add('yoke-4'), 'powerSplitter')).toBeUndefined();
  });
  test('they are on the bill', () => {
    const made = kit(4, 1, 6);
    expect(billOf(made.build, made.assess()).lines.map(({ what }) => what)).toContain('Power splitter');
  });
});
