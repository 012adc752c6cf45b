import type { PartOf } from '../parts/resolve';
import { EIGHT_LANES, type ConnectorKind, type Protocol } from '../parts/vocabulary';

/** A kind of cable between two connectors. `price` is a typical one in euro cents, for cables nobody has listed. */
export type CableKind = {
  readonly id: string;
  readonly name: string;
  readonly shape: 'straight' | 'forward' | 'reverse';
  readonly host: ConnectorKind;
  readonly device: ConnectorKind;
  readonly tails: number;
  readonly carries: readonly Protocol[];
  readonly typicalMinor: number;
  /** Half of a cable whose plug of eight lanes is at this end: the halves on one plug are bought as one. */
  readonly pairedAt?: 'host' | 'device';
  /** The end at whose box a bracket in a slot opening leads it through the wall. */
  readonly bracketAt?: 'host' | 'device';
};

const MINI_SAS = ['sff-8087', 'sff-8643', 'sff-8654-4i'] as const;
/** It never carried PCIe: its pins and shielding are of 6 Gb/s SAS. */
const NO_PCIE = 'sff-8087';
const OUTSIDE = ['sff-8088', 'sff-8644'] as const;
const INSIDE = ['sff-8087', 'sff-8643'] as const;
const PLAIN: Readonly<Partial<Record<ConnectorKind, string>>> = {
  sata: 'SATA',
  esata: 'eSATA',
  'usb-a': 'USB-A',
  'usb-c': 'USB-C',
};
const words = (kind: ConnectorKind) => PLAIN[kind] ?? kind.toUpperCase();

const cable = (
  shape: CableKind['shape'],
  host: ConnectorKind,
  device: ConnectorKind,
  tails: number,
  carries: readonly Protocol[],
  typicalMinor: number,
): CableKind => {
  const ends =
    shape === 'forward'
      ? `${words(host)} to ${tails} × ${words(device)}`
      : shape === 'reverse'
        ? `${tails} × ${words(host)} to ${words(device)}`
        : `${words(host)} to ${words(device)}`;
  return {
    id: `${shape}:${host}:${device}`,
    name: `${shape === 'straight' ? 'Cable' : shape === 'forward' ? 'Forward breakout' : 'Reverse breakout'}, ${ends}`,
    shape,
    host,
    device,
    tails,
    carries,
    typicalMinor,
  };
};

/** A cable outside, a bracket in a slot opening and a cable behind it, bought together: from box to box. */
const throughWall = (host: ConnectorKind, device: ConnectorKind, bracketAt: 'host' | 'device'): CableKind => ({
  ...cable('straight', host, device, 1, ['sas', 'sata'], 7500),
  name: `Cables and bracket, ${words(host)} to ${words(device)}`,
  bracketAt,
});

/** One half of a cable with a plug of eight lanes, named as the whole. */
const half = (one: CableKind, pairedAt: 'host' | 'device', from: string, to: string): CableKind => ({
  ...one,
  name: `${from === to ? 'Cable' : 'Breakout'}, ${from} to ${to}`,
  pairedAt,
});

/**
 * The cables the trade makes (SATA 3.x; SFF-8087, 8643, 8654, 8088, 8644, 8482, 8639; USB-IF). A SATA port
 * never drives a SAS device; a four-lane SAS end splits forward to drives, four SATA ports join in
 * reverse to one backplane connector.
 */
