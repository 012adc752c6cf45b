import type { UpsTime } from '@inch-tower/core';

const STATE = { idle: 'idle', working: 'at work', peak: 'at its most', start: 'while drives start' } as const;
const minutes = (value: number) => (value < 10 ? value.toFixed(1) : String(Math.round(value)));

const hangingWords = ({ hanging }: UpsTime): string =>
  hanging.map(({ name, plugs, of }) => (of > 1 ? `${plugs} of ${of} plugs of ${name}` : name)).join(', ');

type Props = { readonly ups: UpsTime; readonly isOneOfMany: boolean };

/** How long a UPS holds what hangs on it, by what that does. */
export function UpsPane({ ups, isOneOfMany }: Props) {
  return (
    <section aria-labelledby={`ups-${ups.unit}`} className="mt-3 border-t border-line pt-2">
      <h2 id={`ups-${ups.unit}`} className="text-[15px] font-semibold">
        How long does {ups.name} hold?
      </h2>
      <ul className="mt-0.5 text-[13.5px]">
        {ups.states.map(({ state, minutes: held }) => (
          <li key={state}>
            <span className="inline-block w-[132px] text-mid">{STATE[state as keyof typeof STATE] ?? state}</span>
            {held ? (
              <>
                <span className="mono font-medium">{minutes(held.value)} min</span>{' '}
                <span className="mono text-[12px] text-mid">
                  {minutes(held.lo)}–{minutes(held.hi)}
                </span>
              </>
            ) : (
              <span className="bad">not at all: more than it gives</span>
            )}
          </li>
        ))}
      </ul>
      {isOneOfMany && (
        <p className="text-[12.5px] text-mid">On it, as the plugs are dealt best: {hangingWords(ups) || 'nothing'}.</p>
      )}
      <p className="text-[12.5px] text-mid">
        {ups.ageYears === null
          ? 'With a new battery; give its year in the kit if it is older.'
          : `Its battery counts as ${ups.ageYears} ${ups.ageYears === 1 ? 'year' : 'years'} old.`}{' '}
        {ups.otherW > 0
          ? `With ${Math.round(ups.otherW)} W of other things, as the brief says.`
          : 'What else hangs on it is asked in the brief, and counts as nothing.'}
      </p>
    </section>
  );
}
