import type { Build, SupplyLoss } from '@inch-tower/core';
import { changeWords, numbersWithin, wholeMoneyWords } from '../../words/format';
import type { SupplyChoiceRows } from '../../worker/messages';
import { useWidth } from '../useWidth';

const HEIGHT = 168;
const INSET = { left: 46, right: 12, top: 22, bottom: 26 };
type Row = SupplyChoiceRows['all'][number];
type Money = (minor: number) => string;

/**
 * What the supply in place and every other that goes here lose in a year, by the W they give: a square for the one in
 * place, a dot for others, a ring for what is too small. Below it the same as a list, each to be taken.
 */
export function SupplyCurve({
  choice: { now, all },
  build,
  take,
}: {
  readonly choice: SupplyChoiceRows;
  readonly build: Build;
  readonly take: (row: Row) => void;
}) {
  const { width, ref } = useWidth();
  if (!now || all.length === 0) return null;
  const money: Money = (minor) => wholeMoneyWords(minor, build.tariff.currency);
  return (
    <div ref={ref} className="mt-3">
      <h3 className="font-semibold">Too large or too small?</h3>
      <p className="text-[12.5px] text-mid">
        What each supply that goes here would lose a year, by the W it gives. Square: in place.
        {all.some(({ isTooSmall }) => isTooSmall) && ' Ring: too small for this machine.'}
      </p>
      <Picture now={now} rows={all} money={money} width={width} />
      <details>
        <summary className="min-h-6 cursor-pointer text-mid">
          {all.length === 1 ? 'The other one' : `${all.length} others`} as a list
        </summary>
        <SupplyList now={now} rows={all} money={money} build={build} take={take} />
      </details>
    </div>
  );
}

function SupplyList({
  now,
  rows,
  money,
  build,
  take,
}: {
  readonly now: SupplyLoss;
  readonly rows: readonly Row[];
  readonly money: Money;
  readonly build: Build;
  readonly take: (row: Row) => void;
}) {
  const numbers = (one: SupplyLoss) => (
    <>
      <td className="mono py-1 text-right">{Math.round(one.givesW)}</td>
      <td className="mono py-1 pl-2 text-right whitespace-nowrap">
        {money(one.lossMinor.value)}
        <span className="block text-[12px] text-mid">
          {numbersWithin(one.lossKwh.lo, one.lossKwh.hi)(one.lossKwh.value)} kWh
        </span>
      </td>
      <td className="mono py-1 pl-2 text-right">{one.earDb === null ? 'none' : Math.round(one.earDb)}</td>
    </>
  );
  return (
    <table className="w-full border-collapse text-[12.5px]">
      <thead className="text-mid">
        <tr>
          <th className="py-1 text-left font-normal">Supply</th>
          <th className="py-1 text-right font-normal">gives W</th>
          <th className="py-1 text-right font-normal">loses a year</th>
          <th className="py-1 text-right font-normal">dB(A) idle</th>
          <th>
            <span className="sr-only">Take it</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr className="border-t border-dotted border-line align-top">
          <th className="py-1 pr-2 text-left font-medium">{now.name}</th>
          {numbers(now)}
          <td className="py-1 pl-2 text-right text-mid">in place</td>
        </tr>
        {rows.map((row) => (
          <tr key={row.name} className="border-t border-dotted border-line align-top">
            <th className="py-1 pr-2 text-left font-normal">
              {row.name}
              <span className="mono block text-[12px] text-mid">{priceWords(row, build)}</span>
              {row.costs.map(({ what, severity }) => (
                <span key={what} className={`block ${severity === 'blocker' ? 'bad' : 'text-warn'}`}>
                  {what}
                </span>
              ))}
            </th>
            {numbers(row)}
            <td className="py-0.5 pl-2 text-right">
              <button type="button" className="press" onClick={() => take(row)} aria-label={row.title}>
                Take
              </button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const priceWords = ({ delta }: Row, { currency }: Build): string => {
  const change = changeWords('cost.now', delta['cost.now'] ?? 0);
  return change ? `price ${change} ${currency}` : 'price the same';
};

function Picture({
  now,
  rows,
  money,
  width,
}: {
  readonly now: SupplyLoss;
  readonly rows: readonly Row[];
  readonly money: Money;
  readonly width: number;
}) {
  const inner = { width: width - INSET.left - INSET.right, height: HEIGHT - INSET.top - INSET.bottom };
  if (inner.width < 120) return null;
  const all: readonly SupplyLoss[] = [now, ...rows];
  const mostW = Math.max(...all.map(({ givesW }) => givesW)) * 1.06;
  const mostMinor = Math.max(1, ...all.map(({ lossMinor }) => lossMinor.hi)) * 1.04;
  const x = (watts: number) => INSET.left + (watts / mostW) * inner.width;
  const y = (minor: number) => INSET.top + inner.height * (1 - minor / mostMinor);
  const every = [50, 100, 200, 250, 500, 1000].find((step) => (inner.width * step) / mostW >= 48) ?? 2000;
  const range = ({ givesW, lossMinor }: SupplyLoss) => (
    <path className="dimension" d={`M${x(givesW)} ${y(lossMinor.lo)}V${y(lossMinor.hi)}`} />
  );
  const here = { x: x(now.givesW), y: y(now.lossMinor.value) };
  return (
    <svg className="drawing" width={width} height={HEIGHT} viewBox={`0 0 ${width} ${HEIGHT}`} aria-hidden>
      {[0, mostMinor / 2, mostMinor / 1.04].map((minor) => (
        <text key={minor} className="faint" x={INSET.left - 6} y={y(minor) + 4} textAnchor="end">
          {money(minor)}
        </text>
      ))}
      <path className="dimension" d={`M${INSET.left} ${INSET.top}V${y(0)}H${x(mostW)}`} />
      {Array.from({ length: Math.floor(mostW / 1.06 / every) + 1 }, (_, i) => i * every).map((watts) => (
        <g key={watts}>
          <path className="ruler-tick" d={`M${x(watts)} ${y(0)}v5`} />
          <text className="faint" x={x(watts)} y={y(0) + 18} textAnchor="middle">
            {watts} W
          </text>
        </g>
      ))}
      {rows.map((row) => (
        <g key={row.name}>
          <title>{`${row.name}: ${money(row.lossMinor.value)} a year`}</title>
          {range(row)}
          <circle
            cx={x(row.givesW)}
            cy={y(row.lossMinor.value)}
            r={4}
            fill={row.isTooSmall ? 'var(--sheet)' : 'var(--ink)'}
            stroke="var(--ink)"
            strokeWidth={1.3}
          />
        </g>
      ))}
      {range(now)}
      <rect x={here.x - 5.5} y={here.y - 5.5} width={11} height={11} fill="var(--ink)" />
      <text
        x={here.x}
        y={Math.max(INSET.top - 8, y(now.lossMinor.hi) - 6)}
        textAnchor={here.x > width / 2 ? 'end' : 'start'}
      >
        {now.name}
      </text>
    </svg>
  );
}
