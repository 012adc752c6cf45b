import type { Sized } from '../finding';
import { mm, n, HOLES, type WordsOf } from '../wording';

/** What is in the way: its label, its key, and the unit it belongs to. */
export type Culprit = { because: string; culprit: string; host: string };

/** What each rule says besides its gap. */
export type FitsFacts = {
  'fits.boardInChassis': { board: string; chassis: string; want?: string; have?: string; side?: string };
  'fits.supplyForm': { supply: string; chassis: string; want: string; have: string };
  'fits.supplyLength': Sized<{ supply: string } & Culprit>;
  'fits.coolerHeight': Sized<{ cooler: string } & Culprit>;
  'fits.cardLength': Sized<{ card: string } & Culprit>;
  'fits.cardSlot': { card: string; place: 'slot' | 'M.2 socket'; reason: string };
  'fits.driveInBay':
    | { drive?: never; count: number; names: string; reason: string }
    | { drive: string; drives: number; heightMm: number; roomMm: number };
  'fits.cardCovers': { card: string; slots: number; covered: string };
  'fits.fanMount': { count: number; fan: string; reason: string };
  'fits.cardHeight': Sized<{ card: string; chassis: string }>;
  'fits.riserHand': { riser: string; have: string; chassis: string; want: string };
  'fits.bracket': { card: string; opening: string; brackets: string };
  'fits.opening': { card: string; lost: number; useless: string };
  'fits.bracketOpening': Sized<{ box: string; cables: number; brackets: number }>;
  'fits.bracketOff': { card: string; lost: number };
  'fits.fixedBays': { count: number };
  'fits.holes': { count: number; drive: string; have: keyof typeof HOLES; want: string };
  'fits.supplyScrews': { supply: string; bay: string; chassis: string };
  'fits.coolerBase': Sized<{ cooler: string; processor: string; spreaderMm: number }>;
  'fits.stick': Sized<{ drive: string } & Culprit>;
  'fits.plugRoom': Sized<{ drive: string; count: number; need: number; angledNeed: number; turned: number }>;
  'fits.goesFirst': { board: string; under: string; one: number; over: string; oneOver: number };
  'fits.takenOut': { chassis: string; change: string; bays: number; fans: number };
  'fits.rackBody': Sized<{ chassis: string; rails: string }>;
  'fits.rackDepth': Sized<{ chassis: string; depth: number; handles: number; cables: number }>;
};

