import { createAssessor } from '../assess';
import type { Catalogue } from '../parts/catalogue';
import { allRemedies } from '../remedies/remedies';
import { wordsOf, type SnagCode } from '../snags/words';
import { AS_OF, catalogue, fixture, tweak, type Fixture } from './fixture';

/** Snags of one rule. */
export const find = (made: Fixture, code: SnagCode) => made.assess().snags.filter((snag) => snag.code === code);

/** The same as a person reads them: severity and sentence. */
export const said = (made: Fixture, code: SnagCode) =>
  find(made, code).map((snag) => `${snag.severity}: ${wordsOf(snag).what}`);

/** A sound tower without drives; `tower550` has the smaller supply. */
export const tower550 = (from: Catalogue = catalogue) =>
  fixture(from).add('steading-t9').add('plover-a6').add('drover-4').add('tarn-155').add('clew-16e', 2).add('ember-550');

export const tower = (from: Catalogue = catalogue) =>
  fixture(from).add('steading-t9').add('plover-a6').add('drover-4').add('tarn-155').add('clew-16e', 2).add('ember-650');

export const rack = (from: Catalogue = catalogue) =>
  fixture(from).add('gable-24').add('gannet-e8').add('shire-16').add('crag-q8').add('clew-r32', 2);

export const sheet = (id: string) => catalogue.sheets[id] as unknown as Record<string, never>;

export const archetype = (id: string) =>
  catalogue.archetypes[id] as unknown as {
    slots: object[];
    m2Sockets: object[];
    bayGroups: object[];
    supplyBays: object[];
    openings: object[];
    clearances: object[];
  };

/** The bay groups of a class of chassis with something else about what is behind them, or about its connectors. */
export const bayGroupsWith = (id: string, backplane: object, connectors: object = {}): object[] =>
  (archetype(id).bayGroups as { readonly backplane: { readonly connectors: object[] } }[]).map((group) => ({
    ...group,
    backplane: {
      ...group.backplane,
      ...backplane,
      connectors: group.backplane.connectors.map((one) => ({ ...one, ...connectors })),
    },
  }));

export const fourSlots = () =>
  tweak('gannet-e8', {
    memorySlots: 4,
    memoryFillOrder: [1, 2, 3, 4],
    memoryMaxModuleBytes: 64 * 1024 ** 3,
    memoryMaxBytes: 256 * 1024 ** 3,
  });

function multiplied() {
  const group = archetype('adapter-525').bayGroups[0] as unknown as Record<string, unknown>;
  return [
    {
      ...group,
      backplane: {
        type: 'expander',
        carries: ['sata'],
        gbPerLane: 6,
        connectors: [
          {
            key: 'feed',
            count: 1,
            kind: 'sata',
            lanes: 1,
            carries: ['sata'],
            gbPerLane: 6,
            role: 'device',
            side: 'inside',
          },
        ],
        baysPerConnector: 5,
        powerInputs: [],
        cutsPin3: true,
        idleW: 1,
      },
    },
  ];
}

/** A catalogue in which disks, the cube's bays and its board all start drives in turn. */
export function inTurn(from: Catalogue = catalogue): Catalogue {
  const bays = archetype('cube-8').bayGroups.map((group) => {
    const { backplane } = group as { readonly backplane?: object | null };
    return { ...group, ...(backplane ? { backplane: { ...backplane, staggersStart: 'yes' } } : {}) };
  });
  const willing = { staggersStart: 'yes' };
  return tweak(
    'larder-8',
    { bayGroups: bays },
    tweak('barge-8', willing, tweak('wren-c8', willing, tweak('tern-8i', willing, from))),
  );
}

/** Four drives in a cage behind a multiplier. */
export function behindOnePort(more: (made: Fixture) => Fixture = (made) => made): Fixture {
  const made = more(tower(tweak('crib-5', { bayGroups: multiplied() })).add('crib-5'));
  const full = made.add('barge-8', 4);
  return full.edit(
    ...[1, 2, 3, 4].map((n) => ({
      type: 'place.hold' as const,
      unit: full.unit('barge-8', n),
      spot: { host: made.unit('crib-5'), key: 'cage', n },
    })),
  );
}

/** A rule with a build it speaks of, and its nearest neighbour it says nothing of. */
export type Pair = readonly [what: string, code: SnagCode, there: () => Fixture, sentence: RegExp, not: () => Fixture];

export const firstRemedy = (made: Fixture, code: SnagCode, from: Catalogue = catalogue) => {
  const assessment = made.assess();
  const snag = assessment.snags.find((one) => one.code === code)!;
  return allRemedies({ build: made.build, assessment }, snag, from, createAssessor(), AS_OF).map((one) => one.title);
};
