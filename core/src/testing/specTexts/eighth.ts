import type { Sample } from './sample';

/** The eighth set, written before the reader was run on it. */
export const EIGHTH: readonly Sample[] = [
  {
    id: 'disk, a data sheet in capitals',
    kind: 'drive',
    text: `KEEL ENTERPRISE HDD
CAPACITY                      18 TB
INTERFACE                     SATA 6GB/S
ROTATIONAL SPEED              7200 RPM
MAX SUSTAINED TRANSFER RATE   269 MB/S
POWER, IDLE                   5.2 W
POWER, RANDOM READ            7.0 W
OPERATING TEMPERATURE         5-60 °C
WEIGHT                        680 G`,
    fields: {
      capacityBytes: 18e12,
      interface: 'sata',
      gbPerLane: 6,
      rpm: 7200,
      sequentialMBps: 269,
      idleW: 5.2,
      busyW: 7,
      maxC: 60,
      massG: 680,
      medium: 'disk',
    },
  },
  {
    id: 'disk, with what is not it',
    kind: 'drive',
    text: `Barge 6 TB hard drive, 3.5"
Customers also bought: Pike 960 GB SSD
Capacity: 6 TB
Price: 129.00 EUR
Delivery: 2-3 days
Interface: SATA 6 Gb/s
Speed: 5400 rpm
Warranty: 36 months
Operating: 3.7 W`,
    fields: {
      size: '3.5',
      capacityBytes: 6e12,
      interface: 'sata',
      gbPerLane: 6,
      rpm: 5400,
      busyW: 3.7,
      medium: 'disk',
    },
  },
  {
    id: 'SSD with several capacities',
    kind: 'drive',
    text: `Pike SSD series	240 GB	480 GB	960 GB
Sequential read	540 MB/s	560 MB/s	560 MB/s
Endurance	80 TBW	160 TBW	320 TBW
Idle power	0.4 W	0.4 W	0.4 W
Active power	1.8 W	2.2 W	2.9 W
Form factor	2.5-inch, 7 mm	2.5-inch, 7 mm	2.5-inch, 7 mm
Interface	SATA 6 Gb/s	SATA 6 Gb/s	SATA 6 Gb/s`,
    fields: { idleW: 0.4, size: '2.5', heightMm: 7, interface: 'sata', gbPerLane: 6, medium: 'flash' },
  },
  {
    id: 'supply, redundant module',
    kind: 'supply',
    text: `Brazier 550 power supply module
Output power: 550 W
Efficiency: 80 PLUS Platinum (94 %)
+12 V output: 45 A
+5 Vsb: 3 A
Dimensions (W x H x L): 54.5 x 40 x 220 mm
Weight: 0.9 kg`,
    fields: { ratedW: 550, efficiencyClass: 'platinum', rail12A: 45, lengthMm: 220, massG: 900 },
  },
  {
    id: 'fan, a page in two lines each',
    kind: 'fan',
    text: `Breeze 140 fan
Fan Dimensions
140 x 140 x 27 mm
Fan Speed
Up to 1700 RPM
Air Flow
79.86 CFM
Static Pressure
1.88 mmH2O
Noise Level
26 dBA
Rated Voltage
12 V DC
Rated Current
0.16 A`,
    fields: { sizeMm: 140, thickMm: 27, maxRpm: 1700, flowM3h: 135.7, pressurePa: 18.44, soundDb: 26, maxW: 1.92 },
  },
  {
    id: 'processor, a listing',
    kind: 'processor',
    text: 'Shire 16 CPU, 16 cores, 32 threads, TDP 120W, socket Q5, used',
    fields: { cores: 16, threads: 32, socket: 'Q5', sustainedW: 120 },
  },
  {
    id: 'cooler, German',
    kind: 'cooler',
    text: `CPU-Kühler Fell 47
Höhe: 47 mm
Breite: 100 mm
Tiefe: 97 mm
Gewicht: 420 g
Max. TDP: 95 W
Lautstärke: 12,9 - 33,4 dB(A)`,
    fields: { heightMm: 47, widthMm: 100, depthMm: 97, massG: 420, carriesW: 95 },
  },
  {
    id: 'memory, a kit in a table',
    kind: 'memory',
    text: `Memory Series	Clew
Memory Type	DDR5
Memory Size	32GB Kit (2 x 16GB)
Tested Speed	5600 MT/s
Registered/Unbuffered	Unbuffered
Error Checking	Non-ECC
Form	SO-DIMM`,
    fields: {
      type: 'ddr5',
      capacityBytes: 16 * 1024 ** 3,
      mtPerS: 5600,
      registered: false,
      ecc: false,
      form: 'so-dimm',
    },
  },
  {
    id: 'controller, a page',
    kind: 'controller',
    text: `Stilt 10 SATA controller
Host interface
PCI Express 3.0 x4
SATA ports
10
Max. devices
10
Power consumption
5.1 W (max)
Board size
120 mm x 68.9 mm`,
    fields: { lanes: 4, gen: 3, mostDevices: 10, peakW: 5.1, lengthMm: 120 },
  },
  {
    id: 'network card, bullets',
    kind: 'networkCard',
    text: `Skein 2.5 network adapter
- PCIe 2.1 x1
- 1 x RJ45, 2.5 Gb/s
- Power: 1.2 W typical
- Low-profile bracket included`,
    fields: { height: 'low', lanes: 1, gen: 2, busyW: 1.2 },
  },
  {
    id: 'UPS, double conversion',
    kind: 'ups',
    text: `Weir 2000 online UPS
Capacity: 2000VA / 1800W
Output waveform: Pure sinewave
Efficiency (line mode): 92 %
Battery type: VRLA 12V/9Ah x 4
Output receptacles: 8
Weight: 19.4 kg`,
    fields: {
      ratedVa: 2000,
      ratedW: 1800,
      waveform: 'sine',
      efficiencyPct: 92,
      battery: 'leadAcid',
      batteryWh: 432,
      outlets: 8,
      massG: 19_400,
    },
  },
  {
    id: 'case, with lists',
    kind: 'chassis',
    text: `Steading T9 tower case
Dimensions: L 495 mm x W 230 mm x H 505 mm
Weight: 9.8 kg
Max GPU length: 360 mm
Max CPU cooler height: 170 mm
Fans included: 2 x 140 mm front, 1 x 120 mm rear
PSU length: up to 200 mm`,
    fields: { style: 'tower', depthMm: 495, widthMm: 230, heightMm: 505, massG: 9800 },
  },
  {
    id: 'board, a table',
    kind: 'board',
    text: `Product type	Server motherboard
Form factor	ATX, 305 x 244 mm
CPU socket	R3-2011
Memory slots	8 x DDR4 DIMM
Maximum memory	256 GB
ECC support	Yes
Remote management	IPMI 2.0`,
    fields: {
      edgeMm: 305,
      depthMm: 244,
      holes: 'atx',
      socket: 'R3-2011',
      memorySlots: 8,
      memoryType: 'ddr4',
      memoryForm: 'dimm',
      memoryMaxBytes: 256 * 1024 ** 3,
      memoryEcc: true,
      remoteManagement: true,
    },
  },
];
