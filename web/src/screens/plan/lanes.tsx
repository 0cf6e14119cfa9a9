import { area, curveMonotoneY, line } from 'd3';
import { swellBand } from '@wrenfern/core/order/swell';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { showClock } from '@wrenfern/core/plan/show-time';
import type { TimedItem, Timeline } from '@wrenfern/core/plan/timing/timeline';
import { catalogue } from '../../data/catalogue.ts';
import { petalsOf } from '../../parts/directions.ts';
import { Rose } from '../../parts/rose.tsx';
import { POSITION_WORDS, PROP_WORDS } from '@wrenfern/core/movement/words';
import { usePlanScreen, useEditor } from './plan-context.tsx';
import { spansOf, topAt, type ScoreLayout } from './score-layout.ts';

const LANES = [
  { name: 'Position', width: 78 },
  { name: 'In hand', width: 96 },
  { name: 'Sides', width: 44 },
  { name: 'Turns', width: 40 },
  { name: 'Effort', width: 84 },
] as const;

const GAP = 6;
export const LANES_WIDTH = LANES.reduce((sum, lane) => sum + lane.width + GAP, 0);

function leftOf(index: number): number {
  return LANES.slice(0, index).reduce((sum, lane) => sum + lane.width + GAP, GAP);
}

export function LaneHeads() {
  return (
    <div className="relative h-full" style={{ width: LANES_WIDTH }} aria-hidden>
      {LANES.map((lane, index) => (
        <span
          key={lane.name}
          className="absolute bottom-1.5 text-center text-[0.8125rem] text-soft"
          style={{ left: leftOf(index), width: lane.width }}
        >
          {lane.name}
        </span>
      ))}
    </div>
  );
}

/** What runs beside the rows: position, props held, sides, directions and effort. */
export function Lanes({ layout }: { layout: ScoreLayout }) {
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
    const option = catalogue.require(item.exercise).options[(item.option ?? 1) - 1];
    return (option?.props ?? [])
      .filter((use) => !use.optional)
      .map((use) => `${PROP_WORDS[use.prop]}|${use.place}`);
  };
  const positions = spansOf(layout.rows, (item) =>
    item.position ? [POSITION_WORDS[item.position]] : [],
  );
  return (
    <div
      className="relative"
      style={{ width: LANES_WIDTH, height: layout.height }}
      role="group"
      aria-label="Lanes: position, props, sides, directions, effort"
    >
      {positions.map((span) => (
        <div
          key={span.key}
          className="absolute grid place-items-center rounded-lg bg-slate-soft p-0.5 text-center text-[0.8125rem] leading-tight text-slate"
          style={{ top: span.top, height: span.height, left: leftOf(0), width: LANES[0].width }}
        >
          {span.label}
        </div>
      ))}
      {spansOf(layout.rows, held).map((span) => {
        const [prop, place] = span.label.split('|');
        const width = LANES[1].width / span.columns;
        return (
          <div
            key={span.key}
            title={`${prop}, ${place}`}
            className="absolute flex flex-col justify-center overflow-hidden rounded-lg border border-copper-line bg-copper-soft px-1.5 text-[0.75rem] leading-tight text-copper"
            style={{
              top: span.top,
              height: span.height,
              left: leftOf(1) + span.column * width,
              width: width - (span.columns > 1 ? 2 : 0),
            }}
          >
            <span className="truncate font-semibold">{prop}</span>
            {span.height > 30 && span.columns === 1 ? (
              <span className="truncate">{place}</span>
            ) : null}
          </div>
        );
      })}
      {layout.rows.map(({ item, top, height }) => {
        const sided = item.parts.some((part) => part.side !== undefined);
        const only = item.parts.find((part) => part.side === 'left' || part.side === 'right');
        const both = item.parts.some((part) => part.side === 'right') && only?.side === 'left';
        const alternating = item.parts.some((part) => part.side === 'alternating');
        const directed = item.moves.some((move) => move !== 'still');
        return (
          <div key={item.itemId}>
            {sided ? (
              <span
                className="absolute grid place-items-center text-[0.8125rem]"
                style={{ top, height, left: leftOf(2), width: LANES[2].width }}
                title={alternating ? 'alternating' : both ? 'one side, then the other' : 'one side'}
              >
                {alternating ? 'L ⇄ R' : both ? 'L · R' : only?.side === 'left' ? 'L' : 'R'}
              </span>
            ) : null}
            {directed ? (
              <span
                className="absolute grid place-items-center"
                style={{ top, height, left: leftOf(3), width: LANES[3].width }}
              >
                <Rose seconds={petalsOf(item.moves)} size={30} small />
              </span>
            ) : null}
          </div>
        );
      })}
      <Swell layout={layout} />
    </div>
  );
}

/** The effort of another order of the class, laid on the rows of this one by the clock. */
function swellOf({ items }: Timeline, layout: ScoreLayout): [number, number][] {
  const { width } = LANES[4];
  return items.map((item) => [
    (item.effort / 5) * (width - 4) + 1,
    topAt(layout, item.startS + item.durationS / 2),
  ]);
}

/** Effort grows sideways, with the band that the school likes behind it. */
function Swell({ layout }: { layout: ScoreLayout }) {
  const school = useEditor((editor) => editor.plan.school);
  const { analysis, preview } = usePlanScreen();
  const { width } = LANES[4];
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
  const shape = area()
    .y(([, y]) => y)
    .x0(x(0))
    .x1(([effort]) => x(effort))
    .curve(curveMonotoneY);
  const edge = line()
    .y(([, y]) => y)
    .x(([effort]) => x(effort))
    .curve(curveMonotoneY);
  const ghost = line()
    .y(([, y]) => y)
    .x(([left]) => left)
    .curve(curveMonotoneY);
  const band = area<{ low: number; high: number; y: number }>()
    .y((point) => point.y)
    .x0((point) => x(point.low))
    .x1((point) => x(point.high))
    .curve(curveMonotoneY);
  const bandPoints = swellBand(rulesOf(school)).map(({ share, low, high }) => ({
    low,
    high,
    y: topAt(layout, share * analysis.timeline.totalS),
  }));
  return (
    <svg
      className="absolute top-0"
      style={{ left: leftOf(4) }}
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
          d={ghost(swellOf(preview.timeline, layout)) ?? ''}
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
