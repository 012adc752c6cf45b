import { AT_START, type End } from '../../needs/plugLoads';
import type { PartOf } from '../../parts/resolve';
import type { PlugKind } from '../../parts/vocabulary';
import { canSplitAnyhow } from '../../plugs/splitAnyhow';
import { worstCable, worstSplitter } from './overloads';
import { placeCase, questionOf, splitterOf, type Dealt, type PlugCase } from './plugPlan';

/**
 * How splitters of any make could give the drive plugs that are short: `safely` where all they feed keeps within plugs
 * and wires at the high end of what it takes, `barely` where it may, `never` where it is past them for certain.
 */
export function splittingOf(one: PlugCase): 'safely' | 'barely' | 'never' {
  const goes = (end: End) => {
    const { wants, bins } = questionOf(one, end, [], end === 'lo' ? AT_START : 1);
    return canSplitAnyhow(wants, bins);
  };
  const least = goes('lo');
  return least === false ? 'never' : least && goes('hi') ? 'safely' : 'barely';
}

/** Whether so many more adapters feed all that wants their plugs, within limits at the high end of what that takes. */
export function adaptersHold(one: PlugCase, more: readonly PartOf<'powerAdapter'>[]): boolean {
  const all = [...one.splitters.map(({ part }) => part), ...more];
  const dealt = placeCase(
    one,
    'hi',
    [],
    all.map((part) => splitterOf(part, 'hi')),
    1,
  );
  return holdsSplit(one, dealt, [...new Set(more.flatMap(({ gives }) => gives.map(({ plug }) => plug)))]);
}

/** Whether all that wants such plugs has one, and no splitter nor a cable with one in it is past what it carries. */
function holdsSplit(one: PlugCase, dealt: Dealt, plugs: readonly PlugKind[]): boolean {
  const { wants, placed } = dealt;
  if (wants.some(({ plug }, w) => plugs.includes(plug) && !placed.on[w])) return false;
  const split = new Set(placed.splitters);
  return worstSplitter(one, dealt) === null && worstCable(one, dealt, (chain) => split.has(chain)) === null;
}
