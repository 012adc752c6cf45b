import { groupedBy, type NonEmpty } from '../lists';
import { seatSpot, type UnitOf } from '../machine/units';
import type { FigureContext } from './context';
import { fanRpmShare } from './fanCurve';
import type { Ledger, Quantity } from './quantity';
import type { PowerState } from './power/draw';

type Fan = UnitOf<'fan'>;

/** A policy that holds a temperature where no drive is reckoned: from a quiet day's duty to full. */
const HELD_DUTY = { value: 0.4, lo: 0.2, hi: 1 };
/** How far the duty that holds a temperature may be off what is likely, as a share of it. */
const HELD = { lo: 0.75, hi: 1.35 };
const LEAST_DUTY = 0.2;
/** How far a fan's speed at a duty may be off its curve, as a share of the speed. */
const CURVE = { value: 1, lo: 0.9, hi: 1.1 };

/**
 * The operating point: the duty of each wall of fans in a state, between 0 and 1, as a quantity. At a start and at the
 * peak all are at full; else they follow the policy, but walls that are steered apart. Nothing but this file says how
 * fast a fan turns.
 */
export function dutyOf(
  context: Pick<FigureContext, 'policy' | 'heldDuty'>,
  state: PowerState,
  ledger: Ledger,
): Quantity {
  const { fans } = context.policy;
  if (state === 'peak' || state === 'start') return ledger.given('Fans at full', 1, '');
  if (fans.kind === 'fixed') return ledger.given('Duty of the fans', fans.duty, '');
  const held = context.heldDuty?.[state === 'busy' ? 'hot' : 'normal'];
  return ledger.given(
    `Duty of the fans, to hold ${fans.hottestDriveC} °C${fans.cardsC === undefined ? '' : `, cards ${fans.cardsC} °C`}`,
    held ?? HELD_DUTY.value,
    '',
    held === undefined
      ? HELD_DUTY
      : { lo: Math.min(held, Math.max(LEAST_DUTY, held * HELD.lo)), hi: Math.min(1, held * HELD.hi) },
  );
}

type Steered = Pick<FigureContext, 'policy' | 'layout' | 'unsteered'>;

/** Duty of a fan where the others turn at `duty`: that of its own wall, or full where nothing steers it. */
export function ownDuty({ policy, layout, unsteered }: Steered, fan: Fan, duty: number): number {
  if (unsteered?.has(fan.id)) return 1;
  const spot = policy.apart && seatSpot(layout, fan);
  return policy.apart?.find(({ host, key }) => host === spot?.host && key === spot.key)?.duty ?? duty;
}

/** Share of its full speed at which a fan turns where the others turn at `duty`. */
export const fanSpeedAt = (context: Steered, fan: Fan, duty: number): number =>
  fanRpmShare(fan.part, ownDuty(context, fan, duty));

/** Like fans that turn alike where the others turn at `duty`. */
export const turningAlike = (context: Steered, fans: readonly Fan[], duty: number): readonly NonEmpty<Fan>[] => [
  ...groupedBy(fans, (fan) => `${fan.part.id} ${ownDuty(context, fan, duty)}`).values(),
];

/**
 * Share of its full speed at which a fan turns in a state; null where its duty is below that it starts at. At a start
 * and at the peak a wall of its own is at full like the others.
 */
export function speedShare(
  context: Steered & Pick<FigureContext, 'heldDuty'>,
  unit: Fan,
  state: PowerState,
  ledger: Ledger,
): Quantity | null {
  const fan = unit.part;
  const others = dutyOf(context, state, ledger);
  const own = state === 'peak' || state === 'start' ? others.value : ownDuty(context, unit, others.value);
  const duty = own === others.value ? others : ledger.given('Duty of this wall', own, '');
  if (fanRpmShare(fan, duty.value) === 0) return null;
  // At full duty it turns at the speed its sheet names.
  if (duty.value >= 1) return ledger.given('At full speed', 1, '');
  return ledger.map(
    `${fan.name}: share of ${fan.maxRpm} rpm`,
    '',
    [duty, ledger.given('A fan at its curve', CURVE.value, '', CURVE)],
    'share of speed at that duty',
    (at, curve) => Math.min(1, fanRpmShare(fan, at) * curve),
  );
}
