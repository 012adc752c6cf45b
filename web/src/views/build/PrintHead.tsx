import { dataDrives, verdictOf } from '@inch-tower/core';
import { desk } from '../../saving/here';
import { selectUnits } from '../../state/selectors';
import { useAppSelector } from '../../state/store';
import { figureNumber, rangeWords, unitWords } from '../../words/format';
import { TAPES, WANTS_MORE } from './tapesOf';
import { usePrinting } from './usePrinting';

const REVISION_LETTERS = 8;

/** On paper only: which machine and view this is, how it stands, which revision, and when it was printed. */
export function PrintHead({ view: title }: { readonly view: string }) {
  return usePrinting() ? <Head title={title} /> : null;
}

function Head({ title }: { readonly title: string }) {
  const build = useAppSelector((state) => state.bench.build);
  const view = useAppSelector((state) => state.bench.view);
  const units = useAppSelector(selectUnits);
  if (!build) return null;
  const revision = desk.draft(build.id)?.etag.slice(0, REVISION_LETTERS);
  const drives = dataDrives(units).length;
  return (
    <header className="print-only mb-3 text-[12px]">
      <p className="text-[17px] font-semibold">
        {build.name || 'Unnamed'}, {title}
      </p>
      <p>
        {view ? `${[verdictOf(view).words, verdictOf(view).notComputed].filter(Boolean).join('; ')}. ` : ''}
        {revision ? `Revision ${revision}, ` : ''}printed {new Date().toISOString().slice(0, 10)}, Inch Tower.
      </p>
      <table className="mt-2 w-full">
        <tbody>
          {TAPES.map((tape) => {
            const figure = view?.figures[tape.id];
            const limit = tape.limit(build, drives);
            return figure ? (
              <tr key={tape.id} className="border-t border-line">
                <th className="text-left font-medium">{tape.label(build)}</th>
                <td className="mono text-right">
                  {figureNumber(tape.id, figure.value)} {unitWords(figure)}
                </td>
                <td className="mono pl-3">{rangeWords(tape.id, figure)}</td>
                <td className="mono pl-3">
                  {limit === undefined
                    ? ''
                    : `${WANTS_MORE.has(tape.id) ? 'wished' : 'limit'} ${figureNumber(tape.id, limit)}`}
                </td>
              </tr>
            ) : null;
          })}
        </tbody>
      </table>
    </header>
  );
}
