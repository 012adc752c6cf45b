import { unitsById, type PlannedUnit } from '../machine/units';
import type { CableRow, Wiring } from './rows';

/** One line of the cable list, in words. */
export type ScheduleLine = {
  readonly label: string;
  readonly from: string;
  readonly to: string;
  readonly drives: string;
  readonly kind: string;
  readonly direction: string;
  readonly length: string;
  readonly source: string;
  readonly how: string;
};

const DIRECTION = {
  straight: 'straight',
  forward: 'forward: one end at the card, tails at the drives',
  reverse: 'reverse: tails at the ports, one end at the bays',
} as const;
const HOW = { solved: '', put: 'put by hand', held: 'held' } as const;

/** Lengths cables are sold in, mm. */
const SOLD_MM = [300, 500, 750, 1000, 1500, 2000, 3000];

/** What to buy or which one to take: a cable of the kit, one from a box, or the shortest sold that is long enough. */
export function lengthWords({ source, runMm }: Pick<CableRow, 'source' | 'runMm'>): string {
  if (source.kind !== 'buy') return `${source.lengthMm} mm`;
  if (runMm === null) return 'as far as the boxes stand apart';
  return `${SOLD_MM.find((mm) => mm >= runMm) ?? Math.ceil(runMm / 500) * 500} mm (the way is about ${runMm})`;
}

export const sourceWords = ({ source }: Pick<CableRow, 'source'>): string =>
  source.kind === 'kit'
    ? `in the kit: ${source.name}`
    : source.kind === 'box'
      ? `in the box of ${source.of}`
      : 'to buy';

/** The cable list: one line each, both ends labelled alike. */
export function scheduleOf(wiring: Wiring, units: readonly PlannedUnit[]): ScheduleLine[] {
  const byId = unitsById(units);
  return wiring.hosts
    .flatMap(({ cables }) => cables)
    .map((row) => ({
      label: row.label,
      from: row.from.words,
      to: row.to.words,
      drives: row.drives.map((id) => byId.get(id)?.mark ?? id).join(' '),
      kind: row.cable.name,
      direction: DIRECTION[row.cable.shape],
      length: lengthWords(row),
      source: sourceWords(row),
      how: HOW[row.wire.how],
    }));
}
