import { besideUps, brickMates, upsCarries, upsOutlets, upsWaveform } from './mains';
import {
  cableDrop,
  fanHeaders,
  fanSteering,
  manyOnACable,
  plugLoad,
  plugsShort,
  slotPower,
  splitterLoad,
  wireLoad,
} from './plugs';
import { nothingStarts, oneModuleGone, railLoad, start12V, startInTurn, supplyTotal } from './supply';
import type { RulesOf } from '../words';
import type { PoweredFacts } from './words';

/** The rules of this family by the code of what they find. */
export const POWERED: RulesOf<PoweredFacts> = {
  'powered.plugs': plugsShort,
  'powered.total': supplyTotal,
  'powered.oneGone': oneModuleGone,
  'powered.start12V': start12V,
  'powered.inTurn': startInTurn,
  'powered.plugLoad': plugLoad,
  'powered.splitters': splitterLoad,
  'powered.wires': wireLoad,
  'powered.drop': cableDrop,
  'powered.manyOnACable': manyOnACable,
  'powered.rails': railLoad,
  'powered.unstarted': nothingStarts,
  'powered.fans': fanHeaders,
  'powered.fanSteer': fanSteering,
  'powered.slot': slotPower,
  'powered.brick': brickMates,
  'powered.ups': upsCarries,
  'powered.outlets': upsOutlets,
  'powered.waveform': upsWaveform,
  'powered.besideUps': besideUps,
};
