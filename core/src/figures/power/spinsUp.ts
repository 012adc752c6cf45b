import type { PartOf } from '../../parts/resolve';

/** Whether a drive takes more while it starts than turning. */
export const spinsUp = (part: PartOf<'drive'>): boolean => part.spinUp.some(({ a12, a5 }) => a12 > 0 || a5 > 0);
