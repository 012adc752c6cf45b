import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Lines of sellers and labels that the reader had left open or misread. */
export const THIRTY_SECOND: readonly Sample[] = [
  {
    id: 'disk, the lines of its label and more',
    kind: 'drive',
    text: `Barge 4 TB
Interface SATA 6Gb/s
Capacity 4 TB (3.64 TiB)
Transfer rate (buffer to host) 600 MB/s
Sustained 180 MB/s
Rotation 5400
Power: 5V 0.7A, 12V 0.55A
Spinup: 1.75A (12V)
Idle 3.3W / Active 4.8W / Sleep 0.25W
Height 26.1mm, width 101.6 mm, length 147 mm
Packaged weight 0.85 kg`,
    fields: {
      interface: 'sata',
      gbPerLane: 6,
      capacityBytes: 4e12,
      sequentialMBps: 180,
      rpm: 5400,
      medium: 'disk',
      idleW: 3.3,
      busyW: 4.8,
      standbyW: 0.25,
      heightMm: 26.1,
      size: '3.5',
      lengthMm: 147,
    },
    places: { start: { a12: 1.75 } },
  },
  {
    id: 'disk, German, by what it does',
    kind: 'drive',
    text: `Barge NAS 3TB
Leistung (Lesen/Schreiben): 4,1 W
Leistung (Leerlauf): 2,7 W
Startstrom: 1,5 A (12 V)
Geräusch: 23 dBA Leerlauf, 24 dBA Suche`,
    fields: { capacityBytes: 3e12, busyW: 4.1, idleW: 2.7, soundIdleDb: 23, soundSeekDb: 24, medium: 'disk' },
    places: { start: { a12: 1.5 } },
  },
  {
    id: 'fan, three lines',
    kind: 'fan',
    text: `120mm fan 3-pack
PWM 500-2000rpm
72.8CFM / 2.1mmH2O / 28.9dB(A)
12V 0.25A`,
    fields: {
      sizeMm: 120,
      minRpm: 500,
      maxRpm: 2000,
      pwm: true,
      flowM3h: 123.69,
      pressurePa: 20.594,
      soundDb: 28.9,
      maxW: 3,
    },
  },
  {
    id: 'UPS, a seller',
    kind: 'ups',
    text: `UPS 1500VA 900W LCD
8 outlets (4 battery + surge, 4 surge only)
2 x 12V 7Ah batteries
line interactive, simulated sine wave`,
    fields: { ratedVa: 1500, ratedW: 900, outlets: 8, batteryWh: 168, waveform: 'stepped' },
  },
  {
    id: 'board, all in one line',
    kind: 'board',
    text:
      'Board: socket Q5, 4x DDR5 UDIMM (max 192GB), 2x PCIe 5.0 x16, 1x PCIe 4.0 x16 (x4), 3x M.2, 4x SATA, ' +
      '2.5GbE + 10GbE, ATX 305 x 244 mm',
    fields: {
      socket: 'Q5',
      memorySlots: 4,
      memoryType: 'ddr5',
      memoryForm: 'dimm',
      memoryMaxBytes: 192 * GIB,
      holes: 'atx',
      edgeMm: 305,
      depthMm: 244,
    },
    places: {
      sataPorts: 4,
      m2Sockets: 3,
      slots: [
        { count: 2, lanes: 16, wiredLanes: 16, gen: 5 },
        { count: 1, lanes: 16, wiredLanes: 4, gen: 4 },
      ],
      networkPorts: [
        { count: 1, gbPerS: 2.5 },
        { count: 1, gbPerS: 10 },
      ],
    },
  },
  {
    id: 'supply, a seller’s lines',
    kind: 'supply',
    text: `Kiln Silent PSU 550W 80PLUS Platinum fanless
semi-modular
+12V: 45A; +5V: 20A; +3.3V: 20A; combined 3.3/5V: 100W
Lengths: 24pin 550mm, EPS 650mm, SATA 500+150+150mm
Depth: 170 mm`,
    fields: {
      ratedW: 550,
      efficiencyClass: 'platinum',
      modular: true,
      rail12A: 45,
      rail5A: 20,
      rail33A: 20,
      combined5And33W: 100,
      lengthMm: 170,
    },
  },
  {
    id: 'chassis, a marketplace’s table',
    kind: 'chassis',
    text: `Product dimensions	12.9 x 8.4 x 19.3 inches
Item weight	14.3 pounds
Motherboard compatibility	Extended ATX
Number of bays	9
Case type	Full tower`,
    fields: { massG: 6486.4, style: 'tower' },
    places: { boards: ['ssi-eeb'] },
  },
  {
    id: 'chassis, German, in 3 HE',
    kind: 'chassis',
    text: `Serverschrank-Gehäuse 3HE
16 Hot-Swap Einschübe 3,5" SAS/SATA
Backplane mit 4x SFF-8087
Mainboards bis E-ATX (12"x13")
7 Steckplätze (volle Höhe)`,
    fields: { rackUnits: 3, style: 'rack' },
    places: {
      bays35: 16,
      hotSwap: true,
      backplane: [{ count: 4, kind: 'sff-8087' }],
      boards: ['ssi-eeb'],
      openings: 7,
    },
  },
  {
    id: 'supply, German, plugs by poles',
    kind: 'supply',
    text: `Clinker Netzteil 750W
Leistung gesamt: 750 Watt
+12V Schiene: 62 A
5V Schiene: 22 A
Stecker: 1x ATX 24-polig, 2x EPS 4+4-polig, 4x PCIe 6+2-polig, 8x SATA, 3x Peripherie 4-polig
Maße: 150 x 86 x 150 mm`,
    fields: { ratedW: 750, rail12A: 62, rail5A: 22, lengthMm: 150 },
    places: { mainPlugs: 1, processorPlugs: 2, cardPlugs: 4, sataPlugs: 8, peripheralPlugs: 3 },
  },
  {
    id: 'memory, registered by its number',
    kind: 'memory',
    text: `Memory: 4x 16GB DDR3 1333 ECC REG PC3-10600R`,
    fields: { type: 'ddr3', mtPerS: 1333, capacityBytes: 16 * GIB, ecc: true, registered: true },
  },
  {
    id: 'HBA, a seller’s words',
    kind: 'controller',
    text: `SAS2 HBA Tern 6Gb/s 8 port internal 2x SFF-8087 PCIe x8 Gen2 IT-mode LP`,
    fields: { lanes: 8, gen: 2, height: 'low' },
    places: { ports: [{ count: 2, kind: 'sff-8087', side: 'inside' }] },
  },
  {
    id: 'cooler, one line',
    kind: 'cooler',
    text: `CPU cooler 92mm tower, 125 mm high, for socket Q4/Q5, 500-2200 rpm, max 130 W TDP, 0.6 kg`,
    fields: { sockets: ['Q4', 'Q5'], heightMm: 125, carriesW: 130, massG: 600 },
  },
  {
    id: 'network card, one line',
    kind: 'networkCard',
    text: `10GBASE-T NIC, dual RJ-45, PCIe 2.1 x8, up to 19 W (both ports 10G), 8 W idle, LP+FH brackets`,
    fields: { lanes: 8, gen: 2, height: 'low', peakW: 19, idleW: 8 },
    places: { networkPorts: [{ count: 2, gbPerS: 10 }] },
  },
];
