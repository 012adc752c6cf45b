/** Writes the pages that are made from the code. */
import { writeFileSync } from 'node:fs';
import { rulesPage } from '@inch-tower/core';

writeFileSync('docs/rules.md', rulesPage());
