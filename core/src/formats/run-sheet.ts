import type { Analysis } from '../analyse.ts';
import { aidOf } from '../body/aids/aids.ts';
import type { Catalogue } from '../movement/catalogue.ts';
import type { Exercise, Option } from '../movement/exercise.ts';
import { describeDose } from '../movement/dose.ts';
import type { Machine } from '../movement/vocabulary.ts';
import { capital, inSentence, PLACE_WORDS, PROP_WORDS } from '../movement/words.ts';
import {
  exerciseItemsOf,
  itemsOf,
  offeredOptions,
  type ExerciseItem,
  type Plan,
} from '../plan/plan.ts';
import type { Choice } from '../people/choice.ts';
import { markHow } from '../people/say-choice.ts';
import { passWords } from '../plan/bracket-words.ts';
import { rulesOf } from '../plan/schools.ts';
import { showClock } from '../plan/show-time.ts';
import type { TimedItem, TimedSegment } from '../plan/timing/timeline.ts';
import { isMixed } from '../plan/tracks.ts';
import { doseOf } from '../plan/usual.ts';
import { variantsOf, type DoneVariant } from '../plan/variants.ts';
import { GEAR_PART_WORDS, gearWords, partWords } from '../room/gear-words.ts';
import { gearChart, type GearChart } from '../room/gear-chart.ts';
import type { Person } from '../people/person.ts';
import { ownSettings } from '../room/own-settings.ts';
import type { Machines } from '../room/machines.ts';

/** A version to tell, most supported first, with the people it suits where names are wanted. */
export interface SheetVersion {
  name: string;
  people: string[];
}

export interface SheetRow {
  at: string;
  name: string;
  dose: string;
  versions: SheetVersion[];
  /** What everyone changes on the machine before it. */
  change: string;
  note: string;
  /** What is drawn and said; nothing for a pause. */
  exercise?: Exercise;
  option?: Option;
}

/** A prop to lay out: how many, from when on, and what stands in for what the studio lacks. */
export interface SheetProp {
  name: string;
  inAll: number;
  /** Most in use at one moment. */
  atOnce: number;
  from: string;
  /** Empty when there are enough. */
  lacking: string;
}

/** A class on paper: what to lay out, clock times, counts, versions to tell. Nobody's health. */
export interface RunSheet {
  title: string;
  facts: string;
  note: string;
  layOut: { title: string; words: string }[];
  parts: { name: string; lasts: string; rows: SheetRow[] }[];
  props: SheetProp[];
  /** The machine over the class; without rows on the mat. */
  gear: Pick<GearChart, 'parts'> & {
    rows: { at: string; name: string; bands: GearChart['rows'][number]['bands'] }[];
  };
  /** Who sets the machine otherwise all class long, where names are wanted. */
  ownSettings: { words: string; people: string[] }[];
}

interface SheetInput {
  plan: Plan;
  catalogue: Catalogue;
  analysis: Analysis;
  machines: Machines;
  /** Day and place in words, such as "Thursday 3 December, 18:15"; empty when the class has no day. */
  when: string;
  /** How a second of the class is told: the time of day, or minutes from the start. */
  clock?: (atS: number) => string;
  /** First names by person, where names are wanted on paper. */
  names?: ReadonlyMap<string, string>;
  /** Who comes: what they set otherwise is told beside their names. */
  people?: readonly Pick<Person, 'id' | 'springs' | 'statureCm'>[];
}

export function runSheet(input: SheetInput): RunSheet {
  const { plan, analysis, when, clock = showClock } = input;
  const { timeline } = analysis;
  const coming = analysis.options.choices.size;
  const minutes = (seconds: number) => Math.round(seconds / 60);
  const items = new Map(itemsOf(plan).map((item) => [item.id, item]));
  return {
    title: plan.title,
    facts: [
      when,
      `${isMixed(plan) ? 'mat and reformer in two groups' : plan.machine}, ${minutes(plan.targetS)} min`,
      coming > 0 ? `${coming} coming` : '',
      `likely ${minutes(timeline.likely.lowS)} to ${minutes(timeline.likely.highS)} min`,
    ]
      .filter(Boolean)
      .join(' · '),
    note: plan.note,
    layOut: layOut(input),
    props: analysis.props.map((need) => ({
      name: PROP_WORDS[need.prop],
      inAll: need.inAll,
      atOnce: need.peak,
      from: clock(need.spans[0]?.startS ?? 0),
      lacking: need.short > 0 ? `${need.short} short: ${need.standsIn}` : '',
    })),
    gear: gearOf(input, clock),
    ownSettings: whoSetsWhat(input),
    parts: withChangeOver(input, clock, (segment, again) => ({
      name: again ? `${capital(PLACE_WORDS[again.station])}: ${segment.name}` : segment.name,
      lasts: again
        ? `${showClock(segment.durationS)}, again at ${clock(segment.startS + again.laterS)}`
        : showClock(segment.durationS),
      rows: segment.items.map((timed): SheetRow => {
        const item = items.get(timed.itemId);
        const at = clock(timed.startS);
        if (item?.kind !== 'exercise') {
          const dose = showClock(timed.durationS);
          const note = item?.note ?? '';
          return { at, name: timed.name, dose, versions: [], change: '', note };
        }
        const row = { at, ...exerciseRow(item, timed, input) };
        // What is done again is told in one line, without its picture: it was explained the first time.
        const { name, dose } = row;
        const isAgain = (timed.pass?.number ?? 1) > 1;
        return isAgain ? { at, name, dose, versions: [], change: '', note: '' } : row;
      }),
    })),
  };
}

