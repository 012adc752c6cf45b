import { plainAt, isNonEmpty, mapNonEmpty } from '../lists';
import type { Build, Item, Unit } from './build';
import type { Edit, EditOf } from './edits';
import type { Layout, Seat, SpotRef } from './layout';
import { LIMITS } from '../parts/limits';
import { layoutStep } from './layoutEdits';
import { itemOf, noUnit, refuse, type Refusal, type SectionsSet } from './refusal';

export type Applied = { readonly ok: true; readonly build: Build; readonly inverse: Edit; readonly words: string };
/** No rates are no section: taking the last one out leaves the build as before the first, in a file too. */
function withoutEmptyRates(build: Build): Build {
  const { rates, ...others } = build;
  return rates && Object.keys(rates).length > 0 ? build : others;
}

/**
 * Applies one edit: the new build, the edit that takes it back and what happened in words; or a
 * refusal, the build untouched. The inverse carries the sections as they were, so taking an edit
 * back gives the deep-equal build.
 */
export function applyEdit(build: Build, edit: Edit): Applied | Refusal {
  const step = stepOf(build, edit);
  if ('ok' in step) return step;
  const before = Object.fromEntries(
    Object.keys(step.sections).map((key) => [key, build[key as keyof Build] ?? (key === 'rates' ? {} : undefined)]),
  );
  return {
    ok: true,
    build: withoutEmptyRates({ ...build, ...step.sections }),
    inverse: { type: 'restore', sections: before } as Edit,
    words: step.words,
  };
}

function stepOf(build: Build, edit: Edit): SectionsSet | Refusal {
  switch (edit.type) {
    case 'item.add':
      return addItem(build, edit);
    case 'item.remove': {
      const item = build.items.find((one) => one.id === edit.item);
      return item
        ? withoutUnits(build, new Set(item.units.map((unit) => unit.id)), `Took out ${nameOf(build, item)}`)
        : noItem(edit.item);
    }
    case 'item.patch':
      return patchItem(build, edit.item, (item) => ({ ...item, ...(edit.patch as Partial<Item>) }), 'Changed');
    case 'item.replace': {
      const carried = carry(build, edit);
      const lacks = lacking(carried, edit.sheet);
      if (lacks) return lacks;
      const step = patchItem(build, edit.item, (item) => replacedBy(item, edit), 'Replaced');
      return 'ok' in step ? step : { ...step, sections: { ...step.sections, ...carried } };
    }
    case 'units.add':
      return addUnits(build, edit);
    case 'units.remove': {
      const gone = new Set<string>(edit.units);
      const known = build.items.flatMap((item) => item.units).filter((unit) => gone.has(unit.id));
      if (known.length !== gone.size)
        return refuse('Some of those parts are no longer in the build; nothing was taken out.');
      return withoutUnits(build, gone, `Took out ${known.map((unit) => unit.mark).join(', ')}`);
    }
    case 'unit.role': {
      const item = itemOf(build, edit.unit);
      if (!item) return noUnit(edit.unit);
      return patchItem(
        build,
        item.id,
        (one) => ({
          ...one,
          units: mapNonEmpty(one.units, (unit) => (unit.id === edit.unit ? withRole(unit, edit.role) : unit)),
        }),
        'Changed the role in',
      );
    }
    case 'place.put':
    case 'place.hold':
    case 'place.release':
    case 'cable.put':
    case 'cable.how':
    case 'plug.put':
    case 'plug.release':
    case 'layout.set':
      return layoutStep(build, edit);
    case 'change.add': {
      if (build.changes.some((change) => change.id === edit.change.id)) return refuse('That change is already made.');
      return {
        sections: { changes: [...build.changes, edit.change] },
        words: edit.change.kind === 'mod' ? edit.change.title : `Option ${edit.change.key}`,
      };
    }
    case 'change.remove': {
      if (!build.changes.some((change) => change.id === edit.id)) return refuse('That change is no longer there.');
      return {
        sections: { changes: build.changes.filter((change) => change.id !== edit.id) },
        words: 'Change taken back',
      };
    }
    case 'sheet.refresh':
      return {
        sections: {
          sheets: withAll(build.sheets, edit.sheets),
          archetypes: withAll(build.archetypes, edit.archetypes),
        },
        words: 'Sheets refreshed',
      };
    case 'restore':
      return { sections: edit.sections as Partial<Build>, words: 'Taken back' };
    default:
      return setSection(build, edit);
  }
}

/** Another part in the place of an item's: what was true of the old one alone, as that it is owned, goes with it. */
function replacedBy(item: Item, { sheet, price, owned }: EditOf<'item.replace'>): Item {
  const { price: _price, stockId: _stock, year: _year, hours: _hours, condition: _condition, ...kept } = item;
  return {
    ...kept,
    sheet,
    deal: owned ? 'owned' : 'buy',
    ...(price ? { price } : {}),
    ...(owned as Partial<Item> | undefined),
  };
}

