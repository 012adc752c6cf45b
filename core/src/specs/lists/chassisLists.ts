import { bayGroupSize } from '../../parts/checkSheet';
import type { BayGroup } from '../../parts/chassisValues';
import { reshape } from '../../parts/reshape';
import { resolve, type PartOf } from '../../parts/resolve';
import type { Archetype, Sheet } from '../../parts/sheet';
import { lanesOf, type Lists, type Made, type Row, type Said, type SaidPlug } from './builder';
import type { Place } from './places';
import type { SaidUsb } from './ports';

/** The lists of a chassis: bays, boards, openings, supplies and fans as a text counts them. */
export function chassis(archetype: Archetype, said: Said, values: Lists, places: readonly Place[]): Made {
  const sheet = { id: 'own-read', kind: 'chassis', rev: 1, name: 'read', archetype: archetype.id, ...values };
  const base = resolve(sheet as unknown as Sheet, archetype) as PartOf<'chassis'>;
  const taken: string[] = [];
  const { grids: bays, added, taken: counted } = baysSaid(base, said, places);
  taken.push(...counted);
  const rooms = Object.fromEntries(
    (['coolerMm', 'cardMm', 'supplyMm'] as const).flatMap((field) => {
      if (!said.has(field)) return [];
      taken.push(field);
      return [[field, said.get(field)]];
    }),
  );
  const draft = { ...rooms, ...(Object.keys(bays).length > 0 ? { bays } : {}) };
  const lists: Record<string, unknown> = Object.keys(draft).length > 0 ? { ...reshape(base, draft) } : {};
  if (added.length > 0) lists.bayGroups = [...((lists.bayGroups ?? base.bayGroups) as readonly BayGroup[]), ...added];
  const boards = said.get('boards');
  if (boards) {
    lists.boardHoles = boards;
    taken.push('boards');
  }
  const [opening, ...others] = base.openings;
  if (said.has('openings') && opening) {
    lists.openings = [{ ...opening, count: said.get('openings') }, ...others];
    taken.push('openings');
  }
  const forms = said.get('supplyForms') as readonly string[] | undefined;
  const supplyBays = (lists.supplyBays ?? base.supplyBays) as PartOf<'chassis'>['supplyBays'];
  if (forms && supplyBays[0]) {
    lists.supplyBays = supplyBays.map((bay, i) => (i === 0 ? takingForms(bay, forms, said.has('supplyMm')) : bay));
    taken.push('supplyForms');
  }
  const feeds = said.get('backplane') as readonly SaidPlug[] | undefined;
  const drawers = (lists.bayGroups ?? base.bayGroups) as PartOf<'chassis'>['bayGroups'];
  const behind = drawers.find(({ backplane }) => backplane && backplane.type !== 'bridge');
  if (feeds && behind) {
    lists.bayGroups = drawers.map((group) => (group === behind ? fedBy(group, feeds) : group));
    taken.push('backplane');
  }
  if (said.has('hotSwap') && drawers.some(({ access }) => access === 'hotSwap')) taken.push('hotSwap');
  const usb = said.get('usbLink') as SaidUsb | undefined;
  const groups = (lists.bayGroups ?? base.bayGroups) as PartOf<'chassis'>['bayGroups'];
  if (usb && groups.some(({ backplane }) => backplane?.type === 'bridge')) {
    lists.bayGroups = groups.map((group) => withLink(group, usb));
    taken.push('usbLink');
  }
  const fans = said.get('fans') as readonly { count: number; sizeMm: number; wall: string }[] | undefined;
  if (fans) {
    lists.fanMounts = mountsOf(base.fanMounts as readonly unknown[] as readonly Row[], fans);
    taken.push('fans');
  }
  return { lists, taken };
}

/** Room for supplies of a form where none was said: what its design guide and usual chassis give, mm. */
const ROOM_MM: Readonly<Record<string, number>> = { sfx: 130, 'sfx-l': 130, tfx: 175, 'flex-atx': 160, redundant: 220 };
type SupplyBay = PartOf<'chassis'>['supplyBays'][number];
function takingForms(bay: SupplyBay, forms: readonly string[], hasRoom: boolean): Row {
  const isOther = !forms.some((form) => (bay.forms as readonly string[]).includes(form));
  const maxLengthMm = isOther && !hasRoom ? (ROOM_MM[forms[0]!] ?? 180) : bay.maxLengthMm;
  return { ...bay, forms, maxLengthMm };
}

/** A group of bays whose backplane hangs on the plugs that were said; fewer lanes than bays are an expander's. */
function fedBy(group: PartOf<'chassis'>['bayGroups'][number], feeds: readonly SaidPlug[]) {
  const { backplane } = group;
  const like = backplane?.connectors[0];
  if (!backplane || !like) return group;
  const bays = group.rows * group.columns;
  const plugs = feeds.reduce((sum, { count }) => sum + count, 0);
  const lanes = feeds.reduce((sum, { count, kind }) => sum + count * lanesOf(kind), 0);
  const connectors = feeds.map(({ count, kind }, i) => ({
    ...like,
    key: i === 0 ? like.key : `${like.key}${i + 1}`,
    count,
    kind: kind as (typeof like)['kind'],
    lanes: lanesOf(kind),
  }));
  const type = bays > lanes ? ('expander' as const) : ('direct' as const);
  const baysPerConnector = type === 'expander' ? bays : Math.ceil(bays / plugs);
  return { ...group, backplane: { ...backplane, type, connectors, baysPerConnector } };
}

