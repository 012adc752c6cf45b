import { memberAt } from '../lists';
import type { ArchetypeId } from '../parts/ids';
import type { Found } from './found';

export type DriveListing =
  | { readonly type: 'blocks'; readonly devices: readonly unknown[] }
  | { readonly type: 'smart'; readonly device: Readonly<Record<string, unknown>> };

/** What the listings together say of one drive. */
type Seen = {
  device?: string;
  model?: string;
  serial?: string;
  bytes?: number;
  rotates?: boolean;
  rpm?: number;
  bus?: 'sata' | 'sas' | 'nvme' | 'usb';
  size?: '3.5' | '2.5' | 'm2';
  hours?: number;
  failing?: boolean;
  logical?: number;
  physical?: number;
};

const object = (value: unknown): Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Record<string, unknown>) : {};
const text = (value: unknown): string | undefined =>
  typeof value === 'string' && value.trim() ? value.trim() : undefined;
const number = (value: unknown): number | undefined => {
  const found = typeof value === 'string' && /^\d+$/.test(value) ? Number(value) : value;
  return typeof found === 'number' && Number.isFinite(found) ? found : undefined;
};
const yes = (value: unknown): boolean | undefined =>
  value === true || value === '1' || value === 1
    ? true
    : value === false || value === '0' || value === 0
      ? false
      : undefined;

/** Drives of all listings; the same one seen twice, by serial number or device name, is one. */
export function drivesFound(listings: readonly DriveListing[]): {
  readonly found: readonly Found[];
  readonly skipped: readonly string[];
} {
  const skipped: string[] = [];
  const drives: Seen[] = [];
  const add = (one: Seen) => {
    const had = drives.find(
      (other) =>
        (one.serial && other.serial === one.serial) ||
        (one.device && other.device === one.device && (!one.serial || !other.serial)),
    );
    if (had) Object.assign(had, Object.fromEntries(Object.entries(one).filter(([, value]) => value !== undefined)));
    else drives.push(one);
  };
  for (const listing of listings) {
    if (listing.type === 'smart') {
      add(fromSmart(listing.device));
      continue;
    }
    for (const device of listing.devices) {
      const seen = fromBlocks(object(device));
      if (seen) add(seen);
    }
  }
  const whole = drives.filter((one) => {
    if (one.bytes && one.bytes > 0) return true;
    skipped.push(`${one.model ?? one.device ?? 'a drive'}: its capacity is not in the listing`);
    return false;
  });
  const alike = new Map<string, Seen[]>();
  for (const one of whole) {
    const key = `${one.model ?? ''}|${one.bytes}|${one.bus}|${one.size}`;
    alike.set(key, [...(alike.get(key) ?? []), one]);
  }
  return { found: [...alike.values()].map(found), skipped };
}

const BUSES: Readonly<Record<string, Seen['bus']>> = {
  sata: 'sata',
  ata: 'sata',
  sas: 'sas',
  nvme: 'nvme',
  usb: 'usb',
};

function fromBlocks(device: Readonly<Record<string, unknown>>): Seen | null {
  // Partitions, loops and optical drives are no drives to keep.
  if ((text(device.type) ?? 'disk') !== 'disk' || /^(loop|ram|zram|sr|md|dm-)/.test(text(device.name) ?? ''))
    return null;
  const bus = BUSES[text(device.tran) ?? ''];
  return pruned({
    device: text(device.name),
    model: text(device.model),
    serial: text(device.serial),
    bytes: number(device.size),
    rotates: yes(device.rota),
    bus,
    ...(bus === 'nvme' ? { size: 'm2' as const } : {}),
    logical: number(device['log-sec']),
    physical: number(device['phy-sec']),
  });
}

