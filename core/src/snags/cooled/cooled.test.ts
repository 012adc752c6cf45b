import { find, said } from '../../testing/rules';
import { createAssessor } from '../../assess';
import { hotCards, warmthOf } from '../../figures/air/temperatures';
import { Ledger, rangedOf } from '../../figures/quantity';
import type { Catalogue } from '../../parts/catalogue';
import { proposalsFor } from '../../remedies/proposals';
import { allRemedies } from '../../remedies/remedies';
import { AS_OF, catalogue, fixture, tweak, type Fixture } from '../../testing/fixture';
import { type SnagCode } from '../words';
const ways = (made: Fixture, code: SnagCode, from: Catalogue = catalogue) => {
  const assessment = made.assess();
  return allRemedies(
    { build: made.build, assessment },
    assessment.snags.find((one) => one.code === code)!,
    from,
    createAssessor(),
    AS_OF,
  );
};
const tower = (processor: string, cooler: string, from: Catalogue = catalogue) =>
  fixture(from).add('steading-t9').add('plover-a8').add(processor).add(cooler).add('clew-16e', 2).add('ember-650');

describe('heat the cooler carries', () => {
  test('88 W as a typical value on 70 W: its low end passes, so a caution; on 140 W nothing', () => {
    expect(said(tower('drover-12', 'fell-74'), 'cooled.cooler')).toEqual([
      'caution: Drover 12 draws about 88 W for minutes on end; Fell 74 carries 70 W.',
    ]);
    expect(find(tower('drover-12', 'tarn-155'), 'cooled.cooler')).toEqual([]);
  });
  test('a stated figure of its own counts, and past the limit with its low end it blocks', () => {
    const from = tweak('drover-12', { sustainedW: 125 });
    expect(said(tower('drover-12', 'fell-74', from), 'cooled.cooler')).toEqual([
      'blocker: Drover 12 draws about 125 W for minutes on end; Fell 74 carries 70 W.',
    ]);
    expect(find(tower('drover-12', 'fell-74', tweak('drover-12', { sustainedW: 65 })), 'cooled.cooler')).toEqual([]);
  });
  test('the cure is a cooler that carries it, never one that carries less or has no fan', () => {
    const titles = ways(tower('drover-12', 'fell-74'), 'cooled.cooler').map((one) => one.title);
    expect(titles.length).toBeGreaterThan(0);
    expect(titles.join()).not.toMatch(/Crag 1U|Moor|Fell 47|Fell 37/);
  });
});

describe('a cooler without a fan', () => {
  const still = tweak('steading-t9', { builtIn: [] });
  test('with a fan that blows at it nothing is said; without one it is a caution', () => {
    const blown = tweak('steading-t9', {
      builtIn: [{ key: 'stockFront', sheet: 'stock-120', count: 1, spot: 'front', fixed: false }],
    });
    expect(find(tower('drover-4', 'crag-1u', blown), 'cooled.passive')).toEqual([]);
    // The fan behind it draws past it, and does not blow along its fins.
    expect(find(tower('drover-4', 'crag-1u'), 'cooled.passive')).toHaveLength(1);
    expect(said(tower('drover-4', 'crag-1u', still), 'cooled.passive')).toEqual([
      'caution: Crag 1U has no fan, and none in Steading T9 blows at it: Drover 4 draws about 40 W under load.',
    ]);
    expect(find(tower('drover-4', 'fell-74', still), 'cooled.passive')).toEqual([]);
  });
  test('the cures: a fan in a free mount, or a cooler that has one', () => {
    const made = tower('drover-4', 'crag-1u', still);
    const assessment = made.assess();
    const words = proposalsFor(
      { build: made.build, assessment },
      assessment.snags.find((one) => one.code === 'cooled.passive')!,
      still,
    ).map((one) => one.words);
    expect(words.filter((title) => /^Fit .* at /.test(title)).length).toBeGreaterThan(0);
    expect(words.join()).not.toMatch(/Moor/);
    const fitted = ways(made, 'cooled.passive', still);
    expect(fitted.length).toBeGreaterThan(0);
    expect(fitted.every((one) => one.cure)).toBe(true);
  });
});

