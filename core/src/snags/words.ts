import type { Snag } from './snag';

const mm = (value: number) => `${round(value)} mm`;
const round = (value: number) => (Number.isInteger(value) ? String(value) : value.toFixed(1));
const n = (count: number, one: string, many = `${one}s`) => `${count} ${count === 1 ? one : many}`;
const PLUG_WORDS: Readonly<Record<string, string>> = { 'sata-power': 'SATA power plugs', peripheral: '4-pin peripheral plugs', '6-pin-card': '6-pin card plugs', '8-pin-card': '8-pin card plugs', '24-pin': '24-pin plugs', '8-pin-cpu': '8-pin processor plugs', '4-pin-cpu': '4-pin processor plugs', 'dc-jack': 'DC jacks' };
export const plugWords = (plug: string): string => PLUG_WORDS[plug] ?? plug;
/** A value over a wish in words, with its range: beside a limit a bare number says too much. */
const over = (s: Snag, of: (value: number) => string, wish: string) =>
  `${s.gap!.gap < 0 ? ((s.gap!.lo ?? s.gap!.have) > s.gap!.limit ? 'Over' : 'Probably over') : 'May be over'} the ${wish} ${of(s.gap!.limit)}: ${of(s.gap!.have)}${(s.gap!.lo ?? s.gap!.have) === (s.gap!.hi ?? s.gap!.have) ? '' : `, could be ${of(s.gap!.gap < 0 ? s.gap!.lo! : s.gap!.hi!)}`}.`;
type Facts = Snag['facts'];
type Words = { readonly title: string; readonly what: (facts: Facts, snag: Snag) => string; readonly why: string };

