import { parseArgs } from 'node:util';
import { z } from 'zod';
import { analyse, repairsOf } from '@wrenfern/core';
import type { Solve } from '@wrenfern/core/draft/solver';
import { DraftWishes, SHORTEST_S } from '@wrenfern/core/draft/wishes';
import { ExerciseDocument } from '@wrenfern/core/formats/exercise/exercise-document';
import { levelOf } from '@wrenfern/core/body/load/option-level';
import { loadOf } from '@wrenfern/core/body/load/option-load';
import { skillOf } from '@wrenfern/core/body/load/option-skill';
import { writeExercise } from '@wrenfern/core/formats/exercise/write-exercise';
import { searchCatalogue } from '@wrenfern/core/movement/search';
import { PROPS } from '@wrenfern/core/movement/vocabulary';
import { adviceOf } from '@wrenfern/core/people/advice';
import type { Choice } from '@wrenfern/core/people/choice';
import { chooseOptions } from '@wrenfern/core/people/choose-options';
import { classVerdicts } from '@wrenfern/core/people/class-verdict';
import { People } from '@wrenfern/core/people/person';
import { StoredPlan } from '@wrenfern/core/plan/migrate-plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { doseOf } from '@wrenfern/core/plan/usual';
import {
  checkPlan,
  exerciseItemsOf,
  Plan,
  SCHOOL_IDS,
  type School,
} from '@wrenfern/core/plan/plan';
import type { Cupboard } from '@wrenfern/core/room/props';
import { builtInCatalogue } from '@wrenfern/library';
import { draft } from './draft.ts';
import { figure } from './figure.ts';
import { instead } from './instead.ts';
import { measures } from './measures.ts';
import { order } from './order.ts';
import { markdown, readScribbles, sheet } from './paper.ts';
import { readJson, readText, showPath } from './read-json.ts';
import { Refusal } from './refusal.ts';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { tellExercise, tellFindings, tellOptions } from './tell.ts';
import { fit, time } from './time.ts';

export const USAGE = `wrenfern COMMAND …          (- reads standard input; --json prints data)

  time PLAN.json … [--style NAME] [--pace PACE.json]
                                   total, likely range, every item and where its seconds go
  fit PLAN.json [--to MINUTES] [--people FILE] [--pace PACE.json]
                                   what brings it to a length: change by change, and the best together
  review PLAN.json [--people FILE] what is out of order, why, and what would mend it
  order PLAN.json [--people FILE] [--school NAME] [--seed N] [--across]
                                   the best running order as a list of moves
  draft WISHES.json [--people FILE] [--seed N]
                                   three classes that fulfil the wishes, or which of them are in the way
  instead PLAN.json ITEM [--people FILE] [--wishes WISHES.json]
                                   what could stand in the place of an item, best first, and why
  options PLAN.json PEOPLE.json    who does which option, and why
  read NOTES.txt                   notes as one scribbles them, line by line as they are understood;
                                   with --json the plan they make
  markdown PLAN.json               a plan as Markdown, which "read" reads back
  sheet PLAN.json [--people FILE] [--cards | --set-up | --for NAME] [-o FILE.html]
                                   the run sheet to print, a card an exercise, what to set up, or
                                   the class as one person does it
  catalogue [WORDS]                the exercises; with --json each as its file holds it, with
                                   load, skill and level of its options
  measures SLUG [--option N] [--side left|right]
                                   what the drawn body asks: bends, weight, moments, and unknown
  figure SLUG [--option N] [--pose N] [--view SIDE] [-o FILE.svg]
                                   one key pose as a picture
  schema plan|people|exercise|wishes
                                   the JSON Schema of a document

  --day YYYY-MM-DD                 decides which cautions are in force (today when left out)`;

const SCHEMAS = {
  plan: Plan,
  people: People,
  exercise: ExerciseDocument,
  wishes: DraftWishes,
} as const;

/**
 * Runs one command line; returns what goes to standard output. `today` is year-month-day. `solve` is
 * needed by `draft` only.
 */
