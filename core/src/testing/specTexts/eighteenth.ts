import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Written after small kinds were added, and committed before it was first run on them. */
export const EIGHTEENTH: readonly Sample[] = [
  {
    id: 'expander, a product page',
    kind: 'expander',
    text: `Tern E36 SAS expander card
36-port 12 Gb/s SAS expander
Internal connectors: 7 x SFF-8643
External connectors: 2 x SFF-8644
Power: PCIe slot or 4-pin peripheral plug
Typical power consumption 11.5 W
Form factor: full height, 167 mm x 111 mm
Operating temperature 0-55 °C`,
    fields: { poweredBy: 'either', busyW: 11.5, height: 'full', lengthMm: 167 },
    places: {
      ports: [
        { count: 7, kind: 'sff-8643', side: 'inside' },
        { count: 2, kind: 'sff-8644', side: 'outside' },
      ],
    },
  },
  {
    id: 'carrier, a shop’s line with points',
    kind: 'carrier',
    text: `Quad M.2 NVMe to PCIe 4.0 x16 adapter card
- Supports 4 x M.2 2280/22110 SSDs (M key)
- Requires slot bifurcation x4/x4/x4/x4
- Low profile and full height brackets included
- Size: 167 x 69 mm`,
    fields: { height: 'low', gen: 4, lanes: 16, lengthMm: 167 },
    places: { m2Sockets: 4 },
  },
  {
    id: 'riser, a short listing',
    kind: 'riser',
    text: `PCIe 4.0 x16 riser cable
Length: 200 mm
Connector: PCIe x16 male to x16 female
Shielded, black`,
    fields: { edgeLanes: 16, lengthMm: 200 },
  },
  {
    id: 'cable, a breakout',
    kind: 'cable',
    text: `Mini SAS HD breakout cable
SFF-8643 to 4x SATA
Length: 1 m
Forward breakout: host SFF-8643, target SATA
Up to 12 Gb/s`,
    fields: { lengthMm: 1000 },
    places: {
      ends: [
        { kind: 'sff-8643', tails: 1 },
        { kind: 'sata', tails: 4 },
      ],
      isReverse: false,
    },
  },
  {
    id: 'cable, reverse',
    kind: 'cable',
    text: `Reverse breakout cable 4 x SATA to SFF-8087, 50 cm`,
    fields: { lengthMm: 500 },
    places: {
      ends: [
        { kind: 'sata', tails: 4 },
        { kind: 'sff-8087', tails: 1 },
      ],
      isReverse: true,
    },
  },
  {
    id: 'cage, a mobile rack',
    kind: 'adapter',
    text: `Byre 5 hot-swap drive cage
5 x 3.5" SATA/SAS in 3 x 5.25" bays
Backplane: 6 Gb/s, tray-less
1 x 80 mm fan, 2 speed
Power: 2 x SATA
Dimensions: 148 x 128 x 225 mm
Weight: 1.9 kg`,
    fields: { sitsIn: '5.25', span: 3, massG: 1900 },
    places: { bays35: 5 },
  },
  {
    id: 'supply, the label on its side',
    kind: 'supply',
    text: `CLINKER 650 GOLD
AC INPUT	100-240V~ 10-5A 50-60Hz
DC OUTPUT	+3.3V	+5V	+12V	-12V	+5VSB
MAX CURRENT	20A	20A	54A	0.3A	2.5A
COMBINED POWER	100W		648W	3.6W	12.5W
TOTAL POWER	650W`,
    fields: {
      rail33A: 20,
      rail5A: 20,
      rail12A: 54,
      combined5And33W: 100,
      ratedW: 650,
      efficiencyClass: 'gold',
    },
  },
  {
    id: 'fan, ranges',
    kind: 'fan',
    text: `Whist 120 PWM
Speed 450 - 1800 rpm
Airflow 15.8 - 63.4 CFM
Static pressure 0.12 - 1.9 mmH2O
Noise 8.5 - 26.8 dB(A)
Rated current 0.12 A
Rated voltage 12 V DC
Dimensions 120 x 120 x 25 mm
Connector 4-pin PWM`,
    fields: {
      minRpm: 450,
      maxRpm: 1800,
      flowM3h: 107.72,
      pressurePa: 18.63,
      soundDb: 26.8,
      maxW: 1.44,
      sizeMm: 120,
      thickMm: 25,
      pwm: true,
    },
  },
  {
    id: 'chassis, a tower’s page',
    kind: 'chassis',
    text: `Steading T10 mid tower
Case type: Mid tower
Motherboard: ATX / Micro-ATX / Mini-ITX
Drive bays: 10 x 3.5" internal, 2 x 2.5"
Expansion slots: 7
Fans: 3 x 140 mm front (included), 1 x 140 mm rear (included)
Max. GPU length: 315 mm
Max. CPU cooler height: 172 mm
Max. PSU length: 200 mm
Dimensions (LxWxH): 543 x 240 x 474 mm
Net weight: 10.2 kg`,
    fields: { style: 'tower', depthMm: 543, widthMm: 240, heightMm: 474, massG: 10200 },
    places: {
      boards: ['atx', 'micro-atx', 'mini-itx'],
      bays35: 10,
      bays25: 2,
      openings: 7,
      fans: [
        { count: 3, sizeMm: 140, wall: 'front' },
        { count: 1, sizeMm: 140, wall: 'rear' },
      ],
      cardMm: 315,
      coolerMm: 172,
      supplyMm: 200,
    },
  },
  {
    id: 'board, a server board in sentences of a data sheet',
    kind: 'board',
    text: `Gannet D4
Form factor: Mini-ITX (170 x 170 mm)
Processor: soldered 8-core SoC, 25 W TDP
Memory: 4 x DDR4 RDIMM/UDIMM ECC, max. 256 GB
Expansion: 1 x PCIe 3.0 x16
SATA: 12 x SATA 6Gb/s (8 via 2 x SFF-8643... no, via SlimSAS)
M.2: 1 x 2280 (PCIe 3.0 x4)
LAN: 2 x 10GBASE-T, 1 x dedicated IPMI
Management: BMC with IPMI 2.0
Operating temperature: 0 to 50 °C`,
    fields: {
      memoryRegistered: 'may',
      holes: 'mini-itx',
      edgeMm: 170,
      depthMm: 170,
      memorySlots: 4,
      memoryType: 'ddr4',
      memoryForm: 'dimm',
      memoryMaxBytes: 256 * GIB,
      memoryEcc: true,
      remoteManagement: true,
    },
    places: {
      sataPorts: 12,
      m2Sockets: 1,
      slots: [{ count: 1, lanes: 16, wiredLanes: 16, gen: 3 }],
      networkPorts: [{ count: 2, gbPerS: 10 }],
    },
  },
  {
    id: 'disk, a table of several rates',
    kind: 'drive',
    text: `Barge Pro 16TB
Interface	SAS 12Gb/s
Capacity	16TB
Sector format	512e
Spindle speed	7200 RPM
Max. sustained transfer rate OD	261 MB/s
Average latency	4.16 ms
Power: idle A	5.0 W
Power: max operating, random read/write	9.4 W
Startup current 12V	1.8 A
Startup current 5V	0.85 A
Acoustics: idle	2.8 bels
Acoustics: seek	3.2 bels
Height	26.1 mm
Width	101.85 mm
Depth	147 mm
Weight	670 g
Annualized failure rate	0.35%
Nonrecoverable read errors per bits read	1 per 10E15
Operating temperature	5 to 60 °C`,
    fields: {
      interface: 'sas',
      gbPerLane: 12,
      capacityBytes: 16e12,
      sectors: '512e',
      rpm: 7200,
      medium: 'disk',
      sequentialMBps: 261,
      idleW: 5,
      peakW: 9.4,
      soundIdleDb: 28,
      soundSeekDb: 32,
      soundMeaning: 'powerDeclared',
      heightMm: 26.1,
      lengthMm: 147,
      massG: 670,
      annualFailurePct: 0.35,
      unreadablePerBit: 1e-15,
      maxC: 60,
      size: '3.5',
    },
  },
  {
    id: 'flash, M.2 on a page',
    kind: 'drive',
    text: `Reed X 2TB NVMe SSD
Form Factor: M.2 2280
Interface: PCIe Gen4 x4, NVMe 1.4
Sequential Read: 7,000 MB/s
Sequential Write: 6,500 MB/s
Random 4K Read: 1,000,000 IOPS
Endurance: 1,200 TBW
MTTF: 1.8 million hours
Power (active): 6.5 W
Power (idle): 60 mW
Operating temp: 0 – 70 °C`,
    fields: {
      capacityBytes: 2e12,
      size: 'm2',
      lengthMm: 80,
      interface: 'nvme',
      pcieGen: 4,
      lanes: 4,
      medium: 'flash',
      sequentialMBps: 7000,
      randomIops: 1e6,
      enduranceTb: 1200,
      busyW: 6.5,
      idleW: 0.06,
      maxC: 70,
    },
  },
  {
    id: 'UPS, a line a fact',
    kind: 'ups',
    text: `Cistern 900 line-interactive UPS
900 VA / 540 W
Output waveform on battery: simulated sine wave
6 outlets (IEC C13)
Battery: 12 V 9 Ah sealed lead acid
Typical recharge time 6 hours
Weight 6.8 kg`,
    fields: {
      ratedVa: 900,
      ratedW: 540,
      waveform: 'stepped',
      outlets: 6,
      batteryWh: 108,
      battery: 'leadAcid',
      massG: 6800,
    },
  },
  {
    id: 'processor, a shop’s list',
    kind: 'processor',
    text: `Drover 6 desktop processor
Socket: Q5
Cores/threads: 6/12
Base clock: 3.4 GHz
TDP: 65 W
Integrated graphics: yes
Memory: DDR5-5600, ECC supported
PCI Express: 24 lanes, PCIe 5.0
Tjmax: 95 °C`,
    fields: {
      memoryTypes: ['ddr5'],
      socket: 'Q5',
      cores: 6,
      threads: 12,
      sustainedW: 65,
      graphics: true,
      memoryEcc: true,
      lanes: 24,
      gen: 5,
      maxC: 95,
    },
  },
  {
    id: 'memory, one line',
    kind: 'memory',
    text: `Clew 2x16GB DDR5-4800 CL40 UDIMM ECC 1.1V kit`,
    fields: { capacityBytes: 16 * GIB, type: 'ddr5', form: 'dimm', registered: false, ecc: true, mtPerS: 4800 },
  },
  {
    id: 'HBA, a data sheet with all brackets',
    kind: 'controller',
    text: `Tern 16i tri-mode storage adapter (HBA)
Host interface: x8 PCIe 4.0
Internal ports: 2 x SFF-8654 (x8)
Devices: up to 1024 SAS/SATA, 32 NVMe
Power: 9.9 W typical, 14.1 W max
Airflow required: 200 LFM
Bracket: low profile, full height in the box
Temperature: 0 to 55 °C`,
    fields: {
      height: 'low',
      lanes: 8,
      gen: 4,
      mostDevices: 1024,
      busyW: 9.9,
      peakW: 14.1,
      needsAirMPerS: 1.016,
      maxC: 55,
    },
    places: { ports: [{ count: 2, kind: 'sff-8654-8i', side: 'inside' }] },
  },
];
