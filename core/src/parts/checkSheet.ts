import { DRIVE_BODY_MM } from './geometry';
import { resolve, type PartOf } from './resolve';
import type { Archetype, Sheet } from './sheet';
import type { BayGroup } from './chassisValues';
import { BAY_SIZES } from './vocabulary';

export type SheetFault = { readonly field: string; readonly words: string };

/** Space between neighbouring bays where a sheet gives no pitch. */
const BAY_MARGIN_MM = 3;

/** Width, height and depth of one bay cell, the drive lying flat or standing upright. */
export function bayCell(group: Pick<BayGroup, 'takes' | 'lies' | 'maxDriveHeightMm' | 'pitchXMm' | 'pitchYMm'>) {
  const body = DRIVE_BODY_MM[group.takes[0]];
  const thick = group.takes[0] === '5.25' ? body.heightMm : Math.max(group.maxDriveHeightMm, 7);
  const [across, up] = group.lies === 'flat' ? [body.widthMm, thick] : [thick, body.widthMm];
  return {
    widthMm: group.pitchXMm ?? across + BAY_MARGIN_MM,
    heightMm: group.pitchYMm ?? up + BAY_MARGIN_MM,
    depthMm: body.depthMm,
  };
}

export const bayGroupSize = (group: BayGroup) => {
  const cell = bayCell(group);
  return {
    widthMm: cell.widthMm * group.columns,
    heightMm: cell.heightMm * group.rows,
    depthMm: cell.depthMm + (group.backplane ? 12 : 0),
  };
};

type Containing = {
  readonly builtIn?: Sheet['builtIn'] | undefined;
  readonly inTheBox?: Sheet['inTheBox'] | undefined;
};
/** The sheets a sheet itself says are built into it or in its box. */
export const containedIn = (sheet: Containing): string[] =>
  [...(sheet.builtIn ?? []), ...(sheet.inTheBox ?? [])].map((inner) => inner.sheet);

/** Faults no single field shows: features larger than their shell, keys that repeat. */
export function checkSheet(sheet: Sheet, archetype: Archetype): SheetFault[] {
  const part = resolve(sheet, archetype);
  return part.kind === 'chassis'
    ? checkChassis(part)
    : part.kind === 'adapter'
      ? checkAdapter(part)
      : part.kind === 'board'
        ? repeatedKeys('connectors', [...part.connectors, ...part.m2Sockets, ...part.slots])
        : [];
}

function checkChassis(chassis: PartOf<'chassis'>): SheetFault[] {
  const tooLarge = chassis.bayGroups.flatMap((group) => {
    const size = bayGroupSize(group);
    const over = size.widthMm > chassis.widthMm || size.heightMm > chassis.heightMm || size.depthMm > chassis.depthMm;
    return over
      ? [
          {
            field: 'bayGroups',
            words:
              `bays ${group.key} take ${mm(size.widthMm)} × ${mm(size.heightMm)} × ${mm(size.depthMm)} ` +
              'mm, more than the shell.',
          },
        ]
      : [];
  });
  const features = [...chassis.bayGroups, ...chassis.supplyBays, ...chassis.openings, ...chassis.fanMounts];
  return [...tooLarge, ...repeatedKeys('bayGroups', features)];
}

/** Each adapter turns a bay into smaller ones, so that no chain of them goes on for ever. */
function checkAdapter(adapter: PartOf<'adapter'>): SheetFault[] {
  const size = BAY_SIZES.indexOf(adapter.sitsIn);
  const same = adapter.bayGroups.find(({ takes }) => takes.some((one) => BAY_SIZES.indexOf(one) <= size));
  return same
    ? [{ field: 'bayGroups', words: `bays ${same.key} are as large as the ${adapter.sitsIn} bay it sits in.` }]
    : repeatedKeys('bayGroups', adapter.bayGroups);
}

function repeatedKeys(field: string, features: readonly { readonly key: string }[]): SheetFault[] {
  const repeated = features.find((feature, i) => features.findIndex((other) => other.key === feature.key) !== i);
  return repeated ? [{ field, words: `the key ${repeated.key} stands twice.` }] : [];
}

const mm = (value: number) => value.toFixed(0);
