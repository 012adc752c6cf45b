import { resolve, type Archetype, type Catalogue, type Part, type Sheet } from '@inch-tower/core';

const parts = new WeakMap<Sheet, { readonly archetype: Archetype; readonly part: Part }>();

/** A part of the catalogue, complete; the same for the same sheet and class. */
export function partOf(catalogue: Catalogue, id: string): Part {
  const sheet = catalogue.sheets[id]!;
  const archetype = catalogue.archetypes[sheet.archetype]!;
  const known = parts.get(sheet);
  if (known?.archetype === archetype) return known.part;
  const part = resolve(sheet, archetype);
  parts.set(sheet, { archetype, part });
  return part;
}
