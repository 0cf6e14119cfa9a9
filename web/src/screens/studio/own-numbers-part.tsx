import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { showAmount, toldIn } from '@wrenfern/core/people/amounts';
import { askWords, unitOf } from '@wrenfern/core/people/asks';
import { cautionOf, type CautionId } from '@wrenfern/core/people/cautions/cautions';
import { isLooser, usualNumbers, type OwnBound } from '@wrenfern/core/people/own-bounds';
import type { StudioSettings } from '@wrenfern/contract/studio';
import { Button } from '../../parts/button.tsx';
import { Field, inputClass } from '../../parts/field.tsx';
import { FindCaution } from '../../parts/find-caution.tsx';
import { IconButton } from '../../parts/icon-button.tsx';
import { useStudioChange } from './studio-change.ts';

const EFFECT_WORDS = {
  avoid: 'left out from',
  limit: 'kept small from',
  support: 'supported from',
} as const;

interface PartProps {
  studio: StudioSettings;
  isOwner: boolean;
}

const isSame = (one: OwnBound, other: Omit<OwnBound, 'from'>) =>
  one.caution === other.caution && one.ask === other.ask && one.effect === other.effect;

/** Numbers of cautions that are the studio's own: stricter at will, looser by somebody's word. */
export function OwnNumbersPart({ studio, isOwner }: PartProps) {
  const change = useStudioChange();
  const [open, setOpen] = useState<CautionId>();
  const { ownBounds } = studio;
  const put = (bound: OwnBound) =>
    change({ ownBounds: [...ownBounds.filter((each) => !isSame(each, bound)), bound] });
  const takeAway = (bound: OwnBound) =>
    change({ ownBounds: ownBounds.filter((each) => !isSame(each, bound)) });
  return (
    <section aria-label="Cautions">
      <h2 className="text-xl">Cautions</h2>
      <p className="mb-3 text-soft">
        Where the usual numbers begin too late for you, begin earlier. To let more through, say who
        cleared it. Clinicians and local rules come first.
      </p>
      {ownBounds.length > 0 ? (
        <ul aria-label="Numbers of your own" className="mb-3 flex flex-col gap-1">
          {ownBounds.map((bound) => (
            <OwnLine
              key={`${bound.caution} ${bound.ask} ${bound.effect}`}
              bound={bound}
              takeAway={isOwner ? () => void takeAway(bound) : undefined}
            />
          ))}
        </ul>
      ) : null}
      {isOwner ? <FindCaution label="Change a caution’s numbers" onPick={setOpen} /> : null}
      {open ? (
        <div className="mt-2 rounded-xl border border-line bg-leaf p-3">
          <div className="flex items-center justify-between gap-2">
            <h3 className="text-base">{cautionOf(open).name}</h3>
            <Button look="quiet" onClick={() => setOpen(undefined)}>
              Close
            </Button>
          </div>
          <p className="mb-2 text-[0.8125rem] text-soft">{cautionOf(open).source}</p>
          <ul className="flex flex-col divide-y divide-line">
            {usualNumbers(open).map((usual) => (
              <NumberForm
                key={`${open} ${usual.ask} ${usual.effect}`}
                caution={open}
                usual={usual}
                put={put}
              />
            ))}
          </ul>
        </div>
      ) : null}
    </section>
  );
}

function OwnLine({ bound, takeAway }: { bound: OwnBound; takeAway: (() => void) | undefined }) {
  const { caution, ask, effect, from, clearedBy, clearedOn } = bound;
  const words = from === null ? 'nothing' : showAmount(ask, from);
  return (
    <li className="flex items-start gap-2">
      <span className="min-w-0 flex-1">
        <b>{cautionOf(caution).name}</b>: {askWords(ask)} {EFFECT_WORDS[effect]} {words}
        {clearedBy ? (
          <span className="block text-[0.8125rem] text-soft">
            Cleared by {clearedBy}
            {clearedOn ? `, ${clearedOn}` : ''}
          </span>
        ) : null}
      </span>
      {takeAway ? (
        <IconButton label={`Back to the usual number: ${askWords(ask)}`} onClick={takeAway}>
          <Trash2 size={16} aria-hidden />
        </IconButton>
      ) : null}
    </li>
  );
}

type Usual = ReturnType<typeof usualNumbers>[number];

/** One usual number, with a field for the studio's; who cleared it is asked where that lets more through. */
function NumberForm({
  caution,
  usual: { ask, effect, from },
  put,
}: {
  caution: CautionId;
  usual: Usual;
  put: (bound: OwnBound) => Promise<boolean>;
}) {
  const [typed, setTyped] = useState('');
  const [clearedBy, setClearedBy] = useState('');
  const [clearedOn, setClearedOn] = useState('');
  const { unit, times } = toldIn(ask);
  const isFlag = unitOf(ask) === 'flag';
  const number = typed.trim() === '' ? undefined : Number(typed) / times;
  const isNumber = number !== undefined && number >= 0 && number <= 1000;
  const wanted: OwnBound | undefined = isFlag
    ? { caution, ask, effect, from: null }
    : isNumber
      ? { caution, ask, effect, from: number }
      : undefined;
  const looser = wanted !== undefined && isLooser(wanted);
  const save = async () => {
    if (!wanted) return;
    const word = looser ? { clearedBy: clearedBy.trim(), ...(clearedOn ? { clearedOn } : {}) } : {};
    if (!(await put({ ...wanted, ...word }))) return;
    setTyped('');
    setClearedBy('');
  };
  const usually = from.map((each) => showAmount(ask, each)).join(', then ');
  return (
    <li className="grid grid-cols-2 items-end gap-2 py-2">
      <p className="col-span-2">
        {askWords(ask)}: {isFlag ? 'left out' : `${EFFECT_WORDS[effect]} ${usually}`}
      </p>
      {isFlag ? null : (
        <Field label={`Ours${unit ? `, ${unit}` : ''}`}>
          {(named) => (
            <input
              {...named}
              type="number"
              min={0}
              value={typed}
              onChange={(event) => setTyped(event.target.value)}
              className={inputClass}
            />
          )}
        </Field>
      )}
      {looser ? (
        <>
          <Field label="Who cleared it">
            {(named) => (
              <input
                {...named}
                value={clearedBy}
                maxLength={120}
                placeholder="e.g. our physiotherapist"
                onChange={(event) => setClearedBy(event.target.value)}
                className={inputClass}
              />
            )}
          </Field>
          <Field label="On">
            {(named) => (
              <input
                {...named}
                type="date"
                value={clearedOn}
                onChange={(event) => setClearedOn(event.target.value)}
                className={inputClass}
              />
            )}
          </Field>
        </>
      ) : null}
      <Button disabled={!wanted || (looser && clearedBy.trim() === '')} onClick={() => void save()}>
        {isFlag ? 'Let it through' : 'Use ours'}
      </Button>
    </li>
  );
}
