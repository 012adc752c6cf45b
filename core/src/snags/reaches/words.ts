import type { Sized } from '../finding';
import { round, n, mbps, number, type WordsOf } from '../wording';
import { feltWords, type FeltFacts } from './felt';

/** What each rule says besides its gap. */
export type ReachesFacts = {
  'reaches.interface': { count: number; kind: string; ports: string };
  'reaches.portsShort': {
    drives: number;
    ports: number;
    without: number;
    culprit: string;
    off: number;
    shelves: string;
    kind: string;
  };
  'reaches.multiplier': { count: number; cage: string };
  'reaches.mostDevices': Sized<{ card: string; waiting: number }>;
  'reaches.largestDrive': Sized<{ host: string; count: number }>;
  'reaches.slotLink': Sized<
    FeltFacts &
      (
        | { bus: 'pci'; card: string; drives: number }
        | {
            bus?: never;
            card: string;
            slot: string;
            lanes: number;
            own: number;
            gen: number;
            ownGen: number;
            carries: number;
          }
      )
  >;
  'reaches.cardUplink': Sized<
    FeltFacts & {
      card: string;
      cards: number;
      drives: number;
      lanes: number;
      gen: number;
      chip: string;
    }
  >;
  'reaches.m2Link': Sized<
    FeltFacts & { drive: string; socket: string; gen: number; ownGen: number; lanes: number; own: number }
  >;
  'reaches.bifurcation': Sized<{ carrier: string; slot: string; ways: string; by: 'sockets' | 'ports' }>;
  'reaches.laneBudget': Sized<{ processor: string; board: string }>;
  'reaches.chipsetUplink': Sized<FeltFacts & { board: string; lanes: number; gen: number }>;
  'reaches.addedChip': Sized<FeltFacts & { board: string; drives: number; ports: string; lanes: number; gen: number }>;
  'reaches.uplink': Sized<
    FeltFacts & {
      drives: number;
      bays: string;
      host: string;
      how: string;
      behind: number;
      most: number;
    }
  >;
  'reaches.raid': { card: string; count: number; raid: 'fixed' | 'switchable' };
};

