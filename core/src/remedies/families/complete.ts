import type { PartOf } from '../../parts/resolve';
import { about, adds, findsPlace, listed, takeOut } from '../guesses';
import { none, addAll, sundry, type Propose, type Proposes } from './shared';

const smallParts: Propose = (base, _snag, catalogue) => {
  const wanted = base.assessment.small
    .filter(({ toBuy }) => toBuy > 0)
    .flatMap((need) => {
      const part = sundry(catalogue, need.use);
      return part ? [{ part, count: Math.ceil(need.toBuy / part.packOf) }] : [];
    });
  return wanted.length
    ? [
        {
          edits: addAll(base, catalogue, wanted),
          words: wanted.length === 1 ? `Add ${wanted[0]!.part.name}` : `Put all ${wanted.length} on the list`,
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

/** Guesses for the snags of this family. */
export const COMPLETE = {
  'complete.smallParts': smallParts,
  'complete.uselessPorts': none,
  'complete.boot': smallDrives,
  'complete.idleCard': (base, snag) => takeOut(about(base, snag)),
  'complete.runsNothing': (base, snag) => takeOut(about(base, snag)),
} as const satisfies Proposes;