function setSection(build: Build, edit: Extract<Edit, { type: `set.${string}` }>): SectionsSet | Refusal {
  const name = edit.type.slice('set.'.length);
  if (edit.type === 'set.stage' && edit.value >= build.stages.length)
    return refuse(`There are ${build.stages.length} stages; stage ${edit.value + 1} is not one of them.`);
  // A line of the kit, or the machine as it is shown, would be of a stage that is not there any more.
  const last = Math.max(build.stage, ...build.items.map(({ stage }) => stage));
  if (edit.type === 'set.stages' && edit.value.length <= last)
    return refuse(`${build.stages[last]?.name || `Stage ${last + 1}`} is still in use; no stage was taken away.`);
  return {
    sections: { [name]: edit.value },
    words: name === 'name' ? `Named ${String(edit.value)}` : `Changed the ${name}`,
  };
}

function addItem(build: Build, edit: EditOf<'item.add'>): SectionsSet | Refusal {
  const { item } = edit;
  const carried = carry(build, edit);
  const lacks = lacking(carried, item.sheet);
  if (lacks) return lacks;
  const sheet = carried.sheets[item.sheet]!;
  const taken = new Set(
    build.items.flatMap((one) => [one.id as string, ...one.units.map((unit) => unit.id as string)]),
  );
  if ([item.id as string, ...item.units.map((unit) => unit.id as string)].some((id) => taken.has(id)))
    return refuse('An id of that edit is already in use; nothing was added.');
  const over = pastLimit(build, item.units.length, sheet.kind);
  if (over) return over;
  const index = edit.index ?? build.items.length;
  const items = [...build.items.slice(0, index), item, ...build.items.slice(index)];
  return {
    sections: {
      items,
      ...carried,
      counter: advance(build, [item.id, ...item.units.map((unit) => unit.id)], 1),
      ...putAll(build, edit.puts),
    },
    words: `${item.units.length} × ${sheet.name}`,
  };
}

function addUnits(build: Build, edit: EditOf<'units.add'>): SectionsSet | Refusal {
  const item = build.items.find((one) => one.id === edit.item);
  if (!item) return noItem(edit.item);
  const over = pastLimit(build, edit.units.length, build.sheets[item.sheet]!.kind);
  if (over) return over;
  const taken = new Set(build.items.flatMap((one) => one.units.map((unit) => unit.id as string)));
  if (edit.units.some((unit) => taken.has(unit.id)))
    return refuse('An id of that edit is already in use; nothing was added.');
  const step = patchItem(
    build,
    item.id,
    (one) => ({ ...one, units: [...one.units, ...edit.units] }),
    `${edit.units.length} more of`,
  );
  if ('ok' in step) return step;
  return {
    ...step,
    sections: {
      ...step.sections,
      counter: advance(
        build,
        edit.units.map((unit) => unit.id),
        0,
      ),
      ...putAll(build, edit.puts),
    },
  };
}

function pastLimit(build: Build, more: number, kind: string): Refusal | null {
  const count = (of?: string) =>
    build.items.reduce((sum, item) => sum + (!of || build.sheets[item.sheet]?.kind === of ? item.units.length : 0), 0);
  if (count() + more > LIMITS.units)
    return refuse(`A build holds at most ${LIMITS.units} units; this would be ${count() + more}.`);
  if (kind === 'drive' && count('drive') + more > LIMITS.drives)
    return refuse(`A build holds at most ${LIMITS.drives} drives; this would be ${count('drive') + more}.`);
  const boxes = count('chassis') + count('enclosure');
  if ((kind === 'chassis' || kind === 'enclosure') && boxes + more > LIMITS.boxes)
    return refuse(`A build holds at most ${LIMITS.boxes} boxes; this would be ${boxes + more}.`);
  return null;
}

function withoutUnits(build: Build, gone: ReadonlySet<string>, words: string): SectionsSet {
  const items = build.items.flatMap((item): Item[] => {
    if (!item.units.some((unit) => gone.has(unit.id))) return [item];
    const units = item.units.filter((unit) => !gone.has(unit.id));
    return isNonEmpty(units) ? [{ ...item, units }] : [];
  });
  const involves = (spots: readonly SpotRef[]) => spots.some((spot) => gone.has(spot.host));
  const layout: Layout = {
    ...build.layout,
    at: Object.fromEntries(Object.entries(build.layout.at).filter(([unit]) => !gone.has(unit))),
    dormant: Object.fromEntries(
      Object.entries(build.layout.dormant).filter(
        ([name, { spot }]) => !gone.has(plainAt(name.split('/'), 0)) && !(name.includes('/') && gone.has(spot.host)),
      ),
    ),
    plugs: build.layout.plugs.filter(({ host, device }) =>
      // What is built in goes with its host.
      [...host, ...device].every((end) => !gone.has(plainAt(end.host.split('+'), 0))),
    ),
    wires: build.layout.wires.flatMap((wire) =>
      involves(wire.host) ? [] : involves(wire.device) ? otherTails(wire, gone) : [wire],
    ),
  };
  const pool = {
    ...build.pool,
    sets: build.pool.sets.map((set) =>
      set.units.some((unit) => gone.has(unit)) ? { ...set, units: set.units.filter((unit) => !gone.has(unit)) } : set,
    ),
  };
  const changes = build.changes.filter((change) => !gone.has(change.host));
  return { sections: { items, layout, pool, changes }, words };
}

