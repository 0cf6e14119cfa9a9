import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import type { Exercise } from '@wrenfern/core/movement/exercise';
import { useVersions } from '../../../data/use-exercises.ts';
import { useSession } from '../../../data/use-session.ts';
import { send, sentenceOf } from '../../../data/request.ts';
import { Button } from '../../../parts/button.tsx';
import { showWhen } from '../../../parts/dates.ts';
import { Sheet } from '../../../parts/dialog.tsx';
import { Failed, Loading } from '../../../parts/states.tsx';

interface VersionsProps {
  slug: string;
  name: string;
  onOpen: (exercise: Exercise) => void;
}

/** Every save of an exercise; an older one can be opened and saved as the newest. */
export function Versions({ slug, name, onOpen }: VersionsProps) {
  const versions = useVersions(slug);
  const session = useSession();
  const { data } = versions;
  if (versions.error && !data) {
    return <Failed error={versions.error} retry={() => void versions.mutate()} />;
  }
  if (!data || !session.data) return <Loading what="its versions" />;
  const { timeZone } = session.data.studio;
  return (
    <section>
      <h2 className="text-xl">Versions</h2>
      <ul className="mt-2 flex flex-col gap-1">
        {data.versions.map(({ version, savedAt, exercise }, index) => (
          <li key={version} className="flex items-center gap-3">
            <span>
              {version}, saved {showWhen(savedAt, timeZone)}
            </span>
            {index === 0 ? (
              <span className="text-soft">the one in use</span>
            ) : (
              <Button
                onClick={() => {
                  onOpen(exercise);
                  toast.info(`Version ${version} is open; save it to use it again.`);
                }}
              >
                Open
              </Button>
            )}
          </li>
        ))}
      </ul>
      <RemoveExercise slug={slug} name={name} />
    </section>
  );
}

function RemoveExercise({ slug, name }: { slug: string; name: string }) {
  const [open, setOpen] = useState(false);
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  const remove = async () => {
    try {
      await send('DELETE', `/exercises/${slug}`);
      await navigate('/library');
      await mutate('/exercises');
      toast.success(`${name} is taken out of the library`);
    } catch (error) {
      toast.error(sentenceOf(error));
      setOpen(false);
    }
  };
  return (
    <Sheet
      title={`Take ${name} out?`}
      description="All its versions go with it. Save it as a file first if you may want it again."
      open={open}
      onOpenChange={setOpen}
      trigger={
        <Button look="warn" className="mt-4">
          <Trash2 size={16} aria-hidden /> Take it out of the library
        </Button>
      }
    >
      <Button look="warn" onClick={() => void remove()}>
        Take it out
      </Button>
    </Sheet>
  );
}