describe('what no remedy does', () => {
  test('take out a row of fans that bays draw their air from: several shorter cards instead', () => {
    const made = fixture()
      .add('gable-24')
      .add('gannet-e8')
      .add('shire-16')
      .add('crag-q8')
      .add('clew-r32', 4)
      .add('brazier-800')
      .add('tern-24i')
      .add('zander-960', 24);
    const titles = ways(made, 'fits.cardLength').map((one) => one.title);
    expect(titles.join()).not.toMatch(/fan wall|without/i);
    expect(titles.some((title) => /× Tern .* instead of Tern 24i/.test(title))).toBe(true);
  });
  test('slow fans down past what drives, cards and processor bear, or take quieter ones that move less', () => {
    const made = fixture()
      .add('larder-8')
      .add('wren-c8')
      .add('drover-4')
      .add('fell-74')
      .add('clew-32e', 2)
      .add('ember-450s')
      .add('barge-8', 4)
      .set({ brief: { earDb: 24.1 }, policy: { ...fixture().build.policy, fans: { kind: 'fixed', duty: 0.6 } } });
    const remedies = ways(made, 'within.sound');
    for (const remedy of remedies) expect(remedy.title).not.toMatch(/Hush 120|Whist 120\b(?! S)/);
    const duties = remedies.flatMap(({ edits }) =>
      edits.flatMap((edit) =>
        edit.type === 'set.policy' && edit.value.fans.kind === 'fixed' ? [edit.value.fans.duty] : [],
      ),
    );
    expect(duties.length).toBeGreaterThan(0);
    const at = (duty: number) =>
      find(made.set({ policy: { ...made.build.policy, fans: { kind: 'fixed', duty } } }), 'cooled.drives');
    expect(duties.flatMap(at)).toEqual([]);
    // On a day on which nothing is to spare no slower fan is offered.
    const hot = made.set({ site: { ...made.build.site, hotDayC: 58 } });
    expect(ways(hot, 'within.sound').some(({ edits }) => edits.some(({ type }) => type === 'set.policy'))).toBe(false);
  });
  test('give up a spare supply module without saying it first', () => {
    const made = fixture()
      .add('gable-12')
      .add('gannet-c8')
      .add('shire-8')
      .add('crag-2u')
      .add('clew-r32', 2)
      .add('brazier-550')
      .add('tern-8i')
      .set({ brief: { earDb: 20 } });
    const titles = ways(made, 'within.sound')
      .map((one) => one.title)
      .filter((title) => /instead of Brazier/.test(title));
    for (const title of titles)
      expect(title).toMatch(/ake Brazier \d+ .*instead|^Give up the spare supply module: take/);
  });
});

describe('air past drives and cards', () => {
  const still = tweak('steading-t9', { builtIn: [] });
  const filled = (from?: Catalogue) => tower('drover-4', 'fell-74', from).add('tern-16i').add('barge-12', 6);
  test('disks and a warm card in a chassis without a fan; with its fans nothing is said', () => {
    expect(said(filled(still), 'cooled.drives')).toEqual([
      expect.stringMatching(
        /^caution: 6 × Barge 12 TB in Steading T9: about \d\d °C \(\d\d to \d\d\) on the hottest day, all busy; 60 °C allowed/,
      ),
    ]);
    expect(said(filled(still), 'cooled.card')).toEqual([
      'caution: Tern 16i gives off about 17 W, and no fan in Steading T9 moves air past it.',
    ]);
    expect([...find(filled(), 'cooled.drives'), ...find(filled(), 'cooled.card')]).toEqual([]);
  });
  test('what its maker allows is the limit: the same drives with less of it are past it, far past it they block', () => {
    const of = (maxC: number) => find(filled(tweak('barge-12', { maxC })), 'cooled.drives')[0]?.severity;
    expect([of(60), of(46), of(30)]).toEqual([undefined, 'caution', 'blocker']);
    // Flash slows itself down and blocks nothing.
    const flash = tweak('barge-12', { maxC: 30, medium: 'flash' });
    expect(find(filled(flash), 'cooled.drives')[0]?.severity).toBe('caution');
  });
  test('plain flash and a cool card want no fan', () => {
    const cool = tower('drover-4', 'fell-74', still).add('stilt-2').add('zander-960', 3);
    expect([...find(cool, 'cooled.drives'), ...find(cool, 'cooled.card')]).toEqual([]);
  });
  test('the cure is more air: fans in free mounts', () => {
    const titles = ways(filled(still), 'cooled.drives', still);
    expect(titles.length).toBeGreaterThan(0);
    expect(titles.some(({ title, cure }) => /^Fit .* at /.test(title) && cure)).toBe(true);
  });
});

