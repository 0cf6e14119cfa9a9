import { useState } from 'react';
import { describeDefaults } from '@wrenfern/core/plan/school-words';
import { rulesOf } from '@wrenfern/core/plan/schools';
import { RULES, rulesInForce } from '@wrenfern/core/review/rules';
import type { School } from '@wrenfern/core/plan/plan';
import { showClock } from '@wrenfern/core/plan/show-time';
import { useLesson } from '../../../data/use-lesson.ts';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { analyseClass } from '../../../data/class-analysis.ts';
import { Button } from '../../../parts/button.tsx';
import { Select } from '../../../parts/select.tsx';
import { compareFindings, type Change } from '@wrenfern/core/review/finding-list';
import {
  isOutdated,
  schoolChoices,
  schoolOf,
  schoolValue,
} from '@wrenfern/core/plan/school-choices';
import { useEditor, usePlanScreen } from '../editor/plan-context.tsx';

interface Difference extends Change {
  from: string;
  moreS: number;
}

/** The school of the class, what follows from it, and what changing it has changed. */
export function SchoolPart() {
  const catalogue = useCatalogue();
  const { lesson } = useLesson();
  const { analysis } = usePlanScreen();
  const plan = useEditor((editor) => editor.plan);
  const edit = useEditor((editor) => editor.edit);
  const [difference, setDifference] = useState<Difference>();
  const rules = rulesOf(plan.school);
  const inForce = rulesInForce(RULES, rules);
  const change = (school: School) => {
    const after = analyseClass(lesson, { ...plan, school }, catalogue);
    setDifference({
      from: rules.name,
      moreS: after.timeline.totalS - analysis.timeline.totalS,
      ...compareFindings(analysis.findings, after.findings),
    });
    edit({ type: 'setDetails', details: { school } });
  };
  return (
    <section aria-label="How this class is taught">
      <Select
        label="School"
        value={schoolValue(plan.school)}
        choices={schoolChoices(lesson.schools, plan.school)}
        onChange={(value) => change(schoolOf(value, lesson.schools, plan.school))}
      />
      {isOutdated(plan.school, lesson.schools) ? (
        <Button
          className="mt-2"
          onClick={() => {
            const newest = lesson.schools.find(({ id }) => id === rules.id);
            if (newest) change(newest);
          }}
        >
          Take the studio’s newer {rules.name}
        </Button>
      ) : null}
      {difference ? <Differs difference={difference} /> : null}
      <details className="mt-2">
        <summary className="cursor-pointer text-fern">What follows from it</summary>
        <p className="mt-1">{rules.why}</p>
        <ul className="mt-1 list-disc pl-5">
          {describeDefaults(rules).map((line) => (
            <li key={line}>{line}</li>
          ))}
          <li>
            {inForce.filter(({ standing }) => standing === 'must').length} rules must hold,{' '}
            {inForce.filter(({ standing }) => standing === 'should').length} should
          </li>
        </ul>
      </details>
    </section>
  );
}

function Differs({ difference }: { difference: Difference }) {
  const { from, moreS, added, settled } = difference;
  const words = [
    moreS === 0 ? '' : `${showClock(Math.abs(moreS))} ${moreS > 0 ? 'longer' : 'shorter'}`,
    added.length > 0 ? `${added.length} more to settle` : '',
    settled.length > 0 ? `${settled.length} no longer asked for` : '',
  ].filter(Boolean);
  return (
    <div role="status" className="mt-2 rounded-xl bg-copper-soft p-2.5">
      <p className="font-semibold">
        Against {from}: {words.length > 0 ? words.join(', ') : 'nothing changes'}.
      </p>
      {added.slice(0, 3).map(({ sentence }) => (
        <p key={sentence} className="mt-0.5 text-[0.8125rem]">
          {sentence}
        </p>
      ))}
    </div>
  );
}
