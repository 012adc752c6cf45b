import type { VALUES } from './sheet';
import type { PartKind } from './vocabulary';

/** Kinds of quantity, by which a value's range is told where a sheet does not (`tolerances.ts`). */
export type QuantityKind = 'exact' | 'length' | 'physical' | 'sound' | 'mass' | 'price';

/** What a sheet field is called, its unit, how far its values may be off, and what its choices are called. */
export type FieldWords = {
  readonly label: string;
  readonly unit: string;
  readonly quantity: QuantityKind | null;
  readonly choices?: Readonly<Record<string, string>>;
};

/** Every field a sheet of any kind has. */
export type FieldName = { [K in PartKind]: Extract<keyof (typeof VALUES)[K]['shape'], string> }[PartKind];
/** Fields inside lists of a sheet, and of every sheet, that figures read as facts. */
type InnerField = 'spinUp.a12' | 'spinUp.a5' | 'spinUp.a33' | 'spinUpW' | 'backplaneW' | 'price';
/** What a figure may rest on. */
export type FactField = FieldName | InnerField;

const plain = (label: string): FieldWords => ({ label, unit: '', quantity: null });
const choice = (label: string, choices: Readonly<Record<string, string>>): FieldWords => ({
  ...plain(label),
  choices,
});
const number = (label: string, unit: string, quantity: QuantityKind | null): FieldWords => ({ label, unit, quantity });
const mm = (label: string) => number(label, 'mm', 'length');
const watts = (label: string) => number(label, 'W', 'physical');
const amperes = (label: string) => number(label, 'A', 'physical');
/** What a maker gives its word for: no more, no less. */
const rated = (label: string, unit: string) => number(label, unit, 'exact');
const decibels = (label: string) => number(label, 'dB(A)', 'sound');
const bytes = (label: string) => number(label, 'B', 'exact');

const SIZES = { '5.25': '5.25-inch', '3.5': '3.5-inch', '2.5': '2.5-inch', 'u.2': 'U.2', m2: 'M.2', slot: 'card' };
const MEMORY = { ddr3: 'DDR3', ddr4: 'DDR4', ddr5: 'DDR5' };
const MODULES = { dimm: 'DIMM', 'so-dimm': 'SO-DIMM' };
const PLUGS = {
  'sata-power': 'SATA power',
  peripheral: '4-pin peripheral',
  '6-pin-card': '6-pin card',
  '8-pin-card': '8-pin card',
  '24-pin': '24-pin',
  '8-pin-cpu': '8-pin processor',
  '4-pin-cpu': '4-pin processor',
  'dc-jack': 'DC jack',
};

/**
 * Label, unit, tolerance and words of every field, said here once: a field of a schema that is missing does not
 * compile, nor does one that no schema has.
 */
