import { movesAsMuch, otherFans } from './otherFans';
import { isCard, isKind, ofKind, type PlannedUnit } from '../../machine/units';
import { hindrances } from '../../figures/power/stagger';
import { isConverter } from '../../figures/power/feeds';
import { takesV } from '../../snags/powered/mains';
import { isMainsWire } from '../../figures/power/upsShares';
import { runningUnits } from '../../machine/running';
import { plugCases } from '../../figures/power/plugPlan';
import { adaptersHold } from '../../figures/power/splitting';
import { isSplittable, plugsOn, wireA } from '../../needs/plugLoads';
import type { Catalogue } from '../../parts/catalogue';
import type { PartOf } from '../../parts/resolve';
import type { Proposal, Snag } from '../../snags/snag';
import { about, listed, moveToFreeBays, mountable, swaps, takeOut } from '../guesses';
import type { Base } from '../weigh';
import { moreSlots } from './noSlot';
import { supply, addPart, addSundry, moveCards, otherCards, type Propose, type Proposes } from './shared';

const WAVES = [8, 4, 2, 1];
const WAVE_EVERY_S = 10;

/** Drives started in turn, the fewest waves first, where every one of them can wait. */
const inWaves: Propose = ({ build, assessment }) => {
  const drives = ofKind(assessment.units, 'drive').filter(({ part }) => part.spinUp.length > 0).length;
  if (build.policy.spinUp.kind === 'waves' || hindrances(assessment).length > 0) return [];
  return WAVES.filter((size) => size < drives).map((size) => ({
    edits: [
      {
        type: 'set.policy',
        value: { ...build.policy, spinUp: { kind: 'waves', drives: size, everyS: WAVE_EVERY_S } },
      },
    ],
    words: `Start the drives ${size === 1 ? 'one by one' : `in waves of ${size}`}, ${WAVE_EVERY_S} s apart`,
  }));
};

const start12V: Propose = (base, snag, catalogue) => [
  ...inWaves(base, snag, catalogue),
  ...supply((_base, other, now) => other.rail12A > now.rail12A && mountable(base, other))(base, snag, catalogue),
];

/** A that the drive cables of a supply carry together. */
const cableA = (part: PartOf<'supply'>): number =>
  part.cables
    .filter((cable) => cable.plugs.some(({ plug }) => isSplittable(plug)))
    .reduce((sum, cable) => sum + cable.count * wireA(cable.gaugeAwg), 0);

/** Plugs that were put by hand, dealt as they carry best: those on cables of supplies, or those on the mains. */
const afresh =
  (isMains: boolean, words: string): Propose =>
  ({ build }) => {
    const own = build.layout.plugs.filter((plug) => isMainsWire(plug) === isMains);
    return own.length === 0
      ? []
      : [{ edits: own.map(({ device }) => ({ type: 'plug.release' as const, device: device[0] })), words }];
  };
const dealAfresh = afresh(false, 'Let all power plugs be dealt anew');
const dealMains = afresh(true, 'Let all mains plugs be dealt to the UPS anew');

const moreCables = supply((base, other, now) => cableA(other) > cableA(now) && mountable(base, other));

/** Drives in the bays of what a snag is about. */
const drivesFedBy = (base: Base, snag: Snag): PlannedUnit[] => {
  const hosts = new Set(about(base, snag).map(({ id }) => id as string));
  const { units, layout } = base.assessment;
  return ofKind(units, 'drive').filter((unit) => hosts.has(unit.id) || hosts.has(layout.at[unit.id]?.spot.host ?? ''));
};
const splittersOut = (base: Base): Proposal[] => takeOut(ofKind(base.assessment.units, 'powerAdapter'));

const otherUps = (
  base: Base,
  snag: Snag,
  catalogue: Catalogue,
  goes: (part: PartOf<'ups'>, now: PartOf<'ups'>) => boolean,
): Proposal[] =>
  about(base, snag).flatMap((unit) =>
    isKind(unit, 'ups') ? swaps(base, catalogue, unit, 'ups', (part) => goes(part, unit.part)) : [],
  );

/** Bricks that give what a converter takes, the smallest first. */
const bricksFor = (base: Base, snag: Snag, catalogue: Catalogue): Proposal[] =>
  about(base, snag)
    .flatMap((unit) => (isKind(unit, 'supply') && isConverter(unit) ? [takesV(unit.part)] : []))
    .slice(0, 1)
    .flatMap(([least, most]) =>
      listed(catalogue, 'supply')
        .filter(
          ({ form, outV }) => form === 'brick' && outV !== undefined && outV >= (least ?? 0) && outV <= (most ?? 60),
        )
        .filter((part) => plugsOn(part, 'dc-jack') > 0)
        .sort((a, b) => a.ratedW - b.ratedW)
        .slice(0, MOST_BRICKS)
        .map((part) => addPart(base, catalogue, part)),
    );
const MOST_BRICKS = 4;

