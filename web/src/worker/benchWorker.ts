import { expose } from 'comlink';
import {
  acceptedReason,
  commit,
  createAssessor,
  heardTicks,
  isClassSheet,
  mismatchWords,
  replay,
  tryAt,
  weigh,
  wordsOf,
  type Assessment,
  type Base,
  type Build,
  type Catalogue,
  type Edit,
  type Refusal,
  type Sheet,
  type SheetId,
  type Snag,
  type Step,
  type TryRow,
  type Weighed,
} from '@inch-tower/core';
import { freshId } from '../freshId';
import type { BenchView, BenchWorker, GoingRow, RefusedRow, TaggedSnag, TrySource } from './messages';
import { breathe, effects, row } from './rows';
import { searches } from './searches';
import { viewAnswers } from './viewAnswers';

const assessor = createAssessor();
/** Weighing has an assessor of its own, so that try-outs do not push the build's stages out of memory. */
const weighing = createAssessor();
const today = () => ({ asOf: new Date().toISOString().slice(0, 10) });

const NOTHING: Catalogue = { sheets: {}, archetypes: {} };
/** Parts that can be bought: remedies come from these, never from classes. */
let listed = NOTHING;
let catalogue = NOTHING;
/** Sheets of the builder's own. */
let own: ReadonlySet<string> = new Set();
let candidates: Readonly<Record<TrySource, readonly Sheet[]>> = { all: [], own: [], stock: [], classes: [] };
let build: Build | null = null;
let assessment: Assessment | null = null;
/** The revision that is open. */
let openRev = -1;
let asking = 0;

/** Opens what some edits make of a machine, not yet assessed. */
function commitOn(from: Build, edits: readonly Edit[], rev: number): Step | Refusal {
  asking++;
  const step = commit(from, edits);
  build = step.ok ? step.build : from;
  assessment = null;
  if (step.ok) openRev = rev;
  return step;
}

/** Snags with their words; those the builder accepted come last. */
function tagged(of: Build, snags: readonly Snag[]): TaggedSnag[] {
  const all = snags.map((snag): TaggedSnag => {
    const accepted = acceptedReason(of, snag);
    return {
      key: snag.key,
      code: snag.code,
      severity: snag.severity,
      at: snag.at,
      ...(snag.gap ? { gap: snag.gap } : {}),
      ...(accepted === undefined ? {} : { accepted }),
      ...wordsOf(snag),
    };
  });
  return [
    ...all.filter(({ accepted }) => accepted === undefined),
    ...all.filter(({ accepted }) => accepted !== undefined),
  ];
}

function assessNow(rev: number): BenchView {
  openRev = rev;
  assessment = assessor.assess(build!, today());
  return {
    rev,
    status: assessment.status,
    figures: assessment.figures,
    heard: heardTicks(assessor.context(build!)),
    open: assessment.open,
    needs: assessment.needs.needs,
    small: assessment.small,
    snags: tagged(build!, assessment.snags),
    unplaced: assessment.unplaced.map((unit) => unit.id),
    unconnected: assessment.unconnected.map((unit) => unit.id),
  };
}

/** What is open with its assessment; worked out now where it was only committed. */
function base(): Base | null {
  if (build && !assessment) assessNow(openRev);
  return build && assessment ? { build, assessment } : null;
}
const outcome = (weighed: Weighed) => ({
  delta: weighed.delta,
  figures: weighed.figures,
  cures: effects(weighed.cures),
  eases: effects(weighed.eases),
  causes: effects(weighed.causes),
  worsens: effects(weighed.worsens),
  blockersAfter: weighed.blockersAfter,
});

/** Fetched soon after a machine is first open, so that it is there when somebody asks, connected or not. */
const loadWays = () => import('./ways');
const WAYS_AFTER_MS = 1500;

const SLICE_MS = 12;
/** The first rows go out as soon as they fill what is seen, the others so seldom that drawing them keeps up. */
const FIRST_ROWS = 20;
const BATCH_MS = 150;

