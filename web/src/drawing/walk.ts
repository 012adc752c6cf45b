import type { Flat2 } from './arrangements';

export type Stop = { readonly id: string; readonly feature: string; readonly rect: Flat2 };
export type Direction = 'left' | 'right' | 'up' | 'down';

/** The nearest stop in a direction: straight ahead counts more than sideways. Null where there is none. */
export function nextStop(stops: readonly Stop[], from: Stop, direction: Direction): Stop | null {
  const centre = ({ rect }: Stop) => ({ x: rect.x + rect.width / 2, y: rect.y + rect.height / 2 });
  const start = centre(from);
  let best: { stop: Stop; cost: number } | null = null;
  for (const stop of stops) {
    if (stop.id === from.id) continue;
    const at = centre(stop);
    const dx = at.x - start.x;
    const dy = at.y - start.y;
    const [ahead, aside] =
      direction === 'left' ? [-dx, dy] : direction === 'right' ? [dx, dy] : direction === 'up' ? [-dy, dx] : [dy, dx];
    if (ahead <= 1) continue;
    const cost = ahead + 3 * Math.abs(aside);
    if (!best || cost < best.cost) best = { stop, cost };
  }
  return best?.stop ?? null;
}

const numberOf = (stop: Stop) => Number(/\.(\d+)$/.exec(stop.id)?.[1] ?? 0);

/** The first place of the next or previous feature (a bay group, a row of slots), round and round. */
export function nextFeature(stops: readonly Stop[], from: Stop, step: 1 | -1): Stop {
  const features = [...new Set(stops.map((stop) => stop.feature))];
  const at = (features.indexOf(from.feature) + step + features.length) % features.length;
  return stops.filter((stop) => stop.feature === features[at]).sort((a, b) => numberOf(a) - numberOf(b))[0] ?? from;
}
