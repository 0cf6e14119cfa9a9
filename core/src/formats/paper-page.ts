import { escapeXml } from '../body/figure/escape-xml.ts';
import type { RunSheet } from './run-sheet.ts';

const SHARED = `
  @page { margin: 11mm; }
  * { box-sizing: border-box; }
  body { margin: 0; color: #000; background: #fff; font: 9.2pt/1.25 'Atkinson Hyperlegible Next Variable', system-ui, sans-serif; font-variant-numeric: tabular-nums; }
  h1, h2 { font-family: 'Fraunces Variable', Georgia, serif; line-height: 1.15; margin: 0; }
  h1 { font-size: 17pt; }
  svg { display: block; }
  .facts { color: #333; margin: 1mm 0 2.5mm; }
  .layout { display: flex; gap: 6mm; border: 1px solid #000; border-radius: 2mm; padding: 2mm 3mm; margin-bottom: 2.5mm; }
  .layout b { display: block; }
  footer { margin-top: 2mm; color: #333; font-size: 8pt; }
  @media screen { body { max-width: 190mm; margin: 9mm auto; padding: 0 4mm; } }
`;

/** What stands above every paper of a class: its name, the facts, what to lay out. */
export function paperHead({ title, facts, layOut }: RunSheet): string {
  const entries = layOut
    .map((entry) => `<div><b>${escapeXml(entry.title)}</b>${escapeXml(entry.words)}</div>`)
    .join('');
  return (
    `<h1>${escapeXml(title)}</h1><p class="facts">${escapeXml(facts)}</p>` +
    (entries ? `<div class="layout">${entries}</div>` : '')
  );
}

/** A page that stands by itself, in black on white, for A4 and Letter. */
export function paperPage(title: string, style: string, body: string): string {
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${escapeXml(title)}</title><style>${SHARED}${style}</style></head><body>${body}</body></html>\n`;
}
