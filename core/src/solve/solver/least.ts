import { memberAt } from '../../lists';
import { LOOSE, OUT } from './roles';
import { BOOT_OFF_BOARD, CABLE_TO_BUY, MB_LOST, OTHER_BOX, type Score } from './score';

/**
 * What is left to deal with, for a bound. In `a` for certain: `nowhere` for drives no bay takes, `lost`
 * for drives no cable could serve. Of all drives, and of each kind that the same bays take, `seeking`
 * want one of `bays`; and of all and of each
 * protocol so many are `waiting` for a cable, `reach` of which find a bay and a lane in one box at most. Then cables
 * that
 * could serve
 * them, by how many each does.
 */
export type Room = {
  readonly nowhere: number;
  readonly homes: readonly { readonly seeking: Ranked; readonly bays: number }[];
  readonly waiting: readonly { readonly ranked: Ranked; readonly reach: number }[];
  readonly lost: number;
  /**
   * What bays behind shared uplinks must carry: wishes of the seeking, least first, that other bays (`apart`) do not
   * take, over uplinks of `mbPerS` in all.
   */
  readonly narrow:
    (Asking & { /** The most that one uplink carries; 0 where nothing is known. */ readonly most: number }) | null;
  /** What all that wait for a place or cable wish, over all the ports there are; `apart` is none. */
  readonly whole: Asking;
  /**
   * What cables apart from shared uplinks carry: straight ones from so many `own` ports of cards four drives each,
   * those from expander cards so many MB/s in all; null where not reckoned.
   */
  readonly carry: { readonly own: number; readonly expanderMBps: number; readonly driveMBps: number } | null;
  /** Boot drives waiting, and lanes of the board's own ports for them; null where those are not all of one lane. */
  readonly board: { readonly boots: number; readonly lanes: number } | null;
  readonly shared: readonly number[];
  readonly straight: number;
  readonly breakouts: number;
  readonly owned: number;
  /** Drives that go to another box wherever they go, if they all get a place. */
  readonly away: number;
};

/** So many drives (`counts`) wish so many MB/s each (`wishMBps`, least first), less `apart` of them, over `mbPerS`. */
type Asking = {
  readonly wishMBps: readonly number[];
  readonly counts: readonly number[];
  readonly apart: number;
  readonly mbPerS: number;
};

/** Numbers of data drives, boot drives and others. */
type Ranked = readonly [data: number, boot: number, rest: number];

const total = (ranked: Ranked): number => ranked[0] + ranked[1] + ranked[2];
/** What so many of these count at least: those of the lowest rank first. */
function leastOf(ranked: Ranked, many: number, cost: Ranked): number {
  let [sum, left] = [0, many];
  for (let i = 2; i >= 0 && left > 0; i--) {
    const some = Math.min(left, ranked[i]!);
    sum += some * cost[i]!;
    left -= some;
  }
  return sum;
}

/** MB/s that all but so many ask at least, however drives are dealt. */
function askedWithout({ wishMBps, counts, apart }: Asking, out: number): number {
  let left = -apart - out;
  for (let i = 0; i < counts.length; i++) left += counts[i]!;
  let asked = 0;
  for (let i = 0; i < counts.length && left > 0; i++) {
    const some = Math.min(counts[i]!, left);
    asked += some * wishMBps[i]!;
    left -= some;
  }
  return asked;
}
/** What of that passes the ports by. */
const lostOver = (over: Asking, out: number): number => Math.max(0, askedWithout(over, out) - over.mbPerS);

/**
 * What cables for so many drives burden at least, where `asked` MB/s are asked and no more than so many lost: for every
 * number of drives that is behind shared uplinks.
 */
