import type { Solid } from '@inch-tower/core';

/** A place as it is spoken of: its label, with its number where the label has none. */
export const placeName = ({ label, n }: Pick<Solid, 'label' | 'n'>): string =>
  n && !/\d$/.test(label) ? `${label} ${n}` : label;
