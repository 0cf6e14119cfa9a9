import { ChevronLeft, ChevronRight, Pause, Play } from 'lucide-react';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useStore } from 'zustand';
import type { Finding } from '@wrenfern/core/review/rule';
import { viewAt } from '@wrenfern/core/live/view-at';
import { tracksTaught } from '@wrenfern/core/analysis/tracks-taught';
import type { Catalogue } from '@wrenfern/core/movement/catalogue';
import type { Machine } from '@wrenfern/core/movement/vocabulary';
import { PLACE_WORDS, PROP_WORDS } from '@wrenfern/core/movement/words';
import { STATIONS } from '@wrenfern/core/people/two-groups';
import { isMixed } from '@wrenfern/core/plan/tracks';
import { eachTime } from '@wrenfern/core/people/attendee';
import { planAsOccurrences } from '@wrenfern/core/plan/occurrences';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { showClock } from '@wrenfern/core/plan/show-time';
import type { Analysis } from '@wrenfern/core';
import type { NowView } from '@wrenfern/core/live/run-class';
import type { WholeClass } from '@wrenfern/contract/classes';
import { useCatalogue } from '../../data/catalogue.tsx';
import { analyseClass, contextOf } from '../../data/class-analysis.ts';
import { useLesson } from '../../data/use-lesson.ts';
import { useSession } from '../../data/use-session.ts';
import { Button, buttonClass } from '../../parts/button.tsx';
import { ToggleChip } from '../../parts/chip.tsx';
import { SegmentedRadio } from '../../parts/segmented-radio.tsx';
import { EmptyPlan } from '../../parts/empty-plan.tsx';
import { isTyping } from '../../parts/typing.ts';
import { GearNext, GearNow } from '../teach/gear-now.tsx';
import { NowStage } from '../teach/now-stage.tsx';
import { usePlanEditor } from '../plan/editor/use-plan-editor.ts';
import { SettleHere, SinceChanged, type Settling } from './settle-here.tsx';
import { usePlaying, type Playing } from './use-playing.ts';

const SPEEDS = [1, 2, 5, 10, 30] as const;

/** The class played before it is taught: figures, counts, changes; it stops where something is left to settle. */
export function Component() {
  const catalogue = useCatalogue();
  const { lesson: loaded } = useLesson();
  const isReader = useSession().data?.user.role === 'reader';
  const { editor } = usePlanEditor(loaded, isReader);
  const plan = useStore(editor, (state) => state.plan);
  const lesson = useMemo(() => ({ ...loaded, plan }), [loaded, plan]);
  const [start, setStart] = useState<Machine>('reformer');
  const { rehearsed, written } = useMemo(
    () => wayOf(lesson, start, catalogue),
    [lesson, start, catalogue],
  );
  const analysis = useMemo(
    () => analyseClass(rehearsed, rehearsed.plan, catalogue),
    [rehearsed, catalogue],
  );
  // What is left to settle is told of the plan as it is written: once for both sides and all rounds.
  const findings = useMemo(
    () => analyseClass(lesson, lesson.plan, catalogue).findings,
    [lesson, catalogue],
  );
  if (analysis.timeline.items.length === 0) {
    return <EmptyPlan classId={lesson.id} then="play it here" />;
  }
  return (
    <>
      {isMixed(lesson.plan) ? (
        <div className="max-w-xl px-4 pt-2">
          <SegmentedRadio
            label="The class as those have it who begin"
            choices={STATIONS.map((value) => ({ value, name: PLACE_WORDS[value] }))}
            value={start}
            onChange={setStart}
          />
        </div>
      ) : null}
      <Stage
        key={start}
        {...{ analysis, findings, written }}
        lesson={rehearsed}
        settle={isReader ? undefined : { editor, lesson }}
      />
    </>
  );
}

/** The class step by step; of two groups, as one of them has it. */
function wayOf(lesson: WholeClass, start: Machine, catalogue: Catalogue) {
  const { plan, attendees } = lesson;
  const track = isMixed(plan)
    ? tracksTaught(plan, catalogue, { ...contextOf(lesson), attendees }).find(
        (each) => each.start === start,
      )
    : undefined;
  const way = track ?? {
    plan: planAsOccurrences(plan),
    attendees: attendees.map((each) => eachTime(each, plan)),
  };
  const written = track?.written ?? new Map<string, string>();
  return { rehearsed: { ...lesson, plan: way.plan, attendees: way.attendees }, written };
}

