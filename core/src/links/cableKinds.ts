import type { PartOf } from '../parts/resolve';
import type { ConnectorKind, Protocol } from '../parts/vocabulary';

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
};

const MINI_SAS = ['sff-8087', 'sff-8643', 'sff-8654-4i'] as const;
/** It never carried PCIe: its pins and shielding are of 6 Gb/s SAS. */
const NO_PCIE = 'sff-8087';
const OUTSIDE = ['sff-8088', 'sff-8644'] as const;
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
  cable('forward', 'sff-8654-8i', 'sata', 8, ['sata'], 2600),
  cable('forward', 'sff-8654-8i', 'sff-8482', 8, ['sas', 'sata'], 3600),
  cable('forward', 'sff-8611-4i', 'sata', 4, ['sata'], 2000),
  cable('straight', 'sff-8611-4i', 'sff-8611-4i', 1, ['sata', 'pcie'], 2600),
  ...MINI_SAS.map((device) => cable('reverse', 'sata', device, 4, ['sata'], 1300)),
  ...OUTSIDE.flatMap((host) => OUTSIDE.map((device) => cable('straight', host, device, 1, ['sas', 'sata'], 3500))),
  cable('straight', 'sff-8611-4i', 'sff-8639', 1, ['pcie'], 3500),
  cable('straight', 'sff-8654-8i', 'sff-8654-8i', 1, ['sas', 'sata', 'pcie'], 3800),
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
  const [hostTails, deviceTails] = kind.shape === 'reverse' ? [kind.tails, 1] : [1, kind.tails];
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
