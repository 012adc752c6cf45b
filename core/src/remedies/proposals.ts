import type { Edit } from '../build/edits';
import { printSpot } from '../build/layout';
import { addItemEdit, type Catalogue } from '../build/newItem';
import { resolve, type Part, type PartOf } from '../parts/resolve';
import type { PartKind } from '../parts/vocabulary';
import { freeBays } from '../figures/room';
import { mismatch } from '../place/mates';
import { spotsOf } from '../place/spots';
import { isCard, ofKind, type PlannedUnit } from '../place/units';
import type { Proposal, Snag } from '../snags/snag';
import type { SnagCode } from '../snags/words';
import { replaceEdit } from './tryAt';
import type { Base } from './weigh';

type Propose = (base: Base, snag: Snag, catalogue: Catalogue) => Proposal[];
/** Weighing costs an assessment each: the cheapest so many of a kind are weighed. */
const MOST_OF_A_KIND = 10;

/** Cheap guesses at what could help; the weighing decides. */
export function proposalsFor(base: Base, snag: Snag, catalogue: Catalogue): Proposal[] {
  return PROPOSE[snag.code](base, snag, catalogue);
}

const about = (base: Base, snag: Snag): PlannedUnit[] => {
  const ids = new Set(snag.at.flatMap((place) => ('unit' in place ? [place.unit] : [])));
  return base.assessment.units.filter((unit) => ids.has(unit.id));
};
const causes = (base: Base, snag: Snag): PlannedUnit[] => {
  const ids = new Set(snag.because?.flatMap((place) => ('unit' in place ? [place.unit] : [])) ?? []);
  return base.assessment.units.filter((unit) => ids.has(unit.id));
};

function listed<K extends PartKind>(catalogue: Catalogue, kind: K): PartOf<K>[] {
  return Object.values(catalogue.sheets).filter((sheet) => sheet.kind === kind).map((sheet) => resolve(sheet, catalogue.archetypes[sheet.archetype]!) as PartOf<K>)
    .sort((a, b) => (a.price?.minor ?? 0) - (b.price?.minor ?? 0));
}

/** Swap the item a unit belongs to for other sheets of its kind that pass a test. */
function swaps<K extends PartKind>(base: Base, catalogue: Catalogue, unit: PlannedUnit, kind: K, goes: (part: PartOf<K>) => boolean): Proposal[] {
  return listed(catalogue, kind).filter((part) => part.id !== unit.part.id && goes(part)).slice(0, MOST_OF_A_KIND).flatMap((part) => {
    const edit = replaceEdit(base.build, catalogue, unit.id, part.id);
    return edit ? [{ edits: [edit], words: `Take ${part.name} instead of ${unit.part.name}` }] : [];
  });
}

/** Chassis options that would take a culprit away or give more room. */
function options(base: Base, snag: Snag, what: 'card' | 'cooler' | 'supply' | 'board'): Proposal[] {
  return ofKind(base.assessment.units, 'chassis').flatMap((unit) => unit.part.options
    .filter((option) => !base.build.changes.some((change) => change.kind === 'option' && change.host === unit.id && change.key === option.key))
    .filter((option) => option.effects.some((effect) => (effect.do === 'remove' && effect.key === snag.facts.culprit) || (effect.do === 'clearance' && effect.clearance.for === what)))
    .map((option): Proposal => ({ edits: [{ type: 'change.add', change: { id: `${unit.id}:${option.key}`, kind: 'option', host: unit.id, key: option.key } }], words: option.label })));
}

const takeOut = (units: readonly PlannedUnit[]): Proposal[] => (units.length ? [{ edits: [{ type: 'units.remove', units: units.map((unit) => unit.id) }], words: `Take out ${nameAll(units)}` }] : []);
const nameAll = (units: readonly PlannedUnit[]) => (units.length === 1 ? `${units[0]!.part.name} (${units[0]!.mark})` : `${units.length} drives (${units.map((unit) => unit.mark).join(', ')})`);

function addControllers(base: Base, catalogue: Catalogue): Proposal[] {
  const { units, layout } = base.assessment;
  const taken = new Set(Object.values(layout.at).map((seat) => printSpot(seat.spot)));
  const free = units.filter((unit) => layout.at[unit.id]).flatMap((unit) => spotsOf(unit.id, unit.part)).filter((spot) => spot.type === 'slot' && !taken.has(`${spot.host}/${spot.key}`));
  return listed(catalogue, 'controller').filter((part) => free.some((spot) => !mismatch(part, spot))).slice(0, MOST_OF_A_KIND)
    .map((part) => ({ edits: [addItemEdit(base.build, catalogue, part.id, 1)], words: `Add ${part.name}` }));
}

