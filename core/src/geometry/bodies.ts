import {
  DRIVE_BODY_MM,
  FULL_HEIGHT_CARD_MM,
  LOW_PROFILE_CARD_MM,
  M2_WIDTH_MM,
  SUPPLY_BODY_MM,
  type Size,
} from '../parts/geometry';
import type { Part } from '../parts/resolve';
import { isCard } from '../machine/units';

const moduleBody = (lengthMm: number): Size => ({ widthMm: lengthMm, heightMm: 4, depthMm: M2_WIDTH_MM });

/** Outer size of a part lying on a table. */
export function bodyOf(part: Part): Size {
  if (part.kind === 'drive') {
    if (part.size === 'm2') return moduleBody(part.lengthMm);
    if (part.size === 'slot' || part.size === 'usb') return { widthMm: part.lengthMm, heightMm: 12, depthMm: 60 };
    return { ...DRIVE_BODY_MM[part.size], heightMm: part.heightMm };
  }
  if (part.kind === 'chassis' || part.kind === 'adapter' || part.kind === 'cooler') return part;
  if (part.kind === 'board') return { widthMm: part.edgeMm, heightMm: 6, depthMm: part.depthMm };
  if (part.kind === 'supply') return { ...SUPPLY_BODY_MM[part.form], depthMm: part.lengthMm };
  if (part.kind === 'fan') return { widthMm: part.sizeMm, heightMm: part.thickMm, depthMm: part.sizeMm };
  if (part.kind === 'memory')
    return { widthMm: part.form === 'dimm' ? 133 : 69.6, heightMm: 6, depthMm: part.heightMm };
  if (isCard(part) && part.bus === 'm2') return moduleBody(part.lengthMm);
  if (isCard(part))
    return {
      widthMm: part.lengthMm,
      heightMm: 18 * part.thickSlots,
      depthMm: part.height === 'full' ? FULL_HEIGHT_CARD_MM : LOW_PROFILE_CARD_MM,
    };
  return { widthMm: 50, heightMm: 10, depthMm: 50 };
}
