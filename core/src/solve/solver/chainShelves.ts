import { printSpot, type Layout } from '../../build/layout';
import { cableKindBetween } from '../../links/cableKinds';
import { passesOn } from '../../links/passOn';
import type { HostPort } from '../../links/ports';
import type { PlannedUnit } from '../../machine/units';
import type { Shape } from './shapes';
import type { ChainLink } from './table';

/** A shelf that hands on: fed at its first connector, the next one hangs on its second. */
type Shelf = { readonly shape: Shape; readonly host: string };

/**
 * Shelves of like bays that the outside ports are too few for, chained: the bays of a chain are one cell, fed where its
 * first shelf is. A shelf that hung behind another stays there while ports are short, one put there by hand always;
 * others go to the shortest chain.
 */
export function chainShelves(
  shapes: readonly Shape[],
  ports: readonly HostPort[],
  wires: Layout['wires'],
  byId: ReadonlyMap<string, PlannedUnit>,
): readonly Shape[] {
  const shelves = shapes.flatMap((shape): Shelf[] => {
    const unit = byId.get(shape.group.host);
    return shape.kind === 'shared' && shape.targets.length > 1 && unit && passesOn(unit)
      ? [{ shape, host: unit.id }]
      : [];
  });
  if (shelves.length < 2) return shapes;
  const merged = new Map<Shape, Shape | null>();
  for (const alike of byBays(shelves)) {
    for (const chain of chainsOf(alike, portsFor(alike, ports), wires)) {
      const [head, ...others] = chain;
      if (!head || others.length === 0) continue;
      for (const { shape } of others) merged.set(shape, null);
      merged.set(
        head.shape,
        joined(
          head.shape,
          others.map(({ shape }) => shape),
        ),
      );
    }
  }
  return shapes.flatMap((shape) => {
    const now = merged.get(shape);
    return now === null ? [] : [now ?? shape];
  });
}

/** Shelves whose bays no drive tells apart, of whatever sheets and however many bays. */
function byBays(shelves: readonly Shelf[]): Shelf[][] {
  const found = new Map<string, Shelf[]>();
  for (const shelf of shelves) {
    const { takes, maxDriveHeightMm, access, backplane } = shelf.shape.group.group;
    const bays = JSON.stringify([takes, maxDriveHeightMm, access, { ...backplane, connectors: connectorsOf(shelf) }]);
    found.set(bays, [...(found.get(bays) ?? []), shelf]);
  }
  return [...found.values()];
}

const connectorsOf = ({ shape }: Shelf) => shape.targets.map(({ kind, lanes, carries }) => ({ kind, lanes, carries }));

const portsFor = (shelves: readonly Shelf[], ports: readonly HostPort[]): number =>
  ports.filter((port) =>
    shelves.some(({ shape }) => shape.targets.some(({ kind }) => cableKindBetween('straight', port.kind, kind))),
  ).length;

function chainsOf(shelves: readonly Shelf[], ports: number, wires: Layout['wires']): Shelf[][] {
  const parent = new Map<string, { readonly host: string; readonly isPut: boolean }>();
  const fedByCard = new Set<string>();
  const names = new Set(shelves.map(({ host }) => host));
  for (const wire of wires)
    for (const [from, to] of wire.host.flatMap((host) =>
      wire.device.map((device) => [host.host, device.host] as const),
    )) {
      if (!names.has(to)) continue;
      if (names.has(from)) parent.set(to, { host: from, isPut: wire.how !== 'solved' });
      else fedByCard.add(to);
    }
  const isPut = ({ host }: Shelf): boolean => parent.get(host)?.isPut === true;
  const free = shelves.filter((shelf) => !isPut(shelf));
  if (ports === 0 || (free.length <= ports && free.length === shelves.length)) return shelves.map((shelf) => [shelf]);
  const ranked = [...free].sort((a, b) => Number(fedByCard.has(b.host)) - Number(fedByCard.has(a.host)));
  const chains = ranked.slice(0, ports).map((shelf) => [shelf]);
  let waiting = [...shelves].filter((shelf) => !chains.some(([head]) => head === shelf));
  // Each goes behind the shelf it hung on as soon as that is the last of a chain, else behind the shortest.
  while (waiting.length > 0 && chains.length > 0) {
    const back = waiting.find((shelf) => chains.some((chain) => chain.at(-1)?.host === parent.get(shelf.host)?.host));
    const next = back ?? waiting[0];
    if (!next) break;
    const chain =
      chains.find((one) => one.at(-1)?.host === parent.get(next.host)?.host) ??
      chains.reduce((best, one) => (one.length < best.length ? one : best));
    chain.push(next);
    waiting = waiting.filter((one) => one !== next);
  }
  return chains;
}

function joined(head: Shape, others: readonly Shape[]): Shape {
  const links = others.flatMap((shape, i): ChainLink[] => {
    const [from, to] = [[head, ...others][i]?.targets[1], shape.targets[0]];
    return from && to
      ? [{ from, to, beyond: new Set(others.slice(i).flatMap(({ bays }) => bays.map(({ spot }) => printSpot(spot)))) }]
      : [];
  });
  return {
    ...head,
    bays: [head, ...others].flatMap(({ bays }) => bays),
    targets: head.targets.slice(0, 1),
    links,
  };
}
