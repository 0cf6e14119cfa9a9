import { escapeXml } from '../body/figure/escape-xml.ts';
import { paperFigure } from './paper-figure.ts';
import { paperPage } from './paper-page.ts';
import type { PersonPage, PersonRow, PersonWay } from './person-page.ts';

const PAGE = `
  table { width: 100%; border-collapse: collapse; }
  td { border-top: 0.5px solid #bbb; padding: 0.6mm 1.2mm; vertical-align: middle; }
  h2 { font-size: 11.5pt; margin: 2mm 0 0.5mm; }
  .at { width: 13mm; font-weight: 700; white-space: nowrap; }
  .figure { width: 24mm; }
  .figure svg { width: 22mm; height: 10mm; }
  .name { width: 46mm; font-weight: 700; }
  .dose { width: 30mm; }
  .how { display: block; color: #333; }
  tr, h2 { break-inside: avoid; break-after: auto; }
  h2 { break-after: avoid; }
`;

/** The class as one person does it, to lie beside their mat or to take home: black on white, for A4 and Letter. */
export function personPageHtml(page: PersonPage): string {
  const parts = page.parts.map(
    ({ name, rows }) => `<h2>${escapeXml(name)}</h2><table>${rows.map(rowHtml).join('')}</table>`,
  );
  return paperPage(
    `${page.title}: ${page.name}`,
    PAGE,
    `<h1>${escapeXml(page.name)}</h1><p class="facts">${escapeXml([page.title, page.facts].filter(Boolean).join(' · '))}</p>` +
      parts.join('') +
      '<footer>Stop at anything sharp, spreading or new, at numbness, dizziness or breathlessness, and say so. Clinicians, makers’ instructions and local rules come first.</footer>',
  );
}

function rowHtml({ at, name, dose, ways, drawn }: PersonRow): string {
  const figure = drawn ? paperFigure(drawn.exercise, drawn.option) : '';
  return (
    `<tr><td class="at">${escapeXml(at)}</td><td class="figure">${figure}</td>` +
    `<td class="name">${escapeXml(name)}</td><td class="dose">${escapeXml(dose)}</td>` +
    `<td>${ways.map(wayHtml).join('')}</td></tr>`
  );
}

function wayHtml({ side, does, howFar, feltWhere }: PersonWay): string {
  const how = [howFar ? `How far: ${howFar}.` : '', feltWhere ? `Felt: ${feltWhere}` : ''];
  return (
    `<div>${side ? `<b>${side}:</b> ` : ''}${escapeXml(does)}` +
    how
      .filter(Boolean)
      .map((line) => `<span class="how">${escapeXml(line)}</span>`)
      .join('') +
    '</div>'
  );
}
