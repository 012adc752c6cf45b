import { readFileSync } from 'node:fs';
import { parseBuildText, plannedUnits, reaches, sceneOf } from '@inch-tower/core';
import { placeLabels } from './labels';
import { crosses, placeNote, type Note } from './notes';
import type { Flat2 } from './arrangements';
import type { Focus } from './foci';
import { layoutSheet, overlaps, titleOf, type PlacedView } from './sheetLayout';

const WIDTH = 736;
/** Every note of a demo machine in a view of the sheet, each keeping clear of those before it, as they are drawn. */
function notesOf(
  id: string,
  focus: Focus,
  width = WIDTH,
): { view: PlacedView; views: readonly PlacedView[]; note: Note; over: boolean; written: readonly Flat2[] }[] {
  const parsed = parseBuildText(readFileSync(`demo/builds/${id}.json`, 'utf8'));
  if (!parsed.ok) throw new Error(parsed.words);
  const units = plannedUnits(parsed.build);
  const { views } = layoutSheet([sceneOf(units, parsed.build.layout).boxes[0]!], focus, width, 606);
  const written: Flat2[] = [...views.flatMap(placeLabels), ...views.map(titleOf)];
  return reaches(units, parsed.build.layout).flatMap((reach) =>
    views
      .filter(({ large, name }) => large && name === (reach.what === 'card' ? 'plan' : 'side'))
      .flatMap((view) => {
        const before = [...written];
        const note = placeNote(view, reach, written, { width, height: 606 }, views);
        if (!note) return [];
        written.push(note.words);
        return [{ view, views, note, over: reach.gapMm < 0, written: before }];
      }),
  );
}

test('the line goes from where the part begins to its limit, and on to its end where that is past it', () => {
  const [card] = notesOf('sound-desk', 'plan').filter(({ over }) => over);
  expect(card!.note.text).toBe('32 mm over: the fan wall');
  expect(card!.note.limit - card!.note.from).toBeCloseTo(280 * card!.view.scale, 6);
  expect(card!.note.end - card!.note.from).toBeCloseTo(312 * card!.view.scale, 6);
  const [cooler] = notesOf('hall-cupboard', 'side').filter(({ note }) => note.text.includes('roof drives'));
  // In section a cooler grows upwards.
  expect(cooler!.note.limit).toBeLessThan(cooler!.note.from);
  expect(cooler!.note.end).toBeLessThan(cooler!.note.limit);
});

const cases = ['hall-cupboard', 'boathouse-rack', 'sound-desk', 'gauge-house', 'weighbridge'].flatMap((id) =>
  (['sheet', 'plan', 'side'] as Focus[]).flatMap((focus) => [736, 480].map((width) => [id, focus, width] as const)),
);
test.each(cases)(
  '%s as %s, %d wide: words stand on the sheet, on nothing that is written, and over no outline',
  (id, focus, width) => {
    for (const { views, note, written } of notesOf(id, focus, width)) {
      expect(note.words.x).toBeGreaterThanOrEqual(0);
      expect(note.words.x + note.words.width).toBeLessThanOrEqual(width);
      expect(written.filter((other) => overlaps(note.words, other, 0.5))).toEqual([]);
      expect({ text: note.text, crosses: views.some((one) => crosses(note.words, one)) }).toEqual({
        text: note.text,
        crosses: false,
      });
    }
  },
);

test('words cross an outline where they are partly in it, and a view that is hardly higher than they are', () => {
  const view = { x: 100, y: 100, width: 200, height: 200 } as PlacedView;
  const words = (x: number, y: number): Flat2 => ({ x, y, width: 80, height: 16 });
  expect(crosses(words(150, 150), view)).toBe(false);
  expect(crosses(words(320, 150), view)).toBe(false);
  expect(crosses(words(260, 150), view)).toBe(true);
  expect(crosses(words(150, 92), view)).toBe(true);
  expect(crosses(words(150, 110), { ...view, height: 40 })).toBe(true);
});
