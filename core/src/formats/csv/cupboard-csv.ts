import { PROPS, type Prop } from '../../movement/vocabulary.ts';
import { PROP_WORDS } from '../../movement/words.ts';
import type { Cupboard } from '../../room/props.ts';
import { previewTable, refused, unchanged, type Preview } from './preview.ts';
import { writeTable } from './table.ts';

const COLUMNS = ['prop', 'count'] as const;
const MOST_OF_ONE = 500;

/** What the studio owns, a row for each prop. */
export function writeCupboard(cupboard: Cupboard): string {
  return writeTable(
    COLUMNS,
    PROPS.map((prop) => [PROP_WORDS[prop], String(cupboard[prop] ?? 0)]),
  );
}

/** Counts to take, each beside what there is now; props that the file leaves out stay as they are. */
export function readCupboard(text: string, now: Cupboard): Preview<{ prop: Prop; count: number }> {
  const seen = new Set<Prop>();
  return previewTable(text, {
    known: COLUMNS,
    needed: COLUMNS,
    mostRows: 200,
    readRow: (cells) => {
      const [name, count] = [(cells.prop ?? '').trim(), (cells.count ?? '').trim()];
      const prop = propNamed(name);
      const faults = [
        ...(prop ? [] : [{ column: 'prop', message: `there is no prop “${name}” here` }]),
        ...(prop && seen.has(prop) ? [{ column: 'prop', message: 'stands there twice' }] : []),
        ...(/^\d{1,3}$/.test(count) && Number(count) <= MOST_OF_ONE
          ? []
          : [{ column: 'count', message: `give a whole number up to ${MOST_OF_ONE}` }]),
      ];
      if (!prop || faults.length > 0) return refused(faults);
      seen.add(prop);
      const [before, after] = [now[prop] ?? 0, Number(count)];
      if (before === after) return unchanged();
      return { faults, said: `${before} become ${after}`, value: { prop, count: after } };
    },
  });
}

function propNamed(name: string): Prop | undefined {
  const wanted = name.toLowerCase();
  return PROPS.find((prop) => prop === wanted || PROP_WORDS[prop] === wanted);
}
