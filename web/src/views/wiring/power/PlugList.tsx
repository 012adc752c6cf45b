import { powerCsv, type HeaderLine, type PowerLine } from '@inch-tower/core';
import { saveFile } from '../../saveFile';
import { ListHead } from '../ListHead';

const TITLES = ['Label', 'From', 'Plug', 'To', 'Mark', 'At the start', 'At work'] as const;

type Props = {
  readonly lines: readonly PowerLine[];
  /** What is on headers, for the file. */ readonly headers: readonly HeaderLine[];
  readonly name: string;
};
/** The list of power plugs: which plug of which cable goes where, 12 V and 5 V along. */
export function PlugList({ lines, headers, name }: Props) {
  if (lines.length === 0) return null;
  return (
    <section aria-label="Power plug list" className="mt-3 border-t border-line px-2 pt-2 pb-6">
      <div className="flex items-center gap-2">
        <h2 className="text-[15px] font-semibold">Power plug list</h2>
        <button
          type="button"
          className="press no-print ml-auto"
          onClick={() => saveFile(`${name || 'machine'}-power-plugs.csv`, powerCsv(lines, headers), 'text/csv')}
        >
          Save plugs as CSV
        </button>
      </div>
      <p className="text-[13px] text-mid">
        Plugs are counted from the supply. A cable of another supply never fits, however alike it looks. Amps on 12 V /
        5 V.
      </p>
      <table className="mt-2 w-full border-collapse text-[12.5px]">
        <ListHead titles={TITLES} />
        <tbody>
          {lines.map((line, i) => (
            <tr key={i} className="border-b border-dotted border-line align-top">
              <td className="mono py-1 pr-2 font-medium">
                {line.label}
                {line.how && <span className="block text-[11px] font-normal text-mid">{line.how}</span>}
              </td>
              <td className="py-1 pr-2">{line.from}</td>
              <td className="py-1 pr-2">{line.plug}</td>
              <td className="py-1 pr-2">{line.to}</td>
              <td className="mono py-1 pr-2">{line.marks}</td>
              <td className="mono py-1 pr-2 whitespace-nowrap">{line.start}</td>
              <td className="mono py-1 whitespace-nowrap">{line.run}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
