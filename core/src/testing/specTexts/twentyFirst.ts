import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Shops of several languages, data files, headings with bullets; committed before its first run. */
export const TWENTY_FIRST: readonly Sample[] = [
  {
    id: 'disk, a German shop',
    kind: 'drive',
    text: `Lighter 12 TB interne Festplatte
Bauform: 3,5 Zoll
Schnittstelle: SATA 6 Gbit/s
Drehzahl: 7.200 U/min
Cache: 256 MB
Datenrate: bis zu 250 MB/s
Leistungsaufnahme Betrieb: 7,4 W
Leistungsaufnahme Leerlauf: 5,1 W
Geräuschpegel Leerlauf: 22 dB(A)
Gewicht: 690 g`,
    fields: {
      capacityBytes: 12e12,
      size: '3.5',
      interface: 'sata',
      gbPerLane: 6,
      rpm: 7200,
      medium: 'disk',
      sequentialMBps: 250,
      busyW: 7.4,
      idleW: 5.1,
      soundIdleDb: 22,
      massG: 690,
    },
  },
  {
    id: 'flash, a data file',
    kind: 'drive',
    text: `{
  "name": "Reed 1 TB",
  "type": "NVMe SSD",
  "form_factor": "M.2 2280",
  "interface": "PCIe 3.0 x4",
  "capacity": "1 TB",
  "read_speed": "3400 MB/s",
  "tbw": "600 TB",
  "power_active": "5.5 W",
  "power_idle": "0.03 W"
}`,
    fields: {
      size: 'm2',
      lengthMm: 80,
      interface: 'nvme',
      pcieGen: 3,
      lanes: 4,
      medium: 'flash',
      capacityBytes: 1e12,
      sequentialMBps: 3400,
      enduranceTb: 600,
      busyW: 5.5,
      idleW: 0.03,
    },
  },
  {
    id: 'chassis, headings with bullets',
    kind: 'chassis',
    text: `Byre 8 NAS case

Drive support
• 8 x 3.5" hot-swap bays
• 1 x 2.5" internal bay

Motherboard
• Mini-ITX

Power supply
• SFX, up to 130 mm

Cooling
• 2 x 120 mm rear fans included

Clearance
• CPU cooler: 70 mm

Dimensions
• 300 x 220 x 350 mm (W x H x D)

Weight
• 5.6 kg`,
    fields: { widthMm: 300, heightMm: 220, depthMm: 350, massG: 5600 },
    places: {
      hotSwap: true,
      supplyForms: ['sfx'],
      bays35: 8,
      bays25: 1,
      boards: ['mini-itx'],
      fans: [{ count: 2, sizeMm: 120, wall: 'rear' }],
      coolerMm: 70,
      supplyMm: 130,
    },
  },
  {
    id: 'supply, a French shop',
    kind: 'supply',
    text: `Braise 500 alimentation ATX
Puissance : 500 W
Certification : 80 PLUS Bronze
Ventilateur : 120 mm
Rail +12V : 41 A
Rail +5V : 18 A
Rail +3,3V : 18 A
Dimensions : 150 x 86 x 140 mm
Poids : 1,6 kg`,
    fields: {
      form: 'atx',
      ratedW: 500,
      efficiencyClass: 'bronze',
      rail12A: 41,
      rail5A: 18,
      rail33A: 18,
      lengthMm: 140,
      massG: 1600,
    },
  },
  {
    id: 'board, a table with strokes',
    kind: 'board',
    text: `Wren E4 – specifications
CPU – Socket Q5, max. 65 W
Memory – 2 x DDR5 SO-DIMM, max. 64 GB
Storage – 6 x SATA 6 Gb/s, 2 x M.2 (PCIe 4.0 x4)
Expansion – 1 x PCIe 4.0 x16
Network – 2 x 2.5 Gb/s, 1 x 10 Gb/s
Form factor – Mini-ITX 170 x 170 mm
Power – 24-pin ATX, 8-pin EPS`,
    fields: {
      socket: 'Q5',
      carriesW: 65,
      memorySlots: 2,
      memoryType: 'ddr5',
      memoryForm: 'so-dimm',
      memoryMaxBytes: 64 * GIB,
      holes: 'mini-itx',
      edgeMm: 170,
      depthMm: 170,
    },
    places: {
      sataPorts: 6,
      m2Sockets: 2,
      slots: [{ count: 1, lanes: 16, wiredLanes: 16, gen: 4 }],
      networkPorts: [
        { count: 2, gbPerS: 2.5 },
        { count: 1, gbPerS: 10 },
      ],
    },
  },
  {
    id: 'fan, a German shop',
    kind: 'fan',
    text: `Hush 120 Gehäuselüfter
Abmessungen: 120 x 120 x 25 mm
Drehzahl: 300–1.200 U/min
Fördervolumen: 78 m³/h
Statischer Druck: 1,0 mmH2O
Geräuschentwicklung: 16,3 dB(A)
Anschluss: 4-Pin PWM
Leistungsaufnahme: 0,9 W`,
    fields: {
      sizeMm: 120,
      thickMm: 25,
      minRpm: 300,
      maxRpm: 1200,
      flowM3h: 78,
      pressurePa: 9.81,
      soundDb: 16.3,
      pwm: true,
      maxW: 0.9,
    },
  },
  {
    id: 'cooler, a German shop',
    kind: 'cooler',
    text: `Fell 95 Prozessorkühler
Sockel: Q4, Q5
Höhe: 95 mm
Breite: 110 mm
Tiefe: 105 mm
TDP: bis 120 W
Gewicht: 520 g`,
    fields: { sockets: ['Q4', 'Q5'], heightMm: 95, widthMm: 110, depthMm: 105, carriesW: 120, massG: 520 },
  },
  {
    id: 'carrier, a data sheet',
    kind: 'carrier',
    text: `Dual M.2 NVMe carrier card
Host interface: PCIe 4.0 x8
Sockets: 2 x M.2 (M key, 2242/2260/2280)
Bifurcation x4x4 required
Dimensions: 120 x 69 mm
Bracket: low profile`,
    fields: { height: 'low', gen: 4, lanes: 8, lengthMm: 120 },
    places: { m2Sockets: 2 },
  },
  {
    id: 'riser, a server’s',
    kind: 'riser',
    text: `1U riser card, PCIe x16 to 1 x PCIe x16 slot
For left side of the chassis
PCIe 3.0`,
    fields: { edgeLanes: 16 },
  },
  {
    id: 'UPS, a Spanish shop',
    kind: 'ups',
    text: `Cisterna 850 SAI
Potencia: 850 VA / 480 W
Forma de onda: senoidal simulada
Tomas: 6
Batería: 12 V 9 Ah plomo
Peso: 6,2 kg`,
    fields: {
      ratedVa: 850,
      ratedW: 480,
      waveform: 'stepped',
      outlets: 6,
      batteryWh: 108,
      battery: 'leadAcid',
      massG: 6200,
    },
  },
];
