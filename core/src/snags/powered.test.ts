import { find, said, tower, firstRemedy } from '../testing/rules';
import { cube, tweak } from '../testing/fixture';

describe('12 V at the start', () => {
  const rail = (rail12A: number) => cube(tweak('ember-450s', { rail12A })).add('tern-8i').add('barge-12', 8);
  test('past the rail it blocks, near it it may, well within it says nothing', () => {
    expect(said(rail(14), 'powered.start12V')[0]).toMatch(
      /^blocker: Starting 8 drives together takes 1\d\.\d A on 12 V; Ember 450 SFX gives 14 A\.$/,
    );
    expect(said(rail(18), 'powered.start12V')[0]).toMatch(/^caution: Starting 8 drives together may take/);
    expect(find(rail(37.5), 'powered.start12V')).toEqual([]);
  });
});

describe('plugs', () => {
  const cables = (sata: number, peripheral: number) =>
    tweak('ember-650', {
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
        ...(sata
          ? [{ key: 'sata', count: 1, plugs: [{ plug: 'sata-power', count: sata }], lengthMm: 500, gaugeAwg: 18 }]
          : []),
        ...(peripheral
          ? [
              {
                key: 'chain',
                count: 1,
                plugs: [{ plug: 'peripheral', count: peripheral }],
                lengthMm: 500,
                gaugeAwg: 18,
              },
            ]
          : []),
      ],
    });
  test('four bare drives, three plugs: one splitter; four plugs: none', () => {
    expect(said(tower(cables(3, 1)).add('barge-8', 4), 'powered.plugs')).toEqual([
      'caution: SATA power plugs: 4 wanted, Ember 650 ATX has 3. Splitters are needed.',
    ]);
    expect(find(tower(cables(4, 1)).add('barge-8', 4), 'powered.plugs')).toEqual([]);
    expect(find(tower(cables(3, 1)).add('barge-8', 4).add('yoke-2'), 'powered.plugs')).toEqual([]);
    expect(firstRemedy(tower(cables(3, 1)).add('barge-8', 4), 'powered.plugs', cables(3, 1))).toContainEqual(
      expect.stringMatching(/^Add Yoke/),
    );
  });
  test('a splitter needs a plug to hang on', () => {
    expect(find(tower(cables(3, 0)).add('barge-8', 4).add('yoke-2'), 'powered.plugs')).toHaveLength(1);
    expect(find(tower(cables(3, 0)).add('barge-8', 4).add('yoke-4'), 'powered.plugs')).toEqual([]);
  });
  test('a card without its plug blocks', () => {
    expect(said(tower(cables(4, 1)).add('beacon-120'), 'powered.plugs')).toEqual([
      'blocker: 8-pin card plugs: 1 wanted, Ember 650 ATX has 0.',
    ]);
    expect(find(tower().add('beacon-120'), 'powered.plugs')).toEqual([]);
  });
  test('a backplane is fed once, however many drives it holds', () => {
    expect(find(cube().add('barge-8', 8).add('tern-8i'), 'powered.plugs')).toEqual([]);
  });
});

test('a supply smaller than everything at its most', () => {
  const loaded = (ratedW: number) =>
    tower(tweak('ember-650', { ratedW, rail12A: 60 }))
      .add('beacon-300')
      .add('barge-8', 4);
  expect(find(loaded(650), 'powered.total')).toEqual([]);
  const [snag] = find(loaded(300), 'powered.total');
  expect(snag).toMatchObject({ severity: 'blocker', gap: { limit: 300, unit: 'W' } });
  // By hand, at the outputs: 250 + 58 / 0.88 + 26 + 2 × 3.5 + 4 × 6.5 and two fans: a little under 380 W.
  expect(snag!.gap!.have).toBeGreaterThan(370);
  expect(snag!.gap!.have).toBeLessThan(385);
  expect(firstRemedy(loaded(300), 'powered.total')[0]).toMatch(/instead of Ember 650/);
});
