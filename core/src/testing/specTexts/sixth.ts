import type { Sample } from './sample';

/** The sixth set, written before the reader was run on it. */
export const SIXTH: readonly Sample[] = [
  {
    id: 'disk, numbers with their units in front',
    kind: 'drive',
    text: `KEEL 8TB 3.5" SATA HDD – product data
Form factor / interface        3.5" / SATA 6 Gb/s
Capacity                       8 TB
Rotational speed               5640 rpm
Internal data rate (max.)      215 MB/s
Power dissipation, idle        2.8 W
Power dissipation, read/write  5.2 W
Power dissipation, sleep       0.3 W
Noise, idle                    21 dB(A)
Noise, seek                    26 dB(A)
Reliability: MTBF              1,000,000 h
Weight                         720 g ± 10 %`,
    fields: {
      size: '3.5',
      interface: 'sata',
      gbPerLane: 6,
      capacityBytes: 8e12,
      rpm: 5640,
      sequentialMBps: 215,
      idleW: 2.8,
      busyW: 5.2,
      standbyW: 0.3,
      soundIdleDb: 21,
      soundSeekDb: 26,
      massG: 720,
      medium: 'disk',
    },
  },
  {
    id: 'SAS flash',
    kind: 'drive',
    text: `Zander 1.92 TB enterprise SSD
Interface: SAS 12Gb/s, dual port
Form factor: 2.5-inch, 15 mm
Sequential read (128 KiB): 2100 MB/s
Random read (4 KiB): 400,000 IOPS
Drive writes per day: 1 DWPD
Endurance: 3504 TBW
Power (active/idle): 9 W / 3.7 W
Weight: 140 g`,
    fields: {
      idleW: 3.7,
      busyW: 9,
      interface: 'sas',
      gbPerLane: 12,
      size: '2.5',
      heightMm: 15,
      sequentialMBps: 2100,
      randomIops: 400_000,
      enduranceTb: 3504,
      massG: 140,
      medium: 'flash',
      capacityBytes: 1.92e12,
    },
  },
  {
    id: 'disk, of a market',
    kind: 'drive',
    text: 'used: Barge 8TB SATA hard drive, 7200rpm, 256MB cache, 21,300 hours, no bad sectors, tested',
    fields: { capacityBytes: 8e12, interface: 'sata', rpm: 7200, medium: 'disk' },
  },
  {
    id: 'supply, a catalogue',
    kind: 'supply',
    text: `Ember 650 | ATX power supply | 650 W | 80+ Gold | semi-modular | depth 140 mm | +12V 54 A`,
    fields: { form: 'atx', ratedW: 650, efficiencyClass: 'gold', modular: true, lengthMm: 140, rail12A: 54 },
  },
  {
    id: 'supply, output table turned',
    kind: 'supply',
    text: `Clinker 400 Flex ATX power supply
Rail	Max. current
+3.3V	16 A
+5V	16 A
+12V	32 A
-12V	0.3 A
+5VSB	3 A
Total output power	400 W`,
    fields: { form: 'flex-atx', rail33A: 16, rail5A: 16, rail12A: 32, ratedW: 400 },
  },
  {
    id: 'fan, Italian-like page of a maker',
    kind: 'fan',
    text: `Gale 92x14 fan
Frame size 92x92x14 mm
Rated speed 2200 RPM (+/-10%)
Min. speed 600 RPM
Max. airflow 34.9 CFM / 59.3 m³/h
Max. static pressure 1.53 mmH₂O
Max. acoustic noise 22.8 dB(A)
Connector 4-pin PWM
Current 0.11 A
Input power 1.32 W`,
    fields: {
      sizeMm: 92,
      thickMm: 14,
      maxRpm: 2200,
      minRpm: 600,
      flowM3h: 59.3,
      pressurePa: 15,
      soundDb: 22.8,
      pwm: true,
      maxW: 1.32,
    },
  },
  {
    id: 'processor, bullets',
    kind: 'processor',
    text: `Drover 4 CPU
• 4 cores / 8 threads
• 3.6 GHz, up to 4.2 GHz boost
• TDP 58 W
• Socket P4-1200
• ECC memory supported: no`,
    fields: { cores: 4, threads: 8, sustainedW: 58, socket: 'P4-1200', memoryEcc: false },
  },
  {
    id: 'cooler, passive',
    kind: 'cooler',
    text: `Crag 1U passive heatsink
Dimensions (W × D × H): 90 × 90 × 27 mm
Supports CPUs up to TDP: 145 W
Weight 350 g`,
    fields: { passive: true, widthMm: 90, depthMm: 90, heightMm: 27, carriesW: 145, massG: 350 },
  },
  {
    id: 'memory, of a market',
    kind: 'memory',
    text: '4 x 16GB DDR4-2400 RDIMM ECC server memory, tested',
    fields: { capacityBytes: 16 * 1024 ** 3, type: 'ddr4', form: 'dimm', mtPerS: 2400, ecc: true, registered: true },
  },
  {
    id: 'card for NVMe',
    kind: 'controller',
    text: `Heron 2 NVMe storage controller card
Bus	PCI Express 4.0 x8
Connectors	2 x SFF-8654 4i
Power consumption	11 W
Operating temperature	0–55 °C
Card size	150 x 69 mm
Bracket	low-profile and full-height included`,
    fields: { height: 'low', lanes: 8, gen: 4, busyW: 11, maxC: 55, lengthMm: 150 },
  },
  {
    id: 'network card, data sheet',
    kind: 'networkCard',
    text: `10GbE Ethernet network adapter
Host interface: PCI Express v3.0 (8 GT/s) x4
Typical power: 4.5 W
Maximum power: 6.4 W
Board length: 120 mm
Operating temperature: 0 °C – 55 °C`,
    fields: { lanes: 4, gen: 3, busyW: 4.5, peakW: 6.4, lengthMm: 120 },
  },
  {
    id: 'UPS, label and value below',
    kind: 'ups',
    text: `Sluice 3000 UPS
Rated capacity
3000 VA / 2700 W
Waveform
Pure sine wave
Battery capacity
12 V / 9 Ah x 6
Outlets
9
Weight
31 kg`,
    fields: { ratedVa: 3000, ratedW: 2700, waveform: 'sine', outlets: 9, massG: 31_000, batteryWh: 648 },
  },
  {
    id: 'rack case of a maker',
    kind: 'chassis',
    text: `Gable 24 4U server chassis
Form Factor: 4U rackmount
Dimensions: 7.0" (H) x 17.2" (W) x 27.5" (D)
Gross weight: 75 lbs
Net weight: 46 lbs
Drive Bays: 24 x 3.5" hot-swap
Rail kit: optional`,
    fields: {
      rackUnits: 4,
      style: 'rack',
      heightMm: 177.8,
      widthMm: 436.9,
      depthMm: 698.5,
      massG: 20_865,
      slideRails: 'apart',
    },
  },
  {
    id: 'board, old shop in German',
    kind: 'board',
    text: `Mainboard Plover A6
Formfaktor: ATX
Sockel: Q5
Speicher: 4x DDR4 DIMM, max. 128 GB
SATA-Anschlüsse: 6
LAN: 1 Gbit/s`,
    fields: {
      holes: 'atx',
      socket: 'Q5',
      memorySlots: 4,
      memoryType: 'ddr4',
      memoryForm: 'dimm',
      memoryMaxBytes: 128 * 1024 ** 3,
    },
  },
];
