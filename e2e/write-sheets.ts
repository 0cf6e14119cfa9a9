import { createHash } from 'node:crypto';
import { mkdir, readFile, rm, writeFile } from 'node:fs/promises';
import { parseArgs } from 'node:util';
import { chromium } from 'playwright-core';
import { loadOf } from '../core/src/body/load/option-load.ts';
import { FAMILIES, MACHINES } from '../core/src/movement/vocabulary.ts';
import { builtInExercises } from '../library/src/index.ts';
import { z } from 'zod';
import { optionFigures, reviewPage } from '../tools/review-page.ts';
import { BROWSER_PATH } from './rig/browser.ts';

/**
 * Writes to .cache/sheets, for each machine and family, a contact sheet of every option as HTML and PNG;
 * for each exercise a page that a teacher can read and sign; and an index of them. Framed is what looks other
 * than when somebody last looked; `--looked` says that all of it has been looked at now.
 */
const FOLDER = '.cache/sheets';
const SHEET_WIDTH = 1800;
const LOOKED_AT = 'library/looked-at.json';
const STYLE = `body{font:11px sans-serif;margin:6px;background:#fffdf6;display:flex;flex-wrap:wrap;gap:4px 10px}
figure{margin:0}div{display:flex}svg{width:168px;height:112px}figcaption{text-align:center;max-width:680px}
.changed{outline:2px solid #b4532a;outline-offset:1px}`;

const { values } = parseArgs({ options: { looked: { type: 'boolean', default: false } } });
const seen = z.record(z.string(), z.string()).parse(JSON.parse(await readFile(LOOKED_AT, 'utf8')));
const now: Record<string, string> = {};

await rm(FOLDER, { recursive: true, force: true });
await mkdir(FOLDER, { recursive: true });
const browser = await chromium.launch({
  executablePath: BROWSER_PATH,
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
      exercise.options.map((option) => {
        const figures = optionFigures(exercise, option);
        const key = `${exercise.slug} ${option.number}`;
        const print = createHash('sha256').update(figures).digest('base64url').slice(0, 10);
        now[key] = print;
        const mark = seen[key] === print ? '' : ' class="changed"';
        return `<figure${mark}><div>${figures}</div><figcaption>${key} · ${option.name} · ${loadOf(option)}</figcaption></figure>`;
      }),
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
if (values.looked) await writeFile(LOOKED_AT, `${JSON.stringify(now, null, 2)}\n`);
const changed = Object.entries(now).filter(([key, print]) => seen[key] !== print).length;
console.log(`${changed} options look other than when somebody last looked`);
console.log(`${builtInExercises.length} pages and ${index.length} sheets in ${FOLDER}/index.html`);
