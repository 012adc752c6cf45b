import type { Part } from '@inch-tower/core';

const kindWords = (kind: string) =>
  ({
    sata: 'SATA',
    esata: 'eSATA',
    'usb-a': 'USB-A',
    'usb-c': 'USB-C',
    'usb2-header': 'USB 2 header',
    'usb3-header': 'USB 3 header',
  })[kind] ?? kind.toUpperCase();

type Backplane = NonNullable<Extract<Part, { kind: 'chassis' }>['bayGroups'][number]['backplane']>;
const backplaneWords = ({ type, connectors }: Backplane): string =>
  `${type === 'direct' ? 'backplane' : type} on ` +
  connectors.map((one) => `${one.count} × ${kindWords(one.kind)}`).join(', ');

/** What a part has that is not one number: bays, sockets, connectors, plugs; a line each. */
export function hasLines(part: Part): readonly (readonly [string, string])[] {
  switch (part.kind) {
    case 'chassis':
      return [
        ...part.bayGroups.map(
          (group) =>
            [
              group.label,
              `${group.rows} × ${group.columns} of ${group.takes.join(' or ')}, ` +
                (group.backplane ? backplaneWords(group.backplane) : 'bare'),
            ] as const,
        ),
        ['Boards', part.boardHoles.join(', ') || 'none'],
        ...part.supplyBays.map((bay) => [bay.label, `${bay.forms.join(' or ')}, up to ${bay.maxLengthMm} mm`] as const),
        ...part.fanMounts.map((mount) => [mount.label, `${mount.count} × ${mount.sizesMm.join(' or ')} mm`] as const),
        ...part.openings.map(
          (opening) =>
            [opening.label, `${opening.count}, ${opening.height === 'full' ? 'full height' : 'low profile'}`] as const,
        ),
        ...part.clearances.map(
          (one) =>
            [
              `Room for a ${one.for}`,
              `${one.maxMm} mm to ${one.label}${one.while === 'occupied' ? ' while in use' : ''}`,
            ] as const,
        ),
      ];
    case 'adapter':
      return part.bayGroups.map(
        (group) => [group.label, `${group.rows} × ${group.columns} of ${group.takes.join(' or ')}`] as const,
      );
    case 'board':
      return [
        ...part.connectors.map(
          (one) =>
            [
              one.label ?? kindWords(one.kind),
              `${one.count} × ${kindWords(one.kind)}${one.side === 'outside' ? ', outside' : ''}`,
            ] as const,
        ),
        ...part.slots.map(
          (slot) =>
            [
              slot.label,
              slot.bus === 'pci'
                ? 'PCI'
                : `x${slot.lanes} long, wired x${slot.wiredLanes}, gen ${slot.gen}, from the ${slot.owner}`,
            ] as const,
        ),
        ...part.m2Sockets.map(
          (socket) =>
            [
              socket.label,
              `${socket.lengthsMm.join(', ')} mm, ` +
                `${socket.carries.map((one) => (one === 'pcie' ? 'PCIe' : 'SATA')).join(' or ')}`,
            ] as const,
        ),
        ...part.rules.map(
          (rule) =>
            [
              'While used',
              `${rule.when.key}${rule.when.as === 'any' ? '' : ` as ${rule.when.as}`} switches off ` +
                `${rule.then.map((one) => `${one.key}${one.ns ? ` ${one.ns.join(', ')}` : ''}`).join('; ')}`,
            ] as const,
        ),
        ...part.networkPorts.map((port) => ['Network', `${port.count} × ${port.gbPerS} Gb/s`] as const),
        ['Power', part.powerInputs.map((one) => `${one.count} × ${one.plug}`).join(', ')],
      ];
    case 'controller':
    case 'expander':
      return part.connectors.map(
        (one) =>
          [
            one.label ?? kindWords(one.kind),
            `${one.count} × ${kindWords(one.kind)}, ${one.lanes} ` +
              `${one.lanes === 1 ? 'lane' : 'lanes'}${one.side === 'outside' ? ', outside' : ''}`,
          ] as const,
      );
    case 'supply':
      return part.cables.map(
        (cable) =>
          [
            `${cable.count} × cable ${cable.key}`,
            `${cable.plugs.map((one) => `${one.count} × ${one.plug}`).join(', ')}, ${cable.lengthMm} mm`,
          ] as const,
      );
    case 'networkCard':
      return part.networkPorts.map((port) => ['Ports', `${port.count} × ${port.gbPerS} Gb/s`] as const);
    case 'carrier':
      return part.m2Sockets.map((socket) => [socket.label, `${socket.lengthsMm.join(', ')} mm`] as const);
    case 'cable':
      return part.ends.map(
        (end, i) =>
          [
            i === 0 ? 'One end' : 'Other end',
            `${end.tails} × ${kindWords(end.kind)}${end.role === 'either' ? '' : `, to the ${end.role}`}`,
          ] as const,
      );
    case 'powerAdapter':
      return [
        ['From', part.takes],
        ['Into', part.gives.map((one) => `${one.count} × ${one.plug}`).join(', ')],
      ];
    case 'cooler':
      return [['Sockets', part.sockets.join(', ')]];
    default:
      return [];
  }
}
