import { createAssessor, parseBuildText } from '@inch-tower/core';
import { loadDemoBuilds } from '../../demo/loadDemo';

export type Mutated = {
  readonly files: number;
  readonly assessed: number;
  readonly refused: number;
  readonly slowestMs: number;
  readonly faults: readonly string[];
};

const ODD: readonly unknown[] = [
  null,
  true,
  -1,
  0,
  1e308,
  -0.5,
  '',
  'x'.repeat(300),
  '__proto__',
  'constructor',
  '<script>',
  '\u0000',
  [],
  {},
  [[]],
  { x: 1 },
  'u1',
  'floor',
  2 ** 53,
];

/**
 * Demo builds with things in them changed, removed, repeated and swapped: each is assessed or refused with a reason;
 * none throws or hangs.
 */
export function mutateFiles(count: number, seed: number, longestMs: number): Mutated {
  let state = seed >>> 0;
  const next = () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
  const pick = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)]!;
  const texts = loadDemoBuilds().map((build) => JSON.stringify(build));
  const faults: string[] = [];
  let assessed = 0;
  let refused = 0;
  let slowestMs = 0;
  for (let file = 0; file < count; file++) {
    const value = JSON.parse(pick(texts)) as Record<string, unknown>;
    for (let i = 0, most = 1 + Math.floor(next() * 3); i < most; i++) mutate(value, next, pick);
    const text = next() < 0.05 ? JSON.stringify(value).slice(0, Math.floor(next() * 4000)) : JSON.stringify(value);
    const from = performance.now();
    try {
      const parsed = parseBuildText(text);
      if (!parsed.ok) {
        refused++;
        if (parsed.words.length < 10) faults.push(`file ${file}: refused without a reason`);
      } else {
        const { status } = createAssessor().assess(parsed.build, { asOf: '2026-11-01' });
        assessed++;
        if (!['empty', 'partsMissing', 'blocked', 'clear'].includes(status))
          faults.push(`file ${file}: status ${String(status)}`);
      }
    } catch (error) {
      faults.push(
        `file ${file}: ` +
          (error instanceof Error ? (error.stack?.split('\n').slice(0, 3).join(' ') ?? error.message) : String(error)),
      );
    }
    const took = performance.now() - from;
    slowestMs = Math.max(slowestMs, took);
    if (took > longestMs) faults.push(`file ${file}: took ${took.toFixed(0)} ms`);
  }
  return { files: count, assessed, refused, slowestMs, faults };
}

/** One change somewhere in the document, deep or shallow. */
function mutate(root: Record<string, unknown>, next: () => number, pick: <T>(list: readonly T[]) => T): void {
  let at: Record<string, unknown> | unknown[] = root;
  for (let depth = Math.floor(next() * 9); depth > 0; depth--) {
    const inner: Record<string, unknown>[] = Object.values(at).filter(
      (one): one is Record<string, unknown> => typeof one === 'object' && one !== null && Object.keys(one).length > 0,
    );
    if (inner.length === 0) break;
    at = pick(inner);
  }
  const keys = Object.keys(at);
  if (keys.length === 0) return;
  const key = pick(keys) as never;
  const held = at as Record<string, unknown>;
  const roll = next();
  if (roll < 0.25) held[key] = structuredClone(pick(ODD));
  else if (roll < 0.4 && typeof held[key] === 'number')
    held[key] = (held[key] as number) * pick([-1, 0, 0.5, 2, 10, 1000]);
  else if (roll < 0.55) {
    if (Array.isArray(at)) at.splice(Number(key), 1);
    else delete held[key];
  } else if (roll < 0.7 && Array.isArray(at)) at.push(structuredClone(held[key]));
  else if (roll < 0.8) held[pick(['extra', 'id', 'kind', 'n', '__proto__x'])] = structuredClone(pick(ODD));
  else {
    const other = pick(keys);
    [held[key], held[other]] = [held[other], held[key]];
  }
}
