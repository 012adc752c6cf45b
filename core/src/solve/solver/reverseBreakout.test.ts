import { drawn } from '../../testing/drawn';
import { LOOSE, OUT } from './roles';
import { strandsOf } from './reverseBreakout';
import type { DriveClass, PortClass, Table } from './table';

const drive = (rank: 0 | 1 | 2, wishMBps: number, protocol: 'sata' | 'sas' = 'sata') =>
  ({
    units: [],
    protocol,
    wishMBps,
    rank,
    out: OUT[rank],
    loose: LOOSE[rank],
    boot: rank === 1,
  }) as unknown as DriveClass;
const port = (gbPerLane: number, onBoard: boolean) => ({ ports: [{ gbPerLane }], onBoard }) as unknown as PortClass;
const table = (drives: readonly DriveClass[], ports: readonly PortClass[]) => ({ drives, ports }) as unknown as Table;

test('data drives are served before boot drives, quick drives on quick ports, boot drives on the board where that loses nothing', () => {
  const made = table([drive(0, 300), drive(1, 600)], [port(3, true), port(6, false)]);
  expect(strandsOf(made, 12, [1, 1], [[0, 1]])).toEqual({ pairs: [[0, 0]], out: LOOSE[1], lostMBps: 0, offBoard: 0 });
  expect(
    strandsOf(
      made,
      12,
      [1, 1],
      [
        [0, 1],
        [1, 1],
      ],
    ),
  ).toEqual({
    pairs: [
      [0, 0],
      [1, 1],
    ],
    out: 0,
    lostMBps: 0,
    offBoard: 1,
  });
  expect(
    strandsOf(
      table([drive(0, 300), drive(1, 300)], made.ports),
      12,
      [1, 1],
      [
        [0, 1],
        [1, 1],
      ],
    ),
  ).toMatchObject({ lostMBps: 0, offBoard: 0 });
});

test('a SAS drive is never on a strand', () => {
  expect(strandsOf(table([drive(0, 300, 'sas'), drive(0, 300)], [port(6, true)]), 12, [1, 1], [[0, 1]])).toMatchObject({
    pairs: [[1, 0]],
    out: LOOSE[0],
  });
});

test.each(Array.from({ length: 50 }, (_, i) => i + 1))(
  'drawn strands %i: no order of drives on ports is better',
  (seed) => {
    const next = drawn(seed);
    const drives = Array.from({ length: 1 + next(3) }, () => drive(next(3) as 0 | 1 | 2, [300, 600][next(2)]!));
    const made = table(drives, [port(3, true), port(6, false), port(6, true)]);
    const seats = drives.map(() => 1 + next(2));
    const taken = [
      [0, next(2)],
      [1, next(2)],
      [2, next(2)],
    ].filter(([, count]) => count! > 0) as [number, number][];
    const ports = taken.flatMap(([p, count]) => Array<number>(count).fill(p));
    const each = seats.flatMap((count, i) => Array<number>(count).fill(i));
    if (ports.length > each.length) return;
    const all = seats.reduce((sum, count, i) => sum + count * drives[i]!.loose, 0);
    let best = [Infinity, Infinity, Infinity];
    const go = (nth: number, left: readonly number[], so: readonly number[]) => {
      if (nth === ports.length) {
        if ((so[0]! - best[0]! || so[1]! - best[1]! || so[2]! - best[2]!) < 0) best = [...so];
        return;
      }
      const at = made.ports[ports[nth]!]!;
      left.forEach((i, k) =>
        go(
          nth + 1,
          left.filter((_, other) => other !== k),
          [
            so[0]! - drives[i]!.loose,
            so[1]! + Math.max(0, drives[i]!.wishMBps - at.ports[0].gbPerLane * 100),
            so[2]! + Number(drives[i]!.boot && !at.onBoard),
          ],
        ),
      );
    };
    go(0, each, [all, 0, 0]);
    const found = strandsOf(made, 12, seats, taken);
    expect([found.out, found.lostMBps, found.offBoard]).toEqual(best);
  },
);
