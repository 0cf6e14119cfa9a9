import { changedParts, gearAfter, springsChanged, type Gear } from '../../movement/gear.ts';
import { isOverTheBar } from '../../movement/over-the-bar.ts';
import { BY_FEET } from '../choice-tests.ts';
import { criterion, rounded, shareAt, type Criterion, type Drafted } from './drafted.ts';

const FEET_S = 240;
const MOST = { changes: 3, springs: 2.4, turns: 7 } as const;
const KNEELS_FROM = 0.3;
const STANDS_FROM = 0.4;

/** On the reformer: feet first, gear set seldom, lying first and standing last. Common practice. */
export function machineCriteria(drafted: Drafted): Criterion[] {
  const { type, done, worked, timeline } = drafted;
  if (type !== 'machine') return [];
  const feetS = done
    .filter(({ exercise }) => BY_FEET.includes(exercise ?? ''))
    .reduce((sum, { durationS }) => sum + durationS, 0);
  const isUp = ({ exercise, position }: (typeof done)[number]) =>
    position === 'standing' && !isOverTheBar(exercise ?? '');
  const stands = done.findIndex(isUp);
  const down = stands < 0 ? [] : done.slice(stands).filter(({ position }) => position === 'supine');
  const soon = done.filter(
    (item) =>
      (item.position === 'kneeling' && shareAt(drafted, item) < KNEELS_FROM) ||
      (isUp(item) && shareAt(drafted, item) < STANDS_FROM),
  );
  const tens = timeline.totalS / 600;
  const gear = gearChanges(worked);
  return [
    criterion('footwork', feetS >= FEET_S, `${feetS} s`),
    criterion(
      'up once',
      down.length === 0,
      down.map(({ name }) => name).join(', '),
      down.map(({ exercise }) => exercise),
    ),
    criterion(
      'not up too soon',
      soon.length === 0,
      soon.map(({ name }) => name).join(', '),
      soon.map(({ exercise }) => exercise),
    ),
    criterion(
      'gear',
      gear.changes / tens <= MOST.changes,
      `${rounded(gear.changes / tens)} in 10 min`,
      [aloneOnItsSetting(worked)],
    ),
    criterion(
      'springs',
      gear.springs / tens <= MOST.springs,
      `${rounded(gear.springs / tens)} in 10 min`,
      [aloneOnItsSetting(worked)],
    ),
    criterion('turned round', gear.turns <= MOST.turns, `${gear.turns} times`, [
      aloneIn(worked, (gear) => gear?.facing) ?? aloneOnItsSetting(worked),
    ]),
    criterion('box once', gear.boxes.length <= new Set(gear.boxes).size, gear.boxes.join(', ')),
  ];
}

function gearChanges(worked: Drafted['worked']) {
  const counted = { changes: 0, springs: 0, turns: 0, boxes: [] as string[] };
  let before: Gear | undefined;
  for (const { gear } of worked) {
    const after = gearAfter(before, gear);
    const parts = changedParts(before, after);
    if (parts.length > 0) counted.changes += 1;
    if (before && springsChanged(before, after) > 0) counted.springs += 1;
    if (parts.includes('facing')) counted.turns += 1;
    const box = after?.box ?? 'none';
    if (box !== 'none' && box !== (before?.box ?? 'none')) counted.boxes.push(box);
    before = after;
  }
  return counted;
}

/** The last exercise for which alone the machine is set anew: what it costs least to do without. */
export const aloneOnItsSetting = (worked: Drafted['worked']) => aloneIn(worked, settingAt);

const settingAt = (gear: Gear | undefined) => JSON.stringify(gear);

/**
 * The last for which alone the machine is set so, beside others of its part that are done on other settings; how a class
 * ends is left as it is.
 */
function aloneIn(
  worked: Drafted['worked'],
  settingOf: (gear: Gear | undefined) => string | undefined,
): string | undefined {
  const close = worked.at(-1)?.timed.segmentId;
  return worked.findLast(({ timed, gear }, at) => {
    const [before, after] = [worked[at - 1], worked[at + 1]];
    const isOther = (other: typeof before) => other && settingOf(other.gear) !== settingOf(gear);
    const isBeside = (other: typeof before) => other?.timed.segmentId === timed.segmentId;
    return (
      timed.segmentId !== close &&
      isOther(before) &&
      isOther(after) &&
      (isBeside(before) || isBeside(after))
    );
  })?.exercise.slug;
}
