import type { ArchetypeId } from '../parts/ids';
import type { Found, Line } from './found';

type PciDevice = {
  readonly bus: number;
  readonly className: string;
  readonly classCode: string | null;
  readonly name: string;
};

/** Class codes of PCI devices that are cards worth keeping (PCI code and ID assignment specification). */
const CARDS: readonly {
  readonly code: string;
  readonly words: RegExp;
  readonly kind: Found['kind'];
  readonly archetype: string;
}[] = [
  { code: '0107', words: /serial attached scsi/i, kind: 'controller', archetype: 'hba-8' },
  { code: '0104', words: /raid bus/i, kind: 'controller', archetype: 'raid-card' },
  { code: '0106', words: /sata controller/i, kind: 'controller', archetype: 'sata-card' },
  { code: '0200', words: /ethernet controller/i, kind: 'networkCard', archetype: 'network-card' },
  {
    code: '0300',
    words: /vga compatible|3d controller|display controller/i,
    kind: 'accelerator',
    archetype: 'accelerator-low',
  },
];

/** Lines of a list of PCI devices, plain, with numbers in brackets, or machine-readable with quotes. */
export function readPci(lines: readonly Line[]): PciDevice[] {
  return lines.flatMap(({ text }): PciDevice[] => {
    const plain =
      /^\s*(?:[0-9a-f]{4}:)?([0-9a-f]{2}):[0-9a-f]{2}\.[0-7]\s+([^:"[]+?)(?:\s*\[([0-9a-f]{4})\])?:\s+(.+)$/i.exec(
        text,
      );
    if (plain) {
      const [, bus = '', className = '', classCode = null, name = ''] = plain;
      return [{ bus: parseInt(bus, 16), className, classCode, name: clean(name) }];
    }
    const quoted = /^\s*(?:[0-9a-f]{4}:)?([0-9a-f]{2}):[0-9a-f]{2}\.[0-7]\s+"([^"]*)"\s+"([^"]*)"\s+"([^"]*)"/i.exec(
      text,
    );
    if (!quoted) return [];
    const [, bus = '', className = '', maker = '', device = ''] = quoted;
    return [
      {
        bus: parseInt(bus, 16),
        className: className.replace(/\s*\[[0-9a-f]{4}\]/i, ''),
        classCode: /\[([0-9a-f]{4})\]/i.exec(className)?.[1] ?? null,
        name: clean(`${maker} ${device}`),
      },
    ];
  });
}

const clean = (name: string) =>
  name
    .replace(/\s*\[[0-9a-f]{4}(:[0-9a-f]{4})?\]/gi, '')
    .replace(/\s*\(rev [0-9a-f]+\).*$/i, '')
    .trim();

/** Cards among PCI devices. What sits on bus 0 belongs to the board; several functions of one card are one. */
export function cardsFound(devices: readonly PciDevice[]): Found[] {
  const cards = new Map<string, { device: PciDevice; card: (typeof CARDS)[number]; functions: number }>();
  for (const device of devices) {
    if (device.bus === 0) continue;
    const card = CARDS.find((one) =>
      device.classCode ? device.classCode === one.code : one.words.test(device.className),
    );
    if (!card) continue;
    const key = `${device.bus}|${device.name}`;
    cards.set(key, { device, card, functions: (cards.get(key)?.functions ?? 0) + 1 });
  }
  return [...cards.values()].map(({ device, card, functions }): Found => {
    const fast = /\b(100|40|25|10)\s?(?:gb|gbe|gigabit|gbase)/i.exec(device.name)?.[1];
    const network = card.kind === 'networkCard';
    const gbPerS = network ? Number(fast ?? (/2\.5\s?g/i.test(device.name) ? 2.5 : 1)) : 0;
    return {
      kind: card.kind,
      name: device.name.slice(0, 120),
      count: 1,
      archetype: (network && gbPerS < 10 ? 'network-card-slow' : card.archetype) as ArchetypeId,
      values: network ? { networkPorts: [{ key: 'lan', gbPerS, count: Math.min(8, functions) }] } : {},
      guessed: [
        'ports, length and watts',
        ...(network && !fast ? ['speed'] : []),
        'whether it is a card or part of the board',
      ],
    };
  });
}
