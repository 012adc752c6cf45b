import { addItemEdit } from '../build/newItem';
import type { Catalogue } from '../parts/catalogue';
import { newBuild } from '../build/newBuild';
import { parseBuild } from '../build/parseBuild';
import type { Build } from '../build/build';
import type { Edit } from '../build/edits';
import { sheetSchema, type Sheet } from '../parts/sheet';
import type { PartKind } from '../parts/vocabulary';
import { checkSheet } from '../parts/checkSheet';
import { commit } from '../solve/settle';
import { drawn } from './drawn';
import { catalogue } from './fixture';

/** One thing done to an odd machine: what, and the edits of it. */
export type OddStep = { readonly words: string; readonly edits: readonly Edit[] };

const KINDS_INSIDE: readonly PartKind[] = [
  'board',
  'controller',
  'expander',
  'carrier',
  'networkCard',
  'accelerator',
  'riser',
  'adapter',
  'drive',
  'drive',
  'drive',
  'fan',
  'supply',
  'processor',
  'cooler',
  'memory',
  'cable',
  'powerAdapter',
  'sundry',
  'ups',
];

/**
 * A sheet of one's own, made from one of the catalogue: fields left out, counts and lengths changed, as far as the
 * schema takes it.
 */
function ownSheet(from: Sheet, id: string, next: (below: number) => number): Sheet | null {
  const raw = structuredClone(from) as unknown as Record<string, unknown>;
  raw.id = id;
  delete raw.from;
  for (const key of Object.keys(raw)) {
    if (['id', 'kind', 'rev', 'name', 'archetype', 'maker'].includes(key)) continue;
    const roll = next(10);
    if (roll < 2) delete raw[key];
    else if (roll < 4) change(raw, key, next);
  }
  const parsed = sheetSchema.safeParse(raw);
  const archetype = catalogue.archetypes[from.archetype]!;
  return parsed.success && checkSheet(parsed.data, archetype).length === 0 ? parsed.data : null;
}

/** One number or list changed, here or somewhere within. */
function change(held: Record<string, unknown>, key: string, next: (below: number) => number): void {
  const value = held[key];
  if (typeof value === 'number')
    held[key] = [value + 1, Math.max(0, value - 1), value * 2, Math.round(value / 2), value * 5][next(5)];
  else if (typeof value === 'boolean') held[key] = !value;
  else if (Array.isArray(value) && value.length > 0) {
    const roll = next(3);
    if (roll === 0) value.splice(next(value.length), 1);
    else if (roll === 1 && typeof value[0] === 'object' && value[0] !== null && 'key' in value[0])
      value.push({ ...structuredClone(value[next(value.length)]), key: `more${next(1000)}` });
    else change(value as unknown as Record<string, unknown>, String(next(value.length)), next);
  } else if (typeof value === 'object' && value !== null) {
    const keys = Object.keys(value);
    if (keys.length) change(value as Record<string, unknown>, keys[next(keys.length)]!, next);
  }
}

/**
 * A machine drawn from the whole catalogue, as no builder would draw it: up to twenty boxes, anything in any number,
 * own sheets with fields left out, and then acts: more of something, something out, held, put elsewhere. Calls back for
 * each step; a step that is
 * refused leaves the machine as it is.
 */
export function oddMachine(seed: number, onStep: (before: Build, step: OddStep) => Build): Build {
  const next = drawn(seed);
  const one = <T>(list: readonly T[]): T => list[next(list.length)]!;
  const own: Record<string, Sheet> = {};
  const all = Object.values(catalogue.sheets);
  for (let i = 0; i < 6; i++) {
    const made = ownSheet(one(all), `own-${i}`, next);
    if (made) own[made.id] = made;
  }
  const from: Catalogue = { ...catalogue, sheets: { ...catalogue.sheets, ...own } };
  const byKind = new Map<PartKind, Sheet[]>();
  for (const sheet of Object.values(from.sheets)) byKind.set(sheet.kind, [...(byKind.get(sheet.kind) ?? []), sheet]);
  let build = newBuild(`odd-${seed}`, `Odd ${seed}`);
  const add = (sheet: Sheet | undefined, count: number) => {
    if (sheet)
      build = onStep(build, {
        words: `${count} × ${sheet.id}`,
        edits: [addItemEdit(build, from, sheet.id, count)],
      });
  };
  const some = (kind: PartKind, most: number) => add(one(byKind.get(kind) ?? []), 1 + next(most));

  const boxes = next(4) === 0 ? 8 + next(13) : 1 + next(4);
  for (let left = boxes; left > 0;) {
    const count = 1 + next(Math.min(left, 4));
    add(one([...(byKind.get('chassis') ?? []), ...(byKind.get('enclosure') ?? [])]), count);
    left -= count;
  }
  some('board', next(3) === 0 ? 3 : 1);
  for (let i = 0, rounds = 3 + next(8); i < rounds; i++) {
    const kind = one(KINDS_INSIDE);
    some(kind, kind === 'drive' ? 1 + next(40) : kind === 'adapter' ? 8 : kind === 'cable' || kind === 'fan' ? 6 : 4);
  }
  for (let i = 0, acts = 1 + next(5); i < acts; i++) {
    const units = build.items.flatMap((item) => item.units.map((unit) => unit.id));
    if (units.length === 0) break;
    const unit = one(units);
    const seated = Object.entries(build.layout.at);
    const roll = next(5);
    if (roll === 0) build = onStep(build, { words: `out ${unit}`, edits: [{ type: 'units.remove', units: [unit] }] });
    else if (roll === 1 && seated.length) {
      const [id, seat] = one(seated);
      build = onStep(build, {
        words: `hold ${id}`,
        edits: [{ type: 'place.hold', unit: id as typeof unit, spot: seat.spot }],
      });
    } else if (roll === 2 && seated.length)
      build = onStep(build, { words: `put ${unit}`, edits: [{ type: 'place.put', unit, spot: one(seated)[1].spot }] });
    else if (roll === 3 && build.layout.wires.length)
      build = onStep(build, {
        words: 'hold a cable',
        edits: [{ type: 'cable.how', device: one(build.layout.wires).device[0], how: 'held' }],
      });
    else some(one(KINDS_INSIDE), 3);
  }
  return build;
}

/** Does a step as the bench does, if it is taken. */
export function taken(before: Build, { edits }: OddStep): Build {
  const step = commit(before, edits);
  return step.ok ? step.build : before;
}

/** Whether the schema lets a machine in: only those have to be answered. */
export const letIn = (build: Build): boolean => parseBuild(JSON.parse(JSON.stringify(build))).ok;
