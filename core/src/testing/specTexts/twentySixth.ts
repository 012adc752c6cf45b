import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Headed lists, comparison rows, PDF tables and sellers’ words; committed before its first run. */
export const TWENTY_SIXTH: readonly Sample[] = [
  {
    id: 'disk, a PDF’s table of one model',
    kind: 'drive',
    text: `Specifications	BE16T
Formatted capacity	16 TB
Interface	SATA 6.0 Gbit/s
Buffer size	512 MiB
Rotation speed	7,200 rpm
Maximum data transfer speed (typ.)	269 MiB/s
MTTF	2,500,000 h
Power consumption, read/write (typ.)	7.63 W
Power consumption, active idle (typ.)	4.00 W
Acoustics, idle (typ.)	20 dB
Start-up current, +12 V	1.85 A
Start-up current, +5 V	0.95 A
Temperature, operating	5 - 60 °C
Height	26.1 mm max.
Length	147.0 mm max.
Weight	720 g max.
Logical data block length	512e`,
    fields: {
      capacityBytes: 16e12,
      interface: 'sata',
      gbPerLane: 6,
      medium: 'disk',
      rpm: 7200,
      sequentialMBps: 282,
      busyW: 7.63,
      idleW: 4,
      soundIdleDb: 20,
      maxC: 60,
      heightMm: 26.1,
      lengthMm: 147,
      massG: 720,
      sectors: '512e',
    },
    places: { start: { a12: 1.85, a5: 0.95 } },
  },
  {
    id: 'disk, 2.5-inch, a shop’s list',
    kind: 'drive',
    text: `Punt 2TB portable-class hard drive, bare
• 2.5", 7 mm
• 2 TB, SMR
• SATA 6Gb/s
• 5400 RPM, 128 MB cache
• 140 MB/s sustained
• 1.7 W read/write, 0.5 W idle, 0.18 W standby
• 90 g`,
    fields: {
      size: '2.5',
      heightMm: 7,
      capacityBytes: 2e12,
      shingled: true,
      interface: 'sata',
      gbPerLane: 6,
      medium: 'disk',
      rpm: 5400,
      sequentialMBps: 140,
      busyW: 1.7,
      idleW: 0.5,
      standbyW: 0.18,
      massG: 90,
    },
  },
  {
    id: 'flash, SATA for servers, a maker’s brief',
    kind: 'drive',
    text: `Pike DS 960 GB SATA data center SSD
Form factor: 2.5-inch, 7 mm
Interface: SATA 6 Gb/s
NAND: 3D TLC
Sequential read/write: 550 / 520 MB/s
Random read/write (4K): 98,000 / 30,000 IOPS
Endurance: 1.3 DWPD, 5 years (2,277 TBW)
Power loss protection: yes
Active power: 3.6 W
Idle power: 1.3 W
UBER: 1 per 10^17
Operating temperature: 0 °C - 70 °C`,
    fields: {
      capacityBytes: 960e9,
      size: '2.5',
      heightMm: 7,
      interface: 'sata',
      gbPerLane: 6,
      medium: 'flash',
      sequentialMBps: 550,
      randomIops: 98000,
      enduranceTb: 2277,
      powerLossSafe: true,
      busyW: 3.6,
      idleW: 1.3,
      unreadablePerBit: 1e-17,
      maxC: 70,
    },
  },
  {
    id: 'board, headed lists',
    kind: 'board',
    text: `Gannet Q5-M server motherboard
Form Factor
  Micro-ATX, 244 mm x 244 mm
Processor
  Socket Q5, max. 105 W TDP
Memory
  4 x DDR5 ECC UDIMM, up to 192 GB
Expansion
  1 x PCIe 5.0 x16
  1 x PCIe 4.0 x4
Storage
  8 x SATA 6Gb/s
  2 x M.2 2280 (PCIe 4.0 x4)
Network
  2 x 1GbE, 1 x dedicated management LAN
Management
  BMC with IPMI 2.0 and KVM over LAN`,
    fields: {
      holes: 'micro-atx',
      edgeMm: 244,
      depthMm: 244,
      socket: 'Q5',
      carriesW: 105,
      memorySlots: 4,
      memoryType: 'ddr5',
      memoryForm: 'dimm',
      memoryEcc: true,
      memoryMaxBytes: 192 * GIB,
      remoteManagement: true,
    },
    places: {
      slots: [
        { count: 1, lanes: 16, wiredLanes: 16, gen: 5 },
        { count: 1, lanes: 4, wiredLanes: 4, gen: 4 },
      ],
      sataPorts: 8,
      m2Sockets: 2,
      networkPorts: [{ count: 2, gbPerS: 1 }],
    },
  },
  {
    id: 'board, an old one from an auction',
    kind: 'board',
    text:
      'Plover H6 ATX mainboard, socket P3, 4x DDR3 DIMM max 32GB, 6x SATA, 1x PCIe 3.0 x16, 2x PCIe 2.0 x1, ' +
      'Gigabit LAN, tested, with I/O shield',
    fields: {
      holes: 'atx',
      socket: 'P3',
      memorySlots: 4,
      memoryType: 'ddr3',
      memoryForm: 'dimm',
      memoryMaxBytes: 32 * GIB,
    },
    places: {
      sataPorts: 6,
      slots: [
        { count: 1, lanes: 16, wiredLanes: 16, gen: 3 },
        { count: 2, lanes: 1, wiredLanes: 1, gen: 2 },
      ],
      networkPorts: [{ count: 1, gbPerS: 1 }],
    },
  },
  {
    id: 'processor, used, a listing',
    kind: 'processor',
    text: `Shire E14 server CPU, 14 cores / 28 threads, 2.4 GHz, socket R3, 120 W TDP, DDR4, 40 PCIe 3.0 lanes, tested`,
    fields: {
      cores: 14,
      threads: 28,
      socket: 'R3',
      sustainedW: 120,
      memoryTypes: ['ddr4'],
      lanes: 40,
      gen: 3,
    },
  },
  {
    id: 'processor, a maker’s ark of lines',
    kind: 'processor',
    text: `Drover 6T
Total Cores
6
Total Threads
12
Max Turbo Frequency
4.4 GHz
TDP
35 W
Max Memory Size
128 GB
Memory Types
DDR4-3200, DDR5-4800
ECC Memory Supported
No
PCI Express Revision
5.0 and 4.0
Max # of PCI Express Lanes
20
Sockets Supported
Q5
TJUNCTION
100 °C`,
    fields: {
      cores: 6,
      threads: 12,
      sustainedW: 35,
      memoryTypes: ['ddr4', 'ddr5'],
      memoryEcc: false,
      gen: 5,
      lanes: 20,
      socket: 'Q5',
      maxC: 100,
    },
  },
  {
    id: 'cooler, a maker’s table',
    kind: 'cooler',
    text: `Crag S120 tower cooler
Product dimensions (LxWxH)	71 x 121 x 154 mm
Fan dimensions	120 x 120 x 25 mm
Fan speed	500 - 1800 rpm
Noise level	26 dB(A)
Weight	650 g
TDP	180 W
Compatible sockets	Q4 / Q5`,
    fields: { depthMm: 71, widthMm: 121, heightMm: 154, massG: 650, carriesW: 180, sockets: ['Q4', 'Q5'] },
  },
  {
    id: 'memory, a maker’s part page',
    kind: 'memory',
    text: `Part Number: CL-32R4
Product: 32 GB DDR4 Registered DIMM
Density: 32GB
Organisation: 2Rx4
Data rate: 3200 MT/s
Pins: 288
ECC: yes
Voltage: 1.2 V`,
    fields: { capacityBytes: 32 * GIB, type: 'ddr4', form: 'dimm', registered: true, mtPerS: 3200, ecc: true },
  },
  {
    id: 'chassis, a maker’s page in rows',
    kind: 'chassis',
    text: `Byre 8 Quiet tower
Case form factor: Tower
Supported boards: ATX, Micro-ATX, Mini-ITX
Drive mounts: 8 x 3.5" (trays), 2 x 2.5"
Front 5.25" bays: 2
Expansion slots: 7
Power supply: ATX (not included), max. 210 mm
CPU cooler: max. 170 mm
Graphics card: max. 320 mm
Fans included: 2 x 140 mm front, 1 x 140 mm rear
Dimensions (H x W x D): 460 x 230 x 520 mm
Weight: 9.8 kg`,
    fields: { style: 'tower', heightMm: 460, widthMm: 230, depthMm: 520, massG: 9800 },
    places: {
      boards: ['atx', 'micro-atx', 'mini-itx'],
      bays35: 8,
      bays25: 2,
      bays525: 2,
      openings: 7,
      supplyForms: ['atx'],
      supplyMm: 210,
      coolerMm: 170,
      cardMm: 320,
      fans: [
        { count: 2, sizeMm: 140, wall: 'front' },
        { count: 1, sizeMm: 140, wall: 'rear' },
      ],
    },
  },
  {
    id: 'chassis, a shelf of drives',
    kind: 'chassis',
    text: `Ledge 16 JBOD expansion enclosure
Form factor: 3U rack
Drive bays: 16 x 3.5" hot-swap SAS/SATA
Backplane: SAS3 expander, 12 Gb/s, 2 x SFF-8644
Power supplies: 2 x 500 W redundant
Cooling: 3 x 80 mm rear fans
Dimensions: 133 x 430 x 560 mm (H x W x D)
Rail kit included`,
    fields: { style: 'external', rackUnits: 3, heightMm: 133, widthMm: 430, depthMm: 560, slideRails: 'included' },
    places: {
      bays35: 16,
      hotSwap: true,
      backplane: [{ count: 2, kind: 'sff-8644' }],
      supplyForms: ['redundant'],
      fans: [{ count: 3, sizeMm: 80, wall: 'rear' }],
    },
  },
  {
    id: 'supply, a maker’s page in rows',
    kind: 'supply',
    text: `Ember 550 ATX power supply
Maximum power: 550 W
Form factor: ATX, 150 x 86 x 140 mm
Efficiency: up to 92 % (80 PLUS Gold)
Cable management: full modular
DC output: +3.3V 20 A, +5V 20 A (110 W combined), +12V 45.5 A, +5VSB 3 A
Connectors: 1 x ATX 24-pin, 1 x EPS 4+4-pin, 2 x PCIe 6+2-pin, 6 x SATA, 3 x peripheral
Fan: 120 mm
Weight: 1.5 kg`,
    fields: {
      ratedW: 550,
      form: 'atx',
      lengthMm: 140,
      efficiencyClass: 'gold',
      modular: true,
      rail33A: 20,
      rail5A: 20,
      combined5And33W: 110,
      rail12A: 45.5,
      massG: 1500,
    },
    places: { mainPlugs: 1, processorPlugs: 1, cardPlugs: 2, sataPlugs: 6, peripheralPlugs: 3 },
  },
  {
    id: 'supply, an industrial brick’s sheet',
    kind: 'supply',
    text: `Pellet 120 desktop AC/DC adapter
DC voltage: 12 V
Rated current: 10 A
Rated power: 120 W
Efficiency (typ.): 90 %
Connector: barrel plug 5.5 x 2.5 mm
Weight: 0.55 kg`,
    fields: { form: 'brick', outV: 12, ratedW: 120, dcPlug: '5.5 × 2.5', massG: 550 },
  },
  {
    id: 'fan, a server fan’s PDF',
    kind: 'fan',
    text: `Gust 80x38 PWM
Rated voltage: 12 VDC
Rated current: 1.2 A
Rated speed: 8000 RPM ±10 %
Air flow: 87 CFM
Static pressure: 38 mm-H2O
Noise: 58 dB-A
Weight: 190 g`,
    fields: {
      sizeMm: 80,
      thickMm: 38,
      maxRpm: 8000,
      flowM3h: 147.8,
      pressurePa: 372.7,
      soundDb: 58,
      maxW: 14.4,
      pwm: true,
      massG: 190,
    },
  },
  {
    id: 'controller, a SATA card in a shop',
    kind: 'controller',
    text: `Stilt 5 SATA expansion card
Ports: 5 x SATA III (6 Gb/s)
Slot: PCIe 3.0 x2 (fits x4, x8, x16)
No port multiplier
Power consumption: 2.5 W
Low-profile bracket supplied`,
    fields: { lanes: 2, gen: 3, busyW: 2.5, height: 'low' },
    places: { ports: [{ count: 5, kind: 'sata', side: 'inside' }] },
  },
  {
    id: 'network card, a maker’s page in rows',
    kind: 'networkCard',
    text: `Skein 10T dual-port 10 GbE adapter
Ports: 2 x RJ45 (10GBASE-T)
Speeds: 10G / 5G / 2.5G / 1G
Host interface: PCIe 3.0 x4
Power: typ. 9.5 W, max. 13 W
Dimensions: 140 mm x 69 mm
Operating temperature: 0 to 55 °C`,
    fields: { lanes: 4, gen: 3, busyW: 9.5, peakW: 13, lengthMm: 140 },
    places: { networkPorts: [{ count: 2, gbPerS: 10 }] },
  },
  {
    id: 'UPS, a maker’s page in rows',
    kind: 'ups',
    text: `Cistern 1500 tower UPS
Output power: 1500 VA / 1000 W
Output waveform: sine wave
Outlets: 8 (all battery backed)
Battery: 2 x 12 V / 8.5 Ah, sealed lead-acid
Transfer time: 6 ms
Efficiency: 96 %
Dimensions (W x H x D): 170 x 220 x 440 mm
Net weight: 24.1 kg`,
    fields: {
      ratedVa: 1500,
      ratedW: 1000,
      waveform: 'sine',
      outlets: 8,
      batteryWh: 204,
      battery: 'leadAcid',
      efficiencyPct: 96,
      massG: 24100,
    },
  },
  {
    id: 'expander, a maker’s page',
    kind: 'expander',
    text: `Weir 28 SAS expander card
Ports: 6 x SFF-8643 internal, 1 x SFF-8644 external
Power: from PCIe slot or 4-pin connector
Power consumption: 13 W
Form factor: low profile`,
    fields: { poweredBy: 'either', busyW: 13, height: 'low' },
    places: {
      ports: [
        { count: 6, kind: 'sff-8643', side: 'inside' },
        { count: 1, kind: 'sff-8644', side: 'outside' },
      ],
    },
  },
  {
    id: 'riser, a shop’s line',
    kind: 'riser',
    text: `PCIe x16 riser cable, 250 mm, PCIe 4.0`,
    fields: { edgeLanes: 16, lengthMm: 250 },
  },
];
