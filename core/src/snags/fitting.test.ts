import { readdirSync, readFileSync } from 'node:fs';
import type { Build } from '../build/build';
import { createAssessor } from '../assess';
import { allRemedies } from '../remedies/remedies';
import { AS_OF, catalogue, cube, fixture, tweak, type Fixture } from '../testing/fixture';
import type { Catalogue } from '../parts/catalogue';
import { newBuild } from '../build/newBuild';
import { SNAG_CODES, wordsOf, type SnagCode } from './words';

const find = (made: Fixture, code: SnagCode) => made.assess().snags.filter((snag) => snag.code === code);
const said = (made: Fixture, code: SnagCode) =>
  find(made, code).map((snag) => `${snag.severity}: ${wordsOf(snag).what}`);
const remedies = (made: Fixture, code: SnagCode) => {
  const assessment = made.assess();
  return allRemedies(
    { build: made.build, assessment },
    assessment.snags.find((one) => one.code === code)!,
    catalogue,
    createAssessor(),
    AS_OF,
  );
};
const tower = (from: Catalogue = catalogue) =>
  fixture(from).add('steading-t9').add('plover-a6').add('drover-4').add('tarn-155').add('clew-16e', 2).add('ember-650');
const rack = (from: Catalogue = catalogue) =>
  fixture(from).add('gable-24').add('gannet-e8').add('shire-16').add('crag-q8').add('clew-r32', 2);
const low = () => fixture().add('plank-1u').add('knot-m8').add('drover-4');
const inRack = (made: Fixture, brief: Build['brief'] = {}) =>
  made.set({ brief, site: { ...newBuild('x', 'x').site, place: 'rack' } });
const sheet = (id: string) => catalogue.sheets[id] as unknown as Record<string, never>;
const archetype = (id: string) =>
  catalogue.archetypes[id] as unknown as {
    slots: object[];
    m2Sockets: object[];
    bayGroups: object[];
    supplyBays: object[];
    openings: object[];
    clearances: object[];
  };

/** A rule with a build it speaks of, and its nearest neighbour it says nothing of. */
type Pair = readonly [what: string, code: SnagCode, there: () => Fixture, sentence: RegExp, not: () => Fixture];
const cage = archetype('cube-8').bayGroups[0]!;
const roofWith = (holes: string[]) =>
  tweak('larder-8', { bayGroups: [cage, { ...archetype('cube-8').bayGroups[1]!, holes }] });
const gap = (mm: number) =>
  tweak(
    'gannet-e8',
    { ...sheet('gannet-e8') },
    tweak('gable-24', {
      clearances: [
        ...archetype('rack-4u-24').clearances,
        { for: 'stick', maxMm: mm, because: 'shell', label: 'the cover', while: 'present' },
      ],
    }),
  );
const stickMm = (catalogue.archetypes['stick-usb'] as unknown as { lengthMm: number }).lengthMm;
const bifurcated = (ways?: string[]) =>
  tweak('gannet-e8', {
    slots: archetype('board-server').slots.map((slot) => ({ ...slot, ...(ways ? { bifurcates: ways } : {}) })),
  });
const gen4 = () =>
  tweak('gannet-e8', {
    slots: archetype('board-server').slots.map((slot) => ({ ...slot, gen: 4, bifurcates: ['x4x4x4x4'] })),
  });
const onCarrier = (from: Catalogue) => {
  const made = rack(from).add('punt-4');
  return made.add('stickle-500', 1, { at: [`${made.unit('punt-4')}/m2a`] });
};
const lanesOf = (lanes: number) => tower(tweak('drover-4', { lanes })).add('beacon-120').add('stickle-500');
const withCell = (...extra: object[]) => tweak('wren-c8', { inTheBox: [{ sheet: 'shield-atx', count: 1 }, ...extra] });

