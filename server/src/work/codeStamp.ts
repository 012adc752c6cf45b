import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';

/** Tells one state of the core's code from another: what was computed by another is computed anew. */
export function codeStamp(folder = resolve('core/src')): string {
  const hash = createHash('sha256');
  for (const entry of readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((one) => one.isFile() && !one.name.includes('.test.'))
    .map((one) => join(one.parentPath, one.name))
    .sort())
    hash.update(readFileSync(entry));
  return `.${hash.digest('hex').slice(0, 12)}`;
}
