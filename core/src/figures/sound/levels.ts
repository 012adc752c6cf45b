import type { SoundMeaning, SoundPath } from '../../parts/vocabulary';

/**
 * dB to add for the A-weighted sound power level of a source (ISO 3744, ISO 7779, ISO 9296): a
 * declared power is an upper limit, a pressure at 1 m stands over a floor or in a free field.
 */
export const TO_POWER_DB: Record<SoundMeaning, number> = {
  powerMean: 0,
  powerDeclared: -3,
  pressureOverFloor1m: 10 * Math.log10(2 * Math.PI),
  pressureFreeField1m: 10 * Math.log10(4 * Math.PI),
};

/** What lies between a source and the room, in dB with its range. */
export const PATH_DB: Record<SoundPath, { value: number; lo: number; hi: number }> = {
  open: { value: 0, lo: 0, hi: 0 },
  vented: { value: -2, lo: -3, hi: 0 },
  inside: { value: -6, lo: -8, hi: -3 },
  lined: { value: -10, lo: -12, hi: -8 },
};

/** Sum of levels as energy. */
export const sumLevels = (levels: readonly number[]): number =>
  10 * Math.log10(levels.reduce((sum, level) => sum + 10 ** (level / 10), 0));

/** Sound pressure of a sound power in a room: direct and reverberant field (ISO 3744 notation; r in m, R in m²). */
export const pressureLevel = (powerDb: number, directivity: number, distanceM: number, roomM2: number): number =>
  powerDb + 10 * Math.log10(directivity / (4 * Math.PI * distanceM ** 2) + 4 / roomM2);
