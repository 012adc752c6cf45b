/** Forms of boards as they are written, the longer names first. */
const FORMS: readonly (readonly [RegExp, string])[] = [
  [/mini-?itx/i, 'mini-itx'],
  [/(?:micro|m|µ)-?atx/i, 'micro-atx'],
  [/ssi-?ceb/i, 'ssi-ceb'],
  [/ssi-?eeb|e-?atx/i, 'ssi-eeb'],
  [/(?<![a-zµ]-?)atx\b/i, 'atx'],
];
const NAME = '(?:mini-?itx|(?:micro|m|µ|e)?-?atx|ssi-?[ce]eb)';
const ALONE = new RegExp(`^${NAME}$`, 'i');
const OF_BOARDS = new RegExp(`(?<![a-zµ-])${NAME} (?:mother|main)?boards?\\b`, 'i');

/** The form of board that words say. */
export const formOf = (said: string): string | undefined => FORMS.find(([pattern]) => pattern.test(said))?.[1];

/** Whether words are a form alone, or a form of boards: `Mini-ITX`, `ATX motherboard`. */
export const isForm = (said: string): boolean => ALONE.test(said) || OF_BOARDS.test(said);
