import { printSpot, type SpotRef, type Wire } from '../build/layout';
import type { ConnectorKind, Protocol } from '../parts/vocabulary';
import { leadBetween } from './leads';
import { match } from './matching';
import { DRIVE_DATA_KEY, driveConnector, protocolOf, type Demand, type HostPort, type Target } from './ports';

export type Wiring = { readonly wires: readonly Wire[]; readonly unconnected: readonly Demand[] };

type Feed = { readonly target: Target; readonly demands: Extract<Demand, { kind: 'backplane' }>[] };

/**
 * Leads for seated drives from the ports there are. Four-lane ports are dealt to backplane
 * connectors first; fewer are tried where that leaves a drive without, since one of them can also
 * serve four bare drives. What is wired in `hint` stays wherever it can.
 */
export function wire(demands: readonly Demand[], ports: readonly HostPort[], hint: readonly Wire[]): Wiring {
  const live = ports.filter((port) => port.lanes > 0);
  const all = feedsOf(demands);
  // One narrow lead serves all bays behind a bridge or a port multiplier; nothing else competes for its kind of port. The fastest go first.
  const narrow = all.filter((feed) => feed.target.shared && feed.target.lanes < 4);
  const led = dealStraight(narrow, live.filter((port) => port.lanes < 4).sort((a, b) => b.gbPerLane - a.gbPerLane), leadsBefore(hint));
  const usable = live.filter((port) => ![...led.values()].includes(port) && !port.carries.includes('usb'));
  const feeds = all.filter((feed) => !narrow.includes(feed));
  const without = narrow.filter((feed) => !led.has(feed)).flatMap((feed) => feed.demands);
  const others = demands.filter((demand) => demand.kind === 'bare' || !narrow.some((feed) => feed.target.name === demand.target.name));
  const wide = usable.filter((port) => port.lanes >= 4);
  let best: Wiring | null = null;
  for (let most = Math.min(wide.length, feeds.length); most >= 0; most--) {
    const tried = wireWith(others, feeds, usable, wide, hint, most);
    if (!best || tried.unconnected.length < best.unconnected.length) best = tried;
    if (best.unconnected.length === 0) break;
  }
  return { wires: keepHow([...best!.wires, ...straightWires(led)], hint), unconnected: [...best!.unconnected, ...without] };
}

const straightWires = (dealt: ReadonlyMap<Feed, HostPort>): Wire[] => [...dealt].map(([feed, port]) => ({ lead: leadBetween('straight', port.kind, feed.target.kind)!.id, host: [port.ref], device: [feed.target.ref], how: 'solved' }));

type LeadBefore = { readonly wire: Wire; readonly i: number };
const leadsBefore = (hint: readonly Wire[]): ReadonlyMap<string, LeadBefore> =>
  new Map(hint.flatMap((one) => one.device.map((device, i): [string, LeadBefore] => [printSpot(device), { wire: one, i }])));

function feedsOf(demands: readonly Demand[]): Feed[] {
  const feeds = new Map<string, Feed>();
  for (const demand of demands) {
    if (demand.kind !== 'backplane' || singleEnd(demand)) continue;
    const feed = feeds.get(demand.target.name) ?? { target: demand.target, demands: [] };
    feed.demands.push(demand);
    feeds.set(demand.target.name, feed);
  }
  return [...feeds.values()].sort((a, b) => b.demands.length - a.demands.length || (a.target.name < b.target.name ? -1 : 1));
}

function wireWith(demands: readonly Demand[], feeds: readonly Feed[], ports: readonly HostPort[], wide: readonly HostPort[], hint: readonly Wire[], most: number): Wiring {
  const before = leadsBefore(hint);
  const straight = dealStraight(feeds.slice(0, most), wide, before);
  const served = new Set([...straight.keys()].map((feed) => feed.target.name));
  const spent = new Set([...straight.values()].map((port) => port.name));
  const wires = straightWires(straight);

  const rest = demands.filter((demand) => demand.kind === 'bare' || !served.has(demand.target.name));
  const lanes = ports.filter((port) => !spent.has(port.name)).flatMap((port) => lanesOf(port));
  const order = rest.map((demand, i) => ({ demand, i })).sort((a, b) => Number(b.demand.drive.interface === 'sas') - Number(a.demand.drive.interface === 'sas') || a.i - b.i).map(({ demand }) => demand);
  const got = dealLanes(order, lanes, before);
  wires.push(...leadsFor(order, lanes, got));
  const unconnected = order.filter((_, i) => got[i] === -1);
  return { wires, unconnected };
}

