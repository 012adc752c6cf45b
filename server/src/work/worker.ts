import {
  billCsv,
  billOf,
  cardOf,
  createAssessor,
  drawingSvg,
  sceneOf,
  wordsOf,
  parseBuildText,
} from '@inch-tower/core';
import type { Job } from './jobs';

/** What is computed of a build away from the thread that answers requests; every answer is text. */
export default function work({ what, doc, asOf }: Job): string {
  const parsed = parseBuildText(doc);
  if (!parsed.ok) throw new Error(parsed.words);
  const { build } = parsed;
  if (what === 'card') return JSON.stringify(cardOf(build, { asOf }));
  const assessor = createAssessor();
  const assessment = assessor.assess(build, { asOf });
  const { units, layout } = assessment;
  if (what === 'bill') return billCsv(billOf(build, assessment));
  if (what === 'drawing') return drawingSvg(build, sceneOf(units, layout).boxes);
  const { units: _units, ...plain } = assessment;
  return JSON.stringify({
    ...plain,
    states: assessor.keyed(build),
    unplaced: plain.unplaced.map((unit) => unit.id),
    unconnected: plain.unconnected.map((unit) => unit.id),
    needs: plain.needs.needs,
    snags: plain.snags.map((snag) => ({ ...snag, ...wordsOf(snag) })),
  });
}
