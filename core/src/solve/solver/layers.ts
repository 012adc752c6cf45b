import { memberAt, valueFor } from '../../lists';
import type { Dealing, Layer, Emit } from './search';
import {
  BOOT_OFF_BOARD,
  burdenOf,
  CABLE_TO_BUY,
  MB_LOST,
  MISFIT,
  MOVE,
  OTHER_BOX,
  PARTLY_USED,
  PUT_BROKEN,
} from './score';
import { Bounds, type Offsets } from './bounds';
import { HomeSlots } from './homeSlots';
import { isSpent, spend, type Work } from './work';
import { strandsOf, type Strands } from './reverseBreakout';
import {
  freePorts,
  STEP,
  type Cell,
  type ExpanderCell,
  type Feed,
  type PortClass,
  type State,
  type Table,
} from './table';

export type CellPick = {
  readonly what: 'cell';
  readonly cell: number;
  readonly seats: readonly number[];
  readonly feed: Feed | null;
  readonly uplinks: number;
  /** Of a breakout in reverse: the class of drives and of ports on each strand. */ readonly strands:
    Strands['pairs'] | null;
};
export type ExpanderPick = {
  readonly what: 'expander';
  readonly expander: number;
  readonly feed: ExpanderCell['feeds'][number] | null;
  readonly uplinks: number;
};
/**
 * Of a class of ports: how many ends of each class it serves, how many cables of each kind, how many ends a breakout
 * with SAS tails serves besides its own.
 */
export type PortPick = {
  readonly what: 'ports';
  readonly port: number;
  readonly ends: readonly (readonly [end: number, count: number])[];
  readonly cables: ReadonlyMap<string, number>;
  readonly lent: number;
};
export type Pick = CellPick | ExpanderPick | PortPick | { readonly what: 'rest' };

/** Of each place the first so many ways on, where some way through is wanted and no work is left to compare. */
const FEW = 8;

export function layersOf(table: Table, work: Work, few = false): Dealing {
  const { drives, ports, ends, owned, expanders, limits } = table;
  const slots = new HomeSlots(table);
  const homes = drives.length + ports.length + ends.length + owned.length + expanders.length + limits.length;
  const at: Offsets = {
    ports: drives.length,
    ends: drives.length + ports.length,
    owned: drives.length + ports.length + ends.length,
    asked: drives.length + ports.length + ends.length + owned.length,
    limits: drives.length + ports.length + ends.length + owned.length + expanders.length,
    homes,
    size: homes + slots.counts.length,
  };
  const start = Array<number>(at.size).fill(0);
  drives.forEach((one, i) => {
    start[i] = one.units.length;
  });
  ports.forEach((one, i) => {
    start[at.ports + i] = one.behind >= 0 ? 0 : one.ports.length;
  });
  owned.forEach((one, i) => {
    start[at.owned + i] = one.count;
  });
  limits.forEach((one, i) => {
    start[at.limits + i] = one.most;
  });
  slots.counts.forEach((count, i) => {
    start[at.homes + i] = count;
  });
  const rank = { shared: 0, direct: 1, loose: 2 } as const;
  const cells = table.cells
    .map((cell, i) => ({ cell, i }))
    .sort((a, b) => rank[a.cell.kind] - rank[b.cell.kind] || a.i - b.i);
  const twins = twinPorts(table);
  const make = new Layers(table, at, slots, twins, work, few);
  const order = ports
    .map((_, i) => i)
    .sort((a, b) => Number(memberAt(ports, a).lanes >= 4) - Number(memberAt(ports, b).lanes >= 4) || a - b)
    .filter((i) => ends.some((end) => end.serves[i]) || memberAt(ports, memberAt(ports, i).first).single.size > 0);
  const layers: Layer[] = [
    ...expanders.map((expander, i) => make.expander(expander, i)),
    ...cells.map(({ cell, i }, nth) =>
      make.cell(
        cell,
        i,
        cells.slice(nth).map((one) => one.cell),
      ),
    ),
    ...order.map((port, nth) => make.ports(port, order.slice(nth))),
    make.rest(),
  ];
  // Ends wait at most for every drive of their class; an expander has all its connectors, and is asked by every drive
  // at most.
  const most = [...start];
  ports.forEach((one, i) => {
    most[at.ports + i] = one.ports.length + (one.behind < 0 ? 0 : 1);
  });
  ends.forEach((end, i) => {
    most[at.ends + i] = memberAt(drives, end.drive).units.length;
  });
  expanders.forEach((_, i) => {
    most[at.asked + i] = drives.reduce((sum, one) => sum + one.units.length * Math.ceil(one.wishMBps / STEP), 0);
  });
  // Most of what a choice costs is its bound, which goes over classes and cells.
  return {
    cost: 4 + (at.size + ends.length + ports.length + cells.length) / 10,
    start,
    most,
    twins: twins.map((like) => like.map((p) => at.ports + p)),
    layers,
  };
}

