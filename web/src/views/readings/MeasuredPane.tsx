import { useState } from 'react';
import type { Build, Reading } from '@inch-tower/core';
import { edit } from '../../state/benchThunks';
import { useAppDispatch } from '../../state/store';
import { benchWorker } from '../../worker/client';
import { useAsked } from '../../worker/useAsked';
import { ReadingForm } from './ReadingForm';
import { againstWords, explainWords, readWords } from './readingWords';

type What = Reading['what'];

/** What was measured on the machine, against what was reckoned: with it every number here gets narrower. */
export function MeasuredPane({ build, about }: { readonly build: Build; readonly about: readonly What[] }) {
  const dispatch = useAppDispatch();
  const told = useAsked(() => benchWorker().readings(about), about.join());
  const [isAsking, setAsking] = useState(false);
  const own = told?.readings ?? [];
  const set = (value: Build['readings'], words: string) =>
    void dispatch(edit([{ type: 'set.readings', value }], words));
  const keep = async (reading: Reading) => {
    const reckoned = await benchWorker().reckoned(reading);
    set([...build.readings, reckoned === null ? reading : { ...reading, reckoned }], `Measured: ${readWords(reading)}`);
    setAsking(false);
  };
  const explains = own.length > 0 && told ? explainWords(told.explains) : '';
  return (
    <section aria-labelledby="measured" className="mt-3 break-inside-avoid border-t border-line pt-2 text-[13px]">
      <h2 id="measured" className="text-[15px] font-semibold">
        Measured on the machine
      </h2>
      {own.length === 0 && !isAsking && (
        <p className="text-mid">
          Nothing yet. One number read on the running machine narrows all that is reckoned here.
        </p>
      )}
      <ul>
        {own.map((one) => (
          <li key={one.reading.id} className="flex items-start gap-2 border-t border-dotted border-line py-1">
            <span className="min-w-0 flex-1">
              <span className="font-medium">{readWords(one.reading)}</span>{' '}
              <span className="mono text-[12px] text-mid">{one.reading.at}</span>
              <span className="block text-[12.5px] text-mid">{againstWords(one)}</span>
            </span>
            <button
              type="button"
              className="plain no-print min-h-6 underline"
              aria-label={`Take out: ${readWords(one.reading)}`}
              onClick={() =>
                set(
                  build.readings.filter(({ id }) => id !== one.reading.id),
                  `Taken out: ${readWords(one.reading)}`,
                )
              }
            >
              Take out
            </button>
          </li>
        ))}
      </ul>
      {explains && <p data-testid="explains">{explains}</p>}
      {isAsking ? (
        <ReadingForm build={build} about={about} onKeep={keep} onCancel={() => setAsking(false)} />
      ) : (
        <button type="button" className="press no-print mt-1" onClick={() => setAsking(true)}>
          Enter what you measured
        </button>
      )}
    </section>
  );
}
