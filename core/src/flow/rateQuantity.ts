import type { FigureContext } from '../figures/context';
import type { Ledger, Quantity } from '../figures/quantity';
import { isKind } from '../machine/units';
import { factOf, type Fact } from '../parts/resolve';
import type { Basis } from '../parts/sheet';
import type { Direction, Loaded, Rate } from './flow';
import { clientRates, type PoolFlows } from './flows';

/** What file protocols leave of a network, and other links of their own rate, within so much. */
const LINK_SHARE = 0.03;

/**
 * MB/s of files that one client reads or writes, or in the machine where it has no network port; null where nothing
 * holds any. Of a machine with a pool on disks and one on flash it is that on disks.
 */
export function fileRate(
  way: Direction,
  { units, flows }: Pick<FigureContext, 'units'> & { readonly flows: PoolFlows },
  ledger: Ledger,
): Quantity | null {
  const [pool] = flows.pools;
  if (!pool) return null;
  const { rates, isInside } = clientRates(pool.flow);
  const quantity = rateQuantity(
    way === 'reading' ? 'One client reads' : 'One client writes',
    rates[way],
    units,
    ledger,
  );
  return quantity && { ...quantity, note: isInside ? 'no network port' : 'one client' };
}

/**
 * A rate of files with its range: each link is as uncertain as what it rests on (a drive's and a card's MB/s by their
 * sheets, others within 3 %), and the least of them holds it back. Links of one name and rate err together, so that the
 * same network before two machines cancels.
 */
export function rateQuantity(
  label: string,
  rate: Rate,
  units: FigureContext['units'],
  ledger: Ledger,
): Quantity | null {
  if (!rate.neck) return null;
  const links = rate.links.map((loaded) => linkQuantity(loaded, units, ledger));
  return ledger.map(label, 'MB/s', links, 'the least of its links', (...allows) => Math.min(...allows));
}

/** A sheet says what a part gives at best: it is a little less more often than more. */
const RATED = {
  measured: { lo: 0.97, hi: 1.03 },
  stated: { lo: 0.88, hi: 1.05 },
  typical: { lo: 0.75, hi: 1.25 },
} as const satisfies Record<Basis, { lo: number; hi: number }>;
const asRated = (fact: Fact): Fact => ({
  ...fact,
  lo: fact.value * RATED[fact.basis].lo,
  hi: fact.value * RATED[fact.basis].hi,
});

/** MB/s of files that a link allows: what it carries over what goes through it for every MB/s of files. */
function linkQuantity({ link, count, perMBps, allowsMBps }: Loaded, units: FigureContext['units'], ledger: Ledger) {
  const carries = ownRate(link, units, ledger);
  const each = count > 1 ? ` of each of ${count}` : '';
  return ledger.map(
    count > 1 ? `${count} × ${link.name}` : link.name,
    'MB/s',
    [carries],
    `${Math.round(link.carriesMBps)} MB/s${each} ÷ ${Number(perMBps.toPrecision(3))}: its part of every MB/s of files`,
    // A slot or cable without a link carries nothing, and allows nothing.
    (own) => (carries.value > 0 ? (own / carries.value) * allowsMBps : 0),
  );
}

function ownRate(link: Loaded['link'], units: FigureContext['units'], ledger: Ledger): Quantity {
  const unit = units.find(({ mark }) => mark === link.mark);
  if (link.kind === 'drive' && unit && isKind(unit, 'drive') && unit.part.sequentialMBps > 0)
    return ledger.ofFact(asRated(factOf(unit.part, 'sequentialMBps')));
  if (link.kind === 'card' && unit && isKind(unit, 'controller') && unit.part.throughputMBps > 0)
    return ledger.ofFact(asRated(factOf(unit.part, 'throughputMBps')));
  const own = link.carriesMBps;
  return ledger.given(`${link.kind} of ${Math.round(own)} MB/s`, own, 'MB/s', {
    lo: own * (1 - LINK_SHARE),
    hi: own * (1 + LINK_SHARE),
  });
}
