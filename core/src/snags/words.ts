import type { Finding } from './finding';

const mm = (value: number) => `${round(value)} mm`;
const round = (value: number) => (Number.isInteger(value) ? String(value) : value.toFixed(1));
const n = (count: number, one: string, many = `${one}s`) => `${count} ${count === 1 ? one : many}`;
const HOLES = { A: 'hole set A', B: 'hole set B', '2.5': 'the holes of 2.5-inch drives' } as const;
const mbps = (value: number) => `${Math.round(value).toLocaleString('en-GB')} MB/s`;
const PLUG_WORDS: Readonly<Record<string, string>> = {
  'sata-power': 'SATA power plugs',
  peripheral: '4-pin peripheral plugs',
  '6-pin-card': '6-pin card plugs',
  '8-pin-card': '8-pin card plugs',
  '24-pin': '24-pin plugs',
  '8-pin-cpu': '8-pin processor plugs',
  '4-pin-cpu': '4-pin processor plugs',
  'dc-jack': 'DC jacks',
};
export const plugWords = (plug: string): string => PLUG_WORDS[plug] ?? plug;
/** A value over a wish in words, with its range: beside a limit a bare number says too much. */
const over = (s: Finding, of: (value: number) => string, wish: string) =>
  `${s.gap!.gap < 0 ? ((s.gap!.lo ?? s.gap!.have) > s.gap!.limit ? 'Over' : 'Probably over') : 'May be over'} ` +
  `the ${wish} ${of(s.gap!.limit)}: ` +
  `${of(s.gap!.have)}` +
  ((s.gap!.lo ?? s.gap!.have) === (s.gap!.hi ?? s.gap!.have)
    ? ''
    : `, could be ${of(s.gap!.gap < 0 ? s.gap!.lo! : s.gap!.hi!)}`) +
  '.';
type Facts = Finding['facts'];
type Words = { readonly title: string; readonly what: (facts: Facts, snag: Finding) => string; readonly why: string };

