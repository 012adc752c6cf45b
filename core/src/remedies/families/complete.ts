import { memberAt } from '../../lists';
import type { EditOf } from '../../build/edits';
import type { Wire } from '../../build/layout';
import type { PlannedUnit } from '../../machine/units';
import type { PartOf } from '../../parts/resolve';
import type { Proposal, Snag } from '../../snags/snag';
import { otherPorts } from '../../wiring/moveCable';
import { about, adds, findsPlace, listed, takeOut } from '../guesses';
import type { Base } from '../weigh';
import { none, addAll, sundry, type Propose, type Proposes } from './shared';

const smallParts: Propose = (base, _snag, catalogue) => {
  const wanted = base.assessment.small
    .filter(({ toBuy }) => toBuy > 0)
    .flatMap((need) => {
      // Which splitter carries what hangs on it is answered where plugs are short.
      const part = need.use === 'powerSplitter' ? undefined : sundry(catalogue, need.use);
      return part ? [{ part, count: Math.ceil(need.toBuy / part.packOf) }] : [];
    });
  return wanted.length
    ? [
        {
          edits: addAll(base, catalogue, wanted),
          words: wanted.length === 1 ? `Add ${memberAt(wanted, 0).part.name}` : `Put all ${wanted.length} on the list`,
        },
      ]
    : [];
};

/** Modules and sticks that find a socket here: of each kind, since one may switch a port off, the smallest. */
const smallDrives: Propose = (base, _snag, catalogue) => {
  const byKind = new Map<string, PartOf<'drive'>>();
  for (const part of listed(catalogue, 'drive')) {
    if ((part.size !== 'm2' && part.size !== 'usb') || part.capacityBytes > 5e11 || !findsPlace(base, part)) continue;
    const kind = `${part.size} ${part.interface}`;
    const known = byKind.get(kind);
    if (!known || part.capacityBytes < known.capacityBytes) byKind.set(kind, part);
  }
  return adds(base, catalogue, [...byKind.values()]);
};

/** Half the cables of the fullest card on the one that carries nothing. */
const dealtOver = (base: Base, snag: Snag): Proposal[] => {
  const { units, layout } = base.assessment;
  return about(base, snag).flatMap((idle): Proposal[] => {
    const moves = units
      .filter(({ id, part }) => part.kind === 'controller' && id !== idle.id)
      .map((card) => ({ card, wires: layout.wires.filter((wire) => wire.host.every(({ host }) => host === card.id)) }))
      .map(({ card, wires }) => ({ card, edits: halfOver(base, wires, idle) }))
      .sort((a, b) => b.edits.length - a.edits.length);
    const [best] = moves;
    return best && best.edits.length > 0
      ? [{ edits: best.edits, words: `Deal the drives over ${best.card.part.name} and ${idle.part.name}` }]
      : [];
  });
};

/** Each move takes a port of its own. */
function halfOver(base: Base, wires: readonly Wire[], idle: PlannedUnit): EditOf<'cable.put'>[] {
  const { units, layout } = base.assessment;
  const taken = new Set<string>();
  return wires.slice(Math.ceil(wires.length / 2)).flatMap((wire) => {
    const port = otherPorts(units, layout, wire).find(
      ({ host, takenBy, name }) => host === idle.id && !takenBy && !taken.has(name),
    );
    if (!port) return [];
    taken.add(port.name);
    return [port.edit];
  });
}

/** Guesses for the snags of this family. */
export const COMPLETE = {
  'complete.smallParts': smallParts,
  'complete.uselessPorts': none,
  'complete.boot': smallDrives,
  'complete.idleCard': (base, snag) => [...dealtOver(base, snag), ...takeOut(about(base, snag))],
  'complete.runsNothing': (base, snag) => takeOut(about(base, snag)),
} as const satisfies Proposes;
