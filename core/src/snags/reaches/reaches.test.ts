import {
  find,
  said,
  tower,
  firstRemedy,
  rack,
  archetype,
  bayGroupsWith,
  behindOnePort,
  type Pair,
} from '../../testing/rules';
import { catalogue, cube, fixture, tweak, type Fixture } from '../../testing/fixture';
import type { Catalogue } from '../../parts/catalogue';
import type { Archetype, Sheet } from '../../parts/sheet';
const bifurcated = (ways?: string[]) =>
  tweak('gannet-e8', {
    slots: archetype('board-server').slots.map((slot) => ({ ...slot, ...(ways ? { bifurcates: ways } : {}) })),
  });
const gen4 = () =>
  tweak('gannet-e8', {
    slots: archetype('board-server').slots.map((slot) => ({ ...slot, gen: 4, bifurcates: ['x4x4x4x4'] })),
  });
/** A board whose slots part as given, in a tower. */
const parting = (ways?: string[]): Catalogue =>
  tweak('plover-a6', {
    slots: (catalogue.sheets['plover-a6'] as Sheet<'board'>).slots!.map(({ bifurcates: _own, ...slot }) => ({
      ...slot,
      ...(ways ? { bifurcates: ways } : {}),
    })),
  });
const partedTower = (ways?: string[]) => tower(parting(ways));
/** The cable card without a word on how its ports share. */
const unsaid = (from: Catalogue): Catalogue => {
  const { pcieBy: _sheet, ...card } = from.sheets['heron-2']! as Sheet<'controller'>;
  const { pcieBy: _class, ...plain } = from.archetypes['nvme-card']! as Archetype<'controller'>;
  return {
    sheets: { ...from.sheets, 'heron-2': card },
    archetypes: { ...from.archetypes, 'nvme-card': plain },
  };
};
/** A module that gives more than a socket of generation 3 carries. */
const fastOn = (from: Catalogue) => tweak('stickle-500', { sequentialMBps: 6000 }, from);
const onCarrier = (from: Catalogue) => {
  const made = rack(from).add('punt-4');
  return made.add('stickle-500', 1, { at: [`${made.unit('punt-4')}/m2a`] });
};
const lanesOf = (lanes: number) => tower(tweak('drover-4', { lanes })).add('beacon-120').add('stickle-500');
/** SSDs in a shelf behind the one outside port of a card. */
function shelf(drives: number, from?: Catalogue): Fixture {
  const made = rack(from).add('tern-4i4e').add('loft-16');
  return made.add('pike-960', drives, {
    at: Array.from({ length: drives }, (_, i) => `${made.unit('loft-16')}/front.${i + 1}`),
  });
}
/** A shelf whose expander is known to gather what slower drives send, or not to. */
const gathering = (edgeBuffering: boolean): Catalogue =>
  tweak('loft-16', {
    bayGroups: bayGroupsWith('drive-shelf', { edgeBuffering }),
  });
/** A tower whose board has ten ports, four of them on an added chip. */
const tenPorts = () =>
  fixture().add('steading-t9').add('plover-a10').add('drover-4').add('tarn-155').add('clew-16e', 2).add('ember-650');
/** Four SSDs in a shelf and one of some role. */
const fifth = (role: 'spare' | 'scratch') => {
  const made = shelf(4);
  return made.add('pike-960', 1, { role, at: [`${made.unit('loft-16')}/front.5`] });
};
const modulesOnChipset = (role: 'log' | 'scratch') => {
  const made = tower(tweak('plover-a6', { uplinkLanes: 2, uplinkGen: 3 })).add('stickle-500', 1, { role: 'boot' });
  const board = made.unit('plover-a6');
  return made.add('stickle-500', 1, { role, at: [`${board}/m2b`] });
};
/** Three shelves on a card of one outside port; a bracket leads its inside port to a second. */
const threeShelves = (from?: Catalogue) =>
  fixture(from).add('creel-2w').add('wren-c8').add('tern-4i4e').add('loft-16', 3).add('barge-8', 48);
