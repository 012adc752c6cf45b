import { groupedBy } from '../../lists';
import type { Build } from '../../build/build';
import type { Edit } from '../../build/edits';
import { printSpot, type SpotRef } from '../../build/layout';
import { addItemEdit } from '../../build/newItem';
import { mismatch } from '../../machine/accepts';
import { modsFor } from '../../machine/chassisChanges';
import { fanWalls } from '../../machine/fanWalls';
import { sittersBySpot } from '../../machine/sitters';
import { refsOf, spotsOf, type SpotGroup } from '../../machine/spots';
import { isKind, ofKind, seatSpot, unitsById, type PlannedUnit, type UnitOf } from '../../machine/units';
import type { Catalogue } from '../../parts/catalogue';
import type { UnitId } from '../../parts/ids';
import type { PartOf } from '../../parts/resolve';
import { listed, lower, mountable, moveToFreeBays, swaps } from '../guesses';
import { replaceEdit } from '../tryAt';
import type { Base } from '../weigh';

/** A change that may make a machine quieter, cooler at the same duty, or both. */
export type QuietWay = {
  /** Ways of one subject exclude each other. */ readonly subject: string;
  readonly words: string;
  /** What makes it, on the machine or on one that another way has changed already. */
  readonly edits: (build: Build) => readonly Edit[];
  /** Sources it takes away or changes; null where it changes how all of them are heard or how fast all turn. */
  readonly touches: readonly UnitId[] | null;
};

type MountGroup = Extract<SpotGroup, { type: 'fanMount' }>;

/** All that is tried: fans, walls apart, supplies, coolers, chassis, drives, bays, the place. */
export const quietWays = (base: Base, catalogue: Catalogue): readonly QuietWay[] => [
  ...otherFans(base, catalogue),
  ...moreFans(base, catalogue),
  ...wallsApart(base),
  ...otherParts(base, catalogue),
  ...chassisWays(base),
  ...driveWays(base, catalogue),
  ...otherBays(base),
  ...places(base),
];

/** What quietens drives themselves: rubber under them, or fewer of them. */
export const driveWays = (base: Base, catalogue: Catalogue): readonly QuietWay[] => [
  ...dampers(base, catalogue),
  ...fewerDrives(base, catalogue),
];

const idsOf = (units: readonly PlannedUnit[]): readonly UnitId[] => units.map(({ id }) => id);
const many = (count: number, name: string): string => (count > 1 ? `${count} × ${name}` : name);

/** Like fans of one wall for another kind of fan each, all of them at once. */
function otherFans(base: Base, catalogue: Catalogue): QuietWay[] {
  const { units, layout } = base.assessment;
  const byId = unitsById(units);
  const walls = groupedBy(
    ofKind(units, 'fan').flatMap((fan) => {
      const spot = seatSpot(layout, fan);
      const host = spot && byId.get(spot.host);
      const group = host && spotsOf(host.id, host.part).find(({ key }) => key === spot.key);
      return spot && group?.type === 'fanMount' && !fan.builtIn?.fixed ? [{ fan, spot, group }] : [];
    }),
    ({ fan, spot }) => `${spot.host}/${spot.key}/${fan.part.id}`,
  );
  return [...walls.values()].flatMap((wall) => {
    const [{ fan, group }] = wall;
    return listed(catalogue, 'fan')
      .filter((part) => part.id !== fan.part.id && !mismatch(part, group))
      .flatMap((part): QuietWay[] => {
        const edits = (build: Build) => exchangeFans(build, catalogue, wall, part);
        const words = `${many(wall.length, part.name)} in place of ${fan.part.name}, ${lower(group.label)}`;
        const subject = `fans ${group.host}/${group.key}`;
        return [{ subject, words, edits, touches: idsOf(wall.map((one) => one.fan)) }];
      });
  });
}

type Seated = { readonly fan: UnitOf<'fan'>; readonly spot: SpotRef; readonly group: MountGroup };

/** Fans that came with the chassis are displaced; those of the kit go, as an item where all of it goes. */
function exchangeFans(
  build: Build,
  catalogue: Catalogue,
  wall: readonly [Seated, ...Seated[]],
  part: PartOf<'fan'>,
): readonly Edit[] {
  const own = wall.filter(({ fan }) => !fan.builtIn);
  const whole = wall[0].fan.item;
  if (whole && own.length === wall.length && whole.units.length === wall.length) {
    const edit = replaceEdit(build, catalogue, wall[0].fan.id, part.id);
    if (edit) return [edit];
  }
  const spots = wall.map(({ spot, group }) => ({
    host: spot.host,
    key: spot.key,
    ...(group.count > 1 ? { n: spot.n ?? 1 } : {}),
  }));
  return [
    ...(own.length > 0 ? [{ type: 'units.remove' as const, units: own.map(({ fan }) => fan.id) }] : []),
    addItemEdit(build, catalogue, part.id, spots.length, { spots }),
  ];
}

