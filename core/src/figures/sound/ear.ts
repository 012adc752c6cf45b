import type { PartOf } from '../../parts/resolve';
import type { NonEmpty } from '../../lists';
import { ofKind, type PlannedUnit, type UnitOf } from '../../machine/units';
import { chassisAround } from '../../machine/hosts';
import type { SoundPath } from '../../parts/vocabulary';
import { type FigureContext } from '../context';
import { straightThrough } from '../fanCurve';
import { dutyOf, ownDuty, speedShare } from '../operating';
import { feedWith } from '../power/feeds';
import { modulesOf } from '../power/supplyLoss';
import { feedLoadW } from '../power/wall';
import { Ledger, type Quantity } from '../quantity';
import { narrowed } from '../readings/learned';
import { PATH_DB, pressureLevel, sumLevels, TO_POWER_DB } from './levels';

const DIRECTIVITY = { open: 2, wall: 4, corner: 8 } as const;
const ROOM_M2 = {
  soft: { value: 45, lo: 30, hi: 80 },
  ordinary: { value: 20, lo: 12, hi: 30 },
  hard: { value: 8, lo: 4, hi: 12 },
  outdoors: { value: 1e6, lo: 1e6, hi: 1e6 },
} as const;
const DOOR_DB = {
  none: { value: 0, lo: 0, hi: 0 },
  slatted: { value: 3, lo: 2, hi: 4 },
  ordinary: { value: 8, lo: 5, hi: 12 },
  sealed: { value: 15, lo: 12, hi: 18 },
} as const;
const ROOM_FLOOR_DB = { bedroom: 22, living: 30, office: 36, none: 0 } as const;
/** How a drive is fixed changes what it sends into the steel; most of it is hum. */
const MOUNTING_DB = {
  hard: { value: 5, lo: 3, hi: 8 },
  tray: { value: 0, lo: -1, hi: 2 },
  soft: { value: -5, lo: -8, hi: -3 },
} as const;
/** Level against speed: 50·log10 of the speed ratio (fan laws, aerodynamic noise). */
const FAN_LAW = 50;

export type SoundSource = { readonly label: string; readonly units: readonly PlannedUnit[]; readonly power: Quantity };

/** Idle, at work with its drives seeking, and with all fans at full. */
export type HeardState = 'idle' | 'working' | 'peak';

/** A-weighted sound power of each class of source in a state, in dB re 1 pW, behind what encloses it. */
export function soundSources(context: FigureContext, ledger: Ledger, state: HeardState = 'idle'): SoundSource[] {
  return [
    ...fanSources(context, ledger, state),
    ...driveSources(context, ledger, state),
    ...supplySources(context, ledger, state),
  ];
}

export const earIdleDb = (context: FigureContext, ledger: Ledger): Quantity | null => earDb(context, ledger, 'idle');

/** The machine's part of the sound at the ear, dB(A); null where nothing sounds. The room is told beside it. */
export function earDb(context: FigureContext, ledger: Ledger, state: HeardState): Quantity | null {
  const sources = soundSources(context, ledger, state);
  if (sources.length === 0) return null;
  const { site } = context;
  const total = levelSum(
    'Sound power of the machine',
    sources.map((source) => source.power),
    ledger,
  );
  const room = ledger.given(
    `Room, ${site.room}: absorption`,
    ROOM_M2[site.room].value,
    'm²',
    site.room === 'outdoors' ? undefined : ROOM_M2[site.room],
  );
  const q = DIRECTIVITY[site.standing];
  const r = site.earMm / 1000;
  const door = ledger.given(
    `Door: ${site.door}`,
    DOOR_DB[site.door].value,
    'dB',
    site.door === 'none' ? undefined : DOOR_DB[site.door],
  );
  const pressure = ledger.map(
    'Machine at the ear',
    'dB(A)',
    [total, room, door],
    `Lw + 10·log₁₀(${q}/(4π·${r.toFixed(1)}²) + 4/R) − door`,
    (power, roomM2, doorDb) => pressureLevel(power, q, r, roomM2) - doorDb,
  );
  const heard = narrowed(context.learned, pressure, ledger);
  const floor = roomFloorDb(site);
  return floor > 0 ? { ...heard, note: `room ${Math.round(floor)}` } : heard;
}

