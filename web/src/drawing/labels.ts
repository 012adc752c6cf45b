import { isCard, type Solid } from '@inch-tower/core';
import { capacityWords } from '../words/format';
import type { Flat2 } from './arrangements';
import { onSheet, overlaps, type PlacedView } from './sheetLayout';

/** One line of a label with its box in px; text stands on `y`. */
export type Label = Flat2 & {
  readonly text: string;
  readonly weight: 'normal' | 'mark' | 'faint';
  readonly key: string;
  readonly vertical: boolean;
};

export const LABEL_PX = 11;
const CHARACTER = 0.61;
const PAD = 4;
const textWidth = (text: string) => text.length * LABEL_PX * CHARACTER;

type Line = { readonly text: string; readonly weight: Label['weight'] };

/** What stands on a solid, in order of worth; what has no room is left out. */
function linesOf(solid: Solid): readonly (readonly Line[])[] {
  const { unit, what } = solid;
  if (what === 'shell' || what === 'backplane') return [];
  if (what === 'opening') return unit ? [[{ text: unit.mark, weight: 'mark' }]] : [];
  if (what === 'io') return [];
  const part = unit?.part;
  if (!part) {
    if (what === 'bay') return [[{ text: String(solid.n ?? ''), weight: 'faint' }]];
    if (what === 'memory') return [];
    return [[{ text: solid.label, weight: 'faint' }]];
  }
  const mark: Line = { text: unit.builtIn ? '' : unit.mark, weight: 'mark' };
  const line = (text: string): Line => ({ text, weight: 'normal' });
  if (part.kind === 'drive') return [[mark, line(capacityWords(part.capacityBytes))], [mark]];
  if (part.kind === 'board')
    return [[line(`${part.name} ${Math.round(part.edgeMm)} × ${Math.round(part.depthMm)}`)], [line(part.name)]];
  if (part.kind === 'cooler')
    return [[line(`${part.name}, ${Math.round(part.heightMm)} high`)], [line(part.name)], [mark]];
  if (part.kind === 'supply')
    return [[line(part.name), { text: `${part.ratedW} W`, weight: 'faint' }], [line(part.name)], [mark]];
  if (isCard(part)) return [[line(`${part.name}, ${Math.round(part.lengthMm)} long`)], [line(part.name)], [mark]];
  if (part.kind === 'memory') return [];
  return [[line(part.name)], ...(mark.text ? [[mark]] : [])];
}

/**
 * Where a solid's label stands in its rectangle: big flat things at the top left, so that what lies on them stays
 * clear.
 */
const CORNERED = new Set(['board', 'supply', 'fan', 'tray']);

/**
 * Labels for a view, nearest things first; a label is left out where it would leave its rectangle,
 * lie under a nearer thing, or touch another label. None is smaller than 11 px.
 */
export function placeLabels(view: PlacedView): Label[] {
  if (!view.large) return [];
  const placed: Label[] = [];
  const rects = view.shapes.map((shape) => onSheet(view, shape));
  for (let i = view.shapes.length - 1; i >= 0; i--) {
    const shape = view.shapes[i]!;
    const rect = rects[i]!;
    const over = rects.slice(i + 1).filter((_, j) => view.shapes[i + 1 + j]!.solid.what !== 'backplane');
    for (const lines of linesOf(shape.solid)) {
      const fitted = fit(
        lines.filter((line) => line.text),
        rect,
        CORNERED.has(shape.solid.what),
        over,
        placed,
        `${view.name}:${shape.solid.id}`,
      );
      if (!fitted) continue;
      placed.push(...fitted);
      break;
    }
  }
  return placed;
}

function fit(
  lines: readonly Line[],
  rect: Flat2,
  corner: boolean,
  over: readonly Flat2[],
  placed: readonly Label[],
  key: string,
): Label[] | null {
  if (lines.length === 0) return null;
  const row = lines.reduce((sum, line, i) => sum + textWidth(line.text) + (i ? 8 : 0), 0);
  const widest = Math.max(...lines.map((line) => textWidth(line.text)));
  const tries: Label[][] = [];
  const height = LABEL_PX + 3;
  if (row + 2 * PAD <= rect.width && height <= rect.height) {
    for (const y of corner
      ? [rect.y + 2, rect.y + rect.height - height - 2]
      : [rect.y + (rect.height - height) / 2, rect.y + 2, rect.y + rect.height - height - 1]) {
      let x = rect.x + PAD;
      tries.push(
        lines.map((line) => {
          const label = { x, y, width: textWidth(line.text), height, ...line, key, vertical: false };
          x += label.width + 8;
          return label;
        }),
      );
      if (corner) {
        let right = rect.x + rect.width - PAD - row;
        tries.push(
          lines.map((line) => {
            const label = { x: right, y, width: textWidth(line.text), height, ...line, key, vertical: false };
            right += label.width + 8;
            return label;
          }),
        );
      }
    }
  }
  if (lines.length > 1 && widest + 2 * PAD <= rect.width && lines.length * height <= rect.height) {
    const top = rect.y + Math.min(4, (rect.height - lines.length * height) / 2);
    tries.push(
      lines.map((line, i) => ({
        x: rect.x + PAD,
        y: top + i * height,
        width: textWidth(line.text),
        height,
        ...line,
        key,
        vertical: false,
      })),
    );
  }
  if (row + 2 * PAD <= rect.height && height <= rect.width && lines.length === 1) {
    const line = lines[0]!;
    tries.push([
      {
        x: rect.x + (rect.width - height) / 2,
        y: rect.y + PAD,
        width: height,
        height: textWidth(line.text),
        ...line,
        key,
        vertical: true,
      },
    ]);
  }
  return (
    tries.find((labels) =>
      labels.every(
        (label) => !over.some((other) => overlaps(label, other)) && !placed.some((other) => overlaps(label, other)),
      ),
    ) ?? null
  );
}
