import { zodResolver } from '@hookform/resolvers/zod';
import { z } from 'zod';
import { email, personName } from '@wrenfern/contract/fields';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { toast } from 'sonner';
import { Role, ROLES } from '@wrenfern/contract/account';
import {
  type Invitation,
  LinkPath,
  StudioInvitation,
  type TeamMember,
} from '@wrenfern/contract/studio';
import { useSession } from '../../data/use-session.ts';
import { useTeam } from '../../data/use-studio.ts';
import { request, send, sentenceOf } from '../../data/request.ts';
import { FormError } from '../../parts/form-error.tsx';
import { Button } from '../../parts/button.tsx';
import { Field, inputClass, TextField } from '../../parts/field.tsx';
import { Sheet } from '../../parts/dialog.tsx';
import { Failed } from '../../parts/states.tsx';
import { AddressToCopy } from '../../parts/address-to-copy.tsx';
import { ROLE_WORDS } from './role-words.ts';

const InviteForm = z.object({ name: personName, email, role: Role, until: z.string() });

/** Who teaches here, who is invited, and what each may do. */
export function TeamPart({ isOwner }: { isOwner: boolean }) {
  const team = useTeam();
  const session = useSession();
  const reload = () => void team.mutate();
  return (
    <section aria-label="Team">
      <h2 className="mb-2 text-xl">Team</h2>
      {team.error && !team.data ? <Failed error={team.error} retry={reload} /> : null}
      <ul className="mb-4 divide-y divide-line border-y border-line">
        {(team.data?.team ?? []).map((member) => (
          <li key={member.id} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-2">
            <span className="font-semibold">{member.name}</span>
            <span className="text-soft">{member.email}</span>
            <span className="ml-auto text-soft">
              {ROLE_WORDS[member.role].name}
              {member.until ? `, until ${member.until}` : ''}
            </span>
            {isOwner && member.id !== session.data?.user.id ? (
              <MemberSheet member={member} reload={reload} />
            ) : null}
          </li>
        ))}
        {(team.data?.invitations ?? []).map((invitation) => (
          <InvitationRow key={invitation.id} invitation={invitation} reload={reload} />
        ))}
      </ul>
      {isOwner ? (
        <div className="flex flex-wrap gap-2">
          <InviteSheet reload={reload} />
          <StudioCode />
        </div>
      ) : null}
    </section>
  );
}

