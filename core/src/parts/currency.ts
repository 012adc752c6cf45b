const digits = new Map<string, number>();

/** The currency of a sum, and what one of each other is worth in it. */
export type Currencies = { readonly currency: string; readonly rates: Readonly<Record<string, number>> };

/** What one of a currency is worth in that of the sum; null where nobody said. */
export const rateOf = ({ currency, rates }: Currencies, from: string): number | null =>
  from === currency ? 1 : (rates[from] ?? null);

/** Minor units of a currency in one major unit (ISO 4217). */
export function minorPerMajor(currency: string): number {
  let found = digits.get(currency);
  if (found === undefined) {
    found =
      10 ** (new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2);
    digits.set(currency, found);
  }
  return found;
}
