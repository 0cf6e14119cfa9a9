import { addDays, format } from 'date-fns';
import type { ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { request, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { Sheet } from '../../parts/dialog.tsx';
import { TextField } from '../../parts/field.tsx';

interface NewClassForm {
  title: string;
  day: string;
  time: string;
  lengthMin: number;
}

/** Makes an empty class and opens its plan. */
export function NewClass({ trigger }: { trigger: ReactNode }) {
  const navigate = useNavigate();
  const form = useForm<NewClassForm>({
    defaultValues: {
      title: '',
      day: format(addDays(new Date(), 1), 'yyyy-MM-dd'),
      time: '18:00',
      lengthMin: 50,
    },
  });
  const { errors, isSubmitting } = form.formState;
  const submit = form.handleSubmit(async (values) => {
    try {
      const { id } = await request<{ id: string }>('POST', '/classes', {
        title: values.title,
        startsAt: new Date(`${values.day}T${values.time}`).toISOString(),
        targetS: values.lengthMin * 60,
      });
      await navigate(`/classes/${id}/plan`);
    } catch (error) {
      form.setError('root', { message: sentenceOf(error) });
    }
  });
  return (
    <Sheet title="New class" trigger={trigger}>
      <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-4" noValidate>
        <TextField
          label="Name"
          placeholder="e.g. Thursday mat"
          error={errors.title?.message}
          {...form.register('title', { required: 'Give the class a name.', maxLength: 120 })}
        />
        <div className="grid grid-cols-2 gap-3">
          <TextField
            label="Day"
            type="date"
            error={errors.day?.message}
            {...form.register('day', { required: 'Choose a day.' })}
          />
          <TextField
            label="Time"
            type="time"
            error={errors.time?.message}
            {...form.register('time', { required: 'Choose a time.' })}
          />
        </div>
        <TextField
          label="Length in minutes"
          type="number"
          min={5}
          max={180}
          error={errors.lengthMin?.message}
          {...form.register('lengthMin', {
            valueAsNumber: true,
            required: 'Say how long it lasts.',
            min: { value: 5, message: 'At least 5 minutes.' },
            max: { value: 180, message: 'At most 180 minutes.' },
          })}
        />
        {errors.root ? (
          <p role="alert" className="text-copper">
            {errors.root.message}
          </p>
        ) : null}
        <Button look="main" type="submit" disabled={isSubmitting}>
          Make it and plan
        </Button>
      </form>
    </Sheet>
  );
}
