import { valueFor, memberAt } from '../../lists';
import { cableKindById } from '../../links/cableKinds';
import type { Protocol } from '../../parts/vocabulary';
import type { Room } from './least';
import { burdenOf } from './score';
import type { HomeSlots } from './homeSlots';
import { freePorts, STEP, type Cell, type PortClass, type State, type Table } from './table';

/**
 * How a state's numbers lie: drives waiting by class, ports free, ends waiting, cables in hand, MB/s asked of expanders
 * (by 50), drives a controller still takes, and drives that were in a box or in none (`HomeSlots`).
 */
export type Offsets = {
  readonly ports: number;
  readonly ends: number;
  readonly owned: number;
  readonly asked: number;
  readonly limits: number;
  readonly homes: number;
  readonly size: number;
};
/** What is left of a state, reckoned for a bound: nothing here may be more than what dealing on will cost. */
export class Bounds {
  /** Whether anything at all could serve a class of drives. */
  private readonly hope: readonly boolean[];
  /** Whether any bay takes it. */
  readonly housed: readonly boolean[];
  /** All drives, and those that the same cells take; and which cells take any of them. */
  private readonly kinds: readonly ReadonlySet<number>[];
  private readonly suits: ReadonlyMap<Cell, readonly boolean[]>;
  /** Of a class of drives, the kinds it is of; and of a class of ports or ends, what is asked of it again and again. */
  private readonly kindsOf: readonly (readonly number[])[];
  /** Drives are bounded all together (null) and by what they speak; whether each class of ports speaks it. */
  private readonly protocols: readonly (Protocol | null)[];
  private readonly speaks: readonly (readonly boolean[])[];
  /** Whether outside ports feed anything but shared uplinks. */
  private readonly outsideApart: boolean;
  /** What one port of a class carries. */
  private readonly portMBps: readonly number[];
  private readonly byWish: readonly number[];
  /** What is told of one state, written over for the next: a bound is read at once and never kept. */
  private readonly waiting: { readonly ranked: [number, number, number]; reach: number }[];
  private readonly homes: { readonly seeking: [number, number, number]; bays: number }[];
  private readonly asking: number[];
  private readonly wishMBps: readonly number[];
  private readonly nthByWish: readonly number[];
  /** Whether all ports of the board itself have one lane, and feed nothing shared. */
  private readonly boardApart: boolean;
  private readonly mostWish: number;
  private readonly boxes: ReadonlyMap<string | null, number>;
  private readonly boxOfPort: readonly number[];
  private readonly boxOfEnd: readonly number[];
  private readonly known = new Map<readonly Cell[], CellFacts>();
  private readonly bays: number[];
  private readonly lanes: number[];

