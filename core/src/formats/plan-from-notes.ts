import type { Catalogue } from '../movement/catalogue.ts';
import type { Exercise } from '../movement/exercise.ts';
import { Plan, type Bracket, type ExerciseItem, type Item, type Segment } from '../plan/plan.ts';
import { MOST_ADDED } from '../plan/item-props.ts';
import { USUAL_CHANGE_S } from '../plan/two-group-edits.ts';
import { readDose } from './dose-words.ts';
import type { Detail, NoteLine } from './read-notes.ts';

/** What was chosen for a line that was not sure: an exercise's slug, or nothing. */
export type Chosen = ReadonlyMap<number, string>;

/** A class of what was understood. Lines that were not sure stand in it as they were chosen, or not at all. */
export function planFromNotes(
  lines: readonly NoteLine[],
  chosen: Chosen,
  catalogue: Catalogue,
  fallback: Pick<Plan, 'title' | 'machine' | 'school' | 'targetS' | 'style'>,
): Plan {
  const making: Making = {
    parts: [],
    notes: [],
    brackets: [],
    count: 0,
    last: undefined,
    open: undefined,
  };
  const facts = { ...fallback };
  let changeOverS: number | undefined;
  for (const line of lines) {
    if (line.kind === 'title') facts.title = line.title;
    else if (line.kind === 'facts') {
      facts.machine = line.machine ?? facts.machine;
      facts.school = line.school ?? facts.school;
      facts.style = line.style ?? facts.style;
      changeOverS = line.changeOverS ?? changeOverS;
      facts.targetS = line.minutes === undefined ? facts.targetS : line.minutes * 60;
    } else take(line, making, chosen, catalogue);
  }
  const segments = making.parts.length > 0 ? making.parts : [emptyPart('Class', 0)];
  const isMixed = segments.some(({ station }) => station !== undefined);
  const durationS = Math.min(600, Math.max(30, changeOverS ?? USUAL_CHANGE_S));
  return Plan.parse({
    format: 'wrenfern-plan/2',
    ...facts,
    note: making.notes.join('\n').slice(0, 4000),
    segments,
    ...(isMixed ? { machine: 'reformer', changeOver: { durationS } } : {}),
    ...(making.brackets.length > 0 ? { brackets: making.brackets } : {}),
  });
}

interface Making {
  parts: Segment[];
  /** Of the whole class: what stands before the first exercise. */
  notes: string[];
  brackets: Bracket[];
  count: number;
  last: Item | undefined;
  /** The bracket that the next item stands in. */
  open: string | undefined;
}

type Content = Exclude<NoteLine, { kind: 'title' | 'facts' }>;

function take(line: Content, making: Making, chosen: Chosen, catalogue: Catalogue): void {
  switch (line.kind) {
    case 'part':
      making.parts.push({
        ...emptyPart(line.name, making.parts.length),
        ...(line.station ? { station: line.station } : {}),
        ...(line.targetS ? { targetS: Math.min(10800, Math.max(15, line.targetS)) } : {}),
      });
      making.last = undefined;
      making.open = undefined;
      return;
    case 'opens': {
      const id = nextId(making, line.bracket.kind);
      making.brackets.push({ ...line.bracket, id });
      making.open = id;
      return;
    }
    case 'closes':
      making.open = undefined;
      return;
    case 'pause':
      put(making, {
        kind: 'pause',
        id: nextId(making, 'pause'),
        label: line.label.slice(0, 120),
        durationS: Math.min(1800, Math.max(5, line.durationS)),
        note: '',
      });
      return;
    case 'exercise': {
      const { exercise, dose, options, rest } = line;
      put(making, {
        ...plainItem(making, exercise.slug),
        ...(dose ? { dose } : {}),
        ...(options ? { options } : {}),
        note: rest,
      });
      return;
    }
    case 'unsure': {
      const slug = chosen.get(line.line);
      if (slug && catalogue.get(slug)) put(making, plainItem(making, slug));
      return;
    }
    case 'detail':
      if (making.last?.kind === 'exercise') addDetail(making.last, line.detail, catalogue);
      return;
    case 'note':
      if (making.last) making.last.note = joined(making.last.note, line.words);
      else making.notes.push(line.words);
  }
}

function put(making: Making, item: Item): void {
  if (making.parts.length === 0) making.parts.push(emptyPart('Class', 0));
  if (making.open) item.bracket = making.open;
  making.parts.at(-1)?.items.push(item);
  making.last = item;
}

function plainItem(making: Making, slug: string): ExerciseItem {
  return { kind: 'exercise', id: nextId(making, slug), exercise: slug, restS: 0, note: '' };
}

function addDetail(item: ExerciseItem, detail: Detail, catalogue: Catalogue): void {
  switch (detail.is) {
    case 'options':
      if (detail.options.length > 0) item.options = detail.options;
      return;
    case 'rest':
      item.restS = Math.min(600, detail.restS);
      return;
    case 'teaching':
      item.teaching = detail.teaching;
      return;
    case 'pacing':
      Object.assign(item, detail.pacing);
      return;
    case 'variants': {
      const variants = readVariants(detail.words, catalogue.require(item.exercise));
      if (variants.length > 1) item.variants = variants.slice(0, 8);
      return;
    }
    case 'side':
      item.onlySide = detail.side;
      return;
    case 'gear':
      item.gear = detail.gear;
      return;
    case 'added': {
      const added = [...(item.props?.added ?? []), detail.use];
      if (added.length <= MOST_ADDED) item.props = { ...item.props, added };
      return;
    }
    case 'without':
      item.props = { ...item.props, without: detail.props };
      return;
    case 'keeps':
      item.keeps = detail.keeps;
  }
}

/** "1: 10 times; 4: 8 each side"; a number that the exercise does not have is left out. */
function readVariants(words: string, exercise: Exercise): NonNullable<ExerciseItem['variants']> {
  return words.split(';').flatMap((part) => {
    const [, number = '', amount = ''] = /^\s*(\d)\s*:?\s*(.*)$/.exec(part) ?? [];
    const option = Number(number);
    if (!number || option < 1 || option > exercise.options.length) return [];
    const { dose } = readDose(amount, exercise);
    return [dose ? { option, dose } : { option }];
  });
}

function emptyPart(name: string, index: number): Segment {
  return { id: `part-${index + 1}`, name: name.slice(0, 120) || 'Part', items: [] };
}

function nextId(making: Making, base: string): string {
  making.count += 1;
  return `${base}-${making.count}`;
}

const joined = (note: string, words: string) =>
  [note, words].filter(Boolean).join('\n').slice(0, 1000);
