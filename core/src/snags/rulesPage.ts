import { plainAt } from '../lists';
import { SNAG_CODES, WORDS } from './words';

const FAMILIES: Readonly<Record<string, string>> = {
  fits: 'Fits (mechanical)',
  mates: 'Mates (electrical)',
  reaches: 'Reaches (ports and lanes)',
  powered: 'Powered',
  cooled: 'Cooled',
  complete: 'Complete',
  lasts: 'Lasts',
  within: 'Within the brief',
};

/** `docs/rules.md`: every rule by family, from the catalogue of words. */
export function rulesPage(): string {
  const families = [...new Set(SNAG_CODES.map((code) => plainAt(code.split('.'), 0)))];
  const sections = families.map((family) =>
    [
      `## ${FAMILIES[family] ?? family}`,
      '',
      '| code | rule | why it matters |',
      '|---|---|---|',
      ...SNAG_CODES.filter((code) => code.startsWith(`${family}.`)).map(
        (code) => `| \`${code}\` | ${WORDS[code].title} | ${WORDS[code].why} |`,
      ),
    ].join('\n'),
  );
  return `# Rules\n\nMade from the registry by \`npm run docs\`; do not edit by hand.\n\n${sections.join('\n\n')}\n`;
}
