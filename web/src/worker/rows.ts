import { wordsOf, type Snag, type Weighed } from '@inch-tower/core';
import type { Effect } from './messages';

/** What snags say, without what only the core reads. */
export const effects = (snags: readonly Snag[]): Effect[] =>
  snags.map((snag) => {
    const { title, what } = wordsOf(snag);
    return { title, what, severity: snag.severity };
  });

/** A way that was weighed, as the page shows and takes it. */
export const row = (way: Weighed & { readonly title: string }) => ({
  title: way.title,
  edits: way.edits,
  delta: way.delta,
  figures: way.figures,
  blockersAfter: way.blockersAfter,
});

/** Lets waiting messages in between two pieces of work. */
export const breathe = () =>
  new Promise<void>((resolve) => {
    const channel = new MessageChannel();
    channel.port1.onmessage = () => resolve();
    channel.port2.postMessage(null);
  });
