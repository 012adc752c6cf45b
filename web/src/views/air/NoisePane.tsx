import { useState } from 'react';
import type { Air, Heard } from '@inch-tower/core';
import { soundAnswer } from './airWords';

const STATE: Readonly<Record<Heard['state'], string>> = {
  idle: 'Idle',
  working: 'At work, drives seeking',
  peak: 'Fans at full',
};
const SHOWN = 6;

/** What is heard at the ear in three states against the room, and what would go without each source. */
export function NoisePane({ air, wishDb }: { readonly air: Air; readonly wishDb: number | undefined }) {
  const [isWhole, setWhole] = useState(false);
  const answer = soundAnswer(air.heard, air.roomDb, wishDb);
  const most = Math.max(40, ...air.heard.map(({ ear }) => ear.hi));
  const at = (db: number) => `${Math.max(0, Math.min(100, (100 * db) / most))}%`;
  const idle = air.heard.find(({ state }) => state === 'idle');
  const sources = idle?.sources ?? [];
  return (
    <section aria-labelledby="sound">
      <h2 id="sound" className="text-[15px] font-semibold">
        Can somebody sleep beside it?
      </h2>
      <p className={`text-[16px] leading-snug font-semibold ${answer.tone}`} data-testid="sound-answer">
        {answer.words}
      </p>
      <table className="mt-2 w-full border-collapse text-[13px]">
        <caption className="sr-only">dB(A) at the ear, of the machine alone, by state</caption>
        <tbody>
          {air.heard.map(({ state, ear }) => (
            <tr key={state} className="border-t border-dotted border-line">
              <th className="w-[150px] py-1.5 text-left font-medium">{STATE[state]}</th>
              <td className="py-2">
                <span className="relative block h-3.5 border-l border-ink" aria-hidden>
                  <span className="absolute inset-y-0 left-0 bg-ink" style={{ width: at(ear.value) }} />
                  <span
                    className="absolute inset-y-1 bg-mid"
                    style={{ left: at(ear.value), width: `calc(${at(ear.hi)} - ${at(ear.value)})` }}
                  />
                  {air.roomDb > 0 && (
                    <span className="absolute -inset-y-1 w-px bg-warn" style={{ left: at(air.roomDb) }} />
                  )}
                </span>
              </td>
              <td className="mono w-[92px] py-1.5 text-right font-medium">{ear.value.toFixed(0)} dB(A)</td>
              <td className="mono w-[62px] py-1.5 text-right text-[12px] text-mid">
                {ear.lo.toFixed(0)}–{ear.hi.toFixed(0)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className={`mt-1 text-[12.5px] text-mid ${air.heard.length === 0 ? 'hidden' : ''}`}>
        The machine alone, at the place where somebody is.
        {air.roomDb > 0 && ` The line is the room without it: ${Math.round(air.roomDb)} dB(A).`} 10 dB more are about
        twice as loud; hum and seeks are heard below what these numbers say.
      </p>
      {sources.length > 0 && (
        <>
          <h3 className="mt-3 text-[13px] font-semibold">Idle, quieter without</h3>
          <table className="w-full border-collapse text-[13px]">
            <tbody>
              {(isWhole ? sources : sources.slice(0, SHOWN)).map(({ label, units, count, savesDb }) => (
                <tr key={`${label}${units[0] ?? ''}`} className="border-t border-dotted border-line">
                  <th className="py-1 pr-2 text-left font-normal">{count > 1 ? `${count} × ${label}` : label}</th>
                  <td className="mono w-[84px] py-1 text-right font-medium">
                    {savesDb < 0.05 ? '0' : `−${savesDb.toFixed(1)}`} dB
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {sources.length > SHOWN && (
            <button
              type="button"
              className="plain no-print min-h-6 text-[13px] underline"
              onClick={() => setWhole(!isWhole)}
            >
              {isWhole ? 'Fewer' : `${sources.length - SHOWN} more`}
            </button>
          )}
        </>
      )}
    </section>
  );
}