function dealStraight(feeds: readonly Feed[], wide: readonly HostPort[], before: ReadonlyMap<string, LeadBefore>): Map<Feed, HostPort> {
  const goes = (feed: Feed, port: HostPort) =>
    port.inside === feed.target.inside && !!leadBetween('straight', port.kind, feed.target.kind) && (feed.target.speaks ? port.carries.includes(feed.target.speaks) : feed.demands.every((demand) => port.carries.includes(protocolOf(demand.drive))));
  const indexOf = new Map(wide.map((port, i) => [port.name, i]));
  const seed = feeds.flatMap((feed, i): [number, number][] => {
    const old = before.get(feed.target.name)?.wire;
    const at = old && old.host.length === 1 ? indexOf.get(printSpot(old.host[0]!)) : undefined;
    return at !== undefined && goes(feed, wide[at]!) ? [[i, at]] : [];
  });
  const found = match(feeds.length, wide.length, (i) => wide.flatMap((port, at) => (goes(feeds[i]!, port) ? [at] : [])), seed);
  return new Map(found.flatMap((at, i): [Feed, HostPort][] => (at === -1 ? [] : [[feeds[i]!, wide[at]!]])));
}

type Lane = { readonly port: HostPort; readonly lane: number };
const lanesOf = (port: HostPort): Lane[] => Array.from({ length: port.lanes >= 4 ? 4 : port.lanes }, (_, i) => ({ port, lane: i + 1 }));

function dealLanes(order: readonly Demand[], lanes: readonly Lane[], before: ReadonlyMap<string, LeadBefore>): number[] {
  const laneAt = new Map(lanes.map((lane, i) => [`${lane.port.name}#${lane.lane}`, i]));
  const seed = order.flatMap((demand, i): [number, number][] => {
    const at = laneBefore(demand, before, laneAt);
    return at !== undefined && laneServes(demand, lanes[at]!) ? [[i, at]] : [];
  });
  const rank = lanes.map((lane, i) => ({ i, rank: (lane.port.lanes >= 4 ? 2 : 0) + (lane.port.onBoard ? 0 : 1) })).sort((a, b) => a.rank - b.rank || a.i - b.i).map(({ i }) => i);
  const edges = new Map<string, number[]>();
  return match(order.length, lanes.length, (i) => {
    const demand = order[i]!;
    const key = demand.kind === 'bare' ? `bare:${demand.drive.interface}` : `${demand.target.kind}:${demand.target.carries.join()}:${demand.drive.interface}:${demand.target.shared}:${demand.target.lanes}:${demand.target.inside}`;
    let found = edges.get(key);
    if (!found) edges.set(key, (found = rank.filter((at) => laneServes(demand, lanes[at]!))));
    return found;
  }, seed);
}

/** Whether a single lane can serve a demand: by its own lead, a tail of a forward breakout, or in reverse. */
function laneServes(demand: Demand, { port, lane }: Lane): boolean {
  const protocol: Protocol = protocolOf(demand.drive);
  if (!port.carries.includes(protocol) || port.inside !== (demand.kind === 'bare' || demand.target.inside)) return false;
  if (demand.kind === 'backplane' && !demand.target.carries.includes(protocol)) return false;
  const end = singleEnd(demand);
  if (!end) return demand.kind === 'backplane' && !demand.target.shared && port.lanes < 4 && !!leadBetween('reverse', port.kind, demand.target.kind);
  const device = end.kind;
  if (port.lanes < 4) return !!leadBetween('straight', port.kind, device);
  return protocol === 'pcie' ? lane === 1 && !!leadBetween('straight', port.kind, device) : !!leadBetween('forward', port.kind, device);
}

