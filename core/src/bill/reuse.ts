import type { Assessment } from '../assess';
import type { Build, Item } from '../build/build';
import { marksOf } from '../build/marks';
import type { FigureContext } from '../figures/context';
import { moneyLines } from '../figures/cost/money';
import { yearParts } from '../figures/power/yearParts';
import { Ledger, type Ranged } from '../figures/quantity';
import { soundSources } from '../figures/sound/ear';
import { memberAt } from '../lists';
import type { Snag } from '../snags/snag';

/** An owned line of the kit with what speaks against keeping it. */
export type Reused = {
  readonly item: Item['id'];
  readonly mark: string;
  readonly name: string;
  readonly count: number;
  /** Replace it, look at it again, or keep it. */ readonly verdict: 'replace' | 'look' | 'keep';
  /** Its owner does not trust it. */ readonly isDoubted: boolean;
  /** What was found about it, the worst first. */ readonly snags: readonly Snag[];
  /** What a year goes without it, minor units of the tariff; null where it draws nothing. */
  readonly yearMinor: Ranged | null;
  /** How much quieter the machine is idle without it, dB(A). */ readonly quieterDb: number;
};

/** What is said of a part itself; that bays, ports or plugs run short is no fault of what would be on them. */
const isOfItself = ({ code }: Snag): boolean => /^(fits|mates|cooled|lasts)\./.test(code) && code !== 'fits.driveInBay';

/** From so many dB on it is worth a look. */
const LOUD_DB = 3;

const energyOf = (db: number): number => 10 ** (db / 10);
const RANK = { blocker: 0, caution: 1, note: 2 } as const;

/**
 * What is owned, line by line: kept unless something is found about it. What blocks, or is not trusted by its owner, is
 * to be replaced; a caution, or being the loudest by far, asks for another look. Levels add as energy.
 */
export function reuseOf(
  build: Pick<Build, 'profile' | 'tariff'>,
  { units, snags }: Pick<Assessment, 'units' | 'snags'>,
  context: FigureContext,
): readonly Reused[] {
  const parts = yearParts(context, build.profile, build.tariff);
  const sources = soundSources(context, new Ledger(false));
  const all = sources.reduce((sum, { power }) => sum + energyOf(power.value), 0);
  return moneyLines(units).flatMap(({ item, units: own }): Reused[] => {
    if (item.deal !== 'owned') return [];
    const ids = new Set<string>(own.map(({ id }) => id));
    const about = snags
      .filter((snag) => isOfItself(snag) && snag.at.some((place) => 'unit' in place && ids.has(place.unit)))
      .sort((a, b) => RANK[a.severity] - RANK[b.severity]);
    const loud = sources.reduce((sum, { power, units: theirs }) => {
      const mine = theirs.filter(({ id }) => ids.has(id)).length;
      return theirs.length > 0 ? sum + (energyOf(power.value) * mine) / theirs.length : sum;
    }, 0);
    const quieterDb = all > 0 && loud > 0 && loud < all ? 10 * Math.log10(all / (all - loud)) : 0;
    const mine = parts.filter((part) => part.units.some((id) => ids.has(id)));
    const share = ({ units: theirs }: (typeof parts)[number]) =>
      theirs.filter((id) => ids.has(id)).length / Math.max(1, theirs.length);
    const sum = (of: (part: (typeof parts)[number]) => number) =>
      mine.reduce((total, part) => total + of(part) * share(part), 0);
    const isBlocked = about.some(({ severity }) => severity === 'blocker');
    const isDoubted = item.condition === 'doubtful';
    const asksLook = about.some(({ severity }) => severity === 'caution') || quieterDb >= LOUD_DB;
    return [
      {
        item: item.id,
        mark: marksOf(own),
        name: memberAt(own, 0).part.name,
        count: own.length,
        verdict: isBlocked || isDoubted ? 'replace' : asksLook ? 'look' : 'keep',
        isDoubted,
        snags: about,
        yearMinor:
          mine.length > 0
            ? {
                value: sum(({ costMinor }) => costMinor.value),
                lo: sum(({ costMinor }) => costMinor.lo),
                hi: sum(({ costMinor }) => costMinor.hi),
              }
            : null,
        quieterDb,
      },
    ];
  });
}
