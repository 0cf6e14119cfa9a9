import { analyse } from '@wrenfern/core/analyse';
import { planFromNotes } from '@wrenfern/core/formats/plan-from-notes';
import { writeMarkdown } from '@wrenfern/core/formats/plan-markdown';
import { readNotes, type NoteLine } from '@wrenfern/core/formats/read-notes';
import { personPage } from '@wrenfern/core/formats/person-page';
import { personPageHtml } from '@wrenfern/core/formats/person-page-html';
import { runSheet, type RunSheet } from '@wrenfern/core/formats/run-sheet';
import { cueCardsHtml, runSheetHtml } from '@wrenfern/core/formats/run-sheet-html';
import { setUpListHtml } from '@wrenfern/core/formats/set-up-list-html';
import { describeDose } from '@wrenfern/core/movement/dose';
import { listWords } from '@wrenfern/core/movement/words';
import type { Person } from '@wrenfern/core/people/person';
import type { Plan } from '@wrenfern/core/plan/plan';
import { PLAIN_MACHINES } from '@wrenfern/core/room/machines';
import type { Cupboard } from '@wrenfern/core/room/props';
import { builtInCatalogue } from '@wrenfern/library';
import { Refusal } from './refusal.ts';
import { writeOut } from './write-out.ts';

const FALLBACK = {
  title: 'From notes',
  machine: 'mat',
  school: 'foundations-first',
  targetS: 3000,
} as const;

/** Notes as a plan; what was not understood is told, never guessed. */
export function readScribbles(text: string, isJson: boolean): string {
  const lines = readNotes(text, builtInCatalogue);
  if (isJson) {
    const plan = planFromNotes(lines, new Map(), builtInCatalogue, FALLBACK);
    return JSON.stringify(plan, null, 2);
  }
  const unsure = lines.filter(({ kind }) => kind === 'unsure').length;
  return [
    ...lines.map((line) => `${String(line.line).padStart(3)}  ${understood(line)}`),
    '',
    unsure === 0
      ? 'Every line is understood; --json prints the plan.'
      : `${unsure} ${unsure === 1 ? 'line is' : 'lines are'} not understood and would be left out; --json prints the plan.`,
  ].join('\n');
}

function understood(line: NoteLine): string {
  switch (line.kind) {
    case 'title':
      return `title     ${line.title}`;
    case 'facts':
      return `class     ${[line.machine, line.minutes && `${line.minutes} min`, line.school].filter(Boolean).join(', ')}`;
    case 'part':
      return `part      ${line.name}`;
    case 'exercise': {
      const { exercise, dose, options, rest } = line;
      const told = [
        exercise.name,
        dose ? describeDose(dose) : '',
        options ? `options ${options.join(', ')}` : '',
        rest ? `note: ${rest}` : '',
      ];
      return `exercise  ${told.filter(Boolean).join(', ')}`;
    }
    case 'pause':
      return `pause     ${line.label}, ${line.durationS} s`;
    case 'detail':
      return `          ${line.text}`;
    case 'opens':
    case 'closes':
      return `          ${line.text}`;
    case 'note':
      return `note      ${line.words}`;
    case 'unsure': {
      const names = line.candidates.map(({ name }) => name);
      const like = names.length > 0 ? `; like ${listWords(names)}` : '';
      return `?         ${line.words}${like}`;
    }
  }
}

interface SheetWishes {
  plan: Plan;
  people: readonly Person[];
  cupboard: Cupboard;
  day: string;
  out: string | undefined;
  form: PaperForm;
  /** Whose page it is, by id or name; the whole class where left out. */
  forWhom: string | undefined;
}

type PaperForm = 'run sheet' | 'cards' | 'set-up list';

const WRITE: Record<PaperForm, (data: RunSheet) => string> = {
  'run sheet': runSheetHtml,
  cards: (data) => cueCardsHtml(data, 8),
  'set-up list': setUpListHtml,
};

/** A class on paper, as HTML that stands by itself. */
export function sheet({ plan, people, cupboard, day, out, form, forWhom }: SheetWishes): string {
  const machines = PLAIN_MACHINES;
  const attendees = people.map((person) => ({ person }));
  const analysis = analyse(plan, builtInCatalogue, { attendees, cupboard, day, machines });
  const classInput = { plan, catalogue: builtInCatalogue, analysis, when: '' };
  const person = forWhom === undefined ? undefined : personNamed(people, forWhom);
  const html = person
    ? personPageHtml(personPage({ ...classInput, person }))
    : WRITE[form](runSheet({ ...classInput, machines }));
  if (out === undefined) return html;
  writeOut(out, html);
  return `${out}: ${person ? `${person.name}’s page` : form} of ${plan.title}`;
}

function personNamed(people: readonly Person[], wanted: string): Person {
  const person = people.find(({ id, name }) => id === wanted || name === wanted);
  if (person) return person;
  throw new Refusal(
    people.length === 0
      ? '--for needs --people FILE'
      : `nobody in the file is called "${wanted}"; there are ${listWords(people.slice(0, 12).map(({ name }) => name))}`,
  );
}

export const markdown = (plan: Plan): string => writeMarkdown(plan, builtInCatalogue).trimEnd();