export const FITS_WORDS: WordsOf<FitsFacts> = {
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
        ? `${f.supply} is ${mm(-s.gap.gap)} too long: ${mm(s.gap.have)}, room for ` +
          `${mm(s.gap.limit)} to ${f.because}.`
        : `${f.supply} leaves ${mm(s.gap.gap)} to ${f.because}.`,
    why: 'Its plugs and cable bends need that room as well.',
  },
  'fits.coolerHeight': {
    title: 'Cooler height',
    what: (f, s) =>
      s.severity === 'blocker'
        ? `${f.cooler} is ${mm(-s.gap.gap)} too high: ${mm(s.gap.have)}, room for ` +
          `${mm(s.gap.limit)} under ${f.because}.`
        : `${f.cooler} leaves ${mm(s.gap.gap)} under ${f.because}.`,
    why: 'The cover or what hangs above would press on the cooler and the board.',
  },
  'fits.cardLength': {
    title: 'Card length',
    what: (f, s) =>
      s.severity === 'blocker'
        ? `${f.card} is ${mm(-s.gap.gap)} too long: ${mm(s.gap.have)}, room for ${mm(s.gap.limit)} to ${f.because}.`
        : `${f.card} leaves ${mm(s.gap.gap)} to ${f.because}.`,
    why: 'The card cannot be pushed into its slot.',
  },
  'fits.cardSlot': {
    title: 'Slot for every card',
    what: (f) => `${f.card}: no ${f.place} is left that takes it. ${f.reason}`,
    why: 'Without a place the card does nothing.',
  },
  'fits.driveInBay': {
    title: 'Drive in bay',
    what: (f) =>
      f.drive !== undefined
        ? `${f.drives > 1 ? `${f.drives} × ${f.drive} are` : `${f.drive} is`} ` +
          `${mm(f.heightMm - f.roomMm)} too high for ${f.drives > 1 ? 'their bays' : 'its bay'}: ` +
          `${mm(f.heightMm)}, room for ${mm(f.roomMm)}.`
        : `${n(f.count, 'drive')} without a place: ${f.names}. ${f.reason}`,
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
    what: (f) => `${n(f.count, 'fan')} without a mount: ${f.fan}. ${f.reason}`,
    why: 'A loose fan moves no air where it is wanted.',
  },
  'fits.cardHeight': {
    title: 'Height of a card',
    what: (f, s) =>
      `${f.card} stands ${mm(s.gap.have)} high in its slot; ${f.chassis} has ` +
      `${mm(s.gap.limit)} there. On a riser it lies flat.`,
    why: 'The cover does not close over it.',
  },
  'fits.riserHand': {
    title: 'Side of a riser',
    what: (f) => `${f.riser} lays its card to the ${f.have}; ${f.chassis} has the opening for it on the ${f.want}.`,
    why: 'Seen from the front: the card’s bracket meets a closed wall, or the card the board.',
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
      `bracket${f.lost ? `, and ${n(f.lost, 'outside port')} cannot be used` : ''}.`,
    why: 'Only the slot holds it: a pull tilts it.',
  },
  'fits.bracketOpening': {
    title: 'Opening for a bracket',
    what: (f, s) =>
      `${n(f.cables, 'cable')} through the wall of ${f.box}: ${n(f.brackets, 'bracket')}, and ` +
      `${n(s.gap.limit, 'slot opening')} free.`,
    why: 'A cable through a bare hole chafes at its edge, and nothing takes a pull from its plug.',
  },
  'fits.bracketOff': {
    title: 'Card without its bracket',
    what: (f) =>
      `${f.card} stands without its bracket; only the slot holds ` +
      `it.${f.lost ? ` ${n(f.lost, 'outside port')} cannot be used.` : ''}`,
    why: 'It tips when a cable is pulled: lay its cables loosely, and do not ship it so.',
  },
  'fits.fixedBays': {
    title: 'Bays that need a power-down',
    what: (f) =>
      `${n(f.count, 'drive')} ${f.count === 1 ? 'sits' : 'sit'} in bays that ` +
      'are not hot swap: to change or add one the machine is switched off.',
    why: 'A failed drive waits until nobody needs the machine, and so does the rebuild.',
  },
  'fits.holes': {
    title: 'Holes of a drive',
    what: (f) =>
      `${n(f.count, 'drive')} ${f.count === 1 ? 'mates' : 'mate'}, but nothing ` +
      `holds ${f.count === 1 ? 'it' : 'them'}: ${f.drive} has ${HOLES[f.have as 'A']}; ` +
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
      `The base of ${f.cooler} is ${mm(s.gap.have)}; the heat spreader of ${f.processor} is ${mm(f.spreaderMm)}, ` +
      `and gets hot ${mm(s.gap.limit)} wide.`,
    why: 'What is not covered is not cooled: it runs hot under load.',
    whyNote: 'What gets hot is covered; the rim needs no cooling.',
  },
  'fits.stick': {
    title: 'Boot stick under the cover',
    what: (f, s) =>
      s.severity === 'blocker'
        ? `${f.drive} stands ${mm(s.gap.have)} above the board; ${mm(s.gap.limit)} are there under ${f.because}.`
        : `${f.drive} leaves ${mm(s.gap.gap)} under ${f.because}.`,
    why: 'The cover would press on it and break the socket. An angle adapter lays it down.',
  },
  'fits.plugRoom': {
    title: 'Room for the plugs of a drive',
    what: (f, s) =>
      s.severity === 'note'
        ? `${f.count === 1 ? f.drive : `${f.count} × ${f.drive}`} ` +
          `${f.count === 1 ? 'goes' : 'go'} in turned round, plugs to the front: ` +
          `${f.turned} mm are there, ${mm(s.gap.have)} behind; a plug and its bend want ${f.need} ` +
          'mm.'
        : s.severity === 'caution'
          ? `${f.drive} has ${mm(s.gap.have)} before its plugs; a straight plug with its bend wants ` +
            `${f.need} mm, an angled one ${f.angledNeed} mm.`
          : `${f.drive} has ${mm(s.gap.have)} before its plugs; even an angled one wants ${f.angledNeed} mm.`,
    why: 'Pressed against a wall a plug breaks.',
  },
  'fits.goesFirst': {
    title: 'What goes in first',
    what: (f) =>
      `${f.under} of ${f.board} ${f.one ? 'goes' : 'go'} in first: ${f.over} ` +
      `${f.oneOver ? 'lies' : 'lie'} over ${f.one ? 'it' : 'them'}.`,
    why: 'To change it later, what lies over it comes out again.',
  },
  'fits.takenOut': {
    title: 'Pieces taken out',
    what: (f) =>
      `${f.chassis}, ${f.change.charAt(0).toLowerCase()}${f.change.slice(1)}: ` +
      `${[f.bays ? `${n(f.bays, 'bay')} fewer` : '', f.fans ? `${n(f.fans, 'place')} for fans fewer` : '']
        .filter(Boolean)
        .join(', ')}.`,
    why: 'What the piece held, cooled or closed off is missing; keep it for the day it goes back in.',
  },
  'fits.rackBody': {
    title: 'Width between the posts',
    what: (f, s) =>
      `${f.chassis} is ${mm(s.gap.have)} wide; ` +
      `${f.rails ? 'with slide rails' : 'in the rack'} there is room for ${mm(s.gap.limit)}.`,
    why: 'Rails need about 5 mm on each side; past the opening it does not go in at all.',
  },
  'fits.rackDepth': {
    title: 'Handles and cables in the rack',
    what: (f, s) =>
      `${f.chassis} is ${mm(f.depth)} deep; with ` +
      `${f.handles ? `${mm(f.handles)} of handles and ` : ''}${mm(f.cables)} ` +
      `for cables ${mm(s.gap.have)}, where ${mm(s.gap.limit)} are.`,
    why: 'The door does not close, or the plugs are bent.',
  },
};
