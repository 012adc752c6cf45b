import type { Status } from '@inch-tower/core';

/** A status in a word, with the colour that goes with it; colour is never the only sign. */
export const STATUS_WORDS: Readonly<Record<Status, { readonly word: string; readonly tone: string }>> = {
  empty: { word: 'Nothing chosen yet', tone: 'text-mid' },
  open: { word: 'Open: parts missing', tone: 'text-mid' },
  blocked: { word: 'Blocked', tone: 'bad' },
  sound: { word: 'Sound', tone: 'good' },
};
