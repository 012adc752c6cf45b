import { fieldsOf, type Part } from '@inch-tower/core';
import { hasLines } from './has';
import { valueWords } from './valueWords';

/** What a part has, by label: its single values and its lines. */
function factsBy(part: Part): ReadonlyMap<string, string> {
  const values = part as unknown as Readonly<Record<string, unknown>>;
  const single = fieldsOf(part.kind)
    .filter((field) => field.type !== 'list' && values[field.name] !== undefined)
    .map((field): readonly [string, string] => [field.label, valueWords(field, values[field.name])]);
  const facts = new Map<string, string>();
  for (const [label, words] of [...single, ...hasLines(part)])
    facts.set(label, facts.has(label) ? `${facts.get(label)}; ${words}` : words);
  return facts;
}

export type Difference = { readonly label: string; readonly values: readonly [string, string] };

/** The facts in which two parts differ, in the order of the sheet; what one of them does not say is a dash. */
export function differencesOf(a: Part, b: Part): readonly Difference[] {
  const [first, second] = [factsBy(a), factsBy(b)];
  return [...new Set([...first.keys(), ...second.keys()])].flatMap((label): Difference[] => {
    const values = [first.get(label) ?? '–', second.get(label) ?? '–'] as const;
    return values[0] === values[1] ? [] : [{ label, values }];
  });
}
