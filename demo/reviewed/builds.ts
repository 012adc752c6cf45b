import { fixture, type Fixture } from '../../core/src/testing/fixture';

/** A machine as builders make it, with what a knowledgeable one says of it. */
export type Reviewed = {
  readonly id: string;
  readonly what: string;
  readonly made: () => Fixture;
  /** What is right about it, or wrong. */
  readonly verdict: string;
  readonly blockers?: readonly string[];
  readonly cautions?: readonly string[];
  /** What the first fix offered should be like, by the snag it is for. */
  readonly first?: Readonly<Record<string, RegExp>>;
  /** Cables by kind that the wiring wants. */
  readonly cables?: Readonly<Record<string, number>>;
};

const cube = () =>
  fixture().add('larder-8').add('wren-c8').add('drover-4').add('fell-47').add('clew-16e', 2).add('ember-450s');
const tower = (memory = 'clew-16e', processor = 'drover-4') =>
  fixture().add('steading-t9').add('plover-a6').add(processor).add('tarn-155').add(memory, 2).add('ember-650');
const rack = (supply = 'brazier-800') =>
  fixture().add('gable-24').add('gannet-e8').add('shire-16').add('crag-q8').add('clew-r32', 4).add(supply);
const lowRack = () =>
  fixture().add('gable-12').add('gannet-c8').add('shire-8').add('crag-2u').add('clew-r32', 4).add('brazier-550');
/** A mini computer with its system on a module. */
const mini = () => fixture().add('satchel-1').add('clew-s16', 2).add('stickle-250', 1, { role: 'boot' });
const boot = (made: Fixture) => made.add('stickle-500', 1, { role: 'boot' });