function InvitationRow({ invitation, reload }: { invitation: Invitation; reload: () => void }) {
  const takeBack = async () => {
    try {
      await send('DELETE', `/team/invitations/${invitation.id}`);
      reload();
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 py-2 text-soft">
      <span>{invitation.name}</span>
      <span>{invitation.email}</span>
      <span className="ml-auto">invited as {ROLE_WORDS[invitation.role].name}</span>
      <Button look="quiet" onClick={() => void takeBack()}>
        Take back<span className="sr-only"> the invitation of {invitation.name}</span>
      </Button>
    </li>
  );
}

interface PartForm {
  role: Role;
  until: string;
}

function PartFields({ form }: { form: ReturnType<typeof useForm<PartForm>> }) {
  const role = form.watch('role');
  return (
    <>
      <Field label="Part" hint={ROLE_WORDS[role].may}>
        {(named) => (
          <select {...named} {...form.register('role')} className={inputClass}>
            {ROLES.map((each) => (
              <option key={each} value={each}>
                {ROLE_WORDS[each].name}
              </option>
            ))}
          </select>
        )}
      </Field>
      {role === 'owner' ? null : (
        <TextField
          label="Last day"
          type="date"
          hint="Left empty, it lasts until you end it."
          {...form.register('until')}
        />
      )}
    </>
  );
}

function InviteSheet({ reload }: { reload: () => void }) {
  const [path, setPath] = useState<string>();
  const form = useForm({
    resolver: zodResolver(InviteForm),
    defaultValues: { name: '', email: '', role: 'instructor' as const, until: '' },
  });
  const { errors, isSubmitting } = form.formState;
  const invite = form.handleSubmit(async ({ until, ...values }) => {
    try {
      const body = { ...values, until: values.role === 'owner' || !until ? null : until };
      const answer = await request(LinkPath, 'POST', '/team/invitations', body);
      setPath(answer.path);
      reload();
    } catch (error) {
      form.setError('root', { message: sentenceOf(error) });
    }
  });
  const onOpenChange = (open: boolean) => {
    if (open) return;
    setPath(undefined);
    form.reset();
  };
  return (
    <Sheet
      title="Invite somebody"
      trigger={<Button>Invite somebody</Button>}
      onOpenChange={onOpenChange}
    >
      {path ? (
        <AddressToCopy label="One-time link" path={path}>
          Give this link to {form.getValues('name')}. It opens once, within seven days, and lets
          them choose a password of their own. It is not shown again.
        </AddressToCopy>
      ) : (
        <form onSubmit={(event) => void invite(event)} className="flex flex-col gap-3" noValidate>
          <TextField
            label="Name"
            maxLength={120}
            error={errors.name?.message}
            {...form.register('name')}
          />
          <TextField
            label="Email"
            type="email"
            maxLength={190}
            error={errors.email?.message}
            {...form.register('email')}
          />
          <PartFields form={form as unknown as ReturnType<typeof useForm<PartForm>>} />
          <FormError message={errors.root?.message} />
          <Button look="main" type="submit" disabled={isSubmitting} className="self-start">
            Make the link
          </Button>
        </form>
      )}
    </Sheet>
  );
}

function MemberSheet({ member, reload }: { member: TeamMember; reload: () => void }) {
  const [open, setOpen] = useState(false);
  const [path, setPath] = useState<string>();
  const form = useForm<PartForm>({
    defaultValues: { role: member.role, until: member.until ?? '' },
  });
  const act = async (work: () => Promise<unknown>, isDone: boolean) => {
    try {
      await work();
      reload();
      if (isDone) setOpen(false);
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
  const change = form.handleSubmit(({ role, until }) =>
    act(
      () =>
        send('PATCH', `/team/${member.id}`, {
          role,
          until: role === 'owner' || !until ? null : until,
        }),
      true,
    ),
  );
  return (
    <Sheet
      title={member.name}
      open={open}
      onOpenChange={(next) => {
        setOpen(next);
        setPath(undefined);
      }}
      trigger={
        <Button look="quiet">
          Change<span className="sr-only"> {member.name}</span>
        </Button>
      }
    >
      <form onSubmit={(event) => void change(event)} className="flex flex-col gap-3">
        <PartFields form={form} />
        <p className="text-soft">Whoever gets another part is signed out and comes in anew.</p>
        <Button look="main" type="submit" className="self-start">
          Change the part
        </Button>
      </form>
      <MemberActions member={member} act={act} path={path} onPath={setPath} />
    </Sheet>
  );
}

interface ActionsProps {
  member: TeamMember;
  act: (work: () => Promise<unknown>, isDone: boolean) => Promise<void>;
  /** Of the one-time link that has been made. */
  path: string | undefined;
  onPath: (path: string) => void;
}

/** What an owner can do for a member, or about one. */
function MemberActions({ member, act, path, onPath }: ActionsProps) {
  const end = (what: '' | '/sessions' | '/second-factor') =>
    void act(() => send('DELETE', `/team/${member.id}${what}`), true);
  const reset = async () => {
    const answer = await request(LinkPath, 'POST', `/team/${member.id}/reset`);
    onPath(answer.path);
  };
  return (
    <div className="mt-5 flex flex-col gap-3 border-t border-line pt-4">
      {path ? (
        <AddressToCopy label="One-time link" path={path}>
          Give this link to {member.name}. It opens once, within a day; the old password ends when
          it is used.
        </AddressToCopy>
      ) : (
        <Button className="self-start" onClick={() => void act(reset, false)}>
          A link to another password
        </Button>
      )}
      <Button className="self-start" onClick={() => end('/sessions')}>
        Sign out everywhere
      </Button>
      {member.hasSecondFactor ? (
        <>
          <Button className="self-start" onClick={() => end('/second-factor')}>
            End the second factor
          </Button>
          <p className="text-soft">
            Only for somebody you have before you, who lost the authenticator and the recovery
            codes. They sign in with the password alone and set up another.
          </p>
        </>
      ) : null}
      <Button look="warn" className="self-start" onClick={() => end('')}>
        Take out of the team
      </Button>
      <p className="text-soft">Is signed out everywhere at once. What they planned stays.</p>
    </div>
  );
}

/** For somebody who wants a studio of their own on the same server. */
function StudioCode() {
  const [code, setCode] = useState<string>();
  const make = async () => {
    try {
      const answer = await request(StudioInvitation, 'POST', '/studio/invitations');
      setCode(answer.code);
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
  if (!code) {
    return (
      <Button look="quiet" onClick={() => void make()}>
        A code for another studio
      </Button>
    );
  }
  return (
    <p role="status">
      <span className="font-semibold tracking-wide">{code}</span> sets up one other studio here,
      within seven days. It sees nothing of yours.
    </p>
  );
}
