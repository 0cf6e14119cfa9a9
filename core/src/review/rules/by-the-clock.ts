import { tempoOf } from '../../movement/exercise.ts';
import type { SingleEdit } from '../../plan/edits.ts';
import { secondsOf } from '../../plan/timing/timeline.ts';
import type { Problem, Repair, Rule, RuleContext, Worked } from '../rule.ts';

/** How much of the work goes by the clock, at the least. Common practice. */
const SHARE = 0.75;

/** What is done bone by bone or breath by breath has its own time. */
const NOT_BY_THE_CLOCK: ReadonlySet<string> = new Set([
  'articulate-small',
  'articulate-large',
  'breath',
  'roll-down',
]);

export const byTheClock: Rule = {
  id: 'by-the-clock',
  name: 'By the clock',
  statement:
    'The work goes by the clock, three quarters of it at the least; breath and what moves bone by bone never do.',
  kind: 'shape',
  why: 'A clock drives; it suits what can be done at anybody’s level for as long as it runs, and hurries what is felt for.',
  usually: 'off',
  speaksFrom: 'class',
  find: (context) => [...hurried(context), ...tooLittle(context)],
};

function isFelt({ exercise, option, item }: Worked): boolean {
  const tempo = item.tempo ?? tempoOf(exercise, option);
  return exercise.family === 'awareness' || NOT_BY_THE_CLOCK.has(tempo);
}

function hurried({ worked }: RuleContext): Problem[] {
  return worked
    .filter((each) => each.dose.kind === 'timed' && isFelt(each))
    .map(({ exercise, item }) => ({
      key: item.id,
      itemIds: [item.id],
      sentence: `${exercise.name} goes by the clock, and is felt bone by bone or breath by breath.`,
      candidates: () => [
        {
          label: 'By its own count',
          edit: { type: 'setDose' as const, itemId: item.id, dose: exercise.dose },
        },
      ],
    }));
}

function tooLittle({ worked, school }: RuleContext): Problem[] {
  const work = worked.filter(isWork);
  const seconds = (of: readonly Worked[]) =>
    of.reduce((sum, { timed }) => sum + secondsOf(timed, 'work', 'set-rest'), 0);
  const all = seconds(work);
  const clocked = seconds(work.filter(({ dose }) => dose.kind === 'timed'));
  if (all === 0 || clocked >= SHARE * all) return [];
  const percent = Math.round((100 * clocked) / all);
  return [
    {
      key: 'share',
      itemIds: [],
      sentence: `${percent} % of the work goes by the clock; three quarters do, or it is another kind of class.`,
      candidates: () => allByTheClock(work, school),
    },
  ];
}

/** Each side is an interval of its own. */
function allByTheClock(work: readonly Worked[], { defaults }: RuleContext['school']): Repair[] {
  const { onS, offS } = defaults.dose.kind === 'timed' ? defaults.dose : USUAL;
  const edits = work
    .filter(({ dose, item }) => dose.kind !== 'timed' && !item.variants)
    .map(({ item, dose }): SingleEdit => {
      const { sets, sides, directions } = dose;
      const timed = { kind: 'timed' as const, onS, offS, rounds: 1, sets, sides, directions };
      return { type: 'setDose', itemId: item.id, dose: timed };
    });
  if (edits.length === 0) return [];
  const label = `All work by the clock, ${onS} s and ${offS} s to change`;
  return [{ label, edit: { type: 'together', edits } }];
}

const USUAL = { onS: 45, offS: 15 } as const;

/** Warming up and letting go are by count. */
const WORK = 2;

function isWork(each: Worked): boolean {
  return each.exercise.family !== 'release' && !isFelt(each) && each.timed.effort >= WORK;
}
