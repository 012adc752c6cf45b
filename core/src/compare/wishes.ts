import { createAssessor, type Assessment, type AssessOptions } from '../assess';
import type { Brief, Build, Service } from '../build/build';
import type { FigureContext } from '../figures/context';
import type { FigureId } from '../figures/figures';
import { servicesTold } from '../figures/services';
import { Ledger, rangedOf } from '../figures/quantity';
import { minorPerMajor } from '../parts/currency';
import type { ComparedBy, Values } from './compare';
import { soundSources } from '../figures/sound/ear';
import { dataDrives } from '../machine/roles';
import { isKind } from '../machine/units';
import { poolTold } from '../pool/poolTold';
import type { Snag } from '../snags/snag';
import type { SnagCode } from '../snags/words';

type Feature = NonNullable<Brief['mustHave']>[number];
type Limit =
  | 'usableTb'
  | 'usableLaterTb'
  | 'failuresSurvived'
  | 'drivesLater'
  | 'idleW'
  | 'peakW'
  | 'earDb'
  | 'moneyMinor'
  | 'networkGbPerS'
  | 'rackUnits'
  | 'size';
/** How a wish is met: `perhaps` where only the high end of what is known passes it, `open` where nothing is chosen. */
export type Met = 'yes' | 'perhaps' | 'no' | 'open';
export type WishRow = {
  readonly wish: Limit | Feature | 'service';
  readonly level: 'must' | 'nice' | 'not';
  /** Of a service what it is called, and what it asks for. */ readonly service?: Service;
  /** The number wished, as the brief keeps it; null for what is there or not. */
  readonly limit: number | null;
  readonly met: readonly Met[];
  /** Of each machine, whether its sets, only proposed, are others under this brief than under its own. */
  readonly relaid?: readonly boolean[];
};

/** What each wish is checked by: the snags of a machine under that brief, once what it rests on is there. */
const LIMITS: Readonly<
  Record<
    Exclude<Limit, 'failuresSurvived'>,
    { readonly codes: readonly SnagCode[]; readonly rests: FigureId | 'board' | 'chassis' }
  >
> = {
  usableTb: { codes: ['within.usable'], rests: 'capacity.usableTb' },
  usableLaterTb: { codes: ['within.usableLater'], rests: 'capacity.usableTb' },
  drivesLater: { codes: ['within.growth'], rests: 'drives.room' },
  idleW: { codes: ['within.idle'], rests: 'power.idleWallW' },
  peakW: { codes: ['within.peak'], rests: 'power.peakWallW' },
  earDb: { codes: ['within.sound'], rests: 'sound.earIdleDb' },
  moneyMinor: { codes: ['within.money'], rests: 'cost.now' },
  networkGbPerS: { codes: ['within.network'], rests: 'board' },
  rackUnits: { codes: ['within.rackUnits'], rests: 'chassis' },
  size: { codes: ['within.size', 'fits.rackDepth'], rests: 'chassis' },
};
const SIZES = ['maxWidthMm', 'maxHeightMm', 'maxDepthMm', 'maxMassG'] as const;

/**
 * Whether each machine meets the wishes of the first one's brief, standing where that one stands; none where that
 * brief has none. Money is held only against machines reckoned in the same currency.
 */
export function wishesMet(
  columns: readonly (readonly Build[])[],
  values: readonly Values[],
  options: AssessOptions,
): readonly WishRow[] {
  const first = columns[0]?.[0];
  if (!first) return [];
  const { brief } = first;
  const features = [...(brief.mustHave ?? []), ...(brief.niceToHave ?? [])];
  const unwanted = brief.notWanted ?? [];
  const asked = { ...brief, ...(features.length > 0 ? { mustHave: [...new Set(features)] } : {}) };
  const machines = columns.map((own) => own.map((build) => machineUnder(build, first, asked, options)));
  const relaid = machines.map((own, i) => {
    const any = values[i]?.failures?.quantity.value;
    const here = own.flatMap(({ proposed }) => proposed ?? []);
    return any !== undefined && here.length > 0 && Math.min(...here) !== any;
  });
  const limits = wishedLimits(first).map(({ wish, limit }): WishRow => ({
    wish,
    level: 'must',
    limit,
    met: machines.map((own, i) => {
      const each = own.map((one) => one.limit(wish));
      return each.length === 1 ? (each[0] ?? 'open') : limitMet(wish, limit, each, values[i], first.currency);
    }),
    ...(BY_LAYOUT.has(wish) && relaid.includes(true) ? { relaid } : {}),
  }));
  const has = [...new Set(features)].map((wish): WishRow => ({
    wish,
    level: brief.mustHave?.includes(wish) ? 'must' : 'nice',
    limit: null,
    met: machines.map((own) => worstOf(own.map((one) => one.feature(wish)))),
  }));
  const not = unwanted.map((wish): WishRow => ({
    wish,
    level: 'not',
    limit: null,
    met: machines.map((own) => worstOf(own.map((one) => one.without(wish)))),
  }));
  // A service runs on one machine of several: it is enough that one of them carries it.
  const services = (brief.services ?? []).map((service): WishRow => ({
    wish: 'service',
    level: service.level,
    limit: null,
    service,
    met: machines.map((own) => bestOf(own.map((one) => one.service(service)))),
  }));
  return [...limits, ...has, ...not, ...services];
}

