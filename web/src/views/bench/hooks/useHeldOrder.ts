import { useMemo, useRef, useState } from 'react';

/**
 * Rows in the order they were last seen in, with what came since behind them and what went left out: nothing changes
 * places under a hand.
 */
export function heldOrder<R extends { readonly sheet: string }>(seen: readonly string[], sorted: readonly R[]): R[] {
  const place = new Map(seen.map((sheet, i) => [sheet, i]));
  const placeOf = ({ sheet }: R) => place.get(sheet) ?? Infinity;
  return [...sorted].sort((a, b) => {
    const [one, other] = [placeOf(a), placeOf(b)];
    return one === other ? 0 : one - other;
  });
}

/**
 * Keeps rows where they are while a pointer moves over them or one of them has the focus. They are sorted again once
 * both have left, and whenever `asked` changes, for then another order was asked for.
 */
export function useHeldOrder<R extends { readonly sheet: string }>(sorted: readonly R[], asked: string) {
  const [held, setHeld] = useState<{ readonly asked: string; readonly seen: readonly string[] } | null>(null);
  const hands = useRef({ pointer: false, focus: false });
  const rows = useMemo(() => (held?.asked === asked ? heldOrder(held.seen, sorted) : sorted), [held, asked, sorted]);
  const last = rows.at(-1);
  // What came since has been seen now: it keeps its place too.
  if (held?.asked === asked && last && !held.seen.includes(last.sheet))
    setHeld({ asked, seen: rows.map(({ sheet }) => sheet) });
  const touch = (hand: 'pointer' | 'focus', isOn: boolean) => {
    if (hands.current[hand] === isOn && (held?.asked === asked || !isOn)) return;
    hands.current[hand] = isOn;
    if (!hands.current.pointer && !hands.current.focus) setHeld(null);
    else if (held?.asked !== asked) setHeld({ asked, seen: rows.map(({ sheet }) => sheet) });
  };
  return {
    rows,
    isHeld: held?.asked === asked && rows.some((row, i) => row !== sorted[i]),
    release: () => setHeld(null),
    hands: {
      onMouseMove: () => touch('pointer', true),
      onMouseLeave: () => touch('pointer', false),
      onFocus: () => touch('focus', true),
      onBlur: (event: { relatedTarget: EventTarget | null; currentTarget: Element }) => {
        if (!event.currentTarget.contains(event.relatedTarget as Node | null)) touch('focus', false);
      },
    },
  };
}
