import type { Build, Service } from '../build/build';
import { ofKind } from '../machine/units';
import type { FigureContext } from './context';

/** GB that the system takes before anything else. */
export const SYSTEM_GB = 4;

/** What keeps a service from running here. */
type ServiceLacks = 'memory' | 'cores' | 'hours';
type ServiceTold = {
  readonly service: Service;
  /** Empty where it fits; null where what it needs is not chosen yet. */ readonly lacks:
    readonly ServiceLacks[] | null;
};
export type ServicesTold = {
  readonly each: readonly ServiceTold[];
  /** Of all that must run, GB with the system's own, and cores busy on average. */
  readonly wantGb: number;
  readonly wantCores: number;
  /** What is there; null where no memory, or no processor, is chosen yet. */
  readonly hasGb: number | null;
  readonly hasCores: number | null;
  /** Hours a week the machine is off. */ readonly offHours: number;
};

type Machine = Pick<FigureContext, 'units' | 'running'>;
/** GiB of all modules, as they are sold. */
export const memoryGb = ({ units }: Pick<Machine, 'units'>): number =>
  ofKind(units, 'memory').reduce((sum, { part }) => sum + part.capacityBytes, 0) / 2 ** 30;
const coresOf = (running: FigureContext['running']): number =>
  ofKind(running, 'processor').reduce((sum, { part }) => sum + part.cores, 0);
const WEEKDAYS = 5;
const offIn = (day: readonly string[]): number => day.filter((state) => state === 'off').length;

/**
 * Which services a machine carries: those that must run first, in their order, then what would be nice, each beside all
 * before it. Memory is not shared; cores are by what each keeps busy on average, so peaks that meet are not judged.
 */
export function servicesTold(
  machine: Machine,
  services: readonly Service[],
  { weekday, weekend }: Pick<Build['profile'], 'weekday' | 'weekend'>,
): ServicesTold {
  const [gb, cores] = [memoryGb(machine), coresOf(machine.running)];
  const hasGb = gb > 0 ? gb : null;
  const hasCores = cores > 0 ? cores : null;
  const offHours = WEEKDAYS * offIn(weekday) + (7 - WEEKDAYS) * offIn(weekend);
  let [usedGb, usedCores] = [SYSTEM_GB, 0];
  const order = [...services].sort((a, b) => Number(a.level === 'nice') - Number(b.level === 'nice'));
  const each = order.map((service): ServiceTold => {
    const [wantsGb, wantsCores] = [service.memoryGb ?? 0, service.cores ?? 0];
    const isOpen = (wantsGb > 0 && hasGb === null) || (wantsCores > 0 && hasCores === null);
    const lacks: ServiceLacks[] = [
      ...(wantsGb > 0 && hasGb !== null && usedGb + wantsGb > hasGb ? (['memory'] as const) : []),
      ...(wantsCores > 0 && hasCores !== null && usedCores + wantsCores > hasCores ? (['cores'] as const) : []),
      ...(service.alwaysOn && offHours > 0 ? (['hours'] as const) : []),
    ];
    // What must run keeps its part even where it does not fit; what is nice is left out then.
    if (service.level === 'must' || lacks.length === 0) {
      usedGb += wantsGb;
      usedCores += wantsCores;
    }
    return { service, lacks: lacks.length === 0 && isOpen ? null : lacks };
  });
  const must = services.filter(({ level }) => level === 'must');
  return {
    each,
    wantGb: SYSTEM_GB + must.reduce((sum, one) => sum + (one.memoryGb ?? 0), 0),
    wantCores: must.reduce((sum, one) => sum + (one.cores ?? 0), 0),
    hasGb,
    hasCores,
    offHours,
  };
}

/** Cores that services which are always on keep busy, also while nobody asks for files; undefined without any. */
export function busyCoresOf(services: readonly Service[] | undefined): number | undefined {
  const cores = (services ?? []).reduce(
    (sum, one) => sum + (one.alwaysOn && one.level === 'must' ? (one.cores ?? 0) : 0),
    0,
  );
  return cores > 0 ? cores : undefined;
}

/** How far of the way from idle to busy those cores take the processors, 0 to 1. */
export const busyShare = ({ busyCores = 0, running }: Pick<FigureContext, 'busyCores' | 'running'>): number => {
  const cores = coresOf(running);
  return cores > 0 ? Math.min(1, busyCores / cores) : 0;
};
