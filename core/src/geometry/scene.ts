import { printSpot, type Layout, type SpotRef } from '../build/layout';
import { sittersBySpot } from '../machine/sitters';
import { hasPlaces, ofKind, type PlannedUnit } from '../machine/units';
import type { Point, Size } from '../parts/geometry';
import { bodyOf } from './bodies';
import { chassisSolids } from './chassisSolids';
import type { Sitting, Solid } from './solid';

export type SceneBox = { readonly unit: PlannedUnit; readonly solids: readonly Solid[]; readonly size: Size };
export type Scene = { readonly boxes: readonly SceneBox[]; readonly table: readonly Solid[] };

/** Everything to draw: each box with its places and units, and the table with what has no place yet. */
export function sceneOf(units: readonly PlannedUnit[], layout: Layout): Scene {
  const sitting = sittersBySpot(units, layout);
  const boxes = ofKind(units, 'chassis')
    .filter((unit) => layout.at[unit.id])
    .map((unit) => ({ unit, solids: chassisSolids(unit, sitting), size: unit.part }));
  const beside = outsideSeats(units, sitting);
  return {
    boxes,
    table: tableSolids([
      ...units
        .filter((unit) => !unit.builtIn && hasPlaces(unit) && !layout.at[unit.id])
        .map((unit) => ({ unit, spot: null })),
      ...beside,
    ]),
  };
}

type Lying = { readonly unit: PlannedUnit; readonly spot: SpotRef | null };

/** Bricks: they have a place, and it is beside the machine. */
function outsideSeats(units: readonly PlannedUnit[], sitting: Sitting): Lying[] {
  return ofKind(units, 'chassis').flatMap((host) =>
    host.part.supplyBays
      .filter((bay) => bay.outside)
      .flatMap((bay) => {
        const spot = { host: host.id, key: bay.key };
        const unit = sitting.get(printSpot(spot));
        return unit ? [{ unit, spot }] : [];
      }),
  );
}

const TABLE_ROW_MM = 620;
const TABLE_GAP_MM = 16;

/** Parts without a place lie in rows on the table, seen from above, largest first as the kit lists them. */
function tableSolids(lying: readonly Lying[]): Solid[] {
  let x = 0;
  let z = 0;
  let rowDepth = 0;
  return lying.map(({ unit, spot }) => {
    const size = bodyOf(unit.part);
    if (x > 0 && x + size.widthMm > TABLE_ROW_MM) {
      x = 0;
      z += rowDepth + TABLE_GAP_MM;
      rowDepth = 0;
    }
    const at: Point = { xMm: x, yMm: 0, zMm: z };
    x += size.widthMm + TABLE_GAP_MM;
    rowDepth = Math.max(rowDepth, size.depthMm);
    return {
      id: spot ? printSpot(spot) : unit.id,
      what: 'other',
      spot,
      unit,
      box: { ...at, widthMm: size.widthMm, heightMm: size.heightMm, depthMm: size.depthMm, assumed: false },
      label: unit.part.name,
    };
  });
}
