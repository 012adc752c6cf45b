import { quantitiesOf } from './quantities';

/** Rows of a table by tab or bar. */
const CELL = /\t+|\s*\|\s*/;
const cellsOf = (line: string): readonly string[] => line.split(CELL).map((cell) => cell.trim());
/** A cell that only says the unit of its row; a word such as yes or SATA is what a model has. */
const UNITS = [
  '[tgm]i?b|[gm]b\\/s|gbit\\/s|tbw|iops|mt\\/s',
  'k?w|m?a|v|va|wh|k?pa|mm\\s?h2o|°?c|%',
  'mm|cm|in|inch(?:es)?|k?g|lbs?|oz|rpm|u\\/min|cfm|m3\\/h|l\\/s|db(?:\\(a\\)|a)?|bels?|h|s',
].join('|');
const UNIT_ALONE = new RegExp(`^\\(?(?:${UNITS})\\)?$`, 'i');
const isUnit = (cell: string): boolean => UNIT_ALONE.test(cell);
/** What a cell measures: of two models a row tells the same thing, of one with a remark it does not. */
const measureOf = (cell: string): string => quantitiesOf(cell, '.')[0]?.dimension ?? '';
const REMARKS = 'remarks?|notes?|comments?|conditions?|bemerkung(?:en)?|hinweis|remarques?|observaciones';
const REMARK = new RegExp(`^(?:${REMARKS})$`, 'i');
const NOT_A_MODEL = new RegExp(`^(?:value|description|details|wert|${REMARKS})$`, 'i');
/** The label of a supply names its rails along the head: those are no models. */
const RAILS = /3[.,]3\s?v/i;
const FEWEST_ROWS = 2;

type Row = { readonly label: string; readonly data: readonly string[]; readonly unit: string };
function rowOf(line: string): Row | null {
  const [label = '', ...rest] = cellsOf(line);
  if (rest.length < 2) return null;
  const unit = rest.find(isUnit) ?? '';
  const data = unit === '' ? rest : rest.filter((cell) => cell !== unit);
  return data.length > 1 ? { label, data, unit } : null;
}

/**
 * The models that a table has a column each for, by their names in its head; none where it is of one part. A column is
 * a model's where at least two more rows have as many and a number in most.
 */
export function modelsOf(lines: readonly string[]): readonly string[] {
  if (lines.some((line) => RAILS.test(line) && cellsOf(line).length > 3)) return [];
  const rows = lines.flatMap((line) => rowOf(line) ?? []);
  const counts = new Map<number, Row[]>();
  for (const row of rows) counts.set(row.data.length, [...(counts.get(row.data.length) ?? []), row]);
  const [most] = [...counts.values()].sort((a, b) => b.length - a.length);
  const [head, ...others] = most ?? [];
  const numbered = others.filter(({ data }) => data.every((cell) => /\d/.test(cell)));
  const alike = numbered.filter(({ data }) => new Set(data.map(measureOf)).size === 1);
  const isOfModels = head && alike.length >= FEWEST_ROWS && alike.length > numbered.length / 2;
  return isOfModels && !head.data.some((cell) => NOT_A_MODEL.test(cell)) ? head.data : [];
}

/** Lines of a table whose head has a column for remarks, behind labels and values, without it. */
export function withoutRemarks(lines: readonly string[]): readonly string[] {
  const remarkIn = (cells: readonly string[]) => cells.findIndex((cell, i) => i > 1 && REMARK.test(cell));
  const head = lines.map(cellsOf).find((cells) => remarkIn(cells) >= 0);
  if (!head) return lines;
  const at = remarkIn(head);
  return lines.map((line) => {
    const own = cellsOf(line);
    return own.length === head.length ? own.filter((_, i) => i !== at).join('\t') : line;
  });
}

/**
 * A line of such a table as one of its models has it (`model` from 0, null for none): the cell of its column, that of
 * all where they agree, or its label alone where it says something else of each. Other lines stay as they are.
 */
export function lineOfModel(line: string, models: readonly string[], model: number | null): string {
  const row = models.length > 1 ? rowOf(line) : null;
  if (!row || row.data.length !== models.length) return line;
  const cell = model === null ? (new Set(row.data).size === 1 ? row.data[0] : undefined) : row.data[model];
  if (cell === undefined) return row.label;
  return `${row.label}\t${cell}${row.unit && !/[a-z°%"]/i.test(cell) ? ` ${row.unit.replace(/[()]/g, '')}` : ''}`;
}
