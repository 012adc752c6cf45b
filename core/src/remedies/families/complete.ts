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

/** Guesses for the snags of this family. */
export const COMPLETE = {
  'complete.smallParts': smallParts,
  'complete.uselessPorts': none,
} as const satisfies Proposes;
