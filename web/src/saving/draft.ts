import same from 'fast-deep-equal';
import type { Build, Edit } from '@inch-tower/core';

/** Edits of one step after another, each a list. */
export type Steps = readonly (readonly Edit[])[];
export type Versioned = { readonly build: Build; readonly etag: string };
/** A version that was sent; it holds the first `covers` unsaved steps. */
export type Sent = { readonly build: Build; readonly covers: number };

/** What the browser keeps of a machine until the server has answered for it: one copy a tab and machine. */
export type KeptCopy = {
  readonly build: Build;
  readonly etag: string;
  readonly edits: Steps;
  readonly sent?: readonly Sent[];
  /** When it was kept, ms since 1970; none in copies of the first format. */ readonly at?: number;
};
export type Kept = KeptCopy & { readonly key: string };

/**
 * Why edits are not on the server: `away` and `fault` are tried again by themselves, `refused` with the next edit, the
 * others wait for the builder.
 */
export type Trouble =
  | { readonly kind: 'away' | 'fault' | 'refused'; readonly words: string }
  | { readonly kind: 'stale'; readonly theirs: Versioned }
  | { readonly kind: 'gone' };

export type Answer = { readonly kind: 'saved'; readonly etag: string } | Trouble;

/** A machine being worked on, and how far its edits have come. */
export type Draft = {
  readonly build: Build;
  /** The version on the server that `unsaved` stands on. */
  readonly etag: string;
  readonly unsaved: Steps;
  /** The version under way to the server. */
  readonly sending: Sent | null;
  /** Versions whose answers never came: any of them may be what the server has. */
  readonly sent: readonly Sent[];
  /** The steps that the browser is known to keep; compared by identity with `unsaved`. */
  readonly kept: Steps | null;
  readonly keepFailed: boolean;
  readonly trouble: Trouble | null;
  /** Copies left by tabs that are closed, besides the one that was gone on with. */
  readonly strays: readonly Kept[];
};

const NONE: Steps = [];
/** Versions without an answer that are remembered; the first and the latest matter most. */
const MOST_SENT = 20;

export const draftOf = ({ build, etag }: Versioned, edits: Steps = NONE, sent: readonly Sent[] = []): Draft => ({
  build,
  etag,
  unsaved: edits,
  sending: null,
  sent,
  kept: null,
  keepFailed: false,
  trouble: null,
  strays: [],
});

/** Whether two documents are one when written as JSON: fields without a value count as absent, their order does not. */
export const sameDocument = (a: Build, b: Build): boolean =>
  same(JSON.parse(JSON.stringify(a)), JSON.parse(JSON.stringify(b)));

const triedAnew = (trouble: Trouble | null): Trouble | null => (trouble?.kind === 'refused' ? null : trouble);

export const withEdit = (draft: Draft, build: Build, edits: readonly Edit[]): Draft => ({
  ...draft,
  build,
  unsaved: [...draft.unsaved, edits],
  trouble: triedAnew(draft.trouble),
});

/** A step the server was never sent is not sent; one that may have reached it is taken back there too. */
export function withUndo(draft: Draft, build: Build, edits: readonly Edit[], inverse: readonly Edit[]): Draft {
  const maybeThere = Math.max(draft.sending?.covers ?? 0, ...draft.sent.map((one) => one.covers), 0);
  const neverSent = draft.unsaved.length > maybeThere && draft.unsaved.at(-1) === edits;
  return {
    ...draft,
    build,
    unsaved: neverSent ? draft.unsaved.slice(0, -1) : [...draft.unsaved, inverse],
    trouble: triedAnew(draft.trouble),
  };
}

export const canSend = ({ sending, unsaved, trouble }: Draft): boolean =>
  !sending && unsaved.length > 0 && !(trouble && ['stale', 'gone', 'refused'].includes(trouble.kind));

export const withSending = (draft: Draft): Draft => ({
  ...draft,
  sending: { build: draft.build, covers: draft.unsaved.length },
});

/** The server has the first `covers` steps. */
const withSaved = (draft: Draft, etag: string, covers: number): Draft => ({
  ...draft,
  etag,
  unsaved: draft.unsaved.slice(covers),
  sending: null,
  sent: [],
  trouble: null,
});

/** What an answer to the version under way makes of the draft. */
export function withAnswer(draft: Draft, answer: Answer): Draft {
  const { sending } = draft;
  if (!sending) return draft;
  if (answer.kind === 'saved') return withSaved(draft, answer.etag, sending.covers);
  if (answer.kind === 'stale') {
    // The other version may be one of ours whose answer was lost.
    const ours = [...draft.sent, sending].find((one) => sameDocument(one.build, answer.theirs.build));
    if (ours) return withSaved(draft, answer.theirs.etag, ours.covers);
  }
  const lost = answer.kind === 'away' || answer.kind === 'fault';
  const sent =
    !lost || draft.sent.some((one) => one.build === sending.build)
      ? draft.sent
      : [...draft.sent.slice(0, 1), ...draft.sent.slice(1).slice(2 - MOST_SENT), sending];
  // What was refused may have been put right by edits made since: those are sent.
  const mended = answer.kind === 'refused' && draft.unsaved.length > sending.covers;
  return { ...draft, sending: null, sent, trouble: mended ? null : answer };
}

/** What is to be kept in the browser; null when nothing is unsaved. */
export const copyToKeep = ({ build, etag, unsaved, sending, sent }: Draft, at: number): KeptCopy | null =>
  unsaved.length === 0 && !sending
    ? null
    : { build, etag, edits: unsaved, sent: sending ? [...sent, sending] : sent, at };

/** Whether closing the page now would lose something. */
export const isAtRisk = ({ unsaved, kept }: Draft): boolean => unsaved.length > 0 && kept !== unsaved;

export type SaveState = 'saved' | 'saving' | 'kept' | 'unkept' | 'stale' | 'gone';

/** The state in one word; `saved` only when the server has answered for everything. */
export function saveStateOf(draft: Draft): SaveState {
  if (draft.trouble?.kind === 'stale' || draft.trouble?.kind === 'gone') return draft.trouble.kind;
  if (draft.unsaved.length === 0 && !draft.sending) return 'saved';
  if (draft.keepFailed && isAtRisk(draft)) return 'unkept';
  if (draft.sending || isAtRisk(draft)) return 'saving';
  return 'kept';
}