/** A whole wall of free mounts filled, so that all may turn slower. */
function moreFans(base: Base, catalogue: Catalogue): QuietWay[] {
  const { units, layout } = base.assessment;
  const sitting = sittersBySpot(units, layout);
  return ofKind(units, 'chassis').flatMap((box) =>
    spotsOf(box.id, box.part).flatMap((group): QuietWay[] => {
      if (group.type !== 'fanMount') return [];
      const free = refsOf(group).filter((ref) => !sitting.has(printSpot(ref)));
      if (free.length === 0) return [];
      return listed(catalogue, 'fan')
        .filter((part) => !mismatch(part, group))
        .map((part) => ({
          subject: `mounts ${group.host}/${group.key}`,
          words: `Add ${many(free.length, part.name)}, ${lower(group.label)}`,
          edits: (build) => [addItemEdit(build, catalogue, part.id, free.length, { spots: free })],
          touches: [],
        }));
    }),
  );
}

/** A wall that turns slower than the others, which take over what it moved: the loudest are seldom the best placed. */
function wallsApart({ build }: Base): QuietWay[] {
  const walls = fanWalls(build);
  const { fans, apart = [] } = build.policy;
  const now = fans.kind === 'fixed' ? fans.duty : 1;
  if (walls.length < 2) return [];
  return walls.flatMap(({ host, key, label }) => {
    const isThis = (one: { readonly host: string; readonly key: string }) => one.host === host && one.key === key;
    const had = apart.find(isThis)?.duty ?? now;
    return SLOW_DUTIES.filter((duty) => duty < had - 0.04).map((duty): QuietWay => ({
      subject: `speed ${host}/${key}`,
      words: `${label} at ${Math.round(duty * 100)} %, the others as fast as it takes`,
      edits: ({ policy }) => [
        {
          type: 'set.policy',
          value: { ...policy, apart: [...(policy.apart ?? []).filter((one) => !isThis(one)), { host, key, duty }] },
        },
      ],
      touches: null,
    }));
  });
}
const SLOW_DUTIES = [0.2, 0.35];

/** Supplies, and coolers for the same socket, in the place of what is there. */
function otherParts(base: Base, catalogue: Catalogue): QuietWay[] {
  const { units } = base.assessment;
  const supplies = ofKind(units, 'supply').flatMap((unit) =>
    swaps(base, catalogue, unit, 'supply', (part) => part.sound.length > 0 && mountable(base, part)).map((one) => ({
      ...one,
      unit,
    })),
  );
  const coolers = ofKind(units, 'cooler').flatMap((unit) =>
    swaps(base, catalogue, unit, 'cooler', ({ sockets }) =>
      sockets.some((socket) => unit.part.sockets.includes(socket)),
    ).map((one) => ({ ...one, unit })),
  );
  return [...supplies, ...coolers].map(({ unit, words, edits }) => {
    const fans = units.filter((fan) => fan.builtIn?.spot.host === unit.id);
    return { subject: unit.id, words, edits: () => edits, touches: idsOf([unit, ...fans]) };
  });
}

/** What an option of a chassis keeps in, and vents sealed where air leaks past the drives. */
function chassisWays({ build, assessment }: Base): QuietWay[] {
  return ofKind(assessment.units, 'chassis').flatMap(({ id, part }): QuietWay[] => {
    const has = (key: string) => build.changes.some((one) => one.id === `${id}:${key}`);
    const options = part.options
      .filter(({ key, effects }) => !has(key) && effects.some((one) => one.do === 'attenuation' && one.changeDb > 0))
      .map(({ key, label }): QuietWay => ({
        subject: `${id}:${key}`,
        words: label,
        edits: () => [{ type: 'change.add', change: { id: `${id}:${key}`, kind: 'option', host: id, key } }],
        touches: null,
      }));
    const seals = modsFor(part)
      .filter(({ key }) => key === 'seal' && !has(key))
      .map(({ key, label, effects }): QuietWay => ({
        subject: `${id}:${key}`,
        words: label,
        edits: () => [
          {
            type: 'change.add',
            change: { id: `${id}:${key}`, kind: 'mod', host: id, title: label, effects: [...effects] },
          },
        ],
        touches: null,
      }));
    const open = build.changes.flatMap((change): QuietWay[] =>
      change.host === id && change.kind === 'mod' && change.effects.some((one) => one.do === 'opening' && one.cm2 > 0)
        ? [
            {
              subject: change.id,
              words: `Put back what was left out: ${lower(change.title)}`,
              edits: () => [{ type: 'change.remove', id: change.id }],
              touches: null,
            },
          ]
        : [],
    );
    return [...options, ...seals, ...open];
  });
}