export function run(argv: readonly string[], today: string, solve?: Solve): string {
  const { values, positionals } = readArguments(argv);
  const [command, ...operands] = positionals;
  if (values.help || command === undefined) return USAGE;
  needOwnFlags(command, argv);
  const day = values.day ?? today;
  const isJson = values.json;
  switch (command) {
    case 'time': {
      if (operands.length === 0) throw new Refusal(`"time" wants a file, or several\n\n${USAGE}`);
      const { style, pace } = values;
      return time({ plans: operands.map(readPlan), style, pace, isJson });
    }
    case 'fit': {
      const plan = readPlan(only(operands, 1, command)[0]);
      const people = values.people ? readPeople(values.people) : [];
      const { to, pace } = values;
      return fit({ plan, people, cupboard: PLENTY, day, to, pace, isJson });
    }
    case 'review': {
      const plan = readPlan(only(operands, 1, command)[0]);
      const people = values.people ? readPeople(values.people) : [];
      const context = { attendees: people.map((person) => ({ person })), cupboard: PLENTY, day };
      const findings = analyse(plan, builtInCatalogue, context).findings.map((finding) => ({
        ...finding,
        repairs: repairsOf(plan, builtInCatalogue, context, finding),
      }));
      return isJson ? json(findings) : tellFindings(findings);
    }
    case 'order': {
      const plan = inSchool(readPlan(only(operands, 1, command)[0]), values.school);
      const people = values.people ? readPeople(values.people) : [];
      const seed = readSeed(values.seed);
      return order({ plan, people, day, seed, isAcross: values.across, isJson });
    }
    case 'draft': {
      const [path] = only(operands, 1, command);
      const people = values.people ? readPeople(values.people) : [];
      const wishes = readJson(DraftWishes, path, 'a list of wishes');
      const seed = readSeed(values.seed ?? String(wishes.seed));
      return draft({ path, wishes: { ...wishes, seed }, people, day, isJson, solve });
    }
    case 'instead': {
      const [path, what] = only(operands, 2, command);
      const plan = readPlan(path);
      const { machine, school, targetS } = plan;
      const wishes = values.wishes
        ? readJson(DraftWishes, values.wishes, 'a list of wishes')
        : DraftWishes.parse({ machine, school, targetS: Math.max(SHORTEST_S, targetS) });
      const people = values.people ? readPeople(values.people) : [];
      return instead({ plan, what, wishes, people, day, isJson });
    }
    case 'options': {
      const [planPath, peoplePath] = only(operands, 2, command);
      const plan = readPlan(planPath);
      const people = readPeople(peoplePath);
      const options = chooseOptions(
        plan,
        people.map((person) => ({ person })),
        builtInCatalogue,
        day,
      );
      if (!isJson) return tellOptions(plan, people, options, day);
      const choices = [...options.choices].map(([personId, items]) => [
        personId,
        Object.fromEntries(
          [...items].map(([itemId, choice]) => [itemId, advised(plan, itemId, choice)]),
        ),
      ]);
      const verdicts = classVerdicts(
        plan,
        people.map((person) => ({ person })),
        options,
        builtInCatalogue,
        day,
      );
      return json({
        choices: Object.fromEntries(choices) as unknown,
        versions: Object.fromEntries(options.versions),
        verdicts: Object.fromEntries(verdicts),
      });
    }
    case 'read':
      return readScribbles(readText(only(operands, 1, command)[0]), isJson);
    case 'markdown':
      return markdown(readPlan(only(operands, 1, command)[0]));
    case 'sheet': {
      const plan = readPlan(only(operands, 1, command)[0]);
      const people = values.people ? readPeople(values.people) : [];
      const form = values.cards ? 'cards' : values['set-up'] ? 'set-up list' : 'run sheet';
      const { out, for: forWhom } = values;
      return sheet({ plan, people, cupboard: PLENTY, day, out, form, forWhom });
    }
    case 'catalogue': {
      const found = searchCatalogue(builtInCatalogue, operands.join(' '));
      return isJson ? json(found.map(weighed)) : found.map(tellExercise).join('\n');
    }
    case 'measures':
      return measures(only(operands, 1, command)[0], { ...values, isJson });
    case 'figure':
      return figure(only(operands, 1, command)[0], values);
    case 'schema': {
      const [name] = only(operands, 1, command);
      const schema = Object.entries(SCHEMAS).find(([known]) => known === name)?.[1];
      if (!schema)
        throw new Refusal(`there is no schema "${name}"; try plan, people, exercise or wishes`);
      return json(schemaOf(schema));
    }
    default:
      throw new Refusal(`unknown command "${command}"\n\n${USAGE}`);
  }
}

/** A choice with all that is said of it, on the left as well where that is another. */
function advised(plan: Plan, itemId: string, choice: Choice): object {
  const item = exerciseItemsOf(plan).find(({ id }) => id === itemId);
  const exercise = builtInCatalogue.require(item?.exercise ?? '');
  const dose = item ? doseOf(item, exercise, rulesOf(plan.school)) : exercise.dose;
  const { onLeft, ...right } = choice;
  const told = (each: Choice) => adviceOf(each, exercise, builtInCatalogue, dose);
  return {
    ...right,
    ...told(choice),
    ...(onLeft ? { onLeft: { ...onLeft, ...told(onLeft) } } : {}),
  };
}

