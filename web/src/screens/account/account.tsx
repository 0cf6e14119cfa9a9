import { zodResolver } from '@hookform/resolvers/zod';
import { z } from 'zod';
import { newPassword, password } from '@wrenfern/contract/fields';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import type { Account } from '@wrenfern/contract/account';
import { useAccount, useSession } from '../../data/use-session.ts';
import { RequestProblem, send, sentenceOf } from '../../data/request.ts';
import { FormError } from '../../parts/form-error.tsx';
import { Button } from '../../parts/button.tsx';
import { showWhen } from '../../parts/dates.ts';
import { ThemeButton } from '../../parts/theme-button.tsx';
import { TextField } from '../../parts/field.tsx';
import { PasswordField } from '../../parts/password-field.tsx';
import { Failed, Loading } from '../../parts/states.tsx';
import { PASSWORD_HINT } from '../sign-in/password-hint.ts';
import { ROLE_WORDS } from '../studio/role-words.ts';
import { OwnPacePart } from './own-pace-part.tsx';
import { SecondFactor } from './second-factor.tsx';

const Change = z.object({ password, next: newPassword });

/** One's own account: password, second factor, and where one is signed in. */
export function Component() {
  const account = useAccount();
  const session = useSession();
  if (account.error && !account.data) {
    return <Failed error={account.error} retry={() => void account.mutate()} />;
  }
  if (!account.data) return <Loading what="your account" />;
  const { data } = account;
  return (
    <div className="grid gap-x-12 gap-y-10 pt-8 lg:grid-cols-2">
      <div className="lg:col-span-2">
        <div className="flex items-center justify-between gap-3">
          <h1 className="text-3xl">{data.name}</h1>
          <span className="sm:hidden">
            <ThemeButton />
          </span>
        </div>
        <p className="mt-1 text-soft">
          {data.email}, {ROLE_WORDS[data.role].name}: {ROLE_WORDS[data.role].may}
          {data.until ? `, until ${data.until}` : ''}
        </p>
      </div>
      {session.data?.user.lacksSecondFactor ? (
        <p role="status" className="rounded-xl bg-copper-soft p-4 text-copper lg:col-span-2">
          Your studio asks everybody for a second factor. Set yours up here; everything else opens
          with it.
        </p>
      ) : null}
      <div className="flex flex-col gap-10">
        {session.data?.studio.isDemo ? (
          <p className="text-soft">
            In a demo studio nobody has a password: it is yours as long as this device is signed in.
          </p>
        ) : (
          <>
            <ChangePassword />
            <SecondFactor
              account={data}
              isRequired={session.data?.studio.needsSecondFactor ?? false}
              reload={() => {
                void account.mutate();
                void session.mutate();
              }}
            />
          </>
        )}
        <Sessions account={data} reload={() => void account.mutate()} />
      </div>
      {data.role === 'reader' ? null : (
        <OwnPacePart account={data} reload={() => void account.mutate()} />
      )}
    </div>
  );
}

function ChangePassword() {
  const form = useForm({
    resolver: zodResolver(Change),
    defaultValues: { password: '', next: '' },
  });
  const { errors, isSubmitting } = form.formState;
  const change = form.handleSubmit(async (values) => {
    try {
      await send('PUT', '/account/password', values);
      form.reset();
      toast.success('Your password is changed. Other devices are signed out.');
    } catch (error) {
      if (error instanceof RequestProblem && error.fields.length > 0) {
        for (const { path, message } of error.fields) {
          form.setError(path[0] === 'next' ? 'next' : 'password', { message });
        }
      } else form.setError('root', { message: sentenceOf(error) });
    }
  });
  return (
    <form onSubmit={(event) => void change(event)} className="flex flex-col gap-3" noValidate>
      <h2 className="text-xl">Password</h2>
      <PasswordField
        label="The one you have"
        error={errors.password?.message}
        field={form.register('password')}
      />
      <TextField
        label="The one you want"
        type="password"
        autoComplete="new-password"
        hint={PASSWORD_HINT}
        error={errors.next?.message}
        {...form.register('next')}
      />
      <FormError message={errors.root?.message} />
      <Button type="submit" look="main" disabled={isSubmitting} className="self-start">
        Change it
      </Button>
    </form>
  );
}

function Sessions({ account, reload }: { account: Account; reload: () => void }) {
  const zone = useSession().data?.studio.timeZone ?? 'UTC';
  const { mutate } = useSWRConfig();
  const navigate = useNavigate();
  const end = async (id: string) => {
    try {
      await send('DELETE', `/account/sessions/${id}`);
      reload();
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
  const endAll = async () => {
    try {
      await send('DELETE', '/account/sessions');
      await mutate(() => true, undefined, { revalidate: false });
      await navigate('/sign-in');
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
  return (
    <section aria-label="Where you are signed in">
      <h2 className="mb-2 text-xl">Where you are signed in</h2>
      <ul className="mb-3 divide-y divide-line border-y border-line">
        {account.sessions.map((each) => (
          <li key={each.id} className="flex flex-wrap items-center gap-x-3 py-2">
            <span className="font-semibold">{each.device}</span>
            <span className="text-soft">last seen {showWhen(each.seenAt, zone)}</span>
            {each.isThis ? (
              <span className="ml-auto text-fern">this one</span>
            ) : (
              <Button className="ml-auto" onClick={() => void end(each.id)}>
                Sign out<span className="sr-only"> {each.device}</span>
              </Button>
            )}
          </li>
        ))}
      </ul>
      <Button onClick={() => void endAll()}>Sign out everywhere</Button>
    </section>
  );
}