const PAIRS: readonly Pair[] = [
  [
    'a full-height card behind low openings',
    'fits.bracket',
    () => cube(tweak('tern-8i', { height: 'full', brackets: ['full'] })).add('tern-8i'),
    /^blocker: Tern 8i is a full-height card; .* 111\.2 mm of card, room for 68\.9 mm\.$/,
    () => cube().add('tern-8i'),
  ],
  [
    'a low card with the full bracket only',
    'fits.bracket',
    () => cube(tweak('tern-8i', { brackets: ['full'] })).add('tern-8i'),
    /^blocker: Tern 8i comes with a full-height bracket; its opening is low-profile\.$/,
    () =>
      cube(tweak('tern-8i', { brackets: ['full'] }))
        .add('bracket-low')
        .add('tern-8i'),
  ],
  [
    'a wall with an opening too few',
    'fits.opening',
    () =>
      rack(tweak('gable-24', { openings: [{ key: 'openings', label: 'Openings', count: 5, height: 'full' }] })).add(
        'tern-8i',
        1,
        { at: ['u4/pcie6'] },
      ),
    /^caution: Tern 8i: the rear wall has no opening/,
    () =>
      rack(tweak('gable-24', { openings: [{ key: 'openings', label: 'Openings', count: 6, height: 'full' }] })).add(
        'tern-8i',
        1,
        { at: ['u4/pcie6'] },
      ),
  ],
  [
    'a network card without an opening is useless',
    'fits.opening',
    () => rack(tweak('gable-24', { openings: [] })).add('skein-10', 1, { at: ['u4/pcie1'] }),
    /^blocker: .*1 outside port cannot be used\.$/,
    () => rack().add('skein-10', 1, { at: ['u4/pcie1'] }),
  ],
  [
    'a card on a riser behind a closed wall',
    'fits.opening',
    () => onRiser([]),
    /^caution: Tern 8i: the rear wall has no opening at its slot/,
    () => onRiser(archetype('rack-1u-4').openings),
  ],
  [
    'a card standing where only a riser has room',
    'fits.cardHeight',
    () => low().add('tern-8i', 1, { at: ['u4/pcie1'] }),
    /^blocker: Tern 8i stands 68\.9 mm high in its slot; Plank 1U has 37\.5 mm there\. On a riser it lies flat\.$/,
    () => low().add('hoist-1u').add('tern-8i'),
  ],
  [
    'fixed bays where a drive more is to come',
    'fits.fixedBays',
    () => {
      const made = tower().add('barge-8', 2);
      return made.set({ brief: { drivesLater: 3 } });
    },
    /^note: 2 drives sit in bays that are not hot swap: to change or add one the machine is switched off\.$/,
    () =>
      tower()
        .add('barge-8', 2)
        .set({ brief: { drivesLater: 2 } }),
  ],
  [
    '2.5-inch drives in bays with the holes of 3.5-inch ones',
    'fits.holes',
    () => cube(roofWith(['A', 'B'])).add('pike-960', 2, { at: ['u2/roof.1', 'u2/roof.2'] }),
    /^caution: 2 drives mate, but nothing holds them: Pike 960 GB has the holes of 2\.5-inch drives; the bay has those of A and B\.$/,
    () => cube(roofWith(['2.5'])).add('pike-960', 2, { at: ['u2/roof.1', 'u2/roof.2'] }),
  ],
  [
    'a disk of hole set B in a bay of set A',
    'fits.holes',
    () =>
      tower(
        tweak('steading-t9', {
          bayGroups: archetype('tower-atx').bayGroups.map((group) => ({ ...group, holes: ['A'] })),
        }),
      ).add('barge-12'),
    /^caution: 1 drive mates, but nothing holds it: .* hole set B; the bay has those of A\.$/,
    () => tower().add('barge-12'),
  ],
  [
    'a supply bay without screw points',
    'fits.supplyScrews',
    () =>
      cube(tweak('larder-8', { supplyBays: archetype('cube-8').supplyBays.map((bay) => ({ ...bay, screws: false })) })),
    /^caution: Ember 450 SFX goes into the .* has no screw points for it\.$/,
    () => cube(),
  ],
  [
    'a base a millimetre short of the spreader',
    'fits.coolerBase',
    () => cube(tweak('fell-47', { baseMm: 37 })),
    /^caution: The base of Fell 47 is 37 mm; the heat spreader of Drover 4 is 38 mm\.$/,
    () => cube(tweak('fell-47', { baseMm: 38 })),
  ],
  [
    'a stick a millimetre too tall',
    'fits.stick',
    () => rack(gap(stickMm + 7)).add('dab-32'),
    /^blocker: Dab 32 GB.* stands \d+ mm above the board/,
    () => rack(gap(stickMm + 11)).add('dab-32'),
  ],
  [
    'plugs with no room behind the drive, and room in front of it',
    'fits.plugRoom',
    () => tight(29, 30),
    /^note: 2 × Barge 8 TB go in turned round, plugs to the front: 30 mm are there, 29 mm behind; a plug and its bend want 30 mm\.$/,
    () => tight(30, 0),
  ],
  [
    'plugs with room for angled ones only',
    'fits.plugRoom',
    () => tight(29, 29),
    /^caution: Barge 8 TB has 29 mm before its plugs; a straight plug with its bend wants 30 mm, an angled one 14 mm\.$/,
    () => tight(29, 29).add('sata-angle', 1).add('sata-angle', 1),
  ],
  [
    'angled plugs for one sort of drive and not for the other',
    'fits.plugRoom',
    () => tight(20, 0).add('lighter-4', 2).add('sata-angle').add('sata-angle'),
    /^caution: Lighter 4 TB has 20 mm before its plugs/,
    () => tight(20, 0).add('lighter-4', 2).add('sata-angle').add('sata-angle').add('sata-angle').add('sata-angle'),
  ],
  [
    'plugs with no room at all',
    'fits.plugRoom',
    () => tight(13, 12),
    /^blocker: Barge 8 TB has 13 mm before its plugs; even an angled one wants 14 mm\.$/,
    () => tight(14, 0).add('sata-angle', 1).add('sata-angle', 1),
  ],
  [
    'a supply over the memory',
    'fits.goesFirst',
    () => smallBox(63),
    /^note: 1 memory module of Sprig I2 goes in first: Clinker 400 Flex lies over it\.$/,
    () => smallBox(64),
  ],
  [
    'a card over a module',
    'fits.goesFirst',
    () => cardOver(80),
    /^note: 1 M\.2 module of Gannet E8 goes in first: Tern 8i lies over it\.$/,
    () => cardOver(20),
  ],
  [
    'four small modules where two would do',
    'mates.memoryPath',
    () => rack(fourSlots()).add('clew-r32', 2),
    /^note: 128 of 256 GB, and all 4 slots of Gannet E8 are in use: the rest means 4 × 64 GB, and 4 modules given up\.$/,
    () => rack(fourSlots()).add('clew-r32', 1),
  ],
  [
    'a body too wide for its rails',
    'fits.rackBody',
    () => inRack(rack(tweak('gable-24', { widthMm: 441 }))),
    /^caution: Gable 24 is 441 mm wide; with slide rails there is room for 440 mm\.$/,
    () => inRack(rack(tweak('gable-24', { widthMm: 440 }))),
  ],
  [
    'a body too wide for the opening',
    'fits.rackBody',
    () => inRack(rack(tweak('gable-24', { widthMm: 451 }))),
    /^blocker: /,
    () => rack(tweak('gable-24', { widthMm: 451 })),
  ],
  [
    'handles a millimetre past the door',
    'fits.rackDepth',
    () => inRack(rack(tweak('gable-24', { handlesMm: 40 })), { maxDepthMm: 749 }),
    /^caution: Gable 24 is 660 mm deep; with 40 mm of handles and 50 mm for cables 750 mm, where 749 mm are\.$/,
    () => inRack(rack(tweak('gable-24', { handlesMm: 40 })), { maxDepthMm: 750 }),
  ],
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
    /^caution: Tern 8i \(x8, generation 3\) is on x4 .*: 3,428 MB\/s of 4,800 MB\/s asked\.$/,
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
    () => rack().add('tern-24i').add('tern-4i4e').add('loft-16', 2).add('barge-8', 56),
    /^blocker: 16 drives in Loft 16 [A-Z]+2 have no cable: no port is left that an uplink could go to\.$/,
    () => rack().add('tern-24i').add('tern-8e').add('loft-16', 2).add('barge-8', 56),
  ],
  [
    'more SSDs on a card than it carries',
    'reaches.cardUplink',
    () => rack().add('tern-16i').add('pike-960', 11),
    /^note: 11 drives on Tern 16i could give 6,600 MB\/s; its chip carries 6,400 MB\/s\.$/,
    () => rack().add('tern-16i').add('pike-960', 10),
  ],
  [
    'more SSDs on a card than its link carries',
    'reaches.cardUplink',
    () =>
      rack(tweak('tern-16i', { throughputMBps: 9600 }))
        .add('tern-16i')
        .add('pike-960', 12),
    /its link \(x8, generation 3\) carries 6,856 MB\/s\.$/,
    () =>
      rack(tweak('tern-16i', { throughputMBps: 9600 }))
        .add('tern-16i')
        .add('pike-960', 11),
  ],
  [
    'a generation 4 module in a socket of generation 3',
    'reaches.m2Link',
    () => cube().add('stickle-500', 1, { at: ['u4/m2b'] }),
    /^caution: Stickle 500 GB NVMe \(generation 4, x4\) is in .* at generation 3, x4: 3,428 MB\/s of 6,852 MB\/s\.$|^note: /,
    () => cube().add('stickle-500', 1, { at: ['u4/m2a'] }),
  ],
  [
    'a generation 4 module on a carrier in a slot of generation 3',
    'reaches.m2Link',
    () => onCarrier(bifurcated(['x4x4x4x4'])),
    /is in M\.2 on the card, 1 at generation 3, x4: 3,428 MB\/s of 6,852 MB\/s\.$/,
    () => onCarrier(gen4()),
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
        .add('pike-960', 2)
        .add('cradle-2', 2),
    /^(note|caution): What hangs on the chipset of Plover A6 asks 1,800 MB\/s; its uplink \(x2, generation 3\) carries 1,714 MB\/s\.$/,
    () => tower().add('pike-960', 3).add('cradle-2', 2),
  ],
  [
    'more SSDs than an expander’s uplink carries',
    'reaches.uplink',
    () => shelf(9),
    /^note: 9 drives in .* share an expander: 4,800 MB\/s for the 5,400 MB\/s they could give, 533 MB\/s each\.$/,
    () => shelf(8),
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
  [
    'drives of 520-byte sectors',
    'mates.sectors',
    () =>
      rack(tweak('sluice-8', { sectors: '520' }))
        .add('tern-8i')
        .add('sluice-8', 4),
    /^caution: 4 drives with 520-byte sectors: Sluice 8 TB SAS, used\.$/,
    () =>
      rack(tweak('sluice-8', { sectors: '512e' }))
        .add('tern-8i')
        .add('sluice-8', 4),
  ],
  [
    'drives that obey the 3.3 V pin on plain plugs',
    'mates.powerDisable',
    () => tower(tweak('barge-8', { obeysPin3: true })).add('barge-8', 2),
    /^note: 2 drives obey the power-disable pin, and nothing here cuts it\.$/,
    () => tower(tweak('barge-8', { obeysPin3: false })).add('barge-8', 2),
  ],
  [
    'modules in the wrong slots',
    'mates.memoryOrder',
    () =>
      fixture()
        .add('steading-t9')
        .add('plover-a6')
        .add('clew-16e', 2, { at: ['u4/memory.1', 'u4/memory.3'] }),
    /^caution: 2 modules in slots 1 and 3; Plover A6 wants slots 2 and 4 filled first\.$/,
    () => fixture().add('steading-t9').add('plover-a6').add('clew-16e', 2),
  ],
  [
    'front sockets without a header',
    'mates.frontUsb',
    () => cube(tweak('wren-c8', { usbInside: [] })),
    /^note: Larder 8 has USB 3 in front; Wren C8 has no header for it\.$/,
    () => cube(tweak('wren-c8', { usbInside: [] })).add('header-usb3'),
  ],
  [
    'a forward breakout where a reverse one is wanted',
    'mates.spareCables',
    () =>
      cube(tweak('larder-8', { inTheBox: [] }))
        .add('lead-forward-8643')
        .add('barge-8', 4),
    /^caution: 1 × Forward breakout.*: it is a forward breakout, the other way round\. Wanted: 1 × Reverse breakout/,
    () =>
      cube(tweak('larder-8', { inTheBox: [] }))
        .add('lead-reverse-8643')
        .add('barge-8', 4),
  ],
  [
    'a cable shorter than its way',
    'mates.cableLength',
    () =>
      tower(tweak('lead-sata', { lengthMm: 150 }))
        .add('lead-sata', 2)
        .add('barge-8', 2),
    /^caution: SATA cable, 50 cm is 150 mm; the way is about \d+ mm/,
    () =>
      tower(tweak('lead-sata', { lengthMm: 700 }))
        .add('lead-sata', 2)
        .add('barge-8', 2),
  ],
  [
    'a SATA cable past a metre',
    'mates.cableLength',
    () =>
      tower(tweak('lead-sata', { lengthMm: 1001 }))
        .add('lead-sata', 1)
        .add('barge-8', 1),
    /^caution: .* is 1001 mm long; it may be 1000 mm\.$/,
    () =>
      tower(tweak('lead-sata', { lengthMm: 1000 }))
        .add('lead-sata', 1)
        .add('barge-8', 1),
  ],
  [
    'a board without its coin cell',
    'complete.smallParts',
    () => cube(withCell()),
    /^note: Also needed: coin cell\.$/,
    () => cube(withCell({ sheet: 'cell', count: 1 })),
  ],
  [
    'more ports than bays',
    'complete.uselessPorts',
    () =>
      fixture(
        tweak('sprig-n4', {
          connectors: [
            {
              key: 'sata',
              label: 'SATA',
              count: 2,
              kind: 'sata',
              lanes: 1,
              carries: ['sata'],
              gbPerLane: 6,
              role: 'host',
              side: 'inside',
            },
          ],
        }),
      )
        .add('satchel-1b')
        .add('sprig-n4'),
    /^note: Sprig N4 has 2 drive ports; Satchel 1, bare has 1 bay: 1 stays idle\.$/,
    () => fixture().add('satchel-1b').add('sprig-n4'),
  ],
];

