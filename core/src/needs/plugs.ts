import type { Layout } from '../build/layout';
import type { PartOf } from '../parts/resolve';
import { PLUG_KINDS, type PlugKind } from '../parts/vocabulary';
import { boxOf } from '../machine/hosts';
import { groupAt } from '../machine/spotAt';
import { ofKind, seatSpot, unitsById, type PlannedUnit } from '../machine/units';
import { canBeSplit, isSplittable } from './splitters';

/** Plugs of one kind in a box: wanted, there, and whether splitters could cure a shortage without harm. */
export type PlugLine = {
  readonly plug: PlugKind;
  readonly need: number;
  readonly have: number;
  readonly short: number;
  readonly splittable: boolean;
  readonly wantedBy: readonly PlannedUnit[];
};

/**
 * Plugs wanted in a box against those on its supply's cables and the power adapters of the kit.
 * An 8-pin processor plug parts in two and also serves a 4-pin input (ATX12V).
 */
export function plugBalance(
  units: readonly PlannedUnit[],
  layout: Layout,
  box: PlannedUnit | null,
  supply: PlannedUnit & { readonly part: PartOf<'supply'> },
): PlugLine[] {
  const seats = new Map(Object.entries(layout.at));
  const within = (unit: PlannedUnit) => boxOf(unit.id, seats, units) === box;
  const inputs = plugInputs(units, layout, within);
  const wanted = countByPlug(inputs);
  const have = new Map<PlugKind, number>();
  const add = (plug: PlugKind, count: number) => have.set(plug, (have.get(plug) ?? 0) + count);
  for (const cable of supply.part.cables) for (const { plug, count } of cable.plugs) add(plug, count * cable.count);
  for (const board of ofKind(units, 'board'))
    if (within(board)) for (const { plug, count } of board.part.powerOutputs ?? []) add(plug, count);
  const spare = (plug: PlugKind) => (have.get(plug) ?? 0) - (wanted.get(plug)?.count ?? 0);
  const four = wanted.get('4-pin-cpu')?.count ?? 0;
  if (spare('4-pin-cpu') < 0 && spare('8-pin-cpu') > 0) add('4-pin-cpu', Math.min(four, spare('8-pin-cpu') * 2));
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
        splittable: isSplittable(plug) && canBeSplit(inputs, supply.part, plug),
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

type Drive = PlannedUnit & { readonly part: PartOf<'drive'> };
/**
 * Like inputs of one part that want a plug each. All inputs of a `group` share what is fed through it: drives, and the
 * processors or the
 * card (`feeds`) that draw there at their peak.
 */
export type PlugInput = {
  readonly plug: PlugKind;
  readonly count: number;
  readonly by: PlannedUnit;
  readonly group: string;
  readonly drives: readonly Drive[];
  readonly feeds: readonly PlannedUnit[];
};

const CPU_PLUGS: ReadonlySet<PlugKind> = new Set(['8-pin-cpu', '4-pin-cpu']);

/** Everything in a box that wants a plug: boards, cards, bare drives, and backplanes once for all of their bays. */
export function plugInputs(
  units: readonly PlannedUnit[],
  layout: Layout,
  within: (unit: PlannedUnit) => boolean,
): readonly PlugInput[] {
  const processors = ofKind(units, 'processor');
  const ofBoards = ofKind(units, 'board')
    .filter(within)
    .flatMap((by) =>
      by.part.powerInputs.map(({ plug, count }): PlugInput => {
        const isCpu = CPU_PLUGS.has(plug);
        return {
          plug,
          count,
          by,
          group: `${by.id}/${isCpu ? 'cpu' : plug}`,
          drives: [],
          feeds: isCpu ? processors.filter((unit) => seatSpot(layout, unit)?.host === by.id) : [],
        };
      }),
    );
  const ofCards = ofKind(units, 'accelerator')
    .filter(within)
    .flatMap((by) =>
      by.part.powerInputs.map(({ plug, count }): PlugInput => ({
        plug,
        count,
        by,
        group: by.id,
        drives: [],
        feeds: [by],
      })),
    );
  return [...ofBoards, ...ofCards, ...driveInputs(units, layout, within)];
}

/** A backplane is fed once for all of its bays; a bare drive takes a plug of its own. */
function driveInputs(
  units: readonly PlannedUnit[],
  layout: Layout,
  within: (unit: PlannedUnit) => boolean,
): readonly PlugInput[] {
  const byId = unitsById(units);
  const backplanes = new Map<
    string,
    {
      readonly host: PlannedUnit;
      readonly inputs: readonly { readonly plug: PlugKind; readonly count: number }[];
      readonly drives: Drive[];
    }
  >();
  const bare: PlugInput[] = [];
  for (const unit of ofKind(units, 'drive').filter(within)) {
    const spot = seatSpot(layout, unit);
    const group = spot && groupAt(byId, spot);
    if (!spot || group?.type !== 'bay') continue;
    const { backplane } = group.group;
    if (!backplane) {
      bare.push({ plug: 'sata-power', count: 1, by: unit, group: unit.id, drives: [unit], feeds: [] });
      continue;
    }
    const name = `${spot.host}/${group.key}`;
    const host = byId.get(spot.host);
    const known = backplanes.get(name);
    if (known) known.drives.push(unit);
    else if (host) backplanes.set(name, { host, inputs: backplane.powerInputs, drives: [unit] });
  }
  return [
    ...bare,
    ...[...backplanes].flatMap(([group, { host, inputs, drives }]) =>
      inputs.map(({ plug, count }): PlugInput => ({ plug, count, by: host, group, drives, feeds: [] })),
    ),
  ];
}
