import { factOf, type Part } from './resolve';

/** Mass of a part in g, with its range. */
export type Mass = { readonly value: number; readonly lo: number; readonly hi: number };

/** What of a kind weighs so much, more or less, where its sheet says nothing. */
const TYPICAL_SPREAD = 0.3;

/** The mass its sheet states, else what is typical of such a part (kitchen scales, and sheets of makers). */
export function massOf(part: Part): Mass {
  const stated = part.sheet.massG ?? part.typical.massG;
  if (stated !== undefined) {
    const { value, lo, hi } = factOf(part, 'massG', stated);
    return { value, lo, hi };
  }
  const value = typicalG(part);
  return { value, lo: value * (1 - TYPICAL_SPREAD), hi: value * (1 + TYPICAL_SPREAD) };
}

const DISK_G = { '3.5': 680, '2.5': 160 } as const;
const FLASH_G = { '3.5': 250, '2.5': 60, 'u.2': 110, m2: 9, usb: 15, slot: 180 } as const;
const SUPPLY_G = {
  atx: 1800,
  sfx: 1000,
  'sfx-l': 1200,
  tfx: 900,
  'flex-atx': 800,
  redundant: 1000,
  brick: 400,
  'dc-converter': 60,
} as const;
const FAN_G_120 = 150;

function typicalG(part: Part): number {
  switch (part.kind) {
    case 'drive':
      return part.medium === 'disk' && (part.size === '3.5' || part.size === '2.5')
        ? DISK_G[part.size]
        : FLASH_G[part.size];
    case 'supply':
      return SUPPLY_G[part.form] * part.modules;
    case 'fan':
      return FAN_G_120 * (part.sizeMm / 120) ** 2 * (part.thickMm / 25);
    case 'cooler':
      return part.passive ? 300 : Math.min(1000, 5 * part.heightMm);
    case 'memory':
      return part.form === 'dimm' ? 35 : 12;
    case 'adapter':
      return part.bayGroups.some(({ backplane }) => backplane) ? 900 : 150;
    default:
      return OTHERS_G[part.kind];
  }
}
const OTHERS_G: Readonly<
  Record<Exclude<Part['kind'], 'drive' | 'supply' | 'fan' | 'cooler' | 'memory' | 'adapter'>, number>
> = {
  chassis: 8000,
  board: 800,
  processor: 60,
  controller: 160,
  networkCard: 120,
  accelerator: 900,
  expander: 160,
  carrier: 120,
  riser: 60,
  cable: 60,
  powerAdapter: 30,
  enclosure: 1500,
  ups: 7000,
  sundry: 20,
};
