import { printSpot, type SpotRef, type Wire } from '../build/layout';
import { EIGHT_LANES, type ConnectorKind } from '../parts/vocabulary';
import { cableKindById } from './cableKinds';

/** A plug of eight lanes is two halves in a layout: 1 and 2 are one plug, 3 and 4 the next. */
export const plugOf = ({ host, key, n = 1 }: SpotRef): string => `${host}/${key}.${Math.ceil(n / 2)}`;

const isEight = (kind: ConnectorKind): boolean => (EIGHT_LANES as readonly string[]).includes(kind);

/** One half in use: the plug it is of and the cable it makes that plug belong to. */
type HalfUse = { readonly wire: Wire; readonly at: SpotRef; readonly plug: string; readonly cable: string };

/**
 * The halves that cables use. Two halves of one plug go together where they are of the same `cable`: one kind of
 * breakout, or one straight cable whose other plug of eight is the same as well.
 */
function halvesInUse(wires: readonly Wire[]): HalfUse[] {
  return wires.flatMap((wire): HalfUse[] => {
    const kind = cableKindById(wire.cable);
    if (!kind) return [];
    const [host, device] = [wire.host[0], wire.device[0]];
    const [fromEight, toEight] = [isEight(kind.host), isEight(kind.device)];
    const use = (at: SpotRef, other: SpotRef, isStraight: boolean): HalfUse => ({
      wire,
      at,
      plug: plugOf(at),
      cable: isStraight ? `${kind.id} ${plugOf(other)}` : kind.id,
    });
    return [...(fromEight ? [use(host, device, toEight)] : []), ...(toEight ? [use(device, host, fromEight)] : [])];
  });
}

/** Plugs of eight lanes whose halves are wired as two different cables, of which only one can be plugged in. */
export function clashingPlugs(wires: readonly Wire[]): HalfUse[][] {
  const plugs = new Map<string, HalfUse[]>();
  for (const use of halvesInUse(wires)) plugs.set(use.plug, [...(plugs.get(use.plug) ?? []), use]);
  return [...plugs.values()].filter((uses) => new Set(uses.map(({ cable }) => cable)).size > 1);
}

/**
 * Cables moved among the plugs of eight lanes of their own connector, so that both halves of a plug are one cable.
 * `halves` gives the live ports of all hosts; cables put or held by hand stay. What no plug is left for stays where it
 * was, and clashes.
 */
export function pairHalves(wires: readonly Wire[], halves: () => readonly SpotRef[]): readonly Wire[] {
  const clashing = new Set(clashingPlugs(wires).flatMap((uses) => uses.map(({ plug }) => connectorOf(plug))));
  if (clashing.size === 0) return wires;
  const now = new Map<Wire, SpotRef>();
  const live = halves();
  for (const connector of clashing) {
    const uses = halvesInUse(wires).filter(
      ({ wire, at, plug }) => connectorOf(plug) === connector && at === wire.host[0],
    );
    const free = live.filter((half) => connectorOf(plugOf(half)) === connector);
    for (const [wire, half] of paired(uses, free)) now.set(wire, half);
  }
  return wires.map((wire) => {
    const half = now.get(wire);
    return half && printSpot(half) !== printSpot(wire.host[0])
      ? { ...wire, host: [half, ...wire.host.slice(1)] }
      : wire;
  });
}

const connectorOf = (plug: string): string => plug.slice(0, plug.lastIndexOf('.'));

function paired(uses: readonly HalfUse[], halves: readonly SpotRef[]): Map<Wire, SpotRef> {
  const at = new Map<Wire, SpotRef>();
  const cableOn = new Map<string, string>();
  const left = new Map(halves.map((half) => [printSpot(half), half]));
  const sit = ({ wire, cable }: HalfUse, half: SpotRef): void => {
    at.set(wire, half);
    left.delete(printSpot(half));
    if (!cableOn.has(plugOf(half))) cableOn.set(plugOf(half), cable);
  };
  for (const use of uses) if (use.wire.how !== 'solved') sit(use, use.at);
  const free = uses.filter(({ wire }) => wire.how === 'solved');
  const many = (cable: string) => free.filter((use) => use.cable === cable).length;
  // Pairs first, the odd ones last: so plugs run out only where there are fewer of them than cables.
  const order = [...free].sort(
    (one, other) => many(other.cable) - many(one.cable) || (one.cable < other.cable ? -1 : 1),
  );
  const homeless: HalfUse[] = [];
  for (const use of order) {
    const open = [...left.values()];
    const half =
      open.find((one) => cableOn.get(plugOf(one)) === use.cable) ?? open.find((one) => !cableOn.has(plugOf(one)));
    if (half) sit(use, half);
    else homeless.push(use);
  }
  for (const use of homeless) {
    const half = [...left.values()][0];
    if (half) sit(use, half);
  }
  return at;
}
