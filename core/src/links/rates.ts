import type { PartOf } from '../parts/resolve';
import type { Protocol } from '../parts/vocabulary';

/** MB/s a lane and way after line coding (PCI Express Base specification), by generation. */
export const PCIE_LANE_MBPS: readonly number[] = [0, 250, 500, 985, 1969, 3938, 7563];
/** Share of a PCI Express link that is payload. */
const PCIE_PAYLOAD = 0.87;
/** Real MB/s of a link of so many lanes. */
export const linkMBps = (lanes: number, gen: number): number => Math.round(lanes * PCIE_LANE_MBPS[gen]! * PCIE_PAYLOAD);
/** What conventional PCI really carries, all of its slots together (PCI 2.3: 133 raw). */
export const PCI_MBPS = 100;
/** Real MB/s of a USB link by its Gb/s. */
const USB_MBPS: readonly (readonly [gbPerS: number, mbPerS: number])[] = [
  [20, 2100],
  [10, 1050],
  [5, 430],
  [0, 38],
];
/** No disk gives more than a link of 3 Gb/s carries. */
const DISK_MBPS = 300;

/** What one lane carries: 8b/10b coding up to 24 Gb/s for SATA and SAS, the tables above for the others. */
export function laneMBps(protocol: Protocol, gbPerLane: number): number {
  if (protocol === 'usb') return USB_MBPS.find(([gb]) => gbPerLane >= gb)![1];
  if (protocol === 'pcie') return gbPerLane >= 8 ? Math.round((gbPerLane * 1000 * (128 / 130)) / 8) : gbPerLane * 100;
  return gbPerLane * 100;
}

/** What a drive would like of its link: all of it, of a disk no more than its platters give. */
export function wishMBps(drive: PartOf<'drive'>): number {
  const link =
    drive.interface === 'nvme'
      ? drive.lanes * (PCIE_LANE_MBPS[drive.pcieGen ?? 3] ?? 0)
      : laneMBps(drive.interface, drive.gbPerLane) * (drive.interface === 'usb' ? 1 : drive.lanes);
  return drive.medium === 'disk' ? Math.min(DISK_MBPS, link) : link;
}
