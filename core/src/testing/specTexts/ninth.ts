import type { Sample } from './sample';

/** The ninth set, written before the reader was run on it. */
export const NINTH: readonly Sample[] = [
  {
    id: 'disk, with a unit table and several capacities',
    kind: 'drive',
    text: `Keel enterprise hard drives
Model capacity | 14 TB | 16 TB | 18 TB
Spindle speed | 7200 rpm | 7200 rpm | 7200 rpm
Interface | SATA 6 Gb/s | SATA 6 Gb/s | SATA 6 Gb/s
Idle power | 5.0 W | 5.1 W | 5.2 W
Random read | 6.8 W | 7.0 W | 7.1 W
Weight | 670 g | 670 g | 690 g`,
    fields: { rpm: 7200, interface: 'sata', gbPerLane: 6, medium: 'disk' },
  },
  {
    id: 'disk, an auction',
    kind: 'drive',
    text: `Lighter 3TB 3,5" Festplatte SATA, 5900 U/min, 64 MB Cache
Betriebsstunden: 31.250
SMART ok, keine defekten Sektoren`,
    fields: { size: '3.5', interface: 'sata', rpm: 5900, medium: 'disk', capacityBytes: 3e12 },
  },
  {
    id: 'SSD, with peak and average',
    kind: 'drive',
    text: `Zander 960GB SATA SSD
Form factor: 2.5" (7mm)
Interface: SATA 6Gbps
Sequential Read: 550MB/s
Random Read: 97,000 IOPS
Average power (active): 2.1W
Idle power: 1.1W
Endurance: 1,752 TBW
MTBF: 2,000,000 hours
Operating temperature: 0C to 70C`,
    fields: {
      size: '2.5',
      heightMm: 7,
      interface: 'sata',
      gbPerLane: 6,
      sequentialMBps: 550,
      randomIops: 97_000,
      busyW: 2.1,
      idleW: 1.1,
      enduranceTb: 1752,
      medium: 'flash',
      capacityBytes: 960e9,
      maxC: 70,
    },
  },
  {
    id: 'supply, with a long name',
    kind: 'supply',
    text: `Product: Kilnhook Ember 1000 Power Supply
Wattage: 1000W
Form Factor: ATX
Efficiency Rating: 80 PLUS Gold
Modularity: Fully Modular
Length: 160mm
Fan Size: 140mm
EPS Connectors: 2`,
    fields: { ratedW: 1000, form: 'atx', efficiencyClass: 'gold', modular: true, lengthMm: 160 },
  },
  {
    id: 'brick',
    kind: 'supply',
    text: `Pellet 120 external power supply adapter
Input: 100-240 V AC, 1.8 A
Output: 19 V DC, 6.32 A, 120 W
Plug: 5.5 x 2.5 mm`,
    fields: { dcPlug: '5.5 × 2.5', ratedW: 120, outV: 19 },
  },
  {
    id: 'fan, a server one',
    kind: 'fan',
    text: `40x56 mm counter rotating server fan
Nominal voltage: 12 VDC
Speed: 22000 / 18500 RPM
Air flow: 32.4 CFM
Static pressure: 4.1 inH2O
Power: 18 W
Noise: 66 dB(A)`,
    fields: { sizeMm: 40, thickMm: 56, flowM3h: 55.05, pressurePa: 1021.3, maxW: 18, soundDb: 66 },
  },
  {
    id: 'processor, sentences',
    kind: 'processor',
    text: 'The Drover 8 is a processor with 8 cores and 16 threads, a TDP of 65 W and 24 lanes of PCIe 4.0.',
    fields: { cores: 8, threads: 16, sustainedW: 65, lanes: 24, gen: 4 },
  },
  {
    id: 'cooler, a shop',
    kind: 'cooler',
    text: `CPU cooler Tarn 92
Type: tower cooler
Height: 125 mm
Fan: 92 mm, 600-2000 rpm
Noise level: 10-25 dB
Cooling capacity: 150 W
Weight: 465 g`,
    fields: { heightMm: 125, carriesW: 150, massG: 465 },
  },
  {
    id: 'memory, low voltage',
    kind: 'memory',
    text: `8 GB DDR3L-1600 ECC UDIMM memory module
Height: 30 mm`,
    fields: {
      capacityBytes: 8 * 1024 ** 3,
      type: 'ddr3',
      mtPerS: 1600,
      ecc: true,
      form: 'dimm',
      registered: false,
      heightMm: 30,
    },
  },
  {
    id: 'HBA, a table in German',
    kind: 'controller',
    text: `Host-Bus-Adapter Tern 16i (HBA)
Bus	PCIe 4.0 x8
Anschlüsse	4x SFF-8643
Max. Geräte	1024
Leistungsaufnahme	10,5 W
Betriebstemperatur	0 bis 55 °C
Länge	156 mm`,
    fields: { gen: 4, lanes: 8, mostDevices: 1024, busyW: 10.5, maxC: 55, lengthMm: 156 },
  },
  {
    id: 'UPS, French',
    kind: 'ups',
    text: `Onduleur (UPS) Sluice 650
Puissance de sortie : 650 VA / 360 W
Prises : 4
Poids : 4,8 kg`,
    fields: { outlets: 4, massG: 4800, ratedVa: 650, ratedW: 360 },
  },
  {
    id: 'case, feet and inches of a shop',
    kind: 'chassis',
    text: `Byre 15 4U rackmount chassis for 15 drives
Dimensions (WxHxD): 16.9" x 7" x 25"
Weight: 33 lbs
Slide rails: included`,
    fields: {
      rackUnits: 4,
      style: 'rack',
      widthMm: 429.3,
      heightMm: 177.8,
      depthMm: 635,
      massG: 14_969,
      slideRails: 'included',
    },
  },
  {
    id: 'board, two lines each',
    kind: 'board',
    text: `Wren C8 mainboard
Form Factor
Mini-ITX
CPU Socket
Q5
Memory Support
2 x DDR5 UDIMM, up to 96 GB, ECC supported
Management
IPMI`,
    fields: {
      holes: 'mini-itx',
      socket: 'Q5',
      memorySlots: 2,
      memoryType: 'ddr5',
      memoryForm: 'dimm',
      memoryMaxBytes: 96 * 1024 ** 3,
      memoryEcc: true,
      remoteManagement: true,
    },
  },
];
