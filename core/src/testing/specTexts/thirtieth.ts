import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Ordinary pages of makers and shops; committed before its first run. */
export const THIRTIETH: readonly Sample[] = [
  {
    id: 'disk, a shop’s specification tab',
    kind: 'drive',
    text: `Barge Vault 18 TB SATA Hard Drive
Specifications
Brand: Bargeyard
Model: BV18
Storage capacity: 18 TB
Form factor: 3.5 inch
Interface: SATA 6Gb/s
Rotational speed: 7200 RPM
Cache memory: 512 MB
Transfer rate: up to 270 MB/s
Recording method: CMR
MTBF: 2,500,000 hours
Workload: 550 TB/year
Operating power: 6.9 W
Idle power: 5.6 W
Noise (idle/seek): 20 / 32 dB
Dimensions: 147 x 101.6 x 26.1 mm
Weight: 690 g`,
    fields: {
      capacityBytes: 18e12,
      size: '3.5',
      interface: 'sata',
      gbPerLane: 6,
      medium: 'disk',
      rpm: 7200,
      sequentialMBps: 270,
      shingled: false,
      busyW: 6.9,
      idleW: 5.6,
      soundIdleDb: 20,
      soundSeekDb: 32,
      lengthMm: 147,
      heightMm: 26.1,
      massG: 690,
    },
  },
  {
    id: 'flash, a maker’s feature table',
    kind: 'drive',
    text: `Stickle 2000 Series SSD
Capacity | 2 TB
Form Factor | M.2 (2280)
Interface | PCIe Gen 4.0 x4, NVMe 1.4
Max. Sequential Read | 7,000 MB/s
Max. Sequential Write | 6,500 MB/s
Max. Random Read | 900,000 IOPS
TBW | 1,400
Average Power Consumption | 6.1 W
MTTF | 1.6 million hours
Temperature (operating) | 0 °C ~ 70 °C`,
    fields: {
      capacityBytes: 2e12,
      size: 'm2',
      lengthMm: 80,
      medium: 'flash',
      interface: 'nvme',
      pcieGen: 4,
      lanes: 4,
      sequentialMBps: 7000,
      randomIops: 900000,
      enduranceTb: 1400,
      busyW: 6.1,
      maxC: 70,
    },
  },
  {
    id: 'board, a shop’s specification tab',
    kind: 'board',
    text: `Plover B5M Micro-ATX Motherboard
CPU socket: Q4
Chipset: B5
Form factor: Micro-ATX
Memory slots: 4
Memory type: DDR4
Max. memory: 128 GB
ECC support: No
PCI Express x16 slots: 1
M.2 slots: 2
SATA ports: 6
LAN speed: 2.5 Gbit/s
USB ports (rear): 6
Fan connectors: 4
Dimensions: 244 x 244 mm`,
    fields: {
      socket: 'Q4',
      holes: 'micro-atx',
      memorySlots: 4,
      memoryType: 'ddr4',
      memoryMaxBytes: 128 * GIB,
      memoryEcc: false,
      edgeMm: 244,
      depthMm: 244,
    },
    places: { m2Sockets: 2, sataPorts: 6 },
  },
  {
    id: 'processor, a shop’s specification tab',
    kind: 'processor',
    text: `Drover 6 processor
Number of cores: 6
Number of threads: 12
Base frequency: 3.7 GHz
Turbo frequency: 4.6 GHz
L3 cache: 32 MB
Thermal design power (TDP): 65 W
Socket: Q4
Memory support: DDR4-3200
Integrated GPU: No
PCIe version: 4.0
Cooler included: Yes`,
    fields: {
      cores: 6,
      threads: 12,
      sustainedW: 65,
      socket: 'Q4',
      memoryTypes: ['ddr4'],
      graphics: false,
      gen: 4,
    },
  },
  {
    id: 'cooler, a shop’s specification tab',
    kind: 'cooler',
    text: `Crag Tower 5 CPU Cooler
Type: Air cooler
Compatible sockets: Q4, Q5
TDP: 220 W
Height: 159 mm
Width: 130 mm
Depth: 112 mm
Fan size: 120 mm
Fan speed: 400-1700 RPM
Noise level: 27 dBA
Weight: 1.05 kg`,
    fields: {
      sockets: ['Q4', 'Q5'],
      carriesW: 220,
      heightMm: 159,
      widthMm: 130,
      depthMm: 112,
      massG: 1050,
    },
  },
  {
    id: 'memory, a shop’s specification tab',
    kind: 'memory',
    text: `Clew Server Memory 32GB
Capacity: 32 GB (1 x 32 GB)
Type: DDR5 RDIMM
Speed: 4800 MHz
ECC: Yes
Rank: 2Rx8
CAS latency: CL40
Voltage: 1.1 V`,
    fields: { capacityBytes: 32 * GIB, type: 'ddr5', form: 'dimm', registered: true, mtPerS: 4800, ecc: true },
  },
  {
    id: 'chassis, a shop’s specification tab',
    kind: 'chassis',
    text: `Steading Mid Tower Case
Case type: Mid tower
Motherboard compatibility: ATX, Micro-ATX, Mini-ITX
Internal 3.5" bays: 4
Internal 2.5" bays: 3
Expansion slots: 7
Max. CPU cooler height: 165 mm
Max. graphics card length: 360 mm
PSU form factor: ATX
Max. PSU length: 200 mm
Pre-installed fans: 2 x 120 mm front, 1 x 120 mm rear
Dimensions (WxHxD): 215 x 465 x 440 mm
Weight: 7.1 kg`,
    fields: { style: 'tower', widthMm: 215, heightMm: 465, depthMm: 440, massG: 7100 },
    places: {
      boards: ['atx', 'micro-atx', 'mini-itx'],
      bays35: 4,
      bays25: 3,
      openings: 7,
      coolerMm: 165,
      cardMm: 360,
      supplyForms: ['atx'],
      supplyMm: 200,
      fans: [
        { count: 2, sizeMm: 120, wall: 'front' },
        { count: 1, sizeMm: 120, wall: 'rear' },
      ],
    },
  },
  {
    id: 'chassis, a rack one in a shop',
    kind: 'chassis',
    text: `Gable 8 2U Server Chassis
Form factor: 2U
Drive bays: 8 x 3.5" hot-swap
Drive interface: SATA/SAS 12 Gb/s
Motherboard support: E-ATX, ATX
PSU: 1 x 550 W 80 PLUS Gold (included)
Expansion slots: 7 x low profile
Cooling fans: 3 x 80 mm (middle)
Dimensions: 89 x 430 x 630 mm (H x W x D)
Rail kit: Optional
Net weight: 13 kg`,
    fields: {
      style: 'rack',
      rackUnits: 2,
      heightMm: 89,
      widthMm: 430,
      depthMm: 630,
      slideRails: 'apart',
      massG: 13000,
    },
    places: {
      bays35: 8,
      hotSwap: true,
      boards: ['ssi-eeb', 'atx'],
      openings: 7,
      fans: [{ count: 3, sizeMm: 80, wall: 'middle' }],
    },
  },
  {
    id: 'supply, a shop’s specification tab',
    kind: 'supply',
    text: `Ember 850 Gold Power Supply
Wattage: 850 W
Form factor: ATX
Efficiency rating: 80 PLUS Gold
Modular: Fully modular
Fan size: 135 mm
24-pin connectors: 1
CPU 8-pin (4+4) connectors: 2
PCIe 8-pin (6+2) connectors: 4
SATA connectors: 10
Peripheral 4-pin connectors: 3
+12V: 70.8 A
+5V: 22 A
+3.3V: 22 A
Dimensions: 150 x 86 x 160 mm`,
    fields: {
      ratedW: 850,
      form: 'atx',
      efficiencyClass: 'gold',
      modular: true,
      rail12A: 70.8,
      rail5A: 22,
      rail33A: 22,
      lengthMm: 160,
    },
    places: { mainPlugs: 1, processorPlugs: 2, cardPlugs: 4, sataPlugs: 10, peripheralPlugs: 3 },
  },
  {
    id: 'fan, a shop’s specification tab',
    kind: 'fan',
    text: `Hush 120 Case Fan
Size: 120 x 120 x 25 mm
Fan speed: 450-1500 RPM
Airflow: 93.4 m³/h
Static pressure: 1.61 mm H2O
Noise level: 22.4 dB(A)
Connector: 4-pin PWM
Voltage: 12 V
Input current: 0.13 A
Power consumption: 1.56 W
Weight: 0.17 kg`,
    fields: {
      sizeMm: 120,
      thickMm: 25,
      minRpm: 450,
      maxRpm: 1500,
      flowM3h: 93.4,
      pressurePa: 15.79,
      soundDb: 22.4,
      pwm: true,
      maxW: 1.56,
      massG: 170,
    },
  },
  {
    id: 'controller, a shop’s specification tab',
    kind: 'controller',
    text: `Tern 8i SAS/SATA Host Bus Adapter
Interface: PCIe 3.0 x8
Ports: 2 x SFF-8643 internal
Data rate: 12 Gb/s SAS, 6 Gb/s SATA
Number of supported devices: 1024
Mode: IT (HBA)
Power consumption: 9.5 W
Bracket: Low profile and full height
Dimensions: 156 x 69 mm`,
    fields: { lanes: 8, gen: 3, mostDevices: 1024, busyW: 9.5, height: 'low', lengthMm: 156 },
    places: { ports: [{ count: 2, kind: 'sff-8643', side: 'inside' }] },
  },
  {
    id: 'network card, a shop’s specification tab',
    kind: 'networkCard',
    text: `Skein 10 Dual Port Network Adapter
Ports: 2 x 10 Gb/s SFP+
Bus type: PCIe 3.0 x8
Max. transfer rate: 10 Gb/s
Power consumption: 7 W typical
Bracket: low profile, full height included
Operating temperature: 0-55 °C`,
    fields: { lanes: 8, gen: 3, busyW: 7, height: 'low' },
    places: { networkPorts: [{ count: 2, gbPerS: 10 }] },
  },
  {
    id: 'UPS, a shop’s specification tab',
    kind: 'ups',
    text: `Cistern 1000 UPS
Output capacity: 1000 VA / 600 W
Topology: Line-interactive
Waveform: Simulated sine wave
Number of outlets: 6
Outlet type: IEC C13
Battery: 12 V / 7.2 Ah x 2, lead-acid
Transfer time: 4 ms
Weight: 9.3 kg`,
    fields: {
      ratedVa: 1000,
      ratedW: 600,
      waveform: 'stepped',
      outlets: 6,
      batteryWh: 172.8,
      battery: 'leadAcid',
      massG: 9300,
    },
  },
];
