import type { HeaderLine } from '@inch-tower/core';
import { ListHead } from '../ListHead';

const TITLES = ['Header', 'To', 'Mark', 'At its most', 'To know'] as const;

/** The small cables: fans on their headers, USB of the front, the button and lights. */
export function HeaderList({ lines }: { readonly lines: readonly HeaderLine[] }) {
  if (lines.length === 0) return null;
  return (
    <section aria-label="Header list" className="border-t border-line px-2 pt-2 pb-6">
      <h2 className="text-[15px] font-semibold">Header list</h2>
      <p className="text-[13px] text-mid">Small cables on the board. Amps on 12 V of what the header carries.</p>
      <table className="mt-2 w-full border-collapse text-[12.5px]">
        <ListHead titles={TITLES} />
        <tbody>
          {lines.map(({ from, to, mark, amps, note }, i) => (
            <tr key={i} className="border-b border-dotted border-line align-top">
              <td className="py-1 pr-2">{from}</td>
              <td className="py-1 pr-2">{to}</td>
              <td className="mono py-1 pr-2">{mark}</td>
              <td className="mono py-1 pr-2 whitespace-nowrap">{amps}</td>
              <td className="py-1 text-mid">{note}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