/** Classes of ports that differ in nothing but their card, in groups: cards of one sheet that nothing hung on. */
function twinPorts({ ports, cells, expanders }: Table): number[][] {
  const settled = new Set([...cells, ...expanders].flatMap(({ fedFrom }) => fedFrom));
  const like = new Map<string, number[]>();
  ports.forEach((one, p) => {
    const { unit, gbPerLane, box, inside, multiplier, carries } = one.ports[0];
    if (
      one.behind >= 0 ||
      one.firm ||
      one.onBoard ||
      one.limit >= 0 ||
      one.single.size > 0 ||
      settled.has(p) ||
      ports.filter((other) => other.ports[0].unit === unit).length > 1
    )
      return;
    const mark = [
      unit.part.id,
      one.ports.length,
      one.kind,
      one.lanes,
      gbPerLane,
      box,
      inside,
      multiplier,
      carries,
    ].join('|');
    like.set(mark, [...(like.get(mark) ?? []), p]);
  });
  return [...like.values()].filter((group) => group.length > 1);
}

/** Fillings of a cell's bays that are kept, by what there is to fill them with. */
const FILLINGS = 2_000;
const NO_CELLS: readonly Cell[] = [];
const NO_PORTS: readonly number[] = [];

/** The number of a pick is written into a copy of the state by each layer; one scratch copy serves them all. */
class Layers {
  private readonly next: State;
  /** Drives that cells after one hold: nothing before may take them. */
  private readonly kept = new Map<Cell, readonly number[]>();
  private readonly bounds: Bounds;
  private readonly filled = new Map<Cell, Map<string, readonly (readonly number[])[]>>();
  private readonly baysAfter = new Map<Cell, number>();
  /** Twins of a class of ports that come before it. */
  private readonly before: ReadonlyMap<number, readonly number[]>;
  constructor(
    private readonly table: Table,
    private readonly at: Offsets,
    private readonly slots: HomeSlots,
    twins: readonly (readonly number[])[],
    private readonly work: Work,
    private readonly few: boolean,
  ) {
    this.before = new Map(twins.flatMap((like) => like.map((p, i) => [p, like.slice(0, i)] as const)));
    this.next = Array<number>(at.size).fill(0);
    this.bounds = new Bounds(table, at, slots);
  }

  /** Begins the next state from this one; a loop is quicker than a built-in for so few numbers. */
  private copy(state: State): void {
    for (let i = 0; i < state.length; i++) this.next[i] = state[i]!;
  }

  /** Takes `count` cables, those in hand first, and returns what buying the others counts. */
  private buy(cable: string, owned: number, count: number): number {
    const have = owned < 0 ? 0 : Math.min(this.next[this.at.owned + owned]!, count);
    if (have > 0) this.next[this.at.owned + owned]! -= have;
    return (count - have) * burdenOf(cable) * CABLE_TO_BUY;
  }

  /** Asks more of an expander; returns the MB/s that then pass its uplinks by. */
  private ask(port: PortClass, mbps: number): number {
    if (port.behind < 0 || mbps === 0) return 0;
    const slot = this.at.asked + port.behind;
    const carries = port.uplinkMBps;
    const before = this.next[slot]! * STEP;
    this.next[slot]! += Math.ceil(mbps / STEP);
    return Math.max(0, this.next[slot]! * STEP - carries) - Math.max(0, before - carries);
  }