export const REACHES_WORDS: WordsOf<ReachesFacts> = {
  'reaches.interface': {
    title: 'Drive interface against ports',
    what: (f) => `${n(f.count, `${f.kind} drive`)}, and no port here speaks ${f.kind}: the ports are ${f.ports}.`,
    why: 'A SAS controller runs SATA drives too, never the other way round; NVMe needs lanes.',
  },
  'reaches.portsShort': {
    title: 'A port for every drive',
    what: (f) =>
      f.shelves
        ? `${n(f.without, 'drive')} in ${f.shelves} ` +
          `${f.without === 1 ? 'has' : 'have'} no cable: no port is left that an uplink ` +
          'could go to.'
        : `${n(f.drives, 'drive')} in bays, ${n(f.ports, 'port')} that can reach ` +
          'them.' +
          `${f.culprit ? ` ${f.culprit} switches off ${n(f.off, 'port')}.` : ''}` +
          `${f.kind ? ` ${f.kind}` : ''}`,
    why: 'A drive without a port is not seen by the machine.',
  },
  'reaches.multiplier': {
    title: 'Port multiplier',
    what: (f) => `${f.cage} hangs ${n(f.count, 'drive')} on one SATA port; no port here drives a multiplier.`,
    why: 'Without support for it only the first drive is seen. It wants a card that says so.',
  },
  'reaches.mostDevices': {
    title: 'Most drives a controller takes',
    what: (f, s) =>
      `${f.card} takes ${n(s.gap.limit, 'drive')}; ${n(f.waiting, 'more waits', 'more wait')} for a port.`,
    why: 'Past that number its firmware does not see them.',
  },
  'reaches.largestDrive': {
    title: 'Largest drive',
    what: (f, s) =>
      `${n(f.count, 'drive')} of ${round(s.gap.have)} TB on ${f.host}, which sees ` +
      `${round(s.gap.limit)} TB of a drive.`,
    why: 'The rest is lost, or data past it is written over the beginning.',
  },
  'reaches.slotLink': {
    title: 'Lanes of a card',
    what: (f, s) =>
      f.bus === 'pci'
        ? `${n(f.drives, 'drive')} on ${f.card} ` +
          `${f.drives === 1 ? 'has' : 'share'} the PCI bus: ${mbps(s.gap.have)} for the ` +
          `${mbps(s.gap.limit)} ${f.drives === 1 ? 'it' : 'they'} could give.${feltWords(f)}`
        : f.lanes === 0
          ? `${f.card}: ${f.slot} has no lanes while something else uses them.`
          : `${f.card} (x${f.own}, generation ${f.ownGen}) is on x${f.lanes} of generation ${f.gen} ` +
            'in ' +
            f.slot +
            (s.gap.unit === 'MB/s' ? `: ${mbps(s.gap.have)} of ${mbps(s.gap.limit)} asked.` : '.') +
            feltWords(f),
    why: 'The length of a slot says nothing about its wiring; fewer lanes carry less.',
    whyNote: 'A slot’s length says nothing about its lanes.',
  },
  'reaches.cardUplink': {
    title: 'Drives behind one card',
    what: (f, s) =>
      `${n(f.drives, 'drive')} on ` +
      `${f.cards > 1 ? `each of ${f.cards} × ` : ''}${f.card} could give ` +
      `${mbps(s.gap.have)}; ` +
      `${f.chip ? 'its chip' : `its link (x${f.lanes}, generation ${f.gen})`} carries ` +
      `${mbps(s.gap.limit)}.${feltWords(f)}`,
    why: 'All of them at once get no more than that; dealt to several cards they get more.',
    whyNote: 'Dealt to several cards they get more.',
  },
  'reaches.m2Link': {
    title: 'Link of an M.2 module',
    what: (f, s) =>
      `${f.drive} (generation ${f.ownGen}, x${f.own}) is in ${f.socket} at generation ` +
      `${f.gen}, x${f.lanes}: ${mbps(s.gap.have)} of ${mbps(s.gap.limit)}.${feltWords(f)}`,
    why: 'It works, at the speed of the socket.',
  },
  'reaches.bifurcation': {
    title: 'Slot parted for a carrier',
    what: (f, s) =>
      (f.by === 'sockets'
        ? `${f.carrier} has ${n(s.gap.limit, 'socket')}; `
        : `${f.carrier} feeds ${n(s.gap.limit, 'NVMe drive')}; `) +
      `${f.slot} ${f.ways ? `parts as ${f.ways}` : 'does not part'}, so ` +
      `${n(s.gap.have, 'works', 'work')}.`,
    why: 'A card without a switch shares nothing: every drive needs lanes of its own from the board.',
  },
  'reaches.laneBudget': {
    title: 'Lanes of the processor',
    what: (f, s) => `Cards and modules take ${n(s.gap.have, 'lane')} of ${f.processor}, which has ${s.gap.limit}.`,
    why: 'Some slot gets fewer lanes, or none. The manual of the board says which.',
  },
  'reaches.chipsetUplink': {
    title: 'Uplink of the chipset',
    what: (f, s) =>
      `What hangs on the chipset of ${f.board} asks ${mbps(s.gap.have)}; its uplink ` +
      `(x${f.lanes}, generation ${f.gen}) carries ${mbps(s.gap.limit)}.${feltWords(f)}`,
    why: 'Drives, cards and network ports there hold each other when all are busy.',
    whyNote: 'All that hangs there shares it.',
  },
  'reaches.uplink': {
    title: 'Shared uplink',
    what: (f, s) =>
      `${n(f.drives, 'drive')} in ${f.bays} of ${f.host}` +
      `${f.behind ? ` and ${f.behind === 1 ? 'the shelf' : n(f.behind, 'shelf', 'shelves')} behind it` : ''} ` +
      `share ${f.how}: ` +
      (f.most > s.gap.limit
        ? `${number(s.gap.limit)} to ${mbps(f.most)}, as it gathers or not, `
        : `${mbps(s.gap.limit)} `) +
      `for the ${mbps(s.gap.have)} asked.${feltWords(f)}`,
    why: 'A second uplink doubles it where the backplane has one free.',
  },
  'reaches.addedChip': {
    title: 'Ports on an added chip',
    what: (f, s) =>
      `${n(f.drives, 'drive')} on ports ${f.ports} of ${f.board} could give ${mbps(s.gap.have)}; ` +
      `their chip’s own link (x${f.lanes}, generation ${f.gen}) carries ${mbps(s.gap.limit)}.${feltWords(f)}`,
    why: 'They look like the other ports; the chip behind them shares one narrow link.',
    whyNote: 'They look like the other ports.',
  },
  'reaches.raid': {
    title: 'Firmware of the controller',
    what: (f) =>
      f.raid === 'fixed'
        ? `${f.card} puts its own RAID before ${n(f.count, 'drive')}; it has no pass-through.`
        : `${f.card} must be set to pass-through for ${n(f.count, 'drive')}.`,
    why: 'A software pool wants the drives bare: to see their errors and to read them on another machine.',
  },
};
