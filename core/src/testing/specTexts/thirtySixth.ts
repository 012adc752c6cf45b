import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** A text of every larger kind, each in another style; committed before its first run. */
export const THIRTY_SIXTH: readonly Sample[] = [
  {
    id: 'disk, a manual’s section',
    kind: 'drive',
    text: `1.2 Product specification
Model name: Barge Bulk 22 TB
Interface: Serial ATA 6 Gb/s
Formatted capacity: 22 TB (512 bytes/sector emulation)
Rotational speed: 7200 rpm
Recording technology: conventional (CMR)
Sustained data rate: 285 MB/s max.
Power: idle 5.6 W, random read/write 7.8 W, standby 1.1 W
Spin-up current: 12 V 1.9 A, 5 V 0.9 A
Noise: 21 dBA idle, 31 dBA seek
Ambient temperature: 5 – 60 °C operating
Mass: 700 g`,
    fields: {
      interface: 'sata',
      gbPerLane: 6,
      capacityBytes: 22e12,
      medium: 'disk',
      rpm: 7200,
      shingled: false,
      sequentialMBps: 285,
      idleW: 5.6,
      busyW: 7.8,
      standbyW: 1.1,
      soundIdleDb: 21,
      soundSeekDb: 31,
      maxC: 60,
      massG: 700,
    },
    places: { start: { a12: 1.9, a5: 0.9 } },
  },
  {
    id: 'flash, a Dutch shop',
    kind: 'drive',
    text: `Stekel NVMe SSD 1 TB
Capaciteit: 1 TB
Formaat: M.2 2280
Interface: PCIe 4.0 x4 (NVMe)
Leessnelheid: 5.000 MB/s
Schrijfsnelheid: 4.200 MB/s
TBW: 600
Stroomverbruik: 4,1 W (gemiddeld)
Garantie: 5 jaar`,
    fields: {
      capacityBytes: 1e12,
      size: 'm2',
      lengthMm: 80,
      medium: 'flash',
      interface: 'nvme',
      pcieGen: 4,
      lanes: 4,
      sequentialMBps: 5000,
      enduranceTb: 600,
      busyW: 4.1,
    },
  },
  {
    id: 'board, a shop’s long title and facts',
    kind: 'board',
    text: `Gannet E5 server motherboard, socket R6, 8 x DDR4 RDIMM, 7 x PCIe, dual 10GbE, IPMI, E-ATX
CPU: 1 x socket R6, 155-225 W
RAM: 8 slots, up to 1 TB DDR4-3200 registered ECC
PCIe: 4 x PCIe 4.0 x16, 3 x PCIe 4.0 x8
SATA: 16 (4 x SFF-8643)
M.2: 2 x PCIe 4.0 x4
LAN: 2 x 10GbE
Size: 305 x 330 mm`,
    fields: {
      socket: 'R6',
      memorySlots: 8,
      memoryType: 'ddr4',
      memoryForm: 'dimm',
      memoryRegistered: 'must',
      memoryEcc: true,
      memoryMaxBytes: 1024 * GIB,
      remoteManagement: true,
      holes: 'ssi-eeb',
      edgeMm: 305,
      depthMm: 330,
      carriesW: 225,
    },
    places: {
      slots: [
        { count: 4, lanes: 16, wiredLanes: 16, gen: 4 },
        { count: 3, lanes: 8, wiredLanes: 8, gen: 4 },
      ],
      plugs: [{ count: 4, kind: 'sff-8643', carries: ['sata'] }],
      m2Sockets: 2,
      networkPorts: [{ count: 2, gbPerS: 10 }],
    },
  },
  {
    id: 'board, a Spanish page',
    kind: 'board',
    text: `Placa base Avefría N1, Mini-ITX
Procesador: soldado, 10 W
Memoria: 1 x SO-DIMM DDR4, hasta 32 GB
Puertos SATA: 6
Ranuras M.2: 1
Ranuras de expansión: 1 x PCIe 3.0 x4
Red: 4 x 2,5 Gb/s
Dimensiones: 170 x 170 mm`,
    fields: {
      holes: 'mini-itx',
      memorySlots: 1,
      memoryForm: 'so-dimm',
      memoryType: 'ddr4',
      memoryMaxBytes: 32 * GIB,
      edgeMm: 170,
      depthMm: 170,
    },
    places: {
      sataPorts: 6,
      m2Sockets: 1,
      slots: [{ count: 1, lanes: 4, wiredLanes: 4, gen: 3 }],
      networkPorts: [{ count: 4, gbPerS: 2.5 }],
    },
  },
  {
    id: 'processor, a maker’s lines with units behind',
    kind: 'processor',
    text: `Shire S32
CPU cores: 32
Threads: 64
Default TDP: 180 W
CPU socket: R6
PCI Express: PCIe 4.0 x128
System memory: DDR4, 8 channels, up to 3200 MT/s
Max. temperature (Tcase): 85 °C`,
    fields: {
      cores: 32,
      threads: 64,
      sustainedW: 180,
      socket: 'R6',
      gen: 4,
      lanes: 128,
      memoryTypes: ['ddr4'],
      maxC: 85,
    },
  },
  {
    id: 'cooler, a shop’s table with bars',
    kind: 'cooler',
    text: `Tarn 120 tower cooler
Height | 148 mm
Width | 120 mm
Depth | 95 mm
Sockets | Q4, Q5, R3
Cooling capacity | 150 W
Noise | 25 dB(A)
Weight | 780 g`,
    fields: {
      heightMm: 148,
      widthMm: 120,
      depthMm: 95,
      sockets: ['Q4', 'Q5', 'R3'],
      carriesW: 150,
      massG: 780,
    },
  },
  {
    id: 'memory, a French shop',
    kind: 'memory',
    text: `Barrette mémoire Clew 16 Go DDR5
Type : DDR5 UDIMM
Fréquence : 5600 MHz
ECC : non
Tension : 1,1 V`,
    fields: { capacityBytes: 16 * GIB, type: 'ddr5', form: 'dimm', registered: false, mtPerS: 5600, ecc: false },
  },
  {
    id: 'chassis, a shop’s bullets in short',
    kind: 'chassis',
    text: `Steading S2 Micro-ATX tower
• Boards up to Micro-ATX
• Bays: 2x 3.5", 3x 2.5"
• 4 expansion slots
• GPU up to 330 mm, cooler up to 160 mm, PSU up to 160 mm (ATX)
• Fans: 1x 120 mm rear (included)
• 205 x 398 x 405 mm (W x H x D)
• 5.2 kg`,
    fields: { style: 'tower', widthMm: 205, heightMm: 398, depthMm: 405, massG: 5200 },
    places: {
      boards: ['micro-atx'],
      bays35: 2,
      bays25: 3,
      openings: 4,
      cardMm: 330,
      coolerMm: 160,
      supplyMm: 160,
      supplyForms: ['atx'],
      fans: [{ count: 1, sizeMm: 120, wall: 'rear' }],
    },
  },
  {
    id: 'chassis, an Italian rack',
    kind: 'chassis',
    text: `Chassis rack Granaio 8, 3U
Alloggiamenti: 8 x 3,5" hot-swap
Schede madri: ATX, Micro-ATX
Slot di espansione: 7
Alimentatore: ATX
Ventole: 2 x 120 mm anteriori
Dimensioni (L x A x P): 430 x 133 x 480 mm
Peso: 9,5 kg`,
    fields: { style: 'rack', rackUnits: 3, widthMm: 430, heightMm: 133, depthMm: 480, massG: 9500 },
    places: {
      bays35: 8,
      hotSwap: true,
      boards: ['atx', 'micro-atx'],
      openings: 7,
      supplyForms: ['atx'],
      fans: [{ count: 2, sizeMm: 120, wall: 'front' }],
    },
  },
  {
    id: 'supply, a server one in rows',
    kind: 'supply',
    text: `Brazier 1+1 redundant power supply
Rated output | 2 x 550 W (1+1)
Form factor | PS/2 ATX mini redundant
12 V rail | 45 A
5 V rail | 20 A
3.3 V rail | 20 A
5 V + 3.3 V | max. 120 W
Efficiency | 80 PLUS Gold
Length | 190 mm
Weight | 4.1 kg`,
    fields: {
      form: 'redundant',
      ratedW: 550,
      modules: 2,
      rail12A: 45,
      rail5A: 20,
      rail33A: 20,
      combined5And33W: 120,
      efficiencyClass: 'gold',
      lengthMm: 190,
      massG: 4100,
    },
  },
  {
    id: 'fan, a maker’s page with max and min',
    kind: 'fan',
    text: `Zephyr 92 PWM
Fan size: 92 x 92 x 25 mm
Max. speed: 2500 RPM
Min. speed: 400 RPM
Max. air flow: 51.2 CFM (87 m³/h)
Max. static pressure: 3.1 mmH2O
Max. noise: 30 dB(A)
Power: 2.2 W`,
    fields: {
      sizeMm: 92,
      thickMm: 25,
      maxRpm: 2500,
      minRpm: 400,
      flowM3h: 87,
      pressurePa: 30.4,
      soundDb: 30,
      maxW: 2.2,
      pwm: true,
    },
  },
  {
    id: 'HBA, a German shop',
    kind: 'controller',
    text: `Tern 8i SAS-Controller, 12 Gb/s
Anschlüsse: 2 x SFF-8643 intern
Bus: PCIe 3.0 x8
Leistungsaufnahme: 9 W (typ.), 13 W (max.)
Blende: Low Profile, Full Height beiliegend
Max. Geräte: 1024`,
    fields: { gen: 3, lanes: 8, busyW: 9, peakW: 13, height: 'low', mostDevices: 1024 },
    places: { ports: [{ count: 2, kind: 'sff-8643', side: 'inside' }] },
  },
  {
    id: 'network card, a maker’s bullet points',
    kind: 'networkCard',
    text: `Skein 25 dual-port SFP28 network card
• 2 x SFP28 (25/10/1 Gb/s)
• PCIe 4.0 x8
• Max. power 12.6 W, typical 9 W
• Low-profile, both brackets in the box
• 167 x 69 mm`,
    fields: { gen: 4, lanes: 8, peakW: 12.6, busyW: 9, height: 'low', lengthMm: 167 },
    places: { networkPorts: [{ count: 2, gbPerS: 25 }] },
  },
  {
    id: 'UPS, a German page',
    kind: 'ups',
    text: `Zisterne 1500 USV
Leistung: 1500 VA / 900 W
Ausgangsform: reiner Sinus
Akku: 2 x 12 V, 9 Ah (Blei)
Steckdosen: 8 x IEC C13
Wirkungsgrad: 97 %
Gewicht: 17,5 kg`,
    fields: {
      ratedVa: 1500,
      ratedW: 900,
      waveform: 'sine',
      batteryWh: 216,
      battery: 'leadAcid',
      outlets: 8,
      efficiencyPct: 97,
      massG: 17500,
    },
  },
];
