import { parseBuild, upgradeEdits, type Edit } from '@inch-tower/core';
import type { KeptCopy, Sent } from './draft';

type Raw = { readonly [field in keyof KeptCopy]?: unknown };
const formatIn = (build: unknown): number => {
  const format = (build as { readonly format?: unknown } | null | undefined)?.format;
  return typeof format === 'number' ? format : 1;
};

/**
 * What a browser kept, of any format: its machine, the edits that wait and the versions under way, in the newest. Null
 * for what cannot be read; it is left where it is.
 */
export function readKeptCopy(copy: unknown): KeptCopy | null {
  if (typeof copy !== 'object' || copy === null) return null;
  const { build, etag, edits, sent, at } = copy as Raw;
  const parsed = parseBuild(build);
  if (!parsed.ok || typeof etag !== 'string' || !Array.isArray(edits)) return null;
  const from = formatIn(build);
  const steps = edits.map(
    (step) => upgradeEdits(Array.isArray(step) ? (step as unknown[]) : [], from) as readonly Edit[],
  );
  return {
    build: parsed.build,
    etag,
    edits: steps,
    ...(Array.isArray(sent) ? { sent: sent.flatMap(readSent) } : {}),
    ...(typeof at === 'number' ? { at } : {}),
  };
}

function readSent(sent: unknown): readonly Sent[] {
  const { build, covers } = (sent ?? {}) as { readonly build?: unknown; readonly covers?: unknown };
  const parsed = parseBuild(build);
  return parsed.ok && typeof covers === 'number' ? [{ build: parsed.build, covers }] : [];
}
