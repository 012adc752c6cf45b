import { FIELD_WORDS, type FactField, type QuantityKind } from './fieldWords';
import type { Basis } from './sheet';

type Share = { readonly share: Record<Basis, number> };
type Absolute = { readonly absolute: Record<Basis, number> };

/** Half-widths by kind of quantity. A supply's tolerance is on its loss and is applied there. */
const BY_QUANTITY: { readonly [Q in QuantityKind]: Share | Absolute } = {
  exact: { absolute: { stated: 0, measured: 0, typical: 0 } },
  length: { absolute: { stated: 0.5, measured: 1, typical: 3 } },
  physical: { share: { stated: 0.08, measured: 0.03, typical: 0.25 } },
  sound: { absolute: { stated: 2, measured: 1, typical: 4 } },
  mass: { share: { stated: 0.02, measured: 0.01, typical: 0.25 } },
  price: { share: { stated: 0, measured: 0, typical: 0.25 } },
};
/** W of boards and processors, which are hardly ever stated. */
const HOST: Share = { share: { stated: 0.08, measured: 0.03, typical: 0.35 } };

/** Low and high of a value of a field and where it came from, and its unit. */
export function rangeOf(
  field: FactField,
  value: number,
  basis: Basis,
  ofHost = false,
): { lo: number; hi: number; unit: string } {
  const { quantity, unit } = FIELD_WORDS[field];
  if (!quantity) return { lo: value, hi: value, unit };
  const tolerance = ofHost ? HOST : BY_QUANTITY[quantity];
  const half = 'absolute' in tolerance ? tolerance.absolute[basis] : Math.abs(value) * tolerance.share[basis];
  return { lo: value - half, hi: value + half, unit };
}
