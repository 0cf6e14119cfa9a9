import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useRef } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { useSWRConfig } from 'swr';
import { dayAfter, dayIn } from '@wrenfern/core/week/studio-time';
import { ClassesMade, type KeptPlanRow, type NewClassBody } from '@wrenfern/contract/classes';
import { request, sentenceOf } from '../../data/request.ts';
import { useRecentClasses } from '../../data/use-class-cards.ts';
import { useKeptPlans } from '../../data/use-classes.ts';
import { useGroups } from '../../data/use-people.ts';
import { useSession } from '../../data/use-session.ts';
import { useStudio } from '../../data/use-studio.ts';
import { Button } from '../../parts/button.tsx';
import { FormError } from '../../parts/form-error.tsx';
import { ON_CHOICES } from '../../parts/on-choices.ts';
import { SegmentedRadio } from '../../parts/segmented-radio.tsx';
import { Beginning, sourceOf } from './new-class-beginning.tsx';
import { NameAndSchool, When, WhoComes } from './new-class-fields.tsx';
import {
  bodyFrom,
  firstValues,
  nameFor,
  type Making,
  type NewClassFields,
  type NewClassValues,
} from './new-class-values.ts';

/** Where, when, who comes and how it begins; everything can be changed later in the class. */
export function NewClassForm({
  day,
  keptPlan,
}: {
  day: string | undefined;
  keptPlan: KeptPlanRow | undefined;
}) {
  const zone = useSession().data?.studio.timeZone ?? 'UTC';
  const own = useStudio().data?.schools;
  const earlier = useRecentClasses().data?.classes ?? [];
  const groups = useGroups().data?.groups ?? [];
  const kept = useKeptPlans().data?.plans ?? [];
  // Asked when the class is made: what a class is called and taken from is chosen in the form itself.
  const making = useRef<Making>({ zone, own, name: '' });
  const form = useForm<NewClassValues, unknown, NewClassBody>({
    resolver: (values, context, options) =>
      zodResolver(bodyFrom(making.current))(values, context, options),
    defaultValues: firstValues(day ?? dayAfter(dayIn(zone, new Date()), 1), keptPlan),
  });
  const { errors, isSubmitting } = form.formState;
  const [on, onDay, begin, copyOf, keptId] = useWatch({
    control: form.control,
    name: ['on', 'startsAt.day', 'begin', 'copyOf', 'keptPlanId'],
  });
  const source = sourceOf(begin, {
    again: earlier.find(({ id }) => id === copyOf),
    kept: kept.find(({ id }) => id === keptId),
  });
  const sourceName = source && ('name' in source ? source.name : source.title);
  const name = sourceName ?? nameFor(on, onDay);
  useEffect(() => {
    making.current = { zone, own, name };
  }, [zone, own, name]);
  const submit = useMaking(form);
  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-5" noValidate>
      {source ? null : (
        <SegmentedRadio
          label="On"
          choices={ON_CHOICES}
          value={on}
          onChange={(next) => form.setValue('on', next)}
        />
      )}
      <When form={form} />
      <WhoComes form={form} groups={groups} earlier={earlier} zone={zone} />
      <Beginning form={form} begin={begin} earlier={earlier} kept={kept} zone={zone} />
      <NameAndSchool form={form} own={own ?? []} name={name} asIn={sourceName} />
      <FormError message={errors.root?.message} />
      <Button
        look="main"
        type="submit"
        disabled={isSubmitting}
        className="sticky bottom-0 min-h-11"
      >
        Make it and plan
      </Button>
    </form>
  );
}

/** Makes the class and opens its plan. */
function useMaking(form: NewClassFields) {
  const { mutate } = useSWRConfig();
  const navigate = useNavigate();
  return form.handleSubmit(async (body) => {
    try {
      const { id } = await request(ClassesMade, 'POST', '/classes', body);
      await mutate((key) => typeof key === 'string' && /^\/(today|week|classes\?)/.test(key));
      const isDrafted = form.getValues('begin') === 'draft';
      await navigate(`/classes/${id}/plan`, { state: { draft: isDrafted } });
    } catch (error) {
      form.setError('root', { message: sentenceOf(error) });
    }
  });
}
