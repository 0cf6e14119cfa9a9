import { Trash2 } from 'lucide-react';
import { useForm } from 'react-hook-form';
import { toast } from 'sonner';
import { PROPS } from '@wrenfern/core/movement/vocabulary';
import type { StudioSettings } from '../../data/api-types.ts';
import { useSession, useStudio, useTeam } from '../../data/hooks.ts';
import { request, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { TextField } from '../../parts/field.tsx';
import { Select } from '../../parts/select.tsx';
import { Failed, Loading } from '../../parts/states.tsx';
import { Stepper } from '../../parts/stepper.tsx';
import { PROP_WORDS } from '@wrenfern/core/movement/words';
import { SchoolsPart } from './schools-part.tsx';
import { useStudioChange } from './studio-change.ts';

/** The studio: its cupboard, its pace, its team. Only the owner changes it. */
export function Component() {
  const studio = useStudio();
  const session = useSession();
  if (studio.error && !studio.data) {
    return <Failed error={studio.error} retry={() => void studio.mutate()} />;
  }
  if (!studio.data) return <Loading what="the studio" />;
  const isOwner = session.data?.user.role === 'owner';
  return (
    <div className="grid gap-x-12 gap-y-10 pt-8 lg:grid-cols-[1.4fr_1fr]">
      <h1 className="text-3xl lg:col-span-2">{studio.data.name}</h1>
      <div className="flex flex-col gap-10">
        <CupboardPart studio={studio.data} isOwner={isOwner} />
        <SchoolsPart studio={studio.data} isOwner={isOwner} />
      </div>
      <div className="flex flex-col gap-10">
        <PacePart studio={studio.data} isOwner={isOwner} />
        <TeamPart isOwner={isOwner} />
      </div>
    </div>
  );
}

function CupboardPart({ studio, isOwner }: { studio: StudioSettings; isOwner: boolean }) {
  const change = useStudioChange();
  return (
    <section aria-label="Cupboard">
      <h2 className="text-xl">Cupboard</h2>
      <p className="mb-3 text-soft">How many there are; plans are checked against it.</p>
      <fieldset disabled={!isOwner} className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        {PROPS.map((prop) => (
          <Stepper
            key={prop}
            label={PROP_WORDS[prop]}
            value={studio.cupboard[prop] ?? 0}
            min={0}
            max={500}
            onChange={(count) => void change({ cupboard: { ...studio.cupboard, [prop]: count } })}
          />
        ))}
      </fieldset>
    </section>
  );
}

const SPEEDS = [
  { value: 'quick', name: 'quick: few words' },
  { value: 'steady', name: 'steady' },
  { value: 'unhurried', name: 'unhurried: many words' },
] as const;

function PacePart({ studio, isOwner }: { studio: StudioSettings; isOwner: boolean }) {
  const change = useStudioChange();
  const { pace } = studio;
  return (
    <section aria-label="Pace">
      <h2 className="text-xl">Pace</h2>
      <p className="mb-3 text-soft">
        Common figures, changed to how you teach. 100 is the common figure.
      </p>
      <fieldset disabled={!isOwner} className="flex flex-col gap-2">
        <Select
          label="Teaching"
          value={pace.teaching}
          choices={SPEEDS}
          onChange={(teaching) => void change({ pace: { ...pace, teaching } })}
        />
        <div className="grid grid-cols-2 gap-2">
          <Stepper
            label="set-up"
            unit="%"
            value={Math.round(pace.setUpFactor * 100)}
            min={30}
            max={300}
            step={5}
            onChange={(percent) => void change({ pace: { ...pace, setUpFactor: percent / 100 } })}
          />
          <Stepper
            label="words"
            unit="%"
            value={Math.round(pace.teachingFactor * 100)}
            min={30}
            max={300}
            step={5}
            onChange={(percent) =>
              void change({ pace: { ...pace, teachingFactor: percent / 100 } })
            }
          />
        </div>
      </fieldset>
    </section>
  );
}

interface NewInstructor {
  name: string;
  email: string;
  password: string;
}

function TeamPart({ isOwner }: { isOwner: boolean }) {
  const team = useTeam();
  const form = useForm<NewInstructor>({ defaultValues: { name: '', email: '', password: '' } });
  const { errors, isSubmitting } = form.formState;
  const add = form.handleSubmit(async (values) => {
    try {
      await request('POST', '/team', values);
      await team.mutate();
      form.reset();
    } catch (error) {
      form.setError('root', { message: sentenceOf(error) });
    }
  });
  const remove = async (id: string) => {
    try {
      await request('DELETE', `/team/${id}`);
      await team.mutate();
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
  return (
    <section aria-label="Team">
      <h2 className="mb-2 text-xl">Team</h2>
      {team.error && !team.data ? (
        <Failed error={team.error} retry={() => void team.mutate()} />
      ) : null}
      <ul className="mb-4 divide-y divide-line border-y border-line">
        {(team.data?.team ?? []).map((member) => (
          <li key={member.id} className="flex items-center gap-3 py-2">
            <span className="font-semibold">{member.name}</span>
            <span className="text-soft">{member.email}</span>
            <span className="ml-auto text-soft">{member.role}</span>
            {isOwner && member.role === 'instructor' ? (
              <Button aria-label={`Remove ${member.name}`} onClick={() => void remove(member.id)}>
                <Trash2 size={15} aria-hidden />
              </Button>
            ) : null}
          </li>
        ))}
      </ul>
      {isOwner ? (
        <form onSubmit={(event) => void add(event)} className="flex flex-col gap-3" noValidate>
          <h3 className="text-base">Add an instructor</h3>
          <TextField
            label="Name"
            error={errors.name?.message}
            {...form.register('name', { required: 'Give a name.' })}
          />
          <TextField
            label="Email"
            type="email"
            error={errors.email?.message}
            {...form.register('email', { required: 'Give an email address.' })}
          />
          <TextField
            label="First password"
            type="password"
            autoComplete="new-password"
            error={errors.password?.message}
            {...form.register('password', {
              required: 'Give a password.',
              minLength: { value: 10, message: 'At least 10 characters.' },
            })}
          />
          {errors.root ? (
            <p role="alert" className="text-copper">
              {errors.root.message}
            </p>
          ) : null}
          <Button type="submit" disabled={isSubmitting} className="self-start">
            Add
          </Button>
        </form>
      ) : null}
    </section>
  );
}
