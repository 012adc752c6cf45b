import type { Sample } from './sample';

/** More texts, of other makers and in other manners, written before the reader was run on them. */
export const THIRD: readonly Sample[] = [
  {
    id: 'disk, French',
    kind: 'drive',
    text: `Disque dur interne Keel 10 To — 10 TB
Interface : SATA 6 Gb/s
Format : 3,5 pouces
Vitesse de rotation : 7200 tr/min
Mémoire cache : 256 Mo
HDD, CMR`,
    fields: {
      size: '3.5',
      rpm: 7200,
      capacityBytes: 10e12,
      interface: 'sata',
      gbPerLane: 6,
      shingled: false,
      medium: 'disk',
    },
  },
  {
    id: 'disk, bullets',
    kind: 'drive',
    text: `Barge 16 TB hard drive
• 3.5-inch form factor
• 16 TB capacity
• SATA 6 Gb/s interface
• 7200 RPM
• Up to 261 MB/s sustained transfer rate
• 550 TB/year workload
• 5-year warranty`,
    fields: {
      size: '3.5',
      capacityBytes: 16e12,
      interface: 'sata',
      gbPerLane: 6,
      rpm: 7200,
      sequentialMBps: 261,
      medium: 'disk',
    },
  },
  {
    id: 'disk, power per rail',
    kind: 'drive',
    text: `Sluice 10 TB SAS hard disk
Capacity: 10 TB
Interface: 12 Gb/s SAS
RPM: 7200
Max. start current, DC: 12 V 2.0 A / 5 V 1.1 A
Average operating power: 9.8 W
Average idle power: 6.2 W
Bytes per sector: 512e
Height: 1.028 in (26.11 mm)
Weight: 1.433 lb / 650 g`,
    fields: {
      capacityBytes: 10e12,
      interface: 'sas',
      gbPerLane: 12,
      rpm: 7200,
      busyW: 9.8,
      idleW: 6.2,
      sectors: '512e',
      heightMm: 26.11,
      massG: 650,
      medium: 'disk',
    },
  },
  {
    id: 'SATA module',
    kind: 'drive',
    text: `Reed 500 GB M.2 SATA SSD
Form factor: M.2 2242
Interface: SATA III 6 Gb/s
Read: 550 MB/s
Write: 500 MB/s
TBW: 300 TB
Power: 0.05 W idle, 2.5 W active`,
    fields: {
      size: 'm2',
      lengthMm: 42,
      interface: 'sata',
      gbPerLane: 6,
      sequentialMBps: 550,
      idleW: 0.05,
      busyW: 2.5,
      enduranceTb: 300,
      medium: 'flash',
      capacityBytes: 500e9,
    },
  },
  {
    id: 'Flex supply',
    kind: 'supply',
    text: `Clinker 350 Flex ATX PSU
Rated output: 350 W
Efficiency: 80PLUS Gold certified
Size: 150 mm (L) x 81.5 mm (W) x 40.5 mm (H)
+12 V: 29 A
+5 V: 15 A
+3.3 V: 15 A
+3.3 V and +5 V combined max. 90 W`,
    fields: {
      form: 'flex-atx',
      ratedW: 350,
      efficiencyClass: 'gold',
      lengthMm: 150,
      rail12A: 29,
      rail5A: 15,
      rail33A: 15,
      combined5And33W: 90,
    },
  },
  {
    id: 'fan, ranges',
    kind: 'fan',
    text: `Breeze 92 fan
Dimensions	92 x 92 x 25 mm
Rotational speed (+/- 10 %)	450 – 1850 RPM
Airflow	max. 67 m³/h
Acoustical noise	max. 23.9 dB(A)
Static pressure	max. 2.24 mm H2O
Max. input power	1.2 W
Voltage	12 V
Plug	4-pin PWM
MTTF	150,000 h`,
    fields: {
      sizeMm: 92,
      thickMm: 25,
      minRpm: 450,
      maxRpm: 1850,
      flowM3h: 67,
      soundDb: 23.9,
      pressurePa: 21.97,
      maxW: 1.2,
      pwm: true,
    },
  },
  {
    id: 'fan, litres a second',
    kind: 'fan',
    text: `Axial fan 40x40x28
Dimensions: 40 x 40 x 28 mm
Speed: 15000 min-1
Air flow: 6.4 l/s
Pressure: 320 Pa
Noise: 5.4 bel
Power input: 4.6 W`,
    fields: {
      soundMeaning: 'powerDeclared',
      sizeMm: 40,
      thickMm: 28,
      maxRpm: 15000,
      flowM3h: 23.04,
      pressurePa: 320,
      soundDb: 54,
      maxW: 4.6,
    },
  },
  {
    id: 'processor, one line',
    kind: 'processor',
    text: 'Drover 6 processor, 6 cores, 12 threads, TDP: 65 W, L3 cache 32 MB',
    fields: { cores: 6, threads: 12, sustainedW: 65 },
  },
  {
    id: 'cooler, server',
    kind: 'cooler',
    text: `2U active CPU heatsink Crag
Height	64 mm
Width	92 mm
Depth	91.5 mm
Thermal capacity (TDP)	205 W
Fan noise	38 dBA
Weight	0.51 kg`,
    fields: { heightMm: 64, widthMm: 92, depthMm: 91.5, carriesW: 205, massG: 510 },
  },
  {
    id: 'memory, table',
    kind: 'memory',
    text: `Part number	CL-64R
Capacity	64GB
Type	DDR4 RDIMM
Speed	2933 MT/s
ECC	Yes
Rank	2Rx4
Voltage	1.2V`,
    fields: { capacityBytes: 64 * 1024 ** 3, type: 'ddr4', form: 'dimm', mtPerS: 2933, ecc: true, registered: true },
  },
  {
    id: 'tri-mode card',
    kind: 'controller',
    text: `Tern 16x tri-mode storage HBA
Host bus: x8 PCIe Gen 4.0
Connectors: two SFF-8654 8i
Data rates: up to 24 Gb/s
Max devices: 1,024
Typical power consumption: 12.8 W
Max power: 19 W
Airflow: 250 LFM minimum
Operating temperature: 0 °C to 55 °C
Card length: 167 mm`,
    fields: {
      lanes: 8,
      gen: 4,
      mostDevices: 1024,
      busyW: 12.8,
      peakW: 19,
      needsAirMPerS: 1.27,
      maxC: 55,
      lengthMm: 167,
    },
  },
  {
    id: 'network card, shop',
    kind: 'networkCard',
    text: 'Skein 25G network card, PCIe 3.0 x8, 2x SFP28, low profile',
    fields: { lanes: 8, gen: 3, height: 'low' },
  },
  {
    id: 'UPS, table',
    kind: 'ups',
    text: `Output power capacity	1500 VA / 900 W
Output waveform	Sine wave
Battery type	LiFePO4
Battery energy	288 Wh
Receptacles	8
Online efficiency	97 %
Net weight	16.5 kg`,
    fields: {
      ratedVa: 1500,
      ratedW: 900,
      waveform: 'sine',
      battery: 'lithiumIron',
      batteryWh: 288,
      outlets: 8,
      efficiencyPct: 97,
      massG: 16500,
    },
  },
  {
    id: 'rack case, German',
    kind: 'chassis',
    text: `Gehäuse Gable 12, 19" Rack, 2 HE
Abmessungen (B x H x T): 437 x 88 x 650 mm
Laufwerkseinschübe: 12x 3,5" Hot-Swap
Gewicht: 14,2 kg
Gewicht mit Verpackung: 19 kg
Schienen: optional`,
    fields: {
      rackUnits: 2,
      style: 'rack',
      widthMm: 437,
      heightMm: 88,
      depthMm: 650,
      massG: 14200,
      slideRails: 'apart',
    },
  },
  {
    id: 'small board',
    kind: 'board',
    text: `Sprig N4 mini-ITX mainboard with soldered processor
Form factor: Mini-ITX
Memory: 1 x SO-DIMM DDR5, up to 32 GB
Storage: 4 x SATA, 1 x M.2
LAN: 4 x 2.5 GbE`,
    fields: {
      holes: 'mini-itx',
      memorySlots: 1,
      memoryForm: 'so-dimm',
      memoryType: 'ddr5',
      memoryMaxBytes: 32 * 1024 ** 3,
    },
  },
];
