import { groupAt } from '../../machine/spotAt';
import { ofKind, unitsById, type PlannedUnit } from '../../machine/units';
import { memoPair } from '../../memoLast';
import { drivesOn } from '../../wiring/drivesOn';
import type { FigureContext } from '../context';
import { spinsUp } from './spinsUp';

type Laid = Pick<FigureContext, 'units' | 'layout'>;
/** What keeps a drive from waiting for its turn: a part that cannot, or that nobody says it of. */
export type Hindrance = { readonly drive: PlannedUnit; readonly by: PlannedUnit; readonly says: 'no' | 'unknown' };

/**
 * Drives that spin up and cannot wait for their turn: waiting wants drive, backplane and controller to take part (SATA
 * pin 11 or power-up in standby, SAS start by command). What is unknown counts as no: such a drive starts at once.
 */
export const hindrances = ({ units, layout }: Laid): readonly Hindrance[] => hindrancesIn(units, layout);

const hindrancesIn = memoPair((units: Laid['units'], layout: Laid['layout']): readonly Hindrance[] => {
  const laid = { units, layout };
  const byId = unitsById(laid.units);
  const feeds = new Map<string, PlannedUnit>();
  for (const host of laid.units)
    if (['board', 'controller', 'expander'].includes(host.part.kind))
      for (const drive of drivesOn(laid, host.id)) feeds.set(drive.id, host);
  return ofKind(laid.units, 'drive').flatMap((drive): Hindrance[] => {
    if (!spinsUp(drive.part)) return [];
    const spot = laid.layout.at[drive.id]?.spot;
    const group = spot && groupAt(byId, spot);
    const backplane = group?.type === 'bay' ? group.group.backplane : null;
    const bay = spot && byId.get(spot.host);
    const feed = feeds.get(drive.id);
    const asked: [PlannedUnit | undefined, string | undefined][] = [
      [drive, drive.part.staggersStart],
      ...(backplane ? ([[bay, backplane.staggersStart]] as [PlannedUnit | undefined, string | undefined][]) : []),
      [feed, feed && 'staggersStart' in feed.part ? feed.part.staggersStart : undefined],
    ];
    const first = asked.find(([, says]) => says !== 'yes');
    return first ? [{ drive, by: first[0] ?? drive, says: first[1] === 'no' ? 'no' : 'unknown' }] : [];
  });
});

/** The ids of drives that wait for their turn under a policy of waves, in the order of their units. */
export const waiting = ({ units, layout }: Laid): readonly string[] => waitingIn(units, layout);

const waitingIn = memoPair((units: Laid['units'], layout: Laid['layout']): readonly string[] => {
  const cannot = new Set(hindrancesIn(units, layout).map(({ drive }) => drive.id));
  return ofKind(units, 'drive').flatMap(({ id }) => (cannot.has(id) ? [] : [id]));
});
