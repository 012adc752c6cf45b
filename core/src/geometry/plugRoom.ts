import type { BayGroup } from '../parts/chassisValues';

/**
 * What a straight SATA plug takes before a drive with the bend of its cable, and an angled one: typical of the trade.
 */
export const STRAIGHT_PLUG_MM = 30;
export const ANGLED_PLUG_MM = 14;

/**
 * Which way the plugs of a drive look in a bay where cables go to each; null before a backplane. It goes in turned
 * round
 * where only that gives its plugs room.
 */
export function plugsEnd({ backplane, plugRoomMm, turnedPlugRoomMm = 0 }: BayGroup): 'rear' | 'front' | null {
  if (backplane) return null;
  return plugRoomMm !== undefined && plugRoomMm < STRAIGHT_PLUG_MM && turnedPlugRoomMm >= STRAIGHT_PLUG_MM
    ? 'front'
    : 'rear';
}
