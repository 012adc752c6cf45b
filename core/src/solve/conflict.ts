import type { M2Socket } from '../parts/boardValues';
import { memberAt, type ReadonlyNonEmpty } from '../lists';
import type { Layout } from '../build/layout';
import { memoPair } from '../memoLast';
import type { BayGroup } from '../parts/chassisValues';
import type { Connector } from '../parts/connector';
import type { Slot } from '../parts/boardValues';
import type { PartOf } from '../parts/resolve';
import { BAY_SIZES, CONNECTOR_KINDS, type ConnectorKind, type Protocol } from '../parts/vocabulary';
import { mismatch } from '../machine/accepts';
import { portsIn } from '../links/ports';
import { goesWhole } from './solve';
import { spotsOf, type SpotGroup } from '../machine/spots';
import { isCard, isKind, isModule, ofKind, type PlannedUnit } from '../machine/units';

/**
 * One of the facts that together cannot be. `wants` is a class of units that want their places and
 * cables, `held` one that may not move, `has` how many places or ports there are for them.
 */
export type Fact = {
  readonly kind: 'wants' | 'held' | 'has';
  readonly what: 'drives' | 'modules' | 'cards' | 'adapters' | Supply;
  readonly count: number;
  readonly label: string;
  readonly units: readonly string[];
};
/** A fact as a line of words. */
export function factWords({ kind, what, count, label }: Fact): string {
  if (kind === 'wants') return count === 1 ? label : `${count} × ${label}`;
  if (kind === 'held') return `${label} is held where it is`;
  const one = {
    ports: 'port that speaks to them',
    bays: 'bay that takes them',
    sockets: 'M.2 socket that takes them',
    slots: 'slot that takes them',
  }[what as Supply];
  return count === 0
    ? `no ${one}`
    : count === 1
      ? `1 ${one}`
      : `${count} ${one.replace(/^(M\.2 )?(\w+) that (\w+?)s /, '$1$2s that $3 ')}`;
}

const SUPPLIES = ['ports', 'bays', 'sockets', 'slots'] as const;
type Supply = (typeof SUPPLIES)[number];

/** Facts given up: what is asked is whether the rest goes together. */
type Without = ReadonlySet<Fact>;

/**
 * Why not everything has a place and a cable: facts of classes that cannot be together, and without any one of
 * which the others can. Null where all goes, or where only boards, supplies and the like have no place.
 *
 * By deletion (Chinneck, Feasibility and Infeasibility in Optimization, 2008): one fact after the other is
 * given up for good where the rest still does not go; holds first, so that they are blamed last. A class given
 * up is away from its places while what it brings (ports, bays) stays; a number of places given up is as many
 * as anybody wants. That is done until no fact can be given up any more, since a card's ports make the facts
 * depend on each other.
 */
export const conflictOf = memoPair((units: readonly PlannedUnit[], hint: Layout): readonly Fact[] | null => {
  const all = factsOf(units, hint);
  if (all.length === 0 || goes(units, hint, new Set())) return null;
  const given = new Set<Fact>();
  // With every place there could be it still does not go: not a matter of these facts.
  if (!goes(units, hint, new Set(all))) return null;
  for (let changed = true; changed;) {
    changed = false;
    for (const fact of all) {
      if (given.has(fact)) continue;
      given.add(fact);
      if (goes(units, hint, given)) given.delete(fact);
      else changed = true;
    }
  }
  const left = all.filter((fact) => !given.has(fact));
  return left.map((fact) =>
    fact.kind === 'has' ? { ...fact, ...counted(fact.what as Supply, units, hint, left) } : fact,
  );
});

