import { titled, words, type KindRules } from './rule';

/** A cage that stands in bays of another size. */
export const CAGE: KindRules = {
  kind: 'adapter',
  cues: [
    [/(?:fits|installs?|uses|mounts?)\b[^\n]{0,16}\b5[.,]25/i, 6],
    [
      titled(
        String.raw`mobile rack|(?:drive|hdd|ssd|backplane|hot-?swap) (?:cage|module)|wechselrahmen` +
          String.raw`|5[.,]25[^\n]*(?:cage|adapter|mounting|bracket|module)` +
          String.raw`|(?:cage|adapter|bracket|frame)[^\n]*5[.,]25`,
      ),
      9,
    ],
  ],
  rules: [
    {
      field: 'sitsIn',
      label: /fits|installs?|mount|bay|space|required|einbau/i,
      free: true,
      read: words([/5[.,]25/, '5.25']),
    },
    {
      field: 'span',
      label: /fits|installs?|mount|bay|space|required|einbau/i,
      free: true,
      read: ({ label, value }) => {
        const said = `${label} ${value}`;
        const found = /(?<![\d.,])([1-6])\s*[x×]?\s*(?:external |standard |half-?height )?5[.,]25/i.exec(said)?.[1];
        const word = /\b(one|single|two|dual|three|triple)\s+(?:external |standard )?5[.,]25/i.exec(said)?.[1];
        if (found) return Number(found);
        return word ? SPAN[word.toLowerCase()] : undefined;
      },
    },
    { field: 'idleW', label: /idle/i, dimension: 'W' },
  ],
};
const SPAN: Readonly<Record<string, number>> = { one: 1, single: 1, two: 2, dual: 2, three: 3, triple: 3 };
