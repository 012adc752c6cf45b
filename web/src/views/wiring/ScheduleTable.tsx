import { scheduleCsv, type ScheduleLine } from '@inch-tower/core';
import { saveFile } from '../saveFile';
import { ListHead } from './ListHead';

const TITLES = ['Label', 'From', 'To', 'Drives', 'Cable', 'Direction', 'Length', 'Where it is'] as const;

/** The cable list: what is plugged where, with which cable; the same label at both ends. */
export function ScheduleTable({
  lines,
  name,
  hasBays,
  chosen,
  onChoose,
  onPrint,
}: {
  readonly lines: readonly ScheduleLine[];
  readonly name: string;
  readonly hasBays: boolean;
  readonly chosen: string | null;
  readonly onChoose: (label: string) => void;
  readonly onPrint: (what: 'schedule' | 'bays') => void;
}) {
  return (
    <section aria-label="Cable list" className="mt-3 border-t border-line px-2 pt-2 pb-6">
      <div className="flex items-center gap-2">
        <h2 className="text-[15px] font-semibold">Cable list</h2>
        <span className="print-only text-[13px]">{name}</span>
        <span className="no-print ml-auto flex gap-1.5">
          <button
            type="button"
            className="press"
            disabled={lines.length === 0}
            onClick={() => saveFile(`${name || 'machine'}-cables.csv`, scheduleCsv(lines), 'text/csv')}
          >
            Save as CSV
          </button>
          <button type="button" className="press" disabled={lines.length === 0} onClick={() => onPrint('schedule')}>
            Print
          </button>
          <button type="button" className="press" disabled={!hasBays} onClick={() => onPrint('bays')}>
            Print bay map
          </button>
        </span>
      </div>
      <p className="text-[13px] text-mid">Label both ends of a cable alike before it goes in.</p>
      {lines.length === 0 ? (
        <p className="mt-2 text-[13px]">No cable is wanted yet.</p>
      ) : (
        <table className="mt-2 w-full border-collapse text-[12.5px]">
          <ListHead titles={TITLES} />
          <tbody>
            {lines.map((line) => (
              <tr
                key={line.label}
                className={`border-b border-dotted border-line align-top ${line.label === chosen ? 'bg-wash' : ''}`}
              >
                <td className="mono py-1 pr-2 font-medium">
                  <button
                    type="button"
                    className="plain min-h-6 min-w-6 underline decoration-dotted"
                    onClick={() => onChoose(line.label)}
                  >
                    {line.label}
                  </button>
                  {line.how && <span className="block text-[11px] font-normal text-mid">{line.how}</span>}
                </td>
                <td className="py-1 pr-2">{line.from}</td>
                <td className="py-1 pr-2">{line.to}</td>
                <td className="mono py-1 pr-2">{line.drives}</td>
                <td className="py-1 pr-2">{line.kind}</td>
                <td className="py-1 pr-2">{line.direction.split(':')[0]}</td>
                <td className="py-1 pr-2">{line.length}</td>
                <td className="py-1">{line.source}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
