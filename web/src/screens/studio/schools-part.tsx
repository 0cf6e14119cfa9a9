import { Copy, Trash2 } from 'lucide-react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { SCHOOL_IDS } from '@wrenfern/core/plan/plan';
import type { SchoolRules } from '@wrenfern/core/plan/school';
import { SCHOOLS } from '@wrenfern/core/plan/schools';
import type { StudioSettings } from '@wrenfern/contract/studio';
import { IconButton } from '../../parts/icon-button.tsx';
import { copyOf } from './school-copy.ts';
import { useStudioChange } from './studio-change.ts';

/** The schools that ship and the studio's own; each can be copied and the copy changed. */
export function SchoolsPart({ studio, isOwner }: { studio: StudioSettings; isOwner: boolean }) {
  const change = useStudioChange();
  const navigate = useNavigate();
  const copy = async (school: SchoolRules) => {
    const made = copyOf(school, studio.schools);
    if (await change({ schools: [...studio.schools, made] })) {
      await navigate(`/studio/schools/${made.id}`);
    }
  };
  const remove = async (school: SchoolRules) => {
    const left = studio.schools.filter(({ id }) => id !== school.id);
    if (!(await change({ schools: left }))) return;
    toast.success(`${school.name} is gone. Classes planned with it keep it.`, {
      action: { label: 'Undo', onClick: () => void change({ schools: studio.schools }) },
    });
  };
  return (
    <section aria-label="Schools">
      <h2 className="text-xl">Schools</h2>
      <p className="mb-3 text-soft">
        Which rules bind, what counts how much, what is usual. Copy one and make it yours.
      </p>
      <ul className="flex flex-col divide-y divide-line border-y border-line">
        {SCHOOL_IDS.map((id) => (
          <SchoolRow key={id} school={SCHOOLS[id]}>
            {isOwner ? (
              <IconButton label={`Copy ${SCHOOLS[id].name}`} onClick={() => void copy(SCHOOLS[id])}>
                <Copy size={16} aria-hidden />
              </IconButton>
            ) : null}
          </SchoolRow>
        ))}
        {studio.schools.map((school) => (
          <SchoolRow key={school.id} school={school} isOwn>
            {isOwner ? (
              <>
                <IconButton label={`Copy ${school.name}`} onClick={() => void copy(school)}>
                  <Copy size={16} aria-hidden />
                </IconButton>
                <IconButton label={`Remove ${school.name}`} onClick={() => void remove(school)}>
                  <Trash2 size={16} aria-hidden />
                </IconButton>
              </>
            ) : null}
          </SchoolRow>
        ))}
      </ul>
    </section>
  );
}

function SchoolRow({
  school,
  isOwn = false,
  children,
}: {
  school: SchoolRules;
  isOwn?: boolean;
  children: React.ReactNode;
}) {
  return (
    <li className="flex items-center gap-1 py-2">
      <div className="min-w-0 flex-1">
        {isOwn ? (
          <Link to={`/studio/schools/${school.id}`} className="font-semibold text-fern underline">
            {school.name}
          </Link>
        ) : (
          <span className="font-semibold">{school.name}</span>
        )}
        <p className="text-[0.8125rem] text-soft">{school.why}</p>
      </div>
      {children}
    </li>
  );
}
