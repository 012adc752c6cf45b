import { lazy, Suspense } from 'react';
import type { RefusedRow } from '../../../worker/messages';

const WhyNot = lazy(() => import('./WhyNot'));

/** What does not fit, folded under its count, each with its one reason. */
export function Refused({ rows }: { readonly rows: readonly RefusedRow[] }) {
  return (
    <details className="border-b border-line px-3 py-2 text-[13px]">
      <summary className="min-h-6 cursor-pointer text-mid">
        {rows.length} {rows.length === 1 ? 'does' : 'do'} not fit here
      </summary>
      <ul>
        {rows.map((row) => (
          <li key={row.sheet} className="border-t border-dotted border-line py-1">
            <span className="font-medium">{row.name}</span>
            <span className="block text-mid">{row.why}</span>
            <Suspense fallback={null}>
              <WhyNot row={row} />
            </Suspense>
          </li>
        ))}
      </ul>
    </details>
  );
}
