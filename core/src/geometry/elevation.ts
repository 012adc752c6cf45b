import type { Build } from '../build/build';
import { sceneOf } from './scene';
import { plannedUnits } from '../machine/units';
import { projectBox } from './project';

/**
 * One rectangle of a front view: its kind of solid, 1 where something stands there, and its place and size in mm from
 * the top left of its box. A list, since a page sends hundreds.
 */
type ElevationShape = readonly [
  what: string,
  filled: 0 | 1,
  xMm: number,
  yMm: number,
  widthMm: number,
  heightMm: number,
];
export type Elevation = {
  readonly widthMm: number;
  readonly heightMm: number;
  readonly boxes: readonly {
    readonly xMm: number;
    readonly widthMm: number;
    readonly heightMm: number;
    readonly shapes: readonly ElevationShape[];
  }[];
};

const BETWEEN_MM = 40;
const UNKNOWN = { widthMm: 220, heightMm: 260 };
/** Finer than a line is drawn. */
const tenth = (mm: number): number => Math.round(mm * 10) / 10;

/** Front views of a build's boxes beside each other; a plain outline where no chassis is chosen. */
export function elevationOf(build: Build): Elevation {
  const { boxes } = sceneOf(plannedUnits(build), build.layout);
  let xMm = 0;
  const placed = boxes.map((box) => {
    const shapes = projectBox('front', box).map(({ solid, ...at }): ElevationShape => [
      solid.what,
      solid.unit ? 1 : 0,
      tenth(at.xMm),
      tenth(at.yMm),
      tenth(at.widthMm),
      tenth(at.heightMm),
    ]);
    const one = { xMm: tenth(xMm), widthMm: tenth(box.size.widthMm), heightMm: tenth(box.size.heightMm), shapes };
    xMm += box.size.widthMm + BETWEEN_MM;
    return one;
  });
  return placed.length
    ? { widthMm: tenth(xMm - BETWEEN_MM), heightMm: Math.max(...placed.map((box) => box.heightMm)), boxes: placed }
    : { ...UNKNOWN, boxes: [] };
}