interface StageProps {
  lesson: WholeClass;
  analysis: Analysis;
  findings: readonly Finding[];
  /** The item of the plan behind each step that is not called as it is. */
  written: ReadonlyMap<string, string>;
  /** The class as it is written, to be changed on the spot; left out for whoever may only look. */
  settle: Settling | undefined;
}

function Stage({ lesson, analysis, findings, written, settle }: StageProps) {
  const { timeline } = analysis;
  const [doesHalt, setHalts] = useState(true);
  const stops = useMemo(() => stopsOf(analysis, findings, written), [analysis, findings, written]);
  const haltAt = useCallback(
    (fromS: number, toS: number) =>
      doesHalt ? stops.find(({ atS }) => atS > fromS && atS <= toS)?.atS : undefined,
    [stops, doesHalt],
  );
  const playing = usePlaying(timeline.totalS, haltAt);
  useRehearseKeys(playing, analysis);
  const now = viewAt(timeline, playing.atS);
  if (!now) return null;
  const here = playing.isPlaying
    ? undefined
    : stops.find(({ atS }) => Math.abs(atS - playing.atS) < 0.01)?.finding;
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <div className="flex min-h-0 flex-1 max-lg:flex-col max-lg:overflow-y-auto">
        <NowStage
          now={now}
          school={rulesOf(lesson.plan.school)}
          gear={<GearNow lesson={lesson} analysis={analysis} now={now} />}
          pause={null}
          speed={playing.isPlaying ? playing.speed : 0}
        />
        <Beside lesson={lesson} analysis={analysis} now={now} finding={here} settle={settle} />
      </div>
      <Controls
        playing={playing}
        analysis={analysis}
        stops={stops}
        doesHalt={doesHalt}
        onHalts={setHalts}
      />
    </div>
  );
}

interface Stop {
  atS: number;
  finding: Finding;
}

/** Where something is left to settle: at the first item that it is about, each once. */
function stopsOf(
  { timeline }: Analysis,
  findings: readonly Finding[],
  written: StageProps['written'],
): Stop[] {
  return findings
    .flatMap((finding): Stop[] => {
      const first = timeline.items.find(({ itemId }) =>
        finding.itemIds.includes(written.get(itemId) ?? itemId),
      );
      // At the very start nothing has been played yet.
      return first ? [{ atS: Math.max(0.5, first.startS), finding }] : [];
    })
    .sort((a, b) => a.atS - b.atS);
}

interface BesideProps {
  lesson: WholeClass;
  analysis: Analysis;
  now: NowView;
  finding: Finding | undefined;
  settle: Settling | undefined;
}

/** What is left to settle here, and what is changed on the way to the next one. */
function Beside({ lesson, analysis, now, finding, settle }: BesideProps) {
  const { next } = now;
  const held = (id: string | undefined) =>
    analysis.props.filter(({ spans }) => spans.some(({ itemId }) => itemId === id));
  const [before, after] = [held(now.item.itemId), held(next?.itemId)];
  const fetched = after.filter((need) => !before.includes(need));
  const away = before.filter((need) => !after.includes(need));
  return (
    <aside
      aria-label="What comes and what is left to settle"
      className="flex w-[22rem] shrink-0 flex-col gap-3 border-l border-line p-4 max-lg:w-auto max-lg:border-t max-lg:border-l-0 lg:overflow-y-auto"
    >
      {finding ? (
        <div role="alert" className="rounded-2xl bg-copper-soft p-4">
          <p className="font-semibold text-copper">Left to settle here</p>
          <p className="mt-1">{finding.sentence}</p>
          {settle ? <SettleHere finding={finding} settle={settle} /> : null}
          <Link
            className={buttonClass('plain', 'mt-3')}
            to={`/classes/${lesson.id}/plan?item=${finding.itemIds[0] ?? now.item.itemId}`}
          >
            Settle it in Plan
          </Link>
        </div>
      ) : null}
      {settle ? <SinceChanged settle={settle} /> : null}
      <section aria-label="Next" className="rounded-2xl border border-line p-4">
        {next ? (
          <>
            <p className="text-soft">next, in {showClock(Math.max(0, now.itemLeftS))}</p>
            <p className="text-lg font-semibold">{next.name}</p>
            {next.position && next.position !== now.item.endPosition ? (
              <p>
                Change: {now.item.endPosition ?? 'anywhere'} to {next.position}
              </p>
            ) : null}
            <GearNext lesson={lesson} analysis={analysis} now={now} />
            {fetched.map(({ prop }) => (
              <p key={prop} className="font-semibold text-copper">
                Fetch: {PROP_WORDS[prop]}
              </p>
            ))}
            {away.map(({ prop }) => (
              <p key={prop} className="font-semibold text-copper">
                Put away: {PROP_WORDS[prop]}
              </p>
            ))}
          </>
        ) : (
          <p>This is the last one.</p>
        )}
      </section>
    </aside>
  );
}

