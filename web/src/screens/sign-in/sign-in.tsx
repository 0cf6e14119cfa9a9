import { zodResolver } from '@hookform/resolvers/zod';
import { z } from 'zod';
import { email, password, sixDigits } from '@wrenfern/contract/fields';
import { useState } from 'react';
import { Link } from 'react-router';
import { useForm, type UseFormReturn } from 'react-hook-form';
import { useDoor } from '../../data/use-session.ts';
import { RequestProblem, send, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { CodeField } from '../../parts/code-field.tsx';
import { TextField } from '../../parts/field.tsx';
import { DoorFrame } from './door-frame.tsx';
import { useEnter } from './enter.ts';
import { FormError } from '../../parts/form-error.tsx';
import { SetUp } from './set-up.tsx';

const Known = z.object({ email, password, code: z.string(), recovery: z.string() });
/** By what is asked for besides. */
const FORMS = {
  nothing: Known,
  code: Known.extend({ code: sixDigits }),
  recovery: Known.extend({ recovery: z.string().min(1, 'Give a recovery code.').max(40) }),
};

export function Component() {
  const door = useDoor();
  const [settingUp, setSettingUp] = useState(false);
  if (settingUp) {
    return (
      <DoorFrame>
        <SetUp needsCode={!(door.data?.isSetUp && door.data.allowStudios)} />
        <Button look="quiet" className="mt-3 w-full" onClick={() => setSettingUp(false)}>
          Back to sign in
        </Button>
      </DoorFrame>
    );
  }
  const begin = (words: string) => (
    <button
      type="button"
      className="font-semibold text-fern underline"
      onClick={() => setSettingUp(true)}
    >
      {words}
    </button>
  );
  return (
    <DoorFrame>
      <SignIn />
      {door.data && !door.data.isSetUp ? (
        <p className="mt-6">First time here? {begin('Set up your studio')}</p>
      ) : null}
      {door.data?.isSetUp ? <p className="mt-6">{begin('Set up another studio')}</p> : null}
      {door.data?.demo && !door.data.isSetUp ? (
        <p className="mt-4 border-t border-line pt-4">
          Only looking?{' '}
          <Link className="font-semibold text-fern underline" to="/demo">
            Look round in a demo studio
          </Link>
          , where everyone is invented.
        </p>
      ) : null}
    </DoorFrame>
  );
}

function SignIn() {
  const enter = useEnter();
  const [wanted, setWanted] = useState<'code' | 'recovery'>();
  const form = useForm({
    resolver: zodResolver(FORMS[wanted ?? 'nothing']),
    defaultValues: { email: '', password: '', code: '', recovery: '' },
  });
  const { errors, isSubmitting } = form.formState;
  const submit = form.handleSubmit(async ({ email, password, ...more }) => {
    try {
      const besides = wanted ? { [wanted]: more[wanted] } : {};
      await send('POST', '/session', { email, password, ...besides });
      await enter();
    } catch (error) {
      const isAsked = error instanceof RequestProblem && error.code === 'second-factor';
      if (isAsked && !wanted) setWanted('code');
      else form.setError('root', { message: sentenceOf(error) });
    }
  });
  const proof = wanted && { wanted, form, change: setWanted };
  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-4" noValidate>
      <h1 className="text-2xl">Sign in</h1>
      <TextField
        label="Email"
        type="email"
        autoComplete="username"
        error={errors.email?.message}
        {...form.register('email')}
      />
      <TextField
        label="Password"
        type="password"
        autoComplete="current-password"
        error={errors.password?.message}
        {...form.register('password')}
      />
      {proof ? <Proof {...proof} /> : null}
      <FormError message={errors.root?.message} />
      <Button look="main" type="submit" disabled={isSubmitting}>
        Sign in
      </Button>
      <p className="text-soft">
        Forgotten your password? Whoever owns the studio gives you a link to choose another.
      </p>
    </form>
  );
}

interface ProofProps {
  wanted: 'code' | 'recovery';
  form: UseFormReturn<z.input<typeof Known>, unknown, z.output<typeof Known>>;
  change: (wanted: 'code' | 'recovery') => void;
}

/** The second factor: a code of now, or one that was kept for a lost device. */
function Proof({ wanted, form, change }: ProofProps) {
  const { errors } = form.formState;
  return (
    <>
      {wanted === 'code' ? (
        <CodeField
          label="Code from your authenticator"
          error={errors.code?.message}
          {...form.register('code')}
        />
      ) : (
        <TextField
          label="Recovery code"
          hint="One of those you kept when you set the second factor up; each opens once."
          autoComplete="off"
          maxLength={40}
          error={errors.recovery?.message}
          {...form.register('recovery')}
        />
      )}
      <Button
        look="quiet"
        className="self-start"
        onClick={() => change(wanted === 'code' ? 'recovery' : 'code')}
      >
        {wanted === 'code' ? 'No authenticator at hand?' : 'Use the authenticator instead'}
      </Button>
    </>
  );
}
