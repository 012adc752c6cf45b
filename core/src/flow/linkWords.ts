import type { Loaded } from './flow';

/** A link as a builder would point at it. */
export function linkName({ link: { kind, name, mark }, count }: Pick<Loaded, 'link' | 'count'>): string {
  switch (kind) {
    case 'drive':
      return count > 1 ? `${count} × ${name}` : `Drive ${mark}, ${name}`;
    case 'cable':
      return count > 1 ? `${count} cables as ${name}` : `Cable ${name}`;
    case 'card':
      return `Card ${mark}, ${name}`;
    case 'slot':
      return name === 'PCI bus' ? name : `${name}, ${mark}`;
    case 'uplink':
      return `Uplink of the ${name}`;
    case 'chip':
      return `The ${name}`;
    case 'network':
      return `The ${name}`;
  }
}
/** The same within a sentence. */
export const linkInside = (one: Pick<Loaded, 'link' | 'count'>): string => linkName(one).replace(/^The /, 'the ');
