import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** In forms the earlier sets had few of: mark-up, settings, auctions, sentences. Committed before its first run. */
export const NINETEENTH: readonly Sample[] = [
  {
    id: 'disk, a table in mark-up',
    kind: 'drive',
    text: `## Barge 8 TB
| Property | Value |
|---|---|
| Capacity | 8 TB |
| Form factor | 3.5-inch |
| Interface | SATA 6 Gb/s |
| Rotational speed | 5640 rpm |
| Cache | 256 MB |
| Transfer rate | up to 215 MB/s |
| Power, read/write | 4.8 W |
| Power, idle | 3.1 W |
| Power, standby/sleep | 0.4 W |
| Weight | 0.64 kg |`,
    fields: {
      capacityBytes: 8e12,
      size: '3.5',
      interface: 'sata',
      gbPerLane: 6,
      rpm: 5640,
      medium: 'disk',
      sequentialMBps: 215,
      busyW: 4.8,
      idleW: 3.1,
      standbyW: 0.4,
      massG: 640,
    },
  },
  {
    id: 'flash, an auction',
    kind: 'drive',
    text:
      'Zander 1.92TB SATA SSD 2.5" enterprise, 6Gb/s, used, 98% life left, 3.4 PB TBW rating, ' +
      'tested, ships tomorrow',
    fields: {
      capacityBytes: 1.92e12,
      interface: 'sata',
      medium: 'flash',
      size: '2.5',
      gbPerLane: 6,
      enduranceTb: 3400,
    },
  },
  {
    id: 'supply, redundant module',
    kind: 'supply',
    text: `Brazier 920 redundant power supply module
1U CRPS, hot plug
920 W at 200-240 VAC, 920 W at 100-127 VAC
80 PLUS Platinum, 94 % at 50 % load
+12 V: 75 A, +5 VSB: 3 A
Dimensions 185 x 73.5 x 40 mm
40 mm fan, reverse airflow not available`,
    fields: { form: 'redundant', ratedW: 920, ratedW115: 920, efficiencyClass: 'platinum', rail12A: 75, lengthMm: 185 },
  },
  {
    id: 'chassis, an external box for USB',
    kind: 'chassis',
    text: `Annex 5 direct-attached storage
5-bay 3.5"/2.5" SATA hot-swap enclosure
USB 3.2 Gen 2 Type-C, 10 Gb/s
Includes 1 x 120 mm rear fan
Power adapter 12 V / 10 A
Size 226 x 178 x 132 mm (D x W x H)
3.1 kg without drives`,
    fields: { style: 'external', depthMm: 226, widthMm: 178, heightMm: 132, massG: 3100 },
    places: { hotSwap: true, bays35: 5, fans: [{ count: 1, sizeMm: 120, wall: 'rear' }] },
  },
  {
    id: 'board, data in pairs with equals signs',
    kind: 'board',
    text: `name=Sprig N6
form_factor=mini-itx
memory_slots=1
memory_type=DDR5 SO-DIMM
max_memory=32 GB
sata_ports=4
m2_slots=2
lan=2 x 2.5 GbE
cpu_tdp=12 W (soldered)
power_input=12 V DC jack`,
    fields: {
      holes: 'mini-itx',
      memorySlots: 1,
      memoryType: 'ddr5',
      memoryForm: 'so-dimm',
      memoryMaxBytes: 32 * GIB,
    },
    places: { sataPorts: 4, m2Sockets: 2, networkPorts: [{ count: 2, gbPerS: 2.5 }] },
  },
  {
    id: 'cooler, sentences',
    kind: 'cooler',
    text: `Fell 155 tower cooler
A single-tower cooler, 155 mm tall, 125 mm wide and 78 mm deep with its fan.
It is rated for processors of up to 180 W and fits sockets Q4 and Q5.
The 120 mm fan runs from 500 to 1700 rpm. Total weight: 760 g.`,
    fields: { heightMm: 155, widthMm: 125, depthMm: 78, carriesW: 180, sockets: ['Q4', 'Q5'], massG: 760 },
  },
  {
    id: 'network card, a listing',
    kind: 'networkCard',
    text: `10GbE network card dual port SFP+ PCIe x8 2.0 low profile, pulled from working server`,
    fields: { lanes: 8, gen: 2, height: 'low' },
    places: { networkPorts: [{ count: 2, gbPerS: 10 }] },
  },
  {
    id: 'UPS, an Italian page',
    kind: 'ups',
    text: `Cistern 2200 gruppo di continuità online
Potenza apparente: 2200 VA
Potenza attiva: 1980 W
Forma d'onda: sinusoidale pura
Prese di uscita: 8 x IEC C13 + 1 x IEC C19
Batterie: 6 x 12 V 9 Ah piombo
Peso: 27,5 kg
Rendimento: 93 %`,
    fields: {
      ratedVa: 2200,
      ratedW: 1980,
      waveform: 'sine',
      outlets: 9,
      batteryWh: 648,
      battery: 'leadAcid',
      massG: 27500,
      efficiencyPct: 93,
    },
  },
  {
    id: 'fan, a server part number sheet',
    kind: 'fan',
    text: `Gale 80x38 server fan
Rated voltage 12 VDC (10.8 - 12.6 V)
Rated current 1.10 A, max 1.35 A
Speed 8500 RPM ±10 %
Air flow 82.5 CFM
Static pressure 1.61 inH2O
Acoustic noise 61 dBA
4 wires (PWM, tach)
Life 70,000 h at 40 °C`,
    fields: {
      sizeMm: 80,
      thickMm: 38,
      maxRpm: 8500,
      flowM3h: 140.2,
      pressurePa: 401,
      soundDb: 61,
      pwm: true,
      maxW: 16.2,
    },
  },
  {
    id: 'accelerator, a data sheet',
    kind: 'accelerator',
    text: `Lamp 24 accelerator card
GPU memory: 24 GB GDDR6
Bus: PCIe 4.0 x16
Max power consumption: 70 W, no supplementary connector
Form factor: 2-slot, low profile, 168 x 69 mm
Thermal: active
Display outputs: 4 x mini DisplayPort`,
    fields: { gen: 4, lanes: 16, peakW: 70, height: 'low', lengthMm: 168, thickSlots: 2, displayOutput: true },
  },
  {
    id: 'processor, an auction',
    kind: 'processor',
    text: `Shire 14 server CPU, 14 core / 28 thread, 2.4 GHz, 120 W TDP, socket R3, tested pull, no cooler`,
    fields: { cores: 14, threads: 28, sustainedW: 120, socket: 'R3' },
  },
  {
    id: 'memory, a listing of a lot',
    kind: 'memory',
    text: `8x 16GB DDR4-2400T RDIMM ECC registered server RAM 2Rx4 (128GB total), used`,
    fields: { capacityBytes: 16 * GIB, type: 'ddr4', form: 'dimm', registered: true, ecc: true, mtPerS: 2400 },
  },
];
