import type { Protocol } from '../../parts/vocabulary';
import { laneMBps } from '../rates';
import { LOOSE, OUT } from './roles';
import { burdenOf, LEAD_TO_BUY, MB_LOST, type Score } from './score';
import { STEP, type Cell, type State, type Table } from './table';

/** How a state's numbers lie: drives waiting by class, ports free, ends waiting, leads in hand, MB/s asked of expanders (by 50), drives a controller still takes. */
export type Offsets = { readonly ports: number; readonly ends: number; readonly owned: number; readonly asked: number; readonly limits: number; readonly size: number };
/**
 * What is left to deal with, for a bound. In `a` for certain: `nowhere` for drives no bay takes, `lost`
 * for drives no lead could serve. Of all drives, and of each kind that the same bays take, `seeking`
 * want one of `bays`; and of all and of each
 * protocol so many are `waiting` for a lead, `reach` of which find a bay and a lane in one box at most. Then leads that could serve
 * them, by how many each does.
 */
export type Room = {
  readonly nowhere: number; readonly homes: readonly { readonly seeking: Ranked; readonly bays: number }[]; readonly waiting: readonly { readonly ranked: Ranked; readonly reach: number }[]; readonly lost: number;
  /** What bays behind shared uplinks must carry: wishes of the seeking, least first, that other bays (`apart`) do not take, over uplinks of `mbPerS` in all. */
  readonly narrow: { readonly wishes: readonly (readonly [mbPerS: number, count: number])[]; readonly apart: number; readonly mbPerS: number; /** The most that one uplink carries; 0 where nothing is known. */ readonly most: number } | null;
  /** What all that wait for a place or lead wish, over all the ports there are; `apart` is none. */
  readonly whole: { readonly wishes: readonly (readonly [mbPerS: number, count: number])[]; readonly apart: number; readonly mbPerS: number };
  readonly shared: readonly number[]; readonly straight: number; readonly breakouts: number; readonly owned: number;
};

/** Numbers of data drives, boot drives and others. */
export type Ranked = readonly [data: number, boot: number, rest: number];

/** What is left of a state, reckoned for a bound: nothing here may be more than what dealing on will cost. */
export class Bounds {
  /** Whether anything at all could serve a class of drives. */
  private readonly hope: readonly boolean[];
  /** Whether any bay takes it. */
  readonly housed: readonly boolean[];
  /** All drives, and those that the same cells take; and which cells take any of them. */
  private readonly kinds: readonly ReadonlySet<number>[];
  private readonly suits: ReadonlyMap<Cell, readonly boolean[]>;
  /** Drives are bounded all together (null) and by what they speak; whether each class of ports speaks it. */
  private readonly protocols: readonly (Protocol | null)[];
  private readonly speaks: readonly (readonly boolean[])[];
  /** Whether outside ports feed anything but shared uplinks. */
  private readonly outsideApart: boolean;
  /** What one port of a class carries. */
  private readonly portMBps: readonly number[];
  private readonly byWish: readonly number[];
  private readonly boxes: ReadonlyMap<string | null, number>;
  private readonly boxOfPort: readonly number[];
  private readonly boxOfEnd: readonly number[];
  private readonly sums = new Map<readonly Cell[], readonly number[]>();
  private readonly bays: number[];
  private readonly lanes: number[];

  constructor(private readonly table: Table, private readonly at: Offsets) {
    this.boxes = new Map([...new Set([...table.cells.map((cell) => cell.box), ...table.ends.map((end) => end.box)])].map((box, i) => [box, i]));
    this.boxOfPort = table.ports.map((port) => (port.ports[0]!.inside ? this.boxes.get(port.ports[0]!.box) ?? -1 : -1));
    this.boxOfEnd = table.ends.map((end) => this.boxes.get(end.box)!);
    this.bays = [...this.boxes].map(() => 0);
    this.lanes = [...this.boxes].map(() => 0);
    this.housed = table.drives.map((_, i) => table.cells.some((cell) => cell.takes[i] !== 0 && cell.bays.length > 0));
    const like = new Map<string, Set<number>>([['', new Set(table.drives.keys())]]);
    for (const i of table.drives.keys()) { const mark = table.cells.map((cell) => Number(cell.takes[i]! > 0)).join(''); like.set(mark, (like.get(mark) ?? new Set()).add(i)); }
    // Where all drives go the same ways the one kind says it all.
    this.kinds = like.size === 2 ? [like.get('')!] : [...like.values()];
    this.suits = new Map(table.cells.map((cell) => [cell, this.kinds.map((kind) => [...kind].some((i) => cell.takes[i]! > 0))]));
    const spoken = [...new Set(table.drives.map((drive) => drive.protocol))];
    this.protocols = [null, ...(spoken.length > 1 ? spoken : [])];
    // What a bridge speaks over its lead is not what its drives speak: there every port counts.
    const bridged = table.cells.some((cell) => cell.targets.some((target) => target.speaks !== null));
    this.speaks = table.ports.map((port) => this.protocols.map((one) => one === null || bridged || port.ports[0]!.carries.includes(one)));
    this.outsideApart = table.cells.some((cell) => cell.kind !== 'shared' && cell.targets.some((target) => !target.inside));
    this.byWish = [...table.drives.keys()].sort((a, b) => table.drives[a]!.wishMBps - table.drives[b]!.wishMBps);
    this.portMBps = table.ports.map((port, p) => Math.max(port.lanes * Math.max(...port.ports[0]!.carries.map((one) => laneMBps(one, port.ports[0]!.gbPerLane))), ...table.expanders.flatMap(({ feeds }) => feeds.filter((feed) => feed.port === p).map((feed) => feed.carriesMBps))));
    this.hope = table.drives.map((drive, i) => table.cells.some((cell) => cell.takes[i] !== 0 && (cell.feeds.some((feed) => feed.serves[i]) || (cell.reverse !== null && drive.protocol === 'sata') || (cell.kind === 'loose' && table.ends[cell.ends[i]!]!.serves.some(Boolean)))));
  }

