import { heldByUps } from '../../figures/power/upsShares';
import { groupedBy, memberAt } from '../../lists';
import { drivesFor } from '../../machine/roles';
import { ofKind } from '../../machine/units';
import { LAYOUTS } from '../../pool/layouts';
import { enduranceOf } from '../../pool/lasting';
import { holding, mediumOf, poolOf, type Drive } from '../../pool/setsOf';
import { byPart, placesOf, type Situation } from '../situation';
import type { Found } from '../words';

/** Shingled drives in a set that rebuilds by parity, made or proposed. */
export function shingledInParity({ context }: Situation): Found<'lasts.shingled'>[] {
  return poolOf(context).sets.flatMap(({ set, drives }): Found<'lasts.shingled'>[] => {
    const { kind } = LAYOUTS[set.layout];
    if (kind !== 'parity' && kind !== 'dedicated') return [];
    const shingled = drives.filter(({ part }) => part.shingled);
    const [first] = shingled;
    return first
      ? [
          {
            severity: 'caution',
            at: placesOf(shingled),
            facts: {
              count: shingled.length,
              drive: first.part.name,
              layout: kind === 'parity' ? 'parity' : 'dedicated parity',
            },
          },
        ]
      : [];
  });
}

/** A pool's metadata on one drive, or on fewer than the pool's own sets may lose. */
export function metadataAlone(situation: Situation): Found<'lasts.alone'>[] {
  const meta = drivesFor(situation.units, 'meta');
  const sets = holding(poolOf(situation.context).sets);
  if (meta.length === 0 || sets.length === 0) return [];
  const pool = Math.min(...sets.map(({ any }) => any));
  const survives = meta.length - 1;
  if (survives >= Math.max(1, pool)) return [];
  return [
    {
      severity: survives === 0 ? 'caution' : 'note',
      at: placesOf(meta),
      facts: { drive: memberAt(meta, 0).part.name, count: meta.length, survives, pool },
    },
  ];
}

/** One drive for the system, where the brief wants drives to be able to fail. */
export function systemAlone(situation: Situation): Found<'lasts.system'>[] {
  const boots = drivesFor(situation.units, 'boot');
  const [first] = boots;
  return first && boots.length === 1 && situation.context.failuresSurvived > 0
    ? [
        {
          severity: 'note',
          at: placesOf(boots),
          facts: { drive: first.part.name, failures: situation.context.failuresSurvived },
        },
      ]
    : [];
}

/** A write log on drives that forget what they were writing when the power goes. */
export function logUnprotected(situation: Situation): Found<'lasts.log'>[] {
  const forgetful = drivesFor(situation.units, 'log').filter(({ part }) => !part.powerLossSafe);
  if (forgetful.length === 0) return [];
  const held = heldByUps(situation.context);
  // A drive in a shelf on a UPS is of no help while the machine goes off.
  const hasUps = [...forgetful, ...ofKind(situation.units, 'board')].every(({ id }) => held.has(id));
  return byPart(forgetful).map((like): Found<'lasts.log'> => ({
    severity: hasUps ? 'note' : 'caution',
    at: placesOf(like),
    facts: { drive: like[0].part.name, ups: hasUps ? 'yes' : '' },
  }));
}

/** A read cache holds this many times the machine's memory before looking after it takes more than it gives. */
const CACHE_PER_MEMORY = 10;

/** A read cache that cannot quicken anything: a disk, or flash far larger than the memory that keeps track of it. */
export function cacheMisunderstood(situation: Situation): Found<'lasts.cache'>[] {
  const caches = drivesFor(situation.units, 'cache');
  if (caches.length === 0) return [];
  const facts = (drives: readonly Drive[]) => ({
    drive: memberAt(drives, 0).part.name,
    gb: Math.round(drives.reduce((sum, { part }) => sum + part.capacityBytes, 0) / 1e9),
    memoryGb: 0,
  });
  const disks = caches.filter(({ part }) => part.medium === 'disk');
  const flash = caches.filter(({ part }) => part.medium === 'flash');
  const memory = ofKind(situation.units, 'memory').reduce((sum, { part }) => sum + part.capacityBytes, 0);
  const bytes = flash.reduce((sum, { part }) => sum + part.capacityBytes, 0);
  const isLarge = memory > 0 && bytes > CACHE_PER_MEMORY * memory;
  return [
    ...(disks.length > 0 ? [{ severity: 'caution' as const, at: placesOf(disks), facts: facts(disks) }] : []),
    ...(isLarge
      ? [
          {
            severity: 'note' as const,
            at: placesOf(flash),
            facts: { ...facts(flash), memoryGb: Math.round(memory / 2 ** 30) },
          },
        ]
      : []),
  ];
}

