import { marginOf, type AirInBox } from '@inch-tower/core';
import { markRanges } from '../wiring/markRanges';
import { degrees, isDrive, rowName, WHERE } from './airWords';

/** Columns that a narrow page does without. */
const WIDE = 'max-[560px]:hidden';

/** Every part that is reckoned with its air and temperature on both days and its margin, the least first. */
export function WarmTable({ box }: { readonly box: AirInBox }) {
  if (box.rows.length === 0) return null;
  return (
    <table className="mt-1 w-full border-collapse text-[13px]">
      <caption className="sr-only">{box.name}: temperatures by part</caption>
      <thead className="text-[12.5px] text-mid">
        <tr>
          <th className="py-1 text-left font-normal">Part</th>
          <th className={`py-1 text-right font-normal ${WIDE}`}>air, hot day</th>
          <th className={`py-1 text-right font-normal ${WIDE}`}>normal day</th>
          <th className="py-1 text-right font-normal">hottest day</th>
          <th className="py-1 pl-2 text-right font-normal">allowed</th>
          <th className="py-1 pl-2 text-right font-normal">margin</th>
        </tr>
      </thead>
      <tbody>
        {[...box.rows.filter(isDrive), ...box.rows.filter((row) => !isDrive(row))].map((row) => {
          const margin = marginOf(row);
          const { normal, hot } = row.on;
          const isSlow = margin < 0 && row.slowsDown;
          const tone = margin < 0 && !isSlow ? 'bad' : isSlow || hot.tempC.hi > row.limitC ? 'warn' : '';
          return (
            <tr key={row.key} className="border-t border-dotted border-line align-top">
              <th className="py-1 pr-2 text-left font-normal">
                {rowName(row)}
                <span className="block text-[12px] text-mid">
                  {markRanges(row.marks)}, {WHERE[row.where]}, {hot.watts.toFixed(hot.watts < 10 ? 1 : 0)} W
                  {row.behind > 0 && `, behind ${row.behind} other drives`}
                  {row.beside.length > 0 && `, right beside ${row.beside.join(' and ')}`}
                </span>
              </th>
              <td className={`mono py-1 text-right ${WIDE}`}>{degrees(hot.airC)}</td>
              <td className={`mono py-1 text-right ${WIDE}`}>{degrees(normal.tempC.value)}</td>
              <td className={`mono py-1 text-right font-medium ${tone}`}>
                {isSlow ? 'slows down' : degrees(hot.tempC.value)}
                <span className="block text-[12px] font-normal text-mid">
                  {isSlow ? `would be ${Math.round(hot.tempC.value)}, ` : ''}
                  {Math.round(hot.tempC.lo)}–{Math.round(hot.tempC.hi)}
                </span>
              </td>
              <td className="mono py-1 pl-2 text-right whitespace-nowrap text-mid">{degrees(row.limitC)}</td>
              <td className={`mono py-1 text-right ${tone}`}>
                {isSlow ? '' : `${margin < 0 ? '−' : ''}${Math.abs(Math.round(margin))} K`}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** What supplies inside breathe, against what they are rated at. */
export function SupplyAir({ supplies }: Pick<AirInBox, 'supplies'>) {
  return supplies.map(({ unit, name, mark, airC }) => (
    <p key={unit} className={`mt-1 text-[13px] ${airC.hot > RATED_C ? 'text-warn' : 'text-mid'}`}>
      {name} <span className="mono">{mark}</span> draws in air of about {degrees(airC.hot)} on the hottest day,{' '}
      {degrees(airC.normal)} on a normal one
      {airC.hot > RATED_C ? `: most are rated at ${RATED_C} °C at the most.` : '.'}
    </p>
  ));
}
/** What most supplies are rated at (ATX12V design guide). */
const RATED_C = 50;
