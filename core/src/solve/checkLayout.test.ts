import { cube } from '../testing/fixture';
import type { Layout } from '../build/layout';
import { checkLayout } from './checkLayout';
import { problemOf } from './problem';

const made = cube()
  .add('tern-8i')
  .add('barge-8', 4)
  .add('pike-960', 2, { at: ['u2/roof.1', 'u2/roof.2'] });
const problem = problemOf(made.build);
const { layout } = made.build;
const drive = made.unit('barge-8', 1);
const other = made.unit('barge-8', 2);
const codes = (change: (copy: Layout) => void) => {
  const copy = structuredClone(layout);
  change(copy);
  return checkLayout(problem, copy).map((fault) => fault.code);
};

test('a settled layout has no fault', () => {
  expect(checkLayout(problem, layout)).toEqual([]);
});

test.each<[string, (copy: Layout) => void]>([
  [
    'noUnit',
    (copy) => {
      copy.at.u999 = copy.at[drive]!;
    },
  ],
  [
    'noSpot',
    (copy) => {
      copy.at[drive]!.spot.n = 9;
    },
  ],
  [
    'noSpot',
    (copy) => {
      copy.at[drive]!.spot.key = 'attic';
    },
  ],
  [
    'twice',
    (copy) => {
      copy.at[drive]!.spot = { ...copy.at[other]!.spot };
    },
  ],
  [
    'mismatch',
    (copy) => {
      copy.at[made.unit('drover-4')] = { spot: { host: made.unit('larder-8'), key: 'supply' }, how: 'put' };
    },
  ],
  [
    'notHosted',
    (copy) => {
      delete copy.at[made.unit('larder-8')];
    },
  ],
  [
    'portTwice',
    (copy) => {
      copy.wires.push({ ...copy.wires[0]!, device: [{ host: 'u2', key: 'cage-feed', n: 2 }] });
    },
  ],
  [
    'endTwice',
    (copy) => {
      copy.wires.push({ ...copy.wires[0]!, host: [{ host: made.unit('tern-8i'), key: 'port', n: 2 }] });
    },
  ],
  [
    'cable',
    (copy) => {
      copy.wires[0]!.cable = 'string';
    },
  ],
  [
    'noEnd',
    (copy) => {
      copy.wires[0]!.device = [{ host: 'u2', key: 'cage-feed', n: 7 }];
    },
  ],
  [
    'noEnd',
    (copy) => {
      copy.wires[0]!.host = [{ host: 'u999', key: 'port', n: 1 }];
    },
  ],
])('a layout tampered with is found out: %s', (code, change) => {
  expect(codes(change)).toContain(code);
});

test('a cable on a port that an M.2 module has switched off is found out', () => {
  const off = cube()
    .add('reed-250', 1, { at: ['u4/m2b'] })
    .add('pike-960', 2, { at: ['u2/roof.1', 'u2/roof.2'] });
  const copy = structuredClone(off.build.layout);
  copy.wires[0]!.host = [{ host: off.unit('wren-c8'), key: 'sata', n: 4 }];
  expect(checkLayout(problemOf(off.build), copy).map((fault) => fault.code)).toContain('portOff');
});

test('a SAS drive on a SATA port is found out', () => {
  const sas = cube().add('sluice-8', 1, { at: ['u2/cage.1'] });
  const copy: Layout = {
    ...sas.build.layout,
    wires: [
      {
        cable: 'reverse:sata:sff-8643',
        host: [{ host: sas.unit('wren-c8'), key: 'sata', n: 1 }],
        device: [{ host: 'u2', key: 'cage-feed', n: 1 }],
        lanes: [1],
        how: 'put',
      },
    ],
  };
  expect(checkLayout(problemOf(sas.build), copy).map((fault) => fault.code)).toContain('protocol');
});