  constructor(
    private readonly table: Table,
    private readonly at: Offsets,
    private readonly slots: HomeSlots,
  ) {
    // Where a bracket leads from box to box, the bays of all are one room for the ports of all.
    const isOneRoom = table.cells.some((cell) =>
      cell.feeds.some(({ cable }) => cableKindById(cable)?.bracketAt !== undefined),
    );
    this.boxes = new Map(
      [...new Set([...table.cells.map((cell) => cell.box), ...table.ends.map((end) => end.box)])].map((box, i) => [
        box,
        isOneRoom ? 0 : i,
      ]),
    );
    this.boxOfPort = table.ports.map((port) =>
      isOneRoom ? 0 : port.ports[0].inside ? (this.boxes.get(port.ports[0].box) ?? -1) : -1,
    );
    this.boxOfEnd = table.ends.map((end) => valueFor(this.boxes, end.box));
    this.bays = [...this.boxes].map(() => 0);
    this.lanes = [...this.boxes].map(() => 0);
    this.housed = table.drives.map((_, i) => table.cells.some((cell) => cell.takes[i] !== 0 && cell.bays.length > 0));
    const like = new Map<string, Set<number>>([['', new Set(table.drives.keys())]]);
    for (const i of table.drives.keys()) {
      const mark = table.cells.map((cell) => Number(cell.takes[i]! > 0)).join('');
      like.set(mark, (like.get(mark) ?? new Set()).add(i));
    }
    // Where all drives go the same ways the one kind says it all.
    this.kinds = like.size === 2 ? [valueFor(like, '')] : [...like.values()];
    this.suits = new Map(
      table.cells.map((cell) => [cell, this.kinds.map((kind) => [...kind].some((i) => cell.takes[i]! > 0))]),
    );
    this.kindsOf = table.drives.map((_, i) => this.kinds.flatMap((kind, k) => (kind.has(i) ? [k] : [])));
    const spoken = [...new Set(table.drives.map((drive) => drive.protocol))];
    this.protocols = [null, ...(spoken.length > 1 ? spoken : [])];
    // What a bridge speaks over its cable is not what its drives speak: there every port counts.
    const bridged = table.cells.some((cell) => cell.targets.some((target) => target.speaks !== null));
    this.speaks = table.ports.map((port) =>
      this.protocols.map((one) => one === null || bridged || port.ports[0].carries.includes(one)),
    );
    this.outsideApart =
      isOneRoom || table.cells.some((cell) => cell.kind !== 'shared' && cell.targets.some((target) => !target.inside));
    this.byWish = [...table.drives.keys()].sort(
      (a, b) => memberAt(table.drives, a).wishMBps - memberAt(table.drives, b).wishMBps,
    );
    this.waiting = this.protocols.map(() => ({ ranked: [0, 0, 0], reach: 0 }));
    this.homes = this.kinds.map(() => ({ seeking: [0, 0, 0], bays: 0 }));
    this.asking = this.byWish.map(() => 0);
    this.wishMBps = this.byWish.map((i) => memberAt(table.drives, i).wishMBps);
    this.nthByWish = [...table.drives.keys()].map((i) => this.byWish.indexOf(i));
    this.portMBps = table.ports.map((port, p) => mostOver(table, port, p));
    this.hope = table.drives.map((drive, i) =>
      table.cells.some(
        (cell) =>
          cell.takes[i] !== 0 &&
          (cell.feeds.some((feed) => feed.serves[i]) ||
            (cell.reverse !== null && drive.protocol === 'sata') ||
            (cell.kind === 'loose' && memberAt(table.ends, cell.ends[i]!).serves.some(Boolean))),
      ),
    );
    this.boardApart =
      table.drives.every((drive) => drive.boot === (drive.rank === 1)) &&
      table.ports.every(
        (port, p) =>
          !port.onBoard ||
          (port.lanes === 1 &&
            !table.cells.some((cell) => cell.kind === 'shared' && cell.feeds.some((feed) => feed.port === p))),
      );
    this.mostWish = Math.max(0, ...table.drives.map((drive, i) => (this.hope[i] ? drive.wishMBps : 0)));
  }

