import { MACHINES, type Machine } from '../movement/vocabulary.ts';
import type { Plan } from '../plan/plan.ts';
import type { Track } from '../plan/tracks.ts';
import type { Attendee } from './attendee.ts';
import type { Choice } from './choice.ts';
import type { OptionsPlan, Version } from './choose-options.ts';
import { versionKey } from './standing.ts';

/**
 * Who begins where in a class of two groups. Whoever was put somewhere stays there; the others, in the order in which
 * they are listed, make both groups as equal as they can be, with no more on the machines than there are.
 */
export function splitGroups<Someone extends Pick<Attendee, 'person' | 'startsOn'>>(
  attendees: readonly Someone[],
  reformers: number,
): Record<Machine, Someone[]> {
  const put = (station: Machine) => attendees.filter(({ startsOn }) => startsOn === station);
  const open = attendees.filter(({ startsOn }) => startsOn === undefined);
  const most = reformers > 0 ? reformers : Infinity;
  const wanted = Math.min(most, Math.ceil(attendees.length / 2)) - put('reformer').length;
  const onMachines = new Set([...put('reformer'), ...open.slice(0, Math.max(0, wanted))]);
  return {
    mat: attendees.filter((each) => !onMachines.has(each)),
    reformer: attendees.filter((each) => onMachines.has(each)),
  };
}

/** Somebody of a track: what was chosen by hand for a written item holds for it there, whatever it is called. */
export function onTrack<Someone extends Pick<Attendee, 'byHand'>>(
  attendee: Someone,
  { written }: Pick<Track, 'written'>,
): Someone {
  const { byHand } = attendee;
  if (!byHand || Object.keys(byHand).length === 0) return attendee;
  const there = [...written].flatMap(([id, own]) => {
    const choice = byHand[own];
    return choice ? [[id, choice] as const] : [];
  });
  return { ...attendee, byHand: { ...byHand, ...Object.fromEntries(there) } };
}

/** The options of both groups under the ids of the written plan: everybody does each item once. */
export function optionsOfBoth(
  plan: Plan,
  tracks: readonly { track: Pick<Track, 'written'>; options: OptionsPlan }[],
): OptionsPlan {
  const choices = new Map<string, ReadonlyMap<string, Choice>>();
  const guarded = new Set<string>();
  const versions = new Map<string, Version[]>();
  const atOnce = new Map<string, number>();
  for (const { track, options } of tracks) {
    const own = (id: string) => track.written.get(id) ?? id;
    options.guarded.forEach((personId) => guarded.add(personId));
    for (const [personId, chosen] of options.choices) {
      choices.set(personId, new Map([...chosen].map(([id, choice]) => [own(id), choice])));
    }
    for (const [id, ways] of options.versions) {
      versions.set(own(id), joined(versions.get(own(id)) ?? [], ways));
    }
    // At one place there is one group at a time.
    for (const [id, ways] of options.atOnce) {
      atOnce.set(own(id), Math.max(atOnce.get(own(id)) ?? 0, ways));
    }
  }
  const items = plan.segments.flatMap((segment) => segment.items);
  const inTurn = items.flatMap(({ id }) => {
    const ways = versions.get(id);
    return ways ? [[id, ways] as const] : [];
  });
  return { choices, versions: new Map(inTurn), atOnce, guarded };
}

function joined(before: readonly Version[], more: readonly Version[]): Version[] {
  const byKey = new Map(before.map((version) => [versionKey(version.choice), version]));
  for (const { choice, people } of more) {
    const key = versionKey(choice);
    byKey.set(key, { choice, people: [...(byKey.get(key)?.people ?? []), ...people] });
  }
  return [...byKey].sort(([a], [b]) => a.localeCompare(b)).map(([, version]) => version);
}

/** Both places, the one with the machines first: what is new is taught there. */
export const STATIONS: readonly Machine[] = MACHINES.toReversed();