function fewestCables(
  { shared, straight, breakouts, narrow, carry }: Room,
  waiting: number,
  askedMBps: number,
  lostMBps: number,
  boots: number,
): number {
  const cells = shared.filter((many) => many > 4);
  const plainly = straight + shared.length - cells.length;
  let fewest = Infinity;
  const holds = cells.reduce((sum, many) => sum + many, 0);
  const behind = Math.min(waiting, holds);
  const asked = askedBy(narrow, behind);
  // What shared uplinks do not carry goes over other cables.
  const elsewhere = carry ? askedMBps - lostMBps - (narrow?.mbPerS ?? 0) : 0;
  // Cables from single ports for the boot drives serve others too.
  const onBoard = 4 * Math.ceil(boots / 4);
  const forBoots = splitCables(boots, breakouts);
  // The largest cells hold the drives; one less is wanted whenever the others hold them all.
  let [wanted, held] = [cells.length, holds];
  for (let n = behind; n >= 0; n--) {
    while (wanted > 0 && held - cells[wanted - 1]! >= n) held -= cells[--wanted]!;
    const uplinks =
      narrow && narrow.most > 0 ? Math.max(wanted, Math.ceil((asked(n) - lostMBps) / narrow.most)) : wanted;
    if (uplinks >= fewest) continue;
    const apart = waiting - n - onBoard;
    const cables =
      carry && elsewhere > 0
        ? carryingCables(apart, elsewhere - onBoard * carry.driveMBps, plainly, breakouts, carry)
        : apartCables(Math.max(0, apart), plainly, breakouts);
    fewest = Math.min(fewest, uplinks + forBoots + cables);
  }
  return fewest;
}

/** Cables for so many drives and so many MB/s: straight ones first, for as long as more of them spare others. */
function carryingCables(
  drives: number,
  mbPerS: number,
  straight: number,
  breakouts: number,
  { own, expanderMBps, driveMBps }: NonNullable<Room['carry']>,
): number {
  let fewest = Infinity;
  for (let plain = 0; plain <= straight; plain++) {
    const carried =
      4 * driveMBps * Math.min(plain, own) + Math.min(expanderMBps, 4 * driveMBps * Math.max(0, plain - own));
    const cables =
      plain + splitCables(Math.max(0, drives - 4 * plain, Math.ceil((mbPerS - carried) / driveMBps)), breakouts);
    if (cables > fewest) break;
    fewest = cables;
  }
  return fewest;
}

/** MB/s that so many of the seeking ask at least: those that wish least. */
function askedBy(narrow: Room['narrow'], most: number): (n: number) => number {
  const sums = [0];
  narrow?.counts.forEach((count, nth) => {
    for (let i = 0; i < count && sums.length <= most; i++) sums.push(sums.at(-1)! + narrow.wishMBps[nth]!);
  });
  return (n) => sums[Math.min(n, sums.length - 1)]!;
}

function apartCables(drives: number, straight: number, breakouts: number): number {
  const plain = Math.min(Math.ceil(drives / 4), straight);
  return plain + splitCables(Math.max(0, drives - 4 * plain), breakouts);
}

/** A breakout burdens as two and serves four; for one or two drives single cables do as well. */
function splitCables(drives: number, breakouts: number): number {
  const split = Math.min(Math.floor(drives / 4), breakouts);
  const left = drives - 4 * split;
  return 2 * split + (split < breakouts ? Math.min(left, 2) : left);
}

/**
 * No way on from here costs less: drives past every lane there is stay out, and the cables that serve most serve first.
 * Where `limit` is given, no more is reckoned than tells whether this is less.
 */
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
  // Who has no bay wants no cable: those lost may be among the homeless.
  let waiting = total(memberAt(room.waiting, 0).ranked) - homeless;
  const away = homeless > 0 || room.nowhere > 0 ? 0 : room.away * OTHER_BOX;
  if (waiting <= 0) return { a: certain + lost, b: sum.b, c: sum.c + away };
  let [out, loose] = [0, 0];
  for (const { ranked, reach } of room.waiting) {
    const many = total(ranked) - homeless - reach;
    if (many <= 0) continue;
    out = Math.max(out, many);
    loose = Math.max(loose, leastOf(ranked, many, LOOSE));
  }
  waiting -= out;
  const asked = askedWithout(room.whole, homeless + out);
  const lostMBps = Math.max(room.narrow ? lostOver(room.narrow, homeless + out) : 0, asked - room.whole.mbPerS);
  const boots = room.board ? Math.max(0, room.board.boots - homeless - out) : 0;
  const [a, b] = [
    certain + lost + loose,
    sum.b + lostMBps * MB_LOST + Math.max(0, boots - (room.board?.lanes ?? 0)) * BOOT_OFF_BOARD,
  ];
  if (limit && (a !== limit.a || b !== limit.b)) return { a, b, c: sum.c };
  // Whoever comes out at this bound loses no more than this, and has its boot drives on the board.
  const cables = fewestCables(room, waiting, asked, lostMBps, Math.min(boots, room.board?.lanes ?? 0));
  return { a, b, c: sum.c + away + Math.max(0, cables - room.owned) * CABLE_TO_BUY };
}
