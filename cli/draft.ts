import { draftPlan, type DraftResult } from '@wrenfern/core/draft/draft-plan';
import type { Solve } from '@wrenfern/core/draft/solver';
import { checkWishes, type DraftWishes } from '@wrenfern/core/draft/wishes';
import { capital, listWords, PLACE_WORDS } from '@wrenfern/core/movement/words';
import { analyse } from '@wrenfern/core/analyse';
import type { Person } from '@wrenfern/core/people/person';
import { bracketWords } from '@wrenfern/core/plan/bracket-words';
import { runsOf } from '@wrenfern/core/plan/occurrences';
import type { Item, Plan } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { showClock } from '@wrenfern/core/plan/show-time';
import { describeItemDose } from '@wrenfern/core/plan/variants';
import { settingWords } from '@wrenfern/core/room/gear-words';
import { PLAIN_MACHINES } from '@wrenfern/core/room/machines';
import { builtInCatalogue } from '@wrenfern/library';
import { showPath } from './read-json.ts';
import { Refusal } from './refusal.ts';

interface DraftInput {
  path: string;
  wishes: DraftWishes;
  people: readonly Person[];
  day: string;
  isJson: boolean;
  solve: Solve | undefined;
}

/** Three proposals in words, or as data; or the wishes that are in the way of one another. */
export function draft({ path, wishes, people, day, isJson, solve }: DraftInput): string {
  if (!solve) throw new Error('a draft needs the solver');
  const problems = checkWishes(wishes, builtInCatalogue);
  if (problems.length > 0) {
    const lines = problems.map((problem) => `  ${showPath(problem.path)}: ${problem.message}`);
    throw new Refusal(`${path} does not fit the catalogue:\n${lines.join('\n')}`);
  }
  const attendees = people.map((person) => ({ person }));
  const search = draftPlan(
    wishes,
    { catalogue: builtInCatalogue, attendees, day, timing: {} },
    solve,
  );
  let step = search.next();
  while (!step.done) step = search.next();
  return isJson ? JSON.stringify(step.value, null, 2) : tell(step.value, day);
}

function tell(result: DraftResult, day: string): string {
  if (result.kind === 'conflict') {
    return `These can't be had together: ${listWords(result.wishes)}. Let go of one of them.`;
  }
  if (result.kind === 'not-found') {
    return 'No class was found in time, and nothing shows that there is none. Wish for less, or try another seed.';
  }
  return result.proposals
    .map(({ name, character, plan, reasons, findings }) => {
      const context = { attendees: [], cupboard: {}, day };
      const { gear } = analyse(plan, builtInCatalogue, context);
      const lines = [`${name}. ${character}`, `  ${findings} left to settle`];
      for (const segment of plan.segments) {
        const where = segment.station ? `, ${PLACE_WORDS[segment.station]}` : '';
        lines.push(`  ${segment.name}${where}`);
        for (const { bracket, items } of runsOf(segment, plan.brackets)) {
          if (bracket) lines.push(`    ${capital(bracketWords(bracket))}:`);
          const indent = bracket ? '      ' : '    ';
          for (const item of items) {
            const set = gear.find(({ itemIds }) => itemIds[0] === item.id);
            if (set) lines.push(`${indent}[${settingWords(set, PLAIN_MACHINES)}]`);
            lines.push(`${indent}${tellItem(item, plan)} ${reasons[item.id] ?? ''}`.trimEnd());
          }
        }
      }
      return lines.join('\n');
    })
    .join('\n\n');
}

function tellItem(item: Item, plan: Plan): string {
  if (item.kind === 'pause') return `${item.label}, ${showClock(item.durationS)}`;
  const exercise = builtInCatalogue.require(item.exercise);
  return `${exercise.name}, ${describeItemDose(item, exercise, rulesOf(plan.school))}.`;
}
