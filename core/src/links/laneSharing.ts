import type { PartOf } from '../parts/resolve';
import type { Protocol } from '../parts/vocabulary';

/** What uses a socket, slot or connector of a board, and as what. */
export type Uses = ReadonlyMap<string, { readonly as: Protocol; readonly by: string }>;

/** What a board's mode and rules leave of a place: its lanes, and the unit that took the others. */
export type Left = { readonly lanes: number; readonly by: string | null };

/**
 * The lanes of every place of a board under one of its modes while some of its sockets are used.
 * `full` is the sheet's own number. A mode sets lanes by key; a rule narrows them while its socket
 * is used as the named protocol, and the narrowest of several holds.
 */
export function lanesLeft(
  board: PartOf<'board'>,
  uses: Uses,
  mode: string | undefined,
): (key: string, n: number, full: number) => Left {
  const set = modeOf(board, mode)?.lanes ?? {};
  const active = board.rules.flatMap((rule) => {
    const use = uses.get(rule.when.key);
    return use && (rule.when.as === 'any' || rule.when.as === use.as)
      ? rule.then.map((then) => ({ ...then, by: use.by }))
      : [];
  });
  return (key, n, full) => {
    let left: Left = { lanes: Math.min(full, set[key] ?? full), by: null };
    for (const then of active)
      if (then.key === key && (!then.ns || then.ns.includes(n)) && then.lanes < left.lanes)
        left = { lanes: then.lanes, by: then.by };
    return left;
  };
}

/** The mode a board runs in: the one named, else the first of its sheet; undefined for a board without modes. */
const modeOf = (board: PartOf<'board'>, mode: string | undefined) =>
  board.modes.find((one) => one.key === mode) ?? board.modes[0];
