import { servicesTold } from '../../figures/services';
import { isKind } from '../../machine/units';
import { placesOf, type Situation } from '../situation';
import type { Found } from '../words';

/** Services that must run, against the memory, the cores and the hours of the machine. */
export function servicesFit({ context, brief, profile }: Situation): Found<'within.services'>[] {
  const told = servicesTold(context, brief.services ?? [], profile);
  const failing = told.each.filter(({ service, lacks }) => service.level === 'must' && (lacks?.length ?? 0) > 0);
  if (failing.length === 0) return [];
  const lacking = new Set(failing.flatMap(({ lacks }) => lacks ?? []));
  const kinds = [
    ...(lacking.has('memory') ? (['memory'] as const) : []),
    ...(lacking.has('cores') ? (['processor'] as const) : []),
  ];
  const culprits = context.units.filter((unit) => kinds.some((kind) => isKind(unit, kind)));
  return [
    {
      severity: 'caution',
      at: placesOf(culprits),
      facts: {
        count: failing.length,
        names: failing.map(({ service }) => service.name).join(', '),
        ...(lacking.has('memory') ? { wantGb: told.wantGb, hasGb: told.hasGb ?? 0 } : {}),
        ...(lacking.has('cores') ? { wantCores: told.wantCores, hasCores: told.hasCores ?? 0 } : {}),
        ...(lacking.has('hours') ? { offHours: told.offHours } : {}),
      },
    },
  ];
}
