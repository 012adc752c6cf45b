import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** A text of every kind as its maker or a shop has it; committed before its first run. */
export const FORTY_FIRST: readonly Sample[] = [
  {
    id: 'drive of its maker',
    kind: 'drive',
    text: `Barge N10 10 TB NAS hard drive
Capacity	10 TB
Interface	SATA 6 Gb/s
Form factor	3.5-inch
Rotational speed	7200 rpm
Buffer	256 MB
Max. sustained data rate	248 MB/s
Recording technology	CMR
Average power, operating	6.9 W
Average power, idle	5.0 W
Power, standby	0.8 W
Acoustics, idle	20 dBA
Acoustics, seek	29 dBA
Operating temperature	0–65 °C
Weight	720 g`,
    fields: {
      capacityBytes: 10e12,
      interface: 'sata',
      gbPerLane: 6,
      size: '3.5',
      medium: 'disk',
      rpm: 7200,
      sequentialMBps: 248,
      shingled: false,
      busyW: 6.9,
      idleW: 5,
      standbyW: 0.8,
      soundIdleDb: 20,
      soundSeekDb: 29,
      maxC: 65,
      massG: 720,
    },
  },
  {
    id: 'flash of a shop',
    kind: 'drive',
    text: `Reed 1 TB NVMe SSD
Form factor: M.2 2280
Interface: PCIe 3.0 x4, NVMe 1.3
Read speed: up to 3,500 MB/s
Write speed: up to 3,000 MB/s
Endurance: 600 TBW
Power consumption (max.): 5.8 W
Warranty: 5 years`,
    fields: {
      capacityBytes: 1e12,
      size: 'm2',
      lengthMm: 80,
      medium: 'flash',
      interface: 'nvme',
      pcieGen: 3,
      lanes: 4,
      sequentialMBps: 3500,
      enduranceTb: 600,
      peakW: 5.8,
    },
  },
  {
    id: 'board of its maker',
    kind: 'board',
    text: `Gannet S3 server board
Form factor: ATX, 305 x 244 mm
Socket: Q5
Max. TDP: 105 W
Memory: 4 x DDR5 UDIMM, ECC supported, max. 192 GB
Expansion slots: 1 x PCIe 5.0 x16, 2 x PCIe 4.0 x4
SATA: 8 x SATA 6 Gb/s
M.2: 2 x M.2 2280 (PCIe 4.0 x4)
LAN: 2 x 2.5 GbE, 1 x IPMI
Management: IPMI 2.0`,
    fields: {
      holes: 'atx',
      edgeMm: 305,
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
        { count: 2, lanes: 4, wiredLanes: 4, gen: 4 },
      ],
      sataPorts: 8,
      m2Sockets: 2,
      networkPorts: [{ count: 2, gbPerS: 2.5 }],
    },
  },
  {
    id: 'processor of a shop',
    kind: 'processor',
    text: `Shire S12 server processor
Cores: 12
Threads: 24
TDP: 120 W
Socket: R6
Memory type: DDR4-3200, ECC
PCIe: 4.0, 64 lanes
Max. operating temperature: 85 °C`,
    fields: {
      cores: 12,
      threads: 24,
      sustainedW: 120,
      socket: 'R6',
      memoryTypes: ['ddr4'],
      memoryEcc: true,
      gen: 4,
      lanes: 64,
      maxC: 85,
    },
  },
  {
    id: 'cooler of its maker',
    kind: 'cooler',
    text: `Crag T2 tower cooler
Dimensions (W x D x H): 125 x 88 x 156 mm
Weight: 760 g
Sockets: Q4, Q5
TDP: 190 W
Fan: 120 mm, 500–1700 rpm
Noise: 24 dB(A)`,
    fields: { widthMm: 125, depthMm: 88, heightMm: 156, massG: 760, sockets: ['Q4', 'Q5'], carriesW: 190 },
  },
  {
    id: 'memory of a shop',
    kind: 'memory',
    text: `Clew 16 GB DDR4 ECC UDIMM
Capacity: 16 GB
Type: DDR4
Speed: 3200 MT/s
Form factor: DIMM 288-pin
ECC: yes
Registered: no`,
    fields: { capacityBytes: 16 * GIB, type: 'ddr4', form: 'dimm', mtPerS: 3200, ecc: true, registered: false },
  },
  {
    id: 'chassis of its maker',
    kind: 'chassis',
    text: `Byre 16 rack chassis
Form factor: 4U
Drive bays: 16 x 3.5" hot-swap
Motherboards: E-ATX, ATX, Micro-ATX
Expansion slots: 7 full-height
Fans: 3 x 120 mm middle, 2 x 80 mm rear
Power supply: ATX, max. 200 mm
CPU cooler height: max. 130 mm
Card length: max. 305 mm
Dimensions (W x H x D): 430 x 177 x 600 mm
Weight: 13.5 kg`,
    fields: { style: 'rack', rackUnits: 4, widthMm: 430, heightMm: 177, depthMm: 600, massG: 13500 },
    places: {
      bays35: 16,
      hotSwap: true,
      boards: ['ssi-eeb', 'atx', 'micro-atx'],
      openings: 7,
      fans: [
        { count: 3, sizeMm: 120, wall: 'middle' },
        { count: 2, sizeMm: 80, wall: 'rear' },
      ],
      supplyForms: ['atx'],
      supplyMm: 200,
      coolerMm: 130,
      cardMm: 305,
    },
  },
  {
    id: 'supply of its maker',
    kind: 'supply',
    text: `Ember 750 Gold
Form factor: ATX
Total power: 750 W
Efficiency: 80 PLUS Gold
Cables: fully modular
+12 V: 62 A
+5 V: 20 A
+3.3 V: 20 A
Connectors: 1 x 24-pin, 2 x EPS 4+4-pin, 4 x PCIe 6+2-pin, 8 x SATA, 3 x 4-pin peripheral
Depth: 150 mm
Weight: 1.7 kg`,
    fields: {
      form: 'atx',
      ratedW: 750,
      efficiencyClass: 'gold',
      modular: true,
      rail12A: 62,
      rail5A: 20,
      rail33A: 20,
      lengthMm: 150,
      massG: 1700,
    },
    places: { mainPlugs: 1, processorPlugs: 2, cardPlugs: 4, sataPlugs: 8, peripheralPlugs: 3 },
  },
  {
    id: 'fan of a shop',
    kind: 'fan',
    text: `Hush 140 case fan
Size: 140 x 140 x 25 mm
Speed: 300–1200 rpm (PWM)
Airflow: 104 m³/h
Static pressure: 1.2 mmH2O
Noise: 18.9 dB(A)
Power: 1.1 W`,
    fields: {
      sizeMm: 140,
      thickMm: 25,
      minRpm: 300,
      maxRpm: 1200,
      pwm: true,
      flowM3h: 104,
      pressurePa: 11.77,
      soundDb: 18.9,
      maxW: 1.1,
    },
  },
  {
    id: 'controller of its maker',
    kind: 'controller',
    text: `Tern 16i host bus adapter
Bus: PCIe 4.0 x8
Internal ports: 4 x SFF-8643
Data rate: 12 Gb/s
Devices: up to 1024
Power: 11.5 W typical, 15 W maximum
Airflow: 200 LFM
Form factor: low profile
Operating temperature: 0 to 55 °C`,
    fields: {
      gen: 4,
      lanes: 8,
      mostDevices: 1024,
      busyW: 11.5,
      peakW: 15,
      needsAirMPerS: 1.016,
      height: 'low',
      maxC: 55,
    },
    places: { ports: [{ count: 4, kind: 'sff-8643', side: 'inside' }] },
  },
  {
    id: 'expander of its maker',
    kind: 'expander',
    text: `Weir 36 SAS expander card
Ports: 8 x SFF-8643 internal, 1 x SFF-8644 external
Power: PCIe slot or 4-pin peripheral
Typical power: 14 W
Form factor: full height`,
    fields: { poweredBy: 'either', busyW: 14, height: 'full' },
    places: {
      ports: [
        { count: 8, kind: 'sff-8643', side: 'inside' },
        { count: 1, kind: 'sff-8644', side: 'outside' },
      ],
    },
  },
  {
    id: 'network card of a shop',
    kind: 'networkCard',
    text: `Skein 10G network card
Ports: 1 x RJ45, 10 Gb/s
Interface: PCIe 3.0 x4
Power consumption: max. 6.5 W
Bracket: low profile and full height`,
    fields: { gen: 3, lanes: 4, peakW: 6.5, height: 'low' },
    places: { networkPorts: [{ count: 1, gbPerS: 10 }] },
  },
  {
    id: 'accelerator of a shop',
    kind: 'accelerator',
    text: `Beacon A2 graphics card
Memory: 8 GB GDDR6
Interface: PCIe 4.0 x8
Power consumption: 75 W
Length: 172 mm
Width: 2 slots
Outputs: 3 x DisplayPort, 1 x HDMI`,
    fields: { gen: 4, lanes: 8, peakW: 75, lengthMm: 172, thickSlots: 2, displayOutput: true },
  },
  {
    id: 'carrier of a shop',
    kind: 'carrier',
    text: `Quay 2 M.2 adapter card
Sockets: 2 x M.2 NVMe (2280)
Interface: PCIe 4.0 x8
Bracket: low profile`,
    fields: { gen: 4, lanes: 8, height: 'low' },
    places: { m2Sockets: 2 },
  },
  {
    id: 'cage of a shop',
    kind: 'adapter',
    text: `Hutch 3 drive cage
Fits: 2 x 5.25" bays
Drives: 3 x 3.5" SATA
Weight: 1.1 kg`,
    fields: { sitsIn: '5.25', span: 2, massG: 1100 },
    places: { bays35: 3 },
  },
  {
    id: 'cable of a shop',
    kind: 'cable',
    text: `SFF-8643 to 4 x SATA breakout cable
Length: 0.75 m
Type: forward`,
    fields: { lengthMm: 750 },
    places: {
      ends: [
        { kind: 'sff-8643', tails: 1 },
        { kind: 'sata', tails: 4 },
      ],
      isReverse: false,
    },
  },
  {
    id: 'riser of a shop',
    kind: 'riser',
    text: `PCIe 4.0 x16 riser cable
Length: 200 mm`,
    fields: { edgeLanes: 16, lengthMm: 200 },
  },
  {
    id: 'splitter of a shop',
    kind: 'powerAdapter',
    text: `SATA power splitter
Input: 1 x SATA power
Output: 2 x SATA power
Rated current: 4.5 A`,
    fields: { takes: 'sata-power', ratedA: 4.5 },
    places: { gives: [{ plug: 'sata-power', count: 2 }] },
  },
  {
    id: 'bridge of a shop',
    kind: 'enclosure',
    text: `USB 3.2 Gen 2 to SATA adapter
Data rate: 10 Gb/s
Supports drives up to 20 TB`,
    fields: { link: 'usb', gbPerS: 10, largestDriveBytes: 20e12 },
  },
  {
    id: 'UPS of its maker',
    kind: 'ups',
    text: `Cistern 1500 UPS
Capacity: 1500 VA / 1050 W
Output waveform: pure sine wave
Battery: 2 x 12 V 9 Ah, lead-acid
Outlets: 8
Efficiency: 97 %
Weight: 21 kg`,
    fields: {
      ratedVa: 1500,
      ratedW: 1050,
      waveform: 'sine',
      batteryWh: 216,
      battery: 'leadAcid',
      outlets: 8,
      efficiencyPct: 97,
      massG: 21000,
    },
  },
  {
    id: 'small part of a shop',
    kind: 'sundry',
    text: `Slide rails for 4U chassis
Depth: 600–900 mm
Weight: 3.1 kg`,
    fields: { use: 'slideRails', massG: 3100 },
  },
];
