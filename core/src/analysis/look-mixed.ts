import type { Catalogue } from '../movement/catalogue.ts';
import type { Machine } from '../movement/vocabulary.ts';
import { fitRepairs } from '../fit/fit-repairs.ts';
import { fitToTime, inOneGo, type Fit } from '../fit/fit-to-time.ts';
import { thoseWhoCome } from '../people/came.ts';
import { chooseOptions, VERSIONS_AT_ONCE } from '../people/choose-options.ts';
import { onTrack, optionsOfBoth, splitGroups, STATIONS } from '../people/two-groups.ts';
import { applyEdit } from '../plan/apply-edit.ts';
import type { Edit } from '../plan/edits.ts';
import type { Plan } from '../plan/plan.ts';
import { timePlan } from '../plan/timing/time-plan.ts';
import { timelineOfBoth, timeTracks, type TimedTracks } from '../plan/timing/time-tracks.ts';
import { bothHalves, halfAlone, isMixed, type MixedPlan } from '../plan/tracks.ts';
import { coverDirections } from '../review/coverage.ts';
import { groupOf } from '../review/group.ts';
import { machineFindings } from '../review/machine-findings.ts';
import { missingFindings } from '../review/missing-findings.ts';
import { gravestFirst, reviewOrder, type ReviewInput } from '../review/review.ts';
import { partFindings } from '../review/part-findings.ts';
import { roomFindings } from '../review/room-findings.ts';
import { ruleContext } from '../review/rule-context.ts';
import type { OpenFinding } from '../review/rule.ts';
import { RULES } from '../review/rules.ts';
import { sumFindings } from '../review/sum-findings.ts';
import { timeFindings } from '../review/time-findings.ts';
import { twoGroupFindings } from '../review/two-group-findings.ts';
import { gearBlocks } from '../room/gear-blocks.ts';
import { PLAIN_MACHINES } from '../room/machines.ts';
import { propsOfTracks } from '../room/props-of-tracks.ts';
import { timingOf, type ClassContext } from './class-context.ts';
import { orderOf, setItems, tell, type Look } from './look.ts';

/** What is asked of a class as a whole, and not of each of its halves. */
const OF_THE_WHOLE = RULES.filter(({ kind }) => kind === 'coverage');
const OF_A_HALF = RULES.filter(({ kind }) => kind !== 'coverage');

/**
 * A class of two groups that change over. Everybody does every item once, so options, coverage and sums are those of
 * one class; time is that of the longer half; order is looked at in each half as a class of its own.
 */
export function lookAtMixed(plan: MixedPlan, catalogue: Catalogue, booked: ClassContext): Look {
  const context = { ...booked, attendees: thoseWhoCome(booked.attendees) };
  const { attendees, day, cupboard } = context;
  const machines = context.machines ?? PLAIN_MACHINES;
  const timing = timingOf(context);
  const atOnce = context.versionsAtOnce ?? VERSIONS_AT_ONCE;
  const groups = splitGroups(attendees, machines.reformers);
  const lay = (of: Plan) => (isMixed(of) ? timeTracks(of, catalogue, timing) : undefined);
  const tracks = timeTracks(plan, catalogue, timing);
  const timeline = timelineOfBoth(plan, tracks);
  const serve = (of: MixedPlan, laid: TimedTracks) => {
    const served = STATIONS.map((start) => {
      const track = laid[start];
      const people = groups[start].map((each) => onTrack(each, track));
      return { track, options: chooseOptions(track.plan, people, catalogue, day, atOnce) };
    });
    return {
      options: optionsOfBoth(of, served),
      props: propsOfTracks(of, served, catalogue, cupboard),
    };
  };
  const { options, props } = serve(plan, tracks);
  const rework = (edited: Plan) => {
    const laid = lay(edited);
    return isMixed(edited) && laid ? serve(edited, laid) : { options, props };
  };
  const known = { catalogue, group: groupOf(attendees, day), familiar: context.familiar };
  const retimeAlone = (edited: Plan) => timePlan(edited, catalogue, timing);
  const alone = (of: MixedPlan, station: Machine): ReviewInput => {
    const half = halfAlone(of, station);
    const timed = retimeAlone(half);
    return { ...known, plan: half, timeline: timed, retime: retimeAlone, rules: OF_A_HALF };
  };
  const halves = STATIONS.map((station) => ({ station, input: alone(plan, station) }));
  const whole = bothHalves(plan);
  const wholeInput = { ...known, plan: whole, timeline: retimeAlone(whole), retime: retimeAlone };
  // Laid out as it is written, so that rules about the whole see each item once; told in the time of the class.
  const rules = { ...ruleContext(wholeInput), timeline };
  const fit = (targetS: number) => fitMixed(plan, targetS, halves, tracks, lay);
  const gear = gearBlocks(setItems(rules), machines);
  const found = [
    ...reviewOrder({ ...wholeInput, rules: OF_THE_WHOLE }).map((finding) =>
      mendedAtPlaces(finding, plan, catalogue),
    ),
    ...halves.flatMap(({ input }) =>
      reviewOrder(input).map((finding) => mendedAtPlaces(finding, plan, catalogue)),
    ),
  ];
  const { told, untold, setAside } = tell(plan, gravestFirst(once(found)));
  const findings = [
    ...missingFindings(plan, catalogue),
    ...timeFindings({ timeline }, () => fitRepairs(fit(plan.targetS))),
    // A part that is shorter in one half is longer for nobody in the other: which to change is the teacher's.
    ...partFindings({ plan, timeline, fitPart: () => [] }),
    ...twoGroupFindings({
      plan,
      tracks,
      rules,
      gear,
      fitRepairs: (station, seconds) => fitRepairs(fitHalf(halves, station, seconds)),
    }),
    ...told,
    ...roomFindings({ rules, options, props, attendees, versionsAtOnce: atOnce, rework }),
    ...sumFindings({ rules, options, attendees, day, rework }),
    ...machineFindings({
      rules,
      gear,
      machines,
      atOnce: Math.max(groups.mat.length, groups.reformer.length),
    }),
  ];
  const coverage = coverDirections(timeline);
  return {
    analysis: { timeline, coverage, options, props, gear },
    rules,
    findings,
    untold,
    setAside,
    fit,
  };
}

