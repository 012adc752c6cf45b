const digits = new Map<string, number>();

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