const portsShort: Propose = (base, snag, catalogue) => {
  const adds = addControllers(base, catalogue);
  const m2 = causes(base, snag).filter((unit) => unit.part.kind === 'drive');
  const others = m2.flatMap((unit) => swaps(base, catalogue, unit, 'drive', (part) => part.size === 'm2' && part.interface !== (unit.part as PartOf<'drive'>).interface && part.capacityBytes >= (unit.part as PartOf<'drive'>).capacityBytes));
  const out = takeOut(m2);
  // Where neither alone is enough, a controller and the freed ports together may be.
  const both = (others[0] ? [others[0]] : out).flatMap((one) => adds.map((add): Proposal => ({ edits: [...add.edits, ...one.edits], words: `${add.words}, and ${lower(one.words)}`, madeOf: [add.words, one.words] })));
  const bigger = ofKind(base.assessment.units, 'controller').flatMap((unit) => swaps(base, catalogue, unit, 'controller', (part) => lanes(part) > lanes(unit.part)));
  return [...adds, ...others, ...out, ...bigger, ...takeOut(about(base, snag)), ...both];
};

const lanes = (part: PartOf<'controller'>) => part.connectors.reduce((sum, one) => sum + (one.side === 'inside' ? one.count * one.lanes : 0), 0);
const lower = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);

const cardLength: Propose = (base, snag, catalogue) => about(base, snag).flatMap((unit) => {
  const { part } = unit;
  if (!isCard(part)) return [];
  const limit = snag.gap?.limit ?? 0;
  const shorter = part.kind === 'controller' ? swaps(base, catalogue, unit, 'controller', (other) => other.lengthMm <= limit && lanes(other) >= lanes(part)) : swaps(base, catalogue, unit, part.kind, (other) => 'lengthMm' in other && other.lengthMm <= limit);
  return [...options(base, snag, 'card'), ...otherSlots(base, unit), ...shorter];
});

function otherSlots(base: Base, unit: PlannedUnit): Proposal[] {
  const now = base.assessment.layout.at[unit.id]?.spot;
  const board = base.assessment.units.find((one) => one.id === now?.host);
  const taken = new Set(Object.values(base.assessment.layout.at).map((seat) => printSpot(seat.spot)));
  return board ? spotsOf(board.id, board.part).filter((spot) => spot.type === 'slot' && spot.key !== now!.key && !taken.has(`${spot.host}/${spot.key}`) && !mismatch(unit.part, spot))
    .map((spot) => ({ edits: [{ type: 'place.put', unit: unit.id, spot: { host: spot.host, key: spot.key } } as Edit], words: `Move ${unit.part.name} to ${spot.label}` })) : [];
}

const coolerHeight: Propose = (base, snag, catalogue) => about(base, snag).flatMap((unit) => {
  const under = Object.entries(base.assessment.layout.at).filter(([, seat]) => seat.spot.host === snag.facts.host && seat.spot.key === snag.facts.culprit).map(([id]) => id);
  const above = base.assessment.units.filter((one) => under.includes(one.id));
  const needW = Math.max(0, ...ofKind(base.assessment.units, 'processor').map((one) => one.part.busyW));
  const { part } = unit;
  if (part.kind !== 'cooler') return [];
  const lowerOnes = swaps(base, catalogue, unit, 'cooler', (other) => other.heightMm <= (snag.gap?.limit ?? 0) && other.carriesW >= needW && other.sockets.some((socket) => part.sockets.includes(socket)));
  return [...options(base, snag, 'cooler'), ...lowerOnes, ...moveToFreeBays(base, above), ...takeOut(above)];
});

function moveToFreeBays(base: Base, units: readonly PlannedUnit[]): Proposal[] {
  const { units: all, layout } = base.assessment;
  const from = new Set(units.map((unit) => layout.at[unit.id]?.spot.key));
  const free = freeBays(all, layout).filter(({ group }) => !from.has(group.key) && units.every((unit) => !mismatch(unit.part, group)));
  if (units.length === 0 || free.length < units.length) return [];
  const edits = units.map((unit, i): Edit => {
    const { name, group } = free[i]!;
    const n = Number(/\.(\d+)$/.exec(name)?.[1]);
    return { type: 'place.put', unit: unit.id, spot: { host: group.host, key: group.key, ...(n ? { n } : {}) } };
  });
  return [{ edits, words: `Move ${nameAll(units)} to ${free[0]!.group.label.toLowerCase()}` }];
}

const supply = (goes: (base: Base, part: PartOf<'supply'>, now: PartOf<'supply'>, snag: Snag) => boolean): Propose => (base, snag, catalogue) =>
  about(base, snag).flatMap((unit) => {
    const { part } = unit;
    return part.kind === 'supply' ? swaps(base, catalogue, unit, 'supply', (other) => goes(base, other, part, snag)) : [];
  });

const mountable = (base: Base, part: Part) => base.assessment.units.some((unit) => unit.part.kind === 'chassis' && spotsOf(unit.id, unit.part).some((spot) => spot.type !== 'connector' && !mismatch(part, spot)));

