import { useEffect, useMemo, useRef } from 'react';
import { fitFrame, type Figure as Drawn } from '@wrenfern/core/body/figure/draw';
import { filmBodies } from '@wrenfern/core/body/figure/film';
import { bodiesOf, describeOption, mirroredBodiesOf } from '@wrenfern/core/body/option-body';
import type { Option, PropUse } from '@wrenfern/core/movement/exercise';
import type { View } from '@wrenfern/core/movement/pose';
import { FigureFrame, heldProps } from './figure.tsx';

interface MovingFigureProps {
  option: Option;
  /** What is held, where that is not as the option says. */
  held?: readonly PropUse[] | undefined;
  view: View;
  /** The tempo goes round and round rather than there and back. */
  round: boolean;
  /** The share of a repetition (0 to 1) at a second of the page's clock. Keep it the same function. */
  shareAt: (seconds: number) => number;
  /** Stands still at its last pose when false, and always where people ask for less motion. */
  playing: boolean;
  mirrored?: boolean;
  /** Told the share of the repetition (0 to 1) as it goes, for the breath beside it. */
  onShare?: (share: number) => void;
  width: number;
  height: number;
  className?: string;
}

const SVG = 'http://www.w3.org/2000/svg';

/** A figure that moves through its key poses in the option's own tempo. */
export function MovingFigure({
  option,
  held,
  view,
  round,
  shareAt,
  playing,
  mirrored = false,
  onShare,
  width,
  height,
  className,
}: MovingFigureProps) {
  const svg = useRef<SVGSVGElement>(null);
  const film = useMemo(
    () =>
      filmBodies(
        mirrored ? mirroredBodiesOf(option) : bodiesOf(option),
        view,
        held ?? heldProps(option),
        round,
      ),
    [option, held, view, round, mirrored],
  );
  const frame = useMemo(() => fitFrame(film.frame, width / height), [film, width, height]);
  useEffect(() => {
    const element = svg.current;
    if (!element) return undefined;
    const paint = painter(element);
    const rest = round ? 0 : 0.5;
    paint(film.at(rest));
    if (!playing || option.poses.length < 2 || prefersStillness()) return undefined;
    return subscribe(element, (seconds) => {
      const share = shareAt(seconds);
      paint(film.at(share));
      onShare?.(share);
    });
  }, [film, playing, shareAt, option, round, onShare]);
  return (
    <FigureFrame
      ref={svg}
      frame={frame}
      width={width}
      height={height}
      className={className}
      name={describeOption(option)}
    />
  );
}

function prefersStillness(): boolean {
  return window.matchMedia('(prefers-reduced-motion: reduce)').matches;
}

/** Paints pictures into the same paths again and again: nothing is made or thrown away. */
function painter(svg: SVGSVGElement): (figure: Drawn) => void {
  const paths: { element: SVGPathElement; d: string; look: string }[] = [];
  svg.replaceChildren();
  let last: Drawn | undefined;
  return (figure) => {
    if (figure === last) return;
    last = figure;
    let used = 0;
    const put = (d: string, look: string) => {
      let path = paths[used];
      if (!path) {
        const element = document.createElementNS(SVG, 'path');
        svg.append(element);
        path = { element, d: '', look: '' };
        paths.push(path);
      }
      if (path.d !== d) path.element.setAttribute('d', d);
      if (path.look !== look) path.element.setAttribute('class', look);
      path.d = d;
      path.look = look;
      used += 1;
    };
    put(figure.ground, 'figure-ground');
    for (const part of figure.parts) {
      if (part.rim) put(part.rim, 'figure-rim');
      put(part.d, `figure-${part.tone}${part.line ? ' figure-line' : ''}`);
    }
    for (const spare of paths.slice(used)) {
      if (spare.d !== '') spare.element.setAttribute('d', '');
      spare.d = '';
    }
  };
}

type Tick = (seconds: number) => void;

const ticks = new Map<Element, Tick>();
const inSight = new Set<Element>();
let watch: IntersectionObserver | undefined;
let running = false;

/** One clock for every figure on the page; those out of sight stand still. */
function subscribe(element: Element, tick: Tick): () => void {
  watch ??= new IntersectionObserver((entries) => {
    for (const { target, isIntersecting } of entries) {
      if (isIntersecting) inSight.add(target);
      else inSight.delete(target);
    }
  });
  ticks.set(element, tick);
  watch.observe(element);
  if (!running) {
    running = true;
    requestAnimationFrame(run);
  }
  return () => {
    ticks.delete(element);
    inSight.delete(element);
    watch?.unobserve(element);
  };
}

function run(now: number): void {
  if (ticks.size === 0) {
    running = false;
    return;
  }
  for (const element of inSight) ticks.get(element)?.(now / 1000);
  requestAnimationFrame(run);
}
