import type { Plan } from '../plan/plan.ts';
import { showClock } from '../plan/show-time.ts';
import type { Timeline } from '../plan/timing/timeline.ts';
import type { OpenFinding, Repair } from './rule.ts';

/** The finding whose repairs take longer to find than a press of a key may take. */
export const FITS_ITS_PART = 'fits-its-part';

/** How far a part may be off: a forecast knows no better. Common practice. */
const OFF = { leastS: 45, share: 0.15 } as const;

interface PartInput {
  plan: Plan;
  timeline: Pick<Timeline, 'segments'>;
  /** What would make the part with these items so many seconds longer, or shorter where negative. */
  fitPart: (itemIds: ReadonlySet<string>, changeS: number, lastsS: number) => readonly Repair[];
}

/** Parts that last longer or shorter than they are meant to. */
export function partFindings({ plan, timeline, fitPart }: PartInput): OpenFinding[] {
  return plan.segments.flatMap(({ id, name, targetS, items }): OpenFinding[] => {
    const lasts = timeline.segments.find(({ segmentId }) => segmentId === id)?.durationS ?? 0;
    if (targetS === undefined || items.length === 0) return [];
    const overS = lasts - targetS;
    if (Math.abs(overS) <= Math.max(OFF.leastS, OFF.share * targetS)) return [];
    return [
      {
        rule: FITS_ITS_PART,
        kind: 'shape',
        binding: false,
        statement: 'A part lasts as long as it is meant to.',
        why: 'What one part takes is what another loses, most often the last.',
        key: `part ${id}`,
        itemIds: items.map((item) => item.id),
        sentence: `${name} takes ${showClock(lasts)}, ${showClock(Math.abs(overS))} ${overS > 0 ? 'more' : 'less'} than the ${showClock(targetS)} it is meant to.`,
        repairs: () => fitPart(new Set(items.map((item) => item.id)), -overS, lasts),
      },
    ];
  });
}
