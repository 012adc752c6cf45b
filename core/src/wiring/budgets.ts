import { linkMBps } from '../links/rates';
import { ofKind, seatSpot } from '../machine/units';
import { chipsetAsked, usedLanes } from './asked';
import type { Laid } from './drivesOn';
import type { Budget } from './rows';

/** Lanes of the processor in use, and what is asked of the chipset's uplink. */
export function budgetsOf(laid: Laid): Budget[] {
  const { units, layout } = laid;
  const board = ofKind(units, 'board').find((unit) => seatSpot(layout, unit));
  const processor = ofKind(units, 'processor').find((unit) => seatSpot(layout, unit));
  if (!board) return [];
  const { uplinkLanes, uplinkGen } = board.part;
  return [
    ...(processor
      ? [
          {
            source: 'processor' as const,
            words: processor.part.name,
            used: usedLanes(laid, board, 'processor').reduce((sum, one) => sum + one.lanes, 0),
            has: processor.part.lanes,
            unit: 'lanes' as const,
          },
        ]
      : []),
    ...(uplinkLanes
      ? [
          {
            source: 'chipset' as const,
            words: 'Chipset uplink',
            used: chipsetAsked(laid, board),
            has: linkMBps(uplinkLanes, uplinkGen),
            unit: 'MB/s' as const,
          },
        ]
      : []),
  ];
}
