/** 0 → A, 25 → Z, 26 → AA: the letter of an item; the number behind it is the unit's. */
export function markLetter(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26));
  return index < 26 ? letter : markLetter(Math.floor(index / 26) - 1) + letter;
}
