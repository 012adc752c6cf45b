import type { Snag } from './snag';

const mm = (value: number) => `${round(value)} mm`;
const round = (value: number) => (Number.isInteger(value) ? String(value) : value.toFixed(1));
const n = (count: number, one: string, many = `${one}s`) => `${count} ${count === 1 ? one : many}`;
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
  'reaches.portsShort': {
    title: 'A port for every drive',
    what: (f) => `${n(Number(f.drives), 'drive')} in bays, ${n(Number(f.ports), 'port')} that can reach them.${f.culprit ? ` ${f.culprit} switches off ${n(Number(f.off), 'port')}.` : ''}${f.kind ? ` ${f.kind}` : ''}`,
    why: 'A drive without a port is not seen by the machine.',
  },
  'mates.memory': { title: 'Memory form and type', what: (f) => `${f.memory} is ${f.have}; ${f.board} takes ${f.want}.`, why: 'The notch and the voltage differ; it does not go in.' },
  'mates.memorySlots': { title: 'A slot for every module', what: (f) => `${n(Number(f.count), 'module')} without a slot: ${f.board} has ${f.slots}.`, why: 'They stay on the table.' },
  'mates.memoryRegistered': { title: 'Registered memory', what: (f) => `${f.memory} is ${f.have}; ${f.board} needs ${f.want} modules.`, why: 'It goes in, but the machine will not start.' },
  'powered.start12V': {
    title: '12 V at the start of all drives',
    what: (f, s) => `Starting ${n(Number(f.drives), 'drive')} together ${s.severity === 'blocker' ? 'takes' : 'may take'} ${(s.severity === 'blocker' ? s.gap!.have : s.gap!.hi ?? s.gap!.have).toFixed(1)} A on 12 V; ${f.supply} gives ${round(s.gap!.limit)} A.`,
    why: 'The supply cuts out at power-on, or drives drop from the pool.',
  },
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
