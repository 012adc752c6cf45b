import { useId, useState } from 'react';
import { blankOf, readNumber, rowChoiceWords, ROW_KEY, withAnother, type Ask, type AskField } from '@inch-tower/core';

type Row = Readonly<Record<string, unknown>>;
type Rows = Extract<Ask, { type: 'rows' }>;

/** Rows of a list, one under another, each with its fields; one more is like the last. */
export function RowsEditor({
  ask,
  rows,
  name,
  label,
  onRows,
}: {
  readonly ask: Rows;
  readonly rows: readonly unknown[];
  readonly name: string;
  readonly label: string;
  readonly onRows: (rows: readonly unknown[]) => void;
}) {
  // A row of which a part has no form can only be made like another.
  const canStart =
    rows.length > 0 || !(ask.of.type === 'group' && ask.of.fields.some((one) => one.ask.type === 'kept'));
  return (
    <div className="border-l-2 border-line pl-2">
      {rows.map((row, i) => (
        <fieldset
          key={i}
          className="flex flex-wrap items-end gap-x-3 gap-y-1 border-b border-dotted border-line py-1.5"
        >
          <legend className="sr-only">{`${label}, row ${i + 1}`}</legend>
          <AskControl
            name={name}
            label={`${label}, row ${i + 1}`}
            unit=""
            ask={ask.of}
            value={row}
            onValue={(value) => onRows(rows.map((one, n) => (n === i ? value : one)))}
          />
          <button
            type="button"
            className="plain min-h-7 text-[12.5px] underline"
            disabled={rows.length <= ask.least}
            onClick={() => onRows(rows.filter((_, n) => n !== i))}
          >
            Take out
          </button>
        </fieldset>
      ))}
      {canStart && rows.length < ask.most && (
        <button
          type="button"
          className="plain min-h-7 text-[12.5px] underline"
          onClick={() => onRows(withAnother(rows, ask.of))}
        >
          {rows.length > 0 ? 'One more like the last' : 'A first row'}
        </button>
      )}
    </div>
  );
}

type ControlProps = {
  readonly name: string;
  readonly label: string;
  readonly unit: string;
  readonly ask: Ask;
  readonly value: unknown;
  readonly onValue: (value: unknown) => void;
  readonly may?: AskField['may'];
};

/** What is asked of one value: a number, a choice, several of a set, or the fields of a group. */
export function AskControl(props: ControlProps) {
  const { name, label, ask, value, onValue } = props;
  switch (ask.type) {
    case 'group':
      return <Group {...props} ask={ask} />;
    case 'rows':
      return (
        <Boxed label={label}>
          <RowsEditor ask={ask} rows={(value ?? []) as readonly unknown[]} name={name} label={label} onRows={onValue} />
        </Boxed>
      );
    case 'many':
      return ask.of.type === 'choice' ? <Ticks {...props} of={ask.of} /> : <Typed {...props} of={ask.of} isList />;
    case 'kept':
      return <span className="pb-1 text-[12.5px] text-mid">{`${label}: kept as they are`}</span>;
    case 'yesNo':
      return <Choice {...props} options={[true, false]} />;
    case 'choice':
      return <Choice {...props} options={ask.options} />;
    default:
      return <Typed {...props} of={ask} />;
  }
}

function Boxed({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <div className="w-full">
      <span className="text-[12px] text-mid">{label}</span>
      {children}
    </div>
  );
}

/** The fields of a group, but for its name, by which others point at it; one that may be missing is opened or left. */
function Group({
  name,
  label,
  ask,
  value,
  onValue,
  may = null,
}: ControlProps & { readonly ask: Extract<Ask, { type: 'group' }> }) {
  if (value === undefined || value === null)
    return (
      <button type="button" className="plain min-h-7 text-[12.5px] underline" onClick={() => onValue(blankOf(ask))}>
        {label.startsWith('where') ? `Say ${label}` : `With ${label}`}
      </button>
    );
  const row = value as Row;
  // What has fields of its own comes last, so that the rest stays on one line.
  const asked = ask.fields.filter((field) => field.name !== ROW_KEY);
  const fields = [
    ...asked.filter((field) => !isNested(field.ask)),
    ...asked.filter((field) => isNested(field.ask)),
  ].map((field) => (
    <AskControl
      key={field.name}
      name={field.name}
      label={field.label}
      unit={field.unit}
      ask={field.ask}
      may={field.may}
      value={row[field.name]}
      onValue={(next) => onValue(next === undefined ? without(row, field.name) : { ...row, [field.name]: next })}
    />
  ));
  if (may === null) return fields;
  return (
    <Boxed label={label}>
      <div className="flex flex-wrap items-end gap-x-3 gap-y-1 border-l-2 border-line pl-2" data-group={name}>
        {fields}
        <button
          type="button"
          className="plain min-h-7 text-[12.5px] underline"
          onClick={() => onValue(may === 'none' ? null : undefined)}
        >
          {may === 'none' ? `No ${label}` : 'Leave open'}
        </button>
      </div>
    </Boxed>
  );
}

