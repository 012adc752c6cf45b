import { ofKind } from '../../machine/units';
import type { FigureContext } from '../context';
import type { Ledger, Quantity } from '../quantity';
import { classesOn } from './fedClasses';
import { feedsOf, type Feed } from './feeds';
import { feedLossW, modulesOf } from './supplyLoss';

/** W on 5 V standby: what waits for a packet or the button, and a management controller that never sleeps. */
const WAKE_W = { value: 0.5, lo: 0.2, hi: 1.2 };
const MANAGEMENT_W = { value: 4, lo: 2, hi: 6 };
/** The small converter that stays on while the main one is off: what it passes on, and what it takes itself. */
const STANDBY_PASSES = { value: 0.75, lo: 0.65, hi: 0.82 };
const STANDBY_OWN_W = { value: 0.3, lo: 0.1, hi: 0.5 };
const MODULE_OWN_W = { value: 1, lo: 0.5, hi: 2 };

/** W at the wall of all that is switched off and still plugged in: P / 0.75 + 0.3 a supply. Null where nothing is. */
export function offWallW(context: FigureContext, ledger: Ledger): Quantity | null {
  const each = feedsOf(context).flatMap((feed) => feedOffW(context, feed, ledger) ?? []);
  return each.length < 2 ? (each[0] ?? null) : ledger.sum('At the wall, off', 'W', each);
}

/** The same of one feed. A brick has no standby converter: it is on, with little to give. */
export function feedOffW(context: FigureContext, feed: Feed, ledger: Ledger): Quantity | null {
  const boards = ofKind(
    classesOn(context, feed).flatMap(({ units }) => units),
    'board',
  );
  const { supply, brick } = feed;
  if (boards.length === 0 && !supply) return null;
  const waits = boards.flatMap(({ part }) => [
    ledger.given(`${part.name} waits to be woken`, WAKE_W.value, 'W', WAKE_W),
    ...(part.remoteManagement
      ? [ledger.given(`Remote management of ${part.name}`, MANAGEMENT_W.value, 'W', MANAGEMENT_W)]
      : []),
  ]);
  const inside = ledger.sum('On standby', 'W', waits);
  if (!supply) return ledger.sum("At the wall, off, without a supply's loss", 'W', [inside]);
  if (brick || supply.part.form === 'brick')
    return ledger.map(
      `At the wall, off, through ${(brick ?? supply).part.name}`,
      'W',
      [inside],
      'P + loss(P), its converter being on',
      (watts) => watts + feedLossW(feed, watts, 0),
    );
  const own = supply.part.form === 'redundant' ? MODULE_OWN_W : STANDBY_OWN_W;
  const passes = ledger.given('What a standby converter passes on', STANDBY_PASSES.value, '', STANDBY_PASSES);
  const modules = modulesOf(feed);
  const takes = ledger.times(
    'What it takes itself',
    ledger.given('What a standby converter takes itself', own.value, 'W', own),
    modules,
  );
  return ledger.map(
    `At the wall, off, through ${supply.part.name}`,
    'W',
    [inside, passes, takes],
    `P / ${STANDBY_PASSES.value} + ${own.value} W${modules > 1 ? ` × ${modules}` : ''}`,
    (watts, share, ownW) => watts / share + ownW,
  );
}
