import { useAppSelector } from '../../state/store';
import { usePrinting } from '../build/usePrinting';
import { countWords, moneyWords } from '../../words/format';

/** On paper only: the snags with their reasons, and the kit with marks and prices. */
export default function BenchPrint() {
  return usePrinting() ? <SnagsAndKit /> : null;
}

function SnagsAndKit() {
  const build = useAppSelector((state) => state.bench.build);
  const snags = useAppSelector((state) => state.bench.view?.snags);
  if (!build) return null;
  const items = build.items.filter(({ stage }) => stage <= build.stage);
  return (
    <div className="print-only mt-4 text-[12px]">
      {snags && snags.length > 0 && (
        <section className="break-inside-avoid-page">
          <h2 className="text-[14px] font-semibold">{countWords(snags.length, 'snag')}</h2>
          <ol>
            {snags.map((snag, i) => (
              <li key={snag.key} className="break-inside-avoid border-t border-line py-1">
                {i + 1}. <span className="font-medium">{snag.what}</span> {snag.severity}. {snag.why}
                {snag.accepted === undefined ? '' : ` Accepted${snag.accepted ? `: ${snag.accepted}` : ''}.`}
              </li>
            ))}
          </ol>
        </section>
      )}
      <h2 className="mt-4 text-[14px] font-semibold">Kit</h2>
      <table className="w-full">
        <tbody>
          {items.map((item) => {
            const marks = item.units.map(({ mark }) => mark);
            const each = item.price?.per === 'unit' ? ' each' : '';
            return (
              <tr key={item.id} className="border-t border-line">
                <td className="mono w-10 text-right">{item.count ?? item.units.length} ×</td>
                <td className="pl-2">{build.sheets[item.sheet]?.name ?? item.sheet}</td>
                <td className="mono pl-2">{marks.length > 1 ? `${marks[0]}–${marks.at(-1)}` : marks[0]}</td>
                <td className="mono text-right">
                  {item.deal === 'owned'
                    ? 'owned'
                    : item.price
                      ? `${moneyWords(item.price.minor, item.price.currency)}${each}`
                      : 'typical price'}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
