import type { Catalogue } from './catalogue';
import { containedIn } from './checkSheet';
import { classSheet } from './classSheet';
import { resolve } from './resolve';
import { archetypeSchema, sheetSchema } from './sheet';

/** A part that cannot be read, and why. */
export type UnreadablePart = { readonly id: string; readonly words: string };
export type ReadableCatalogue = { readonly catalogue: Catalogue; readonly unreadable: readonly UnreadablePart[] };

/**
 * Parts the rest can rely on: each by its schema, on an archetype of its kind, holding only what is there. The others
 * are named, not thrown away.
 */
export function readableCatalogue(raw: {
  readonly sheets: Readonly<Record<string, unknown>>;
  readonly archetypes: Readonly<Record<string, unknown>>;
}): ReadableCatalogue {
  const unreadable: UnreadablePart[] = [];
  const keep = <T>(
    from: Readonly<Record<string, unknown>>,
    read: (id: string, value: unknown) => T | string,
  ): Record<string, T> =>
    Object.fromEntries(
      Object.entries(from).flatMap(([id, value]) => {
        const one = attempt(() => read(id, value));
        if (typeof one !== 'string') return [[id, one]];
        unreadable.push({ id, words: one });
        return [];
      }),
    );
  const archetypes = keep(raw.archetypes, (id, value) => {
    const parsed = archetypeSchema.safeParse(value);
    if (!parsed.success) return faultOf(parsed.error);
    if (parsed.data.id !== id) return `It is filed as ${id} and calls itself ${parsed.data.id}.`;
    resolve(classSheet(parsed.data), parsed.data);
    return parsed.data;
  });
  const checked = keep(raw.sheets, (id, value) => {
    const parsed = sheetSchema.safeParse(value);
    if (!parsed.success) return faultOf(parsed.error);
    const archetype = archetypes[parsed.data.archetype];
    if (parsed.data.id !== id) return `It is filed as ${id} and calls itself ${parsed.data.id}.`;
    if (!archetype) return `Its class ${parsed.data.archetype} is not here or cannot be read.`;
    if (archetype.kind !== parsed.data.kind) return `It is a ${parsed.data.kind}, its class a ${archetype.kind}.`;
    resolve(parsed.data, archetype);
    return parsed.data;
  });
  // What holds a part that fell out falls out with it, and so on outwards.
  const sheets = { ...checked };
  for (let fell = true; fell;) {
    fell = false;
    for (const [id, sheet] of Object.entries(sheets)) {
      const archetype = archetypes[sheet.archetype]!;
      const missing = containedIn({
        builtIn: sheet.builtIn ?? archetype.builtIn,
        inTheBox: sheet.inTheBox ?? archetype.inTheBox,
      }).find((inner) => !sheets[inner]);
      if (!missing) continue;
      delete sheets[id];
      unreadable.push({ id, words: `It contains ${missing}, which is not here or cannot be read.` });
      fell = true;
    }
  }
  return { catalogue: { sheets, archetypes }, unreadable };
}

const faultOf = (error: {
  readonly issues: readonly { readonly path: readonly PropertyKey[]; readonly message: string }[];
}): string => {
  const [first] = error.issues;
  return first ? `${first.path.join('.') || 'the part'}: ${first.message}` : 'It is no part.';
};

function attempt<T>(read: () => T | string): T | string {
  try {
    return read();
  } catch (error) {
    return `It cannot be read (${error instanceof Error ? error.message : 'unknown'}).`;
  }
}
