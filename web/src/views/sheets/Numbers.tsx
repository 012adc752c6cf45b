import { memo } from 'react';
import { basisOf, fieldsOf, rangeOf, type Field, type Part } from '@inch-tower/core';
import { valueWords } from './valueWords';

const BASIS_WORDS = { stated: 'stated', measured: 'measured', typical: 'typical' } as const;

/** Every single number, choice and yes-or-no of a sheet, with its range and where it came from. */
export const Numbers = memo(function Numbers({ part }: { readonly part: Part }) {
  const values = part as unknown as Readonly<Record<string, unknown>>;
  const rows = fieldsOf(part.kind).filter((field) => field.type !== 'list' && values[field.name] !== undefined);
  return (
    <table className="mt-3 w-full border-t border-line text-[12.5px]">
      <caption className="sr-only">Numbers of the sheet</caption>
      <thead className="sr-only">
        <tr>
          <th>Field</th>
          <th>Value</th>
          <th>Source</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((field) => (
          <Row key={field.name} part={part} field={field} value={values[field.name]} />
        ))}
      </tbody>
    </table>
  );
});

function Row({ part, field, value }: { readonly part: Part; readonly field: Field; readonly value: unknown }) {
  const basis = basisOf(part, field.name);
  const source = part.sheet.from?.[field.name]?.ref;
  return (
    <tr className="border-b border-dotted border-line align-top">
      <td className="py-0.5 pr-2">{field.label}</td>
      <td className={`mono py-0.5 text-right ${typeof value === 'number' ? 'whitespace-nowrap' : ''}`}>
        {valueWords(field, value)}
        <Half part={part} field={field} value={value} />
      </td>
      <td className="py-0.5 pl-2 text-right text-mid" title={source}>
        {BASIS_WORDS[basis]}
      </td>
    </tr>
  );
}

/** Half of a value's range, where it has one. */
function Half({ part, field, value }: { readonly part: Part; readonly field: Field; readonly value: unknown }) {
  if (typeof value !== 'number' || field.type === 'choice' || field.per !== 1) return null;
  const { lo, hi } = rangeOf(field.name, value, basisOf(part, field.name));
  return lo === hi ? null : <span className="text-mid"> ±{Number(((hi - lo) / 2).toPrecision(1))}</span>;
}