/** Whether all but what is given up has its place and cable, whatever else moves. */
export function goes(units: readonly PlannedUnit[], hint: Layout, without: Without): boolean {
  const away = new Set<string>();
  const free = new Set<Supply>();
  const released = new Set<string>();
  for (const fact of without) {
    if (fact.kind === 'has') free.add(fact.what as Supply);
    else for (const unit of fact.units) (fact.kind === 'held' ? released : away).add(unit);
  }
  const at = Object.fromEntries(
    Object.entries(hint.at).map(([id, seat]) => [
      id,
      seat.how === 'held' && (released.has(id) || away.has(id)) ? { ...seat, how: 'put' as const } : seat,
    ]),
  );
  const brought = units.filter((unit) => away.has(unit.id));
  const board = units.find((unit) => isKind(unit, 'board'));
  const chassis = units.find((unit) => isKind(unit, 'chassis'));
  return goesWhole(
    units.flatMap((unit): PlannedUnit[] => {
      if (isKind(unit, 'board'))
        return [{ ...unit, part: roomier(unit.part, free, unit === board ? brought : [], units) }];
      if (isKind(unit, 'chassis') && free.has('bays'))
        return [{ ...unit, part: { ...unit.part, bayGroups: [...unit.part.bayGroups, ANY_BAYS] } }];
      if (!away.has(unit.id)) return [unit];
      // Ports and bays of what is away are there all the same; sockets and slots go to the board.
      const host = isKind(unit, 'adapter') ? chassis : board;
      return host && (isKind(unit, 'controller') || isKind(unit, 'expander') || isKind(unit, 'adapter'))
        ? [{ ...unit, builtIn: { spot: { host: host.id, key: `away:${unit.id}` }, fixed: true } }]
        : [];
    }),
    { ...hint, at },
  );
}

const ANY_BAYS: BayGroup = {
  key: 'any',
  label: 'Any bays',
  rows: 200,
  columns: 1,
  takes: [...BAY_SIZES],
  maxDriveHeightMm: 200,
  lies: 'flat',
  access: 'fixed',
  mounting: 'hard',
  wall: 'front',
  holes: ['A', 'B'],
  backplane: null,
};
const anySlots = (cards: readonly PlannedUnit[]): Slot[] =>
  cards.map((unit, i): Slot => ({
    key: `any${i}`,
    label: 'Any slot',
    position: -20 * (i + 1),
    bus: isCard(unit.part) && unit.part.bus === 'pci' ? 'pci' : 'pcie',
    lanes: 16,
    wiredLanes: 16,
    gen: 6,
    owner: 'processor',
    openEnd: true,
    bifurcates: ['x4x4x4x4'],
  }));
const anySockets = (modules: readonly PlannedUnit[]): M2Socket[] =>
  modules.map((_, i) => ({
    key: `any${i}`,
    label: 'Any socket',
    lengthsMm: Array.from({ length: 81 }, (__, mm) => mm + 30),
    gen: 6,
    lanes: 4,
    carries: ['pcie', 'sata'],
    owner: 'processor',
  }));
const ANY_PROTOCOL: ReadonlyNonEmpty<Protocol> = ['sas', 'sata', 'pcie'];
const SPOKEN: Readonly<Partial<Record<ConnectorKind, ReadonlyNonEmpty<Protocol>>>> = {
  sata: ['sata'],
  esata: ['sata'],
  'usb-a': ['usb'],
  'usb-c': ['usb'],
  'sff-8611-4i': ['pcie'],
};
const ANY_PORTS: readonly Connector[] = CONNECTOR_KINDS.flatMap((kind) => {
  const carries = SPOKEN[kind] ?? (kind.startsWith('sff-') ? ANY_PROTOCOL : null);
  return carries
    ? [
        {
          key: `any-${kind}`,
          kind,
          count: 64,
          lanes: kind.startsWith('sff-') ? 4 : 1,
          carries: [...carries],
          gbPerLane: 12,
          role: 'host' as const,
          side: ['sff-8088', 'sff-8644', 'esata', 'usb-a', 'usb-c'].includes(kind)
            ? ('outside' as const)
            : ('inside' as const),
          label: 'Any port',
        },
      ]
    : [];
});

