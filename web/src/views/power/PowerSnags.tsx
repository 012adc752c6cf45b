import { Link } from 'react-router';
import { useAppSelector } from '../../state/store';
import { isOfPower } from './startWords';

/** What was found about power, each leading to its fixes on the bench. */
export function PowerSnags({ build }: { readonly build: string }) {
  const snags = useAppSelector((state) => state.bench.view?.snags) ?? [];
  const own = snags.filter(isOfPower);
  if (own.length === 0) return null;
  return (
    <section aria-labelledby="found" className="mt-3 border-t border-line pt-2">
      <h2 id="found" className="text-[15px] font-semibold">
        What was found
      </h2>
      <ul>
        {own.map((snag) => {
          const place = snag.at[0];
          const sel = place && ('unit' in place ? place.unit : '');
          return (
            <li key={snag.key} className="mt-1 text-[13.5px]">
              <span className={`font-medium ${TONE[snag.severity]}`}>{SEVERITY[snag.severity]}.</span> {snag.what}{' '}
              <Link className="no-print underline" to={`/b/${build}?pane=snags${sel ? `&sel=${sel}` : ''}`}>
                Fixes
              </Link>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

const SEVERITY = { blocker: 'Blocker', caution: 'Caution', note: 'Note' } as const;
const TONE = { blocker: 'bad', caution: 'warn', note: 'text-mid' } as const;
