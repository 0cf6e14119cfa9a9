import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import { readNotes, type NoteLine } from '@wrenfern/core/formats/read-notes';
import { StoredPlan } from '@wrenfern/core/plan/migrate-plan';
import { checkPlan, type Plan } from '@wrenfern/core/plan/plan';
import { readJson } from '../../../data/read-json.ts';

/** What was brought in: a plan as it is, notes to look through, or what is wrong with it. */
export type BroughtIn =
  | { kind: 'plan'; plan: Plan }
  | { kind: 'notes'; lines: NoteLine[] }
  | { kind: 'faults'; faults: string[] };

const MOST_FAULTS = 12;

/** Reads a plan document, or else notes; a document that is nearly one is told line by line. */
export function readIn(text: string, catalogue: Catalogue): BroughtIn {
  if (text.trim() === '') return { kind: 'faults', faults: ['There is nothing in it.'] };
  if (!/^\s*[{[]/.test(text)) return { kind: 'notes', lines: readNotes(text, catalogue) };
  const value = readJson(text);
  if (value === undefined) {
    return {
      kind: 'faults',
      faults: ['It begins like JSON, but is none: a bracket or comma is missing.'],
    };
  }
  const read = StoredPlan.safeParse(value);
  if (!read.success) {
    const faults = read.error.issues.map(
      ({ path, message }) => `${placeOf(path, text)}: ${message}`,
    );
    return { kind: 'faults', faults: faults.slice(0, MOST_FAULTS) };
  }
  const problems = checkPlan(read.data, catalogue);
  if (problems.length === 0) return { kind: 'plan', plan: read.data };
  const faults = problems.map(({ path, message }) => `${placeOf(path, text)}: ${message}`);
  return { kind: 'faults', faults: faults.slice(0, MOST_FAULTS) };
}

/** Where a field stands, with its line where that can be found. */
function placeOf(path: readonly PropertyKey[], text: string): string {
  if (path.length === 0) return 'the whole document';
  const words = path
    .map((part) => (typeof part === 'number' ? part + 1 : String(part)))
    .join(' › ');
  const line = lineOf(path, text);
  return line === undefined ? words : `line ${line}, ${words}`;
}

/** The line on which the last named field of a path begins: walks the names and counts list items. */
function lineOf(path: readonly PropertyKey[], text: string): number | undefined {
  let at = 0;
  for (const part of path) {
    if (typeof part === 'number') at = nthItem(text, at, part) ?? at;
    else {
      const found = text.slice(at).search(new RegExp(`"${String(part)}"\\s*:`));
      if (found < 0) break;
      at += found;
    }
  }
  return at === 0 ? undefined : text.slice(0, at).split('\n').length;
}

/** Where the item of that number begins in the list that opens next. */
function nthItem(text: string, from: number, wanted: number): number | undefined {
  const open = text.indexOf('[', from);
  if (open < 0) return undefined;
  let [depth, item, inText] = [0, 0, false];
  for (let at = open + 1; at < text.length; at += 1) {
    const letter = text[at];
    if (inText) {
      if (letter === '\\') at += 1;
      else if (letter === '"') inText = false;
      continue;
    }
    if (letter === '"') inText = true;
    if (depth === 0 && item === wanted && letter !== undefined && /[{["\d]/.test(letter)) return at;
    if (letter === '{' || letter === '[') depth += 1;
    else if (letter === '}' || letter === ']') {
      if (depth === 0) return undefined;
      depth -= 1;
    } else if (letter === ',' && depth === 0) item += 1;
  }
  return undefined;
}
