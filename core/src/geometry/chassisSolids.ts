import { printSpot, type SpotRef } from '../build/layout';
import { memberAt, valueFor } from '../lists';
import { refsOf, spotsOf } from '../machine/spots';
import { isCard, isKind, type PlannedUnit, type UnitOf } from '../machine/units';
import type { BayGroup } from '../parts/chassisValues';
import type { PartOf } from '../parts/resolve';
import { bodyOf } from './bodies';
import { boardSolids } from './boardSolids';
import { layOut, supplyBox, type Box, type ChassisPlan } from './chassisPlan';
import { plugsEnd } from './plugRoom';
import type { Sitting, Solid } from './solid';

/** A chassis with all its places and what sits in them. */
export function chassisSolids(host: UnitOf<'chassis'>, sitting: Sitting): Solid[] {
  const plan = layOut(host.part);
  return [
    { id: `${host.id}:shell`, what: 'shell', spot: null, unit: host, box: plan.shell, label: host.part.name },
    ...host.part.bayGroups.flatMap((group) => groupSolids(host, group, plan, sitting)),
    ...supplySolids(host, plan, sitting),
    ...fanSolids(host, plan, sitting),
    ...traySolids(host, plan, sitting),
    ...asideSolids(host, sitting),
    ...openingSolids(host, plan, sitting),
  ];
}

const place = (host: string, key: string, n: number, count: number): SpotRef =>
  count === 1 ? { host, key } : { host, key, n };
const times = (count: number): readonly number[] => Array.from({ length: count }, (_, i) => i + 1);

function groupSolids(host: UnitOf<'chassis'>, group: BayGroup, plan: ChassisPlan, sitting: Sitting): Solid[] {
  const count = group.rows * group.columns;
  const behind = plan.features.get(`${group.key}-backplane`);
  return [
    ...times(count).flatMap((n) =>
      baySolids(place(host.id, group.key, n, count), valueFor(plan.cells, `${group.key}.${n}`), sitting, group, n),
    ),
    ...(behind
      ? [
          {
            id: `${host.id}/${group.key}-backplane`,
            what: 'backplane' as const,
            spot: null,
            unit: host,
            box: behind,
            label: `${group.label} backplane`,
          },
        ]
      : []),
  ];
}

const supplySolids = (host: UnitOf<'chassis'>, plan: ChassisPlan, sitting: Sitting): Solid[] =>
  host.part.supplyBays
    .filter((bay) => !bay.outside)
    .flatMap((bay) =>
      times(bay.count).map((n): Solid => {
        const spot = place(host.id, bay.key, n, bay.count);
        const room = valueFor(plan.cells, `${bay.key}.${n}`);
        const unit = sitting.get(printSpot(spot)) ?? null;
        const box = unit && isKind(unit, 'supply') ? supplyBox(room, bay, unit.part) : room;
        return { id: printSpot(spot), what: 'supply', spot, unit, box, label: bay.label, n };
      }),
    );

const fanSolids = (host: UnitOf<'chassis'>, plan: ChassisPlan, sitting: Sitting): Solid[] =>
  host.part.fanMounts.flatMap((mount) =>
    times(mount.count).map((n): Solid => {
      const spot = place(host.id, mount.key, n, mount.count);
      const unit = sitting.get(printSpot(spot)) ?? null;
      const box = valueFor(plan.cells, `${mount.key}.${n}`);
      return { id: printSpot(spot), what: 'fan', spot, unit, box, label: mount.label, n };
    }),
  );

function traySolids(host: UnitOf<'chassis'>, plan: ChassisPlan, sitting: Sitting): Solid[] {
  const tray = plan.features.get('tray');
  if (!tray) return [];
  const spot = { host: host.id, key: 'tray' };
  const board = sitting.get(printSpot(spot));
  return board && isKind(board, 'board')
    ? boardSolids(board, spot, plan.board, sitting)
    : [{ id: printSpot(spot), what: 'tray', spot, unit: null, box: tray, label: 'Board tray' }];
}

const asideSolids = (host: UnitOf<'chassis'>, sitting: Sitting): Solid[] =>
  spotsOf(host.id, host.part)
    .filter(({ type }) => type === 'aside')
    .flatMap((group) =>
      refsOf(group).flatMap((spot, i): Solid[] => {
        const unit = sitting.get(printSpot(spot));
        const box = unit && asideBox(host.part, unit, i);
        return box ? [{ id: printSpot(spot), what: 'card', spot, unit, box, label: group.label, n: i + 1 }] : [];
      }),
    );

