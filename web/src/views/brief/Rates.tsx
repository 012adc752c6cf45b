import { otherCurrencies, type Build, type Edit } from '@inch-tower/core';
import { NumberField } from './fields';
import { readAnswer } from './briefFields';

/** What one of each other currency among the prices is worth; nothing where all are in the machine's own. */
export function Rates({
  build,
  onEdit,
}: {
  readonly build: Build;
  readonly onEdit: (edit: Edit, words: string) => void;
}) {
  const answer =
    (currency: string) =>
    (text: string): string | null => {
      const read = readAnswer(text, { unit: build.currency, times: 1, optional: true });
      if (!read.ok) return read.words;
      const { [currency]: now, ...others } = build.rates ?? {};
      if (now === (read.value ?? undefined)) return null;
      if (read.value !== null && !(read.value > 0 && read.value <= 1e9))
        return 'A rate is more than 0; what was there is kept.';
      onEdit(
        { type: 'set.rates', value: read.value === null ? others : { ...others, [currency]: read.value } },
        read.value === null ? `${currency}: no rate` : `1 ${currency} is ${read.value} ${build.currency}`,
      );
      return null;
    };
  return otherCurrencies(build).map((currency) => (
    <NumberField
      key={currency}
      label={`1 ${currency} is worth`}
      unit={build.currency}
      help={`Prices in ${currency} are in no sum until this is answered.`}
      value={build.rates?.[currency]}
      onAnswer={answer(currency)}
    />
  ));
}