/** What is heard with the machine off, dB(A): measured or typed, else typical of the room; 0 where none is counted. */
export const roomFloorDb = (site: FigureContext['site']): number => site.noiseFloorDb ?? ROOM_FLOOR_DB[site.listening];

function levelSum(label: string, levels: readonly Quantity[], ledger: Ledger): Quantity {
  return ledger.map(label, 'dB(A)', levels, '10·log₁₀ Σ 10^(L/10)', (...values) => sumLevels(values));
}

function behind(label: string, level: Quantity, path: SoundPath, panelDb: number, ledger: Ledger): Quantity {
  const cover = PATH_DB[path];
  if (path === 'open') return level;
  const panel = path === 'vented' ? 0 : panelDb;
  return ledger.map(
    label,
    'dB',
    [level, ledger.given(`Path: ${path}`, cover.value, 'dB', cover)],
    panel ? `L + path − ${panel}` : 'L + path',
    (db, pathDb) => db + pathDb - panel,
  );
}

const many = (label: string, level: Quantity, count: number, ledger: Ledger) =>
  count === 1
    ? level
    : ledger.map(`${count} × ${label}`, 'dB', [level], `L + 10·log₁₀ ${count}`, (db) => db + 10 * Math.log10(count));

function fanSources(context: FigureContext, ledger: Ledger, state: HeardState): SoundSource[] {
  const groups = new Map<string, { path: SoundPath; panelDb: number; units: NonEmpty<UnitOf<'fan'>> }>();
  const seats = new Map(Object.entries(context.layout.at));
  const duty = dutyOf(context, state, new Ledger(false)).value;
  for (const unit of ofKind(context.running, 'fan')) {
    const spot = unit.builtIn?.spot ?? context.layout.at[unit.id]?.spot;
    if (!spot) continue;
    const host = context.units.find((one) => one.id === spot.host);
    const mount = host?.part.kind === 'chassis' ? host.part.fanMounts.find((one) => one.key === spot.key) : undefined;
    // A fan on a cooler or cage sits inside the box, one on a wall has the path of its mount.
    const path = mount?.path ?? 'inside';
    const panelDb = chassisAround(unit.id, seats, context.units)?.panelDb ?? 0;
    const key = `${unit.part.id}|${path}|${ownDuty(context, unit, duty)}`;
    const group = groups.get(key);
    if (group) group.units.push(unit);
    else groups.set(key, { path, panelDb, units: [unit] });
  }
  return [...groups.values()].flatMap(({ path, panelDb, units }) => {
    const { part } = units[0];
    const share = speedShare(context, units[0], state, ledger);
    if (!share) return [];
    const full = ledger.fact(part, 'soundDb');
    const one = ledger.map(
      `${part.name} at ${Math.round(share.value * part.maxRpm)} rpm`,
      'dB',
      [full, share],
      `max(${part.soundFloorDb}, L + ${FAN_LAW}·log₁₀ ${share.value.toFixed(2)}) + ` +
        `${TO_POWER_DB[part.soundMeaning].toFixed(1)}`,
      (db, at) => Math.max(part.soundFloorDb, db + FAN_LAW * Math.log10(at)) + TO_POWER_DB[part.soundMeaning],
    );
    return [
      {
        label: part.name,
        units,
        power: many(part.name, behind(part.name, one, path, panelDb, ledger), units.length, ledger),
      },
    ];
  });
}