  /** `open` is the first expander whose uplinks are still to be chosen: it may yet bring all its connectors. */
  room(state: State, cells: readonly Cell[], order: readonly number[] | null, open = this.table.expanders.length): Room {
    const { drives, ports, ends, owned } = this.table;
    const { narrow, shared: uplinks } = this.narrow(state, cells, open);
    const waiting = this.protocols.map((_, k) => ({ ranked: [0, 0, 0] as [number, number, number], reach: this.reach(state, cells, order, open, k, uplinks) }));
    const wait = (i: number, count: number) => { for (let k = 0; k < waiting.length; k++) if (k === 0 || drives[i]!.protocol === this.protocols[k]) waiting[k]!.ranked[drives[i]!.rank] += count; };
    const homes = this.kinds.map(() => ({ seeking: [0, 0, 0] as [number, number, number], bays: 0 }));
    let [lost, nowhere] = [0, 0];
    for (let i = 0; i < drives.length; i++) {
      const count = state[i]!;
      const { rank, out, loose } = drives[i]!;
      if (!this.housed[i]) { nowhere += count * out; continue; }
      for (let k = 0; k < homes.length; k++) if (this.kinds[k]!.has(i)) homes[k]!.seeking[rank] += count;
      if (this.hope[i]) wait(i, count); else lost += count * loose;
    }
    for (let e = 0; e < ends.length; e++) {
      const [i, count] = [ends[e]!.drive, state[this.at.ends + e]!];
      if (this.hope[i]) wait(i, count); else lost += count * drives[i]!.loose;
    }
    for (const cell of cells) for (let k = 0; k < homes.length; k++) if (this.suits.get(cell)![k]) homes[k]!.bays += cell.bays.length;
    const shared: number[] = [];
    let direct = 0;
    let reverse = 0;
    for (const cell of cells) {
      if (cell.kind === 'shared' || (cell.kind === 'direct' && cell.bays.length > 4)) shared.push(cell.bays.length);
      else if (cell.kind === 'direct') { if (cell.feeds.length) direct++; if (cell.reverse) reverse++; }
    }
    shared.sort((a, b) => b - a);
    let fours = 0;
    let ones = 0;
    const count = (p: number) => { if (!ports[p]!.ports[0]!.inside && !this.outsideApart) return; if (ports[p]!.lanes >= 4) fours += state[this.at.ports + p]!; else ones += state[this.at.ports + p]!; };
    if (order) order.forEach(count);
    else for (let p = 0; p < ports.length; p++) { if (ports[p]!.behind >= open) fours += ports[p]!.uplinks === 1 ? ports[p]!.ports.length : 0; else count(p); }
    let inHand = 0;
    for (let o = 0; o < owned.length; o++) inHand += state[this.at.owned + o]! * burdenOf(owned[o]!.lead);
    const straight = Math.min(direct, fours);
    return { nowhere, homes, waiting, narrow, whole: this.whole(state, order, open), lost, shared, straight, breakouts: fours - straight + Math.min(reverse, ones), owned: inHand };
  }

