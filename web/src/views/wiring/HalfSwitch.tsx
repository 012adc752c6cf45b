import { useSearchParams } from 'react-router';

const HALVES = [
  ['both', 'Data and power'],
  ['data', 'Data'],
  ['power', 'Power'],
] as const;
const CHOSEN = 'border-b-2 border-ink font-semibold';
type Half = (typeof HALVES)[number][0];

/** Which half of the wiring is shown lives in the address (`half`): both where it says nothing. */
export function useHalf() {
  const [params, setParams] = useSearchParams();
  const now: Half = HALVES.find(([half]) => half === params.get('half'))?.[0] ?? 'both';
  return {
    now,
    shows: { data: now !== 'power', power: now !== 'data' },
    choose: (half: Half) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          if (half === 'both') next.delete('half');
          else next.set('half', half);
          return next;
        },
        { replace: true },
      ),
  };
}

export function HalfSwitch({ half }: { readonly half: ReturnType<typeof useHalf> }) {
  return (
    <div role="group" aria-label="Wiring shown" className="no-print flex gap-1 px-4 pt-2">
      {HALVES.map(([one, words]) => (
        <button
          key={one}
          type="button"
          aria-pressed={half.now === one}
          className={`plain min-h-6 px-2 text-[13px] ${half.now === one ? CHOSEN : 'text-mid'}`}
          onClick={() => half.choose(one)}
        >
          {words}
        </button>
      ))}
    </div>
  );
}
