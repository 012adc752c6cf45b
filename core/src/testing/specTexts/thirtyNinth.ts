import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Pages in German, French, Spanish, Italian and Dutch; committed before its first run. */
export const THIRTY_NINTH: readonly Sample[] = [
  {
    id: 'disk, Spanish',
    kind: 'drive',
    text: `Disco duro interno Barcaza 10 TB
Capacidad: 10 TB
Interfaz: SATA 6 Gb/s
Formato: 3,5 pulgadas
Velocidad de giro: 7200 rpm
Velocidad de transferencia: hasta 250 MB/s
Caché: 256 MB
Consumo en funcionamiento: 6,8 W
Consumo en reposo: 4,9 W
Nivel de ruido en reposo: 21 dB
Temperatura de funcionamiento: 0 - 60 °C
Peso: 680 g`,
    fields: {
      capacityBytes: 10e12,
      interface: 'sata',
      gbPerLane: 6,
      size: '3.5',
      medium: 'disk',
      rpm: 7200,
      sequentialMBps: 250,
      busyW: 6.8,
      idleW: 4.9,
      soundIdleDb: 21,
      maxC: 60,
      massG: 680,
    },
  },
  {
    id: 'flash, Italian',
    kind: 'drive',
    text: `SSD Canna 2 TB NVMe M.2 2280
Capacità: 2 TB
Interfaccia: PCIe 4.0 x4
Lettura sequenziale: fino a 7.000 MB/s
Scrittura sequenziale: fino a 6.300 MB/s
Resistenza (TBW): 1.200 TB
Consumo medio: 5,5 W
Consumo a riposo: 0,03 W
Garanzia: 5 anni`,
    fields: {
      capacityBytes: 2e12,
      size: 'm2',
      lengthMm: 80,
      medium: 'flash',
      interface: 'nvme',
      pcieGen: 4,
      lanes: 4,
      sequentialMBps: 7000,
      enduranceTb: 1200,
      busyW: 5.5,
      idleW: 0.03,
    },
  },
  {
    id: 'board, Dutch',
    kind: 'board',
    text: `Kievit B4 moederbord
Formaat: Micro-ATX (244 x 244 mm)
Socket: Q4
Geheugen: 4 x DIMM DDR4, max. 128 GB
Uitbreidingssleuven: 1 x PCIe 4.0 x16, 2 x PCIe 3.0 x1
SATA-poorten: 6
M.2-sleuven: 2
Netwerk: 1 x 2,5 Gb/s`,
    fields: {
      holes: 'micro-atx',
      edgeMm: 244,
      depthMm: 244,
      socket: 'Q4',
      memorySlots: 4,
      memoryForm: 'dimm',
      memoryType: 'ddr4',
      memoryMaxBytes: 128 * GIB,
    },
    places: {
      slots: [
        { count: 1, lanes: 16, wiredLanes: 16, gen: 4 },
        { count: 2, lanes: 1, wiredLanes: 1, gen: 3 },
      ],
      sataPorts: 6,
      m2Sockets: 2,
      networkPorts: [{ count: 1, gbPerS: 2.5 }],
    },
  },
  {
    id: 'chassis, Spanish rack',
    kind: 'chassis',
    text: `Caja rack 4U Granero 24
Altura: 4U (178 mm)
Anchura: 430 mm
Profundidad: 680 mm
Bahías: 24 x 3,5" hot-swap
Placas base: E-ATX, ATX
Ventiladores: 3 x 120 mm centrales, 2 x 80 mm traseros
Fuente de alimentación: redundante 2 x 800 W
Ranuras de expansión: 7
Peso: 21 kg`,
    fields: { style: 'rack', rackUnits: 4, heightMm: 178, widthMm: 430, depthMm: 680, massG: 21000 },
    places: {
      bays35: 24,
      hotSwap: true,
      boards: ['ssi-eeb', 'atx'],
      fans: [
        { count: 3, sizeMm: 120, wall: 'middle' },
        { count: 2, sizeMm: 80, wall: 'rear' },
      ],
      supplyForms: ['redundant'],
      openings: 7,
    },
  },
  {
    id: 'chassis, French tower',
    kind: 'chassis',
    text: `Boîtier moyen tour Ferme 8
Cartes mères compatibles : ATX, Micro-ATX
Emplacements 3,5" : 8
Emplacements 2,5" : 2
Emplacements 5,25" : 2
Ventilateurs inclus : 2 x 140 mm à l'avant, 1 x 140 mm à l'arrière
Longueur max. carte graphique : 340 mm
Hauteur max. ventirad : 168 mm
Dimensions (L x H x P) : 230 x 480 x 510 mm
Poids : 9,2 kg`,
    fields: { style: 'tower', widthMm: 230, heightMm: 480, depthMm: 510, massG: 9200 },
    places: {
      boards: ['atx', 'micro-atx'],
      bays35: 8,
      bays25: 2,
      bays525: 2,
      fans: [
        { count: 2, sizeMm: 140, wall: 'front' },
        { count: 1, sizeMm: 140, wall: 'rear' },
      ],
      cardMm: 340,
      coolerMm: 168,
    },
  },
  {
    id: 'supply, Italian',
    kind: 'supply',
    text: `Alimentatore Brace 550
Formato: ATX
Potenza: 550 W
Certificazione: 80 PLUS Gold
Modulare: sì
+12 V: 45 A
+5 V: 20 A
+3,3 V: 20 A
Lunghezza: 140 mm
Connettori: 1 x 24 pin, 1 x EPS 4+4 pin, 2 x PCIe 6+2 pin, 6 x SATA`,
    fields: {
      form: 'atx',
      ratedW: 550,
      efficiencyClass: 'gold',
      modular: true,
      rail12A: 45,
      rail5A: 20,
      rail33A: 20,
      lengthMm: 140,
    },
    places: { mainPlugs: 1, processorPlugs: 1, cardPlugs: 2, sataPlugs: 6 },
  },
  {
    id: 'supply, Dutch',
    kind: 'supply',
    text: `Voeding Gloed 450 SFX
Vermogen: 450 W
Formaat: SFX
Rendement: 80 PLUS Gold
Lengte: 100 mm
Aansluitingen: 6 x SATA, 2 x PCIe 6+2-pins, 1 x EPS 8-pins`,
    fields: { form: 'sfx', ratedW: 450, efficiencyClass: 'gold', lengthMm: 100 },
    places: { sataPlugs: 6, cardPlugs: 2, processorPlugs: 1 },
  },
  {
    id: 'cooler, Spanish',
    kind: 'cooler',
    text: `Disipador Peña 120 para CPU
Altura: 155 mm
Anchura: 125 mm
Profundidad: 90 mm
Zócalos compatibles: Q4, Q5
TDP máximo: 180 W
Ventilador: 120 mm PWM
Peso: 810 g`,
    fields: { heightMm: 155, widthMm: 125, depthMm: 90, sockets: ['Q4', 'Q5'], carriesW: 180, massG: 810 },
  },
  {
    id: 'fan, French',
    kind: 'fan',
    text: `Ventilateur Brise 140 PWM
Dimensions : 140 x 140 x 25 mm
Vitesse de rotation : 300 à 1500 tr/min
Débit d'air : 134 m³/h
Pression statique : 2,1 mmH2O
Niveau sonore : 24,9 dB(A)
Connecteur : 4 broches PWM
Consommation : 1,8 W`,
    fields: {
      sizeMm: 140,
      thickMm: 25,
      minRpm: 300,
      maxRpm: 1500,
      flowM3h: 134,
      pressurePa: 20.59,
      soundDb: 24.9,
      pwm: true,
      maxW: 1.8,
    },
  },
  {
    id: 'processor, German',
    kind: 'processor',
    text: `Drover 6 Prozessor (Sockel Q4)
Kerne/Threads: 6/12
TDP: 65 W
Speicher: DDR4-3200, ECC
PCIe: 4.0, 20 Lanes
Integrierte Grafik: nein`,
    fields: {
      socket: 'Q4',
      cores: 6,
      threads: 12,
      sustainedW: 65,
      memoryTypes: ['ddr4'],
      memoryEcc: true,
      gen: 4,
      lanes: 20,
      graphics: false,
    },
  },
  {
    id: 'memory, Italian',
    kind: 'memory',
    text: `Modulo di memoria Clew 32 GB
Tipo: DDR4 RDIMM
Velocità: 2933 MT/s
ECC: sì
Tensione: 1,2 V`,
    fields: { capacityBytes: 32 * GIB, type: 'ddr4', form: 'dimm', registered: true, mtPerS: 2933, ecc: true },
  },
  {
    id: 'UPS, Italian',
    kind: 'ups',
    text: `Gruppo di continuità Cisterna 1100
Potenza: 1100 VA / 660 W
Forma d'onda: sinusoidale simulata
Batteria: 12 V 9 Ah, piombo
Prese: 6
Peso: 6,2 kg`,
    fields: {
      ratedVa: 1100,
      ratedW: 660,
      waveform: 'stepped',
      batteryWh: 108,
      battery: 'leadAcid',
      outlets: 6,
      massG: 6200,
    },
  },
];
