import { Fragment, useState } from 'react';
import { BILL_GROUPS, type Bill, type BillLine, type PlannedUnit } from '@inch-tower/core';
import { ItemLine } from '../items/ItemLine';
import { basisWords, exactly, GROUP_WORDS } from './billWords';

const today = (): string => new Date().toISOString().slice(0, 10);

/** Every line by what it belongs to, with the sum of each; a line opens into its count, price and how it comes. */
export function BillTable({
  bill,
  units,
  chosen,
  onChoose,
}: {
  readonly bill: Bill;
  readonly units: readonly PlannedUnit[];
  readonly chosen: ReadonlySet<string>;
  readonly onChoose: (item: string, is: boolean) => void;
}) {
  const [open, setOpen] = useState<string | null>(null);
  let position = 0;
  return (
    <table className="mt-2 w-full border-collapse text-[13px]">
      <thead className="text-mid">
        <tr>
          <th className="w-8 py-1 text-left font-normal">No.</th>
          <th className="py-1 text-left font-normal">Item</th>
          <th className="py-1 pl-2 text-right font-normal">how many</th>
          <th className="py-1 pl-3 text-right font-normal max-[560px]:hidden">each</th>
          <th className="py-1 pl-3 text-right font-normal">in all</th>
          <th className="no-print w-8">
            <span className="sr-only">In a lot</span>
          </th>
        </tr>
      </thead>
      {BILL_GROUPS.map((group) => {
        const lines = bill.lines.filter((line) => line.group === group);
        const sum = bill.groups.find((one) => one.group === group)?.total ?? 0;
        if (lines.length === 0) return null;
        return (
          <tbody key={group}>
            <tr className="border-t border-ink">
              <th colSpan={4} scope="rowgroup" className="pt-1.5 text-left font-semibold max-[560px]:hidden">
                {GROUP_WORDS[group]}
              </th>
              <th colSpan={3} scope="rowgroup" className="hidden pt-1.5 text-left font-semibold max-[560px]:table-cell">
                {GROUP_WORDS[group]}
              </th>
              <td className="mono pt-1.5 pl-3 text-right font-medium whitespace-nowrap">
                {exactly(sum, bill.currency)}
              </td>
              <td className="no-print" />
            </tr>
            {lines.map((line) => {
              const number = ++position;
              const key = line.item ?? `${line.what}${line.deal}`;
              return (
                <Fragment key={key}>
                  <Line
                    line={line}
                    number={number}
                    currency={bill.currency}
                    isOpen={open === key}
                    isChosen={line.item !== null && chosen.has(line.item)}
                    onOpen={() => setOpen(open === key ? null : key)}
                    onChoose={onChoose}
                  />
                  {open === key && line.item && (
                    <tr className="no-print">
                      <td />
                      <td colSpan={5} className="pb-2">
                        {units
                          .filter(({ item }) => item?.id === line.item)
                          .slice(0, 1)
                          .map((unit) => (
                            <ItemLine key={unit.id} unit={unit} />
                          ))}
                      </td>
                    </tr>
                  )}
                </Fragment>
              );
            })}
          </tbody>
        );
      })}
    </table>
  );
}

function Line({
  line,
  number,
  currency,
  isOpen,
  isChosen,
  onOpen,
  onChoose,
}: {
  readonly line: BillLine;
  readonly number: number;
  readonly currency: string;
  readonly isOpen: boolean;
  readonly isChosen: boolean;
  readonly onOpen: () => void;
  readonly onChoose: (item: string, is: boolean) => void;
}) {
  const { item, mark, what, maker, count, deal, each, total } = line;
  const name = maker && !what.startsWith(maker) ? `${what}, ${maker}` : what;
  const free = deal === 'owned' ? 'owned' : deal === 'here' ? 'in a box' : null;
  return (
    <tr className="border-t border-dotted border-line align-top" data-line={item ?? what}>
      <td className="mono py-1 text-mid">{number}</td>
      <td className="py-1">
        {item ? (
          <button
            type="button"
            className="plain text-left underline-offset-2 hover:underline"
            aria-expanded={isOpen}
            onClick={onOpen}
          >
            {mark && <span className="mono">{mark} </span>}
            {name}
          </button>
        ) : (
          name
        )}
        <span className="ml-2 text-[12px] text-mid">{basisWords(line, today(), currency)}</span>
      </td>
      <td className="mono py-1 pl-2 text-right">{count}</td>
      <td className="mono py-1 pl-3 text-right whitespace-nowrap max-[560px]:hidden">
        {free ? '' : each === null ? '' : exactly(each, currency)}
      </td>
      <td className={`mono py-1 pl-3 text-right whitespace-nowrap ${free ? 'text-mid' : ''}`}>
        {free ?? (total === null ? <span className="warn">no price</span> : exactly(total, currency))}
      </td>
      <td className="no-print py-1 pl-2 text-right">
        {item && deal === 'buy' && (
          <input
            type="checkbox"
            className="size-4 accent-(--ink)"
            aria-label={`${what} in a lot`}
            checked={isChosen}
            onChange={(event) => onChoose(item, event.target.checked)}
          />
        )}
      </td>
    </tr>
  );
}