const tight = (plugRoomMm: number, turnedPlugRoomMm: number) =>
  tower(
    tweak('steading-t9', {
      bayGroups: archetype('tower-atx').bayGroups.map((group) => ({ ...group, plugRoomMm, turnedPlugRoomMm })),
    }),
  ).add('barge-8', 2);
/** A supply so high over the board of a small box. */
const smallBox = (yMm: number) =>
  fixture(
    tweak('creel-2', {
      supplyBays: archetype('box-two-bays').supplyBays.map((bay) => ({ ...bay, at: { xMm: 130, yMm, zMm: 176 } })),
    }),
  )
    .add('creel-2')
    .add('sprig-i2')
    .add('clew-3s8')
    .add('clinker-400');
/** A module whose socket begins so far along the rear edge, and a card in the first slot. */
const cardOver = (uMm: number) =>
  rack(
    tweak('gannet-e8', {
      m2Sockets: [
        {
          key: 'm2a',
          label: 'M.2 socket 1',
          lengthsMm: [80],
          gen: 3,
          lanes: 4,
          carries: ['pcie'],
          owner: 'chipset',
          at: { uMm, vMm: 120 },
        },
      ],
    }),
  )
    .add('stickle-500')
    .add('tern-8i', 1, { at: ['u4/pcie1'] });
