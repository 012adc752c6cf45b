import type { Gone } from '@inch-tower/core';
import { staysRows } from './staysWords';

/** Each supply, cable and UPS taken out in turn: what stays up. */
export function StaysPane({ gone }: { readonly gone: readonly Gone[] }) {
  const rows = staysRows(gone);
  if (rows.length === 0) return null;
  return (
    <section aria-labelledby="stays" className="mt-3 border-t border-line pt-2 break-inside-avoid">
      <h2 id="stays" className="text-[15px] font-semibold">
        What stays up when one of these fails?
      </h2>
      <table className="mt-1 w-full border-collapse text-[13.5px]">
        <thead className="sr-only">
          <tr>
            <th>Without</th>
            <th>What stops</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ what, says }) => (
            <tr key={what} className="border-t border-dotted border-line align-top">
              <th className="w-2/5 py-1 pr-3 text-left font-normal">{what}</th>
              <td className={`py-1 ${says.tone}`}>{says.words}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-0.5 text-[12.5px] text-mid">One at a time; two at once are not tried.</p>
    </section>
  );
}
