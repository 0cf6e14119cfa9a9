import { DIRECTIONS, type Direction } from '@wrenfern/core/movement/directions';
import { DIRECTION_WORDS } from '@wrenfern/core/movement/words';
import { showClock } from '@wrenfern/core/plan/show-time';

/** Degrees from upright, clockwise; left and right are the person's own. */
const TURN: Record<Direction, number> = {
  round: 0,
  'turn-right': 60,
  'side-right': 120,
  arch: 180,
  'side-left': 240,
  'turn-left': 300,
};

const PETAL = 'M0 -5C-8.5 -15 -8.5 -27 0 -38C8.5 -27 8.5 -15 0 -5Z';

const SHORT: Record<Direction, string> = {
  round: 'round',
  arch: 'arch',
  'turn-left': 'turn L',
  'turn-right': 'turn R',
  'side-left': 'side L',
  'side-right': 'side R',
};

interface RoseProps {
  seconds: Record<Direction, number>;
  size: number;
  /** Writes the direction beside each petal. */
  legend?: boolean;
  /** Thicker lines and no warning colour, for a rose of thirty pixels. */
  small?: boolean;
}

/** Six petals for the six directions of the spine; a petal fills with its share of the minutes. */
export function Rose({ seconds, size, legend = false, small = false }: RoseProps) {
  const most = Math.max(1, ...DIRECTIONS.map((direction) => seconds[direction]));
  const words = DIRECTIONS.map(
    (direction) => `${DIRECTION_WORDS[direction]} ${showClock(seconds[direction])}`,
  );
  const edge = legend ? 62 : 42;
  return (
    <svg
      viewBox={`${-edge} ${-edge + 4} ${2 * edge} ${2 * edge - 8}`}
      width={size}
      height={size}
      role="img"
      aria-label={`Directions of the spine: ${words.join(', ')}`}
      className="shrink-0"
    >
      <title>{words.join('\n')}</title>
      {DIRECTIONS.map((direction) => {
        const share = seconds[direction] / most;
        const missing = seconds[direction] < 1 && !small;
        const angle = TURN[direction];
        const radians = ((angle - 90) * Math.PI) / 180;
        return (
          <g key={direction}>
            <g transform={`rotate(${angle})`}>
              <path
                d={PETAL}
                fill="var(--leaf)"
                stroke={missing ? 'var(--copper)' : 'var(--fern-light)'}
                strokeWidth={small ? 2 : missing ? 1.6 : 1.1}
                strokeDasharray={missing ? '3 2' : undefined}
              />
              <path
                d={PETAL}
                fill="var(--fern-light)"
                transform={`scale(${0.35 + 0.65 * Math.sqrt(share)})`}
                opacity={share === 0 ? 0 : 1}
              />
            </g>
            {legend ? (
              <text
                x={49 * Math.cos(radians)}
                y={47 * Math.sin(radians) + 3.5}
                textAnchor="middle"
                fontSize={9.5}
                fontWeight={missing ? 700 : 400}
                fill={missing ? 'var(--copper)' : 'var(--soft)'}
              >
                {SHORT[direction]}
              </text>
            ) : null}
          </g>
        );
      })}
    </svg>
  );
}
