import type { readStock } from '@inch-tower/core';
import { countWords } from '../../words/format';

/** Lines of stock that came with a file of parts: taken in with it, or left. */
export function StockIn({
  read,
  left,
  isWanted,
  onWant,
}: {
  readonly read: ReturnType<typeof readStock>;
  /** Lines of parts that are not taken in. */ readonly left: number;
  readonly isWanted: boolean;
  readonly onWant: (isWanted: boolean) => void;
}) {
  if (read.entries.length + read.same + read.faults.length === 0) return null;
  return (
    <div className="mt-2 text-[13px]">
      <label className="flex min-h-7 items-center gap-2">
        <input
          type="checkbox"
          className="size-4 accent-[var(--ink)]"
          checked={isWanted}
          onChange={(event) => onWant(event.target.checked)}
        />
        {countWords(read.entries.length, 'line')} of stock into mine
        {read.same > 0 && <span className="text-mid">, {read.same} here already</span>}
      </label>
      {isWanted && left > 0 && (
        <p className="warn">{countWords(left, 'line')} of parts that are not taken in stay out.</p>
      )}
      {read.faults.slice(0, 6).map((words) => (
        <p key={words} className="bad">
          {words}
        </p>
      ))}
    </div>
  );
}