/** Where a part is done by one group after the other: the place, and how much later the second begins it. */
interface Again {
  station: Machine;
  laterS: number;
}

/** The parts in turn; of two groups the halves one after the other, and then that they change over. */
function withChangeOver(
  { plan, analysis }: SheetInput,
  clock: (atS: number) => string,
  tell: (segment: TimedSegment, again: Again | undefined) => RunSheet['parts'][number],
): RunSheet['parts'] {
  const { segments } = analysis.timeline;
  if (!isMixed(plan)) return segments.map((segment) => tell(segment, undefined));
  const stations = new Map(plan.segments.map(({ id, station }) => [id, station]));
  const apart = segments.filter(({ segmentId }) => stations.get(segmentId));
  const startS = Math.min(...apart.map((segment) => segment.startS));
  const endS = Math.max(...apart.map((segment) => segment.startS + segment.durationS));
  const { durationS } = plan.changeOver;
  const change = {
    name: 'Change over',
    lasts: showClock(durationS),
    rows: [
      {
        at: clock(endS),
        name: 'Change over, water',
        dose: showClock(durationS),
        versions: [],
        change: '',
        note: 'Then each group does what the other did.',
      },
    ],
  };
  const last = apart.at(-1);
  return segments.flatMap((segment) => {
    const station = stations.get(segment.segmentId);
    const again = station && { station, laterS: endS + durationS - startS };
    const told = tell(segment, again);
    return segment === last ? [told, change] : [told];
  });
}

function gearOf(
  { plan, analysis, machines, catalogue }: SheetInput,
  clock: (atS: number) => string,
) {
  const items = new Map(exerciseItemsOf(plan).map((item) => [item.id, item]));
  /** The same exercise in one way only is told by that way. */
  const nameOf = (itemId: string) => {
    const [item, name] = [items.get(itemId), timed.get(itemId)?.name ?? ''];
    const [only, more] = item?.variants ? [] : (item?.options ?? []);
    if (!item || only === undefined || more !== undefined) return name;
    const option = catalogue.get(item.exercise)?.options[only - 1];
    return option ? `${name}, ${inSentence(option.name)}` : name;
  };
  const { parts, rows } = gearChart(analysis.gear, machines);
  const timed = new Map(analysis.timeline.items.map((item) => [item.itemId, item]));
  return {
    parts,
    rows: rows.map(({ itemId, bands }) => ({
      at: clock(timed.get(itemId)?.startS ?? 0),
      name: nameOf(itemId),
      bands,
    })),
  };
}

function whoSetsWhat({ analysis, names, people = [] }: SheetInput): RunSheet['ownSettings'] {
  if (!names || analysis.gear.length === 0) return [];
  const told = people.flatMap((person) =>
    ownSettings(person).map((words) => ({ words, name: names.get(person.id) ?? [] })),
  );
  return [...new Set(told.map(({ words }) => words))].sort().map((words) => ({
    words,
    people: told.filter((each) => each.words === words).flatMap(({ name }) => name),
  }));
}

function exerciseRow(
  item: ExerciseItem,
  timed: TimedItem,
  input: SheetInput,
): Omit<SheetRow, 'at'> {
  const { plan, catalogue } = input;
  const exercise = catalogue.require(item.exercise);
  const option = exercise.options[(timed.option ?? exercise.standard) - 1];
  const side = timed.pass?.side;
  const done = side ? { ...item, onlySide: side } : item;
  const variants = variantsOf(done, exercise, rulesOf(plan.school));
  const pass = timed.pass?.side ? '' : passWords(timed);
  return {
    name: pass ? `${exercise.name}, ${pass}` : exercise.name,
    ...(variants.length > 0
      ? seriesOf(item, exercise, variants, input)
      : {
          dose: describeDose(doseOf(done, exercise, rulesOf(plan.school))),
          versions: versionsOf(item, exercise, input),
        }),
    change: changeBefore(item.id, input),
    note: item.note,
    exercise,
    ...(option ? { option } : {}),
  };
}