/** Spares that cannot take over from some drive of the sets: smaller than it, or of another medium. */
export function spareTooSmall(situation: Situation): Found<'lasts.spare'>[] {
  const sets = holding(poolOf(situation.context).sets).filter(({ any }) => any > 0);
  const spares = drivesFor(situation.units, 'spare');
  if (sets.length === 0 || spares.length === 0) return [];
  const canServe = (spare: Drive) =>
    sets.filter(({ drives }) =>
      drives.every(({ part }) => part.medium === spare.part.medium && part.capacityBytes <= spare.part.capacityBytes),
    );
  return byPart(spares).flatMap((like): Found<'lasts.spare'>[] => {
    const serves = canServe(like[0]).length;
    return serves === sets.length
      ? []
      : [
          {
            severity: serves === 0 ? 'caution' : 'note',
            at: placesOf(like),
            facts: { drive: like[0].part.name, serves, sets: sets.length },
          },
        ];
  });
}

/** Sets that lack the drives their layout wants: they hold nothing until it has them. */
export function setShort(situation: Situation): Found<'lasts.set'>[] {
  const there = new Map(poolOf(situation.context).sets.map((told) => [told.set.id, told.drives]));
  return situation.pool.sets.flatMap((set): Found<'lasts.set'>[] => {
    const { least, words } = LAYOUTS[set.layout];
    const drives = there.get(set.id) ?? [];
    return drives.length < least
      ? [
          {
            severity: 'caution',
            at: placesOf(drives),
            facts: { set: set.id, layout: words, have: drives.length, least },
          },
        ]
      : [];
  });
}

/** Sets made that survive fewer failures than wished, or fewer than the others they are striped with. */
export function setsTooWeak({ context, pool }: Situation): Found<'lasts.weakest'>[] {
  if (pool.sets.length === 0) return [];
  const wished = context.failuresWished;
  return [...groupedBy(holding(poolOf(context).sets), mediumOf).values()].flatMap((sets) => {
    const most = Math.max(...sets.map(({ any }) => any));
    const weak = sets.filter(({ any }) => any < (wished ?? most));
    return [...groupedBy(weak, ({ any }) => any)].map(([any, like]): Found<'lasts.weakest'> => ({
      severity: any === 0 || wished !== undefined ? 'caution' : 'note',
      at: placesOf(like.flatMap(({ drives }) => drives)),
      facts: { sets: like.map(({ set }) => set.id).join(', '), any, wished, most },
    }));
  });
}

/** Data drives that are in none of the sets made. */
export function inNoSet({ context, pool }: Situation): Found<'lasts.loose'>[] {
  const { loose } = poolOf(context);
  return pool.sets.length === 0 || loose.length === 0
    ? []
    : [
        {
          severity: 'note',
          at: placesOf(loose),
          facts: { count: loose.length, drive: memberAt(loose, 0).part.name },
        },
      ];
}

/** Years that most makers warrant a drive for. */
const WARRANTED_YEARS = 5;

/** Flash that what comes in wears out sooner than makers warrant it for, by new data alone. */
export function wornByWrites({ context, brief }: Situation): Found<'lasts.endurance'>[] {
  return enduranceOf(context, brief)
    .filter(({ years }) => years < WARRANTED_YEARS)
    .map((like): Found<'lasts.endurance'> => ({
      severity: 'caution',
      at: like.units.map((unit) => ({ unit })),
      gap: { have: like.years, limit: WARRANTED_YEARS, gap: like.years - WARRANTED_YEARS, unit: 'years' },
      facts: {
        count: like.units.length,
        drive: like.name,
        tbPerYear: like.tbPerYear,
        enduranceTb: like.enduranceTb,
      },
    }));
}

/** Drives and dates that the software allows, as its owner typed them. */
export function pastSoftware({ units, pool, asOf }: Situation): Found<'lasts.software'>[] {
  const { mostDrives, supportedUntil } = pool.software ?? {};
  const drives = ofKind(units, 'drive');
  const many: Found<'lasts.software'>[] =
    mostDrives !== undefined && drives.length > mostDrives
      ? [
          {
            severity: 'caution',
            at: placesOf(drives),
            gap: { have: drives.length, limit: mostDrives, gap: mostDrives - drives.length, unit: 'drives' },
            facts: { until: undefined, isOver: '' },
          },
        ]
      : [];
  const nextYear = `${Number(asOf.slice(0, 4)) + 1}${asOf.slice(4)}`;
  return [
    ...many,
    ...(supportedUntil !== undefined && supportedUntil < nextYear
      ? [
          {
            severity: supportedUntil < asOf ? ('caution' as const) : ('note' as const),
            at: [],
            facts: { until: supportedUntil, isOver: supportedUntil < asOf ? 'yes' : '' },
          },
        ]
      : []),
  ];
}