const PAIRS: readonly Pair[] = [
  [
    'a cage behind a multiplier on plain ports',
    'reaches.multiplier',
    () => behindOnePort(),
    /^blocker: Crib 5 in 3 hangs 4 drives on one SATA port; no port here drives a multiplier\.$/,
    () => behindOnePort((made) => made.add('stilt-10')),
  ],
  [
    'a controller with as many drives as it takes while others wait',
    'reaches.mostDevices',
    () =>
      rack(tweak('tern-8e', { mostDevices: 10 }))
        .add('tern-8e')
        .add('loft-16')
        .add('barge-8', 20),
    /^caution: Tern 8e takes 10 drives; 2 more wait for a port\.$/,
    () =>
      rack(tweak('tern-8e', { mostDevices: 12 }))
        .add('tern-8e')
        .add('loft-16')
        .add('barge-8', 20),
  ],
  [
    'a drive larger than its controller sees',
    'reaches.largestDrive',
    () =>
      rack(tweak('tern-8i', { largestDriveBytes: 2.2e12 }))
        .add('tern-8i')
        .add('barge-8', 24),
    /^blocker: 8 drives of 8 TB on Tern 8i, which sees 2\.2 TB of a drive\.$/,
    () =>
      rack(tweak('tern-8i', { largestDriveBytes: 8e12 }))
        .add('tern-8i')
        .add('barge-8', 24),
  ],
  [
    'an x8 controller of eight SSDs on four lanes',
    'reaches.slotLink',
    () =>
      rack()
        .add('tern-8i', 1, { at: ['u4/pcie6'] })
        .add('pike-960', 8),
    /^note: Tern 8i \(x8, generation 3\) is on x4 .*: 3,428 MB\/s of 4,240 MB\/s asked\. Not felt: the 10 Gb\/s network carries less\.$/,
    () =>
      rack()
        .add('tern-8i', 1, { at: ['u4/pcie1'] })
        .add('pike-960', 8),
  ],
  [
    'an x16 card in a slot wired x8 is a note',
    'reaches.slotLink',
    () => rack(tweak('beacon-120', { thickSlots: 1 })).add('beacon-120', 1, { at: ['u4/pcie4'] }),
    /^note: Beacon 120 \(x16, generation 3\) is on x8/,
    () => rack(tweak('beacon-120', { thickSlots: 1 })).add('beacon-120', 1, { at: ['u4/pcie2'] }),
  ],
  [
    'a shelf without a port for its uplink',
    'reaches.portsShort',
    () => threeShelves(tweak('loft-16', { bayGroups: bayGroupsWith('drive-shelf', {}, { role: 'device' }) })),
    /^blocker: 16 drives in Loft 16 [A-Z]+3 have no cable: no port is left that an uplink could go to\.$/,
    () => threeShelves(),
  ],
  [
    'more SSDs on a card than it carries',
    'reaches.cardUplink',
    () => rack().add('tern-16i').add('pike-960', 13),
    /^note: 13 drives on Tern 16i could give 6,890 MB\/s; its chip carries 6,400 MB\/s\. Not felt: the 10 Gb\/s network carries less\.$/,
    () => rack().add('tern-16i').add('pike-960', 12),
  ],
  [
    'more SSDs on a card than its link carries',
    'reaches.cardUplink',
    () =>
      rack(tweak('tern-16i', { throughputMBps: 9600 }))
        .add('tern-16i')
        .add('pike-960', 13),
    /its link \(x8, generation 3\) carries 6,856 MB\/s\. Not felt: the 10 Gb\/s network carries less\.$/,
    () =>
      rack(tweak('tern-16i', { throughputMBps: 9600 }))
        .add('tern-16i')
        .add('pike-960', 12),
  ],
  [
    'disks on a card whose chip carries less than the network',
    'reaches.cardUplink',
    () =>
      rack(tweak('tern-8i', { throughputMBps: 600 }))
        .add('tern-8i')
        .add('barge-8', 8),
    /^caution: 8 drives on Tern 8i could give 1,440 MB\/s; its chip carries 600 MB\/s\. Clients \w+ at 450 instead of 1,0\d\d MB\/s\.$/,
    () => rack().add('tern-8i').add('barge-8', 8),
  ],
  [
    'a generation 4 module in a socket of generation 3',
    'reaches.m2Link',
    () => cube(tweak('stickle-500', { sequentialMBps: 6000 })).add('stickle-500', 1, { at: ['u4/m2b'] }),
    /^caution: Stickle 500 GB NVMe \(generation 4, x4\) is in .* at generation 3, x4: 3,428 MB\/s of 6,000 MB\/s\.$|^note: /,
    () => cube().add('stickle-500', 1, { at: ['u4/m2b'] }),
  ],
  [
    'a generation 4 module on a carrier in a slot of generation 3',
    'reaches.m2Link',
    () => onCarrier(fastOn(bifurcated(['x4x4x4x4']))),
    /is in M\.2 on the card, 1 at generation 3, x4: 3,428 MB\/s of 6,000 MB\/s\. Only scrubs feel it: 3,428 of 6,000 MB\/s\.$/,
    () => onCarrier(fastOn(gen4())),
  ],
  [
    'a carrier of four in a slot that does not part',
    'reaches.bifurcation',
    () => rack(bifurcated()).add('punt-4').add('stickle-500', 4),
    /^blocker: Punt 4 has 4 sockets; .* does not part, so 1 works\.$/,
    () =>
      rack(bifurcated(['x4x4x4x4']))
        .add('punt-4')
        .add('stickle-500', 4),
  ],
  [
    'two U.2 drives on a cable card without a switch, in a slot that does not part',
    'reaches.bifurcation',
    () => partedTower().add('heron-2').add('crib-u2').add('wels-1920', 2),
    /^blocker: Heron 2 feeds 2 NVMe drives; .* does not part, so 1 works\.$/,
    () =>
      rack(bifurcated(['x4x4']))
        .add('heron-2')
        .add('crib-u2')
        .add('wels-1920', 2),
  ],
  [
    'a cable card of eight lanes under a slot of sixteen that parts in eights',
    'reaches.bifurcation',
    () => partedTower(['x8x8']).add('heron-2').add('crib-u2').add('wels-1920', 2),
    /^blocker: Heron 2 feeds 2 NVMe drives; .* parts as x8x8, so 1 works\.$/,
    () => partedTower(['x4x4x4x4']).add('heron-2').add('crib-u2').add('wels-1920', 2),
  ],
  [
    'ports for NVMe of which nobody says how they share',
    'reaches.bifurcation',
    () => tower(unsaid(parting())).add('heron-2').add('crib-u2').add('wels-1920', 2),
    /^caution: Heron 2 feeds 2 NVMe drives; .* does not part, so 1 works\.$/,
    () => partedTower().add('heron-4s').add('crib-u2').add('wels-1920', 2),
  ],
  [
    'a lane too few in the processor',
    'reaches.laneBudget',
    () => lanesOf(19),
    /^caution: Cards and modules take 20 lanes of Drover 4, which has 19\.$/,
    () => lanesOf(20),
  ],
  [
    'more on the chipset than its uplink carries',
    'reaches.chipsetUplink',
    () =>
      tower(tweak('plover-a6', { uplinkLanes: 2, uplinkGen: 3 }))
        .add('pike-960', 0 + 1)
        .add('pike-960', 3)
        .add('cradle-2', 2),
    /^note: What hangs on the chipset of Plover A6 asks 2,120 MB\/s; its uplink \(x2, generation 3\) carries 1,714 MB\/s\. Only copies inside feel it: 1,286 of 1,590 MB\/s\.$/,
    () => tower().add('pike-960', 3).add('cradle-2', 2),
  ],
  [
    'flash on the ports of an added chip past what its lane carries',
    'reaches.addedChip',
    () => tenPorts().add('cradle-2', 4).add('pike-960', 8),
    /^note: 2 drives on ports 7–10 of Plover A10 could give 1,060 MB\/s; their chip’s own link \(x1, generation 3\) carries 857 MB\/s\. Not felt: the 2\.5 Gb\/s network carries less\.$/,
    () => tenPorts().add('cradle-2', 4).add('pike-960', 7),
  ],
  [
    'more SSDs than an expander’s uplink carries, where it may gather or not',
    'reaches.uplink',
    () => shelf(5),
    /^note: 5 drives in .* share an expander: 2,400 to 4,800 MB\/s, as it gathers or not, for the 2,650 MB\/s asked\. Only copies inside feel it: 1,440 of 1,590 MB\/s\.$/,
    () => shelf(4),
  ],
  [
    'one data SSD more than an uplink carries, where a spare in its place asks nothing',
    'reaches.uplink',
    () => fifth('scratch'),
    /^note: 5 drives in .* for the 2,650 MB\/s asked\. Not felt: the 10 Gb\/s network carries less\.$/,
    () => fifth('spare'),
  ],
  [
    'a second flash module as scratch over the chipset, where as a log it asks what the network brings',
    'reaches.chipsetUplink',
    () => modulesOnChipset('scratch'),
    /^(note|caution): What hangs on the chipset of Plover A6 asks [\d,]+ MB\/s; its uplink/,
    () => modulesOnChipset('log'),
  ],
  [
    'more SSDs than the uplink of an expander that gathers carries',
    'reaches.uplink',
    () => shelf(10, gathering(true)),
    /^note: 10 drives in .* share an expander: 4,800 MB\/s for the 5,300 MB\/s asked\. Only copies inside feel it: 3,840 of 4,240 MB\/s\.$/,
    () => shelf(9, gathering(true)),
  ],
  [
    'SSDs of 6 Gb/s before an expander of 12 that does not gather',
    'reaches.uplink',
    () => shelf(7, gathering(false)),
    /^note: 7 drives in .* share an expander: 2,400 MB\/s for the 3,710 MB\/s asked\. Only copies inside feel it: 1,714 of 2,650 MB\/s\.$/,
    () => shelf(4, gathering(false)),
  ],
  [
    'a RAID card without pass-through',
    'reaches.raid',
    () => rack().add('grebe-8r').add('barge-8', 24),
    /^caution: Grebe 8R puts its own RAID before \d+ drives; it has no pass-through\.$/,
    () =>
      rack(tweak('grebe-8r', { passThrough: true }))
        .add('grebe-8r')
        .add('barge-8', 24),
  ],
];

