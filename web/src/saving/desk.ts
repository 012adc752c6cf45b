import { LIMITS, type Build, type Edit } from '@inch-tower/core';
import {
  canSend,
  copyToKeep,
  draftOf,
  isAtRisk,
  sameDocument,
  withAnswer,
  withEdit,
  withSending,
  withUndo,
  type Answer,
  type Draft,
  type Kept,
  type KeptCopy,
  type Versioned,
} from './draft';
import type { Joined, Settle } from './join';

/** The server, the browser's storage and the clock, as the desk needs them; none of them throws. */
export type Ports = {
  readonly save: (build: Build, etag: string) => Promise<Answer>;
  readonly create: (build: Build) => Promise<Answer>;
  readonly read: (id: string) => Promise<Versioned | 'gone' | 'away' | 'unreadable'>;
  /** Copies of a machine whose tabs are closed. */
  readonly keptOf: (id: string) => Promise<readonly Kept[]>;
  /** True when it is really kept. */
  readonly keep: (id: string, copy: KeptCopy) => Promise<boolean>;
  /** Forgets this tab's copy of a machine. */
  readonly forget: (id: string) => Promise<void>;
  /** Forgets copies of closed tabs. */
  readonly forgetKeys: (keys: readonly string[]) => Promise<void>;
  readonly settle: Settle;
  readonly now: () => number;
  /** Runs work later; gives what calls it off. */
  readonly later: (ms: number, work: () => void) => () => void;
  readonly changed: (id: string) => void;
};
/** What joining takes is fetched once the page stands (`fetchJoining`), so that the first view is sooner there. */
const joining = () => import('./join').catch(() => null);
export const fetchJoining = (): void => void joining();
const NOT_FETCHED = 'What puts two versions together could not be fetched: try it again. Nothing was changed.';

export type Opened = 'ready' | 'missing' | 'failed' | 'unreadable';

const SAVE_AFTER_MS = 500;
const FIRST_PAUSE_MS = 3_000;
const LONGEST_PAUSE_MS = 30_000;

type Place = {
  draft: Draft;
  isOpen: boolean;
  keeping: boolean;
  keepAgain: boolean;
  adopted: readonly string[];
  pauseMs: number;
  callOff: () => void;
};

/**
 * Brings edits to the server, whatever view is open: every edit is kept in the browser at once, sent soon, and
 * forgotten here only for what an answer covers. Drafts live as long as the page, also after their bench is left.
 */
