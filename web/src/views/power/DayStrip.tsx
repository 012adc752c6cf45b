import { useState, type PointerEvent } from 'react';
import type { Build, StateDraw } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { useAppDispatch } from '../../state/store';
import { HOUR_STATES, HOUR_WORDS, hoursWords, painted, withHours, type Days, type HourState } from './dayHours';

const HEIGHT_PX = 46;
const ROWS = [
  ['weekday', 'Weekday'],
  ['weekend', 'Weekend'],
] as const;
/** A state's own pattern beside its height: told apart without colour. */
const FILL: Readonly<Record<HourState, string>> = {
  off: '',
  asleep: 'hour-asleep',
  idle: 'hour-idle',
  working: 'hour-working',
  busy: 'bg-ink',
};
const CHOSEN = 'border-b-2 border-ink font-semibold';
type Stroke = { readonly days: Days; readonly from: number; readonly to: number };

/**
 * The hours of a weekday and of a day of a weekend, each as high as what the machine draws in it. Painted over with a
 * state by dragging, or set by number.
 */
export function DayStrip({ build, states }: { readonly build: Build; readonly states: readonly StateDraw[] }) {
  const { profile, tariff } = build;
  const dispatch = useAppDispatch();
  const [brush, setBrush] = useState<HourState>('working');
  const [stroke, setStroke] = useState<Stroke | null>(null);
  const wattsIn = (state: HourState) => states.find((one) => one.state === state)?.wall.value ?? 0;
  const most = Math.max(1, ...HOUR_STATES.map(wattsIn));
  const set = (days: readonly Days[], from: number, to: number, state: HourState) => {
    const value = withHours(profile, days, from, to, state);
    if (value !== profile) void dispatch(edit([{ type: 'set.profile', value }], hoursWords(days, from, to, state)));
  };
  const hourAt = (event: PointerEvent<HTMLElement>) => {
    const { left, width } = event.currentTarget.getBoundingClientRect();
    return Math.max(0, Math.min(23, Math.floor((24 * (event.clientX - left)) / width)));
  };
  return (
    <div className="mt-2">
      <div
        role="group"
        aria-label="Paint hours with"
        className="no-print flex flex-wrap items-center gap-1 text-[13px]"
      >
        <span className="text-mid">Paint hours </span>
        {HOUR_STATES.map((state) => (
          <button
            key={state}
            type="button"
            aria-pressed={brush === state}
            className={`plain inline-flex min-h-6 items-center gap-1 px-1.5 ${brush === state ? CHOSEN : ''}`}
            onClick={() => setBrush(state)}
          >
            <span aria-hidden className={`inline-block h-3 w-3 border border-ink ${FILL[state]}`} />
            {HOUR_WORDS[state]}
          </button>
        ))}
      </div>
      {ROWS.map(([days, label]) => {
        const day = stroke?.days === days ? painted(profile[days], stroke.from, stroke.to, brush) : profile[days];
        return (
          <div key={days} className="mt-1.5 grid grid-cols-[62px_minmax(0,1fr)] items-end gap-x-2">
            <span className="text-[13px]">{label}</span>
            <div
              data-day={days}
              role="img"
              aria-label={`${label}: ${runsWords(day)}`}
              className="flex cursor-crosshair touch-none border-b border-ink select-none"
              style={{ height: HEIGHT_PX }}
              onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                const hour = hourAt(event);
                setStroke({ days, from: hour, to: hour });
              }}
              onPointerMove={(event) => {
                const hour = hourAt(event);
                if (stroke && stroke.to !== hour) setStroke({ ...stroke, to: hour });
              }}
              onPointerUp={() => {
                if (stroke) set([stroke.days], stroke.from, stroke.to, brush);
                setStroke(null);
              }}
              onPointerCancel={() => setStroke(null)}
            >
              {day.map((state, hour) => (
                <span
                  key={hour}
                  className={`block flex-1 self-end border-r border-sheet ${FILL[state]}`}
                  style={{ height: `${Math.max(3, (100 * wattsIn(state)) / most)}%` }}
                  title={`${hour} to ${hour + 1}: ${HOUR_WORDS[state]}, ${Math.round(wattsIn(state))} W`}
                />
              ))}
            </div>
          </div>
        );
      })}
      <div aria-hidden className="mono ml-[70px] flex justify-between text-[11px] text-mid">
        {[0, 6, 12, 18, 24].map((hour) => (
          <span key={hour}>{hour}</span>
        ))}
      </div>
      {tariff.bands.length > 1 && <Bands bands={tariff.bands} />}
      <SetHours onSet={set} />
    </div>
  );
}

