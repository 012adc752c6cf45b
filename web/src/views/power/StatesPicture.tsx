import type { StateDraw } from '@inch-tower/core';
import { numbersWithin } from '../../words/format';

export const STATE_WORDS: Readonly<Record<StateDraw['state'], string>> = {
  off: 'Off',
  asleep: 'Asleep',
  idle: 'Idle',
  working: 'At work',
  busy: 'Busy',
  peak: 'At most',
  start: 'Starting',
};
const STATE_HELP: Readonly<Record<StateDraw['state'], string>> = {
  off: 'switched off and plugged in: what waits to be woken, remote management',
  asleep: 'drives spun down, the host at rest',
  idle: 'drives turning, nobody asking',
  working: 'the mix of an ordinary day',
  busy: 'all drives read or write',
  peak: 'everything at its most together',
  start: 'drives spin up, fans at full, self-test',
};

/** W at the wall in every state on one scale: the likely value as a bar, its range as a band over the end of it. */
export function StatesPicture({
  states,
  mostW,
  label,
}: {
  readonly states: readonly StateDraw[];
  readonly mostW: number;
  readonly label: string;
}) {
  return (
    <table className="w-full border-collapse text-[13px]">
      <caption className="sr-only">{label}, W at the wall by state</caption>
      <tbody>
        {states.map(({ state, wall, loadShare }) => {
          const number = numbersWithin(wall.lo, wall.hi);
          const at = (watts: number) => `${Math.max(0, Math.min(100, (100 * watts) / mostW))}%`;
          return (
            <tr key={state} className="border-t border-dotted border-line align-top">
              <th className="w-[92px] py-1.5 text-left font-medium" title={STATE_HELP[state]}>
                {STATE_WORDS[state]}
              </th>
              <td className="py-2">
                <span className="relative block h-3.5 border-l border-ink" aria-hidden>
                  <span className="absolute inset-y-0 left-0 bg-ink" style={{ width: at(wall.value) }} />
                  <span
                    className="absolute inset-y-1 bg-mid"
                    style={{ left: at(wall.value), width: `calc(${at(wall.hi)} - ${at(wall.value)})` }}
                  />
                  <span
                    className="absolute inset-y-1 bg-sheet opacity-40"
                    style={{ left: at(wall.lo), width: `calc(${at(wall.value)} - ${at(wall.lo)})` }}
                  />
                </span>
              </td>
              <td className="mono w-[66px] py-1.5 text-right font-medium">{number(wall.value)} W</td>
              <td className="mono w-[84px] py-1.5 pl-2 text-[12px] text-mid">
                {number(wall.lo)}–{number(wall.hi)}
              </td>
              <td className="mono w-[52px] py-1.5 text-right text-[12px] text-mid">
                {loadShare === null ? '' : `${Math.round(loadShare * 100)} %`}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
