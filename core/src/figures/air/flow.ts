/**
 * Air through a box as a network of pressures: fans are straight lines of pressure over flow, also beyond both their
 * ends, and what stands in the way takes k·q|q|. Flows in m³/h, pressures in Pa, k in Pa/(m³/h)².
 */

/** A fan at the speed it turns at: its flow without pressure and its pressure without flow (fan affinity laws). */
export type Blower = { readonly flowM3h: number; readonly pressurePa: number };
/** Fans side by side in one wall; `openM2` is what else lets air through it: empty mounts, fans that stand still. */
export type FanWall = { readonly fans: readonly Blower[]; readonly openM2: number };

/** A free opening of so many m² as a resistance: Δp = 1.157e-7/A² · q² (q in m³/h, air of 1.2 kg/m³, sharp edge). */
export const resistanceOf = (areaM2: number): number => 1.157e-7 / areaM2 ** 2;
/** The flow a difference of pressure drives through a resistance, either way. */
const through = (pa: number, k: number): number => Math.sign(pa) * Math.sqrt(Math.abs(pa) / k);

/** How much of a stopped fan's ring, and of an empty mount's circle, lets air through. */
const STOPPED_SHARE = 0.6;
const EMPTY_SHARE = 0.9;
const HUB_SHARE = 0.4;
const circleM2 = (sizeMm: number): number => (Math.PI / 4) * (sizeMm / 1000) ** 2;
export const stoppedM2 = (sizeMm: number): number => STOPPED_SHARE * circleM2(sizeMm) * (1 - HUB_SHARE ** 2);
export const emptyMountM2 = (sizeMm: number): number => EMPTY_SHARE * circleM2(sizeMm);

/** At a speed, as a share of full: flow goes with it, pressure with its square. */
export const atSpeed = ({ flowM3h, pressurePa }: Blower, share: number): Blower => ({
  flowM3h: flowM3h * share,
  pressurePa: pressurePa * share * share,
});

/**
 * What a wall moves forward against a gain of pressure across it: each fan q·(1 − Δp/p), so that a weak one beside
 * strong ones is blown through backwards, less what leaks back through its openings.
 */
export function wallFlow({ fans, openM2 }: FanWall, gainPa: number): number {
  let flow = openM2 > 0 ? -through(gainPa, resistanceOf(openM2)) : 0;
  for (const { flowM3h, pressurePa } of fans) flow += flowM3h * (1 - gainPa / pressurePa);
  return flow;
}

/**
 * The gain of pressure of a wall at a flow through it. With F the fans' flow without pressure and S the sum of their
 * q/p: F − S·Δp − sign(Δp)·√(|Δp|/k) = flow, which is a quadratic in √|Δp| and the same both ways.
 */
function gainAt({ fans, openM2 }: FanWall, flow: number): number {
  const short = fans.reduce((sum, fan) => sum + fan.flowM3h, 0) - flow;
  const slope = fans.reduce((sum, fan) => sum + fan.flowM3h / fan.pressurePa, 0);
  const leak = openM2 > 0 ? 1 / Math.sqrt(resistanceOf(openM2)) : 0;
  const root =
    slope > 0
      ? (2 * Math.abs(short)) / (leak + Math.sqrt(leak * leak + 4 * slope * Math.abs(short)) || 1)
      : Math.abs(short) / leak;
  return Math.sign(short) * root * root;
}

/**
 * Where a rising function crosses zero, between two ends that are moved apart until it does: Ridders' method, which
 * halves the bracket and bends towards the root, so that what is steep at one end costs no more than halving.
 */
