import { isFact, type Fact, type FigureId, type Working } from '@inch-tower/core';
import { numbersWithin, plainNumber, unitWords } from '../../words/format';

const BASIS = { stated: 'stated', measured: 'measured', typical: 'typical for its class' } as const;

/** A working like long addition: each line a term, opened down to the fields of part sheets. */
export function WorkingTree({ working, id }: { readonly working: Working; readonly id: FigureId }) {
  return (
    <div className="mono mt-2 text-[12px]" data-working={id}>
      <Line line={working} depth={0} />
    </div>
  );
}

function Line({ line, depth }: { readonly line: Working | Fact; readonly depth: number }) {
  const number = numbersWithin(line.lo, line.hi);
  const range = number(line.lo) === number(line.hi) ? '' : `${number(line.lo)}–${number(line.hi)}`;
  const label = isFact(line) ? `${line.name}, ${line.field}` : line.label;
  const note = isFact(line) ? BASIS[line.basis] : line.formula;
  const row = (
    <span className="inline-grid w-full grid-cols-[1fr_auto_88px] items-baseline gap-2">
      <span className="font-sans text-[13px]">
        {label}
        {!isFact(line) && line.times !== undefined && line.times !== 1 && !/^\d+ ×/.test(label) ? (
          <span className="text-mid"> × {plainNumber(line.times)}</span>
        ) : null}
        {note && <span className="block text-[12px] text-mid">{note}</span>}
      </span>
      <span className="text-right font-medium whitespace-nowrap">
        {number(line.value)} {unitWords(line)}
      </span>
      <span className="text-right whitespace-nowrap text-mid">{range}</span>
    </span>
  );
  const inner = isFact(line) ? [] : line.of;
  if (inner.length === 0) return <div className="border-t border-dotted border-line py-1 pl-4">{row}</div>;
  return (
    <details open={depth < 2} className="border-t border-dotted border-line py-1 [&>summary]:list-none">
      <summary
        className={
          'relative min-h-6 cursor-pointer pl-4 before:absolute before:left-0 ' +
          "before:content-['+'] [details[open]>&]:before:content-['−']"
        }
      >
        {row}
      </summary>
      <div className="ml-2 border-l border-line pl-1.5">
        {inner.map((one, i) => (
          <Line key={i} line={one} depth={depth + 1} />
        ))}
      </div>
    </details>
  );
}
