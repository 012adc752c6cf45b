import type { Basis } from './sheet';

type Tolerance = { readonly share?: Record<Basis, number>; readonly absolute?: Record<Basis, number> };

/** Half-widths by kind of quantity. A supply's tolerance is on its loss and is applied there. */
const EXACT: Tolerance = { absolute: { stated: 0, measured: 0, typical: 0 } };
const LENGTH: Tolerance = { absolute: { stated: 0.5, measured: 1, typical: 3 } };
const PHYSICAL: Tolerance = { share: { stated: 0.08, measured: 0.03, typical: 0.25 } };
/** W of boards and processors, which are hardly ever stated. */
const HOST: Tolerance = { share: { stated: 0.08, measured: 0.03, typical: 0.35 } };
const SOUND: Tolerance = { absolute: { stated: 2, measured: 1, typical: 4 } };
const MASS: Tolerance = { share: { stated: 0.02, measured: 0.01, typical: 0.25 } };
const PRICE: Tolerance = { share: { stated: 0, measured: 0, typical: 0.25 } };

/** The unit stands at the end of a field's name, so the name tells its tolerance and its unit. */
const BY_SUFFIX: readonly (readonly [RegExp, Tolerance, string])[] = [
  [/Mm$/, LENGTH, 'mm'],
  [/(ratedW|carriesW)$/, EXACT, 'W'],
  [/(rail12A|rail5A|rail33A|maxA)$/, EXACT, 'A'],
  [/W$/, PHYSICAL, 'W'],
  [/(A|a12|a5|a33)$/, PHYSICAL, 'A'],
  [/(kPerW)$/, PHYSICAL, 'K/W'],
  [/M3h$/, PHYSICAL, 'm³/h'],
  [/Pa$/, PHYSICAL, 'Pa'],
  [/Db$/, SOUND, 'dB(A)'],
  [/price$/, PRICE, ''],
  [/Bytes$/, EXACT, 'B'],
  [/[rR]pm$/, EXACT, 'rpm'],
  [/C$/, EXACT, '°C'],
  [/massG$/, MASS, 'g'],
  [/MBps$/, EXACT, 'MB/s'],
  [/Pct$/, EXACT, '%'],
  [/S$/, EXACT, 's'],
];

const found = new Map<string, readonly [RegExp, Tolerance, string] | null>();
function toleranceOf(field: string) {
  let one = found.get(field);
  if (one === undefined) found.set(field, (one = BY_SUFFIX.find(([pattern]) => pattern.test(field)) ?? null));
  return one;
}

/** Low and high of a value from its field's name and where it came from. */
export function rangeOf(
  field: string,
  value: number,
  basis: Basis,
  ofHost = false,
): { lo: number; hi: number; unit: string } {
  const known = toleranceOf(field);
  if (!known) return { lo: value, hi: value, unit: '' };
  const [, byField, unit] = known;
  const tolerance = ofHost ? HOST : byField;
  const half = tolerance.absolute ? tolerance.absolute[basis] : Math.abs(value) * tolerance.share![basis];
  return { lo: value - half, hi: value + half, unit };
}
