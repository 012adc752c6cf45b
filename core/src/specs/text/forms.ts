/** Forms of boards as they are written, the longer names first. */
const FORMS: readonly (readonly [RegExp, string])[] = [
  [/mini-?itx/i, 'mini-itx'],
  [/(?:micro|m|µ)-?atx/i, 'micro-atx'],
  [/ssi-?ceb/i, 'ssi-ceb'],
  [/ssi-?eeb|e-?atx|extended[- ]atx/i, 'ssi-eeb'],
  [/(?<![a-zµ]-?)atx\b/i, 'atx'],
];
const NAME = '(?:mini-?itx|extended[- ]atx|(?:micro|m|µ|e)?-?atx|ssi-?[ce]eb)';
const ALONE = new RegExp(`^${NAME}$`, 'i');
const OF_BOARDS = new RegExp(`(?<![a-zµ-]|extended )${NAME} (?:mother|main)?boards?\\b`, 'i');

/** How many forms words name. */
export const formsNamed = (said: string): number =>
  new Set([...said.matchAll(new RegExp(NAME, 'gi'))].map(([form]) => form.toLowerCase())).size;

/** The form of board that words say. */
export const formOf = (said: string): string | undefined => FORMS.find(([pattern]) => pattern.test(said))?.[1];

/** Forms by size: what takes the larger takes the smaller. */
const BY_SIZE = ['mini-itx', 'micro-atx', 'atx', 'ssi-eeb'];
const RANGE = new RegExp(`(${NAME})\\s*(?:up to|to|through|bis|–)\\s*(${NAME})`, 'i');
/** The forms from one to another: `Mini-ITX up to ATX`. */
export function rangeOfForms(said: string): readonly string[] | undefined {
  const found = RANGE.exec(said);
  const [from, to] = [BY_SIZE.indexOf(formOf(found?.[1] ?? '') ?? ''), BY_SIZE.indexOf(formOf(found?.[2] ?? '') ?? '')];
  return from >= 0 && to > from ? BY_SIZE.slice(from, to + 1) : undefined;
}

/** Whether words are a form alone, or a form of boards: `Mini-ITX`, `ATX motherboard`. */
export const isForm = (said: string): boolean => ALONE.test(said) || OF_BOARDS.test(said);
