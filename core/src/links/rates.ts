import { plainAt } from '../lists';
import type { CardPart } from '../machine/units';
import type { PartOf } from '../parts/resolve';
import type { Protocol } from '../parts/vocabulary';

/** MB/s a lane and way after line coding (PCI Express Base specification), by generation. */
export const PCIE_LANE_MBPS: readonly number[] = [0, 250, 500, 985, 1969, 3938, 7563];
/** Share of a PCI Express link that is payload. */
const PCIE_PAYLOAD = 0.87;
/** Real MB/s of a link of so many lanes. */
export const linkMBps = (lanes: number, gen: number): number =>
  Math.round(lanes * plainAt(PCIE_LANE_MBPS, gen) * PCIE_PAYLOAD);
/** What conventional PCI really carries, all of its slots together (PCI 2.3: 133 raw). */
export const PCI_MBPS = 100;
/** Real MB/s of a USB link by its Gb/s. */
const USB_MBPS: readonly (readonly [gbPerS: number, mbPerS: number])[] = [
  [20, 2100],
  [10, 1050],
  [5, 430],
  [0, 38],
];
/** Payload of an Ethernet port, MB/s a Gb/s. */
const ETHERNET_MBPS = 117.7;

/** What one lane carries: 8b/10b coding up to 24 Gb/s for SATA and SAS, the tables above for the others. */
export function laneMBps(protocol: Protocol, gbPerLane: number): number {
  if (protocol === 'usb') return USB_MBPS.find(([gb]) => gbPerLane >= gb)![1];
  if (protocol === 'pcie') return gbPerLane >= 8 ? Math.round((gbPerLane * 1000 * (128 / 130)) / 8) : gbPerLane * 100;
  return Math.round(gbPerLane * 100);
}

/** No SATA drive's link is faster, Gb/s (SATA 3.x). */
export const SATA_GB = 6;
/** Whether every drive of a machine that may hang on an expander speaks SATA. */
export const speaksSataAlone = (drives: readonly PartOf<'drive'>[]): boolean =>
  drives.every((drive) => drive.interface !== 'sas');
/**
 * Gb/s a lane of an expander's uplink runs at for SATA drives: each holds the lane at its own rate, unless the expander
 * gathers what they send (edge buffering). Wiring is dealt as if it did where that is not known.
 */
export const uplinkGb = (gbPerLane: number, edgeBuffering: boolean | undefined, sataAlone: boolean): number =>
  sataAlone && edgeBuffering === false ? Math.min(gbPerLane, SATA_GB) : gbPerLane;

const linkOf = (drive: PartOf<'drive'>): number =>
  drive.interface === 'nvme'
    ? drive.lanes * (PCIE_LANE_MBPS[drive.pcieGen ?? 3] ?? 0)
    : laneMBps(drive.interface, drive.gbPerLane) * (drive.interface === 'usb' ? 1 : drive.lanes);

/** What a drive asks of its link, MB/s: what its sheet says it gives in a row, never more than the link carries. */
export const wishMBps = (drive: PartOf<'drive'>): number => Math.min(drive.sequentialMBps, linkOf(drive));

/** No disk gives more than a link of 3 Gb/s carries. */
const DISK_MBPS = 300;
/**
 * What the wiring deals a drive as: all of its link, of a disk what the quickest give. By their sheets drives would be
 * of many more kinds, and which cable is best hardly ever hangs on that.
 */
export const dealtMBps = (drive: PartOf<'drive'>): number =>
  drive.medium === 'disk' ? Math.min(DISK_MBPS, linkOf(drive)) : linkOf(drive);

/** What a card would like of its slot, MB/s before payload: its whole link, of a network card what its ports carry. */
export function cardWishMBps(part: CardPart): number {
  const link = part.lanes * (PCIE_LANE_MBPS[part.gen] ?? 0);
  if (part.kind !== 'networkCard') return link;
  return Math.round(Math.min(link, networkMBps(part.networkPorts) / PCIE_PAYLOAD));
}
/** What network ports carry together, MB/s. */
export const networkMBps = (ports: PartOf<'networkCard'>['networkPorts']): number =>
  ports.reduce((sum, one) => sum + one.count * one.gbPerS * ETHERNET_MBPS, 0);
