import { memberAt } from '../lists';
import type { Wire } from '../build/layout';
import type { PartOf } from '../parts/resolve';
import { isOfKind, cableKindById, type CableKind } from '../links/cableKinds';
import { plugOf } from '../links/halfPlugs';
import { ofKind, type PlannedUnit } from '../machine/units';

/** Cables of one kind a layout needs: how many are there already, and how many to buy. */
export type Need = {
  readonly cable: CableKind;
  readonly count: number;
  readonly fromKit: number;
  readonly fromBoxes: number;
  readonly toBuy: number;
};

export type CableNeeds = {
  readonly needs: readonly Need[];
  /** Cables of the kit that no wire uses. */ readonly spare: readonly PlannedUnit[];
};

/** Cables for the wires: first cables of the kit, then those in the boxes of its parts, then to buy. */
export function cableNeeds(
  units: readonly PlannedUnit[],
  wires: readonly Wire[],
  inBoxes: readonly PartOf<'cable'>[],
): CableNeeds {
  const plugs = new Map<CableKind, Set<string>>();
  for (const [i, wire] of wires.entries()) {
    const cable = cableKindById(wire.cable);
    if (!cable) continue;
    const seen = plugs.get(cable) ?? new Set<string>();
    plugs.set(cable, seen.add(cable.pairedAt ? plugOf(wire[cable.pairedAt][0]) : String(i)));
  }
  const wanted = [...plugs].map(([cable, seen]) => ({ cable, count: seen.size }));
  const kit = ofKind(units, 'cable');
  const used = new Set<string>();
  const boxed = [...inBoxes];
  const needs = wanted.map(({ cable, count }): Need => {
    const mine = kit.filter((unit) => !used.has(unit.id) && isOfKind(unit.part, cable)).slice(0, count);
    mine.forEach((unit) => used.add(unit.id));
    let fromBoxes = 0;
    for (let i = boxed.length - 1; i >= 0 && fromBoxes < count - mine.length; i--)
      if (isOfKind(memberAt(boxed, i), cable)) {
        boxed.splice(i, 1);
        fromBoxes++;
      }
    return { cable, count, fromKit: mine.length, fromBoxes, toBuy: count - mine.length - fromBoxes };
  });
  return { needs, spare: kit.filter((unit) => !used.has(unit.id)) };
}
