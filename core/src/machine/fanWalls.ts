import type { Build } from '../build/build';
import { ofKind, plannedUnits, seatSpot } from './units';

/** A wall of fans: the chassis it is in and its mounts, with what turns in it. */
export type FanWall = {
  readonly host: string;
  readonly key: string;
  readonly label: string;
  readonly fans: readonly string[];
};

/** The walls of the boxes of a machine that have a fan, in the order of its kit; coolers and cages have none. */
export function fanWalls(build: Build): readonly FanWall[] {
  const units = plannedUnits(build);
  const boxes = ofKind(units, 'chassis');
  const inWall = new Map<string, string[]>();
  for (const fan of ofKind(units, 'fan')) {
    const spot = seatSpot(build.layout, fan);
    if (!spot) continue;
    const wall = `${spot.host}/${spot.key}`;
    inWall.set(wall, [...(inWall.get(wall) ?? []), fan.part.name]);
  }
  return boxes.flatMap((box) =>
    box.part.fanMounts.flatMap(({ key, label }): FanWall[] => {
      const fans = inWall.get(`${box.id}/${key}`) ?? [];
      if (fans.length === 0) return [];
      const name = boxes.length > 1 ? `${label}, ${box.part.name}` : label;
      return [{ host: box.id, key, label: name, fans: [...new Set(fans)] }];
    }),
  );
}
