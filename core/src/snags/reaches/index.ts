import { addedChip, uplinkShare } from './links';
import { driveInterface, largestDrive, mostDevices, portMultiplier, portsShort, raidFirmware } from './ports';
import { bifurcation, cardLink, cardUplink, chipsetUplink, laneBudget, m2Link } from './slots';
import type { RulesOf } from '../words';
import type { ReachesFacts } from './words';

/** The rules of this family by the code of what they find. */
export const REACHES: RulesOf<ReachesFacts> = {
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
};