export function createDesk(ports: Ports) {
  const places = new Map<string, Place>();

  const set = (id: string, draft: Draft): void => {
    const place = places.get(id);
    if (!place) return;
    place.draft = draft;
    ports.changed(id);
  };
  const sit = (id: string, draft: Draft, adopted: readonly string[] = []): Place => {
    const place: Place = {
      draft,
      isOpen: true,
      keeping: false,
      keepAgain: false,
      adopted,
      pauseMs: FIRST_PAUSE_MS,
      callOff: () => undefined,
    };
    places.get(id)?.callOff();
    places.set(id, place);
    return place;
  };

  /** Writes or forgets the browser's copy until it says what the draft says. One write at a time, always the latest. */
  const keepNow = async (id: string): Promise<void> => {
    const place = places.get(id);
    if (!place) return;
    if (place.keeping) {
      place.keepAgain = true;
      return;
    }
    place.keeping = true;
    do {
      if (places.get(id) !== place) break;
      place.keepAgain = false;
      const { draft, adopted } = place;
      const copy = copyToKeep(draft, ports.now());
      const kept = copy ? await ports.keep(id, copy) : await ports.forget(id).then(() => true);
      // What a closed tab left is forgotten once it stands in this tab's copy, or needs no copy any more.
      if (kept && adopted.length) {
        await ports.forgetKeys(adopted);
        place.adopted = place.adopted.filter((key) => !adopted.includes(key));
      }
      if (places.get(id) === place)
        set(id, { ...place.draft, kept: kept ? draft.unsaved : place.draft.kept, keepFailed: !kept });
    } while (place.keepAgain);
    place.keeping = false;
    // A machine whose bench was left is put away once nothing of it waits.
    if (places.get(id) === place && !place.isOpen && place.draft.unsaved.length === 0 && !place.draft.sending)
      places.delete(id);
  };

  const saveSoon = (id: string, ms: number): void => {
    const place = places.get(id);
    if (!place) return;
    place.callOff();
    place.callOff = ports.later(ms, () => void saveNow(id));
  };

  const saveNow = async (id: string): Promise<void> => {
    const place = places.get(id);
    if (!place || !canSend(place.draft)) return;
    place.callOff();
    const { build, etag } = place.draft;
    set(id, withSending(place.draft));
    const answer = await ports.save(build, etag);
    if (places.get(id) !== place) return;
    const answered = withAnswer(place.draft, answer);
    set(id, answered);
    await keepNow(id);
    if (answered.trouble === null) place.pauseMs = FIRST_PAUSE_MS;
    if (!canSend(place.draft)) return;
    if (answered.trouble === null) return saveSoon(id, 0);
    saveSoon(id, place.pauseMs);
    place.pauseMs = Math.min(LONGEST_PAUSE_MS, place.pauseMs * 2);
  };

  /** False when the machine is not open here: the edit was not taken. */
  const changeDraft = (id: string, change: (draft: Draft) => Draft): boolean => {
    const place = places.get(id);
    if (!place) return false;
    set(id, change(place.draft));
    void keepNow(id);
    saveSoon(id, SAVE_AFTER_MS);
    return true;
  };

  /** Gives a draft another ground to stand on: a newer version, with what is unsaved there. */
  const standOn = async (id: string, draft: Draft): Promise<void> => {
    const place = places.get(id);
    if (!place) return;
    set(id, draft);
    await keepNow(id);
    saveSoon(id, 0);
  };

  /**
   * A machine of its own with an id of its own; an answer that was lost is looked for before it is called a failure.
   */
  const makeCopy = async (build: Build): Promise<string | null> => {
    const made = await ports.create(build);
    if (made.kind === 'saved') return null;
    const there = await ports.read(build.id);
    if (typeof there === 'object' && sameDocument(there.build, build)) return null;
    return 'words' in made ? made.words : 'The copy was not taken.';
  };

  /** Forgets what is unsaved of a machine: after a copy, a file, or at the builder's word. It has to be opened anew. */
  const giveUp = async (id: string): Promise<void> => {
    const place = places.get(id);
    if (!place) return;
    place.callOff();
    places.delete(id);
    await ports.forget(id);
    await ports.forgetKeys(place.adopted);
    ports.changed(id);
  };

  /**
   * All that is unsaved on another version, also what is edited while it is joined; where some of it cannot be made
   * there, all of it is kept as a copy first. Gives words where it was not done.
   */
  const joinNow = async (
    id: string,
    copyId: string,
    onto: Build,
  ): Promise<(Joined & { readonly of: number }) | { readonly words: string | null }> => {
    let copied: Build | null = null;
    for (let nth = 1; ; nth++) {
      const draft = places.get(id)?.draft;
      if (!draft) return { words: null };
      const { build, unsaved } = draft;
      const code = await joining();
      if (!code) return { words: NOT_FETCHED };
      const joined = await code.joinOnto(onto, unsaved, ports.settle);
      if (joined.left && copied !== build) {
        const failed = await makeCopy(copyNamed(build, nth > 1 ? `${copyId}-${nth}` : copyId));
        if (failed)
          return {
            words:
              `${joined.left} of your ${unsaved.length} changes cannot be made on theirs, and a copy of ` +
              `yours could not be kept: ${failed}`,
          };
        copied = build;
      }
      if (places.get(id)?.draft.unsaved === unsaved) return { ...joined, of: unsaved.length };
    }
  };

  const forgetStray = async (id: string, key: string): Promise<void> => {
    const place = places.get(id);
    if (place) set(id, { ...place.draft, strays: without(place.draft.strays, key) });
    await ports.forgetKeys([key]);
  };

  return {
    draft: (id: string): Draft | null => places.get(id)?.draft ?? null,

    /** Opens a machine: from this page, from what this browser keeps, or from the server. */
    async open(id: string): Promise<Opened> {
      const here = places.get(id);
      if (here) {
        here.isOpen = true;
        ports.changed(id);
        void keepNow(id);
        saveSoon(id, 0);
        return 'ready';
      }
      const [copies, there] = await Promise.all([ports.keptOf(id), ports.read(id)]);
      const again = places.get(id);
      if (again) {
        again.isOpen = true;
        return 'ready';
      }
      const onServer = typeof there === 'object' ? there : null;
      // A save whose answer was lost: what is kept here is what the server has.
      const answered = copies.filter((copy) => onServer && sameDocument(copy.build, onServer.build));
      const open = copies
        .filter((copy) => !answered.includes(copy))
        .sort(
          (a, b) => Number(b.etag === onServer?.etag) - Number(a.etag === onServer?.etag) || (b.at ?? 0) - (a.at ?? 0),
        );
      void ports.forgetKeys(answered.map((copy) => copy.key));
      const [first, ...strays] = open;
      if (!first && !onServer) return there === 'gone' ? 'missing' : there === 'unreadable' ? 'unreadable' : 'failed';
      if (!first) {
        sit(id, draftOf(onServer!));
        ports.changed(id);
        return 'ready';
      }
      let draft: Draft = { ...draftOf(first, first.edits, first.sent ?? []), strays };
      // Told as an answer would be: of what was sent, the server may have this or that.
      if (onServer && onServer.etag !== first.etag)
        draft = withAnswer(withSending(draft), { kind: 'stale', theirs: onServer });
      if (there === 'gone') draft = { ...draft, trouble: { kind: 'gone' } };
      sit(id, draft, [first.key]);
      ports.changed(id);
      await keepNow(id);
      saveSoon(id, SAVE_AFTER_MS);
      return 'ready';
    },

    edited: (id: string, build: Build, edits: readonly Edit[]) =>
      changeDraft(id, (draft) => withEdit(draft, build, edits)),
    undone: (id: string, build: Build, edits: readonly Edit[], inverse: readonly Edit[]) =>
      changeDraft(id, (draft) => withUndo(draft, build, edits, inverse)),

    /** The bench is left: what waits for its moment is sent now, and goes on being sent from here. */
    leave(id: string): void {
      const place = places.get(id);
      if (!place) return;
      place.isOpen = false;
      void saveNow(id);
      void keepNow(id);
    },

    saveNow,

    /** Tries once more what was refused. */
    async tryAgain(id: string): Promise<void> {
      const place = places.get(id);
      if (!place) return;
      if (place.draft.trouble?.kind === 'refused') set(id, { ...place.draft, trouble: null });
      await saveNow(id);
    },

    /** What every draft of this page still has to bring to the server. */
    waiting: (): readonly { readonly id: string; readonly draft: Draft }[] =>
      [...places].map(([id, { draft }]) => ({ id, draft })).filter(({ draft }) => draft.unsaved.length > 0),

    /** Whether closing the page would lose an edit. */
    mustAsk: (): boolean => [...places.values()].some(({ draft }) => isAtRisk(draft)),

    /**
     * Mine on top of theirs. Where some of mine cannot be made there, all of mine is kept as a copy first. Gives words
     * when it was not done or not whole.
     */
    async join(id: string, copyId: string): Promise<{ readonly words: string | null }> {
      const draft = places.get(id)?.draft;
      if (draft?.trouble?.kind !== 'stale') return { words: null };
      const { theirs } = draft.trouble;
      const joined = await joinNow(id, copyId, theirs.build);
      if ('words' in joined) return joined;
      await standOn(id, {
        ...draftOf({ build: joined.build, etag: theirs.etag }, joined.edits),
        strays: draft.strays,
      });
      return {
        words: joined.left
          ? `${joined.left} of your ${joined.of} changes could not be made on the newer version; ` +
            'yours is kept whole as a copy beside it.'
          : null,
      };
    },

    /** The other version instead of this one. */
    async takeTheirs(id: string): Promise<void> {
      const draft = places.get(id)?.draft;
      if (draft?.trouble?.kind === 'stale')
        await standOn(id, { ...draftOf(draft.trouble.theirs), strays: draft.strays });
    },

    /**
     * Keeps this version as a machine of its own and leaves the other alone. Gives words when that failed; nothing is
     * forgotten then.
     */
    async keepAsCopy(id: string, copyId: string, name?: string): Promise<{ readonly words: string | null }> {
      const draft = places.get(id)?.draft;
      if (!draft) return { words: null };
      const failed = await makeCopy(
        name === undefined ? copyNamed(draft.build, copyId) : { ...draft.build, id: copyId, name },
      );
      if (failed) return { words: failed };
      if (places.get(id)?.draft.build !== draft.build)
        return {
          words: 'It was changed while the copy was made. The copy has what was there before; the rest is kept here.',
        };
      await giveUp(id);
      return { words: null };
    },

    giveUp,

    /**
     * Puts what another tab left on top of this version; where some of it cannot be made here, all of it is kept as a
     * copy first.
     */
    async joinStray(id: string, key: string, copyId: string): Promise<{ readonly words: string | null }> {
      const place = places.get(id);
      const stray = place?.draft.strays.find((one) => one.key === key);
      if (!place || !stray) return { words: null };
      let isCopied = false;
      for (;;) {
        // Joined to what stands here now: something may be edited while it is joined, or the copy on its way.
        const ground = place.draft.build;
        const code = await joining();
        if (!code) return { words: NOT_FETCHED };
        const { build, edits, left } = await code.joinOnto(ground, stray.edits, ports.settle);
        if (left && !isCopied) {
          const failed = await makeCopy(copyNamed(stray.build, copyId));
          if (failed) return { words: failed };
          isCopied = true;
        }
        const { draft } = place;
        // Put on meanwhile by another click: once is enough.
        if (places.get(id) !== place || !draft.strays.includes(stray)) return { words: null };
        if (draft.build !== ground) continue;
        place.adopted = [...place.adopted, key];
        const unsaved = [...draft.unsaved, ...edits];
        await standOn(id, { ...draft, build, unsaved, strays: without(draft.strays, key) });
        return {
          words: isCopied ? 'Some of them could not be made here; that version is kept whole as a copy.' : null,
        };
      }
    },

    /** Keeps what another tab left as a machine of its own. */
    async copyStray(id: string, key: string, copyId: string): Promise<{ readonly words: string | null }> {
      const stray = places.get(id)?.draft.strays.find((one) => one.key === key);
      if (!stray) return { words: null };
      const failed = await makeCopy(copyNamed(stray.build, copyId));
      if (!failed) await forgetStray(id, key);
      return { words: failed };
    },

    forgetStray,
  };
}
export type Desk = ReturnType<typeof createDesk>;

const COPY_WORDS = ', my copy';
const without = (strays: readonly Kept[], key: string): readonly Kept[] => strays.filter((one) => one.key !== key);
const copyNamed = (build: Build, id: string): Build => ({
  ...build,
  id,
  name: build.name.slice(0, LIMITS.nameCharacters - COPY_WORDS.length) + COPY_WORDS,
});
