import type { Sample } from './sample';

/** Texts written after the reader and before it was run on them. */
export const SECOND: readonly Sample[] = [
  {
    id: 'disk, sentences of a data sheet',
    kind: 'drive',
    text: `LIGHTER 12 TB  3.5-inch hard disk drive
Model number | LG12T-A
Interface | Serial ATA 6.0 Gb/s
Formatted capacity | 12 TB
Rotation speed | 7200 rpm
Max. sustained data rate | 255 MB/s
Power consumption: idle A | 5.6 W
Power consumption: read/write | 8.1 W
Power consumption: standby | 1.0 W
Acoustics (idle) | 2.5 bels
Height | 26.1 mm max
Weight | 1.46 lbs
Temperature, operating | 5 °C – 65 °C
Temperature, non-operating | -40 °C – 70 °C
Buffer size | 512 MiB`,
    fields: {
      soundMeaning: 'powerDeclared',
      size: '3.5',
      interface: 'sata',
      gbPerLane: 6,
      capacityBytes: 12e12,
      rpm: 7200,
      sequentialMBps: 255,
      idleW: 5.6,
      busyW: 8.1,
      standbyW: 1,
      soundIdleDb: 25,
      heightMm: 26.1,
      massG: 662.2,
      maxC: 65,
      medium: 'disk',
    },
  },
  {
    id: 'disk, German shop',
    kind: 'drive',
    text: `Festplatte Keel 18TB (3.5", SATA)
Drehzahl: 7.200 U/min
Cache: 512 MB
Aufzeichnungsverfahren: CMR
Leistungsaufnahme: 7,1 W (Betrieb), 4,9 W (Leerlauf)
Lautstärke Leerlauf: 20 dB(A)
Lautstärke Zugriff: 30 dB(A)
Datenrate: 270 MB/s
Besonderheiten: Dauerbetrieb`,
    fields: {
      idleW: 4.9,
      busyW: 7.1,
      size: '3.5',
      interface: 'sata',
      rpm: 7200,
      shingled: false,
      soundIdleDb: 20,
      soundSeekDb: 30,
      sequentialMBps: 270,
      medium: 'disk',
      capacityBytes: 18e12,
    },
  },
  {
    id: 'SSD of U.2',
    kind: 'drive',
    text: `Sallowfen Mere 3.84 TB data centre SSD
Form factor	U.2, 15 mm
Interface	PCIe 4.0 x4 NVMe
Sequential read	6,800 MB/s
Sequential write	4,000 MB/s
Random read	1,000,000 IOPS
Random write	180,000 IOPS
Endurance	7,008 TBW (1 DWPD)
Active power	14 W
Idle power	5 W
Power loss protection	Yes
Warranty	5 years`,
    fields: {
      size: 'u.2',
      interface: 'nvme',
      pcieGen: 4,
      lanes: 4,
      sequentialMBps: 6800,
      randomIops: 1_000_000,
      enduranceTb: 7008,
      busyW: 14,
      idleW: 5,
      powerLossSafe: true,
      medium: 'flash',
      capacityBytes: 3.84e12,
      heightMm: 15,
    },
  },
  {
    id: 'supply, a shop in German',
    kind: 'supply',
    text: `Netzteil Ember 850 Platin
Leistung: 850 Watt
Formfaktor: ATX
Effizienz: 80 PLUS Platinum
Kabelmanagement: vollmodular
Abmessungen (B x H x T): 150 x 86 x 160 mm
Lüfter: 135 mm
+12V: 70,8 A
+5V: 25 A
+3,3V: 25 A`,
    fields: {
      ratedW: 850,
      form: 'atx',
      efficiencyClass: 'platinum',
      modular: true,
      lengthMm: 160,
      rail12A: 70.8,
      rail5A: 25,
      rail33A: 25,
    },
  },
  {
    id: 'supply, two rails of 12 V',
    kind: 'supply',
    text: `Cinder 500 power supply, 500W, 80 PLUS Bronze, ATX, non-modular
Output | +3.3V | +5V | +12V1 | +12V2 | -12V | +5Vsb
Max current | 24A | 15A | 20A | 20A | 0.3A | 2.5A
Length: 5.5 in`,
    fields: {
      form: 'atx',
      efficiencyClass: 'bronze',
      modular: false,
      rail33A: 24,
      rail5A: 15,
      lengthMm: 139.7,
      ratedW: 500,
    },
  },
  {
    id: 'fan, one line',
    kind: 'fan',
    text: 'Gale 140 fan, 140x140x25mm, 300-1500 rpm, 4-pin PWM, 24.9 dB(A), 140 m³/h, 2.1 mmH2O',
    fields: {
      sizeMm: 140,
      thickMm: 25,
      minRpm: 300,
      maxRpm: 1500,
      pwm: true,
      soundDb: 24.9,
      flowM3h: 140,
      pressurePa: 20.6,
    },
  },
  {
    id: 'fan, inches of water and amperes',
    kind: 'fan',
    text: `80 mm server fan
Dimensions 80 x 80 x 38 mm
Speed 9,000 RPM
Air flow 84.1 CFM
Static pressure 1.1 inH2O
Noise 55 dBA
Input 12 V, 0.9 A
Input power 10.8 W`,
    fields: { sizeMm: 80, thickMm: 38, maxRpm: 9000, flowM3h: 142.9, pressurePa: 274, soundDb: 55, maxW: 10.8 },
  },
  {
    id: 'processor, German',
    kind: 'processor',
    text: `Anzahl der Kerne	8
Anzahl Threads	16
Sockel	Q5
TDP	65 W
PCI Express Version	4.0
PCIe-Lanes	24
Integrierte Grafik	Nein
ECC-Unterstützung	Ja`,
    fields: {
      cores: 8,
      threads: 16,
      socket: 'Q5',
      sustainedW: 65,
      gen: 4,
      lanes: 24,
      graphics: false,
      memoryEcc: true,
    },
  },
  {
    id: 'cooler, dimensions by letters',
    kind: 'cooler',
    text: `Fell 37 low-profile CPU cooler
Dimensions: 95 mm (L) x 95 mm (W) x 37 mm (H)
Heat pipes: 4
TDP: 95 W
Weight: 0.42 kg`,
    fields: { depthMm: 95, widthMm: 95, heightMm: 37, carriesW: 95, massG: 420 },
  },
  {
    id: 'memory, one line',
    kind: 'memory',
    text: 'Clew 16GB SO-DIMM DDR5-5600 CL46 non-ECC',
    fields: {
      form: 'so-dimm',
      type: 'ddr5',
      mtPerS: 5600,
      capacityBytes: 16 * 1024 ** 3,
      ecc: false,
      registered: false,
    },
  },
  {
    id: 'SATA card',
    kind: 'controller',
    text: `Stilt 6 SATA controller card
Interface: PCIe 3.0 x2
Ports: 6 x SATA III
Maximum devices: 6
Power: 3.2 W (typ.)
Dimensions: 98 x 69 mm`,
    fields: { lanes: 2, gen: 3, mostDevices: 6, busyW: 3.2, lengthMm: 98 },
  },
  {
    id: 'UPS, line of a shop',
    kind: 'ups',
    text: 'Sluice 850 UPS, 850 VA / 510 W, simulated sine wave, 8 outlets, 12 V 9 Ah lead-acid battery',
    fields: { ratedVa: 850, ratedW: 510, waveform: 'stepped', outlets: 8, battery: 'leadAcid', batteryWh: 108 },
  },
  {
    id: 'tower case',
    kind: 'chassis',
    text: `Steading T7 tower case
Case dimensions (L x W x H)	480 x 220 x 465 mm
Motherboard support	ATX, Micro-ATX, Mini-ITX
Drive bays	8 x 3.5", 2 x 2.5"
Max. GPU length	330 mm
Max. CPU cooler height	165 mm
Weight	8.6 kg
Package weight	10.4 kg`,
    fields: { style: 'tower', depthMm: 480, widthMm: 220, heightMm: 465, massG: 8600 },
  },
  {
    id: 'server board',
    kind: 'board',
    text: `Gannet motherboard
Form Factor: SSI-CEB (12" x 10.5")
Socket: R3-2011
DIMM slots: 8
Memory type: DDR4 RDIMM
Max memory: 512 GB
Remote management: IPMI with KVM
SATA ports: 8`,
    fields: {
      memoryRegistered: 'must',
      memoryEcc: true,
      edgeMm: 304.8,
      depthMm: 266.7,
      holes: 'ssi-ceb',
      socket: 'R3-2011',
      memorySlots: 8,
      memoryType: 'ddr4',
      memoryForm: 'dimm',
      memoryMaxBytes: 512 * 1024 ** 3,
      remoteManagement: true,
    },
  },
  {
    id: 'nothing of a part',
    kind: 'drive',
    text: `Order 10 bolts, 4 washers and a tin of paint.
Capacity: 1 TB
Interface: SATA`,
    fields: { capacityBytes: 1e12, interface: 'sata' },
  },
];
