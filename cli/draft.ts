import { draftPlan, type DraftResult } from '@wrenfern/core/draft/draft-plan';
import type { Solve } from '@wrenfern/core/draft/solver';
import { checkWishes, type DraftWishes } from '@wrenfern/core/draft/wishes';
import { describeDose } from '@wrenfern/core/movement/dose';
import { listWords, PLACE_WORDS } from '@wrenfern/core/movement/words';
import type { Person } from '@wrenfern/core/people/person';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { showClock } from '@wrenfern/core/plan/show-time';
import { doseOf } from '@wrenfern/core/plan/usual';
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
  return isJson ? JSON.stringify(step.value, null, 2) : tell(step.value);
}

function tell(result: DraftResult): string {
  if (result.kind === 'conflict') {
    return `These can't be had together: ${listWords(result.wishes)}. Let go of one of them.`;
  }
  if (result.kind === 'not-found') {
    return 'No class was found in time, and nothing shows that there is none. Wish for less, or try another seed.';
  }
  return result.proposals
    .map(({ name, character, plan, reasons, findings }) => {
      const lines = [`${name}. ${character}`, `  ${findings} left to settle`];
      for (const segment of plan.segments) {
        const where = segment.station ? `, ${PLACE_WORDS[segment.station]}` : '';
        lines.push(`  ${segment.name}${where}`);
        for (const item of segment.items) {
          if (item.kind === 'pause') {
            lines.push(`    ${item.label}, ${showClock(item.durationS)}`);
            continue;
          }
          const exercise = builtInCatalogue.require(item.exercise);
          const dose = describeDose(doseOf(item, exercise, rulesOf(plan.school)));
          lines.push(`    ${exercise.name}, ${dose}. ${reasons[item.id] ?? ''}`);
        }
      }
      return lines.join('\n');
    })
    .join('\n\n');
}
