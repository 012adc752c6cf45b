/** Past these a file or an edit is refused with the limit named. */
export const LIMITS = {
  drives: 500,
  units: 2000,
  boxes: 40,
  nameCharacters: 200,
  notesCharacters: 20_000,
  idCharacters: 120,
  bodyBytes: 8 * 1024 * 1024,
  /** Values of a JSON text: objects, lists, strings, numbers. The largest build has a fifth of it. */
  values: 500_000,
  depth: 32,
  /** Offers of one part, services of one machine. */
  offers: 12,
  services: 40,
  /** Entries of any one list or record. */
  entries: 5000,
  /** Values of one sheet or archetype; the largest of the catalogue has a fifteenth of it. */
  partValues: 3000,
} as const;
