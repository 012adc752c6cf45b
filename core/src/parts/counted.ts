import { LIMITS } from './limits';

/** The first limit a document passes, in words and with its place; null when it keeps all. */
export type Passed = { readonly words: string; readonly at: readonly string[] };

const [QUOTE, BACKSLASH, COMMA, OPEN_LIST, CLOSE_LIST, OPEN_RECORD, CLOSE_RECORD] = [34, 92, 44, 91, 93, 123, 125];

/**
 * Counts values and depth of a JSON text or its bytes (UTF-8) before anything is made of them, in one pass. A text that
 * is no JSON may
 * pass: it is refused when it is read.
 */
export function countText(text: string | Uint8Array, most: number = LIMITS.values): Passed | null {
  const isText = typeof text === 'string';
  let values = 1;
  let depth = 0;
  let inString = false;
  for (let i = 0; i < text.length; i++) {
    const code = isText ? text.charCodeAt(i) : text[i]!;
    if (inString) {
      if (code === BACKSLASH) i++;
      else if (code === QUOTE) inString = false;
      continue;
    }
    switch (code) {
      case QUOTE:
        inString = true;
        break;
      case OPEN_LIST:
      case OPEN_RECORD:
        values++;
        if (++depth > LIMITS.depth) return { words: `It is nested more than ${LIMITS.depth} deep.`, at: [] };
        break;
      case CLOSE_LIST:
      case CLOSE_RECORD:
        depth--;
        break;
      case COMMA:
        values++;
    }
    if (values > most) return { words: `It holds more than ${most.toLocaleString('en')} values.`, at: [] };
  }
  return null;
}

/**
 * Counts every list, record, string and the depth of a value, so that no schema meets more than it can judge at once.
 */
export function countValue(root: unknown): Passed | null {
  const path: string[] = [];
  let values = 0;
  const visit = (value: unknown): string | null => {
    if (++values > LIMITS.values) return `It holds more than ${LIMITS.values.toLocaleString('en')} values.`;
    if (typeof value === 'string')
      return value.length > LIMITS.notesCharacters
        ? `A text of ${value.length} characters; at most ${LIMITS.notesCharacters}.`
        : null;
    if (typeof value !== 'object' || value === null) return null;
    if (path.length >= LIMITS.depth) return `It is nested more than ${LIMITS.depth} deep.`;
    const keys = Object.keys(value);
    if (keys.length > LIMITS.entries) return `${keys.length} entries; at most ${LIMITS.entries}.`;
    for (const key of keys) {
      path.push(key);
      const passed =
        key.length > LIMITS.nameCharacters
          ? `A name of ${key.length} characters; at most ${LIMITS.nameCharacters}.`
          : visit((value as Record<string, unknown>)[key]);
      if (passed) return passed;
      path.pop();
    }
    return null;
  };
  const words = visit(root);
  return words
    ? { words: path.length ? `${path.join('.').slice(0, 200)}: ${words}` : words, at: [path.join('.').slice(0, 200)] }
    : null;
}

/** How many values a part holds, counted no further than the limit. */
export function countPart(part: unknown): Passed | null {
  let values = 0;
  const visit = (value: unknown): boolean =>
    ++values <= LIMITS.partValues && (typeof value !== 'object' || value === null || Object.values(value).every(visit));
  return visit(part) ? null : { words: `A part holds at most ${LIMITS.partValues} values.`, at: [] };
}
