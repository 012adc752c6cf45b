import { choiceWords, readField, type Field } from '@inch-tower/core';
import { asStored } from './ownDraft';

/** One number or choice of a sheet: what is typed, or what is typical of its class. */
export function FieldRow({
  field,
  text,
  typical,
  onText,
}: {
  readonly field: Field;
  readonly text: string;
  readonly typical: string;
  readonly onText: (text: string) => void;
}) {
  const id = `own-${field.name}`;
  const options = field.type === 'yesNo' ? ['yes', 'no'] : field.options.map(String);
  const wrong = text !== '' && !readField(field, asStored(field, text)).ok;
  return (
    <tr className="border-b border-dotted border-line">
      <td className="py-0.5 pr-3">
        <label htmlFor={id}>{field.label}</label>
      </td>
      <td className="py-0.5 text-right">
        {options.length > 0 ? (
          <select id={id} className="field w-44" value={text} onChange={(event) => onText(event.target.value)}>
            <option value="">{typical === '' ? 'open' : `${typical}, typical`}</option>
            {options.map((one) => (
              <option key={one} value={one}>
                {choiceWords(field.name, one)}
              </option>
            ))}
          </select>
        ) : (
          <input
            id={id}
            className="field mono w-44 text-right"
            inputMode="decimal"
            autoComplete="off"
            placeholder={typical}
            aria-invalid={wrong}
            value={text}
            onChange={(event) => onText(event.target.value)}
          />
        )}
      </td>
      <td className="mono w-20 py-0.5 pl-2 text-[12px] text-mid">{field.unit}</td>
    </tr>
  );
}
