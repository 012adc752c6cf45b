import { SAMPLES } from '../testing/specTexts/all';
import { scoreSamples } from '../testing/specTexts/score';
import type { Sample } from '../testing/specTexts/sample';

const LINE = /^([^:\t|]{2,50}): (\S.*)$/;
const parts = (line: string): readonly [label: string, value: string] | null => {
  const found = LINE.exec(line);
  return found && [found[1]!, found[2]!];
};
/** Texts of at least four lines of label and value, which every page and file writes in its own way. */
const PLAIN = SAMPLES.filter(
  ({ text }) => text.split('\n').filter((line) => LINE.test(line)).length >= 4 && !/[\t|•*{]/.test(text),
);

type Way = (text: string) => string;
const each =
  (write: (label: string, value: string) => string): Way =>
  (text) =>
    text
      .split('\n')
      .map((line) => {
        const found = parts(line);
        return found ? write(...found) : line;
      })
      .join('\n');
const joined =
  (by: string): Way =>
  (text) =>
    text
      .split('\n')
      .filter((line) => line !== '')
      .join(by);
const UNIT = String.raw`(?:W|mm|g|kg|TB|GB|MB\/s|V|A|rpm|dB\(A\)|VA|mA|cm|°C|mmH2O|CFM)(?![\w])`;

/** A label whose first word says of which kind it is, with that word behind. */
const turned = (write: (label: string, kind: string) => string): Way =>
  each((label, value) => {
    const found =
      /^(idle|operating|standby|active|max\.?|sustained|average|rated|static|sequential|random) (.+)$/i.exec(label);
    return `${found ? write(found[2]!, found[1]!.toLowerCase()) : label}: ${value}`;
  });
/** The unit of a number elsewhere than behind it. */
const unitIn = (write: (label: string, number: string, unit: string) => string): Way =>
  each((label, value) => {
    const found = new RegExp(`^([\\d.,]+) (${UNIT})$`).exec(value);
    return found ? write(label, found[1]!, found[2]!) : `${label}: ${value}`;
  });

const WAYS: Readonly<Record<string, Way>> = {
  'by tabs': each((label, value) => `${label}\t${value}`),
  'by bars': each((label, value) => `${label} | ${value}`),
  'by room': each((label, value) => `${label}    ${value}`),
  'by dots': each((label, value) => `${label} ........ ${value}`),
  'by signs of equality': each((label, value) => `${label} = ${value}`),
  'by a colon with room': each((label, value) => `${label} : ${value}`),
  'by a dash': each((label, value) => `${label} – ${value}`),
  'by a hyphen': each((label, value) => `${label} - ${value}`),
  'on two lines': each((label, value) => `${label}\n${value}`),
  'as points': each((label, value) => `• ${label}: ${value}`),
  'as points with hyphens': each((label, value) => `- ${label}: ${value}`),
  'in bold': each((label, value) => `**${label}:** ${value}`),
  'in quotes, with commas': each((label, value) => `"${label}","${value.replace(/"/g, '""')}"`),
  'labels in capitals': each((label, value) => `${label.toUpperCase()}: ${value}`),
  'in one line, by semicolons': joined('; '),
  'in one line, by points': joined(' • '),
  'with empty lines': joined('\n\n'),
  'with room around it, as other systems end lines': (text) =>
    text
      .split('\n')
      .map((line) => `   ${line}  `)
      .join('\r\n'),
  'numbers beside their units': (text) => text.replace(new RegExp(String.raw`(\d) (?=${UNIT})`, 'g'), '$1'),
  'with (typ.) behind': (text) => text.replace(/(\d (?:W|dB\(A\)|MB\/s|g|kg))$/gm, '$1 (typ.)'),
  'with approx. before': (text) => text.replace(/: (?=\d[\d.,]* (?:W|g|kg|mm)$)/gm, ': approx. '),
  'under a head': (text) => text.replace('\n', '\nSpecifications\n'),
  'with a shop around it': (text) => `${text}\nIn stock, delivery 2-3 days\nAdd to cart\nPrice: 129.00 EUR`,
  'kinds behind, by a comma': turned((label, kind) => `${label}, ${kind}`),
  'kinds behind, in brackets': turned((label, kind) => `${label} (${kind})`),
  'kinds behind, by a hyphen': turned((label, kind) => `${label} - ${kind}`),
  'units in brackets of the label': unitIn((label, number, unit) => `${label} (${unit}): ${number}`),
  'units behind a comma of the label': unitIn((label, number, unit) => `${label}, ${unit}: ${number}`),
  'units in a column of their own': unitIn((label, number, unit) => `${label}\t${number}\t${unit}`),
  'in sentences': each((label, value) => `The ${label.toLowerCase()} is ${value}.`),
  'without its title': (text) => text.split('\n').slice(1).join('\n'),
};

// Every other text in each way: neighbouring ways take the other half.
const HALVES = Object.entries(WAYS).map(([name, way], i) => ({
  name,
  way,
  texts: PLAIN.filter((_, t) => t % 2 === i % 2),
}));
test.each(HALVES)('what is read does not hang on how it is written: $name', ({ way, texts }) => {
  expect(texts.length).toBeGreaterThan(100);
  const written = texts.map((sample): Sample => ({ ...sample, text: way(sample.text) }));
  const { fields, right, wrong, notes } = scoreSamples(written);
  const told = notes.filter((note) => !note.includes(' open, is ')).slice(0, 12);
  expect(wrong / fields <= 0.005 ? [] : told).toEqual([]);
  expect(right / fields).toBeGreaterThanOrEqual(0.95);
});
