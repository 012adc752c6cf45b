import type { Connector } from './connector';
import type { Part } from './resolve';
import { EIGHT_LANES } from './vocabulary';

const lower = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);
const isEight = (connector: Connector): boolean =>
  connector.lanes === 8 && (EIGHT_LANES as readonly string[]).includes(connector.kind);
const halves = (connectors: readonly Connector[]): readonly Connector[] =>
  connectors.map((one) =>
    isEight(one)
      ? { ...one, count: 2 * one.count, lanes: 4, label: `Half of ${lower(one.label ?? 'Eight-lane port')}` }
      : one,
  );

/**
 * A plug of eight lanes is two of four: each half is wired for itself, and nothing else need know of eight. Halves 1
 * and 2 are one plug, 3 and 4 the next.
 */
export function inHalves(part: Part): Part {
  if (part.kind === 'controller' || part.kind === 'expander')
    return part.connectors.some(isEight) ? ({ ...part, connectors: halves(part.connectors) } as Part) : part;
  if (part.kind === 'board') {
    const eights = new Set(part.connectors.filter(isEight).map(({ key }) => key));
    return eights.size === 0
      ? part
      : ({
          ...part,
          connectors: halves(part.connectors),
          rules: part.rules.map((rule) => ({
            ...rule,
            then: rule.then.map((then) =>
              eights.has(then.key) && then.ns ? { ...then, ns: then.ns.flatMap((n) => [2 * n - 1, 2 * n]) } : then,
            ),
          })),
        } as Part);
  }
  if (part.kind !== 'chassis' && part.kind !== 'adapter') return part;
  if (!part.bayGroups.some(({ backplane }) => backplane?.connectors.some(isEight))) return part;
  const bayGroups = part.bayGroups.map((group) =>
    group.backplane?.connectors.some(isEight)
      ? {
          ...group,
          backplane: {
            ...group.backplane,
            connectors: halves(group.backplane.connectors),
            baysPerConnector: Math.max(1, Math.ceil(group.backplane.baysPerConnector / 2)),
          },
        }
      : group,
  );
  return { ...part, bayGroups } as Part;
}
