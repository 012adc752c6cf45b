import type { Sample } from './sample';

const LINE = /^([^:\t|]{2,50}): (\S.*)$/;

/** A text with other words for its labels (by their words in small letters); null where fewer than `least` have any. */
export function relabelled(sample: Sample, words: ReadonlyMap<string, string>, least: number): Sample | null {
  let changed = 0;
  const lines = sample.text.split('\n').map((line) => {
    const [, label = '', value = ''] = LINE.exec(line) ?? [];
    const other = words.get(label.toLowerCase());
    if (other === undefined) return line;
    changed++;
    return `${other}: ${value}`;
  });
  return changed >= least ? { ...sample, text: lines.join('\n') } : null;
}