export const CABLE_KINDS: readonly CableKind[] = [
  cable('straight', 'sata', 'sata', 1, ['sata'], 300),
  ...MINI_SAS.flatMap((host) => [
    cable('forward', host, 'sata', 4, ['sata'], 1400),
    cable('forward', host, 'sff-8482', 4, ['sas', 'sata'], 1900),
    ...(host === NO_PCIE ? [] : [cable('straight', host, 'sff-8639', 1, ['pcie'], 3200)]),
    ...MINI_SAS.map((device) =>
      cable(
        'straight',
        host,
        device,
        1,
        host === NO_PCIE || device === NO_PCIE ? ['sas', 'sata'] : ['sas', 'sata', 'pcie'],
        1600,
      ),
    ),
  ]),
  cable('forward', 'sff-8611-4i', 'sata', 4, ['sata'], 2000),
  cable('straight', 'sff-8611-4i', 'sff-8611-4i', 1, ['sata', 'pcie'], 2600),
  ...MINI_SAS.map((device) => cable('reverse', 'sata', device, 4, ['sata'], 1300)),
  ...OUTSIDE.flatMap((host) => OUTSIDE.map((device) => cable('straight', host, device, 1, ['sas', 'sata'], 3500))),
  ...OUTSIDE.flatMap((out) =>
    INSIDE.flatMap((within) => [throughWall(out, within, 'device'), throughWall(within, out, 'host')]),
  ),
  cable('straight', 'sff-8611-4i', 'sff-8639', 1, ['pcie'], 3500),
  ...EIGHT_LANES.flatMap((eight) => [
    half(cable('straight', eight, eight, 1, ['sas', 'sata', 'pcie'], 3800), 'host', words(eight), words(eight)),
    half(cable('straight', eight, 'sff-8639', 1, ['pcie'], 5200), 'host', words(eight), '2 × SFF-8639'),
  ]),
  ...(['sff-8643', 'sff-8654-4i'] as const).flatMap((four) => [
    half(
      cable('straight', 'sff-8654-8i', four, 1, ['sas', 'sata', 'pcie'], 3400),
      'host',
      'SFF-8654-8I',
      `2 × ${words(four)}`,
    ),
    half(
      cable('straight', four, 'sff-8654-8i', 1, ['sas', 'sata', 'pcie'], 3400),
      'device',
      `2 × ${words(four)}`,
      'SFF-8654-8I',
    ),
  ]),
  half(cable('forward', 'sff-8654-8i', 'sata', 4, ['sata'], 2600), 'host', 'SFF-8654-8I', '8 × SATA'),
  half(cable('forward', 'sff-8654-8i', 'sff-8482', 4, ['sas', 'sata'], 3600), 'host', 'SFF-8654-8I', '8 × SFF-8482'),
  cable('straight', 'esata', 'esata', 1, ['sata'], 700),
  cable('straight', 'usb-a', 'usb-c', 1, ['usb'], 800),
  cable('straight', 'usb-c', 'usb-c', 1, ['usb'], 1000),
];

const byId = new Map(CABLE_KINDS.map((one) => [one.id, one]));
export const cableKindById = (id: string): CableKind | undefined => byId.get(id);
export const cableKindBetween = (
  shape: CableKind['shape'],
  host: ConnectorKind,
  device: ConnectorKind,
): CableKind | undefined => byId.get(`${shape}:${host}:${device}`);

/** Whether a cable's ends make that cable; an end whose role is open goes either way round. */
export function isOfKind(cable: PartOf<'cable'>, kind: CableKind): boolean {
  const [hosts, devices] = kind.shape === 'reverse' ? [kind.tails, 1] : [1, kind.tails];
  // The whole cable has the ends of both halves; a plug of eight lanes at each end is one each.
  const isBranched = kind.pairedAt !== undefined && kind.host !== kind.device;
  const hostTails = isBranched && kind.pairedAt === 'device' ? 2 * hosts : hosts;
  const deviceTails = isBranched && kind.pairedAt === 'host' ? 2 * devices : devices;
  const ends = [
    [cable.ends[0], cable.ends[1]],
    [cable.ends[1], cable.ends[0]],
  ] as const;
  return ends.some(
    ([host, device]) =>
      host.kind === kind.host &&
      device.kind === kind.device &&
      host.tails === hostTails &&
      device.tails === deviceTails &&
      host.role !== 'device' &&
      device.role !== 'host',
  );
}

/** One end of a cable: inside a box or at its wall, and which box. */
export type CableEnd = { readonly inside: boolean; readonly box: string | null };

/**
 * Whether a cable of a kind goes from a port to an end: inside it stays in its box, outside it goes from box to box,
 * through a bracket it comes out of one or goes into another.
 */
export function goesBetween(cable: CableKind, port: CableEnd, end: CableEnd): boolean {
  if (port.inside === end.inside) return !port.inside || port.box === end.box;
  return cable.bracketAt === (port.inside ? 'host' : 'device') && port.box !== end.box;
}
