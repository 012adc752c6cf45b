import same from 'fast-deep-equal';
import { makeStep, type Build, type Edit } from '@inch-tower/core';
import { isWhole, sectionOf, withWas, type ItemPatch } from './was';

/** An edit as it is made on another version: of a section or a part with what both have changed in it. */
export function onto(build: Build, edit: Edit): Edit {
  if (edit.type === 'item.patch') return patchOnto(build, edit);
  if (!isWhole(edit)) return edit;
  const theirs = build[sectionOf(edit)];
  const was = 'was' in edit ? edit.was : undefined;
  if (was === undefined || theirs === undefined || same(theirs, was)) return edit;
  const merged = merge(was, edit.value, theirs);
  const value = edit.type === 'set.pool' ? eachInOneSet(merged as Pool, edit.value as Pool, was as Pool) : merged;
  return { ...edit, value, was: theirs } as unknown as Edit;
}

/**
 * Edits that were made while looking at `shown`, as they are made on a later state of the same machine: of sections and
 * of parts only what they changed, so that what was done a moment before and is not drawn yet stays.
 */
export function ontoLater(shown: Build, later: Build, asked: readonly Edit[]): readonly Edit[] {
  if (shown === later) return withWas(later, asked);
  let ground = later;
  return withWas(shown, asked).map((edit) => {
    const next = onto(ground, edit);
    const step = makeStep(ground, [next]);
    if (step.ok) ground = step.build;
    return next;
  });
}

function patchOnto(build: Build, edit: ItemPatch): Edit {
  const theirs = build.items.find(({ id }) => id === edit.item) as Plain | undefined;
  const was = edit.was as Plain | undefined;
  if (!was || !theirs) return edit;
  const patch = Object.entries(edit.patch).map(([key, mine]) => [key, merge(was[key], mine, theirs[key])]);
  const now = Object.keys(edit.patch).flatMap((key) =>
    theirs[key] === undefined ? [] : [[key, theirs[key]] as const],
  );
  return {
    ...edit,
    patch: Object.fromEntries(patch) as ItemPatch['patch'],
    was: Object.fromEntries(now) as ItemPatch['patch'],
  };
}

type Pool = Build['pool'];
type Plain = Readonly<Record<string, unknown>>;
const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What comes of a value that two have changed: both changes, and mine where both changed the same. */
export function merge(was: unknown, mine: unknown, theirs: unknown): unknown {
  if (same(mine, was)) return theirs;
  if (same(theirs, was)) return mine;
  if (isPlain(mine) && isPlain(theirs)) return mergedFields(isPlain(was) ? was : {}, mine, theirs);
  if (Array.isArray(mine) && Array.isArray(theirs)) return mergedList(Array.isArray(was) ? was : [], mine, theirs);
  return mine;
}

function mergedFields(was: Plain, mine: Plain, theirs: Plain): Plain {
  const keys = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])];
  return Object.fromEntries(
    keys.flatMap((key) => {
      const value = merge(was[key], mine[key], theirs[key]);
      return value === undefined ? [] : [[key, value] as const];
    }),
  );
}

type List = readonly unknown[];
function mergedList(was: List, mine: List, theirs: List): List {
  const nameOf = (one: unknown): string | null => {
    if (typeof one === 'string' || typeof one === 'number') return String(one);
    const name = isPlain(one) ? (one.id ?? one.key) : undefined;
    return typeof name === 'string' ? name : null;
  };
  const lists = [was, mine, theirs].map((list) => list.map(nameOf));
  const isNamed = lists.every((names) => names.every((name) => name !== null) && new Set(names).size === names.length);
  if (!isNamed)
    return mine.length === theirs.length && was.length === mine.length
      ? mine.map((one, i) => merge(was[i], one, theirs[i]))
      : mine;
  const [old, own, others] = [was, mine, theirs].map((list) => new Map(list.map((one) => [nameOf(one), one])));
  const kept = theirs.flatMap((one): unknown[] => {
    const name = nameOf(one);
    if (own!.has(name)) return [merge(old!.get(name), own!.get(name), one)];
    // Taken out by me: unless they changed it meanwhile.
    return old!.has(name) && same(old!.get(name), one) ? [] : [one];
  });
  const added = mine.filter((one) => {
    const name = nameOf(one);
    return !others!.has(name) && !(old!.has(name) && same(old!.get(name), one));
  });
  return [...kept, ...added];
}

/** A drive that both have put into another set is in mine. */
function eachInOneSet(merged: Pool, mine: Pool, was: Pool): Pool {
  const setOf = ({ sets }: Pool, unit: string) => sets.find(({ units }) => units.some((one) => one === unit))?.id;
  const places = new Map<string, string[]>();
  for (const { id, units } of merged.sets)
    for (const unit of units) places.set(unit, [...(places.get(unit) ?? []), id]);
  const keeps = (id: string, unit: string): boolean => {
    const all = places.get(unit) ?? [];
    if (all.length < 2) return true;
    const own = setOf(mine, unit);
    const wanted = own !== undefined && own !== setOf(was, unit) ? own : all.find((one) => one !== own);
    return id === wanted;
  };
  return {
    ...merged,
    sets: merged.sets.map((set) => ({ ...set, units: set.units.filter((unit) => keeps(set.id, unit)) })),
  };
}
