import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Again in forms of listings, forum posts, manuals and settings; committed before its first run. */
export const TWENTIETH: readonly Sample[] = [
  {
    id: 'disk, a listing of a reseller',
    kind: 'drive',
    text: `Barge 14TB 7.2K 3.5" SAS 12Gb/s 256MB cache 512e hard drive - renewed, 2 year warranty, 0 bad sectors`,
    fields: {
      capacityBytes: 14e12,
      rpm: 7200,
      size: '3.5',
      interface: 'sas',
      gbPerLane: 12,
      sectors: '512e',
      medium: 'disk',
    },
  },
  {
    id: 'flash, U.2 in a table with units in the head',
    kind: 'drive',
    text: `Zander U 7.68 TB
Form factor	U.2 15 mm
Interface	PCIe 4.0 x4 NVMe
Sequential read (MB/s)	6800
Random read (IOPS)	1,000,000
Active power (W)	16
Idle power (W)	5
Endurance (DWPD, 5 years)	1
UBER	<1 sector per 10^17 bits read
MTBF	2 million hours`,
    fields: {
      capacityBytes: 7.68e12,
      size: 'u.2',
      heightMm: 15,
      interface: 'nvme',
      pcieGen: 4,
      lanes: 4,
      medium: 'flash',
      sequentialMBps: 6800,
      randomIops: 1e6,
      busyW: 16,
      idleW: 5,
      enduranceTb: 14016,
      unreadablePerBit: 1e-17,
    },
  },
  {
    id: 'chassis, a manual’s chapter',
    kind: 'chassis',
    text: `2. Specifications
Model: Creel 4
Type: Mini tower server chassis
Hot-swap drive bays: four 3.5-inch
Internal bays: two 2.5-inch
Mainboard: Mini-ITX
Power supply: Flex ATX, 1U
Cooling: one 120 mm rear fan
Dimensions: 203 mm (W) x 255 mm (H) x 305 mm (D)
Weight: 4.4 kg
Expansion: one half-height slot`,
    fields: { style: 'tower', widthMm: 203, heightMm: 255, depthMm: 305, massG: 4400 },
    places: {
      hotSwap: true,
      supplyForms: ['flex-atx'],
      bays35: 4,
      bays25: 2,
      boards: ['mini-itx'],
      fans: [{ count: 1, sizeMm: 120, wall: 'rear' }],
      openings: 1,
    },
  },
  {
    id: 'supply, a review’s summary',
    kind: 'supply',
    text:
      'Ember 550 SFX: fully modular 550 W SFX supply, 80 PLUS Platinum, 100 mm deep, 92 mm fan that stands still ' +
      'below 30 % load. 12 V: 45.8 A. 24-pin, 1x EPS 4+4, 2x PCIe 6+2, 6x SATA, 2x 4-pin peripheral.',
    fields: {
      form: 'sfx',
      ratedW: 550,
      efficiencyClass: 'platinum',
      lengthMm: 100,
      rail12A: 45.8,
      modular: true,
    },
    places: { mainPlugs: 1, processorPlugs: 1, cardPlugs: 2, sataPlugs: 6, peripheralPlugs: 2 },
  },
  {
    id: 'board, a forum’s list',
    kind: 'board',
    text: `Plover C6 ATX board, socket Q4
* 4x DDR4 DIMM, max 128GB, ECC UDIMM supported
* 1x PCIe 4.0 x16, 1x PCIe 3.0 x16 (x4 electrical), 2x PCIe 3.0 x1
* 8x SATA 6Gb/s
* 2x M.2 2280
* 1x 2.5GbE
* 305 x 244 mm`,
    fields: {
      holes: 'atx',
      socket: 'Q4',
      memorySlots: 4,
      memoryType: 'ddr4',
      memoryForm: 'dimm',
      memoryMaxBytes: 128 * GIB,
      memoryEcc: true,
      edgeMm: 305,
      depthMm: 244,
    },
    places: {
      slots: [
        { count: 1, lanes: 16, wiredLanes: 16, gen: 4 },
        { count: 1, lanes: 16, wiredLanes: 4, gen: 3 },
        { count: 2, lanes: 1, wiredLanes: 1, gen: 3 },
      ],
      sataPorts: 8,
      m2Sockets: 2,
      networkPorts: [{ count: 1, gbPerS: 2.5 }],
    },
  },
  {
    id: 'cable, U.2',
    kind: 'cable',
    text: `SlimSAS SFF-8654 8i to 2x U.2 (SFF-8639) cable
Cable length 0.75 m
PCIe 4.0`,
    fields: { lengthMm: 750 },
    places: {
      ends: [
        { kind: 'sff-8654-8i', tails: 1 },
        { kind: 'sff-8639', tails: 2 },
      ],
    },
  },
  {
    id: 'cable, SATA with lock',
    kind: 'cable',
    text: `SATA III data cable with locking latch, 45 cm, straight to right angle, red`,
    fields: { lengthMm: 450 },
    places: {},
  },
  {
    id: 'cage, a listing',
    kind: 'adapter',
    text: `5.25" to 4x 2.5" SATA/SAS hot swap cage, fits one 5.25 bay, 40mm fan, metal trays`,
    fields: { sitsIn: '5.25', span: 1 },
    places: { bays25: 4 },
  },
  {
    id: 'expander, an auction',
    kind: 'expander',
    text:
      'SAS2 expander card 24 port 6Gb/s, 6x SFF-8087 internal, 1x SFF-8088 external, PCIe x8 slot for power only, ' +
      'full height',
    fields: { poweredBy: 'slot', lanes: 8, height: 'full' },
    places: {
      ports: [
        { count: 6, kind: 'sff-8087', side: 'inside' },
        { count: 1, kind: 'sff-8088', side: 'outside' },
      ],
    },
  },
  {
    id: 'UPS, a table in mark-up',
    kind: 'ups',
    text: `| Cistern 700 | |
|---|---|
| Capacity | 700 VA / 390 W |
| Topology | standby |
| Output waveform (battery) | stepped approximation to a sine wave |
| Outlets | 8 |
| Battery | 1 x 12 V 7 Ah, lead-acid |
| Weight | 5.9 kg |`,
    fields: {
      ratedVa: 700,
      ratedW: 390,
      waveform: 'stepped',
      outlets: 8,
      batteryWh: 84,
      battery: 'leadAcid',
      massG: 5900,
    },
  },
  {
    id: 'fan, settings',
    kind: 'fan',
    text: `name: Hush 140
size: 140 mm
thickness: 25 mm
rpm_min: 300
rpm_max: 1500
airflow: 140 m3/h
pressure: 1.9 mmH2O
noise: 24.5 dB(A)
power: 1.6 W
pwm: true`,
    fields: {
      sizeMm: 140,
      thickMm: 25,
      minRpm: 300,
      maxRpm: 1500,
      flowM3h: 140,
      pressurePa: 18.63,
      soundDb: 24.5,
      maxW: 1.6,
      pwm: true,
    },
  },
  {
    id: 'HBA, a listing with firmware',
    kind: 'controller',
    text: `Tern 8i SAS3 HBA IT mode, 8 internal ports (2x SFF-8643), PCIe 3.0 x8, both brackets, P16 firmware`,
    fields: { lanes: 8, gen: 3 },
    places: { ports: [{ count: 2, kind: 'sff-8643', side: 'inside' }] },
  },
];
