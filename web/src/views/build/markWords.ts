import type { Figure } from '@inch-tower/core';

/** A value beside its mark in words: a range that only touches the mark says "may be". */
export function markWords(
  figure: Pick<Figure, 'value' | 'lo' | 'hi'>,
  limit: number,
  wantsMore: boolean,
): { readonly words: string; readonly tone: string } | null {
  if (wantsMore) return figure.value < limit ? { words: 'short of it', tone: 'warn' } : null;
  if (figure.lo > limit) return { words: 'over the limit', tone: 'bad' };
  if (figure.value > limit) return { words: 'probably over it', tone: 'bad' };
  return figure.hi > limit ? { words: 'may be over it', tone: 'text-mid' } : null;
}