const onRiser = (openings: object[]) =>
  fixture(tweak('plank-1u', { openings }))
    .add('plank-1u')
    .add('knot-m8')
    .add('hoist-1u')
    .add('tern-8i', 1, { at: ['u6/riser1'] });
const fourSlots = () =>
  tweak('gannet-e8', {
    memorySlots: 4,
    memoryFillOrder: [1, 2, 3, 4],
    memoryMaxModuleBytes: 64 * 1024 ** 3,
    memoryMaxBytes: 256 * 1024 ** 3,
  });
function multiplied() {
  const group = archetype('adapter-525').bayGroups[0] as unknown as Record<string, unknown>;
  return [
    {
      ...group,
      backplane: {
        type: 'expander',
        carries: ['sata'],
        gbPerLane: 6,
        connectors: [
          {
            key: 'feed',
            count: 1,
            kind: 'sata',
            lanes: 1,
            carries: ['sata'],
            gbPerLane: 6,
            role: 'device',
            side: 'inside',
          },
        ],
        baysPerConnector: 5,
        powerInputs: [],
        cutsPin3: true,
        idleW: 1,
      },
    },
  ];
}
/** SSDs in a shelf behind the one outside port of a card. */
function shelf(drives: number): Fixture {
  const made = rack().add('tern-4i4e').add('loft-16');
  return made.add('pike-960', drives, {
    at: Array.from({ length: drives }, (_, i) => `${made.unit('loft-16')}/front.${i + 1}`),
  });
}
/** Four drives in a cage behind a multiplier. */
function behindOnePort(more: (made: Fixture) => Fixture = (made) => made): Fixture {
  const made = more(tower(tweak('crib-5', { bayGroups: multiplied() })).add('crib-5'));
  const full = made.add('barge-8', 4);
  return full.edit(
    ...[1, 2, 3, 4].map((n) => ({
      type: 'place.hold' as const,
      unit: full.unit('barge-8', n),
      spot: { host: made.unit('crib-5'), key: 'cage', n },
    })),
  );
}

