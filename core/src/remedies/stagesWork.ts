import { createAssessor, type Assessment, type AssessOptions } from '../assess';
import type { Build, Item } from '../build/build';
import type { Edit } from '../build/edits';
import { acceptedReason } from '../snags/accepted';
import { verdictOf } from '../verdict';

/** How a machine stands at one of its stages, and what of later ones it would have to be bought with to work. */
export type StageWork = {
  readonly stage: number;
  readonly works: boolean;
  /** Its verdict in words. */ readonly verdict: string;
  /** Names of parts of later stages that make it work, with the edits that bring them forward; null where none do. */
  readonly forward: { readonly names: readonly string[]; readonly edits: readonly Edit[] } | null;
};

/** Trying more parts of later stages than this for one stage is left. */
const MOST_TRIED = 60;

/**
 * Each stage of a machine by itself: works where nothing is missing and nothing blocks. For one that does not, parts of
 * later stages are brought forward, the one that helps most first and of equals the cheapest, until it works; what was
 * brought forward for an earlier stage stays so for the next. A build with one stage has none to tell.
 */
export function stagesWork(build: Build, options: AssessOptions): readonly StageWork[] {
  if (build.stages.length < 2) return [];
  const assessor = createAssessor();
  const at = (items: Build['items'], stage: number) => assessor.assess({ ...build, items, stage }, options);
  let { items } = build;
  return build.stages.map((_, stage): StageWork => {
    const now = at(items, stage);
    const told = { stage, verdict: verdictWords(build, now) };
    if (troublesOf(now) === 0) return { ...told, works: true, forward: null };
    const brought = bringForward(items, stage, now, at);
    if (!brought) return { ...told, works: false, forward: null };
    items = brought.items;
    return {
      ...told,
      works: false,
      forward: {
        names: brought.moved.map(({ sheet }) => build.sheets[sheet]?.name ?? sheet),
        edits: brought.moved.map(({ id }): Edit => ({ type: 'item.patch', item: id, patch: { stage } })),
      },
    };
  });
}

/** What keeps it from working: things missing, and blockers. */
const troublesOf = ({ status, open, snags }: Assessment): number =>
  (status === 'empty' ? 1 : 0) + open.length + snags.filter(({ severity }) => severity === 'blocker').length;

/** The verdict; of a machine that is blocked also what is missing, which a verdict leaves for later. */
const verdictWords = (build: Build, { status, open, snags, figures }: Assessment): string => {
  const { words } = verdictOf({
    status,
    open,
    figures,
    snags: snags.map((snag) => {
      const accepted = acceptedReason(build, snag);
      return { severity: snag.severity, ...(accepted === undefined ? {} : { accepted }) };
    }),
  });
  const missing = status === 'blocked' ? open.map(({ label }) => label.toLowerCase()) : [];
  return missing.length > 0 ? `${words}, missing: ${missing.join(', ')}` : words;
};

type At = (items: Build['items'], stage: number) => Assessment;

function bringForward(items: Build['items'], stage: number, now: Assessment, at: At) {
  const moved: Item[] = [];
  let tried = 0;
  let [current, troubles] = [items, troublesOf(now)];
  while (troubles > 0) {
    let best: {
      readonly item: Item;
      readonly items: Build['items'];
      readonly left: number;
      readonly cost: number;
    } | null = null;
    for (const item of current.filter((one) => one.stage > stage)) {
      if (++tried > MOST_TRIED) return null;
      const next = current.map((one) => (one === item ? { ...one, stage } : one));
      const after = at(next, stage);
      const [left, cost] = [troublesOf(after), after.figures['cost.now']?.value ?? 0];
      if (left < troubles && (!best || left < best.left || (left === best.left && cost < best.cost)))
        best = { item, items: next, left, cost };
    }
    if (!best) return null;
    moved.push(best.item);
    [current, troubles] = [best.items, best.left];
  }
  return { items: current, moved };
}
