import type { Layout } from '../build/layout';
import { boxOf, seatsOf } from '../machine/hosts';
import { groupAt } from '../machine/spotAt';
import { isKind, ofKind, unitsById, type PlannedUnit, type UnitOf } from '../machine/units';
import { frontUsb, type FrontUsb } from '../needs/frontUsb';
import { fanPlans, steeredBy, type FanOutlet } from '../needs/fanHeaders';

/** A small cable on a header of a board or on a hub, in words: from where, to what, and what to know of it. */
export type HeaderLine = {
  readonly from: string;
  readonly to: string;
  readonly mark: string;
  /** A on the header of what it carries, where that is known. */ readonly amps: string;
  readonly note: string;
};

const STEERED = {
  pwm: 'steered by PWM',
  volts: 'steered by its volts',
  full: 'turns at full speed: nothing here steers it',
} as const;
const USB = { 'usb2-header': 'USB 2', 'usb3-header': 'USB 3, 19 pins' } as const;

/**
 * The small cables of every box with a board: fans on the headers they are dealt to, USB of the front on theirs, and
 * the button and lights. A header that is missing is said.
 */
export function headerLines(units: readonly PlannedUnit[], layout: Layout): HeaderLine[] {
  const byId = unitsById(units);
  const fans = fanPlans(units, layout).flatMap(({ outlets }) =>
    outlets.flatMap((outlet) => outlet.fans.map((fan, i) => fanLine(fan, i, outlet, byId, layout))),
  );
  const seats = seatsOf(layout);
  const buttons = ofKind(units, 'board').flatMap((board) => {
    const box = boxOf(board.id, seats, units);
    return box && isKind(box, 'chassis') ? [buttonLine(board, box)] : [];
  });
  return [...fans, ...frontUsb(units, layout).map(usbLine), ...buttons];
}

function fanLine(
  fan: UnitOf<'fan'>,
  i: number,
  { of, header, carriesA, fans }: FanOutlet,
  byId: ReadonlyMap<string, PlannedUnit>,
  layout: Layout,
): HeaderLine {
  const place = placeOf(fan, byId, layout);
  const hasA = fans.reduce((sum, { part }) => sum + part.maxW, 0) / 12;
  const steered = steeredBy(fan.part, header);
  return {
    from: header ? `${of.part.name}, fan header ${header.n}${header.pwm ? ', PWM' : ''}` : `${of.part.name}`,
    to: [fan.part.name, place].filter(Boolean).join(', '),
    mark: fan.builtIn ? '' : fan.mark,
    amps: i === 0 ? `${hasA.toFixed(2)} of ${carriesA} A` : '',
    note: [i > 0 && header ? 'by a splitter' : '', steered ? STEERED[steered] : 'how it is steered is not known']
      .filter(Boolean)
      .join(', '),
  };
}

/** "front 2": the mount a fan is on; one that came with its host is numbered even where it is alone. */
function placeOf(fan: UnitOf<'fan'>, byId: ReadonlyMap<string, PlannedUnit>, layout: Layout): string | null {
  const spot = layout.at[fan.id]?.spot ?? fan.builtIn?.spot;
  const group = spot && (groupAt(byId, spot) ?? groupAt(byId, { host: spot.host, key: spot.key }));
  if (!group) return null;
  return `${group.label.toLowerCase()}${group.count > 1 && spot.n ? ` ${spot.n}` : ''}`;
}

const usbLine = ({ chassis, board, kind, hasHeader }: FrontUsb): HeaderLine => ({
  from: hasHeader ? `${board.part.name}, header ${USB[kind]}` : 'no header for it',
  to: `${chassis.part.name}, front USB`,
  mark: '',
  amps: '',
  note: hasHeader ? '' : `wants a header ${USB[kind]}, or an adapter`,
});

/** What every chassis with a button has. */
const buttonLine = ({ part: board }: UnitOf<'board'>, { part: chassis }: UnitOf<'chassis'>): HeaderLine => ({
  from: `${board.name}, front panel header`,
  to: `${chassis.name}, button and lights`,
  mark: '',
  amps: '',
  note: 'pins by the board’s manual; lights want their plus where it says so',
});