  /** Whether no more ways on are told after so many. */
  private enough(told: number): boolean {
    return this.few ? told >= FEW : isSpent(this.work);
  }

  private free(state: State, p: number): number {
    return freePorts(state, this.at.ports, p, memberAt(this.table.ports, p));
  }

  private limit(port: PortClass, count: number): boolean {
    if (port.limit < 0) return true;
    const slot = this.at.limits + port.limit;
    if (this.next[slot]! < count) return false;
    this.next[slot]! -= count;
    return true;
  }

  expander(expander: ExpanderCell, i: number): Layer {
    const { at, table, next } = this;
    return {
      room: (state) => this.bounds.room(state, table.cells, null, i),
      expand: (state, emit) => {
        for (const feed of expander.feeds) {
          for (
            let uplinks = 1;
            uplinks <= Math.min(2, state[at.ports + feed.port]!, expander.connectors - 1);
            uplinks++
          ) {
            this.copy(state);
            next[at.ports + feed.port]! -= uplinks;
            next[at.ports + feed.outlets[uplinks - 1]!] = expander.connectors - uplinks + 1;
            const buy = this.buy(feed.cable, feed.owned, uplinks);
            const kept = Math.min(uplinks, expander.fedFrom.filter((port) => port === feed.port).length);
            emit(next, 0, 0, buy + (expander.fedFrom.length - kept) * MOVE, 0, {
              what: 'expander',
              expander: i,
              feed,
              uplinks,
            } satisfies Pick);
          }
        }
        this.copy(state);
        emit(next, 0, 0, 0, 0, { what: 'expander', expander: i, feed: null, uplinks: 0 } satisfies Pick);
      },
    };
  }

  cell(cell: Cell, index: number, from: readonly Cell[]): Layer {
    this.baysAfter.set(
      cell,
      from.slice(1).reduce((sum, later) => sum + later.bays.length, 0),
    );
    this.kept.set(
      cell,
      this.table.drives.map((_, i) => from.slice(1).reduce((sum, later) => sum + later.held[i]!, 0)),
    );
    this.filled.set(cell, new Map());
    this.slots.order(cell, from.slice(1));
    return {
      room: (state) => this.bounds.room(state, from, null),
      expand:
        cell.kind === 'loose'
          ? (state, emit, aLeft) => this.loose(cell, index, state, aLeft, emit)
          : (state, emit, aLeft) => this.fed(cell, index, state, aLeft, emit),
    };
  }

  /**
   * Every way of filling the bays: by class, at least those held, most first; `aLeft` is what may still stay out, as it
   * counts in `a`. States that differ in ports and cables alone have them in common.
   */
  private ways(cell: Cell, state: State, aLeft: number): readonly (readonly number[])[] {
    const fewest = this.fewest(cell, state, aLeft);
    const known = valueFor(this.filled, cell);
    const key = String.fromCharCode(fewest, ...state.slice(0, this.table.drives.length));
    const before = known.get(key);
    if (before) return before;
    const made = this.fillings(cell, state, fewest);
    if (!this.enough(made.length) && known.size < FILLINGS) known.set(key, made);
    return made;
  }

  private fillings(cell: Cell, state: State, fewest: number): readonly (readonly number[])[] {
    const many = this.table.drives.length;
    const later = valueFor(this.kept, cell);
    const seats = Array<number>(many).fill(0);
    // Of each class at most so many, and of those after it.
    const most = Array<number>(many);
    const [heldAfter, mostAfter] = [Array<number>(many + 1).fill(0), Array<number>(many + 1).fill(0)];
    for (let i = many - 1; i >= 0; i--) {
      const free = state[i]! - later[i]!;
      most[i] = Math.max(Math.min(cell.held[i]!, free), cell.takes[i] ? free : 0);
      heldAfter[i] = heldAfter[i + 1]! + cell.held[i]!;
      mostAfter[i] = mostAfter[i + 1]! + most[i]!;
    }
    const found: number[][] = [];
    const go = (i: number, left: number) => {
      if (i === many) {
        found.push(seats.slice());
        spend(this.work, 1);
        return;
      }
      const held = Math.min(cell.held[i]!, state[i]! - later[i]!);
      // The classes after this one must be able to fill what has to be filled.
      const least = Math.max(held, fewest - (cell.bays.length - left) - mostAfter[i + 1]!);
      const top = Math.max(held, Math.min(most[i]!, left - heldAfter[i + 1]!));
      for (
        let count = Math.min(top, left);
        count >= least && !(found.length > 0 && this.enough(found.length));
        count--
      ) {
        seats[i] = count;
        go(i + 1, left - count);
      }
      seats[i] = 0;
    };
    go(0, cell.bays.length);
    return found;
  }

