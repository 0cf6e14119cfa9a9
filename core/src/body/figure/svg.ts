import { escapeXml } from './escape-xml.ts';
import type { Figure, FigurePart, Frame } from './draw.ts';

/** Colours by the tone of a part. */
type Palette = Record<FigurePart['tone'] | 'paper' | 'ground' | 'arrow', string>;

/** Spruce on paper: for files, sheets and print. */
const PAPER_PALETTE: Palette = {
  paper: '#fffdf6',
  ground: '#ebe4d4',
  far: '#a9c7b2',
  trunk: '#4f8a66',
  near: '#2b5f45',
  hair: '#1d3a2c',
  prop: '#c97b4a',
  propTop: '#dc9a6c',
  machine: '#cdc3af',
  machineTop: '#e0d8c7',
  frame: '#b0a590',
  frameTop: '#c4baa6',
  strap: '#8a7f6c',
  arrow: '#b0562a',
};

/** Greys that a copier keeps apart. */
export const PRINT_PALETTE: Palette = {
  paper: '#ffffff',
  ground: '#e4e4e4',
  far: '#b4b4b4',
  trunk: '#7d7d7d',
  near: '#4a4a4a',
  hair: '#1c1c1c',
  prop: '#9a9a9a',
  propTop: '#c4c4c4',
  machine: '#cccccc',
  machineTop: '#dedede',
  frame: '#b0b0b0',
  frameTop: '#c6c6c6',
  strap: '#8a8a8a',
  arrow: '#000000',
};

/** The figure as a picture file of its own. `title` is what a screen reader says. */
export function figureSvg(
  figure: Figure,
  frame: Frame,
  title: string,
  { arrow, palette = PAPER_PALETTE }: { arrow?: string | undefined; palette?: Palette } = {},
): string {
  const view = [frame.x, frame.y, frame.width, frame.height].map((n) => n.toFixed(0)).join(' ');
  const parts = figure.parts.map((part) => partSvg(part, palette)).join('');
  const way = arrow
    ? `<path d="${arrow}" fill="none" stroke="${palette.arrow}" stroke-width="10" stroke-dasharray="24 18"/>`
    : '';
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${view}" role="img"><title>${escapeXml(title)}</title><path d="${figure.ground}" fill="${palette.ground}"/>${parts}${way}</svg>`;
}

function partSvg(part: FigurePart, palette: Palette): string {
  const colour = palette[part.tone];
  if (part.line) {
    return `<path d="${part.d}" fill="none" stroke="${colour}" stroke-width="15" stroke-linecap="round" stroke-linejoin="round"/>`;
  }
  const rim = part.rim
    ? `<path d="${part.rim}" fill="${palette.paper}" stroke="${palette.paper}" stroke-width="10"/>`
    : '';
  return `${rim}<path d="${part.d}" fill="${colour}"/>`;
}
