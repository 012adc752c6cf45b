import {
  bracketOff,
  bracketOpening,
  cardBracket,
  cardCovers,
  cardHeight,
  cardLength,
  cardOpening,
  cardSlot,
  riserHand,
} from './cards';
import { driveInBay } from './drives';
import { coolerBase, driveHoles, fixedBays, rackBody, rackDepth, stickHeight, supplyScrews } from './holds';
import { boardInChassis, coolerHeight, fanMount, supplyForm, supplyLength } from './parts';
import { goesFirst, plugRoom } from './room';
import { takenOut } from './takenOut';
import type { RulesOf } from '../words';
import type { FitsFacts } from './words';

/** The rules of this family by the code of what they find. */
export const FITS: RulesOf<FitsFacts> = {
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
  'fits.bracketOpening': bracketOpening,
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
};