/** A group of bays behind a bridge, on the link that was said. */
function withLink(group: PartOf<'chassis'>['bayGroups'][number], { gbPerS, plug }: SaidUsb) {
  const { backplane } = group;
  if (backplane?.type !== 'bridge') return group;
  const connectors = backplane.connectors.map((one) => ({ ...one, gbPerLane: gbPerS, kind: plug ?? one.kind }));
  return { ...group, backplane: { ...backplane, connectors } };
}

/** Rows and columns that make a number of bays, those most like the class's first. */
function gridsOf(count: number, like: number): readonly { readonly rows: number; readonly columns: number }[] {
  const off = ({ rows, columns }: { rows: number; columns: number }) => Math.abs(Math.log(rows / columns / like));
  return Array.from({ length: count }, (_, i) => i + 1)
    .filter((rows) => count % rows === 0 && rows <= 32 && count / rows <= 32)
    .map((rows) => ({ rows, columns: count / rows }))
    .sort((a, b) => off(a) - off(b));
}

const NAMES: Readonly<Record<string, string>> = { middle: 'Fan wall' };
/** Mounts of the walls that were said, as the class has them there; those of other walls are the class's. */
function mountsOf(
  had: readonly Row[],
  fans: readonly { count: number; sizeMm: number; wall: string }[],
): readonly Row[] {
  const said = new Set(fans.map(({ wall }) => wall));
  const made = fans.map(({ count, sizeMm, wall }, i): Row => {
    const like = had.find((mount) => mount.wall === wall) ?? had[0];
    const { at: _at, ...rest } = like ?? { path: wall === 'middle' ? 'inside' : 'open' };
    const place = like && like.wall === wall && (like.sizesMm as readonly number[]).includes(sizeMm) ? { at: _at } : {};
    const label = NAMES[wall] ?? `${wall[0]!.toUpperCase()}${wall.slice(1)} fans`;
    return { ...rest, ...(place.at ? place : {}), key: `fan${i + 1}`, label, wall, sizesMm: [sizeMm], count };
  });
  return [...made, ...had.filter(({ wall }) => !said.has(wall as string))];
}

const SIZES = [
  ['bays35', '3.5'],
  ['bays25', '2.5'],
  ['bays525', '5.25'],
] as const;
type Size = (typeof SIZES)[number][1];
type Grid = { readonly rows: number; readonly columns: number };

/**
 * Rows and columns of the class's bays as a text counts them. Bays of a size the class has no group for are added,
 * bare and fixed; of a size nothing is said of while others are, there are none. What is told as one or the other
 * (`2 x 3.5" or 4 x 2.5"`) stands once.
 */
function baysSaid(base: PartOf<'chassis'>, said: Said, places: readonly Place[]) {
  const grids: Record<string, Grid> = {};
  const added: BayGroup[] = [];
  const taken: string[] = [];
  for (const [field, size] of SIZES) {
    const count = said.get(field) as number | undefined;
    if (count === undefined) continue;
    const group =
      base.bayGroups.find(({ takes }) => takes[0] === size) ?? base.bayGroups.find(({ takes }) => takes.includes(size));
    const isFree = group !== undefined && !grids[group.key];
    const grid = isFree
      ? gridsOf(count, group.rows / group.columns).find((one) => holds(base, { ...grids, [group.key]: one }, group.key))
      : undefined;
    if (isFree && grid) grids[group.key] = grid;
    const text = places.find((place) => place.field === field)?.text ?? '';
    const more = isFree || EITHER.test(text) ? null : addedBays(base, size, count, text);
    if (more) added.push(more);
    if (grid || more) taken.push(field);
  }
  const isCounted = (size: string) => SIZES.some(([field, one]) => one === size && said.has(field));
  const gone = taken.length === 0 ? [] : base.bayGroups.filter(({ takes: [first] }) => !isCounted(first));
  const none = Object.fromEntries(gone.flatMap(({ key }) => (grids[key] ? [] : [[key, { rows: 0, columns: 0 }]])));
  return { grids: { ...none, ...grids }, added, taken };
}
const EITHER = /\d[^,;]*\b(?:or|oder|ou|o|of)\b[^,;]*\d/i;

/** Whether a group of bays stands whole in the shell. */
function holds(base: PartOf<'chassis'>, bays: Readonly<Record<string, Grid>>, key: string): boolean {
  const asked = bays[key]!;
  const is = reshape(base, { bays }).bayGroups?.find((group) => group.key === key);
  return is !== undefined && is.rows * is.columns === asked.rows * asked.columns;
}

/** The highest drive of a bay of a size, mm (SFF-8301, SFF-8201), and its screw holes. */
const USUAL_BAY = {
  '3.5': { maxDriveHeightMm: 26.1, holes: ['A', 'B'] },
  '2.5': { maxDriveHeightMm: 15, holes: ['2.5'] },
  '5.25': { maxDriveHeightMm: 41.3, holes: ['A', 'B'] },
} as const satisfies Readonly<Record<Size, unknown>>;
function addedBays(base: PartOf<'chassis'>, size: Size, count: number, text: string): BayGroup | null {
  const { maxDriveHeightMm, holes } = USUAL_BAY[size];
  const like = { lies: 'flat', access: 'fixed', mounting: 'hard', backplane: null } as const;
  const wall = /rear|back|hinten/i.test(text) ? ('rear' as const) : ('front' as const);
  const key = `more-${size.replace('.', '')}`;
  const group = { key, label: `${size}-inch bays`, takes: [size] as [Size], maxDriveHeightMm, holes: [...holes], wall };
  const of = (grid: Grid): BayGroup => ({ ...group, ...like, ...grid });
  const grid = gridsOf(count, 1).find((one) => {
    const body = bayGroupSize(of(one));
    return body.widthMm <= base.widthMm && body.heightMm <= base.heightMm && body.depthMm <= base.depthMm;
  });
  return grid ? of(grid) : null;
}
