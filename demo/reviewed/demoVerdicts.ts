/** What a builder says of every snag of the demo machines, read one by one: right and worth saying, and why. */
export const DEMO_VERDICTS: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  'boathouse-rack': {
    'within.usable':
      'Right: sixteen of 12 TB in double parity hold 144 TB of the 150 wished; two more disks, or single parity, would do.',
    'fits.rackDepth':
      'Right: 660 mm and room for plugs behind do not close in 700; by what is typical of cables, so a caution.',
    'complete.smallParts': 'Right: the rails are sold apart, and without them it does not stand in the rack.',
    'complete.idleCard': 'Right: sixteen disks need one card; the second idles until the other bays are filled.',
    'within.lift': 'Right: 33 kg are for two.',
    'powered.wires':
      'Right: 28.8 A at the start through three cables whose pins carry 8 A each; for seconds, so a caution. Waves cure it.',
  },
  'field-kit': {
    'cooled.drives': 'Right: twelve busy SSDs in a small box without a fan, outdoors at 38 °C.',
    'reaches.slotLink':
      'Right: a card of four lanes in a slot of one halves six SSDs; the network is narrower, so a note.',
    'powered.wires': 'Right: its one cable of 20 AWG feeds all twelve; the rail is past its limit as well.',
    'powered.rails':
      'Right: twelve SSDs stream past what the converter gives on 5 V; at work only, and by what is typical of them.',
    'within.size': 'Right: it is to be carried, and comes to about 7 kg of 6.',
    'reaches.m2Link': 'Right, and only a note: the module is what it starts from.',
    'within.peak': 'Right: likely within, could be over.',
  },
  'gauge-house': {
    'fits.cardHeight': 'Right: even a low card does not stand in 1U.',
    'fits.stick': 'Right: a stick of 40 mm under a cover 28 mm above the board.',
    'mates.memoryRegistered': 'Right: the board takes unbuffered modules.',
    'fits.opening': 'Right: only the riser has an opening in 1U.',
    'fits.rackDepth': 'Right: handles before and plugs behind count.',
    'mates.spareCables': 'Right: a backplane fed from the board wants the reverse breakout.',
  },
  'hall-cupboard': {
    'fits.coolerHeight': 'Right: 74 mm under drives at 70.',
    'reaches.portsShort': 'Right: the SATA module takes two ports of the board.',
    'within.usable': 'Right: four small SSDs are not 40 TB.',
    'within.sound': 'Right as “probably”: the stock fan alone brings it to the wish.',
    'lasts.system': 'Right, a note: two of the pool may fail, the module the system is on may not.',
  },
  'lock-keepers-box': {
    'fits.opening': 'Right: the small chassis has no slot opening, and the card’s outside port is lost.',
    'reaches.slotLink': 'Right, and a note: one disk loses a tenth to the PCI bus.',
    'complete.boot': 'Right: three disks, and nothing set to start from.',
    'powered.plugs': 'Right: two plugs for three disks.',
    'complete.smallParts': 'Right: the splitter that gives the third disk its plug.',
    'cooled.drives': 'Right for the old one of 10 W: its small box has hardly any air.',
    'lasts.ratedBays': 'Right: made to stand in twos.',
    'fits.goesFirst': 'Right: under the supply one does not reach the memory.',
  },
  'old-desktop': {
    'lasts.ratedBays': 'Right: seven small disks side by side.',
    'lasts.worn': 'Right: ten years old and marked so by their owner.',
    'mates.memoryUneven': 'Right, a note.',
    'mates.memorySpeed': 'Right, a note: it is felt by nobody here.',
    'mates.frontUsb': 'Right: the old board has no such header.',
    'lasts.aged': 'Right: supply and disks are past what they are made for.',
    'within.idle': 'Right: likely within, could be over.',
  },
  'reading-room': {},
  'school-shelf': {
    'complete.smallParts': 'Right: the place has one link of 2.5 Gb/s, and no cable for it lies in a box.',
    'powered.total': 'Right as a note: four disks starting together come near what the box’s own brick gives.',
    'within.idle': 'Right: likely within, could be over.',
    'within.sound': 'Right: the room is louder than the wish, and the machine is not to blame.',
    'lasts.system': 'Right, a note: one of the four may fail, the small computer’s own module may not.',
  },
  'sound-desk': {
    'fits.cardLength': 'Right: the accelerator ends 32 mm inside the fan wall.',
    'fits.holes': 'Right: 2.5-inch drives plug into those trays and nothing holds them.',
    'complete.boot': 'Right: six mirrors, and nothing to start from.',
    'cooled.card': 'Right: with the short wall no fan blows over the cards.',
    'fits.cardCovers': 'Right: three slots thick.',
  },
  weighbridge: {
    'fits.coolerBase': 'Right as a note: what gets hot is covered.',
    'mates.frontUsb': 'Right: a used server board has no such header.',
    'complete.smallParts': 'Right: a used board comes without them.',
  },
};
