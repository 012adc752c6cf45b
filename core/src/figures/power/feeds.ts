import { ofKind, type UnitOf } from '../../machine/units';
import { boxesOf, countsWith, type Box } from '../boxes';
import type { FigureContext } from '../context';

type Supply = UnitOf<'supply'>;

/**
 * A way from the mains to the rails of some parts: one supply, like redundant ones that share, or a brick with a
 * converter behind it. Parts of a box that has several hang on that whose plug they are on.
 */
export type Feed = {
  /** Names it within the machine. */ readonly key: string;
  readonly box: Box;
  /** The one that gives the rails; null where a box has none. */ readonly supply: Supply | null;
  /** All that share the load, alike. */ readonly sharing: readonly Supply[];
  /** Before a converter, what turns mains to its volts. */ readonly brick: Supply | null;
};

/** What runs, so that a supply that came with a box and was exchanged is none of its. */
type Known = Pick<FigureContext, 'units' | 'layout' | 'running'>;

export const isConverter = ({ part }: Supply): boolean => part.form === 'dc-converter';
export const hasJack = ({ part }: Supply): boolean =>
  part.cables.some(({ plugs }) => plugs.some(({ plug }) => plug === 'dc-jack'));

/** Supplies that stand in a box, else the first on the table; a converter, without a place, counts with the first. */
export function suppliesIn({ units, layout, running }: Known, box: Box): readonly Supply[] {
  const all = ofKind(running, 'supply');
  const hostOf = (unit: Supply) => layout.at[unit.id]?.spot.host ?? unit.builtIn?.spot.host;
  const isFirst = box === countsWith({ units }, null);
  const converters = isFirst ? all.filter((unit) => isConverter(unit) && hostOf(unit) === undefined) : [];
  const inside = all.filter((unit) => box && hostOf(unit) === box.id);
  const loose = all.filter((unit) => hostOf(unit) === undefined && !isConverter(unit));
  // A brick needs no place inside: with a converter it belongs to it wherever it lies.
  const bricks = converters.length > 0 ? loose.filter(hasJack) : [];
  const own = [...inside, ...converters, ...bricks];
  return own.length > 0 ? own : loose.slice(0, 1);
}

/** The feeds of a box, in the order of the kit; one without a supply where it has none. */
function feedsIn(known: Known, box: Box): readonly Feed[] {
  const supplies = suppliesIn(known, box);
  const converters = supplies.filter(isConverter);
  const bricks = supplies.filter((unit) => !isConverter(unit) && hasJack(unit)).slice(0, converters.length);
  const feeds: Feed[] = [];
  for (const supply of supplies) {
    if (bricks.includes(supply)) continue;
    const alike = feeds.findIndex(
      (feed) => supply.part.form === 'redundant' && feed.supply?.part.id === supply.part.id,
    );
    const known = feeds[alike];
    if (known) feeds[alike] = { ...known, sharing: [...known.sharing, supply] };
    else
      feeds.push({
        key: `${box?.id ?? ''}|${supply.id}`,
        box,
        supply,
        sharing: [supply],
        brick: bricks[converters.indexOf(supply)] ?? null,
      });
  }
  return feeds.length > 0 ? feeds : [{ key: `${box?.id ?? ''}|`, box, supply: null, sharing: [], brick: null }];
}

/** All feeds of a machine. */
export const feedsOf = (known: Known): readonly Feed[] => boxesOf(known).flatMap((box) => feedsIn(known, box));

/** The feed to which a supply belongs, as one that shares or as its brick. */
export const feedWith = (known: Known, supply: string): Feed | undefined =>
  feedsOf(known).find(({ sharing, brick }) => brick?.id === supply || sharing.some(({ id }) => id === supply));

/** What a feed is called: its supply, else its box. */
export const feedName = ({ supply, box }: Feed): string => supply?.part.name ?? box?.part.name ?? 'The table';
