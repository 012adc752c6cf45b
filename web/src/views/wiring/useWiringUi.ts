import { useCallback, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { parseSpot, printSpot, sittersBySpot, type LeadRow, type OtherPort, type PlannedUnit, type Wiring } from '@inch-tower/core';
import type { Build } from '@inch-tower/core';

export const keyOf = (row: LeadRow): string => printSpot(row.wire.device[0]!);

export type WiringUi = {
  /** The lead that is chosen, by its first device end. */
  readonly chosen: LeadRow | null;
  readonly choose: (row: LeadRow | null) => void;
  /** Leads on the path of what is selected here or in another view, or pointed at; null where nothing is. */
  readonly lit: ReadonlySet<string> | null;
  readonly point: (keys: readonly string[] | null) => void;
  readonly picking: readonly OtherPort[] | null;
  readonly setPicking: (ports: readonly OtherPort[] | null) => void;
};

/** Selection lives in the address (`sel`, as in every view of a machine; `lead` for one lead); pointing and picking up are of the moment. */
export function useWiringUi(build: Build, units: readonly PlannedUnit[], wiring: Wiring | null): WiringUi {
  const [params, setParams] = useSearchParams();
  const [pointed, setPointed] = useState<readonly string[] | null>(null);
  const [picking, setPicking] = useState<readonly OtherPort[] | null>(null);
  const rows = useMemo(() => wiring?.hosts.flatMap(({ leads }) => leads) ?? [], [wiring]);
  const lead = params.get('lead');
  const sel = params.get('sel');
  const chosen = rows.find((row) => keyOf(row) === lead) ?? null;
  const selected = useMemo(() => {
    if (!sel) return null;
    const spot = parseSpot(sel);
    const unit = spot ? sittersBySpot(units, build.layout).get(printSpot(spot))?.id : sel;
    return unit ? rows.filter((row) => row.drives.includes(unit) || row.from.host === unit || row.to.host === unit).map(keyOf) : null;
  }, [sel, units, build.layout, rows]);
  const lit = useMemo(() => {
    const keys = pointed ?? (chosen ? [keyOf(chosen)] : selected);
    return keys && keys.length > 0 ? new Set(keys) : null;
  }, [pointed, chosen, selected]);
  const choose = useCallback((row: LeadRow | null) => {
    setPicking(null);
    setParams((now) => {
      const next = new URLSearchParams(now);
      if (!row) { next.delete('lead'); next.delete('sel'); return next; }
      next.set('lead', keyOf(row));
      // The same thing is chosen in the other views: the first drive's place, or the card.
      const seat = build.layout.at[row.drives[0] ?? row.from.host];
      if (seat) next.set('sel', printSpot(seat.spot));
      return next;
    }, { replace: true });
  }, [setParams, build.layout]);
  return { chosen, choose, lit, point: setPointed, picking, setPicking };
}
