import type { Sample } from './sample';

/** A last set, in manners not met before, written before the reader was run on it. */
export const FOURTH: readonly Sample[] = [
  {
    id: 'disk, a page with headings',
    kind: 'drive',
    text: `Bargeyard Barge 20 TB
Performance
Interface speed
6.0 Gb/s
Rotational speed
7200 rpm
Maximum sustained transfer rate
268 MB/s
Power
Idle
5.6 W
Operating
7.6 W
Standby
1.1 W
Environment
Operating temperature
5 to 60 °C
Physical
Height
26.1 mm
Weight
670 g`,
    fields: {
      rpm: 7200,
      sequentialMBps: 268,
      idleW: 5.6,
      busyW: 7.6,
      standbyW: 1.1,
      maxC: 60,
      heightMm: 26.1,
      massG: 670,
      medium: 'disk',
      capacityBytes: 20e12,
      gbPerLane: 6,
    },
  },
  {
    id: 'laptop disk',
    kind: 'drive',
    text: `Coot 2 TB
Form factor: 2.5-inch
Interface: SATA 3Gb/s
Rotational speed: 5400 RPM
Drive height: 9.5 mm
Start-up power: 5 V, 1.0 A
Read/write power: 1.7 W
Idle: 0.7 W
Sleep: 0.13 W
Sound, idle: 2.2 bels
Sound, seek: 2.4 bels
Load/unload cycles: 600,000`,
    fields: {
      soundMeaning: 'powerDeclared',
      size: '2.5',
      interface: 'sata',
      gbPerLane: 3,
      rpm: 5400,
      heightMm: 9.5,
      busyW: 1.7,
      idleW: 0.7,
      standbyW: 0.13,
      soundIdleDb: 22,
      soundSeekDb: 24,
      medium: 'disk',
      capacityBytes: 2e12,
    },
  },
  {
    id: 'NVMe, a shop in German',
    kind: 'drive',
    text: `Rill 1TB NVMe SSD
Formfaktor: M.2 2280
Schnittstelle: PCIe 3.0 x4
Lesegeschwindigkeit: 3.500 MB/s
Schreibgeschwindigkeit: 3.000 MB/s
Haltbarkeit (TBW): 600 TB
Garantie: 5 Jahre`,
    fields: {
      size: 'm2',
      lengthMm: 80,
      interface: 'nvme',
      pcieGen: 3,
      lanes: 4,
      sequentialMBps: 3500,
      enduranceTb: 600,
      medium: 'flash',
      capacityBytes: 1e12,
    },
  },
  {
    id: 'supply, a brick',
    kind: 'supply',
    text: `Ember 450 SFX-L power supply unit
Continuous power: 450 W
80 PLUS Titanium
Modular: Yes (fully)
Max load +12V: 37 A
Max load +5V: 20 A
Max load +3.3V: 20 A
Dimension: 125 (W) x 63.5 (H) x 130 (D) mm`,
    fields: {
      form: 'sfx-l',
      ratedW: 450,
      efficiencyClass: 'titanium',
      modular: true,
      rail12A: 37,
      rail5A: 20,
      rail33A: 20,
      lengthMm: 130,
    },
  },
  {
    id: 'fan, a table with two models',
    kind: 'fan',
    text: `Fan model	Gale 140-A	Gale 140-B
Speed	1200 rpm	1500 rpm
Airflow	68 CFM	82 CFM
Noise	19 dB(A)	24 dB(A)
Size	140 x 140 x 25 mm	140 x 140 x 25 mm`,
    fields: { sizeMm: 140, thickMm: 25 },
  },
  {
    id: 'fan, French',
    kind: 'fan',
    text: `Ventilateur PWM (fan) 120 mm
Dimensions : 120 x 120 x 25 mm
Vitesse : 500 - 1500 tr/min
Débit d'air : 95 m³/h
Niveau sonore : 23,5 dB(A)`,
    fields: { minRpm: 500, maxRpm: 1500, sizeMm: 120, thickMm: 25, pwm: true, flowM3h: 95, soundDb: 23.5 },
  },
  {
    id: 'processor, table',
    kind: 'processor',
    text: `Specification	Shire 16
CPU cores	16
Threads	32
L3 cache	64 MB
Default TDP	155 W
Max. operating temperature (Tjmax)	95 °C
PCI Express version	PCIe 4.0
ECC memory	Supported
Integrated graphics	No`,
    fields: { cores: 16, threads: 32, sustainedW: 155, maxC: 95, gen: 4, memoryEcc: true, graphics: false },
  },
  {
    id: 'cooler, one line',
    kind: 'cooler',
    text: 'Tarn 155 CPU cooler, height: 158 mm, TDP: 220 W, weight: 960 g, 2 x 140 mm fans',
    fields: { heightMm: 158, carriesW: 220, massG: 960 },
  },
  {
    id: 'memory, shop in German',
    kind: 'memory',
    text: `Arbeitsspeicher Clew 64GB Kit (2x 32GB)
Typ: DDR5 UDIMM
Takt: 5600 MT/s
ECC: nein`,
    fields: { capacityBytes: 32 * 1024 ** 3, type: 'ddr5', form: 'dimm', mtPerS: 5600, ecc: false, registered: false },
  },
  {
    id: 'RAID card',
    kind: 'controller',
    text: `Grebe 8R RAID controller
Bus interface	PCIe x8 3.0
Internal connectors	2 x SFF-8643
Max. drives	240
Cache	2 GB DDR4
Power consumption	16 W typical, 22.5 W maximum
Ambient temperature (operating)	0 – 55 °C
Dimensions	167.6 mm x 68.9 mm (low-profile)`,
    fields: { lanes: 8, gen: 3, mostDevices: 240, busyW: 16, peakW: 22.5, maxC: 55, lengthMm: 167.6 },
  },
  {
    id: 'UPS, German',
    kind: 'ups',
    text: `USV Weir 700
Leistung: 700 VA / 390 W
Ausgangsform: Stufenform
Akku: Blei, 12 V / 7 Ah
Steckdosen: 4
Gewicht: 6,3 kg`,
    fields: {
      ratedVa: 700,
      ratedW: 390,
      waveform: 'stepped',
      battery: 'leadAcid',
      batteryWh: 84,
      outlets: 4,
      massG: 6300,
    },
  },
  {
    id: 'cube case',
    kind: 'chassis',
    text: `Larder 6 NAS case
Dimensions: 300 mm (W) x 210 mm (H) x 290 mm (D)
Volume: 18.3 L
Internal drive bays: 6 x 3.5"
Max. PSU length: 150 mm
Net weight: 4.1 kg`,
    fields: { widthMm: 300, heightMm: 210, depthMm: 290, massG: 4100 },
  },
  {
    id: 'board, old',
    kind: 'board',
    text: `Plover A5 motherboard
Form Factor | Micro-ATX (244 x 244 mm)
Socket | S7-1150
Memory | 4 x DIMM, max. 32 GB, DDR3
SATA ports | 6
Graphics output | HDMI, VGA`,
    fields: {
      edgeMm: 244,
      depthMm: 244,
      holes: 'micro-atx',
      socket: 'S7-1150',
      memorySlots: 4,
      memoryMaxBytes: 32 * 1024 ** 3,
      memoryType: 'ddr3',
      memoryForm: 'dimm',
    },
  },
];
