import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Seldom kinds and chassis in other words; committed before its first run. */
export const TWENTY_NINTH: readonly Sample[] = [
  {
    id: 'accelerator, a maker’s table',
    kind: 'accelerator',
    text: `Beacon A40 graphics card
Bus interface	PCI Express 4.0 x16
Memory	12 GB GDDR6
Maximum graphics power	130 W
Power connector	1 x 8-pin
Slot width	2 slots
Card length	241 mm
Display outputs	4 x DisplayPort 1.4
Idle power	12 W`,
    fields: {
      gen: 4,
      lanes: 16,
      peakW: 130,
      thickSlots: 2,
      lengthMm: 241,
      displayOutput: true,
      idleW: 12,
    },
  },
  {
    id: 'accelerator, for transcoding, used',
    kind: 'accelerator',
    text:
      'Beacon C2 compute accelerator, PCIe 3.0 x16, 75 W, passive, low profile, single slot, ' +
      'no display outputs, 168 mm',
    fields: { gen: 3, lanes: 16, peakW: 75, height: 'low', thickSlots: 1, displayOutput: false, lengthMm: 168 },
  },
  {
    id: 'cage, four in one',
    kind: 'adapter',
    text: `Hutch 4-in-1 backplane module
Installs in: one 5.25" bay
Holds: 4 x 2.5" SATA/SAS drives, 5–15 mm, hot-swap
Data: 4 x SATA
Power: 1 x SATA 15-pin
Weight: 720 g`,
    fields: { sitsIn: '5.25', span: 1, massG: 720 },
    places: { bays25: 4 },
  },
  {
    id: 'cable, SlimSAS to four SATA',
    kind: 'cable',
    text: `SlimSAS 4i (SFF-8654) to 4 x SATA breakout cable
Length 50 cm
Direction: host SFF-8654 to drives (forward)`,
    fields: { lengthMm: 500 },
    places: {
      ends: [
        { kind: 'sff-8654-4i', tails: 1 },
        { kind: 'sata', tails: 4 },
      ],
      isReverse: false,
    },
  },
  {
    id: 'cable, outside',
    kind: 'cable',
    text: `External mini-SAS HD cable SFF-8644 to SFF-8644, 2 m, 12 Gb/s, passive copper`,
    fields: { lengthMm: 2000 },
    places: {
      ends: [
        { kind: 'sff-8644', tails: 1 },
        { kind: 'sff-8644', tails: 1 },
      ],
    },
  },
  {
    id: 'expander, a seller',
    kind: 'expander',
    text:
      'SAS expander card Weir 24, 12Gb/s, 7 x SFF-8643 (5 to drives, 2 to HBA), ' +
      'powered by 4-pin connector or PCIe slot, draws about 11 W',
    fields: { poweredBy: 'either', busyW: 11 },
    places: { ports: [{ count: 7, kind: 'sff-8643', side: 'inside' }] },
  },
  {
    id: 'carrier, a seller',
    kind: 'carrier',
    text:
      'Dual M.2 NVMe to PCIe adapter card, PCIe 4.0 x8, needs bifurcation x4x4, ' +
      'low profile and full height brackets',
    fields: { gen: 4, lanes: 8, height: 'low' },
    places: { m2Sockets: 2 },
  },
  {
    id: 'memory, a pair for servers',
    kind: 'memory',
    text: `2x 32GB DDR4-2666 ECC LRDIMM server RAM (64GB kit)`,
    fields: { capacityBytes: 32 * GIB, type: 'ddr4', form: 'dimm', ecc: true, registered: true, mtPerS: 2666 },
  },
  {
    id: 'chassis, an open frame',
    kind: 'chassis',
    text: `Trestle open frame for home labs
Boards: ATX, Micro-ATX, Mini-ITX
Drives: 6 x 3.5" on trays
Supply: ATX
Slots: 7
Size (W x D x H): 300 x 420 x 380 mm
Weight: 3.9 kg`,
    fields: { style: 'openFrame', widthMm: 300, depthMm: 420, heightMm: 380, massG: 3900 },
    places: {
      boards: ['atx', 'micro-atx', 'mini-itx'],
      bays35: 6,
      supplyForms: ['atx'],
      openings: 7,
    },
  },
  {
    id: 'chassis, a 1U short box',
    kind: 'chassis',
    text: `Gable 1S short-depth 1U chassis
• Rack height 1U (43.5 mm), width 430 mm, depth 350 mm
• 1 x full-height slot with riser
• 2 x 3.5" or 4 x 2.5" fixed bays
• Mini-ITX / Flex-ATX PSU
• 3 x 40 mm fans, middle
• 4.1 kg`,
    fields: { style: 'rack', rackUnits: 1, heightMm: 43.5, widthMm: 430, depthMm: 350, massG: 4100 },
    places: {
      openings: 1,
      bays35: 2,
      bays25: 4,
      boards: ['mini-itx'],
      supplyForms: ['flex-atx'],
      fans: [{ count: 3, sizeMm: 40, wall: 'middle' }],
    },
  },
  {
    id: 'chassis, a maker’s PDF of a tower server',
    kind: 'chassis',
    text: `Steading S5 server tower
Drive bays
  Internal: 5 x 3.5" fixed
  External: 3 x 5.25"
Mainboard
  SSI-EEB, E-ATX, ATX
Expansion
  8 full-height slots
Cooling
  Front: 2 x 120 mm
  Rear: 1 x 120 mm
Power supply
  PS/2 ATX, up to 220 mm
Dimensions
  H 450 mm, W 200 mm, D 560 mm
Weight
  12.3 kg`,
    fields: { style: 'tower', heightMm: 450, widthMm: 200, depthMm: 560, massG: 12300 },
    places: {
      bays35: 5,
      bays525: 3,
      boards: ['ssi-eeb', 'atx'],
      openings: 8,
      fans: [
        { count: 2, sizeMm: 120, wall: 'front' },
        { count: 1, sizeMm: 120, wall: 'rear' },
      ],
      supplyForms: ['atx'],
      supplyMm: 220,
    },
  },
  {
    id: 'disk, a shop’s short facts',
    kind: 'drive',
    text: `HDD 3.5" SATA
Barge N12 12 TB
12 TB | 7200 rpm | 256 MB | SATA-600
Read: 240 MB/s
Power: 6.9 W (operation), 4.9 W (idle), 0.6 W (standby)
Noise: 20 dB (idle), 28 dB (seek)
CMR, helium filled
AFR 0.6 %`,
    fields: {
      size: '3.5',
      interface: 'sata',
      medium: 'disk',
      capacityBytes: 12e12,
      rpm: 7200,
      sequentialMBps: 240,
      busyW: 6.9,
      idleW: 4.9,
      standbyW: 0.6,
      soundIdleDb: 20,
      soundSeekDb: 28,
      shingled: false,
      annualFailurePct: 0.6,
    },
  },
  {
    id: 'supply, a TFX one',
    kind: 'supply',
    text: `Clinker 300 TFX
Output: 300 W max
Type: TFX12V
Efficiency: 80 PLUS Bronze
Rails: +3.3V 12A / +5V 14A / +12V 24A
Dimensions: 175 (L) x 85 (W) x 65 (H) mm
Connectors: 24-pin, 4-pin CPU, 3 x SATA, 1 x 4-pin`,
    fields: {
      form: 'tfx',
      ratedW: 300,
      efficiencyClass: 'bronze',
      rail33A: 12,
      rail5A: 14,
      rail12A: 24,
      lengthMm: 175,
    },
    places: { mainPlugs: 1, sataPlugs: 3, peripheralPlugs: 1 },
  },
];
