import type { Finding, Repair } from '@wrenfern/core/review/rule';
import { describeDose } from '@wrenfern/core/movement/dose';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { explainReason } from '@wrenfern/core/people/reasons';
import { passWords } from '@wrenfern/core/plan/bracket-words';
import { classVerdicts, sayVerdict } from '@wrenfern/core/people/class-verdict';
import { sayChoice } from '@wrenfern/core/people/say-choice';
import type { OptionsPlan } from '@wrenfern/core/people/choose-options';
import type { Person } from '@wrenfern/core/people/person';
import { exerciseItemsOf, type Plan } from '@wrenfern/core/plan/plan';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { doseOf } from '@wrenfern/core/plan/usual';
import { showClock } from '@wrenfern/core/plan/show-time';
import { shareOfTime, type Timeline } from '@wrenfern/core/plan/timing/timeline';
import { builtInCatalogue } from '@wrenfern/library';

/** The time line in words: total, likely range, every item and where its seconds go. */
export function tellTime(plan: Plan, timeline: Timeline): string {
  const share = shareOfTime(timeline);
  const percent = (value: number) => `${Math.round(value * 100)} %`;
  const over =
    timeline.overS > 0 ? `${showClock(timeline.overS)} over` : `${showClock(-timeline.overS)} left`;
  const lines = [
    plan.title,
    `  ${showClock(timeline.totalS)} of ${showClock(timeline.targetS)} (${over}), likely ${showClock(timeline.likely.lowS)} to ${showClock(timeline.likely.highS)}`,
    `  work ${percent(share.work)}, set-up ${percent(share.setUp)}, words ${percent(share.teaching)}, rest and talk ${percent(share.rest)}`,
  ];
  for (const segment of timeline.segments) {
    lines.push('', `${segment.name}, ${showClock(segment.durationS)}`);
    for (const item of segment.items) {
      lines.push(
        `  ${showClock(item.startS).padStart(5)}  ${[item.name, passWords(item), showClock(item.durationS)].filter(Boolean).join(', ')}`,
      );
      for (const part of item.parts) {
        const side = part.side ? `, ${part.side}` : '';
        lines.push(
          `           ${showClock(part.durationS).padStart(5)}  ${part.kind}${side}: ${part.reason} (${part.source})`,
        );
      }
    }
  }
  return lines.join('\n');
}

/** A finding with its repairs worked out. */
interface Mended extends Finding {
  repairs: readonly Repair[];
}

export function tellFindings(findings: readonly Mended[]): string {
  if (findings.length === 0) return 'Nothing to settle.';
  return findings
    .map((finding) =>
      [
        `${finding.rule}: ${finding.sentence}`,
        `  why: ${finding.why}`,
        ...finding.repairs.map((repair) => `  repair: ${repair.label}`),
      ].join('\n'),
    )
    .join('\n');
}

export function tellOptions(
  plan: Plan,
  people: readonly Person[],
  options: OptionsPlan,
  day: string,
): string {
  const attendees = people.map((person) => ({ person }));
  const verdicts = classVerdicts(plan, attendees, options, builtInCatalogue, day);
  const lines: string[] = [];
  for (const person of people) {
    const verdict = verdicts.get(person.id);
    lines.push(verdict ? `${person.name}: ${sayVerdict(verdict)}` : person.name);
    for (const sentence of verdict?.because ?? []) lines.push(`  ! ${sentence}`);
    for (const item of exerciseItemsOf(plan)) {
      const choice = options.choices.get(person.id)?.get(item.id);
      if (!choice) continue;
      const exercise = builtInCatalogue.require(item.exercise);
      const dose = doseOf(item, exercise, rulesOf(plan.school));
      const done = sayChoice(choice, exercise, builtInCatalogue, dose);
      const why = choice.reasons.map((reason) => explainReason(reason, exercise)).join(' ');
      lines.push(`  ${exercise.name}: ${done}. ${why}`);
    }
  }
  return lines.join('\n');
}

export function tellExercise(exercise: Exercise): string {
  const ladder = exercise.options
    .map(({ number, name }) => `${number} ${name}${number === exercise.standard ? ' *' : ''}`)
    .join(' → ');
  return `${exercise.slug}: ${exercise.name}. ${exercise.position}, ${exercise.moves.join(' ')}, ${describeDose(exercise.dose)}\n  ${ladder}`;
}