export const FIELD_WORDS: { readonly [N in FactField]: FieldWords } = {
  // Shape and place
  style: choice('style', {
    tower: 'tower',
    cube: 'cube',
    rack: 'rack',
    openFrame: 'open frame',
    external: 'external box',
  }),
  rackUnits: number('rack units', 'U', null),
  widthMm: mm('width'),
  heightMm: mm('height'),
  depthMm: mm('depth'),
  lengthMm: mm('length'),
  handlesMm: mm('handles'),
  edgeMm: mm('along the rear edge'),
  thickMm: mm('thickness'),
  sizeMm: mm('size'),
  baseMm: mm('width of the base'),
  spreaderMm: mm('width of the heat spreader'),
  hotZoneMm: mm('width of what gets hot under it'),
  plugEndMm: mm('plug at its end'),
  maxTotalMm: mm('longest cable in all'),
  maxBoardEdgeMm: mm('longest rear edge of a board'),
  maxBoardDepthMm: mm('deepest board'),
  massG: number('weight, empty', 'g', 'mass'),
  thickSlots: number('thickness', 'slots', null),
  height: choice('card height', { full: 'full', low: 'low-profile' }),
  brackets: plain('brackets'),
  boardHoles: plain('boards it takes'),
  boardPose: choice('board lies', { flat: 'flat', standing: 'standing' }),
  boardAt: plain('where the board is'),
  bayGroups: plain('bays'),
  supplyBays: plain('supply bays'),
  openings: plain('slot openings'),
  fanMounts: plain('places for fans'),
  clearances: plain('room for parts'),
  frontUsb: plain('USB in front'),
  slideRails: choice('slide rails', { included: 'included', apart: 'sold apart', none: 'none' }),
  rackKit: choice('rack kit', { included: 'included', apart: 'sold apart' }),
  options: plain('options'),
  sitsIn: choice('sits in', SIZES),
  span: number('bays it takes', '', null),
  holes: choice('hole pattern', {
    'mini-itx': 'Mini-ITX',
    'micro-atx': 'Micro-ATX',
    atx: 'ATX',
    'ssi-ceb': 'SSI-CEB',
    'ssi-eeb': 'SSI-EEB',
    own: 'its own',
    A: 'set A',
    B: 'set B',
    '2.5': '2.5-inch',
  }),
  // Air and sound
  resistancePaPerM3h2: number('flow resistance', 'Pa/(m³/h)²', null),
  bypassShare: number('air past the drives, share', '', null),
  drivePath: choice('sound path of the drives', {
    open: 'open',
    vented: 'behind vents',
    inside: 'inside',
    lined: 'lined panels',
  }),
  panelDb: decibels('panels take away'),
  soundIdleDb: decibels('sound, idle'),
  soundSeekDb: decibels('sound, seeking'),
  soundDb: decibels('sound at full speed'),
  soundFloorDb: decibels('sound at lowest speed'),
  soundMeaning: choice('what the sound figure is', {
    powerMean: 'sound power, mean of a sample',
    powerDeclared: 'sound power, declared',
    pressureOverFloor1m: 'pressure at 1 m over a floor',
    pressureFreeField1m: 'pressure at 1 m in free field',
  }),
  sound: number('sound by load', 'dB(A)', 'sound'),
  minRpm: rated('lowest speed', 'rpm'),
  maxRpm: rated('highest speed', 'rpm'),
  rpm: rated('speed', 'rpm'),
  curve: plain('speed by duty'),
  startDuty: number('starts at duty', '', null),
  flowM3h: number('air flow', 'm³/h', 'physical'),
  pressurePa: number('pressure', 'Pa', 'physical'),
  pwm: plain('PWM'),
  needsAirMPerS: rated('needs air', 'm/s'),
  passive: plain('no fan of its own'),
  kPerW: number('thermal resistance', 'K/W', 'physical'),
  maxC: rated('hottest', '°C'),
  // Board, processor, memory
  socket: plain('socket'),
  sockets: plain('sockets'),
  socketAt: plain('where the socket is'),
  memoryAt: plain('where the memory is'),
  memoryForm: choice('memory form', MODULES),
  memoryType: choice('memory type', MEMORY),
  memoryTypes: plain('memory types'),
  memorySlots: plain('memory slots'),
  memoryMaxModuleBytes: bytes('largest memory module'),
  memoryMaxBytes: bytes('most memory'),
  memoryMtPerS: number('fastest memory', 'MT/s', null),
  mtPerS: number('memory speed', 'MT/s', null),
  memoryRegistered: choice('registered memory', { never: 'never', may: 'may be', must: 'must be' }),
  memoryEcc: plain('memory with ECC'),
  memoryFillOrder: plain('order of memory slots'),
  connectors: plain('connectors'),
  addedChips: plain('ports on an added chip'),
  m2Sockets: plain('M.2 sockets'),
  slots: plain('slots'),
  rules: plain('what switches what off'),
  modes: plain('modes'),
  uplinkLanes: plain('lanes of the chipset uplink'),
  uplinkGen: plain('generation of the chipset uplink'),
  networkPorts: plain('network ports'),
  remoteManagement: plain('remote management'),
  fanHeaders: plain('fan headers'),
  usbInside: plain('USB inside'),
  displayOutput: plain('display output'),
  processors: plain('processor generations'),
  generation: plain('generation'),
  cores: plain('cores'),
  threads: plain('threads'),
  lanes: plain('PCIe lanes'),
  gen: plain('PCIe generation'),
  pcieGen: plain('PCIe generation'),
  graphics: plain('graphics'),
  ecc: plain('ECC'),
  registered: plain('registered'),
  form: choice('form', {
    ...MODULES,
    atx: 'ATX',
    sfx: 'SFX',
    'sfx-l': 'SFX-L',
    tfx: 'TFX',
    'flex-atx': 'Flex-ATX',
    redundant: 'redundant',
    brick: 'brick',
  }),
  type: choice('type', MEMORY),
  // Cards and boxes
  bus: choice('bus', { pcie: 'PCIe', pci: 'PCI', m2: 'M.2' }),
  edgeLanes: plain('lanes of its edge'),
  hand: choice('cards lie to the', { left: 'left', right: 'right' }),
  mostDevices: plain('most drives'),
  largestDriveBytes: bytes('largest drive it sees'),
  pcieBy: choice('shares its slot by', { retimer: 'retimer', switch: 'switch', triMode: 'tri-mode' }),
  passThrough: plain('passes drives through'),
  raid: choice('RAID', { none: 'none', switchable: 'can be switched off', fixed: 'always' }),
  portMultiplier: plain('drives port multipliers'),
  cacheProtected: plain('write cache protected'),
  throughputMBps: rated('chip carries', 'MB/s'),
  poweredBy: choice('powered by', { slot: 'its slot', plug: 'a plug', either: 'slot or plug' }),
  edgeBuffering: plain('gathers what slower drives send'),
  staggersStart: choice('starts drives in turn', { yes: 'yes', no: 'no', unknown: 'not known' }),
  link: choice('link', { usb: 'USB', sas: 'SAS', esata: 'eSATA' }),
  gbPerS: rated('rate', 'Gb/s'),
  gbPerLane: number('rate of a lane', 'Gb/s', null),
  realMBps: rated('really carries', 'MB/s'),
  seenAs: choice('shows its drives', { each: 'one by one', one: 'as one' }),
  weakBridge: plain('bridge known to drop out'),
  recovers: plain('comes back after losing power alone'),
  // Drives
  medium: choice('medium', { disk: 'disk', flash: 'flash' }),
  size: choice('size', { ...SIZES, usb: 'USB stick' }),
  interface: choice('interface', { sata: 'SATA', sas: 'SAS', nvme: 'NVMe', usb: 'USB' }),
  capacityBytes: bytes('capacity'),
  shingled: plain('shingled'),
  sectors: choice('sectors', { '520': '520 bytes', '512n': '512n', '512e': '512e', '4Kn': '4Kn' }),
  spinUp: amperes('start'),
  'spinUp.a12': amperes('start on 12 V'),
  'spinUp.a5': amperes('start on 5 V'),
  'spinUp.a33': amperes('start on 3.3 V'),
  readyS: rated('ready after', 's'),
  sequentialMBps: rated('in a row', 'MB/s'),
  randomIops: number('at random', 'operations/s', null),
  ratedBays: plain('made for boxes of up to so many drives'),
  annualFailurePct: rated('fail in a year', '%'),
  unreadablePerBit: plain('unreadable bits, share'),
  enduranceTb: number('endurance', 'TB', null),
  obeysPin3: plain('obeys the power-disable pin'),
  powerLossSafe: plain('safe when power is lost'),
  actuators: plain('actuators'),
  // Power
  idleW: watts('idle'),
  busyW: watts('busy'),
  peakW: watts('peak'),
  sustainedW: watts('sustained'),
  standbyW: watts('standby'),
  maxW: watts('at full speed'),
  noLoadLossW: watts('loss without load'),
  spinUpW: watts('start'),
  backplaneW: watts('backplane'),
  carriesW: rated('carries', 'W'),
  ratedW: rated('rated', 'W'),
  ratedVa: rated('rated', 'VA'),
  ratedA: rated('rated', 'A'),
  rail12A: rated('12 V rail', 'A'),
  rail5A: rated('5 V rail', 'A'),
  rail33A: rated('3.3 V rail', 'A'),
  combined5And33W: rated('5 V and 3.3 V together', 'W'),
  idle12A: amperes('idle on 12 V'),
  idle5A: amperes('idle on 5 V'),
  busy12A: amperes('busy on 12 V'),
  busy5A: amperes('busy on 5 V'),
  share12: plain('share on 12 V'),
  share5: plain('share on 5 V'),
  efficiencyClass: choice('efficiency class', {
    plain: 'plain',
    bronze: 'bronze',
    silver: 'silver',
    gold: 'gold',
    platinum: 'platinum',
    titanium: 'titanium',
  }),
  efficiency: plain('efficiency by load'),
  efficiencyPct: rated('efficiency', '%'),
  modules: plain('modules'),
  modular: plain('cables come off'),
  cables: plain('cables'),
  fanStopsBelowLoad: plain('fan stops below so much of its load'),
  powerFactorFull: plain('power factor at full load'),
  powerFactorLow: plain('power factor at low load'),
  outV: number('gives at its plug', 'V', null),
  dcMinV: number('takes at least', 'V', null),
  dcMaxV: number('takes at most', 'V', null),
  dcPlug: plain('direct-current plug'),
  powerInputs: plain('plugs it takes'),
  powerOutputs: plain('plugs it gives'),
  takes: choice('takes', PLUGS),
  gives: plain('gives'),
  batteryWh: number('battery', 'Wh', null),
  battery: choice('battery', { leadAcid: 'lead-acid', lithiumIron: 'lithium iron phosphate' }),
  outlets: plain('outlets'),
  // Cables and small parts
  ends: plain('ends'),
  carries: plain('carries'),
  use: choice('use', {
    coinCell: 'coin cell',
    paste: 'thermal paste',
    ioShield: 'I/O shield',
    screws: 'screws',
    damper: 'damper',
    slideRails: 'slide rails',
    rackKit: 'rack kit',
    brickTray: 'tray for a brick',
    supplyPlate: 'plate for a supply',
    caddy: 'caddy',
    headerAdapter: 'header adapter',
    fanSplitter: 'fan splitter',
    mainsLead: 'mains cable',
    usbAngle: 'USB angle adapter',
    plugAngle: 'angled plug adapter',
    bootCard: 'memory card',
    bracket: 'bracket',
    label: 'labels',
    other: 'other',
  }),
  packOf: number('in a pack', '', null),
  price: number('price', '', 'price'),
};

/** What a choice of a field is called; a value without words of its own is said as it is. */
export const choiceWords = (name: FieldName, value: string | number): string =>
  FIELD_WORDS[name].choices?.[value] ?? String(value);