/** One entry per code: the rule's title, its sentence with the numbers in it, and why it matters. */
export const WORDS = {
  'fits.boardInChassis': {
    title: 'Board in chassis',
    what: (f, s) =>
      s.gap
        ? `${f.board} is ${mm(-s.gap.gap)} too ${f.side} for ${f.chassis}: ${mm(s.gap.have)}, room ` +
          `for ${mm(s.gap.limit)}.`
        : `${f.board} has ${f.have} holes; ${f.chassis} takes ${f.want}.`,
    why: 'The board cannot be screwed down.',
  },
  'fits.supplyForm': {
    title: 'Supply form',
    what: (f) => `${f.supply} is ${f.have}; ${f.chassis} takes ${f.want}.`,
    why: 'Its body and screw holes do not match the opening.',
  },
  'fits.supplyLength': {
    title: 'Supply length',
    what: (f, s) =>
      s.severity === 'blocker'
        ? `${f.supply} is ${mm(-s.gap!.gap)} too long: ${mm(s.gap!.have)}, room for ` +
          `${mm(s.gap!.limit)} to ${f.because}.`
        : `${f.supply} leaves ${mm(s.gap!.gap)} to ${f.because}.`,
    why: 'Its plugs and cable bends need that room as well.',
  },
  'fits.coolerHeight': {
    title: 'Cooler height',
    what: (f, s) =>
      s.severity === 'blocker'
        ? `${f.cooler} is ${mm(-s.gap!.gap)} too high: ${mm(s.gap!.have)}, room for ` +
          `${mm(s.gap!.limit)} under ${f.because}.`
        : `${f.cooler} leaves ${mm(s.gap!.gap)} under ${f.because}.`,
    why: 'The cover or what hangs above would press on the cooler and the board.',
  },
  'fits.cardLength': {
    title: 'Card length',
    what: (f, s) =>
      s.severity === 'blocker'
        ? `${f.card} is ${mm(-s.gap!.gap)} too long: ${mm(s.gap!.have)}, room for ${mm(s.gap!.limit)} to ${f.because}.`
        : `${f.card} leaves ${mm(s.gap!.gap)} to ${f.because}.`,
    why: 'The card cannot be pushed into its slot.',
  },
  'fits.cardSlot': {
    title: 'Slot for every card',
    what: (f) => `${f.card}: no slot is left that takes it. ${f.reason}`,
    why: 'Without a slot the card does nothing.',
  },
  'fits.driveInBay': {
    title: 'Drive in bay',
    what: (f, s) =>
      s.gap
        ? `${f.drive} is ${mm(-s.gap.gap)} too high for its bay: ${mm(s.gap.have)}, room for ${mm(s.gap.limit)}.`
        : `${n(Number(f.count), 'drive')} without a place: ${f.names}. ${f.reason}`,
    why: 'A loose drive shakes, overheats and fails early.',
  },
  'fits.cardCovers': {
    title: 'What a thick card covers',
    what: (f, s) =>
      s.gap
        ? `${f.card} takes ${f.slots} openings and would need number ${s.gap.have}; the chassis has ${s.gap.limit}.`
        : `${f.card} is ${f.slots} slots thick and covers ${f.covered}.`,
    why: 'What it covers cannot be used, and its bracket must meet an opening.',
  },
  'fits.fanMount': {
    title: 'Fan in its mount',
    what: (f) => `${n(Number(f.count), 'fan')} without a mount: ${f.fan}. ${f.reason}`,
    why: 'A loose fan moves no air where it is wanted.',
  },
  'fits.cardHeight': {
    title: 'Height of a card',
    what: (f, s) =>
      `${f.card} stands ${mm(s.gap!.have)} high in its slot; ${f.chassis} has ` +
      `${mm(s.gap!.limit)} there. On a riser it lies flat.`,
    why: 'The cover does not close over it.',
  },
  'fits.bracket': {
    title: 'Bracket of a card',
    what: (f, s) =>
      s.gap
        ? `${f.card} is a full-height card; the openings are low-profile: ${mm(s.gap.have)} of ` +
          `card, room for ${mm(s.gap.limit)}.`
        : `${f.card} comes with a ${f.brackets} bracket; its opening is ${f.opening}.`,
    why: 'Without a bracket that meets the opening nothing holds the card.',
  },
  'fits.opening': {
    title: 'Opening behind a card',
    what: (f) =>
      `${f.card}: the rear wall has no opening at its slot. It goes in only without its ` +
      `bracket${Number(f.lost) ? `, and ${n(Number(f.lost), 'outside port')} cannot be used` : ''}.`,
    why: 'Only the slot holds it; no plug reaches it.',
  },
  'fits.bracketOff': {
    title: 'Card without its bracket',
    what: (f) =>
      `${f.card} stands without its bracket; only the slot holds ` +
      `it.${Number(f.lost) ? ` ${n(Number(f.lost), 'outside port')} cannot be used.` : ''}`,
    why: 'It tips when a cable is pulled: lay its cables loosely, and do not ship it so.',
  },
  'fits.fixedBays': {
    title: 'Bays that need a power-down',
    what: (f) =>
      `${n(Number(f.count), 'drive')} ${Number(f.count) === 1 ? 'sits' : 'sit'} in bays that ` +
      'are not hot swap: to change or add one the machine is switched off.',
    why: 'A failed drive waits until nobody needs the machine, and so does the rebuild.',
  },
  'fits.holes': {
    title: 'Holes of a drive',
    what: (f) =>
      `${n(Number(f.count), 'drive')} ${Number(f.count) === 1 ? 'mates' : 'mate'}, but nothing ` +
      `holds ${Number(f.count) === 1 ? 'it' : 'them'}: ${f.drive} has ${HOLES[f.have as 'A']}; ` +
      `the bay has those of ${f.want}.`,
    why: 'A plug is no mounting: the drive sags and shakes.',
  },
  'fits.supplyScrews': {
    title: 'Screw points for the supply',
    what: (f) => `${f.supply} goes into the ${f.bay} of ${f.chassis}, which has no screw points for it.`,
    why: 'A loose supply pulls on every cable when the machine is moved.',
  },
  'fits.coolerBase': {
    title: 'Cooler over its processor',
    what: (f, s) =>
      `The base of ${f.cooler} is ${mm(s.gap!.have)}; the heat spreader of ${f.processor} is ${mm(s.gap!.limit)}.`,
    why: 'What is not covered is not cooled: it runs hot under load.',
  },
  'fits.stick': {
    title: 'Boot stick under the cover',
    what: (f, s) =>
      s.severity === 'blocker'
        ? `${f.drive} stands ${mm(s.gap!.have)} above the board; ${mm(s.gap!.limit)} are there under ${f.because}.`
        : `${f.drive} leaves ${mm(s.gap!.gap)} under ${f.because}.`,
    why: 'The cover would press on it and break the socket. An angle adapter lays it down.',
  },
  'fits.plugRoom': {
    title: 'Room for the plugs of a drive',
    what: (f, s) =>
      s.severity === 'note'
        ? `${Number(f.count) === 1 ? f.drive : `${f.count} × ${f.drive}`} ` +
          `${Number(f.count) === 1 ? 'goes' : 'go'} in turned round, plugs to the front: ` +
          `${f.turned} mm are there, ${mm(s.gap!.have)} behind; a plug and its bend want ${f.need} ` +
          'mm.'
        : s.severity === 'caution'
          ? `${f.drive} has ${mm(s.gap!.have)} before its plugs; a straight plug with its bend wants ` +
            `${f.need} mm, an angled one ${f.angledNeed} mm.`
          : `${f.drive} has ${mm(s.gap!.have)} before its plugs; even an angled one wants ${f.angledNeed} mm.`,
    why: 'Pressed against a wall a plug breaks.',
  },
  'fits.goesFirst': {
    title: 'What goes in first',
    what: (f) =>
      `${f.under} of ${f.board} ${Number(f.one) ? 'goes' : 'go'} in first: ${f.over} ` +
      `${Number(f.oneOver) ? 'lies' : 'lie'} over ${Number(f.one) ? 'it' : 'them'}.`,
    why: 'To change it later, what lies over it comes out again.',
  },
  'fits.rackBody': {
    title: 'Width between the posts',
    what: (f, s) =>
      `${f.chassis} is ${mm(s.gap!.have)} wide; ` +
      `${f.rails ? 'with slide rails' : 'in the rack'} there is room for ${mm(s.gap!.limit)}.`,
    why: 'Rails need about 5 mm on each side; past the opening it does not go in at all.',
  },
  'fits.rackDepth': {
    title: 'Handles and cables in the rack',
    what: (f, s) =>
      `${f.chassis} is ${mm(Number(f.depth))} deep; with ` +
      `${Number(f.handles) ? `${mm(Number(f.handles))} of handles and ` : ''}${mm(Number(f.cables))} ` +
      `for cables ${mm(s.gap!.have)}, where ${mm(s.gap!.limit)} are.`,
    why: 'The door does not close, or the plugs are bent.',
  },
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
  'mates.memory': {
    title: 'Memory form and type',
    what: (f) => `${f.memory} is ${f.have}; ${f.board} takes ${f.want}.`,
    why: 'The notch and the voltage differ; it does not go in.',
  },
  'mates.memorySlots': {
    title: 'A slot for every module',
    what: (f) => `${n(Number(f.count), 'module')} without a slot: ${f.board} has ${f.slots}.`,
    why: 'They stay on the table.',
  },
  'mates.memoryRegistered': {
    title: 'Registered memory',
    what: (f) => `${f.memory} is in ${f.board}, which needs ${f.want} modules.`,
    why: 'It goes in, but the machine will not start.',
  },
  'mates.socket': {
    title: 'Socket of processor and cooler',
    what: (f) =>
      f.want
        ? `${f.part} is for socket ${f.have}; ${f.board} has ${f.want}.`
        : `${f.part} finds no socket: the processor of ${f.board} is soldered.`,
    why: 'It does not go in, or the cooler cannot be screwed down.',
  },
  'mates.memoryMax': {
    title: 'Most memory a board takes',
    what: (f, s) => `${round(s.gap!.have)} GB ${f.what}; ${f.board} takes ${round(s.gap!.limit)} GB.`,
    why: 'The machine does not start, or does not see the rest.',
  },
  'mates.display': {
    title: 'Something to see the setup on',
    what: (f) =>
      `${f.processor} ${f.graphics} graphics, and ${f.board} brings ` +
      `${f.graphics === 'has' ? 'no display output' : 'no remote management'}.`,
    why: 'The system cannot be installed without a borrowed graphics card.',
  },
  'mates.sectors': {
    title: 'Sector format',
    what: (f) =>
      `${n(Number(f.count), 'drive')} with 520-byte sectors: ` +
      `${f.drive}.${f.sas ? '' : ' No SAS controller here could change that.'}`,
    why: 'Nothing but a storage array reads them. Reformatted to 512 bytes, over some hours, they work.',
  },
  'mates.powerDisable': {
    title: 'The 3.3 V pin',
    what: (f) =>
      `${n(Number(f.count), 'drive')} ${Number(f.count) === 1 ? 'obeys' : 'obey'} the ` +
      'power-disable pin, and nothing here cuts it.',
    why: 'On a plug that carries 3.3 V it stays off. A cable from a 4-pin plug, or tape over the pin, starts it.',
  },
  'mates.memoryOrder': {
    title: 'Order of memory slots',
    what: (f) =>
      `${n(Number(f.count), 'module')} in ${Number(f.count) === 1 ? 'slot' : 'slots'} ` +
      `${f.now}; ${f.board} wants ${Number(f.count) === 1 ? 'slot' : 'slots'} ${f.first} ` +
      'filled first.',
    why: 'In the wrong slots it runs on one channel, or does not start.',
  },
  'mates.memoryPath': {
    title: 'Way to more memory',
    what: (f, s) =>
      `${round(s.gap!.have)} of ${round(s.gap!.limit)} GB, and all ${f.slots} slots of ` +
      `${f.board} are in use: the rest means ${f.add} × ${f.of} GB, and ` +
      `${n(Number(f.giveUp), 'module')} given up.`,
    why: 'Fewer and larger modules keep slots free for later.',
  },
  'mates.frontUsb': {
    title: 'Header of the front sockets',
    what: (f) => `${f.chassis} has ${f.kind} in front; ${f.board} has no header for it.`,
    why: 'The front sockets stay dead, or run slower over an adapter.',
  },
  'mates.spareCables': {
    title: 'Cables that fit nowhere',
    what: (f) =>
      `${f.count} × ${f.cable}: ` +
      `${f.turned ? `it is a ${f.turned} breakout, the other way round` : 'no cable here is made of it'}` +
      `.${f.right ? ` Wanted: ${f.right}.` : ''}`,
    why: 'Plugs look alike; breakouts work one way.',
  },
  'mates.cableLength': {
    title: 'Length of a cable',
    what: (f, s) =>
      f.long
        ? `${f.cable} is ${mm(s.gap!.have)} long; it may be ${mm(s.gap!.limit)}.`
        : `${f.cable} is ${mm(s.gap!.have)}; the way is about ` +
          `${mm(s.gap!.limit)}${Number(f.count) > 1 ? ` for ${f.count} of them` : ''}.`,
    why: 'Too short it pulls at its plugs; too long the link loses speed or drops.',
  },
  'complete.smallParts': {
    title: 'Small parts in no box',
    what: (f) => `Also needed: ${f.parts}.`,
    why: 'Nobody lists them, and assembly stops without them.',
  },
  'complete.uselessPorts': {
    title: 'Ports nobody can use',
    what: (f, s) =>
      `${f.board} has ${n(s.gap!.have, 'drive port')}; ${f.chassis} has ` +
      `${n(s.gap!.limit, 'bay')}: ${n(-s.gap!.gap, 'stays idle', 'stay idle')}.`,
    why: 'They were paid for; another chassis would use them.',
  },
  'powered.plugs': {
    title: 'A plug for every part',
    what: (f, s) =>
      `${plugWords(String(f.plug))}: ${s.gap!.limit} wanted, ${f.supply} has ` +
      `${s.gap!.have}.` +
      (s.severity === 'caution'
        ? ' Splitters are needed.'
        : f.overload
          ? ' Splitters would carry more than they may.'
          : ''),
    why: 'A part without power is dead weight; every splitter is one more contact to fail.',
  },
  'powered.total': {
    title: 'Everything at its most together',
    what: (f, s) =>
      `At their most the parts ${s.severity === 'blocker' ? 'draw' : 'may draw'} ` +
      `${Math.round(s.severity === 'blocker' ? s.gap!.have : s.gap!.hi!)} W; ${f.supply} gives ` +
      `${round(s.gap!.limit)} W.`,
    why: 'The supply shuts down under load.',
  },
  'powered.start12V': {
    title: '12 V at the start of all drives',
    what: (f, s) =>
      `Starting ${n(Number(f.drives), 'drive')} together ` +
      `${s.severity === 'blocker' ? 'takes' : 'may take'} ` +
      `${(s.severity === 'blocker' ? s.gap!.have : (s.gap!.hi ?? s.gap!.have)).toFixed(1)} A ` +
      `on 12 V; ${f.supply} gives ${round(s.gap!.limit)} A.`,
    why: 'The supply cuts out at power-on, or drives drop from the pool.',
  },
  'cooled.cooler': {
    title: 'Heat the cooler carries',
    what: (f, s) =>
      `${f.processor} draws ${f.basis === 'typical' ? 'about ' : ''}${round(s.gap!.have)} W ` +
      `for minutes on end; ${f.cooler} carries ${round(s.gap!.limit)} W.`,
    why: 'Under load it slows itself down, or switches off.',
  },
  'cooled.passive': {
    title: 'Cooler without a fan',
    what: (f) =>
      `${f.cooler} has no fan, and none turns in a wall of ${f.chassis}: ${f.processor} draws ` +
      `about ${f.watts} W under load.`,
    why: 'Such a cooler carries what it says only in moving air; still air carries a small part of it.',
  },
  'within.money': {
    title: 'Price against the brief',
    what: (f, s) => over(s, (v) => `${f.currency} ${Math.round(v)}`, 'budget of'),
    why: 'Owned and used parts bring it down first.',
  },
  'within.idle': {
    title: 'Idle watts against the brief',
    what: (_f, s) => over(s, (v) => `${Math.round(v)} W`, 'wished idle of'),
    why: 'A server idles most of the year; that is what the bill is made of.',
  },
  'within.peak': {
    title: 'Peak watts against the brief',
    what: (_f, s) => over(s, (v) => `${Math.round(v)} W`, 'wished peak of'),
    why: 'The socket, the UPS or the circuit may not carry more.',
  },
  'within.size': {
    title: 'Size and weight against the room there is',
    what: (f, s) =>
      s.gap!.unit === 'kg'
        ? `${f.chassis} weighs ${round(s.gap!.have)} kg empty; at most ${round(s.gap!.limit)} kg.`
        : `${f.chassis} is ${mm(-s.gap!.gap)} too ${f.side}: ${mm(s.gap!.have)}, room for ${mm(s.gap!.limit)}.`,
    why: 'It does not go where it is to stand.',
  },
  'within.rackUnits': {
    title: 'Rack units',
    what: (f, s) =>
      s.gap
        ? `${s.gap.have} U of machines; ${s.gap.limit} U are free.`
        : `${f.chassis} is not made for a rack: it wants a shelf there.`,
    why: 'A rack takes what is made for its posts, in whole units.',
  },
  'within.growth': {
    title: 'Room for the drives to come',
    what: (f, s) =>
      `${s.gap!.limit} drives are wanted later; ${f.now} are here and there is room for ` +
      `${f.more} more (${f.bays} bays, ${f.ports} ports free).`,
    why: 'What has no bay or port later means another machine.',
  },
  'within.network': {
    title: 'Network against the brief',
    what: (_f, s) => `${round(s.gap!.limit)} Gb/s are wished; the fastest port here is ${round(s.gap!.have)} Gb/s.`,
    why: 'Everything the drives give goes through that port.',
  },
  'within.mustHave': {
    title: 'Must-haves',
    what: (f) => `The brief asks for ${f.wish}; without it: ${f.parts}.`,
    why: 'A near twin that lacks it is the usual wrong order.',
  },
  'within.sound': {
    title: 'Noise against the brief',
    what: (f, s) =>
      `${s.gap!.gap < 0 ? 'Probably over' : 'May be over'} the wished ${round(s.gap!.limit)} ` +
      `dB(A) at the ear: ${s.gap!.have.toFixed(1)}, could be ` +
      `${(s.gap!.gap < 0 ? s.gap!.lo! : s.gap!.hi!).toFixed(0)}. Most of it: ${f.loudest}.`,
    why: 'Ten decibels more sound about twice as loud.',
  },
} as const satisfies Record<string, Words>;

export type SnagCode = keyof typeof WORDS;
export const SNAG_CODES = Object.keys(WORDS) as SnagCode[];

/** The sentence of a snag and why it matters. */
export function wordsOf(snag: Finding & { readonly code: SnagCode }): {
  readonly title: string;
  readonly what: string;
  readonly why: string;
} {
  const words: Words = WORDS[snag.code];
  return { title: words.title, what: words.what(snag.facts, snag), why: words.why };
}