const driveInBay: Propose = (base, snag, catalogue) => {
  const drives = about(base, snag);
  const adapters = listed(catalogue, 'adapter').filter((part) => mountable(base, part)).slice(0, MOST_OF_A_KIND)
    .map((part): Proposal => ({ edits: [addItemEdit(base.build, catalogue, part.id, 1)], words: `Add ${part.name}` }));
  return [...adapters, ...takeOut(drives)];
};

const memory: Propose = (base, snag, catalogue) => {
  const board = ofKind(base.assessment.units, 'board')[0];
  if (!board) return [];
  const bank = spotsOf(board.id, board.part).find((spot) => spot.type === 'memoryBank');
  const unit = about(base, snag)[0];
  if (!unit || unit.part.kind !== 'memory' || !bank) return takeOut(about(base, snag));
  const want = unit.part.capacityBytes;
  const fits = (part: PartOf<'memory'>) => !mismatch(part, bank) && part.capacityBytes >= want && (board.part.memoryRegistered === 'may' || part.registered === (board.part.memoryRegistered === 'must'));
  return [...swaps(base, catalogue, unit, 'memory', fits), ...takeOut(about(base, snag))];
};

const start12V: Propose = (base, snag, catalogue) => supply((_base, other, now) => other.rail12A > now.rail12A && mountable(base, other))(base, snag, catalogue);

const sound: Propose = (base, snag, catalogue) => {
  const fans = about(base, snag).filter((unit) => unit.part.kind === 'fan');
  const quieter = listed(catalogue, 'fan').flatMap((part): Proposal[] => {
    const spots = fans.flatMap((unit) => {
      const spot = unit.builtIn && !unit.builtIn.fixed ? unit.builtIn.spot : undefined;
      const host = base.assessment.units.find((one) => one.id === spot?.host);
      const group = spot && host && spotsOf(host.id, host.part).find((one) => one.key === spot.key);
      return spot && group && !mismatch(part, group) ? [{ host: spot.host, key: spot.key, ...(group.count > 1 ? { n: spot.n ?? 1 } : {}) }] : [];
    });
    const edit = spots.length === fans.length && fans.length > 0 ? addItemEdit(base.build, catalogue, part.id, spots.length, { spots }) : null;
    return edit ? [{ edits: [edit], words: `Fit ${spots.length} × ${part.name} in place of ${fans[0]!.part.name}` }] : [];
  });
  const swapped = fans.filter((unit) => !unit.builtIn).slice(0, 1).flatMap((unit) => swaps(base, catalogue, unit, 'fan', (part) => part.sizeMm === (unit.part as PartOf<'fan'>).sizeMm));
  const supplies = ofKind(base.assessment.units, 'supply').filter((unit) => about(base, snag).includes(unit)).flatMap((unit) => swaps(base, catalogue, unit, 'supply', (part) => mountable(base, part)));
  const policy = base.build.policy.fans;
  const slower = policy.kind === 'fixed' && policy.duty > 0.25
    ? [{ edits: [{ type: 'set.policy', value: { ...base.build.policy, fans: { kind: 'fixed', duty: Math.round((policy.duty - 0.1) * 100) / 100 } } } as Edit], words: `Run the fans at ${Math.round((policy.duty - 0.1) * 100)} % duty` }] : [];
  return [...slower, ...quieter, ...swapped, ...supplies];
};

const PROPOSE: Readonly<Record<SnagCode, Propose>> = {
  'fits.boardInChassis': (base, snag, catalogue) => about(base, snag).flatMap((unit) => {
    const chassis = ofKind(base.assessment.units, 'chassis')[0];
    return [
      ...(chassis ? swaps(base, catalogue, chassis, 'chassis', (part) => unit.part.kind === 'board' && part.boardHoles.includes(unit.part.holes)) : []),
      ...options(base, snag, 'board'),
      ...swaps(base, catalogue, unit, 'board', (part) => mountable(base, part)),
    ];
  }),
  'fits.supplyForm': supply((base, other, now) => mountable(base, other) && other.ratedW >= now.ratedW * 0.7),
  'fits.supplyLength': (base, snag, catalogue) => [...options(base, snag, 'supply'), ...supply((on, other, now, one) => other.lengthMm <= (one.gap?.limit ?? 0) && mountable(on, other) && other.ratedW >= now.ratedW * 0.7)(base, snag, catalogue)],
  'fits.coolerHeight': coolerHeight,
  'fits.cardLength': cardLength,
  'fits.cardSlot': (base, snag, catalogue) => [
    ...ofKind(base.assessment.units, 'board').flatMap((unit) => swaps(base, catalogue, unit, 'board', (part) => part.slots.length > unit.part.slots.length && part.socket === unit.part.socket && mountable(base, part))),
    ...takeOut(about(base, snag)),
  ],
  'fits.driveInBay': driveInBay,
  'reaches.portsShort': portsShort,
  'mates.memory': memory,
  'mates.memorySlots': memory,
  'mates.memoryRegistered': memory,
  'powered.start12V': start12V,
  'within.sound': sound,
};