  /** Inside a box no more drives are served than it has bays for, and no more than its ports have lanes. */
  private narrow(state: State, cells: readonly Cell[], open: number): { readonly narrow: Room['narrow']; readonly shared: { readonly bays: readonly number[]; readonly ports: number } } {
    let apart = 0;
    let [mbPerS, most, feeding] = [0, 0, 0];
    const feeders = new Set<number>();
    const bays: number[] = [];
    for (const cell of cells) {
      if (cell.kind !== 'shared') { apart += cell.bays.length; continue; }
      bays.push(cell.bays.length);
      for (const feed of cell.feeds) {
        most = Math.max(most, feed.carriesMBps);
        if (feeders.has(feed.port)) continue;
        feeders.add(feed.port);
        const { behind, uplinks, ports } = this.table.ports[feed.port]!;
        const free = behind >= open ? (uplinks === 1 ? ports.length : 0) : state[this.at.ports + feed.port]!;
        mbPerS += feed.carriesMBps * free;
        feeding += free;
      }
    }
    // A wide direct connector holds many as well, and none of them asks anything of an uplink.
    const wide = cells.some((cell) => cell.kind === 'direct' && cell.bays.length > 4);
    const asked = this.askedOver(cells);
    const shared = { bays: bays.sort((a, b) => b - a), ports: feeding };
    return { shared, narrow: feeders.size === 0 ? null : { apart, mbPerS: Math.min(mbPerS, asked[Math.min(feeding, asked.length - 1)]!), most: wide ? 0 : most, wishes: this.byWish.map((i) => [this.table.drives[i]!.wishMBps, this.hope[i] ? state[i]! : 0]) } };
  }

  /** Every drive with a lead takes from a port what it gets; what hangs on an expander card, from the ports that feed it. */
  private whole(state: State, order: readonly number[] | null, open: number): Room['whole'] {
    const { ports, drives, ends, expanders } = this.table;
    let mbPerS = 0;
    const add = (p: number) => {
      const { behind, uplinks } = ports[p]!;
      const free = state[this.at.ports + p]!;
      if (free === 0) return;
      if (behind < 0) mbPerS += free * this.portMBps[p]!;
      else if (behind < open) mbPerS += Math.max(0, expanders[behind]!.feeds[0]!.carriesMBps * uplinks - state[this.at.asked + behind]! * STEP);
    };
    if (order) order.forEach(add);
    else for (let p = 0; p < ports.length; p++) add(p);
    const counts = drives.map((_, i) => (this.hope[i] ? state[i]! : 0));
    for (let e = 0; e < ends.length; e++) if (this.hope[ends[e]!.drive]) counts[ends[e]!.drive]! += state[this.at.ends + e]!;
    return { wishes: this.byWish.map((i) => [drives[i]!.wishMBps, counts[i]!]), apart: 0, mbPerS };
  }

  /** What so many uplinks carry at most, by their number: no cell is asked more than its bays full of the drives that wish most. */
  private askedOver(cells: readonly Cell[]): readonly number[] {
    const known = this.sums.get(cells);
    if (known) return known;
    const wish = Math.max(0, ...this.table.drives.map((drive, i) => (this.hope[i] ? drive.wishMBps : 0)));
    const each = cells.filter((cell) => cell.kind === 'shared').flatMap((cell) => {
      const carries = Math.max(0, ...cell.feeds.map((feed) => feed.carriesMBps));
      return cell.targets.slice(0, 2).map((_, i) => Math.max(0, Math.min(carries, cell.bays.length * wish - i * carries)));
    }).sort((a, b) => b - a);
    const sums = each.reduce((all, one) => [...all, all.at(-1)! + one], [0]);
    this.sums.set(cells, sums);
    return sums;
  }

  /** Drives of a protocol (the first is all) that find a bay and a lane in one box, at most. */
  private reach(state: State, cells: readonly Cell[], order: readonly number[] | null, open: number, k: number, shared: { readonly bays: readonly number[]; readonly ports: number }): number {
    const { ports, ends, drives } = this.table;
    const { boxOfPort, boxOfEnd, boxes, bays, lanes } = this;
    bays.fill(0);
    lanes.fill(0);
    let reach = 0;
    let feeding = shared.ports;
    for (const many of shared.bays) if (feeding-- > 0) reach += many; else break;
    for (const cell of cells) {
      if (cell.kind === 'shared') continue;
      if (cell.targets[0]?.inside === false) reach += cell.bays.length;
      else bays[boxes.get(cell.box)!]! += cell.bays.length;
    }
    for (let e = 0; e < ends.length; e++) if (k === 0 || drives[ends[e]!.drive]!.protocol === this.protocols[k]) bays[boxOfEnd[e]!]! += state[this.at.ends + e]!;
    const add = (p: number) => {
      const box = boxOfPort[p]!;
      if (k > 0 && !this.speaks[p]![k]) return;
      const free = ports[p]!.behind >= open ? (ports[p]!.uplinks === 1 ? ports[p]!.ports.length : 0) : state[this.at.ports + p]!;
      if (box >= 0) lanes[box]! += free * (ports[p]!.lanes >= 4 ? 4 : 1);
    };
    if (order) order.forEach(add);
    else for (let p = 0; p < ports.length; p++) add(p);
    for (let box = 0; box < bays.length; box++) reach += Math.min(bays[box]!, lanes[box]!);
    return reach;
  }
}