const worker: BenchWorker = {
  ...searches({
    base,
    listed: () => listed,
    weighing,
    options: today,
    ask() {
      const mine = ++asking;
      return () => mine !== asking;
    },
  }),
  ...viewAnswers({ base, assessor, asOf: () => today().asOf }),
  ready: () => true,

  setCatalogue(fresh, ids) {
    const only = (goes: (id: string) => boolean): readonly Sheet[] =>
      Object.values(fresh.sheets).filter((sheet) => goes(sheet.id));
    own = new Set(ids);
    const all = only((id) => !isClassSheet(id));
    catalogue = fresh;
    listed = { ...fresh, sheets: Object.fromEntries(all.map((sheet) => [sheet.id, sheet])) };
    candidates = { all, stock: all, own: only((id) => own.has(id)), classes: only(isClassSheet) };
    setTimeout(() => void loadWays().catch(() => undefined), WAYS_AFTER_MS);
  },

  async readParts(text, here) {
    const { readPartsFile, readStock } = await import('./partsFile');
    const mine = own;
    return {
      read: readPartsFile(text, catalogue, (id) => mine.has(id)),
      // Until it is known what is here, nothing of a file's stock is offered: it might be here already.
      stock: here ? readStock(text, here, () => freshId('s')) : { entries: [], same: 0, faults: [] },
    };
  },

  open(fresh, rev) {
    asking++;
    build = fresh;
    return assessNow(rev);
  },

  apply(edits, from, rev) {
    asking++;
    const next = build && from === openRev ? replay(build, edits) : null;
    if (!next || 'ok' in next) return null;
    build = next;
    return assessNow(rev);
  },

  commit: (edits, from, rev) => (build && from === openRev ? commitOn(build, edits, rev) : null),
  commitOn,
  view: (rev) => (build && rev === openRev ? assessNow(rev) : null),
  settle: commit,

  settled(edits, rev) {
    const step = build && rev === openRev ? commit(build, edits) : null;
    return step?.ok ? step.edits : null;
  },

  explain: (id) => (build ? assessor.explain(build, id) : null),

  shares: (id) => (build ? assessor.shares(build, id) : []),
  async tryAt(ask, onBatch) {
    const mine = ++asking;
    const from = base();
    if (!from) return;
    let going: GoingRow[] = [];
    let refused: RefusedRow[] = [];
    const send = (done: boolean) => {
      onBatch({ going, refused, done });
      going = [];
      refused = [];
    };
    let [since, sentAt, sent] = [performance.now(), performance.now(), 0];
    const rows = tryAt(from, ask, catalogue, weighing, today(), candidates[ask.source]);
    for (const one of rows as Iterable<TryRow>) {
      if (one.goes) going.push({ sheet: one.sheet, ...outcome(one.weighed) });
      else refused.push({ sheet: one.sheet, name: one.name, why: mismatchWords(one.why) });
      const isFirst = sent === 0 && going.length >= FIRST_ROWS;
      if (!isFirst && performance.now() - since < SLICE_MS) continue;
      if (isFirst || performance.now() - sentAt >= BATCH_MS) {
        sent += going.length;
        send(false);
        sentAt = performance.now();
      }
      await breathe();
      if (mine !== asking) return;
      since = performance.now();
    }
    send(true);
  },

  async remedies(snagKey, owned) {
    const mine = ++asking;
    const now = base();
    const from = now && { ...now, ...(owned ? { owned } : {}) };
    const snag = from?.assessment.snags.find((one) => one.key === snagKey);
    if (!from || !snag) return null;
    const { conflictLines, remediesFor } = await loadWays();
    if (mine !== asking) return null;
    const run = remediesFor(from, snag, listed, weighing, today());
    for (;;) {
      const next = run.next();
      if (next.done)
        return {
          rows: next.value.map((remedy) => ({ ...row(remedy), cure: remedy.cure })),
          conflict: conflictLines(from, snag),
        };
      await breathe();
      if (mine !== asking) return null;
    }
  },

  async hosts(other) {
    const here = build;
    if (!here) return null;
    const { hostDrives, poolDrives } = await import('./seldom');
    const { drives, placed, connected, all, roomAfter, troubles, alone, ways } = hostDrives(
      here,
      poolDrives(other),
      other,
      listed,
      weighing,
      today(),
    );
    const rows = [
      ...(alone
        ? [
            {
              ...alone,
              title:
                placed < drives
                  ? `Bring them in; ${drives - placed} on the table`
                  : connected < drives
                    ? `Bring them in; ${drives - connected} without a port`
                    : 'Bring them in',
            },
          ]
        : []),
      ...ways.map((way) => ({ ...way, title: `${way.title}, and bring them in` })),
    ];
    return {
      drives,
      placed,
      connected,
      all,
      roomAfter,
      troubles: effects(troubles),
      rows: rows.map((way) => ({ ...row(way), cure: all })),
    };
  },

  weighed(edits) {
    const from = base();
    const answer = from && weigh(from, edits, weighing, today());
    return answer?.ok ? answer.figures : null;
  },

  async whyNot(spot, sheet) {
    const from = base();
    if (!from) return null;
    const { whyNot } = await loadWays();
    const { ways, conflict } = whyNot(
      from,
      spot,
      sheet as SheetId,
      {
        sheets: { ...listed.sheets, ...(catalogue.sheets[sheet] ? { [sheet]: catalogue.sheets[sheet] } : {}) },
        archetypes: catalogue.archetypes,
      },
      weighing,
      today(),
    );
    return { rows: ways.map((way) => ({ ...row(way), cure: true })), conflict };
  },

  stop() {
    asking++;
  },
};

expose(worker);