function fromSmart(device: Readonly<Record<string, unknown>>): Seen {
  const info = object(device.device);
  const protocol = (text(info.protocol) ?? '').toLowerCase();
  const form = text(object(device.form_factor).name) ?? '';
  const rate = number(device.rotation_rate);
  const passed = object(device.smart_status).passed;
  return pruned({
    device: text(info.name)?.replace(/^\/dev\//, ''),
    model: text(device.model_name) ?? text(device.scsi_model_name),
    serial: text(device.serial_number),
    bytes: number(object(device.user_capacity).bytes) ?? number(device.nvme_total_capacity),
    rotates: rate === undefined ? undefined : rate > 0,
    rpm: rate && rate > 1 ? rate : undefined,
    bus: protocol === 'nvme' ? 'nvme' : protocol === 'scsi' ? 'sas' : protocol === 'ata' ? 'sata' : undefined,
    size: /3\.5/.test(form)
      ? '3.5'
      : /2\.5/.test(form)
        ? '2.5'
        : /m\.2/i.test(form) || protocol === 'nvme'
          ? 'm2'
          : undefined,
    hours: number(object(device.power_on_time).hours),
    failing: passed === false ? true : undefined,
    logical: number(device.logical_block_size),
    physical: number(device.physical_block_size),
  });
}

const pruned = (seen: { [K in keyof Seen]: Seen[K] | undefined }): Seen =>
  Object.fromEntries(Object.entries(seen).filter(([, value]) => value !== undefined));
/** Above this a rotating drive without a stated size is taken for a 3.5-inch one. */
const LARGE_DISK_BYTES = 2.1e12;

function found(drives: readonly Seen[]): Found {
  const one = memberAt(drives, 0);
  const guessed: string[] = [];
  const guess = <T>(value: T | undefined, stand: T, what: string): T => {
    if (value !== undefined) return value;
    guessed.push(what);
    return stand;
  };
  const bus = guess(one.bus, 'sata', 'interface');
  const rotates = guess(one.rotates ?? (one.rpm ? true : bus === 'nvme' ? false : undefined), false, 'disk or flash');
  const size =
    bus === 'usb' ? 'usb' : guess(one.size, rotates ? (one.bytes! > LARGE_DISK_BYTES ? '3.5' : '2.5') : '2.5', 'size');
  if (rotates && one.rpm === undefined) guessed.push('rpm');
  const sectors =
    one.logical === 520
      ? '520'
      : one.logical === 4096
        ? '4Kn'
        : one.physical === 4096
          ? '512e'
          : one.logical === 512 && one.physical === 512
            ? '512n'
            : undefined;
  const hours = drives.flatMap((drive) => drive.hours ?? []);
  const notes = drives
    .map((drive) =>
      [
        drive.serial,
        drive.hours === undefined ? '' : `${drive.hours} h`,
        drive.failing ? 'reports that it is failing' : '',
      ]
        .filter(Boolean)
        .join(', '),
    )
    .filter(Boolean);
  return {
    kind: 'drive',
    name: (one.model ?? 'Drive without a name').slice(0, 120),
    count: drives.length,
    archetype: archetypeOf(rotates, size, bus, one.rpm) as ArchetypeId,
    values: {
      capacityBytes: one.bytes!,
      interface: bus,
      medium: rotates ? 'disk' : 'flash',
      size,
      ...(rotates ? (one.rpm ? { rpm: one.rpm } : {}) : { rpm: null }),
      ...(sectors ? { sectors } : {}),
    },
    ...(hours.length ? { hours: Math.max(...hours) } : {}),
    ...(notes.length ? { note: notes.join('; ') } : {}),
    guessed,
  };
}

/** The class a drive stands on, by what turns, its size and its interface. */
function archetypeOf(rotates: boolean, size: string, bus: string, rpm: number | undefined): string {
  if (size === 'usb') return 'stick-usb';
  if (rotates)
    return size === '2.5'
      ? 'disk-25'
      : bus === 'sas'
        ? 'disk-35-sas'
        : (rpm ?? 5400) >= 7000
          ? 'disk-35-air'
          : 'disk-35-54';
  if (bus === 'nvme') return 'flash-m2-nvme';
  return size === 'm2' ? 'flash-m2-sata' : 'flash-25';
}