/** An opening takes no part of its own: what shows in it is the bracket of the card behind it. */
function openingSolids(host: UnitOf<'chassis'>, plan: ChassisPlan, sitting: Sitting): Solid[] {
  const brackets = bracketsOf(sitting.get(`${host.id}/tray`), sitting);
  let before = 0;
  return host.part.openings.flatMap((opening) => {
    const from = before;
    before += opening.count;
    return times(opening.count).map((n): Solid => {
      const card = from + n <= brackets.length ? memberAt(brackets, from + n - 1) : null;
      return {
        id: printSpot(place(host.id, opening.key, n, opening.count)),
        what: 'opening',
        spot: null,
        unit: card,
        box: valueFor(plan.cells, `${opening.key}.${n}`),
        label: card ? 'Bracket' : opening.label,
        n,
      };
    });
  });
}

const ASIDE_GAP_MM = 6;
/** A card fixed to the left wall, on its long edge behind the bays; where exactly is for the builder to choose. */
function asideBox(chassis: PartOf<'chassis'>, { part }: PlannedUnit, i: number): Box {
  const { widthMm: lengthMm, heightMm: thickMm, depthMm: heightMm } = bodyOf(part);
  return {
    xMm: ASIDE_GAP_MM + i * (thickMm + ASIDE_GAP_MM),
    yMm: ASIDE_GAP_MM,
    zMm: Math.max(0, chassis.depthMm - lengthMm - ASIDE_GAP_MM),
    widthMm: thickMm,
    heightMm: Math.min(heightMm, chassis.heightMm - 2 * ASIDE_GAP_MM),
    depthMm: Math.min(lengthMm, chassis.depthMm),
    assumed: true,
  };
}

/** The card whose bracket stands in each opening, by the position of its slot; a thick card stands in several. */
function bracketsOf(board: PlannedUnit | undefined, sitting: Sitting): readonly (PlannedUnit | null)[] {
  const found: (PlannedUnit | null)[] = [];
  if (!board || !isKind(board, 'board')) return found;
  for (const slot of board.part.slots) {
    const sitter = sitting.get(`${board.id}/${slot.key}`);
    const card = sitter && isKind(sitter, 'riser') ? sitting.get(`${sitter.id}/${sitter.part.slots[0].key}`) : sitter;
    if (!card || !isCard(card.part) || card.part.brackets.length === 0) continue;
    for (let i = 0; i < Math.ceil(card.part.thickSlots); i++) {
      while (found.length <= slot.position + i) found.push(null);
      found[slot.position + i] = card;
    }
  }
  return found;
}

function baySolids(spot: SpotRef, cell: Box, sitting: Sitting, bay: BayGroup, n: number): Solid[] {
  const unit = sitting.get(printSpot(spot)) ?? null;
  const plugs = unit?.part.kind === 'drive' ? plugsEnd(bay) : null;
  const own: Solid = {
    id: printSpot(spot),
    what: unit?.part.kind === 'drive' ? 'drive' : unit ? 'adapter' : 'bay',
    spot,
    unit,
    box: cell,
    label: bay.label,
    n,
    ...(plugs ? { plugs } : {}),
  };
  if (!unit || !isKind(unit, 'adapter')) return [own];
  const { part } = unit;
  const wide = {
    ...cell,
    depthMm: Math.max(cell.depthMm, part.depthMm),
    ...(bay.lies === 'flat'
      ? { heightMm: cell.heightMm * part.span, yMm: cell.yMm - cell.heightMm * (part.span - 1) }
      : { widthMm: cell.widthMm * part.span }),
  };
  const inner = part.bayGroups.flatMap((group) =>
    Array.from({ length: group.rows * group.columns }, (_, i): Solid[] => {
      const row = Math.floor(i / group.columns);
      const column = i % group.columns;
      const w = wide.widthMm / group.columns;
      const h = wide.heightMm / group.rows;
      const count = group.rows * group.columns;
      return baySolids(
        count === 1 ? { host: unit.id, key: group.key } : { host: unit.id, key: group.key, n: i + 1 },
        { ...wide, xMm: wide.xMm + column * w, yMm: wide.yMm + wide.heightMm - (row + 1) * h, widthMm: w, heightMm: h },
        sitting,
        group,
        i + 1,
      );
    }).flat(),
  );
  return [{ ...own, box: wide }, ...inner];
}
