import type { FactField } from '../../parts/fieldWords';
import { memberAt } from '../../lists';
import { boxOf, seatsOf } from '../../machine/hosts';
import { ofKind, type PlannedUnit, type UnitOf } from '../../machine/units';
import { basisOf, type PartOf } from '../../parts/resolve';
import { peakState } from '../../figures/power/wall';
import { heldByUps, mainsPlugs, upsShares, wattsOn } from '../../figures/power/upsShares';
import { vaOn } from '../../figures/power/upsVa';
import { classesOn } from '../../figures/power/fedClasses';
import { feedName, feedWith, hasJack, isConverter } from '../../figures/power/feeds';
import type { Situation } from '../situation';
import { GRAVITY } from '../finding';
import type { Found } from '../words';

const nameOf = (all: readonly UnitOf<'ups'>[]): string =>
  all.length === 1 ? memberAt(all, 0).part.name : `${all.length} UPS together`;

/**
 * What hangs on each UPS at the most against what it gives, in W and in VA: each supply by its power factor.
 * With several the plugs are dealt as well as can be; the one that is worst off is said.
 */
export function upsCarries({ context }: Situation): Found<'powered.ups'>[] {
  const state = peakState(context);
  const shares = upsShares(context);
  return shares
    .flatMap((share) => {
      const { part } = share.unit;
      const sides = [
        ['W', wattsOn(context, share, state), part.ratedW],
        ['VA', vaOn(context, share, state), part.ratedVa],
      ] as const;
      return sides.flatMap(([unit, asked, limit]): Found<'powered.ups'>[] => {
        if (!asked) return [];
        const { value: have, lo, hi } = asked;
        if (hi <= limit && have <= HEADROOM * limit) return [];
        return [
          {
            severity: lo > limit ? 'blocker' : hi > limit ? 'caution' : 'note',
            at: [{ unit: share.unit.id }],
            gap: { have, limit, gap: limit - have, unit, lo, hi },
            facts: {
              ups: part.name,
              unit,
              shared: share.otherW > 0 ? 'yes' : '',
              dealt: shares.length > 1 ? 'yes' : '',
            },
          },
        ];
      });
    })
    .sort((one, other) => GRAVITY[one.severity] - GRAVITY[other.severity])
    .slice(0, 1);
}

/** Good practice leaves a fifth of a UPS free: batteries age and machines grow. */
const HEADROOM = 0.8;

/** A supply with active correction of its power factor draws a sine; the steps of a plain UPS may switch it off. */
const ACTIVE_FACTOR = 0.9;

export function upsWaveform({ context }: Situation): Found<'powered.waveform'>[] {
  return upsShares(context).flatMap(({ unit, hanging }): Found<'powered.waveform'>[] => {
    if (unit.part.waveform !== 'stepped') return [];
    const corrected = hanging.flatMap(({ feed: { brick, sharing } }) =>
      (brick ? [brick] : sharing).filter(({ part }) => part.powerFactorFull >= ACTIVE_FACTOR),
    );
    const [supply] = corrected;
    return supply
      ? [
          {
            severity: 'caution',
            at: [{ unit: unit.id }],
            because: corrected.map(({ id }) => ({ unit: id })),
            facts: { ups: unit.part.name, supply: supply.part.name },
          },
        ]
      : [];
  });
}

/**
 * Mains plugs of the machine against the outlets of its UPS: one for each module of a supply, and each outside box;
 * what is in the wall by intent is not counted.
 */
export function upsOutlets({ context, units }: Situation): Found<'powered.outlets'>[] {
  const all = ofKind(units, 'ups');
  if (all.length === 0) return [];
  const have = mainsPlugs(context).filter(({ on }) => on).length + ofKind(units, 'enclosure').length;
  const limit = all.reduce((sum, { part }) => sum + part.outlets, 0);
  if (have <= limit) return [];
  return [
    {
      severity: 'caution',
      at: all.map(({ id }) => ({ unit: id })),
      gap: { have, limit, gap: limit - have, unit: 'outlets' },
      facts: { ups: nameOf(all) },
    },
  ];
}

