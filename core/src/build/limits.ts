/** Past these a file or an edit is refused with the limit named. */
export const LIMITS = {
  drives: 500,
  units: 2000,
  boxes: 40,
  nameCharacters: 200,
  notesCharacters: 20_000,
  idCharacters: 120,
  bodyBytes: 8 * 1024 * 1024,
} as const;
