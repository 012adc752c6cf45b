import { listsOf, type Archetype, type Field, type ReadField, type SpecReading } from '@inch-tower/core';
import { countWords } from '../../words/format';
import { valueWords } from '../sheets/valueWords';

type Props = {
  readonly own: readonly Field[];
  readonly read: Extract<SpecReading, { ok: true }>;
  readonly archetype: Archetype;
  /** Fields that are not taken over. */ readonly left: ReadonlySet<string>;
  readonly chosen: ReadonlyMap<string, ReadField>;
  readonly onLeave: (field: string, is: boolean) => void;
  readonly onChoose: (one: ReadField) => void;
};

const MASS: Field['name'] = 'massG';

/** Every field that was read with its line, what contradicts itself, and what stays typical. */
export function ReadFields({ own, read, archetype, left, chosen, onLeave, onChoose }: Props) {
  const fieldOf = (name: string) => own.find((field) => field.name === name);
  const labelOf = (name: string) => fieldOf(name)?.label ?? (name === MASS ? 'weight' : name);
  const wordsOf = (name: string, value: unknown): string => {
    const field = fieldOf(name);
    return field ? valueWords(field, value) : `${Number(value).toFixed(0)} g`;
  };
  const has = new Set([...read.fields, ...chosen.values()].map(({ field }) => field));
  const typical = own.filter(({ name, type }) => type !== 'list' && !has.has(name));
  const values = archetype as unknown as Readonly<Record<string, unknown>>;
  const taken = [...read.fields, ...chosen.values()].filter(({ field }) => !left.has(field));
  const numbers = Object.fromEntries(taken.map(({ field, value }) => [field, value]));
  const noRoom = new Set(listsOf(archetype, numbers, read.places).left);
  return (
    <div className="mt-3 text-[13px]">
      <h2 className="text-[15px] font-semibold">
        {countWords(read.fields.length + read.places.length, 'field')} read
        {read.contradictions.length > 0 && `, ${countWords(read.contradictions.length, 'contradiction')}`}
      </h2>
      <table className="mt-1 w-full border-collapse">
        <thead className="sr-only">
          <tr>
            <th>Taken over</th>
            <th>Field</th>
            <th>Value</th>
            <th>Line</th>
          </tr>
        </thead>
        <tbody>
          {[...read.fields, ...chosen.values()].map(({ field, value, line, text }) => (
            <tr key={field} className="border-t border-dotted border-line align-baseline" data-read={field}>
              <td className="w-7 py-0.5">
                <input
                  type="checkbox"
                  className="size-4 accent-(--ink)"
                  aria-label={`Take over ${labelOf(field)}`}
                  checked={!left.has(field)}
                  onChange={(event) => onLeave(field, !event.target.checked)}
                />
              </td>
              <th className="py-0.5 pr-3 text-left font-normal">{labelOf(field)}</th>
              <td className={`mono py-0.5 pr-3 font-medium whitespace-nowrap ${left.has(field) ? 'text-mid' : ''}`}>
                {wordsOf(field, value)}
              </td>
              <td className="py-0.5 text-[12px] break-words text-mid">
                <span className="mono">{line}</span> {text}
              </td>
            </tr>
          ))}
          {read.places.map((place) => (
            <tr key={place.field} className="border-t border-dotted border-line align-baseline" data-read={place.field}>
              <td className="w-7 py-0.5">
                <input
                  type="checkbox"
                  className="size-4 accent-(--ink)"
                  aria-label={`Take over ${place.words}`}
                  disabled={noRoom.has(place)}
                  checked={!left.has(place.field) && !noRoom.has(place)}
                  onChange={(event) => onLeave(place.field, !event.target.checked)}
                />
              </td>
              <td colSpan={2} className={`py-0.5 pr-3 font-medium ${left.has(place.field) ? 'text-mid' : ''}`}>
                {place.words}
                {noRoom.has(place) && (
                  <span className="warn block font-normal">Not so in this class: put it right in its sheet.</span>
                )}
              </td>
              <td className="py-0.5 text-[12px] break-words text-mid">
                <span className="mono">{place.line}</span> {place.text}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {read.contradictions
        .filter(({ field }) => !chosen.has(field))
        .map(({ field, found }) => (
          <p key={field} className="warn border-t border-dotted border-line py-1" data-contradiction={field}>
            {labelOf(field)} is said differently:{' '}
            {found.map((one) => (
              <button
                key={`${one.line}${String(one.value)}`}
                type="button"
                className="press mr-2"
                title={one.text}
                onClick={() => onChoose(one)}
              >
                {wordsOf(field, one.value)}, line {one.line}
              </button>
            ))}
          </p>
        ))}
      <details className="mt-2">
        <summary className="min-h-6 cursor-pointer text-mid">{typical.length} stay typical of their class</summary>
        <ul className="columns-1 gap-6 sm:columns-2">
          {typical.map((field) => (
            <li key={field.name} className="break-inside-avoid border-b border-dotted border-line py-0.5">
              {field.label}{' '}
              <span className="mono text-mid">
                {values[field.name] === undefined ? 'not known' : valueWords(field, values[field.name])}
              </span>
            </li>
          ))}
        </ul>
      </details>
    </div>
  );
}
