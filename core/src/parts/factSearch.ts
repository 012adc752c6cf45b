import { memoWeak } from '../memoLast';
import type { Connector } from './connector';
import { resolve, type Part } from './resolve';
import type { Archetype, Sheet } from './sheet';

const many = (count: number, one: string): string[] => (count > 0 ? [`${count} ${one}`, `${count} ${one}s`] : []);
const plugs = (connectors: readonly Connector[]): string[] =>
  connectors.flatMap((one) => [
    one.kind,
    ...one.carries.map((way) => (way === 'pcie' ? 'pcie nvme' : way)),
    one.side === 'outside' ? 'outside external' : 'inside internal',
  ]);
const TERABYTE = 1e12;
const capacity = (bytes: number): string[] =>
  bytes >= TERABYTE ? [`${Number((bytes / TERABYTE).toFixed(2))} tb`] : [`${Math.round(bytes / 1e9)} gb`];
const speeds = (ports: readonly { readonly gbPerS: number }[]): string[] =>
  ports.flatMap(({ gbPerS }) => [`${gbPerS} gb/s`, `${gbPerS} gbit/s`, 'network ethernet']);

/** What a builder may look for in a part besides its name: facts of its sheet in the trade's words. */
function factsOf(part: Part): string[] {
  switch (part.kind) {
    case 'chassis': {
      const bays = part.bayGroups.reduce((sum, { rows, columns }) => sum + rows * columns, 0);
      return [
        part.style,
        ...(part.rackUnits === null ? [] : [`${part.rackUnits}u`, 'rack']),
        ...part.boardHoles,
        ...many(bays, 'bay'),
        ...part.bayGroups.flatMap(({ access, takes, backplane }) => [
          { hotSwap: 'hot swap', tray: 'tray', fixed: 'fixed' }[access],
          ...takes,
          ...(backplane ? ['backplane', ...backplane.carries] : ['bare']),
        ]),
        ...part.supplyBays.flatMap(({ forms }) => forms),
      ];
    }
    case 'adapter':
      return [
        part.sitsIn,
        ...part.bayGroups.flatMap(({ access, takes, rows, columns }) => [
          ...(access === 'hotSwap' ? ['hot swap'] : []),
          ...takes,
          ...many(rows * columns, 'bay'),
        ]),
      ];
    case 'board':
      return [
        part.holes,
        `socket ${part.socket ?? 'soldered'}`,
        part.memoryType,
        part.memoryForm,
        ...(part.memoryEcc ? ['ecc'] : []),
        ...(part.remoteManagement ? ['remote management'] : []),
        ...plugs(part.connectors),
        ...many(part.slots.length, 'slot'),
        ...(part.m2Sockets.length ? ['m.2', ...many(part.m2Sockets.length, 'm.2')] : []),
        ...speeds(part.networkPorts),
      ];
    case 'processor':
      return [`socket ${part.socket}`, ...many(part.cores, 'core'), ...(part.memoryEcc ? ['ecc'] : [])];
    case 'cooler':
      return [...part.sockets.map((one) => `socket ${one}`), part.passive ? 'passive fanless' : 'fan'];
    case 'memory':
      return [
        `${Math.round(part.capacityBytes / 1024 ** 3)} gb`,
        part.type,
        part.form,
        ...(part.ecc ? ['ecc'] : []),
        part.registered ? 'registered' : 'unbuffered',
      ];
    case 'drive':
      return [
        ...capacity(part.capacityBytes),
        part.size,
        `${part.size} inch`,
        part.interface,
        part.medium === 'disk' ? 'disk hdd' : 'flash ssd',
        ...(part.size === 'm2' ? ['m.2'] : []),
        ...(part.rpm ? [`${part.rpm} rpm`] : []),
        ...(part.shingled ? ['shingled'] : []),
      ];
    case 'controller':
    case 'expander':
      return [
        ...plugs(part.connectors),
        ...many(
          part.connectors.reduce((sum, { count, lanes }) => sum + count * lanes, 0),
          'port',
        ),
        part.bus === 'm2' ? 'm.2' : `x${part.lanes}`,
        ...(part.kind === 'controller' && part.raid !== 'none' ? ['raid'] : ['hba']),
      ];
    case 'networkCard':
      return speeds(part.networkPorts);
    case 'supply':
      return [part.form, `${part.ratedW} w`, part.efficiencyClass, part.modules > 1 ? 'redundant' : 'single'];
    case 'fan':
      return [`${part.sizeMm} mm`, part.pwm ? 'pwm' : 'dc'];
    case 'carrier':
      return ['m.2', ...many(part.m2Sockets.length, 'socket')];
    case 'cable':
      return part.ends.map(({ kind }) => kind);
    case 'ups':
      return [`${part.ratedVa} va`, `${part.ratedW} w`];
    default:
      return [];
  }
}

/** A number and its unit as one word. */
const UNITS = 'tb|gb|gb/s|gbit/s|u|w|mm|va|rpm|bays?|ports?|slots?|cores?|m\\.2';
const NUMBER_AND_UNIT = new RegExp(`(\\d)\\s+(?=(?:${UNITS})\\b)`, 'g');
const squeezed = (text: string): string => ` ${text.toLowerCase().replace(NUMBER_AND_UNIT, '$1')} `;
const texts = memoWeak((part: Part): string =>
  squeezed(
    [part.name, part.maker, part.family, part.id, part.kind, ...(part.sheet.soldUsed ? ['used'] : []), ...factsOf(part)]
      .filter(Boolean)
      .join(' '),
  ),
);

/**
 * Whether a part has all that is looked for: words of its name, or facts of its sheet ("4u hot swap", "8 tb sas",
 * "10 Gb/s"). A number is looked for whole: 8 TB is not 18.
 */
export function isFound(sheet: Sheet, archetype: Archetype | undefined, words: string): boolean {
  const wanted = squeezed(words).split(/\s+/).filter(Boolean);
  if (wanted.length === 0) return true;
  if (!archetype) return wanted.every((word) => sheet.name.toLowerCase().includes(word));
  const text = texts(resolve(sheet, archetype));
  return wanted.every((word) => text.includes(/^\d/.test(word) ? ` ${word}` : word));
}
