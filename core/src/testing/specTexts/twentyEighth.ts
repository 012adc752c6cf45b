import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Footnotes, ranges, other units, tables with remarks; committed before its first run. */
export const TWENTY_EIGHTH: readonly Sample[] = [
  {
    id: 'disk, footnotes',
    kind: 'drive',
    text: `Barge 10 Pro internal hard disk
Capacity¹: 10 TB
Interface: SATA 6 Gb/s
Sustained transfer rate² (max.): 245 MB/s
Spindle speed: 7200 rpm
Power³ – operating: 8.4 W
Power³ – idle: 5.1 W
Power³ – standby: 0.8 W
Acoustics⁴ – idle: 2.6 bels
Temperature – operating: 0 to 60 °C
Weight: 660 g
¹ 1 TB is 10¹² bytes. ² At the outer diameter. ³ Typical. ⁴ Sound power.`,
    fields: {
      capacityBytes: 10e12,
      interface: 'sata',
      gbPerLane: 6,
      medium: 'disk',
      sequentialMBps: 245,
      rpm: 7200,
      busyW: 8.4,
      idleW: 5.1,
      standbyW: 0.8,
      soundIdleDb: 26,
      soundMeaning: 'powerDeclared',
      maxC: 60,
      massG: 660,
    },
  },
  {
    id: 'flash, a table with remarks',
    kind: 'drive',
    text: `Reed N2 M.2 SSD
Item | Value | Remark
Capacity | 500 GB | 1 GB = 10^9 bytes
Form factor | M.2 2280 | single-sided
Interface | PCIe 4.0 x4, NVMe 1.4 |
Sequential read | 5000 MB/s | up to
Sequential write | 2500 MB/s | up to
Endurance | 300 TBW | 5 years
Active power | 4.5 W | average
Idle power | 30 mW | with power states
Operating temperature | 0–70 °C |`,
    fields: {
      capacityBytes: 500e9,
      size: 'm2',
      lengthMm: 80,
      medium: 'flash',
      interface: 'nvme',
      pcieGen: 4,
      lanes: 4,
      sequentialMBps: 5000,
      enduranceTb: 300,
      busyW: 4.5,
      idleW: 0.03,
      maxC: 70,
    },
  },
  {
    id: 'fan, l/s and mm water',
    kind: 'fan',
    text: `Gust 120-25 axial fan
Dimensions: 120 x 120 x 25 mm
Nominal speed: 1650 min-1
Speed range: 500–1650 min-1
Air flow: 27 l/s
Static pressure: 1.9 mm H₂O
Sound pressure level: 25 dB(A) at 1 m
Power consumption: 1.3 W
Connection: 4-pin PWM
Mass: 155 g`,
    fields: {
      sizeMm: 120,
      thickMm: 25,
      minRpm: 500,
      maxRpm: 1650,
      flowM3h: 97.2,
      pressurePa: 18.63,
      soundDb: 25,
      maxW: 1.3,
      pwm: true,
      massG: 155,
    },
  },
  {
    id: 'fan, a table of a shop with ranges',
    kind: 'fan',
    text: `Zephyr 140 slim
Size	140 x 140 x 20 mm
Speed	300 ~ 1300 rpm ± 10 %
Airflow	15.8 ~ 68.5 cfm
Static pressure	0.1 ~ 1.2 mmH2O
Noise	10.2 ~ 24.8 dBA
Rated current	0.14 A (max. 0.2 A)
Voltage	12 V
Connector	4-pin`,
    fields: {
      sizeMm: 140,
      thickMm: 20,
      minRpm: 300,
      maxRpm: 1300,
      flowM3h: 116.4,
      pressurePa: 11.77,
      soundDb: 24.8,
      maxW: 2.4,
      pwm: true,
    },
  },
  {
    id: 'supply, BTU and footnotes',
    kind: 'supply',
    text: `Kiln 1200 redundant power supply
Output power: 1200 W (200–240 V), 1000 W (100–127 V)
+12 V: 98 A
+5 VSB: 3 A
Efficiency: 80 PLUS Titanium*
Heat at full load: 4300 BTU/h
Dimensions: 40 x 73.5 x 185 mm
Weight: 0.95 kg
* 96 % at half load`,
    fields: {
      form: 'redundant',
      ratedW: 1200,
      ratedW115: 1000,
      rail12A: 98,
      efficiencyClass: 'titanium',
      lengthMm: 185,
      massG: 950,
    },
  },
  {
    id: 'supply, an ATX one with a table of rails',
    kind: 'supply',
    text: `Clinker 600
80 PLUS Bronze, ATX12V 2.4
Rail	Current	Power
+3.3 V	22 A	130 W combined
+5 V	20 A
+12 V	48 A	576 W
-12 V	0.3 A	3.6 W
+5 VSB	3 A	15 W
Total		600 W
Cables: 1x 24-pin, 1x 8-pin (4+4) CPU, 2x PCIe 8-pin (6+2), 5x SATA, 2x 4-pin peripheral
Size: 150 mm x 140 mm x 86 mm`,
    fields: {
      form: 'atx',
      efficiencyClass: 'bronze',
      rail33A: 22,
      rail5A: 20,
      combined5And33W: 130,
      rail12A: 48,
      ratedW: 600,
      lengthMm: 140,
    },
    places: { mainPlugs: 1, processorPlugs: 1, cardPlugs: 2, sataPlugs: 5, peripheralPlugs: 2 },
  },
  {
    id: 'board, a long maker’s table',
    kind: 'board',
    text: `Plover W8 workstation mainboard
CPU	Socket R6, up to 280 W
Chipset	none (SoC)
Memory	8 x DDR5 RDIMM slots, max. 1 TB, ECC registered only
PCIe	4 x PCIe 5.0 x16, 2 x PCIe 5.0 x8
M.2	4 x M.2 (PCIe 5.0 x4)
SATA	8 ports (via 2 x SFF-8654 4i)
LAN	2 x 10 GbE (RJ45), 1 x management
BMC	yes, IPMI 2.0
Fan headers	7 x 4-pin
Form factor	SSI-CEB
Dimensions	12" x 10.5"`,
    fields: {
      socket: 'R6',
      carriesW: 280,
      memorySlots: 8,
      memoryType: 'ddr5',
      memoryForm: 'dimm',
      memoryRegistered: 'must',
      memoryEcc: true,
      memoryMaxBytes: 1024 * GIB,
      remoteManagement: true,
      holes: 'ssi-ceb',
      edgeMm: 304.8,
      depthMm: 266.7,
    },
    places: {
      slots: [
        { count: 4, lanes: 16, wiredLanes: 16, gen: 5 },
        { count: 2, lanes: 8, wiredLanes: 8, gen: 5 },
      ],
      m2Sockets: 4,
      plugs: [{ count: 2, kind: 'sff-8654-4i', carries: ['sata'] }],
      networkPorts: [{ count: 2, gbPerS: 10 }],
    },
  },
  {
    id: 'processor, a table with remarks',
    kind: 'processor',
    text: `Shire S24 processor
Cores	24
Threads	48
TDP	205 W (configurable 165–225 W)
Socket	R6
Memory	DDR4, up to 3200 MT/s, 8 channels, ECC
PCIe	4.0, 128 lanes
Max. case temperature	81 °C
Graphics	none`,
    fields: {
      cores: 24,
      threads: 48,
      sustainedW: 205,
      socket: 'R6',
      memoryTypes: ['ddr4'],
      memoryEcc: true,
      gen: 4,
      lanes: 128,
      maxC: 81,
      graphics: false,
    },
  },
  {
    id: 'cooler, a page with ranges',
    kind: 'cooler',
    text: `Fels 92 compact tower cooler
Overall height: 125 mm
Width x depth: 92 x 98 mm
Fan: 92 mm, 400–2200 rpm, 12–28 dB(A)
Recommended TDP: up to 120 W
Supported sockets: Q4, Q5, P3
Weight incl. fan: 520 g`,
    fields: { heightMm: 125, widthMm: 92, depthMm: 98, carriesW: 120, sockets: ['Q4', 'Q5', 'P3'], massG: 520 },
  },
  {
    id: 'memory, a table with remarks',
    kind: 'memory',
    text: `Clew S8
Capacity | 8 GB | single module
Type | DDR3L SDRAM | 1.35 V
Speed | 1600 MT/s | PC3L-12800
Form factor | SO-DIMM | 204-pin
ECC | no |`,
    fields: { capacityBytes: 8 * GIB, type: 'ddr3', mtPerS: 1600, form: 'so-dimm', ecc: false, registered: false },
  },
  {
    id: 'chassis, a printed brochure',
    kind: 'chassis',
    text: `Rick 6, the six-bay home server cube
For Mini-ITX boards. Six 3.5-inch hot-swap bays with SATA backplane, two 2.5-inch bays inside.
One 120 mm fan at the rear (included).
Takes SFX power supplies up to 130 mm and CPU coolers up to 60 mm.
Two expansion slots, cards up to 200 mm long.
Width 240 mm, height 230 mm, depth 330 mm. 4.6 kg.`,
    fields: { style: 'cube', widthMm: 240, heightMm: 230, depthMm: 330, massG: 4600 },
    places: {
      boards: ['mini-itx'],
      bays35: 6,
      hotSwap: true,
      bays25: 2,
      fans: [{ count: 1, sizeMm: 120, wall: 'rear' }],
      supplyForms: ['sfx'],
      supplyMm: 130,
      coolerMm: 60,
      openings: 2,
      cardMm: 200,
    },
  },
  {
    id: 'HBA, a brochure’s sentences',
    kind: 'controller',
    text: `Tern 16e host bus adapter
PCIe 4.0 x8 card with four external SFF-8644 ports (16 lanes of 12 Gb/s SAS).
Connects up to 1,024 devices.
Typical power 12.5 W. Needs 1.5 m/s of airflow at 55 °C.
Low-profile card, 68.9 x 167.6 mm.`,
    fields: { gen: 4, lanes: 8, mostDevices: 1024, busyW: 12.5, needsAirMPerS: 1.5, height: 'low', lengthMm: 167.6 },
    places: { ports: [{ count: 4, kind: 'sff-8644', side: 'outside' }] },
  },
  {
    id: 'UPS, footnotes and BTU',
    kind: 'ups',
    text: `Cistern 3000 online UPS
Rating: 3000 VA / 2700 W
Output: pure sine wave
Battery¹: 6 x 12 V 9 Ah VRLA
Outlets: 8 x C13, 1 x C19
Heat output: 920 BTU/h
Efficiency (AC mode): 93 %
Weight: 31.5 kg
¹ hot-swappable`,
    fields: {
      ratedVa: 3000,
      ratedW: 2700,
      waveform: 'sine',
      batteryWh: 648,
      battery: 'leadAcid',
      outlets: 9,
      efficiencyPct: 93,
      massG: 31500,
    },
  },
  {
    id: 'network card, a table with remarks',
    kind: 'networkCard',
    text: `Skein 25F2
Ports | 2 x SFP28 | 25/10 Gb/s
Host interface | PCIe 4.0 x8 | x4 works
Power | 9 W typ. / 14 W max. |
Size | 68.9 x 160 mm | low profile`,
    fields: { gen: 4, lanes: 8, busyW: 9, peakW: 14, height: 'low', lengthMm: 160 },
    places: { networkPorts: [{ count: 2, gbPerS: 25 }] },
  },
];
