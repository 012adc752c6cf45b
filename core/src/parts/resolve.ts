import type { ArchetypeId, SheetId } from './ids';
import type { Archetype, Basis, Sheet, Values } from './sheet';
import type { Connector } from './connector';
import { rangeOf } from './tolerances';
import { EIGHT_LANES, type PartKind } from './vocabulary';

/** A complete part: a sheet with its archetype's typical values standing in for what it leaves open. */
export type Part<K extends PartKind = PartKind> = K extends PartKind
  ? Readonly<Values<K>> & {
      readonly kind: K;
      readonly id: SheetId;
      readonly name: string;
      readonly maker?: string;
      readonly family?: string;
      readonly archetype: ArchetypeId;
      readonly price?: Sheet['price'];
      readonly builtIn: NonNullable<Sheet['builtIn']>;
      readonly inTheBox: NonNullable<Sheet['inTheBox']>;
      readonly sheet: Sheet;
      readonly typical: Archetype;
    }
  : never;
export type PartOf<K extends PartKind> = Extract<Part, { kind: K }>;

/** One number of one sheet with its range: the leaves of every working. */
export type Fact = {
  readonly id: string;
  readonly sheet: SheetId;
  readonly name: string;
  readonly field: string;
  readonly value: number;
  readonly lo: number;
  readonly hi: number;
  readonly unit: string;
  readonly basis: Basis;
};

const resolved = new WeakMap<Sheet, Part>();

/**
 * Completes a sheet. Absent means unknown and takes the typical value; null means known not to
 * exist and stays. Scalars merge one by one, arrays whole or not at all.
 */
export function resolve(sheet: Sheet, archetype: Archetype): Part {
  const known = resolved.get(sheet);
  if (known && known.typical === archetype) return known;
  const part = inHalves({
    ...archetype,
    ...Object.fromEntries(Object.entries(sheet).filter(([, value]) => value !== undefined)),
    builtIn: sheet.builtIn ?? archetype.builtIn ?? [],
    inTheBox: sheet.inTheBox ?? archetype.inTheBox ?? [],
    price: sheet.price ?? archetype.price,
    sheet,
    typical: archetype,
  } as unknown as Part);
  resolved.set(sheet, part);
  return part;
}

const lower = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);
const isEight = (connector: Connector): boolean =>
  connector.lanes === 8 && (EIGHT_LANES as readonly string[]).includes(connector.kind);
const halves = (connectors: readonly Connector[]): readonly Connector[] =>
  connectors.map((one) =>
    isEight(one)
      ? { ...one, count: 2 * one.count, lanes: 4, label: `Half of ${lower(one.label ?? 'Eight-lane port')}` }
      : one,
  );

/**
 * A plug of eight lanes is two of four: each half is wired for itself, and nothing else need know of eight. Halves 1
 * and 2 are one plug, 3 and 4 the next.
 */
function inHalves(part: Part): Part {
  if (part.kind === 'controller' || part.kind === 'expander')
    return part.connectors.some(isEight) ? ({ ...part, connectors: halves(part.connectors) } as Part) : part;
  if (part.kind === 'board') {
    const eights = new Set(part.connectors.filter(isEight).map(({ key }) => key));
    return eights.size === 0
      ? part
      : ({
          ...part,
          connectors: halves(part.connectors),
          rules: part.rules.map((rule) => ({
            ...rule,
            then: rule.then.map((then) =>
              eights.has(then.key) && then.ns ? { ...then, ns: then.ns.flatMap((n) => [2 * n - 1, 2 * n]) } : then,
            ),
          })),
        } as Part);
  }
  if (part.kind !== 'chassis' && part.kind !== 'adapter') return part;
  if (!part.bayGroups.some(({ backplane }) => backplane?.connectors.some(isEight))) return part;
  const bayGroups = part.bayGroups.map((group) =>
    group.backplane?.connectors.some(isEight)
      ? {
          ...group,
          backplane: {
            ...group.backplane,
            connectors: halves(group.backplane.connectors),
            baysPerConnector: Math.max(1, Math.ceil(group.backplane.baysPerConnector / 2)),
          },
        }
      : group,
  );
  return { ...part, bayGroups } as Part;
}

/** W of these no maker states; they are typical unless a meter or a line of a datasheet is named. */
const UNSTATED: ReadonlySet<string> = new Set(['board', 'processor']);
const STATE_W = /^(idle|sustained|busy|peak)W$/;

/** The basis a field of a part rests on: its own sheet's source, else typical. */
export function basisOf(part: Part, field: string): Basis {
  const own = (part.sheet as unknown as Record<string, unknown>)[field] !== undefined;
  if (!own) return 'typical';
  const from = part.sheet.from?.[field];
  const isNamed = from?.ref !== undefined || from?.basis === 'measured';
  return UNSTATED.has(part.kind) && STATE_W.test(field) && !isNamed ? 'typical' : (from?.basis ?? 'stated');
}

/** The fact behind a numeric field, or one inside an array when `value` is given; field names carry the unit. */
export function factOf(part: Part, field: string, value?: number, path: string = field): Fact {
  const own = (part.sheet as unknown as Record<string, unknown>)[field] !== undefined;
  const source = (own ? part.sheet : part.typical).from?.[path];
  const basis = basisOf(part, field);
  const number = value ?? (part as unknown as Record<string, number>)[field]!;
  const range = rangeOf(path, number, basis, UNSTATED.has(part.kind) && STATE_W.test(field));
  return {
    // Typical facts of one field are one author's error: they err together.
    id: basis === 'typical' ? `typical.${part.kind}.${path}` : `${part.id}.${path}`,
    sheet: part.id,
    name: part.name,
    field: path,
    value: number,
    lo: source?.lo ?? range.lo,
    hi: source?.hi ?? range.hi,
    unit: range.unit,
    basis,
  };
}
