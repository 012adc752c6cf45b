import { quantitiesOf } from './quantities';
import type { ReadField } from '../readField';

const RAILS: readonly (readonly [pattern: RegExp, field: string])[] = [
  [/^\+?\s?3[.,]3\s?v$/i, 'rail33A'],
  [/^\+?\s?5\s?v$/i, 'rail5A'],
  [/^\+?\s?12\s?v\d?$/i, 'rail12A'],
];

/**
 * The label of a supply as a table: rails along its head, the most amperes below them. Rails of which the table has
 * several are left open: they add up to less than their sum.
 */
export function railTable(text: string, decimal: ',' | '.'): ReadField[] {
  const lines = text.split('\n');
  const head = lines.findIndex(
    (line) => /3[.,]3\s?v/i.test(line) && /\b12\s?v/i.test(line) && cellsOf(line).length >= 4,
  );
  if (head < 0) return [];
  const cells = cellsOf(lines[head]!);
  const row = lines.findIndex(
    (line, i) =>
      i > head &&
      i <= head + 3 &&
      cellsOf(line).length === cells.length &&
      /max|current|strom|\da\b/i.test(line) &&
      /\d\s?a\b/i.test(line),
  );
  if (row < 0) return [];
  const amps = cellsOf(lines[row]!);
  return [...lowRails(lines, head, cells.length, decimal), ...railsOf(cells, amps, row, lines[row]!, decimal)];
}

/** Below the amperes: what 3.3 V and 5 V give together, one cell for both, so that its row has fewer than the head. */
function lowRails(lines: readonly string[], head: number, columns: number, decimal: ',' | '.'): ReadField[] {
  for (let i = head + 1; i <= head + 4 && i < lines.length; i++) {
    const [name = '', ...cells] = cellsOf(lines[i]!);
    const watts = cells.map((cell) => quantitiesOf(cell, decimal)[0]);
    const [low, next] = watts;
    if (!/combined|power|watt|leistung/i.test(name) || cells.length + 1 >= columns || cells.length < 2) continue;
    if (low?.dimension === 'W' && next?.dimension === 'W' && low.value < next.value)
      return [{ field: 'combined5And33W', value: low.value, line: i + 1, text: lines[i]!.trim().slice(0, 200) }];
  }
  return [];
}

function railsOf(
  cells: readonly string[],
  amps: readonly string[],
  row: number,
  line: string,
  decimal: ',' | '.',
): ReadField[] {
  return RAILS.flatMap(([pattern, field]): ReadField[] => {
    const at = cells.flatMap((cell, i) => (pattern.test(cell) ? [i] : []));
    const [found] = at.length === 1 ? quantitiesOf(amps[at[0]!] ?? '', decimal) : [];
    return found?.dimension === 'A'
      ? [{ field, value: found.value, line: row + 1, text: line.trim().slice(0, 200) }]
      : [];
  });
}

const cellsOf = (line: string): string[] =>
  line
    .split(/\t|\||\s{2,}/)
    .map((cell) => cell.trim())
    .filter((cell) => cell !== '');
