import { resolve, type FileRow, type Sheet } from '@inch-tower/core';
import type { OwnedCatalogue } from '../../state/api';
import { differencesOf } from '../sheets/differences';

const MOST_SHOWN = 400;
const MOST_DIFFERENCES = 6;
const WHAT = { new: 'new', newer: 'newer than yours', differs: 'differs from yours', same: 'is here already' } as const;

/** Rows of a file of parts, each with what becomes of it; good ones are ticked. */
export function TakeInRows({
  catalogue,
  rows,
  left,
  onToggle,
}: {
  readonly catalogue: OwnedCatalogue;
  readonly rows: readonly FileRow[];
  readonly left: ReadonlySet<string>;
  readonly onToggle: (id: string) => void;
}) {
  return (
    <>
      <table className="mt-1 w-full max-w-[820px] text-[13px]">
        <thead className="sr-only">
          <tr>
            <th>Import</th>
            <th>Line</th>
            <th>Name</th>
            <th>What becomes of it</th>
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, MOST_SHOWN).map((row) => (
            <tr key={row.line} data-line={row.line} className="border-b border-dotted border-line align-top">
              <td className="w-7 py-0.5">
                {row.ok && row.what !== 'same' && (
                  <input
                    type="checkbox"
                    className="size-4 accent-[var(--ink)]"
                    aria-label={`Import ${row.sheet.name}`}
                    checked={!left.has(row.sheet.id)}
                    onChange={() => onToggle(row.sheet.id)}
                  />
                )}
              </td>
              <td className="mono w-14 py-0.5 text-mid">{row.line}</td>
              <td className="py-0.5 pr-3">{row.ok ? row.sheet.name : row.name || 'unnamed'}</td>
              <td className={`py-0.5 ${row.ok ? 'text-mid' : 'bad'}`}>
                {row.ok ? WHAT[row.what] : row.words}
                {row.ok && row.what !== 'new' && row.what !== 'same' && (
                  <Differs catalogue={catalogue} sheet={row.sheet} />
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {rows.length > MOST_SHOWN && (
        <p className="text-[13px] text-mid">{`${rows.length - MOST_SHOWN} more rows are not shown.`}</p>
      )}
    </>
  );
}

/** Fact by fact, what taking a row in would change of one’s own sheet. */
function Differs({ catalogue, sheet }: { readonly catalogue: OwnedCatalogue; readonly sheet: Sheet }) {
  const had = catalogue.sheets[sheet.id];
  const [before, after] = [had, sheet].map((one) => one && catalogue.archetypes[one.archetype]);
  if (!had || !before || !after) return null;
  const all = differencesOf(resolve(had, before), resolve(sheet, after));
  const words = all.slice(0, MOST_DIFFERENCES).map(({ label, values: [was, is] }) => `${label} ${was}, there ${is}`);
  const more = all.length - words.length;
  return <span className="block">{[...words, ...(more > 0 ? [`${more} more`] : [])].join('; ')}</span>;
}
