import type { PartKind } from '../../parts/vocabulary';
import { FINDERS } from './finders';
import { piecesOf } from '../text/pieces';
import type { ReadField } from '../readField';

/** What a text says stands in the lists of a sheet, by what it is called; `words` for people. */
export type Place = ReadField & { readonly words: string };

/** Most of anything that is counted here. */
const MOST = 90;

/**
 * Ports, slots, bays, fans and plugs that the lines of a text count. What two lines count differently is left out: one
 * of them may tell a part of the other.
 */
export function placesOf(kind: PartKind, lines: readonly string[], decimal: ',' | '.'): readonly Place[] {
  const pieces = piecesOf(lines);
  return (FINDERS[kind] ?? []).flatMap(({ field, words, find, gathers, named }): Place[] => {
    const found = pieces.flatMap((piece) => {
      const value = find(piece, decimal);
      return value === undefined ? [] : [{ value, piece }];
    });
    const [first] = found;
    if (!first) return [];
    const at = { field, line: first.piece.line, text: first.piece.text.slice(0, 200) };
    if (gathers === 'parts') {
      const value = partsOf(found.map((one) => one.value as Readonly<Record<string, unknown>>));
      return value ? [{ ...at, value, words: words(value) }] : [];
    }
    if (gathers) {
      const taken = gathers === 'all' ? found : found.filter(({ piece }) => piece.line === first.piece.line);
      const value = distinct(taken.flatMap((one) => one.value));
      // Half a list is worse than none.
      const isHalf = ({ piece }: (typeof taken)[number]) =>
        piece.label !== '' && named !== undefined && named(piece.text) > inLine(taken, piece.line);
      if (taken.some(isHalf)) return [];
      return [{ ...at, value, words: words(value) }];
    }
    const { value } = first;
    const agrees = found.every((one) => JSON.stringify(one.value) === JSON.stringify(value));
    const isCount = typeof value === 'number';
    return agrees && (!isCount || (value > 0 && (value <= MOST || field.endsWith('Mm'))))
      ? [{ ...at, value, words: words(value) }]
      : [];
  });
}

/** One thing said in several lines, each a part of it; undefined where two of them differ. */
function partsOf(found: readonly Readonly<Record<string, unknown>>[]): Readonly<Record<string, unknown>> | undefined {
  const all: Record<string, unknown> = {};
  for (const [name, value] of found.flatMap((one) => Object.entries(one))) {
    if (name in all && all[name] !== value) return undefined;
    all[name] = value;
  }
  return all;
}

/** How many things of a line were understood. */
const inLine = (
  found: readonly { readonly value: unknown; readonly piece: { readonly line: number } }[],
  line: number,
): number => found.filter(({ piece }) => piece.line === line).flatMap(({ value }) => value).length;

/** Forms of boards stand once each; slots and fans as often as they are said. */
const distinct = (values: readonly unknown[]): readonly unknown[] =>
  values.every((one) => typeof one === 'string') ? [...new Set(values)] : values;
