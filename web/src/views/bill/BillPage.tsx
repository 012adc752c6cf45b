import { useState } from 'react';
import { spotsOf, type Build, type PlannedUnit } from '@inch-tower/core';
import { useAppSelector } from '../../state/store';
import { selectUnits } from '../../state/selectors';
import { benchWorker } from '../../worker/client';
import { useAsked } from '../../worker/useAsked';
import { saveBill } from '../build/saveBill';
import { useUndoKeys } from '../build/useUndoKeys';
import { ViewFrame } from '../build/ViewFrame';
import { BillSide } from './BillSide';
import { BillTable } from './BillTable';
import { priceAnswer } from './billWords';
import { LotBar } from './LotBar';
import { ReadBack } from './ReadBack';

/** What is bought, what it costs, where the prices are from, and what the years after cost. */
export default function BillPage() {
  useUndoKeys();
  const build = useAppSelector((state) => state.bench.build)!;
  const told = useAsked(() => benchWorker().billView());
  return (
    <ViewFrame
      view="bill"
      hint="What is bought now, what is there, where the prices are from, and what the years cost."
      className="bg-sheet md:grid-cols-[minmax(0,1fr)_340px] xl:grid-cols-[minmax(0,1fr)_420px]"
    >
      <h1 className="sr-only">Bill</h1>
      {told ? (
        <>
          <BillPane told={told} build={build} />
          <div className="print-page min-h-0 overflow-auto border-line px-5 py-3 md:border-l" tabIndex={0}>
            <BillSide told={told} build={build} />
          </div>
        </>
      ) : (
        <p className="p-6 text-mid">Adding it up …</p>
      )}
    </ViewFrame>
  );
}

/** Places for drives in bays, taken or free. */
const placesOf = (units: readonly PlannedUnit[]): number =>
  units
    .flatMap((unit) => spotsOf(unit.id, unit.part))
    .reduce((sum, spot) => sum + (spot.type === 'bay' && !spot.group.takes.includes('5.25') ? spot.count : 0), 0);

export type BillTold = NonNullable<Awaited<ReturnType<ReturnType<typeof benchWorker>['billView']>>>;

function BillPane({ told: { bill }, build }: { readonly told: BillTold; readonly build: Build }) {
  const units = useAppSelector(selectUnits);
  const figures = useAppSelector((state) => state.bench.view?.figures);
  const price = figures?.['cost.now'];
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const there = new Set(bill.lines.flatMap(({ item }) => item ?? []));
  const marked = [...chosen].filter((id) => there.has(id as never));
  return (
    <section aria-labelledby="price" className="print-page min-h-0 overflow-auto px-5 py-3" tabIndex={0}>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 id="price" className="text-[15px] font-semibold">
          What does it cost?
        </h2>
        <span className="no-print ml-auto flex flex-wrap justify-end gap-x-3 text-[13px]">
          <button type="button" className="plain min-h-6 underline" onClick={() => void saveBill(build)}>
            Save as a table
          </button>
          <ReadBack />
          <button type="button" className="plain min-h-6 underline" onClick={() => window.print()}>
            Print
          </button>
        </span>
      </div>
      <p className="text-[17px] leading-snug font-semibold" data-testid="price-answer">
        {price
          ? priceAnswer(bill, price, {
              usableTb: figures?.['capacity.usableTb']?.value ?? 0,
              places: placesOf(units) * build.copies,
            })
          : 'Nothing in the kit yet.'}
      </p>
      <LotBar build={build} chosen={marked} onDone={() => setChosen(new Set())} />
      <BillTable
        bill={bill}
        units={units}
        chosen={chosen}
        onChoose={(item, is) => {
          const next = new Set(chosen);
          if (is) next.add(item);
          else next.delete(item);
          setChosen(next);
        }}
      />
    </section>
  );
}
