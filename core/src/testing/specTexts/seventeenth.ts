import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Written after the sixteenth was read, and committed before it was first run on them. */
export const SEVENTEENTH: readonly Sample[] = [
  {
    id: 'disk, a short product page',
    kind: 'drive',
    text: `Barge 24TB internal hard drive
3.5" | SATA 6Gb/s | 7200 RPM | 512MB cache
Sustained data rate up to 285MB/s
MTBF 2.5M hours, AFR 0.35%
Power (idle): 6.1W
Power (operating): 8.9W
Noise idle/seek: 20/32 dBA
5-year warranty`,
    fields: {
      capacityBytes: 24e12,
      size: '3.5',
      interface: 'sata',
      gbPerLane: 6,
      rpm: 7200,
      medium: 'disk',
      sequentialMBps: 285,
      annualFailurePct: 0.35,
      idleW: 6.1,
      busyW: 8.9,
      soundIdleDb: 20,
      soundSeekDb: 32,
    },
  },
  {
    id: 'chassis, a spec sheet with dashes',
    kind: 'chassis',
    text: `Gable 24B 4U rackmount storage server chassis
Form Factor - 4U rackmount
Dimensions - 178 mm (H) x 437 mm (W) x 699 mm (D)
Net weight - 23.6 kg
Drive bays - 24 x 3.5" hot-swap SAS3/SATA
Backplane - 12 Gb/s with two expanders
Cooling - 5 x 80 mm hot-swap PWM fans in the middle
Expansion slots - 7 x full-height
Board support - up to E-ATX 12" x 13"`,
    fields: { rackUnits: 4, style: 'rack', heightMm: 178, widthMm: 437, depthMm: 699, massG: 23600 },
    places: {
      hotSwap: true,
      bays35: 24,
      fans: [{ count: 5, sizeMm: 80, wall: 'middle' }],
      openings: 7,
      boards: ['ssi-eeb'],
    },
  },
  {
    id: 'supply, Flex, a table',
    kind: 'supply',
    text: `Clinker 350 Flex
Form factor: Flex ATX 1U
Output power: 350W
Input: 100-240VAC 47-63Hz
+12V: 29A
+5V: 16A
+3.3V: 16A
+3.3V and +5V: 100W max
Efficiency: 80 PLUS Bronze
Fan: 40 mm ball bearing
Size: 150 x 81.5 x 40.5 mm (LxWxH)`,
    fields: {
      form: 'flex-atx',
      ratedW: 350,
      rail12A: 29,
      rail5A: 16,
      rail33A: 16,
      combined5And33W: 100,
      efficiencyClass: 'bronze',
      lengthMm: 150,
    },
  },
  {
    id: 'board, a page of a maker with headings',
    kind: 'board',
    text: `Plover B6
Motherboard specifications
CPU support
Socket Q5, up to 125 W
Memory
4 x DDR5 DIMM slots, up to 192 GB, non-ECC
Expansion slots
1 x PCIe 5.0 x16
2 x PCIe 4.0 x1
Storage
4 x SATA 6 Gb/s
3 x M.2
LAN
1 x 2.5 Gb/s
Form factor
Micro-ATX, 244 mm x 244 mm`,
    fields: {
      holes: 'micro-atx',
      edgeMm: 244,
      depthMm: 244,
      socket: 'Q5',
      carriesW: 125,
      memorySlots: 4,
      memoryType: 'ddr5',
      memoryForm: 'dimm',
      memoryMaxBytes: 192 * GIB,
    },
    places: {
      slots: [
        { count: 1, lanes: 16, wiredLanes: 16, gen: 5 },
        { count: 2, lanes: 1, wiredLanes: 1, gen: 4 },
      ],
      sataPorts: 4,
      m2Sockets: 3,
      networkPorts: [{ count: 1, gbPerS: 2.5 }],
    },
  },
  {
    id: 'flash, a comparison of sizes in one line',
    kind: 'drive',
    text: `Pike 2.5" SATA SSD
Capacity: 3.84 TB
Sequential read/write: up to 550/520 MB/s
Random read/write: up to 98K/30K IOPS
TBW: 7008
Active/idle power: 3.6 W / 1.3 W
Dimensions: 100 x 69.85 x 7 mm
Operating temp.: 0°C to 70°C
PLP: yes`,
    fields: {
      lengthMm: 100,
      size: '2.5',
      interface: 'sata',
      medium: 'flash',
      capacityBytes: 3.84e12,
      sequentialMBps: 550,
      randomIops: 98000,
      enduranceTb: 7008,
      busyW: 3.6,
      idleW: 1.3,
      heightMm: 7,
      maxC: 70,
      powerLossSafe: true,
    },
  },
  {
    id: 'fan, a list of a maker',
    kind: 'fan',
    text: `Whist 140
Size: 140x140x25mm
Bearing: fluid
Max. rotational speed (+/-10%): 1200 RPM
Min. rotational speed @20% PWM: 300 RPM
Max. airflow: 118.2 m³/h
Max. acoustical noise: 19.6 dB(A)
Max. static pressure: 1.08 mm H2O
Max. input power: 1.2 W
Connector: 4-pin PWM`,
    fields: {
      sizeMm: 140,
      thickMm: 25,
      maxRpm: 1200,
      minRpm: 300,
      flowM3h: 118.2,
      soundDb: 19.6,
      pressurePa: 10.59,
      maxW: 1.2,
      pwm: true,
    },
  },
  {
    id: 'UPS, a German product page',
    kind: 'ups',
    text: `Cistern 1500 USV
Scheinleistung 1500 VA
Wirkleistung 1350 W
Reine Sinuswelle
8 x Kaltgerätedose C13
Batterie: 4 x 12 V / 9 Ah (Blei-AGM)
Wirkungsgrad 95 %
Gewicht 24,5 kg
Höhe 2 HE`,
    fields: {
      ratedVa: 1500,
      ratedW: 1350,
      waveform: 'sine',
      outlets: 8,
      battery: 'leadAcid',
      batteryWh: 432,
      efficiencyPct: 95,
      massG: 24500,
    },
  },
  {
    id: 'processor, an English page',
    kind: 'processor',
    text: `Shire 24C
CPU specifications
Total cores 24
Total threads 48
Max turbo frequency 3.6 GHz
Cache 36 MB
TDP 185 W
Max memory size 4 TB
Memory types DDR5-4800
ECC memory supported Yes
Max # of PCIe lanes 80
PCIe revision 5.0
Sockets supported R6
TCASE 84 °C`,
    fields: {
      memoryTypes: ['ddr5'],
      cores: 24,
      threads: 48,
      sustainedW: 185,
      memoryEcc: true,
      lanes: 80,
      gen: 5,
      socket: 'R6',
      maxC: 84,
    },
  },
  {
    id: 'cooler, a table with strokes',
    kind: 'cooler',
    text: `Fell 45 low-profile CPU cooler
Dimensions (L/W/H): 95 / 95 / 45 mm
Compatible sockets: Q4 / Q5
Weight: 340 g
Max. TDP: 95 W
Fan speed: 600–2500 rpm`,
    fields: { depthMm: 95, widthMm: 95, heightMm: 45, sockets: ['Q4', 'Q5'], massG: 340, carriesW: 95 },
  },
  {
    id: 'HBA, a German shop',
    kind: 'controller',
    text: `Tern 8i SAS-Controller (HBA)
Anschlüsse intern: 2x SFF-8643
Schnittstelle: PCIe 3.0 x8
Datenrate: 12 Gb/s
Unterstützte Laufwerke: bis zu 1024
Leistungsaufnahme: typ. 9,8 W
Bauform: Low-Profile
Betriebstemperatur: 0 – 55 °C`,
    fields: { lanes: 8, gen: 3, mostDevices: 1024, busyW: 9.8, height: 'low', maxC: 55 },
    places: { ports: [{ count: 2, kind: 'sff-8643', side: 'inside' }] },
  },
  {
    id: 'network card, a table of a data sheet',
    kind: 'networkCard',
    text: `Skein 25x2
Ports	2 x SFP28
Data rate per port	25/10 GbE
Bus type	PCIe 4.0 x8
Typical power	12.6 W
Maximum power	16.2 W
Card dimensions	167 mm x 69 mm
Operating temperature	0 °C to 55 °C`,
    fields: { gen: 4, lanes: 8, busyW: 12.6, peakW: 16.2, lengthMm: 167 },
    places: { networkPorts: [{ count: 2, gbPerS: 25 }] },
  },
  {
    id: 'memory, a shop’s table',
    kind: 'memory',
    text: `Clew 32 GB ECC server memory
Memory type	DDR4
Form factor	288-pin DIMM
Registered	yes
ECC	yes
Speed	PC4-25600 (3200 MT/s)
Module capacity	32 GB
Number of modules	1`,
    fields: {
      capacityBytes: 32 * GIB,
      type: 'ddr4',
      form: 'dimm',
      registered: true,
      ecc: true,
      mtPerS: 3200,
    },
  },
];
