import { area, curveMonotoneX } from 'd3';

const WIDTH = 160;
const HEIGHT = 40;

/** The effort over the class as a small ridge. */
export function Ridge({ items }: { items: { seconds: number; effort: number }[] }) {
  const total = Math.max(
    1,
    items.reduce((sum, item) => sum + item.seconds, 0),
  );
  let at = 0;
  const points: [number, number][] = [[0, 0]];
  for (const item of items) {
    points.push([((at + item.seconds / 2) / total) * WIDTH, (item.effort / 5) * HEIGHT]);
    at += item.seconds;
  }
  points.push([WIDTH, 0]);
  const path = area()
    .x(([x]) => x)
    .y0(HEIGHT)
    .y1(([, y]) => HEIGHT - y)
    .curve(curveMonotoneX)(points);
  const hardest = Math.max(0, ...items.map((item) => item.effort));
  return (
    <svg
      viewBox={`0 -2 ${WIDTH} ${HEIGHT + 4}`}
      className="h-10 w-full max-w-40 min-w-16"
      preserveAspectRatio="none"
      role="img"
      aria-label={`Effort over the class, at most ${hardest} of 5`}
    >
      <path d={path ?? ''} fill="var(--mist)" stroke="var(--fern-light)" strokeWidth={1.4} />
    </svg>
  );
}
