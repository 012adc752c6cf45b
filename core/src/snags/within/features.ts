import { groupAt } from '../../machine/spotAt';
import { dataDrives } from '../../machine/roles';
import { ofKind, unitsById, type PlannedUnit } from '../../machine/units';
import { inFixedBays } from '../fits/holds';
import { placesOf, spotOf, type Situation } from '../situation';
import type { Found } from '../words';
import type { Feature } from './words';

/** Features a part chosen so far does not give, though the brief wants them. */
export function mustHaves(situation: Situation): Found<'within.mustHave'>[] {
  return (situation.brief.mustHave ?? []).flatMap((wish): Found<'within.mustHave'>[] => {
    const lacking = LACKS[wish](situation);
    return lacking.length > 0
      ? [{ severity: 'caution', at: placesOf(lacking), facts: { must: wish, ...told(wish, lacking) } }]
      : [];
  });
}

/** Features that are here though the brief does not want them. */
export function notWanted(situation: Situation): Found<'within.notWanted'>[] {
  return (situation.brief.notWanted ?? []).flatMap((wish): Found<'within.notWanted'>[] => {
    const having = HAS[wish](situation);
    return having.length > 0
      ? [{ severity: 'caution', at: placesOf(having), facts: { unwanted: wish, ...told(wish, having) } }]
      : [];
  });
}

const told = (wish: Feature, units: readonly PlannedUnit[]) => ({
  wish: FEATURE_WORDS[wish],
  parts: [...new Set(units.map((unit) => unit.part.name))].join(', '),
});

const FEATURE_WORDS: Readonly<Record<Feature, string>> = {
  ecc: 'ECC memory',
  hotSwap: 'hot swap',
  remoteManagement: 'remote management',
  allFlash: 'all flash',
  fanless: 'no fan',
  shingled: 'shingled drives',
  usbDrives: 'data drives on USB',
  wornParts: 'worn parts',
};

type Those = (situation: Situation) => readonly PlannedUnit[];

/** Drives for data whose bits go over USB: by their own plug, or through the bridge of a box. */
const onUsb: Those = (situation) => {
  const byId = unitsById(situation.units);
  return dataDrives(situation.units).filter((unit) => {
    const spot = spotOf(situation, unit);
    const group = spot && groupAt(byId, spot);
    return unit.part.interface === 'usb' || (group?.type === 'bay' && group.group.backplane?.type === 'bridge');
  });
};
/** Fans that turn, and supplies that have one. */
const withFans: Those = ({ context, units }) => [
  ...ofKind(context.running, 'fan'),
  ...ofKind(units, 'supply').filter(({ part }) => part.sound.length > 0),
];
const worn: Those = ({ units }) =>
  units.filter(({ item }) => item?.condition === 'worn' || item?.condition === 'doubtful');

/** What keeps a machine from a feature. */
const LACKS: Readonly<Record<Feature, Those>> = {
  ecc: ({ units }) => [
    ...ofKind(units, 'memory').filter((unit) => !unit.part.ecc),
    ...ofKind(units, 'board').filter((unit) => !unit.part.memoryEcc),
    ...ofKind(units, 'processor').filter((unit) => !unit.part.memoryEcc),
  ],
  hotSwap: inFixedBays,
  remoteManagement: ({ units }) => ofKind(units, 'board').filter((unit) => !unit.part.remoteManagement),
  allFlash: ({ units }) => dataDrives(units).filter((unit) => unit.part.medium === 'disk'),
  fanless: withFans,
  shingled: ({ units }) => dataDrives(units).filter((unit) => !unit.part.shingled),
  usbDrives: (situation) => {
    const usb = new Set(onUsb(situation));
    return dataDrives(situation.units).filter((unit) => !usb.has(unit));
  },
  wornParts: () => [],
};

/** What gives a machine a feature; of what only the whole of it has (all flash, no fan) the parts it rests on. */
const HAS: Readonly<Record<Feature, Those>> = {
  ecc: ({ units }) => ofKind(units, 'memory').filter((unit) => unit.part.ecc),
  hotSwap: (situation) => {
    const byId = unitsById(situation.units);
    return dataDrives(situation.units).filter((unit) => {
      const spot = spotOf(situation, unit);
      const group = spot && groupAt(byId, spot);
      return group?.type === 'bay' && group.group.access === 'hotSwap';
    });
  },
  remoteManagement: ({ units }) => ofKind(units, 'board').filter((unit) => unit.part.remoteManagement),
  allFlash: ({ units }) => {
    const data = dataDrives(units);
    return data.every((unit) => unit.part.medium === 'flash') ? data : [];
  },
  fanless: (situation) => (withFans(situation).length === 0 ? ofKind(situation.units, 'board') : []),
  shingled: ({ units }) => dataDrives(units).filter((unit) => unit.part.shingled),
  usbDrives: onUsb,
  wornParts: worn,
};
