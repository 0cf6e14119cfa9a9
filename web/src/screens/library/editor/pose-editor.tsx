import { FlipHorizontal2 } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { faultsOf } from '@wrenfern/core/body/check-pose';
import { contactsOf } from '@wrenfern/core/body/contacts';
import { dragPose, HANDLES, handlePlace, type Handle } from '@wrenfern/core/body/drag-pose';
import { mirrorPose, poseOf } from '@wrenfern/core/body/full-pose';
import { cameraFor, project, type Camera } from '@wrenfern/core/body/figure/camera';
import { drawBody, fitFrame, type Frame } from '@wrenfern/core/body/figure/draw';
import { SCALE } from '@wrenfern/core/body/figure/outline';
import { fullPose, SHAPE_FAMILIES } from '@wrenfern/core/body/shapes/index';
import { layOutBody } from '@wrenfern/core/body/skeleton';
import { add, scale, type Vec3 } from '@wrenfern/core/body/space';
import type { PropUse } from '@wrenfern/core/movement/exercise';
import { VIEWS, type KeyPose, type Pose, type View } from '@wrenfern/core/movement/pose';
import { VIEW_WORDS } from '@wrenfern/core/movement/words';
import { Button } from '../../../parts/button.tsx';
import { TextField } from '../../../parts/field.tsx';
import { Select } from '../../../parts/select.tsx';
import { PoseAngles } from './pose-angles.tsx';
import { PoseSigns } from './pose-signs.tsx';

interface PoseEditorProps {
  pose: KeyPose;
  props: readonly PropUse[];
  view: View;
  onView: (view: View) => void;
  onChange: (pose: Pose) => void;
}

const SHAPE_CHOICES = Object.entries(SHAPE_FAMILIES).flatMap(([family, shapes]) =>
  Object.keys(shapes).map((name) => ({
    value: name,
    name: `${family}: ${name.replaceAll('-', ' ')}`,
  })),
);

/** A key pose to be shaped by hand: a base shape, handles on the figure, limits and contacts live. */
export function PoseEditor({ pose, props, view, onView, onChange }: PoseEditorProps) {
  const asPose: Pose = typeof pose === 'string' ? { shape: pose } : pose;
  const body = useMemo(() => layOutBody(fullPose(pose)), [pose]);
  const faults = useMemo(() => faultsOf(body), [body]);
  const contacts = useMemo(() => contactsOf(body), [body]);
  return (
    <div className="grid gap-4 lg:grid-cols-[minmax(0,1fr)_17rem]">
      <div>
        <Stage pose={pose} props={props} view={view} onChange={onChange} />
        <p className="mt-1 text-[0.8125rem] text-soft">
          Drag a ring, or go to it with Tab and move it with the arrow keys (Shift for more). Hips
          tip the pelvis, chest and head bend the back.
        </p>
        <PoseSigns faults={faults} contacts={contacts} />
      </div>
      <div className="flex flex-col gap-3">
        <TextField
          label="What the picture shows"
          hint="Read aloud to people who do not see it."
          value={body.pose.name}
          onChange={(event) => onChange({ ...asPose, name: event.target.value })}
        />
        <Select
          label="Begin from the shape"
          value={asPose.shape ?? ''}
          choices={[{ value: '', name: 'standing, or as it is' }, ...SHAPE_CHOICES]}
          onChange={(shape) => onChange(shape ? { shape } : poseOf(fullPose(pose)))}
        />
        <Select
          label="Seen"
          value={view}
          onChange={onView}
          choices={VIEWS.map((value) => ({ value, name: VIEW_WORDS[value] }))}
        />
        <Button onClick={() => onChange(poseOf(mirrorPose(fullPose(pose))))}>
          <FlipHorizontal2 size={16} aria-hidden /> Change sides
        </Button>
        <PoseAngles pose={pose} onChange={onChange} />
      </div>
    </div>
  );
}

const WIDTH = 560;
const HEIGHT = 340;
/** One press of an arrow key, and with Shift; shares of stature. */
const STEP = 0.01;
const LONG_STEP = 0.05;

