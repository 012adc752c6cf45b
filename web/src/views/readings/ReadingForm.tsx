import { useId, useState } from 'react';
import { kitPrint, readNumber, type Build, type Reading } from '@inch-tower/core';
import { freshId } from '../../freshId';
import { INSTRUMENT, INSTRUMENTS_OF, STATE, STATES_OF, WHAT } from './readingWords';

type What = Reading['what'];
type Asked = 'value' | 'dutyPct' | 'roomC' | 'distanceM' | 'offDb' | 'otherW';
type Question = { readonly key: Asked; readonly label: string; readonly unit: string; readonly most: number };

const QUESTIONS: Readonly<Record<What, readonly Question[]>> = {
  driveC: [
    { key: 'dutyPct', label: 'Fans then at', unit: '%', most: 100 },
    { key: 'roomC', label: 'Air in the room', unit: '°C', most: 60 },
  ],
  earDb: [
    { key: 'dutyPct', label: 'Fans then at', unit: '%', most: 100 },
    { key: 'distanceM', label: 'From how far', unit: 'm', most: 50 },
    { key: 'offDb', label: 'With the machine off', unit: 'dB(A)', most: 120 },
  ],
  wallW: [
    { key: 'otherW', label: 'Also on the meter', unit: 'W', most: 20_000 },
    { key: 'dutyPct', label: 'Fans then at', unit: '%', most: 100 },
  ],
};
const MOST: Readonly<Record<What, number>> = { driveC: 120, earDb: 130, wallW: 20_000 };

/** What was read, with what, and how things were; what is not known stays open. */
export function ReadingForm({
  build,
  about,
  onKeep,
  onCancel,
}: {
  readonly build: Build;
  readonly about: readonly What[];
  readonly onKeep: (reading: Reading) => Promise<void>;
  readonly onCancel: () => void;
}) {
  const id = useId();
  const [what, setWhat] = useState<What>(about[0] ?? 'wallW');
  const [state, setState] = useState<Reading['state']>('idle');
  const [instrument, setInstrument] = useState<NonNullable<Reading['instrument']> | null>(null);
  const [at, setAt] = useState(new Date().toISOString().slice(0, 10));
  const { fans } = build.policy;
  const usual: Partial<Record<Asked, string>> = {
    ...(fans.kind === 'fixed' ? { dutyPct: String(Math.round(fans.duty * 100)) } : {}),
    roomC: String(Math.round(build.site.ambientC)),
  };
  const [typed, setTyped] = useState<Partial<Record<Asked, string>>>({});
  const [wrong, setWrong] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const states = STATES_OF[what];
  const kept = states.includes(state) ? state : 'idle';
  const by = instrument && INSTRUMENTS_OF[what].includes(instrument) ? instrument : INSTRUMENTS_OF[what][0]!;
  const asked: readonly Question[] = [
    { key: 'value', label: WHAT[what].label, unit: WHAT[what].unit, most: MOST[what] },
    ...QUESTIONS[what],
  ];
  const keep = async () => {
    const read: Partial<Record<Asked, number>> = {};
    for (const { key, label, unit, most } of asked) {
      const text = (typed[key] ?? usual[key] ?? '').trim();
      if (text === '' && key !== 'value') continue;
      const answer = readNumber(text, { unit });
      if (!answer.ok) return setWrong(`${label}: ${text === '' ? 'what was read is missing.' : answer.words}`);
      const least = key === 'value' && what === 'driveC' ? -20 : 0;
      if (answer.value < least || answer.value > most || (key === 'distanceM' && answer.value < 0.1))
        return setWrong(`${label}: from ${key === 'distanceM' ? 0.1 : least} to ${most} ${unit}.`);
      read[key] = answer.value;
    }
    if (what === 'earDb' && read.offDb !== undefined && read.offDb > read.value!)
      return setWrong('With the machine off it cannot be louder than with it on.');
    setWrong(null);
    setBusy(true);
    await onKeep({
      id: freshId(),
      at,
      what,
      state: kept,
      value: read.value!,
      kit: kitPrint(build),
      instrument: by,
      ...(read.dutyPct === undefined ? {} : { duty: read.dutyPct / 100 }),
      ...(read.roomC === undefined ? {} : { roomC: read.roomC }),
      ...(read.distanceM === undefined ? {} : { distanceMm: read.distanceM * 1000 }),
      ...(read.offDb === undefined ? {} : { offDb: read.offDb }),
      ...(read.otherW === undefined ? {} : { otherW: read.otherW }),
    });
  };
  return (
    <form
      className="no-print mt-1 grid grid-cols-[150px_minmax(0,1fr)] items-center gap-x-3 gap-y-1"
      aria-label="What you measured"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        onCancel();
      }}
    >
      {about.length > 1 && (
        <Choice
          label="What"
          value={what}
          options={about.map((one) => [one, `${WHAT[one].label}, ${WHAT[one].unit}`])}
          onChoose={setWhat}
        />
      )}
      <Choice
        label="The machine was"
        value={kept}
        options={states.map((one) => [one, STATE[one] ?? one])}
        onChoose={setState}
      />
      {asked.map(({ key, label, unit }, i) => (
        <span key={key} className="contents">
          <label htmlFor={`${id}-${key}`}>{label}</label>
          <span className="flex items-center gap-2">
            <input
              id={`${id}-${key}`}
              className="field mono w-24 text-right"
              inputMode="decimal"
              autoComplete="off"
              placeholder={i === 0 ? '' : 'not known'}
              ref={i === 0 ? focusOnce : undefined}
              value={typed[key] ?? usual[key] ?? ''}
              onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
            />
            <span className="mono text-mid">{unit}</span>
          </span>
        </span>
      ))}
      <Choice
        label="Read with"
        value={by}
        options={INSTRUMENTS_OF[what].map((one) => [one, INSTRUMENT[one]])}
        onChoose={setInstrument}
      />
      <label htmlFor={`${id}-at`}>Day</label>
      <input
        id={`${id}-at`}
        type="date"
        required
        className="field w-40"
        value={at}
        onChange={(event) => setAt(event.target.value)}
      />
      {wrong && (
        <p role="alert" className="bad col-span-2">
          {wrong}
        </p>
      )}
      <span className="col-span-2 flex gap-2">
        <button type="submit" className="press" disabled={isBusy}>
          Keep it
        </button>
        <button type="button" className="press" onClick={onCancel}>
          Cancel
        </button>
      </span>
    </form>
  );
}

const focusOnce = (input: HTMLInputElement | null): void => {
  if (input && !input.dataset.met) {
    input.dataset.met = 'yes';
    input.focus();
  }
};

function Choice<T extends string>({
  label,
  value,
  options,
  onChoose,
}: {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [T, string])[];
  readonly onChoose: (value: T) => void;
}) {
  const id = useId();
  return (
    <>
      <label htmlFor={id}>{label}</label>
      <select
        id={id}
        className="field w-full max-w-64"
        value={value}
        onChange={(event) => onChoose(options.find(([one]) => one === event.target.value)![0])}
      >
        {options.map(([one, words]) => (
          <option key={one} value={one}>
            {words}
          </option>
        ))}
      </select>
    </>
  );
}
