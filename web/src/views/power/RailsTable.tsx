import type { StateDraw } from '@inch-tower/core';
import { STATE_WORDS } from './StatesPicture';

const RAILS = ['12 V', '5 V', '3.3 V'] as const;

/** A on each rail of a supply by state; what drives take while they start is drawn over time. */
export function RailsTable({ states, name }: { readonly states: readonly StateDraw[]; readonly name: string }) {
  const told = states.flatMap(({ state, a }) => (a ? [{ state, a }] : []));
  if (told.length === 0) return null;
  return (
    <details className="mt-1 text-[12.5px]">
      <summary className="min-h-6 cursor-pointer text-mid">By rail, A</summary>
      <table className="mono mt-1 w-full max-w-[320px] border-collapse">
        <caption className="sr-only">{name}, A on each rail by state</caption>
        <thead>
          <tr className="border-b border-ink text-right">
            <th className="sr-only">State</th>
            {RAILS.map((rail) => (
              <th key={rail} className="py-0.5 font-medium">
                {rail}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {told.map(({ state, a }) => (
            <tr key={state} className="border-b border-dotted border-line text-right">
              <th className="py-0.5 text-left font-normal">{STATE_WORDS[state]}</th>
              {RAILS.map((rail) => (
                <td key={rail}>{a[rail].toFixed(1)}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
