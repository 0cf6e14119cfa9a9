import { expect, it } from 'vitest';
import { builtInCatalogue } from './index.ts';
import type { Choice } from '@wrenfern/core/people/choice';
import { Item } from '@wrenfern/core/plan/plan';
import { versionTitle } from '@wrenfern/core/people/version-title';

const footwork = builtInCatalogue.require('footwork');
const item = (more: object = {}) =>
  Item.parse({ kind: 'exercise', id: 'feet', exercise: 'footwork', ...more });
const series = item({ variants: [{ option: 1 }, { option: 4 }, { option: 2 }] });
const option = (number: number): Choice => ({ kind: 'option', option: number, reasons: [] });

const rest: Choice = { kind: 'rest', shape: 'on the back', reasons: [] };
const swap: Choice = { kind: 'swap', exercise: 'footwork', option: 1, reasons: [] };

it.each([
  [item(), option(2), '2 · Toes, parallel'],
  // Whichever variant comes last in the plan, the highest is what nothing stands against.
  [series, option(4), 'All variants'],
  [series, option(2), 'As far as toes, parallel'],
  [series, rest, 'Rest: on the back'],
  [series, swap, 'Footwork instead: heels, parallel'],
])('a version is called by what is done: %#', (planned, choice, said) => {
  expect(versionTitle(planned, choice, footwork)).toBe(said);
});
