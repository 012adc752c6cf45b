import { isKind, ofKind, type UnitOf } from '../../machine/units';
import type { PartOf } from '../../parts/resolve';
import type { Proposal } from '../../snags/snag';
import { about, adds, swaps } from '../guesses';
import { sameModule, type Propose } from './shared';

/** Modules beside those of now, or larger ones in their place; a processor of more cores; nothing gives hours. */
export const forServices: Propose<'within.services'> = (base, snag, catalogue) => {
  const modules = about(base, snag).filter((unit): unit is UnitOf<'memory'> => isKind(unit, 'memory'));
  const [module] = modules;
  const { facts } = snag;
  const lacksGb = (facts.wantGb ?? 0) - (facts.hasGb ?? 0);
  const gbOf = (part: PartOf<'memory'>) => part.capacityBytes / 1024 ** 3;
  const memory = (): Proposal[] => {
    if (!module || lacksGb <= 0) return [];
    const like = sameModule(module.part);
    const slots = ofKind(base.assessment.units, 'board')[0]?.part.memorySlots ?? 0;
    const wanted = Math.ceil(lacksGb / gbOf(module.part));
    const more = modules.length + wanted <= slots ? adds(base, catalogue, [module.part], () => wanted).slice(0, 1) : [];
    const larger = swaps(
      base,
      catalogue,
      module,
      'memory',
      (part) => like(part) && gbOf(part) * (module.item?.units.length ?? 1) >= (facts.wantGb ?? 0),
    );
    return [...more, ...larger];
  };
  const processor = about(base, snag).find((unit): unit is UnitOf<'processor'> => isKind(unit, 'processor'));
  const cores =
    processor && !processor.builtIn
      ? swaps(
          base,
          catalogue,
          processor,
          'processor',
          (part) => part.socket === processor.part.socket && part.cores >= (facts.wantCores ?? 0),
        )
      : [];
  return [...memory(), ...cores];
};

/** Drives that are not shingled in the place of those that are; what else is not wanted is for the builder to drop. */
export const notWanted: Propose<'within.notWanted'> = (base, snag, catalogue) => {
  const [unit] = about(base, snag);
  if (snag.facts.unwanted !== 'shingled' || !unit || !isKind(unit, 'drive')) return [];
  const { part } = unit;
  return swaps(
    base,
    catalogue,
    unit,
    'drive',
    (other) =>
      !other.shingled &&
      other.size === part.size &&
      other.interface === part.interface &&
      other.capacityBytes >= part.capacityBytes,
  );
};
