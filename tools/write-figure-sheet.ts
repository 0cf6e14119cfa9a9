import { mkdirSync, writeFileSync } from 'node:fs';
import { drawFigure } from '../core/src/body/figure.ts';
import { figurePaths, frameFigure } from '../core/src/body/paths.ts';
import { SHAPES } from '../core/src/body/shapes.ts';

/** Writes every key pose, labelled, to .cache/figures.html so that a person can look at all of them. */
const INK = { far: '#8db59b', trunk: '#3d7655', near: '#24543b' };

const cells = Object.entries(SHAPES).map(([name, pose]) => {
  const figure = drawFigure(pose);
  const box = frameFigure(figure, 1.7);
  const paths = figurePaths(figure)
    .map(({ part, d }) => `<path d="${d}" fill="${INK[part]}"/>`)
    .join('');
  const view = [box.x, box.y, box.width, box.height].join(' ');
  return `<figure><svg viewBox="${view}" width="150" height="88"><line x1="${box.x}" x2="${box.x + box.width}" y1="0" y2="0" stroke="#999" stroke-width="0.6"/>${paths}</svg><figcaption>${name}</figcaption></figure>`;
});
const page = `<!doctype html><meta charset="utf-8"><style>body{font:11px sans-serif;display:grid;grid-template-columns:repeat(8,1fr);gap:4px;margin:8px}figure{margin:0;text-align:center}</style>${cells.join('')}`;
mkdirSync('.cache', { recursive: true });
writeFileSync('.cache/figures.html', page);
