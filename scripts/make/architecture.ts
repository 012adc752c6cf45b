import { readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';

/** The core's rooms, each importing from those before it alone. */
const ROOMS = JSON.parse(readFileSync('core/rooms.json', 'utf8')) as readonly (readonly string[])[];
const CORE = 'core/src';
const ROW = 74;
const BOX = { width: 132, height: 34, gap: 26 };
const WIDTH = 760;
/** Whole parts of the project, above the core's rooms. */
const PARTS = ['web', 'server', 'scripts', 'demo'];

const filesIn = (folder: string): string[] =>
  readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    if (name === 'node_modules' || name === 'dist' || name === 'testing') return [];
    if (statSync(path).isDirectory()) return filesIn(path);
    return /\.tsx?$/.test(name) && !name.includes('.test.') ? [path] : [];
  });

/** The room a file of the core is in: its folder, or its own name where it lies beside the rooms. */
const roomOf = (path: string): string => relative(CORE, path).split('/')[0]!.replace(/\.ts$/, '');

/** How often rooms of the core import from each other, as `from>to`. */
function importsOfCore(): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const file of filesIn(CORE))
    for (const [, name] of readFileSync(file, 'utf8').matchAll(/from '(\.[^']+)'/g)) {
      const [from, to] = [roomOf(file), roomOf(resolve(dirname(file), name!))];
      if (from !== to && from !== 'index') counts.set(`${from}>${to}`, (counts.get(`${from}>${to}`) ?? 0) + 1);
    }
  return counts;
}

type Placed = { readonly name: string; readonly x: number; readonly y: number };

/** `docs/architecture.svg`: the rooms by rank, what each imports from, and the parts of the project over them. */
export function architectureSvg(): string {
  const rows = [PARTS, ...[...ROOMS].reverse()];
  const placed = new Map<string, Placed>();
  rows.forEach((row, nth) =>
    row.forEach((name, i) => {
      const width = row.length * BOX.width + (row.length - 1) * BOX.gap;
      placed.set(name, { name, x: (WIDTH - width) / 2 + i * (BOX.width + BOX.gap), y: 20 + nth * ROW });
    }),
  );
  const arrows = [...importsOfCore()].flatMap(([way, count]) => {
    const [from, to] = way.split('>').map((name) => placed.get(name));
    return from && to ? [arrow(from, to, count)] : [];
  });
  const boxes = [...placed.values()].map(
    ({ name, x, y }) =>
      `<rect x="${x}" y="${y}" width="${BOX.width}" height="${BOX.height}"/>` +
      `<text x="${x + BOX.width / 2}" y="${y + BOX.height / 2 + 5}">${name}</text>`,
  );
  const height = 20 + rows.length * ROW;
  const words = 'these import the core by one door, core/src/index.ts';
  const door = `<text x="${WIDTH / 2}" y="${20 + BOX.height + 26}">${words}</text>`;
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${height}" width="${WIDTH}" height="${height}">` +
    '<style>rect{fill:#fbf8ee;stroke:#24282c;stroke-width:1.5}' +
    'text{font:14px sans-serif;text-anchor:middle;fill:#24282c}' +
    'path{fill:none;stroke:#24282c;opacity:.35}</style>' +
    `<rect x="0" y="0" width="${WIDTH}" height="${height}" style="fill:#f6f1e4;stroke:none"/>` +
    `${arrows.join('')}${boxes.join('')}${door}</svg>\n`
  );
}

/** Down from who imports to what is imported; thicker where many files do. One that goes up is drawn red. */
function arrow(from: Placed, to: Placed, count: number): string {
  const [x1, y1] = [from.x + BOX.width / 2, from.y + BOX.height];
  const [x2, y2] = [to.x + BOX.width / 2, to.y];
  const bend = x1 === x2 && y2 - y1 > ROW ? 60 + (y2 - y1) / 6 : 0;
  const colour = to.y < from.y ? ' style="stroke:#c03a1d;opacity:1"' : '';
  if (to.y === from.y) {
    const [left, right] = from.x < to.x ? [from, to] : [to, from];
    const y = from.y + BOX.height;
    const [a, b] = [left.x + BOX.width / 2, right.x + BOX.width / 2];
    return `<path d="M${a} ${y} C${a} ${y + 18} ${b} ${y + 18} ${b} ${y}" stroke-width="0.8"/>`;
  }
  return (
    `<path d="M${x1} ${y1} C${x1 + bend} ${y1 + 30} ${x2 + bend} ${y2 - 30} ${x2} ${y2}" ` +
    `stroke-width="${(0.8 + Math.log2(count) / 2).toFixed(1)}"${colour}/>`
  );
}