/** What both halves find of what they share is one finding. */
function once(found: readonly OpenFinding[]): OpenFinding[] {
  const seen = new Set<string>();
  return found.filter(({ rule, key }) => {
    const id = `${rule} ${key}`;
    if (seen.has(id)) return false;
    seen.add(id);
    return true;
  });
}

/** What is added stands where it can be done. */
function mendedAtPlaces(finding: OpenFinding, plan: MixedPlan, catalogue: Catalogue): OpenFinding {
  const fits = (edit: Edit): boolean => {
    if (edit.type === 'together') return edit.edits.every(fits);
    if (edit.type !== 'addItem' || edit.item.kind !== 'exercise') return true;
    const { station = 'mat' } = plan.segments.find(({ id }) => id === edit.segmentId) ?? {};
    return catalogue.require(edit.item.exercise).machine === station;
  };
  return { ...finding, repairs: () => finding.repairs().filter(({ edit }) => fits(edit)) };
}

interface Half {
  station: Machine;
  input: ReviewInput;
}

/** What would bring one half, with what all do together, to so many seconds: its own items alone change. */
function fitHalf(halves: readonly Half[], station: Machine, changeS: number): Fit {
  const half = halves.find((each) => each.station === station);
  if (!half) throw new Error(`there is no half at "${station}"`);
  const { input } = half;
  const own = input.plan.segments.filter((segment) => segment.station === station);
  return fitToTime(input.plan, input.timeline.totalS + changeS, {
    open: new Set(own.flatMap(({ items }) => items.map(({ id }) => id))),
    rules: ruleContext(input),
    retime: input.retime,
    look: (edited) => orderOf({ ...input, plan: edited, timeline: input.retime(edited) }),
  });
}

/** Both halves to the same length, with which the class comes to its own. */
function fitMixed(
  plan: MixedPlan,
  targetS: number,
  halves: readonly Half[],
  tracks: TimedTracks,
  lay: (plan: Plan) => TimedTracks | undefined,
): Fit {
  const lasts = (laid: TimedTracks) =>
    Math.max(laid.mat.timeline.totalS, laid.reformer.timeline.totalS);
  const fromS = lasts(tracks);
  const longest = Math.max(tracks.mat.halfS[0], tracks.reformer.halfS[0]);
  // The halves are gone through twice, by one group after the other.
  const wantedS = longest + Math.round((targetS - fromS) / 2);
  const fits = halves.map(({ station }) =>
    fitHalf(halves, station, wantedS - tracks[station].halfS[0]),
  );
  const together = fits.flatMap((fit) => fit.together);
  const after = (edits: Fit['together']) => {
    const result = applyEdit(plan, inOneGo(edits));
    const laid = result.ok ? lay(result.plan) : undefined;
    return laid ? lasts(laid) : fromS;
  };
  const ranked = fits
    .flatMap((fit) => fit.ranked)
    .map((edit) => ({ ...edit, seconds: after([edit]) - fromS }))
    .filter(({ seconds }) => seconds !== 0 && seconds < 0 === targetS < fromS)
    .toSorted(
      (one, other) => Math.abs(other.seconds) / other.cost - Math.abs(one.seconds) / one.cost,
    );
  return {
    targetS,
    fromS,
    toS: together.length === 0 ? fromS : after(together),
    together: together.toSorted((one, other) => one.cost - other.cost),
    ranked,
  };
}
