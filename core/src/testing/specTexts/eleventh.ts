import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Written after the reader, and committed before it was first run on them. */
export const ELEVENTH: readonly Sample[] = [
  {
    id: 'board, a list with dashes',
    kind: 'board',
    text: `Wren F2 mini-ITX motherboard
- CPU: socket Q4
- Memory: 2x DDR4 SO-DIMM, up to 64 GB, ECC supported
- Slots: 1x PCIe 4.0 x16
- Storage: 6x SATA III, 1x M.2 2280
- Network: 2x 2.5GbE
- Management: none`,
    fields: {
      holes: 'mini-itx',
      socket: 'Q4',
      memorySlots: 2,
      memoryType: 'ddr4',
      memoryForm: 'so-dimm',
      memoryMaxBytes: 64 * GIB,
      memoryEcc: true,
      remoteManagement: false,
    },
    places: {
      networkPorts: [{ count: 2, gbPerS: 2.5 }],
      sataPorts: 6,
      m2Sockets: 1,
      slots: [{ count: 1, lanes: 16, wiredLanes: 16, gen: 4 }],
    },
  },
  {
    id: 'server board, a table',
    kind: 'board',
    text: `Motherboard	Knot X12
Form Factor	SSI-CEB
Processor	1 x socket Q8, TDP up to 225 W
Memory slots	8 DIMM slots, DDR4, max. 512 GB
SATA	8 ports, 6 Gb/s
PCI Express	4 x PCIe 4.0 x16 slots, 2 x PCIe 4.0 x8 slots
M.2	2 x M.2 PCIe 4.0 x4
IPMI	Yes`,
    fields: {
      holes: 'ssi-ceb',
      socket: 'Q8',
      carriesW: 225,
      memorySlots: 8,
      memoryType: 'ddr4',
      memoryForm: 'dimm',
      memoryMaxBytes: 512 * GIB,
      remoteManagement: true,
    },
    places: {
      sataPorts: 8,
      m2Sockets: 2,
      slots: [
        { count: 4, lanes: 16, wiredLanes: 16, gen: 4 },
        { count: 2, lanes: 8, wiredLanes: 8, gen: 4 },
      ],
    },
  },
  {
    id: 'rack case, inches',
    kind: 'chassis',
    text: `Byre 12 2U rackmount chassis
Form factor: 2U
Dimensions (HxWxD): 3.5" x 17.2" x 25.5"
Drive bays: 12 x 3.5" hot-swap SAS/SATA
Motherboard: ATX, Micro-ATX
Expansion slots: 7 low-profile
Fans: 3 x 80mm PWM (middle)
Net weight: 33 lbs`,
    fields: { style: 'rack', rackUnits: 2, heightMm: 88.9, widthMm: 436.88, depthMm: 647.7, massG: 14968.5 },
    places: {
      hotSwap: true,
      bays35: 12,
      boards: ['atx', 'micro-atx'],
      openings: 7,
      fans: [{ count: 3, sizeMm: 80, wall: 'middle' }],
    },
  },
  {
    id: 'NAS case, German',
    kind: 'chassis',
    text: `NAS-Gehäuse Trug 6
Mainboard: Mini-ITX
Laufwerksschächte: 6x 3,5" Hot-Swap, 1x 2,5"
CPU-Kühler: max. 68 mm
Netzteil: Flex-ATX, max. Länge 180 mm
Lüfter: 2x 92 mm hinten
Abmessungen (B x H x T): 260 x 220 x 320 mm
Gewicht: 5,1 kg`,
    fields: { widthMm: 260, heightMm: 220, depthMm: 320, massG: 5100 },
    places: {
      hotSwap: true,
      supplyForms: ['flex-atx'],
      boards: ['mini-itx'],
      bays35: 6,
      bays25: 1,
      coolerMm: 68,
      supplyMm: 180,
      fans: [{ count: 2, sizeMm: 92, wall: 'rear' }],
    },
  },
  {
    id: 'supply, a maker’s page',
    kind: 'supply',
    text: `Ember 850 ATX
Rated output: 850 W
Certification: 80 PLUS Platinum
Dimensions (W x H x L): 150 x 86 x 160 mm
Modular: fully
ATX 24 pin: 1
CPU 4+4 pin: 2
PCIe 8 pin (6+2): 6
SATA: 12
Peripheral 4 pin: 4
Fan: 135 mm`,
    fields: { form: 'atx', ratedW: 850, efficiencyClass: 'platinum', lengthMm: 160, modular: true },
    places: { mainPlugs: 1, processorPlugs: 2, cardPlugs: 6, sataPlugs: 12, peripheralPlugs: 4 },
  },
  {
    id: 'HBA, a shop',
    kind: 'controller',
    text: `Tern 8i SAS HBA, PCIe 3.0 x8, 2x SFF-8643 internal, low profile, 12 Gb/s`,
    fields: { lanes: 8, gen: 3, height: 'low' },
    places: { ports: [{ count: 2, kind: 'sff-8643', side: 'inside' }] },
  },
  {
    id: 'disk, a short table',
    kind: 'drive',
    text: `Barge 14 TB
Capacity: 14 TB
Interface: SATA 6 Gb/s
Rotational speed: 7200 rpm
Cache: 512 MB
Max. sustained transfer rate: 255 MB/s
Power, operating: 6.9 W
Power, idle: 5.1 W
Acoustics, idle: 20 dB(A)
Workload: 550 TB/yr
MTBF: 2.5 million hours
Weight: 690 g`,
    fields: {
      capacityBytes: 14e12,
      interface: 'sata',
      gbPerLane: 6,
      medium: 'disk',
      rpm: 7200,
      sequentialMBps: 255,
      busyW: 6.9,
      idleW: 5.1,
      soundIdleDb: 20,
      massG: 690,
    },
  },
  {
    id: 'fan, a shop’s table',
    kind: 'fan',
    text: `Hush 140 PWM case fan
Size | 140 x 140 x 25 mm
Speed | 300 – 1500 rpm
Airflow | 82.5 CFM
Static pressure | 1.9 mm H2O
Noise level | 24.6 dB(A)
Connector | 4-pin PWM
Input power | 1.2 W`,
    fields: {
      sizeMm: 140,
      thickMm: 25,
      minRpm: 300,
      maxRpm: 1500,
      flowM3h: 140.17,
      pressurePa: 18.63,
      soundDb: 24.6,
      pwm: true,
      maxW: 1.2,
    },
  },
  {
    id: 'memory, a line',
    kind: 'memory',
    text: `Clew 32GB DDR4-3200 ECC UDIMM, 2Rx8, CL22, 1.2V`,
    fields: { capacityBytes: 32 * GIB, type: 'ddr4', form: 'dimm', mtPerS: 3200, ecc: true, registered: false },
  },
  {
    id: 'UPS, a table',
    kind: 'ups',
    text: `Sump 1000 line-interactive UPS
Capacity: 1000 VA / 600 W
Output waveform: pure sine wave
Outlets: 6
Battery: 12 V / 9 Ah x 2, lead-acid
Transfer time: 4 ms`,
    fields: { ratedVa: 1000, ratedW: 600, waveform: 'sine', outlets: 6, battery: 'leadAcid', batteryWh: 216 },
  },
];
