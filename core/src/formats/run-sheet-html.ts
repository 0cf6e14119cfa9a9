import { escapeXml } from '../body/figure/escape-xml.ts';
import { paperFigure } from './paper-figure.ts';
import { paperHead, paperPage } from './paper-page.ts';
import type { RunSheet, SheetRow } from './run-sheet.ts';

const SHEET = `
  table { width: 100%; border-collapse: collapse; }
  td { border-top: 0.5px solid #bbb; padding: 0.3mm 1.2mm; vertical-align: middle; }
  tbody tr:first-child td { border-top: 1.4px solid #000; }
  h2 { font-size: 11.5pt; }
  .at { width: 12mm; font-weight: 700; white-space: nowrap; }
  .figure { width: 17mm; }
  .figure svg { width: 15mm; height: 6mm; }
  .name { font-weight: 700; width: 48mm; }
  .dose { width: 30mm; }
  .lasts { text-align: right; }
  .change td { font-style: italic; text-align: center; padding: 0.2mm; background: #f2f2f2; }
  .note { display: block; color: #333; font-weight: 400; }
  tr { break-inside: avoid; }
  .dense { font-size: 8pt; }
  .dense .figure svg { height: 4.4mm; }
  .dense td { padding: 0.1mm 1.2mm; }
  .dense h2 { font-size: 9.5pt; }
`;

/** As many lines stand on a page in the usual size. */
const ROOMY_LINES = 34;

const linesOf = ({ parts }: RunSheet): number =>
  parts.reduce(
    (sum, { rows }) => sum + 1 + rows.reduce((lines, { change }) => lines + (change ? 2 : 1), 0),
    0,
  );

/** The sheet as one page of HTML that stands by itself, in black on white, for A4 and Letter. */
export function runSheetHtml(sheet: RunSheet): string {
  const parts = sheet.parts
    .map(
      ({ name, lasts, rows }) =>
        `<tbody><tr><td colspan="4"><h2>${escapeXml(name)}</h2></td><td class="lasts">${lasts}</td></tr>${rows.map(sheetRow).join('')}</tbody>`,
    )
    .join('');
  return paperPage(
    sheet.title,
    SHEET,
    paperHead(sheet) +
      (sheet.note ? `<p>${escapeXml(sheet.note).replaceAll('\n', '<br>')}</p>` : '') +
      `<table${linesOf(sheet) > ROOMY_LINES ? ' class="dense"' : ''}>${parts}</table>` +
      '<footer>Last column: the versions to tell, most supported first. Nothing here says why somebody does which. Makers’ instructions and local rules come first; pain goes to a clinician.</footer>',
  );
}

function sheetRow(row: SheetRow): string {
  const change = row.change
    ? `<tr class="change"><td colspan="5">${escapeXml(row.change)}</td></tr>`
    : '';
  const note = row.note ? `<span class="note">${escapeXml(row.note)}</span>` : '';
  return (
    `${change}<tr><td class="at">${escapeXml(row.at)}</td><td class="figure">${figureOf(row)}</td>` +
    `<td class="name">${escapeXml(row.name)}${note}</td>` +
    `<td class="dose">${escapeXml(row.dose)}</td><td>${versionWords(row)}</td></tr>`
  );
}

function versionWords({ versions }: SheetRow): string {
  return versions
    .map(({ name, people }) =>
      escapeXml(people.length > 0 ? `${name}: ${people.join(', ')}` : name),
    )
    .join(versions.some(({ people }) => people.length > 0) ? '<br>' : ' · ');
}

function figureOf({ exercise, option }: SheetRow): string {
  return exercise && option ? paperFigure(exercise, option) : '';
}

/** So many cards on a page. */
export type CardsOnPage = 2 | 8;

const CARDS = `
  .cards { display: grid; gap: 5mm; }
  .on2 { grid-template-columns: 1fr; }
  .on8 { grid-template-columns: 1fr 1fr; font-size: 8.5pt; }
  article { border: 1px solid #000; border-radius: 3mm; padding: 4mm; break-inside: avoid; display: flex; flex-direction: column; gap: 1.5mm; }
  .on2 article { height: 122mm; font-size: 13pt; }
  .on8 article { height: 61mm; }
  h2 { font-size: 1.5em; }
  .on2 svg { height: 48mm; width: 100%; }
  .on8 svg { height: 17mm; width: 100%; }
  p, ul { margin: 0; }
  ul { padding-left: 5mm; }
  .dose { font-weight: 700; }
`;

/** A card an exercise: figure, count, versions, what to say and to watch; two or eight on a page. */
export function cueCardsHtml(sheet: RunSheet, onPage: CardsOnPage): string {
  const cards = sheet.parts.flatMap(({ rows }) => rows).filter(({ exercise }) => exercise);
  return paperPage(
    `${sheet.title}: cards`,
    CARDS,
    `<div class="cards on${onPage}">${cards.map(card).join('')}</div>`,
  );
}

function card(row: SheetRow): string {
  const { exercise } = row;
  if (!exercise) return '';
  const cues = exercise.cues.slice(0, 2).map((cue) => `<li>“${escapeXml(cue)}”</li>`);
  const watch = exercise.faults
    .slice(0, 1)
    .map(({ fault, remedy }) => `${escapeXml(fault)} → ${escapeXml(remedy)}`);
  return (
    `<article><h2>${escapeXml(row.name)}</h2><p class="dose">${escapeXml(row.dose)}</p>` +
    `${figureOf(row)}<p>${versionWords(row)}</p><ul>${cues.join('')}</ul><p>${watch.join('')}</p></article>`
  );
}
