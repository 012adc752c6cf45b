import type { MemoryRoom } from '@inch-tower/core';
import { countWords } from './format';

const GB = 1024 ** 3;

/** How much memory there is, how much there could be, and the way there. */
export function memoryWords({ fittedBytes, mostBytes, free, path }: MemoryRoom): string {
  const [fitted, most] = [fittedBytes / GB, mostBytes / GB];
  if (!path) return fitted < most ? `${fitted} of ${most} GB.` : `${fitted} GB, the most the board takes.`;
  const more = `${path.add} × ${path.ofBytes / GB} GB`;
  if (path.giveUp > 0)
    return `${fitted} of ${most} GB. The rest means ${more}, and ${countWords(path.giveUp, 'module')} given up.`;
  return `${fitted} of ${most} GB. ${countWords(free, 'slot is', 'slots are')} free: ${more} would fill it.`;
}
