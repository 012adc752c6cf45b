import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Pages in several languages, wrapped lines of a PDF, bullets, seldom kinds; committed before its first run. */
export const TWENTY_FIFTH: readonly Sample[] = [
  {
    id: 'disk, a German data sheet',
    kind: 'drive',
    text: `Barge Stetig 12 TB – interne NAS-Festplatte
Kapazität: 12 TB
Schnittstelle: SATA 6 Gbit/s
Bauform: 3,5 Zoll
Drehzahl: 7200 U/min
Aufzeichnungsverfahren: CMR
Cache: 256 MB
Max. Dauertransferrate: 250 MB/s
Leistungsaufnahme im Betrieb: 7,3 W
Leistungsaufnahme im Leerlauf: 5,0 W
Leistungsaufnahme im Standby: 0,9 W
Anlaufstrom (12 V): 1,85 A
Geräuschpegel Leerlauf: 20 dB(A)
Geräuschpegel Suche: 28 dB(A)
Betriebstemperatur: 5 bis 60 °C
Abmessungen (L x B x H): 147 x 101,6 x 26,1 mm
Gewicht: 690 g`,
    fields: {
      capacityBytes: 12e12,
      interface: 'sata',
      gbPerLane: 6,
      size: '3.5',
      medium: 'disk',
      rpm: 7200,
      shingled: false,
      sequentialMBps: 250,
      busyW: 7.3,
      idleW: 5,
      standbyW: 0.9,
      soundIdleDb: 20,
      soundSeekDb: 28,
      maxC: 60,
      lengthMm: 147,
      heightMm: 26.1,
      massG: 690,
    },
    places: { start: { a12: 1.85 } },
  },
  {
    id: 'flash, U.2 in a PDF’s wrapped lines',
    kind: 'drive',
    text: `Pike D7 series data center SSD
Capacity 3.84 TB
Form factor U.2, 15 mm z-height
Interface PCIe Gen4 x4, NVMe 1.4
128 KB sequential read
6800 MB/s
128 KB sequential write
4000 MB/s
4 KB random read
1,000,000 IOPS
4 KB random write
180,000 IOPS
Power
Active 17 W (typical)
Idle 5 W
Endurance 1 DWPD (5 years)
Power loss data protection Yes
UBER < 1 sector per 10^17 bits read
Temperature, operating 0 °C to 70 °C`,
    fields: {
      capacityBytes: 3.84e12,
      size: 'u.2',
      medium: 'flash',
      heightMm: 15,
      interface: 'nvme',
      pcieGen: 4,
      lanes: 4,
      sequentialMBps: 6800,
      randomIops: 1e6,
      busyW: 17,
      idleW: 5,
      enduranceTb: 7008,
      powerLossSafe: true,
      unreadablePerBit: 1e-17,
      maxC: 70,
    },
  },
  {
    id: 'disk, used SAS, an auction’s line',
    kind: 'drive',
    text: `6TB SAS 12G 7.2K 3.5" 4Kn hard disk, Barge BS6000, pulled from working server, 31,000 hours, 0 reallocated`,
    fields: {
      capacityBytes: 6e12,
      interface: 'sas',
      gbPerLane: 12,
      rpm: 7200,
      size: '3.5',
      sectors: '4Kn',
      medium: 'disk',
    },
  },
  {
    id: 'board, a French page',
    kind: 'board',
    text: `Carte mère Plover F2, Mini-ITX
Socket : Q5
Format : Mini-ITX (170 x 170 mm)
Mémoire : 2 x DIMM DDR5, 96 Go max.
Ports SATA : 4 x SATA 6 Gb/s
Emplacements M.2 : 2
Emplacements d'extension : 1 x PCIe 4.0 x16
Réseau : 1 x 2,5 Gb/s
Ventilateurs : 3 connecteurs 4 broches`,
    fields: {
      socket: 'Q5',
      holes: 'mini-itx',
      edgeMm: 170,
      depthMm: 170,
      memorySlots: 2,
      memoryForm: 'dimm',
      memoryType: 'ddr5',
      memoryMaxBytes: 96 * GIB,
    },
    places: {
      sataPorts: 4,
      m2Sockets: 2,
      slots: [{ count: 1, lanes: 16, wiredLanes: 16, gen: 4 }],
      networkPorts: [{ count: 1, gbPerS: 2.5 }],
    },
  },
  {
    id: 'board, a server board, bullets',
    kind: 'board',
    text: `Gannet X2 server motherboard
• Single socket R6, TDP up to 225 W
• 8 DIMM slots, DDR4-3200 RDIMM ECC, up to 2 TB
• 2 x PCIe 4.0 x16, 3 x PCIe 4.0 x8
• 2 x SFF-8643 (8 x SATA), 2 x M.2 (PCIe 4.0 x4, 2280/22110)
• Dual 10GBASE-T LAN
• Dedicated IPMI port
• 6 x 4-pin fan headers
• Form factor: ATX, 12" x 9.6"
• Operating temperature: 10°C ~ 35°C`,
    fields: {
      socket: 'R6',
      carriesW: 225,
      memorySlots: 8,
      memoryType: 'ddr4',
      memoryForm: 'dimm',
      memoryRegistered: 'must',
      memoryEcc: true,
      memoryMaxBytes: 2048 * GIB,
      remoteManagement: true,
      holes: 'atx',
      edgeMm: 304.8,
      depthMm: 243.84,
    },
    places: {
      slots: [
        { count: 2, lanes: 16, wiredLanes: 16, gen: 4 },
        { count: 3, lanes: 8, wiredLanes: 8, gen: 4 },
      ],
      plugs: [{ count: 2, kind: 'sff-8643', carries: ['sata'] }],
      m2Sockets: 2,
      networkPorts: [{ count: 2, gbPerS: 10 }],
    },
  },
  {
    id: 'processor, a comparison’s column',
    kind: 'processor',
    text: `Drover 4L
Cores / threads: 4 / 8
Base / boost clock: 3.0 / 4.1 GHz
L3 cache: 8 MB
TDP: 35 W
Socket: Q4
Memory: DDR4-2666, dual channel, 64 GB max
ECC: no
PCIe: 3.0, 16 lanes
Integrated graphics: yes`,
    fields: {
      cores: 4,
      threads: 8,
      sustainedW: 35,
      socket: 'Q4',
      memoryTypes: ['ddr4'],
      memoryEcc: false,
      gen: 3,
      lanes: 16,
      graphics: true,
    },
  },
  {
    id: 'cooler, a German shop',
    kind: 'cooler',
    text: `Fels 140 Turmkühler
Höhe: 158 mm
Breite: 140 mm
Tiefe: 110 mm
Sockel: Q4, Q5
Lüfter: 1x 140 mm PWM, 300–1500 U/min
TDP max.: 200 W
Gewicht: 940 g`,
    fields: { heightMm: 158, widthMm: 140, depthMm: 110, sockets: ['Q4', 'Q5'], carriesW: 200, massG: 940 },
  },
  {
    id: 'memory, registered, a shop’s title',
    kind: 'memory',
    text: `64GB DDR4 2933MHz ECC Registered RDIMM PC4-23400R 2Rx4 1.2V server memory, 1 module`,
    fields: { capacityBytes: 64 * GIB, type: 'ddr4', mtPerS: 2933, ecc: true, registered: true, form: 'dimm' },
  },
  {
    id: 'chassis, a small cube in Spanish',
    kind: 'chassis',
    text: `Caja Cortijo 6, cubo para servidor doméstico
Placa base: Mini-ITX
Bahías 3,5": 6
Bahías 2,5": 2
Ranuras de expansión: 2
Fuente de alimentación: SFX
Altura máxima del disipador: 70 mm
Longitud máxima de tarjeta: 230 mm
Ventiladores: 1 x 140 mm trasero
Dimensiones (alto x ancho x fondo): 260 x 250 x 350 mm
Peso: 5,1 kg`,
    fields: { style: 'cube', heightMm: 260, widthMm: 250, depthMm: 350, massG: 5100 },
    places: {
      boards: ['mini-itx'],
      bays35: 6,
      bays25: 2,
      openings: 2,
      supplyForms: ['sfx'],
      coolerMm: 70,
      cardMm: 230,
      fans: [{ count: 1, sizeMm: 140, wall: 'rear' }],
    },
  },
  {
    id: 'chassis, a 2U in a maker’s two-column table',
    kind: 'chassis',
    text: `Gable 12 2U
Height	2U (88 mm)
Width	438 mm
Depth	660 mm
Drive bays	12 x 3.5" hot-swap, 2 x 2.5" rear
Backplane	12 Gb/s SAS/SATA, 3 x SFF-8643
Expansion slots	7 low-profile
Fans	4 x 80 x 38 mm PWM, middle
Power supply	Redundant 2 x 800 W included
Max. motherboard size	E-ATX 12" x 13"
Rails	Included
Weight	19 kg`,
    fields: {
      style: 'rack',
      rackUnits: 2,
      heightMm: 88,
      widthMm: 438,
      depthMm: 660,
      massG: 19000,
      slideRails: 'included',
    },
    places: {
      bays35: 12,
      bays25: 2,
      openings: 7,
      boards: ['ssi-eeb'],
      fans: [{ count: 4, sizeMm: 80, wall: 'middle' }],
      backplane: [{ count: 3, kind: 'sff-8643' }],
      supplyForms: ['redundant'],
      hotSwap: true,
    },
  },
  {
    id: 'supply, key=value',
    kind: 'supply',
    text: `model=Clinker 450 SFX
form_factor=SFX
wattage=450
efficiency=80+ Gold
modular=full
12v=37.5A
5v=15A
3v3=15A
5vsb=2.5A
depth=100 mm
fan=92 mm
eps_8pin=1
pcie_8pin=2
sata=6
peripheral_4pin=2`,
    fields: {
      form: 'sfx',
      ratedW: 450,
      efficiencyClass: 'gold',
      modular: true,
      rail12A: 37.5,
      rail5A: 15,
      rail33A: 15,
      lengthMm: 100,
    },
    places: { processorPlugs: 1, cardPlugs: 2, sataPlugs: 6, peripheralPlugs: 2 },
  },
  {
    id: 'supply, redundant module, an auction',
    kind: 'supply',
    text:
      'Kiln R800 hot-plug power supply module, 800 W, 80 PLUS Platinum, 1U redundant ' +
      '(CRPS 73.5 x 40 x 185 mm), 12 V 66 A, 200-240 V',
    fields: { form: 'redundant', ratedW: 800, efficiencyClass: 'platinum', rail12A: 66, lengthMm: 185 },
  },
  {
    id: 'fan, an Italian page',
    kind: 'fan',
    text: `Ventola Zefiro 120
Dimensioni: 120 x 120 x 25 mm
Velocità: 400 - 1600 giri/min
Portata d'aria: 102 m³/h
Pressione statica: 1,9 mmH2O
Rumorosità: 24,5 dB(A)
Connettore: 4 pin PWM
Consumo: 1,4 W`,
    fields: {
      sizeMm: 120,
      thickMm: 25,
      minRpm: 400,
      maxRpm: 1600,
      flowM3h: 102,
      pressurePa: 18.63,
      soundDb: 24.5,
      pwm: true,
      maxW: 1.4,
    },
  },
  {
    id: 'HBA, a maker’s two columns',
    kind: 'controller',
    text: `Tern 16i4
Ports	16 internal
Connectors	2 x SFF-8654 8i
Interface	PCIe 4.0 x8
Data rate	12 Gb/s SAS, 6 Gb/s SATA
RAID	no (IT mode)
Supported devices	up to 1024
Power consumption	typical 11.8 W, max. 14.5 W
Airflow required	200 LFM
Dimensions	155.65 x 68.9 mm
Bracket	low profile, full height supplied
Temperature	0 to 55 °C`,
    fields: {
      lanes: 8,
      gen: 4,
      mostDevices: 1024,
      busyW: 11.8,
      peakW: 14.5,
      lengthMm: 155.65,
      height: 'low',
      needsAirMPerS: 1.016,
      maxC: 55,
    },
    places: { ports: [{ count: 2, kind: 'sff-8654-8i', side: 'inside' }] },
  },
  {
    id: 'network card, a shop’s bullets',
    kind: 'networkCard',
    text: `Skein 2.5T network card
- 1 x RJ45, 2.5GBASE-T (10/100/1000/2500 Mbit/s)
- PCIe 2.1 x1
- low profile bracket included
- power consumption max. 2.1 W`,
    fields: { gen: 2, lanes: 1, height: 'low', peakW: 2.1 },
    places: { networkPorts: [{ count: 1, gbPerS: 2.5 }] },
  },
  {
    id: 'UPS, a Dutch page',
    kind: 'ups',
    text: `Reservoir 900 UPS
Vermogen: 900 VA / 540 W
Technologie: line-interactive
Golfvorm: gesimuleerde sinus
Batterij: 12 V 9 Ah, lood
Aansluitingen: 6 x IEC C13
Gewicht: 5,6 kg
Afmetingen (B x H x D): 100 x 160 x 290 mm`,
    fields: {
      ratedVa: 900,
      ratedW: 540,
      waveform: 'stepped',
      batteryWh: 108,
      battery: 'leadAcid',
      outlets: 6,
      massG: 5600,
    },
  },
  {
    id: 'accelerator, a shop’s lines',
    kind: 'accelerator',
    text: `Beacon T4 low-profile graphics card
Interface: PCIe 4.0 x8
Memory: 6 GB
Power consumption: 50 W
Power connectors: none
Outputs: 2 x Mini DisplayPort
Length: 163 mm, single slot
Bracket: low profile`,
    fields: { gen: 4, lanes: 8, peakW: 50, lengthMm: 163, thickSlots: 1, height: 'low', displayOutput: true },
  },
  {
    id: 'cage, a page',
    kind: 'adapter',
    text: `Hutch 5-in-3 mobile rack
Fits: 3 x 5.25" bays
Drives: 5 x 3.5" SATA/SAS, hot-swap
Fan: 80 mm
Power: 2 x SATA
Connectors: 5 x SATA
Dimensions: 146 x 127 x 190 mm (W x H x D)
Weight: 1.7 kg`,
    fields: { sitsIn: '5.25', span: 3, massG: 1700 },
    places: { bays35: 5 },
  },
  {
    id: 'cable, a shop’s title',
    kind: 'cable',
    text: `SFF-8654 8i to 2 x SFF-8643 cable, 0.8 m`,
    fields: { lengthMm: 800 },
    places: {
      ends: [
        { kind: 'sff-8654-8i', tails: 1 },
        { kind: 'sff-8643', tails: 2 },
      ],
    },
  },
];
