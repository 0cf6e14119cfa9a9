import { useState } from 'react';
import { levelOf } from '@wrenfern/core/body/load/option-level';
import {
  effortOf,
  optionLoadOf,
  type OptionLoad,
  type LoadPart,
} from '@wrenfern/core/body/load/option-load';
import { optionSkillOf } from '@wrenfern/core/body/load/option-skill';
import { MASS_KG, STATURE_M } from '@wrenfern/core/body/body-segments';
import { bodiesOf } from '@wrenfern/core/body/option-body';
import { strapEnds } from '@wrenfern/core/body/machine';
import { springForceN, strapForceN } from '@wrenfern/core/body/springs';
import { toNewtonMetres, weigh } from '@wrenfern/core/body/statics';
import type { Exercise, Option } from '@wrenfern/core/movement/exercise';

/** The person whose newton metres are told, as an example. */
const EXAMPLE = { massKg: MASS_KG, statureM: STATURE_M };

interface Weighed {
  exercise: Pick<Exercise, 'needs' | 'optionsAre' | 'standard' | 'family' | 'closing'>;
  option: Option;
}

/** What an option asks by the body model, part by part, what skill it takes, and why. */
export function LoadBars({ exercise, option, before }: Weighed & { before: Option | undefined }) {
  const [why, setWhy] = useState(false);
  const demand = optionLoadOf(option);
  const earlier = before ? optionLoadOf(before) : undefined;
  const id = `why-${option.number}`;
  return (
    <div className="mt-3">
      <div className="flex items-baseline justify-between gap-2">
        <p className="font-semibold">
          Asks {demand.score} <span className="font-normal text-soft">of 100</span>
          {earlier ? <Change by={demand.score - earlier.score} /> : null}
        </p>
        <button
          type="button"
          aria-expanded={why}
          aria-controls={id}
          onClick={() => setWhy(!why)}
          className="min-h-6 text-[0.8125rem] text-fern underline"
        >
          why?
        </button>
      </div>
      <ul className="mt-1 flex flex-col gap-0.5">
        {demand.parts.map((part) => (
          <Bar key={part.name} part={part} earlier={pointsIn(earlier, part.name)} />
        ))}
      </ul>
      {demand.parts.length === 0 ? (
        <p className="text-[0.8125rem] text-soft">Nothing that the model weighs.</p>
      ) : null}
      <p className="mt-1 text-[0.8125rem]">
        Takes {optionSkillOf(exercise, option).score} of 100 in skill ·{' '}
        <span className="font-semibold">{levelOf(exercise, option).level}</span>
      </p>
      <p className="text-[0.8125rem]">
        Planned as {effortOf(exercise, option)} of 5 in effort
        {option.effort === undefined ? '' : ', as teachers say'}
      </p>
      {why ? <Why id={id} exercise={exercise} option={option} demand={demand} /> : null}
    </div>
  );
}

function pointsIn(demand: OptionLoad | undefined, name: LoadPart['name']): number | undefined {
  if (!demand) return undefined;
  return demand.parts.find((part) => part.name === name)?.points ?? 0;
}

function Change({ by }: { by: number }) {
  if (by === 0) return <span className="font-normal text-soft"> · as the step before</span>;
  return (
    <span className="font-normal text-soft">
      {' '}
      · {by > 0 ? `${by} more` : `${-by} less`} than the step before
    </span>
  );
}

/** Points that a full bar stands for. */
const FULL = 30;
const SEEN = 1;

function Bar({ part, earlier }: { part: LoadPart; earlier: number | undefined }) {
  const grew = earlier !== undefined && part.points > earlier + SEEN;
  return (
    <li className="grid grid-cols-[8rem_1fr_2rem] items-center gap-2 text-[0.8125rem]">
      <span className={grew ? 'font-semibold text-copper' : ''}>{part.name}</span>
      <span className="relative h-2 overflow-hidden rounded-full bg-mist">
        <span
          className="absolute inset-y-0 left-0 rounded-full bg-fern-light"
          style={{ width: `${Math.min(100, (part.points / FULL) * 100)}%` }}
        />
        {earlier === undefined ? null : (
          <span
            className="absolute inset-y-0 w-0.5 bg-ink"
            style={{ left: `${Math.min(99, (earlier / FULL) * 100)}%` }}
          />
        )}
      </span>
      <span className="text-right tabular-nums">{part.points}</span>
    </li>
  );
}

function Why({ id, exercise, option, demand }: Weighed & { id: string; demand: OptionLoad }) {
  const heaviest = bodiesOf(option)
    .map((body) => weigh(body, option.settings))
    .reduce((a, b) => (b.moments.lowBack > a.moments.lowBack ? b : a));
  const newtonMetres = (moment: number) =>
    Math.round(toNewtonMetres(moment, EXAMPLE.massKg, EXAMPLE.statureM));
  const { moments, onHands, onElbows } = heaviest;
  return (
    <div id={id} className="mt-2 flex flex-col gap-2 text-[0.8125rem] text-soft">
      <ul className="list-disc pl-4">
        {demand.parts.map((part) => (
          <li key={part.name}>{part.because}.</li>
        ))}
      </ul>
      <p>Skill:</p>
      <ul className="list-disc pl-4">
        {optionSkillOf(exercise, option).parts.map((part) => (
          <li key={part.name}>
            {part.because} ({part.points})
          </li>
        ))}
      </ul>
      <p>
        For someone of {EXAMPLE.massKg} kg and {EXAMPLE.statureM} m, held still in its heaviest
        picture: low back {newtonMetres(moments.lowBack)} N·m, hips{' '}
        {newtonMetres(moments.hip.right)} and {newtonMetres(moments.hip.left)} N·m, shoulders{' '}
        {newtonMetres(moments.shoulder.right)} and {newtonMetres(moments.shoulder.left)} N·m
        {onHands + onElbows > 0.02
          ? `, ${Math.round((onHands + onElbows) * 100)} % of body weight on the arms`
          : ''}
        .
      </p>
      {option.settings ? <p>{pullWords(option)}</p> : null}
      {option.lighterBecause ? (
        <p>Why it comes here all the same: {option.lighterBecause}</p>
      ) : null}
      {option.held ? <p>What keeps it up: {option.held}</p> : null}
      <p>
        Segments: de Leva, J Biomech 29 (1996) 1223-1230 (from memory). The weights of the parts are
        common practice, made to put options in order; they are no measure of anyone’s strength.
      </p>
    </div>
  );
}

/** What the machine pulls with where the carriage is farthest out. */
function pullWords(option: Option): string {
  const machines = bodiesOf(option).flatMap(({ pose }) => pose.machine ?? []);
  const outM = Math.max(0, ...machines.map(({ out }) => out)) * EXAMPLE.statureM;
  const inStraps = Math.max(0, ...machines.map((machine) => strapEnds(machine).length));
  const pull = Math.round(springForceN(option.settings, outM));
  const each = Math.round(strapForceN(option.settings, outM, inStraps));
  const place = `with the carriage ${Math.round(outM * 100)} cm out`;
  return inStraps > 0
    ? `Each strap pulls with about ${each} N ${place}, by stand-in springs; your own differ.`
    : `The springs pull with about ${pull} N ${place}, by stand-in springs; your own differ.`;
}
