import { zodResolver } from '@hookform/resolvers/zod';
import { useForm, type UseFormReturn } from 'react-hook-form';
import { z } from 'zod';
import { email, newPassword, personName, studioName } from '@wrenfern/contract/fields';
import { RequestProblem, send, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { TextField } from '../../parts/field.tsx';
import { useEnter } from './enter.ts';
import { FormError } from '../../parts/form-error.tsx';
import { PASSWORD_HINT } from './password-hint.ts';

const SetUpForm = z.object({
  code: z.string().max(64),
  studio: studioName,
  name: personName,
  email,
  password: newPassword,
});
type SetUpForm = z.input<typeof SetUpForm>;

/** A new studio and its owner. The code shows that whoever runs the server agrees. */
export function SetUp({ needsCode }: { needsCode: boolean }) {
  const form = useForm({
    resolver: zodResolver(
      needsCode
        ? SetUpForm.extend({ code: z.string().min(1, 'Give the code.').max(64) })
        : SetUpForm,
    ),
    defaultValues: { code: '', studio: '', name: '', email: '', password: '' },
  });
  const { errors, isSubmitting } = form.formState;
  const submit = useSubmit(form);
  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-4" noValidate>
      <h1 className="text-2xl">Set up your studio</h1>
      {needsCode ? (
        <TextField
          label="Code"
          hint="Printed where Wrenfern was started, or given to you by the owner of a studio here."
          autoComplete="off"
          maxLength={24}
          error={errors.code?.message}
          {...form.register('code')}
        />
      ) : null}
      <TextField
        label="Studio"
        maxLength={120}
        error={errors.studio?.message}
        {...form.register('studio')}
      />
      <TextField
        label="Your name"
        autoComplete="name"
        maxLength={120}
        error={errors.name?.message}
        {...form.register('name')}
      />
      <TextField
        label="Email"
        type="email"
        autoComplete="username"
        maxLength={190}
        error={errors.email?.message}
        {...form.register('email')}
      />
      <TextField
        label="Password"
        type="password"
        autoComplete="new-password"
        hint={PASSWORD_HINT}
        error={errors.password?.message}
        {...form.register('password')}
      />
      <FormError message={errors.root?.message} />
      <Button look="main" type="submit" disabled={isSubmitting}>
        Begin
      </Button>
    </form>
  );
}

/** What is refused is said beside its field. */
function useSubmit(form: UseFormReturn<SetUpForm, unknown, z.output<typeof SetUpForm>>) {
  const enter = useEnter();
  return form.handleSubmit(async (values) => {
    try {
      const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
      await send('POST', '/set-up', { ...values, timeZone });
      await enter();
    } catch (error) {
      if (error instanceof RequestProblem) {
        for (const { path, message } of error.fields) {
          form.setError(String(path[0]) as keyof SetUpForm, { message });
        }
      }
      form.setError('root', { message: sentenceOf(error) });
    }
  });
}