/** What hangs on how the drives are put in sets. */
const BY_LAYOUT: ReadonlySet<Limit> = new Set(['usableTb', 'usableLaterTb', 'failuresSurvived'] as const);
/** Wishes that machines meet together, by the number they are held against. */
const TOGETHER: Partial<Record<Limit, { readonly by: ComparedBy; readonly most: boolean }>> = {
  usableTb: { by: 'usableTb', most: false },
  idleW: { by: 'idleW', most: true },
  peakW: { by: 'peakW', most: true },
  earDb: { by: 'earDb', most: true },
  moneyMinor: { by: 'priceNow', most: true },
  rackUnits: { by: 'rackUnits', most: true },
};
/** Where one machine that meets it is enough; what the others then lack may add up in the latter, and is open. */
const ONE_IS_ENOUGH: Partial<Record<Limit, 'else worst' | 'else open'>> = {
  networkGbPerS: 'else worst',
  usableLaterTb: 'else open',
  drivesLater: 'else open',
};

/** Whether several machines meet a wish together: by their number, else as the one that meets it least or best. */
function limitMet(
  wish: Limit,
  limit: number | null,
  each: readonly Met[],
  values: Values | undefined,
  currency: string,
): Met {
  const how = TOGETHER[wish];
  if (!how || limit === null) {
    const one = ONE_IS_ENOUGH[wish];
    if (one && each.includes('yes')) return 'yes';
    return one === 'else open' ? 'open' : worstOf(each);
  }
  const quantity = values?.[how.by]?.quantity;
  if (!quantity || (wish === 'moneyMinor' && each.includes('open'))) return 'open';
  const { value, lo, hi } = rangedOf(quantity);
  const at = wish === 'moneyMinor' ? limit / minorPerMajor(currency) : limit;
  const [near, far] = how.most ? [hi, lo] : [lo, hi];
  const passes = (one: number) => (how.most ? one <= at : one >= at);
  if (passes(near)) return 'yes';
  return passes(value) && passes(far) ? 'perhaps' : 'no';
}

const bestOf = (each: readonly Met[]): Met => (each.includes('yes') ? 'yes' : worstOf(each));
/** The worst of what is known; open where nothing is. */
const worstOf = (each: readonly Met[]): Met =>
  (['no', 'perhaps', 'yes'] as const).find((one) => each.includes(one)) ?? 'open';

function wishedLimits({ brief, site }: Build): { readonly wish: Limit; readonly limit: number | null }[] {
  const plain = (Object.keys(LIMITS) as (keyof typeof LIMITS)[]).filter((key) => key !== 'size');
  const numbers = ([...plain.slice(0, 2), 'failuresSurvived', ...plain.slice(2)] as const).flatMap((wish) => {
    const limit = brief[wish];
    const isAsked = wish !== 'rackUnits' || site.place === 'rack';
    return limit === undefined || !isAsked ? [] : [{ wish, limit }];
  });
  return SIZES.some((key) => brief[key] !== undefined) ? [...numbers, { wish: 'size', limit: null }] : numbers;
}

function machineUnder(build: Build, { site, currency }: Build, brief: Brief, options: AssessOptions) {
  const { moneyMinor: _money, ...others } = brief;
  const held = { ...build, site, brief: build.currency === currency ? brief : others };
  const assessor = createAssessor();
  const assessment = assessor.assess(held, options);
  const { units, snags } = assessment;
  const services = servicesTold(assessor.context(held), brief.services ?? [], build.profile);
  const said = (codes: readonly SnagCode[], where: (snag: Snag) => boolean = () => true): Met => {
    const found = snags.filter((snag) => codes.includes(snag.code) && where(snag));
    // That the room alone is louder than the wish is no fault of the machine.
    const real = found.filter(({ code, at }) => code !== 'within.sound' || at.length > 0);
    if (real.length === 0) return 'yes';
    return real.every(({ severity }) => severity === 'note') ? 'perhaps' : 'no';
  };
  const pool = poolTold(assessor.context(held));
  const survives = pool.sets.length === 0 ? null : pool.all.any;
  return {
    /** Failures its sets survive where they are only proposed. */
    proposed: pool.isProposed ? survives : null,
    limit(wish: Limit): Met {
      if (wish === 'failuresSurvived')
        return survives === null ? 'open' : survives >= (brief.failuresSurvived ?? 0) ? 'yes' : 'no';
      if (wish === 'moneyMinor' && build.currency !== currency) return 'open';
      const { codes, rests } = LIMITS[wish];
      const known =
        rests === 'board' || rests === 'chassis'
          ? units.some((unit) => isKind(unit, rests))
          : assessment.figures[rests] !== undefined || (wish === 'earDb' && isSilent(assessor.context(held)));
      return known ? said(codes) : 'open';
    },
    feature: (wish: Feature): Met =>
      isChosen(wish, assessment)
        ? said(['within.mustHave'], ({ facts }) => 'must' in facts && facts.must === wish)
        : 'open',
    without: (wish: Feature): Met =>
      isChosen(wish, assessment)
        ? said(['within.notWanted'], ({ facts }) => 'unwanted' in facts && facts.unwanted === wish)
        : 'open',
    service(wanted: Service): Met {
      const lacks = services.each.find(({ service }) => service === wanted)?.lacks;
      return lacks == null ? 'open' : lacks.length === 0 ? 'yes' : 'no';
    },
  };
}

/** Whether a machine that has its board makes no sound at all: no fan, and nothing that turns. */
const isSilent = (context: FigureContext): boolean =>
  context.units.some((unit) => isKind(unit, 'board')) && soundSources(context, new Ledger(false)).length === 0;

/** Whether the parts that tell it are there. */
function isChosen(feature: Feature, { units }: Assessment): boolean {
  const some = (kind: 'board' | 'memory') => units.some((unit) => isKind(unit, kind));
  switch (feature) {
    case 'ecc':
      return some('board') && some('memory');
    case 'remoteManagement':
      return some('board');
    case 'fanless':
      return some('board');
    case 'wornParts':
      return units.length > 0;
    case 'hotSwap':
    case 'allFlash':
    case 'shingled':
    case 'usbDrives':
      return dataDrives(units).length > 0;
  }
}
