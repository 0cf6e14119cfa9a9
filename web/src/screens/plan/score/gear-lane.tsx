import { clsx } from 'clsx';
import { Popover } from 'radix-ui';
import { springWords, STRENGTHS, type Gear } from '@wrenfern/core/movement/gear';
import { showClock } from '@wrenfern/core/plan/show-time';
import type { GearBlock } from '@wrenfern/core/room/gear-blocks';
import { GEAR_PART_WORDS, gearWords } from '@wrenfern/core/room/gear-words';
import { stepSprings } from '@wrenfern/core/movement/gear';
import { springName, springsShort } from '@wrenfern/core/room/machines';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { Button } from '../../../parts/button.tsx';
import { GearFields } from '../../../parts/gear-fields.tsx';
import { setGearOf } from './gear-edits.ts';
import { useEditor, usePlanScreen } from '../editor/plan-context.tsx';
import type { ScoreLayout } from './score-layout.ts';

interface GearLaneProps {
  layout: ScoreLayout;
  left: number;
  width: number;
}

/** How the machines are set, down the class: a block is one band, a change is told with its seconds. */
export function GearLane({ layout, left, width }: GearLaneProps) {
  const { analysis } = usePlanScreen();
  const rows = new Map(layout.rows.map((row) => [row.item.itemId, row]));
  return analysis.gear.map((block) => {
    const held = block.itemIds.flatMap((id) => rows.get(id) ?? []);
    const [first, last] = [held[0], held.at(-1)];
    if (!first || !last) return null;
    const height = last.top + last.height - first.top;
    return (
      <Band key={block.itemIds[0]} block={block} style={{ top: first.top, left, width, height }} />
    );
  });
}

/** As tall as this, a band has room for what is told after its springs. */
const ROOMY_PX = 84;

function Band({ block, style }: { block: GearBlock; style: React.CSSProperties }) {
  const { machines, mayEdit } = usePlanScreen();
  const [springs = '', ...others] = gearWords(block.gear, machines);
  const short = springsShort(block.gear.springs, machines);
  const changes = changeWords(block);
  const isRoomy = Number(style.height) >= ROOMY_PX;
  return (
    <Popover.Root>
      <Popover.Trigger
        disabled={!mayEdit}
        aria-label={`Gear: ${[springs, ...others].join(', ')}${changes ? `. Changed before it: ${changes}` : ''}`}
        title={[changes, springs, ...others].filter(Boolean).join('\n')}
        style={style}
        className={clsx(
          'absolute flex flex-col overflow-hidden rounded-lg px-2 py-1 text-left text-[0.8125rem] leading-tight enabled:hover:brightness-95',
          short ? 'border border-copper-line bg-copper-soft' : 'bg-slate-soft text-ink',
        )}
      >
        {changes ? <span className="truncate text-[0.75rem] text-copper">{changes}</span> : null}
        <span className="flex items-center gap-1.5 font-semibold">
          <SpringDots gear={block.gear} />
          <span className="truncate">{springs}</span>
        </span>
        {isRoomy || !changes ? (
          <span className={clsx('text-slate', isRoomy ? '' : 'truncate')}>
            {others.join(' · ')}
          </span>
        ) : null}
        {isRoomy ? <OthersSprings gear={block.gear} /> : null}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label="Gear of this block"
          side="left"
          collisionPadding={12}
          className="z-50 flex w-[30rem] max-w-[94vw] flex-col gap-3 rounded-xl border border-line bg-leaf p-4 shadow-lg"
        >
          <BlockForm block={block} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function changeWords({ changes, changeS }: GearBlock): string {
  if (changes.length === 0) return '';
  return `${changes.map((part) => GEAR_PART_WORDS[part]).join(', ')} · ${showClock(changeS)}`;
}

/** Filled for heavy, half for medium, hollow for light: the words beside them say the same. */
function SpringDots({ gear }: { gear: Gear }) {
  const dots = STRENGTHS.flatMap((strength) =>
    Array.from({ length: gear.springs?.[strength] ?? 0 }, () => strength),
  );
  return (
    <svg width={dots.length * 11} height={10} aria-hidden className="shrink-0">
      {dots.map((strength, index) => (
        <g key={index} transform={`translate(${5 + index * 11} 5)`}>
          <circle
            r={4}
            fill={strength === 'heavy' ? 'var(--slate)' : 'none'}
            stroke="var(--slate)"
          />
          {strength === 'medium' ? <path d="M-4 0a4 4 0 0 0 8 0z" fill="var(--slate)" /> : null}
        </g>
      ))}
    </svg>
  );
}

/** Whose springs differ, by first name. */
function OthersSprings({ gear }: { gear: Gear }) {
  const { attendees, machines } = usePlanScreen();
  const { springs } = gear;
  if (!springs) return null;
  const others = attendees.filter(({ person }) => person.springs);
  if (others.length === 0) return null;
  return (
    <span className="mt-1 text-[0.75rem] text-slate">
      {others
        .map(({ person }) => {
          const own = stepSprings(springs, person.springs);
          return `${person.name.split(' ')[0] ?? person.name}: ${springWords(own, springName(machines))}`;
        })
        .join('; ')}
    </span>
  );
}

function BlockForm({ block }: { block: GearBlock }) {
  const catalogue = useCatalogue();
  const { analysis, machines } = usePlanScreen();
  const plan = useEditor((editor) => editor.plan);
  const edit = useEditor((editor) => editor.edit);
  const count = block.itemIds.length;
  const set = (gear: Gear | undefined) =>
    edit(setGearOf(plan, analysis.timeline, catalogue, block.itemIds, gear));
  return (
    <>
      <h3 className="text-base">
        The machine for {count === 1 ? 'this exercise' : `these ${count} exercises`}
      </h3>
      <GearFields settings={block.gear} nameOf={springName(machines)} onChange={set} />
      <p className="text-[0.8125rem] text-soft">
        Changed for all of the block. Makers’ instructions come first.
      </p>
      <Button className="self-start" onClick={() => set(undefined)}>
        As the exercises have it
      </Button>
    </>
  );
}