const isNested = ({ type }: Ask): boolean => type === 'group' || type === 'rows';

const without = (row: Row, name: string): Row =>
  Object.fromEntries(Object.entries(row).filter(([key]) => key !== name));

function Choice({
  name,
  label,
  value,
  options,
  may = null,
  onValue,
}: ControlProps & { readonly options: readonly (string | number | boolean)[] }) {
  const id = useId();
  const words = (one: string | number | boolean) =>
    typeof one === 'boolean' ? (one ? 'yes' : 'no') : rowChoiceWords(name, one);
  return (
    <span className="flex flex-col">
      <label htmlFor={id} className="text-[12px] text-mid">
        {label}
      </label>
      <select
        id={id}
        className="field"
        value={value === undefined || value === null ? '' : String(value)}
        onChange={(event) => {
          const chosen = options.find((one) => String(one) === event.target.value);
          onValue(chosen ?? (may === 'none' ? null : undefined));
        }}
      >
        {(may !== null || value === undefined) && <option value="">{may === 'none' ? 'none' : 'open'}</option>}
        {options.map((one) => (
          <option key={String(one)} value={String(one)}>
            {words(one)}
          </option>
        ))}
      </select>
    </span>
  );
}

function Ticks({ name, label, value, of, onValue }: ControlProps & { readonly of: Extract<Ask, { type: 'choice' }> }) {
  const has = (value ?? []) as readonly unknown[];
  return (
    <fieldset className="flex flex-wrap items-center gap-x-2">
      <legend className="text-[12px] text-mid">{label}</legend>
      {of.options.map((one) => (
        <label key={one} className="flex min-h-7 items-center gap-1 text-[13px]">
          <input
            type="checkbox"
            className="size-4 accent-[var(--ink)]"
            checked={has.includes(one)}
            onChange={() => onValue(of.options.filter((other) => (other === one) !== has.includes(other)))}
          />
          {rowChoiceWords(name, one)}
        </label>
      ))}
    </fieldset>
  );
}

/** A number, a word, or several of them with commas between; what cannot be is kept as typed and marked. */
function Typed({
  label,
  unit,
  value,
  of,
  may = null,
  isList = false,
  onValue,
}: ControlProps & { readonly of: Ask; readonly isList?: boolean }) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const isNumber = of.type === 'number';
  const read = (text: string): unknown => {
    const plain = text.trim();
    if (!isNumber) return plain;
    const number = readNumber(plain, { unit, dotIsDecimal: true });
    return number.ok &&
      number.value >= of.least &&
      number.value <= of.most &&
      (!of.whole || Number.isInteger(number.value))
      ? number.value
      : null;
  };
  const take = (text: string) => {
    setTyped(text);
    const isOpen = text.trim() === '';
    if (isOpen && !isList) return may === null ? undefined : onValue(may === 'none' ? null : undefined);
    const all = isList ? text.split(',').flatMap((one) => (one.trim() === '' ? [] : [read(one)])) : [read(text)];
    if (!all.includes(null)) onValue(isList ? all : all[0]);
  };
  const shown =
    value === undefined || value === null
      ? ''
      : isList
        ? (value as readonly unknown[]).join(', ')
        : String(value as string | number);
  const text = typed ?? shown;
  const isWrong =
    text.trim() === ''
      ? may === null && !isList
      : (isList ? text.split(',') : [text]).some((one) => one.trim() !== '' && read(one) === null);
  return (
    <span className="flex flex-col">
      <label htmlFor={id} className="text-[12px] text-mid">
        {unit ? `${label}, ${unit}` : label}
      </label>
      <input
        id={id}
        className={`field ${isNumber ? `mono text-right ${isList ? 'w-40' : 'w-[76px]'}` : 'w-40'}`}
        inputMode={isNumber ? 'decimal' : 'text'}
        autoComplete="off"
        placeholder={may === null ? '' : 'open'}
        aria-invalid={isWrong}
        value={text}
        onChange={(event) => take(event.target.value)}
        onBlur={() => !isWrong && setTyped(null)}
      />
    </span>
  );
}
