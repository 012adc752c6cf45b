import { DUTCH } from './dutch';
import { FRENCH } from './french';
import { GERMAN } from './german';
import { ITALIAN } from './italian';
import { SPANISH } from './spanish';

/**
 * Words of the trade in Spanish, French, Dutch and Italian as English ones, so that one set of rules reads them. German
 * words the rules know themselves; a few of them stand here too.
 */
const WORDS: Readonly<Record<string, string>> = { ...SPANISH, ...FRENCH, ...DUTCH, ...ITALIAN, ...GERMAN };

const LONGEST_FIRST = Object.keys(WORDS).sort((a, b) => b.length - a.length);
const escaped = (word: string) => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const FOREIGN = new RegExp(`(?<!\\p{L})(?:${LONGEST_FIRST.map(escaped).join('|')})(?!\\p{L})`, 'giu');
/** One word may be a name; so many different ones are a language. */
const FEWEST_WORDS = 2;
/** English words, too: they are no sign of another language. */
const ALSO_ENGLISH: ReadonlySet<string> = new Set([
  'maximum',
  'tour',
  'red',
  'superior',
  'inferior',
  'lateral',
  'regime',
  'pico',
  'ventilator',
  'accu',
  'medio',
  'tension',
  'media',
  'module',
]);
/** A language shows in the first lines. */
const LOOKED_AT = 4_000;

/** Lines with the trade's words in English where a text is of another language; else the lines themselves. */
export function inEnglish(lines: readonly string[]): readonly string[] {
  const start = lines.join('\n').slice(0, LOOKED_AT);
  const known = new Set([...start.matchAll(FOREIGN)].map(([word]) => word.toLowerCase()));
  const telling = [...known].filter((word) => !ALSO_ENGLISH.has(word));
  if (telling.length < FEWEST_WORDS) return lines;
  return lines.map((line) =>
    // French octets: Go, To, Mo/s.
    line
      .replace(/(?<=\d\s?)([GTM])o(?![\p{L}])/gu, '$1B')
      .replace(FOREIGN, (word) => WORDS[word.toLowerCase()] ?? word),
  );
}