interface ControlsProps {
  playing: Playing;
  analysis: Analysis;
  stops: readonly Stop[];
  doesHalt: boolean;
  onHalts: (on: boolean) => void;
}

function Controls({ playing, analysis, stops, doesHalt, onHalts }: ControlsProps) {
  const { timeline } = analysis;
  const { atS, isPlaying, speed } = playing;
  return (
    <footer className="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-2 border-t border-line bg-leaf px-4 py-3">
      <Button
        look="main"
        className="min-h-11 px-5"
        onClick={isPlaying ? playing.pause : playing.play}
      >
        {isPlaying ? <Pause size={18} aria-hidden /> : <Play size={18} aria-hidden />}
        {isPlaying ? 'Stop' : 'Play'}
      </Button>
      <div className="flex gap-1">
        <Button
          aria-label="The item before"
          onClick={() => playing.go(stepFrom(analysis, atS, -1))}
        >
          <ChevronLeft size={18} aria-hidden />
        </Button>
        <Button aria-label="The next item" onClick={() => playing.go(stepFrom(analysis, atS, 1))}>
          <ChevronRight size={18} aria-hidden />
        </Button>
      </div>
      <div role="group" aria-label="How fast" className="flex gap-1">
        {SPEEDS.map((each) => (
          <ToggleChip key={each} on={speed === each} onChange={() => playing.setSpeed(each)}>
            {each}×
          </ToggleChip>
        ))}
      </div>
      <label className="flex min-w-48 flex-1 items-center gap-3">
        <span className="sr-only">Where in the class</span>
        <input
          type="range"
          min={0}
          max={Math.round(timeline.totalS)}
          step={1}
          value={Math.round(atS)}
          aria-valuetext={`${showClock(atS)} of ${showClock(timeline.totalS)}`}
          onChange={(event) => playing.go(Number(event.target.value))}
          className="w-full accent-fern"
        />
        <span className="shrink-0 tabular-nums">
          {showClock(atS)} of {showClock(timeline.totalS)}
        </span>
      </label>
      <ToggleChip on={doesHalt} onChange={onHalts}>
        stop at {stops.length} to settle
      </ToggleChip>
    </footer>
  );
}

/** The start of the item before or behind; a little into an item, back goes to its own start. */
function stepFrom({ timeline }: Analysis, atS: number, way: 1 | -1): number {
  const starts = timeline.items.map(({ startS }) => startS);
  if (way > 0) return starts.find((startS) => startS > atS + 0.5) ?? timeline.totalS;
  return starts.findLast((startS) => startS < atS - 2) ?? 0;
}

function useRehearseKeys(playing: Playing, analysis: Analysis): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
      const isOnControl =
        event.target instanceof HTMLElement && event.target.closest('button, a, input');
      if (isOnControl) return;
      if (event.key === ' ') (playing.isPlaying ? playing.pause : playing.play)();
      else if (event.key === 'ArrowRight') playing.go(stepFrom(analysis, playing.atS, 1));
      else if (event.key === 'ArrowLeft') playing.go(stepFrom(analysis, playing.atS, -1));
      else return;
      event.preventDefault();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [playing, analysis]);
}
