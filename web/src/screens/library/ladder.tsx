import { demandsOf } from '@wrenfern/core/people/demands';
import { useCallback, useRef } from 'react';
import { tempoOf, type Exercise, type Option } from '@wrenfern/core/movement/exercise';
import type { View } from '@wrenfern/core/movement/pose';
import { DEMAND_WORDS } from '@wrenfern/core/movement/words';
import { KIND_PACE } from '@wrenfern/core/plan/timing/pace';
import { Frond } from '../../parts/frond.tsx';
import { MovingFigure } from '../../parts/moving-figure.tsx';
import { PROP_WORDS, LEVER_WORDS } from '@wrenfern/core/movement/words';
import { BodyMeasures } from './body-measures.tsx';
import { LoadBars } from './load-bars.tsx';

interface LadderProps {
  exercise: Exercise;
  view: View;
  playing: boolean;
  mirrored: boolean;
}

/** The options side by side: steps of a ladder with what each changes, or variants of a series. */
export function Ladder({ exercise, ...look }: LadderProps) {
  return (
    <ol
      className="mt-4 grid gap-3 sm:grid-cols-2 xl:grid-cols-4"
      aria-label={isSeries(exercise) ? 'Variants, one after another' : 'Options, easiest first'}
    >
      {exercise.options.map((option, index) => (
        <Rung
          key={option.number}
          exercise={exercise}
          option={option}
          before={exercise.options[index - 1]}
          {...look}
        />
      ))}
    </ol>
  );
}

function Rung({
  exercise,
  option,
  before,
  view,
  playing,
  mirrored,
}: LadderProps & { option: Option; before: Option | undefined }) {
  const { breath, shareAt, onShare } = useBreath(exercise, option);
  const isStandard = option.number === exercise.standard && !isSeries(exercise);
  /** A variant is no step from the one before it. */
  const step = isSeries(exercise) ? undefined : before;
  return (
    <li className="flex flex-col rounded-2xl border border-line bg-leaf p-4">
      <div className="flex items-start justify-between">
        <MovingFigure
          option={option}
          view={view}
          round={tempoOf(exercise, option) === 'circle'}
          shareAt={shareAt}
          playing={playing}
          mirrored={mirrored}
          onShare={onShare}
          width={230}
          height={150}
          className="h-auto w-full min-w-0 max-w-72"
        />
        <Frond
          option={option.number}
          of={exercise.options.length}
          standard={isStandard}
          size={36}
          label={isStandard ? 'standard option' : `${optionWord(exercise)} ${option.number}`}
        />
      </div>
      <p ref={breath} aria-hidden className="h-5 truncate text-[0.8125rem] text-soft" />
      <h2 className="mt-1 text-lg">
        {option.number} · {option.name}
      </h2>
      <p>
        {step ? <span className="font-semibold text-copper">Changes: </span> : null}
        {option.change}
      </p>
      {step ? <Levers option={option} /> : null}
      <LoadBars exercise={exercise} option={option} before={step} />
      <BodyMeasures exercise={exercise} option={option} />
      <Facts exercise={exercise} option={option} />
    </li>
  );
}

/** The words of the breath, in step with the moving figure. */
function useBreath(exercise: Exercise, option: Option) {
  const breath = useRef<HTMLParagraphElement>(null);
  const secondsS = repetitionS(exercise, option);
  const shareAt = useCallback((seconds: number) => (seconds / secondsS) % 1, [secondsS]);
  const { phases } = exercise.breath;
  // Written past React: it changes with every picture.
  const onShare = useCallback(
    (share: number) => {
      const phase = phases[Math.floor(share * phases.length)];
      const words = phase ? `${BREATH_WORDS[phase.on]}: ${phase.doing}` : '';
      if (breath.current && breath.current.textContent !== words) {
        breath.current.textContent = words;
      }
    },
    [phases],
  );
  return { breath, shareAt, onShare };
}

/** What this step turns up against the one before. */
function Levers({ option }: { option: Option }) {
  return (
    <ul className="mt-1.5 flex flex-wrap gap-1" aria-label="What is turned">
      {option.levers.map((lever) => (
        <li
          key={lever}
          className="rounded-full bg-copper-soft px-2 py-0.5 text-[0.8125rem] text-copper"
        >
          {LEVER_WORDS[lever]}
        </li>
      ))}
    </ul>
  );
}

function Facts({ exercise, option }: { exercise: Exercise; option: Option }) {
  return (
    <dl className="mt-3 flex flex-col gap-1 text-[0.8125rem]">
      <Fact name="Feel" value={option.feel} />
      <Fact name={isSeries(exercise) ? 'Easier' : 'Step back'} value={option.stepBack} />
      <Fact name="Props" value={propWords(option)} />
      {option.settings ? <Fact name="Machine" value={settingWords(option)} /> : null}
      <Fact
        name="Asks for"
        value={
          demandsOf(option)
            .map((demand) => DEMAND_WORDS[demand])
            .join(', ') || 'nothing that a caution speaks of'
        }
      />
    </dl>
  );
}

const isSeries = ({ optionsAre }: Exercise) => optionsAre === 'variants';
const optionWord = (exercise: Exercise) => (isSeries(exercise) ? 'variant' : 'option');

const BREATH_WORDS = { in: 'in', out: 'out', free: 'breathe' } as const;

/** Slower than this shows nothing, faster than this tires the eye. */
const SLOWEST_S = 9;
const QUICKEST_S = 1.4;

function repetitionS(exercise: Exercise, option: Option): number {
  return Math.min(SLOWEST_S, Math.max(QUICKEST_S, KIND_PACE[tempoOf(exercise, option)].naturalS));
}

function propWords(option: Option): string {
  return (
    option.props
      .map(
        (use) =>
          `${use.count > 1 ? `${use.count} × ` : ''}${PROP_WORDS[use.prop]} ${use.place} (${use.role}${use.optional ? ', if wanted' : ''})`,
      )
      .join('; ') || 'none'
  );
}

function settingWords({ settings }: Option): string {
  if (!settings) return '';
  const { springs = {}, moreSpring, bar, headrest, loops, facing, box } = settings;
  const pulled = (['heavy', 'medium', 'light'] as const).flatMap((strength) =>
    springs[strength] ? [`${springs[strength]} ${strength}`] : [],
  );
  return [
    pulled.length > 0 ? `springs ${pulled.join(' + ')}` : undefined,
    moreSpring ? `more spring is ${moreSpring}` : undefined,
    bar ? `bar ${bar}` : undefined,
    headrest ? `headrest ${headrest}` : undefined,
    loops && loops !== 'none' ? `${loops} loops` : undefined,
    facing,
    box && box !== 'none' ? `${box} box` : undefined,
  ]
    .filter(Boolean)
    .join(', ');
}

function Fact({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt className="inline font-semibold">{name}: </dt>
      <dd className="inline text-soft">{value}</dd>
    </div>
  );
}
