import { isCard, type Part, type PartOf } from '@inch-tower/core';
import { capacityWords, countWords } from './format';

const mm = (value: number) => String(Math.round(value));

const FORMS: Readonly<Record<PartOf<'board'>['holes'], string>> = {
  'mini-itx': 'Mini-ITX',
  'micro-atx': 'Micro-ATX',
  atx: 'ATX',
  'ssi-ceb': 'SSI-CEB',
  'ssi-eeb': 'SSI-EEB',
  own: 'own shape',
};
const boardWords = (holes: PartOf<'chassis'>['boardHoles']): string =>
  holes.length === 0
    ? 'no board'
    : holes.length === 1
      ? `${FORMS[holes[0]!]} board`
      : `boards to ${FORMS[holes.at(-1)!]}`;
const ACCESS: Readonly<Record<PartOf<'chassis'>['bayGroups'][number]['access'], string>> = {
  hotSwap: 'hot swap',
  tray: 'on trays',
  fixed: 'fixed',
};
/** Bays by the largest drive they take and how that is changed: "8 × 3.5 hot swap, 4 × 2.5 fixed". */
function bayWords(groups: PartOf<'chassis'>['bayGroups']): string {
  const counts = new Map<string, number>();
  for (const { takes, access, rows, columns } of groups) {
    const size = ['5.25', '3.5', '2.5', 'u.2'].find((one) => (takes as readonly string[]).includes(one)) ?? '';
    const words = `${size === 'u.2' ? 'U.2' : size} ${ACCESS[access]}`.trim();
    counts.set(words, (counts.get(words) ?? 0) + rows * columns);
  }
  return [...counts].map(([words, count]) => `${count} × ${words}`).join(', ') || 'no bays';
}
/** A port of four lanes takes four drives. */
const drivePorts = ({ connectors }: PartOf<'board'>): number =>
  connectors.reduce(
    (sum, one) =>
      sum +
      (one.side === 'inside' && one.carries.some((way) => way === 'sata' || way === 'sas') ? one.count * one.lanes : 0),
    0,
  );

/** The few numbers a builder looks at first, by kind. */
export function factLine(part: Part): string {
  switch (part.kind) {
    case 'drive':
      return [
        capacityWords(part.capacityBytes),
        { '3.5': '3.5-inch', '2.5': '2.5-inch', 'u.2': 'U.2', m2: 'M.2', slot: 'card', usb: 'USB' }[part.size],
        part.interface === 'nvme' ? 'NVMe' : part.interface.toUpperCase(),
        part.rpm ? `${part.rpm} rpm` : 'flash',
        part.shingled ? 'shingled' : '',
      ]
        .filter(Boolean)
        .join(', ');
    case 'chassis':
      return (
        `${bayWords(part.bayGroups)}, ${boardWords(part.boardHoles)}, ` +
        `${mm(part.widthMm)} × ${mm(part.heightMm)} × ${mm(part.depthMm)} mm`
      );
    case 'board':
      return (
        `${mm(part.edgeMm)} × ${mm(part.depthMm)} mm, ` +
        `${part.socket ? `socket ${part.socket}` : 'soldered processor'}, ` +
        `${countWords(drivePorts(part), 'drive port')}` +
        `${part.m2Sockets.length ? `, ${part.m2Sockets.length} M.2` : ''}, ` +
        `${part.memorySlots > 0 ? `${part.memorySlots} × ${part.memoryType.toUpperCase()}` : 'soldered memory'}`
      );
    case 'processor':
      return `${part.cores} cores, socket ${part.socket}, ${part.lanes} lanes, ${mm(part.peakW)} W peak`;
    case 'cooler':
      return `${mm(part.heightMm)} mm high, carries ${mm(part.carriesW)} W, ${part.passive ? 'no fan' : 'with fan'}`;
    case 'memory':
      return (
        `${Math.round(part.capacityBytes / 1024 ** 3)} GiB, ${part.type.toUpperCase()} ` +
        `${part.form === 'dimm' ? 'DIMM' : 'SO-DIMM'}, ` +
        `${part.registered ? 'registered' : 'unbuffered'}${part.ecc ? ', ECC' : ''}`
      );
    case 'supply':
      return (
        `${part.form.toUpperCase()}, ${part.ratedW} W, ${part.efficiencyClass}, ` +
        `${mm(part.lengthMm)} mm long${part.modules > 1 ? ', redundant' : ''}`
      );
    case 'fan':
      return (
        `${part.sizeMm} × ${mm(part.thickMm)} mm, ${part.maxRpm} rpm, ${mm(part.flowM3h)} m³/h, ` +
        `${mm(part.soundDb)} dB(A) at full`
      );
    case 'controller':
      return (
        `${part.connectors.map((one) => `${one.count} × ${one.kind.toUpperCase()}`).join(', ')}, ` +
        `x${part.lanes} gen ${part.gen}, ${mm(part.lengthMm)} mm`
      );
    case 'adapter':
      return (
        `${part.span > 1 ? `${part.span} × ` : ''}${part.sitsIn}-inch into ` +
        `${part.bayGroups.map((group) => `${group.rows * group.columns} × ${group.takes[0]}`).join(', ')}`
      );
    case 'cable':
      return `${mm(part.lengthMm)} mm`;
    default:
      return isCard(part) ? `x${part.lanes} gen ${part.gen}, ${mm(part.lengthMm)} mm long` : '';
  }
}
