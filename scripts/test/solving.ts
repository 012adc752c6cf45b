import highsLoader from 'highs';
import { flowOf } from '../../core/src/flow/flow';
import { flowMachine } from '../../core/src/testing/flowMachines';
import { rateByProgram } from '../../core/src/testing/mip/flowProgram';
import { faultsOf } from '../../core/src/testing/mip/compare';
import { machine, type Feature } from '../../core/src/testing/mip/machines';
import { drawnPlugs, plugFaults } from '../../core/src/testing/mip/plugs';

/**
 * Drawn machines solved twice, by the solver and by a general mixed-integer solver: what differs, by seed, and how many
 * were of which sort.
 */
export async function solveTwice(
  from: number,
  count: number,
  tell: (line: string) => void,
): Promise<{ faults: string[]; infeasible: number; features: Readonly<Record<Feature, number>> }> {
  const highs = await highsLoader();
  const features: Record<Feature, number> = { expander: 0, parted: 0, nested: 0, held: 0 };
  const faults: string[] = [];
  let infeasible = 0;
  for (let seed = from; seed < from + count; seed++) {
    const drawn = machine(seed);
    for (const feature of drawn.features) features[feature]++;
    const found = faultsOf(highs, drawn);
    if (!found.whole) infeasible++;
    faults.push(...found.faults.map((fault) => `seed ${seed}: ${fault}`));
    if ((seed - from + 1) % 100 === 0) tell(`  ${seed - from + 1} machines solved twice, ${faults.length} faults`);
  }
  return { faults, infeasible, features };
}

/** Drawn supplies whose plugs are dealt twice, by ours and by a general mixed-integer solver: what differs, by seed. */
export async function dealPlugsTwice(from: number, count: number, tell: (line: string) => void): Promise<string[]> {
  const highs = await highsLoader();
  const faults: string[] = [];
  for (let seed = from; seed < from + count; seed++) {
    faults.push(...plugFaults(highs, drawnPlugs(seed)).map((fault) => `seed ${seed}: ${fault}`));
    if ((seed - from + 1) % 100 === 0) tell(`  ${seed - from + 1} supplies dealt twice, ${faults.length} faults`);
  }
  return faults;
}

/** The flow of drawn machines by the narrowest link and by a general linear program: what differs by 0.1 MB/s. */
export async function flowTwice(
  from: number,
  count: number,
  tell: (line: string) => void,
): Promise<{ machines: number; faults: string[] }> {
  const highs = await highsLoader();
  const faults: string[] = [];
  let machines = 0;
  for (let seed = from; machines < count; seed++) {
    const { tree, sets, links } = flowMachine(seed);
    if (sets.length === 0) continue;
    machines++;
    const told = flowOf(tree, sets, links);
    for (const way of ['reading', 'writing'] as const)
      for (const [where, ports] of [
        ['inside', []],
        ['several', told.ports],
      ] as const) {
        const other = rateByProgram(highs, tree, sets, ports, way);
        if (Math.abs(told[where][way].mbPerS - other) > 0.1)
          faults.push(`seed ${seed}, ${way} ${where}: ${told[where][way].mbPerS} and ${other} MB/s`);
      }
    if (machines % 100 === 0) tell(`  flow of ${machines} machines found twice, ${faults.length} faults`);
  }
  return { machines, faults };
}
