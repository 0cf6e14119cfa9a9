import { zodResolver } from '@hookform/resolvers/zod';
import { z } from 'zod';
import { newPassword } from '@wrenfern/contract/fields';
import { useEffect, useState } from 'react';
import { useForm } from 'react-hook-form';
import { Link, useLocation, useNavigate } from 'react-router';
import { LinkPurpose, LinkUsed } from '@wrenfern/contract/account';
import { request, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { TextField } from '../../parts/field.tsx';
import { Loading } from '../../parts/states.tsx';
import { ROLE_WORDS } from '../studio/role-words.ts';
import { DoorFrame } from './door-frame.tsx';
import { useEnter } from './enter.ts';
import { FormError } from '../../parts/form-error.tsx';
import { PASSWORD_HINT } from './password-hint.ts';

const Chosen = z.object({ password: newPassword });

/** Where a one-time link leads: into a studio, or to another password. Its secret stays off the line. */
export function Component() {
  const token = useLocation().hash.slice(1);
  const [purpose, setPurpose] = useState<LinkPurpose>();
  const [fault, setFault] = useState<string>();
  useEffect(() => {
    request(LinkPurpose, 'POST', '/links/look', { token: token || '-' }).then(
      setPurpose,
      (error: unknown) => setFault(sentenceOf(error)),
    );
  }, [token]);
  if (fault) {
    return (
      <DoorFrame>
        <h1 className="text-2xl">This link does not open anything</h1>
        <p className="my-3">{fault} Ask whoever gave it to you for another.</p>
        <Link className="font-semibold text-fern underline" to="/sign-in">
          Sign in
        </Link>
      </DoorFrame>
    );
  }
  if (!purpose) return <Loading what="your link" />;
  return (
    <DoorFrame>
      <ChoosePassword token={token} purpose={purpose} />
    </DoorFrame>
  );
}

function ChoosePassword({ token, purpose }: { token: string; purpose: LinkPurpose }) {
  const enter = useEnter();
  const navigate = useNavigate();
  const form = useForm({ resolver: zodResolver(Chosen), defaultValues: { password: '' } });
  const { errors, isSubmitting } = form.formState;
  const submit = form.handleSubmit(async ({ password }) => {
    try {
      const { signedIn } = await request(LinkUsed, 'POST', '/links/use', {
        token,
        password,
      });
      if (signedIn) await enter();
      else await navigate('/sign-in');
    } catch (error) {
      form.setError('root', { message: sentenceOf(error) });
    }
  });
  const isNew = purpose.kind === 'invite';
  return (
    <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-4" noValidate>
      <h1 className="text-2xl">{isNew ? `Welcome to ${purpose.studio}` : 'Another password'}</h1>
      <p>
        {isNew
          ? `${purpose.name}, you are invited as ${ROLE_WORDS[purpose.role].name}. Choose a password that only you know.`
          : 'Choose another password. You are then signed out everywhere else. A second factor stays: its code is asked for when you sign in.'}
      </p>
      <input type="hidden" autoComplete="username" value={purpose.email} readOnly />
      <TextField
        label={`Password for ${purpose.email}`}
        type="password"
        autoComplete="new-password"
        hint={PASSWORD_HINT}
        error={errors.password?.message}
        {...form.register('password')}
      />
      <FormError message={errors.root?.message} />
      <Button look="main" type="submit" disabled={isSubmitting}>
        {isNew ? 'Come in' : 'Keep it and sign in'}
      </Button>
    </form>
  );
}