function laneBefore(demand: Demand, before: ReadonlyMap<string, LeadBefore>, laneAt: ReadonlyMap<string, number>): number | undefined {
  const end = singleEnd(demand);
  const old = before.get(end ? printSpot(end.ref) : demand.kind === 'backplane' ? demand.target.name : '');
  if (!old) return undefined;
  if (end || demand.kind === 'bare') return laneAt.get(`${printSpot(old.wire.host[0]!)}#${old.wire.lanes?.[old.i] ?? 1}`);
  const at = old.wire.lanes?.indexOf(demand.lane) ?? -1;
  return at < 0 ? undefined : laneAt.get(`${printSpot(old.wire.host[at]!)}#1`);
}

/** Gathers dealt lanes into leads: one a single port, one breakout a four-lane end. */
function leadsFor(order: readonly Demand[], lanes: readonly Lane[], got: readonly number[]): Wire[] {
  const forward = new Map<string, { port: HostPort; tails: { end: SingleEnd; lane: number }[] }>();
  const reverse = new Map<string, { target: Target; ends: { port: HostPort; lane: number }[] }>();
  const wires: Wire[] = [];
  order.forEach((demand, i) => {
    if (got[i] === -1) return;
    const { port, lane } = lanes[got[i]!]!;
    const end = singleEnd(demand);
    if (!end && demand.kind === 'backplane') {
      const one = reverse.get(demand.target.name) ?? { target: demand.target, ends: [] };
      one.ends.push({ port, lane: demand.lane });
      reverse.set(demand.target.name, one);
    } else if (port.lanes >= 4 && protocolOf(demand.drive) !== 'pcie') {
      const one = forward.get(port.name) ?? { port, tails: [] };
      one.tails.push({ end: end!, lane });
      forward.set(port.name, one);
    } else {
      wires.push({ lead: leadBetween('straight', port.kind, end!.kind)!.id, host: [port.ref], device: [end!.ref], how: 'solved' });
    }
  });
  for (const { port, tails } of forward.values()) {
    const sas = tails.some(({ end }) => end.kind === 'sff-8482');
    tails.sort((a, b) => a.lane - b.lane);
    wires.push({ lead: leadBetween('forward', port.kind, sas ? 'sff-8482' : 'sata')!.id, host: [port.ref], device: tails.map(({ end }) => end.ref), lanes: tails.map(({ lane }) => lane), how: 'solved' });
  }
  for (const { target, ends } of reverse.values()) {
    ends.sort((a, b) => a.lane - b.lane);
    wires.push({ lead: leadBetween('reverse', 'sata', target.kind)!.id, host: ends.map(({ port }) => port.ref), device: [target.ref], lanes: ends.map(({ lane }) => lane), how: 'solved' });
  }
  return wires;
}

type SingleEnd = { readonly ref: SpotRef; readonly kind: ConnectorKind };

/** Where a lead of one lane ends: at a bare drive itself, or at a backplane connector of a single bay. */
function singleEnd(demand: Demand): SingleEnd | null {
  if (demand.kind === 'bare') return { ref: { host: demand.unit.id, key: DRIVE_DATA_KEY }, kind: driveConnector(demand.drive) };
  return demand.target.lanes === 1 && !demand.target.shared ? { ref: demand.target.ref, kind: demand.target.kind } : null;
}

/** A lead that is the same as before keeps how it came about, and its place in the list. */
function keepHow(wires: readonly Wire[], hint: readonly Wire[]): Wire[] {
  const nameOf = (one: Wire) => `${one.lead}|${one.host.map(printSpot).join()}|${one.device.map(printSpot).join()}|${one.lanes?.join() ?? ''}`;
  const old = new Map(hint.map((one) => [nameOf(one), one]));
  return wires.map((one) => old.get(nameOf(one)) ?? one).sort((a, b) => (nameOf(a) < nameOf(b) ? -1 : 1));
}