export function risingRoot(f: (x: number) => number, from: number): number {
  let [low, high] = [-from, from];
  let [atLow, atHigh] = [f(low), f(high)];
  for (let i = 0; atLow > 0 && i < 60; i++) atLow = f((low *= 2));
  for (let i = 0; atHigh < 0 && i < 60; i++) atHigh = f((high *= 2));
  for (let i = 0; i < 60; i++) {
    if (atLow === 0) return low;
    if (atHigh === 0) return high;
    const middle = (low + high) / 2;
    if (middle <= low || middle >= high || high - low < 1e-12 * Math.max(1, Math.abs(middle))) break;
    const atMiddle = f(middle);
    if (atMiddle === 0) return middle;
    const bent = middle - ((middle - low) * atMiddle) / Math.sqrt(atMiddle * atMiddle - atLow * atHigh);
    const x = bent > low && bent < high ? bent : middle;
    const atX = f(x);
    for (const [where, at] of [
      [middle, atMiddle],
      [x, atX],
    ] as const)
      if (at < 0 && where > low) [low, atLow] = [where, at];
      else if (at >= 0 && where < high) [high, atHigh] = [where, at];
  }
  return (low + high) / 2;
}

/** A box: air comes in past the drives, through their walls one after another, or past them, and leaves at the rear. */
export type AirBox = {
  /** Walls of fans the air past the drives goes through, one after another. */ readonly driveWalls: readonly FanWall[];
  /** What the drives' path and the ways past it take. */ readonly kDrives: number;
  readonly kPast: number;
  /** A wall that blows in beside the drives; null for none. */ readonly sideWall: FanWall | null;
  /** The wall it leaves through; null where nothing of the kind is made and it leaves freely. */
  readonly exitWall: FanWall | null;
  /** What a supply draws out of the box by its own fan. */ readonly supplyM3h: number;
};
export type AirFlow = {
  /** Past the drives, and past them by other ways; below zero it flows out there. */ readonly drivesM3h: number;
  readonly pastM3h: number;
  /** All air that goes through the box. */ readonly throughM3h: number;
  /** Inside against the room, Pa. */ readonly insidePa: number;
};

/**
 * The flow at which what comes in is what goes out. The flow past the drives fixes the pressure inside, the higher the
 * flow the lower; with it all else that comes in rises and what goes out falls: there is one such flow.
 */
export function solveFlow(box: AirBox): AirFlow {
  const walls = box.driveWalls.filter(({ fans, openM2 }) => fans.length > 0 || openM2 > 0);
  const insideAt = (flow: number): number =>
    walls.reduce((sum, wall) => sum + gainAt(wall, flow), 0) - box.kDrives * flow * Math.abs(flow);
  const side = (insidePa: number): number => (box.sideWall ? wallFlow(box.sideWall, insidePa) : 0);
  const past = (insidePa: number): number => through(-insidePa, box.kPast);
  const out = (insidePa: number): number => (box.exitWall ? wallFlow(box.exitWall, -insidePa) : 0) + box.supplyM3h;
  const balanced = (): number =>
    risingRoot((flow) => {
      const insidePa = insideAt(flow);
      return flow + side(insidePa) + past(insidePa) - out(insidePa);
    }, 100);
  // Where it leaves freely the box is at the pressure of the room, unless its supply draws more than comes in.
  const freely = box.exitWall ? null : risingRoot((flow) => -insideAt(flow), 100);
  const drivesM3h = freely !== null && freely + side(0) >= box.supplyM3h ? freely : balanced();
  const insidePa = drivesM3h === freely ? 0 : insideAt(drivesM3h);
  const [pastM3h, sideM3h] = [past(insidePa), side(insidePa)];
  return {
    drivesM3h,
    pastM3h,
    throughM3h: Math.max(0, drivesM3h) + Math.max(0, pastM3h) + Math.max(0, sideM3h),
    insidePa,
  };
}

/**
 * Air that warmth alone moves through a box, by the height between where it comes in and leaves: 3463·h·(1/T₁ − 1/T₂) =
 * k·q² (ideal gas, T in K).
 */
export function draughtM3h(heightM: number, coldC: number, warmC: number, k: number): number {
  const pa = 3463 * heightM * (1 / (273.15 + coldC) - 1 / (273.15 + warmC));
  return pa <= 0 ? 0 : Math.sqrt(pa / k);
}

/** K a flow of air warms by a heat in W: 2.985·P/q at 20 °C, by the density of air at the temperature it comes with. */
export const warmingK = (watts: number, flowM3h: number, atC: number): number =>
  ((2.985 * (273.15 + atC)) / 293.15) * (watts / flowM3h);
