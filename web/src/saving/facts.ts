import { saveStateOf, type Draft, type SaveState } from './draft';

/** What the page shows of a draft: facts that can be stored. */
export type SaveFacts = {
  readonly save: SaveState;
  readonly unsaved: number;
  /** Why it is not on the server yet, where there is more to say than that. */
  readonly trouble: { readonly kind: 'away' | 'fault' | 'refused' | 'stale' | 'gone'; readonly words: string } | null;
  readonly strays: readonly { readonly key: string; readonly steps: number; readonly at: number | null }[];
};
export const ALL_SAVED: SaveFacts = { save: 'saved', unsaved: 0, trouble: null, strays: [] };

export const factsOf = (draft: Draft): SaveFacts => ({
  save: saveStateOf(draft),
  unsaved: draft.unsaved.length,
  trouble: draft.trouble && { kind: draft.trouble.kind, words: 'words' in draft.trouble ? draft.trouble.words : '' },
  strays: draft.strays.map(({ key, edits, at }) => ({ key, steps: edits.length, at: at ?? null })),
});