  /** `open` is the first expander whose uplinks are still to be chosen: it may yet bring all its connectors. */
  room(
    state: State,
    cells: readonly Cell[],
    order: readonly number[] | null,
    open = this.table.expanders.length,
  ): Room {
    const { drives, ports, ends, owned } = this.table;
    const facts = this.factsOf(cells);
    const { narrow, feeding } = this.narrow(state, facts, open);
    const { waiting, homes } = this;
    for (let k = 0; k < waiting.length; k++) {
      memberAt(waiting, k).ranked.fill(0);
      memberAt(waiting, k).reach = this.reach(state, facts, order, open, k, feeding);
    }
    for (let k = 0; k < homes.length; k++) {
      memberAt(homes, k).seeking.fill(0);
      memberAt(homes, k).bays = facts.homeBays[k]!;
    }
    let [lost, nowhere] = [0, 0];
    for (let i = 0; i < drives.length; i++) {
      const count = state[i]!;
      if (count === 0) continue;
      const { rank, out, loose } = memberAt(drives, i);
      if (!this.housed[i]) {
        nowhere += count * out;
        continue;
      }
      for (const k of memberAt(this.kindsOf, i)) memberAt(homes, k).seeking[rank] += count;
      if (this.hope[i]) this.wait(i, count);
      else lost += count * loose;
    }
    for (let e = 0; e < ends.length; e++) {
      const count = state[this.at.ends + e]!;
      if (count === 0) continue;
      const i = memberAt(ends, e).drive;
      if (this.hope[i]) this.wait(i, count);
      else lost += count * memberAt(drives, i).loose;
    }
    let fours = 0;
    let ones = 0;
    let own = 0;
    let onBoard = 0;
    const many = order ? order.length : ports.length;
    for (let nth = 0; nth < many; nth++) {
      const p = order ? order[nth]! : nth;
      if (memberAt(ports, p).onBoard) onBoard += state[this.at.ports + p]!;
      if (!memberAt(ports, p).ports[0].inside && !this.outsideApart) continue;
      const free = this.free(state, p, open);
      if (memberAt(ports, p).lanes < 4) {
        ones += free;
        continue;
      }
      fours += free;
      if (memberAt(ports, p).behind < 0) own += free;
    }
    let inHand = 0;
    for (let o = 0; o < owned.length; o++) inHand += state[this.at.owned + o]! * burdenOf(memberAt(owned, o).cable);
    const straight = Math.min(facts.direct, fours);
    const carry =
      open < this.table.expanders.length || facts.wide
        ? null
        : {
            own,
            expanderMBps: this.table.expanders.reduce(
              (sum, expander, i) =>
                sum +
                this.leftOf(
                  state,
                  expander.feeds.flatMap((feed) => feed.outlets).find((p) => state[this.at.ports + p]! > 0),
                  i,
                ),
              0,
            ),
            driveMBps: this.mostWish,
          };
    const board = this.boardApart ? { boots: memberAt(waiting, 0).ranked[1], lanes: onBoard } : null;
    return {
      nowhere,
      homes,
      waiting,
      narrow,
      carry,
      board,
      whole: this.whole(state, order, open),
      lost,
      shared: facts.shared,
      straight,
      breakouts: fours - straight + Math.min(facts.reverse, ones),
      owned: inHand,
      away: this.slots.away(state, this.at.homes, cells),
    };
  }

  /** So many of a class of drives wait: among all, and among those that speak as they do. */
  private wait(i: number, count: number): void {
    const { waiting } = this;
    const { protocol, rank } = memberAt(this.table.drives, i);
    for (let k = 0; k < waiting.length; k++)
      if (k === 0 || protocol === this.protocols[k]) memberAt(waiting, k).ranked[rank] += count;
  }

  /**
   * What of a bound rests on which cells are still to be filled, and on nothing of a state: reckoned once for each
   * layer.
   */
  private factsOf(cells: readonly Cell[]): CellFacts {
    const known = this.known.get(cells);
    if (known) return known;
    let [apart, most, outside, direct, reverse] = [0, 0, 0, 0, 0];
    const [uplinked, shared]: [number[], number[]] = [[], []];
    const feeders = new Map<number, number>();
    const boxBays = [...this.boxes].map(() => 0);
    for (const cell of cells) {
      const bays = cell.bays.length;
      if (cell.kind === 'shared' || (cell.kind === 'direct' && bays > 4)) shared.push(bays);
      else if (cell.kind === 'direct') {
        direct += Number(cell.feeds.length > 0);
        reverse += Number(cell.reverse !== null);
      }
      if (cell.kind !== 'shared') {
        apart += bays;
        if (cell.targets[0]?.inside === false) outside += bays;
        else boxBays[valueFor(this.boxes, cell.box)]! += bays;
        continue;
      }
      uplinked.push(bays);
      for (const feed of cell.feeds) {
        most = Math.max(most, feed.carriesMBps);
        if (!feeders.has(feed.port)) feeders.set(feed.port, feed.carriesMBps);
      }
    }
    const down = (a: number, b: number) => b - a;
    const made: CellFacts = {
      apart,
      most,
      outside,
      direct,
      reverse,
      boxBays,
      feeders: [...feeders],
      uplinked: uplinked.sort(down),
      shared: shared.sort(down),
      asked: this.askedOver(cells),
      // A wide direct connector holds many as well, and none of them asks anything of an uplink.
      wide: cells.some((cell) => cell.kind === 'direct' && cell.bays.length > 4),
      homeBays: this.kinds.map((_, k) =>
        cells.reduce((sum, cell) => sum + (valueFor(this.suits, cell)[k] ? cell.bays.length : 0), 0),
      ),
    };
    this.known.set(cells, made);
    return made;
  }

