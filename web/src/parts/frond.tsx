import { clsx } from 'clsx';

interface FrondProps {
  /** Which option: as many filled leaves. */
  option: number;
  of: number;
  /** The standard option has a filled tip. */
  standard?: boolean;
  size?: number;
  /** Said to screen readers; left out where the words stand beside it. */
  label?: string;
  className?: string;
}

const LEAF = 'M0 0C3.4 -0.6 6.6 -3 7 -6.6C3.2 -6.6 0.6 -4 0 0Z';

/** An option as leaves on a stem: filled up to its number, outlined beyond it. */
export function Frond({ option, of, standard, size = 28, label, className }: FrondProps) {
  const leaves = Array.from({ length: of }, (_, index) => index + 1);
  const name = label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true };
  return (
    <svg
      viewBox="0 0 24 32"
      width={size * 0.75}
      height={size}
      className={clsx('shrink-0', className)}
      {...name}
    >
      <path d="M12 31V6" stroke="var(--fern)" strokeWidth={1.6} strokeLinecap="round" />
      {leaves.map((number) => {
        const filled = number <= option;
        const side = number % 2 === 1 ? -1 : 1;
        return (
          <path
            key={number}
            d={LEAF}
            transform={`translate(12 ${29.5 - number * 5.1}) scale(${side * 1.25} 1.1)`}
            fill={filled ? 'var(--fern)' : 'var(--leaf)'}
            stroke={filled ? 'var(--fern)' : 'var(--line-strong)'}
            strokeWidth={1}
          />
        );
      })}
      <circle
        cx={12}
        cy={4}
        r={2.4}
        fill={standard ? 'var(--fern)' : 'var(--leaf)'}
        stroke="var(--fern)"
        strokeWidth={1.1}
      />
    </svg>
  );
}
