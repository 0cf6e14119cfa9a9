import type { Catalogue } from '../movement/catalogue.ts';
import type { Exercise, PropUse } from '../movement/exercise.ts';
import { PLACE_WORDS, PROP_WORDS } from '../movement/words.ts';
import { STRENGTHS, type Gear } from '../movement/gear.ts';
import type { ExerciseItem, Item, Plan } from '../plan/plan.ts';
import { runsOf, type Run } from '../plan/occurrences.ts';
import { bracketWords } from '../plan/bracket-words.ts';
import { rulesOf } from '../plan/schools.ts';
import { writeDose } from './dose-words.ts';

/**
 * A plan as Markdown that people read and `readNotes` reads back: the same class but for its ids, and
 * but for a studio's own school, of which only the name is written.
 */
export function writeMarkdown(plan: Plan, catalogue: Catalogue): string {
  const facts = [
    plan.machine,
    `${Math.round(plan.targetS / 60)} min`,
    rulesOf(plan.school).name,
    ...(plan.style ? [`led ${plan.style}`] : []),
    ...(plan.changeOver ? [`two groups change over in ${plan.changeOver.durationS} s`] : []),
  ];
  return [
    `# ${plan.title}`,
    '',
    facts.join('; '),
    ...quoted(plan.note),
    ...plan.segments.flatMap((segment) => [
      '',
      `## ${segment.name}${bracketed(segment.station && PLACE_WORDS[segment.station])}${bracketed(segment.targetS && lengthWords(segment.targetS))}`,
      '',
      ...runsOf(segment, plan.brackets).flatMap((run) => runLines(run, catalogue)),
    ]),
    '',
  ].join('\n');
}

const bracketed = (words: string | 0 | undefined) => (words ? ` [${words}]` : '');

/** "6 min", "6 min 30 s", "45 s". */
function lengthWords(seconds: number): string {
  const [minutes, rest] = [Math.floor(seconds / 60), seconds % 60];
  return [...(minutes > 0 ? [`${minutes} min`] : []), ...(rest > 0 ? [`${rest} s`] : [])].join(' ');
}

function runLines({ bracket, items }: Run, catalogue: Catalogue): string[] {
  const lines = items.flatMap((item) => linesOf(item, catalogue));
  return bracket ? [`- (${bracketWords(bracket)})`, ...lines, `- (end of ${bracket.kind})`] : lines;
}

function linesOf(item: Item, catalogue: Catalogue): string[] {
  const note = quoted(item.note).map((line) => (line ? `  ${line}` : line));
  if (item.kind === 'pause') return [`- (pause) ${item.label}, ${item.durationS} s`, ...note];
  const exercise = catalogue.require(item.exercise);
  const dose = item.dose && !item.variants ? `, ${writeDose(item.dose, exercise)}` : '';
  return [
    `- ${exercise.name}${dose}`,
    ...detailsOf(item, exercise).map((each) => `  - ${each}`),
    ...note,
  ];
}

function detailsOf(item: ExerciseItem, exercise: Exercise): string[] {
  const { variants, options, restS, teaching, gear, breathed, phases, tempo, explainS, onlySide } =
    item;
  const { props, keeps } = item;
  const each = variants?.map(({ option, dose }) =>
    dose ? `${option}: ${writeDose(dose, exercise)}` : `${option}`,
  );
  return [
    each ? `variants ${each.join('; ')}` : '',
    options ? `options ${options.join(', ')}` : '',
    restS > 0 ? `rest ${restS} s` : '',
    teaching ? `teaching ${teaching}` : '',
    breathed === undefined ? '' : breathed ? 'breathed' : 'own pace',
    phases === undefined ? '' : `phases ${phases}`,
    tempo === undefined ? '' : `kind ${tempo}`,
    explainS === undefined ? '' : `explain ${explainS} s`,
    gear ? `gear ${gearLine(gear)}` : '',
    onlySide ? `only ${onlySide}` : '',
    ...(props?.added ?? []).map((use) => `with ${addedWords(use)}`),
    props?.without ? `without ${props.without.map((prop) => PROP_WORDS[prop]).join(', ')}` : '',
    keeps ? `keeps ${keeps.join(', ')}` : '',
  ].filter(Boolean);
}

/** "2 blocks under hand (support)". */
function addedWords({ prop, place, role, count }: PropUse): string {
  return `${count > 1 ? `${count} ` : ''}${PROP_WORDS[prop]} ${place} (${role})`;
}

function gearLine({ springs, ...parts }: Gear): string {
  const on = STRENGTHS.flatMap((strength) =>
    springs?.[strength] === undefined ? [] : [`${strength} ${springs[strength]}`],
  );
  return [
    ...(springs ? [`springs ${on.join(', ')}`] : []),
    ...Object.entries(parts).map(([name, value]) => `${name} ${value}`),
  ].join('; ');
}

function quoted(note: string): string[] {
  return note === '' ? [] : note.split('\n').map((line) => `> ${line}`);
}
