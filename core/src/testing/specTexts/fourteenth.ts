import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Written after the thirteenth was read, and committed before it was first run on them. */
export const FOURTEENTH: readonly Sample[] = [
  {
    id: 'disk, an Italian page',
    kind: 'drive',
    text: `Disco rigido Barge 18 TB
Formato: 3,5"
Interfaccia: SATA 6 Gb/s
Velocità di rotazione: 7200 giri/min
Velocità di trasferimento sostenuta: 260 MB/s
Consumo a riposo: 5,3 W
Consumo medio in lettura/scrittura: 7,6 W
Rumorosità a riposo: 20 dBA
Peso: 680 g
Temperatura di esercizio: da 5 a 60 °C`,
    fields: {
      capacityBytes: 18e12,
      size: '3.5',
      interface: 'sata',
      gbPerLane: 6,
      rpm: 7200,
      medium: 'disk',
      sequentialMBps: 260,
      idleW: 5.3,
      busyW: 7.6,
      soundIdleDb: 20,
      massG: 680,
      maxC: 60,
    },
  },
  {
    id: 'chassis, a listing with emphasis',
    kind: 'chassis',
    text: `**Loft 8-Bay NAS Chassis** (new, boxed)
* 8 hot-swappable 3.5"/2.5" bays with SATA backplane
* Supports Mini-ITX boards
* SFX PSU (not included), up to 125mm deep
* 2x 120mm rear fans included
* W 310mm, H 240mm, D 330mm
* 5.8kg empty`,
    fields: { widthMm: 310, heightMm: 240, depthMm: 330, massG: 5800 },
    places: {
      hotSwap: true,
      supplyForms: ['sfx'],
      bays35: 8,
      boards: ['mini-itx'],
      supplyMm: 125,
      fans: [{ count: 2, sizeMm: 120, wall: 'rear' }],
    },
  },
  {
    id: 'board, a German table',
    kind: 'board',
    text: `Mainboard Plover D4
Formfaktor: ATX (305 x 244 mm)
Sockel: Q5
Chipsatz: Z-Reihe
Arbeitsspeicher: 4x DDR5 DIMM, max. 128 GB, ECC unterstützt
Steckplätze: 2x PCIe 5.0 x16, 2x PCIe 3.0 x1
Laufwerke: 6x SATA 6 Gb/s, 3x M.2
Netzwerk: 1x 2,5 Gb/s, 1x 10 Gb/s`,
    fields: {
      holes: 'atx',
      edgeMm: 305,
      depthMm: 244,
      socket: 'Q5',
      memorySlots: 4,
      memoryType: 'ddr5',
      memoryForm: 'dimm',
      memoryMaxBytes: 128 * GIB,
      memoryEcc: true,
    },
    places: {
      sataPorts: 6,
      m2Sockets: 3,
      slots: [
        { count: 2, lanes: 16, wiredLanes: 16, gen: 5 },
        { count: 2, lanes: 1, wiredLanes: 1, gen: 3 },
      ],
      networkPorts: [
        { count: 1, gbPerS: 2.5 },
        { count: 1, gbPerS: 10 },
      ],
    },
  },
  {
    id: 'supply, a review’s box',
    kind: 'supply',
    text: `Tested: Ember 850 SFX
Form factor SFX, depth 100 mm
Rated output 850 W at 50 °C
Efficiency rating 80 PLUS Platinum
Cabling fully modular
+12V 70.8 A
+5V 20 A
+3.3V 20 A
5V + 3.3V combined 100 W`,
    fields: {
      form: 'sfx',
      lengthMm: 100,
      ratedW: 850,
      efficiencyClass: 'platinum',
      modular: true,
      rail12A: 70.8,
      rail5A: 20,
      rail33A: 20,
      combined5And33W: 100,
    },
  },
  {
    id: 'disk, an archive’s JSON',
    kind: 'drive',
    text: `{
  "name": "Barge 12",
  "type": "HDD",
  "capacity": "12 TB",
  "interface": "SATA 6 Gb/s",
  "form_factor": "3.5 inch",
  "rpm": 7200,
  "power_idle": "5.0 W",
  "power_active": "6.9 W",
  "weight": "660 g"
}`,
    fields: {
      medium: 'disk',
      capacityBytes: 12e12,
      interface: 'sata',
      gbPerLane: 6,
      size: '3.5',
      rpm: 7200,
      idleW: 5,
      busyW: 6.9,
      massG: 660,
    },
  },
  {
    id: 'fan, a Dutch shop',
    kind: 'fan',
    text: `Ventilator Whist 120
Afmetingen: 120 x 120 x 25 mm
Toerental: 500 - 1700 rpm
Luchtstroom: 102 m³/h
Statische druk: 2,3 mmH2O
Geluidsniveau: 25,1 dB(A)
Aansluiting: 4-pins PWM
Vermogen: 1,9 W`,
    fields: {
      sizeMm: 120,
      thickMm: 25,
      minRpm: 500,
      maxRpm: 1700,
      flowM3h: 102,
      pressurePa: 22.56,
      soundDb: 25.1,
      pwm: true,
      maxW: 1.9,
    },
  },
  {
    id: 'processor, a product line in a list',
    kind: 'processor',
    text:
      'Drover 12 desktop processor, socket Q5, 12 cores / 24 threads, 105 W TDP, PCIe 5.0, 24 lanes, ' +
      'integrated graphics',
    fields: { socket: 'Q5', cores: 12, threads: 24, sustainedW: 105, gen: 5, lanes: 24, graphics: true },
  },
  {
    id: 'cooler, a French page',
    kind: 'cooler',
    text: `Refroidisseur processeur Tarn 158
Sockets compatibles : Q4, Q5
Hauteur : 158 mm
Largeur : 125 mm
Profondeur : 110 mm
Poids : 840 g
TDP maximal : 200 W
Ventilateur : 120 mm, 400-1700 tr/min`,
    fields: { sockets: ['Q4', 'Q5'], heightMm: 158, widthMm: 125, depthMm: 110, massG: 840, carriesW: 200 },
  },
  {
    id: 'HBA, a seller’s text',
    kind: 'controller',
    text: `Tern 8i HBA IT mode, flashed to latest firmware
8 ports SAS 12Gb/s via 2x SFF-8643 internal
PCIe 3.0 x8, low profile bracket installed (full height included)
draws about 9 W
needs airflow!`,
    fields: { height: 'low', gen: 3, lanes: 8, busyW: 9 },
    places: { ports: [{ count: 2, kind: 'sff-8643', side: 'inside' }] },
  },
  {
    id: 'UPS, a data sheet with sections',
    kind: 'ups',
    text: `Cistern 2200 rack UPS
Output
Output power capacity
2200 VA / 1980 W
Waveform type
Sine wave
Output connections
8 x C13
Battery
Battery type
Maintenance-free sealed lead-acid
Nominal battery voltage and capacity: 48 V, 9 Ah
Physical
Net weight
29.4 kg
Efficiency at full load
94 %`,
    fields: {
      ratedVa: 2200,
      ratedW: 1980,
      waveform: 'sine',
      outlets: 8,
      battery: 'leadAcid',
      batteryWh: 432,
      massG: 29400,
      efficiencyPct: 94,
    },
  },
  {
    id: 'memory, a German shop',
    kind: 'memory',
    text: `Clew 2x 16 GB DDR5-5600 Kit
Typ: DDR5 UDIMM
Kapazität: 32 GB (2 x 16 GB)
Takt: 5600 MT/s
ECC: Nein
Höhe: 32 mm`,
    fields: {
      type: 'ddr5',
      form: 'dimm',
      registered: false,
      capacityBytes: 16 * GIB,
      mtPerS: 5600,
      ecc: false,
      heightMm: 32,
    },
  },
  {
    id: 'network card, an English bullet list',
    kind: 'networkCard',
    text: `Skein 10T2 dual-port network adapter
• 2 x RJ45, 10GBASE-T (10G/5G/2.5G/1G)
• PCIe 3.0 x4
• Max. power 11.5 W, typical 9 W
• Low-profile and full-height brackets
• Operating temperature 0–55 °C`,
    fields: { height: 'low', gen: 3, lanes: 4, peakW: 11.5, busyW: 9 },
    places: { networkPorts: [{ count: 2, gbPerS: 10 }] },
  },
  {
    id: 'SATA flash, Spanish',
    kind: 'drive',
    text: `Unidad SSD Pike 960 GB, 2,5 pulgadas, 7 mm
Interfaz: SATA III 6 Gb/s
Lectura secuencial: hasta 560 MB/s
Escritura secuencial: hasta 530 MB/s
Resistencia: 600 TBW
Consumo en reposo: 0,06 W
Consumo máximo: 3,2 W
Temperatura de funcionamiento: 0 a 70 °C`,
    fields: {
      capacityBytes: 960e9,
      size: '2.5',
      heightMm: 7,
      medium: 'flash',
      interface: 'sata',
      gbPerLane: 6,
      sequentialMBps: 560,
      enduranceTb: 600,
      idleW: 0.06,
      peakW: 3.2,
      maxC: 70,
    },
  },
  {
    id: 'rack chassis, a quick-spec table with bars',
    kind: 'chassis',
    text: `Gable 12 | 2U storage chassis
Drive bays | 12 x 3.5" hot-swap (front), 2 x 2.5" hot-swap (rear)
Backplane | 12 Gb/s SAS
Board | up to E-ATX (305 x 330 mm)
Power | 800 W 1+1 redundant
Fans | 3 x 80 mm (middle)
Slots | 7 low-profile
Size (WxHxD) | 437 x 89 x 650 mm
Weight | 15.2 kg
Rails | included`,
    fields: {
      style: 'rack',
      rackUnits: 2,
      widthMm: 437,
      heightMm: 89,
      depthMm: 650,
      massG: 15200,
      slideRails: 'included',
    },
    places: {
      supplyForms: ['redundant'],
      hotSwap: true,
      bays35: 12,
      bays25: 2,
      boards: ['ssi-eeb'],
      fans: [{ count: 3, sizeMm: 80, wall: 'middle' }],
      openings: 7,
    },
  },
  {
    id: 'brick, its label',
    kind: 'supply',
    text: `AC ADAPTER
MODEL: Pellet 120
INPUT: 100-240V~ 2.0A 50-60Hz
OUTPUT: 19.0V 6.32A 120.0W
Plug 5.5 x 2.5 mm, centre positive`,
    fields: { form: 'brick', dcPlug: '5.5 × 2.5', outV: 19, ratedW: 120 },
  },
  {
    id: 'U.2 flash, tabbed columns of units',
    kind: 'drive',
    text: `Parameter	Value	Unit
Capacity	3.84	TB
Form factor	U.2 15 mm
Interface	PCIe 4.0 x4 NVMe
Sequential read (128K)	6500	MB/s
Sequential write (128K)	3500	MB/s
Random read (4K)	900000	IOPS
Active power (max)	14	W
Idle power	4.2	W
Endurance	7.0	PBW`,
    fields: {
      capacityBytes: 3.84e12,
      size: 'u.2',
      heightMm: 15,
      interface: 'nvme',
      pcieGen: 4,
      lanes: 4,
      medium: 'flash',
      sequentialMBps: 6500,
      randomIops: 900_000,
      peakW: 14,
      idleW: 4.2,
      enduranceTb: 7000,
    },
  },
];
