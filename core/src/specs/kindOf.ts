import { valueFor } from '../lists';
import type { PartKind } from '../parts/vocabulary';
import { BOARD } from './kinds/boards';
import { CABLE } from './kinds/cables';
import { CAGE } from './kinds/cages';
import { CARDS } from './kinds/cards';
import { CHASSIS } from './kinds/chassis';
import { COOLER } from './kinds/coolers';
import { DRIVE } from './kinds/drives';
import { FAN } from './kinds/fan';
import { MEMORY } from './kinds/memory';
import { placesOf } from './lists/places';
import { PROCESSOR } from './kinds/processors';
import { readFields, type Source } from './readFields';
import { RISER } from './kinds/risers';
import type { KindRules } from './kinds/rule';
import { SMALL_PARTS } from './kinds/smallParts';
import { SUPPLY } from './kinds/supply';
import { UPS } from './kinds/ups';

const RULES: readonly KindRules[] = [
  DRIVE,
  SUPPLY,
  FAN,
  UPS,
  PROCESSOR,
  COOLER,
  MEMORY,
  BOARD,
  CHASSIS,
  ...CARDS,
  RISER,
  CABLE,
  CAGE,
  ...SMALL_PARTS,
];
const BY_KIND = new Map(RULES.map((rules) => [rules.kind, rules]));
/** Texts of every kind of part are read. */
export const rulesOf = (kind: PartKind): KindRules => valueFor(BY_KIND, kind);

/** What a text is of is said on its first pages; what it tells of it shows in so many lines. */
const OPENING_CHARACTERS = 64_000;
const [OPENING_LINES, OPENING_WIDTH] = [60, 300];
/** So far ahead by its name alone nothing else need be asked. */
const BY_NAME = 5;
/** What parts of many kinds have tells none of them. */
const OF_MANY: ReadonlySet<string> = new Set([
  ...['massG', 'lengthMm', 'widthMm', 'depthMm', 'heightMm', 'height', 'form', 'style'],
  ...['idleW', 'busyW', 'peakW', 'standbyW', 'maxC', 'soundMeaning'],
  ...['interface', 'lanes', 'gen', 'pcieGen', 'medium', 'socket'],
]);
const [OWN, SHARED] = [1, 0.25];
/** A kind is clear where it outweighs the next by so much. */
const CLEAR = 2;

/**
 * The kind of part a text is of: by words that name it, and by how much of it each kind would read. Null where nothing
 * speaks for any; `isSure` where one is well ahead of the next.
 */
export function kindOf(source: Source): { readonly rules: KindRules; readonly isSure: boolean } | null {
  const opening = source.lines.join('\n').slice(0, OPENING_CHARACTERS);
  const byName = RULES.map((rules) => ({ rules, score: named(rules, opening) })).sort((a, b) => b.score - a.score);
  if (byName[0]!.score >= byName[1]!.score + BY_NAME) return { rules: byName[0]!.rules, isSure: true };
  const first = (lines: readonly string[]) => lines.slice(0, OPENING_LINES).map((line) => line.slice(0, OPENING_WIDTH));
  const start: Source = {
    ...source,
    originals: first(source.originals),
    lines: first(source.lines),
    ofOne: first(source.ofOne),
  };
  const ranked = byName
    .map(({ rules, score }) => ({ rules, score: score + told(rules, start) }))
    .sort((a, b) => b.score - a.score);
  const [best, next] = ranked;
  if (!best || best.score < CLEAR) return null;
  return { rules: best.rules, isSure: best.score >= (next?.score ?? 0) + CLEAR };
}

const named = ({ cues }: KindRules, text: string): number =>
  cues.reduce((sum, [pattern, weight]) => sum + (pattern.test(text) ? weight : 0), 0);

function told(rules: KindRules, start: Source): number {
  const { fields } = readFields(rules, start);
  const places = placesOf(rules.kind, start.lines, start.decimal);
  return [...fields, ...places].reduce((sum, { field }) => sum + (OF_MANY.has(field) ? SHARED : OWN), 0);
}
