import { escapeXml } from '../body/figure/escape-xml.ts';
import { GEAR_PART_WORDS } from '../room/gear-words.ts';
import { paperHead, paperPage } from './paper-page.ts';
import type { RunSheet } from './run-sheet.ts';

const SET_UP = `
  table { width: 100%; border-collapse: collapse; margin-bottom: 4mm; }
  h2 { font-size: 12pt; margin: 0 0 1mm; }
  th { text-align: left; font-weight: 700; padding: 0.6mm 1.2mm; border-bottom: 1.2px solid #000; }
  td { padding: 0.5mm 1.2mm; border-bottom: 0.5px solid #bbb; vertical-align: top; }
  tr { break-inside: avoid; }
  .at { width: 16mm; font-weight: 700; white-space: nowrap; }
  .band { border: 0.8px solid #000; }
  .change { font-weight: 700; background: #ececec; }
`;

/** What to lay out before the class, and the machine over the class as bands: items × gear. */
export function setUpListHtml(sheet: RunSheet): string {
  return paperPage(
    `${sheet.title}: set-up`,
    SET_UP,
    paperHead(sheet) +
      propTable(sheet) +
      gearTable(sheet) +
      '<footer>Grey is a change. Makers’ instructions and local rules come first.</footer>',
  );
}

function propTable({ props }: RunSheet): string {
  if (props.length === 0) return '<p>No props.</p>';
  const rows = props.map(
    ({ name, inAll, atOnce, from, lacking }) =>
      `<tr><td>${escapeXml(name)}</td><td>${inAll}</td><td>${atOnce}</td><td>${escapeXml(from)}</td><td>${escapeXml(lacking)}</td></tr>`,
  );
  return (
    '<h2>Props</h2><table><thead><tr><th>prop</th><th>in all</th><th>at once</th><th>from</th><th>instead</th></tr></thead>' +
    `<tbody>${rows.join('')}</tbody></table>`
  );
}

function gearTable({ gear, ownSettings }: RunSheet): string {
  const { parts, rows } = gear;
  if (rows.length === 0) return '';
  // The word for a change of facing is no word for how the machine stands.
  const heads = parts
    .map((part) => `<th>${part === 'facing' ? part : GEAR_PART_WORDS[part]}</th>`)
    .join('');
  const lines = rows.map(({ at, name, bands }) => {
    const cells = parts.map((part) => {
      const band = bands[part];
      if (!band) return '';
      const kind = band.isChange ? 'band change' : 'band';
      return `<td class="${kind}" rowspan="${band.length}">${escapeXml(band.words)}</td>`;
    });
    return `<tr><td class="at">${escapeXml(at)}</td><td>${escapeXml(name)}</td>${cells.join('')}</tr>`;
  });
  const own = ownSettings.map(
    ({ words, people }) => `<p><b>${escapeXml(words)}:</b> ${escapeXml(people.join(', '))}</p>`,
  );
  return (
    `<h2>Gear</h2><table><thead><tr><th>at</th><th>exercise</th>${heads}</tr></thead>` +
    `<tbody>${lines.join('')}</tbody></table>${own.join('')}`
  );
}