  /**
   * So many of a cell's bays are filled in every way that leaves out no more than may be: the cells after it cannot
   * take more.
   */
  private fewest(cell: Cell, state: State, aLeft: number): number {
    let [seeking, leastOut] = [0, Infinity];
    for (let i = 0; i < this.table.drives.length; i++) {
      if (state[i] === 0 || !this.bounds.housed[i]) continue;
      seeking += state[i]!;
      leastOut = Math.min(leastOut, memberAt(this.table.drives, i).out);
    }
    const outside = aLeft === Infinity || seeking === 0 ? seeking : Math.floor(aLeft / leastOut);
    return Math.max(0, seeking - valueFor(this.baysAfter, cell) - outside);
  }

  /** What seating so many costs, cable aside: not fitting, puts and places left. */
  private seating(
    cell: Cell,
    seats: readonly number[],
  ): { a: number; b: number; c: number; taste: number; total: number } {
    let [b, c, taste, total] = [0, 0, 0, 0];
    for (let i = 0; i < seats.length; i++) {
      const count = seats[i]!;
      this.next[i]! -= count;
      total += count;
      if (cell.takes[i] === 2) b += count * MISFIT;
      b += Math.max(0, cell.held[i]! + cell.put[i]! - count) * PUT_BROKEN;
      c += Math.max(0, cell.home[i]! - count) * MOVE;
      c += this.slots.seat(this.next, this.at.homes, cell, i, count) * OTHER_BOX;
      taste += count * cell.taste[i]!;
    }
    this.slots.close(this.next, this.at.homes, cell);
    return { a: 0, b, c, taste, total };
  }

  private fed(cell: Cell, index: number, state: State, aLeft: number, emit: Emit): void {
    const { drives, ports } = this.table;
    const { at, next } = this;
    const shared = cell.kind === 'shared';
    const ways = this.ways(cell, state, aLeft);
    for (const feed of cell.feeds) {
      const port = memberAt(ports, feed.port);
      // A twin with as many left does as well.
      if (this.before.get(feed.port)?.some((twin) => state[at.ports + twin] === state[at.ports + feed.port])) continue;
      const mostUplinks = shared
        ? Math.min(cell.targets.length, 2, this.free(state, feed.port))
        : Math.min(1, this.free(state, feed.port));
      for (let uplinks = 1; uplinks <= mostUplinks && !this.enough(0); uplinks++) {
        for (const seats of ways) {
          let served = 0;
          let asked = 0;
          for (let i = 0; i < seats.length; i++)
            if (feed.serves[i]) {
              served += seats[i]!;
              asked += seats[i]! * memberAt(drives, i).wishMBps;
            }
          if (served === 0) continue;
          this.copy(state);
          next[at.ports + feed.port]! -= uplinks;
          const cost = this.seating(cell, seats);
          if (!this.limit(port, served)) continue;
          for (let i = 0; i < seats.length; i++) {
            if (!feed.serves[i]) {
              cost.a += seats[i]! * memberAt(drives, i).loose;
              continue;
            }
            cost.b += seats[i]! * feed.lossMBps[i]! * MB_LOST;
            if (memberAt(drives, i).boot && !port.onBoard) cost.b += seats[i]! * BOOT_OFF_BOARD;
          }
          if (shared) cost.b += Math.max(0, asked - uplinks * feed.carriesMBps) * MB_LOST;
          cost.b += this.ask(port, asked) * MB_LOST;
          const kept = Math.min(uplinks, cell.fedFrom.filter((one) => one === port.first).length);
          const moved = cell.fedFrom.length - kept + (cell.wasReverse ? 1 : 0);
          const partly = !shared && served < cell.bays.length ? PARTLY_USED : 0;
          emit(
            next,
            cost.a,
            cost.b,
            cost.c + this.buy(feed.cable, feed.owned, uplinks) + moved * MOVE + partly,
            cost.taste,
            { what: 'cell', cell: index, seats, feed, uplinks, strands: null } satisfies Pick,
          );
        }
      }
    }
    if (cell.reverse && !this.enough(0)) this.inReverse(cell, cell.reverse, index, state, ways, emit);
    for (const seats of ways) {
      let loose = 0;
      for (let i = 0; i < seats.length; i++) loose += seats[i]! * memberAt(drives, i).loose;
      if (loose > aLeft) continue;
      this.copy(state);
      const cost = this.seating(cell, seats);
      emit(next, loose, cost.b, cost.c, cost.taste, {
        what: 'cell',
        cell: index,
        seats,
        feed: null,
        uplinks: 0,
        strands: null,
      } satisfies Pick);
    }
  }

