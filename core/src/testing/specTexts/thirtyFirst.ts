import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** A text for each style of the trade, in several languages and units; committed before its first run. */
export const THIRTY_FIRST: readonly Sample[] = [
  {
    id: 'disk, a PDF in sections with bels',
    kind: 'drive',
    text: `Data sheet
Barge Archive S 20 TB
Configuration
Interface  SAS 12 Gb/s
Capacity  20 TB
Sector size  512e
Recording  CMR
Performance
Spindle speed  7200 rpm
Sustained transfer rate (max.)  272 MB/s
Reliability
Error rate (non-recoverable, bits read)  1 in 10^15
AFR  0.35 %
Power
Operating (W, typ.)  9.4
Idle (W)  5.9
Acoustics
Idle (bels)  2.0
Seek (bels)  3.2
Environment
Operating temperature  5 to 60 °C
Physical
Height  26.1 mm
Weight  670 g`,
    fields: {
      interface: 'sas',
      gbPerLane: 12,
      capacityBytes: 20e12,
      sectors: '512e',
      shingled: false,
      medium: 'disk',
      rpm: 7200,
      sequentialMBps: 272,
      unreadablePerBit: 1e-15,
      annualFailurePct: 0.35,
      busyW: 9.4,
      idleW: 5.9,
      soundIdleDb: 20,
      soundSeekDb: 32,
      maxC: 60,
      heightMm: 26.1,
      massG: 670,
    },
  },
  {
    id: 'disk, a French shop',
    kind: 'drive',
    text: `Disque dur interne Péniche 8 To
Capacité : 8 To
Format : 3,5"
Interface : SATA 6 Gb/s
Vitesse de rotation : 5 640 tr/min
Cache : 256 Mo
Débit max. : 215 Mo/s
Consommation en lecture/écriture : 6,2 W
Consommation au repos : 3,9 W
Consommation en veille : 0,5 W
Niveau sonore au repos : 25 dB
Poids : 715 g
Garantie : 3 ans`,
    fields: {
      capacityBytes: 8e12,
      size: '3.5',
      interface: 'sata',
      gbPerLane: 6,
      medium: 'disk',
      rpm: 5640,
      sequentialMBps: 215,
      busyW: 6.2,
      idleW: 3.9,
      standbyW: 0.5,
      soundIdleDb: 25,
      massG: 715,
    },
  },
  {
    id: 'flash, a shop’s list with commas',
    kind: 'drive',
    text:
      'Pike 1.92 TB enterprise SSD, 2.5" 7 mm, SATA 6 Gb/s, 550 MB/s read, 510 MB/s write, 3504 TBW, ' +
      'power loss protection',
    fields: {
      capacityBytes: 1.92e12,
      medium: 'flash',
      size: '2.5',
      heightMm: 7,
      interface: 'sata',
      gbPerLane: 6,
      sequentialMBps: 550,
      enduranceTb: 3504,
      powerLossSafe: true,
    },
  },
  {
    id: 'board, a table copied with tabs, inches',
    kind: 'board',
    text: `Gannet T4 server board
Form factor	SSI-EEB, 12" x 13"
CPU	2 x socket R6, up to 205 W each
Memory	16 x DDR4 RDIMM, up to 2 TB
PCIe slots	4 x PCIe 3.0 x16, 2 x PCIe 3.0 x8
SATA	10 x SATA 6 Gb/s
M.2	1 x 2280/22110 (PCIe 3.0 x4)
LAN	2 x 10GBASE-T
Management	IPMI 2.0, dedicated port
Operating temperature	10 - 35 °C`,
    fields: {
      holes: 'ssi-eeb',
      edgeMm: 304.8,
      depthMm: 330.2,
      socket: 'R6',
      carriesW: 205,
      memorySlots: 16,
      memoryType: 'ddr4',
      memoryForm: 'dimm',
      memoryRegistered: 'must',
      memoryEcc: true,
      memoryMaxBytes: 2048 * GIB,
      remoteManagement: true,
    },
    places: {
      slots: [
        { count: 4, lanes: 16, wiredLanes: 16, gen: 3 },
        { count: 2, lanes: 8, wiredLanes: 8, gen: 3 },
      ],
      sataPorts: 10,
      m2Sockets: 1,
      networkPorts: [{ count: 2, gbPerS: 10 }],
    },
  },
  {
    id: 'chassis, inches and pounds in a shop’s list',
    kind: 'chassis',
    text: `Gable 15 4U rackmount case
• 15 x 3.5" hot-swap bays (SAS/SATA 12Gb/s)
• Fits ATX and Micro-ATX motherboards
• 3 x 120mm middle fans, 2 x 80mm rear fans
• 7 full-height expansion slots
• ATX power supply (not included)
• Depth 22.5", width 16.9", height 7"
• 29 lbs`,
    fields: {
      style: 'rack',
      rackUnits: 4,
      depthMm: 571.5,
      widthMm: 429.3,
      heightMm: 177.8,
      massG: 13154,
    },
    places: {
      bays35: 15,
      hotSwap: true,
      boards: ['atx', 'micro-atx'],
      fans: [
        { count: 3, sizeMm: 120, wall: 'middle' },
        { count: 2, sizeMm: 80, wall: 'rear' },
      ],
      openings: 7,
      supplyForms: ['atx'],
    },
  },
  {
    id: 'chassis, a German PDF',
    kind: 'chassis',
    text: `Scheune 8 NAS-Gehäuse
Bauart: Würfel
Mainboard: Mini-ITX
Laufwerksschächte: 8 x 3,5" Hot-Swap, 2 x 2,5" intern
Netzteil: SFX, max. 130 mm
CPU-Kühlerhöhe: max. 72 mm
Erweiterungssteckplätze: 1
Lüfter: 2 x 120 mm hinten
Abmessungen (B x H x T): 266 x 278 x 325 mm
Gewicht: 5,4 kg`,
    fields: { style: 'cube', widthMm: 266, heightMm: 278, depthMm: 325, massG: 5400 },
    places: {
      boards: ['mini-itx'],
      bays35: 8,
      bays25: 2,
      hotSwap: true,
      supplyForms: ['sfx'],
      supplyMm: 130,
      coolerMm: 72,
      openings: 1,
      fans: [{ count: 2, sizeMm: 120, wall: 'rear' }],
    },
  },
  {
    id: 'supply, the label’s lines',
    kind: 'supply',
    text: `MODEL: EMBER 500
AC INPUT: 100-240 V ~ 7-3.5 A 50/60 Hz
DC OUTPUT: +3.3 V 16 A, +5 V 16 A, +12 V 41.5 A, -12 V 0.3 A, +5 VSB 3 A
MAX. COMBINED +3.3 V & +5 V: 100 W
TOTAL POWER: 500 W
80 PLUS GOLD
ATX 150 x 86 x 140 mm`,
    fields: {
      rail33A: 16,
      rail5A: 16,
      rail12A: 41.5,
      combined5And33W: 100,
      ratedW: 500,
      efficiencyClass: 'gold',
      form: 'atx',
      lengthMm: 140,
    },
  },
  {
    id: 'fan, CFM and footnotes',
    kind: 'fan',
    text: `Gale 140 PWM
Dimensions: 140 x 140 x 25 mm
Fan speed: 300-1400 RPM ±10 %
Max. airflow¹: 77.8 CFM
Max. static pressure: 1.79 mm-H₂O
Max. noise²: 24.2 dB(A)
Rated current: 0.12 A at 12 V
Connector: 4-pin PWM
¹ at full speed ² at 1 m`,
    fields: {
      sizeMm: 140,
      thickMm: 25,
      minRpm: 300,
      maxRpm: 1400,
      flowM3h: 132.2,
      pressurePa: 17.55,
      soundDb: 24.2,
      maxW: 1.44,
      pwm: true,
    },
  },
  {
    id: 'UPS, BTU and a table',
    kind: 'ups',
    text: `Cistern 2200 Rack
Rated power	2200 VA / 1980 W
Output waveform	Pure sine wave
Output sockets	8 x C13, 2 x C19
Battery	4 x 12 V / 9 Ah, VRLA
Efficiency (online)	95 %
Heat dissipation	340 BTU/h
Weight	24.5 kg
Dimensions	438 x 86 x 480 mm`,
    fields: {
      ratedVa: 2200,
      ratedW: 1980,
      waveform: 'sine',
      outlets: 10,
      batteryWh: 432,
      battery: 'leadAcid',
      efficiencyPct: 95,
      massG: 24500,
    },
  },
  {
    id: 'HBA, a PDF’s lines, LFM',
    kind: 'controller',
    text: `Tern 8e8i storage adapter
Host interface  PCI Express 4.0 x8
Connectors  1 x SFF-8644 external, 1 x SFF-8643 internal
Data transfer rate  12 Gb/s
Max. devices  1024
Power dissipation  typical 10.3 W
Airflow  minimum 200 LFM at 55 °C
Form factor  low profile MD2`,
    fields: { lanes: 8, gen: 4, mostDevices: 1024, busyW: 10.3, needsAirMPerS: 1.016, height: 'low' },
    places: {
      ports: [
        { count: 1, kind: 'sff-8644', side: 'outside' },
        { count: 1, kind: 'sff-8643', side: 'inside' },
      ],
    },
  },
  {
    id: 'network card, key and value',
    kind: 'networkCard',
    text: `Skein 2x10T
Controller: dual 10 GbE
Ports: 2 x RJ45 10GBASE-T
Bus: PCIe 3.0 x4
Max. power: 14 W
Typ. power: 10 W
Profile: low profile`,
    fields: { lanes: 4, gen: 3, peakW: 14, busyW: 10, height: 'low' },
    places: { networkPorts: [{ count: 2, gbPerS: 10 }] },
  },
  {
    id: 'processor, a PDF’s section',
    kind: 'processor',
    text: `Drover E6 embedded processor
Cores / Threads  6 / 12
TDP  45 W
Tjunction max  105 °C
PCIe  Gen 4, 20 lanes
Memory  DDR5, 2 channels, ECC supported
Socket  Q5`,
    fields: {
      cores: 6,
      threads: 12,
      sustainedW: 45,
      maxC: 105,
      gen: 4,
      lanes: 20,
      memoryTypes: ['ddr5'],
      memoryEcc: true,
      socket: 'Q5',
    },
  },
  {
    id: 'cooler, an Italian page',
    kind: 'cooler',
    text: `Dissipatore Rupe 90
Altezza: 90 mm
Larghezza: 94 mm
Profondità: 94 mm
Socket compatibili: Q4, Q5
TDP: 95 W
Peso: 380 g`,
    fields: { heightMm: 90, widthMm: 94, depthMm: 94, sockets: ['Q4', 'Q5'], carriesW: 95, massG: 380 },
  },
  {
    id: 'memory, a shop’s line',
    kind: 'memory',
    text: `Clew 16GB DDR4-3200 ECC SO-DIMM, unbuffered, 1.2V`,
    fields: { capacityBytes: 16 * GIB, type: 'ddr4', mtPerS: 3200, ecc: true, form: 'so-dimm', registered: false },
  },
];
