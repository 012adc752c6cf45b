import type { AssessOptions, Assessor } from '../assess';
import { addItemEdit } from '../build/newItem';
import type { Figures } from '../figures/figures';
import type { Catalogue } from '../parts/catalogue';
import { dataDrives } from '../machine/roles';
import { monthsUntilFull } from '../pool/lasting';
import { LAYOUTS, type PoolSet } from '../pool/layouts';
import { holding, mediumOf, poolOf, type Drive, type SetTold } from '../pool/setsOf';
import type { Snag } from '../snags/snag';
import { weigh, type Base, type Weighed } from './weigh';

/** The next drives to buy: so many more of what a set is made of, as an edit that is weighed. */
export type NextDrives = Weighed & {
  readonly name: string;
  readonly count: number;
  readonly usableTb: number;
  /** Months until full with them, from now; null without a growth in the brief. */ readonly months: number | null;
};

/**
 * The next drives of a pool, of its disks or its flash, whichever hold more: one more set like the last one, of a
 * proposed pool as many more of its commonest drive as give room. Null where there is no pool, or no way to add to it.
 */
export function nextDrives(
  base: Base,
  catalogue: Catalogue,
  assessor: Assessor,
  options: AssessOptions,
): NextDrives | null {
  const { build } = base;
  const context = assessor.context(build);
  const { sets, isProposed } = poolOf(context);
  const last = mainSets(sets).at(-1);
  const like = last?.drives.reduce((a: Drive, b) => (b.part.capacityBytes > a.part.capacityBytes ? b : a));
  if (!last || !like || !catalogue.sheets[like.part.id]) return null;
  const now = base.assessment.figures['capacity.usableTb']?.value ?? 0;
  const most = isProposed ? dataDrives(context.units).length + 1 : last.drives.length;
  const { kind, spare } = LAYOUTS[last.set.layout];
  const least = isProposed ? 1 : kind === 'mirror' ? spare + 1 : last.drives.length;
  for (let count = least; count <= most; count++) {
    const add = addItemEdit(build, catalogue, like.part.id, count);
    const grown = isProposed
      ? null
      : withMore(
          build.pool.sets,
          last.set,
          add.item.units.map(({ id }) => id),
        );
    const weighed = weigh(
      base,
      [add, ...(grown ? [{ type: 'set.pool' as const, value: { ...build.pool, sets: grown } }] : [])],
      assessor,
      options,
    );
    if (!weighed.ok) return null;
    const usableTb = weighed.figures['capacity.usableTb']?.value ?? 0;
    if (usableTb > now) {
      const months = monthsUntilFull(leastTb(weighed.figures), build.brief);
      return { ...weighed, name: like.part.name, count, usableTb, months };
    }
  }
  return null;
}

/** The sets on disks or those on flash, whichever hold more: what grows. */
function mainSets(sets: readonly SetTold[]): readonly SetTold[] {
  const on = (medium: 'disk' | 'flash') => holding(sets).filter((told) => mediumOf(told) === medium);
  const bytes = (own: readonly SetTold[]) => own.reduce((sum, told) => sum + told.bytes.data, 0);
  const [disks, flash] = [on('disk'), on('flash')];
  return bytes(flash) > bytes(disks) ? flash : disks;
}

/** What can be filled at the least: padding and what the file system keeps taken off. */
const leastTb = (figures: Figures): number => figures['capacity.usableTb']?.lo ?? 0;

/** A mirror gets another group, every other layout another set like it. */
function withMore(sets: readonly PoolSet[], last: PoolSet, units: PoolSet['units']): PoolSet[] {
  if (LAYOUTS[last.layout].kind === 'mirror')
    return sets.map((set) => (set.id === last.id ? { ...set, units: [...set.units, ...units] } : set));
  let n = sets.length + 1;
  while (sets.some(({ id }) => id === `set${n}`)) n++;
  return [...sets, { ...last, id: `set${n}`, units }];
}

/** One purchase of drives on the way: what it makes of the machine, and the trouble it brings. */
type GrowthStep = NextDrives & {
  /** Drives of the machine that hold data then. */ readonly drives: number;
  /** Months from now when what was there before is full; null without a growth. */ readonly boughtAt: number | null;
};
export type Growth = {
  readonly steps: readonly GrowthStep[];
  /** What is passed on the way and blocks nothing (watts, noise, money, a rail), with the first purchase that does. */
  readonly met: readonly { readonly at: number; readonly snag: Snag }[];
  /** The step that blocks, with what of it does; null where none was met. */
  readonly limit: { readonly at: number; readonly snags: readonly Snag[] } | null;
};

/** More purchases than that nobody plans. */
const MOST_STEPS = 24;

/**
 * The machine bought on drive by drive, or set by set, until the next purchase would block something: bays, ports,
 * plugs, rails at the start. Yields between purchases so that a caller can stop.
 */
export function* growthOf(
  base: Base,
  catalogue: Catalogue,
  assessor: Assessor,
  options: AssessOptions,
): Generator<'buying', Growth> {
  const steps: GrowthStep[] = [];
  const met: { at: number; snag: Snag }[] = [];
  let boughtAt = monthsUntilFull(leastTb(base.assessment.figures), base.build.brief);
  let now = base;
  for (let at = 0; at < MOST_STEPS; at++) {
    const next = nextDrives(now, catalogue, assessor, options);
    yield 'buying';
    if (!next) break;
    const assessment = assessor.assess(next.after, options);
    steps.push({ ...next, drives: dataDrives(assessment.units).length, boughtAt });
    const snags = [...next.causes, ...next.worsens].filter(({ severity }) => severity === 'blocker');
    if (snags.length > 0) return { steps, met, limit: { at, snags } };
    for (const snag of next.causes)
      if (isPassed(snag) && met.every((one) => one.snag.code !== snag.code)) met.push({ at, snag });
    boughtAt = next.months;
    now = { build: next.after, assessment };
  }
  return { steps, met, limit: null };
}

/** A limit of the brief or of the machine that more drives pass; what is said of pools and of small parts is none. */
const isPassed = ({ severity, code }: Snag): boolean =>
  severity === 'caution' && /^(within|powered|cooled|reaches)\./.test(code);
