import { useState } from 'react';
import { Link } from 'react-router';
import { ordersOf, type Bill, type Build } from '@inch-tower/core';
import { countWords } from '../../words/format';
import { stageName } from '../items/Stages';
import { stageColumns } from '../compare/columns';
import type { OwnedLine } from '../../worker/messages';
import { useWidth } from '../useWidth';
import { StagesWork } from './StagesWork';
import { MakeVariant } from './MakeVariant';
import type { BillTold } from './BillPage';
import { GROUP_WORDS, keptWords, ordersWords, overYears, roughly } from './billWords';

const YEARS = [1, 3, 5, 10];
const VERDICT_WORDS = { replace: 'replace', look: 'look again', keep: 'keep' } as const;
const VERDICT_TONE = { replace: 'bad', look: 'warn', keep: 'good' } as const;
const WORST = { replace: 0, look: 1, keep: 2 } as const;
const worstFirst = (a: OwnedLine, b: OwnedLine): number => WORST[a.verdict] - WORST[b.verdict];

/** Where the money goes, what later stages and the years cost, and what is there already. */
export function BillSide({
  told: { bill, running, owned },
  build,
}: {
  readonly told: BillTold;
  readonly build: Build;
}) {
  const [years, setYears] = useState(5);
  const over = overYears(bill, running, years);
  const orders = ordersWords(ordersOf(bill));
  return (
    <div className="text-[13px]">
      {bill.total > 0 && (
        <>
          <h2 className="text-[15px] font-semibold">Where does it go?</h2>
          <GroupsPicture bill={bill} />
        </>
      )}
      {bill.ownedWorth > 0 && (
        <p>
          Owned parts would cost about {roughly(bill.ownedWorth, bill.currency)} to buy:{' '}
          {roughly(bill.total + bill.ownedWorth, bill.currency)} with them in.
        </p>
      )}
      {build.copies > 1 && <p>All of it is for {build.copies} machines alike.</p>}
      <div
        className={`flex flex-wrap items-baseline gap-x-3 ${bill.total > 0 ? 'mt-2 border-t border-line pt-2' : ''}`}
      >
        <h2 className="text-[15px] font-semibold">What does it cost over the years?</h2>
        <label className="flex items-center gap-2">
          over
          <select className="field" value={years} onChange={(event) => setYears(Number(event.target.value))}>
            {YEARS.map((one) => (
              <option key={one} value={one}>
                {countWords(one, 'year')}
              </option>
            ))}
          </select>
        </label>
      </div>
      <table className="mt-1 w-full border-collapse">
        <tbody>
          {over.rows.map(([what, money, why]) => (
            <tr key={what} className="border-t border-dotted border-line align-baseline">
              <th className="py-0.5 text-left font-normal">
                {what} {why && <span className="text-mid">{why}</span>}
              </th>
              <td className="mono py-0.5 text-right whitespace-nowrap">{money}</td>
            </tr>
          ))}
          <tr className="border-t border-ink">
            <th className="py-0.5 text-left font-semibold">together</th>
            <td className="mono py-0.5 text-right font-medium whitespace-nowrap" data-testid="over-years">
              {over.sum}
            </td>
          </tr>
        </tbody>
      </table>
      {!running.energy && (
        <p className="text-mid">
          Electricity is not in it: nothing draws yet, or the tariff is in a currency without a rate.
        </p>
      )}
      <p className="no-print mt-1">
        <Link className="underline" to={`/compare?b=${build.id}`}>
          Hold it against another machine
        </Link>{' '}
        <span className="text-mid">or against a variant of it:</span>
      </p>
      <MakeVariant build={build} />
      {orders.length > 0 && (
        <section aria-labelledby="orders" className="mt-3 border-t border-line pt-2">
          <h2 id="orders" className="text-[15px] font-semibold">
            When is it all here?
          </h2>
          {orders.map((words) => (
            <p key={words}>{words}</p>
          ))}
        </section>
      )}
      {owned.length > 0 && (
        <section aria-labelledby="owned" className="mt-3 border-t border-line pt-2">
          <h2 id="owned" className="text-[15px] font-semibold">
            Keep what is owned?
          </h2>
          <ul>
            {[...owned].sort(worstFirst).map((line) => (
              <li key={line.item} className="border-b border-dotted border-line py-0.5">
                <span className="mono">{line.mark}</span> {line.name}:{' '}
                <span className={VERDICT_TONE[line.verdict]}>{VERDICT_WORDS[line.verdict]}</span>
                <span className="text-mid">{keptWords(line, build.tariff.currency)}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {build.stages.length > 1 && <StagesWork build={build} />}
      {bill.later.length > 0 && (
        <section aria-labelledby="later" className="mt-3 border-t border-line pt-2">
          <h2 id="later" className="text-[15px] font-semibold">
            What waits for later?
          </h2>
          {bill.later.map(({ stage, what, total, unpriced }) => (
            <p key={stage} className="border-b border-dotted border-line py-1">
              <span className="font-medium">{stageName(build.stages[stage]!, stage)}</span>
              {build.stages[stage]?.at && <span className="text-mid"> {build.stages[stage].at}</span>}:{' '}
              <span className="mono">{roughly(total, bill.currency)}</span>
              {unpriced > 0 && ` without ${countWords(unpriced, 'line')} of no price`}
              <span className="block text-[12.5px] text-mid">{what.join(', ') || 'nothing yet'}</span>
            </p>
          ))}
          <p className="no-print">
            <Link className="underline" to={`/compare?b=${stageColumns(build).join(',')}`}>
              Hold the stages against each other
            </Link>
          </p>
          <p className="text-[12.5px] text-mid">Cables and small parts of later stages are counted when they come.</p>
        </section>
      )}
    </div>
  );
}

const ROW_PX = 24;

/** The share of each group as a bar to one scale. */
function GroupsPicture({ bill }: { readonly bill: Bill }) {
  const { width, ref } = useWidth();
  const groups = bill.groups.filter(({ total }) => total > 0);
  const most = Math.max(1, ...groups.map(({ total }) => total));
  const left = 168;
  const span = Math.max(20, width - left - 76);
  return (
    <div ref={ref} className="my-1">
      <svg className="drawing" width={width || 300} height={groups.length * ROW_PX + 4} aria-hidden>
        {groups.map(({ group, total }, i) => {
          const y = i * ROW_PX + 4;
          return (
            <g key={group}>
              <text x={0} y={y + 12}>
                {GROUP_WORDS[group]}
              </text>
              <rect className="solid tray" x={left} y={y + 2} width={(total / most) * span} height={12} fill="none" />
              <text x={left + (total / most) * span + 6} y={y + 12}>
                {Math.round((100 * total) / bill.total)} %
              </text>
            </g>
          );
        })}
      </svg>
    </div>
  );
}
