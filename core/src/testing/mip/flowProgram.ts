import type { Highs } from 'highs';
import { FILE_SHARE, type Direction } from '../../flow/flow';
import type { FlowLink, Path, Port, Tree } from '../../flow/links';
import { LAYOUTS } from '../../pool/layouts';
import type { SetTold } from '../../pool/setsOf';
import { Program, type Term } from './program';

/**
 * The rate of files of an evenly striped pool as a general linear program finds it: what leaves a drive or comes to it
 * is a share of one rate; what goes through a link is what goes through those before it. Nothing is summed along paths.
 */
export function rateByProgram(
  highs: Highs,
  tree: Tree,
  sets: readonly SetTold[],
  ports: readonly Port[],
  way: Direction,
): number {
  const program = new Program();
  const rate = program.amount();
  const isReading = way === 'reading';
  const up = new Map<FlowLink, number>();
  const down = new Map<FlowLink, number>();
  const of = (map: Map<FlowLink, number>, link: FlowLink): number => {
    const known = map.get(link) ?? program.amount();
    map.set(link, known);
    return known;
  };
  /** What enters each link, of what is before it or of a source. */
  const enters = new Map<number, { readonly of: Set<number>; readonly terms: Term[] }>();
  const enter = (into: number, from: number, factor = 1) => {
    const own = enters.get(into) ?? { of: new Set<number>(), terms: [] };
    if (!own.of.has(from)) own.terms.push([from, factor]);
    own.of.add(from);
    enters.set(into, own);
  };
  const along = (path: Path, map: Map<FlowLink, number>, source: number) => {
    let before = source;
    for (const link of path) {
      enter(of(map, link), before);
      before = of(map, link);
    }
  };
  for (const { set, drives } of sets) {
    const { kind, spare } = LAYOUTS[set.layout];
    const n = drives.length;
    const data = kind === 'mirror' ? Math.floor(n / (spare + 1)) : kind === 'parity' ? n - spare : n;
    for (const { id } of drives) {
      const [drive, ...behind] = tree.drives.get(id) ?? [];
      if (!drive) continue;
      // What this drive passes on is its own variable, tied to the rate by its set.
      const own = program.amount();
      const share = 1 / sets.length / (isReading ? n : data);
      program.equal(
        [
          [own, 1],
          [rate, -share],
        ],
        0,
      );
      // Reading, a drive of a parity set passes over what it holds of parity as well.
      const effort = isReading && kind === 'parity' ? n / data : 1;
      program.atMost([[own, effort]], drive.carriesMBps);
      along(behind, isReading ? up : down, own);
    }
  }
  const all = ports.reduce((sum, { mbPerS }) => sum + mbPerS, 0);
  if (all > 0) program.atMost([[rate, 1]], all * FILE_SHARE);
  for (const port of ports) {
    const own = program.amount();
    program.equal(
      [
        [own, 1],
        [rate, -port.mbPerS / all / FILE_SHARE],
      ],
      0,
    );
    along(port.path, isReading ? down : up, own);
  }
  for (const [into, { terms }] of enters) program.equal([[into, 1], ...terms.map(([one, f]): Term => [one, -f])], 0);
  for (const link of new Set([...up.keys(), ...down.keys()])) {
    const both = [up.get(link), down.get(link)].flatMap((one): Term[] => (one === undefined ? [] : [[one, 1]]));
    if (link.half) program.atMost(both, link.carriesMBps);
    else for (const one of both) program.atMost([one], link.carriesMBps);
  }
  const found = highs.solve(program.text([[rate, -1]], []), { output_flag: false });
  if (found.Status !== 'Optimal') throw new Error(`the general solver says ${found.Status}`);
  return -found.ObjectiveValue;
}
