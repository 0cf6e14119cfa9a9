import { zodResolver } from '@hookform/resolvers/zod';
import { z } from 'zod';
import { password } from '@wrenfern/contract/fields';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { toast } from 'sonner';
import { NewRecoveryCodes, type Account } from '@wrenfern/contract/account';
import { request, send, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { FormError } from '../../parts/form-error.tsx';
import { PasswordField } from '../../parts/password-field.tsx';
import { RecoveryCodes } from './recovery-codes.tsx';
import { SetUpSecondFactor } from './set-up-second-factor.tsx';

const Proof = z.object({ password });

interface SecondFactorProps {
  account: Account;
  isRequired: boolean;
  reload: () => void;
}

/** A code from an authenticator beside the password, for whoever wants it or must have it. */
export function SecondFactor({ account, isRequired, reload }: SecondFactorProps) {
  const [codes, setCodes] = useState<readonly string[]>();
  const keep = (recoveryCodes: readonly string[]) => {
    setCodes(recoveryCodes);
    reload();
  };
  return (
    <section aria-label="Second factor" className="flex flex-col gap-3">
      <h2 className="text-xl">Second factor</h2>
      {codes ? (
        <RecoveryCodes codes={codes} done={() => setCodes(undefined)} />
      ) : account.hasSecondFactor ? (
        <InUse left={account.recoveryCodesLeft} {...{ isRequired, keep, reload }} />
      ) : (
        <SetUpSecondFactor done={keep} />
      )}
    </section>
  );
}

interface InUseProps {
  left: number;
  isRequired: boolean;
  keep: (codes: readonly string[]) => void;
  reload: () => void;
}

function InUse({ left, isRequired, keep, reload }: InUseProps) {
  const form = useForm({ resolver: zodResolver(Proof), defaultValues: { password: '' } });
  const { errors, isSubmitting } = form.formState;
  const withPassword = (work: (password: string) => Promise<void>) =>
    form.handleSubmit(async ({ password }) => {
      try {
        await work(password);
        form.reset();
      } catch (error) {
        form.setError('root', { message: sentenceOf(error) });
      }
    });
  const renew = withPassword(async (password) => {
    const { recoveryCodes } = await request(NewRecoveryCodes, 'POST', '/account/recovery-codes', {
      password,
    });
    keep(recoveryCodes);
  });
  const end = withPassword(async (password) => {
    await send('DELETE', '/account/second-factor', { password });
    toast.success('The second factor has ended.');
    reload();
  });
  return (
    <form onSubmit={(event) => void renew(event)} className="flex flex-col gap-3" noValidate>
      <p>
        Signing in asks for a code from your authenticator.{' '}
        <span className={left < 3 ? 'font-semibold text-copper' : 'text-soft'}>
          {left === 1 ? 'One recovery code is' : `${left} recovery codes are`} left.
        </span>
      </p>
      <PasswordField error={errors.password?.message} field={form.register('password')} />
      <FormError message={errors.root?.message} />
      <div className="flex flex-wrap gap-2">
        <Button type="submit" disabled={isSubmitting}>
          New recovery codes
        </Button>
        {isRequired ? (
          <p className="self-center text-soft">Your studio asks everybody for one: it stays.</p>
        ) : (
          <Button look="warn" disabled={isSubmitting} onClick={() => void end()}>
            End it
          </Button>
        )}
      </div>
    </form>
  );
}
