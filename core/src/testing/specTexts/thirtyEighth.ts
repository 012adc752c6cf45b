import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Pages, letters and lists of the trade again; committed before its first run. */
export const THIRTY_EIGHTH: readonly Sample[] = [
  {
    id: 'disk, a letter',
    kind: 'drive',
    text: `Hello, the disks we offer are Barge N16, 16 TB each.
They have a SATA 6 Gb/s interface and turn at 7200 rpm.
The maximum sustained transfer rate is 265 MB/s.
Power consumption is 7.1 W in operation and 5.2 W at idle.
The drives weigh 700 g.`,
    fields: {
      capacityBytes: 16e12,
      interface: 'sata',
      gbPerLane: 6,
      medium: 'disk',
      rpm: 7200,
      sequentialMBps: 265,
      busyW: 7.1,
      idleW: 5.2,
      massG: 700,
    },
  },
  {
    id: 'disk, a table of a manual with units in a column',
    kind: 'drive',
    text: `Parameter	Value	Unit
Capacity	8	TB
Spindle speed	5640	rpm
Sustained transfer rate	215	MB/s
Power, idle	3.4	W
Power, operating	5.2	W
Power, standby	0.4	W
Sound, idle	23	dB(A)
Sound, seek	27	dB(A)
Weight	715	g
Interface	SATA 6 Gb/s
Form factor	3.5-inch`,
    fields: {
      capacityBytes: 8e12,
      medium: 'disk',
      rpm: 5640,
      sequentialMBps: 215,
      idleW: 3.4,
      busyW: 5.2,
      standbyW: 0.4,
      soundIdleDb: 23,
      soundSeekDb: 27,
      massG: 715,
      interface: 'sata',
      gbPerLane: 6,
      size: '3.5',
    },
  },
  {
    id: 'flash, a price list’s row',
    kind: 'drive',
    text:
      'Pike D8 7.68TB U.2 NVMe PCIe 4.0 x4 15mm 1DWPD | read 6900 MB/s | write 4100 MB/s | PLP | ' +
      'idle 5 W | active 18 W | new',
    fields: {
      capacityBytes: 7.68e12,
      size: 'u.2',
      interface: 'nvme',
      medium: 'flash',
      pcieGen: 4,
      lanes: 4,
      heightMm: 15,
      sequentialMBps: 6900,
      idleW: 5,
      busyW: 18,
      powerLossSafe: true,
    },
  },
  {
    id: 'board, a maker’s page with marks',
    kind: 'board',
    text: `## Wren D2
**Form factor:** Mini-ITX, 170 x 170 mm
**Processor:** Socket Q5, up to 65 W
**Memory:** 2 x SO-DIMM DDR5-5600, max. 96 GB
**Storage:** 4 x SATA 6 Gb/s, 2 x M.2 2280 (PCIe 4.0 x4)
**Expansion:** 1 x PCIe 4.0 x16 (x8 electrical)
**LAN:** 2 x 2.5 GbE
**Power:** 24-pin ATX + 8-pin CPU`,
    fields: {
      holes: 'mini-itx',
      edgeMm: 170,
      depthMm: 170,
      socket: 'Q5',
      carriesW: 65,
      memorySlots: 2,
      memoryForm: 'so-dimm',
      memoryType: 'ddr5',
      memoryMaxBytes: 96 * GIB,
    },
    places: {
      sataPorts: 4,
      m2Sockets: 2,
      slots: [{ count: 1, lanes: 16, wiredLanes: 8, gen: 4 }],
      networkPorts: [{ count: 2, gbPerS: 2.5 }],
    },
  },
  {
    id: 'processor, a table of a magazine',
    kind: 'processor',
    text: `Model	Drover 8E
Cores/threads	8/16
TDP	35 W
Socket	Q4
Memory	DDR4-3200 (ECC)
PCIe	3.0, 24 lanes
Graphics	integrated`,
    fields: {
      cores: 8,
      threads: 16,
      sustainedW: 35,
      socket: 'Q4',
      memoryTypes: ['ddr4'],
      memoryEcc: true,
      gen: 3,
      lanes: 24,
      graphics: true,
    },
  },
  {
    id: 'chassis, a page in a shop of parts',
    kind: 'chassis',
    text: `Byre 12 rack case, 4U, short
12 hot-swap bays for 3.5" drives, mini-SAS HD backplane (3 x SFF-8643)
2 internal 2.5" mounts
Motherboards: ATX, Micro-ATX, Mini-ITX
Cooling: 3 x 120 mm in the middle, 2 x 80 mm in the rear
PSU: ATX PS/2, max. 180 mm
Max. CPU cooler height 150 mm, max. card length 290 mm
7 full-height slots
H 178 mm, W 430 mm, D 500 mm, 11.6 kg`,
    fields: { style: 'rack', rackUnits: 4, heightMm: 178, widthMm: 430, depthMm: 500, massG: 11600 },
    places: {
      bays35: 12,
      hotSwap: true,
      bays25: 2,
      backplane: [{ count: 3, kind: 'sff-8643' }],
      boards: ['atx', 'micro-atx', 'mini-itx'],
      fans: [
        { count: 3, sizeMm: 120, wall: 'middle' },
        { count: 2, sizeMm: 80, wall: 'rear' },
      ],
      supplyForms: ['atx'],
      supplyMm: 180,
      coolerMm: 150,
      cardMm: 290,
      openings: 7,
    },
  },
  {
    id: 'supply, a maker’s PDF, rails in one row',
    kind: 'supply',
    text: `Kiln 700 ATX power supply unit
Output voltage  +3.3V  +5V  +12V  -12V  +5VSB
Max. current  20A  20A  58A  0.5A  3A
Max. combined power  110W (3.3V + 5V)
Total power  700W
Efficiency  80 PLUS Gold
Connectors  1x 24-pin, 2x 4+4-pin EPS, 4x 6+2-pin PCIe, 8x SATA, 4x 4-pin peripheral
Depth  140 mm`,
    fields: {
      form: 'atx',
      rail33A: 20,
      rail5A: 20,
      rail12A: 58,
      combined5And33W: 110,
      ratedW: 700,
      efficiencyClass: 'gold',
      lengthMm: 140,
    },
    places: { mainPlugs: 1, processorPlugs: 2, cardPlugs: 4, sataPlugs: 8, peripheralPlugs: 4 },
  },
  {
    id: 'fan, a table with tolerance',
    kind: 'fan',
    text: `Gale 80-15
Size	80 x 80 x 15 mm
Rated speed	2200 rpm ± 10 %
Air flow	34.2 m³/h (20.1 CFM)
Static pressure	14.7 Pa
Noise level	21.5 dB(A)
Input power	0.96 W
Wires	4 (PWM)`,
    fields: {
      sizeMm: 80,
      thickMm: 15,
      maxRpm: 2200,
      flowM3h: 34.2,
      pressurePa: 14.7,
      soundDb: 21.5,
      maxW: 0.96,
      pwm: true,
    },
  },
  {
    id: 'HBA, a manual’s list',
    kind: 'controller',
    text: `Tern 24i storage controller
1. Host bus: PCIe 4.0, x8
2. Ports: 3 x SFF-8654 8i, internal
3. Devices: 240 maximum
4. Power: 15.8 W typical, 21 W maximum
5. Cooling: 250 LFM
6. Size: full height, 111 x 168 mm`,
    fields: {
      gen: 4,
      lanes: 8,
      mostDevices: 240,
      busyW: 15.8,
      peakW: 21,
      needsAirMPerS: 1.27,
      height: 'full',
      lengthMm: 168,
    },
    places: { ports: [{ count: 3, kind: 'sff-8654-8i', side: 'inside' }] },
  },
  {
    id: 'UPS, a shop’s facts in a row',
    kind: 'ups',
    text:
      'Cistern 650: 650 VA, 390 W, line-interactive, simulated sine, 4 outlets, ' +
      '12 V 7 Ah lead-acid battery, 4.8 kg',
    fields: {
      ratedVa: 650,
      ratedW: 390,
      waveform: 'stepped',
      outlets: 4,
      batteryWh: 84,
      battery: 'leadAcid',
      massG: 4800,
    },
  },
];
