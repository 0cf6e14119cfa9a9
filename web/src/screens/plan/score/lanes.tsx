import { area, curveMonotoneY, line } from 'd3';
import { swellBand } from '@wrenfern/core/review/swell';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { showClock } from '@wrenfern/core/plan/show-time';
import type { Machine } from '@wrenfern/core/movement/vocabulary';
import type { TimedItem, Timeline } from '@wrenfern/core/plan/timing/timeline';
import { petalsOf } from '../../../parts/directions.ts';
import { Rose } from '../../../parts/rose.tsx';
import { POSITION_WORDS, PROP_WORDS } from '@wrenfern/core/movement/words';
import { GearLane } from './gear-lane.tsx';
import { usePlanScreen, useEditor } from '../editor/plan-context.tsx';
import { spansOf, topAt, type ScoreLayout } from './score-layout.ts';

interface Lane {
  id: 'position' | 'held' | 'gear' | 'sides' | 'turns' | 'effort';
  name: string;
  width: number;
}

const BESIDE_ALL: readonly Lane[] = [
  { id: 'sides', name: 'Sides', width: 44 },
  { id: 'turns', name: 'Turns', width: 40 },
  { id: 'effort', name: 'Effort', width: 84 },
];

/** What can run beside rows: all of a class on the mat or on a machine; of a part of two groups, as much as has room. */
export type LaneSet = Machine | 'short' | 'gear' | 'none';

const LANES: Record<LaneSet, readonly Lane[]> = {
  mat: [
    { id: 'position', name: 'Position', width: 78 },
    { id: 'held', name: 'In hand', width: 96 },
    ...BESIDE_ALL,
  ],
  reformer: [{ id: 'gear', name: 'Gear', width: 180 }, ...BESIDE_ALL],
  short: [{ id: 'position', name: 'Position', width: 78 }, ...BESIDE_ALL],
  gear: [{ id: 'gear', name: 'Gear', width: 100 }],
  none: [],
};

const GAP = 6;

interface PlacedLane extends Lane {
  left: number;
}

function placeLanes(set: LaneSet): { lanes: Map<Lane['id'], PlacedLane>; width: number } {
  const lanes = new Map<Lane['id'], PlacedLane>();
  let left = GAP;
  for (const lane of LANES[set]) {
    lanes.set(lane.id, { ...lane, left });
    left += lane.width + GAP;
  }
  return { lanes, width: left };
}

const PLACED: Record<LaneSet, ReturnType<typeof placeLanes>> = {
  mat: placeLanes('mat'),
  reformer: placeLanes('reformer'),
  short: placeLanes('short'),
  gear: placeLanes('gear'),
  none: placeLanes('none'),
};

export function LaneHeads() {
  const machine = useEditor((editor) => editor.plan.machine);
  const { lanes, width } = PLACED[machine];
  return (
    <div className="relative h-full" style={{ width }} aria-hidden>
      {[...lanes.values()].map((lane) => (
        <span
          key={lane.name}
          className="absolute bottom-1.5 text-center text-[0.8125rem] text-soft"
          style={{ left: lane.left, width: lane.width }}
        >
          {lane.name}
        </span>
      ))}
    </div>
  );
}

/** What runs beside the rows: position and props, or the gear of the machines; sides, directions, effort. */
export function Lanes({ layout, set }: { layout: ScoreLayout; set?: LaneSet | undefined }) {
  const machine = useEditor((editor) => editor.plan.machine);
  const { lanes, width } = PLACED[set ?? machine];
  if (lanes.size === 0) return null;
  const lane = (id: Lane['id']) => lanes.get(id);
  const [position, held, gear] = [lane('position'), lane('held'), lane('gear')];
  const [sides, turns, effort] = [lane('sides'), lane('turns'), lane('effort')];
  return (
    <div
      className="relative"
      style={{ width, height: layout.height }}
      role="group"
      aria-label={`Lanes: ${[...lanes.values()].map(({ name }) => name.toLowerCase()).join(', ')}`}
    >
      {position ? <PositionLane layout={layout} lane={position} /> : null}
      {held ? <HeldLane layout={layout} lane={held} /> : null}
      {gear ? <GearLane layout={layout} left={gear.left} width={gear.width} /> : null}
      {sides ? <SidesLane layout={layout} lane={sides} /> : null}
      {turns ? <TurnsLane layout={layout} lane={turns} /> : null}
      {effort ? <Swell layout={layout} lane={effort} /> : null}
    </div>
  );
}

interface LaneProps {
  layout: ScoreLayout;
  lane: PlacedLane;
}

function PositionLane({ layout, lane }: LaneProps) {
  const positions = spansOf(layout.rows, (item) =>
    item.position ? [item.posture ?? POSITION_WORDS[item.position]] : [],
  );
  return positions.map((span) => (
    <div
      key={span.key}
      className="absolute grid place-items-center rounded-lg bg-slate-soft p-0.5 text-center text-[0.8125rem] leading-tight text-slate"
      style={{ top: span.top, height: span.height, left: lane.left, width: lane.width }}
    >
      {span.label}
    </div>
  ));
}

