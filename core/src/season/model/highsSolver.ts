import loadHighs, { type HighsCallbackMap, type ModelData } from 'highs';
import { type LinearModel } from './linearModel';
import { type Solver, type SolverAnswer, type SolverNews } from './solver';

const CONTINUOUS = 0;
const INTEGER = 1;

/** Cutting planes at the root, and no search for solutions. */
const ROOT_ALONE = {
  ...{ mip_max_nodes: 1, mip_heuristic_effort: 0, mip_heuristic_run_feasibility_jump: false },
  ...{ mip_heuristic_run_rens: false, mip_heuristic_run_rins: false },
};

/** HiGHS, compiled to WebAssembly: one thread, the calling one, which it blocks. Reference: Huangfu and Hall 2018. */
export async function highsSolver(): Promise<Solver> {
  const highs = await loadHighs();
  return (model, { seconds, gap, boundOnly, start, onNews }) =>
    highs.withModel(modelData(model), (native): SolverAnswer => {
      native.options.set({
        ...{ output_flag: false, time_limit: seconds, mip_rel_gap: gap },
        // Its own small searches find a plan several times sooner without reducing each anew: measured on seasons.
        mip_root_presolve_only: true,
        ...(boundOnly && ROOT_ALONE),
      });
      if (start) native.setSolution({ colValue: Array.from(start) });
      const startedAt = performance.now();
      let worth: number | undefined;
      let bound: number | undefined;
      let goOn = true;
      const tell = (values?: ArrayLike<number>) => {
        const news: SolverNews = {
          seconds: (performance.now() - startedAt) / 1_000,
          ...(bound !== undefined && { bound }),
          ...(worth !== undefined && { worth }),
          ...(values && { values }),
        };
        goOn = (onNews?.(news) ?? true) && goOn;
      };
      const read = (data: { mip_primal_bound?: number; mip_dual_bound?: number }) => {
        if (Number.isFinite(data.mip_primal_bound)) worth = data.mip_primal_bound;
        if (Number.isFinite(data.mip_dual_bound)) bound = data.mip_dual_bound;
      };
      const { mipImprovingSolution, mipInterrupt } = highs.constants.callbackType;
      const callbacks: HighsCallbackMap = {
        [mipImprovingSolution]: ({ data }) => {
          read(data);
          if (data.objective_function_value !== undefined) worth = data.objective_function_value;
          tell(data.mip_solution);
        },
        [mipInterrupt]: (event) => {
          read(event.data);
          tell();
          if (!goOn) event.interrupt();
        },
      };
      const { modelStatus } = native.run(callbacks);
      const status = highs.constants.modelStatus;
      if (modelStatus === status.infeasible) return { kind: 'none', reason: 'impossible' };
      const found = Number(native.info.get('primal_solution_status')) === highs.constants.solutionStatus.feasible;
      if (!found) return { kind: 'none', reason: 'time' };
      return {
        kind: 'solved',
        values: native.getSolution().colValue,
        worth: Number(native.info.get('objective_function_value')),
        bound: Number(native.info.get('mip_dual_bound')),
      };
    });
}

function modelData({ columns, rows }: LinearModel): ModelData {
  const starts = [0];
  const indices: number[] = [];
  const values: number[] = [];
  for (const { terms } of rows) {
    for (const [column, factor] of terms) {
      indices.push(column);
      values.push(factor);
    }
    starts.push(indices.length);
  }
  return {
    numCols: columns.length,
    numRows: rows.length,
    sense: -1 as ModelData['sense'],
    colCost: columns.map(({ objective }) => objective),
    colLower: columns.map(({ low }) => low),
    colUpper: columns.map(({ high }) => high),
    rowLower: rows.map(({ low }) => low),
    rowUpper: rows.map(({ high }) => high),
    matrix: { format: 'csr', numRows: rows.length, numCols: columns.length, starts, indices, values },
    integrality: columns.map(({ integer }) => (integer ? INTEGER : CONTINUOUS)),
  };
}
