import { Link } from 'react-router';
import { PROPS } from '@wrenfern/core/movement/vocabulary';
import type { StudioSettings } from '@wrenfern/contract/studio';
import { useNearlyFull } from '../../data/use-keeping.ts';
import { useSession } from '../../data/use-session.ts';
import { useStudio } from '../../data/use-studio.ts';
import { Select } from '../../parts/select.tsx';
import { Failed, Loading } from '../../parts/states.tsx';
import { TableExchange } from '../../parts/table-exchange.tsx';
import { Stepper } from '../../parts/stepper.tsx';
import { readCupboard, writeCupboard } from '@wrenfern/core/formats/csv/cupboard-csv';
import { PROP_WORDS } from '@wrenfern/core/movement/words';
import { DeskPart } from './desk-part.tsx';
import { MachinesPart } from './machines-part.tsx';
import { OwnNumbersPart } from './own-numbers-part.tsx';
import { PacePart } from './pace-part.tsx';
import { SchoolsPart } from './schools-part.tsx';
import { TeamPart } from './team-part.tsx';
import { WholeStudio } from './whole-studio.tsx';
import { useStudioChange } from './studio-change.ts';

/** The studio: its cupboard, its pace, its team. Only the owner changes it. */
export function Component() {
  const studio = useStudio();
  const session = useSession();
  if (studio.error && !studio.data) {
    return <Failed error={studio.error} retry={() => void studio.mutate()} />;
  }
  if (!studio.data) return <Loading what="the studio" />;
  const role = session.data?.user.role;
  const isOwner = role === 'owner';
  const mayTeach = isOwner || role === 'instructor';
  return (
    <div className="grid gap-x-12 gap-y-10 pt-8 lg:grid-cols-[1.4fr_1fr]">
      <h1 className="text-3xl lg:col-span-2">{studio.data.name}</h1>
      <div className="flex flex-col gap-10">
        <CupboardPart studio={studio.data} isOwner={isOwner} />
        <MachinesPart studio={studio.data} isOwner={isOwner} />
        <SchoolsPart studio={studio.data} isOwner={isOwner} />
      </div>
      <div className="flex flex-col gap-10">
        <PacePart studio={studio.data} isOwner={isOwner} />
        {mayTeach ? <OwnNumbersPart studio={studio.data} isOwner={isOwner} /> : null}
        {mayTeach ? <TeamPart isOwner={isOwner} /> : null}
        {mayTeach ? <DeskPart isOwner={isOwner} /> : null}
        {mayTeach ? <KeepingPart studio={studio.data} isOwner={isOwner} /> : null}
      </div>
    </div>
  );
}

function CupboardPart({ studio, isOwner }: { studio: StudioSettings; isOwner: boolean }) {
  const change = useStudioChange();
  return (
    <section aria-label="Cupboard">
      <div className="flex items-start justify-between gap-3">
        <h2 className="text-xl">Cupboard</h2>
        {isOwner ? (
          <TableExchange
            what="Cupboard"
            fileName="cupboard"
            hint="Columns “prop” and “count”. Props that the file leaves out stay as they are."
            write={() => writeCupboard(studio.cupboard)}
            read={(text) => readCupboard(text, studio.cupboard)}
            take={(rows) =>
              change({
                cupboard: {
                  ...studio.cupboard,
                  ...Object.fromEntries(rows.map(({ prop, count }) => [prop, count])),
                },
              })
            }
          />
        ) : null}
      </div>
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

/** Said before anything is refused. */
function NearlyFull() {
  const { data } = useNearlyFull();
  if (!data || data.nearly.length === 0) return null;
  return (
    <ul className="mb-3 rounded-xl bg-copper-soft p-3 text-copper">
      {data.nearly.map(({ words, held, most }) => (
        <li key={words}>
          {held} of at most {most} {words}. What lies in the wastebasket counts.
        </li>
      ))}
    </ul>
  );
}

const RETENTION = [
  { value: '0', name: 'stay until somebody takes them out' },
  { value: '12', name: 'go into the wastebasket after a year' },
  { value: '24', name: 'go into the wastebasket after two years' },
  { value: '36', name: 'go into the wastebasket after three years' },
] as const;

/** How long things are kept, and where what was taken out lies. */
function KeepingPart({ studio, isOwner }: { studio: StudioSettings; isOwner: boolean }) {
  const change = useStudioChange();
  return (
    <section aria-label="Keeping">
      <h2 className="mb-2 text-xl">Keeping</h2>
      <NearlyFull />
      <fieldset disabled={!isOwner} className="mb-3">
        <Select
          label="People who come to no class any more"
          value={String(studio.retentionMonths ?? 0)}
          choices={RETENTION}
          onChange={(months) => void change({ retentionMonths: Number(months) || null })}
        />
      </fieldset>
      <label className="mb-3 flex items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-fern"
          disabled={!isOwner || studio.isDemo}
          checked={studio.needsSecondFactor}
          onChange={(event) => void change({ needsSecondFactor: event.target.checked })}
        />
        Everybody signs in with a second factor
      </label>
      <ul className="flex flex-col gap-1">
        {isOwner ? (
          <li>
            <Link className="font-semibold text-fern underline" to="/studio/trail">
              Who looked into records
            </Link>
          </li>
        ) : null}
        <li>
          <Link className="font-semibold text-fern underline" to="/wastebasket">
            Wastebasket
          </Link>
        </li>
        {isOwner ? (
          <li className="mt-2">
            <WholeStudio studio={studio} />
          </li>
        ) : null}
      </ul>
    </section>
  );
}
