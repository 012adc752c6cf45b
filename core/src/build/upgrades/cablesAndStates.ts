import type { Raw, Upgrade } from './upgrade';

/** Format 2: a wire names its cable (was `lead`), and hours and readings use the one list of states. */
export const cablesAndStates: Upgrade = {
  from: 1,
  build: (raw) => ({ ...raw, ...sections(raw) }),
  edit(raw) {
    switch (raw.type) {
      case 'lead.put':
        return { ...raw, type: 'cable.put', wire: wire(raw.wire) };
      case 'lead.how':
        return { ...raw, type: 'cable.how' };
      case 'layout.set':
        return { ...raw, layout: layout(raw.layout) };
      case 'set.profile':
        return { ...raw, value: profile(raw.value) };
      case 'set.readings':
        return { ...raw, value: list(raw.value, reading) };
      case 'restore':
        return { ...raw, sections: record(raw.sections, (own) => ({ ...own, ...sections(own) })) };
      default:
        return raw;
    }
  },
};

/** Sections of a build, or of what an undo brings back, that change. */
const sections = (raw: Raw): Raw => ({
  ...('layout' in raw ? { layout: layout(raw.layout) } : {}),
  ...('profile' in raw ? { profile: profile(raw.profile) } : {}),
  ...('readings' in raw ? { readings: list(raw.readings, reading) } : {}),
});

const layout = (value: unknown): unknown =>
  record(value, (own) => ({ ...own, wires: list(own.wires, wire), plugs: list(own.plugs, wire) }));
const wire = (value: unknown): unknown =>
  record(value, ({ lead, ...rest }) => (lead === undefined ? rest : { cable: lead, ...rest }));
const profile = (value: unknown): unknown =>
  record(value, (own) => ({ ...own, weekday: list(own.weekday, state), weekend: list(own.weekend, state) }));
const reading = (value: unknown): unknown => record(value, (own) => ({ ...own, state: state(own.state) }));
const state = (value: unknown): unknown => (value === 'standby' ? 'asleep' : value === 'typical' ? 'working' : value);

const record = (value: unknown, change: (raw: Raw) => Raw): unknown =>
  typeof value === 'object' && value !== null && !Array.isArray(value) ? change(value as Raw) : value;
const list = (value: unknown, change: (one: unknown) => unknown): unknown =>
  Array.isArray(value) ? value.map(change) : value;
