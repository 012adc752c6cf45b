import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Written after the eleventh was read, and committed before it was first run on them. */
export const TWELFTH: readonly Sample[] = [
  {
    id: 'NAS case, a shop’s page in sections',
    kind: 'chassis',
    text: `Trug 8 Plus NAS case
Compatibility
Motherboard: Mini-ITX, Micro-ATX
Power supply: SFX, max. length 130 mm
Max. CPU cooler height: 72 mm
Drive bays
3.5" hot-swap: 8
2.5" internal: 2
Cooling
Rear: 2 x 120 mm fan
Physical
Size (W×D×H): 240 × 360 × 280 mm
Weight: 6.4 kg`,
    fields: { widthMm: 240, depthMm: 360, heightMm: 280, massG: 6400 },
    places: {
      hotSwap: true,
      supplyForms: ['sfx'],
      boards: ['mini-itx', 'micro-atx'],
      supplyMm: 130,
      coolerMm: 72,
      bays35: 8,
      bays25: 2,
      fans: [{ count: 2, sizeMm: 120, wall: 'rear' }],
    },
  },
  {
    id: 'board, a page of a maker with dots',
    kind: 'board',
    text: `Plover M6 motherboard
Form factor ........ Micro-ATX
CPU socket ......... Q5
Memory ............. 4 x DIMM, DDR5, up to 192 GB
Expansion .......... 1 x PCIe 5.0 x16, 1 x PCIe 4.0 x4
SATA ............... 4 x SATA 6 Gb/s
M.2 ................ 3 x M.2 slots
LAN ................ 2.5 Gb/s`,
    fields: {
      holes: 'micro-atx',
      socket: 'Q5',
      memorySlots: 4,
      memoryType: 'ddr5',
      memoryForm: 'dimm',
      memoryMaxBytes: 192 * GIB,
    },
    places: {
      sataPorts: 4,
      m2Sockets: 3,
      slots: [
        { count: 1, lanes: 16, wiredLanes: 16, gen: 5 },
        { count: 1, lanes: 4, wiredLanes: 4, gen: 4 },
      ],
    },
  },
  {
    id: 'processor, a table',
    kind: 'processor',
    text: `Drover 6
Cores / threads: 6 / 12
Socket: Q4
Base power: 65 W
Max turbo power: 90 W
PCIe lanes: 20
PCIe version: 4.0
Integrated graphics: yes
Max. temperature: 95 °C`,
    fields: {
      cores: 6,
      threads: 12,
      socket: 'Q4',
      sustainedW: 65,
      peakW: 90,
      lanes: 20,
      gen: 4,
      graphics: true,
      maxC: 95,
    },
  },
  {
    id: 'cooler, a shop',
    kind: 'cooler',
    text: `Fell 50 low-profile CPU cooler
Height: 50 mm
Width: 95 mm
Depth: 95 mm
TDP: up to 95 W
Weight: 380 g`,
    fields: { heightMm: 50, widthMm: 95, depthMm: 95, carriesW: 95, massG: 380 },
  },
  {
    id: 'SSD, key and value',
    kind: 'drive',
    text: `Pike 960 enterprise SSD
Capacity: 960 GB
Form factor: 2.5"
Interface: SATA 6 Gb/s
Sequential read: up to 550 MB/s
Sequential write: up to 520 MB/s
Power: 1.3 W idle, 3.4 W active
Endurance: 1752 TBW
Thickness: 7 mm`,
    fields: {
      capacityBytes: 960e9,
      medium: 'flash',
      size: '2.5',
      interface: 'sata',
      gbPerLane: 6,
      sequentialMBps: 550,
      idleW: 1.3,
      busyW: 3.4,
      enduranceTb: 1752,
      heightMm: 7,
    },
  },
  {
    id: 'supply, German with plugs',
    kind: 'supply',
    text: `Ember 550 ATX-Netzteil
Leistung: 550 W
Effizienz: 80 PLUS Gold
Anschlüsse: 1x 24-Pin, 1x EPS 4+4-Pin, 2x PCIe 6+2-Pin, 8x SATA, 3x 4-Pin
Länge: 140 mm
Gewicht: 1,9 kg`,
    fields: { form: 'atx', ratedW: 550, efficiencyClass: 'gold', lengthMm: 140, massG: 1900 },
    places: { mainPlugs: 1, processorPlugs: 1, cardPlugs: 2, sataPlugs: 8, peripheralPlugs: 3 },
  },
  {
    id: 'HBA, a data sheet',
    kind: 'controller',
    text: `Tern 8e storage host bus adapter
Bus: PCI Express 3.0, x8
Connectors: 2 x external SFF-8644
Form factor: low profile, 68.9 mm x 155.6 mm
Power consumption: 8.2 W typical, 14 W maximum
Airflow: 1 m/s`,
    fields: {
      lanes: 8,
      gen: 3,
      height: 'low',
      lengthMm: 155.6,
      busyW: 8.2,
      peakW: 14,
      needsAirMPerS: 1,
    },
    places: { ports: [{ count: 2, kind: 'sff-8644', side: 'outside' }] },
  },
  {
    id: 'memory, a table',
    kind: 'memory',
    text: `Memory module Clew
Capacity | 16 GB
Type | DDR4 SDRAM
Form factor | 288-pin RDIMM
Speed | 2666 MT/s
ECC | Yes, registered`,
    fields: { capacityBytes: 16 * GIB, type: 'ddr4', form: 'dimm', registered: true, mtPerS: 2666, ecc: true },
  },
  {
    id: 'fan, old units',
    kind: 'fan',
    text: `Gale 92 server fan
Dimensions: 92 x 92 x 38 mm
Rated speed: 4800 rpm
Max air flow: 2.6 m³/min
Max static pressure: 14.2 mmH2O
Noise: 51 dB-A
Rated current at 12 V: 0.66 A`,
    fields: { sizeMm: 92, thickMm: 38, maxRpm: 4800, flowM3h: 156, pressurePa: 139.25, soundDb: 51, maxW: 7.92 },
  },
  {
    id: 'rack case, one paragraph of bullets',
    kind: 'chassis',
    text: `Gable 12 rackmount case, 2U
• 12 x 3.5" hot-swap bays with 12 Gb/s backplane
• E-ATX / ATX motherboards
• 7 low-profile expansion slots
• 3 x 80 mm fans in the middle
• 88 (H) x 437 (W) x 660 (D) mm, 14.5 kg`,
    fields: { style: 'rack', rackUnits: 2, heightMm: 88, widthMm: 437, depthMm: 660, massG: 14500 },
    places: {
      hotSwap: true,
      bays35: 12,
      boards: ['ssi-eeb', 'atx'],
      openings: 7,
      fans: [{ count: 3, sizeMm: 80, wall: 'middle' }],
    },
  },
];