  /** Single SATA ports joined on one connector; each serves one bay. */
  private inReverse(
    cell: Cell,
    cable: string,
    index: number,
    state: State,
    ways: readonly (readonly number[])[],
    emit: Emit,
  ): void {
    const { drives, ports, owned } = this.table;
    const { at } = this;
    const singles = ports.flatMap((port, p) =>
      port.kind === 'sata' &&
      port.lanes === 1 &&
      port.behind < 0 &&
      state[at.ports + p]! > 0 &&
      port.ports[0].inside &&
      port.ports[0].box === cell.box &&
      port.ports[0].carries.includes('sata')
        ? [p]
        : [],
    );
    if (singles.length === 0) return;
    const mine = owned.findIndex((one) => one.cable === cable);
    for (const seats of ways) {
      const waiting = seats.reduce(
        (sum, count, i) => sum + (memberAt(drives, i).protocol === 'sata' && cell.takes[i] !== 0 ? count : 0),
        0,
      );
      for (let many = Math.min(waiting, 4); many >= 1 && !this.enough(0); many--)
        this.joined(cell, cable, mine, index, state, seats, many, singles, emit);
    }
  }

  /** How many ports of each class join for so many drives. */
  private joined(
    cell: Cell,
    cable: string,
    mine: number,
    index: number,
    state: State,
    seats: readonly number[],
    many: number,
    singles: readonly number[],
    emit: Emit,
  ): void {
    const {
      at,
      next,
      table: { ports },
    } = this;
    let told = 0;
    const go = (nth: number, left: number, taken: readonly (readonly [number, number])[]) => {
      if (this.enough(told)) return;
      if (left === 0) {
        told++;
        this.copy(state);
        const cost = this.seating(cell, seats);
        for (const [p, count] of taken) {
          next[at.ports + p]! -= count;
          if (!this.limit(memberAt(ports, p), count)) return;
        }
        const strands = this.strands(cell, seats, taken);
        const b = cost.b + strands.lostMBps * MB_LOST + strands.offBoard * BOOT_OFF_BOARD;
        const c =
          cost.c + this.buy(cable, mine, 1) + cell.fedFrom.length * MOVE + (many < cell.bays.length ? PARTLY_USED : 0);
        // Of ways as good the strands stay in the ports they were in.
        const kept = taken.reduce(
          (sum, [p, count]) => sum + Math.min(count, cell.joinedFrom.filter((one) => one === p).length),
          0,
        );
        emit(next, strands.out, b, c, cost.taste + cell.joinedFrom.length - kept, {
          what: 'cell',
          cell: index,
          seats,
          feed: null,
          uplinks: 0,
          strands: strands.pairs,
        } satisfies Pick);
        return;
      }
      if (nth === singles.length) return;
      const p = singles[nth]!;
      for (let count = Math.min(left, state[at.ports + p]!); count >= 0; count--)
        go(nth + 1, left - count, count ? [...taken, [p, count] as const] : taken);
    };
    go(0, many, []);
  }

