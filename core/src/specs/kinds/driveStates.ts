import { called, type Rule } from './rule';

/** Watts that a word right behind or before them names: `1.3 W idle, 3.4 W active`, `idle: 5 W`. */
const wattsCalled =
  (name: RegExp): NonNullable<Rule['read']> =>
  ({ label, value }, quantities) => {
    const watts = quantities.filter(({ dimension }) => dimension === 'W');
    if (watts.length < 2 || !/power|leistung|consumption/i.test(label)) return undefined;
    const found = watts.filter(({ at, text }, i) => {
      const after = value.slice(at + text.length, watts[i + 1]?.at ?? value.length).split(/[,;/]|\.\s/)[0]!;
      return name.test(after);
    });
    return found.length === 1 ? found[0]!.value : undefined;
  };
/** `0.5 W idle`, by itself in a list. */
const OF_POWER = /^(?:power(?: consumption)?|consumption|leistung)$/i;
function wattsBehind(field: string, names: string): Rule {
  const about = String.raw`(?:(?:around|about|roughly|approx\.?|ca\.?|~)\s?)?`;
  const said = new RegExp(
    String.raw`^${about}[\d.,]+\s?m?w(?:atts?)?,? (?:(?:when|while|in|at) )?\(?(?:${names})\)?\.?$`,
    'i',
  );
  return {
    field,
    free: true,
    label: OF_POWER,
    read: ({ label, value }, quantities) =>
      (label === '' || OF_POWER.test(label)) && said.test(value) ? quantities[0]?.value : undefined,
  };
}
function soundBehind(field: string, names: string): Rule {
  const said = new RegExp(
    String.raw`(?<![\d.,])(\d{2}(?:[.,]\d)?)\s?db(?:\s?\(?a\)?)?,? \(?(?:at |in )?(?:${names})`,
    'i',
  );
  return {
    field,
    free: true,
    label: /acoustic|sound|noise|geräusch|lautstärke|schall/i,
    read: ({ value }) => {
      const found = said.exec(value)?.[1];
      return found === undefined ? undefined : Number(found.replace(',', '.'));
    },
  };
}

/** What a drive draws and how it is heard, by state. */
export const DRIVE_STATES: readonly Rule[] = [
  wattsBehind('standbyW', 'standby|sleep'),
  wattsBehind('idleW', 'idle|idling|rest'),
  wattsBehind('busyW', String.raw`read(?:ing)?(?:\s?\/\s?writ(?:e|ing))?|active|operating|seek(?:ing)?|work`),
  { field: 'standbyW', label: /standby|sleep|ruhe/i, dimension: 'W', pick: 'first' },
  // “Power” alone is the head of a list as often as a label: what it is of is looked at here.
  { field: 'idleW', label: /./, read: wattsCalled(/idle|leerlauf/i) },
  { field: 'busyW', label: /./, read: wattsCalled(/active|operati(?:ng|on)|aktiv|betrieb|read|write|seek/i) },
  { field: 'standbyW', label: /./, read: wattsCalled(/sleep|standby|ruhe/i) },
  { field: 'idleW', label: /idle|leerlauf/i, not: /acoustic|sound|noise|standby|geräusch/i, dimension: 'W' },
  {
    field: 'peakW',
    label: /(?:power|leistung|consumption|operating|active|betrieb).*(?:max|peak)|(?:max|peak).*(?:power|leistung)/i,
    not: /idle|leerlauf/i,
    dimension: 'W',
  },
  {
    field: 'peakW',
    label: /power|leistung|consumption/i,
    not: /idle|standby/i,
    read: (entry, quantities) => called('max', entry, quantities),
  },
  {
    field: 'busyW',
    label:
      /^power consumption$|(?:average|avg|typical).*(?:power|consumption)|(?:power|consumption).*(?:average|avg|typ)/i,
    not: /idle|standby|leerlauf/i,
    read: ({ value }, quantities) =>
      /idle|standby|leerlauf|max|peak/i.test(value)
        ? undefined
        : quantities.find(({ dimension }) => dimension === 'W')?.value,
  },
  {
    field: 'busyW',
    label: /operat|active|betrieb|random|read|write|seek|aktiv|lesen|schreiben/i,
    not: /idle|max|peak|leerlauf|temp/i,
    read: ({ value }, quantities) => {
      const watts = quantities.filter(({ dimension }) => dimension === 'W').map(({ hi }) => hi);
      return watts.length > 0 && !/\d\s?w(?:atts?)?[\s(]*(?:max|peak)/i.test(value) ? Math.max(...watts) : undefined;
    },
  },
  {
    field: 'soundIdleDb',
    label: /(?:acoustic|sound|noise|geräusch|lautstärke).*(?:idle|leerlauf)|idle.*(?:acoustic|noise)/i,
    dimension: 'dB',
  },
  {
    field: 'soundSeekDb',
    label: /(?:acoustic|sound|noise|geräusch|lautstärke).*(?:seek|perform|operat|zugriff)|seek.*(?:acoustic|noise)/i,
    dimension: 'dB',
  },
  // `20 dB (idle), 28 dB (seek)`.
  soundBehind('soundIdleDb', 'idle|leerlauf'),
  soundBehind('soundSeekDb', 'seek(?:ing)?|operat(?:ing|ion)|suche|zugriff|performance'),
  // Under a heading of sounds the words idle and seek stand alone.
  { field: 'soundIdleDb', label: /idle|leerlauf/i, dimension: 'dB' },
  { field: 'soundSeekDb', label: /seek|suche|zugriff/i, dimension: 'dB' },
];
