import loadHighs from 'highs';

/** What became of a linear program. */
export interface Solution {
  /** `none` where nothing satisfies it; `unfinished` where time ran out before anything was found. */
  kind: 'found' | 'none' | 'unfinished';
  value: (name: string) => number;
}

export interface SolveLimits {
  seconds: number;
  /** How far from the best an answer may be, as a share of it. */
  gap: number;
  /** How many branches are looked at; unlike the seconds, the same on every machine. */
  nodes?: number;
}

export type Solve = (program: string, limits: SolveLimits) => Solution;

/**
 * The HiGHS solver (Huangfu and Hall, Mathematical Programming Computation 10 (2018)), compiled for
 * any machine. `locate` says where its binary is when it does not lie beside its script.
 */
export async function loadSolver(locate?: (file: string) => string): Promise<Solve> {
  const highs = await loadHighs(locate ? { locateFile: locate } : {});
  return (program, { seconds, gap, nodes }) => {
    const { Status, Columns } = highs.solve(program, {
      time_limit: seconds,
      mip_rel_gap: gap,
      ...(nodes === undefined ? {} : { mip_max_nodes: nodes }),
    });
    const value = (name: string) => {
      const column = Columns[name];
      return column && 'Primal' in column ? column.Primal : 0;
    };
    // A model that can't be read ends as "Empty" without a word.
    if (Status === 'Empty') throw new Error('the linear program is broken');
    if (Status === 'Infeasible') return { kind: 'none', value };
    const isFound = Status === 'Optimal' || hasValues(Columns);
    return { kind: isFound ? 'found' : 'unfinished', value };
  };
}

function hasValues(columns: Record<string, object>): boolean {
  return Object.values(columns).some(
    (column) => 'Primal' in column && Number.isFinite(column.Primal) && column.Primal !== 0,
  );
}
