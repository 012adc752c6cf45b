import { words, type KindRules } from './rule';

export const UPS: KindRules = {
  kind: 'ups',
  cues: [
    [/uninterruptible|\bups\b|\busv\b/i, 5],
    [/\d\s?va\b/i, 3],
    [/sine ?wave|sinus/i, 2],
  ],
  rules: [
    { field: 'ratedVa', label: /capacity|rating|output|leistung|power/i, free: true, dimension: 'VA', pick: 'first' },
    {
      field: 'ratedW',
      label: /capacity|rating|output|leistung|power/i,
      not: /consumption|charg|idle|heat|btu|loss|wärme/i,
      dimension: 'W',
      pick: 'first',
    },
    // `1500VA 900W` in its name.
    {
      field: 'ratedW',
      free: true,
      read: ({ label, value }, quantities) => {
        const watts = quantities.filter(({ dimension }) => dimension === 'W');
        const isRated = label === '' && quantities.some(({ dimension }) => dimension === 'VA');
        return isRated && watts.length === 1 && !/heat|loss|charg|idle/i.test(value) ? watts[0]!.value : undefined;
      },
    },
    {
      field: 'ratedW',
      free: true,
      read: ({ label, value }, quantities) =>
        label === '' && /^\d+(?:[.,]\d+)?\s?k?w(?:att)?$/i.test(value) ? quantities[0]?.value : undefined,
    },
    {
      field: 'waveform',
      free: true,
      label: /wave|form|^output/i,
      read: words(
        [/simul|stepped|modified|modifiz|approximat|angenähert|stufen/i, 'stepped'],
        [/pure sine|sine ?wave|reine[rn]? sinus|sinus/i, 'sine'],
      ),
    },
    {
      field: 'battery',
      free: true,
      label: /batter|akku/i,
      read: words([/lifepo|li-?fe|lithium iron/i, 'lithiumIron'], [/lead|vrla|\bsla\b|blei|agm/i, 'leadAcid']),
    },
    { field: 'batteryWh', label: /batter|akku|energy/i, dimension: 'Wh' },
    {
      field: 'batteryWh',
      label: /batter|akku/i,
      free: true,
      read: ({ label, value }, quantities) => {
        if (label === '' && !/batter|akku/i.test(value)) return undefined;
        const [volts, hours] = [
          quantities.find((one) => one.dimension === 'V'),
          quantities.find((one) => one.dimension === 'Ah'),
        ];
        const count = /(\d+)\s*[x×]/i.exec(value) ?? /[x×]\s*(\d+)\s*(?:$|,)/i.exec(value);
        return volts && hours ? volts.value * hours.value * (count ? Number(count[1]) : 1) : undefined;
      },
    },
    {
      field: 'outlets',
      label: /outlet|socket|receptacle|steckdose|ausgänge|output connections|connectors?$/i,
      free: true,
      read: ({ label, value, text }, quantities) => {
        // `8 x C13, 1 x C19`: all of them.
        const kinds = [...text.matchAll(/(\d{1,2})\s?[x×]\s*(?:iec\s*)?(?:320\s*)?c(?:13|19)\b/gi)];
        if (kinds.length > 1) return kinds.reduce((sum, [, count]) => sum + Number(count), 0);
        const isSaid = label !== '' || /^\d+\s?[x×]?\s*(?:outlets?|sockets?|[a-zäöü]*dosen?|c1[39]|iec)\b/i.test(value);
        const [one] = quantities;
        // `10 (5 on battery, 5 without)`: all of them stand first.
        const isFirst = quantities.length === 1 || /^\d+\s?x?\s*[\wä]*\s?\(/i.test(value);
        return isSaid && isFirst && one?.dimension === null ? one.value : undefined;
      },
    },
    { field: 'efficiencyPct', label: /efficien|wirkungsgrad/i, dimension: '%' },
  ],
};
