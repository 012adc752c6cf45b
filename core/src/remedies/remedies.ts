import { minorPerMajor } from '../parts/currency';
import type { Assessor, AssessOptions } from '../assess';
import type { Edit, EditOf } from '../build/edits';
import type { Catalogue } from '../parts/catalogue';
import type { PartKind } from '../parts/vocabulary';
import { conflictOf, factWords } from '../solve/conflict';
import { plannedUnits } from '../machine/units';
import type { Proposal, Snag } from '../snags/snag';
import type { SnagCode } from '../snags/words';
import { proposalsFor } from './proposals';
import { GIVES_UP } from './guesses';
import { weigh, type Base, type Weighed } from './weigh';

/** A weighed way out: it cures its snag, or where nothing does, makes it milder. */
export type Remedy = Weighed & { readonly title: string; readonly cure: boolean };

/** At most so many are shown. */
const MOST_REMEDIES = 5;

/**
 * Ways out of a snag, weighed: those that cure it without a new blocker, by blockers left, then
 * money, then watts, those that give a part up last; where none cures, those that ease it. Yields between weighings so
 * that a caller can stop.
 */
export function* remediesFor(
  base: Base,
  snag: Snag,
  catalogue: Catalogue,
  assessor: Assessor,
  options: AssessOptions,
): Generator<'weighing', readonly Remedy[]> {
  const weighed: Remedy[] = [];
  // Of guesses in the same words, as for each of four drives in one box, the first stands for all.
  const guesses = new Map(
    proposalsFor(base, snag, catalogue)
      .map((one) => [one.words, one] as const)
      .reverse(),
  );
  for (const proposal of [...guesses.values()].reverse()) {
    if (proposal.madeOf?.some((title) => weighed.some((one) => one.cure && one.title === title))) continue;
    const remedy = weighProposal(base, snag, proposal, assessor, options);
    if (remedy) weighed.push(remedy);
    yield 'weighing';
  }
  const cures = weighed.filter((one) => one.cure);
  const shown = cures.length > 0 ? cures : weighed;
  const sorted = shown.sort(
    (a, b) =>
      harms(base, a) - harms(base, b) ||
      lossRank(base, a) - lossRank(base, b) ||
      a.blockersAfter - b.blockersAfter ||
      cautionsOf(a) - cautionsOf(b) ||
      costRank(base, a) - costRank(base, b) ||
      (a.delta['cost.now'] ?? 0) - (b.delta['cost.now'] ?? 0) ||
      (a.delta['power.idleWallW'] ?? 0) - (b.delta['power.idleWallW'] ?? 0) ||
      a.edits.length - b.edits.length,
  );
  return varied(sorted).slice(0, MOST_REMEDIES);
}

/** Cautions that come with a way: a bridge known to drop out, a narrow uplink. Money is weighed apart. */
const cautionsOf = ({ causes }: Remedy): number =>
  causes.filter(({ code, severity }) => severity === 'caution' && code !== 'within.money').length;

/** Of ways of one shape, as five cards of a kind to add, at most so many stand before ways of another. */
const MOST_ALIKE = 3;

/** Ways in their order, but those past the third of a shape behind all others: a choice, not a price list. */
function varied(sorted: readonly Remedy[]): readonly Remedy[] {
  const seen = new Map<string, number>();
  const isMore = sorted.map((remedy) => {
    const shape = shapeOf(remedy);
    const count = (seen.get(shape) ?? 0) + 1;
    seen.set(shape, count);
    return count > MOST_ALIKE;
  });
  return [...sorted.filter((_one, i) => !isMore[i]), ...sorted.filter((_one, i) => isMore[i])];
}

/** What a way does, and to which kinds of part. */
const shapeOf = ({ edits }: Remedy): string =>
  edits
    .map((edit) =>
      edit.type === 'item.add'
        ? `add ${edit.sheets.find(({ id }) => id === edit.item.sheet)?.kind ?? ''}`
        : edit.type === 'item.replace'
          ? `replace ${edit.sheets.find(({ id }) => id === edit.sheet)?.kind ?? ''}`
          : edit.type,
    )
    .join(', ');

/** A used part wins over a new one only where it costs less by this share, and by more than small change. */
const USED_SHARE = 0.25;
const USED_LEAST = 15;

/**
 * What a remedy costs as a builder weighs it, in the currency of the machine: what is bought used counts with what its
 * risk is worth, what is owned and would lie idle with what it would cost anew.
 */
function costRank({ build }: Base, { delta, edits }: Remedy): number {
  const cost = delta['cost.now'] ?? 0;
  const isUsed = edits.some(
    (edit) =>
      (edit.type === 'item.add' || edit.type === 'item.replace') &&
      edit.sheets.some(
        ({ id, soldUsed }) => soldUsed && id === (edit.type === 'item.add' ? edit.item.sheet : edit.sheet),
      ),
  );
  const idle = edits.reduce((sum, edit) => {
    const item = edit.type === 'item.replace' ? build.items.find(({ id }) => id === edit.item) : undefined;
    const sheet = item?.deal === 'owned' ? build.sheets[item.sheet] : undefined;
    const price = sheet && (sheet.price ?? build.archetypes[sheet.archetype]?.price);
    return price ? sum + (item!.units.length * price.minor) / minorPerMajor(price.currency) : sum;
  }, 0);
  return (isUsed && cost > 0 ? cost * (1 + USED_SHARE) + USED_LEAST : cost) + idle;
}

