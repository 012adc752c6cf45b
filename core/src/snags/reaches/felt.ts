import { feltAt } from '../../flow/flows';
import type { FlowLink } from '../../flow/links';
import { linkInside } from '../../flow/linkWords';
import type { Severity } from '../finding';
import type { Situation } from '../situation';
import { mbps, number } from '../wording';

/** What a narrow link costs the pool, in MB/s: who feels it, which way, and what holds files back before it does. */
export type FeltFacts = {
  felt?: 'clients' | 'inside' | 'nothing';
  feltWay?: 'reading' | 'writing';
  feltMBps?: number;
  feltCuredMBps?: number;
  feltHolds?: string;
};

/**
 * A link that carries less than is asked of it is a caution where clients feel it, else worth knowing. Where no data of
 * a pool goes through it, as for a cache or before there are drives, `else` stands.
 */
export function feltIn(
  { flows }: Pick<Situation, 'flows'>,
  are: (link: FlowLink) => boolean,
  otherwise: Exclude<Severity, 'blocker'>,
): { readonly severity: Exclude<Severity, 'blocker'>; readonly facts: FeltFacts } {
  const felt = feltAt(flows, are);
  if (!felt) return { severity: otherwise, facts: {} };
  return {
    severity: felt.by === 'clients' ? 'caution' : 'note',
    facts: {
      felt: felt.by,
      feltWay: felt.way,
      feltMBps: felt.mbPerS,
      feltCuredMBps: felt.curedMBps,
      feltHolds: felt.holds.link.kind === 'drive' ? 'the drives give less' : `${linkInside(felt.holds)} carries less`,
    },
  };
}

/** A short sentence that says who feels it, with a blank before it; empty where that is not known. */
export function feltWords({ felt, feltWay, feltMBps = 0, feltCuredMBps = 0, feltHolds = '' }: FeltFacts): string {
  const isWriting = feltWay === 'writing';
  switch (felt) {
    case 'clients':
      return ` Clients ${isWriting ? 'write' : 'read'} at ${number(feltMBps)} instead of ${mbps(feltCuredMBps)}.`;
    case 'inside':
      return ` Only ${isWriting ? 'copies inside' : 'scrubs'} feel it: ${number(feltMBps)} of ${mbps(feltCuredMBps)}.`;
    case 'nothing':
      return ` Not felt: ${feltHolds}.`;
    default:
      return '';
  }
}
