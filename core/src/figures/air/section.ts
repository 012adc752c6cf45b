import type { UnitOf } from '../../machine/units';
import { ofKind, seatSpot, type PlannedUnit } from '../../machine/units';
import type { FigureContext } from '../context';
import { isInStream } from './tiers';
import { dutyOn } from './moment';
import { fanSpeedAt } from '../operating';

/** A box seen from its left side, mm from its front and its floor: where drives, walls of fans and the board are. */
export type Section = {
  readonly depthMm: number;
  readonly heightMm: number;
  readonly bays: readonly {
    readonly label: string;
    readonly fromMm: number;
    readonly toMm: number;
    readonly lowMm: number;
    readonly highMm: number;
    /** Drives, and cages of them, that are in it. */ readonly drives: number;
    /** Air comes in past it. */ readonly isInStream: boolean;
  }[];
  readonly fans: readonly {
    readonly label: string;
    readonly wall: string;
    readonly atMm: number;
    readonly lowMm: number;
    readonly highMm: number;
    readonly turning: number;
    readonly of: number;
  }[];
};

const DRIVE_DEPTH_MM = 150;
const ROW_MM = 27;
/** Where a wall stands whose sheet does not say, as a share of the depth. */
const WALL_AT = { front: 0.01, middle: 0.42, rear: 0.97, top: 0.5, side: 0.6, bottom: 0.3 } as const;

/** The side section of a chassis with what is in it; what a sheet gives no place is put where it usually is. */
export function sectionOf(context: FigureContext, box: PlannedUnit): Section {
  const { part } = box as UnitOf<'chassis'>;
  const { layout, running } = context;
  const duty = dutyOn(context, 'hot');
  const inBay = new Map<string, number>();
  for (const unit of running) {
    if (unit.part.kind !== 'drive' && unit.part.kind !== 'adapter') continue;
    const spot = seatSpot(layout, unit);
    if (spot?.host === box.id) inBay.set(spot.key, (inBay.get(spot.key) ?? 0) + 1);
  }
  return {
    depthMm: part.depthMm,
    heightMm: part.heightMm,
    bays: part.bayGroups.map((group) => {
      const lowMm = group.at?.yMm ?? 0.1 * part.heightMm;
      const fromMm = group.at?.zMm ?? 6;
      return {
        label: group.label,
        fromMm,
        toMm: Math.min(part.depthMm, fromMm + DRIVE_DEPTH_MM),
        lowMm,
        highMm: Math.min(part.heightMm, lowMm + (group.lies === 'flat' ? group.rows * ROW_MM : 105)),
        drives: inBay.get(group.key) ?? 0,
        isInStream: isInStream(group, part),
      };
    }),
    fans: part.fanMounts.map((mount) => {
      const size = Math.max(...mount.sizesMm);
      const own = ofKind(running, 'fan').filter((fan) => {
        const spot = seatSpot(layout, fan);
        return spot?.host === box.id && spot.key === mount.key;
      });
      const lowMm = mount.at?.yMm ?? Math.max(0, (part.heightMm - size) / 2);
      return {
        label: mount.label,
        wall: mount.wall,
        atMm: mount.at?.zMm ?? WALL_AT[mount.wall] * part.depthMm,
        lowMm,
        highMm: Math.min(part.heightMm, lowMm + size),
        turning: own.filter((fan) => fanSpeedAt(context, fan, duty) > 0).length,
        of: mount.count,
      };
    }),
  };
}
