import type { Sample } from './sample';

/** Splitters, bridges and small parts; written before the reader knew their kinds. */
export const THIRTY_FOURTH: readonly Sample[] = [
  {
    id: 'power adapter, a Y for SATA',
    kind: 'powerAdapter',
    text: `SATA power Y-splitter, 1 x SATA to 2 x SATA, 20 cm, max. 4.5 A`,
    fields: { takes: 'sata-power', ratedA: 4.5 },
    places: { gives: [{ plug: 'sata-power', count: 2 }] },
  },
  {
    id: 'power adapter, a maker’s table',
    kind: 'powerAdapter',
    text: `4-pin peripheral to SATA power adapter cable
Input	1 x 4-pin peripheral
Output	4 x SATA power
Rated current	10 A
Length	300 mm`,
    fields: { takes: 'peripheral', ratedA: 10 },
    places: { gives: [{ plug: 'sata-power', count: 4 }] },
  },
  {
    id: 'power adapter, for a card',
    kind: 'powerAdapter',
    text: `Power adapter: 2 x SATA power to 1 x 6-pin PCIe`,
    fields: { takes: 'sata-power' },
    places: { gives: [{ plug: '6-pin-card', count: 1 }] },
  },
  {
    id: 'bridge, a shop',
    kind: 'enclosure',
    text: `USB 3.2 Gen 1 to SATA adapter for 2.5" and 3.5" drives
Transfer rate: up to 5 Gb/s
Max. drive capacity: 20 TB`,
    fields: { link: 'usb', gbPerS: 5, largestDriveBytes: 20e12 },
  },
  {
    id: 'bridge, a dock',
    kind: 'enclosure',
    text: `Mooring 2 docking station
Interface: USB 3.2 Gen 2 (10 Gb/s), Type-C
Drives: 2 x 3.5"/2.5" SATA
Supports drives up to 24 TB each`,
    fields: { link: 'usb', gbPerS: 10, largestDriveBytes: 24e12 },
  },
  {
    id: 'small part, a coin cell',
    kind: 'sundry',
    text: `CR2032 coin cell battery, 3 V lithium, pack of 5`,
    fields: { use: 'coinCell', packOf: 5 },
  },
  {
    id: 'small part, a fan hub',
    kind: 'sundry',
    text: `PWM fan hub for 8 fans, SATA power, max. 4.5 A`,
    fields: { use: 'fanHub', fans: 8, ratedA: 4.5, plug: 'sata-power' },
  },
  {
    id: 'small part, rails',
    kind: 'sundry',
    text: `Sliding rail kit for 4U chassis, 660 mm
Weight: 2.4 kg`,
    fields: { use: 'slideRails', massG: 2400 },
  },
  {
    id: 'small part, a module for a port',
    kind: 'sundry',
    text: `SFP+ transceiver module 10GBASE-SR, 850 nm, LC, 1 W`,
    fields: { use: 'transceiver' },
  },
];
