import type { Site } from '../build/build';
import { ofKind, type PlannedUnit, type UnitOf } from '../machine/units';

/** From here on ports are cages for modules where a sheet does not say: no copper cable goes that fast. */
const CAGE_GBPS = 25;
/** Direct-attach cables of copper end here, and twisted pairs at the longer (IEEE 802.3: 7 and 100 m), m. */
const DIRECT_M = 7;
const PAIR_M = 100;
/** What is typical, in euro cents: cables by a share fixed and by the metre, a module by what it carries. */
const PAIR = { fixed: 300, perM: 40 } as const;
const DIRECT = { fixed: 1500, perM: 500 } as const;
const FIBRE = { fixed: 600, perM: 60 } as const;
const MODULE = { to10: 2000, to25: 4000, more: 8000 } as const;
/** A cable of which nobody says how long it is. */
const USUAL_M = { pair: 7.5, direct: 2 } as const;

type Holder = UnitOf<'board'> | UnitOf<'networkCard'>;
/** Cables and modules for links to the network: `each` of one sort, with why and a typical price of one. */
export type NetworkWant = {
  readonly use: 'networkCable' | 'transceiver';
  readonly what: string;
  readonly why: string;
  readonly count: number;
  readonly typicalMinor: number;
  readonly for: readonly Holder[];
};

/** Each link on a port that is as fast, else on the fastest left; a link no port is left for wants nothing. */
export function networkWants(units: readonly PlannedUnit[], links: Site['links']): readonly NetworkWant[] {
  const holders: readonly Holder[] = [...ofKind(units, 'board'), ...ofKind(units, 'networkCard')].filter(
    ({ part }) => part.networkPorts.length > 0,
  );
  const ports = holders
    .flatMap((of) =>
      of.part.networkPorts.flatMap(({ gbPerS, count, medium }) =>
        Array.from({ length: count }, () => ({ of, gbPerS, isCage: (medium ?? mediumOf(gbPerS)) === 'cage' })),
      ),
    )
    .sort((a, b) => b.gbPerS - a.gbPerS);
  const wants = new Map<string, NetworkWant>();
  const want = (one: NetworkWant) => {
    const known = wants.get(one.what);
    wants.set(one.what, known ? { ...known, count: known.count + one.count, for: [...known.for, ...one.for] } : one);
  };
  for (const { gbPerS, count, lengthM } of [...links].sort((a, b) => b.gbPerS - a.gbPerS))
    for (let i = 0; i < count; i++) {
      const at = ports.findLastIndex((port) => port.gbPerS >= gbPerS);
      const [port] = ports.splice(Math.max(0, at), 1);
      if (port) for (const one of forLink(port.isCage || gbPerS >= CAGE_GBPS, gbPerS, lengthM, port.of)) want(one);
    }
  return [...wants.values()];
}

const mediumOf = (gbPerS: number): 'copper' | 'cage' => (gbPerS >= CAGE_GBPS ? 'cage' : 'copper');

function forLink(isCage: boolean, gbPerS: number, lengthM: number | undefined, of: Holder): readonly NetworkWant[] {
  const long = lengthM === undefined ? '' : `, ${lengthM} m`;
  const cable = (what: string, why: string, { fixed, perM }: { fixed: number; perM: number }, usualM: number) => ({
    use: 'networkCable' as const,
    what: `${what}, ${gbPerS} Gb/s${long}`,
    why,
    count: 1,
    typicalMinor: Math.round(fixed + perM * (lengthM ?? usualM)),
    for: [of],
  });
  const why = `one for each link; at the other end it wants a port of ${gbPerS} Gb/s`;
  const isPair = !isCage && (lengthM ?? 0) <= PAIR_M;
  if (isPair) return [cable('Network cable', why, PAIR, USUAL_M.pair)];
  if (isCage && (lengthM ?? 0) <= DIRECT_M) return [cable('Direct-attach cable', why, DIRECT, USUAL_M.direct)];
  return [
    cable('Fibre cable', isCage ? why : `${why}; copper ends at ${PAIR_M} m`, FIBRE, PAIR_M),
    {
      use: 'transceiver',
      what: `Transceiver, ${gbPerS} Gb/s`,
      why: isCage
        ? 'one at either end of a fibre'
        : 'one at either end of a fibre; this machine has no cage for its own',
      count: 2,
      typicalMinor: gbPerS <= 10 ? MODULE.to10 : gbPerS <= 25 ? MODULE.to25 : MODULE.more,
      for: [of],
    },
  ];
}
