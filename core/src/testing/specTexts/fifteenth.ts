import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Written after the fourteenth was read, and committed before it was first run on them. */
export const FIFTEENTH: readonly Sample[] = [
  {
    id: 'disk, a PDF’s text run together',
    kind: 'drive',
    text: `Barge 16TB
SPECIFICATIONS
Model number BG16
Interface SATA 6Gb/s
Cache, multisegmented (MB) 256
Max. sustained transfer rate OD (MB/s) 270
Spindle speed (RPM) 7200
Average operating power (W) 7.6
Idle average (W) 5.2
Standby mode (W) 1.0
Acoustics, idle (typical, dBA) 20
Acoustics, seek (typical, dBA) 30
Height (mm, max) 26.1
Weight (g, typical) 670
Ambient temperature, operating (°C) 10 to 60`,
    fields: {
      capacityBytes: 16e12,
      interface: 'sata',
      gbPerLane: 6,
      sequentialMBps: 270,
      rpm: 7200,
      medium: 'disk',
      busyW: 7.6,
      idleW: 5.2,
      standbyW: 1,
      soundIdleDb: 20,
      soundSeekDb: 30,
      heightMm: 26.1,
      massG: 670,
      maxC: 60,
    },
  },
  {
    id: 'chassis, a German shop’s facts',
    kind: 'chassis',
    text: `Byre 15 Servergehäuse 4HE
Einbauschächte: 15 x 3,5" intern
Mainboard-Formate: ATX, Micro-ATX, Mini-ITX
Erweiterungssteckplätze: 7
Lüfter: 3 x 120 mm (Mitte), 2 x 80 mm (hinten)
Netzteil: ATX, max. 200 mm Länge
CPU-Kühler bis 148 mm Höhe
Maße (BxHxT): 430 x 177 x 550 mm
Gewicht: 11,5 kg
Schienen: optional`,
    fields: {
      style: 'rack',
      rackUnits: 4,
      widthMm: 430,
      heightMm: 177,
      depthMm: 550,
      massG: 11500,
      slideRails: 'apart',
    },
    places: {
      supplyForms: ['atx'],
      bays35: 15,
      boards: ['atx', 'micro-atx', 'mini-itx'],
      openings: 7,
      supplyMm: 200,
      coolerMm: 148,
      fans: [
        { count: 3, sizeMm: 120, wall: 'middle' },
        { count: 2, sizeMm: 80, wall: 'rear' },
      ],
    },
  },
  {
    id: 'supply, a table of rails in columns',
    kind: 'supply',
    text: `Ember 1000 ATX 3.0
DC output	+3.3V	+5V	+12V	-12V	+5Vsb
Max. current	22 A	22 A	83.3 A	0.3 A	3 A
Max. power	110 W	110 W	1000 W	3.6 W	15 W
Total output	1000 W
80 PLUS	Titanium
Depth	160 mm
Cables	Full modular`,
    fields: {
      rail33A: 22,
      rail5A: 22,
      rail12A: 83.3,
      ratedW: 1000,
      efficiencyClass: 'titanium',
      lengthMm: 160,
      modular: true,
    },
  },
  {
    id: 'board, an English shop’s short lines',
    kind: 'board',
    text: `Wren I6 Mini-ITX board
Soldered 6-core CPU
2 x SO-DIMM DDR5 up to 64GB
6 x SATA
2 x M.2 2280 NVMe
2 x 2.5GbE
1 x PCIe 3.0 x8 slot (x4 electrical)
DC-in 12-19V`,
    fields: { holes: 'mini-itx', memorySlots: 2, memoryForm: 'so-dimm', memoryType: 'ddr5', memoryMaxBytes: 64 * GIB },
    places: {
      sataPorts: 6,
      m2Sockets: 2,
      networkPorts: [{ count: 2, gbPerS: 2.5 }],
      slots: [{ count: 1, lanes: 8, wiredLanes: 4, gen: 3 }],
    },
  },
  {
    id: 'flash, a news report',
    kind: 'drive',
    text: `The new Wels 15.36 TB is a U.2 SSD with a PCIe 5.0 x4 interface.
It reads at up to 14,000 MB/s and writes at up to 8,500 MB/s.
Power draw is 22 W at most and 6 W at idle. It is rated for one drive write a day.`,
    fields: {
      capacityBytes: 15.36e12,
      size: 'u.2',
      medium: 'flash',
      interface: 'nvme',
      pcieGen: 5,
      lanes: 4,
      sequentialMBps: 14000,
      peakW: 22,
      idleW: 6,
    },
  },
  {
    id: 'fan, a table of a datasheet with units in a column',
    kind: 'fan',
    text: `Item	Specification	Unit
Frame size	92 x 92 x 25	mm
Rated voltage	12	V DC
Rated speed	2200	RPM
Max air flow	48.5	CFM
Max static pressure	2.6	mmH2O
Acoustic noise	27.0	dB(A)
Rated power	1.56	W
Lead wire	4-pin PWM	-`,
    fields: {
      sizeMm: 92,
      thickMm: 25,
      maxRpm: 2200,
      flowM3h: 82.4,
      pressurePa: 25.5,
      soundDb: 27,
      maxW: 1.56,
      pwm: true,
    },
  },
  {
    id: 'UPS, a German shop',
    kind: 'ups',
    text: `USV Sump 1100 Tower
Leistung: 1100 VA / 660 W
Ausgangsspannung: simulierte Sinuswelle
Steckdosen: 6 (davon 4 gepuffert)
Akku: 1 x 12 V / 9 Ah
Überbrückungszeit bei halber Last: 8 min
Abmessungen (H x B x T): 240 x 100 x 330 mm
Gewicht: 6,9 kg`,
    fields: { outlets: 6, ratedVa: 1100, ratedW: 660, waveform: 'stepped', batteryWh: 108, massG: 6900 },
  },
  {
    id: 'cooler, a forum’s summary',
    kind: 'cooler',
    text: `Crag 1U server heatsink, passive, socket R6
27 mm tall, 92 x 120 mm base
good for 165 W with enough airflow
weighs 430 g`,
    fields: { passive: true, sockets: ['R6'], heightMm: 27, carriesW: 165, massG: 430 },
  },
  {
    id: 'memory, a line of a list',
    kind: 'memory',
    text: `Clew 16GB DDR4-2666 SODIMM ECC unbuffered CL19 1.2V`,
    fields: {
      capacityBytes: 16 * GIB,
      type: 'ddr4',
      mtPerS: 2666,
      form: 'so-dimm',
      ecc: true,
      registered: false,
    },
  },
  {
    id: 'HBA, a table with a colon each',
    kind: 'controller',
    text: `Product: Tern 8e external HBA
Bus: PCIe Gen4 x8
External ports: 2 x SFF-8644
Internal ports: none
Max devices: 1024
Board power: 10.3 W typ. / 14.6 W max
Size: 155.7 x 68.9 mm
Airflow requirement: 1 m/s
Ambient: 0 to 55 °C`,
    fields: {
      gen: 4,
      lanes: 8,
      mostDevices: 1024,
      busyW: 10.3,
      peakW: 14.6,
      lengthMm: 155.7,
      needsAirMPerS: 1,
      maxC: 55,
    },
    places: { ports: [{ count: 2, kind: 'sff-8644', side: 'outside' }] },
  },
  {
    id: 'processor, a comparison of two',
    kind: 'processor',
    text: `	Drover 8	Drover 12
Cores	8	12
Threads	16	24
TDP	65 W	65 W
PCIe lanes	24	24
PCIe version	5.0	5.0
Socket	Q5	Q5`,
    fields: { sustainedW: 65, lanes: 24, gen: 5, socket: 'Q5' },
  },
  {
    id: 'network card, a Polish-looking minimal list',
    kind: 'networkCard',
    text: `Skein 1x4
4 x 1GbE RJ-45
PCIe 2.1 x4
TDP 5 W
LP/FH brackets`,
    fields: { height: 'low', gen: 2, lanes: 4 },
    places: { networkPorts: [{ count: 4, gbPerS: 1 }] },
  },
  {
    id: 'disk, a price comparison',
    kind: 'drive',
    text: `Coot 5TB 2.5" 15mm SMR hard disk
5 TB • 2.5" • 5400 rpm • SATA 6Gb/s • 15 mm • 140 MB/s
Power: 1.8 W (read/write), 0.85 W (idle), 0.18 W (sleep)
from € 129`,
    fields: {
      capacityBytes: 5e12,
      size: '2.5',
      heightMm: 15,
      shingled: true,
      medium: 'disk',
      rpm: 5400,
      interface: 'sata',
      gbPerLane: 6,
      sequentialMBps: 140,
      busyW: 1.8,
      idleW: 0.85,
      standbyW: 0.18,
    },
  },
  {
    id: 'tower, a maker’s key facts in French',
    kind: 'chassis',
    text: `Boîtier tour Steading T6
Formats de carte mère : ATX, Micro-ATX, Mini-ITX
Baies : 6 x 3,5", 2 x 2,5"
Ventilateurs : 2 x 140 mm (avant), 1 x 140 mm (arrière)
Hauteur max. du ventirad : 170 mm
Longueur max. de la carte graphique : 360 mm
Dimensions (L x H x P) : 220 x 470 x 480 mm
Poids : 8,2 kg`,
    fields: { style: 'tower', widthMm: 220, heightMm: 470, depthMm: 480, massG: 8200 },
    places: {
      boards: ['atx', 'micro-atx', 'mini-itx'],
      bays35: 6,
      bays25: 2,
      coolerMm: 170,
      cardMm: 360,
      fans: [
        { count: 2, sizeMm: 140, wall: 'front' },
        { count: 1, sizeMm: 140, wall: 'rear' },
      ],
    },
  },
];
