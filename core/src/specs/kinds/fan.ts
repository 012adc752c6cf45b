import { SOUND_POWER, words, type KindRules, type Rule } from './rule';

const FAN_NAME =
  /(?<![\d.])(40|60|70|80|92|120|140)\s?[x×]\s?(?:\1\s?[x×]\s?)?(10|15|20|25|27|28|30|32|38|56)(?![\d.])/i;
export const FAN: KindRules = {
  kind: 'fan',
  cues: [
    // A cooler and a chassis have fans, too.
    [/\bsockets?\b|\bsockel\b|\btdp\b|drive bays|expansion slots/i, -6],
    [/\bfan\b|lüfter/i, 3],
    [/\bcfm\b|air ?flow|fördervolumen|luftdurchsatz/i, 3],
    [/mm\s?h[2₂]o|static pressure|statischer druck/i, 3],
    [/\d\s?(?:rpm|u\/min)/i, 1],
  ],
  rules: [
    {
      field: 'sizeMm',
      free: true,
      label: /size|dimension|abmess|größe|maße/i,
      not: /hole|mount/i,
      read: (_entry, quantities) => {
        const sides = quantities.filter(({ dimension }) => dimension === 'mm').map(({ value }) => value);
        return sides.length === 3 && sides[0] === sides[1] ? sides[0] : sides.length === 1 ? sides[0] : undefined;
      },
    },
    // `80x38` in its name.
    {
      field: 'sizeMm',
      free: true,
      read: ({ label, value, line }) =>
        label === '' && line === 1 ? Number(FAN_NAME.exec(value)?.[1]) || undefined : undefined,
    },
    {
      field: 'thickMm',
      free: true,
      read: ({ label, value, line }) =>
        label === '' && line === 1 ? Number(FAN_NAME.exec(value)?.[2]) || undefined : undefined,
    },
    {
      field: 'thickMm',
      free: true,
      label: /size|dimension|abmess|größe|maße|thickness|dicke|bautiefe/i,
      not: /hole|mount/i,
      read: ({ label }, quantities) => {
        const sides = quantities.filter(({ dimension }) => dimension === 'mm').map(({ value }) => value);
        return sides.length === 3 && sides[0] === sides[1]
          ? sides[2]
          : /thick|dicke|bautiefe/i.test(label) && sides.length === 1
            ? sides[0]
            : undefined;
      },
    },
    {
      field: 'maxRpm',
      free: true,
      label: /speed|drehzahl|rpm|^pwm$/i,
      not: /min\b|low|toleran/i,
      // Two rotors, `22000 / 18500 rpm`, are no one fan.
      read: ({ value }, quantities) => {
        const own = quantities.filter(({ dimension }) => dimension === 'rpm').map(({ hi }) => hi);
        return own.length > 0 && !/\d\s*\/\s*\d/.test(value) ? Math.max(...own) : undefined;
      },
    },
    {
      field: 'minRpm',
      label: /\b(?:min|low).*(?:speed|drehzahl|rpm)|(?:speed|drehzahl|rpm).*min/i,
      dimension: 'rpm',
      pick: 'first',
    },
    {
      field: 'minRpm',
      label: /speed|drehzahl|rpm/i,
      read: ({ value }) => {
        const found = /\bmin\.?:? (\d{2,5})\b/i.exec(value);
        return found ? Number(found[1]) : undefined;
      },
    },
    {
      field: 'minRpm',
      free: true,
      label: /speed|drehzahl|rpm|^pwm$/i,
      not: /max/i,
      read: (_entry, quantities) => {
        const range = quantities.find(({ dimension, value, hi }) => dimension === 'rpm' && hi > value);
        return range?.value;
      },
    },
    {
      field: 'flowM3h',
      free: true,
      label: /flow|fördervolumen|luftdurchsatz|volumenstrom|luftstrom/i,
      dimension: 'm3h',
      pick: 'most',
    },
    { field: 'pressurePa', free: true, label: /pressure|druck/i, not: /sound|schall/i, dimension: 'Pa', pick: 'most' },
    {
      field: 'soundDb',
      free: true,
      label: /noise|acoustic|sound|schall|geräusch|lautstärke/i,
      not: /min/i,
      dimension: 'dB',
      pick: 'most',
    },
    SOUND_POWER,
    {
      field: 'pwm',
      free: true,
      label: /connector|anschluss|control|regel|plug|pwm|speed|rpm|drehzahl/i,
      read: words([/pwm|4-?\s?pin/i, true], [/3-?\s?pin/i, false]),
    },
    { field: 'maxW', label: /power|leistung|consumption|input/i, dimension: 'W', pick: 'most' },
    {
      field: 'maxW',
      free: true,
      read: ({ label, value, text }, quantities) =>
        label === '' && /^(?:(?:dc )?12\s?v(?:dc)?[ ,/]*)?[\d.,]+\s?m?a$/i.test(value) && /\b12\s?v/i.test(text)
          ? (quantities.find(({ dimension }) => dimension === 'A')?.value ?? NaN) * 12 || undefined
          : undefined,
    },
    // `0.14 A (max. 0.2 A)`: the most, where it is said.
    ...[true, false].map((isMost): Rule => ({
      field: 'maxW',
      label: /current|strom/i,
      not: /start|anlauf|lock/i,
      unless: /(?<![\d.,])(?:5|24|48)\s?v(?:dc|olts?)?\b/i,
      read: ({ value }, quantities) => {
        if (isMost !== /max/i.test(value)) return undefined;
        const amps = quantities.filter(({ dimension }) => dimension === 'A').map((one) => one.value);
        const volts = quantities.find(({ dimension }) => dimension === 'V');
        // Fans of machines are made for 12 V; texts of others say so.
        const isAt12 = !volts || volts.value === 12;
        return amps.length > 0 && isAt12 ? (isMost ? Math.max(...amps) : amps[0]!) * 12 : undefined;
      },
    })),
  ],
};
