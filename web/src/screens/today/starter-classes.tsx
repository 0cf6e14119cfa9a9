import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { optionOf } from '@wrenfern/core/movement/exercise';
import { dayAfter, dayIn, momentIn } from '@wrenfern/core/week/studio-time';
import { useCatalogue } from '../../data/catalogue.tsx';
import { ClassesMade, type StarterId } from '@wrenfern/contract/classes';
import { request, sentenceOf } from '../../data/request.ts';
import { Button } from '../../parts/button.tsx';
import { Figure } from '../../parts/figure.tsx';

interface Starter {
  id: StarterId;
  /** An exercise of it and the option that stands for it. */
  shows: [slug: string, option: number];
  title: string;
  words: string;
}

const STARTERS: readonly Starter[] = [
  {
    id: 'mat',
    shows: ['bird-dog', 3],
    title: 'On the mat',
    words: '40 minutes for mixed ability, from breath to rest. Every exercise with its options.',
  },
  {
    id: 'reformer',
    shows: ['footwork', 1],
    title: 'On the reformer',
    words: '41 minutes for people new to the machine: feet, loops, box, hands and knees, standing.',
  },
  {
    id: 'chair',
    shows: ['side-bend-seated', 1],
    title: 'Beside a chair',
    words:
      '20 minutes seated and standing with a hand on the chair. Nobody goes down to the floor.',
  },
];

/** For a studio without a class: three whole ones to look at and change, each with a walk through it. */
export function StarterClasses({ zone }: { zone: string }) {
  const { mutate } = useSWRConfig();
  const navigate = useNavigate();
  const [busy, setBusy] = useState(false);
  const open = async ({ id, title }: Starter, walk: boolean) => {
    setBusy(true);
    const tomorrow = dayAfter(dayIn(zone, new Date()), 1);
    try {
      const made = await request(ClassesMade, 'POST', '/classes', {
        title,
        startsAt: momentIn(zone, tomorrow, '18:00'),
        starter: id,
      });
      await mutate((key) => typeof key === 'string' && /^\/(today|week|classes\?)/.test(key));
      await navigate(`/classes/${made.id}/plan`, walk ? { state: { walk: true } } : {});
    } catch (error) {
      toast.error(sentenceOf(error));
      setBusy(false);
    }
  };
  return (
    <section aria-labelledby="starters">
      <h2 id="starters" className="text-xl">
        Three classes to begin with
      </h2>
      <p className="mb-4 text-soft">
        Each is put down for tomorrow evening. Change what you like, teach it, or throw it away.
      </p>
      <ul className="grid gap-4 md:grid-cols-3">
        {STARTERS.map((starter) => (
          <StarterCard
            key={starter.id}
            starter={starter}
            busy={busy}
            open={(walk) => void open(starter, walk)}
          />
        ))}
      </ul>
      <p className="mt-3 text-soft">
        A walk takes two minutes and can be left at any time. For anybody with an injury or an
        illness, what their clinician says comes first.
      </p>
    </section>
  );
}

interface StarterCardProps {
  starter: Starter;
  busy: boolean;
  open: (walk: boolean) => void;
}

function StarterCard({ starter: { shows, title, words }, busy, open }: StarterCardProps) {
  const exercise = useCatalogue().require(shows[0]);
  return (
    <li className="flex flex-col gap-2 rounded-2xl border border-line bg-leaf p-5">
      <Figure of={optionOf(exercise, shows[1])} view={exercise.view} width={180} height={96} />
      <h3 className="text-lg">{title}</h3>
      <p className="flex-1 text-soft">{words}</p>
      <div className="flex flex-wrap gap-2">
        <Button look="main" disabled={busy} onClick={() => open(true)}>
          <span>
            Walk through it<span className="sr-only">: {title}</span>
          </span>
        </Button>
        <Button disabled={busy} onClick={() => open(false)}>
          <span>
            Only open it<span className="sr-only">: {title}</span>
          </span>
        </Button>
      </div>
    </li>
  );
}