  /** Inside a box no more drives are served than it has bays for, and no more than its ports have lanes. */
  private narrow(
    state: State,
    { apart, feeders, most, wide, asked }: CellFacts,
    open: number,
  ): { readonly narrow: Room['narrow']; readonly feeding: number } {
    let [mbPerS, feeding] = [0, 0];
    for (let i = 0; i < feeders.length; i++) {
      const [port, carriesMBps] = memberAt(feeders, i);
      const free = this.free(state, port, open);
      mbPerS += carriesMBps * free;
      feeding += free;
    }
    return {
      feeding,
      narrow:
        feeders.length === 0
          ? null
          : {
              apart,
              mbPerS: Math.min(mbPerS, asked[Math.min(feeding, asked.length - 1)]!),
              most: wide ? 0 : most,
              wishMBps: this.wishMBps,
              counts: this.byWish.map((i) => (this.hope[i] ? state[i]! : 0)),
            },
    };
  }

  /** Ports left of a class; an expander card whose uplinks are still to be chosen may bring all it has. */
  private free(state: State, p: number, open: number): number {
    const port = memberAt(this.table.ports, p);
    return port.behind < open ? freePorts(state, this.at.ports, p, port) : port.first === p ? port.ports.length : 0;
  }

  /** MB/s that the uplinks of an expander card still carry, reached by one of its classes of ports. */
  private leftOf(state: State, port: number | undefined, behind: number): number {
    if (port === undefined) return 0;
    return Math.max(0, memberAt(this.table.ports, port).uplinkMBps - state[this.at.asked + behind]! * STEP);
  }

  /**
   * Every drive with a cable takes from a port what it gets; what hangs on an expander card, from the ports that feed
   * it.
   */
  private whole(state: State, order: readonly number[] | null, open: number): Room['whole'] {
    const { ports, ends } = this.table;
    let mbPerS = 0;
    const many = order ? order.length : ports.length;
    for (let nth = 0; nth < many; nth++) {
      const p = order ? order[nth]! : nth;
      const { behind } = memberAt(ports, p);
      const free = this.free(state, p, this.table.expanders.length);
      if (free === 0) continue;
      if (behind < 0) mbPerS += free * this.portMBps[p]!;
      else if (behind < open) mbPerS += this.leftOf(state, p, behind);
    }
    const counts = this.asking;
    for (let nth = 0; nth < counts.length; nth++) {
      const i = this.byWish[nth]!;
      counts[nth] = this.hope[i] ? state[i]! : 0;
    }
    for (let e = 0; e < ends.length; e++) {
      const i = memberAt(ends, e).drive;
      if (this.hope[i]) counts[this.nthByWish[i]!]! += state[this.at.ends + e]!;
    }
    return { wishMBps: this.wishMBps, counts, apart: 0, mbPerS };
  }

