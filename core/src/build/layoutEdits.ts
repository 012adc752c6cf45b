import { plainAt } from '../lists';
import type { Build } from './build';
import type { EditOf } from './edits';
import { printSpot, type Seat, type SpotRef } from './layout';
import { itemOf, noUnit, refuse, type Refusal, type SectionsSet } from './refusal';

type LayoutEdit = EditOf<
  'place.put' | 'place.hold' | 'place.release' | 'cable.put' | 'cable.how' | 'plug.put' | 'plug.release' | 'layout.set'
>;

/** Edits of where things sit and what is plugged in where. */
export function layoutStep(build: Build, edit: LayoutEdit): SectionsSet | Refusal {
  switch (edit.type) {
    case 'place.put':
      return seat(build, edit.unit, { spot: edit.spot, how: 'put' }, 'Put');
    case 'place.hold':
      return seat(build, edit.unit, { spot: edit.spot, how: 'held' }, 'Held');
    case 'place.release': {
      const now = build.layout.at[edit.unit];
      if (!now) return refuse('That part has no place to release.');
      return seat(build, edit.unit, { spot: now.spot, how: 'solved' }, 'Released');
    }
    case 'cable.put':
      return putCable(build, edit.wire);
    case 'cable.how':
      return holdCable(build, edit);
    case 'plug.put':
      return putPlug(build, edit.plug);
    case 'plug.release': {
      const name = printSpot(edit.device);
      const plugs = build.layout.plugs.filter((plug) => printSpot(plug.device[0]) !== name);
      if (plugs.length === build.layout.plugs.length) return refuse('That plug was not put by hand.');
      return { sections: { layout: { ...build.layout, plugs } }, words: 'Plug released' };
    }
    case 'layout.set':
      return { sections: { layout: edit.layout }, words: 'Settled' };
  }
}

function holdCable(build: Build, { device, how }: EditOf<'cable.how'>): SectionsSet | Refusal {
  const name = printSpot(device);
  const endsThere = ({ device: ends }: Build['layout']['wires'][number]) => ends.some((one) => printSpot(one) === name);
  if (!build.layout.wires.some(endsThere)) return refuse('No cable ends there any more.');
  const wires = build.layout.wires.map((wire) => (endsThere(wire) ? { ...wire, how } : wire));
  return {
    sections: { layout: { ...build.layout, wires } },
    words: how === 'solved' ? 'Cable released' : 'Cable held',
  };
}

/** Puts one input on a cable of a supply by hand: only that is kept, the others are dealt round it. */
function putPlug(build: Build, plug: Build['layout']['plugs'][number]): SectionsSet | Refusal {
  if (!hasUnits(build, [...plug.host, ...plug.device]))
    return refuse('One end of that plug is no longer in the build; nothing was moved.');
  const name = printSpot(plug.device[0]);
  const others = build.layout.plugs.filter((one) => printSpot(one.device[0]) !== name);
  return {
    sections: { layout: { ...build.layout, plugs: [...others, plug] } },
    words: plug.how === 'held' ? 'Plug held' : 'Plug moved',
  };
}

/** Whether the units some places are on are all in the build; built-in ones are there with their host. */
function hasUnits(build: Build, spots: readonly SpotRef[]): boolean {
  const known = new Set(build.items.flatMap((item) => item.units.map((unit) => unit.id as string)));
  return spots.every(({ host }) => known.has(plainAt(host.split('+'), 0)));
}

/**
 * Lays one cable: what ended at its port takes the port this one had, where it had one of the same kind; other cables
 * in its way are taken off.
 */
function putCable(build: Build, wire: Build['layout']['wires'][number]): SectionsSet | Refusal {
  if (!hasUnits(build, [...wire.host, ...wire.device]))
    return refuse('One end of that cable is no longer in the build; nothing was moved.');
  const ends = new Set(wire.device.map(printSpot));
  const ports = new Set(wire.host.map(printSpot));
  const before = build.layout.wires.find((one) => one.device.some((end) => ends.has(printSpot(end))));
  const wires = build.layout.wires.flatMap((one) => {
    if (one === before || one.device.some((end) => ends.has(printSpot(end)))) return [];
    if (!one.host.some((host) => ports.has(printSpot(host)))) return [one];
    return before && before.cable === one.cable && one.host.length === before.host.length
      ? [{ ...one, host: before.host }]
      : [];
  });
  const dormant = Object.fromEntries(
    Object.entries(build.layout.dormant).filter(
      ([name, { spot }]) => !ends.has(name) && !(name.includes('/') && ports.has(printSpot(spot))),
    ),
  );
  return {
    sections: { layout: { ...build.layout, dormant, wires: [...wires, wire] } },
    words: wire.how === 'held' ? 'Cable held' : 'Cable moved',
  };
}

function seat(build: Build, unit: string, to: Seat, verb: string): SectionsSet | Refusal {
  const item = itemOf(build, unit);
  if (!item) return noUnit(unit);
  const { [unit]: _woken, ...dormant } = build.layout.dormant;
  // Whoever sat there without a hold gives way and is placed anew when the build settles.
  const at = Object.fromEntries(
    Object.entries(build.layout.at).filter(
      ([other, place]) => other === unit || place.how === 'held' || printSpot(place.spot) !== printSpot(to.spot),
    ),
  );
  const mark = item.units.find((one) => one.id === unit)!.mark;
  return { sections: { layout: { ...build.layout, dormant, at: { ...at, [unit]: to } } }, words: `${verb} ${mark}` };
}