test.each(PAIRS)('%s', (_what, code, there, sentence, not) => {
  expect(said(there(), code)[0]).toMatch(sentence);
  expect(said(there(), code)[0]!.split(/\s+/).length).toBeLessThanOrEqual(36);
  expect(said(not(), code).filter((one) => sentence.test(one))).toEqual([]);
});

describe('M.2 modules that find no socket: it says what is wrong with each there is', () => {
  const sockets = (values: object) =>
    tweak('knot-m8', {
      m2Sockets: [
        {
          key: 'm2a',
          label: 'M.2 socket 1',
          lengthsMm: [80],
          gen: 3,
          lanes: 4,
          carries: ['pcie', 'sata'],
          owner: 'chipset',
          ...values,
        },
      ],
    });
  const made = (values: object, sheet: string) => fixture(sockets(values)).add('stead-m6').add('knot-m8').add(sheet);
  test.each([
    [{}, 'stickle-42', /M\.2 socket 1 takes 80 mm, it is 42\.$/],
    [{ carries: ['pcie'] }, 'reed-250', /M\.2 socket 1 speaks NVMe only\.$/],
    [{ notch: 'B' }, 'stickle-500', /M\.2 socket 1 has key B, it has M\.$/],
    [{ notch: 'E' }, 'reed-250', /has key E, it has B\+M\.$/],
  ] as const)('%j, %s', (values, sheet, sentence) => {
    expect(said(made(values, sheet), 'fits.driveInBay')[0]).toMatch(sentence);
  });
  test.each([
    [{ lengthsMm: [42, 80] }, 'stickle-42'],
    [{}, 'reed-250'],
    [{ notch: 'B' }, 'reed-250'],
    [{ notch: 'M' }, 'stickle-500'],
  ] as const)('%j, %s goes in', (values, sheet) => {
    expect(find(made(values, sheet), 'fits.driveInBay')).toEqual([]);
  });
});

