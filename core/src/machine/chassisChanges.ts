import type { Effect } from '../parts/chassisValues';
import type { PartOf } from '../parts/resolve';
import { bayGroupSize } from '../parts/checkSheet';
import { applyEffect } from './units';

type Chassis = PartOf<'chassis'>;
/** A change a builder can make with tools: what it is called and what it does, in the vocabulary of options. */
export type Mod = { readonly key: string; readonly label: string; readonly effects: readonly Effect[] };

const WALL_STEP_MM = 60;
const LEAST_STEP_MM = 20;

/** Changes that no option of the sheet makes: take a cage or a fan wall out, move a wall forward, seal what leaks. */
export function modsFor(chassis: Chassis): Mod[] {
  const made = new Set(
    chassis.options.flatMap(({ effects }) => effects.flatMap((effect) => (effect.do === 'remove' ? [effect.key] : []))),
  );
  const outs = [...chassis.bayGroups, ...chassis.fanMounts.filter(({ wall }) => wall === 'middle')]
    .filter(({ key }) => !made.has(key))
    .map(({ key, label }): Mod => ({
      key: `out-${key}`,
      label: `Take out ${lower(label)}`,
      effects: [{ do: 'remove', key }],
    }));
  const moves = chassis.fanMounts.flatMap((mount): Mod[] => {
    const limit = chassis.clearances.find(({ because, for: what }) => because === mount.key && what === 'card');
    if (!mount.at || !limit) return [];
    // Towards the front until it meets the bays.
    const bays = Math.max(
      0,
      ...chassis.bayGroups.filter(({ at }) => at).map((group) => group.at!.zMm + bayGroupSize(group).depthMm),
    );
    const step = Math.min(WALL_STEP_MM, Math.floor(mount.at.zMm - bays));
    return step < LEAST_STEP_MM
      ? []
      : [
          {
            key: `move-${mount.key}`,
            label: `Move ${lower(mount.label)} ${step} mm forward`,
            effects: [
              { do: 'addFanMount', feature: { ...mount, at: { ...mount.at, zMm: mount.at.zMm - step } } },
              { do: 'clearance', clearance: { ...limit, maxMm: limit.maxMm + step } },
            ],
          },
        ];
  });
  const leak = Math.min(0.15, chassis.bypassShare - 0.05);
  const seal: Mod[] =
    leak > 0.01
      ? [
          {
            key: 'seal',
            label: 'Seal vents and open bays',
            effects: [
              { do: 'leak', shareChange: -round(leak) },
              { do: 'resistance', timesFactor: 1.1 },
            ],
          },
        ]
      : [];
  return [...outs, ...moves, ...seal, ...leftOut(chassis)];
}

/** Free area of one slot without its cover (14 × 105 and 14 × 65 mm), and of the hole for a shield round its ports. */
const COVER_CM2 = { full: 14.7, low: 9.1 } as const;
const SHIELD_CM2 = 25;

/** Pieces that are often left out at the rear, and let air in beside the fans there. */
function leftOut({ openings, boardHoles, fanMounts }: Chassis): Mod[] {
  // Without a place for fans at the rear or the top the air leaves where it can, and they change nothing.
  if (!fanMounts.some(({ wall }) => wall === 'rear' || wall === 'top')) return [];
  const coversCm2 = openings
    .filter(({ forRiser }) => !forRiser)
    .reduce((sum, { count, height }) => sum + count * COVER_CM2[height], 0);
  return [
    ...(coversCm2 > 0
      ? [
          {
            key: 'no-covers',
            label: 'Leave the covers of its slots out',
            effects: [{ do: 'opening' as const, cm2: Math.round(coversCm2) }],
          },
        ]
      : []),
    ...(boardHoles.length > 0
      ? [
          {
            key: 'no-shield',
            label: 'Leave the I/O shield of the board out',
            effects: [{ do: 'opening' as const, cm2: SHIELD_CM2 }],
          },
        ]
      : []),
  ];
}

/** What effects do to a chassis besides their name: what the piece held, cooled, limited or kept in. */
export function changeEffects(chassis: Chassis, effects: readonly Effect[]): string[] {
  const after = effects.reduce(applyEffect, chassis);
  const gone = (key: string) => !after.bayGroups.some((one) => one.key === key);
  const bays = chassis.bayGroups.filter(({ key }) => gone(key));
  const mounts = chassis.fanMounts.filter(({ key }) => !after.fanMounts.some((one) => one.key === key));
  const limits = (['card', 'cooler', 'supply', 'board'] as const).flatMap((what) => {
    const least = (of: Chassis) =>
      Math.min(...of.clearances.filter((one) => one.for === what && one.while === 'present').map(({ maxMm }) => maxMm));
    const [was, is] = [least(chassis), least(after)];
    if (was === is || !Number.isFinite(was)) return [];
    return [
      `${NAMES[what]} ${Number.isFinite(is) ? `up to ${is} mm (was ${was})` : `no longer limited (was ${was} mm)`}`,
    ];
  });
  const fans = mounts.reduce((sum, one) => sum + one.count, 0);
  return [
    ...bays.map(
      (one) =>
        `${one.rows * one.columns} ${one.rows * one.columns === 1 ? 'bay' : 'bays'} ` +
        `fewer${one.backplane ? ', and their backplane' : ''}`,
    ),
    ...(fans
      ? [
          `${fans} ${fans === 1 ? 'fan' : 'fans'} fewer: they cooled ` +
            `${mounts.some(({ wall }) => wall === 'middle') ? 'drives and cards' : 'the machine'}`,
        ]
      : []),
    ...limits,
    ...(after.bypassShare === chassis.bypassShare
      ? []
      : [
          `${Math.round(Math.abs(after.bypassShare - chassis.bypassShare) * 100)} % ` +
            `${after.bypassShare > chassis.bypassShare ? 'more' : 'less'} air goes past the drives`,
        ]),
    ...(after.rearOpenCm2 === chassis.rearOpenCm2
      ? []
      : [
          `${Math.abs((after.rearOpenCm2 ?? 0) - (chassis.rearOpenCm2 ?? 0))} cm² ` +
            ((after.rearOpenCm2 ?? 0) > (chassis.rearOpenCm2 ?? 0)
              ? 'more open at the rear: fans there draw air in that passes no drive'
              : 'less open at the rear'),
        ]),
    ...(after.panelDb === chassis.panelDb
      ? []
      : [
          `${Math.abs(after.panelDb - chassis.panelDb)} dB ` +
            `${after.panelDb > chassis.panelDb ? 'quieter' : 'louder'} outside`,
        ]),
    ...(after.resistancePaPerM3h2 === chassis.resistancePaPerM3h2
      ? []
      : [
          'air finds it ' +
            `${after.resistancePaPerM3h2 > chassis.resistancePaPerM3h2 ? 'harder' : 'easier'} to get ` +
            'through',
        ]),
  ];
}

const NAMES = { card: 'cards', cooler: 'coolers', supply: 'supplies', board: 'boards' } as const;
const lower = (words: string) =>
  /^[A-Z]{2}|^[\d.]/.test(words) ? words : words.charAt(0).toLowerCase() + words.slice(1);
const round = (share: number) => Math.round(share * 100) / 100;