/** What is left of a breakout when some of its drives are gone; nothing of a cable with one end. */
function otherTails(wire: Build['layout']['wires'][number], gone: ReadonlySet<string>): Build['layout']['wires'] {
  const isLeft = (end: SpotRef | undefined) => end !== undefined && !gone.has(end.host);
  const device = wire.device.filter(isLeft);
  const lanes = wire.lanes?.filter((_, i) => isLeft(wire.device[i]));
  return isNonEmpty(device) ? [{ ...wire, device, ...(lanes ? { lanes } : {}) }] : [];
}

function patchItem(build: Build, id: string, change: (item: Item) => Item, verb: string): SectionsSet | Refusal {
  const item = build.items.find((one) => one.id === id);
  if (!item) return noItem(id);
  return {
    sections: { items: build.items.map((one) => (one === item ? change(one) : one)) },
    words: `${verb} ${nameOf(build, item)}`,
  };
}

function putAll(build: Build, puts: Readonly<Record<string, SpotRef>> | undefined): Partial<Build> {
  if (!puts) return {};
  const seats = Object.fromEntries(
    Object.entries(puts).map(([unit, spot]): [string, Seat] => [unit, { spot, how: 'put' }]),
  );
  return { layout: { ...build.layout, at: { ...build.layout.at, ...seats } } };
}

const withAll = <T extends { readonly id: string }>(
  held: Readonly<Record<string, T>>,
  extra: readonly T[],
): Record<string, T> => ({ ...held, ...Object.fromEntries(extra.map((one) => [one.id, one])) });

/** Takes in the sheets an edit brings. One the build holds stays as it is: only a refresh changes a snapshot. */
function carry(
  build: Build,
  edit: Pick<EditOf<'item.add'>, 'sheets' | 'archetypes'>,
): Pick<Build, 'sheets' | 'archetypes'> {
  const fresh = <T extends { readonly id: string }>(held: Record<string, T>, brought: readonly T[]) => {
    const extra = brought.filter((one) => !held[one.id]);
    return extra.length ? withAll(held, extra) : held;
  };
  return { sheets: fresh(build.sheets, edit.sheets), archetypes: fresh(build.archetypes, edit.archetypes) };
}

/** A part stands only with its archetype and everything built into it or in its box: what is not there is named. */
function lacking(
  { sheets, archetypes }: Pick<Build, 'sheets' | 'archetypes'>,
  id: string,
  seen: ReadonlySet<string> = new Set(),
): Refusal | null {
  const sheet = sheets[id];
  if (!sheet) return refuse(`The sheet ${id} did not come with the edit.`);
  const archetype = archetypes[sheet.archetype];
  if (!archetype) return refuse(`The archetype ${sheet.archetype} did not come with the edit.`);
  const inside = new Set([...seen, id]);
  for (const inner of [
    ...(sheet.builtIn ?? archetype.builtIn ?? []),
    ...(sheet.inTheBox ?? archetype.inTheBox ?? []),
  ]) {
    const lacks = inside.has(inner.sheet) ? null : lacking({ sheets, archetypes }, inner.sheet, inside);
    if (lacks) return lacks;
  }
  return null;
}

/** Ids and marks are never given twice, also when the highest is taken out again. */
function advance(build: Build, ids: readonly string[], letters: number): Build['counter'] {
  const numbers = ids.map((id) => Number(/\d+$/.exec(id)?.[0] ?? 0));
  return { next: Math.max(build.counter.next, ...numbers.map((n) => n + 1)), letter: build.counter.letter + letters };
}

const withRole = ({ role: _old, ...unit }: Unit, role: NonNullable<Unit['role']> | null): Unit =>
  role ? { ...unit, role } : unit;
const nameOf = (build: Build, item: Item) =>
  `${item.units.length > 1 ? `${item.units.length} × ` : ''}${build.sheets[item.sheet]?.name ?? item.sheet}`;
const noItem = (id: string) => refuse(`The part ${id} is no longer in the build.`);
