import { cableLength, halfPlugs, spareCables } from './cables';
import {
  eccUnused,
  memoryMates,
  memoryMax,
  memoryMixed,
  memoryOrder,
  memoryPath,
  memoryRegistered,
  memorySlots,
  memorySpeed,
  memoryUneven,
  processorMemory,
} from './memory';
import { boardWatts, display, frontUsb, powerDisable, processorGeneration, sectors, socket } from './parts';
import type { RulesOf } from '../words';
import type { MatesFacts } from './words';

/** The rules of this family by the code of what they find. */
export const MATES: RulesOf<MatesFacts> = {
  'mates.memory': memoryMates,
  'mates.memorySlots': memorySlots,
  'mates.memoryRegistered': memoryRegistered,
  'mates.memoryMixed': memoryMixed,
  'mates.memoryUneven': memoryUneven,
  'mates.memorySpeed': memorySpeed,
  'mates.processorMemory': processorMemory,
  'mates.generation': processorGeneration,
  'mates.boardWatts': boardWatts,
  'mates.ecc': eccUnused,
  'mates.socket': socket,
  'mates.memoryMax': memoryMax,
  'mates.display': display,
  'mates.sectors': sectors,
  'mates.powerDisable': powerDisable,
  'mates.memoryOrder': memoryOrder,
  'mates.memoryPath': memoryPath,
  'mates.frontUsb': frontUsb,
  'mates.spareCables': spareCables,
  'mates.cableLength': cableLength,
  'mates.halfPlugs': halfPlugs,
};
