import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** The last of them: whatever is at hand; committed before its first run. */
export const FORTIETH: readonly Sample[] = [
  {
    id: 'disk, a maker’s leaflet',
    kind: 'drive',
    text: `BARGE NAS DRIVE 8 TB
Highlights
- CMR recording
- 5640 RPM class
- Up to 215 MB/s
- 24x7 operation
Technical details
Interface | SATA, 6 Gb/s
Form factor | 3.5"
Cache | 256 MB
Max. operating power | 5.6 W
Idle power | 3.9 W
Standby / sleep | 0.6 W
Acoustics (idle / seek) | 24 / 27 dBA
Operating temperature | 0 to 65 °C
Load/unload cycles | 600,000`,
    fields: {
      capacityBytes: 8e12,
      shingled: false,
      medium: 'disk',
      rpm: 5640,
      sequentialMBps: 215,
      interface: 'sata',
      gbPerLane: 6,
      size: '3.5',
      peakW: 5.6,
      idleW: 3.9,
      standbyW: 0.6,
      soundIdleDb: 24,
      soundSeekDb: 27,
      maxC: 65,
    },
  },
  {
    id: 'flash, an offer',
    kind: 'drive',
    text: `Offer 4471
Item: Pike 3.84 TB enterprise SATA SSD, 2.5", new
Sequential read 540 MB/s, write 520 MB/s
Endurance: 7,008 TBW
Power: 1.4 W idle, 3.9 W active
Power-loss protection: yes
Warranty: 5 years`,
    fields: {
      capacityBytes: 3.84e12,
      interface: 'sata',
      medium: 'flash',
      size: '2.5',
      sequentialMBps: 540,
      enduranceTb: 7008,
      idleW: 1.4,
      busyW: 3.9,
      powerLossSafe: true,
    },
  },
  {
    id: 'board, a maker’s overview table',
    kind: 'board',
    text: `Gannet N6 | NAS mainboard
Form factor | Mini-ITX
CPU | 8-core SoC, soldered, 25 W
Memory | 2 x DDR4 SO-DIMM, max. 64 GB, ECC
Storage | 8 x SATA 6 Gb/s via 2 x SFF-8643
M.2 | 2 x 2280, PCIe 3.0 x2
LAN | 2 x 10GBASE-T, 2 x 1 GbE
Expansion | 1 x PCIe 3.0 x8
Management | none
Power | 24-pin ATX or 12 V DC`,
    fields: {
      holes: 'mini-itx',
      memorySlots: 2,
      memoryType: 'ddr4',
      memoryForm: 'so-dimm',
      memoryMaxBytes: 64 * GIB,
      memoryEcc: true,
      remoteManagement: false,
    },
    places: {
      plugs: [{ count: 2, kind: 'sff-8643', carries: ['sata'] }],
      m2Sockets: 2,
      networkPorts: [
        { count: 2, gbPerS: 10 },
        { count: 2, gbPerS: 1 },
      ],
      slots: [{ count: 1, lanes: 8, wiredLanes: 8, gen: 3 }],
    },
  },
  {
    id: 'chassis, a maker’s leaflet',
    kind: 'chassis',
    text: `LARDER 5 – five bays, one shelf
External dimensions 230 x 220 x 310 mm (W x H x D)
Net weight 4.3 kg
Mainboard Mini-ITX
Drive bays 5 x 3.5" hot-swap, 1 x 2.5" inside
Backplane 2 x SFF-8087
Fan 1 x 120 mm rear
Power supply Flex ATX up to 150 mm
CPU cooler up to 55 mm
Expansion 1 x low profile`,
    fields: { widthMm: 230, heightMm: 220, depthMm: 310, massG: 4300 },
    places: {
      boards: ['mini-itx'],
      bays35: 5,
      bays25: 1,
      hotSwap: true,
      backplane: [{ count: 2, kind: 'sff-8087' }],
      fans: [{ count: 1, sizeMm: 120, wall: 'rear' }],
      supplyForms: ['flex-atx'],
      supplyMm: 150,
      coolerMm: 55,
      openings: 1,
    },
  },
  {
    id: 'supply, a maker’s leaflet',
    kind: 'supply',
    text: `EMBER 400 TFX
80 PLUS Bronze certified TFX power supply
Nominal power 400 W
+3.3V / +5V / +12V max. current: 14 A / 16 A / 32 A
+3.3V & +5V combined: 90 W
Dimensions 85 x 65 x 175 mm
1 x ATX 20+4 pin, 1 x 4+4 pin CPU, 1 x 6+2 pin PCIe, 3 x SATA, 2 x 4 pin peripheral
Weight 1.2 kg`,
    fields: {
      form: 'tfx',
      efficiencyClass: 'bronze',
      ratedW: 400,
      rail33A: 14,
      rail5A: 16,
      rail12A: 32,
      combined5And33W: 90,
      lengthMm: 175,
      massG: 1200,
    },
    places: { mainPlugs: 1, processorPlugs: 1, cardPlugs: 1, sataPlugs: 3, peripheralPlugs: 2 },
  },
  {
    id: 'fan, a listing',
    kind: 'fan',
    text: `Gust server fan 40x40x28 mm, 12 V 0.8 A, 15000 rpm, 31 CFM, 55 dBA, 4-pin PWM`,
    fields: { sizeMm: 40, thickMm: 28, maxW: 9.6, maxRpm: 15000, flowM3h: 52.67, soundDb: 55, pwm: true },
  },
  {
    id: 'controller, an offer',
    kind: 'controller',
    text: `Item: Tern 16i SAS3 HBA
Ports: 4 x SFF-8643, internal
Bus: PCIe 3.0 x8
Power: 13 W typical
Bracket: full height mounted, low profile in the bag
Devices: max. 1024
Price: 129.00 EUR`,
    fields: { lanes: 8, gen: 3, busyW: 13, height: 'low', mostDevices: 1024 },
    places: { ports: [{ count: 4, kind: 'sff-8643', side: 'inside' }] },
  },
  {
    id: 'processor, an offer',
    kind: 'processor',
    text: `Shire S8, 8C/16T, 2.6-3.5 GHz, 85 W TDP, socket R6, 6-channel DDR4-2666 ECC, 48 lanes PCIe 3.0`,
    fields: {
      cores: 8,
      threads: 16,
      sustainedW: 85,
      socket: 'R6',
      memoryTypes: ['ddr4'],
      memoryEcc: true,
      lanes: 48,
      gen: 3,
    },
  },
  {
    id: 'UPS, a maker’s leaflet',
    kind: 'ups',
    text: `CISTERN RM 750
Apparent power 750 VA
Real power 500 W
Topology line-interactive
Output on battery pure sine wave
Battery 24 V, 7 Ah, lead-acid
Outlets 4 x IEC C13
Weight 14 kg
Height 1U`,
    fields: {
      ratedVa: 750,
      ratedW: 500,
      waveform: 'sine',
      batteryWh: 168,
      battery: 'leadAcid',
      outlets: 4,
      massG: 14000,
    },
  },
];
