/** Millimetres from the chassis' front-left-bottom outside corner: x right, y up, z back. */
export type Point = { readonly xMm: number; readonly yMm: number; readonly zMm: number };

/** Width along x, height along y, depth along z. */
export type Size = { readonly widthMm: number; readonly heightMm: number; readonly depthMm: number };

/** Rack and card dimensions: IEC 60297 / EIA-310, PCI-SIG CEM, SFF-8301, SFF-8201. */
export const SLOT_PITCH_MM = 20.32;
export const FULL_HEIGHT_CARD_MM = 111.15;
export const LOW_PROFILE_CARD_MM = 68.9;
export const DRIVE_BODY_MM = {
  '5.25': { widthMm: 146, heightMm: 41.3, depthMm: 170 },
  '3.5': { widthMm: 101.6, heightMm: 26.1, depthMm: 147 },
  '2.5': { widthMm: 69.85, heightMm: 15, depthMm: 100.4 },
  'u.2': { widthMm: 69.85, heightMm: 15, depthMm: 100.4 },
} as const satisfies Record<string, Size>;
export const M2_WIDTH_MM = 22;

/** Body of a supply by form (ATX12V, SFX12V and TFX12V design guides); the length is the sheet's own. */
export const SUPPLY_BODY_MM = {
  atx: { widthMm: 150, heightMm: 86, depthMm: 140 },
  sfx: { widthMm: 125, heightMm: 63.5, depthMm: 100 },
  'sfx-l': { widthMm: 125, heightMm: 63.5, depthMm: 130 },
  tfx: { widthMm: 85, heightMm: 65, depthMm: 175 },
  'flex-atx': { widthMm: 81.5, heightMm: 40.5, depthMm: 150 },
  redundant: { widthMm: 73.5, heightMm: 40, depthMm: 185 },
  brick: { widthMm: 70, heightMm: 40, depthMm: 150 },
  'dc-converter': { widthMm: 60, heightMm: 40, depthMm: 20 },
} as const satisfies Record<string, Size>;