/** An exercise as its file holds it, each option with what it asks. */
function weighed(exercise: Exercise): object {
  const written = writeExercise(exercise);
  const options = exercise.options.map((option, index) => {
    const { score, level } = levelOf(exercise, option);
    return {
      ...written.options[index],
      load: loadOf(option),
      skill: skillOf(exercise, option),
      level: score,
      levelName: level,
    };
  });
  return { ...written, options };
}

/** A command line knows no cupboard: props are never short. */
const PLENTY: Cupboard = Object.fromEntries(PROPS.map((prop) => [prop, 500]));

/** What a document may hold when it is handed in: fields with a usual value may be left out. */
export function schemaOf(schema: z.ZodType): object {
  return z.toJSONSchema(schema, { io: 'input' });
}

function readArguments(argv: readonly string[]) {
  try {
    return parseArgs({
      args: [...argv],
      allowPositionals: true,
      tokens: true,
      options: {
        json: { type: 'boolean', default: false },
        help: { type: 'boolean', short: 'h', default: false },
        people: { type: 'string' },
        wishes: { type: 'string' },
        day: { type: 'string' },
        option: { type: 'string' },
        pose: { type: 'string' },
        side: { type: 'string' },
        view: { type: 'string' },
        out: { type: 'string', short: 'o' },
        school: { type: 'string' },
        seed: { type: 'string' },
        across: { type: 'boolean', default: false },
        cards: { type: 'boolean', default: false },
        'set-up': { type: 'boolean', default: false },
        for: { type: 'string' },
        style: { type: 'string' },
        pace: { type: 'string' },
        to: { type: 'string' },
      },
    });
  } catch (error) {
    if (error instanceof TypeError) throw new Refusal(error.message);
    throw error;
  }
}

/** The flags that each command has, besides `--help`; any other is refused, for it would do nothing. */
const FLAGS: Readonly<Record<string, readonly Flag[]>> = {
  time: ['json', 'style', 'pace'],
  fit: ['json', 'people', 'day', 'to', 'pace'],
  review: ['json', 'people', 'day'],
  order: ['json', 'people', 'day', 'school', 'seed', 'across'],
  draft: ['json', 'people', 'day', 'seed'],
  instead: ['json', 'people', 'day', 'wishes'],
  options: ['json', 'day'],
  read: ['json'],
  markdown: [],
  sheet: ['people', 'day', 'cards', 'set-up', 'for', 'out'],
  catalogue: ['json'],
  measures: ['json', 'option', 'side'],
  figure: ['option', 'pose', 'view', 'out'],
  schema: ['json'],
};

type Flag = Exclude<keyof ReturnType<typeof readArguments>['values'], 'help'>;

function needOwnFlags(command: string, argv: readonly string[]): void {
  const own = FLAGS[command];
  if (!own) return;
  for (const token of readArguments(argv).tokens) {
    if (token.kind !== 'option' || token.name === 'help') continue;
    if (own.some((flag) => flag === token.name)) continue;
    const known = own.map((flag) => `--${flag}`).join(', ') || 'no flags';
    throw new Refusal(`"${command}" has no ${token.rawName}; it has ${known}`);
  }
}

function only(operands: readonly string[], count: number, command: string): [string, string] {
  if (operands.length !== count) {
    throw new Refusal(`"${command}" wants ${count} ${count === 1 ? 'file' : 'files'}\n\n${USAGE}`);
  }
  return [operands[0] ?? '', operands[1] ?? ''];
}

function readPlan(path: string): Plan {
  const plan = readJson(StoredPlan, path, 'a plan');
  const problems = checkPlan(plan, builtInCatalogue);
  if (problems.length > 0) {
    const lines = problems.map((problem) => `  ${showPath(problem.path)}: ${problem.message}`);
    throw new Refusal(`${path} does not fit the catalogue:\n${lines.join('\n')}`);
  }
  return plan;
}

function readPeople(path: string): People {
  return readJson(People, path, 'a list of people');
}

/** The plan under another school, when one is named. */
function inSchool(plan: Plan, name: string | undefined): Plan {
  if (name === undefined) return plan;
  const school: School | undefined = SCHOOL_IDS.find((id) => id === name);
  if (!school) throw new Refusal(`--school is one of ${SCHOOL_IDS.join(', ')}, not "${name}"`);
  return { ...plan, school };
}

function readSeed(text: string | undefined): number {
  const seed = Number(text ?? 1);
  if (!Number.isInteger(seed) || seed < 0)
    throw new Refusal(`--seed is a whole number, not "${text ?? ''}"`);
  return seed;
}

function json(value: unknown): string {
  return JSON.stringify(value, null, 2);
}
