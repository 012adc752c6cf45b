import { useState } from 'react';
import { Link } from 'react-router';
import { isClassSheet, type Part } from '@inch-tower/core';
import { problemOf, useDeleteSheetMutation, type OwnedCatalogue } from '../../state/api';
import { factLine } from '../../words/factLine';
import { moneyWords } from '../../words/format';
import { hasLines } from '../sheets/has';
import { Numbers } from '../sheets/Numbers';
import { PartDrawing } from '../sheets/PartDrawing';

type Props = {
  readonly part: Part;
  readonly own: boolean;
  readonly catalogue: OwnedCatalogue;
  readonly onGone: () => void;
};

/** One part as a drawing with numbers: to scale, what it has, and every number with its source. */
export function PartPane({ part, own, catalogue, onGone }: Props) {
  const [deleteSheet] = useDeleteSheetMutation();
  const [problem, setProblem] = useState<string | null>(null);
  const isClass = isClassSheet(part.id);
  const from = `/parts/own?from=${encodeURIComponent(isClass ? part.archetype : part.id)}${isClass ? '&class=1' : ''}`;
  const takeOut = async () => {
    const done = await deleteSheet(part.id);
    if ('error' in done && done.error) setProblem(problemOf(done.error).detail);
    else onGone();
  };
  const inside = [
    ...part.builtIn.map(
      (one) =>
        `${one.count > 1 ? `${one.count} × ` : ''}${catalogue.sheets[one.sheet]?.name ?? one.sheet}, ` +
        `${one.fixed ? 'built in' : 'fitted'}`,
    ),
    ...part.inTheBox.map(
      (one) => `${one.count > 1 ? `${one.count} × ` : ''}${catalogue.sheets[one.sheet]?.name ?? one.sheet}, in the box`,
    ),
  ];
  return (
    <div className="p-4">
      <h1 className="text-[17px] leading-tight font-semibold">{part.name}</h1>
      <p className="text-[13px] text-mid">
        {[
          part.maker,
          isClass
            ? 'a class: every number typical'
            : own
              ? 'a sheet of your own'
              : catalogue.archetypes[part.archetype]?.name,
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      <p className="text-[13px] text-mid">{factLine(part)}</p>
      <div className="my-2 overflow-x-auto">
        <PartDrawing part={part} width={366} height={250} />
      </div>
      <p className="mono text-[13px]">
        {part.price ? moneyWords(part.price.minor, part.price.currency) : 'no price'}
        <span className="ml-2 font-sans text-mid">{part.sheet.price ? 'listed' : part.price ? 'typical' : ''}</span>
      </p>
      <SoldWhen sheet={part.sheet} />
      <div className="mt-2 flex flex-wrap gap-1.5">
        <Link className="press inline-flex items-center" to={from}>
          {isClass ? 'Make one of your own' : 'Make one like it'}
        </Link>
        {own && (
          <Link className="press inline-flex items-center" to={`/parts/own?edit=${encodeURIComponent(part.id)}`}>
            Change
          </Link>
        )}
        {part.kind === 'chassis' && (
          <Link className="press inline-flex items-center" to={`/parts/panels?part=${encodeURIComponent(part.id)}`}>
            Panels at full size
          </Link>
        )}
        {!isClass && (
          <Link className="press inline-flex items-center" to={`/parts/stock?add=${encodeURIComponent(part.id)}`}>
            I own some
          </Link>
        )}
        {own && (
          <button type="button" className="press" onClick={() => void takeOut()}>
            Take out
          </button>
        )}
      </div>
      {problem && (
        <p role="alert" className="bad mt-2 text-[13px]">
          {problem}
        </p>
      )}
      {own && <p className="mt-2 text-[12.5px] text-mid">Machines that use it keep their own copy of the sheet.</p>}
      <Lines title="What it has" lines={hasLines(part)} />
      {inside.length > 0 && (
        <ul className="mt-3 border-t border-line pt-1 text-[12.5px]">
          {inside.map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      <Numbers part={part} />
    </div>
  );
}

function Lines({ title, lines }: { readonly title: string; readonly lines: readonly (readonly [string, string])[] }) {
  if (lines.length === 0) return null;
  return (
    <table className="mt-3 w-full border-t border-line text-[12.5px]">
      <caption className="sr-only">{title}</caption>
      <tbody>
        {lines.map(([label, words], i) => (
          <tr key={`${label}${i}`} className="border-b border-dotted border-line align-top">
            <th scope="row" className="py-0.5 pr-3 text-left font-normal">
              {label}
            </th>
            <td className="py-0.5 text-right text-mid">{words}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** From when to when a part is sold, its warranty, and the file it came with. */
function SoldWhen({ sheet }: { readonly sheet: Part['sheet'] }) {
  const { introducedYear, soldUntilYear, warrantyMonths, parcel } = sheet;
  const words = [
    introducedYear && `sold from ${introducedYear}`,
    soldUntilYear && `new until ${soldUntilYear}`,
    warrantyMonths && `${warrantyMonths} months of warranty`,
    parcel && `came with “${parcel}”`,
  ].filter(Boolean);
  return words.length > 0 ? <p className="text-[13px] text-mid">{words.join(', ')}</p> : null;
}
