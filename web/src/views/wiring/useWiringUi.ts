import { useCallback, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import {
  parseSpot,
  printSpot,
  sittersBySpot,
  type Build,
  type CableRow,
  type ModuleRow,
  type OtherEnd,
  type OtherPort,
  type PlannedUnit,
  type Wiring,
} from '@inch-tower/core';
import { keyOf, keyOfModule } from './ribbonLayout';

/** The end of a cable that was picked up, with the places it may go to. */
type Picking =
  | { readonly end: 'port'; readonly ports: readonly OtherPort[] }
  | { readonly end: 'bay'; readonly ends: readonly OtherEnd[] };

export type WiringUi = {
  /** The cable that is chosen, by its first device end. */
  readonly chosen: CableRow | null;
  readonly choose: (row: CableRow | null) => void;
  /** Cables on the path of what is selected here or in another view, or pointed at; null where nothing is. */
  readonly lit: ReadonlySet<string> | null;
  readonly point: (keys: readonly string[] | null) => void;
  readonly chooseModule: (module: ModuleRow) => void;
  readonly picking: Picking | null;
  readonly setPicking: (picking: Picking | null) => void;
};

/**
 * Selection lives in the address (`sel`, as in every view of a machine; `cable` for one cable); pointing and picking up
 * are of the moment.
 */
export function useWiringUi(build: Build, units: readonly PlannedUnit[], wiring: Wiring | null): WiringUi {
  const [params, setParams] = useSearchParams();
  const [pointed, setPointed] = useState<readonly string[] | null>(null);
  const [picking, setPicking] = useState<Picking | null>(null);
  const rows = useMemo(() => wiring?.hosts.flatMap(({ cables }) => cables) ?? [], [wiring]);
  const modules = useMemo(
    () => wiring?.hosts.flatMap(({ unit, modules: here }) => here.map((module) => ({ module, host: unit }))) ?? [],
    [wiring],
  );
  const cable = params.get('cable');
  const sel = params.get('sel');
  const chosen = rows.find((row) => keyOf(row) === cable) ?? null;
  const selected = useMemo(() => {
    if (!sel) return null;
    const spot = parseSpot(sel);
    const unit = spot ? sittersBySpot(units, build.layout).get(printSpot(spot))?.id : sel;
    if (!unit) return null;
    return [
      ...rows.filter((row) => row.drives.includes(unit) || row.from.host === unit || row.to.host === unit).map(keyOf),
      ...modules
        .filter(({ module, host }) => module.unit === unit || host === unit)
        .map(({ module }) => keyOfModule(module)),
    ];
  }, [sel, units, build.layout, rows, modules]);
  const lit = useMemo(() => {
    const keys = pointed ?? (chosen ? [keyOf(chosen)] : selected);
    return keys && keys.length > 0 ? new Set(keys) : null;
  }, [pointed, chosen, selected]);
  const choose = useCallback(
    (row: CableRow | null) => {
      setPicking(null);
      setParams(
        (now) => {
          const next = new URLSearchParams(now);
          next.delete('plug');
          if (!row) {
            next.delete('cable');
            next.delete('sel');
            return next;
          }
          next.set('cable', keyOf(row));
          // The same thing is chosen in the other views: the first drive's place, or the card.
          const seat = build.layout.at[row.drives[0] ?? row.from.host];
          if (seat) next.set('sel', printSpot(seat.spot));
          return next;
        },
        { replace: true },
      );
    },
    [setParams, build.layout],
  );
  const chooseModule = useCallback(
    (module: ModuleRow) => {
      setPicking(null);
      setParams(
        (now) => {
          const next = new URLSearchParams(now);
          const at = printSpot(build.layout.at[module.unit]!.spot);
          const taken = next.get('sel') === at;
          next.delete('cable');
          if (taken) next.delete('sel');
          else next.set('sel', at);
          return next;
        },
        { replace: true },
      );
    },
    [setParams, build.layout],
  );
  return { chosen, choose, chooseModule, lit, point: setPointed, picking, setPicking };
}
