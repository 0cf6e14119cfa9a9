import { plainWork } from '@wrenfern/core/plan/timing/plain-length';
import { measureLines, nearSeconds, showMeasure } from '@wrenfern/core/body/measures/measure-lines';
import { measuresOf } from '@wrenfern/core/body/measures/measures-of';
import type { Option } from '@wrenfern/core/movement/exercise';
import { measuredDemands } from '@wrenfern/core/people/demands';
import { builtInCatalogue } from '@wrenfern/library';
import { countFlag } from './count-flag.ts';
import { Refusal } from './refusal.ts';

interface MeasureWishes {
  option?: string | undefined;
  side?: string | undefined;
  isJson: boolean;
}

/** What the body model sees in the options of an exercise, of both sides or of one. */
export function measures(slug: string, { option, side, isJson }: MeasureWishes): string {
  const exercise = builtInCatalogue.get(slug);
  if (!exercise) throw new Refusal(`there is no exercise "${slug}"; try "wrenfern catalogue"`);
  if (side !== undefined && side !== 'right' && side !== 'left') {
    throw new Refusal(`--side is right or left, not "${side}"`);
  }
  const number = option && countFlag('--option', option, exercise.options.length);
  const options = exercise.options.filter((each) => !number || each.number === number);
  const found = options.map((each) => {
    const work = plainWork(exercise, each);
    return {
      option: each.number,
      name: each.name,
      demands: [...measuredDemands(each)],
      byHand: each.demands,
      ...work,
      measures: linesOf(each, side).map((line) => ({
        ...line,
        nearS: nearSeconds(line, work.workS),
      })),
    };
  });
  if (isJson) return JSON.stringify({ slug, options: found }, null, 2);
  return found
    .map(({ option: at, name, measures: lines, demands, byHand, workS, count }) =>
      [
        `${exercise.name}, option ${at}: ${name} (${count} ×, ${workS} s)`,
        ...lines.flatMap((line) => {
          const shown = showMeasure(line);
          return shown ? [`  ${line.name}: ${shown}, near it for ${line.nearS} s`] : [];
        }),
        `  makes the demands: ${demands.join(', ') || 'none'}; by hand besides: ${byHand.join(', ') || 'none'}`,
      ].join('\n'),
    )
    .join('\n\n');
}

function linesOf(option: Option, side: 'right' | 'left' | undefined) {
  const lines = measureLines(measuresOf(option));
  if (!side) return lines;
  // Of one side alone: what is told for the other is that side's again.
  return lines.map((line) =>
    'whole' in line ? line : { ...line, right: line[side], left: line[side] },
  );
}