  private readonly stranded = new Map<string, Strands>();
  private strands(cell: Cell, seats: readonly number[], taken: readonly (readonly [number, number])[]): Strands {
    const key = `${cell.laneGb}|${seats.join()}|${taken.join()}`;
    let known = this.stranded.get(key);
    if (!known) this.stranded.set(key, (known = strandsOf(this.table, cell.laneGb, seats, taken)));
    return known;
  }

  private loose(cell: Cell, index: number, state: State, aLeft: number, emit: Emit): void {
    const { next, at } = this;
    for (const seats of this.ways(cell, state, aLeft)) {
      this.copy(state);
      const cost = this.seating(cell, seats);
      for (let i = 0; i < seats.length; i++) if (cell.ends[i]! >= 0) next[at.ends + cell.ends[i]!]! += seats[i]!;
      emit(next, cost.a, cost.b, cost.c, cost.taste, {
        what: 'cell',
        cell: index,
        seats,
        feed: null,
        uplinks: 0,
        strands: null,
      } satisfies Pick);
    }
  }

  /** One class of ports serves ends that wait: each port one, or a breakout four. */
  ports(p: number, order: readonly number[]): Layer {
    const {
      at,
      table: { ports, ends },
    } = this;
    const port = memberAt(ports, p);
    // Who is tied to this port by hand comes first, and is served as long as there is a lane and the card takes more.
    const served = ends
      .flatMap((end, e) => (end.serves[p] ? [e] : []))
      .sort((a, b) => Number(memberAt(ends, b).tied === p) - Number(memberAt(ends, a).tied === p) || a - b);
    return {
      room: (state) => this.bounds.room(state, NO_CELLS, order),
      expand: (state, emit) => {
        const free = this.free(state, p);
        const lanes = Math.min(
          port.lanes >= 4 ? 4 * free : free,
          port.limit < 0 ? Infinity : state[at.limits + port.limit]!,
        );
        const counts = served.map(() => 0);
        let told = 0;
        const go = (nth: number, left: number) => {
          if (told > 0 && this.enough(told)) return;
          if (nth === served.length) {
            told++;
            this.onPorts(p, served, counts, state, emit);
            return;
          }
          const end = served[nth]!;
          const most = Math.min(left, state[at.ends + end]!);
          for (let count = most; count >= (memberAt(ends, end).tied === p ? most : 0); count--) {
            counts[nth] = count;
            go(nth + 1, left - count);
          }
          counts[nth] = 0;
        };
        go(0, lanes);
        // The first few may all want more cables than there are ports for; none at all goes always.
        if (this.few)
          this.onPorts(
            p,
            served,
            served.map(() => 0),
            state,
            emit,
          );
      },
    };
  }

  /**
   * Settled uses of an expander card's connectors count in the way it is fed now, or in the first where it is not fed.
   */
  private countsSettled(state: State, p: number): boolean {
    const { ports } = this.table;
    const fed = (one: number) => state[this.at.ports + one]! > 0;
    return (
      memberAt(ports, p).behind < 0 ||
      fed(p) ||
      (memberAt(ports, p).first === p && !ports.some((one, other) => one.first === p && fed(other)))
    );
  }

