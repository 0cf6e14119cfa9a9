import text from '@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2?url';
import heading from '@fontsource-variable/fraunces/files/fraunces-latin-soft-normal.woff2?url';

const face = (family: string, url: string) =>
  `@font-face { font-family: '${family}'; src: url('${url}') format('woff2'); font-weight: 100 900; }`;

/** A paper with the app's own type: a page in a frame knows nothing of the page around it. */
export function withFonts(html: string): string {
  const faces = [
    face('Fraunces Variable', heading),
    face('Atkinson Hyperlegible Next Variable', text),
  ];
  return html.replace('</head>', `<style>${faces.join('')}</style></head>`);
}
