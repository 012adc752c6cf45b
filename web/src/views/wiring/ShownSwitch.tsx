import { useSearchParams } from 'react-router';
import type { Through } from './flowWiring';

const HALVES = [
  ['both', 'Data and power'],
  ['data', 'Data'],
  ['power', 'Power'],
] as const;
const THROUGH = [
  ['drives', 'What drives could give'],
  ['reading', 'Reading'],
  ['writing', 'Writing'],
] as const satisfies readonly (readonly [Through, string])[];
const CHOSEN = 'border-b-2 border-ink font-semibold';
type Half = (typeof HALVES)[number][0];

/** A choice that lives in the address under a name; the first one where the address says nothing. */
function useInAddress<T extends string>(name: string, choices: readonly (readonly [T, string])[]) {
  const [params, setParams] = useSearchParams();
  const first = choices[0]![0];
  return {
    now: choices.find(([one]) => one === params.get(name))?.[0] ?? first,
    choose: (one: T) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          if (one === first) next.delete(name);
          else next.set(name, one);
          return next;
        },
        { replace: true },
      ),
  };
}

/** Which half of the wiring is shown (`half`), and what goes through its ribbons (`through`). */
export function useShown() {
  const half = useInAddress<Half>('half', HALVES);
  const through = useInAddress<Through>('through', THROUGH);
  return { half, through, shows: { data: half.now !== 'power', power: half.now !== 'data' } };
}

export function ShownSwitch({ shown }: { readonly shown: ReturnType<typeof useShown> }) {
  return (
    <div className="no-print flex flex-wrap gap-x-6 px-4 pt-2">
      <Choice label="Wiring shown" choices={HALVES} {...shown.half} />
      {shown.shows.data && <Choice label="Through the ribbons" choices={THROUGH} {...shown.through} />}
    </div>
  );
}

function Choice<T extends string>({
  label,
  choices,
  now,
  choose,
}: {
  readonly label: string;
  readonly choices: readonly (readonly [T, string])[];
  readonly now: T;
  readonly choose: (one: T) => void;
}) {
  return (
    <div role="group" aria-label={label} className="flex gap-1">
      {choices.map(([one, words]) => (
        <button
          key={one}
          type="button"
          aria-pressed={now === one}
          className={`plain min-h-6 px-2 text-[13px] ${now === one ? CHOSEN : 'text-mid'}`}
          onClick={() => choose(one)}
        >
          {words}
        </button>
      ))}
    </div>
  );
}