describe('hot cards side by side', () => {
  const made = (slot: string, maxC: number) => {
    const from = tweak('tern-16i', { maxC, busyW: 14 }, tweak('tern-8i', { busyW: 20 }));
    const base = fixture(from).add('steading-t9').add('knot-x10').add('drover-4').add('tarn-155').add('clew-16e', 2);
    const board = base.unit('knot-x10');
    return base
      .add('ember-650')
      .add('tern-16i', 1, { at: [`${board}/pcie2`] })
      .add('tern-8i', 1, { at: [`${board}/${slot}`] });
  };
  const tempOf = (one: Fixture) => {
    const [heated] = hotCards(createAssessor().context(one.build), new Ledger(false)).filter(
      ({ card, by }) => card.part.id === 'tern-16i' && by.length > 0,
    );
    return heated;
  };
  test('the neighbour warms the air in the gap: by hand 2.985 · 0.25 · W over the flow through it', () => {
    const { tempC, aloneC } = tempOf(made('pcie3', 95))!;
    const context = createAssessor().context(made('pcie3', 95).build);
    const [box] = warmthOf(context);
    const { throughM3h } = box!.air.hot.flow;
    const chassis = box!.box!.part as { readonly widthMm: number; readonly heightMm: number };
    const mPerS = throughM3h / 3600 / ((0.39 * chassis.widthMm * chassis.heightMm) / 1e6);
    expect(tempC.value - aloneC).toBeCloseTo((2.985 * 0.25 * 20) / (Math.max(0.2, mPerS) * 0.0203 * 0.1 * 3600), 6);
    expect(tempOf(made('pcie4', 95))).toBeUndefined();
  });
  test('past its limit only by the card beside it: said with who and how much; a slot between, and nothing is', () => {
    const { tempC, aloneC } = tempOf(made('pcie3', 95))!;
    const limit = Math.round((tempC.value + aloneC) / 2);
    expect(limit).toBeGreaterThan(aloneC);
    expect(limit).toBeLessThan(tempC.value);
    expect(said(made('pcie3', limit), 'cooled.beside')).toEqual([
      `caution: Tern 8i right beside Tern 16i warms its air by about ${Math.round(tempC.value - aloneC)} K: about ` +
        `${Math.round(tempC.value)} °C on the hottest day, ${limit} °C allowed.`,
    ]);
    expect(find(made('pcie4', limit), 'cooled.beside')).toEqual([]);
    // Hot by itself, it is not the neighbour's fault.
    expect(find(made('pcie3', Math.floor(aloneC) - 1), 'cooled.beside')).toEqual([]);
  });
  test('the cure is another slot for one of them', () => {
    const { tempC, aloneC } = tempOf(made('pcie3', 95))!;
    const titles = ways(made('pcie3', Math.round((tempC.value + aloneC) / 2)), 'cooled.beside').map(
      ({ title }) => title,
    );
    expect(titles.some((title) => /^Move Tern (8i|16i) to /.test(title))).toBe(true);
  });
});

describe('the chip of a card', () => {
  const made = (maxC: number, fans = true) => {
    const from = tweak('tern-16i', { maxC, busyW: 17 });
    const kit = fixture(from).add('steading-t9').add('plover-a6').add('drover-4').add('tarn-155').add('clew-16e', 2);
    const all = kit.add('ember-650').add('tern-16i');
    return fans ? all.add('hush-120', 1, { at: [`${all.unit('steading-t9')}/rear`] }) : all;
  };
  const chip = (one: Fixture) => hotCards(createAssessor().context(one.build), new Ledger(false))[0]!;
  test('past its limit even at the low end is a caution, less than that is told with the temperatures', () => {
    const { lo, value } = rangedOf(chip(made(95)).tempC);
    expect(lo).toBeLessThan(value);
    expect(said(made(Math.floor(lo) - 1), 'cooled.chip')).toEqual([
      `caution: The chip of Tern 16i gets about ${Math.round(value)} °C on the hottest day in ` +
        `${chip(made(95)).box.part.name}, ${Math.round(lo)} °C at the least; ${Math.floor(lo) - 1} °C is allowed.`,
    ]);
    expect(find(made(Math.ceil(lo) + 1), 'cooled.chip')).toEqual([]);
  });
});