/** Washers of rubber under drives that are screwed to steel. */
function dampers(base: Base, catalogue: Catalogue): QuietWay[] {
  const { units, layout } = base.assessment;
  const byId = unitsById(units);
  const hard = ofKind(units, 'drive').filter((drive) => {
    const spot = seatSpot(layout, drive);
    const host = spot && byId.get(spot.host);
    if (!host || drive.part.soundIdleDb === null || (!isKind(host, 'chassis') && !isKind(host, 'adapter')))
      return false;
    return host.part.bayGroups.find(({ key }) => key === spot.key)?.mounting === 'hard';
  });
  if (hard.length === 0 || ofKind(units, 'sundry').some(({ part }) => part.use === 'damper')) return [];
  return listed(catalogue, 'sundry')
    .filter(({ use }) => use === 'damper')
    .slice(0, 1)
    .map((part) => ({
      subject: 'dampers',
      words: `Set ${hard.length === 1 ? 'the drive' : `${hard.length} drives`} on rubber: ${part.name}`,
      edits: (build) => [addItemEdit(build, catalogue, part.id, Math.ceil((4 * hard.length) / part.packOf))],
      touches: idsOf(hard),
    }));
}

/** Larger drives instead of many: as much room raw, in fewer drives that turn. */
function fewerDrives(base: Base, catalogue: Catalogue): QuietWay[] {
  const least = (base.build.brief.failuresSurvived ?? 0) + 2;
  return base.build.items.flatMap((item) => {
    const own = ofKind(base.assessment.units, 'drive').filter((unit) => unit.item === item);
    const now = own[0]?.part;
    if (!now || own.length < 3 || now.soundIdleDb === null) return [];
    return listed(catalogue, 'drive')
      .filter(
        (part) =>
          part.size === now.size &&
          part.interface === now.interface &&
          part.capacityBytes > now.capacityBytes &&
          !part.shingled,
      )
      .flatMap((part): QuietWay[] => {
        const count = Math.max(least, Math.ceil((own.length * now.capacityBytes) / part.capacityBytes));
        const edit = count < own.length ? replaceEdit(base.build, catalogue, own[0]!.id, part.id) : null;
        if (!edit) return [];
        const gone = own.slice(count).map(({ id }) => id);
        return [
          {
            subject: `drives ${item.id}`,
            words: `${count} × ${part.name} in place of ${own.length} × ${now.name}`,
            edits: () => [{ type: 'units.remove', units: gone }, edit],
            touches: idsOf(own),
          },
        ];
      });
  });
}

/** The drives of one group of bays in free bays of another, where the air may be cooler. */
function otherBays(base: Base): QuietWay[] {
  const { units, layout } = base.assessment;
  const groups = groupedBy(
    ofKind(units, 'drive').flatMap((drive) => {
      const spot = layout.at[drive.id]?.spot;
      return spot ? [{ drive, where: `${spot.host}/${spot.key}` }] : [];
    }),
    ({ where }) => where,
  );
  return [...groups].flatMap(([where, own]) =>
    moveToFreeBays(
      base,
      own.map(({ drive }) => drive),
    ).map(({ words, edits }): QuietWay => ({
      subject: `bays ${where}`,
      words,
      edits: () => edits,
      touches: null,
    })),
  );
}

/** Another place in the same room. */
function places({ build }: Base): QuietWay[] {
  const { site } = build;
  if (site.listening === 'none' && site.noiseFloorDb === undefined) return [];
  const way = (subject: string, words: string, other: Partial<typeof site>): QuietWay => ({
    subject,
    words,
    edits: (now) => [{ type: 'set.site', value: { ...now.site, ...other } }],
    touches: null,
  });
  return [
    ...(site.standing === 'corner'
      ? [way('standing', 'Move it out of the corner, to a wall', { standing: 'wall' })]
      : []),
    ...(site.standing !== 'open' ? [way('standing', 'Stand it free, away from walls', { standing: 'open' })] : []),
    ...(site.earMm < 10_000 && site.door === 'none'
      ? [way('distance', 'Stand it 1 m farther away', { earMm: site.earMm + 1000 })]
      : []),
  ];
}