/** Trouble that was there grows by less than this share of its limit with any part more: that is no harm of its own. */
const HARDLY_WORSE = 0.05;
/** Of temperatures, which are known to no better than that, so many K. */
const HARDLY_HOTTER_K = 6;

/** What starves, burns or cooks something comes last, whatever it cures. */
function harms({ assessment }: Base, { causes, worsens }: Remedy, cured?: SnagCode): number {
  const isHarm = ({ code, severity }: Snag) =>
    severity !== 'note' && code !== cured && /^(powered|cooled)\./.test(code);
  const isWorse = (snag: Snag) => {
    const had = assessment.snags.filter(({ code, severity }) => code === snag.code && severity === snag.severity);
    const least = Math.min(...had.flatMap(({ gap }) => gap?.gap ?? []));
    if (!snag.gap || had.length === 0) return true;
    const hardly = snag.gap.unit === '°C' ? HARDLY_HOTTER_K : HARDLY_WORSE * Math.abs(snag.gap.limit);
    return least - snag.gap.gap > hardly;
  };
  return causes.filter(isHarm).length + worsens.filter((snag) => isHarm(snag) && isWorse(snag)).length;
}

/** Parts of which a builder speaks as small. */
const SMALL: ReadonlySet<PartKind> = new Set(['cable', 'powerAdapter', 'sundry', 'fan', 'riser']);

/**
 * What a remedy gives up, least first: nothing but a move or a setting, a small part, an exchange or a part more, a
 * piece of the chassis or redundancy, a part.
 */
function lossRank({ build }: Base, { edits, title }: Remedy): number {
  const isSmall = ({ sheets, item }: EditOf<'item.add'>): boolean => {
    const sheet = sheets.find(({ id }) => id === item.sheet) ?? build.sheets[item.sheet];
    return sheet !== undefined && SMALL.has(sheet.kind);
  };
  const rank = (edit: Edit): number => {
    switch (edit.type) {
      case 'units.remove':
      case 'item.remove':
        return 4;
      case 'change.add':
        return edit.change.kind === 'option' || edit.change.effects.some((effect) => effect.do === 'remove') ? 3 : 2;
      case 'item.replace':
      case 'units.add':
        return 2;
      case 'item.add':
        return isSmall(edit) ? 1 : 2;
      default:
        return 0;
    }
  };
  return Math.max(title.startsWith(GIVES_UP) ? 3 : 0, ...edits.map(rank));
}

/** What eases a trouble by less than this is no help: K, or a share of its limit. */
const LEAST_EASED_K = 1;
const LEAST_EASED = 0.01;
function helps(before: Snag, after: Snag): boolean {
  if (!before.gap || !after.gap || before.severity !== after.severity || before.gap.unit !== after.gap.unit)
    return true;
  const eased = after.gap.gap - before.gap.gap;
  const least = before.gap.unit === '°C' ? LEAST_EASED_K : LEAST_EASED * Math.abs(before.gap.limit);
  // Where the worst place is no better, others are: that was counted already.
  return eased <= 0 || eased >= least;
}

function weighProposal(
  base: Base,
  snag: Snag,
  proposal: Proposal,
  assessor: Assessor,
  options: AssessOptions,
): Remedy | null {
  const weighed = weigh(base, proposal.edits, assessor, options);
  if (!weighed.ok) return null;
  const cure = weighed.cures.some((one) => one.code === snag.code);
  const ease = weighed.eases.some((one) => one.code === snag.code && helps(snag, one));
  const blocks = [...weighed.causes, ...weighed.worsens].some(
    (one) => one.severity === 'blocker' && one.code !== snag.code,
  );
  // For less than a blocker nothing is starved, burnt or cooked.
  const hurts = snag.severity !== 'blocker' && harms(base, { ...weighed, title: proposal.words, cure }, snag.code) > 0;
  return (cure || ease) && !blocks && !hurts ? { ...weighed, title: proposal.words, cure } : null;
}

/** All remedies at once, for tests, exports and the command line. */
export function allRemedies(
  base: Base,
  snag: Snag,
  catalogue: Catalogue,
  assessor: Assessor,
  options: AssessOptions,
): readonly Remedy[] {
  const run = remediesFor(base, snag, catalogue, assessor, options);
  for (;;) {
    const next = run.next();
    if (next.done) return next.value;
  }
}

/** Snags about places and cables: behind these stands a conflict. */
const OF_PLACING: ReadonlySet<Snag['code']> = new Set([
  'fits.cardSlot',
  'fits.driveInBay',
  'reaches.portsShort',
  'reaches.interface',
]);

/**
 * What in a build cannot be together, in lines of words, where a snag comes of that: without any one of them the others
 * can.
 */
export const conflictLines = ({ build }: Base, snag: Snag): readonly string[] =>
  OF_PLACING.has(snag.code) ? (conflictOf(plannedUnits(build), build.layout) ?? []).map(factWords) : [];