describe('ways out', () => {
  test.each<readonly [SnagCode, () => Fixture, RegExp]>([
    [
      'fits.bracket',
      () => cube(tweak('tern-8i', { brackets: ['full'] })).add('tern-8i'),
      /^(Add Low-profile bracket|Take .* instead of Tern 8i)$/,
    ],
    ['fits.cardHeight', () => low().add('tern-8i', 1, { at: ['u4/pcie1'] }), /^Add Hoist 1U and lay Tern 8i on it$/],
    ['fits.coolerBase', () => cube(tweak('fell-47', { baseMm: 30 })), /instead of Fell 47$/],
    ['fits.stick', () => rack(gap(stickMm + 7)).add('dab-32'), /^Add USB angle adapter$/],
    [
      'fits.holes',
      () => cube(roofWith(['A', 'B'])).add('pike-960', 1, { at: ['u2/roof.1'] }),
      /^Move Pike 960 GB \(G1\) to cage$/,
    ],
    [
      'reaches.slotLink',
      () =>
        rack()
          .add('tern-8i', 1, { at: ['u4/pcie6'] })
          .add('pike-960', 8),
      /^Move Tern 8i to Slot/,
    ],
    [
      'reaches.m2Link',
      () => cube().add('stickle-500', 1, { at: ['u4/m2b'] }),
      /^Move Stickle 500 GB NVMe to M\.2 socket 1/,
    ],
    ['reaches.multiplier', () => behindOnePort(), /^Add Stilt 10, multiplied$/],
    ['reaches.raid', () => rack().add('grebe-8r').add('barge-8', 8), /instead of Grebe 8R$/],
    [
      'mates.memoryOrder',
      () =>
        fixture()
          .add('steading-t9')
          .add('plover-a6')
          .add('clew-16e', 2, { at: ['u4/memory.1', 'u4/memory.3'] }),
      /^Put them into slots 2 and 4$/,
    ],
    [
      'mates.spareCables',
      () =>
        cube(tweak('larder-8', { inTheBox: [] }))
          .add('lead-forward-8643')
          .add('barge-8', 4),
      /^Leave out/,
    ],
    ['fits.plugRoom', () => tight(20, 0), /^Add 2 × Angled SATA plug adapter$/],
    [
      'mates.memoryPath',
      () => rack(fourSlots()).add('clew-r32', 2),
      /^Take 2 × Clew 64 GB registered instead of 4 × Clew 32 GB registered$/,
    ],
    ['mates.frontUsb', () => cube(tweak('wren-c8', { usbInside: [] })), /^Add Adapter, USB 3 header to USB 2$/],
    ['complete.smallParts', () => cube(tweak('wren-c8', { inTheBox: [] })), /^Put all 2 on the list$/],
  ])('%s', (code, made, title) => {
    const build = made();
    const [first] = remedies(build, code);
    expect(first?.title).toMatch(title);
    expect(first!.cure).toBe(true);
    // Taken, the snag is gone.
    expect(find(build.edit(...first!.edits), code)).toEqual([]);
  });
});

