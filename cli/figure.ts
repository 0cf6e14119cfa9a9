import { arrowBetween, drawBody } from '@wrenfern/core/body/figure/draw';
import { figureSvg } from '@wrenfern/core/body/figure/svg';
import { bodiesOf } from '@wrenfern/core/body/option-body';
import { VIEWS, type View } from '@wrenfern/core/movement/pose';
import { builtInCatalogue } from '@wrenfern/library';
import { countFlag } from './count-flag.ts';
import { Refusal } from './refusal.ts';
import { writeOut } from './write-out.ts';

interface FigureWishes {
  option?: string | undefined;
  pose?: string | undefined;
  view?: string | undefined;
  out?: string | undefined;
}

/** A key pose of an exercise as SVG; written to a file when one is named. */
export function figure(slug: string, wishes: FigureWishes): string {
  const exercise = builtInCatalogue.get(slug);
  if (!exercise) throw new Refusal(`there is no exercise "${slug}"; try "wrenfern catalogue"`);
  const number = countFlag(
    '--option',
    wishes.option ?? String(exercise.standard),
    exercise.options.length,
  );
  const option = exercise.options[number - 1];
  const bodies = option ? bodiesOf(option) : [];
  const at = countFlag('--pose', wishes.pose ?? String(bodies.length), bodies.length);
  const body = bodies[at - 1];
  if (!option || !body) throw new Refusal(`${slug} has no option ${number}`);
  const view = viewOf(wishes.view) ?? exercise.view;
  const drawn = drawBody(body, view, option.props);
  const next = bodies[at];
  const svg = figureSvg(drawn, drawn.frame, `${exercise.name}, ${option.name}: ${body.pose.name}`, {
    arrow: next ? arrowBetween(body, next, view) : undefined,
  });
  if (wishes.out === undefined) return svg;
  writeOut(wishes.out, svg);
  return `${wishes.out}: ${exercise.name}, option ${number}, pose ${at} of ${bodies.length}`;
}

function viewOf(text: string | undefined): View | undefined {
  if (text === undefined) return undefined;
  const view = VIEWS.find((each) => each === text);
  if (!view) throw new Refusal(`--view is one of ${VIEWS.join(', ')}, not "${text}"`);
  return view;
}
