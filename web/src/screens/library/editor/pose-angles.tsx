import type { FullPose } from '@wrenfern/core/body/full-pose';
import { fullPose } from '@wrenfern/core/body/shapes/index';
import { RestPart, type Curve, type KeyPose, type Pose } from '@wrenfern/core/movement/pose';
import { ToggleChip } from '../../../parts/chip.tsx';
import { Stepper } from '../../../parts/stepper.tsx';

const JOINTS = ['low back', 'middle back', 'upper back', 'neck'] as const;
const BENDS = [
  { key: 'round', name: 'rounding' },
  { key: 'side', name: 'side-bend' },
  { key: 'turn', name: 'turn' },
] as const;
const WHOLE_BODY = [
  { key: 'lean', name: 'lean' },
  { key: 'roll', name: 'roll' },
  { key: 'face', name: 'face' },
] as const;

/** Parts that a pose may rest on at once. */
const MOST_REST = 2;

/** The same pose in numbers: for what a drag does not reach, and for exactness. */
export function PoseAngles({ pose, onChange }: { pose: KeyPose; onChange: (pose: Pose) => void }) {
  const own: Pose = typeof pose === 'string' ? { shape: pose } : pose;
  const full = fullPose(pose);
  return (
    <details className="rounded-xl border border-line bg-leaf p-3">
      <summary className="cursor-pointer font-semibold">In numbers</summary>
      <div className="mt-3 flex flex-col gap-4">
        <RestsOn rest={full.rest} onChange={(rest) => onChange({ ...own, rest })} />
        <div className="grid grid-cols-2 gap-1">
          {WHOLE_BODY.map(({ key, name }) => (
            <Stepper
              key={key}
              label={name}
              value={full[key]}
              min={-360}
              max={360}
              step={2}
              unit="°"
              onChange={(degrees) => onChange({ ...own, [key]: degrees })}
            />
          ))}
        </div>
        {BENDS.map(({ key, name }) => (
          <fieldset key={key} className="grid grid-cols-2 gap-1">
            <legend className="text-[0.8125rem] text-soft">{name}</legend>
            {JOINTS.map((joint, index) => (
              <Stepper
                key={joint}
                label={joint}
                value={full[key][index as 0]}
                min={-60}
                max={60}
                step={2}
                unit="°"
                onChange={(degrees) => onChange({ ...own, [key]: bent(full[key], index, degrees) })}
              />
            ))}
          </fieldset>
        ))}
      </div>
    </details>
  );
}

/** The curve with one joint bent otherwise. */
function bent([low, mid, up, neck]: Curve, index: number, degrees: number): Curve {
  const at = (own: number, now: number) => (own === index ? degrees : now);
  return [at(0, low), at(1, mid), at(2, up), at(3, neck)];
}

function RestsOn({
  rest,
  onChange,
}: {
  rest: FullPose['rest'];
  onChange: (rest: Pose['rest']) => void;
}) {
  const resting = new Map(rest);
  const toggle = (part: RestPart, on: boolean) => {
    const next = new Map(resting);
    if (on) next.set(part, 0);
    else next.delete(part);
    if (next.size >= 1 && next.size <= MOST_REST) onChange(Object.fromEntries(next));
  };
  return (
    <fieldset>
      <legend className="text-[0.8125rem] text-soft">Rests on (one or two)</legend>
      <div className="mt-1 flex flex-wrap gap-1">
        {RestPart.options.map((part) => (
          <ToggleChip key={part} on={resting.has(part)} onChange={(on) => toggle(part, on)}>
            {part}
          </ToggleChip>
        ))}
      </div>
    </fieldset>
  );
}