const plugs: Propose<'powered.plugs'> = (base, snag, catalogue) => {
  const short = -(snag.gap?.gap ?? 0);
  const { units, layout } = base.assessment;
  const feeding = about(base, snag).find((unit) => isKind(unit, 'supply'));
  const cases = plugCases({ units, layout, running: runningUnits(units, layout), policy: base.build.policy });
  // Adapters of the kit lie with the first box.
  const [own] = cases;
  const isThere = own?.supplies.some(({ id }) => id === feeding?.id) ?? false;
  const holds = (part: PartOf<'powerAdapter'>, count: number) =>
    own !== undefined &&
    isThere &&
    adaptersHold(
      own,
      Array.from({ length: count }, () => part),
    );
  const splitters = listed(catalogue, 'powerAdapter').flatMap((part): Proposal[] => {
    const gives = part.gives.find(({ plug }) => plug === snag.facts.plug)?.count ?? 0;
    const gain = gives - (part.takes === snag.facts.plug ? 1 : 0);
    const count = Math.ceil(short / gain);
    return gain > 0 && holds(part, count) ? [addPart(base, catalogue, part, count)] : [];
  });
  const { plug } = snag.facts;
  return [
    ...(plug === 'dc-jack' ? bricksFor(base, snag, catalogue) : []),
    ...splitters,
    ...supply((_base, other, now) => plugsOn(other, plug) > plugsOn(now, plug) && mountable(base, other))(
      base,
      snag,
      catalogue,
    ),
  ];
};

/** Guesses for the snags of this family. */
export const POWERED = {
  'powered.plugs': plugs,
  'powered.total': supply((base, other, now) => other.ratedW > now.ratedW && mountable(base, other)),
  'powered.oneGone': supply(
    (base, other, now) => other.modules >= now.modules && other.ratedW > now.ratedW && mountable(base, other),
  ),
  'powered.start12V': start12V,
  'powered.inTurn': ({ build }) => [
    {
      edits: [{ type: 'set.policy', value: { ...build.policy, spinUp: { kind: 'together' } } }],
      words: 'Plan with all drives starting together',
    },
  ],
  'powered.plugLoad': (base, snag, catalogue) => [
    ...inWaves(base, snag, catalogue),
    ...moveToFreeBays(base, drivesFedBy(base, snag)),
  ],
  'powered.splitters': (base, snag, catalogue) => [
    ...supply(
      (_base, other, now) => plugsOn(other, 'sata-power') > plugsOn(now, 'sata-power') && mountable(base, other),
    )(base, snag, catalogue),
    ...splittersOut(base),
  ],
  'powered.wires': (base, snag, catalogue) => [
    ...dealAfresh(base, snag, catalogue),
    ...(snag.facts.start ? inWaves(base, snag, catalogue) : []),
    ...moreCables(base, snag, catalogue),
  ],
  'powered.drop': (base, snag, catalogue) => [
    ...dealAfresh(base, snag, catalogue),
    ...(snag.facts.start ? inWaves(base, snag, catalogue) : []),
    ...moreCables(base, snag, catalogue),
  ],
  'powered.manyOnACable': (base, snag, catalogue) => [
    ...dealAfresh(base, snag, catalogue),
    ...moreCables(base, snag, catalogue),
  ],
  'powered.unstarted': (base, snag) => takeOut(about(base, snag)),
  'powered.fans': addSundry('fanHub'),
  'powered.fanSteer': (base, snag, catalogue) =>
    otherFans(base, catalogue, about(base, snag), (part, now) => part.pwm && movesAsMuch(part, now)),
  'powered.slot': (base, snag, catalogue) => [
    ...moveCards(base, snag, catalogue),
    ...otherCards(base, snag, catalogue, (part, now) => isCard(part) && isCard(now) && part.peakW < now.peakW),
    ...moreSlots(base, catalogue),
    ...takeOut(about(base, snag)),
  ],
  'powered.brick': (base, snag, catalogue) => {
    const [taker] = about(base, snag)
      .flatMap((unit) => (isKind(unit, 'board') || isKind(unit, 'supply') ? [unit.part] : []))
      .filter((part) => part.kind === 'board' || part.form === 'dc-converter');
    const { dcMinV, dcMaxV, dcPlug } = taker ?? {};
    return supply(
      // Whether its watts are enough is weighed with everything else.
      (_base, other) =>
        other.outV !== undefined &&
        other.outV >= (dcMinV ?? 0) &&
        other.outV <= (dcMaxV ?? Infinity) &&
        (!dcPlug || other.dcPlug === undefined || other.dcPlug === dcPlug),
    )(base, snag, catalogue);
  },
  'powered.ups': (base, snag, catalogue) => [
    ...dealMains(base, snag, catalogue),
    ...otherUps(base, snag, catalogue, (part, now) => part.ratedW > now.ratedW || part.ratedVa > now.ratedVa),
  ],
  'powered.besideUps': dealMains,
  'powered.waveform': (base, snag, catalogue) =>
    otherUps(
      base,
      snag,
      catalogue,
      (part, now) => part.waveform === 'sine' && part.ratedW >= now.ratedW && part.ratedVa >= now.ratedVa,
    ),
  'powered.outlets': (base, snag, catalogue) =>
    otherUps(base, snag, catalogue, (part, now) => part.outlets > now.outlets),
  'powered.rails': supply(
    (base, other, now) =>
      other.rail5A >= now.rail5A &&
      other.rail33A >= now.rail33A &&
      other.combined5And33W >= now.combined5And33W &&
      other.rail5A + other.rail33A + other.combined5And33W > now.rail5A + now.rail33A + now.combined5And33W &&
      mountable(base, other),
  ),
} as const satisfies Proposes;
