import { bayGroupSize } from './checkSheet';
import type { Clearance } from './chassisValues';
import type { Point } from './geometry';
import type { PartOf } from './resolve';

/** Dimensions typed onto an archetype's drawing; what is left open stays typical. Lengths in mm. */
export type ChassisDraft = {
  readonly widthMm?: number;
  readonly heightMm?: number;
  readonly depthMm?: number;
  /** Longest card, highest cooler, longest supply there is room for. */
  readonly cardMm?: number;
  readonly coolerMm?: number;
  readonly supplyMm?: number;
  readonly bays?: Readonly<Record<string, { readonly rows?: number; readonly columns?: number }>>;
};

type Values = Partial<
  Pick<
    PartOf<'chassis'>,
    | 'widthMm'
    | 'heightMm'
    | 'depthMm'
    | 'bayGroups'
    | 'supplyBays'
    | 'openings'
    | 'fanMounts'
    | 'boardAt'
    | 'clearances'
    | 'maxBoardEdgeMm'
    | 'maxBoardDepthMm'
  >
>;

/**
 * A chassis as typed: features move in proportion with the shell, bays are as many as were said and
 * never more than the shell holds. Gives only the values that differ from the archetype's.
 */
export function reshape(chassis: PartOf<'chassis'>, draft: ChassisDraft): Values {
  const size = {
    widthMm: draft.widthMm ?? chassis.widthMm,
    heightMm: draft.heightMm ?? chassis.heightMm,
    depthMm: draft.depthMm ?? chassis.depthMm,
  };
  const moved =
    size.widthMm !== chassis.widthMm || size.heightMm !== chassis.heightMm || size.depthMm !== chassis.depthMm;
  const scale = <T extends Point>(at: T): Point => ({
    xMm: round(at.xMm * (size.widthMm / chassis.widthMm)),
    yMm: round(at.yMm * (size.heightMm / chassis.heightMm)),
    zMm: round(at.zMm * (size.depthMm / chassis.depthMm)),
  });
  const placed = <T extends { readonly at?: Point | undefined }>(list: readonly T[]): T[] =>
    list.map((one) => (one.at && moved ? { ...one, at: scale(one.at) } : one));
  const bays = placed(chassis.bayGroups).flatMap((group) => {
    const asked = draft.bays?.[group.key];
    const rows = asked?.rows ?? group.rows;
    const columns = asked?.columns ?? group.columns;
    return rows > 0 && columns > 0 ? within({ ...group, rows, columns }, size) : [];
  });
  const supplyBays = placed(chassis.supplyBays).map((bay) =>
    draft.supplyMm === undefined ? bay : { ...bay, maxLengthMm: draft.supplyMm },
  );
  const clearances = limited(limited(chassis.clearances, 'card', draft.cardMm), 'cooler', draft.coolerMm);
  const changedBays = moved || draft.bays !== undefined;
  return {
    ...(draft.widthMm === undefined ? {} : { widthMm: draft.widthMm }),
    ...(draft.heightMm === undefined ? {} : { heightMm: draft.heightMm }),
    ...(draft.depthMm === undefined ? {} : { depthMm: draft.depthMm }),
    ...(changedBays ? { bayGroups: bays } : {}),
    ...(moved
      ? {
          openings: placed(chassis.openings),
          fanMounts: placed(chassis.fanMounts),
          ...(chassis.boardAt ? { boardAt: scale(chassis.boardAt) } : {}),
        }
      : {}),
    ...(moved || draft.supplyMm !== undefined ? { supplyBays } : {}),
    ...(clearances !== chassis.clearances ? { clearances } : {}),
  };
}

/** Fewer rows, then fewer columns, until a group fits its shell; none when not even one bay does. */
function within<G extends PartOf<'chassis'>['bayGroups'][number]>(
  group: G,
  size: { readonly widthMm: number; readonly heightMm: number; readonly depthMm: number },
): G[] {
  let { rows, columns } = group;
  const fits = () => {
    const body = bayGroupSize({ ...group, rows, columns });
    return body.widthMm <= size.widthMm && body.heightMm <= size.heightMm && body.depthMm <= size.depthMm;
  };
  while (!fits() && rows > 1) rows--;
  while (!fits() && columns > 1) columns--;
  if (!fits()) return [];
  const { backplane } = group;
  if (!backplane || backplane.type !== 'direct') return [{ ...group, rows, columns }];
  // As many connectors as the bays want: a backplane is cut with its cage.
  const connectors = Math.max(1, Math.ceil((rows * columns) / backplane.baysPerConnector));
  return [
    {
      ...group,
      rows,
      columns,
      backplane: {
        ...backplane,
        connectors: backplane.connectors.map((one, i) => (i === 0 ? { ...one, count: connectors } : one)),
      },
    },
  ];
}

/** The limit typed for a kind of part replaces the least one of the archetype that always holds. */
function limited(
  clearances: readonly Clearance[],
  what: Clearance['for'],
  maxMm: number | undefined,
): PartOf<'chassis'>['clearances'] {
  if (maxMm === undefined) return clearances as PartOf<'chassis'>['clearances'];
  const present = clearances.filter((one) => one.for === what && one.while === 'present');
  const least = present.reduce<Clearance | null>((best, one) => (!best || one.maxMm < best.maxMm ? one : best), null);
  const typed: Clearance = least
    ? { ...least, maxMm }
    : { for: what, maxMm, because: 'shell', label: 'the cover', while: 'present' };
  return [
    ...clearances
      .filter((one) => one.for !== what || one.while !== 'present' || one.maxMm > maxMm)
      .filter((one) => one !== least),
    typed,
  ];
}

const round = (mm: number) => Math.round(mm * 10) / 10;
