import { heatsPast, slowestOf } from '../../figures/air/airOf';
import { figureContext } from '../../figures/context';
import { printFor, withOperatingPoint } from '../../figures/operatingPoint';
import { dataDrives } from '../../machine/roles';
import { ofKind, type PlannedUnit } from '../../machine/units';
import type { PartOf } from '../../parts/resolve';
import type { Proposal, Snag } from '../../snags/snag';
import { about, addControllers, listed, MOST_OF_A_KIND, mountable, swaps } from '../guesses';
import { driveWays } from '../quieten/ways';
import type { Base } from '../weigh';
import { movesAsMuch, otherFans } from './otherFans';
import { forServices, notWanted } from './services';
import { addPart, type Propose, type Proposes } from './shared';

/** Fans that turn slower, as far as drives and cards stay cool and nothing else gets too hot by it. */
const slower = ({ build, assessment }: Base): Proposal[] => {
  const { fans } = build.policy;
  if (fans.kind !== 'fixed') return [];
  const plain = figureContext(build, { ...assessment, needs: assessment.needs.needs });
  const context = withOperatingPoint(plain, printFor(build), build.readings);
  const slowest = slowestOf(context);
  if (!slowest) return [];
  const half = Math.round(((slowest.duty + fans.duty) / 2) * 20) / 20;
  return [...new Set([slowest.duty, half])]
    .filter((duty) => duty >= slowest.duty && duty < fans.duty - 0.01 && !heatsPast(context, duty))
    .map((duty): Proposal => ({
      edits: [{ type: 'set.policy', value: { ...build.policy, fans: { kind: 'fixed', duty } } }],
      words: `Let the fans turn at ${Math.round(duty * 100)} %: drives and cards stay within their limits`,
    }));
};

const sound: Propose = (base, snag, catalogue) => {
  const quieter = otherFans(base, catalogue, about(base, snag), movesAsMuch);
  const supplies = ofKind(base.assessment.units, 'supply')
    .filter((unit) => about(base, snag).includes(unit))
    .flatMap((unit) => swaps(base, catalogue, unit, 'supply', (part) => mountable(base, part)));
  const drives = about(base, snag).some(({ part }) => part.kind === 'drive')
    ? driveWays(base, catalogue)
        .slice(0, MOST_OF_A_KIND)
        .map(({ words, edits }): Proposal => ({ words, edits: edits(base.build) }))
    : [];
  return [...slower(base), ...quieter, ...supplies, ...drives];
};

const smallerChassis: Propose = (base, _snag, catalogue) => {
  const { brief } = base.build;
  const chassis = ofKind(base.assessment.units, 'chassis')[0];
  const holes = ofKind(base.assessment.units, 'board').map((unit) => unit.part.holes);
  const within = (have: number, limit: number | undefined) => limit === undefined || have <= limit;
  return chassis
    ? swaps(
        base,
        catalogue,
        chassis,
        'chassis',
        (part) =>
          part.style !== 'external' &&
          holes.every((one) => part.boardHoles.includes(one)) &&
          within(part.depthMm, brief.maxDepthMm) &&
          within(part.widthMm, brief.maxWidthMm) &&
          within(part.heightMm, brief.maxHeightMm) &&
          within(part.massG, brief.maxMassG) &&
          (base.build.site.place !== 'rack' || part.rackUnits !== null) &&
          within(part.rackUnits ?? 0, brief.rackUnits),
      )
    : [];
};

/**
 * A near twin that has what is wished: memory with ECC, a board with remote management; those of the same class first.
 */
