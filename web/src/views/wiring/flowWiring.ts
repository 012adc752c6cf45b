import type { Direction, FlowTold, Rate, Wiring } from '@inch-tower/core';
import { fastAnswer } from '../pool/flowWords';

/** What goes through the ribbons: what drives could give, or what the pool reads or writes. */
export type Through = 'drives' | Direction;

/** The rate that is drawn: over the network, where there is one, with all of its links. */
export function rateOf({ pools: [first] }: FlowTold, way: Direction): Rate | null {
  if (!first) return null;
  const { several, inside } = first.flow;
  return several[way].neck ? several[way] : inside[way];
}

/** A slot or an uplink with what goes through it, and whether it is the narrow place. */
export type LinkFlow = { readonly mbPerS: number; readonly isNeck: boolean };
export type FlowDrawn = {
  readonly wiring: Wiring;
  /** By the board or card the link starts at. */ readonly links: ReadonlyMap<string, LinkFlow>;
};

/** The wiring with what goes through every cable and socket in the place of what its drives could give. */
export function withFlow(wiring: Wiring, { through, neck }: Rate): FlowDrawn {
  const cables = new Map<string, number>();
  for (const [key, mbPerS] of through) {
    if (!key.startsWith('cable ')) continue;
    // Cables to one shared backplane are one link, of which each carries its part.
    const labels = key.slice('cable '.length).split(' + ');
    for (const label of labels) cables.set(label, mbPerS / labels.length);
  }
  const isNeck = (key: string) => neck?.link.key === key || (neck?.link.kind === 'cable' && key === neck.link.group);
  const neckCables = neck?.link.kind === 'cable' ? new Set(neck.link.mark.split(' + ')) : new Set<string>();
  return {
    wiring: {
      ...wiring,
      hosts: wiring.hosts.map((host) => ({
        ...host,
        cables: host.cables.map((row) => ({
          ...row,
          // More than it carries is drawn as short of it.
          asksMBps: neckCables.has(row.label) ? Infinity : Math.min(row.carriesMBps, cables.get(row.label) ?? 0),
        })),
        modules: host.modules.map((row) => ({
          ...row,
          asksMBps: isNeck(`socket ${row.unit}`)
            ? Infinity
            : Math.min(row.carriesMBps, through.get(`socket ${row.unit}`) ?? 0),
        })),
      })),
    },
    links: new Map(
      wiring.hosts.flatMap((host) => {
        const key = host.link?.uplink ? `uplink ${host.unit}` : `slot ${host.unit}`;
        const mbPerS = through.get(key) ?? through.get(`card ${host.unit}`) ?? 0;
        return [[host.unit, { mbPerS, isNeck: isNeck(key) || isNeck(`card ${host.unit}`) }] as const];
      }),
    ),
  };
}

/** What is drawn, in a sentence. */
export function throughWords({ pools: [first] }: FlowTold): string {
  if (!first) return 'No set of drives yet, so nothing is read or written.';
  return `${first.sets.join(', ')}: ${fastAnswer(first)}`;
}
