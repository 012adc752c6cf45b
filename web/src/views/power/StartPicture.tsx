import { START_SHARE, type StartCurve } from '@inch-tower/core';
import { plainNumber } from '../../words/format';
import { apart, startLines, type StartLine } from './startLines';

const WIDE = { left: 44, right: 186, top: 20, bottom: 32 };
const NARROW = { ...WIDE, left: 34, right: 168 };
const NARROW_PX = 520;
const LABEL_PX = 28;
const TICKS_S = [1, 2, 5, 10, 20, 30, 60, 120, 300, 600, 1800];
const DASHES: Readonly<Record<string, string | undefined>> = { '5': '7 3', '33': '2 3', w: '10 3 2 3' };

const rounded = (value: number): string =>
  value < 10 ? plainNumber(Math.round(value * 10) / 10) : String(Math.round(value));

/** How full the supply is while the drives start: every limit is the same line, each load a share of its own. */
export function StartPicture({
  start,
  width,
  height,
  modules,
}: {
  readonly start: StartCurve;
  readonly width: number;
  readonly height: number;
  /** Of the supply, sharing the load. */ readonly modules: number;
}) {
  const lines = startLines(start);
  const margin = width < NARROW_PX ? NARROW : WIDE;
  const inner = { width: width - margin.left - margin.right, height: height - margin.top - margin.bottom };
  if (lines.length === 0 || inner.width < 100) return null;
  const endS = Math.max(10, start.readyS * 1.12);
  const top = Math.max(1.1, ...lines.map(({ peak }) => peak.share * 1.06));
  const x = (second: number) => margin.left + (second / endS) * inner.width;
  const y = (share: number) => margin.top + inner.height * (1 - share / top);
  const every = TICKS_S.find((one) => inner.width / (endS / one) >= 46) ?? TICKS_S.at(-1)!;
  const ticks = Array.from({ length: Math.floor(endS / every) + 1 }, (_, i) => i * every);
  // What the supply gives, with a module less and in good practice, named in one column with the loads.
  const limits = [
    { share: 1, words: 'what the supply gives' },
    ...(modules > 1 ? [{ share: (modules - 1) / modules, words: 'one module gone: 12 V, W' }] : []),
    { share: START_SHARE, words: `good practice, ${START_SHARE * 100} %` },
  ];
  const labels = apart(
    [...lines.map(({ points }) => y(points.at(-1)![1])), ...limits.map(({ share }) => y(share) + 4)],
    LABEL_PX,
    margin.top + inner.height,
  );
  const end = x(endS);
  const path = ({ points }: StartLine) =>
    points.map(([second, share], i) => (i === 0 ? `M${x(second)} ${y(share)}` : `H${x(second)}V${y(share)}`)).join('') +
    `H${end}`;
  return (
    <svg className="drawing" width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden>
      {[0, 0.25, 0.5, 0.75, 1].map((share) => (
        <text key={share} className="faint" x={margin.left - 6} y={y(share) + 4} textAnchor="end">
          {share * 100}
        </text>
      ))}
      <text className="faint" x={2} y={12}>
        % of what it gives
      </text>
      <path className="dimension" d={`M${margin.left} ${margin.top}V${y(0)}H${end}`} />
      {ticks.map((second) => (
        <g key={second}>
          <path className="ruler-tick" d={`M${x(second)} ${y(0)}v5`} />
          <text className="faint" x={x(second)} y={y(0) + 18} textAnchor="middle">
            {second} s
          </text>
        </g>
      ))}
      {limits.map(({ share, words }, i) => (
        <g key={words}>
          <path
            className="dimension"
            style={share === 1 ? { strokeWidth: 2.2 } : {}}
            strokeDasharray={share === 1 ? undefined : '3 3'}
            d={`M${margin.left} ${y(share)}H${end}`}
          />
          <path className="dimension" d={`M${end} ${y(share)}L${end + 12} ${labels[lines.length + i]! - 4}h4`} />
          <text className={share === 1 ? '' : 'faint'} x={end + 20} y={labels[lines.length + i]}>
            {words}
          </text>
        </g>
      ))}
      {lines.map((line, i) => {
        const over = line.peak.share > 1;
        const stroke = over ? 'var(--bad)' : 'var(--ink)';
        return (
          <g key={line.key}>
            <path
              d={path(line)}
              fill="none"
              stroke={stroke}
              strokeWidth={line.key === '12' ? 2.6 : 1.6}
              strokeDasharray={DASHES[line.key]}
            />
            <path className="dimension" d={`M${end} ${y(line.points.at(-1)![1])}L${end + 12} ${labels[i]! - 4}h4`} />
            <text x={end + 20} y={labels[i]!} style={{ fontWeight: 500, fill: stroke }}>
              {line.name}
            </text>
            <text className={over ? '' : 'faint'} x={end + 20} y={labels[i]! + 12} style={over ? { fill: stroke } : {}}>
              {rounded(line.peak.value)} of {rounded(line.limit)} {line.unit}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** The same in numbers, for reading and copying. */
export function StartTable({ start, name }: { readonly start: StartCurve; readonly name: string }) {
  return (
    <details className="text-[12.5px]">
      <summary className="min-h-6 cursor-pointer text-mid">As a table, second by second</summary>
      <table className="mono mt-1 w-full max-w-[520px] border-collapse">
        <caption className="sr-only">{name} while its drives start</caption>
        <thead>
          <tr className="border-b border-ink text-right">
            {['From s', '12 V, A', '5 V, A', '3.3 V, A', 'Inside, W', 'Wall, W'].map((head) => (
              <th key={head} className="py-0.5 font-medium">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {start.steps.map(({ atS, a, insideW, wallW }) => (
            <tr key={atS} className="border-b border-dotted border-line text-right">
              {[atS, a['12 V'], a['5 V'], a['3.3 V'], insideW, wallW].map((value, i) => (
                <td key={i} className="py-0.5">
                  {i > 3 ? Math.round(value) : plainNumber(Math.round(value * 10) / 10)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
