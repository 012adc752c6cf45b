import { useState } from 'react';
import { askOf, rowChoiceWords, type Field } from '@inch-tower/core';
import { RowsEditor, AskControl } from './RowFields';

type Props = {
  readonly field: Field;
  /** As its class or the part it is like has it, or as it is in one's own sheet. */ readonly value: unknown;
  /** Whose rows these are, in words. */ readonly source: string;
  readonly onValue: (value: unknown) => void;
  /** Puts back what was there before its rows were changed. */ readonly onTypical?: () => void;
};

/** A list of a sheet, as rows in a form: closed it says how many there are. */
export function ListField({ field, value, source, onValue, onTypical }: Props) {
  const [isOpen, setOpen] = useState(false);
  const ask = askOf(field.schema);
  if (ask.type === 'kept') return null;
  const rows = Array.isArray(value) ? (value as readonly unknown[]) : [];
  const many = ask.type === 'many' ? rows.map((one) => rowChoiceWords(field.name, one as string)).join(', ') : '';
  const count = ask.type === 'rows' ? `${rows.length}` : many || (ask.type === 'group' && value ? '' : 'open');
  return (
    <section aria-label={field.label} className="border-b border-dotted border-line py-1" data-list={field.name}>
      <div className="flex min-h-7 flex-wrap items-center gap-x-3">
        <button
          type="button"
          className="plain min-h-6 text-left underline"
          aria-expanded={isOpen}
          onClick={() => setOpen(!isOpen)}
        >
          {field.label}
        </button>
        <span className="mono text-[12.5px]">{count}</span>
        <span className="text-[12.5px] text-mid">{source}</span>
        {onTypical && (
          <button type="button" className="plain min-h-6 text-[12.5px] underline" onClick={onTypical}>
            Back to what it was
          </button>
        )}
      </div>
      {isOpen &&
        (ask.type === 'rows' ? (
          <RowsEditor ask={ask} rows={rows} name={field.name} label={field.label} onRows={onValue} />
        ) : (
          <AskControl
            name={field.name}
            label={field.label}
            unit={field.unit}
            ask={ask}
            value={value}
            onValue={onValue}
          />
        ))}
    </section>
  );
}
