import { plainAt } from '../../lists';
import type { Cell, State, Table } from './table';

/**
 * The numbers of a state that tell which drives leave their box: of each class those still expected back in each box,
 * and those that were in none. Whoever is seated in a box beyond both came from another one.
 */
export class HomeSlots {
  readonly counts: number[] = [];
  private readonly back: (readonly number[])[] = [];
  private readonly fresh: number[] = [];
  private readonly boxOf: ReadonlyMap<Cell, number>;
  private readonly boxes: readonly number[];
  /** Numbers that no later cell asks for, by the last that does: states that differ in them alone are equal. */
  private readonly closed = new Map<Cell, readonly number[]>();

  constructor({ homes, cells }: Pick<Table, 'homes' | 'cells'>) {
    const slot = (count: number) => (count > 0 ? this.counts.push(count) - 1 : -1);
    homes?.there.forEach((there, i) => {
      const some = there.some((count) => count > 0);
      this.back.push(some ? there.map(slot) : []);
      this.fresh.push(some ? slot(plainAt(homes.fresh, i)) : -1);
    });
    this.boxes = [...(homes?.there[0] ?? []).keys()];
    this.boxOf = new Map(homes ? cells.map((cell, i) => [cell, plainAt(homes.boxOf, i)]) : []);
  }

  /** Told of every cell, in the order in which they are filled, with those after it. */
  order(cell: Cell, after: readonly Cell[]): void {
    const box = this.boxOf.get(cell) ?? -1;
    const isLastHere = after.every((other) => this.boxOf.get(other) !== box);
    this.closed.set(
      cell,
      [
        ...(isLastHere && box >= 0 ? this.back.flatMap((mine) => mine[box] ?? []) : []),
        ...(after.length === 0 ? this.counts.keys() : []),
      ].filter((slot) => slot >= 0),
    );
  }

  /** Seats so many of a class; gives how many of them came from another box. */
  seat(next: State, offset: number, cell: Cell, drive: number, count: number): number {
    const mine = this.back[drive] ?? [];
    if (count === 0 || mine.length === 0) return 0;
    let left = count;
    for (const slot of [mine[this.boxOf.get(cell) ?? -1] ?? -1, plainAt(this.fresh, drive)]) {
      if (slot < 0 || left === 0) continue;
      const taken = Math.min(left, next[offset + slot]!);
      next[offset + slot]! -= taken;
      left -= taken;
    }
    return left;
  }

  private readonly baysIn = new Map<readonly Cell[], readonly number[]>();
  /** Bays of each box among cells that are still to be filled. */
  private baysOf(cells: readonly Cell[]): readonly number[] {
    let known = this.baysIn.get(cells);
    if (!known) {
      const bays = this.boxes.map((box) =>
        cells.reduce((sum, cell) => sum + (this.boxOf.get(cell) === box ? cell.bays.length : 0), 0),
      );
      this.baysIn.set(cells, (known = bays));
    }
    return known;
  }

  /** How many of those waiting go to another box at least, if all get a place among these cells. */
  away(state: State, offset: number, cells: readonly Cell[]): number {
    if (this.back.length === 0) return 0;
    const bays = this.baysOf(cells);
    let away = 0;
    for (let i = 0; i < this.back.length; i++) {
      const mine = this.back[i] ?? [];
      if (mine.length === 0) continue;
      let left = state[i]!;
      const fresh = plainAt(this.fresh, i);
      if (fresh >= 0) left -= state[offset + fresh]!;
      for (let b = 0; b < mine.length; b++) if (mine[b]! >= 0) left -= Math.min(bays[b]!, state[offset + mine[b]!]!);
      away += Math.max(0, left);
    }
    return away;
  }

  close(next: State, offset: number, cell: Cell): void {
    for (const slot of this.closed.get(cell) ?? []) next[offset + slot] = 0;
  }
}
