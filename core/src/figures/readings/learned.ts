import type { Ledger, Quantity } from '../quantity';

/**
 * What readings say about the facts a machine is reckoned from: for each of them a direction in the space of those
 * facts (length 1, in halves of their ranges) and how far along it the machine was found.
 */
export type Learned = {
  readonly directions: readonly Direction[];
  /** How far each fact most likely is off, in halves of its range. */ readonly moved: ReadonlyMap<string, number>;
};
type Effects = ReadonlyMap<string, number>;
type Direction = { readonly of: Effects; readonly by: number };

/** A reading against what is reckoned for it, and how far the instrument itself may be off, by what errs together. */
export type Compared = { readonly reckoned: Quantity; readonly differs: number; readonly errs: Effects };

/** However well it was read, a figure is known no better than that (a meter's own error, days that are not alike). */
const LEAST: Readonly<Record<string, (value: number) => number>> = {
  W: (value) => 0.05 * value,
  'dB(A)': () => 1,
  '°C': () => 2,
};

/** What each fact does to a quantity when it is off by half of its range. */
const effectsOf = ({ spread }: Quantity): Map<string, number> =>
  new Map([...spread].map(([id, [atLo, atHi]]) => [id, (atHi - atLo) / 2]));

function dot(a: Effects, b: Effects): number {
  let sum = 0;
  for (const [id, effect] of a) sum += effect * (b.get(id) ?? 0);
  return sum;
}

/**
 * Facts and instruments err independently and each about as likely up as down: given the readings, the likeliest state
 * of the facts is the one that moves them least (least squares, JCGM 100, 5). Each reading is one direction more, taken
 * at right angles to those before it.
 */
export function learn(readings: readonly Compared[]): Learned | undefined {
  const directions: Direction[] = [];
  for (const { reckoned, differs, errs } of readings) {
    const rest = new Map([...effectsOf(reckoned), ...errs]);
    const whole = Math.sqrt(dot(rest, rest));
    let left = differs;
    for (const known of directions) {
      const along = dot(rest, known.of);
      left -= along * known.by;
      for (const [id, effect] of known.of) rest.set(id, (rest.get(id) ?? 0) - along * effect);
    }
    const length = Math.sqrt(dot(rest, rest));
    // One that says nothing but what others said already moves nothing.
    if (!(length > 1e-9 * whole)) continue;
    directions.push({ of: new Map([...rest].map(([id, effect]) => [id, effect / length])), by: left / length });
  }
  if (directions.length === 0) return undefined;
  const moved = new Map<string, number>();
  for (const { of, by } of directions) for (const [id, share] of of) moved.set(id, (moved.get(id) ?? 0) + share * by);
  return { directions, moved };
}

/** A quantity as readings leave it: moved by what they say of its facts, and known so much better. */
export function narrowed(learned: Learned | undefined, quantity: Quantity, ledger: Ledger): Quantity {
  if (!learned) return quantity;
  const effects = effectsOf(quantity);
  const all = dot(effects, effects);
  if (all === 0) return quantity;
  let [shift, known] = [0, 0];
  for (const { of, by } of learned.directions) {
    const along = dot(effects, of);
    shift += along * by;
    known += along * along;
  }
  if (known < 1e-12 * all) return quantity;
  const value = quantity.value + shift;
  const left = Math.sqrt(Math.max(0, 1 - known / all));
  const least = LEAST[quantity.unit]?.(value) ?? 0;
  const half = left * Math.sqrt(all);
  return ledger.moved(quantity, shift, left, Math.min(Math.sqrt(all), Math.sqrt(Math.max(0, least ** 2 - half ** 2))));
}
