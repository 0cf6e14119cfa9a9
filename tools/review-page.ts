import { levelOf } from '../core/src/body/load/option-level.ts';
import { optionSkillOf } from '../core/src/body/load/option-skill.ts';
import { optionLoadOf } from '../core/src/body/load/option-load.ts';
import { frameOf, wayBetween } from '../core/src/body/figure/close-up.ts';
import { drawBody, fitFrame } from '../core/src/body/figure/draw.ts';
import { escapeXml } from '../core/src/body/figure/escape-xml.ts';
import { figureSvg } from '../core/src/body/figure/svg.ts';
import { bodiesOf } from '../core/src/body/option-body.ts';
import { measureLines, showMeasure } from '../core/src/body/measures/measure-lines.ts';
import { measuresOf } from '../core/src/body/measures/measures-of.ts';
import { measuredDemands } from '../core/src/people/demands.ts';
import { checkExercise } from '../core/src/body/check-exercise.ts';
import { describeDose } from '../core/src/movement/dose.ts';
import type { Exercise, Option } from '../core/src/movement/exercise.ts';
import { DEPTH_WORDS, FOUNDATION_WORDS } from '../core/src/movement/words.ts';
import { gearWords } from '../core/src/room/gear-words.ts';
import { PLAIN_MACHINES } from '../core/src/room/machines.ts';
import { cautionsAgainst, tellOpen } from '../core/src/people/cautions-against.ts';

const PROPORTION = 1.5;

/** The key poses of an option beside each other, to one scale. */
export function optionFigures(exercise: Exercise, option: Option): string {
  const bodies = bodiesOf(option);
  const figures = bodies.map((body) => drawBody(body, exercise.view, option.props));
  const frames = figures.map((figure) => figure.frame);
  const frame = fitFrame(frameOf(bodies, frames, exercise.view), PROPORTION);
  const arrow = wayBetween(bodies, exercise.view);
  return figures
    .map((figure, index) =>
      figureSvg(figure, frame, bodies[index]?.pose.name ?? '', {
        arrow: index === 0 ? arrow : undefined,
      }),
    )
    .join('');
}

const STYLE = `body{font:15px/1.45 system-ui,sans-serif;max-width:62rem;margin:2rem auto;padding:0 1rem;color:#26221c;background:#fffdf6}
h1{margin-bottom:0}h2{font-size:1.1rem;margin:1.6rem 0 .3rem}section.option{border-top:1px solid #c9bfae;padding-top:.6rem;break-inside:avoid}
.figures{display:flex;flex-wrap:wrap}svg{width:210px;height:140px}ul{margin:.3rem 0}.soft{color:#6b6255}.sign{border:1px solid #c9bfae;padding:1rem;margin-top:2rem}`;

/** One exercise for a teacher to read, judge and sign: words beside figures, loads, cautions, who may not. */
export function reviewPage(exercise: Exercise): string {
  const text = escapeXml;
  const list = (lines: readonly string[]) =>
    `<ul>${lines.map((line) => `<li>${text(line)}</li>`).join('')}</ul>`;
  const held = (depths: Exercise['needs']) =>
    depths
      .map(
        ({ foundation, depth }) => `${FOUNDATION_WORDS[foundation]} (${DEPTH_WORDS[depth] ?? ''})`,
      )
      .join(', ') || 'nothing';
  const { breath, usual } = exercise;
  return `<!doctype html><html lang="en"><meta charset="utf-8"><title>${text(exercise.name)}</title><style>${STYLE}</style>
<h1>${text(exercise.name)}</h1>
<p class="soft">${text([...exercise.otherNames, exercise.machine, exercise.position].join(' · '))}</p>
<p>${text(exercise.purpose)}</p>
<p>${text(describeDose(exercise.dose))} (usual ${usual.least} to ${usual.most}). Teaches ${text(held(exercise.teaches))}. Needs ${text(held(exercise.needs))}.</p>
<h2>Breath</h2>${list([...breath.phases.map(({ on, doing }) => `${on}: ${doing}`), `left alone: ${breath.natural}`])}
<h2>${exercise.optionsAre === 'variants' ? 'Variants, done one after another' : 'Steps, easiest first'}</h2>
${exercise.options.map((option) => optionPart(exercise, option)).join('\n')}
<h2>Say</h2>${list(exercise.cues)}
<h2>Look for</h2>${list(exercise.faults.map(({ fault, remedy }) => `${fault}: ${remedy}`))}
<h2>Who may not</h2>${list(cautionsAgainst(exercise).map(({ caution, open }) => `${caution.name}: ${tellOpen(open)} (${caution.source})`))}
<p class="soft">The usual cautions: no diagnosis and no clearance. Clinicians, makers’ instructions and local rules come first.</p>
<h2>In its place, before, after</h2>${list([`in its place: ${exercise.swaps.join(', ')}`, `leads to: ${exercise.prepares.join(', ') || 'nothing named'}`, `answered by: ${exercise.counters.join(', ') || 'nothing named'}`])}
<h2>What the body model finds</h2>${list(checkExercise(exercise).map(({ option, sentence }) => `${option ? `option ${option}: ` : ''}${sentence}`))}
<div class="sign">Read by ______________________ on ______________ &nbsp; right as it stands ☐ &nbsp; to change:</div></html>
`;
}

function optionPart(exercise: Exercise, option: Option): string {
  const { score, parts } = optionLoadOf(option);
  const setting = option.settings ? gearWords(option.settings, PLAIN_MACHINES) : [];
  const props = option.props.map(({ prop, place, role }) => `${prop} ${place} (${role})`);
  const lines = [
    option.change,
    `feel: ${option.feel}`,
    `go back: ${option.stepBack}`,
    ...(props.length > 0 ? [`props: ${props.join('; ')}`] : []),
    ...(setting.length > 0 ? [`machine: ${setting.join(', ')}`] : []),
    `asks, by hand: ${option.demands.join(', ') || 'nothing'}`,
    `asks, measured: ${[...measuredDemands(option)].join(', ') || 'nothing'}`,
    `measures: ${measureLines(measuresOf(option))
      .flatMap((line) => {
        const shown = showMeasure(line);
        return shown ? [`${line.name} ${shown}`] : [];
      })
      .join('; ')}`,
    `${levelOf(exercise, option).level}; skill ${optionSkillOf(exercise, option).score} of 100: ${optionSkillOf(
      exercise,
      option,
    )
      .parts.map(({ because }) => because)
      .join('; ')}`,
    `weighs ${Math.round(score)} of 100: ${parts.map(({ name, points, because }) => `${name} ${points.toFixed(0)} (${because})`).join('; ')}`,
  ];
  return `<section class="option"><h3>${option.number}. ${escapeXml(option.name)}</h3><div class="figures">${optionFigures(exercise, option)}</div><ul>${lines
    .map((line) => `<li>${escapeXml(line)}</li>`)
    .join('')}</ul></section>`;
}
