import { BACK_PARTS } from '../trunk-curve.ts';
import {
  SIDE_MEASURES,
  WHOLE_MEASURES,
  type MeasureUnit,
  type SideMeasure,
  type WholeMeasure,
} from './measure-names.ts';
import type { OptionMeasures, Peak } from './measures-of.ts';

/** One measure as it is told; undefined is unknown. */
export interface MeasureLine {
  id: WholeMeasure | SideMeasure;
  name: string;
  unit: MeasureUnit;
  whole?: Peak | undefined;
  right?: Peak | undefined;
  left?: Peak | undefined;
}

const BACK_WORDS = { low: 'low back', mid: 'middle back', up: 'upper back', neck: 'neck' } as const;
const WAY_WORDS = {
  round: 'rounding',
  arch: 'arching',
  side: 'side-bending',
  turn: 'turning',
} as const;
const WAYS = ['round', 'arch', 'side', 'turn'] as const;

/** Every measure in a fixed order, the back's bends first. */
export function measureLines({ whole, sides }: OptionMeasures): MeasureLine[] {
  const bends = WAYS.flatMap((way) =>
    BACK_PARTS.map((part): MeasureLine => {
      const id = `${way} ${part}` as const;
      return { id, name: `${WAY_WORDS[way]}, ${BACK_WORDS[part]}`, unit: '°', whole: whole[id] };
    }),
  );
  const others = entriesOf(WHOLE_MEASURES).map(([id, { name, unit }]): MeasureLine => ({
    id,
    name,
    unit,
    whole: whole[id],
  }));
  const paired = entriesOf(SIDE_MEASURES).map(([id, { name, unit }]): MeasureLine => ({
    id,
    name,
    unit,
    right: sides.right[id],
    left: sides.left[id],
  }));
  return [...bends, ...others, ...paired];
}

function entriesOf<Key extends string, Value>(record: Record<Key, Value>): [Key, Value][] {
  return Object.entries(record) as [Key, Value][];
}

const SHOWN: Record<MeasureUnit, (value: number) => string> = {
  w: (value) => `${Math.round(value * 100)} % of weight`,
  '°': (value) => `${Math.round(value)}°`,
  '‰': (value) => `${Math.round(value)} ‰`,
  cm: (value) => `${Math.round(value)} cm`,
  N: (value) => `${Math.round(value)} N`,
  share: (value) => `${Math.round(value * 100)} %`,
};

/** Seconds of work in which the greater side's measure is near its peak; of a measure that is unknown, none. */
export function nearSeconds({ whole, right, left }: MeasureLine, workS: number): number {
  const sides = [right, left].flatMap((side) => side ?? []);
  const most = whole ?? sides.sort((a, b) => b.peak - a.peak)[0];
  return most ? Math.round(most.nearShare * workS) : 0;
}

/** "31 % of weight", "right 12°, left 40°", "unknown"; undefined where there is nothing of it. */
export function showMeasure({ unit, whole, right, left }: MeasureLine): string | undefined {
  const show = (peak: Peak) => SHOWN[unit](peak.peak);
  const isNothing = (peak: Peak) => show(peak) === SHOWN[unit](0);
  if (whole) return isNothing(whole) ? undefined : show(whole);
  if (!right || !left) return 'unknown';
  if (isNothing(right) && isNothing(left)) return undefined;
  return show(right) === show(left) ? show(right) : `right ${show(right)}, left ${show(left)}`;
}
