import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { toast } from 'sonner';
import type { Account } from '../../data/api-types.ts';
import { request, sentenceOf } from '../../data/request.ts';
import { FormError } from '../../parts/form-error.tsx';
import { Button } from '../../parts/button.tsx';
import { CodeField, SIX_DIGITS } from '../../parts/code-field.tsx';
import { TextField } from '../../parts/field.tsx';

interface Proposed {
  secret: string;
  uri: string;
}

/** A code from an authenticator beside the password, for whoever wants it. */
export function SecondFactor({ account, reload }: { account: Account; reload: () => void }) {
  const [proposed, setProposed] = useState<Proposed>();
  const form = useForm({ defaultValues: { password: '', code: '' } });
  const { errors, isSubmitting } = form.formState;
  const submit = form.handleSubmit(async ({ password, code }) => {
    try {
      if (account.hasSecondFactor) {
        await request('DELETE', '/account/second-factor', { password });
        toast.success('The second factor has ended.');
      } else if (!proposed) {
        setProposed(await request<Proposed>('POST', '/account/second-factor', { password }));
        return;
      } else {
        const { secret } = proposed;
        await request('PUT', '/account/second-factor', { password, secret, code });
        toast.success('From now on a code is asked for as well.');
      }
      setProposed(undefined);
      form.reset();
      reload();
    } catch (error) {
      form.setError('root', { message: sentenceOf(error) });
    }
  });
  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-3" noValidate>
      <h2 className="text-xl">Second factor</h2>
      <p>
        {account.hasSecondFactor
          ? 'Signing in asks for a code from your authenticator.'
          : 'A code from an authenticator on your phone, beside the password. Whoever learns your password then still can’t come in.'}
      </p>
      {proposed ? (
        <div className="rounded-xl bg-mist p-4">
          <p>
            <a className="font-semibold text-fern underline" href={proposed.uri}>
              Open it in your authenticator
            </a>
            , or type this key into it:
          </p>
          <p className="mt-1 font-semibold tracking-wide break-all">
            {proposed.secret.replace(/(.{4})(?=.)/g, '$1 ')}
          </p>
        </div>
      ) : null}
      <TextField
        label="Your password"
        type="password"
        autoComplete="current-password"
        error={errors.password?.message}
        {...form.register('password', { required: 'Give your password.' })}
      />
      {proposed ? (
        <CodeField
          label="The code it shows"
          error={errors.code?.message}
          {...form.register('code', SIX_DIGITS)}
        />
      ) : null}
      <FormError message={errors.root?.message} />
      <Button type="submit" disabled={isSubmitting} className="self-start">
        {account.hasSecondFactor ? 'End it' : proposed ? 'Use it' : 'Set it up'}
      </Button>
    </form>
  );
}
