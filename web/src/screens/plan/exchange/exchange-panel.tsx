import { Download, FileText, FolderOpen, Printer } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { planFromNotes } from '@wrenfern/core/formats/plan-from-notes';
import { writeMarkdown } from '@wrenfern/core/formats/plan-markdown';
import type { Plan } from '@wrenfern/core/plan/plan';
import { useLesson } from '../../../data/use-lesson.ts';
import { useCatalogue } from '../../../data/catalogue.tsx';
import { Button, buttonClass } from '../../../parts/button.tsx';
import { Sheet } from '../../../parts/dialog.tsx';
import { inputClass } from '../../../parts/field.tsx';
import { send, sentenceOf } from '../../../data/request.ts';
import { saveFile } from '../../../parts/save-file.ts';
import { KeepForm, tagsOf } from '../../../parts/keep-form.tsx';
import { replacePlan } from '../draft/replace-plan.ts';
import { useEditor } from '../editor/plan-context.tsx';
import { NotesPreview } from './notes-preview.tsx';
import { readIn, type BroughtIn } from './read-in.ts';

/** A plan out as a file or on paper, and in from a file or from notes; nothing is taken unasked. */
export function ExchangePanel({ trigger }: { trigger: ReactNode }) {
  const catalogue = useCatalogue();
  const { lesson } = useLesson();
  const [open, setOpen] = useState(false);
  const plan = useEditor((editor) => editor.plan);
  const edit = useEditor((editor) => editor.edit);
  const { mutate } = useSWRConfig();
  const take = (brought: Plan) => {
    edit(replacePlan(plan, brought));
    setOpen(false);
    toast.success('It stands in the plan. Undo brings back what was there.');
  };
  const keepPlan = async (name: string, tags: string) => {
    try {
      await send('POST', '/kept-plans', { name, tags: tagsOf(tags), plan });
      await mutate('/kept-plans');
      toast.success(`${name} is kept. Classes, Kept plans has it.`);
    } catch (error) {
      toast.error(sentenceOf(error));
    }
  };
  return (
    <Sheet
      title="Out and in"
      description="People never leave with a plan."
      from="wide"
      open={open}
      onOpenChange={setOpen}
      trigger={trigger}
    >
      <div className="grid min-h-0 flex-1 gap-8 overflow-y-auto lg:grid-cols-[16rem_1fr]">
        <section aria-label="Out" className="flex flex-col items-start gap-2">
          <h3 className="text-lg">Out</h3>
          <Link to={`/classes/${lesson.id}/sheet`} className={buttonClass('main')}>
            <Printer size={16} aria-hidden /> Run sheet and cards
          </Link>
          <Button
            onClick={() =>
              saveFile(`${fileName(plan)}.md`, writeMarkdown(plan, catalogue), 'text/markdown')
            }
          >
            <FileText size={16} aria-hidden /> As Markdown
          </Button>
          <Button
            onClick={() => saveFile(`${fileName(plan)}.json`, `${JSON.stringify(plan, null, 2)}\n`)}
          >
            <Download size={16} aria-hidden /> As a plan file
          </Button>
          <h3 className="mt-4 text-lg">Keep it</h3>
          <p className="text-soft">Without date and people, for other classes.</p>
          <KeepForm name={plan.title} tags={[]} keep={keepPlan} />
        </section>
        <BringIn take={take} />
      </div>
    </Sheet>
  );
}

/** The title as a name for a file, in letters that every machine takes. */
function fileName({ title }: Plan): string {
  const plain = title.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase();
  return plain.replace(/[^a-z0-9]+/g, '-').replace(/^-|-$/g, '') || 'plan';
}

function BringIn({ take }: { take: (plan: Plan) => void }) {
  const catalogue = useCatalogue();
  const plan = useEditor((editor) => editor.plan);
  const [text, setText] = useState('');
  const [brought, setBrought] = useState<BroughtIn>();
  const read = (next: string) => {
    setText(next);
    setBrought(next.trim() === '' ? undefined : readIn(next, catalogue));
  };
  return (
    <section aria-label="In" className="flex min-w-0 flex-col gap-3">
      <h3 className="text-lg">In</h3>
      <p className="text-soft">
        Write or paste a class as you would scribble it, one line an exercise, headings for its
        parts; or drop a file here. “clam 10 each”, “figure four 30 s”, “bridge x5 rolled”, “plank
        20s twice”, “water 40 s”.
      </p>
      <TextIn text={text} onText={read} />
      {brought?.kind === 'faults' ? <Faults faults={brought.faults} /> : null}
      {brought?.kind === 'plan' ? (
        <div className="rounded-xl bg-mist p-3">
          <p className="mb-2">
            <span className="font-semibold">{brought.plan.title}</span>, {brought.plan.machine},{' '}
            {Math.round(brought.plan.targetS / 60)} min, {brought.plan.segments.length} parts.
          </p>
          <Button look="main" onClick={() => take(brought.plan)}>
            Put it in place of what is here
          </Button>
        </div>
      ) : null}
      {brought?.kind === 'notes' ? (
        <NotesPreview
          lines={brought.lines}
          take={(chosen) => take(planFromNotes(brought.lines, chosen, catalogue, plan))}
        />
      ) : null}
    </section>
  );
}

interface TextInProps {
  text: string;
  onText: (text: string) => void;
}

/** Written, pasted, dropped, or read from a file. */
function TextIn({ text, onText }: TextInProps) {
  const [isOver, setOver] = useState(false);
  const readFile = async (file: File | undefined) => {
    if (file) onText(await file.text());
  };
  return (
    <>
      <textarea
        aria-label="Notes, Markdown or a plan file"
        rows={14}
        value={text}
        maxLength={400_000}
        onChange={(event) => onText(event.target.value)}
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(event) => {
          event.preventDefault();
          setOver(false);
          void readFile(event.dataTransfer.files[0]);
        }}
        className={`${inputClass} ${isOver ? 'border-fern bg-mist' : ''}`}
      />
      <label
        className={`${buttonClass('plain')} cursor-pointer self-start focus-within:outline-2 focus-within:outline-fern`}
      >
        <FolderOpen size={16} aria-hidden /> Open a file
        <input
          type="file"
          aria-label="A file with notes or a plan"
          accept=".json,.md,.txt,application/json,text/plain,text/markdown"
          className="sr-only"
          onChange={(event) => void readFile(event.target.files?.[0])}
        />
      </label>
    </>
  );
}

function Faults({ faults }: { faults: readonly string[] }) {
  return (
    <div role="alert" className="rounded-xl bg-copper-soft p-3 text-copper">
      <p className="font-semibold">This can’t be taken as it is:</p>
      <ul className="list-disc pl-5">
        {faults.map((fault) => (
          <li key={fault}>{fault}</li>
        ))}
      </ul>
    </div>
  );
}
