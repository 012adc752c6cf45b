/** Marks in few words: A1 A2 A3 A5 B1 → A1–A3, A5, B1. */
export function markRanges(marks: readonly string[]): string {
  const runs: { letters: string; from: number; to: number }[] = [];
  const split = marks
    .map((mark) => ({ letters: mark.replace(/\d+$/, ''), n: Number(/\d+$/.exec(mark)?.[0] ?? 0) }))
    .sort(
      (a, b) =>
        a.letters.length - b.letters.length || (a.letters < b.letters ? -1 : a.letters > b.letters ? 1 : a.n - b.n),
    );
  for (const { letters, n } of split) {
    const last = runs.at(-1);
    if (last?.letters === letters && last.to === n - 1) last.to = n;
    else runs.push({ letters, from: n, to: n });
  }
  return runs
    .map(({ letters, from, to }) =>
      to === from
        ? `${letters}${from}`
        : to === from + 1
          ? `${letters}${from}, ${letters}${to}`
          : `${letters}${from}–${letters}${to}`,
    )
    .join(', ');
}
