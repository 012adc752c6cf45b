import { assess, createAssessor } from '../assess';
import { AS_OF, cube, fixture, tweak, type Fixture } from '../testing/fixture';
import { rack } from '../testing/rules';
import { wiringFor } from '../wiring/wiring';
import { FILE_SHARE } from './flow';
import { feltAt, poolFlows } from './flows';
import { flowTold } from './flowTold';
import { Ledger, rangeOfQuantity } from '../figures/quantity';
import type { FlowLink } from './links';
import { rateQuantity } from './rateQuantity';

const flowsOf = ({ build }: Fixture) => {
  const { units, layout } = assess(build, AS_OF);
  return poolFlows(units, layout, build.pool, build.brief.failuresSurvived, build.site.links);
};
const onCard = (link: FlowLink) => link.kind === 'card';

describe('what a narrow link costs', () => {
  // Eight disks of 180 MB/s in double parity on a chip of 600: 600 × 6 / 8 of files; without it 6 × 180 = 1,080.
  test('felt by clients where nothing before it is narrower', () => {
    const made = rack(tweak('tern-8i', { throughputMBps: 600 }))
      .add('tern-8i')
      .add('barge-8', 8);
    const felt = feltAt(flowsOf(made), onCard)!;
    expect(felt).toMatchObject({ by: 'clients', holds: { link: { kind: 'drive' }, count: 8 } });
    expect([felt.mbPerS, felt.curedMBps]).toEqual([450, 1080]);
  });

  // The same on a chip of 1,500: 1,125 of files. The drives give 1,080 before it does.
  test('not felt where the drives give less', () => {
    const made = rack(tweak('tern-8i', { throughputMBps: 1500 }))
      .add('tern-8i')
      .add('barge-8', 8);
    expect(feltAt(flowsOf(made), onCard)).toMatchObject({ by: 'nothing', mbPerS: 1080 });
  });

  // Eight SSDs of 530 in double parity on a chip of 2,000: 1,500 inside, where 3,180 would go; the network takes 1,124.
  test('felt inside alone where the network is narrower', () => {
    const made = rack(tweak('tern-8i', { throughputMBps: 2000 }))
      .add('tern-8i')
      .add('pike-960', 8);
    expect(feltAt(flowsOf(made), onCard)).toMatchObject({ by: 'inside', mbPerS: 1500, curedMBps: 3180 });
  });

  test('told by nobody where no data of a pool goes through it', () => {
    expect(feltAt(flowsOf(rack().add('tern-8i')), onCard)).toBeNull();
    expect(feltAt(flowsOf(cube().add('barge-8', 4)), onCard)).toBeNull();
  });
});

describe('how fast files go, as a figure', () => {
  const machines: readonly (readonly [string, () => Fixture])[] = [
    ['a cube', () => cube().add('tern-8i').add('barge-8', 8)],
    ['a rack of flash', () => rack().add('tern-16i').add('pike-960', 16)],
    ['a box on USB', () => fixture().add('satchel-1').add('clew-s16').add('annex-4').add('barge-16', 4)],
  ];
  test.each(machines)('it is what the flow of the pool tells: %s', (_name, make) => {
    const { build } = make();
    const assessor = createAssessor();
    const assessment = assessor.assess(build, AS_OF);
    const told = flowTold(assessor.context(build), wiringFor(build, assessment)).pools[0]!.flow.one;
    const { 'flow.readMBps': read, 'flow.writeMBps': written } = assessment.figures;
    expect(read!.value).toBeCloseTo(told.reading.mbPerS, 9);
    expect(written!.value).toBeCloseTo(told.writing.mbPerS, 9);
    expect(read!.lo).toBeLessThan(read!.value);
    expect(read!.hi).toBeGreaterThanOrEqual(read!.value);
  });

  // Four disks of 261 in single parity: 783; 2.5 Gb/s of network carries 294.25, of files 281.
  test('the network holds it back, and its working says what each link would allow', () => {
    const { build } = fixture().add('satchel-1').add('clew-s16').add('annex-4').add('barge-16', 4);
    const { figure, working } = createAssessor().explain(build, 'flow.readMBps')!;
    expect(figure.value).toBeCloseTo(294.25 * FILE_SHARE, 6);
    const links = working.of.map((line) => ('label' in line ? [line.label, Math.round(line.value)] : []));
    expect(links).toEqual(
      expect.arrayContaining([
        ['4 × Barge 16 TB', 783],
        ['2.5 Gb/s network', 281],
      ]),
    );
  });

  test('without drives there is none; without a network port it is what the machine itself gets', () => {
    expect(assess(cube().build, AS_OF).figures['flow.readMBps']).toBeUndefined();
    const alone = cube(tweak('wren-c8', { networkPorts: [] })).add('barge-8', 4);
    expect(assess(alone.build, AS_OF).figures['flow.readMBps']).toMatchObject({ value: 540, note: 'no network port' });
  });

  test('a link that carries nothing is a rate of nothing, and no number that is none', () => {
    const made = rack(tweak('tern-8i', { throughputMBps: 600 }))
      .add('tern-8i')
      .add('barge-8', 8);
    const { units } = assess(made.build, AS_OF);
    const [pool] = flowsOf(made).pools;
    const dead = pool!.flow.inside.reading.links.map((one) =>
      one.link.kind === 'cable' || one.link.kind === 'slot'
        ? { ...one, allowsMBps: 0, link: { ...one.link, carriesMBps: 0 } }
        : one,
    );
    const rate = { ...pool!.flow.inside.reading, links: dead, mbPerS: 0 };
    expect(rateQuantity('Read', rate, units, new Ledger(false))).toMatchObject({ value: 0 });
    expect(rangeOfQuantity(rateQuantity('Read', rate, units, new Ledger(false))!)).toEqual({ lo: 0, hi: 0 });
  });
});
