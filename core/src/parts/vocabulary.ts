/**
 * The closed sets the sheets are written in. Form and connector names are those of the open
 * standards: SFF specifications (SNIA), SATA 3.x, SAS (INCITS T10), PCI-SIG CEM, ATX and SSI boards.
 */
export const PART_KINDS = [
  'chassis',
  'adapter',
  'board',
  'processor',
  'cooler',
  'memory',
  'controller',
  'expander',
  'drive',
  'supply',
  'fan',
  'networkCard',
  'accelerator',
  'carrier',
  'riser',
  'cable',
  'powerAdapter',
  'enclosure',
  'ups',
  'sundry',
] as const;
export type PartKind = (typeof PART_KINDS)[number];

export const PROTOCOLS = ['sata', 'sas', 'pcie', 'usb'] as const;
export type Protocol = (typeof PROTOCOLS)[number];

export const CONNECTOR_KINDS = [
  'sata',
  'sff-8482',
  'sff-8087',
  'sff-8643',
  'sff-8654-4i',
  'sff-8654-8i',
  'sff-8611-4i',
  'sff-8611-8i',
  'sff-8639',
  'sff-8088',
  'sff-8644',
  'esata',
  'm2',
  'usb-a',
  'usb-c',
  'usb2-header',
  'usb3-header',
] as const;
/** Plugs of eight lanes: two groups of four, each with all it needs (SFF-8654, SFF-8611). */
export const EIGHT_LANES = [
  'sff-8654-8i',
  'sff-8611-8i',
] as const satisfies readonly (typeof CONNECTOR_KINDS)[number][];
export type ConnectorKind = (typeof CONNECTOR_KINDS)[number];

export const PLUG_KINDS = [
  'sata-power',
  'peripheral',
  '6-pin-card',
  '8-pin-card',
  '24-pin',
  '8-pin-cpu',
  '4-pin-cpu',
  'dc-jack',
] as const;
export type PlugKind = (typeof PLUG_KINDS)[number];

/** Hole patterns; `own` is a maker's own, which only that maker's chassis has. */
export const BOARD_FORMS = ['mini-itx', 'micro-atx', 'atx', 'ssi-ceb', 'ssi-eeb', 'own'] as const;

/** A converter turns a brick's volts into the rails of a board, on whose main plug it sits. */
export const SUPPLY_FORMS = ['atx', 'sfx', 'sfx-l', 'tfx', 'flex-atx', 'redundant', 'brick', 'dc-converter'] as const;

/** Whether a part takes part in starting drives in turn. */
export const STAGGERS = ['yes', 'no', 'unknown'] as const;

export const DRIVE_SIZES = ['3.5', '2.5', 'u.2', 'm2', 'slot', 'usb'] as const;

export const BAY_SIZES = ['5.25', '3.5', '2.5', 'u.2'] as const;
export type BaySize = (typeof BAY_SIZES)[number];

export const EFFICIENCY_CLASSES = ['plain', 'bronze', 'silver', 'gold', 'platinum', 'titanium'] as const;

/** What a sound figure on a sheet states; reading one as another is up to 8 dB wrong (ISO 7779, ISO 9296). */
export const SOUND_MEANINGS = ['powerMean', 'powerDeclared', 'pressureOverFloor1m', 'pressureFreeField1m'] as const;
export type SoundMeaning = (typeof SOUND_MEANINGS)[number];

export const SOUND_PATHS = ['open', 'vented', 'inside', 'lined'] as const;
export type SoundPath = (typeof SOUND_PATHS)[number];

/** Sides, seen from the front. */
export const HANDS = ['left', 'right'] as const;
