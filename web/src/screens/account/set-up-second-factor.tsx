import { zodResolver } from '@hookform/resolvers/zod';
import { z } from 'zod';
import { password, sixDigits } from '@wrenfern/contract/fields';
import { QRCodeSVG } from 'qrcode.react';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { ProposedFactor, NewRecoveryCodes } from '@wrenfern/contract/account';
import { request, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { CodeField } from '../../parts/code-field.tsx';
import { FormError } from '../../parts/form-error.tsx';
import { PasswordField } from '../../parts/password-field.tsx';

const Proof = z.object({ password, code: z.string() });
const WithCode = Proof.extend({ code: sixDigits });

interface Proposed {
  secret: string;
  uri: string;
}

/** First the password, then the picture for the authenticator and the first code it shows. */
export function SetUpSecondFactor({ done }: { done: (recoveryCodes: string[]) => void }) {
  const [proposed, setProposed] = useState<Proposed>();
  const form = useForm({
    resolver: zodResolver(proposed ? WithCode : Proof),
    defaultValues: { password: '', code: '' },
  });
  const { errors, isSubmitting } = form.formState;
  const submit = form.handleSubmit(async ({ password, code }) => {
    try {
      if (!proposed) {
        setProposed(await request(ProposedFactor, 'POST', '/account/second-factor', { password }));
        return;
      }
      const { secret } = proposed;
      const body = { password, secret, code };
      const answer = await request(NewRecoveryCodes, 'PUT', '/account/second-factor', body);
      done(answer.recoveryCodes);
    } catch (error) {
      form.setError('root', { message: sentenceOf(error) });
    }
  });
  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-3" noValidate>
      <p>
        A code from an authenticator on your phone, beside the password. Whoever learns your
        password then still can’t come in.
      </p>
      <PasswordField error={errors.password?.message} field={form.register('password')} />
      {proposed ? (
        <>
          <ForAuthenticator {...proposed} />
          <CodeField
            label="The code it shows"
            error={errors.code?.message}
            {...form.register('code')}
          />
        </>
      ) : null}
      <FormError message={errors.root?.message} />
      <Button type="submit" disabled={isSubmitting} className="self-start">
        {proposed ? 'Use it' : 'Set it up'}
      </Button>
    </form>
  );
}

/** The same secret three ways: to point a camera at, to open on this device, to type. */
function ForAuthenticator({ secret, uri }: Proposed) {
  return (
    <div className="flex flex-wrap items-center gap-4 rounded-xl bg-mist p-4">
      {/* Dark on light in both themes: many cameras read no other. */}
      <span className="rounded-lg bg-white p-3">
        <QRCodeSVG value={uri} size={148} title="The key as a picture for your authenticator" />
      </span>
      <div className="min-w-48 flex-1">
        <p>
          Point your authenticator’s camera at the picture,{' '}
          <a className="font-semibold text-fern underline" href={uri}>
            open it on this device
          </a>
          , or type this key:
        </p>
        <p className="mt-1 font-semibold tracking-wide break-all">
          {secret.replace(/(.{4})(?=.)/g, '$1 ')}
        </p>
      </div>
    </div>
  );
}