/** Props as bars across the rows where they are held. */
function HeldLane({ layout, lane }: LaneProps) {
  const { analysis } = usePlanScreen();
  const held = (item: TimedItem): string[] => {
    const needed = analysis.props.filter((need) =>
      need.spans.some((span) => span.itemId === item.itemId),
    );
    if (needed.length > 0) {
      return needed.map((need) => {
        const span = need.spans.find((each) => each.itemId === item.itemId);
        return `${PROP_WORDS[need.prop]}|${span?.places.join(', ') ?? ''}`;
      });
    }
    if (analysis.options.choices.size > 0 || !item.exercise) return [];
    return item.props.map((use) => `${PROP_WORDS[use.prop]}|${use.place}`);
  };
  return spansOf(layout.rows, held).map((span) => {
    const [prop, place] = span.label.split('|');
    const width = lane.width / span.columns;
    return (
      <div
        key={span.key}
        title={`${prop}, ${place}`}
        className="absolute flex flex-col justify-center overflow-hidden rounded-lg border border-copper-line bg-copper-soft px-1.5 text-[0.75rem] leading-tight text-copper"
        style={{
          top: span.top,
          height: span.height,
          left: lane.left + span.column * width,
          width: width - (span.columns > 1 ? 2 : 0),
        }}
      >
        <span className="truncate font-semibold">{prop}</span>
        {span.height > 30 && span.columns === 1 ? <span className="truncate">{place}</span> : null}
      </div>
    );
  });
}

function SidesLane({ layout, lane }: LaneProps) {
  return layout.rows.map(({ item, top, height }) => {
    if (item.pass?.side) {
      const words = item.pass.side === 'right' ? 'R, L' : 'L, R';
      return (
        <span
          key={item.itemId}
          className="absolute grid place-items-center text-[0.8125rem]"
          style={{ top, height, left: lane.left, width: lane.width }}
          title="all of the series on one side, then all on the other"
        >
          {words}
        </span>
      );
    }
    const only = item.parts.find((part) => part.side === 'left' || part.side === 'right');
    const both = item.parts.some((part) => part.side === 'right') && only?.side === 'left';
    const alternating = item.parts.some((part) => part.side === 'alternating');
    if (!only && !alternating) return null;
    return (
      <span
        key={item.itemId}
        className="absolute grid place-items-center text-[0.8125rem]"
        style={{ top, height, left: lane.left, width: lane.width }}
        title={alternating ? 'alternating' : both ? 'one side, then the other' : 'one side'}
      >
        {alternating ? 'L ⇄ R' : both ? 'L · R' : only?.side === 'left' ? 'L' : 'R'}
      </span>
    );
  });
}

function TurnsLane({ layout, lane }: LaneProps) {
  return layout.rows.map(({ item, top, height }) =>
    item.moves.some((move) => move !== 'still') ? (
      <span
        key={item.itemId}
        className="absolute grid place-items-center"
        style={{ top, height, left: lane.left, width: lane.width }}
      >
        <Rose seconds={petalsOf(item.moves)} size={30} small />
      </span>
    ) : null,
  );
}

/** The effort of another order of the class, laid on the rows of this one by the clock. */
function swellOf({ items }: Timeline, { layout, lane: { width } }: LaneProps): [number, number][] {
  return items.map((item) => [
    (item.effort / 5) * (width - 4) + 1,
    topAt(layout, item.startS + item.durationS / 2),
  ]);
}

/** Effort grows sideways, with the band that the school likes behind it. */
/** What draws the swell, given where an effort lies across the lane; all run down the class. */
function swellPaths(x: (effort: number) => number) {
  const down = ([, y]: [number, number]) => y;
  return {
    shape: area()
      .y(down)
      .x0(x(0))
      .x1(([effort]) => x(effort))
      .curve(curveMonotoneY),
    edge: line()
      .y(down)
      .x(([effort]) => x(effort))
      .curve(curveMonotoneY),
    ghost: line()
      .y(down)
      .x(([left]) => left)
      .curve(curveMonotoneY),
    band: area<{ low: number; high: number; y: number }>()
      .y((point) => point.y)
      .x0((point) => x(point.low))
      .x1((point) => x(point.high))
      .curve(curveMonotoneY),
  };
}

function Swell({ layout, lane }: LaneProps) {
  const school = useEditor((editor) => editor.plan.school);
  const { analysis, preview } = usePlanScreen();
  const { width } = lane;
  const x = (effort: number) => (effort / 5) * (width - 4) + 1;
  const end = layout.rows.at(-1);
  if (!end) return null;
  const points: [number, number][] = [
    [0, layout.rows[0]?.top ?? 0],
    ...layout.rows.map(({ item, top, height }): [number, number] => [
      item.effort,
      top + height / 2,
    ]),
    [0, end.top + end.height],
  ];
  const { shape, edge, ghost, band } = swellPaths(x);
  const bandPoints = swellBand(rulesOf(school)).map(({ share, low, high }) => ({
    low,
    high,
    y: topAt(layout, share * analysis.timeline.totalS),
  }));
  return (
    <svg
      className="absolute top-0"
      style={{ left: lane.left }}
      width={width}
      height={layout.height}
      role="img"
      aria-label={`Effort, 0 to 5: ${layout.rows.map(({ item }) => `${item.name} ${item.effort}`).join(', ')}`}
    >
      <path d={band(bandPoints) ?? ''} fill="var(--slate-soft)" />
      <path d={shape(points) ?? ''} fill="var(--mist)" opacity={0.85} />
      <path d={edge(points) ?? ''} fill="none" stroke="var(--fern)" strokeWidth={1.8} />
      {preview ? (
        <path
          d={ghost(swellOf(preview.timeline, { layout, lane })) ?? ''}
          fill="none"
          stroke="var(--copper)"
          strokeWidth={1.6}
          strokeDasharray="4 3"
        />
      ) : null}
      {layout.rows.map(({ item, top, height }) => (
        <g key={item.itemId}>
          <circle cx={x(item.effort)} cy={top + height / 2} r={2.6} fill="var(--fern)" />
          <rect x={0} y={top} width={width} height={height} fill="transparent">
            <title>
              {`${item.name} at ${showClock(item.startS)}: effort ${item.effort} of 5. The grey band is what the school likes.`}
            </title>
          </rect>
        </g>
      ))}
    </svg>
  );
}
