import type { Brief } from '../build/build';
import type { Part } from '../parts/resolve';

/**
 * By how much a part falls short of what the brief wishes of its kind, where nothing else in the machine shows it yet:
 * drives without a bay, of hot swap where that is a must; 1 for each must a part does not have. 0 where it misses
 * nothing.
 */
export function wishGap(part: Part, { drivesLater = 0, mustHave = [] }: Brief): number {
  const musts = new Set(mustHave);
  switch (part.kind) {
    case 'chassis': {
      const bays = part.bayGroups
        .filter(({ access, takes }) => (access === 'hotSwap' || !musts.has('hotSwap')) && takes.some(isDriveBay))
        .reduce((sum, { rows, columns }) => sum + rows * columns, 0);
      return Math.max(0, (drivesLater || Number(musts.has('hotSwap'))) - bays);
    }
    case 'board':
      return (
        Number(musts.has('remoteManagement') && !part.remoteManagement) + Number(musts.has('ecc') && !part.memoryEcc)
      );
    case 'processor':
      return Number(musts.has('ecc') && !part.memoryEcc);
    case 'memory':
      return Number(musts.has('ecc') && !part.ecc);
    case 'drive':
      return Number(musts.has('allFlash') && part.medium === 'disk');
    default:
      return 0;
  }
}
/** Bays for half-height drives and cages hold no drive by themselves. */
const isDriveBay = (takes: string): boolean => takes !== '5.25';