/** "0 to 8 idle, 8 to 24 at work", for those who hear it. */
function runsWords(day: readonly HourState[]): string {
  const words: string[] = [];
  for (let from = 0; from < day.length;) {
    let to = from + 1;
    while (to < day.length && day[to] === day[from]) to++;
    words.push(`${from} to ${to} ${HOUR_WORDS[day[from]!]}`);
    from = to;
  }
  return words.join(', ');
}

/** Under the hours, where a kWh is dearer: each band from its hour to the next. */
function Bands({ bands }: { readonly bands: Build['tariff']['bands'] }) {
  const sorted = [...bands].sort((a, b) => a.fromHour - b.fromHour);
  const most = Math.max(...sorted.map(({ minorPerKwh }) => minorPerKwh));
  const priceAt = (hour: number) => (sorted.findLast(({ fromHour }) => fromHour <= hour) ?? sorted.at(-1)!).minorPerKwh;
  return (
    <div className="ml-[70px] flex h-2.5 items-end" aria-hidden title="What a kWh costs by the hour">
      {Array.from({ length: 24 }, (_, hour) => (
        <span key={hour} className="block flex-1 bg-tape" style={{ height: `${(100 * priceAt(hour)) / most}%` }} />
      ))}
    </div>
  );
}

/** The same by keyboard: from an hour to another, on which days, in which state. */
function SetHours({
  onSet,
}: {
  readonly onSet: (days: readonly Days[], from: number, to: number, state: HourState) => void;
}) {
  const [from, setFrom] = useState(8);
  const [to, setTo] = useState(18);
  const [days, setDays] = useState<'weekday' | 'weekend' | 'both'>('weekday');
  const [state, setState] = useState<HourState>('working');
  const hours = (first: number, last: number) =>
    Array.from({ length: last - first + 1 }, (_, i) => (
      <option key={first + i} value={first + i}>
        {first + i}
      </option>
    ));
  return (
    <details className="no-print mt-1 text-[13px]">
      <summary className="min-h-6 text-mid">Set hours by number</summary>
      <form
        className="mt-1 flex flex-wrap items-center gap-1.5"
        onSubmit={(event) => {
          event.preventDefault();
          onSet(days === 'both' ? ['weekday', 'weekend'] : [days], from, Math.max(from, to - 1), state);
        }}
      >
        <label className="flex items-center gap-1.5">
          From
          <select
            className="field"
            aria-label="From hour"
            value={from}
            onChange={(event) => {
              const hour = Number(event.target.value);
              setFrom(hour);
              setTo(Math.max(to, hour + 1));
            }}
          >
            {hours(0, 23)}
          </select>
        </label>
        <label className="flex items-center gap-1.5">
          to
          <select
            className="field"
            aria-label="To hour"
            value={to}
            onChange={(event) => setTo(Number(event.target.value))}
          >
            {hours(from + 1, 24)}
          </select>
        </label>
        <select
          className="field"
          aria-label="On which days"
          value={days}
          onChange={(event) => setDays(event.target.value as typeof days)}
        >
          <option value="weekday">on weekdays</option>
          <option value="weekend">at weekends</option>
          <option value="both">every day</option>
        </select>
        <select
          className="field"
          aria-label="In which state"
          value={state}
          onChange={(event) => setState(event.target.value as HourState)}
        >
          {HOUR_STATES.map((one) => (
            <option key={one} value={one}>
              {HOUR_WORDS[one]}
            </option>
          ))}
        </select>
        <button type="submit" className="press">
          Set
        </button>
      </form>
    </details>
  );
}
