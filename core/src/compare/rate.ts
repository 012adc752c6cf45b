import type { FigureContext } from '../figures/context';
import type { Ledger, Quantity } from '../figures/quantity';
import type { Loaded, Rate } from '../flow/flow';
import { isKind } from '../machine/units';
import { factOf, type Fact } from '../parts/resolve';
import type { Basis } from '../parts/sheet';

/** What file protocols leave of a network, and other links of their own rate, within so much. */
const LINK_SHARE = 0.03;

/**
 * A rate of files with its range: each link is as uncertain as what it rests on (a drive's and a card's MB/s by their
 * sheets, others within 3 %), and the least of them holds it back. Links of one name and rate err together, so that the
 * same network before two machines cancels.
 */
export function rateQuantity(label: string, rate: Rate, context: FigureContext, ledger: Ledger): Quantity | null {
  if (!rate.neck) return null;
  const links = rate.links.map((loaded) => linkQuantity(loaded, context, ledger));
  return ledger.map(label, 'MB/s', links, 'the least of its links', (...allows) => Math.min(...allows));
}

/** A sheet says what a part gives at best: it is a little less more often than more. */
const RATED = {
  measured: { lo: 0.97, hi: 1.03 },
  stated: { lo: 0.88, hi: 1.05 },
  typical: { lo: 0.75, hi: 1.25 },
} as const satisfies Record<Basis, { lo: number; hi: number }>;
const ratedQuantity = ({ id, basis }: Fact, ledger: Ledger): Quantity =>
  ledger.given(`${id} as rated`, 1, '', RATED[basis]);

function linkQuantity({ link, allowsMBps }: Loaded, { units }: FigureContext, ledger: Ledger): Quantity {
  const unit = units.find(({ mark }) => mark === link.mark);
  const scaled = (own: Quantity): Quantity => ledger.times(link.name, own, allowsMBps / own.value);
  if (link.kind === 'drive' && unit && isKind(unit, 'drive') && unit.part.sequentialMBps > 0)
    return scaled(ratedQuantity(factOf(unit.part, 'sequentialMBps'), ledger));
  if (link.kind === 'card' && unit && isKind(unit, 'controller') && unit.part.throughputMBps > 0)
    return scaled(ratedQuantity(factOf(unit.part, 'throughputMBps'), ledger));
  const range = { lo: 1 - LINK_SHARE, hi: 1 + LINK_SHARE };
  return scaled(ledger.given(`${link.kind} of ${Math.round(link.carriesMBps)} MB/s`, 1, '', range));
}
