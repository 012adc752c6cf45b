import { useState } from 'react';
import type { Mover, UnitId } from '@inch-tower/core';
import { benchWorker } from '../../../worker/client';
import { useAsked } from '../../../worker/useAsked';

/** So many are told; what comes after moves next to nothing. */
const MOST = 5;

/** Which typical number of a part moves most in this machine: the one worth a look at its label, or a measurement. */
export default function WorthMeasuring({ unit }: { readonly unit: UnitId }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <div className="mt-2 border-t border-line pt-1 text-[13px]">
      <button type="button" className="plain min-h-6 underline" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        What is worth measuring
      </button>
      {isOpen && <Movers unit={unit} />}
    </div>
  );
}

function Movers({ unit }: { readonly unit: UnitId }) {
  const all = useAsked(() => benchWorker().movers(unit), unit);
  if (!all) return <p className="text-mid">Looking …</p>;
  const first = all[0];
  if (!first) return <p className="text-mid">Nothing: no typical number of it moves a figure here.</p>;
  return (
    <ol data-testid="movers">
      {all.slice(0, MOST).map((one) => (
        <li key={one.field} className="border-b border-dotted border-line py-1">
          <span className="font-medium">{one.label}</span>{' '}
          <span className="mono text-[12.5px]">
            {`${short(one.value)} ${one.unit}, ${short(one.lo)}–${short(one.hi)}`}
          </span>
          <span className="block text-mid">{movesWords(one)}</span>
        </li>
      ))}
    </ol>
  );
}

const short = (value: number): string => String(Number(value.toPrecision(3)));

function movesWords({ of, figureUnit, from, to, share }: Mover): string {
  const [low, high] = [Math.min(from, to), Math.max(from, to)];
  return (
    `moves “${of}” from ${short(low)} to ${short(high)} ${figureUnit}: ` +
    `${Math.round(share * 100)} % of all that is not known of it`
  );
}
