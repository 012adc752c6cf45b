import type { Sample } from './sample';

/** The seventh set, written before the reader was run on it. */
export const SEVENTH: readonly Sample[] = [
  {
    id: 'disk, two columns of room and no colons',
    kind: 'drive',
    text: `Bargeyard Barge 10 TB Internal Hard Drive
Brand                 Bargeyard
Series                Barge
Hard Disk Form Factor 3.5 Inches
Digital Storage Capacity 10 TB
Hard Disk Interface   Serial ATA-600
Hard Disk Rotational Speed 7200 RPM
Item Weight           1.5 pounds`,
    fields: { size: '3.5', capacityBytes: 10e12, interface: 'sata', rpm: 7200, massG: 680.4, medium: 'disk' },
  },
  {
    id: 'disk, with ranges of watts',
    kind: 'drive',
    text: `Lighter 4 TB HDD
Capacity 4 TB
Average power requirements:
Read/Write: 5.7 W
Idle: 4.1 W
Standby and sleep: 0.4 W
12 V DC ±10 % (A, peak): 1.75 A
Acoustics: Idle 23 dBA, Seek (average) 27 dBA
Operating: 0 to 60 °C
Non-operating: -40 to 70 °C
Vibration, operating: 0.25 G`,
    fields: {
      soundIdleDb: 23,
      soundSeekDb: 27,
      capacityBytes: 4e12,
      busyW: 5.7,
      idleW: 4.1,
      standbyW: 0.4,
      maxC: 60,
      medium: 'disk',
    },
  },
  {
    id: 'SSD, a shop with slashes',
    kind: 'drive',
    text: 'Pike 480 GB 2.5" SATA SSD / read 540 MB/s / write 430 MB/s / TBW 240 / 7 mm',
    fields: {
      enduranceTb: 240,
      capacityBytes: 480e9,
      size: '2.5',
      interface: 'sata',
      sequentialMBps: 540,
      heightMm: 7,
      medium: 'flash',
    },
  },
  {
    id: 'NVMe with lines broken',
    kind: 'drive',
    text: `Rill 512 GB
Solid State Drive
Interface:
  PCIe Gen3 x4, NVMe 1.3
Form Factor:
  M.2 (2280)
Sequential Read Speed:
  3,100 MB/s
Total Bytes Written:
  300 TBW
Power (max):
  5.9 W`,
    fields: {
      interface: 'nvme',
      pcieGen: 3,
      lanes: 4,
      size: 'm2',
      lengthMm: 80,
      sequentialMBps: 3100,
      enduranceTb: 300,
      peakW: 5.9,
      medium: 'flash',
      capacityBytes: 512e9,
    },
  },
  {
    id: 'supply, three languages of a label',
    kind: 'supply',
    text: `ATX POWER SUPPLY EMBER 750
AC INPUT: 100-240 V~ 10-5 A 50-60 Hz
DC OUTPUT: +12V 62.5A | +5V 20A | +3.3V 20A | -12V 0.3A | +5Vsb 3A
MAX OUTPUT POWER: 750 W
80 PLUS GOLD
Dimensions: 150 x 86 x 160 mm (W x H x D)`,
    fields: {
      form: 'atx',
      ratedW: 750,
      efficiencyClass: 'gold',
      lengthMm: 160,
      rail12A: 62.5,
      rail5A: 20,
      rail33A: 20,
    },
  },
  {
    id: 'supply, little on it',
    kind: 'supply',
    text: 'Cinder 400 W SFX PSU 80+ Bronze, used, fan replaced',
    fields: { form: 'sfx', efficiencyClass: 'bronze', ratedW: 400 },
  },
  {
    id: 'fan, a shop with units glued',
    kind: 'fan',
    text: `Breeze 200 case fan
Abmessungen: 200x200x30mm
Drehzahl: 800U/min
Luftdurchsatz: 110m³/h
Lautstärke: 19dB(A)
Anschluss: 3-Pin`,
    fields: { sizeMm: 200, thickMm: 30, maxRpm: 800, flowM3h: 110, soundDb: 19, pwm: false },
  },
  {
    id: 'fan, with tolerance',
    kind: 'fan',
    text: `Gale 60 industrial fan
Size: 60 mm
Thickness: 38 mm
Speed: 9000 RPM ± 10%
Airflow: 45.6 CFM ± 10%
Static pressure: 22.4 mm-H2O
Sound pressure: 52 dB-A
Rated power: 6.6 W`,
    fields: { sizeMm: 60, thickMm: 38, maxRpm: 9000, flowM3h: 77.5, soundDb: 52, maxW: 6.6, pressurePa: 219.7 },
  },
  {
    id: 'processor, two kinds of core',
    kind: 'processor',
    text: `Shire 14 processor
Total Cores	14
# of Performance-cores	6
# of Efficient-cores	8
Total Threads	20
Processor Base Power	125 W
Maximum Turbo Power	181 W
Max # of PCI Express Lanes	20
Integrated graphics	Yes`,
    fields: { cores: 14, threads: 20, sustainedW: 125, peakW: 181, lanes: 20, graphics: true },
  },
  {
    id: 'cooler, with clearances',
    kind: 'cooler',
    text: `Tarn 140 heatsink cooler
Height with fan: 165 mm
Width: 150 mm
Depth with fan: 161 mm
Clearance for RAM: 32 mm
Weight with fan: 1320 g
TDP guideline: 200 W`,
    fields: { heightMm: 165, widthMm: 150, depthMm: 161, massG: 1320, carriesW: 200 },
  },
  {
    id: 'memory, a listing',
    kind: 'memory',
    text: '8GB 1Rx8 PC4-2666V UDIMM DDR4-2666 ECC unbuffered',
    fields: { capacityBytes: 8 * 1024 ** 3, type: 'ddr4', form: 'dimm', mtPerS: 2666, ecc: true, registered: false },
  },
  {
    id: 'HBA, a listing',
    kind: 'controller',
    text: 'Tern 8i HBA, IT mode, PCIe 3.0 x8, 2x SFF-8643, low profile bracket',
    fields: { height: 'low', lanes: 8, gen: 3 },
  },
  {
    id: 'UPS, a table by bars',
    kind: 'ups',
    text: `| Output power | 650 W / 1100 VA |
| Battery | 1 x 12 V 9 Ah, sealed lead-acid |
| Waveform type | Stepped approximation to a sine wave |
| Outlets | 6 |
| Weight | 7.2 kg |`,
    fields: {
      ratedW: 650,
      ratedVa: 1100,
      battery: 'leadAcid',
      batteryWh: 108,
      waveform: 'stepped',
      outlets: 6,
      massG: 7200,
    },
  },
  {
    id: 'case, a data sheet',
    kind: 'chassis',
    text: `Trug 4 NAS chassis
Outer dimensions (DxWxH): 270 x 180 x 210 mm
Bays: 4 x 3.5" hot-swap
Supported motherboards: Mini-ITX
Weight: 3.4 kg (without drives)
Power supply: Flex ATX`,
    fields: { depthMm: 270, widthMm: 180, heightMm: 210, massG: 3400 },
  },
];
