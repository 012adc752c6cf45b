/** Writes the pages and schemas that are made from the code. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { architectureSvg } from './architecture';
import { reviewedPage } from '../../demo/reviewed/page';
import { buildJsonSchema, FORMAT, partsJsonSchema, rulesPage } from '@inch-tower/core';

const json = (value: unknown) => `${JSON.stringify(value, null, 1)}\n`;
mkdirSync('docs/schema', { recursive: true });
writeFileSync('docs/rules.md', rulesPage());
writeFileSync('docs/reviewed-builds.md', reviewedPage());
writeFileSync('docs/architecture.svg', architectureSvg());
// Schemas of earlier formats stay as they were published.
writeFileSync(`docs/schema/build-${FORMAT}.schema.json`, json(buildJsonSchema()));
writeFileSync('docs/schema/parts-1.schema.json', json(partsJsonSchema()));