test('a bracket left off is an edit: the card goes in, a note says what holds it, and taken back it is as before', () => {
  const made = rack(tweak('gable-24', { openings: [] })).add('tern-8i', 1, { at: ['u4/pcie1'] });
  const off = remedies(made, 'fits.opening').find(({ title }) => title === 'Leave the bracket off Tern 8i');
  // Moving does not help where no slot has an opening.
  expect(off).toBeDefined();
  const after = made.edit(...off!.edits);
  expect(find(after, 'fits.opening')).toEqual([]);
  expect(said(after, 'fits.bracketOff')).toEqual(['note: Tern 8i stands without its bracket; only the slot holds it.']);
  expect(said(after.edit({ type: 'change.remove', id: `${made.unit('tern-8i')}:bracketOff` }), 'fits.opening')).toEqual(
    said(made, 'fits.opening'),
  );
});

test('what is bought used comes without what was in its box, and costs it', () => {
  const plain = cube();
  const item = plain.build.items.find((one) => one.sheet === 'wren-c8')!;
  const used = plain.edit({ type: 'item.patch', item: item.id, patch: { condition: 'good' } });
  expect(said(used, 'complete.smallParts')).toEqual(['note: Also needed: coin cell, I/O shield.']);
  expect(used.assess().figures['cost.now']!.value - plain.assess().figures['cost.now']!.value).toBeCloseTo(9, 6);
  expect(
    find(used.edit({ type: 'item.patch', item: item.id, patch: { deal: 'owned' } }), 'complete.smallParts'),
  ).toEqual([]);
});

test('every rule of fit, mates, reaches and completeness is spoken of in a test', () => {
  const files = [
    'core/src/snags',
    'core/src/machine',
    'core/src/geometry',
    'core/src/solve',
    'core/src/remedies',
  ].flatMap((folder) =>
    readdirSync(folder)
      .filter((name) => name.endsWith('.test.ts'))
      .map((name) => readFileSync(`${folder}/${name}`, 'utf8')),
  );
  const silent = SNAG_CODES.filter(
    (code) => /^(fits|mates|reaches|complete)\./.test(code) && !files.some((text) => text.includes(code)),
  );
  expect(silent).toEqual([]);
});
