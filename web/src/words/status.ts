import type { Status } from '@inch-tower/core';

/** A status in a word, with the colour that goes with it; colour is never the only sign. */
export const STATUS_WORDS: Readonly<Record<Status, { readonly word: string; readonly tone: string }>> = {
  empty: { word: 'Empty', tone: 'text-mid' },
  partsMissing: { word: 'Parts missing', tone: 'text-mid' },
  blocked: { word: 'Blocked', tone: 'bad' },
  clear: { word: 'Clear', tone: 'good' },
};
