import type { Sample } from './sample';

/** More manners of saying the same, written before the reader was run on them. */
export const FIFTH: readonly Sample[] = [
  {
    id: 'disk, labels with their units',
    kind: 'drive',
    text: `Barge 12 hard disk drive
Capacity (GB): 12000
Spindle speed (rpm): 7200
Sustained transfer rate OD (MB/s): 255
Idle power (W): 5.6
Operating power (W): 7.8
Standby power (W): 0.9
Weight (g): 660
Height (mm): 26.1
Interface: SATA 6Gb/s`,
    fields: {
      capacityBytes: 12e12,
      rpm: 7200,
      sequentialMBps: 255,
      idleW: 5.6,
      busyW: 7.8,
      standbyW: 0.9,
      massG: 660,
      heightMm: 26.1,
      interface: 'sata',
      gbPerLane: 6,
      medium: 'disk',
    },
  },
  {
    id: 'disk, a sentence',
    kind: 'drive',
    text: `The Keel is a 3.5-inch helium hard drive of 22 TB that spins at 7200 rpm and reads up to 285 MB/s.
Power consumption averages 5.7 W when idle.`,
    fields: { sequentialMBps: 285, size: '3.5', capacityBytes: 22e12, rpm: 7200, medium: 'disk' },
  },
  {
    id: 'disk, footnotes',
    kind: 'drive',
    text: `Specifications*
Capacity¹ 	16TB
Interface 	SATA 6 Gb/s
Data transfer rate² (max) 	259 MB/s
RPM 	7200
Power management³
  Idle 	5.5 W
  Active 	7.5 W
Operating temp. 	0°C to 65°C
¹ One terabyte is one trillion bytes.
² Based on internal testing.`,
    fields: {
      capacityBytes: 16e12,
      interface: 'sata',
      gbPerLane: 6,
      sequentialMBps: 259,
      rpm: 7200,
      idleW: 5.5,
      busyW: 7.5,
      maxC: 65,
      medium: 'disk',
    },
  },
  {
    id: 'NVMe, key and value by equals',
    kind: 'drive',
    text: `model = Rill 4000
form factor = M.2 2280
interface = PCIe 5.0 x4 NVMe 2.0
capacity = 4TB
sequential read = 12,400 MB/s
sequential write = 11,800 MB/s
endurance = 2,400 TBW
average active power = 8.6 W`,
    fields: {
      size: 'm2',
      lengthMm: 80,
      interface: 'nvme',
      pcieGen: 5,
      lanes: 4,
      capacityBytes: 4e12,
      sequentialMBps: 12_400,
      enduranceTb: 2400,
      busyW: 8.6,
      medium: 'flash',
    },
  },
  {
    id: 'supply, sentences',
    kind: 'supply',
    text: `Moss 600 fanless power supply
Output: 600 W continuous
Certified 80 PLUS Platinum
Form factor: ATX12V, PS/2, 150 mm (W) x 86 mm (H) x 170 mm (L)
Single +12 V rail: 50 A
Cables: fully modular`,
    fields: { form: 'atx', ratedW: 600, efficiencyClass: 'platinum', lengthMm: 170, modular: true },
  },
  {
    id: 'supply of a server',
    kind: 'supply',
    text: `Clinker 250 TFX power supply
Rated power	250 W
Efficiency	80 PLUS Bronze
+12V	20.5 A
+5V	14 A
+3.3V	14 A
Dimensions (L x W x H)	175 x 85 x 65 mm`,
    fields: {
      form: 'tfx',
      ratedW: 250,
      efficiencyClass: 'bronze',
      rail12A: 20.5,
      rail5A: 14,
      rail33A: 14,
      lengthMm: 175,
    },
  },
  {
    id: 'fan, labels with units',
    kind: 'fan',
    text: `Breeze 120 case fan
Fan size (mm): 120 x 120 x 25
Fan speed (RPM): 600 - 2000
Air flow (CFM): 72.8
Air pressure (mmH2O): 2.9
Noise level (dBA): 29.8
Connector: 4-pin PWM
Rated power (W): 2.4`,
    fields: {
      sizeMm: 120,
      thickMm: 25,
      minRpm: 600,
      maxRpm: 2000,
      flowM3h: 123.69,
      pressurePa: 28.44,
      soundDb: 29.8,
      pwm: true,
      maxW: 2.4,
    },
  },
  {
    id: 'processor, two columns by room',
    kind: 'processor',
    text: `Shire 8 processor
Cores            8
Threads          8
Base clock       2.1 GHz
TDP              35 W
PCIe lanes       16
Graphics         none`,
    fields: { cores: 8, threads: 8, sustainedW: 35, lanes: 16, graphics: false },
  },
  {
    id: 'cooler, for a low case',
    kind: 'cooler',
    text: `Fell 62 CPU cooler
Overall dimensions (L x W x H): 114 x 92 x 62 mm
Max. TDP: 105 W
Weight: 390 g (with fan)
Fan speed: 2500 RPM
Noise: 23 dBA`,
    fields: { depthMm: 114, widthMm: 92, heightMm: 62, carriesW: 105, massG: 390 },
  },
  {
    id: 'memory, part by part',
    kind: 'memory',
    text: `Memory type: DDR4
Form factor: 260-pin SO-DIMM
Capacity per module: 8 GB
Data rate: 2666 MT/s
ECC: No
Voltage: 1.2 V`,
    fields: {
      type: 'ddr4',
      form: 'so-dimm',
      capacityBytes: 8 * 1024 ** 3,
      mtPerS: 2666,
      ecc: false,
      registered: false,
    },
  },
  {
    id: 'card with outside ports',
    kind: 'controller',
    text: `Tern 8e storage controller (HBA)
PCI interface: PCIe 3.0 x8
External ports: 2 x SFF-8644
Max number of devices: 1024
Power (typical): 11.3 W
Size: 152.4 x 68.9 mm`,
    fields: { lanes: 8, gen: 3, mostDevices: 1024, busyW: 11.3, lengthMm: 152.4 },
  },
  {
    id: 'network card, German',
    kind: 'networkCard',
    text: `Netzwerkkarte Skein 10
Schnittstelle: PCIe 2.0 x8
Anschlüsse: 2x SFP+ (10 Gbit/s)
Leistungsaufnahme: typ. 5,3 W, max. 6,8 W
Bauform: Low Profile`,
    fields: { lanes: 8, gen: 2, busyW: 5.3, peakW: 6.8, height: 'low' },
  },
  {
    id: 'UPS, sentences',
    kind: 'ups',
    text: `Weir 1500 UPS
Power: 1500VA/1000W
Output waveform on battery: simulated sine wave
Output sockets: 6
Battery: 2 x 12V 9Ah lead acid`,
    fields: { ratedVa: 1500, ratedW: 1000, waveform: 'stepped', outlets: 6, battery: 'leadAcid', batteryWh: 216 },
  },
  {
    id: 'case, three lines',
    kind: 'chassis',
    text: `Stead M4 micro tower case
Height	380 mm
Width	210 mm
Depth	400 mm
Material	Steel
Weight (net)	5.2 kg`,
    fields: { style: 'tower', heightMm: 380, widthMm: 210, depthMm: 400, massG: 5200 },
  },
  {
    id: 'board, bullets',
    kind: 'board',
    text: `Knot M8 server motherboard
- Form factor: Micro-ATX, 9.6" x 9.6"
- Socket Q5
- 4 DIMM slots, DDR5 UDIMM ECC, up to 192 GB
- 8 x SATA3
- IPMI 2.0 with BMC`,
    fields: {
      edgeMm: 243.84,
      depthMm: 243.84,
      holes: 'micro-atx',
      memorySlots: 4,
      memoryForm: 'dimm',
      memoryType: 'ddr5',
      memoryMaxBytes: 192 * 1024 ** 3,
      memoryEcc: true,
      remoteManagement: true,
      socket: 'Q5',
    },
  },
];
