import type { Layout, SpotRef } from '../build/layout';
import type { PlugKind } from '../parts/vocabulary';
import { groupedBy } from '../lists';
import { groupAt } from '../machine/spotAt';
import { fanPlans } from './fanHeaders';
import { ASIDE } from '../machine/spots';
import { isCard, isKind, ofKind, seatSpot, unitsById, type PlannedUnit, type UnitOf } from '../machine/units';

type Drive = UnitOf<'drive'>;
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

/** A converter hangs on the plug of its brick. */
export const converterInputs = (supplies: readonly UnitOf<'supply'>[]): readonly PlugInput[] =>
  supplies.flatMap((by): PlugInput[] =>
    by.part.form === 'dc-converter'
      ? [{ plug: 'dc-jack', count: 1, by, group: `${by.id}/dc-jack`, drives: [], feeds: [] }]
      : [],
  );

/** A hub for fans hangs on a plug of its own with all fans that are on it; hubs of one entry are inputs alike. */
export function hubInputs(units: readonly PlannedUnit[], layout: Layout): readonly PlugInput[] {
  if (!ofKind(units, 'sundry').some(({ part }) => part.use === 'fanHub')) return [];
  const outlets = fanPlans(units, layout).flatMap((plan) => plan.outlets);
  const hubs = groupedBy(
    outlets.filter(({ of }) => of.part.kind === 'sundry'),
    ({ of }) => of.id,
  );
  return [...hubs.values()].flatMap((alike): PlugInput[] => {
    const { of: by } = alike[0];
    if (!isKind(by, 'sundry')) return [];
    const plug = by.part.plug ?? 'sata-power';
    const feeds = alike.flatMap(({ fans }) => fans);
    return [{ plug, count: alike.length, by, group: `${by.id}/${plug}`, drives: [], feeds }];
  });
}

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
        const feeds = isCpu ? processors.filter((unit) => seatSpot(layout, unit)?.host === by.id) : [];
        return {
          plug,
          count: plug === '8-pin-cpu' ? Math.min(count, cpuPlugs(feeds)) : count,
          by,
          group: `${by.id}/${isCpu ? 'cpu' : plug}`,
          drives: [],
          feeds,
        };
      }),
    );
  const ofCards = units
    .filter((unit) => isCard(unit.part) && within(unit))
    .flatMap((by) =>
      cardPlugs(by, seatSpot(layout, by)).map(({ plug, count }): PlugInput => ({
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

/** One 8-pin plug carries 336 W (ATX12V); past this peak of a processor a second one is wanted. */
const ONE_PLUG_W = 200;
const cpuPlugs = (processors: readonly UnitOf<'processor'>[]): number =>
  Math.max(
    1,
    processors.reduce((sum, { part }) => sum + (part.peakW > ONE_PLUG_W ? 2 : 1), 0),
  );

/**
 * Plugs of a card itself; an expander that takes nothing from a slot, or stands in none, has one, of 4 pins where its
 * sheet names none.
 */
function cardPlugs(
  { part }: PlannedUnit,
  spot: SpotRef | undefined,
): readonly { readonly plug: PlugKind; readonly count: number }[] {
  const own = 'powerInputs' in part ? part.powerInputs : undefined;
  if (own?.length) return own;
  const isFed =
    part.kind === 'expander' && (part.poweredBy === 'plug' || (part.poweredBy === 'either' && spot?.key === ASIDE));
  return isFed ? [{ plug: 'peripheral', count: 1 }] : [];
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