const twins: Propose<'within.mustHave'> = (base, snag, catalogue) =>
  about(base, snag)
    .filter((unit, i, all) => all.findIndex(({ part }) => part.kind === unit.part.kind) === i)
    .flatMap((unit) => {
      const { part } = unit;
      if (snag.facts.must === 'remoteManagement' && part.kind === 'board') {
        const like = swaps(
          base,
          catalogue,
          unit,
          'board',
          (other) =>
            other.remoteManagement &&
            other.socket === part.socket &&
            mountable(base, other) &&
            other.archetype === part.archetype,
        );
        return [
          ...like,
          ...swaps(
            base,
            catalogue,
            unit,
            'board',
            (other) =>
              other.remoteManagement &&
              other.socket === part.socket &&
              mountable(base, other) &&
              other.archetype !== part.archetype,
          ),
        ];
      }
      if (snag.facts.must !== 'ecc') return [];
      if (part.kind === 'board')
        return swaps(
          base,
          catalogue,
          unit,
          'board',
          (other) =>
            other.memoryEcc &&
            other.socket === part.socket &&
            other.memoryType === part.memoryType &&
            other.memoryForm === part.memoryForm &&
            other.memorySlots >= ofKind(base.assessment.units, 'memory').length &&
            mountable(base, other),
        );
      if (part.kind !== 'memory') return [];
      return swaps(
        base,
        catalogue,
        unit,
        'memory',
        (other) =>
          other.ecc &&
          other.form === part.form &&
          other.type === part.type &&
          other.registered === part.registered &&
          other.capacityBytes >= part.capacityBytes,
      );
    });

/** Bytes wished in a sum of TB, less those there are. */
const missingBytes = ({ gap }: Snag): number => Math.max(0, -(gap?.gap ?? 0)) * 1e12;

/** More drives like most of those here, in free places; or larger ones in place of those of an item. */
const moreRoom: Propose = (base, snag, catalogue) => {
  const drives = dataDrives(base.assessment.units);
  const items = [...new Map(drives.flatMap((unit) => (unit.item ? [[unit.item.id, unit] as const] : []))).values()];
  const countOf = (unit: PlannedUnit) => drives.filter(({ item }) => item?.id === unit.item!.id).length;
  const [most] = [...items].sort((a, b) => countOf(b) - countOf(a));
  if (!most) return [];
  const failures = base.build.brief.failuresSurvived ?? 0;
  const missing = missingBytes(snag);
  const count = Math.max(
    Math.ceil(missing / (most.part as PartOf<'drive'>).capacityBytes),
    // As many as may fail hold nothing that lasts.
    failures + 1 - drives.length,
  );
  const room = base.assessment.figures['drives.room']?.value ?? 0;
  const more =
    count > 0 && count <= room && catalogue.sheets[most.part.id] ? [addPart(base, catalogue, most.part, count)] : [];
  const larger = items.flatMap((unit) => {
    const now = unit.part as PartOf<'drive'>;
    const kept = drives.length > failures ? Math.max(1, countOf(unit) - failures) : 0;
    return kept === 0 || missing === 0
      ? []
      : swaps(
          base,
          catalogue,
          unit,
          'drive',
          (part) =>
            part.size === now.size &&
            part.interface === now.interface &&
            part.medium === now.medium &&
            kept * (part.capacityBytes - now.capacityBytes) >= missing,
        );
  });
  return [...more, ...larger];
};

/** Guesses for the snags of this family. */
export const WITHIN = {
  'within.money': () => [],
  'within.currency': () => [],
  'within.idle': (base, _snag, catalogue) =>
    ofKind(base.assessment.units, 'supply')
      .filter((unit) => !unit.builtIn)
      .flatMap((unit) => swaps(base, catalogue, unit, 'supply', (part) => mountable(base, part))),
  'within.peak': () => [],
  'within.size': smallerChassis,
  'within.lift': () => [],
  'within.rackUnits': smallerChassis,
  'within.growth': (base, _snag, catalogue) => addControllers(base, catalogue),
  'within.usable': moreRoom,
  'within.usableLater': () => [],
  'within.network': (base, snag, catalogue) =>
    listed(catalogue, 'networkCard')
      .filter((part) => part.networkPorts.some((port) => port.gbPerS >= (snag.gap?.limit ?? 0)))
      .slice(0, MOST_OF_A_KIND)
      .map((part) => addPart(base, catalogue, part)),
  'within.mustHave': twins,
  'within.notWanted': notWanted,
  'within.services': forServices,
  'within.sound': sound,
} as const satisfies Proposes;
