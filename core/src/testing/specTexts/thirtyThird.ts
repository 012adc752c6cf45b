import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Once more a text for most kinds, as pages and sellers have them; committed before its first run. */
export const THIRTY_THIRD: readonly Sample[] = [
  {
    id: 'disk, a reseller’s page',
    kind: 'drive',
    text: `Barge E10 10TB 7.2K SATA 3.5" Enterprise Hard Drive
Condition: refurbished, 0 hours reported
Part number: BE10-7K
Capacity	10TB
Speed	7200RPM
Interface	SATA III 6Gb/s
Buffer	256MB
Sector format	512e
Helium sealed	yes
Avg. power (idle)	5.0W
Avg. power (operating)	6.8W
Operating temp.	5°C – 60°C`,
    fields: {
      capacityBytes: 10e12,
      size: '3.5',
      medium: 'disk',
      rpm: 7200,
      interface: 'sata',
      gbPerLane: 6,
      sectors: '512e',
      idleW: 5,
      busyW: 6.8,
      maxC: 60,
    },
  },
  {
    id: 'flash, a page with paragraphs',
    kind: 'drive',
    text: `Reed 4 TB 2.5-inch SATA SSD
With read speeds of up to 560 MB/s and write speeds of up to 530 MB/s the Reed is made for libraries read often.
Endurance is rated at 960 TBW, and the warranty runs for five years.
Specifications
Interface: SATA 6Gb/s
Height: 7 mm
Power: 2.2 W active, 50 mW idle
Weight: 45 g`,
    fields: {
      capacityBytes: 4e12,
      size: '2.5',
      medium: 'flash',
      sequentialMBps: 560,
      enduranceTb: 960,
      interface: 'sata',
      gbPerLane: 6,
      heightMm: 7,
      busyW: 2.2,
      idleW: 0.05,
      massG: 45,
    },
  },
  {
    id: 'board, a manual’s table',
    kind: 'board',
    text: `Wren C9 specifications
Form factor: Mini-ITX (17.0 cm x 17.0 cm)
CPU: Socket Q5, TDP up to 95 W
Memory: 2 x DDR5 DIMM, maximum 96 GB, ECC supported
Expansion slots: 1 x PCI Express 5.0 x16
Storage: 4 x SATA 6 Gb/s, 2 x M.2 (key M, 2280)
LAN: 1 x 10 GbE, 1 x 2.5 GbE
Rear panel: 4 x USB 3.2, 1 x HDMI
Internal: 1 x 24-pin, 1 x 8-pin, 3 x fan`,
    fields: {
      holes: 'mini-itx',
      edgeMm: 170,
      depthMm: 170,
      socket: 'Q5',
      carriesW: 95,
      memorySlots: 2,
      memoryType: 'ddr5',
      memoryForm: 'dimm',
      memoryMaxBytes: 96 * GIB,
      memoryEcc: true,
    },
    places: {
      slots: [{ count: 1, lanes: 16, wiredLanes: 16, gen: 5 }],
      sataPorts: 4,
      m2Sockets: 2,
      networkPorts: [
        { count: 1, gbPerS: 10 },
        { count: 1, gbPerS: 2.5 },
      ],
    },
  },
  {
    id: 'processor, a forum post',
    kind: 'processor',
    text: `For sale: Drover 8 CPU, socket Q4, 8 cores 16 threads, 65W TDP, no integrated graphics, supports ECC memory`,
    fields: { socket: 'Q4', cores: 8, threads: 16, sustainedW: 65, graphics: false, memoryEcc: true },
  },
  {
    id: 'cooler, a French page',
    kind: 'cooler',
    text: `Ventirad Falaise 65
Hauteur : 65 mm
Largeur : 110 mm
Profondeur : 110 mm
Sockets compatibles : Q4, Q5
TDP max. : 105 W
Poids : 420 g`,
    fields: { heightMm: 65, widthMm: 110, depthMm: 110, sockets: ['Q4', 'Q5'], carriesW: 105, massG: 420 },
  },
  {
    id: 'memory, a maker’s table of a kit',
    kind: 'memory',
    text: `Kit capacity	64 GB (2 x 32 GB)
Memory type	DDR5
Form factor	SO-DIMM 262-pin
Speed	5600 MT/s
Error correction	none (on-die only)
Voltage	1.1 V`,
    fields: { capacityBytes: 32 * GIB, type: 'ddr5', form: 'so-dimm', mtPerS: 5600, ecc: false, registered: false },
  },
  {
    id: 'chassis, a shop’s bullet points',
    kind: 'chassis',
    text: `Larder 4 mini server case
- holds 4x 3.5" drives in hot-swap trays plus 1x 2.5"
- Mini-ITX mainboard
- SFX PSU (max. 125 mm)
- 1x 120 mm rear fan included
- CPU cooler up to 58 mm
- low-profile expansion slot
- 205 x 222 x 300 mm (W x H x D), 3.8 kg`,
    fields: { widthMm: 205, heightMm: 222, depthMm: 300, massG: 3800 },
    places: {
      bays35: 4,
      hotSwap: true,
      bays25: 1,
      boards: ['mini-itx'],
      supplyForms: ['sfx'],
      supplyMm: 125,
      fans: [{ count: 1, sizeMm: 120, wall: 'rear' }],
      coolerMm: 58,
      openings: 1,
    },
  },
  {
    id: 'chassis, a data sheet with heads',
    kind: 'chassis',
    text: `Gable 36 4U storage server chassis
Drive bays
24 x 3.5" hot-swap (front), 12 x 3.5" hot-swap (rear)
Backplane
SAS3 expander, 4 x SFF-8643
Power
2 x 1200 W redundant, 80 PLUS Titanium
Cooling
7 x 80 mm hot-swap fans
Dimensions (H x W x D)
178 x 437 x 699 mm
Weight
34 kg (without drives)`,
    fields: { style: 'rack', rackUnits: 4, heightMm: 178, widthMm: 437, depthMm: 699, massG: 34000 },
    places: { hotSwap: true, backplane: [{ count: 4, kind: 'sff-8643' }], supplyForms: ['redundant'] },
  },
  {
    id: 'supply, a page in two columns',
    kind: 'supply',
    text: `Ember 1000 Platinum
Type                ATX
Continuous power    1000 W
80 PLUS             Platinum
Cables              fully modular
Length              180 mm
+12 V               83 A
+5 V                25 A
+3.3 V              25 A
3.3 V + 5 V         130 W
Weight              2.1 kg`,
    fields: {
      form: 'atx',
      ratedW: 1000,
      efficiencyClass: 'platinum',
      modular: true,
      lengthMm: 180,
      rail12A: 83,
      rail5A: 25,
      rail33A: 25,
      combined5And33W: 130,
      massG: 2100,
    },
  },
  {
    id: 'fan, a German shop',
    kind: 'fan',
    text: `Windstill 80 Lüfter
Größe: 80 x 80 x 25 mm
Drehzahl: 500 - 2000 U/min
Luftdurchsatz: 58,1 m³/h
Statischer Druck: 2,3 mmH2O
Lautstärke: 22,8 dB(A)
Anschluss: 4-Pin PWM
Stromaufnahme: 0,08 A
Gewicht: 72 g`,
    fields: {
      sizeMm: 80,
      thickMm: 25,
      minRpm: 500,
      maxRpm: 2000,
      flowM3h: 58.1,
      pressurePa: 22.56,
      soundDb: 22.8,
      pwm: true,
      maxW: 0.96,
      massG: 72,
    },
  },
  {
    id: 'HBA, a maker’s highlights',
    kind: 'controller',
    text: `Tern 8i4 12Gb/s SAS/SATA/NVMe tri-mode adapter
- 8 internal ports via one SFF-8654 8i connector
- PCIe 4.0 x8 host interface
- up to 240 SAS/SATA devices
- 8.9 W typical
- low-profile form factor`,
    fields: { gen: 4, lanes: 8, mostDevices: 240, busyW: 8.9, height: 'low' },
    places: { ports: [{ count: 1, kind: 'sff-8654-8i', side: 'inside' }] },
  },
  {
    id: 'UPS, a Spanish page',
    kind: 'ups',
    text: `SAI Aljibe 1200
Potencia: 1200 VA / 720 W
Forma de onda: senoidal simulada
Baterías: 2 x 12 V 7 Ah, plomo-ácido
Salidas: 6
Eficiencia: 95 %
Peso: 10,4 kg`,
    fields: {
      ratedVa: 1200,
      ratedW: 720,
      waveform: 'stepped',
      batteryWh: 168,
      battery: 'leadAcid',
      outlets: 6,
      efficiencyPct: 95,
      massG: 10400,
    },
  },
];
