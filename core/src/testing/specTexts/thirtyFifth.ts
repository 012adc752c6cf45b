import type { Sample } from './sample';

/** Splitters, bridges and small parts once more, with cages and cards; committed before its first run. */
export const THIRTY_FIFTH: readonly Sample[] = [
  {
    id: 'power adapter, four plugs of one',
    kind: 'powerAdapter',
    text: `4-pin peripheral to 4 x SATA power splitter cable, 40 cm`,
    fields: { takes: 'peripheral' },
    places: { gives: [{ plug: 'sata-power', count: 4 }] },
  },
  {
    id: 'power adapter, German',
    kind: 'powerAdapter',
    text: `Strom Y-Kabel SATA auf 2x SATA
Belastbar bis 4,5 A
Länge: 15 cm`,
    fields: { takes: 'sata-power', ratedA: 4.5 },
    places: { gives: [{ plug: 'sata-power', count: 2 }] },
  },
  {
    id: 'bridge, one cable',
    kind: 'enclosure',
    text: `USB-C to SATA cable adapter, USB 3.2 Gen 2, 10 Gbps, for 2.5-inch drives`,
    fields: { link: 'usb', gbPerS: 10 },
  },
  {
    id: 'small part, thermal paste',
    kind: 'sundry',
    text: `Thermal paste 4 g syringe, 8.5 W/mK`,
    fields: { use: 'paste' },
  },
  {
    id: 'small part, patch cables',
    kind: 'sundry',
    text: `Cat 6A patch cable, 2 m, 10-pack`,
    fields: { use: 'networkCable', packOf: 10 },
  },
  {
    id: 'small part, a hub with ten ports',
    kind: 'sundry',
    text: `Fan hub
Ports: 10
Power: 1 x SATA
Max. load: 54 W`,
    fields: { use: 'fanHub', fans: 10, plug: 'sata-power' },
  },
  {
    id: 'small part, trays',
    kind: 'sundry',
    text: `Spare drive caddy for Gable chassis, 3.5", set of 4`,
    fields: { use: 'caddy', packOf: 4 },
  },
  {
    id: 'cage, three in two',
    kind: 'adapter',
    text: `Hutch 3-in-2 drive cage
Uses two 5.25" bays for 3 x 3.5" SATA drives, hot-swap
80 mm fan
Weight 1.2 kg`,
    fields: { sitsIn: '5.25', span: 2, massG: 1200 },
    places: { bays35: 3 },
  },
  {
    id: 'riser, a short card',
    kind: 'riser',
    text: `1U riser card, PCIe x16, right-hand`,
    fields: { edgeLanes: 16 },
  },
  {
    id: 'cable, for U.2',
    kind: 'cable',
    text: `OCuLink SFF-8611 4i to U.2 SFF-8639 cable
Length: 0.5 m
PCIe 4.0 x4`,
    fields: { lengthMm: 500 },
    places: {
      ends: [
        { kind: 'sff-8611-4i', tails: 1 },
        { kind: 'sff-8639', tails: 1 },
      ],
    },
  },
];