const ARROWS: Record<string, readonly [x: number, y: number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

interface Drag {
  handle: Handle;
  from: KeyPose;
  startX: number;
  startY: number;
  frame: Frame;
}

function Stage({
  pose,
  props,
  view,
  onChange,
}: Pick<PoseEditorProps, 'pose' | 'props' | 'view' | 'onChange'>) {
  const svg = useRef<SVGSVGElement>(null);
  const [drag, setDrag] = useState<Drag>();
  const camera = cameraFor(view);
  const { body, figure } = useMemo(() => {
    const laid = layOutBody(fullPose(pose));
    return { body: laid, figure: drawBody(laid, view, props) };
  }, [pose, view, props]);
  const frame = drag?.frame ?? roomAround(figure.frame);
  const move = (event: React.PointerEvent) => {
    if (!drag || !svg.current) return;
    const unit = unitOf(svg.current);
    const [right, up] = [event.clientX - drag.startX, drag.startY - event.clientY];
    onChange(dragPose(drag.from, drag.handle, inRoom(camera, right * unit, up * unit)));
  };
  const nudge = (event: React.KeyboardEvent, handle: Handle) => {
    const arrow = ARROWS[event.key];
    if (!arrow) return;
    event.preventDefault();
    const step = event.shiftKey ? LONG_STEP : STEP;
    onChange(dragPose(pose, handle, inRoom(camera, arrow[0] * step, arrow[1] * step)));
  };
  return (
    <svg
      ref={svg}
      viewBox={`${frame.x} ${frame.y} ${frame.width} ${frame.height}`}
      width={WIDTH}
      height={HEIGHT}
      className="h-auto max-h-[27rem] w-full touch-none rounded-2xl border border-line bg-leaf"
      role="group"
      aria-label={`Figure: ${body.pose.name}`}
      onPointerMove={move}
      onPointerUp={() => setDrag(undefined)}
      onPointerCancel={() => setDrag(undefined)}
    >
      <Drawn figure={figure} />
      {HANDLES.map((handle) => (
        <Ring
          key={handle}
          handle={handle}
          at={project(camera, handlePlace(body, handle))}
          nudge={nudge}
          grab={(event) => {
            svg.current?.setPointerCapture(event.pointerId);
            setDrag({ handle, from: pose, startX: event.clientX, startY: event.clientY, frame });
          }}
        />
      ))}
    </svg>
  );
}

function Drawn({ figure }: { figure: ReturnType<typeof drawBody> }) {
  return (
    <>
      <path d={figure.ground} className="figure-ground" />
      {figure.parts.map((part, index) => (
        <g key={`${index} ${part.tone}`}>
          {part.rim ? <path d={part.rim} className="figure-rim" /> : null}
          <path d={part.d} className={`figure-${part.tone}${part.line ? ' figure-line' : ''}`} />
        </g>
      ))}
    </>
  );
}

interface RingProps {
  handle: Handle;
  /** In shares of stature, as the camera sees it. */
  at: { x: number; y: number };
  nudge: (event: React.KeyboardEvent, handle: Handle) => void;
  grab: (event: React.PointerEvent) => void;
}

function Ring({ handle, at, nudge, grab }: RingProps) {
  return (
    <circle
      cx={at.x * SCALE}
      cy={-at.y * SCALE}
      r={26}
      tabIndex={0}
      role="button"
      aria-label={`${handle}: arrow keys move it`}
      className="cursor-grab fill-leaf/70 stroke-copper stroke-[9] outline-none hover:fill-copper-soft focus-visible:fill-copper"
      onKeyDown={(event) => nudge(event, handle)}
      onPointerDown={grab}
    >
      <title>{handle}</title>
    </circle>
  );
}

/** Shares of stature to a pixel: the picture may be narrower than its box; what the browser did is the truth. */
function unitOf(svg: SVGSVGElement): number {
  return 1 / (svg.getScreenCTM()?.a ?? 1) / SCALE;
}

function inRoom(camera: Camera, right: number, up: number): Vec3 {
  return add(scale(camera.right, right), scale(camera.up, up));
}

/** Room to drag into. */
function roomAround(frame: Frame): Frame {
  const margin = 140;
  return fitFrame(
    {
      x: frame.x - margin,
      y: frame.y - margin,
      width: frame.width + 2 * margin,
      height: frame.height + 1.5 * margin,
    },
    WIDTH / HEIGHT,
  );
}
