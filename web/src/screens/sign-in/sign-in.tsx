import { useState } from 'react';
import { Link } from 'react-router';
import { useForm } from 'react-hook-form';
import { useDoor } from '../../data/hooks.ts';
import { request, RequestProblem, sentenceOf } from '../../data/request.ts';
import { Button, buttonClass } from '../../parts/button.tsx';
import { TextField } from '../../parts/field.tsx';
import { DoorFrame } from './door-frame.tsx';
import { useEnter } from './enter.ts';

export function Component() {
  const door = useDoor();
  const [settingUp, setSettingUp] = useState(false);
  return (
    <DoorFrame>
      {settingUp ? <SetUp /> : <SignIn />}
      {door.data?.canSetUp && !settingUp ? (
        <p className="mt-6">
          First time here?{' '}
          <button
            type="button"
            className="font-semibold text-fern underline"
            onClick={() => setSettingUp(true)}
          >
            Set up your studio
          </button>
        </p>
      ) : null}
      {door.data?.demo ? (
        <p className="mt-4 border-t border-line pt-4">
          Only looking?{' '}
          <Link
            className="font-semibold text-fern underline"
            to={`/studios/${door.data.demo.slug}`}
          >
            Visit {door.data.demo.name}
          </Link>
          , where everyone is invented.
        </p>
      ) : null}
    </DoorFrame>
  );
}

interface SignInForm {
  email: string;
  password: string;
}

function SignIn() {
  const enter = useEnter();
  const form = useForm<SignInForm>({ defaultValues: { email: '', password: '' } });
  const { errors, isSubmitting } = form.formState;
  const submit = form.handleSubmit(async (values) => {
    try {
      await request('POST', '/session', values);
      await enter();
    } catch (error) {
      form.setError('root', { message: sentenceOf(error) });
    }
  });
  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-4" noValidate>
      <h1 className="text-2xl">Sign in</h1>
      <TextField
        label="Email"
        type="email"
        autoComplete="username"
        error={errors.email?.message}
        {...form.register('email', { required: 'Give your email address.' })}
      />
      <TextField
        label="Password"
        type="password"
        autoComplete="current-password"
        error={errors.password?.message}
        {...form.register('password', { required: 'Give your password.' })}
      />
      <FormError message={errors.root?.message} />
      <Button look="main" type="submit" disabled={isSubmitting}>
        Sign in
      </Button>
    </form>
  );
}

interface SetUpForm {
  studio: string;
  name: string;
  email: string;
  password: string;
}

function SetUp() {
  const enter = useEnter();
  const form = useForm<SetUpForm>({
    defaultValues: { studio: '', name: '', email: '', password: '' },
  });
  const { errors, isSubmitting } = form.formState;
  const submit = form.handleSubmit(async (values) => {
    try {
      const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
      await request('POST', '/set-up', { ...values, timeZone });
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
  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-4" noValidate>
      <h1 className="text-2xl">Set up your studio</h1>
      <TextField
        label="Studio"
        error={errors.studio?.message}
        {...form.register('studio', { required: 'Give the studio a name.' })}
      />
      <TextField
        label="Your name"
        autoComplete="name"
        error={errors.name?.message}
        {...form.register('name', { required: 'Give your name.' })}
      />
      <TextField
        label="Email"
        type="email"
        autoComplete="username"
        error={errors.email?.message}
        {...form.register('email', { required: 'Give your email address.' })}
      />
      <TextField
        label="Password"
        type="password"
        autoComplete="new-password"
        hint="At least 10 characters."
        error={errors.password?.message}
        {...form.register('password', {
          required: 'Choose a password.',
          minLength: { value: 10, message: 'At least 10 characters.' },
        })}
      />
      <FormError message={errors.root?.message} />
      <Button look="main" type="submit" disabled={isSubmitting}>
        Begin
      </Button>
      <a className={buttonClass('quiet')} href="/sign-in">
        Back to sign in
      </a>
    </form>
  );
}

function FormError({ message }: { message: string | undefined }) {
  if (!message) return null;
  return (
    <p
      role="alert"
      className="rounded-lg border border-copper-line bg-copper-soft p-2.5 text-copper"
    >
      {message}
    </p>
  );
}
