import highsLoader from 'highs';
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
