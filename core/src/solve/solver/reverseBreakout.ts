import { plainAt, memberAt } from '../../lists';
import type { Table } from './table';

/** Who is served by a breakout in reverse: a class of drives and a class of ports for each of its strands. */
export type Strands = {
  readonly pairs: readonly (readonly [drive: number, port: number])[];
  /** What stays loose, as it counts in `a`. */ readonly out: number;
  readonly lostMBps: number;
  readonly offBoard: number;
};

/**
 * The best use of single SATA ports joined on one connector: each serves one of the drives seated
 * there, by class. First fewest of rank without a cable, then MB/s, then boot drives on the board's own
 * ports. There are four strands at most, so every way is looked at.
 */
export function strandsOf(
  { drives, ports }: Table,
  gbPerLane: number,
  seats: readonly number[],
  taken: readonly (readonly [port: number, count: number])[],
): Strands {
  const strands = taken.flatMap(([port, count]) => Array<number>(count).fill(port));
  const left = seats.map((count, i) => (memberAt(drives, i).protocol === 'sata' ? count : 0));
  const all = seats.reduce((sum, count, i) => sum + count * memberAt(drives, i).loose, 0);
  let best: Strands | null = null;
  const go = (nth: number, so: Strands) => {
    if (nth === strands.length) {
      if (!best || (so.out - best.out || so.lostMBps - best.lostMBps || so.offBoard - best.offBoard) < 0) best = so;
      return;
    }
    const port = plainAt(strands, nth);
    const first = nth > 0 && strands[nth - 1] === port ? memberAt(so.pairs, nth - 1)[0] : 0;
    for (let i = first; i < left.length; i++) {
      if (left[i] === 0) continue;
      left[i]!--;
      const drive = memberAt(drives, i);
      const rate = Math.min(memberAt(ports, port).ports[0].gbPerLane, gbPerLane) * 100;
      go(nth + 1, {
        pairs: [...so.pairs, [i, port]],
        out: so.out - drive.loose,
        lostMBps: so.lostMBps + Math.max(0, drive.wishMBps - rate),
        offBoard: so.offBoard + Number(drive.boot && !memberAt(ports, port).onBoard),
      });
      left[i]!++;
    }
  };
  go(0, { pairs: [], out: all, lostMBps: 0, offBoard: 0 });
  return best!;
}
