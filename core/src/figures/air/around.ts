import type { Site } from '../../build/build';

/** What encloses a machine. One said to stand in a cupboard of which no more is known is taken to be shut in. */
export const cupboardOf = ({ place, cupboard }: Pick<Site, 'place' | 'cupboard'>): Site['cupboard'] =>
  place === 'cupboard' && cupboard === 'none' ? 'closed' : cupboard;

/** More air is never hotter, as long as the machine does not warm what it breathes. */
export const isInTheOpen = (site: Pick<Site, 'place' | 'cupboard'>): boolean => cupboardOf(site) === 'none';

/** A site with another answer: a cupboard comes with the place and goes with it, and the place with the cupboard. */
export function siteWith(site: Site, key: keyof Site, value: string | number): Site {
  const next = { ...site, [key]: value };
  if (key === 'cupboard' && value === 'none' && site.place === 'cupboard') return { ...next, place: 'shelf' };
  if (key !== 'place') return next;
  return { ...next, cupboard: value === 'cupboard' ? (site.cupboard === 'none' ? 'closed' : site.cupboard) : 'none' };
}
