import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Makers’ pages and shops once more; committed before its first run. */
export const TWENTY_FOURTH: readonly Sample[] = [
  {
    id: 'disk, a page of an archive disk',
    kind: 'drive',
    text: `Barge Archive 8TB
Capacity: 8 TB
Interface: SATA 6 Gb/s
Form factor: 3.5"
RPM class: 5400
Recording: SMR
Max sustained transfer rate: 190 MB/s
Cache: 256 MB
Power, read/write: 5.3 W
Power, idle: 3.4 W
Power, standby: 0.25 W
Noise, idle: 23 dBA
Noise, seek: 26 dBA
Dimensions: 146.99 x 101.85 x 26.1 mm
Weight: 610 g
Limited warranty: 2 years`,
    fields: {
      capacityBytes: 8e12,
      interface: 'sata',
      gbPerLane: 6,
      size: '3.5',
      medium: 'disk',
      rpm: 5400,
      shingled: true,
      sequentialMBps: 190,
      busyW: 5.3,
      idleW: 3.4,
      standbyW: 0.25,
      soundIdleDb: 23,
      soundSeekDb: 26,
      lengthMm: 146.99,
      heightMm: 26.1,
      massG: 610,
    },
  },
  {
    id: 'flash, M.2 SATA, a shop’s table',
    kind: 'drive',
    text: `Reed 512 GB M.2 SATA SSD
Type	M.2 2280 SATA
Capacity	512 GB
Read up to	550 MB/s
Write up to	500 MB/s
TBW	280 TB
Operating temperature	0°C to 70°C
Power (idle / max)	0.3 W / 2.8 W`,
    fields: {
      size: 'm2',
      lengthMm: 80,
      interface: 'sata',
      medium: 'flash',
      capacityBytes: 512e9,
      sequentialMBps: 550,
      enduranceTb: 280,
      maxC: 70,
      idleW: 0.3,
      peakW: 2.8,
    },
  },
  {
    id: 'board, a desktop board’s overview',
    kind: 'board',
    text: `Plover B7 motherboard
Socket: Q5
Form factor: Micro-ATX (244 x 244 mm)
Memory: 4 x DDR5 DIMM slots, max 128 GB, ECC supported
SATA ports: 4
M.2 slots: 3
PCIe slots: 1 x PCIe 5.0 x16, 1 x PCIe 4.0 x16 (x4), 1 x PCIe 4.0 x1
Ethernet: 1 x 2.5 Gb/s
Rear USB: 4 x USB 3.2, 2 x USB 2.0
Fan headers: 5`,
    fields: {
      socket: 'Q5',
      holes: 'micro-atx',
      edgeMm: 244,
      depthMm: 244,
      memorySlots: 4,
      memoryType: 'ddr5',
      memoryForm: 'dimm',
      memoryMaxBytes: 128 * GIB,
      memoryEcc: true,
    },
    places: {
      sataPorts: 4,
      m2Sockets: 3,
      slots: [
        { count: 1, lanes: 16, wiredLanes: 16, gen: 5 },
        { count: 1, lanes: 16, wiredLanes: 4, gen: 4 },
        { count: 1, lanes: 1, wiredLanes: 1, gen: 4 },
      ],
      networkPorts: [{ count: 1, gbPerS: 2.5 }],
    },
  },
  {
    id: 'processor, a server one in a data sheet',
    kind: 'processor',
    text: `Shire S16 server processor
Number of cores: 16
Number of threads: 32
Thermal design power: 155 W
Socket: R6
Memory: DDR4-3200, 8 channels, ECC registered
PCI Express: 4.0, 128 lanes
Tcase max: 85 °C`,
    fields: {
      cores: 16,
      threads: 32,
      sustainedW: 155,
      socket: 'R6',
      memoryTypes: ['ddr4'],
      memoryEcc: true,
      gen: 4,
      lanes: 128,
      maxC: 85,
    },
  },
  {
    id: 'cooler, a passive one',
    kind: 'cooler',
    text: `Crag P2 passive heatsink for 2U servers
Socket: R6
Size: 118 x 78 x 64 mm (L x W x H)
Max CPU power: 155 W
Weight: 510 g
Fan: none`,
    fields: { sockets: ['R6'], depthMm: 118, widthMm: 78, heightMm: 64, carriesW: 155, massG: 510, passive: true },
  },
  {
    id: 'memory, a kit on a maker’s page',
    kind: 'memory',
    text: `Clew 2 x 16 GB DDR4-3200 SO-DIMM kit
Memory type: DDR4
Form factor: 260-pin SO-DIMM
Capacity: 32 GB (2 x 16 GB)
Speed: 3200 MT/s
ECC: Non-ECC
Voltage: 1.2 V`,
    fields: { type: 'ddr4', form: 'so-dimm', capacityBytes: 16 * GIB, mtPerS: 3200, ecc: false, registered: false },
  },
  {
    id: 'chassis, a 4U box of a shop',
    kind: 'chassis',
    text: `Byre 20, 4U rack server case
20 x 3.5" hot-swap bays, SAS/SATA backplane
2 x 2.5" internal bays
Supports E-ATX, ATX, Micro-ATX boards
7 full-height expansion slots
Fans: 3 x 120 mm middle, 2 x 80 mm rear
Max cooler height: 140 mm
Max card length: 300 mm
Size: 178 x 430 x 650 mm (H x W x D)
Weight: 14.5 kg
Slide rails: not included`,
    fields: {
      style: 'rack',
      rackUnits: 4,
      heightMm: 178,
      widthMm: 430,
      depthMm: 650,
      massG: 14500,
      slideRails: 'apart',
    },
    places: {
      hotSwap: true,
      bays35: 20,
      bays25: 2,
      boards: ['ssi-eeb', 'atx', 'micro-atx'],
      openings: 7,
      fans: [
        { count: 3, sizeMm: 120, wall: 'middle' },
        { count: 2, sizeMm: 80, wall: 'rear' },
      ],
      coolerMm: 140,
      cardMm: 300,
    },
  },
  {
    id: 'supply, Flex-ATX, a maker’s page',
    kind: 'supply',
    text: `Clinker 300 Flex
Form factor: Flex ATX
Rated output: 300 W
Efficiency: 80 PLUS Bronze
Dimensions: 150 x 81.5 x 40.5 mm (L x W x H)
+12V: 25 A
+5V: 14 A
+3.3V: 12 A
Fan: 40 mm
Connectors: 1 x 24-pin, 1 x 4+4-pin CPU, 3 x SATA, 2 x 4-pin peripheral`,
    fields: {
      form: 'flex-atx',
      ratedW: 300,
      efficiencyClass: 'bronze',
      lengthMm: 150,
      rail12A: 25,
      rail5A: 14,
      rail33A: 12,
    },
    places: { mainPlugs: 1, processorPlugs: 1, sataPlugs: 3, peripheralPlugs: 2 },
  },
  {
    id: 'supply, a brick',
    kind: 'supply',
    text: `Pellet 90 AC adapter
Input: 100-240 V AC, 50/60 Hz
Output: 19 V DC, 4.74 A
Power: 90 W
Connector: 5.5 x 2.5 mm
Efficiency: 89 %
Weight: 320 g`,
    fields: { form: 'brick', outV: 19, ratedW: 90, dcPlug: '5.5 × 2.5', massG: 320 },
  },
  {
    id: 'fan, a slim one',
    kind: 'fan',
    text: `Hush 120 Slim
Fan size: 120 x 120 x 15 mm
Speed: 600-1850 RPM (PWM)
Airflow: 55.4 CFM
Static pressure: 1.61 mmH2O
Noise: 23.9 dB(A)
Current: 0.15 A at 12 V
Weight: 120 g`,
    fields: {
      sizeMm: 120,
      thickMm: 15,
      minRpm: 600,
      maxRpm: 1850,
      pwm: true,
      flowM3h: 94.1,
      pressurePa: 15.79,
      soundDb: 23.9,
      maxW: 1.8,
      massG: 120,
    },
  },
  {
    id: 'HBA, a used one in a shop',
    kind: 'controller',
    text: `Tern 8e, SAS HBA, 8 external ports (2 x SFF-8644), PCIe 3.0 x8, IT mode, low profile bracket, used, tested`,
    fields: { height: 'low', lanes: 8, gen: 3 },
    places: { ports: [{ count: 2, kind: 'sff-8644', side: 'outside' }] },
  },
  {
    id: 'network card, a data sheet’s lines',
    kind: 'networkCard',
    text: `Skein 10S dual SFP+ adapter
Connectors: 2 x SFP+ (10 Gb/s)
Bus: PCI Express 3.0 x8
Typical power: 6.5 W
Maximum power: 9.8 W
Form factor: low profile
Length: 148 mm`,
    fields: { lanes: 8, gen: 3, busyW: 6.5, peakW: 9.8, height: 'low', lengthMm: 148 },
    places: { networkPorts: [{ count: 2, gbPerS: 10 }] },
  },
  {
    id: 'UPS, a rack one in a table',
    kind: 'ups',
    text: `Cistern 2000R rack UPS
Power rating	2000 VA / 1800 W
Topology	Line-interactive, pure sine wave
Battery	48 V / 9 Ah, VRLA
Output sockets	8 x IEC C13
Efficiency	97 %
Net weight	28.6 kg
Size	2U`,
    fields: {
      ratedVa: 2000,
      ratedW: 1800,
      waveform: 'sine',
      batteryWh: 432,
      battery: 'leadAcid',
      outlets: 8,
      efficiencyPct: 97,
      massG: 28600,
    },
  },
];
