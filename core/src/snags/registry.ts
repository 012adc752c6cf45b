import { cableLength, spareCables } from './cableRules';
import {
  bifurcation,
  bracketOff,
  cardBracket,
  cardHeight,
  cardLink,
  cardOpening,
  cardUplink,
  chipsetUplink,
  laneBudget,
  m2Link,
  riserHand,
  slotPower,
} from './cardRules';
import { bootDrive, frontUsb, idleCard, runsNothing, smallParts, uselessPorts } from './completeRules';
import { cardsInStillAir, coolerCarries, drivesInStillAir, passiveCooler } from './cooledRules';
import {
  boardInChassis,
  cardCovers,
  cardLength,
  cardSlot,
  coolerHeight,
  driveInBay,
  fanMount,
  supplyForm,
  supplyLength,
} from './fitsRules';
import { coolerBase, driveHoles, fixedBays, rackBody, rackDepth, stickHeight, supplyScrews } from './holdRules';
import {
  agedParts,
  bridges,
  aloneForPool,
  pastRatedBays,
  shingledInParity,
  unprotectedCache,
  wornDrives,
} from './lastsRules';
import {
  addedChip,
  largestDrive,
  mostDevices,
  portMultiplier,
  powerDisable,
  raidFirmware,
  sectors,
  uplinkShare,
} from './linkRules';
import {
  display,
  memoryMates,
  memoryMax,
  memoryMixed,
  memoryOrder,
  memoryPath,
  memoryRegistered,
  memorySlots,
  memorySpeed,
  memoryUneven,
  eccUnused,
  processorGeneration,
  processorMemory,
  socket,
} from './matesRules';
import {
  plugLoad,
  plugsShort,
  railLoad,
  splitterLoad,
  start12V,
  startInTurn,
  oneModuleGone,
  supplyTotal,
  wireLoad,
} from './poweredRules';
import { driveInterface, portsShort } from './reachesRules';
import { goesFirst, plugRoom } from './roomRules';
import { takenOut } from './removedRules';
import { brickMates, upsCarries, upsOutlets } from './mainsRules';
import type { Situation } from './situation';
import type { Finding } from './finding';
import { placeName, type Snag } from './snag';
import { SNAG_CODES, type Found, type SnagCode } from './words';
import {
  growthWithinBrief,
  usableLaterWithinBrief,
  usableWithinBrief,
  idleWithinBrief,
  liftedByTwo,
  moneyWithinBrief,
  mustHaves,
  networkWithinBrief,
  otherCurrency,
  peakWithinBrief,
  rackUnitsWithinBrief,
  sizeWithinBrief,
  soundWithinBrief,
} from './withinRules';

/** Every rule by the code of what it finds, in the order a builder would deal with them. */
export const RULES: { readonly [C in SnagCode]: (situation: Situation) => Found<C>[] } = {
  'fits.boardInChassis': boardInChassis,
  'fits.supplyForm': supplyForm,
  'fits.supplyLength': supplyLength,
  'fits.coolerHeight': coolerHeight,
  'fits.cardLength': cardLength,
  'fits.cardSlot': cardSlot,
  'fits.driveInBay': driveInBay,
  'fits.cardCovers': cardCovers,
  'fits.fanMount': fanMount,
  'fits.cardHeight': cardHeight,
  'fits.riserHand': riserHand,
  'fits.bracket': cardBracket,
  'fits.opening': cardOpening,
  'fits.bracketOff': bracketOff,
  'fits.fixedBays': fixedBays,
  'fits.holes': driveHoles,
  'fits.supplyScrews': supplyScrews,
  'fits.coolerBase': coolerBase,
  'fits.stick': stickHeight,
  'fits.plugRoom': plugRoom,
  'fits.goesFirst': goesFirst,
  'fits.takenOut': takenOut,
  'fits.rackBody': rackBody,
  'fits.rackDepth': rackDepth,
  'reaches.interface': driveInterface,
  'reaches.portsShort': portsShort,
  'reaches.multiplier': portMultiplier,
  'reaches.mostDevices': mostDevices,
  'reaches.largestDrive': largestDrive,
  'reaches.slotLink': cardLink,
  'reaches.cardUplink': cardUplink,
  'reaches.m2Link': m2Link,
  'reaches.bifurcation': bifurcation,
  'reaches.laneBudget': laneBudget,
  'reaches.chipsetUplink': chipsetUplink,
  'reaches.addedChip': addedChip,
  'reaches.uplink': uplinkShare,
  'reaches.raid': raidFirmware,
  'mates.memory': memoryMates,
  'mates.memorySlots': memorySlots,
  'mates.memoryRegistered': memoryRegistered,
  'mates.memoryMixed': memoryMixed,
  'mates.memoryUneven': memoryUneven,
  'mates.memorySpeed': memorySpeed,
  'mates.processorMemory': processorMemory,
  'mates.generation': processorGeneration,
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
  'complete.smallParts': smallParts,
  'complete.uselessPorts': uselessPorts,
  'complete.boot': bootDrive,
  'complete.idleCard': idleCard,
  'complete.runsNothing': runsNothing,
  'powered.plugs': plugsShort,
  'powered.total': supplyTotal,
  'powered.oneGone': oneModuleGone,
  'powered.start12V': start12V,
  'powered.inTurn': startInTurn,
  'powered.plugLoad': plugLoad,
  'powered.splitters': splitterLoad,
  'powered.wires': wireLoad,
  'powered.rails': railLoad,
  'powered.slot': slotPower,
  'powered.brick': brickMates,
  'powered.ups': upsCarries,
  'powered.outlets': upsOutlets,
  'cooled.cooler': coolerCarries,
  'cooled.passive': passiveCooler,
  'cooled.drives': drivesInStillAir,
  'cooled.card': cardsInStillAir,
  'lasts.shingled': shingledInParity,
  'lasts.ratedBays': pastRatedBays,
  'lasts.worn': wornDrives,
  'lasts.alone': aloneForPool,
  'lasts.writeBack': unprotectedCache,
  'lasts.bridge': bridges,
  'lasts.aged': agedParts,
  'within.money': moneyWithinBrief,
  'within.idle': idleWithinBrief,
  'within.peak': peakWithinBrief,
  'within.size': sizeWithinBrief,
  'within.lift': liftedByTwo,
  'within.rackUnits': rackUnitsWithinBrief,
  'within.growth': growthWithinBrief,
  'within.usable': usableWithinBrief,
  'within.usableLater': usableLaterWithinBrief,
  'within.network': networkWithinBrief,
  'within.mustHave': mustHaves,
  'within.currency': otherCurrency,
  'within.sound': soundWithinBrief,
};

const RANK = { blocker: 0, caution: 1, note: 2 } as const;

/** All snags of a situation: blockers first, then in the order of the rules. */
export function findSnags(situation: Situation): Snag[] {
  const seen = new Map<string, number>();
  const keyOf = (code: SnagCode, finding: Finding<unknown>): string => {
    const key = `${code}|${finding.at.map(placeName).sort().join(',')}`;
    const times = (seen.get(key) ?? 0) + 1;
    seen.set(key, times);
    // Two troubles of one rule about the same part, such as too deep and too wide, are told apart.
    return times > 1 ? `${key}#${times}` : key;
  };
  // A rule finds what its code says: the table of rules holds the two together.
  return SNAG_CODES.flatMap((code) =>
    RULES[code](situation).map((finding) => ({ ...finding, code, key: keyOf(code, finding) }) as Snag),
  ).sort((a, b) => RANK[a.severity] - RANK[b.severity]);
}
