/** 0 → A, 25 → Z, 26 → AA: the letter of an item; the number behind it is the unit's. */
export function markLetter(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26));
  return index < 26 ? letter : markLetter(Math.floor(index / 26) - 1) + letter;
}

/** The marks of a line of the kit: of many the first and the last. */
export const marksOf = (units: readonly { readonly mark: string }[]): string =>
  units.length > 1 ? `${units[0]!.mark}–${units.at(-1)!.mark}` : (units[0]?.mark ?? '');
