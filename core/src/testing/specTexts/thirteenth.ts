import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Written after the twelfth was read, and committed before it was first run on them. */
export const THIRTEENTH: readonly Sample[] = [
  {
    id: 'disk, a German data sheet with a table of models',
    kind: 'drive',
    text: `Barge Archiv-Festplatte 3,5 Zoll
Kapazität: 22 TB
Schnittstelle: SATA 6 Gbit/s
Drehzahl: 7.200 U/min
Anhaltende Übertragungsrate (max.): 285 MB/s
Leistungsaufnahme Leerlauf: 5,6 W
Leistungsaufnahme Betrieb (typ.): 7,9 W
Standby/Ruhezustand: 1,1 W
Geräusch Leerlauf: 20 dBA
Geräusch Suche: 32 dBA
Höhe: 26,1 mm
Gewicht: 690 g
Betriebstemperatur: 5 bis 60 °C
Aufzeichnungsverfahren: CMR
Jährliche Ausfallrate: 0,35 %`,
    fields: {
      capacityBytes: 22e12,
      interface: 'sata',
      gbPerLane: 6,
      size: '3.5',
      medium: 'disk',
      rpm: 7200,
      sequentialMBps: 285,
      idleW: 5.6,
      busyW: 7.9,
      standbyW: 1.1,
      soundIdleDb: 20,
      soundSeekDb: 32,
      heightMm: 26.1,
      massG: 690,
      maxC: 60,
      shingled: false,
      annualFailurePct: 0.35,
    },
  },
  {
    id: 'enterprise flash, a leaflet',
    kind: 'drive',
    text: `Wels 7.68TB Data Center SSD
Form factor U.2 2.5-inch, 15 mm
Host interface: PCI Express Gen4 x4, NVMe 1.4
Seq. read up to 6,800 MB/s | Seq. write up to 4,000 MB/s
Random read 1,000K IOPS
Endurance: 1 DWPD (5 years), 14,016 TBW
Power: active 18 W max, idle 5 W
Power loss protection: yes
Operating temperature 0 - 70 C`,
    fields: {
      capacityBytes: 7.68e12,
      size: 'u.2',
      heightMm: 15,
      interface: 'nvme',
      pcieGen: 4,
      lanes: 4,
      medium: 'flash',
      sequentialMBps: 6800,
      randomIops: 1_000_000,
      enduranceTb: 14016,
      peakW: 18,
      idleW: 5,
      powerLossSafe: true,
      maxC: 70,
    },
  },
  {
    id: 'supply, a retail box with a rail table',
    kind: 'supply',
    text: `EMBER 750 ATX power supply
80 PLUS Gold certified
Fully modular
AC input 100-240 V, 10-5 A, 50/60 Hz
+3.3V 20A  +5V 20A  +12V 62.5A  -12V 0.3A  +5VSB 3A
Combined +3.3V & +5V: 100 W
Total power 750 W
Dimensions 150 x 86 x 140 mm
Net weight 1.5 kg`,
    fields: {
      form: 'atx',
      ratedW: 750,
      efficiencyClass: 'gold',
      modular: true,
      rail33A: 20,
      rail5A: 20,
      rail12A: 62.5,
      combined5And33W: 100,
      lengthMm: 140,
      massG: 1500,
    },
  },
  {
    id: 'fan, a shop’s bullet points',
    kind: 'fan',
    text: `Hush 140 PWM case fan
- Size: 140 x 140 x 25 mm
- Speed: 300-1500 RPM +/- 10%
- Airflow: 78.3 CFM
- Static pressure: 1.9 mmH2O
- Noise: 24.6 dB(A)
- Connector: 4-pin PWM
- Rated current: 0.13 A at 12 V`,
    fields: {
      sizeMm: 140,
      thickMm: 25,
      minRpm: 300,
      maxRpm: 1500,
      flowM3h: 133.03,
      pressurePa: 18.63,
      soundDb: 24.6,
      pwm: true,
      maxW: 1.56,
    },
  },
  {
    id: 'cooler, a maker’s page',
    kind: 'cooler',
    text: `Fell 65 low-profile cooler
Socket compatibility: Q4, Q5
Height with fan: 65 mm
Width: 114 mm
Depth: 92 mm
Weight with fan: 415 g
Fan: 92 x 92 x 14 mm, 600-2500 rpm
TDP: up to 105 W`,
    fields: { sockets: ['Q4', 'Q5'], heightMm: 65, widthMm: 114, depthMm: 92, massG: 415, carriesW: 105 },
  },
  {
    id: 'memory, an auction’s title and list',
    kind: 'memory',
    text: `Clew 32GB DDR4-3200 ECC RDIMM 2Rx4 server memory
Capacity 32 GB
Speed 3200 MT/s (PC4-25600)
288-pin registered DIMM
Voltage 1.2 V
Condition: used, tested`,
    fields: { capacityBytes: 32 * GIB, type: 'ddr4', mtPerS: 3200, ecc: true, registered: true, form: 'dimm' },
  },
  {
    id: 'HBA, a product brief',
    kind: 'controller',
    text: `Tern 16i tri-mode host bus adapter
Host interface: PCIe 4.0 x8
Internal connectors: 2 x SFF-8654 (x8)
Up to 240 SAS/SATA devices or 32 NVMe devices
Data rate: 12 Gb/s SAS, 6 Gb/s SATA
Power consumption: 11.2 W typical, 15 W max
Airflow: 200 LFM minimum
Operating temperature: 0 °C to 55 °C
Dimensions: 167.65 mm x 68.9 mm, low profile (MD2)`,
    fields: {
      lanes: 8,
      gen: 4,
      mostDevices: 240,
      busyW: 11.2,
      peakW: 15,
      needsAirMPerS: 1.016,
      maxC: 55,
      lengthMm: 167.65,
      height: 'low',
    },
    places: { ports: [{ count: 2, kind: 'sff-8654-8i', side: 'inside' }] },
  },
  {
    id: 'UPS, a Spanish page',
    kind: 'ups',
    text: `SAI Sump 1600 línea interactiva
Potencia: 1600 VA / 960 W
Forma de onda: senoidal pura
Salidas: 8 tomas
Batería: 2 x 12 V 9 Ah, plomo-ácido
Rendimiento: 96 %
Peso: 13,8 kg`,
    fields: {
      ratedVa: 1600,
      ratedW: 960,
      waveform: 'sine',
      outlets: 8,
      battery: 'leadAcid',
      batteryWh: 216,
      efficiencyPct: 96,
      massG: 13800,
    },
  },
  {
    id: 'rack chassis, inches and millimetres',
    kind: 'chassis',
    text: `Gable 3U storage chassis
Form factor: 3U rackmount
Dimensions (H x W x D): 5.2" x 17.2" x 25.5" (132 x 437 x 648 mm)
Weight: 41 lbs (18.6 kg)
Drive bays: 16 x 3.5" hot-swap SAS/SATA
Expansion slots: 7 full-height
Cooling: 3 x 80 mm PWM fans (middle), 2 x 80 mm rear exhaust
Motherboard: ATX, E-ATX
Rail kit: optional`,
    fields: {
      rackUnits: 3,
      style: 'rack',
      heightMm: 132,
      widthMm: 437,
      depthMm: 648,
      massG: 18600,
      slideRails: 'apart',
    },
    places: {
      hotSwap: true,
      bays35: 16,
      openings: 7,
      boards: ['atx', 'ssi-eeb'],
      fans: [
        { count: 3, sizeMm: 80, wall: 'middle' },
        { count: 2, sizeMm: 80, wall: 'rear' },
      ],
    },
  },
  {
    id: 'board, a table copied with tabs',
    kind: 'board',
    text: `Model\tKnot Q6 server board
Form Factor\tmicro-ATX, 244 x 244 mm
Socket\tQ6
Memory\t4 DIMM slots, DDR5 ECC UDIMM, max. 192 GB
PCIe\t1 x PCIe 5.0 x16 (x16 signal)\t2 x PCIe 4.0 x4
SATA\t8 x SATA 6Gb/s
M.2\t2 x M.2 2280 (PCIe 4.0 x4)
LAN\t2 x 10GbE, 1 x 1GbE dedicated IPMI
Fan headers\t6 x 4-pin`,
    fields: {
      holes: 'micro-atx',
      edgeMm: 244,
      depthMm: 244,
      socket: 'Q6',
      memorySlots: 4,
      memoryType: 'ddr5',
      memoryForm: 'dimm',
      memoryEcc: true,
      memoryMaxBytes: 192 * GIB,
      remoteManagement: true,
    },
    places: {
      networkPorts: [{ count: 2, gbPerS: 10 }],
      slots: [
        { count: 1, lanes: 16, wiredLanes: 16, gen: 5 },
        { count: 2, lanes: 4, wiredLanes: 4, gen: 4 },
      ],
      sataPorts: 8,
      m2Sockets: 2,
    },
  },
  {
    id: 'network card, French',
    kind: 'networkCard',
    text: `Carte réseau Skein 25
Ports : 2 x SFP28, 25 Gbit/s
Bus : PCI Express 3.0 x8
Consommation typique : 9,8 W
Consommation maximale : 14 W
Équerre : pleine hauteur et profil bas
Température de fonctionnement : 0 à 55 °C
Longueur : 167 mm`,
    fields: { height: 'low', lanes: 8, gen: 3, busyW: 9.8, peakW: 14, lengthMm: 167 },
    places: { networkPorts: [{ count: 2, gbPerS: 25 }] },
  },
  {
    id: 'processor, a spec list with footnotes',
    kind: 'processor',
    text: `Shire 16C server processor
# of cores 16
# of threads 32
Base TDP 155 W [1]
Default memory type DDR5 RDIMM, ECC
PCI Express lanes: 64
PCI Express revision 5.0
Socket R6
Tjmax 95°C
[1] Configurable from 120 W`,
    fields: {
      memoryTypes: ['ddr5'],
      cores: 16,
      threads: 32,
      sustainedW: 155,
      lanes: 64,
      gen: 5,
      socket: 'R6',
      maxC: 95,
      memoryEcc: true,
    },
  },
  {
    id: 'M.2 module, a packet’s back',
    kind: 'drive',
    text: `STICKLE 2TB NVMe SSD M.2 2280
PCIe Gen 4x4
Read 7,000 MB/s  Write 6,500 MB/s
TBW 1200
MTBF 1.5 million hours
Average power 5.8 W (active)
Weight 8 g`,
    fields: {
      capacityBytes: 2e12,
      interface: 'nvme',
      size: 'm2',
      lengthMm: 80,
      pcieGen: 4,
      lanes: 4,
      medium: 'flash',
      sequentialMBps: 7000,
      enduranceTb: 1200,
      busyW: 5.8,
      massG: 8,
    },
  },
  {
    id: 'supply, a redundant one in Dutch',
    kind: 'supply',
    text: `Redundante voeding 1+1, 800 W
Rendement: 80 PLUS Platinum
Ingang: 100-240 VAC
+12 V: 66 A
+5 V: 24 A, +3,3 V: 24 A (samen max. 170 W)
Afmetingen module: 73,5 x 40 x 185 mm
Gewicht: 3,1 kg`,
    fields: {
      form: 'redundant',
      ratedW: 800,
      efficiencyClass: 'platinum',
      modules: 2,
      rail12A: 66,
      rail5A: 24,
      rail33A: 24,
      combined5And33W: 170,
      massG: 3100,
      lengthMm: 185,
    },
  },
  {
    id: 'used SAS disk, a seller’s lines',
    kind: 'drive',
    text: `Sluice 10TB 7.2K SAS 12Gb/s 3.5" 4Kn HDD
Pulled from a working array, health 100 %
Power on hours 31,200
Sustained transfer 249 MB/s
Idle 5.4W, operating 8.7W
Price 95 EUR`,
    fields: {
      capacityBytes: 10e12,
      rpm: 7200,
      interface: 'sas',
      gbPerLane: 12,
      size: '3.5',
      sectors: '4Kn',
      medium: 'disk',
      sequentialMBps: 249,
      idleW: 5.4,
      busyW: 8.7,
    },
  },
  {
    id: 'tower case, a forum post',
    kind: 'chassis',
    text: `Steading T8 tower
HxWxD 450 x 210 x 465 mm, 7.4 kg
takes mini-ITX up to ATX
8 x 3.5 in the cage, 2 x 2.5 behind the tray, 1 x 5.25
GPU up to 370 mm, CPU cooler up to 165 mm, PSU up to 200 mm
fans: front 3 x 120 or 2 x 140, rear 1 x 120`,
    fields: { heightMm: 450, widthMm: 210, depthMm: 465, massG: 7400, style: 'tower' },
    places: {
      boards: ['mini-itx', 'micro-atx', 'atx'],
      bays35: 8,
      bays25: 2,
      bays525: 1,
      cardMm: 370,
      coolerMm: 165,
      supplyMm: 200,
      fans: [
        { count: 3, sizeMm: 120, wall: 'front' },
        { count: 1, sizeMm: 120, wall: 'rear' },
      ],
    },
  },
];
