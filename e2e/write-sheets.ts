import { mkdir, rm, writeFile } from 'node:fs/promises';
import { chromium } from 'playwright-core';
import { optionLoadOf } from '../core/src/body/load/option-load.ts';
import { FAMILIES, MACHINES } from '../core/src/movement/vocabulary.ts';
import { builtInExercises } from '../library/src/index.ts';
import { optionFigures, reviewPage } from '../tools/review-page.ts';

/**
 * Writes to .cache/sheets, for each machine and family, a contact sheet of every option as HTML and PNG;
 * for each exercise a page that a teacher can read and sign; and an index of them.
 */
const FOLDER = '.cache/sheets';
const SHEET_WIDTH = 1800;
const STYLE = `body{font:11px sans-serif;margin:6px;background:#fffdf6;display:flex;flex-wrap:wrap;gap:4px 10px}
figure{margin:0}div{display:flex}svg{width:168px;height:112px}figcaption{text-align:center;max-width:680px}`;

await rm(FOLDER, { recursive: true, force: true });
await mkdir(FOLDER, { recursive: true });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
const page = await browser.newPage({ viewport: { width: SHEET_WIDTH, height: 600 } });
const index: string[] = [];
for (const machine of MACHINES) {
  for (const family of FAMILIES) {
    const exercises = builtInExercises.filter(
      (exercise) => exercise.machine === machine && exercise.family === family,
    );
    if (exercises.length === 0) continue;
    const folder = `${machine}/${family}`;
    await mkdir(`${FOLDER}/${folder}`, { recursive: true });
    for (const exercise of exercises) {
      await writeFile(`${FOLDER}/${folder}/${exercise.slug}.html`, reviewPage(exercise));
    }
    const cells = exercises.flatMap((exercise) =>
      exercise.options.map(
        (option) =>
          `<figure><div>${optionFigures(exercise, option)}</div><figcaption>${exercise.slug} ${option.number} · ${option.name} · ${optionLoadOf(option).score}</figcaption></figure>`,
      ),
    );
    const html = `<!doctype html><meta charset="utf-8"><style>${STYLE}</style>${cells.join('')}`;
    await writeFile(`${FOLDER}/${folder}.html`, html);
    await page.setContent(html);
    await page.screenshot({ path: `${FOLDER}/${folder}.png`, fullPage: true });
    const links = exercises.map(
      ({ slug, name }) => `<li><a href="${folder}/${slug}.html">${name}</a></li>`,
    );
    index.push(
      `<h2><a href="${folder}.html">${machine}, ${family}</a></h2><ul>${links.join('')}</ul>`,
    );
  }
}
await browser.close();
await writeFile(`${FOLDER}/index.html`, `<!doctype html><meta charset="utf-8">${index.join('')}`);
console.log(`${builtInExercises.length} pages and ${index.length} sheets in ${FOLDER}/index.html`);
