import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Makers' pages and shops again, other makers' manners; committed before its first run. */
export const TWENTY_THIRD: readonly Sample[] = [
  {
    id: 'disk, a data sheet’s lines with units in brackets',
    kind: 'drive',
    text: `Lighter S 10 TB SAS hard drive
Form factor: 3.5-inch
Interface: SAS 12 Gb/s
Formatted capacity: 10 TB
Sector size: 512e
Rotational speed: 7,200 rpm
Sustained data rate: 249 MB/s
Average operating power: 8.4 W
Average idle power: 5.0 W
Acoustics (idle): 2.8 B
Temperature (operating): 5 °C to 60 °C
Unrecoverable bit error rate: 1 in 10^15
Height: 26.1 mm
Weight: 720 g`,
    fields: {
      size: '3.5',
      medium: 'disk',
      interface: 'sas',
      gbPerLane: 12,
      capacityBytes: 10e12,
      sectors: '512e',
      rpm: 7200,
      sequentialMBps: 249,
      busyW: 8.4,
      idleW: 5,
      soundIdleDb: 28,
      soundMeaning: 'powerDeclared',
      maxC: 60,
      unreadablePerBit: 1e-15,
      heightMm: 26.1,
      massG: 720,
    },
  },
  {
    id: 'flash, U.2, a maker’s table',
    kind: 'drive',
    text: `Zander E 3.84 TB
Form Factor	U.2 (2.5-inch, 15 mm)
Interface	NVMe, PCIe 4.0 x4
Capacity	3.84 TB
Seq. read	6,900 MB/s
Seq. write	4,000 MB/s
Random read	1,000K IOPS
DWPD	1 (5 years)
Active power	14 W
Idle power	5 W
Power loss protection	Yes
UBER	1 per 10^17 bits read
Operating temp.	0~70 °C`,
    fields: {
      size: 'u.2',
      heightMm: 15,
      medium: 'flash',
      interface: 'nvme',
      pcieGen: 4,
      lanes: 4,
      capacityBytes: 3.84e12,
      sequentialMBps: 6900,
      randomIops: 1e6,
      enduranceTb: 7008,
      busyW: 14,
      idleW: 5,
      powerLossSafe: true,
      unreadablePerBit: 1e-17,
      maxC: 70,
    },
  },
  {
    id: 'board, a server board’s page',
    kind: 'board',
    text: `Gannet R2 server motherboard
Form factor	SSI-CEB (12" x 10.5")
CPU	Single socket R6, up to 225 W TDP
Memory	8 x DDR4-3200 RDIMM slots, up to 1 TB ECC
PCIe	4 x PCIe 4.0 x16, 2 x PCIe 4.0 x8
SATA	8 x SATA 6 Gb/s
M.2	2 x M.2 2280/22110 NVMe
Ethernet	2 x 10GBASE-T
Management	Dedicated IPMI LAN port, BMC`,
    fields: {
      holes: 'ssi-ceb',
      edgeMm: 304.8,
      depthMm: 266.7,
      socket: 'R6',
      carriesW: 225,
      memorySlots: 8,
      memoryType: 'ddr4',
      memoryForm: 'dimm',
      memoryMaxBytes: 1024 * GIB,
      memoryEcc: true,
      memoryRegistered: 'must',
      remoteManagement: true,
    },
    places: {
      slots: [
        { count: 4, lanes: 16, wiredLanes: 16, gen: 4 },
        { count: 2, lanes: 8, wiredLanes: 8, gen: 4 },
      ],
      sataPorts: 8,
      m2Sockets: 2,
      networkPorts: [{ count: 2, gbPerS: 10 }],
    },
  },
  {
    id: 'processor, a shop’s key lines',
    kind: 'processor',
    text: `Shire 12 desktop processor
Cores/Threads: 12/24
Socket: Q5
TDP: 105 W
Max temperature: 90 °C
Memory support: DDR5-5200, up to 128 GB
Graphics: none
PCIe lanes: 24 (Gen 5)`,
    fields: {
      cores: 12,
      threads: 24,
      socket: 'Q5',
      sustainedW: 105,
      maxC: 90,
      memoryTypes: ['ddr5'],
      graphics: false,
      lanes: 24,
      gen: 5,
    },
  },
  {
    id: 'cooler, a tower in a maker’s table',
    kind: 'cooler',
    text: `Fell 120 single tower cooler
Dimensions (with fan)	125 x 71 x 154 mm (L x W x H)
Weight	740 g
TDP	180 W
Sockets	Q4 / Q5
Fan speed	500-1700 rpm
Noise level	25.6 dB(A)
Fan size	120 x 120 x 25 mm`,
    fields: { heightMm: 154, depthMm: 125, widthMm: 71, massG: 740, carriesW: 180, sockets: ['Q4', 'Q5'] },
  },
  {
    id: 'memory, a registered module’s label',
    kind: 'memory',
    text: `Clew 64GB 2Rx4 PC4-3200AA-R DDR4 RDIMM ECC Registered 288-pin 1.2V`,
    fields: { capacityBytes: 64 * GIB, type: 'ddr4', form: 'dimm', ecc: true, registered: true, mtPerS: 3200 },
  },
  {
    id: 'chassis, a cube’s page',
    kind: 'chassis',
    text: `Larder 6 cube NAS case
Material: steel
Motherboard: Mini-ITX
Drive bays: 6 x 3.5" hot swap, 2 x 2.5" fixed
Power supply: SFX
Fans: 2 x 120 mm (rear)
CPU cooler height: up to 65 mm
Graphics card length: up to 200 mm
Expansion slots: 2
Size: 266 mm (W) x 280 mm (H) x 316 mm (D)
Weight: 5.9 kg`,
    fields: { style: 'cube', widthMm: 266, heightMm: 280, depthMm: 316, massG: 5900 },
    places: {
      hotSwap: true,
      supplyForms: ['sfx'],
      boards: ['mini-itx'],
      bays35: 6,
      bays25: 2,
      fans: [{ count: 2, sizeMm: 120, wall: 'rear' }],
      coolerMm: 65,
      cardMm: 200,
      openings: 2,
    },
  },
  {
    id: 'supply, a redundant pair in a data sheet',
    kind: 'supply',
    text: `Brazier 550R 1+1 redundant power supply
Output power	550 W (1+1)
Efficiency	80 PLUS Platinum
+12V	45.8 A
+5V	18 A
+3.3V	18 A
+5VSB	3 A
Power factor	> 0.95 at full load`,
    fields: {
      form: 'redundant',
      ratedW: 550,
      modules: 2,
      efficiencyClass: 'platinum',
      rail12A: 45.8,
      rail5A: 18,
      rail33A: 18,
      powerFactorFull: 0.95,
    },
  },
  {
    id: 'supply, SFX, a shop’s key lines',
    kind: 'supply',
    text: `Ember 500 SFX power supply
Wattage: 500 W
Form factor: SFX
Certification: 80+ Gold
Modular: full
Size: 125 x 63.5 x 100 mm
+12V: 41.6 A
Connectors: 1 x 24-pin, 1 x EPS 8-pin, 2 x PCIe 8-pin, 4 x SATA, 2 x 4-pin peripheral`,
    fields: {
      ratedW: 500,
      form: 'sfx',
      efficiencyClass: 'gold',
      modular: true,
      lengthMm: 100,
      rail12A: 41.6,
    },
    places: { mainPlugs: 1, processorPlugs: 1, cardPlugs: 2, sataPlugs: 4, peripheralPlugs: 2 },
  },
  {
    id: 'fan, a server fan’s data sheet',
    kind: 'fan',
    text: `Squall 80x38 PWM
Dimensions: 80 x 80 x 38 mm
Rated voltage: 12 VDC
Speed: 8000 RPM
Air flow: 88 CFM
Static pressure: 1.65 inH2O
Noise: 58 dBA
Input current: 1.5 A`,
    fields: {
      sizeMm: 80,
      thickMm: 38,
      maxRpm: 8000,
      flowM3h: 149.5,
      pressurePa: 411,
      soundDb: 58,
      maxW: 18,
      pwm: true,
    },
  },
  {
    id: 'network card, a maker’s table',
    kind: 'networkCard',
    text: `Skein 10T2
Ports	2 x RJ-45, 10GBASE-T (10G/5G/2.5G/1G)
Host interface	PCIe 3.0 x4
Power consumption (max.)	14 W
Brackets	Full-height, low-profile`,
    fields: { height: 'low', lanes: 4, gen: 3, peakW: 14 },
    places: { networkPorts: [{ count: 2, gbPerS: 10 }] },
  },
  {
    id: 'SATA card, a shop’s line of facts',
    kind: 'controller',
    text: `Stilt 6 SATA controller card, PCIe 3.0 x4, 6 x SATA 6 Gb/s, low-profile bracket included`,
    fields: { height: 'low', lanes: 4, gen: 3 },
    places: { ports: [{ count: 6, kind: 'sata', side: 'inside' }] },
  },
  {
    id: 'UPS, a shop’s key lines',
    kind: 'ups',
    text: `Weir 1500 UPS
Rated power: 1500 VA / 1000 W
Output: pure sine wave
Battery: lithium iron phosphate, 512 Wh
Outlets: 6 x C13
Weight: 13.4 kg`,
    fields: {
      ratedVa: 1500,
      ratedW: 1000,
      waveform: 'sine',
      battery: 'lithiumIron',
      batteryWh: 512,
      outlets: 6,
      massG: 13400,
    },
  },
];
