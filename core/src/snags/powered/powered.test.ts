import { find, said, tower, firstRemedy, inTurn, rack, archetype } from '../../testing/rules';
import { catalogue, cube, fixture, tweak, type Fixture } from '../../testing/fixture';

describe('12 V at the start', () => {
  const rail = (rail12A: number) => cube(tweak('ember-450s', { rail12A })).add('tern-8i').add('barge-12', 8);
  test('past the rail it blocks, near it it may, well within it says nothing', () => {
    expect(said(rail(12), 'powered.start12V')[0]).toMatch(
      /^blocker: Starting 8 drives together takes 2\d\.\d A on 12 V; Ember 450 SFX gives 12 A\.$/,
    );
    expect(said(rail(21), 'powered.start12V')[0]).toMatch(/^caution: Starting 8 drives together may take/);
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

/** An ATX supply whose drive plugs are these many, on these many cables of 18 AWG. */
const chained = (sata: number, cables = 1, changes: Readonly<Record<string, unknown>> = {}) =>
  tweak('ember-650', {
    cables: [
      {
        key: 'main',
        count: 1,
        plugs: [
          { plug: '24-pin', count: 1 },
          { plug: '8-pin-cpu', count: 2 },
        ],
        lengthMm: 500,
        gaugeAwg: 18,
      },
      { key: 'sata', count: cables, plugs: [{ plug: 'sata-power', count: sata }], lengthMm: 500, gaugeAwg: 18 },
    ],
    ...changes,
  });

describe('what one plug carries', () => {
  // Five disks behind two plugs, 2.5 disks a plug: 2.4 A each at the start make 6 A, 1.6 A each 4 A.
  const cage = (a12: number, disks: number, from = catalogue, more = {}) =>
    tower(
      tweak(
        'barge-8',
        {
          ...more,
          spinUp: [{ atS: 0, forS: 9, a12, a5: 0.6, a33: 0 }],
          from: { spinUp: { basis: 'measured' } },
        },
        from,
      ),
    )
      .add('crib-5')
      .add('barge-8', disks);
  const seated = (made: Fixture, disks: number) =>
    made.edit(
      ...Array.from({ length: disks }, (_, i) => ({
        type: 'place.put' as const,
        unit: made.unit('barge-8', i + 1),
        spot: { host: made.unit('crib-5'), key: 'cage', n: i + 1 },
      })),
    );
  test('past it for certain it blocks, well within nothing is said', () => {
    expect(said(seated(cage(2.4, 5), 5), 'powered.plugLoad')).toEqual([
      expect.stringMatching(
        /^blocker: 3 drives of Crib 5 .* hang on one SATA power plug: starting together they take [56]\.\d A on 12 V; it carries 4\.5 A\.$/,
      ),
    ]);
    expect(find(seated(cage(1.6, 5), 5), 'powered.plugLoad')).toEqual([]);
    expect(find(seated(cage(2.4, 3), 3), 'powered.plugLoad')).toEqual([]);
  });
  test('where they start in waves only what they take at work is certain', () => {
    const willing = { staggersStart: 'yes' };
    const group = archetype('adapter-525').bayGroups[0] as { backplane: object };
    const bays = [{ ...group, backplane: { ...group.backplane, ...willing } }];
    const from = tweak('crib-5', { bayGroups: bays }, tweak('plover-a6', willing));
    const made = seated(cage(2.4, 5, from, willing), 5);
    const waves = made.edit({
      type: 'set.policy',
      value: { spinUp: { kind: 'waves', drives: 1, everyS: 10 }, fans: { kind: 'fixed', duty: 0.4 } },
    });
    expect(said(waves, 'powered.plugLoad')[0] ?? 'none').not.toMatch(/^blocker/);
  });
});

describe('what splitters carry', () => {
  test('four disks behind one plug by a splitter are past its rating; two are not', () => {
    expect(said(tower(chained(1)).add('yoke-4').add('barge-8', 4), 'powered.splitters')).toEqual([
      expect.stringMatching(
        /^blocker: At best one splitter feeds 4 drives: .* take 6\.\d A on 12 V; a splitter carries 4\.5 A\.$/,
      ),
    ]);
    expect(find(tower(chained(1)).add('yoke-4').add('barge-8', 2), 'powered.splitters')).toEqual([]);
  });
  test('two splitters that carry enough together do not help where one of them has to take two thirsty disks', () => {
    // Three disks of 2.4 A at their least: no way of dealing puts fewer than two on one splitter of 4.5 A.
    const thirsty = tweak(
      'barge-8',
      {
        spinUp: [{ atS: 0, forS: 8, a12: 3, a5: 0.6 }],
        from: { spinUp: { basis: 'stated', ref: 'page', date: '2026-01-01' } },
      },
      chained(2),
    );
    const from = tweak('yoke-2', { takes: 'sata-power' }, thirsty);
    expect(said(tower(from).add('yoke-2', 2).add('barge-8', 3), 'powered.splitters')).toEqual([
      expect.stringMatching(
        /^blocker: At best one splitter feeds 2 drives: .* take 6\.0 A on 12 V; a splitter carries 4\.5 A\.$/,
      ),
    ]);
  });
  test('flash behind the same splitter is no trouble', () => {
    expect(find(tower(chained(1)).add('yoke-4').add('zander-960', 4), 'powered.splitters')).toEqual([]);
  });
  test('with plugs enough of the supply nothing hangs on splitters', () => {
    expect(find(tower(chained(4)).add('yoke-4').add('barge-8', 4), 'powered.splitters')).toEqual([]);
  });
});

describe('what the cables carry', () => {
  const many = (cables: number) => tower(chained(8, cables)).add('crib-5', 2).add('barge-8', 12);
  test('twelve disks starting on one cable of 18 AWG are past its pin; on three they are not', () => {
    expect(said(many(1), 'powered.wires')).toEqual([
      expect.stringMatching(
        /^blocker: At best one cable of Ember 650 ATX feeds \d+ drives: .* take \d\d\.\d A on 12 V; a cable carries 8 A\.$/,
      ),
    ]);
    expect(find(many(4), 'powered.wires')).toEqual([]);
  });
  test('two cables that carry all together are no help where the disks cannot be dealt to both', () => {
    /** Seven bare disks of 1.9 A, on two cables of so many plugs. */
    const made = (first: number, second: number) => {
      const cable = (key: string, count: number) => ({
        key,
        count: 1,
        plugs: [{ plug: 'sata-power', count }],
        lengthMm: 500,
        gaugeAwg: 18,
      });
      const spinUp = [{ atS: 0, forS: 6, a12: 1.9, a5: 0.7, a33: 0 }];
      const { cables } = chained(1).sheets['ember-650'] as unknown as { cables: readonly object[] };
      return ['byre-15', 'plover-a6', 'drover-4', 'tarn-155', 'clew-16e', 'ember-650'].reduce(
        (machine, id) => machine.add(id),
        fixture(
          tweak(
            'ember-650',
            { cables: [...cables.slice(0, 1), cable('a', first), cable('b', second)] },
            tweak('barge-8', { spinUp }),
          ),
        ),
      );
    };
    // 13.3 A together, and 16 A on both cables: but six of the seven have plugs on one, 11.4 A.
    expect(said(made(6, 1).add('barge-8', 7), 'powered.wires')).toEqual([
      expect.stringMatching(
        /^blocker: At best one cable of Ember 650 ATX feeds 6 drives: .* take 11\.4 A on 12 V; a cable carries 8 A\.$/,
      ),
    ]);
    expect(find(made(4, 4).add('barge-8', 7), 'powered.wires')).toEqual([]);
    expect(find(made(4, 4).add('barge-8', 7), 'powered.manyOnACable')).toEqual([]);
    expect(said(made(6, 1).add('barge-8', 7), 'powered.manyOnACable')).toEqual([
      'note: 6 spinning disks hang on one cable of Ember 650 ATX; good practice is 4 at most.',
    ]);
  });
  test('volts lost on a long thin cable', () => {
    const long = (lengthMm: number, gaugeAwg: number) => {
      const { cables } = chained(4, 1).sheets['ember-650'] as unknown as { cables: readonly object[] };
      return tower(tweak('ember-650', { cables: cables.map((cable) => ({ ...cable, lengthMm, gaugeAwg })) })).add(
        'barge-8',
        4,
      );
    };
    expect(said(long(2000, 20), 'powered.drop')[0]).toMatch(
      /^caution: At work about \d\.\d % is lost on the way to the last plug of a cable of Ember 650 ATX; 3 % is good practice\.$/,
    );
    expect(said(long(1600, 18), 'powered.drop')[0]).toMatch(/^caution: While the drives start about 5\.\d % is lost/);
    expect(find(long(500, 18), 'powered.drop')).toEqual([]);
  });
  test('one disk more never makes less of it', () => {
    const RANK = { blocker: 2, caution: 1, note: 0 } as const;
    const worst = (made: Fixture, code: Parameters<typeof find>[1]) =>
      Math.max(-1, ...find(made, code).map(({ severity }) => RANK[severity]));
    for (const code of ['powered.wires', 'powered.splitters', 'powered.start12V', 'powered.rails'] as const) {
      let before = -1;
      for (let disks = 1; disks <= 8; disks++) {
        const now = worst(
          tower(chained(2, 1, { rail12A: 14, rail5A: 5 }))
            .add('yoke-4', 2)
            .add('barge-8', disks),
          code,
        );
        expect([code, disks, now >= before]).toEqual([code, disks, true]);
        before = now;
      }
    }
  });
});

describe('low rails', () => {
  const rails = (changes: Readonly<Record<string, unknown>>) => tower(chained(8, 2, changes)).add('barge-8', 8);
  test('5 V past what the supply gives, and both low rails together', () => {
    expect(said(rails({ rail5A: 4 }), 'powered.rails')[0]).toMatch(
      /^blocker: At the start the parts take \d+\.\d A on 5 V; Ember 650 ATX gives 4 A\.$/,
    );
    expect(said(rails({ rail5A: 40, combined5And33W: 20 }), 'powered.rails')[0]).toMatch(
      /^blocker: .* W on 5 V and 3\.3 V together; Ember 650 ATX gives 20 W\.$/,
    );
    expect(find(rails({ rail5A: 40, rail33A: 25, combined5And33W: 150 }), 'powered.rails')).toEqual([]);
  });
  test('of two rails the one that certainly does not hold is said, whichever comes first', () => {
    const five = rails({ rail5A: 5.5 });
    expect(said(five, 'powered.rails')[0]).toMatch(/^caution: .* on 5 V; /);
    expect(said(rails({ rail5A: 5.5, rail33A: 0.2 }), 'powered.rails')).toEqual([
      expect.stringMatching(/^blocker: .* on 3\.3 V; Ember 650 ATX gives 0\.2 A\.$/),
    ]);
  });
  test('an M.2 module lives on 3.3 V, and none of it is asked of 5 V', () => {
    const many = (rail33A: number) =>
      tower(chained(8, 2, { rail33A }))
        .add('stickle-1000')
        .add('barge-8', 1);
    expect(said(many(0.2), 'powered.rails')[0]).toMatch(/on 3\.3 V; /);
    expect(find(many(20), 'powered.rails')).toEqual([]);
  });
});

describe('a supply sheet with little on it', () => {
  test('a rail never gives more than the whole supply does at its volts', () => {
    // 180 W at 12 V are 15 A, whatever the class says of its rails: eight disks at 1.8 A are past them.
    const little = cube(tweak('ember-450s', { ratedW: 180 }))
      .add('tern-8i')
      .add('barge-12', 8);
    expect(said(little, 'powered.start12V')[0]).toMatch(/Ember 450 SFX gives 15 A\.$/);
    expect(
      find(
        cube(tweak('ember-450s', { ratedW: 450 }))
          .add('tern-8i')
          .add('barge-12', 8),
        'powered.start12V',
      ),
    ).toEqual([]);
  });
});

describe('watts from a slot', () => {
  const card = (peakW: number, height: 'full' | 'low' = 'low') =>
    tower(tweak('tern-8i', { peakW, height, brackets: ['full', 'low'] })).add('tern-8i');
  test('an x8 card may take 25 W, whatever the slot', () => {
    expect(said(card(40), 'powered.slot')).toEqual([
      expect.stringMatching(/^blocker: Tern 8i draws 40 W from .*; it may take 25 W there, and has no plug\.$/),
    ]);
    expect(find(card(18), 'powered.slot')).toEqual([]);
  });
  test('in one lane a low card is sure of 10 W, a high one of 25: between them it is a caution', () => {
    const inOneLane = (peakW: number, height: 'full' | 'low') =>
      fixture(tweak('tern-8i', { peakW, height, brackets: ['full', 'low'] }))
        .add('trug-4')
        .add('sprig-i6')
        .add('tern-8i');
    const severities = (...card: Parameters<typeof inOneLane>) =>
      find(inOneLane(...card), 'powered.slot').map(({ severity }) => severity);
    expect([severities(10, 'low'), severities(14, 'low'), severities(30, 'low')]).toEqual([
      [],
      ['caution'],
      ['blocker'],
    ]);
    expect([severities(25, 'full'), severities(30, 'full')]).toEqual([[], ['blocker']]);
  });
});

describe('a UPS', () => {
  const behind = (changes: Readonly<Record<string, unknown>>) =>
    tower(tweak('sump-700', changes)).add('barge-8', 4).add('sump-700');
  test('the peak past its W blocks, past its VA too; within both nothing is said', () => {
    expect(said(behind({ ratedW: 60, ratedVa: 700 }), 'powered.ups')).toEqual([
      expect.stringMatching(/^blocker: At its peak the machine takes \d+ W; Sump 700 gives 60 W\.$/),
    ]);
    expect(said(behind({ ratedW: 700, ratedVa: 60 }), 'powered.ups')[0]).toMatch(/VA; Sump 700 gives 60 VA\.$/);
    expect(find(behind({ ratedW: 900, ratedVa: 1500 }), 'powered.ups')).toEqual([]);
    expect(firstRemedy(behind({ ratedW: 60, ratedVa: 700 }), 'powered.ups')[0]).toMatch(/instead of Sump 700/);
  });
  test('what shares it counts, and less than a fifth left is a note', () => {
    const made = behind({ ratedW: 420, ratedVa: 1500 });
    const shared = (upsOtherW?: number) =>
      find(made.set({ site: { ...made.build.site, ...(upsOtherW ? { upsOtherW } : {}) } }), 'powered.ups');
    const at = shared().map(({ severity }) => severity);
    expect(at).toEqual([]);
    const peak = made.assess().figures['power.peakWallW']!;
    expect(shared(Math.ceil(420 * 0.85 - peak.value)).map(({ severity }) => severity)).not.toEqual([]);
    expect(shared(420).map(({ severity }) => severity)).toEqual(['blocker']);
    expect(said(made.set({ site: { ...made.build.site, upsOtherW: 420 } }), 'powered.ups')[0]).toMatch(
      /^blocker: At its peak the machine, with what shares its UPS, takes/,
    );
  });
  test('steps from its battery and a supply with active correction: a caution; a sine, or not said, nothing', () => {
    const of = (waveform?: string) => said(behind({ ratedW: 900, ratedVa: 1500, waveform }), 'powered.waveform');
    expect(of('stepped')).toEqual([
      expect.stringMatching(/^caution: Sump 700 gives steps from its battery; Ember 650 ATX corrects/),
    ]);
    expect([...of('sine'), ...of()]).toEqual([]);
    const passive = tweak('ember-650', { powerFactorFull: 0.7 }, tweak('sump-700', { waveform: 'stepped' }));
    expect(find(tower(passive).add('sump-700'), 'powered.waveform')).toEqual([]);
  });
  test('more plugs than outlets is a caution', () => {
    const twoPlugs = (outlets: number) =>
      fixture(tweak('sump-700', { outlets, ratedW: 2000, ratedVa: 2000 }))
        .add('gable-24')
        .add('brazier-800')
        .add('sump-700');
    expect(said(twoPlugs(1), 'powered.outlets')).toEqual(['caution: 2 mains plugs here, and Sump 700 has 1 outlet.']);
    expect(find(twoPlugs(2), 'powered.outlets')).toEqual([]);
  });
});

describe('drives in turn', () => {
  const waves = (made: Fixture) =>
    made.edit({
      type: 'set.policy',
      value: { spinUp: { kind: 'waves', drives: 2, everyS: 10 }, fans: { kind: 'fixed', duty: 0.4 } },
    });
  test('waves are set and the board does not say that it staggers; where all do, nothing is said', () => {
    const from = tweak('wren-c8', { staggersStart: 'unknown' }, inTurn());
    expect(said(waves(cube(from).add('barge-8', 4)), 'powered.inTurn')).toEqual([
      'caution: Waves are set; 4 of 4 drives count as starting at once: Wren C8 does not say that it starts drives in turn.',
    ]);
    expect(find(waves(cube(inTurn()).add('barge-8', 4)), 'powered.inTurn')).toEqual([]);
    expect(find(cube(from).add('barge-8', 4), 'powered.inTurn')).toEqual([]);
  });
  test('too much at the start is cured by waves where all can wait, before anything is bought', () => {
    const weak = (from = catalogue) =>
      cube(tweak('ember-450s', { rail12A: 12 }, from))
        .add('tern-8i')
        .add('barge-8', 8);
    expect(firstRemedy(weak(inTurn()), 'powered.start12V')[0]).toMatch(
      /^Start the drives (in waves of \d|one by one), 10 s apart$/,
    );
    expect(firstRemedy(weak(), 'powered.start12V').join()).not.toMatch(/waves/);
  });
});

describe('bricks', () => {
  const small = (from = catalogue) => fixture(from).add('husk-1').add('sprig-n4');
  test('volts outside what the board takes block where both are stated, and may where not', () => {
    const board = { dcMinV: 11.5, dcMaxV: 13 };
    expect(said(small(tweak('sprig-n4', board)).add('pellet-90'), 'powered.brick')).toEqual([
      'blocker: Pellet 90 gives 19 V; Sprig N4 takes at most 13 V.',
    ]);
    expect(said(small().add('pellet-5'), 'powered.brick')[0]).toMatch(
      /^caution: Pellet 15, 5 V gives 5\.1 V; .* at least 18 V/,
    );
    expect(find(small().add('pellet-90'), 'powered.brick')).toEqual([]);
  });
  test('another plug is a caution; spaces and the sign between the numbers are no difference', () => {
    const plug = (dcPlug: string) => small(tweak('pellet-90', { dcPlug })).add('pellet-90');
    expect(said(plug('4.5 x 3.0 mm'), 'powered.brick')[0]).toMatch(/^caution: Pellet 90 has a plug of 4\.5 x 3\.0 mm/);
    expect(find(plug('5.5x2.5mm'), 'powered.brick')).toEqual([]);
  });
});

describe('cards with plugs of their own', () => {
  const plugs = { powerInputs: [{ plug: '6-pin-card', count: 1 }], peakW: 40 };
  test('a controller with a plug takes no more from its slot than it may, and wants its plug', () => {
    const hungry = rack(tweak('tern-16i', { peakW: 40, from: { peakW: { basis: 'measured' } } })).add('tern-16i');
    expect(find(hungry, 'powered.slot')).toHaveLength(1);
    const fed = rack(tweak('tern-16i', plugs)).add('brazier-800').add('tern-16i');
    expect(find(fed, 'powered.slot')).toEqual([]);
    expect(said(fed, 'powered.plugs').join()).toMatch(/6-pin card plugs: 1 wanted/);
  });
  test('an expander fed by a plug wants one', () => {
    const none = {
      cables: [{ key: 'main', count: 1, plugs: [{ plug: '24-pin', count: 1 }], lengthMm: 500, gaugeAwg: 18 }],
    };
    const made = (poweredBy: string) =>
      rack(tweak('weir-24', { poweredBy }, tweak('brazier-800', none)))
        .add('brazier-800')
        .add('tern-8i')
        .add('weir-24');
    expect(said(made('plug'), 'powered.plugs').join()).toMatch(/4-pin peripheral plugs: 1 wanted/);
    expect(said(made('slot'), 'powered.plugs').join()).not.toMatch(/peripheral/);
  });
});

describe('redundant supplies', () => {
  const pair = (ratedW: number) =>
    rack(tweak('brazier-800', { ratedW, rail12A: ratedW / 12 }))
      .add('brazier-800')
      .add('tern-16i')
      .add('barge-8', 12);
  const most = (made: Fixture) => made.assess().figures['power.peakWallW']!.value;
  test('past one module it is no longer redundant, past both it shuts down; within one nothing is said', () => {
    const need = most(pair(800));
    expect(find(pair(Math.round(need * 1.2)), 'powered.oneGone')).toEqual([]);
    const half = pair(Math.round(need * 0.7));
    expect(said(half, 'powered.oneGone')[0]).toMatch(
      /take about \d+ W; with one of 2 modules gone Brazier 800 1\+1 gives \d+ W/,
    );
    expect(find(half, 'powered.total').map(({ severity }) => severity)).not.toContain('blocker');
    expect(find(pair(Math.round(need * 0.3)), 'powered.total').map(({ severity }) => severity)).toEqual(['blocker']);
  });
});

test('a supply of which only the watts are known is held against the start of the drives too', () => {
  const made = cube(tweak('ember-450s', { ratedW: 200, rail12A: undefined }))
    .add('tern-8i')
    .add('barge-8', 8);
  expect(said(made, 'powered.total')[0]).toMatch(
    /^blocker: While the drives start the parts draw \d+ W; Ember 450 SFX gives 200 W/,
  );
  expect(find(cube(tweak('ember-450s', { ratedW: 200 })).add('pike-960', 4), 'powered.total')).toEqual([]);
});
