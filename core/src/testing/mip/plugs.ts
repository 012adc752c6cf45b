import type { Highs } from 'highs';
import { placePlugs, type Bin, type Placed, type Splitter, type Want } from '../../plugs/place';
import { PLUG_A } from '../../needs/plugLoads';
import type { PlugKind } from '../../parts/vocabulary';
import { leastInTurn, Program, type Sum, type Term } from './program';

export type PlugProblem = {
  readonly wants: readonly Want[];
  readonly chains: readonly Bin[];
  readonly splitters: readonly Splitter[];
};

/** A generator of whole numbers below a bound, the same for the same seed (Numerical Recipes' congruence). */
const drawer = (seed: number) => {
  let state = (seed * 2654435761) >>> 0;
  return (below: number): number => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return Math.floor((state / 2 ** 32) * below);
  };
};

/** A drawn supply with a few cables, inputs of a few sorts, some put by hand, and now and then splitters. */
export function drawnPlugs(seed: number): PlugProblem {
  const below = drawer(seed);
  const one = <T>(list: readonly T[]): T => list[below(list.length)]!;
  const kinds: readonly PlugKind[] = one([
    ['sata-power'],
    ['sata-power', 'peripheral'],
    ['sata-power', 'peripheral', '8-pin-card', '6-pin-card'],
    ['8-pin-cpu', '4-pin-cpu', 'sata-power'],
  ] as const);
  const sorts = Array.from({ length: 1 + below(3) }, (): Want => {
    const [a12, a5] = [one([0, 0.5, 1.2, 1.8, 2.2, 3.5]), one([0, 0.4, 0.7, 1.5])];
    return {
      plug: one(kinds),
      start: { a12, a5 },
      run: { a12: Math.round(a12 * 400) / 1000, a5 },
      disks: one([0, 1, 1, 1]),
    };
  });
  const chains = Array.from({ length: 1 + below(4) }, (): Bin => {
    const startA = one([4.5, 6, 8, 8]);
    return {
      plugs: Object.fromEntries(kinds.map((kind) => [kind, below(5)])),
      startA,
      runA: one([startA, startA * 0.8]),
    };
  });
  const wants = Array.from({ length: 1 + below(9) }, (): Want => {
    const how = (['solved', 'put', 'held'] as const)[below(3)]!;
    const wish = below(5) === 0 ? { wish: { chain: below(chains.length), how } } : {};
    return { ...one(sorts), ...wish };
  });
  const splitters = Array.from({ length: below(2) * below(3) }, (): Splitter => ({
    takes: one(kinds),
    gives: { 'sata-power': 2 },
    ratedA: one([4.5, 6, 9]),
  }));
  return { wants, chains, splitters };
}

const BROKEN = { solved: 0, put: 1, held: 100 } as const;
const mA = (amps: number) => Math.round(amps * 1000);

