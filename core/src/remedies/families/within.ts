import { memberAt } from '../../lists';
import { addItemEdit } from '../../build/newItem';
import { heatsPast, slowestOf } from '../../figures/air/airOf';
import { figureContext } from '../../figures/context';
import { printFor, withOperatingPoint } from '../../figures/operatingPoint';
import { fanRpmShare } from '../../figures/fanCurve';
import { mismatch } from '../../machine/accepts';
import { spotsOf } from '../../machine/spots';
import { dataDrives } from '../../machine/roles';
import { ofKind, type PlannedUnit } from '../../machine/units';
import type { PartOf } from '../../parts/resolve';
import type { Proposal, Snag } from '../../snags/snag';
import { about, addControllers, listed, MOST_OF_A_KIND, mountable, swaps } from '../guesses';
import type { Base } from '../weigh';
import { addPart, type Propose, type Proposes } from './shared';

/**
 * A quieter fan that moves less air, or moves it against less, at any duty pays in degrees: where they are to spare,
 * slower ones do it without an exchange.
 */
const DUTIES = [0.3, 0.5, 1];

const AS_MUCH = 0.97;

const movesAsMuch = (part: PartOf<'fan'>, now: PartOf<'fan'>): boolean =>
  DUTIES.every((duty) => {
    const [share, had] = [fanRpmShare(part, duty), fanRpmShare(now, duty)];
    return (
      part.flowM3h * share >= AS_MUCH * now.flowM3h * had &&
      part.pressurePa * share ** 2 >= AS_MUCH * now.pressurePa * had ** 2
    );
  });

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
  const fans = about(base, snag).filter((unit) => unit.part.kind === 'fan');
  const quieter = listed(catalogue, 'fan').flatMap((part): Proposal[] => {
    const spots = fans.flatMap((unit) => {
      const spot = unit.builtIn && !unit.builtIn.fixed ? unit.builtIn.spot : undefined;
      const host = base.assessment.units.find((one) => one.id === spot?.host);
      const group = spot && host && spotsOf(host.id, host.part).find((one) => one.key === spot.key);
      return spot && group && !mismatch(part, group) && movesAsMuch(part, unit.part as PartOf<'fan'>)
        ? [{ host: spot.host, key: spot.key, ...(group.count > 1 ? { n: spot.n ?? 1 } : {}) }]
        : [];
    });
    const edit =
      spots.length === fans.length && fans.length > 0
        ? addItemEdit(base.build, catalogue, part.id, spots.length, { spots })
        : null;
    return edit
      ? [{ edits: [edit], words: `Fit ${spots.length} × ${part.name} in place of ${memberAt(fans, 0).part.name}` }]
      : [];
  });
  const swapped = fans
    .filter((unit) => !unit.builtIn)
    .slice(0, 1)
    .flatMap((unit) =>
      swaps(
        base,
        catalogue,
        unit,
        'fan',
        (part) => part.sizeMm === (unit.part as PartOf<'fan'>).sizeMm && movesAsMuch(part, unit.part as PartOf<'fan'>),
      ),
    );
  const supplies = ofKind(base.assessment.units, 'supply')
    .filter((unit) => about(base, snag).includes(unit))
    .flatMap((unit) => swaps(base, catalogue, unit, 'supply', (part) => mountable(base, part)));
  return [...slower(base), ...quieter, ...swapped, ...supplies];
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
  'within.sound': sound,
} as const satisfies Proposes;
