import type { Wire } from '../build/layout';
import type { PartOf } from '../parts/resolve';
import { isLead, leadById, type Lead } from '../links/cableKinds';
import { ofKind, type PlannedUnit } from '../machine/units';

/** Leads of one kind a layout needs: how many are there already, and how many to buy. */
export type Need = {
  readonly lead: Lead;
  readonly count: number;
  readonly fromKit: number;
  readonly fromBoxes: number;
  readonly toBuy: number;
};

export type LeadNeeds = {
  readonly needs: readonly Need[];
  /** Cables of the kit that no wire uses. */ readonly spare: readonly PlannedUnit[];
};

/** Leads for the wires: first cables of the kit, then those in the boxes of its parts, then to buy. */
export function leadNeeds(
  units: readonly PlannedUnit[],
  wires: readonly Wire[],
  inBoxes: readonly PartOf<'cable'>[],
): LeadNeeds {
  const wanted = new Map<string, { lead: Lead; count: number }>();
  for (const wire of wires) {
    const lead = leadById(wire.lead);
    if (lead) wanted.set(lead.id, { lead, count: (wanted.get(lead.id)?.count ?? 0) + 1 });
  }
  const kit = ofKind(units, 'cable');
  const used = new Set<string>();
  const boxed = [...inBoxes];
  const needs = [...wanted.values()].map(({ lead, count }): Need => {
    const mine = kit.filter((unit) => !used.has(unit.id) && isLead(unit.part, lead)).slice(0, count);
    mine.forEach((unit) => used.add(unit.id));
    let fromBoxes = 0;
    for (let i = boxed.length - 1; i >= 0 && fromBoxes < count - mine.length; i--)
      if (isLead(boxed[i]!, lead)) {
        boxed.splice(i, 1);
        fromBoxes++;
      }
    return { lead, count, fromKit: mine.length, fromBoxes, toBuy: count - mine.length - fromBoxes };
  });
  return { needs, spare: kit.filter((unit) => !used.has(unit.id)) };
}