/** One entry per code: the rule's title, its sentence with the numbers in it, and why it matters. */
export const WORDS = {
  'fits.boardInChassis': {
    title: 'Board in chassis',
    what: (f, s) => (s.gap ? `${f.board} is ${mm(-s.gap.gap)} too ${f.side} for ${f.chassis}: ${mm(s.gap.have)}, room for ${mm(s.gap.limit)}.` : `${f.board} has ${f.have} holes; ${f.chassis} takes ${f.want}.`),
    why: 'The board cannot be screwed down.',
  },
  'fits.supplyForm': { title: 'Supply form', what: (f) => `${f.supply} is ${f.have}; ${f.chassis} takes ${f.want}.`, why: 'Its body and screw holes do not match the opening.' },
  'fits.supplyLength': {
    title: 'Supply length',
    what: (f, s) => (s.severity === 'blocker' ? `${f.supply} is ${mm(-s.gap!.gap)} too long: ${mm(s.gap!.have)}, room for ${mm(s.gap!.limit)} to ${f.because}.` : `${f.supply} leaves ${mm(s.gap!.gap)} to ${f.because}.`),
    why: 'Its plugs and cable bends need that room as well.',
  },
  'fits.coolerHeight': {
    title: 'Cooler height',
    what: (f, s) => (s.severity === 'blocker' ? `${f.cooler} is ${mm(-s.gap!.gap)} too high: ${mm(s.gap!.have)}, room for ${mm(s.gap!.limit)} under ${f.because}.` : `${f.cooler} leaves ${mm(s.gap!.gap)} under ${f.because}.`),
    why: 'The cover or what hangs above would press on the cooler and the board.',
  },
  'fits.cardLength': {
    title: 'Card length',
    what: (f, s) => (s.severity === 'blocker' ? `${f.card} is ${mm(-s.gap!.gap)} too long: ${mm(s.gap!.have)}, room for ${mm(s.gap!.limit)} to ${f.because}.` : `${f.card} leaves ${mm(s.gap!.gap)} to ${f.because}.`),
    why: 'The card cannot be pushed into its slot.',
  },
  'fits.cardSlot': { title: 'Slot for every card', what: (f) => `${f.card}: no slot is left that takes it. ${f.reason}`, why: 'Without a slot the card does nothing.' },
  'fits.driveInBay': {
    title: 'Drive in bay',
    what: (f, s) => (s.gap ? `${f.drive} is ${mm(-s.gap.gap)} too high for its bay: ${mm(s.gap.have)}, room for ${mm(s.gap.limit)}.` : `${n(Number(f.count), 'drive')} without a place: ${f.names}. ${f.reason}`),
    why: 'A loose drive shakes, overheats and fails early.',
  },
  'fits.cardCovers': {
    title: 'What a thick card covers',
    what: (f, s) => (s.gap ? `${f.card} takes ${f.slots} openings and would need number ${s.gap.have}; the chassis has ${s.gap.limit}.` : `${f.card} is ${f.slots} slots thick and covers ${f.covered}.`),
    why: 'What it covers cannot be used, and its bracket must meet an opening.',
  },
  'fits.fanMount': { title: 'Fan in its mount', what: (f) => `${n(Number(f.count), 'fan')} without a mount: ${f.fan}. ${f.reason}`, why: 'A loose fan moves no air where it is wanted.' },
  'reaches.interface': {
    title: 'Drive interface against ports',
    what: (f) => `${n(Number(f.count), `${f.kind} drive`)}, and no port here speaks ${f.kind}: the ports are ${f.ports}.`,
    why: 'A SAS controller runs SATA drives too, never the other way round; NVMe needs lanes.',
  },
  'reaches.portsShort': {
    title: 'A port for every drive',
    what: (f) => `${n(Number(f.drives), 'drive')} in bays, ${n(Number(f.ports), 'port')} that can reach them.${f.culprit ? ` ${f.culprit} switches off ${n(Number(f.off), 'port')}.` : ''}${f.kind ? ` ${f.kind}` : ''}`,
    why: 'A drive without a port is not seen by the machine.',
  },
  'mates.memory': { title: 'Memory form and type', what: (f) => `${f.memory} is ${f.have}; ${f.board} takes ${f.want}.`, why: 'The notch and the voltage differ; it does not go in.' },
  'mates.memorySlots': { title: 'A slot for every module', what: (f) => `${n(Number(f.count), 'module')} without a slot: ${f.board} has ${f.slots}.`, why: 'They stay on the table.' },
  'mates.memoryRegistered': { title: 'Registered memory', what: (f) => `${f.memory} is ${f.have}; ${f.board} needs ${f.want} modules.`, why: 'It goes in, but the machine will not start.' },
  'mates.socket': { title: 'Socket of processor and cooler', what: (f) => (f.want ? `${f.part} is for socket ${f.have}; ${f.board} has ${f.want}.` : `${f.part} finds no socket: the processor of ${f.board} is soldered.`), why: 'It does not go in, or the cooler cannot be screwed down.' },
  'mates.memoryMax': { title: 'Most memory a board takes', what: (f, s) => `${round(s.gap!.have)} GB ${f.what}; ${f.board} takes ${round(s.gap!.limit)} GB.`, why: 'The machine does not start, or does not see the rest.' },
  'mates.display': {
    title: 'Something to see the setup on',
    what: (f) => `${f.processor} ${f.graphics} graphics, and ${f.board} brings ${f.graphics === 'has' ? 'no display output' : 'no remote management'}.`,
    why: 'The system cannot be installed without a borrowed graphics card.',
  },
  'powered.plugs': {
    title: 'A plug for every part',
    what: (f, s) => `${plugWords(String(f.plug))}: ${s.gap!.limit} wanted, ${f.supply} has ${s.gap!.have}.${s.severity === 'caution' ? ' Splitters are needed.' : ''}`,
    why: 'A part without power is dead weight; every splitter is one more contact to fail.',
  },
  'powered.total': {
    title: 'Everything at its most together',
    what: (f, s) => `At their most the parts ${s.severity === 'blocker' ? 'draw' : 'may draw'} ${Math.round(s.severity === 'blocker' ? s.gap!.have : s.gap!.hi!)} W; ${f.supply} gives ${round(s.gap!.limit)} W.`,
    why: 'The supply shuts down under load.',
  },
  'powered.start12V': {
    title: '12 V at the start of all drives',
    what: (f, s) => `Starting ${n(Number(f.drives), 'drive')} together ${s.severity === 'blocker' ? 'takes' : 'may take'} ${(s.severity === 'blocker' ? s.gap!.have : s.gap!.hi ?? s.gap!.have).toFixed(1)} A on 12 V; ${f.supply} gives ${round(s.gap!.limit)} A.`,
    why: 'The supply cuts out at power-on, or drives drop from the pool.',
  },
  'within.money': { title: 'Money against the brief', what: (f, s) => over(s, (v) => `${f.currency} ${Math.round(v)}`, 'budget of'), why: 'Owned and used parts bring it down first.' },
  'within.idle': { title: 'Idle watts against the brief', what: (_f, s) => over(s, (v) => `${Math.round(v)} W`, 'wished idle of'), why: 'A server idles most of the year; that is what the bill is made of.' },
  'within.peak': { title: 'Peak watts against the brief', what: (_f, s) => over(s, (v) => `${Math.round(v)} W`, 'wished peak of'), why: 'The socket, the UPS or the circuit may not carry more.' },
  'within.size': {
    title: 'Size and weight against the room there is',
    what: (f, s) => (s.gap!.unit === 'kg' ? `${f.chassis} weighs ${round(s.gap!.have)} kg empty; at most ${round(s.gap!.limit)} kg.` : `${f.chassis} is ${mm(-s.gap!.gap)} too ${f.side}: ${mm(s.gap!.have)}, room for ${mm(s.gap!.limit)}.`),
    why: 'It does not go where it is to stand.',
  },
  'within.rackUnits': { title: 'Rack units', what: (f, s) => (s.gap ? `${s.gap.have} U of machines; ${s.gap.limit} U are free.` : `${f.chassis} is not made for a rack: it wants a shelf there.`), why: 'A rack takes what is made for its posts, in whole units.' },
  'within.growth': {
    title: 'Room for the drives to come',
    what: (f, s) => `${s.gap!.limit} drives are wanted later; ${f.now} are here and there is room for ${f.more} more (${f.bays} bays, ${f.ports} ports free).`,
    why: 'What has no bay or port later means another machine.',
  },
  'within.network': { title: 'Network against the brief', what: (_f, s) => `${round(s.gap!.limit)} Gb/s are wished; the fastest port here is ${round(s.gap!.have)} Gb/s.`, why: 'Everything the drives give goes through that port.' },
  'within.mustHave': { title: 'Must-haves', what: (f) => `The brief asks for ${f.wish}; without it: ${f.parts}.`, why: 'A near twin that lacks it is the usual wrong order.' },
  'within.sound': {
    title: 'Sound against the brief',
    what: (f, s) => `${s.gap!.gap < 0 ? 'Probably over' : 'May be over'} the wished ${round(s.gap!.limit)} dB(A) at the ear: ${s.gap!.have.toFixed(1)}, could be ${(s.gap!.gap < 0 ? s.gap!.lo! : s.gap!.hi!).toFixed(0)}. Most of it: ${f.loudest}.`,
    why: 'Ten decibels more sound about twice as loud.',
  },
} as const satisfies Record<string, Words>;

export type SnagCode = keyof typeof WORDS;
export const SNAG_CODES = Object.keys(WORDS) as SnagCode[];

/** The sentence of a snag and why it matters. */
export function wordsOf(snag: Snag): { readonly title: string; readonly what: string; readonly why: string } {
  const words: Words = WORDS[snag.code];
  return { title: words.title, what: words.what(snag.facts, snag), why: words.why };
}