  /**
   * What so many uplinks carry at most, by their number: no cell is asked more than its bays full of the drives that
   * wish most.
   */
  private askedOver(cells: readonly Cell[]): readonly number[] {
    const wish = this.mostWish;
    const each = cells
      .filter((cell) => cell.kind === 'shared')
      .flatMap((cell) => {
        const carries = Math.max(0, ...cell.feeds.map((feed) => feed.carriesMBps));
        return cell.targets
          .slice(0, 2)
          .map((_, i) => Math.max(0, Math.min(carries, cell.bays.length * wish - i * carries)));
      })
      .sort((a, b) => b - a);
    return each.reduce((all, one) => [...all, all.at(-1)! + one], [0]);
  }

  /** Drives of a protocol (the first is all) that find a bay and a lane in one box, at most. */
  private reach(
    state: State,
    { uplinked, outside, boxBays }: CellFacts,
    order: readonly number[] | null,
    open: number,
    k: number,
    feeders: number,
  ): number {
    const { ports, ends, drives } = this.table;
    const { boxOfPort, boxOfEnd, bays, lanes } = this;
    for (let box = 0; box < bays.length; box++) {
      bays[box] = boxBays[box]!;
      lanes[box] = 0;
    }
    let reach = outside;
    for (let nth = 0; nth < uplinked.length && nth < feeders; nth++) reach += uplinked[nth]!;
    for (let e = 0; e < ends.length; e++)
      if (k === 0 || memberAt(drives, memberAt(ends, e).drive).protocol === this.protocols[k])
        bays[boxOfEnd[e]!]! += state[this.at.ends + e]!;
    const many = order ? order.length : ports.length;
    for (let nth = 0; nth < many; nth++) {
      const p = order ? order[nth]! : nth;
      const box = boxOfPort[p]!;
      if (box < 0 || (k > 0 && !memberAt(this.speaks, p)[k])) continue;
      lanes[box]! += this.free(state, p, open) * (memberAt(ports, p).lanes >= 4 ? 4 : 1);
    }
    for (let box = 0; box < bays.length; box++) reach += Math.min(bays[box]!, lanes[box]!);
    return reach;
  }
}

/**
 * Of cells still to be filled: bays apart from shared uplinks (`apart`, of them `outside`, the others by box), those
 * behind uplinks and behind all that holds many, most first; who feeds them.
 */
type CellFacts = {
  readonly apart: number;
  readonly outside: number;
  readonly boxBays: readonly number[];
  readonly uplinked: readonly number[];
  readonly shared: readonly number[];
  readonly homeBays: readonly number[];
  readonly feeders: readonly (readonly [port: number, carriesMBps: number])[];
  readonly most: number;
  readonly asked: readonly number[];
  readonly wide: boolean;
  readonly direct: number;
  readonly reverse: number;
};

/** MB/s that drives of this machine get over one port of a class at most, by whatever cable. */
function mostOver({ drives, cells, ends, expanders }: Table, port: PortClass, p: number): number {
  const gets = (i: number, lossMBps: number) => Math.max(0, memberAt(drives, i).wishMBps - lossMBps);
  const straight = cells.flatMap((cell) =>
    cell.feeds
      .filter((feed) => feed.port === p)
      .map((feed) =>
        cell.kind === 'shared'
          ? feed.carriesMBps
          : cell.bays.length * Math.max(0, ...drives.map((_, i) => (feed.serves[i] ? gets(i, feed.lossMBps[i]!) : 0))),
      ),
  );
  const single = ends.map(({ drive, serves }) =>
    serves[p] ? gets(drive, serves[p].lossMBps) * (port.lanes >= 4 ? 4 : 1) : 0,
  );
  const reverse =
    port.kind === 'sata' && cells.some((cell) => cell.reverse !== null)
      ? drives.map((drive) => (drive.protocol === 'sata' ? drive.wishMBps : 0))
      : [];
  const fed = expanders.flatMap(({ feeds }) => feeds.filter((feed) => feed.port === p).map((feed) => feed.carriesMBps));
  return Math.max(0, ...straight, ...single, ...reverse, ...fed);
}
