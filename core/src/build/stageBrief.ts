import type { Build } from './build';

const known = new WeakMap<Build['brief'], Build['brief']>();

/**
 * What the brief wishes of the stage that is shown: at the last of several the room wished for later is what is wished.
 * The same brief gives the same object.
 */
export function briefAt({ brief, stage, stages }: Pick<Build, 'brief' | 'stage' | 'stages'>): Build['brief'] {
  const isLast = stages.length > 1 && stage >= stages.length - 1;
  if (!isLast || brief.usableLaterTb === undefined) return brief;
  let later = known.get(brief);
  if (!later) {
    const { usableLaterTb, ...now } = brief;
    known.set(brief, (later = { ...now, usableTb: usableLaterTb }));
  }
  return later;
}
