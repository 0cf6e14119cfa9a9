import { Op } from 'sequelize';
import { subWeeks } from 'date-fns';
import type { SetAsideOften } from '@wrenfern/contract/studio';
import { ClassRow } from '../db/models.ts';
import { rowsOf } from '../db/studio-rows.ts';

/** A habit shows within a term; what stood longer ago was another habit. */
const WEEKS = 12;
const MOST_CLASSES = 400;
const MOST_REASONS = 3;

/** How often each rule was set aside on purpose in the classes of the last weeks, most often first, with why. */
export async function setAsideOften(studioId: string, now: Date): Promise<SetAsideOften> {
  const classes = await rowsOf(ClassRow, studioId).all({
    where: { startsAt: { [Op.gte]: subWeeks(now, WEEKS) } },
    attributes: ['id', 'plan'],
    order: [['startsAt', 'DESC']],
    limit: MOST_CLASSES,
  });
  const rules = new Map<string, { classes: number; reasons: string[] }>();
  for (const { plan } of classes) {
    const here = new Map((plan.setAside ?? []).map(({ rule, reason }) => [rule, reason]));
    for (const [rule, reason] of here) {
      const known = rules.get(rule) ?? { classes: 0, reasons: [] };
      known.classes += 1;
      if (!known.reasons.includes(reason)) known.reasons.push(reason);
      rules.set(rule, known);
    }
  }
  return {
    weeks: WEEKS,
    classes: classes.length,
    rules: [...rules]
      .map(([rule, { classes: often, reasons }]) => ({
        rule,
        classes: often,
        reasons: reasons.slice(0, MOST_REASONS),
      }))
      .sort((one, other) => other.classes - one.classes || (one.rule < other.rule ? -1 : 1)),
  };
}