const total = (ranked: Ranked): number => ranked[0] + ranked[1] + ranked[2];
/** What so many of these count at least: those of the lowest rank first. */
function leastOf(ranked: Ranked, many: number, cost: Ranked): number {
  let [sum, left] = [0, many];
  for (let i = 2; i >= 0 && left > 0; i--) { const some = Math.min(left, ranked[i]!); sum += some * cost[i]!; left -= some; }
  return sum;
}

/** MB/s that are asked of shared uplinks past what they carry, however drives are dealt, with so many of them out. */
function lostOver({ wishes, apart, mbPerS }: Room['whole'], out: number): number {
  let left = wishes.reduce((sum, [, count]) => sum + count, 0) - apart - out;
  let asked = 0;
  for (const [wish, count] of wishes) { const some = Math.min(count, Math.max(0, left)); asked += some * wish; left -= some; }
  return Math.max(0, asked - mbPerS);
}

/** What leads for so many drives burden at least, where no more than so much is lost over shared uplinks: for every number of them that is not behind shared uplinks. */
function fewestLeads({ shared, straight, breakouts, narrow }: Room, waiting: number, lostMBps: number): number {
  const cells = shared.filter((many) => many > 4);
  const plainly = straight + shared.length - cells.length;
  let fewest = Infinity;
  const holds = cells.reduce((sum, many) => sum + many, 0);
  const behind = Math.min(waiting, holds);
  const asked = askedBy(narrow, behind);
  // The largest cells hold the drives; one less is wanted whenever the others hold them all.
  let [wanted, held] = [cells.length, holds];
  for (let n = behind; n >= 0; n--) {
    while (wanted > 0 && held - cells[wanted - 1]! >= n) held -= cells[--wanted]!;
    const uplinks = narrow && narrow.most > 0 ? Math.max(wanted, Math.ceil((asked(n) - lostMBps) / narrow.most)) : wanted;
    if (uplinks >= fewest) continue;
    fewest = Math.min(fewest, uplinks + apartLeads(waiting - n, plainly, breakouts));
  }
  return fewest;
}

/** MB/s that so many of the seeking ask at least: those that wish least. */
function askedBy(narrow: Room['narrow'], most: number): (n: number) => number {
  const sums = [0];
  for (const [wish, count] of narrow?.wishes ?? []) for (let i = 0; i < count && sums.length <= most; i++) sums.push(sums.at(-1)! + wish);
  return (n) => sums[Math.min(n, sums.length - 1)]!;
}

function apartLeads(drives: number, straight: number, breakouts: number): number {
  const plain = Math.min(Math.ceil(drives / 4), straight);
  const waiting = Math.max(0, drives - 4 * plain);
  // A breakout burdens as two and serves four; for one or two drives single leads do as well.
  const split = Math.min(Math.floor(waiting / 4), breakouts);
  const left = waiting - 4 * split;
  return plain + 2 * split + (split < breakouts ? Math.min(left, 2) : left);
}

/** No way on from here costs less: drives past every lane there is stay out, and the leads that serve most serve first. Where `limit` is given, no more is reckoned than tells whether this is less. */
export function least(sum: Score, room: Room | undefined, limit?: Score): Score {
  if (!room) return sum;
  let [homeless, outside] = [0, 0];
  for (const { seeking, bays } of room.homes) {
    const many = total(seeking) - bays;
    if (many <= 0) continue;
    homeless = Math.max(homeless, many);
    outside = Math.max(outside, leastOf(seeking, many, OUT));
  }
  const certain = sum.a + room.nowhere + outside;
  const lost = homeless > 0 ? 0 : room.lost;
  // Who has no bay wants no lead: those lost may be among the homeless.
  let waiting = total(room.waiting[0]!.ranked) - homeless;
  if (waiting <= 0) return { a: certain + lost, b: sum.b, c: sum.c };
  let [out, loose] = [0, 0];
  for (const { ranked, reach } of room.waiting) {
    const many = total(ranked) - homeless - reach;
    if (many <= 0) continue;
    out = Math.max(out, many);
    loose = Math.max(loose, leastOf(ranked, many, LOOSE));
  }
  waiting -= out;
  const lostMBps = room.narrow ? lostOver(room.narrow, homeless + out) : 0;
  const [a, b] = [certain + lost + loose, sum.b + Math.max(lostMBps, lostOver(room.whole, homeless + out)) * MB_LOST];
  if (limit && (a !== limit.a || b !== limit.b)) return { a, b, c: sum.c };
  const leads = fewestLeads(room, waiting, lostMBps);
  return { a, b, c: sum.c + Math.max(0, leads - room.owned) * LEAD_TO_BUY };
}