/** The same question for a general mixed-integer solver, level by level. */
function leastPlugs(highs: Highs, { wants, chains, splitters }: PlugProblem): readonly number[] | null {
  const program = new Program();
  const direct = wants.map(() => chains.map(() => program.yes()));
  const sits = splitters.map(() => chains.map(() => program.yes()));
  const hangs = wants.map(({ plug }) => splitters.map((one) => (one.gives[plug] ? program.yes() : null)));
  const through = wants.map((_, w) =>
    splitters.map((_, s) =>
      chains.map((_, c) => {
        const [hang, sit] = [hangs[w]![s]!, sits[s]![c]!];
        if (hang === null) return null;
        const both = program.yes();
        program.atLeast(
          [
            [both, 1],
            [hang, -1],
            [sit, -1],
          ],
          -1,
        );
        program.atMost(
          [
            [both, 1],
            [hang, -1],
          ],
          0,
        );
        program.atMost(
          [
            [both, 1],
            [sit, -1],
          ],
          0,
        );
        return both;
      }),
    ),
  );
  const plain = (list: readonly (number | null)[], factor = 1): Term[] =>
    list.flatMap((one): Term[] => (one === null ? [] : [[one, factor]]));
  wants.forEach((_, w) => program.atMost([...plain(direct[w]!), ...plain(hangs[w]!)], 1));
  splitters.forEach(({ gives }, s) => {
    program.atMost(plain(sits[s]!), 1);
    for (const plug of new Set(wants.map((want) => want.plug))) {
      const on = wants.flatMap((want, w) => (want.plug === plug ? [hangs[w]![s]!] : []));
      // Nothing hangs on a splitter that is on no cable.
      if (gives[plug]) program.atMost([...plain(on), ...plain(sits[s]!, -gives[plug])], 0);
    }
    program.atLeast([...wants.flatMap((_, w) => plain([hangs[w]![s]!])), ...plain(sits[s]!, -1)], 0);
  });
  chains.forEach(({ plugs }, c) => {
    const taken = (plug: PlugKind, factor = 1): Term[] => [
      ...wants.flatMap((want, w): Term[] => (want.plug === plug ? [[direct[w]![c]!, factor]] : [])),
      ...splitters.flatMap((one, s): Term[] => (one.takes === plug ? [[sits[s]![c]!, factor]] : [])),
    ];
    const has = (plug: PlugKind) => plugs[plug] ?? 0;
    for (const plug of ['sata-power', 'peripheral', '8-pin-card', '8-pin-cpu', '24-pin', 'dc-jack'] as const)
      program.atMost(taken(plug), has(plug));
    program.atMost([...taken('6-pin-card'), ...taken('8-pin-card')], has('6-pin-card') + has('8-pin-card'));
    program.atMost([...taken('4-pin-cpu'), ...taken('8-pin-cpu', 2)], has('4-pin-cpu') + 2 * has('8-pin-cpu'));
  });
  const levels: Sum[] = [];
  const level = (terms: readonly Term[], constant = 0) => levels.push({ terms, constant });
  level(
    wants.flatMap((_, w) => [...plain(direct[w]!, -1), ...plain(hangs[w]!, -1)]),
    wants.length,
  );
  const elsewhere = (factorOf: (how: 'solved' | 'put' | 'held') => number): Term[] =>
    wants.flatMap(({ wish }, w) =>
      wish && factorOf(wish.how) > 0
        ? chains.flatMap((_, c): Term[] =>
            c === wish.chain
              ? []
              : [direct[w]![c]!, ...splitters.map((_, s) => through[w]![s]![c]!)].flatMap((one) =>
                  plain([one], factorOf(wish.how)),
                ),
          )
        : [],
    );
  level(elsewhere((how) => BROKEN[how]));
  for (const when of ['start', 'run'] as const) {
    const overs: Term[] = [];
    for (const rail of ['a12', 'a5'] as const) {
      const past = (terms: readonly Term[], limit: number) => {
        const over = program.amount();
        program.atLeast([[over, 1], ...terms.map(([one, factor]): Term => [one, -factor])], -limit);
        overs.push([over, 1]);
      };
      const load = ({ start, run }: Want) => mA((when === 'start' ? start : run)[rail]);
      chains.forEach(({ startA, runA }, c) =>
        past(
          wants.flatMap((want, w) => [
            ...plain([direct[w]![c]!], load(want)),
            ...splitters.flatMap((_, s) => plain([through[w]![s]![c]!], load(want))),
          ]),
          mA(when === 'start' ? startA : runA),
        ),
      );
      splitters.forEach(({ ratedA, takes }, s) =>
        past(
          wants.flatMap((want, w) => plain([hangs[w]![s]!], load(want))),
          mA(Math.min(ratedA, PLUG_A[takes] ?? 1e4)),
        ),
      );
    }
    level(overs);
  }
  const nears: Term[] = [];
  for (const rail of ['a12', 'a5'] as const)
    chains.forEach(({ runA }, c) => {
      const near = program.amount();
      const load = ({ run }: Want) => mA(run[rail]);
      program.atLeast(
        [
          [near, 1],
          ...wants.flatMap((want, w) => [
            ...plain([direct[w]![c]!], -load(want)),
            ...splitters.flatMap((_, s) => plain([through[w]![s]![c]!], -load(want))),
          ]),
        ],
        -mA(0.8 * runA),
      );
      nears.push([near, 1]);
    });
  level(nears);
  level(splitters.flatMap((_, s) => plain(sits[s]!)));
  const disks = chains.map((_, c): Term => {
    const over = program.amount();
    program.atLeast(
      [
        [over, 1],
        ...wants.flatMap((want, w) => [
          ...plain([direct[w]![c]!], -1000 * want.disks),
          ...splitters.flatMap((_, s) => plain([through[w]![s]![c]!], -1000 * want.disks)),
        ]),
      ],
      -4000,
    );
    return [over, 1];
  });
  level(disks);
  level(elsewhere((how) => Number(how === 'solved')));
  level(
    chains.map((_, c): Term => {
      const used = program.yes();
      for (const one of [...wants.map((_, w) => direct[w]![c]!), ...splitters.map((_, s) => sits[s]![c]!)])
        program.atLeast(
          [
            [used, 1],
            [one, -1],
          ],
          0,
        );
      return [used, 1];
    }),
  );
  return leastInTurn(highs, program, levels);
}

