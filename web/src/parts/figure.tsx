import { useMemo } from 'react';
import { frameOf, wayBetween } from '@wrenfern/core/body/figure/close-up';
import { drawBody, fitFrame, type FigurePart, type Frame } from '@wrenfern/core/body/figure/draw';
import { bodiesOf, mirroredBodiesOf, type Posed } from '@wrenfern/core/body/option-body';
import type { PropUse } from '@wrenfern/core/movement/exercise';
import type { View } from '@wrenfern/core/movement/pose';

interface FigureProps {
  /** An option, or anything else with key poses. The same object is laid out once only. */
  of: Posed & { props?: readonly PropUse[] };
  /** What is held, where that is not as the option says. */
  held?: readonly PropUse[] | undefined;
  view?: View | undefined;
  /** Which key pose, from 0; the last when left out. */
  pose?: number;
  /** Drawn on the other side. */
  mirrored?: boolean;
  /** Shows the way of what moves most. */
  arrow?: boolean;
  width: number;
  height: number;
  /** Left out where the words beside it already say what is drawn. */
  label?: boolean;
  className?: string | undefined;
}

/** A body in a key pose, with what it lies on, what it holds and the machine it is on. */
export function Figure({
  of,
  held,
  view = 'side',
  pose,
  mirrored = false,
  arrow = false,
  width,
  height,
  label = false,
  className,
}: FigureProps) {
  const { parts, ground, frame, name, way } = useMemo(() => {
    const bodies = mirrored ? mirroredBodiesOf(of) : bodiesOf(of);
    const props = held ?? heldProps(of);
    const index = Math.min(pose ?? bodies.length - 1, bodies.length - 1);
    const shown = bodies[index];
    if (!shown) throw new Error('a figure needs a pose');
    const { parts, ground, frame: own } = drawBody(shown, view, props);
    // The way of what moves goes from pose to pose.
    const frames = arrow ? bodies.map((body) => drawBody(body, view, props).frame) : [own];
    return {
      parts,
      ground,
      frame: fitFrame(arrow ? frameOf(bodies, frames, view) : own, width / height),
      name: shown.pose.name,
      way: arrow ? wayBetween(bodies, view) : undefined,
    };
  }, [of, held, view, pose, mirrored, arrow, width, height]);
  return (
    <FigureFrame
      frame={frame}
      width={width}
      height={height}
      className={className}
      name={label ? name : undefined}
    >
      <path d={ground} className="figure-ground" />
      {parts.map((part, index) => (
        <Part key={`${index} ${part.tone}`} part={part} />
      ))}
      {way ? <path d={way} className="figure-arrow" /> : null}
    </FigureFrame>
  );
}

/** Optional props are not drawn: most people do without. */
export function heldProps(of: { props?: readonly PropUse[] }): PropUse[] {
  return (of.props ?? []).filter((use) => !use.optional);
}

export function FigureFrame({
  frame,
  width,
  height,
  name,
  className,
  children,
  ref,
}: {
  frame: Frame;
  width: number;
  height: number;
  name: string | undefined;
  className?: string | undefined;
  children?: React.ReactNode;
  ref?: React.Ref<SVGSVGElement>;
}) {
  const said = name ? { role: 'img', 'aria-label': name } : { 'aria-hidden': true };
  return (
    <svg
      ref={ref}
      viewBox={`${frame.x} ${frame.y} ${frame.width} ${frame.height}`}
      width={width}
      height={height}
      className={className}
      {...said}
    >
      {children}
    </svg>
  );
}

function Part({ part }: { part: FigurePart }) {
  return (
    <>
      {part.rim ? <path d={part.rim} className="figure-rim" /> : null}
      <path d={part.d} className={`figure-${part.tone}${part.line ? ' figure-line' : ''}`} />
    </>
  );
}