function roomier(
  board: PartOf<'board'>,
  free: ReadonlySet<Supply>,
  brought: readonly PlannedUnit[],
  units: readonly PlannedUnit[],
): PartOf<'board'> {
  const sockets = brought.flatMap((unit) =>
    isKind(unit, 'carrier')
      ? unit.part.m2Sockets.map((socket) => ({ ...socket, key: `${unit.id}:${socket.key}` }))
      : [],
  );
  const slots = brought.flatMap((unit, nth) =>
    isKind(unit, 'riser')
      ? unit.part.slots.map((slot) => ({ ...slot, key: `${unit.id}:${slot.key}`, position: -1000 - 20 * nth }))
      : [],
  );
  if (free.size === 0 && sockets.length === 0 && slots.length === 0) return board;
  return {
    ...board,
    connectors: free.has('ports') ? [...board.connectors, ...ANY_PORTS] : board.connectors,
    m2Sockets: [
      ...board.m2Sockets,
      ...sockets,
      ...(free.has('sockets') ? anySockets(units.filter((unit) => whatOf(unit) === 'modules')) : []),
    ],
    slots: [
      ...board.slots,
      ...slots,
      ...(free.has('slots') ? anySlots(units.filter((unit) => whatOf(unit) === 'cards')) : []),
    ],
  };
}

/** Everything a build asks and has, holds first: what a conflict is drawn from. */
export function factsOf(units: readonly PlannedUnit[], hint: Layout): Fact[] {
  const free = units.filter((unit) => !unit.builtIn && whatOf(unit) !== null);
  const held = free
    .filter((unit) => hint.at[unit.id]?.how === 'held')
    .map((unit): Fact => ({ kind: 'held', what: whatOf(unit)!, count: 1, label: unit.part.name, units: [unit.id] }));
  const classes = new Map<string, PlannedUnit[]>();
  for (const unit of free) classes.set(unit.part.id, [...(classes.get(unit.part.id) ?? []), unit]);
  const wants = [...classes.values()].map((like): Fact => ({
    kind: 'wants',
    what: whatOf(memberAt(like, 0))!,
    count: like.length,
    label: memberAt(like, 0).part.name,
    units: like.map(({ id }) => id),
  }));
  const has = SUPPLIES.map((what): Fact => ({ kind: 'has', what, count: 0, label: '', units: [] }));
  // The smallest classes are given up first: what is left names most of the machine's drives.
  return [...held, ...wants.sort((a, b) => a.count - b.count), ...has];
}

const whatOf = (unit: PlannedUnit): 'drives' | 'modules' | 'cards' | 'adapters' | null =>
  isModule(unit)
    ? 'modules'
    : isKind(unit, 'drive')
      ? unit.part.size === 'usb'
        ? null
        : 'drives'
      : isCard(unit.part) || isKind(unit, 'riser')
        ? 'cards'
        : isKind(unit, 'adapter')
          ? 'adapters'
          : null;

/** How many places or lanes there are for the units of a conflict. */
function counted(
  supply: Supply,
  units: readonly PlannedUnit[],
  hint: Layout,
  facts: readonly Fact[],
): Pick<Fact, 'count' | 'label' | 'units'> {
  const ids = new Set(facts.filter(({ kind }) => kind === 'wants').flatMap((fact) => fact.units));
  const wanting = units.filter((unit) => ids.has(unit.id));
  const there = units.filter((unit) => unit.builtIn || hint.at[unit.id]);
  if (supply === 'ports') {
    const spoken = new Set(
      ofKind(wanting, 'drive').map(({ part }) => (part.interface === 'nvme' ? 'pcie' : part.interface)),
    );
    const outside =
      ofKind(there, 'chassis').length > 1 ||
      there.some(
        ({ part }) =>
          part.kind === 'chassis' &&
          part.bayGroups.some(
            ({ backplane }) =>
              backplane && backplane.type !== 'direct' && backplane.connectors.some(({ side }) => side === 'outside'),
          ),
      );
    const ports = portsIn(units, hint).filter(
      (port) => (port.inside || outside) && port.carries.some((one) => spoken.has(one)),
    );
    return {
      count: ports.reduce((sum, port) => sum + Math.min(4, port.lanes), 0),
      label: '',
      units: [...new Set(ports.filter(({ lanes }) => lanes > 0).map((port) => port.unit.id))],
    };
  }
  const type: SpotGroup['type'] = supply === 'bays' ? 'bay' : supply === 'sockets' ? 'm2' : 'slot';
  const takers = there
    .flatMap((unit) => spotsOf(unit.id, unit.part))
    .filter((group) => group.type === type && wanting.some((unit) => !mismatch(unit.part, group)));
  return {
    count: takers.reduce((sum, group) => sum + group.count, 0),
    label: '',
    units: [...new Set(takers.map(({ host }) => host))],
  };
}
