import type { Build, Change } from './build';
import { printSpot } from './layout';

/** Parts of one sheet that come in or go out. */
type Counted = { readonly name: string; readonly count: number };
/** What differs between two states of a machine, as far as hands have to do with it: parts by name, units by mark. */
export type Difference = {
  readonly added: readonly Counted[];
  readonly gone: readonly Counted[];
  readonly moved: readonly string[];
  /** Without a place now, that had one. */ readonly loose: readonly string[];
  readonly changed: readonly string[];
  readonly undone: readonly string[];
};

/** From one build to another of the same machine; what is renumbered or renamed alone is no difference. */
export function differenceOf(before: Build, after: Build): Difference {
  const was = unitsOf(before);
  const is = unitsOf(after);
  const stays = [...is].filter(([id, { sheet }]) => was.get(id)?.sheet === sheet);
  const seat = (build: Build, id: string) => {
    const at = build.layout.at[id];
    return at ? (at.spot.host === 'floor' ? 'floor' : printSpot(at.spot)) : null;
  };
  const shifted = stays.filter(([id]) => seat(before, id) !== seat(after, id));
  // On the floor one place is as good as another. What gets its first place goes there as anything new does; that is no
  // move.
  const moved = shifted.filter(([id]) => seat(before, id) !== null && seat(after, id) !== null);
  const changes = (build: Build) => new Map(build.changes.map((change) => [change.id, titleOf(build, change)]));
  return {
    added: counted(after, before),
    gone: counted(before, after),
    moved: moved.map(([, { mark }]) => mark),
    loose: shifted.filter(([id]) => seat(after, id) === null).map(([, { mark }]) => mark),
    changed: [...changes(after)].filter(([id]) => !changes(before).has(id)).map(([, title]) => title),
    undone: [...changes(before)].filter(([id]) => !changes(after).has(id)).map(([, title]) => title),
  };
}

const unitsOf = (build: Build) =>
  new Map(
    build.items.flatMap((item) =>
      item.units.map((unit) => [unit.id as string, { sheet: item.sheet, mark: unit.mark }] as const),
    ),
  );

/**
 * Parts of the first build past what the second has of them, in the order of the kit; parts without units by their
 * count.
 */
function counted(of: Build, other: Build): Counted[] {
  const there = amounts(other);
  return [...amounts(of)].flatMap(([sheet, count]) =>
    count > (there.get(sheet) ?? 0)
      ? [{ name: of.sheets[sheet]?.name ?? sheet, count: count - (there.get(sheet) ?? 0) }]
      : [],
  );
}

function amounts(build: Build): Map<string, number> {
  const sums = new Map<string, number>();
  for (const item of build.items) sums.set(item.sheet, (sums.get(item.sheet) ?? 0) + (item.count ?? item.units.length));
  return sums;
}

function titleOf(build: Build, change: Change): string {
  if (change.kind === 'mod') return change.title;
  const sheet = build.items.find(({ units }) => units.some(({ id }) => id === change.host))?.sheet;
  const held = sheet && build.sheets[sheet];
  const options =
    held &&
    ((held as { options?: unknown }).options ??
      (build.archetypes[held.archetype] as { options?: unknown } | undefined)?.options);
  return (
    (options as readonly { key: string; label: string }[] | undefined)?.find(({ key }) => key === change.key)?.label ??
    change.key
  );
}
