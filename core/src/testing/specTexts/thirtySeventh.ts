import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Comparison sites, marketplaces, settings files, rows of lists; committed before its first run. */
export const THIRTY_SEVENTH: readonly Sample[] = [
  {
    id: 'disk, a comparison site’s one line',
    kind: 'drive',
    text:
      'Barge N14 14TB, 512e, SATA 6Gb/s, 3.5" • 7200rpm • 256MB cache • power: 6.2W (operating), 5.0W (idle), ' +
      '0.8W (standby) • noise: 20dB(A) (idle), 29dB(A) (operating) • CMR • helium • 5 years warranty',
    fields: {
      capacityBytes: 14e12,
      sectors: '512e',
      interface: 'sata',
      gbPerLane: 6,
      size: '3.5',
      medium: 'disk',
      rpm: 7200,
      busyW: 6.2,
      idleW: 5,
      standbyW: 0.8,
      soundIdleDb: 20,
      soundSeekDb: 29,
      shingled: false,
    },
  },
  {
    id: 'flash, a comparison site’s rows',
    kind: 'drive',
    text: `Stickle Eco 4TB, M.2
Type: solid state drive, internal
Form factor: M.2 2280
Interface: M.2/M-key (PCIe 4.0 x4)
Read: 5000MB/s
Write: 4500MB/s
IOPS 4K read/write: 650k/700k
Memory modules: 3D NAND QLC
TBW: 900TB
Power consumption: 4.5W (active), 0.06W (idle)
Dimensions: 80x22x2.3mm`,
    fields: {
      capacityBytes: 4e12,
      size: 'm2',
      lengthMm: 80,
      medium: 'flash',
      interface: 'nvme',
      pcieGen: 4,
      lanes: 4,
      sequentialMBps: 5000,
      randomIops: 650_000,
      enduranceTb: 900,
      busyW: 4.5,
      idleW: 0.06,
    },
  },
  {
    id: 'board, a comparison site’s rows',
    kind: 'board',
    text: `Plover X6 ATX
Form factor: ATX, 305x244mm
Socket: Q5
Chipset: X6
CPU support: up to 170W TDP
RAM slots: 4x DDR5 DIMM, up to 192GB (UDIMM), ECC UDIMM supported
Expansion slots: 1x PCIe 5.0 x16, 2x PCIe 4.0 x16 (x4), 1x PCIe 3.0 x1
M.2: 3x M.2 2280 (PCIe 4.0 x4)
SATA: 6x SATA 6Gb/s
LAN: 1x 5Gb/s, 1x 2.5Gb/s
Headers: 6x fan PWM`,
    fields: {
      holes: 'atx',
      edgeMm: 305,
      depthMm: 244,
      socket: 'Q5',
      carriesW: 170,
      memorySlots: 4,
      memoryType: 'ddr5',
      memoryForm: 'dimm',
      memoryMaxBytes: 192 * GIB,
      memoryEcc: true,
    },
    places: {
      slots: [
        { count: 1, lanes: 16, wiredLanes: 16, gen: 5 },
        { count: 2, lanes: 16, wiredLanes: 4, gen: 4 },
        { count: 1, lanes: 1, wiredLanes: 1, gen: 3 },
      ],
      m2Sockets: 3,
      sataPorts: 6,
      networkPorts: [
        { count: 1, gbPerS: 5 },
        { count: 1, gbPerS: 2.5 },
      ],
    },
  },
  {
    id: 'chassis, a comparison site’s rows',
    kind: 'chassis',
    text: `Steading Quiet 10
Type: Midi-Tower
Internal: 10x 3.5", 2x 2.5"
External: 1x 5.25"
Fans (front): 2x 140mm
Fans (rear): 1x 140mm
Mainboard: up to E-ATX
PSU: up to 250mm, ATX
CPU cooler: max. 180mm
Graphics cards: max. 400mm
Slots: 7
Dimensions (WxHxD): 240x475x545mm
Weight: 12.50kg`,
    fields: { style: 'tower', widthMm: 240, heightMm: 475, depthMm: 545, massG: 12500 },
    places: {
      bays35: 10,
      bays25: 2,
      bays525: 1,
      fans: [
        { count: 2, sizeMm: 140, wall: 'front' },
        { count: 1, sizeMm: 140, wall: 'rear' },
      ],
      boards: ['ssi-eeb'],
      supplyMm: 250,
      supplyForms: ['atx'],
      coolerMm: 180,
      cardMm: 400,
      openings: 7,
    },
  },
  {
    id: 'supply, a comparison site’s rows',
    kind: 'supply',
    text: `Ember 650 SFX-L
Form factor: SFX-L
Power: 650W
Certificate: 80 PLUS Platinum
Fan: 120mm
Rails: +3.3V: 20A, +5V: 20A, +12V: 54A
Cables: fully modular
Connectors: 1x 20/24-pin, 1x 4/8-pin ATX12V, 4x 6/8-pin PCIe, 8x SATA, 3x IDE
Dimensions: 125x63.5x130mm`,
    fields: {
      form: 'sfx-l',
      ratedW: 650,
      efficiencyClass: 'platinum',
      rail33A: 20,
      rail5A: 20,
      rail12A: 54,
      modular: true,
      lengthMm: 130,
    },
    places: { mainPlugs: 1, processorPlugs: 1, cardPlugs: 4, sataPlugs: 8, peripheralPlugs: 3 },
  },
  {
    id: 'fan, a comparison site’s rows',
    kind: 'fan',
    text: `Hush 120 Pro
Dimensions: 120x120x25mm
Speed: 450-2000rpm
Airflow: 121.8m³/h
Static pressure: 3.94mmH2O
Noise: 29.7dB(A)
Bearing: fluid
Connector: 4-pin PWM
Power: 3.36W`,
    fields: {
      sizeMm: 120,
      thickMm: 25,
      minRpm: 450,
      maxRpm: 2000,
      flowM3h: 121.8,
      pressurePa: 38.64,
      soundDb: 29.7,
      pwm: true,
      maxW: 3.36,
    },
  },
  {
    id: 'processor, settings of a data file',
    kind: 'processor',
    text: `name: Drover 12
cores: 12
threads: 24
tdp_w: 105
socket: Q5
memory: DDR5
ecc: true
pcie_gen: 5
pcie_lanes: 28
igpu: true`,
    fields: {
      cores: 12,
      threads: 24,
      sustainedW: 105,
      socket: 'Q5',
      memoryTypes: ['ddr5'],
      memoryEcc: true,
      gen: 5,
      lanes: 28,
      graphics: true,
    },
  },
  {
    id: 'controller, a marketplace',
    kind: 'controller',
    text: `PCIe SATA card 8 ports, 6Gbps SATA3.0 controller expansion card
Item type: SATA controller card
Interface: PCIe 3.0 X4
Number of ports: 8 x SATA3.0
Bracket: low profile bracket and standard profile bracket
Heat sink: yes
Package: 1 x card, 8 x SATA cable`,
    fields: { lanes: 4, gen: 3, height: 'low' },
    places: { ports: [{ count: 8, kind: 'sata', side: 'inside' }] },
  },
  {
    id: 'network card, a marketplace',
    kind: 'networkCard',
    text: `2.5G network card PCIe, 4 port
Chipset: 4 x 2.5GBASE-T controller
Ports: 4 x RJ45
Speed: 10/100/1000/2500 Mbps
Interface: PCIe 2.1 x4
Power consumption: 6 W`,
    fields: { lanes: 4, gen: 2, busyW: 6 },
    places: { networkPorts: [{ count: 4, gbPerS: 2.5 }] },
  },
  {
    id: 'cooler, a comparison site’s rows',
    kind: 'cooler',
    text: `Fels Slim 47
Design: top-flow
Dimensions with fan (WxHxD): 100x47x100mm
Dimensions without fan (WxHxD): 100x32x100mm
Fan: 1x 92x92x15mm, 600-2700rpm
Noise: 28dB(A)
TDP rating: 95W
Socket: Q4, Q5
Weight: 370g`,
    fields: { widthMm: 100, heightMm: 47, depthMm: 100, carriesW: 95, sockets: ['Q4', 'Q5'], massG: 370 },
  },
  {
    id: 'memory, a comparison site’s one line',
    kind: 'memory',
    text: `Clew DIMM 32GB, DDR4-3200, CL22-22-22, ECC, unbuffered, 1.20V`,
    fields: { form: 'dimm', capacityBytes: 32 * GIB, type: 'ddr4', mtPerS: 3200, ecc: true, registered: false },
  },
  {
    id: 'UPS, a comparison site’s rows',
    kind: 'ups',
    text: `Cistern Eco 800
Type: offline/standby
Power: 800VA/450W
Output: simulated sine wave
Connectors: 6x Schuko (3x battery)
Battery: 12V/7Ah, lead-acid
Dimensions (WxHxD): 160x82x250mm
Weight: 4.1kg`,
    fields: {
      ratedVa: 800,
      ratedW: 450,
      waveform: 'stepped',
      outlets: 6,
      batteryWh: 84,
      battery: 'leadAcid',
      massG: 4100,
    },
  },
];
