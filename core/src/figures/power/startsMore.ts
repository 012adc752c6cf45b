import { ofKind, type UnitOf } from '../../machine/units';
import type { FigureContext } from '../context';
import type { Rail } from './currents';
import { classesOn } from './fedClasses';
import type { Feed } from './feeds';
import { spinsUp } from './spinsUp';
import { waiting } from './stagger';
import type { StartCurve } from './startCurve';

/** How many more disks a feed starts, of which kind, and what ends then. */
export type StartsMore = { readonly more: number; readonly drive: string; readonly ends: Rail | 'W' | null };

/** Asked at most for so many more. */
const MOST = 60;
const RAILS = [
  ['12 V', 'a12', 'idle12A', 12],
  ['5 V', 'a5', 'idle5A', 5],
  ['3.3 V', 'a33', null, 3.3],
] as const;

/**
 * How many more of its commonest disk a feed starts under the policy, by likely values and its full limits:
 * those that can wait come in turns after the others. `ends` is null where even the most asked for start. Null where no
 * disk spins up or no supply is known.
 */
export function startsMore(context: FigureContext, feed: Feed, curve: StartCurve): StartsMore | null {
  const { limits, steps } = curve;
  const like = commonest(context, feed);
  if (!limits || !like) return null;
  const policy = context.policy.spinUp;
  const able = new Set(waiting(context));
  const waits = policy.kind === 'waves' && able.has(like.id);
  const turnOf = (n: number): number => (waits ? Math.floor((able.size + n) / policy.drives) * policy.everyS : 0);
  const { spinUp } = like.part;
  const extra = (second: number, count: number): Record<'a12' | 'a5' | 'a33', number> => {
    const all = { a12: 0, a5: 0, a33: 0 };
    for (let n = 0; n < count; n++) {
      const since = second - turnOf(n);
      const step = spinUp.find(({ atS, forS }) => since >= atS && since < atS + forS);
      for (const [, key, turning] of RAILS)
        all[key] += step ? step[key] : since > 0 && turning ? like.part[turning] : 0;
    }
    return all;
  };
  const at = (second: number) => steps.findLast(({ atS }) => atS <= second) ?? steps[0];
  const pastAt = (count: number): Rail | 'W' | null => {
    const own = Array.from({ length: count }, (_, n) => turnOf(n)).flatMap((turn) =>
      spinUp.flatMap(({ atS, forS }) => [turn + atS, turn + atS + forS]),
    );
    for (const second of new Set([...steps.map(({ atS }) => atS), ...own])) {
      const now = at(second);
      if (!now) continue;
      const more = extra(second, count);
      for (const [rail, key] of RAILS) {
        const limit = limits.a[rail];
        if (limit !== null && now.a[rail] + more[key] > limit) return rail;
      }
      const watts = RAILS.reduce((sum, [, key, , volts]) => sum + volts * more[key], 0);
      if (now.insideW + watts > limits.insideW) return 'W';
    }
    return null;
  };
  for (let count = 1; count <= MOST; count++) {
    const ends = pastAt(count);
    if (ends) return { more: count - 1, drive: like.part.name, ends };
  }
  return { more: MOST, drive: like.part.name, ends: null };
}

function commonest(context: FigureContext, feed: Feed): UnitOf<'drive'> | null {
  const classes = classesOn(context, feed).flatMap(({ units }) => {
    const disks = ofKind(units, 'drive').filter(({ part }) => spinsUp(part));
    return disks[0] ? [{ first: disks[0], count: disks.length }] : [];
  });
  return classes.sort((a, b) => b.count - a.count)[0]?.first ?? null;
}
