import { groupedBy } from '../../lists';
import { lanesAt } from '../../solve/checkLayout';
import { mismatch } from '../../machine/accepts';
import { spotsOf } from '../../machine/spots';
import { ofKind, type PlannedUnit } from '../../machine/units';
import { byPart, chassisOf, isSeated, seatedBoard, spotOf, unplacedOf, unitById, type Situation } from '../situation';
import type { Found } from '../words';
import { gapMm } from './gaps';

export function driveInBay(situation: Situation): Found<'fits.driveInBay'>[] {
  if (chassisOf(situation).length === 0) return [];
  const loose = byPart(unplacedOf(situation, 'drive')).flatMap((units): Found<'fits.driveInBay'>[] => {
    const { part } = units[0];
    if (part.kind !== 'drive') return [];
    if ((part.size === 'm2' || part.size === 'usb') && !seatedBoard(situation)) return [];
    return [
      {
        severity: 'blocker',
        at: units.map((unit) => ({ unit: unit.id })),
        facts: {
          count: units.length,
          names: `${units.length} × ${part.name}`,
          reason: whyNoPlace(situation, units[0]),
        },
      },
    ];
  });
  const high = ofKind(situation.units, 'drive').flatMap((unit) => {
    const spot = spotOf(situation, unit);
    const host = spot && unitById(situation, spot.host)?.part;
    const group =
      host && (host.kind === 'chassis' || host.kind === 'adapter')
        ? host.bayGroups.find((one) => one.key === spot.key)
        : undefined;
    return spot && group && unit.part.heightMm > group.maxDriveHeightMm
      ? [{ unit, spot, roomMm: group.maxDriveHeightMm }]
      : [];
  });
  const tooHigh = [...groupedBy(high, ({ unit, roomMm }) => `${unit.part.id} ${roomMm}`).values()].map(
    (these): Found<'fits.driveInBay'> => {
      const { unit, roomMm } = these[0];
      const { name, heightMm } = unit.part;
      return {
        severity: 'blocker',
        at: these.flatMap((one) => [{ unit: one.unit.id }, { spot: one.spot }]),
        gap: gapMm(heightMm, roomMm),
        facts: { drive: name, drives: these.length, heightMm, roomMm },
      };
    },
  );
  return [...loose, ...tooHigh];
}

/** What is wrong with the M.2 sockets there are, those of one trouble together: length, key or what they speak. */
function whyNoSocket(unit: PlannedUnit, hosts: readonly PlannedUnit[]): string | null {
  const said = hosts
    .flatMap((one) => spotsOf(one.id, one.part))
    .filter((spot) => spot.type === 'm2')
    .flatMap((spot) => {
      const why = mismatch(unit.part, spot);
      if (!why) return [];
      const words = {
        length: `take ${why.want} mm, it is ${why.have}`,
        key: `have key ${why.want}, it has ${why.have}`,
        protocol: `speak ${why.want === 'pcie' ? 'NVMe' : why.want.toUpperCase()} only`,
      };
      return [{ label: spot.label, words: words[why.code as keyof typeof words] ?? 'do not take it' }];
    });
  const sentences = [...groupedBy(said, ({ words }) => words)].map(([words, these]) => {
    const labels = [...new Set(these.map(({ label }) => label))];
    if (labels.length > 2) return `${labels.length} M.2 sockets ${words}.`;
    return `${labels.join(' and ')} ${labels.length > 1 ? words : ofOne(words)}.`;
  });
  return sentences.length ? sentences.join(' ') : null;
}

/** The same of one socket. */
const ofOne = (words: string): string =>
  words
    .replace(/^(take|speak)\b/, '$1s')
    .replace(/^have/, 'has')
    .replace(/^do/, 'does');

/** Bays of the right size all taken, or none of that size, also counting what adapters offer. */
function whyNoPlace(situation: Situation, unit: PlannedUnit): string {
  const wants =
    unit.part.kind === 'drive'
      ? { m2: 'M.2', usb: 'USB', slot: 'slot', 'u.2': 'U.2', '3.5': '3.5-inch', '2.5': '2.5-inch' }[unit.part.size]
      : '';
  const hosts = situation.units.filter((one) => isSeated(situation, one));
  const groups = hosts
    .flatMap((one) => spotsOf(one.id, one.part))
    .filter((spot) => (spot.type === 'bay' || spot.type === 'm2' || spot.type === 'usb') && !mismatch(unit.part, spot));
  const places = groups.reduce((sum, group) => sum + group.count, 0);
  if (places === 0 && unit.part.kind === 'drive' && unit.part.size === 'm2') {
    const why = whyNoSocket(unit, hosts);
    if (why) return why;
  }
  const lanes = lanesAt(situation.units, situation.layout);
  const dark = groups.filter((group) => group.type === 'm2' && lanes({ host: group.host, key: group.key }) === 0);
  if (dark.length > 0) return `${places - dark.length} of ${places} M.2 places have lanes, and all of those are taken.`;
  return places === 0
    ? `Nothing in this machine takes a ${wants} drive of this kind.`
    : places === 1
      ? `The one ${wants} place is taken.`
      : `${places === 2 ? 'Both' : `All ${places}`} ${wants} places are taken.`;
}
