import type { Dose } from '../movement/dose.ts';
import type { Exercise } from '../movement/exercise.ts';
import type { Edit } from '../plan/edits.ts';
import { showClock } from '../plan/show-time.ts';
import type { TimedItem } from '../plan/timing/timeline.ts';
import type { OpenFinding, Repair, RuleContext, Worked } from './rule.ts';

/** Nobody notices less than this. */
const TOLERANCE_S = 60;

/** A class well under its time has room for more. */
const UNDER_S = 300;

const CUTS_OFFERED = 2;

type Looked = Pick<RuleContext, 'timeline' | 'worked'>;

/** Whether the class fits its hour, and what would make it fit. */
export function timeFindings({ timeline, worked }: Looked): OpenFinding[] {
  if (timeline.items.length === 0) return [];
  const shared = {
    rule: 'fits-the-hour',
    kind: 'shape' as const,
    binding: true,
    statement: 'The class fits the time it was announced for.',
    key: 'time',
    itemIds: [],
  };
  const range = `likely ${showClock(timeline.likely.lowS)} to ${showClock(timeline.likely.highS)}`;
  if (timeline.overS > TOLERANCE_S) {
    return [
      {
        ...shared,
        why: 'When a class runs late it is the release at the end that gets lost.',
        sentence: `${showClock(timeline.overS)} over ${showClock(timeline.targetS)} (${range}).`,
        repairs: () => rankCuts(worked, timeline.overS),
      },
    ];
  }
  if (timeline.overS < -UNDER_S) {
    return [
      {
        ...shared,
        why: 'There is room for another exercise, a second set or a longer rest.',
        sentence: `${showClock(-timeline.overS)} left of ${showClock(timeline.targetS)} (${range}).`,
        repairs: () => [],
      },
    ];
  }
  return [];
}

/** Repetitions never go below the usual least; sides stay equal because the dose is shared. */
function rankCuts(worked: readonly Worked[], overS: number): Repair[] {
  const cuts = worked.flatMap(({ item, timed, exercise, dose }): Cut[] => {
    // Each variant has its own count, which nobody shortens for the teacher.
    if (item.variants) return [];
    const shorter = shorterDose(dose, exercise);
    if (!shorter) return [];
    const edit: Edit = { type: 'setDose', itemId: item.id, dose: shorter.dose };
    const savedS = secondsSaved(timed, dose, shorter.dose);
    return savedS > 0 ? [{ label: `${exercise.name}: ${shorter.words}`, edit, savedS }] : [];
  });
  cuts.sort((a, b) => b.savedS - a.savedS);
  const single = cuts
    .slice(0, CUTS_OFFERED)
    .map(({ label, edit, savedS }) => ({ label: `${label}, saves ${showClock(savedS)}`, edit }));
  const all = together(cuts, overS);
  return all ? [all, ...single] : single;
}

type Cut = { label: string; edit: Edit; savedS: number };

/** As few cuts as bring the class to its time, or as near as they can, taken together. */
function together(cuts: Cut[], overS: number): Repair | undefined {
  let savedS = 0;
  const taken: Cut[] = [];
  for (const cut of cuts) {
    if (savedS >= overS || cut.savedS <= 0) break;
    taken.push(cut);
    savedS += cut.savedS;
  }
  if (taken.length < 2) return undefined;
  const edits = taken.flatMap((cut) => (cut.edit.type === 'together' ? [] : [cut.edit]));
  const ofAll = savedS < overS ? ` of ${showClock(overS)}` : '';
  return {
    label: `Fewer repetitions in ${taken.length} exercises, saves ${showClock(savedS)}${ofAll}`,
    edit: { type: 'together', edits },
  };
}

/** Only the work itself grows shorter, so nothing else need be laid out again. */
function secondsSaved(item: TimedItem, dose: Dose, shorter: Dose): number {
  if (shorter.sets < dose.sets) {
    const lastSet = item.parts.filter((part) => part.set === dose.sets);
    const between = item.parts.find((part) => part.kind === 'set-rest');
    return lastSet.reduce((sum, part) => sum + part.durationS, between?.durationS ?? 0);
  }
  return item.parts.reduce((sum, part) => {
    const { count, firstS, eachS } = part;
    if (!count || firstS === undefined || eachS === undefined || !('count' in dose)) return sum;
    if (!('count' in shorter)) return sum;
    const left = (count / dose.count) * shorter.count;
    return sum + part.durationS - Math.round(firstS + (left - 1) * eachS);
  }, 0);
}

function shorterDose(dose: Dose, exercise: Exercise): { dose: Dose; words: string } | undefined {
  if (exercise.family === 'release') return undefined;
  if (dose.sets > 1) return { dose: { ...dose, sets: dose.sets - 1 }, words: 'one set less' };
  if (dose.kind !== 'repetitions' && dose.kind !== 'breaths') return undefined;
  const { least } = exercise.usual;
  if (dose.kind !== exercise.dose.kind || dose.count <= least) return undefined;
  const count = Math.max(least, dose.count - 2);
  return { dose: { ...dose, count }, words: `${count} instead of ${dose.count}` };
}
