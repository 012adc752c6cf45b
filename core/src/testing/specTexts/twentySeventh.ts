import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Private sellers, American units, pages in Dutch, Italian, Spanish and French; committed before its first run. */
export const TWENTY_SEVENTH: readonly Sample[] = [
  {
    id: 'disk, a private seller',
    kind: 'drive',
    text: `Selling 4 of these: 14TB helium hard drives, SATA, 7200rpm, 512MB cache, CMR.
About 22,000 hours each, no bad sectors.
Idle around 5 W, roughly 6.5 W when reading. Spin-up takes 1.8 A on 12 V.`,
    fields: {
      capacityBytes: 14e12,
      interface: 'sata',
      medium: 'disk',
      rpm: 7200,
      shingled: false,
      idleW: 5,
      busyW: 6.5,
    },
    places: { start: { a12: 1.8 } },
  },
  {
    id: 'disk, a Dutch page',
    kind: 'drive',
    text: `Barge N6 – interne harde schijf 6 TB
Capaciteit: 6 TB
Interface: SATA 6 Gbit/s
Formaat: 3,5 inch
Toerental: 5400 rpm
Overdrachtssnelheid (max.): 185 MB/s
Opnametechniek: CMR
Stroomverbruik lezen/schrijven: 4,8 W
Stroomverbruik inactief: 3,1 W
Stroomverbruik stand-by: 0,4 W
Geluidsniveau inactief: 23 dB
Bedrijfstemperatuur: 0 – 65 °C
Gewicht: 570 g`,
    fields: {
      capacityBytes: 6e12,
      interface: 'sata',
      gbPerLane: 6,
      size: '3.5',
      medium: 'disk',
      rpm: 5400,
      sequentialMBps: 185,
      shingled: false,
      busyW: 4.8,
      idleW: 3.1,
      standbyW: 0.4,
      soundIdleDb: 23,
      maxC: 65,
      massG: 570,
    },
  },
  {
    id: 'flash, a data file',
    kind: 'drive',
    text: `{
  "name": "Stickle 1000 NVMe SSD",
  "capacity_gb": 1000,
  "form_factor": "M.2 2280",
  "interface": "PCIe 3.0 x4 NVMe",
  "seq_read_mbps": 3400,
  "tbw": 600,
  "power_idle_w": 0.6,
  "power_active_w": 4.2,
  "weight_g": 8
}`,
    fields: {
      capacityBytes: 1e12,
      size: 'm2',
      lengthMm: 80,
      medium: 'flash',
      interface: 'nvme',
      pcieGen: 3,
      lanes: 4,
      sequentialMBps: 3400,
      enduranceTb: 600,
      idleW: 0.6,
      busyW: 4.2,
      massG: 8,
    },
  },
  {
    id: 'board, an Italian page',
    kind: 'board',
    text: `Scheda madre Plover I4
Formato: Micro-ATX (24,4 x 24,4 cm)
Socket: Q4
Memoria: 4 x DIMM DDR4, fino a 128 GB
Porte SATA: 6 x SATA 6 Gb/s
Slot M.2: 2
Slot di espansione: 1 x PCIe 4.0 x16, 2 x PCIe 3.0 x1
Rete: 1 x 2,5 Gb/s`,
    fields: {
      holes: 'micro-atx',
      edgeMm: 244,
      depthMm: 244,
      socket: 'Q4',
      memorySlots: 4,
      memoryForm: 'dimm',
      memoryType: 'ddr4',
      memoryMaxBytes: 128 * GIB,
    },
    places: {
      sataPorts: 6,
      m2Sockets: 2,
      slots: [
        { count: 1, lanes: 16, wiredLanes: 16, gen: 4 },
        { count: 2, lanes: 1, wiredLanes: 1, gen: 3 },
      ],
      networkPorts: [{ count: 1, gbPerS: 2.5 }],
    },
  },
  {
    id: 'board, a NAS board in a marketplace',
    kind: 'board',
    text: `Wren N3 NAS motherboard Mini-ITX
Features:
- 4-core processor on board, TDP 15W
- 1 x SO-DIMM DDR5 slot, max 48GB
- 6 x SATA3.0
- 2 x M.2 NVMe 2280 PCIe3.0 x1
- 1 x PCIe 3.0 x4 slot
- 2 x 2.5G + 1 x 10G LAN
- Size: 17 x 17 cm`,
    fields: {
      holes: 'mini-itx',
      memorySlots: 1,
      memoryForm: 'so-dimm',
      memoryType: 'ddr5',
      memoryMaxBytes: 48 * GIB,
      edgeMm: 170,
      depthMm: 170,
    },
    places: {
      sataPorts: 6,
      m2Sockets: 2,
      slots: [{ count: 1, lanes: 4, wiredLanes: 4, gen: 3 }],
      networkPorts: [
        { count: 2, gbPerS: 2.5 },
        { count: 1, gbPerS: 10 },
      ],
    },
  },
  {
    id: 'processor, German shop rows',
    kind: 'processor',
    text: `Drover 8G Prozessor, boxed
Kerne: 8
Threads: 16
Basistakt: 3,4 GHz
TDP: 65 W
Sockel: Q4
Speichertyp: DDR4-3200
PCIe-Version: 4.0
PCIe-Lanes: 24
Grafik: integriert`,
    fields: {
      cores: 8,
      threads: 16,
      sustainedW: 65,
      socket: 'Q4',
      memoryTypes: ['ddr4'],
      gen: 4,
      lanes: 24,
      graphics: true,
    },
  },
  {
    id: 'cooler, American units',
    kind: 'cooler',
    text: `Crag LP4 low profile CPU cooler
Height: 1.85 in
Footprint: 3.9 x 3.7 in
Sockets: Q4, Q5
Rated for 95 W
Weight: 0.9 lb`,
    fields: { heightMm: 47, sockets: ['Q4', 'Q5'], carriesW: 95, massG: 408.2 },
  },
  {
    id: 'memory, a German listing',
    kind: 'memory',
    text: `Arbeitsspeicher Clew 16 GB DDR4 SO-DIMM, 2666 MHz, Non-ECC, 1,2 V`,
    fields: { capacityBytes: 16 * GIB, type: 'ddr4', form: 'so-dimm', mtPerS: 2666, ecc: false, registered: false },
  },
  {
    id: 'chassis, American units',
    kind: 'chassis',
    text: `Gable 24 4U rackmount server chassis
Dimensions: 7" (H) x 17.2" (W) x 27.5" (D)
Weight: 60 lbs
Drive bays: 24 x 3.5" hot-swap SAS/SATA bays
Motherboards: E-ATX, ATX
Fans: 4 x 120mm middle, 2 x 80mm rear
Power supply: 2 x 1200W redundant
PCI slots: 7 full-height
Rails: optional`,
    fields: {
      style: 'rack',
      rackUnits: 4,
      heightMm: 177.8,
      widthMm: 436.9,
      depthMm: 698.5,
      massG: 27215.5,
      slideRails: 'apart',
    },
    places: {
      bays35: 24,
      hotSwap: true,
      boards: ['ssi-eeb', 'atx'],
      fans: [
        { count: 4, sizeMm: 120, wall: 'middle' },
        { count: 2, sizeMm: 80, wall: 'rear' },
      ],
      supplyForms: ['redundant'],
      openings: 7,
    },
  },
  {
    id: 'chassis, a French page',
    kind: 'chassis',
    text: `Boîtier Mas 5, tour compacte pour serveur
Carte mère : Micro-ATX, Mini-ITX
Baies 3,5" : 5
Baies 2,5" : 2
Alimentation : ATX, 160 mm max.
Hauteur max. du refroidisseur : 155 mm
Longueur max. de la carte graphique : 300 mm
Ventilateurs : 2 x 120 mm avant, 1 x 120 mm arrière
Dimensions (H x L x P) : 380 x 210 x 400 mm
Poids : 6,3 kg`,
    fields: { style: 'tower', heightMm: 380, widthMm: 210, depthMm: 400, massG: 6300 },
    places: {
      boards: ['micro-atx', 'mini-itx'],
      bays35: 5,
      bays25: 2,
      supplyForms: ['atx'],
      supplyMm: 160,
      coolerMm: 155,
      cardMm: 300,
      fans: [
        { count: 2, sizeMm: 120, wall: 'front' },
        { count: 1, sizeMm: 120, wall: 'rear' },
      ],
    },
  },
  {
    id: 'supply, a Spanish page',
    kind: 'supply',
    text: `Fuente de alimentación Brasa 650
Formato: ATX
Potencia: 650 W
Eficiencia: 80 PLUS Platinum
Modular: sí, completa
+12 V: 54 A
+5 V: 20 A
+3,3 V: 20 A
Conectores SATA: 8
Conectores PCIe 6+2: 4
Profundidad: 140 mm`,
    fields: {
      form: 'atx',
      ratedW: 650,
      efficiencyClass: 'platinum',
      modular: true,
      rail12A: 54,
      rail5A: 20,
      rail33A: 20,
      lengthMm: 140,
    },
    places: { sataPlugs: 8, cardPlugs: 4 },
  },
  {
    id: 'fan, American units',
    kind: 'fan',
    text: `Hush 92 PWM fan, 92mm x 92mm x 25mm
RPM range: 450 to 2200
Max airflow: 52 CFM
Max static pressure: 0.12 inH2O
Max noise: 28.1 dBA
Power: 2.4W
4-pin PWM connector`,
    fields: {
      sizeMm: 92,
      thickMm: 25,
      minRpm: 450,
      maxRpm: 2200,
      flowM3h: 88.35,
      pressurePa: 29.89,
      soundDb: 28.1,
      maxW: 2.4,
      pwm: true,
    },
  },
  {
    id: 'controller, a private seller',
    kind: 'controller',
    text:
      'SAS HBA Tern 8i, flashed to IT mode. PCIe 2.0 x8, two SFF-8087 ports, 6Gb/s. ' +
      'Includes full height bracket. Runs warm, about 8 W.',
    fields: { gen: 2, lanes: 8, busyW: 8 },
    places: { ports: [{ count: 2, kind: 'sff-8087', side: 'inside' }] },
  },
  {
    id: 'network card, a German page',
    kind: 'networkCard',
    text: `Skein 10F Netzwerkkarte
Anschlüsse: 1 x SFP+ (10 Gbit/s)
Schnittstelle: PCIe 3.0 x4
Leistungsaufnahme: max. 5,5 W
Slotblende: Low-Profile und Full-Height
Länge: 102 mm`,
    fields: { gen: 3, lanes: 4, peakW: 5.5, height: 'low', lengthMm: 102 },
    places: { networkPorts: [{ count: 1, gbPerS: 10 }] },
  },
  {
    id: 'UPS, a French page',
    kind: 'ups',
    text: `Onduleur Citerne 1000
Puissance : 1000 VA / 700 W
Technologie : line-interactive
Forme d'onde : sinusoïdale pure
Batterie : 2 x 12 V 7 Ah (plomb)
Prises : 6 x IEC C13
Rendement : 95 %
Poids : 14,2 kg`,
    fields: {
      ratedVa: 1000,
      ratedW: 700,
      waveform: 'sine',
      batteryWh: 168,
      battery: 'leadAcid',
      outlets: 6,
      efficiencyPct: 95,
      massG: 14200,
    },
  },
  {
    id: 'carrier, a shop’s lines',
    kind: 'carrier',
    text: `Quay 4 M.2 carrier card
Sockets: 4 x M.2 (Key M), 2230 to 2280
Edge: PCIe 4.0 x16 (bifurcation x4x4x4x4 required)
Bracket: full height
Length: 190 mm`,
    fields: { gen: 4, lanes: 16, lengthMm: 190 },
    places: { m2Sockets: 4 },
  },
];