function driveSources(context: FigureContext, ledger: Ledger, state: HeardState): SoundSource[] {
  const seats = new Map(Object.entries(context.layout.at));
  const groups = new Map<
    string,
    {
      part: PartOf<'drive'>;
      mounting: keyof typeof MOUNTING_DB;
      chassis: PartOf<'chassis'> | null;
      units: PlannedUnit[];
    }
  >();
  let dampers = dampersOf(context);
  for (const unit of ofKind(context.running, 'drive')) {
    if (unit.part.soundIdleDb === null) continue;
    const spot = context.layout.at[unit.id]?.spot;
    const host = spot && context.units.find((one) => one.id === spot.host)?.part;
    const group =
      host && (host.kind === 'chassis' || host.kind === 'adapter')
        ? host.bayGroups.find((one) => one.key === spot.key)
        : undefined;
    const isDamped = group?.mounting === 'hard' && dampers >= DAMPERS_A_DRIVE;
    if (isDamped) dampers -= DAMPERS_A_DRIVE;
    const mounting = isDamped ? 'soft' : (group?.mounting ?? 'tray');
    const key = `${unit.part.id}|${mounting}|${spot?.host ?? ''}`;
    const one = groups.get(key) ?? {
      part: unit.part,
      mounting,
      chassis: spot ? chassisAround(spot.host, seats, context.units) : null,
      units: [],
    };
    one.units.push(unit);
    groups.set(key, one);
  }
  return [...groups.values()].map(({ part, mounting, chassis, units }) => {
    const isSeeking = state !== 'idle' && part.soundSeekDb !== null;
    const fixed = ledger.given(`Mounting: ${mounting}`, MOUNTING_DB[mounting].value, 'dB', MOUNTING_DB[mounting]);
    const one = ledger.map(
      `${part.name} ${isSeeking ? 'seeking' : 'turning'}`,
      'dB',
      [ledger.fact(part, isSeeking ? 'soundSeekDb' : 'soundIdleDb'), fixed],
      `L + mounting + ${TO_POWER_DB[part.soundMeaning].toFixed(1)}`,
      (db, extra) => db + extra + TO_POWER_DB[part.soundMeaning],
    );
    return {
      label: part.name,
      units,
      power: many(
        part.name,
        behind(part.name, one, chassis?.drivePath ?? 'open', chassis?.panelDb ?? 0, ledger),
        units.length,
        ledger,
      ),
    };
  });
}

/** A drive that is screwed to steel takes one at each of its four screws. */
const DAMPERS_A_DRIVE = 4;
const dampersOf = ({ units }: FigureContext): number =>
  ofKind(units, 'sundry').reduce(
    (sum, { part, item }) => (part.use === 'damper' ? sum + part.packOf * (item?.count ?? 1) : sum),
    0,
  );

/** Each supply at its own share of a load; the load only chooses the point, so its working is no part of this one. */
function supplySources(context: FigureContext, ledger: Ledger, state: HeardState): SoundSource[] {
  return ofKind(context.running, 'supply').flatMap((unit) => {
    const { part } = unit;
    const feed = feedWith(context, unit.id);
    const isPlaced = context.layout.at[unit.id] ?? unit.builtIn ?? feed?.brick;
    if (!feed || !isPlaced || part.sound.length === 0) return [];
    const watts = feedLoadW(context, feed, state, new Ledger(false))?.value ?? 0;
    const load = watts / (part.ratedW * (feed.brick === unit ? part.modules : modulesOf(feed)));
    if (part.fanStopsBelowLoad !== null && load < part.fanStopsBelowLoad) return [];
    const at = straightThrough(
      [...part.sound].sort((a, b) => a.load - b.load).map((point) => [point.load, point.db] as const),
      load,
    );
    const level = ledger.fact(part, 'sound', at, 'soundDb');
    const power = ledger.map(
      `${part.name} at ${Math.round(load * 100)} % load`,
      'dB',
      [level],
      `L + ${TO_POWER_DB[part.soundMeaning].toFixed(1)}`,
      (db) => db + TO_POWER_DB[part.soundMeaning],
    );
    return [{ label: part.name, units: [unit], power }];
  });
}
