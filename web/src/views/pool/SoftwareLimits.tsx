import { useState } from 'react';
import { readNumber, type Build } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { useAppDispatch } from '../../state/store';

type Software = NonNullable<Build['pool']['software']>;

/** What the storage software allows, typed by who knows it: drives by its licence, and until when it is supported. */
export function SoftwareLimits({ build }: { readonly build: Build }) {
  const dispatch = useAppDispatch();
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [date, setDate] = useState<string | null>(null);
  const { software = {}, ...pool } = build.pool;
  const set = (next: Software, words: string) => {
    const kept = Object.fromEntries(Object.entries(next).filter(([, one]) => one !== undefined)) as Software;
    const value = Object.keys(kept).length > 0 ? { ...pool, software: kept } : pool;
    void dispatch(edit([{ type: 'set.pool', value }], words));
  };
  const answer = () => {
    if (typed === null) return;
    const text = typed.trim();
    const read = readNumber(text, { unit: 'drives' });
    const isWhole = read.ok && Number.isInteger(read.value) && read.value >= 1 && read.value <= 10_000;
    if (text !== '' && !isWhole) {
      setWrong(`${read.ok ? 'A whole number of drives from 1 to 10 000' : read.words}; what was there is kept.`);
      return;
    }
    setWrong(null);
    setTyped(null);
    const mostDrives = text === '' || !read.ok ? undefined : read.value;
    if (mostDrives === software.mostDrives) return;
    const next: Software = { ...software };
    if (mostDrives === undefined) delete next.mostDrives;
    else next.mostDrives = mostDrives;
    set(next, mostDrives === undefined ? 'No limit of drives' : `At most ${mostDrives} drives`);
  };
  const until = () => {
    setDate(null);
    if (date === null || date === (software.supportedUntil ?? '')) return;
    const next: Software = { ...software };
    if (date === '') delete next.supportedUntil;
    else next.supportedUntil = date;
    set(next, date === '' ? 'No end of support' : `Supported until ${date}`);
  };
  return (
    <div className="border-t border-line py-2 text-[13.5px]">
      <p className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <span className="font-semibold">Storage software</span>
        <label className="inline-flex min-h-7 items-center gap-2">
          takes at most
          <input
            className="field mono w-16 text-right"
            inputMode="numeric"
            placeholder="open"
            aria-invalid={!!wrong}
            aria-describedby={wrong ? 'software-wrong' : undefined}
            value={typed ?? software.mostDrives ?? ''}
            onChange={(event) => setTyped(event.target.value)}
            onBlur={answer}
            onKeyDown={(event) => {
              if (event.key === 'Enter') answer();
            }}
          />
          drives
        </label>
        <label className="inline-flex min-h-7 items-center gap-2">
          and is supported until
          <input
            type="date"
            className="field"
            value={date ?? software.supportedUntil ?? ''}
            onChange={(event) => setDate(event.target.value)}
            onBlur={until}
            onKeyDown={(event) => {
              if (event.key === 'Enter') until();
            }}
          />
        </label>
      </p>
      {wrong && (
        <p id="software-wrong" role="alert" className="bad text-[12.5px]">
          {wrong}
        </p>
      )}
    </div>
  );
}
