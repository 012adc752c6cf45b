import highsLoader from 'highs';
import { machine } from '../core/src/testing/mip/machines';
import { solve, scoreOf } from '../core/src/place/solve';
import { levelsOf } from '../core/src/place/solver/score';
import { RECKONED, reckon } from '../core/src/testing/reckon';
import { encode } from '../core/src/testing/mip/encode';
import { leastInTurn } from '../core/src/testing/mip/program';
const highs = await highsLoader();
for (const seed of process.argv.slice(2).map(Number)) {
  const { problem, hint } = machine(seed);
  const { layout } = solve(problem, hint);
  const e = encode(problem, hint, layout.at);
  const least = leastInTurn(highs, e.program, e.levels)!;
  const lv = levelsOf(scoreOf(problem, hint));
  const rk = reckon(problem, hint, layout);
  console.log('=== seed', seed); console.log(RECKONED.map((r, i) => (lv[i] !== least[i] || rk[i] !== least[i] ? `${r}: solver ${lv[i]} mip ${least[i]} reckon ${rk[i]}` : '')).filter(Boolean).join('; '));
  for (const u of problem.units) if (!u.builtIn) console.log(u.id, u.part.id, u.role ?? '', 'hint', hint.at[u.id] ? `${hint.at[u.id]!.spot.host}/${hint.at[u.id]!.spot.key}.${hint.at[u.id]!.spot.n ?? ''} ${hint.at[u.id]!.how}` : '-', hint.dormant[u.id] ? `sleeps ${JSON.stringify(hint.dormant[u.id]!.spot)}` : '', 'now', layout.at[u.id] ? `${layout.at[u.id]!.spot.host}/${layout.at[u.id]!.spot.key}.${layout.at[u.id]!.spot.n ?? ''}` : '-');
  const w = (x: typeof hint.wires) => x.map((y) => `${y.lead} ${y.host.map((h) => `${h.host}/${h.key}.${h.n ?? ''}`)} > ${y.device.map((h) => `${h.host}/${h.key}.${h.n ?? ''}`)}`).join('\n   ');
  console.log('hint wires', w(hint.wires), '\nnow wires', w(layout.wires), 'modes', layout.modes, 'hint modes', hint.modes);
  for (const u of problem.units) if (u.part.kind === 'board') console.log(JSON.stringify(u.part.slots.map((s) => [s.key, s.position, s.lanes, s.wiredLanes, s.openEnd, s.bifurcates])), JSON.stringify(u.part.rules), JSON.stringify(u.part.modes), JSON.stringify(u.part.connectors.map((c) => [c.key, c.count, c.gbPerLane])), JSON.stringify(u.part.m2Sockets.map((c) => [c.key, c.carries])));
  else if (u.part.kind === 'chassis') console.log(JSON.stringify(u.part.bayGroups.map((g) => [g.key, g.rows * g.columns, g.takes, g.backplane?.type, g.backplane?.baysPerConnector, g.backplane?.connectors.map((c) => [c.count, c.kind])])), u.part.openings[0]!.count);
}
process.exit(0);
