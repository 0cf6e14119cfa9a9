import { drawBody } from '../body/figure/draw.ts';
import { figureSvg, PRINT_PALETTE } from '../body/figure/svg.ts';
import { bodiesOf } from '../body/option-body.ts';
import type { Exercise, Option } from '../movement/exercise.ts';

/** How an option ends, drawn for paper. */
export function paperFigure(exercise: Exercise, option: Option): string {
  const body = bodiesOf(option).at(-1);
  if (!body) return '';
  const drawn = drawBody(body, exercise.view, option.props);
  return figureSvg(drawn, drawn.frame, exercise.name, { palette: PRINT_PALETTE });
}
