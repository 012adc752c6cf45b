import type { UnitOf } from '../machine/units';
import type { Protocol } from '../parts/vocabulary';
import type { CableKind } from './cableKinds';
import { protocolOf, type HostPort } from './ports';

/** What a passive cable carries, and how fast. */
type Carried = { readonly protocol: Protocol; readonly gbPerLane: number };

/** Each longest run by the rate up to which it holds, Gb/s a lane; past the last the least holds. */
const LONGEST_MM: Readonly<Record<Protocol, readonly (readonly [upToGb: number, mm: number])[]>> = {
  sata: [[6, 1000]],
  sas: [
    [6, 10_000],
    [12, 6000],
    [24, 3000],
  ],
  pcie: [
    [8, 1000],
    [16, 750],
    [32, 500],
  ],
  usb: [
    [0.5, 5000],
    [5, 3000],
    [20, 1000],
  ],
};
const ESATA_MM = 2000;

/**
 * How long a passive cable may be, mm (SATA 3.x: a metre in all, also behind a SAS port, two for eSATA; SAS-2 to SAS-4;
 * PCI Express cables by generation; USB-IF).
 */
export function longestMm(cable: CableKind, { protocol, gbPerLane }: Carried): number {
  if (protocol === 'sata' && cable.host === 'esata') return ESATA_MM;
  const steps = LONGEST_MM[protocol];
  return (steps.find(([upTo]) => gbPerLane <= upTo) ?? steps.at(-1)!)[1];
}

/** What a cable carries for the drives it serves: what they speak, to an expander SAS, to a bridge USB. */
export function carriedBy(
  cable: CableKind,
  port: HostPort | undefined,
  drives: readonly UnitOf<'drive'>[],
  isShared: boolean,
): Carried {
  const spoken = cable.carries.filter((one) => port?.carries.includes(one) ?? true);
  // SATA goes the least far: one such drive behind a connector sets its cable's length.
  const spokenTo = drives.map(({ part }) => protocolOf(part));
  const own = spokenTo.find((one) => one === 'sata') ?? spokenTo[0];
  const fastest = isShared || drives.length === 0 ? Infinity : Math.max(...drives.map(({ part }) => part.gbPerLane));
  return {
    protocol: own && !isShared && spoken.includes(own) ? own : (spoken[0] ?? cable.carries[0]!),
    gbPerLane: Math.min(port?.gbPerLane ?? Infinity, fastest),
  };
}
