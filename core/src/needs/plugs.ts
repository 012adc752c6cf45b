import type { Layout } from '../build/layout';
import { PLUG_KINDS, type PlugKind } from '../parts/vocabulary';
import { boxOf } from '../machine/hosts';
import { ofKind, type PlannedUnit, type UnitOf } from '../machine/units';
import { converterInputs, hubInputs, plugInputs, type PlugInput } from './plugInputs';

/** Plugs of one kind in a box, wanted and there. */
export type PlugLine = {
  readonly plug: PlugKind;
  readonly need: number;
  readonly have: number;
  readonly short: number;
  readonly wantedBy: readonly PlannedUnit[];
};

/**
 * Plugs wanted in a box against those on its supplies' cables and the power adapters of the kit.
 * An 8-pin processor plug parts in two and also serves a 4-pin input (ATX12V).
 */
export function plugBalance(
  units: readonly PlannedUnit[],
  layout: Layout,
  box: PlannedUnit | null,
  supplies: readonly UnitOf<'supply'>[],
): PlugLine[] {
  const seats = new Map(Object.entries(layout.at));
  const within = (unit: PlannedUnit) => boxOf(unit.id, seats, units) === box;
  const isFirst = !box || box === ofKind(units, 'chassis')[0];
  const inputs = [
    ...plugInputs(units, layout, within),
    ...converterInputs(supplies),
    ...(isFirst ? hubInputs(units, layout) : []),
  ];
  const supply = { cables: supplies.flatMap(({ part }) => part.cables) };
  const wanted = countByPlug(inputs);
  const have = new Map<PlugKind, number>();
  const add = (plug: PlugKind, count: number) => have.set(plug, (have.get(plug) ?? 0) + count);
  for (const cable of supply.cables) for (const { plug, count } of cable.plugs) add(plug, count * cable.count);
  for (const board of ofKind(units, 'board'))
    if (within(board)) for (const { plug, count } of board.part.powerOutputs ?? []) add(plug, count);
  const spare = (plug: PlugKind) => (have.get(plug) ?? 0) - (wanted.get(plug)?.count ?? 0);
  const four = wanted.get('4-pin-cpu')?.count ?? 0;
  if (spare('4-pin-cpu') < 0 && spare('8-pin-cpu') > 0) add('4-pin-cpu', Math.min(four, spare('8-pin-cpu') * 2));
  // A plug of 6 + 2 pins serves either input of a card.
  if (spare('6-pin-card') < 0 && spare('8-pin-card') > 0) {
    const moved = Math.min(-spare('6-pin-card'), spare('8-pin-card'));
    add('8-pin-card', -moved);
    add('6-pin-card', moved);
  }
  for (const { part } of ofKind(units, 'powerAdapter')) {
    const helps = part.gives.some(({ plug }) => spare(plug) < 0);
    const splits = part.gives.some(({ plug }) => plug === part.takes);
    if (!helps || (splits ? (have.get(part.takes) ?? 0) < 1 : spare(part.takes) < 1)) continue;
    add(part.takes, -1);
    for (const { plug, count } of part.gives) add(plug, count);
  }
  return PLUG_KINDS.flatMap((plug): PlugLine[] => {
    const want = wanted.get(plug);
    if (!want) return [];
    const there = have.get(plug) ?? 0;
    return [
      {
        plug,
        need: want.count,
        have: there,
        short: Math.max(0, want.count - there),
        wantedBy: want.by,
      },
    ];
  });
}

type Wanted = { readonly count: number; readonly by: readonly PlannedUnit[] };

function countByPlug(inputs: readonly PlugInput[]): ReadonlyMap<PlugKind, Wanted> {
  const wanted = new Map<PlugKind, Wanted>();
  for (const { plug, count, by } of inputs)
    wanted.set(plug, { count: (wanted.get(plug)?.count ?? 0) + count, by: [...(wanted.get(plug)?.by ?? []), by] });
  return wanted;
}
