import type { Build } from '../build/build';
import type { SceneBox } from './scene';
import { projectBox, viewSize, type ViewName } from './project';

const VIEW_TITLES: Readonly<Record<ViewName, string>> = {
  plan: 'PLAN',
  front: 'FRONT',
  side: 'SIDE, CUT',
  rear: 'REAR',
};
const MARGIN = 30;
const GAP = 40;
const TITLE = 30;
const CHARACTER_MM = 2.1;

/** Ink and paper of a drawing on its own: no style sheet comes with the file. */
const STYLE =
  '.s{fill:#fff;stroke:#22262a;stroke-width:.4}.shell{fill:none;stroke-width:1}' +
  '.empty{fill:none;stroke:#5f5e58;stroke-dasharray:2 1.4}.cut{stroke-width:.7}' +
  '.d{stroke:#22262a;stroke-width:.3;fill:none}text{font:3.5px monospace;fill:#22262a}' +
  '.t{font-size:4.5px;letter-spacing:.2px}';

/**
 * The boxes of a machine as one SVG document at true scale: user units are millimetres, and width
 * and height say so. Plan above front, cut side beside (third angle, ISO 128), dimensions (ISO 129).
 */
export function drawingSvg(build: Pick<Build, 'name'>, boxes: readonly SceneBox[]): string {
  let x = MARGIN;
  let height = 0;
  const sheets = boxes.map((box) => {
    const drawn = threeViews(box, x, MARGIN);
    x += drawn.width + GAP * 2;
    height = Math.max(height, drawn.height);
    return drawn.svg;
  });
  const width = Math.max(160, x - GAP * 2 + MARGIN);
  const total = MARGIN * 2 + height + TITLE;
  const names = boxes.map((box) => box.unit.part.name).join(', ') || 'no chassis chosen';
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${fixed(width)}mm" ` +
      `height="${fixed(total)}mm" viewBox="0 0 ${fixed(width)} ${fixed(total)}">`,
    `<title>${escape(build.name || 'Unnamed')}</title><style>${STYLE}</style><rect ` +
      `width="100%" height="100%" fill="#fff"/>`,
    ...sheets,
    `<text class="t" x="${MARGIN}" y="${fixed(total - 14)}">` +
      `${escape(`${build.name || 'Unnamed'} · ${names} · millimetres, scale 1 : 1`)}</text>`,
    '</svg>',
    '',
  ].join('\n');
}

function threeViews(
  box: SceneBox,
  left: number,
  top: number,
): { readonly svg: string; readonly width: number; readonly height: number } {
  const { widthMm, heightMm, depthMm } = box.size;
  const frontY = top + depthMm + GAP;
  const views = [
    ['plan', left, top],
    ['front', left, frontY],
    ['side', left + widthMm + GAP, frontY],
  ] as const;
  return {
    svg: views.map(([name, x, y]) => viewSvg(box, name, x, y)).join('\n'),
    width: widthMm + GAP + depthMm,
    height: depthMm + GAP + heightMm,
  };
}

function viewSvg(box: SceneBox, name: ViewName, x: number, y: number): string {
  const size = viewSize(name, box.size);
  const shapes = projectBox(name, box).map((shape) => {
    const { solid } = shape;
    const kind = solid.what === 'shell' ? 'shell' : solid.unit ? (shape.cut ? 'cut' : '') : 'empty';
    const rect =
      `<rect class="s ${kind}" x="${fixed(x + shape.xMm)}" y="${fixed(y + shape.yMm)}" ` +
      `width="${fixed(shape.widthMm)}" height="${fixed(shape.heightMm)}"/>`;
    const words = solid.what === 'shell' ? '' : solid.unit?.mark || '';
    return words && words.length * CHARACTER_MM + 3 < shape.widthMm && shape.heightMm > 6
      ? `${rect}<text x="${fixed(x + shape.xMm + 1.5)}" y="${fixed(y + shape.yMm + 4.5)}">${escape(words)}</text>`
      : rect;
  });
  const flat =
    `<path class="d" d="M${fixed(x)} ` +
    `${fixed(y + size.heightMm + 6)}h${fixed(size.widthMm)}m0 -2v4m-${fixed(size.widthMm)} ` +
    `-4v4"/><text x="${fixed(x + size.widthMm / 2)}" y="${fixed(y + size.heightMm + 11)}" ` +
    `text-anchor="middle">${fixed(size.widthMm)} mm</text>`;
  const upright =
    `<path class="d" d="M${fixed(x - 6)} ${fixed(y)}v${fixed(size.heightMm)}m-2 0h4m-4 ` +
    `-${fixed(size.heightMm)}h4"/><text transform="translate(${fixed(x - 8)} ` +
    `${fixed(y + size.heightMm / 2)}) rotate(-90)" text-anchor="middle">` +
    `${fixed(size.heightMm)} mm</text>`;
  return [
    `<g><text class="t" x="${fixed(x)}" y="${fixed(y - 4)}">${VIEW_TITLES[name]}</text>`,
    ...shapes,
    flat,
    upright,
    '</g>',
  ].join('\n');
}

const fixed = (mm: number) => String(Math.round(mm * 100) / 100);
const ENTITIES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
/** Names are text: markup in one stays text, and what XML 1.0 cannot hold is left out. */
const escape = (text: string) =>
  text
    // eslint-disable-next-line no-control-regex -- the control characters are what is looked for
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '')
    .replace(/[&<>"]/g, (sign) => ENTITIES[sign]!);
