import { choiceWords, type Field } from '@inch-tower/core';

/** A field's value in words with its unit, without its range. */
export function valueWords(field: Field, value: unknown): string {
  if (value === null) return 'none';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (field.type === 'choice') return choiceWords(field.name, value as string | number);
  if (typeof value !== 'number') return String(value);
  if (field.per === 1) return `${Number(value.toPrecision(5))} ${field.unit}`.trim();
  return field.unit === 'GB' && value >= 1e12
    ? `${Number((value / 1e12).toPrecision(4))} TB`
    : `${Number((value / field.per).toPrecision(4))} ${field.unit}`;
}
