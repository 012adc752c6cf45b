import type { Sample } from './sample';

/** Texts as they are copied from makers' pages, shops and data sheets; written before the reader was. */
export const FIRST: readonly Sample[] = [
  {
    id: 'disk, key and value a line',
    kind: 'drive',
    text: `Bargeyard Keel 14 TB
Capacity: 14 TB
Interface: SATA 6 Gb/s
Form factor: 3.5-inch
Spindle speed: 7200 rpm
Cache: 256 MB
Sustained transfer rate (max.): 262 MB/s
Power, idle: 5.1 W
Power, operating: 7.4 W
Standby / Sleep: 0.9 W
Start-up current (12 V): 1.9 A
Acoustics, idle: 20 dBA
Acoustics, seek: 29 dBA
Height (max): 26.1 mm
Length (max): 147.0 mm
Width (max): 101.85 mm
Weight: 690 g
Operating temperature: 5 to 60 °C
Annualized failure rate (AFR): 0.35 %
Workload: 550 TB/year
Recording: CMR
Sector size: 512e`,
    fields: {
      capacityBytes: 14e12,
      interface: 'sata',
      gbPerLane: 6,
      size: '3.5',
      rpm: 7200,
      sequentialMBps: 262,
      idleW: 5.1,
      busyW: 7.4,
      standbyW: 0.9,
      soundIdleDb: 20,
      soundSeekDb: 29,
      heightMm: 26.1,
      lengthMm: 147,
      massG: 690,
      maxC: 60,
      annualFailurePct: 0.35,
      shingled: false,
      sectors: '512e',
      medium: 'disk',
    },
  },
  {
    id: 'disk, a table with tabs and bels',
    kind: 'drive',
    text: `Specifications	Lighter 8 TB	Unit
Formatted capacity	8	TB
Interface	SAS 12 Gb/s
Rotational speed	7,200	rpm
Data transfer rate	249	MB/s
Idle (average)	6.8	W
Random read/write	9.6	W
Acoustic idle	2.8	bels
Acoustic performance seek	3.2	bels
MTBF	2,500,000	h
Ambient temperature, operating	5–55	°C
Dimensions (W × D × H)	101.6 × 147.0 × 26.1	mm
Weight (typical)	780	g`,
    fields: {
      soundMeaning: 'powerDeclared',
      capacityBytes: 8e12,
      interface: 'sas',
      gbPerLane: 12,
      rpm: 7200,
      sequentialMBps: 249,
      idleW: 6.8,
      busyW: 9.6,
      soundIdleDb: 28,
      soundSeekDb: 32,
      maxC: 55,
      lengthMm: 147,
      heightMm: 26.1,
      massG: 780,
      medium: 'disk',
    },
  },
  {
    id: 'disk, one line of a shop',
    kind: 'drive',
    text: 'Bargeyard Punt 4TB, 3.5", SATA 6Gb/s, 5400 U/min, 256 MB Cache, CMR, 180 MB/s, 24/7',
    fields: {
      capacityBytes: 4e12,
      size: '3.5',
      interface: 'sata',
      gbPerLane: 6,
      rpm: 5400,
      shingled: false,
      sequentialMBps: 180,
      medium: 'disk',
    },
  },
  {
    id: 'NVMe module, a table copied without tabs',
    kind: 'drive',
    text: `Sallowfen Rill 2 TB
Form Factor
M.2 2280
Interface
PCIe Gen 4.0 x4, NVMe 1.4
Capacity
2,000 GB
Sequential Read
Up to 7,000 MB/s
Sequential Write
Up to 6,500 MB/s
Random Read (4KB, QD32)
Up to 1,000,000 IOPS
Endurance
1,200 TBW
Power Consumption (Active)
6.5 W
Power Consumption (Idle)
55 mW
Operating Temperature
0 - 70 °C`,
    fields: {
      size: 'm2',
      interface: 'nvme',
      pcieGen: 4,
      lanes: 4,
      capacityBytes: 2e12,
      sequentialMBps: 7000,
      lengthMm: 80,
      randomIops: 1_000_000,
      enduranceTb: 1200,
      busyW: 6.5,
      idleW: 0.055,
      maxC: 70,
      medium: 'flash',
    },
  },
  {
    id: 'SATA SSD, German',
    kind: 'drive',
    text: `Modell: Sallowfen Pike 960 Pro
Kapazität: 960 GB
Bauform: 2,5 Zoll
Schnittstelle: SATA 6 Gbit/s
Bauhöhe: 7 mm
Lesen sequenziell: bis zu 560 MB/s
Schreiben sequenziell: bis zu 530 MB/s
Leistungsaufnahme Leerlauf: 1,2 W
Leistungsaufnahme Betrieb (max.): 3,6 W
TBW: 1.752 TB
Gewicht: 58 g
Betriebstemperatur: 0 °C bis 70 °C`,
    fields: {
      capacityBytes: 960e9,
      size: '2.5',
      interface: 'sata',
      gbPerLane: 6,
      heightMm: 7,
      sequentialMBps: 560,
      idleW: 1.2,
      enduranceTb: 1752,
      massG: 58,
      maxC: 70,
      medium: 'flash',
      peakW: 3.6,
    },
  },
  {
    id: 'supply, text of a sheet',
    kind: 'supply',
    text: `Kilnhook Ember 700 — 700 W ATX power supply
80 PLUS certification ........ Gold
Total power .................. 700 W
+12V ......................... 58 A
+5V .......................... 20 A
+3.3V ........................ 20 A
+5V & +3.3V combined ......... 110 W
Fully modular
Dimensions (W x H x D) 150 x 86 x 140 mm
Weight 1.6 kg`,
    fields: {
      form: 'atx',
      ratedW: 700,
      efficiencyClass: 'gold',
      rail12A: 58,
      rail5A: 20,
      rail33A: 20,
      combined5And33W: 110,
      modular: true,
      lengthMm: 140,
      massG: 1600,
    },
  },
  {
    id: 'supply, the label as a table',
    kind: 'supply',
    text: `DC output	+3.3V	+5V	+12V	-12V	+5Vsb
Max. current	15A	15A	37.5A	0.3A	2.5A
Max. power	80W	450W	3.6W	12.5W
Total	450W
SFX, 80+ Bronze
Depth: 100 mm`,
    fields: {
      form: 'sfx',
      ratedW: 450,
      efficiencyClass: 'bronze',
      rail33A: 15,
      rail5A: 15,
      rail12A: 37.5,
      combined5And33W: 80,
      lengthMm: 100,
    },
  },
  {
    id: 'fan, American units',
    kind: 'fan',
    text: `Gale 120 PWM fan
Size: 120 x 120 x 25 mm
Speed: 400 - 1800 RPM ± 10 %
Airflow: 66.2 CFM
Static Pressure: 2.75 mmH2O
Noise Level: 27.5 dB(A)
Connector: 4-pin PWM
Rated current: 0.15 A @ 12 V DC
Power: 1.8 W`,
    fields: {
      sizeMm: 120,
      thickMm: 25,
      minRpm: 400,
      maxRpm: 1800,
      flowM3h: 112.5,
      pressurePa: 26.97,
      soundDb: 27.5,
      pwm: true,
      maxW: 1.8,
    },
  },
  {
    id: 'fan, metric, current at volts',
    kind: 'fan',
    text: `Lüfter Gale 80 slim
Abmessungen (L x B x H): 80 x 80 x 15 mm
Drehzahl (max.): 2.200 U/min
Fördervolumen: 41,5 m³/h
Statischer Druck: 1,9 mm H₂O
Schalldruckpegel: 22,4 dB(A)
Stromaufnahme: 0,08 A bei 12 V
Anschluss: 3-Pin`,
    fields: {
      sizeMm: 80,
      thickMm: 15,
      maxRpm: 2200,
      flowM3h: 41.5,
      pressurePa: 18.63,
      soundDb: 22.4,
      maxW: 0.96,
      pwm: false,
    },
  },
  {
    id: 'processor',
    kind: 'processor',
    text: `Drovegate Shire 12
# of Cores: 12
# of Threads: 24
Socket: P4-1200
Processor Base Power: 65 W
Maximum Turbo Power: 180 W
Max # of PCI Express Lanes: 20
PCI Express Revision: 4.0
ECC Memory Supported: Yes
Memory Types: DDR5
Processor Graphics: Yes`,
    fields: {
      memoryTypes: ['ddr5'],
      cores: 12,
      threads: 24,
      socket: 'P4-1200',
      sustainedW: 65,
      peakW: 180,
      lanes: 20,
      gen: 4,
      memoryEcc: true,
      graphics: true,
    },
  },
  {
    id: 'cooler',
    kind: 'cooler',
    text: `Tarnside Tarn 120 tower cooler
Height (incl. fan): 154 mm
TDP: up to 180 W
Weight: 720 g`,
    fields: { heightMm: 154, carriesW: 180, massG: 720 },
  },
  {
    id: 'memory kit',
    kind: 'memory',
    text: 'Clewline 32GB (2x16GB) DDR4-3200 UDIMM ECC, CL22, 1.2 V',
    fields: { type: 'ddr4', form: 'dimm', mtPerS: 3200, capacityBytes: 16 * 1024 ** 3, ecc: true, registered: false },
  },
  {
    id: 'registered module',
    kind: 'memory',
    text: `Capacity: 32 GB
Technology: DDR5 SDRAM
Module type: 288-pin RDIMM
Speed: 4800 MT/s
Error correction: ECC`,
    fields: { type: 'ddr5', form: 'dimm', mtPerS: 4800, capacityBytes: 32 * 1024 ** 3, ecc: true, registered: true },
  },
  {
    id: 'host bus adapter',
    kind: 'controller',
    text: `Ternery Tern 8i host bus adapter
Host interface: PCI Express 3.0, x8 lanes
Internal ports: 2 × SFF-8643
Data transfer rate: 12 Gb/s per port
Devices supported: 1024
Typical power: 9.5 W
Airflow requirement: 200 LFM
Operating temperature: 0 to 55 °C
Form factor: low profile, 156 mm x 68.9 mm`,
    fields: {
      lanes: 8,
      gen: 3,
      mostDevices: 1024,
      busyW: 9.5,
      needsAirMPerS: 1.016,
      maxC: 55,
      height: 'low',
      lengthMm: 156,
    },
  },
  {
    id: 'uninterruptible supply',
    kind: 'ups',
    text: `Weirhold Sluice 1000
Output capacity: 1000 VA / 600 W
Waveform: pure sine wave
Battery: lead-acid, 2 x 12 V 7 Ah
Outlets: 6
Efficiency: 95 %`,
    fields: {
      ratedVa: 1000,
      ratedW: 600,
      waveform: 'sine',
      battery: 'leadAcid',
      batteryWh: 168,
      outlets: 6,
      efficiencyPct: 95,
    },
  },
  {
    id: 'chassis, inches and pounds',
    kind: 'chassis',
    text: `Osierworks Gable 8, 2U rackmount chassis
Dimensions (H x W x D): 3.5" x 17.2" x 25.5"
Net weight: 28.7 lb
Drive bays: 8 x 3.5" hot-swap`,
    fields: { heightMm: 88.9, widthMm: 436.88, depthMm: 647.7, massG: 13018, rackUnits: 2, style: 'rack' },
  },
  {
    id: 'board',
    kind: 'board',
    text: `Plashmill Wren C6
Form factor: Mini-ITX (17.0 cm x 17.0 cm)
CPU socket: Q5
Memory: 2 x DDR4 DIMM, max. 64 GB, ECC supported
LAN: 1 x 2.5 Gb/s
BMC: IPMI 2.0`,
    fields: {
      edgeMm: 170,
      depthMm: 170,
      holes: 'mini-itx',
      memorySlots: 2,
      memoryMaxBytes: 64 * 1024 ** 3,
      memoryForm: 'dimm',
      memoryType: 'ddr4',
      memoryEcc: true,
      socket: 'Q5',
      remoteManagement: true,
    },
  },
  {
    id: 'network card',
    kind: 'networkCard',
    text: `Skein 10G-2T network adapter
Bus: PCIe 3.0 x4
Ports: 2 × RJ45 10GBASE-T
Power consumption (typ.): 7.5 W, max 10.2 W
Bracket: full height and low profile included`,
    fields: { height: 'low', lanes: 4, gen: 3, busyW: 7.5, peakW: 10.2 },
  },
];
