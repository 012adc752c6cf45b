import { readFileSync } from 'node:fs';
import { allRemedies, createAssessor, wordsOf, type Build, type Snag } from '@inch-tower/core';
import { AS_OF } from '../../core/src/testing/fixture';
import { loadDemoBuilds, loadDemoCatalogue } from '../loadDemo';
import { REVIEWED } from './builds';
import { DEMO_VERDICTS } from './demoVerdicts';
import { reviewedPage } from './page';

const catalogue = loadDemoCatalogue();
const codesOf = (snags: readonly Snag[], severity: Snag['severity']) => [
  ...new Set(snags.filter((snag) => snag.severity === severity).map(({ code }) => code)),
];

test.each(REVIEWED.map((one) => [one.id, one] as const))('%s is judged as a builder would', (_id, one) => {
  const { build } = one.made();
  const assessment = createAssessor().assess(build, AS_OF);
  const said = assessment.snags.map((snag) => `${snag.severity} ${snag.code}: ${wordsOf(snag).what}`);
  expect({ said, blockers: codesOf(assessment.snags, 'blocker').sort() }).toEqual({
    said,
    blockers: [...(one.blockers ?? [])].sort(),
  });
  expect({ said, cautions: codesOf(assessment.snags, 'caution').sort() }).toEqual({
    said,
    cautions: [...(one.cautions ?? [])].sort(),
  });
  expect(assessment.open.map(({ label }) => label)).toEqual([]);
  const cables = new Map(assessment.needs.needs.map(({ cable, count }) => [cable.id as string, count]));
  for (const [kind, count] of Object.entries(one.cables ?? {})) expect([kind, cables.get(kind)]).toEqual([kind, count]);
  for (const [code, title] of Object.entries(one.first ?? {})) {
    const snag = assessment.snags.find((each) => each.code === code)!;
    const [first] = allRemedies({ build, assessment }, snag, catalogue, createAssessor(), AS_OF);
    expect(first?.title ?? 'none').toMatch(title);
  }
});

const assessed = (build: Build) => createAssessor().assess(build, AS_OF);
/** What may burn, starve or cook something: power and air. */
const harms = (build: Build) =>
  assessed(build)
    .snags.filter(({ code, severity }) => severity !== 'note' && /^(powered|cooled)\./.test(code))
    .map(({ code }) => code);

test.each(REVIEWED.map((one) => [one.id, one] as const))('%s: no first fix brings harm with it', (_id, one) => {
  const { build } = one.made();
  const assessment = assessed(build);
  const before = harms(build);
  for (const snag of assessment.snags) {
    const [first] = allRemedies({ build, assessment }, snag, catalogue, createAssessor(), AS_OF);
    const after = first ? harms(first.after).filter((harm) => !before.includes(harm)) : [];
    expect([snag.key, first?.title, after]).toEqual([snag.key, first?.title, []]);
  }
});

test('the page of reviewed builds is what they are today', () => {
  expect(readFileSync('docs/reviewed-builds.md', 'utf8')).toBe(reviewedPage());
});

test.each(loadDemoBuilds().map((build) => [build.id, build] as const))(
  '%s: every snag was read by a builder, and none that was read is missing',
  (id, build) => {
    const codes = assessed(build).snags.map(({ code }) => code as string);
    expect([...new Set(codes)].sort()).toEqual(Object.keys(DEMO_VERDICTS[id] ?? {}).sort());
  },
);
