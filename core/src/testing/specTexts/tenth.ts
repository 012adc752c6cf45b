import type { Sample } from './sample';

const GIB = 1024 ** 3;

/** Texts of parts with places in them: ports, slots, bays, plugs. Written before anything read places. */
export const TENTH: readonly Sample[] = [
  {
    id: 'board, a maker’s table of ports',
    kind: 'board',
    text: `Plover A9 motherboard
Form Factor	ATX (305mm x 244mm)
CPU	Socket Q4, up to 105W TDP
Memory	4 x DDR4 DIMM, max. 128GB, ECC supported
Expansion Slots	1 x PCIe 4.0 x16
	1 x PCIe 3.0 x16 (x4 mode)
	2 x PCIe 3.0 x1
Storage	2 x M.2 (Key M)
	8 x SATA 6Gb/s ports
LAN	1 x 2.5 Gigabit`,
    fields: {
      edgeMm: 305,
      depthMm: 244,
      holes: 'atx',
      socket: 'Q4',
      carriesW: 105,
      memorySlots: 4,
      memoryType: 'ddr4',
      memoryForm: 'dimm',
      memoryMaxBytes: 128 * GIB,
      memoryEcc: true,
    },
    places: {
      networkPorts: [{ count: 1, gbPerS: 2.5 }],
      sataPorts: 8,
      m2Sockets: 2,
      slots: [
        { count: 1, lanes: 16, wiredLanes: 16, gen: 4 },
        { count: 1, lanes: 16, wiredLanes: 4, gen: 3 },
        { count: 2, lanes: 1, wiredLanes: 1, gen: 3 },
      ],
    },
  },
  {
    id: 'server board, labels with counts behind',
    kind: 'board',
    text: `Gannet F4 server motherboard
Form factor: Micro-ATX
Socket: Q8
DIMM slots: 4
Memory type: DDR4 registered ECC
SATA ports: 10 (6 Gb/s)
M.2 slots: 1
PCIe slots: 3 x PCIe 3.0 x8
Remote management: IPMI with dedicated LAN`,
    fields: {
      memoryRegistered: 'must',
      holes: 'micro-atx',
      socket: 'Q8',
      memorySlots: 4,
      memoryType: 'ddr4',
      memoryForm: 'dimm',
      memoryEcc: true,
      remoteManagement: true,
    },
    places: { sataPorts: 10, m2Sockets: 1, slots: [{ count: 3, lanes: 8, wiredLanes: 8, gen: 3 }] },
  },
  {
    id: 'small board, German',
    kind: 'board',
    text: `Mainboard Sprig N6, Mini-ITX
Speicher: 2x SO-DIMM DDR5, max. 64 GB
SATA: 4x 6 Gbit/s
M.2: 2x
Erweiterungssteckplätze: 1x PCIe 3.0 x4`,
    fields: { holes: 'mini-itx', memorySlots: 2, memoryType: 'ddr5', memoryForm: 'so-dimm', memoryMaxBytes: 64 * GIB },
    places: { sataPorts: 4, m2Sockets: 2, slots: [{ count: 1, lanes: 4, wiredLanes: 4, gen: 3 }] },
  },
  {
    id: 'tower case with room for parts',
    kind: 'chassis',
    text: `Steading T10 tower case
Motherboard support: ATX, Micro-ATX, Mini-ITX
Drive bays: 10x 3.5", 2x 2.5"
Expansion slots: 7
CPU cooler height: max. 165 mm
GPU length: max. 330 mm
PSU length: max. 200 mm
Fans: 3x 120 mm front, 1x 120 mm rear
Dimensions (W x H x D): 230 x 480 x 500 mm
Weight: 8.2 kg`,
    fields: { style: 'tower', widthMm: 230, heightMm: 480, depthMm: 500, massG: 8200 },
    places: {
      boards: ['atx', 'micro-atx', 'mini-itx'],
      bays35: 10,
      bays25: 2,
      openings: 7,
      coolerMm: 165,
      cardMm: 330,
      supplyMm: 200,
      fans: [
        { count: 3, sizeMm: 120, wall: 'front' },
        { count: 1, sizeMm: 120, wall: 'rear' },
      ],
    },
  },
  {
    id: 'rack with hot-swap bays',
    kind: 'chassis',
    text: `Gable 16 3U rackmount server chassis
Hot-swap drive bays	16 x 3.5" SAS/SATA
Internal drive bays	2 x 2.5"
Cooling fans	3 x 80mm middle
Full-height expansion slots	7
Motherboard	SSI-EEB, SSI-CEB, ATX
Dimensions	W 437 x H 132 x D 648 mm`,
    fields: { style: 'rack', rackUnits: 3, widthMm: 437, heightMm: 132, depthMm: 648 },
    places: {
      hotSwap: true,
      bays35: 16,
      bays25: 2,
      openings: 7,
      fans: [{ count: 3, sizeMm: 80, wall: 'middle' }],
      boards: ['ssi-eeb', 'ssi-ceb', 'atx'],
    },
  },
  {
    id: 'cube, one line of a shop',
    kind: 'chassis',
    text: `Larder 6 NAS case, Mini-ITX, 6x 3.5" hot-swap, SFX, CPU cooler up to 70 mm, 1 expansion slot`,
    fields: {},
    places: { hotSwap: true, boards: ['mini-itx'], bays35: 6, coolerMm: 70, openings: 1 },
  },
  {
    id: 'supply with its plugs',
    kind: 'supply',
    text: `Ember 700 ATX power supply
Total power	700 W
Efficiency	80 PLUS Gold
Connectors
24-pin ATX	1
EPS 8-pin	2
PCIe 6+2-pin	4
SATA	10
Peripheral	3
Length	150 mm`,
    fields: { form: 'atx', ratedW: 700, efficiencyClass: 'gold', lengthMm: 150 },
    places: { mainPlugs: 1, processorPlugs: 2, cardPlugs: 4, sataPlugs: 10, peripheralPlugs: 3 },
  },
  {
    id: 'supply, plugs in a line',
    kind: 'supply',
    text:
      `Ember 450 SFX 450W 80 PLUS Bronze. Cables: 1x ATX 24-pin, 1x EPS 4+4-pin, ` +
      `2x PCIe 6+2-pin, 6x SATA, 2x peripheral`,
    fields: { form: 'sfx', ratedW: 450, efficiencyClass: 'bronze' },
    places: { mainPlugs: 1, processorPlugs: 1, cardPlugs: 2, sataPlugs: 6, peripheralPlugs: 2 },
  },
  {
    id: 'HBA with its ports',
    kind: 'controller',
    text: `Tern 16i host bus adapter
Host interface: PCIe 3.1 x8
Ports: 4 x internal SFF-8643 mini-SAS HD
Data rate: 12 Gb/s
Typical power: 13.5 W`,
    fields: { lanes: 8, gen: 3, busyW: 13.5 },
    places: { ports: [{ count: 4, kind: 'sff-8643', side: 'inside' }] },
  },
  {
    id: 'HBA, inside and outside',
    kind: 'controller',
    text: `Tern 4i4e SAS HBA
Interface	PCI Express 3.0 x8
Internal connectors	1 x SFF-8643
External connectors	1 x SFF-8644`,
    fields: { lanes: 8, gen: 3 },
    places: {
      ports: [
        { count: 1, kind: 'sff-8643', side: 'inside' },
        { count: 1, kind: 'sff-8644', side: 'outside' },
      ],
    },
  },
];
