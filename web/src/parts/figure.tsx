import { useMemo } from 'react';
import { drawFigure } from '@wrenfern/core/body/figure';
import { figurePaths, frameFigure, toDrawing } from '@wrenfern/core/body/paths';
import { shapeOf } from '@wrenfern/core/body/shapes';
import type { PropUse } from '@wrenfern/core/movement/exercise';

interface FigureProps {
  pose: string;
  props?: readonly PropUse[];
  width: number;
  height: number;
  /** Left out where the words beside it already say what is drawn. */
  label?: boolean;
  className?: string;
}

const FILL = {
  far: 'var(--body-far)',
  trunk: 'var(--body-trunk)',
  near: 'var(--body-near)',
} as const;

const ROUND = new Set(['small-ball', 'stability-ball', 'band']);

/** A body in a key pose, on the floor, with what it holds. */
export function Figure({ pose, props, width, height, label = false, className }: FigureProps) {
  const { figure, box, paths } = useMemo(() => {
    const drawn = drawFigure(shapeOf(pose), props);
    return {
      figure: drawn,
      box: frameFigure(drawn, width / height),
      paths: figurePaths(drawn),
    };
  }, [pose, props, width, height]);
  const name = label ? { role: 'img', 'aria-label': figure.name } : { 'aria-hidden': true };
  const held = figure.props.map((prop) => {
    const w = toDrawing(prop.width);
    const h = toDrawing(prop.height);
    return (
      <rect
        key={`${prop.prop} ${prop.centre.x} ${prop.centre.y}`}
        x={toDrawing(prop.centre.x) - w / 2}
        y={-toDrawing(prop.centre.y) - h / 2}
        width={w}
        height={h}
        rx={ROUND.has(prop.prop) ? w / 2 : 2}
        fill="var(--prop)"
      />
    );
  });
  return (
    <svg
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      width={width}
      height={height}
      className={className}
      {...name}
    >
      <line
        x1={box.x + 4}
        x2={box.x + box.width - 4}
        y1={0.5}
        y2={0.5}
        stroke="var(--line-strong)"
        strokeWidth={0.7}
        opacity={0.6}
      />
      {paths.map(({ part, d }, index) => (
        <g key={part}>
          {index === 1 ? held : null}
          <path d={d} fill={FILL[part]} />
        </g>
      ))}
    </svg>
  );
}
