import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Written after the fifteenth was read, and committed before it was first run on them. */
export const SIXTEENTH: readonly Sample[] = [
  {
    id: 'disk, a maker’s comparison page with one model',
    kind: 'drive',
    text: `Barge Pro 20TB
Overview
Designed for NAS systems with up to 24 bays.
Specs
Capacity: 20TB
Form factor: 3.5-Inch
Interface: SATA
Performance
Interface transfer rate: up to 600 MB/s
Internal transfer rate: up to 268 MB/s
Disk speed (RPM): 7200
Cache: 512MB
Reliability
Workload rate: 550 TB/year
Non-recoverable errors per bits read: <1 in 10^15
Power management
Read/Write: 7.1 W
Idle: 3.8 W
Standby and sleep: 1.6 W
Acoustics
Idle: 20 dBA
Seek: 32 dBA
Physical dimensions
Height: 26.1 mm
Length: 147 mm
Width: 101.6 mm
Weight: 1.52 lb`,
    fields: {
      unreadablePerBit: 1e-15,
      capacityBytes: 20e12,
      size: '3.5',
      interface: 'sata',
      sequentialMBps: 268,
      rpm: 7200,
      medium: 'disk',
      busyW: 7.1,
      idleW: 3.8,
      standbyW: 1.6,
      soundIdleDb: 20,
      soundSeekDb: 32,
      heightMm: 26.1,
      lengthMm: 147,
      massG: 689.5,
      ratedBays: 24,
    },
  },
  {
    id: 'SATA flash, a German datasheet',
    kind: 'drive',
    text: `Pike 1,92 TB Server-SSD
Bauform: 2,5 Zoll / 7 mm
Anschluss: SATA 6 Gbit/s
Lesen (sequenziell): 550 MB/s
Schreiben (sequenziell): 520 MB/s
IOPS Lesen (4K): 95.000
Lebensdauer: 3.500 TBW
Leistungsaufnahme: 3,0 W aktiv / 1,2 W Leerlauf
Stromausfallschutz: ja
Betriebstemperatur: 0–70 °C
Gewicht: 62 g`,
    fields: {
      capacityBytes: 1.92e12,
      size: '2.5',
      heightMm: 7,
      interface: 'sata',
      gbPerLane: 6,
      medium: 'flash',
      sequentialMBps: 550,
      randomIops: 95000,
      enduranceTb: 3500,
      busyW: 3,
      idleW: 1.2,
      powerLossSafe: true,
      maxC: 70,
      massG: 62,
    },
  },
  {
    id: 'supply, SFX from a maker’s table',
    kind: 'supply',
    text: `Model	Ember 600 SFX
Type	SFX12V
Max. DC output	600 W
Certification	80 PLUS Gold
Operating temperature	0-40 °C
Modular	Yes (fully)
Fan	92 mm, semi-passive
+3.3V	15 A
+5V	15 A
+12V	50 A
+3.3V & +5V combined	80 W
Dimensions (W x H x D)	125 mm x 63.5 mm x 100 mm
Connectors	1 x 24-pin, 1 x 8-pin EPS (4+4), 2 x PCIe 6+2, 6 x SATA, 2 x 4-pin peripheral`,
    fields: {
      form: 'sfx',
      ratedW: 600,
      efficiencyClass: 'gold',
      modular: true,
      rail33A: 15,
      rail5A: 15,
      rail12A: 50,
      combined5And33W: 80,
      lengthMm: 100,
    },
    places: { mainPlugs: 1, processorPlugs: 1, cardPlugs: 2, sataPlugs: 6, peripheralPlugs: 2 },
  },
  {
    id: 'server board, a feature list',
    kind: 'board',
    text: `Gannet F9 server motherboard
Form factor: SSI-EEB, 12" x 13"
CPU: single socket R6, up to 225 W TDP
Memory: 8 DIMM slots, DDR4-3200 RDIMM/LRDIMM, up to 2 TB
Expansion: 5 x PCIe 4.0 x16, 2 x PCIe 4.0 x8
Storage: 2 x M.2, 8 x SATA 6 Gb/s
Networking: 2 x 10GBASE-T
Management: IPMI 2.0 with dedicated LAN`,
    fields: {
      memoryRegistered: 'must',
      memoryEcc: true,
      holes: 'ssi-eeb',
      edgeMm: 304.8,
      depthMm: 330.2,
      socket: 'R6',
      carriesW: 225,
      memorySlots: 8,
      memoryType: 'ddr4',
      memoryForm: 'dimm',
      memoryMaxBytes: 2048 * GIB,
      remoteManagement: true,
    },
    places: {
      slots: [
        { count: 5, lanes: 16, wiredLanes: 16, gen: 4 },
        { count: 2, lanes: 8, wiredLanes: 8, gen: 4 },
      ],
      m2Sockets: 2,
      sataPorts: 8,
      networkPorts: [{ count: 2, gbPerS: 10 }],
    },
  },
  {
    id: 'tower cooler, a German shop',
    kind: 'cooler',
    text: `Tarn 160 CPU-Kühler
Sockel: Q4, Q5, Q6
Abmessungen mit Lüfter (HxBxT): 160 x 129 x 112 mm
Gewicht mit Lüfter: 950 g
Kühlleistung: 220 W TDP
Lüfter: 1 x 120 mm, 300-1500 U/min
Lautstärke: max. 24,6 dB(A)`,
    fields: {
      sockets: ['Q4', 'Q5', 'Q6'],
      heightMm: 160,
      widthMm: 129,
      depthMm: 112,
      massG: 950,
      carriesW: 220,
    },
  },
  {
    id: 'case fan pack, an English shop',
    kind: 'fan',
    text: `Gale 120 high pressure fan, 120mm
Max speed 2200 RPM (min 450)
Max airflow 74.2 CFM
Max static pressure 3.1 mm H2O
Max noise 31.4 dBA
4-pin PWM
12 V DC, 0.2 A
Dimensions 120 x 120 x 25 mm`,
    fields: {
      sizeMm: 120,
      thickMm: 25,
      maxRpm: 2200,
      minRpm: 450,
      flowM3h: 126.07,
      pressurePa: 30.4,
      soundDb: 31.4,
      pwm: true,
      maxW: 2.4,
    },
  },
  {
    id: 'chassis, a 1U in a German catalogue',
    kind: 'chassis',
    text: `Plank 1HE Server-Gehäuse
Höhe: 1 HE (44 mm)
Breite: 438 mm
Tiefe: 560 mm
Laufwerksschächte: 4 x 3,5" Hot-Swap
Mainboard: bis ATX
Netzteil: Flex-ATX
Lüfter: 4 x 40 mm mittig
Steckplätze: 1 x Riser, volle Höhe
Gewicht: 7,9 kg
Rackschienen im Lieferumfang enthalten`,
    fields: {
      style: 'rack',
      rackUnits: 1,
      heightMm: 44,
      widthMm: 438,
      depthMm: 560,
      massG: 7900,
      slideRails: 'included',
    },
    places: {
      hotSwap: true,
      supplyForms: ['flex-atx'],
      bays35: 4,
      boards: ['atx'],
      fans: [{ count: 4, sizeMm: 40, wall: 'middle' }],
      openings: 1,
    },
  },
  {
    id: 'UPS, a US page with runtime',
    kind: 'ups',
    text: `Sump 850 Back-up battery
Output power: 850VA / 510W
Outlets: 10 (5 battery, 5 surge)
Waveform: simulated sine wave
Battery: 12V / 8.5Ah x 1, sealed lead acid
Runtime at half load: 9 min
Weight: 16.1 lbs
Dimensions: 7.2" x 11.2" x 4.8"`,
    fields: {
      ratedVa: 850,
      ratedW: 510,
      outlets: 10,
      waveform: 'stepped',
      battery: 'leadAcid',
      batteryWh: 102,
      massG: 7302.8,
    },
  },
  {
    id: 'memory, a data sheet’s summary',
    kind: 'memory',
    text: `Clew CL5R64
64GB 2Rx4 PC5-4800B-R
DDR5 SDRAM RDIMM
Data rate: 4800 MT/s
ECC: on-module, 10x4 bits
Voltage: 1.1 V
Module height: 31.25 mm
Operating temperature: 0 to 95 °C`,
    fields: {
      capacityBytes: 64 * GIB,
      type: 'ddr5',
      form: 'dimm',
      registered: true,
      mtPerS: 4800,
      heightMm: 31.25,
    },
  },
  {
    id: 'SATA card, a shop’s title and bullets',
    kind: 'controller',
    text: `Stilt 6 SATA card, PCIe x4 Gen3, 6 ports
- 6 x SATA III (6 Gb/s) internal ports
- PCIe 3.0 x4, works in x4/x8/x16 slots
- Full-height and low-profile brackets
- Power: 4.5 W max
- No RAID`,
    fields: { height: 'low', gen: 3, lanes: 4, peakW: 4.5 },
  },
  {
    id: 'network card, a German price list’s line',
    kind: 'networkCard',
    text: `Skein 10F Netzwerkkarte, 1x SFP+ 10 Gbit/s, PCIe 3.0 x4, Low-Profile, 4,5 W typ.`,
    fields: { gen: 3, lanes: 4, height: 'low', busyW: 4.5 },
    places: { networkPorts: [{ count: 1, gbPerS: 10 }] },
  },
  {
    id: 'processor, a German table',
    kind: 'processor',
    text: `Prozessor	Drover 4
Kerne/Threads	4/8
Basistakt	3,6 GHz
TDP	65 W
Sockel	Q4
Speichertypen	DDR4-3200, ECC: ja
PCIe-Version	4.0
PCIe-Lanes	20
Grafik	integriert`,
    fields: {
      memoryTypes: ['ddr4'],
      cores: 4,
      threads: 8,
      sustainedW: 65,
      socket: 'Q4',
      memoryEcc: true,
      gen: 4,
      lanes: 20,
      graphics: true,
    },
  },
  {
    id: 'M.2 module, a table of a tester',
    kind: 'drive',
    text: `Stickle 1 TB
Interface / protocol | PCIe 4.0 x4 / NVMe 2.0
Form factor | M.2 2280 single-sided
Seq. read / write | 5000 / 4200 MB/s
Random read / write | 700K / 850K IOPS
Endurance | 600 TB
Power (idle / average / max) | 0.05 / 3.6 / 5.4 W
Warranty | 5 years`,
    fields: {
      capacityBytes: 1e12,
      interface: 'nvme',
      pcieGen: 4,
      lanes: 4,
      size: 'm2',
      lengthMm: 80,
      medium: 'flash',
      sequentialMBps: 5000,
      randomIops: 700_000,
      enduranceTb: 600,
      idleW: 0.05,
      busyW: 3.6,
      peakW: 5.4,
    },
  },
  {
    id: 'used tower, a small ad',
    kind: 'chassis',
    text: `For sale: Steading T5 case, good condition
ATX tower, black, 21 x 46 x 48 cm (WxHxD)
5 x 3.5" and 2 x 5.25" bays
2 fans included
no PSU
pick-up only`,
    fields: { style: 'tower', widthMm: 210, heightMm: 460, depthMm: 480 },
    places: { bays35: 5, bays525: 2 },
  },
];
