import { Link } from 'react-router';
import { freeOf, type StockClaim } from '@inch-tower/core';
import type { OwnedCatalogue, Stocked } from '../../state/api';
import { moneyWords } from '../../words/format';
import { KIND_WORDS } from './families';

type Props = {
  readonly catalogue: OwnedCatalogue;
  readonly stock: readonly Stocked[];
  readonly claims: readonly StockClaim[];
  /** Ids of entries that a new machine is to be begun with. */ readonly taken: ReadonlySet<string>;
  readonly onTake: (id: string) => void;
  readonly onChange: (id: string) => void;
};

/** Every entry in a row: how many, how old, in what condition, and which machines use it. */
export function StockTable({ catalogue, stock, claims: all, taken, onTake, onChange }: Props) {
  return (
    <table className="mt-4 w-full max-w-[1080px] text-[13.5px]">
      <thead>
        <tr className="border-b border-ink text-left text-[12.5px] text-mid">
          <th className="w-8 py-1">
            <span className="sr-only">For a new machine</span>
          </th>
          <th className="font-medium">Part</th>
          <th className="font-medium">Kind</th>
          <th className="text-right font-medium">Owned</th>
          <th className="text-right font-medium">Free</th>
          <th className="pl-4 font-medium">Year</th>
          <th className="text-right font-medium">Hours</th>
          <th className="pl-4 font-medium">Condition</th>
          <th className="text-right font-medium">Paid</th>
          <th className="pl-4 font-medium">Used in</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {stock.map(({ entry }) => {
          const sheet = catalogue.sheets[entry.sheet];
          const claims = all.filter((claim) => claim.stock === entry.id);
          const free = freeOf(entry, all);
          return (
            <tr key={entry.id} data-stock={entry.sheet} className="border-b border-dotted border-line align-top">
              <td className="py-1">
                <input
                  type="checkbox"
                  className="size-[18px] accent-[var(--ink)]"
                  aria-label={`${sheet?.name ?? entry.sheet} for a new machine`}
                  disabled={free === 0}
                  checked={taken.has(entry.id)}
                  onChange={() => onTake(entry.id)}
                />
              </td>
              <td className="py-1 pr-3">
                <Link
                  className="font-medium hover:underline"
                  to={
                    `/parts?part=${encodeURIComponent(entry.sheet)}` +
                    `${catalogue.own.includes(entry.sheet) ? '&shelf=own' : ''}`
                  }
                >
                  {sheet?.name ?? entry.sheet}
                </Link>
                {entry.note && (
                  <span className="block max-w-[340px] text-[12.5px] break-words text-mid">{entry.note}</span>
                )}
              </td>
              <td className="py-1 text-mid">{sheet ? KIND_WORDS[sheet.kind] : ''}</td>
              <td className="mono py-1 text-right">{entry.count}</td>
              <td className="mono py-1 text-right">{free}</td>
              <td className="mono py-1 pl-4">{entry.year ?? '–'}</td>
              <td className="mono py-1 text-right">
                {entry.hours === undefined
                  ? '–'
                  : Math.round(entry.hours).toLocaleString('en').replaceAll(',', '\u202f')}
              </td>
              <td className="py-1 pl-4">{entry.condition ?? '–'}</td>
              <td className="mono py-1 text-right">
                {entry.paid ? moneyWords(entry.paid.minor, entry.paid.currency) : '–'}
              </td>
              <td className="py-1 pl-4">
                {claims.length === 0 ? (
                  <span className="text-mid">nothing</span>
                ) : (
                  claims.map((claim) => (
                    <Link key={claim.build} className="mr-2 hover:underline" to={`/b/${claim.build}`}>
                      {claim.name || 'Unnamed'} ({claim.units})
                    </Link>
                  ))
                )}
              </td>
              <td className="py-0.5 text-right">
                <button
                  type="button"
                  className="plain min-h-6 px-1 text-mid hover:underline"
                  onClick={() => onChange(entry.id)}
                >
                  Change<span className="sr-only"> {sheet?.name}</span>
                </button>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
