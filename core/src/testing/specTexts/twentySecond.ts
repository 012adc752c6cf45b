import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Tables of makers’ pages, sections of data sheets, key lines of shops; committed before its first run. */
export const TWENTY_SECOND: readonly Sample[] = [
  {
    id: 'disk, a maker’s table by sections',
    kind: 'drive',
    text: `Barge N 20TB
Model number	BN20T-01
Capacity	20TB
Interface	SATA 6Gb/s
Recording technology	CMR
Sectors per logical/physical	512/4096

Performance
Spindle speed (RPM)	7200
Cache (MB)	512
Max. sustained transfer rate OD (MB/s)	285

Reliability
Annualized failure rate (AFR)	0.44%
Nonrecoverable read errors per bits read, max	1 per 10E15
Workload rate limit (TB/year)	300

Power
Idle, average (W)	5.5
Operating, average (W)	7.7
Standby/sleep, typical (W)	1.2

Environmental
Temperature, operating (°C)	0 to 60

Physical
Height (mm)	26.1
Length (mm)	146.99
Weight (g)	685`,
    fields: {
      capacityBytes: 20e12,
      interface: 'sata',
      gbPerLane: 6,
      medium: 'disk',
      rpm: 7200,
      shingled: false,
      sectors: '512e',
      sequentialMBps: 285,
      annualFailurePct: 0.44,
      unreadablePerBit: 1e-15,
      idleW: 5.5,
      busyW: 7.7,
      standbyW: 1.2,
      maxC: 60,
      heightMm: 26.1,
      lengthMm: 146.99,
      massG: 685,
    },
  },
  {
    id: 'flash, a maker’s page with two columns of lines',
    kind: 'drive',
    text: `Stickle Pro NVMe SSD, 2 TB
Form factor
M.2 2280
Interface
PCIe 4.0 x4, NVMe 2.0
Sequential read
Up to 7,300 MB/s
Sequential write
Up to 6,600 MB/s
Random read (4KB, QD32)
Up to 1,000,000 IOPS
Endurance
1,200 TBW
Average power (active)
5.8 W
Power consumption (idle)
50 mW
Operating temperature
0 - 70 °C
Weight
9 g`,
    fields: {
      capacityBytes: 2e12,
      size: 'm2',
      medium: 'flash',
      lengthMm: 80,
      interface: 'nvme',
      pcieGen: 4,
      lanes: 4,
      sequentialMBps: 7300,
      randomIops: 1e6,
      enduranceTb: 1200,
      busyW: 5.8,
      idleW: 0.05,
      maxC: 70,
      massG: 9,
    },
  },
  {
    id: 'flash, SATA, key lines of a shop',
    kind: 'drive',
    text: `Pike 4 TB 2.5" SATA SSD
Capacity: 4 TB
Interface: SATA III 6 Gb/s
Form Factor: 2.5 inch
Thickness: 7 mm
Max Sequential Read: 560 MB/s
Max Sequential Write: 530 MB/s
Endurance (TBW): 1400 TB
Power (max): 3.0 W
Power (idle): 0.4 W
Power Loss Protection: No
MTBF: 1.5 million hours
Warranty: 5 years`,
    fields: {
      capacityBytes: 4e12,
      size: '2.5',
      medium: 'flash',
      interface: 'sata',
      gbPerLane: 6,
      heightMm: 7,
      sequentialMBps: 560,
      enduranceTb: 1400,
      peakW: 3,
      idleW: 0.4,
      powerLossSafe: false,
    },
  },
  {
    id: 'board, a maker’s specification by heads',
    kind: 'board',
    text: `Gannet S1 workstation board
CPU
Socket Q5, processors up to 125 W
Chipset
C-series
Memory
4 x DIMM, max. 192 GB, DDR5 5600 MT/s, ECC and non-ECC un-buffered
Expansion slots
1 x PCIe 5.0 x16 slot
1 x PCIe 4.0 x16 slot (x4 mode)
1 x PCIe 3.0 x1 slot
Storage
8 x SATA 6Gb/s ports
2 x M.2 slots (Key M), type 2280, PCIe 4.0 x4
LAN
2 x 2.5Gb Ethernet
Remote management
Onboard BMC, IPMI 2.0
Form factor
ATX, 305 mm x 244 mm`,
    fields: {
      socket: 'Q5',
      carriesW: 125,
      memorySlots: 4,
      memoryMaxBytes: 192 * GIB,
      memoryType: 'ddr5',
      memoryForm: 'dimm',
      memoryEcc: true,
      remoteManagement: true,
      holes: 'atx',
      edgeMm: 305,
      depthMm: 244,
    },
    places: {
      sataPorts: 8,
      m2Sockets: 2,
      slots: [
        { count: 1, lanes: 16, wiredLanes: 16, gen: 5 },
        { count: 1, lanes: 16, wiredLanes: 4, gen: 4 },
        { count: 1, lanes: 1, wiredLanes: 1, gen: 3 },
      ],
      networkPorts: [{ count: 2, gbPerS: 2.5 }],
    },
  },
  {
    id: 'board, a small one with a soldered processor',
    kind: 'board',
    text: `Wren N2 Mini-ITX NAS board
CPU: quad-core, soldered, TDP 6 W
Memory: 1 x DDR5 SO-DIMM, up to 32 GB
SATA: 6 x SATA 3.0
M.2: 2 x NVMe 2280 (PCIe 3.0 x2)
Network: 4 x 2.5G LAN
PCIe: 1 x PCIe 3.0 x4
Power: 24-pin ATX
Size: 170 x 170 mm`,
    fields: {
      holes: 'mini-itx',
      memorySlots: 1,
      memoryType: 'ddr5',
      memoryForm: 'so-dimm',
      memoryMaxBytes: 32 * GIB,
      edgeMm: 170,
      depthMm: 170,
    },
    places: {
      sataPorts: 6,
      m2Sockets: 2,
      slots: [{ count: 1, lanes: 4, wiredLanes: 4, gen: 3 }],
      networkPorts: [{ count: 4, gbPerS: 2.5 }],
    },
  },
  {
    id: 'processor, a maker’s table',
    kind: 'processor',
    text: `Drover 8E
# of CPU Cores	8
# of Threads	16
Base Clock	3.4 GHz
Max. Boost Clock	4.6 GHz
Default TDP	65 W
Max. Operating Temperature	95 °C
CPU Socket	Q5
PCI Express Version	PCIe 5.0
Max. PCIe Lanes	28
System Memory Type	DDR5
ECC Support	Yes
Integrated Graphics	Yes`,
    fields: {
      cores: 8,
      threads: 16,
      sustainedW: 65,
      maxC: 95,
      socket: 'Q5',
      gen: 5,
      lanes: 28,
      memoryTypes: ['ddr5'],
      memoryEcc: true,
      graphics: true,
    },
  },
  {
    id: 'cooler, a maker’s lines',
    kind: 'cooler',
    text: `Tarn L9 low-profile CPU cooler
Height (with fan): 37 mm
Width: 95 mm
Depth: 95 mm
Weight (with fan): 420 g
Socket compatibility: Q4, Q5
Fan: 92 x 92 x 14 mm, PWM
Max. rotational speed: 2500 RPM
Max. acoustical noise: 23.6 dB(A)
Max. TDP: 65 W`,
    fields: { heightMm: 37, widthMm: 95, depthMm: 95, massG: 420, carriesW: 65, sockets: ['Q4', 'Q5'] },
  },
  {
    id: 'memory, a shop’s key lines',
    kind: 'memory',
    text: `Clew 32 GB DDR5-4800 ECC UDIMM
Capacity: 32 GB
Type: DDR5
Speed: 4800 MT/s
Form factor: 288-pin UDIMM
Error checking: ECC
Voltage: 1.1 V
Registered: No`,
    fields: { capacityBytes: 32 * GIB, type: 'ddr5', mtPerS: 4800, form: 'dimm', ecc: true, registered: false },
  },
  {
    id: 'chassis, a maker’s page of a tower',
    kind: 'chassis',
    text: `Steading T11
Case type	Mid tower
Motherboard support	E-ATX, ATX, Micro-ATX, Mini-ITX
3.5" drive bays	8
2.5" drive bays	2
Expansion slots	7
Fans included	3 x 140 mm front, 1 x 140 mm rear
Max. CPU cooler height	185 mm
Max. GPU length	315 mm
Max. PSU length	250 mm
Dimensions (L x W x H)	547 x 240 x 475 mm
Net weight	11.2 kg`,
    fields: { style: 'tower', depthMm: 547, widthMm: 240, heightMm: 475, massG: 11200 },
    places: {
      boards: ['ssi-eeb', 'atx', 'micro-atx', 'mini-itx'],
      bays35: 8,
      bays25: 2,
      openings: 7,
      fans: [
        { count: 3, sizeMm: 140, wall: 'front' },
        { count: 1, sizeMm: 140, wall: 'rear' },
      ],
      coolerMm: 185,
      cardMm: 315,
      supplyMm: 250,
    },
  },
  {
    id: 'chassis, a rack box in a data sheet',
    kind: 'chassis',
    text: `Gable 16 3U storage chassis
Form factor: 3U rackmount
Drive bays: 16 x 3.5" hot-swap SAS/SATA
Motherboard: up to E-ATX (12" x 13")
Expansion: 7 x full-height slots
Cooling: 3 x 80 mm hot-swap middle fans
Dimensions: 132 mm (H) x 437 mm (W) x 648 mm (D)
Gross weight: 26 kg
Net weight: 17.7 kg`,
    fields: { style: 'rack', rackUnits: 3, heightMm: 132, widthMm: 437, depthMm: 648, massG: 17700 },
    places: {
      hotSwap: true,
      bays35: 16,
      boards: ['ssi-eeb'],
      openings: 7,
      fans: [{ count: 3, sizeMm: 80, wall: 'middle' }],
    },
  },
  {
    id: 'chassis, a box of drives on USB',
    kind: 'chassis',
    text: `Annex 8 drive enclosure
Drive bays: 8 x 3.5" / 2.5" SATA
Interface: USB 3.2 Gen 2 (10 Gbps), Type-C
Enclosure mode: individual drives
Dimensions (W x D x H): 138 x 230 x 316 mm
Weight: 4.4 kg`,
    fields: { style: 'external', widthMm: 138, depthMm: 230, heightMm: 316, massG: 4400 },
    places: { bays35: 8, usbLink: { gbPerS: 10, plug: 'usb-c' } },
  },
  {
    id: 'supply, a maker’s table',
    kind: 'supply',
    text: `Ember 750 ATX
Form factor	ATX
Total power	750 W
Efficiency	80 PLUS Gold
Modularity	Fully modular
+3.3V	20 A
+5V	20 A
+12V	62.5 A
+5Vsb	3 A
Depth	140 mm
24-pin ATX	1
EPS 4+4 pin	2
PCIe 6+2 pin	4
SATA	8
Peripheral (4 pin)	3
Weight	1.6 kg`,
    fields: {
      form: 'atx',
      ratedW: 750,
      efficiencyClass: 'gold',
      modular: true,
      rail33A: 20,
      rail5A: 20,
      rail12A: 62.5,
      lengthMm: 140,
      massG: 1600,
    },
    places: { mainPlugs: 1, processorPlugs: 2, cardPlugs: 4, sataPlugs: 8, peripheralPlugs: 3 },
  },
  {
    id: 'fan, a maker’s table',
    kind: 'fan',
    text: `Hush 140 PWM
Size	140x140x25 mm
Rotational speed (+/- 10%)	1500 RPM
Min. rotational speed @ 20% PWM	300 RPM
Airflow	140.2 m³/h
Acoustical noise	24.6 dB(A)
Static pressure	2.08 mm H2O
Max. input power	1.56 W
Connector	4-pin PWM
Weight	165 g`,
    fields: {
      sizeMm: 140,
      thickMm: 25,
      maxRpm: 1500,
      minRpm: 300,
      flowM3h: 140.2,
      soundDb: 24.6,
      pressurePa: 20.4,
      maxW: 1.56,
      pwm: true,
      massG: 165,
    },
  },
  {
    id: 'HBA, a data sheet’s table',
    kind: 'controller',
    text: `Tern 8i3 host bus adapter
Host bus type	x8 lane PCI Express 3.0
Data transfer rates	12 Gb/s per port
Internal connectors	2 x SFF-8643
Maximum devices	1024
Typical power	9.5 W
Form factor	Low profile, 167.65 mm x 68.9 mm
Operating temperature	0 °C to 55 °C`,
    fields: { lanes: 8, gen: 3, mostDevices: 1024, busyW: 9.5, height: 'low', lengthMm: 167.65, maxC: 55 },
    places: { ports: [{ count: 2, kind: 'sff-8643', side: 'inside' }] },
  },
  {
    id: 'network card, a shop’s key lines',
    kind: 'networkCard',
    text: `Skein 25D dual-port network adapter
Ports: 2 x 25 Gb/s SFP28
Bus: PCIe 3.0 x8
Bracket: low profile and full height included
Typical power: 8.5 W
Max power: 12.3 W`,
    fields: { height: 'low', lanes: 8, gen: 3, busyW: 8.5, peakW: 12.3 },
    places: { networkPorts: [{ count: 2, gbPerS: 25 }] },
  },
  {
    id: 'UPS, a maker’s table',
    kind: 'ups',
    text: `Cistern 1100 line-interactive
Capacity	1100 VA / 660 W
Waveform (battery)	Stepped sine wave
Outlets	4 x Schuko
Battery	12 V 7 Ah x 2, sealed lead-acid
Efficiency	96 %
Weight	10.1 kg`,
    fields: {
      ratedVa: 1100,
      ratedW: 660,
      waveform: 'stepped',
      outlets: 4,
      batteryWh: 168,
      battery: 'leadAcid',
      efficiencyPct: 96,
      massG: 10100,
    },
  },
  {
    id: 'cage, a maker’s lines',
    kind: 'adapter',
    text: `Crib 5-in-3 hot-swap drive cage
Fits: 3 x 5.25" bays
Drives: 5 x 3.5" SATA/SAS
Fan: 80 mm
Power: 2 x SATA power`,
    fields: { sitsIn: '5.25', span: 3 },
    places: { bays35: 5 },
  },
];
