import { boxOf, seatsOf } from '../../machine/hosts';
import { isKind, ofKind } from '../../machine/units';
import { plugInputs } from '../../needs/plugInputs';
import { adaptersHold } from '../../needs/splitters';
import type { PartOf } from '../../parts/resolve';
import type { Proposal } from '../../snags/snag';
import { about, listed, mountable } from '../guesses';
import { supply, addPart, type Propose, type Proposes } from './shared';

const start12V: Propose = (base, snag, catalogue) =>
  supply((_base, other, now) => other.rail12A > now.rail12A && mountable(base, other))(base, snag, catalogue);

const plugs: Propose<'powered.plugs'> = (base, snag, catalogue) => {
  const short = -(snag.gap?.gap ?? 0);
  const { units, layout } = base.assessment;
  const feeding = about(base, snag).find((unit) => isKind(unit, 'supply'));
  const box = feeding && boxOf(feeding.id, seatsOf(layout), units);
  const inputs = plugInputs(units, layout, (unit) => boxOf(unit.id, seatsOf(layout), units) === box);
  const have = ofKind(units, 'powerAdapter').map((unit) => unit.part);
  const holds = (part: PartOf<'powerAdapter'>, count: number) =>
    feeding &&
    isKind(feeding, 'supply') &&
    adaptersHold(inputs, feeding.part, [...have, ...Array.from({ length: count }, () => part)]);
  const splitters = listed(catalogue, 'powerAdapter').flatMap((part): Proposal[] => {
    const gives = part.gives.find(({ plug }) => plug === snag.facts.plug)?.count ?? 0;
    const gain = gives - (part.takes === snag.facts.plug ? 1 : 0);
    const count = Math.ceil(short / gain);
    return gain > 0 && holds(part, count) ? [addPart(base, catalogue, part, count)] : [];
  });
  const count = (part: PartOf<'supply'>) =>
    part.cables.reduce(
      (sum, cable) =>
        sum + cable.count * cable.plugs.reduce((all, one) => all + (one.plug === snag.facts.plug ? one.count : 0), 0),
      0,
    );
  return [
    ...splitters,
    ...supply((_base, other, now) => count(other) > count(now) && mountable(base, other))(base, snag, catalogue),
  ];
};

/** Guesses for the snags of this family. */
export const POWERED = {
  'powered.plugs': plugs,
  'powered.total': supply((base, other, now) => other.ratedW > now.ratedW && mountable(base, other)),
  'powered.start12V': start12V,
} as const satisfies Proposes;
