import type { ArchetypeId } from '../parts/ids';
import { bytesOf, formOf, said, typeOf, whole, type DmiEntry } from './dmi';
import type { Found } from './found';
import { m2From, slotsFrom } from './dmiSlots';

/**
 * The board of the tables, on the class its other entries speak for; `hasModules`: M.2 drives run on it, so it has a
 * place for them.
 */
export function boardFound(entries: readonly DmiEntry[], hasModules: boolean): Found[] {
  const board = entries.find((entry) => entry.type === 2);
  const name = [said(board, 'Manufacturer'), said(board, 'Product Name')].filter(Boolean).join(' ');
  if (!name) return [];
  const banks = Math.min(32, entries.filter((entry) => entry.type === 17).length);
  const array = entries.find((entry) => entry.type === 16);
  const most = bytesOf(said(array, 'Maximum Capacity'));
  const type = typeOf(entries);
  const form = formOf(entries);
  const socket = socketOf(entries);
  const slots = slotsFrom(entries, type);
  const told = m2From(entries, type);
  const m2 = hasModules && told?.length === 0 ? undefined : told;
  const year = yearOf(entries);
  return [
    {
      kind: 'board',
      name: name.slice(0, 120),
      count: 1,
      archetype: classOf(entries, banks),
      values: {
        ...(banks ? { memorySlots: banks, memoryFillOrder: Array.from({ length: banks }, (_, i) => i + 1) } : {}),
        ...(most ? { memoryMaxBytes: most } : {}),
        ...(type ? { memoryType: type } : {}),
        ...(form ? { memoryForm: form } : {}),
        ...(socket ? { socket } : {}),
        ...(slots ? { slots } : {}),
        ...(m2 ? { m2Sockets: m2 } : {}),
        // What switches what off is of the places the class had.
        ...(slots || m2 ? { rules: [], modes: [] } : {}),
        ...(year === undefined ? {} : { introducedYear: year }),
        remoteManagement: entries.some((entry) => entry.type === 38),
        memoryEcc: /ecc/i.test(said(array, 'Error Correction Type') ?? ''),
      },
      typical: [...(m2?.length === 0 ? ['m2Sockets'] : []), ...(year === undefined ? [] : ['introducedYear'])],
      ...(year === undefined ? {} : { year }),
      guessed: [
        'size and holes',
        slots ? 'ports' : 'ports and slots',
        'watts',
        ...(socket ? [] : ['socket']),
        ...(m2?.length === 0 ? [`M.2: none, as boards for ${(type ?? '').toUpperCase()} have`] : []),
        ...(year === undefined ? [] : ['year: that of its firmware, it may be older']),
      ],
    },
  ];
}

export function processorFound(entries: readonly DmiEntry[]): Found[] {
  // The memory it runs with today is memory it takes.
  const memory = typeOf(entries);
  const socket = socketOf(entries);
  const isServer = classOf(entries, 0) === 'board-server';
  return entries
    .filter((entry) => entry.type === 4 && said(entry, 'Version'))
    .map((entry): Found => ({
      kind: 'processor',
      name: said(entry, 'Version')!.slice(0, 120),
      count: 1,
      archetype: (isServer ? 'cpu-server' : 'cpu-desktop') as ArchetypeId,
      values: {
        ...whole('cores', said(entry, 'Core Count')),
        ...whole('threads', said(entry, 'Thread Count')),
        ...(memory ? { memoryTypes: [memory] } : {}),
        ...(socket ? { socket } : {}),
      },
      guessed: [...(socket ? [] : ['socket']), 'lanes', 'watts'],
    }));
}

/** Supplies that tell of themselves (SMBIOS type 39), as those of servers do. */
export const supplyFound = (entries: readonly DmiEntry[]): Found[] =>
  entries
    .filter((entry) => entry.type === 39)
    .flatMap((entry): Found[] => {
      const watts = Number(/^(\d+) ?W$/i.exec(said(entry, 'Max Power Capacity') ?? '')?.[1]);
      if (!(watts > 0)) return [];
      const isRedundant = /yes/i.test(said(entry, 'Hot Replaceable') ?? '');
      const name = [said(entry, 'Manufacturer'), said(entry, 'Model Part Number') ?? said(entry, 'Name')].filter(
        Boolean,
      );
      return [
        {
          kind: 'supply',
          name: name.join(' ').slice(0, 120) || `${watts} W supply`,
          count: 1,
          archetype: (isRedundant ? 'supply-redundant' : 'supply-old') as ArchetypeId,
          values: { ratedW: watts, ...(isRedundant ? { modules: 1 } : {}) },
          guessed: ['form and length', 'rails', 'plugs', 'efficiency'],
        },
      ];
    });

/** Registered memory, a management controller or the box itself says what kind of board it is. */
function classOf(entries: readonly DmiEntry[], banks: number): ArchetypeId {
  const box = said(
    entries.find((entry) => entry.type === 3),
    'Type',
  );
  const isRegistered = entries.some((entry) => {
    const detail = entry.type === 17 ? (said(entry, 'Type Detail') ?? '') : '';
    return /registered/i.test(detail) && !/unbuffered/i.test(detail);
  });
  const isServer = isRegistered || entries.some((entry) => entry.type === 38) || /rack|server|blade/i.test(box ?? '');
  if (isServer) return 'board-server' as ArchetypeId;
  if (formOf(entries) === 'so-dimm')
    return (/mini|laptop|notebook|all in one|stick/i.test(box ?? '') ? 'board-small' : 'board-itx') as ArchetypeId;
  return (banks > 0 && banks <= 2 ? 'board-matx' : 'board-atx') as ArchetypeId;
}

/** A socket by its own name; `CPU 1` names the place of a processor and not what it is. */
function socketOf(entries: readonly DmiEntry[]): string | undefined {
  const processor = entries.find((entry) => entry.type === 4);
  const upgrade = /^socket\s+(?!other|unknown)([\w-]{2,20})$/i.exec(said(processor, 'Upgrade') ?? '')?.[1];
  const designation = said(processor, 'Socket Designation');
  const isName =
    designation && /^[a-z]+[\w-]*\d[\w-]*$/i.test(designation) && !/^(?:cpu|proc|p|u\d)/i.test(designation);
  return upgrade ?? (isName && !/^socket/i.test(designation) ? designation : undefined);
}

/** The year of the firmware: the board is of that year or older. */
function yearOf(entries: readonly DmiEntry[]): number | undefined {
  const date = said(
    entries.find((entry) => entry.type === 0),
    'Release Date',
  );
  const year = Number(/(?:^|\/)((?:19|20)\d\d)\b/.exec(date ?? '')?.[1]);
  return year >= 1995 ? year : undefined;
}