/** What was put in the wall beside a UPS: the machine itself, or drives that drop out while it runs on. */
export function besideUps({ context, units }: Situation): Found<'powered.besideUps'>[] {
  if (ofKind(units, 'ups').length === 0) return [];
  const held = heldByUps(context);
  const plugs = mainsPlugs(context);
  return [...new Set(plugs.map(({ feed }) => feed))].flatMap((feed): Found<'powered.besideUps'>[] => {
    if (plugs.some((one) => one.feed === feed && one.on)) return [];
    const own = classesOn(context, feed).flatMap((one) => one.units);
    const drives = ofKind(own, 'drive');
    const isHost = ofKind(own, 'board').length > 0;
    if (!isHost && (drives.length === 0 || held.size === 0)) return [];
    return [
      {
        severity: 'caution',
        at: feed.sharing.map(({ id }) => ({ unit: id })),
        facts: { name: feedName(feed), drives: drives.length, host: isHost ? 'yes' : '' },
      },
    ];
  });
}

/** What 12 V may be off where they are handed through to drives (ATX12V). */
const TWELVE = [11.4, 12.6] as const;
type Taker = PartOf<'board'> | PartOf<'supply'>;
export const takesV = (part: Taker): readonly [number | null, number | null] =>
  part.kind === 'supply' && part.twelveThrough ? TWELVE : [part.dcMinV ?? null, part.dcMaxV ?? null];

/**
 * A brick whose volts or plug are not those of the jack of a board or converter. What either sheet leaves open is not
 * judged here: the list of what is typical names it.
 */
export function brickMates(situation: Situation): Found<'powered.brick'>[] {
  const { units, layout, context } = situation;
  const seats = seatsOf(layout);
  const jacks = [
    ...ofKind(units, 'board').filter(({ part }) => part.powerInputs.some(({ plug }) => plug === 'dc-jack')),
    ...ofKind(units, 'supply').filter(isConverter),
  ];
  return jacks.flatMap((taker): Found<'powered.brick'>[] => {
    const { dcPlug, name } = taker.part;
    const [dcMinV, dcMaxV] = takesV(taker.part);
    const brick =
      taker.part.kind === 'supply'
        ? feedWith(context, taker.id)?.brick
        : ofKind(units, 'supply').find(
            (unit) =>
              hasJack(unit) && (!layout.at[unit.id] || boxOf(unit.id, seats, units) === boxOf(taker.id, seats, units)),
          );
    if (!brick) return [];
    const { outV } = brick.part;
    const at = [{ unit: brick.id }, { unit: taker.id }];
    const sure = (...of: readonly (readonly [PlannedUnit, FactField])[]) =>
      of.every(([unit, field]) => basisOf(unit.part, field) !== 'typical') ? 'blocker' : 'caution';
    const facts = { brick: brick.part.name, board: name, plug: brick.part.dcPlug ?? '', jack: dcPlug ?? '' };
    if (outV !== undefined && dcMinV !== null && dcMaxV !== null && (outV < dcMinV || outV > dcMaxV)) {
      const limit = outV < dcMinV ? dcMinV : dcMaxV;
      const gap = { have: outV, limit, gap: -Math.abs(outV - limit), unit: 'V' };
      return [
        {
          severity: sure(
            [brick, 'outV'],
            ...(taker.part.kind === 'board'
              ? ([
                  [taker, 'dcMinV'],
                  [taker, 'dcMaxV'],
                ] as const)
              : []),
          ),
          at,
          gap,
          facts,
        },
      ];
    }
    const plain = (words: string) => words.toLowerCase().replace(/\s|mm/g, '').replace(/x/g, '×');
    return dcPlug && brick.part.dcPlug && plain(dcPlug) !== plain(brick.part.dcPlug)
      ? [{ severity: 'caution', at, facts }]
      : [];
  });
}
