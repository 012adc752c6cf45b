import { said, type DmiEntry } from './dmi';

type Row = Readonly<Record<string, unknown>>;
/** The newest generation of PCIe beside each memory (PCI-SIG base specifications, by the platforms of their time). */
const NEWEST_GEN: Readonly<Record<string, number>> = { ddr3: 3, ddr4: 4, ddr5: 5 };

/** Slots by the tables (SMBIOS type 9), in their order; undefined where they name none. */
export function slotsFrom(entries: readonly DmiEntry[], memory: string | undefined): readonly Row[] | undefined {
  const told = entries.flatMap((entry) => {
    const type = entry.type === 9 ? said(entry, 'Type') : undefined;
    if (!type || /m\.2|mini|mxm|u\.2|oculink/i.test(type)) return [];
    const lanes = Number(/\bx(16|8|4|1)\b/i.exec(type)?.[1]);
    const isPci = /(?:^|\d-bit )PCI(?:$|\b(?! express))/i.test(type) && !/express/i.test(type);
    if (!isPci && !(lanes > 0 && /pci express|pcie/i.test(type))) return [];
    const gen = Number(/(?:express|gen|pcie) ?([1-6])\b/i.exec(type)?.[1]);
    return [{ label: said(entry, 'Designation'), lanes: isPci ? 1 : lanes, gen, isPci }];
  });
  if (told.length === 0) return undefined;
  const widest = Math.max(...told.filter(({ isPci }) => !isPci).map(({ lanes }) => lanes), 0);
  return told.slice(0, 8).map(({ label, lanes, gen, isPci }, i) => ({
    key: `slot${i + 1}`,
    label: (label ?? `Slot ${i + 1}`).slice(0, 60),
    position: i,
    bus: isPci ? 'pci' : 'pcie',
    lanes,
    wiredLanes: lanes,
    gen: isPci ? 1 : gen > 0 ? gen : (NEWEST_GEN[memory ?? ''] ?? 3),
    owner: !isPci && lanes === widest ? 'processor' : 'chipset',
    openEnd: false,
  }));
}

/**
 * Sockets for modules: as the tables count them, and none beside DDR3, whose boards hardly ever have one that takes a
 * drive; undefined where nothing is known.
 */
export function m2From(entries: readonly DmiEntry[], memory: string | undefined): readonly Row[] | undefined {
  const count = entries.filter((entry) => entry.type === 9 && /m\.2 socket 3/i.test(said(entry, 'Type') ?? '')).length;
  if (count > 0)
    return Array.from({ length: Math.min(count, 6) }, (_, i) => ({
      key: `m2n${i + 1}`,
      label: `M.2 socket ${i + 1}`,
      lengthsMm: [42, 60, 80],
      gen: Math.min(4, NEWEST_GEN[memory ?? ''] ?? 3),
      lanes: 4,
      carries: ['pcie', 'sata'],
      owner: i === 0 ? 'processor' : 'chipset',
    }));
  return memory === 'ddr3' ? [] : undefined;
}