  private onPorts(p: number, served: readonly number[], counts: readonly number[], state: State, emit: Emit): void {
    const {
      at,
      next,
      table: { ports, ends, drives },
    } = this;
    const port = memberAt(ports, p);
    const wasOn = this.countsSettled(state, p);
    const perCable = new Map<string, number>();
    let [b, asked, total, either] = [0, 0, 0, 0];
    let lender: string | null = null;
    let borrower: string | null = null;
    counts.forEach((count, nth) => {
      const end = memberAt(ends, served[nth]!);
      const serves = memberAt(end.serves, p);
      if (!serves) return;
      const { cable, lossMBps, also } = serves;
      const drive = memberAt(drives, end.drive);
      total += count;
      asked += count * drive.wishMBps;
      b += count * lossMBps * MB_LOST + (drive.boot && !port.onBoard ? count * BOOT_OFF_BOARD : 0);
      if (count === 0) return;
      perCable.set(cable, (perCable.get(cable) ?? 0) + count);
      if (also) {
        either += count;
        lender = also;
        borrower = cable;
      }
    });
    const emitCables = (cables: ReadonlyMap<string, number>, partly: number, lent: number) => {
      const used = [...cables.values()].reduce((sum, one) => sum + one, 0);
      if (used > this.free(state, p)) return;
      this.copy(state);
      // Ports of a class that was looked at are not looked at again: what is left of them is no part of a state.
      next[at.ports + p] = 0;
      counts.forEach((count, nth) => {
        next[at.ends + served[nth]!]! -= count;
      });
      if (!this.limit(port, total)) return;
      let buy = 0;
      for (const [cable, count] of cables)
        buy += this.buy(
          cable,
          this.table.owned.findIndex((one) => one.cable === cable),
          count,
        );
      let moved = 0;
      if (wasOn)
        for (const [cable, count] of memberAt(ports, port.first).single)
          moved += Math.max(0, count - (cables.get(cable) ?? 0));
      emit(next, 0, b + this.ask(port, asked) * MB_LOST, buy + moved * MOVE + partly * PARTLY_USED, 0, {
        what: 'ports',
        port: p,
        ends: served.map((end, nth) => [end, counts[nth]!] as const).filter(([, count]) => count > 0),
        cables,
        lent,
      } satisfies Pick);
    };
    const wide = port.lanes >= 4;
    const forward = [...perCable].filter(([cable]) => wide && cable.startsWith('forward'));
    const straight = [...perCable].filter(([cable]) => !wide || !cable.startsWith('forward'));
    const base = new Map(straight);
    if (forward.length === 0) {
      emitCables(base, 0, 0);
      return;
    }
    // SATA drives may take tails of a breakout for SAS drives: every number lent is tried, and cables more than needed
    // where more were settled.
    for (let lent = 0; lent <= (lender ? either : 0); lent++) {
      const lanes = new Map(forward);
      if (lender && borrower) {
        lanes.set(borrower, (lanes.get(borrower) ?? 0) - lent);
        lanes.set(lender, (lanes.get(lender) ?? 0) + lent);
      }
      const need = [...lanes].filter(([, count]) => count > 0);
      this.breakouts(port, need, (cables, partly) => emitCables(new Map([...base, ...cables]), partly, lent));
    }
  }

  /** Breakouts for lanes by cable: as few as serve them, or up to as many as were there. */
  private breakouts(
    port: PortClass,
    need: readonly (readonly [string, number])[],
    each: (cables: readonly (readonly [string, number])[], partly: number) => void,
  ): void {
    const go = (nth: number, cables: readonly (readonly [string, number])[], partly: number) => {
      if (nth === need.length) {
        each(cables, partly);
        return;
      }
      const [cable, lanes] = memberAt(need, nth);
      const fewest = Math.ceil(lanes / 4);
      for (
        let count = fewest;
        count <= Math.min(lanes, Math.max(fewest, memberAt(this.table.ports, port.first).single.get(cable) ?? 0));
        count++
      )
        go(
          nth + 1,
          [...cables, [cable, count]],
          partly +
            count -
            Math.floor(count === fewest ? lanes / 4 : Math.min(lanes / 4, Math.floor((lanes - count) / 3))),
        );
    };
    go(0, [], 0);
  }

  /** What is left at the end stays out. */
  rest(): Layer {
    const { drives, ends } = this.table;
    return {
      room: (state) => this.bounds.room(state, NO_CELLS, NO_PORTS),
      expand: (state, emit) => {
        let a = 0;
        for (let i = 0; i < drives.length; i++) a += state[i]! * memberAt(drives, i).out;
        for (let e = 0; e < ends.length; e++)
          a += state[this.at.ends + e]! * memberAt(drives, memberAt(ends, e).drive).loose;
        this.next.fill(0);
        emit(this.next, a, 0, 0, 0, { what: 'rest' } satisfies Pick);
      },
    };
  }
}
