import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  archetypeSchema,
  checkSheet,
  parseBuildText,
  sheetSchema,
  type Archetype,
  type Build,
  type Catalogue,
  type Sheet,
} from '@inch-tower/core';
import { z } from 'zod';

/** Commands run from the root of the repository. */
const demoFolder = join(process.cwd(), 'demo');
const read = (...path: string[]): unknown => JSON.parse(readFileSync(join(demoFolder, ...path), 'utf8'));
const files = (folder: string) =>
  readdirSync(join(demoFolder, folder))
    .filter((name) => name.endsWith('.json'))
    .sort();
const byId = <T extends { readonly id: string }>(list: readonly T[]): Record<string, T> =>
  Object.fromEntries(list.map((one) => [one.id, one]));

/** The Heron Lock catalogue, every sheet checked against its schema and its archetype. */
export function loadDemoCatalogue(): Catalogue {
  const archetypes: Record<string, Archetype> = byId(
    z.array(archetypeSchema).parse(read('catalogue', 'archetypes.json')),
  );
  const sheets: Record<string, Sheet> = byId(
    files('catalogue')
      .filter((name) => name !== 'archetypes.json')
      .flatMap((name) => z.array(sheetSchema).parse(read('catalogue', name))),
  );
  for (const sheet of Object.values(sheets)) {
    const archetype = archetypes[sheet.archetype];
    if (!archetype) throw new Error(`Sheet ${sheet.id} names the archetype ${sheet.archetype}, which is not there`);
    const fault = checkSheet(sheet, archetype)[0];
    if (fault) throw new Error(`Sheet ${sheet.id}: ${fault.words}`);
  }
  return { sheets, archetypes };
}

/** The Heron Lock builds, parsed as any file would be. */
export function loadDemoBuilds(): Build[] {
  return files('builds').map((name) => {
    const parsed = parseBuildText(readFileSync(join(demoFolder, 'builds', name), 'utf8'));
    if (!parsed.ok) throw new Error(`${name}: ${parsed.words}`);
    return parsed.build;
  });
}
