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
const UNIT = String.raw`(?:W|mm|g|kg|TB|GB|MB\/s|V|A|rpm|dB\(A\)|VA|mA|cm|°C|mmH2O|CFM)\b`;

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
  'without its title': (text) => text.split('\n').slice(1).join('\n'),
};

test.each(Object.entries(WAYS))('what is read does not hang on how it is written: %s', (_name, way) => {
  expect(PLAIN.length).toBeGreaterThan(200);
  const written = PLAIN.map((sample): Sample => ({ ...sample, text: way(sample.text) }));
  const { fields, right, wrong, notes } = scoreSamples(written);
  const told = notes.filter((note) => !note.includes(' open, is ')).slice(0, 12);
  expect(wrong / fields <= 0.005 ? [] : told).toEqual([]);
  expect(right / fields).toBeGreaterThanOrEqual(0.95);
});