test.each(PAIRS)('%s', (_what, code, there, sentence, not) => {
  expect(said(there(), code)[0]).toMatch(sentence);
  expect(said(there(), code)[0]!.split(/\s+/).length).toBeLessThanOrEqual(36);
  expect(said(not(), code).filter((one) => sentence.test(one))).toEqual([]);
});

describe('ports', () => {
  test('five drives, four ports', () => {
    expect(said(cube().add('barge-8', 5), 'reaches.portsShort')).toEqual([
      'blocker: 5 drives in bays, 4 ports that can reach them.',
    ]);
    expect(find(cube().add('barge-8', 4), 'reaches.portsShort')).toEqual([]);
  });
  test('the M.2 that switches ports off is named with how many', () => {
    expect(said(cube().add('reed-250', 1, { role: 'boot' }).add('barge-8', 4), 'reaches.portsShort')).toEqual([
      'blocker: 4 drives in bays, 2 ports that can reach them. Reed 250 GB M.2 SATA switches off 2 ports.',
    ]);
  });
  test('enough ports, but of the wrong kind', () => {
    expect(
      said(fixture().add('byre-15').add('plover-a6').add('tern-8i').add('sluice-8', 9), 'reaches.portsShort')[0],
    ).toContain('SAS drives find none of their kind left.');
  });
});

describe('interface', () => {
  test('SAS drives on a board with SATA ports only; an HBA cures it', () => {
    const sas = tower().add('sluice-8', 2);
    expect(said(sas, 'reaches.interface')).toEqual([
      'blocker: 2 SAS drives, and no port here speaks SAS: the ports are SATA.',
    ]);
    expect(find(sas, 'reaches.portsShort')).toEqual([]);
    expect(find(sas.add('tern-8i'), 'reaches.interface')).toEqual([]);
    expect(firstRemedy(sas, 'reaches.interface')[0]).toMatch(/^Add Tern/);
  });
  test('SATA drives short of ports are short of ports, not of another interface', () => {
    expect(find(tower().add('barge-8', 8), 'reaches.interface')).toEqual([]);
  });
});
