import { Link, useLocation } from 'react-router';
import { useAppSelector } from '../../state/store';
import { struckWords, thingName } from '../../words/struck';
import { GONE, type StruckView } from './useStruck';

const VIEWS = [
  ['', 'In the drawing'],
  ['/wiring', 'In the wiring'],
  ['/pool', 'In the pool'],
] as const;

/** What is struck out here, what is left, and where else it can be looked at. */
export function StruckNote({ struck: { one, strike } }: { readonly struck: StruckView }) {
  const id = useAppSelector((state) => state.bench.build?.id) ?? '';
  const { pathname } = useLocation();
  const [thing] = one.things;
  if (!thing) return null;
  const { says, tone } = struckWords(one);
  return (
    <p
      role="status"
      data-testid="struck"
      className={
        'no-print flex flex-wrap items-baseline gap-x-4 gap-y-1 ' +
        'border-b border-line bg-wash px-3 py-1 text-[13.5px]'
      }
    >
      <span>
        <span className="font-semibold">Struck out: {thingName(thing)}.</span> <span className={tone}>{says}</span>
      </span>
      {VIEWS.map(([path, words]) =>
        pathname === `/b/${id}${path}` ? null : (
          <Link key={path} className="underline" to={`/b/${id}${path}?${GONE}=${encodeURIComponent(thing.key)}`}>
            {words}
          </Link>
        ),
      )}
      <button type="button" className="plain min-h-6 underline" onClick={() => strike(null)}>
        Put it back
      </button>
    </p>
  );
}
