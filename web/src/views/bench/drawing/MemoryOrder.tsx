import { isKind, memoryRoom, printSpot, sittersBySpot, type PlannedUnit } from '@inch-tower/core';
import { useAppSelector } from '../../../state/store';
import { memoryWords } from '../../../words/memoryWords';

const ordinal = (n: number): string =>
  `${n}${n % 10 === 1 && n !== 11 ? 'st' : n % 10 === 2 && n !== 12 ? 'nd' : n % 10 === 3 && n !== 13 ? 'rd' : 'th'}`;
/** Slots stand 9 mm apart: 34 px at one to one. They are longer than the pane and are cut. */
const PITCH_PX = 34;

/**
 * The memory slots of a board, or of the one a module sits on, seen from above at their own distance, numbered in the
 * order they are filled.
 */
export function MemoryOrder({ unit, units }: { readonly unit: PlannedUnit; readonly units: readonly PlannedUnit[] }) {
  const layout = useAppSelector((state) => state.bench.build!.layout);
  const board = unit.part.kind === 'memory' ? units.find(({ id }) => id === layout.at[unit.id]?.spot.host) : unit;
  if (!board || !isKind(board, 'board')) return null;
  const room = memoryRoom(board, units, layout);
  const ordered = board.part.memorySlots > 1 && board.part.memoryFillOrder.length >= board.part.memorySlots;
  if (!ordered && !room) return null;
  const { memorySlots, memoryFillOrder, name } = board.part;
  const sitting = sittersBySpot(units, layout);
  const slots = Array.from({ length: memorySlots }, (_, i) => ({
    n: i + 1,
    order: memoryFillOrder.indexOf(i + 1) + 1,
    module: sitting.get(printSpot({ host: board.id, key: 'memory', n: i + 1 })),
  }));
  return (
    <section className="mt-3 border-t border-line pt-2" aria-label="Memory slots">
      {room && <p className="text-[13px]">{memoryWords(room)}</p>}
      {ordered && (
        <>
          <h3 className="mt-1 text-[12.5px] font-semibold text-mid">Memory slots, in the order to fill them</h3>
          <svg
            className="drawing mt-1"
            width="100%"
            height={memorySlots * PITCH_PX + 4}
            role="img"
            aria-label={
              `${name}: ` +
              slots
                .map(
                  ({ n, order, module }) =>
                    `slot ${n} is filled ${ordinal(order)}` + `${module ? `, holds ${module.mark}` : ''}`,
                )
                .join('; ')
            }
          >
            {slots.map(({ n, order, module }, i) => (
              <g key={n} transform={`translate(2 ${i * PITCH_PX + 2})`}>
                <rect className={`solid ${module ? '' : 'empty'}`} x={0} y={3} width="98%" height={26} />
                <path className="dimension" d="M12 3v26M210 12v8" />
                <text className="mark" x={20} y={21}>
                  {n}
                </text>
                <text className="faint" x={44} y={21}>
                  filled {ordinal(order)}
                </text>
                {module && (
                  <text className="mark" x={224} y={21}>
                    {module.mark}
                  </text>
                )}
              </g>
            ))}
          </svg>
        </>
      )}
    </section>
  );
}
