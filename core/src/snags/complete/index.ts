import { bootDrive, idleCard, runsNothing, smallParts, uselessPorts } from './rules';
import type { RulesOf } from '../words';
import type { CompleteFacts } from './words';

/** The rules of this family by the code of what they find. */
export const COMPLETE: RulesOf<CompleteFacts> = {
  'complete.smallParts': smallParts,
  'complete.uselessPorts': uselessPorts,
  'complete.boot': bootDrive,
  'complete.idleCard': idleCard,
  'complete.runsNothing': runsNothing,
};
