import { round, n, mbps, type Words } from './wording';

export const REACHES_WORDS = {
  'reaches.interface': {
    title: 'Drive interface against ports',
    what: (f) =>
      `${n(Number(f.count), `${f.kind} drive`)}, and no port here speaks ${f.kind}: the ports are ${f.ports}.`,
    why: 'A SAS controller runs SATA drives too, never the other way round; NVMe needs lanes.',
  },
  'reaches.portsShort': {
    title: 'A port for every drive',
    what: (f) =>
      f.shelves
        ? `${n(Number(f.without), 'drive')} in ${f.shelves} ` +
          `${Number(f.without) === 1 ? 'has' : 'have'} no cable: no port is left that an uplink ` +
          'could go to.'
        : `${n(Number(f.drives), 'drive')} in bays, ${n(Number(f.ports), 'port')} that can reach ` +
          'them.' +
          `${f.culprit ? ` ${f.culprit} switches off ${n(Number(f.off), 'port')}.` : ''}` +
          `${f.kind ? ` ${f.kind}` : ''}`,
    why: 'A drive without a port is not seen by the machine.',
  },
  'reaches.multiplier': {
    title: 'Port multiplier',
    what: (f) => `${f.cage} hangs ${n(Number(f.count), 'drive')} on one SATA port; no port here drives a multiplier.`,
    why: 'Without support for it only the first drive is seen. It wants a card that says so.',
  },
  'reaches.mostDevices': {
    title: 'Most drives a controller takes',
    what: (f, s) =>
      `${f.card} takes ${n(s.gap!.limit, 'drive')}; ${n(Number(f.waiting), 'more waits', 'more wait')} for a port.`,
    why: 'Past that number its firmware does not see them.',
  },
  'reaches.largestDrive': {
    title: 'Largest drive',
    what: (f, s) =>
      `${n(Number(f.count), 'drive')} of ${round(s.gap!.have)} TB on ${f.host}, which sees ` +
      `${round(s.gap!.limit)} TB of a drive.`,
    why: 'The rest is lost, or data past it is written over the beginning.',
  },
  'reaches.slotLink': {
    title: 'Lanes of a card',
    what: (f, s) =>
      f.bus === 'pci'
        ? `${n(Number(f.drives), 'drive')} on ${f.card} ` +
          `${Number(f.drives) === 1 ? 'has' : 'share'} the PCI bus: ${mbps(s.gap!.have)} for the ` +
          `${mbps(s.gap!.limit)} ${Number(f.drives) === 1 ? 'it' : 'they'} could give.`
        : f.lanes === 0
          ? `${f.card}: ${f.slot} has no lanes while something else uses them.`
          : `${f.card} (x${f.own}, generation ${f.ownGen}) is on x${f.lanes} of generation ${f.gen} ` +
            'in ' +
            `${f.slot}${s.gap!.unit === 'MB/s' ? `: ${mbps(s.gap!.have)} of ${mbps(s.gap!.limit)} asked` : ''}.`,
    why: 'The length of a slot says nothing about its wiring; fewer lanes carry less.',
  },
  'reaches.cardUplink': {
    title: 'Drives behind one card',
    what: (f, s) =>
      `${n(Number(f.drives), 'drive')} on ` +
      `${Number(f.cards) > 1 ? `each of ${f.cards} × ` : ''}${f.card} could give ` +
      `${mbps(s.gap!.have)}; ` +
      `${f.chip ? 'its chip' : `its link (x${f.lanes}, generation ${f.gen})`} carries ` +
      `${mbps(s.gap!.limit)}.`,
    why: 'All of them at once get no more than that; dealt to several cards they get more.',
  },
  'reaches.m2Link': {
    title: 'Link of an M.2 module',
    what: (f, s) =>
      `${f.drive} (generation ${f.ownGen}, x${f.own}) is in ${f.socket} at generation ` +
      `${f.gen}, x${f.lanes}: ${mbps(s.gap!.have)} of ${mbps(s.gap!.limit)}.`,
    why: 'It works, at the speed of the socket.',
  },
  'reaches.bifurcation': {
    title: 'Slot parted for a carrier',
    what: (f, s) =>
      `${f.carrier} has ${n(s.gap!.limit, 'socket')}; ${f.slot} ` +
      `${f.ways ? `parts as ${f.ways}` : 'does not part'}, so ` +
      `${n(s.gap!.have, 'works', 'work')}.`,
    why: 'A plain carrier has no switch: every module needs lanes of its own from the board.',
  },
  'reaches.laneBudget': {
    title: 'Lanes of the processor',
    what: (f, s) => `Cards and modules take ${n(s.gap!.have, 'lane')} of ${f.processor}, which has ${s.gap!.limit}.`,
    why: 'Some slot gets fewer lanes, or none. The manual of the board says which.',
  },
  'reaches.chipsetUplink': {
    title: 'Uplink of the chipset',
    what: (f, s) =>
      `What hangs on the chipset of ${f.board} asks ${mbps(s.gap!.have)}; its uplink ` +
      `(x${f.lanes}, generation ${f.gen}) carries ${mbps(s.gap!.limit)}.`,
    why: 'Drives, cards and network ports there hold each other when all are busy.',
  },
  'reaches.uplink': {
    title: 'Shared uplink',
    what: (f, s) =>
      `${n(Number(f.drives), 'drive')} in ${f.bays} of ${f.host} share ${f.how}: ` +
      `${mbps(s.gap!.limit)} for the ${mbps(s.gap!.have)} they could give, ${f.each} MB/s each.`,
    why: 'A second uplink doubles it where the backplane has one.',
  },
  'reaches.raid': {
    title: 'Firmware of the controller',
    what: (f) =>
      f.raid === 'fixed'
        ? `${f.card} puts its own RAID before ${n(Number(f.count), 'drive')}; it has no pass-through.`
        : `${f.card} must be set to pass-through for ${n(Number(f.count), 'drive')}.`,
    why: 'A software pool wants the drives bare: to see their errors and to read them on another machine.',
  },
} as const satisfies Record<string, Words>;