/** The levels of a placement counted from what it says is where; null where it breaks a plug or splitter. */
export function reckonPlugs(
  { wants, chains, splitters }: PlugProblem,
  { on, splitters: sitting }: Placed,
): readonly number[] | null {
  const loadsOn = (is: (w: number) => boolean) => wants.filter((_, w) => is(w));
  const sumOf = (list: readonly Want[], when: 'start' | 'run', rail: 'a12' | 'a5') =>
    list.reduce((all, want) => all + mA(want[when][rail]), 0);
  const [over, disks]: [Record<'start' | 'run', number>, number[]] = [{ start: 0, run: 0 }, []];
  const past = (list: readonly Want[], when: 'start' | 'run', limitA: number) => {
    for (const rail of ['a12', 'a5'] as const) over[when] += Math.max(0, sumOf(list, when, rail) - mA(limitA));
  };
  for (const [s, { gives, ratedA, takes }] of splitters.entries()) {
    const hung = loadsOn((w) => on[w]?.splitter === s);
    if (hung.length > 0 !== (sitting[s] !== null)) return null;
    for (const { plug } of hung) if (hung.filter((one) => one.plug === plug).length > (gives[plug] ?? 0)) return null;
    for (const when of ['start', 'run'] as const) past(hung, when, Math.min(ratedA, PLUG_A[takes] ?? 1e4));
  }
  let [cables, near] = [0, 0];
  for (const [c, { plugs, startA, runA }] of chains.entries()) {
    const own = loadsOn((w) => on[w]?.chain === c);
    const taken = [
      ...wants.filter((_, w) => on[w]?.chain === c && on[w].splitter === null).map(({ plug }) => plug),
      ...splitters.filter((_, s) => sitting[s] === c).map(({ takes }) => takes),
    ];
    const count = (plug: PlugKind) => taken.filter((one) => one === plug).length;
    const spare = (plug: PlugKind) => (plugs[plug] ?? 0) - count(plug);
    const fitting =
      spare('6-pin-card') + Math.max(0, spare('8-pin-card')) >= 0 &&
      spare('4-pin-cpu') + 2 * Math.max(0, spare('8-pin-cpu')) >= 0 &&
      (['sata-power', 'peripheral', '8-pin-card', '8-pin-cpu'] as const).every((plug) => spare(plug) >= 0);
    if (!fitting) return null;
    past(own, 'start', startA);
    past(own, 'run', runA);
    for (const rail of ['a12', 'a5'] as const) near += Math.max(0, sumOf(own, 'run', rail) - mA(0.8 * runA));
    disks.push(Math.max(0, 1000 * own.reduce((all, want) => all + want.disks, 0) - 4000));
    cables += Number(own.length > 0);
  }
  return [
    on.filter((one) => !one).length,
    wants.reduce((all, { wish }, w) => all + (wish && on[w] && on[w].chain !== wish.chain ? BROKEN[wish.how] : 0), 0),
    over.start,
    over.run,
    near,
    sitting.filter((one) => one !== null).length,
    disks.reduce((all, one) => all + one, 0),
    wants.filter(({ wish }, w) => wish?.how === 'solved' && on[w] && on[w].chain !== wish.chain).length,
    cables,
  ];
}

/** What is wrong with the answer to one drawn question, by the general solver and a recount. */
export function plugFaults(highs: Highs, problem: PlugProblem): string[] {
  const placed = placePlugs(problem.wants, problem.chains, problem.splitters);
  const [least, reckoned] = [leastPlugs(highs, problem), reckonPlugs(problem, placed)];
  return [
    ...(placed.whole ? [] : ['undecided']),
    ...(reckoned?.join() === placed.score.join()
      ? []
      : [`counted ${reckoned?.join(' ')}, said ${placed.score.join(' ')}`]),
    ...(least?.join() === placed.score.join()
      ? []
      : [`${placed.score.join(' ')} is not the least ${least?.join(' ')}`]),
  ];
}