/** A series on one line: the counts in turn, what they are of, and who stops on the way. */
function seriesOf(
  item: ExerciseItem,
  exercise: Exercise,
  variants: readonly DoneVariant[],
  input: SheetInput,
): Pick<SheetRow, 'dose' | 'versions'> {
  const last = Math.max(...variants.map(({ option }) => option.number));
  const others = (input.analysis.options.versions.get(item.id) ?? []).filter(
    ({ choice }) => choice.kind !== 'option' || choice.option !== last,
  );
  const own = others.length > 0 ? versionsOf(item, exercise, input) : [];
  const names = variants.map(({ option }) => inSentence(option.name));
  return {
    dose: variants.map(({ dose }) => describeDose(dose).replace(/ times$/, '')).join(' · '),
    versions: [
      { name: names.join(' · '), people: [] },
      ...own.filter(({ name }) => name !== inSentence(exercise.options[last - 1]?.name ?? '')),
    ],
  };
}

function versionsOf(item: ExerciseItem, exercise: Exercise, input: SheetInput): SheetVersion[] {
  const { analysis, catalogue, names } = input;
  const chosen = analysis.options.versions.get(item.id) ?? [];
  if (chosen.length === 0) {
    return offeredOptions(item, exercise).map((number) => ({
      name: inSentence(exercise.options[number - 1]?.name ?? ''),
      people: [],
    }));
  }
  const named = (id: string): string[] => {
    const name = names?.get(id);
    const own = analysis.options.choices.get(id)?.get(item.id);
    const marks = own && own.kind !== 'rest' ? markHow(own.how) : [];
    if (name === undefined) return [];
    return [marks.length > 0 ? `${name} (${marks.join(', ')})` : name];
  };
  return chosen.map(({ choice, people }) => ({
    name: wayOf(choice, exercise, catalogue),
    people: people.flatMap(named),
  }));
}

/** A version as it is told: the option with what must be said of it, never why. */
function wayOf(choice: Choice, exercise: Exercise, catalogue: Catalogue): string {
  switch (choice.kind) {
    case 'option': {
      const told = choice.how?.aids.map(aidOf).filter(({ isTold }) => isTold) ?? [];
      const name = inSentence(exercise.options[choice.option - 1]?.name ?? '');
      return [name, ...told.map((aid) => aid.name)].join(', ');
    }
    case 'swap':
      return `${catalogue.require(choice.exercise).name} instead`;
    case 'rest':
      return 'rest';
  }
}

function changeBefore(itemId: string, { analysis, machines }: SheetInput): string {
  const block = analysis.gear.find(({ itemIds }) => itemIds[0] === itemId);
  if (!block || block.changes.length === 0) return '';
  return block.changes
    .map((part) =>
      part === 'facing'
        ? `turn round, ${partWords(block.gear, part, machines)}`
        : `${GEAR_PART_WORDS[part]} ${partWords(block.gear, part, machines)}`,
    )
    .join(', ');
}

function layOut({ analysis, machines, names, plan }: SheetInput): RunSheet['layOut'] {
  const coming = analysis.options.choices.size;
  const [first] = analysis.gear;
  const kits = analysis.props.map((need) => ({
    words: `${need.inAll} × ${PROP_WORDS[need.prop]}`,
    isForAll: need.people.length === coming,
    each: need.people.length > 0 ? Math.round(need.inAll / need.people.length) : 1,
    prop: PROP_WORDS[need.prop],
    who: names ? need.people.map((id) => names.get(id) ?? '').filter(Boolean) : [],
  }));
  const forAll = kits.filter(({ isForAll }) => isForAll);
  const forSome = kits.filter(({ isForAll }) => !isForAll);
  const entries = [
    {
      title: 'Every machine',
      words: first ? gearWords(first.gear, machines).join(', ') : '',
    },
    {
      title: plan.machine === 'mat' ? 'Each mat' : 'Beside each machine',
      words: forAll.map(({ each, prop }) => `${each} ${prop}`).join(' · '),
    },
    {
      title: 'For some',
      words: forSome
        .map(({ words, who }) => (who.length > 0 ? `${words} (${who.join(', ')})` : words))
        .join(' · '),
    },
  ];
  return entries.filter(({ words }) => words !== '');
}
