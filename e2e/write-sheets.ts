import { mkdir, writeFile } from 'node:fs/promises';
import { chromium } from 'playwright-core';
import { demandOf } from '../core/src/body/demand.ts';
import { arrowBetween, drawBody, fitFrame, joinFrames } from '../core/src/body/figure/draw.ts';
import { figureSvg } from '../core/src/body/figure/svg.ts';
import { bodiesOf } from '../core/src/body/option-body.ts';
import type { Exercise, Option } from '../core/src/movement/exercise.ts';
import { families } from '../library/src/index.ts';

/** Writes contact sheets of every option and key pose to .cache/sheets, one PNG a family. */
const FOLDER = '.cache/sheets';
const SHEET_WIDTH = 1800;
const PROPORTION = 1.5;

function optionCell(exercise: Exercise, option: Option): string {
  const bodies = bodiesOf(option);
  const figures = bodies.map((body) => drawBody(body, exercise.view, option.props));
  const frame = fitFrame(joinFrames(figures.map((figure) => figure.frame)), PROPORTION);
  const [first, second] = bodies;
  const arrow = first && second ? arrowBetween(first, second, exercise.view) : undefined;
  const pictures = figures
    .map((figure, index) => {
      const body = bodies[index];
      return figureSvg(figure, frame, body?.pose.name ?? '', {
        arrow: index === 0 ? arrow : undefined,
      });
    })
    .join('');
  return `<figure><div>${pictures}</div><figcaption>${exercise.slug} ${option.number} · ${option.name} · ${demandOf(option).score}</figcaption></figure>`;
}

const STYLE = `body{font:11px sans-serif;margin:6px;background:#fffdf6;display:flex;flex-wrap:wrap;gap:4px 10px}
figure{margin:0}div{display:flex}svg{width:168px;height:112px}figcaption{text-align:center;max-width:680px}`;

await mkdir(FOLDER, { recursive: true });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
const page = await browser.newPage({ viewport: { width: SHEET_WIDTH, height: 600 } });
for (const [family, exercises] of Object.entries(families)) {
  const cells = exercises.flatMap((exercise) =>
    exercise.options.map((option) => optionCell(exercise, option)),
  );
  const html = `<!doctype html><meta charset="utf-8"><style>${STYLE}</style>${cells.join('')}`;
  await writeFile(`${FOLDER}/${family}.html`, html);
  await page.setContent(html);
  await page.screenshot({ path: `${FOLDER}/${family}.png`, fullPage: true });
}
await browser.close();
console.log(`${Object.keys(families).length} sheets in ${FOLDER}`);