/** Written down before they were first put to the program; what differed then stands in docs/reviewed-builds.md. */
export const REVIEWED: readonly Reviewed[] = [
  {
    id: 'living-room-four',
    what: 'Four disks in a small cube on the board’s own ports, the system on an NVMe module',
    made: () =>
      boot(
        fixture().add('trug-4').add('wren-c8').add('drover-4').add('fell-47').add('clew-16e', 2).add('ember-450s'),
      ).add('barge-8', 4),
    verdict: 'An ordinary machine; nothing to say.',
  },
  {
    id: 'eight-in-a-cube',
    what: 'Eight disks in a cube, four on the board and four on an HBA',
    made: () => boot(cube()).add('tern-8i').add('barge-8', 8),
    verdict: 'Sound: the card has the slot, the supply four drive plugs to spare at the start.',
  },
  {
    id: 'cube-without-a-card',
    what: 'Eight disks in a cube whose board has four ports',
    made: () => boot(cube()).add('barge-8', 8),
    verdict: 'Four disks have no port. A controller in the free slot cures it.',
    blockers: ['reaches.portsShort'],
    first: { 'reaches.portsShort': /^Add / },
  },
  {
    id: 'tower-of-six',
    what: 'Six disks in the cage of a tower on six board ports',
    made: () => boot(tower()).add('barge-8', 6),
    verdict: 'Sound: ports, bays and plugs come out even.',
    cables: { 'straight:sata:sata': 6 },
  },
  {
    id: 'tower-of-eleven',
    what: 'Six disks in the cage, five more in a cage for three 5.25-inch bays, on board and HBA',
    made: () => boot(tower()).add('crib-5').add('tern-8i').add('barge-8', 11),
    verdict:
      'Works. Eleven disks stand closer together than they are made for, and five starts on two plugs are near the limit.',
    cautions: ['lasts.ratedBays', 'powered.plugLoad'],
  },
  {
    id: 'rack-of-twenty-four',
    what: 'Twenty-four 16 TB disks in 4U on two HBAs, redundant 800 W',
    made: () => boot(rack()).add('tern-16i').add('tern-8i').add('barge-16', 24),
    verdict:
      'Runs; streaming, 24 disks may take more than the 20 A of 5 V, and at the start one module alone would not do.',
    cautions: ['powered.plugLoad', 'powered.rails', 'powered.oneGone', 'powered.wires'],
    cables: { 'straight:sff-8643:sff-8643': 6 },
  },
  {
    id: 'rack-with-a-long-card',
    what: 'The same with one long 24-port card',
    made: () => boot(rack('brazier-1200')).add('tern-24i').add('barge-8', 24),
    verdict:
      'The card is 3 mm longer than the room before the fan wall. Shorter cards with as many ports, not the fan wall out.',
    blockers: ['fits.cardLength'],
    cautions: ['lasts.ratedBays', 'powered.rails', 'powered.wires'],
    first: { 'fits.cardLength': /instead of Tern 24i long$/ },
  },
  {
    id: 'expander-with-two-uplinks',
    what: 'Twenty-four slow disks behind an expander card with two uplinks',
    made: () => boot(rack('brazier-1200')).add('tern-8i').add('weir-24').add('barge-8', 24),
    verdict:
      'Two uplinks carry twice what the disks give. As with any 24 disks on three chains of plugs the wires are near their limit at the start, and these disks are made for smaller boxes.',
    cautions: ['lasts.ratedBays', 'powered.rails', 'powered.wires'],
  },
  {
    id: 'reverse-breakouts',
    what: 'A 2U server with eight disks on the board’s SATA ports',
    made: () => boot(lowRack()).add('barge-8', 8),
    verdict: 'Two reverse breakouts, and a passive cooler right behind the fan wall: as such servers are built.',
    cables: { 'reverse:sata:sff-8643': 2 },
  },
  {
    id: 'mini-and-usb-box',
    what: 'A mini computer with a USB box of four disks',
    made: () => mini().add('annex-4').add('barge-4', 4),
    verdict: 'Modest and quiet; nothing is wrong with it.',
  },
  {
    id: 'single-board',
    what: 'A single-board computer with a USB box of two small disks, the system on a stick',
    made: () =>
      fixture()
        .add('husk-1')
        .add('sprig-s1')
        .add('pellet-5')
        .add('dab-32', 1, { role: 'boot' })
        .add('annex-2')
        .add('coot-4', 2),
    verdict:
      'Works; the box has no fan, and its disks get warm but stay within what is allowed; its bridge is of the kind that drops out.',
    cautions: ['lasts.bridge'],
  },
  {
    id: 'wrong-brick',
    what: 'A mini board on the 5 V brick of a single-board computer',
    made: () => fixture().add('satchel-1b').add('sprig-n4').add('clew-s16', 2).add('pellet-5').add('stickle-250'),
    verdict: 'The volts are wrong, and 15 W are not enough.',
    blockers: ['powered.total'],
    cautions: ['powered.brick'],
  },
  {
    id: 'registered-by-mistake',
    what: 'Registered modules from a server in an ordinary tower',
    made: () => boot(tower('clew-r16')).add('barge-8', 4),
    verdict: 'It does not start with them.',
    blockers: ['mates.memoryRegistered'],
    first: { 'mates.memoryRegistered': /^Take Clew .* instead of Clew 16 GB registered$/ },
  },
  {
    id: 'ddr5-in-a-ddr4-board',
    what: 'DDR5 modules bought for a DDR4 board',
    made: () => boot(tower('clew-5-16')).add('barge-8', 4),
    verdict: 'They do not go in.',
    blockers: ['mates.memory'],
  },
  {
    id: 'no-picture',
    what: 'A processor without graphics on a board without remote management',
    made: () => boot(tower('clew-16e', 'drover-6h')).add('barge-8', 4),
    verdict: 'It runs, and cannot be installed without a borrowed card.',
    cautions: ['mates.display'],
  },
  {
    id: 'hot-under-a-low-cooler',
    what: 'Twelve cores under a 47 mm cooler',
    made: () =>
      boot(
        fixture().add('stead-m6').add('plover-m4').add('drover-12').add('fell-47').add('clew-16e', 2).add('ember-550'),
      ).add('barge-8', 2),
    verdict: 'About 88 W for minutes on a cooler for 62 W: it throttles.',
    cautions: ['cooled.cooler'],
    first: { 'cooled.cooler': /^Take .* instead of Fell 47$/ },
  },
  {
    id: 'fanless-cooler-in-a-tower',
    what: 'A cooler without a fan in a tower that has one at the rear',
    made: () =>
      boot(
        fixture()
          .add('steading-t9')
          .add('plover-a6')
          .add('drover-4')
          .add('moor-150')
          .add('clew-16e', 2)
          .add('ember-650'),
      ).add('barge-8', 2),
    verdict: 'Sold as fanless, but what it carries it carries in a stream of air: a fan in front is cheap.',
    cautions: ['cooled.passive'],
    first: { 'cooled.passive': /^Fit / },
  },
  {
    id: 'small-supply-in-a-tower',
    what: 'An SFX supply kept from a smaller machine, in a tower for ATX supplies',
    made: () =>
      boot(
        fixture()
          .add('steading-t9')
          .add('plover-a6')
          .add('drover-4')
          .add('tarn-155')
          .add('clew-16e', 2)
          .add('ember-450s'),
      ).add('barge-8', 2),
    verdict: 'Fits with a plate for a few coins; that plate is a small part to buy.',
  },
  {
    id: 'nothing-to-start-from',
    what: 'Four disks for data and nothing else',
    made: () => cube().add('barge-8', 4),
    verdict: 'The system has no place but in the pool.',
    cautions: ['complete.boot'],
  },
  {
    id: 'shelf-behind-a-head',
    what: 'A server without disks of its own and a shelf of sixteen',
    made: () => boot(rack('brazier-550')).add('tern-8e').add('loft-16').add('barge-12', 16),
    verdict: 'As shelves are used. Sixteen disks stream over outside cables.',
  },
  {
    id: 'raid-card',
    what: 'Eight disks behind a RAID card without pass-through',
    made: () => boot(rack('brazier-550')).add('grebe-8r').add('barge-8', 8),
    verdict: 'Works, but the card stands between the pool and its disks.',
    cautions: ['reaches.raid'],
    first: { 'reaches.raid': /instead of Grebe 8R$/ },
  },
  {
    id: 'six-flash-in-a-bay',
    what: 'Six SATA flash drives in one 5.25-inch bay on eight board ports',
    made: () =>
      boot(
        fixture()
          .add('steading-t9')
          .add('plover-a8')
          .add('drover-4')
          .add('tarn-155')
          .add('clew-16e', 2)
          .add('ember-650'),
      )
        .add('crib-6')
        .add('pike-960', 6),
    verdict: 'Sound and quick.',
  },
  {
    id: 'u2-without-a-port',
    what: 'Two U.2 drives in a cage, and no port that speaks NVMe',
    made: () => boot(tower()).add('crib-u2').add('wels-1920', 2),
    verdict:
      'The cage takes them; nothing reaches them. U.2 drives are made for a stream of air a desktop cage does not have.',
    blockers: ['reaches.interface'],
    cautions: ['cooled.drives'],
  },
  {
    id: 'three-cards-in-a-tower',
    what: 'An accelerator, an HBA and a 10 Gb/s card on a board with one fast slot',
    made: () => boot(tower()).add('beacon-120').add('tern-8i').add('skein-10').add('barge-8', 6),
    verdict:
      'The accelerator takes the x16, the HBA the x4 behind the chipset, and the network card is left an x1: it says so, ' +
      'and that six disks in double parity give less than that.',
  },
  {
    id: 'two-supplies',
    what: 'A second supply bought for later, in the kit',
    made: () => boot(cube()).add('ember-600s').add('barge-8', 4),
    verdict: 'The second feeds nothing.',
    cautions: ['complete.runsNothing'],
  },
  {
    id: 'fifteen-on-one-consumer-supply',
    what: 'Fifteen 16 TB disks in a rack box for home use, on a 550 W supply with eight drive plugs',
    made: () =>
      boot(
        fixture().add('byre-15').add('plover-a8').add('drover-8').add('tarn-125').add('clew-16e', 2).add('ember-550'),
      )
        .add('tern-8i')
        .add('barge-16', 15),
    verdict:
      'Watts and amperes would do; plugs do not: splitters hang five disks on a cable, which thirsty ones overload.',
    cautions: ['powered.plugs', 'powered.total'],
  },
  {
    id: 'a-ups-too-small',
    what: 'Twenty-four disks on a UPS of 420 W',
    made: () => boot(rack('brazier-1200')).add('tern-16i').add('tern-8i').add('barge-8', 24).add('sump-700'),
    verdict: 'At the start alone the machine takes twice what it gives.',
    blockers: ['powered.ups'],
    cautions: ['lasts.ratedBays', 'powered.rails', 'powered.wires'],
  },
  {
    id: 'sas-on-sata',
    what: 'Used SAS disks on the SATA ports of a board',
    made: () => boot(tower()).add('sluice-4', 4),
    verdict: 'A SATA port takes no SAS drive: an HBA is needed. Four old SAS disks run hot in a quiet tower.',
    blockers: ['reaches.interface'],
    first: { 'reaches.interface': /^Add Tern/ },
    cautions: ['cooled.drives'],
  },
  {
    id: 'sas-and-sata-together',
    what: 'Used SAS and new SATA disks on one HBA',
    made: () => boot(rack('brazier-550')).add('tern-8i').add('sluice-12', 4).add('barge-8', 4),
    verdict: 'A SAS card takes both; nothing to say.',
  },
  {
    id: 'half-a-node',
    what: 'A half-width node with one SATA flash drive',
    made: () => fixture().add('hurdle-half').add('sprig-x4').add('clew-s16', 2).add('pellet-90').add('pike-480'),
    verdict:
      'Its one drive is what it starts from; five of its six ports stay idle. Nothing moves air in half a rack unit: busy flash slows itself down.',
    cautions: ['cooled.drives'],
  },
  {
    id: 'redundant-and-too-small',
    what: 'Twenty-four 16 TB disks on a 550 W 1+1 supply',
    made: () => boot(rack('brazier-550')).add('tern-16i').add('tern-8i').add('barge-16', 24),
    verdict: 'Both modules together start it; one alone never does: the redundancy is paid for and not there.',
    cautions: ['powered.oneGone', 'powered.plugLoad', 'powered.rails', 'powered.wires'],
  },
  {
    id: 'twenty-four-flash',
    what: 'Twenty-four SATA flash drives on two HBAs',
    made: () => boot(rack('brazier-550')).add('tern-16i').add('tern-8i').add('zander-960', 24),
    verdict:
      'Flash lives on 5 V: 24 of them may take more than 20 A there. The larger card carries less than its sixteen give.',
    cautions: ['powered.rails'],
  },
  {
    id: 'carrier-in-a-plain-slot',
    what: 'A card for four NVMe modules in a board that does not part its slot',
    made: () => boot(tower()).add('punt-4').add('stickle-1000', 4),
    verdict: 'One module works, three are dark.',
    blockers: ['reaches.bifurcation', 'fits.driveInBay'],
  },
  {
    id: 'travel-box',
    what: 'Two 2.5-inch disks in a small box without a fan, on a brick with a converter',
    made: () =>
      fixture()
        .add('creel-2')
        .add('sprig-i6')
        .add('clew-5s16')
        .add('pellet-b160')
        .add('cradle-2')
        .add('coot-2', 2)
        .add('stickle-250', 1, { role: 'boot' }),
    verdict: 'Works; without a fan the disks are in still air.',
    cautions: ['cooled.drives'],
    first: { 'cooled.drives': /^Fit / },
  },
  {
    id: 'one-unit',
    what: 'A 1U server with four disks and a passive cooler behind its fan wall',
    made: () =>
      boot(
        fixture().add('plank-1u').add('knot-m8').add('drover-4').add('crag-1u').add('clew-16e', 2).add('clinker-250'),
      ).add('barge-8', 4),
    verdict: 'As 1U servers are built.',
  },
  {
    id: 'long-sfx',
    what: 'A supply of SFX-L form in a cube for SFX supplies, 130 mm where 130 are',
    made: () =>
      boot(
        fixture().add('trug-4').add('wren-c8').add('drover-4').add('fell-47').add('clew-16e', 2).add('ember-600s'),
      ).add('barge-8', 4),
    verdict: 'The same face and screws, only longer; it just fits.',
    cautions: ['fits.supplyLength'],
  },
  {
    id: 'server-by-the-bed',
    what: 'A rack server with its own fans beside a bed',
    made: () => {
      const made = boot(rack('brazier-550')).add('tern-8i').add('barge-8', 4);
      return made.set({ brief: { earDb: 25 }, site: { ...made.build.site, listening: 'bedroom' } });
    },
    verdict: 'Nobody sleeps beside it.',
    cautions: ['within.sound'],
  },
  {
    id: 'old-desktop-again',
    what: 'An old desktop with two old disks and a boot stick',
    made: () =>
      fixture()
        .add('steading-t5')
        .add('plover-b7')
        .add('wagoner-4')
        .add('fell-62')
        .add('clew-3-8', 2)
        .add('cinder-500')
        .add('lighter-4', 2)
        .add('dab-32', 1, { role: 'boot' }),
    verdict: 'Good enough to begin with.',
  },
  {
    id: 'two-shelves',
    what: 'A head with two shelves, each on a port of its own',
    made: () => boot(rack('brazier-550')).add('tern-8e').add('loft-16', 2).add('barge-12', 32),
    verdict: 'As shelves are used.',
    cables: { 'straight:sff-8644:sff-8644': 2 },
  },
  {
    id: 'multiplier-on-a-plain-port',
    what: 'A cage that hangs six small disks on one port, on a board whose ports know no multiplier',
    made: () => boot(tower()).add('crib-6m').add('coot-1', 4),
    verdict:
      'Of four disks one is seen, if any; four starts of 1 A hang on one plug, and such disks are made to stand alone.',
    blockers: ['reaches.multiplier'],
    cautions: ['lasts.ratedBays', 'powered.plugLoad'],
  },
  {
    id: 'two-boards',
    what: 'A second board kept in the kit',
    made: () => boot(cube()).add('wren-d6').add('barge-8', 4),
    verdict: 'The second runs nothing.',
    cautions: ['complete.runsNothing'],
  },
  {
    id: 'wants-ecc',
    what: 'ECC wished, modules bought without',
    made: () =>
      boot(
        fixture().add('stead-m6').add('plover-m5').add('drover-m8').add('fell-62').add('clew-5-32', 2).add('ember-550'),
      )
        .add('barge-8', 2)
        .set({ brief: { mustHave: ['ecc'] } }),
    verdict: 'The wish is missed: modules with ECC, or another machine.',
    cautions: ['within.mustHave'],
  },
  {
    id: 'one-slot-two-cards',
    what: 'An HBA and a 10 Gb/s card in a cube with one slot',
    made: () => boot(cube()).add('tern-8i').add('skein-10').add('barge-8', 8),
    verdict: 'One of them has no slot: a board with more, or with 10 Gb/s of its own.',
    blockers: ['fits.cardSlot'],
  },
  {
    id: 'sata-module-takes-ports',
    what: 'A SATA module in a socket that switches two ports off, and four disks on four ports',
    made: () => cube().add('reed-250', 1, { role: 'boot' }).add('barge-8', 4),
    verdict: 'Two disks lose their port to the module; an NVMe one takes none.',
    blockers: ['reaches.portsShort'],
    first: { 'reaches.portsShort': /^(Move|Take Stickle)/ },
  },
  {
    id: 'nine-in-a-tower',
    what: 'Six disks in the cage and three in a cage for two 5.25-inch bays, on six board ports and a small card',
    made: () => boot(tower()).add('crib-3').add('stilt-4').add('barge-8', 9),
    verdict: 'Works; one disk more than these are made to stand beside.',
    cautions: ['lasts.ratedBays'],
  },
  {
    id: 'open-frame',
    what: 'Four small disks on an open frame',
    made: () =>
      boot(
        fixture().add('trestle-7').add('plover-a6').add('drover-4').add('tarn-155').add('clew-16e', 2).add('ember-550'),
      ).add('coot-4', 4),
    verdict: 'In the air of the room; small disks are made to stand alone or in twos.',
    cautions: ['lasts.ratedBays'],
  },
  {
    id: 'more-disks-than-bays',
    what: 'Eight disks for a tower with six bays',
    made: () => boot(tower()).add('barge-8', 8),
    verdict: 'Two lie on the table; a cage in the 5.25-inch bays takes them.',
    blockers: ['fits.driveInBay'],
    first: { 'fits.driveInBay': /^Add Cr/ },
  },
  {
    id: 'used-card-older-plugs',
    what: 'Eight disks on a used HBA with the older four-lane plugs',
    made: () => boot(rack('brazier-550')).add('tern-6g8').add('barge-8', 8),
    verdict: 'Cables from the old plug to the new: two of them.',
    cables: { 'straight:sff-8087:sff-8643': 2 },
  },
  {
    id: 'mini-with-a-weak-box',
    what: 'A mini computer with the cheaper USB box of two disks',
    made: () => mini().add('annex-2').add('barge-4', 2),
    verdict: 'A bridge of the kind that drops out, and a box without a fan in which two cool disks live.',
    cautions: ['lasts.bridge'],
  },
  {
    id: 'board-with-four-lane-ports',
    what: 'Eight disks on a small board with two four-lane ports of its own',
    made: () => boot(fixture().add('larder-8').add('wren-x8').add('clew-16e', 2).add('ember-450s')).add('barge-8', 8),
    verdict: 'Two cables, no card. As good as it gets in a cube.',
  },
  {
    id: 'a-card-for-the-picture',
    what: 'A processor without graphics with a small graphics card',
    made: () => boot(tower('clew-16e', 'drover-6h')).add('lamp-30').add('barge-8', 4),
    verdict: 'The picture comes from the card.',
  },
  {
    id: 'all-four-slots',
    what: 'Four modules of 32 GB in four slots',
    made: () => boot(tower('clew-32e')).add('clew-32e', 2).add('barge-8', 2),
    verdict: 'As much as the board takes.',
  },
  {
    id: 'flash-behind-an-expander',
    what: 'Twenty-four SATA flash drives behind one eight-port card and an expander',
    made: () => boot(rack('brazier-550')).add('tern-8i').add('weir-24').add('zander-960', 24),
    verdict:
      'Eight of them go on the board’s own ports; for the others the card’s chip is the narrow place, by less than half. 5 V is near its end.',
    cautions: ['powered.rails'],
  },
  {
    id: 'shingled-parity',
    what: 'Four shingled disks in a set with one parity',
    made: () => {
      const made = boot(cube()).add('rill-8', 4);
      const units = [1, 2, 3, 4].map((n) => made.unit('rill-8', n));
      return made.set({ pool: { sets: [{ id: 's1', layout: 'parity1', units }] } });
    },
    verdict: 'A rebuild takes weeks.',
    cautions: ['lasts.shingled'],
  },
  {
    id: 'metadata-on-one-drive',
    what: 'Eight disks with their metadata on a single flash drive',
    made: () => boot(rack('brazier-550')).add('tern-16i').add('barge-8', 7).add('zander-960', 1, { role: 'meta' }),
    verdict: 'That drive takes the pool with it.',
    cautions: ['lasts.alone'],
  },
  {
    id: 'roof-and-cage',
    what: 'Four flash drives under the roof of a cube and four disks in its cage, on board and HBA',
    made: () => boot(cube()).add('tern-8i').add('barge-8', 4).add('pike-960', 4),
    verdict: 'Sound.',
  },
  {
    id: 'two-fast-ports',
    what: 'A card with two ports of 25 Gb/s in the fast slot',
    made: () => boot(tower()).add('skein-25').add('barge-8', 4),
    verdict: 'The slot carries both ports.',
  },
  {
    id: 'soldered-and-frugal',
    what: 'A board with a soldered processor and four disks',
    made: () =>
      fixture()
        .add('trug-4')
        .add('sprig-i6')
        .add('clew-5s16')
        .add('ember-450s')
        .add('barge-4', 4)
        .add('stickle-250', 1, { role: 'boot' }),
    verdict: 'Frugal; the system’s module sits on one lane, which it does not feel.',
  },
  {
    id: 'a-ups-that-does',
    what: 'Four disks in a cube on a UPS of 420 W',
    made: () => boot(cube()).add('barge-8', 4).add('sump-700'),
    verdict: 'Carries it with room.',
  },
  {
    id: 'hot-swap-wished',
    what: 'Hot swap wished, disks in the fixed cage of a tower',
    made: () =>
      boot(tower())
        .add('barge-8', 4)
        .set({ brief: { mustHave: ['hotSwap'] } }),
    verdict: 'To change a disk this machine is switched off.',
    cautions: ['within.mustHave'],
  },
  {
    id: 'ports-on-a-module',
    what: 'Eight disks in a cube whose only slot has a 10 Gb/s card: four on the board, four on an M.2 module with ports',
    made: () => boot(cube()).add('skein-10').add('stilt-m5').add('barge-8', 8),
    verdict: 'Sound, and usual in small boards: two lanes of generation 3 carry five disks.',
  },
  {
    id: 'module-too-many',
    what: 'The same with a second module with ports, and the system on NVMe: three modules for two sockets',
    made: () => boot(cube()).add('stilt-m5', 2).add('barge-8', 8),
    verdict: 'One module finds no socket. Taking the second one out costs nothing that is used.',
    blockers: ['fits.cardSlot'],
    first: { 'fits.cardSlot': /^Take out Stilt M5/ },
  },
  {
    id: 'expander-without-a-slot',
    what: 'Twelve disks in a rack machine on a small board with one slot: the HBA in it, an expander fixed to the wall',
    made: () =>
      boot(
        fixture()
          .add('gable-24')
          .add('wren-c8')
          .add('drover-4')
          .add('fell-47')
          .add('clew-16e', 2)
          .add('brazier-800')
          .add('tern-8i')
          .add('weir-24'),
      ).add('barge-12', 12),
    verdict:
      'Sound: an expander takes no lanes, only power, and has a plug of its own for that. Starting together, four disks ' +
      'a cable are a little past what its pin carries for long. The server fans of the rack take more than the headers of a small board carry: they want a hub.',
    cautions: ['powered.wires', 'powered.fans'],
  },
  {
    id: 'too-little-for-the-wish',
    what: 'Four disks of 8 TB, one of which may fail, for 30 TB of data',
    made: () =>
      boot(cube())
        .add('tern-8i')
        .add('barge-8', 4)
        .set({ brief: { usableTb: 30, failuresSurvived: 1 } }),
    verdict: 'Whatever the layout, at most 24 TB can be used. One more disk has a bay and a port.',
    cautions: ['within.usable'],
    first: { 'within.usable': /^Take Barge 10 TB instead of Barge 8 TB$/ },
  },
  {
    id: 'plenty-for-the-wish',
    what: 'The same disks for 24 TB',
    made: () =>
      boot(cube())
        .add('tern-8i')
        .add('barge-8', 4)
        .set({ brief: { usableTb: 24, failuresSurvived: 1 } }),
    verdict: 'Exactly so much can be used at most; how much less a layout leaves is not computed, and is not claimed.',
  },
  {
    id: 'shelves-in-a-chain',
    what: 'A server with one outside port and two shelves of used SAS disks',
    made: () => boot(rack('brazier-1200')).add('tern-4i4e').add('loft-16', 2).add('sluice-8', 32),
    verdict: 'Works: the second shelf hangs behind the first. Disks of 520 bytes have to be reformatted.',
    cautions: ['mates.sectors'],
    cables: { 'straight:sff-8644:sff-8644': 2 },
  },
  {
    id: 'flash-on-holders',
    what: 'Four flash drives in two holders in the 3.5-inch cage of a tower',
    made: () => boot(tower()).add('cradle-2', 2).add('pike-960', 4),
    verdict: 'Sound.',
  },
  {
    id: 'three-modules-two-sockets',
    what: 'Two NVMe drives for data and one for the system, in a board with two sockets',
    made: () => boot(cube()).add('stickle-2000', 2).add('barge-8', 2),
    verdict: 'One module has no socket. A small SATA drive for the system costs least; a card with a socket does too.',
    blockers: ['fits.driveInBay'],
    first: { 'fits.driveInBay': /^Take Pike .* instead of Stickle 500/ },
  },
  {
    id: 'usb-box-of-thirsty-disks',
    what: 'A mini computer with a USB box full of disks of 7 W',
    made: () => mini().add('annex-4').add('lighter-8', 4),
    verdict: 'The brick came with the box and is made for full bays; worth a note, no more.',
  },
  {
    id: 'accelerator-and-network',
    what: 'A two-slot accelerator and a 10 Gb/s card in a tower, six disks on the board',
    made: () => boot(tower()).add('beacon-120').add('skein-10').add('barge-8', 6),
    verdict: 'Sound: the accelerator has the fast slot, the card the one of four lanes.',
    cables: { 'straight:sata:sata': 6 },
  },
  {
    id: 'fifteen-on-an-hba',
    what: 'Fifteen disks in a rack box for home use, on an HBA and an 850 W supply',
    made: () =>
      boot(
        fixture().add('byre-15').add('plover-a6').add('drover-4').add('tarn-125').add('clew-16e', 2).add('ember-850'),
      )
        .add('tern-16i')
        .add('barge-12', 15),
    verdict:
      'Three cables for drives are few for fifteen: with splitters each takes five disks, which thirsty ones overload.',
    cautions: ['powered.plugs'],
  },
  {
    id: 'cache-on-a-carrier',
    what: 'A second NVMe drive on a card, since the board has one socket',
    made: () =>
      boot(fixture().add('stead-m6').add('knot-m8').add('drover-8').add('fell-62').add('clew-16e', 2).add('ember-550'))
        .add('punt-1')
        .add('stickle-2000', 1, { role: 'cache' })
        .add('barge-8', 4),
    verdict: 'Sound.',
  },
  {
    id: 'hba-in-a-short-slot',
    what: 'An HBA in the open-ended x1 slot of a small board',
    made: () =>
      fixture()
        .add('trug-4')
        .add('sprig-i6')
        .add('clew-5s16')
        .add('ember-450s')
        .add('tern-8i')
        .add('sluice-8', 4)
        .add('stickle-250', 1, { role: 'boot' }),
    verdict:
      'It enters and just carries four disks; it draws more than such a slot is sure to give. SAS disks of 10 W are too much for the one fan of the cube.',
    cautions: ['cooled.drives', 'mates.sectors', 'powered.slot'],
  },
  {
    id: 'old-desktop-with-its-cage-full',
    what: 'An old desktop with three disks and a boot stick',
    made: () =>
      fixture()
        .add('steading-t5')
        .add('plover-b7')
        .add('wagoner-4')
        .add('fell-62')
        .add('clew-3-8', 2)
        .add('cinder-500')
        .add('lighter-4', 3)
        .add('dab-32', 1, { role: 'boot' }),
    verdict: 'Thirsty and sound.',
  },
  {
    id: 'flash-in-a-low-server',
    what: 'Twelve flash drives in a 2U server, eight on the board and four on an HBA',
    made: () => boot(lowRack()).add('tern-16i').add('pike-3840', 12),
    verdict: 'Sound.',
  },
  {
    id: 'ups-for-two-boxes',
    what: 'A mini computer and its USB box on one UPS',
    made: () => mini().add('annex-4').add('barge-4', 4).add('sump-700'),
    verdict: 'Carries both.',
  },
  {
    id: 'sas-shelf-on-esata',
    what: 'A drive shelf bought for a tower with an eSATA card',
    made: () => boot(tower()).add('stilt-e2').add('loft-16').add('barge-8', 8),
    verdict: 'eSATA speaks to no SAS shelf: two disks have no cable. A controller with SAS outside reaches it.',
    blockers: ['reaches.portsShort'],
    first: { 'reaches.portsShort': /^Take Tern 4i 4e instead of Stilt outside 2$/ },
  },
];
