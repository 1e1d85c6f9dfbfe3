import type { Highs } from 'highs';
import type { Model } from './model.ts';
import { NODES_MOST, type Solve, type SolveOptions, type Solved } from './solver.ts';

/**
 * The one adapter to HiGHS; the loaded module is handed in, so that browser, server and command line each load it their
 * own way. Seed and threads are fixed: equal programs give equal answers on every machine.
 */
export const solverOf =
  (highs: Highs): Solve =>
  (m: Model, { gap, onBetter }: SolveOptions): Solved => {
    const starts = [0];
    const indices: number[] = [];
    const values: number[] = [];
    for (const r of m.rows) {
      for (const [column, factor] of r.terms) {
        indices.push(column);
        values.push(factor);
      }
      starts.push(indices.length);
    }
    const { constants } = highs;
    const model = highs.createModel({
      numCols: m.columns.length,
      numRows: m.rows.length,
      sense: constants.objectiveSense.maximize,
      colCost: m.columns.map((c) => c.cost),
      colLower: m.columns.map((c) => c.lower),
      colUpper: m.columns.map((c) => c.upper),
      rowLower: m.rows.map((r) => r.least),
      rowUpper: m.rows.map((r) => r.most),
      matrix: { format: 'csr', numRows: m.rows.length, numCols: m.columns.length, starts, indices, values },
      integrality: Int32Array.from(m.columns, (c) => (c.isWhole ? 1 : 0)),
    });
    try {
      model.options.set({
        output_flag: false,
        mip_rel_gap: gap,
        mip_abs_gap: 1e-7,
        random_seed: 1,
        mip_max_nodes: NODES_MOST,
      });
      model.run(
        onBetter && {
          [constants.callbackType.mipImprovingSolution]({ data }) {
            const { mip_solution: columns, objective_function_value: value, mip_dual_bound: bound } = data;
            if (columns && value !== undefined && bound !== undefined)
              onBetter({ status: 'limit', value, bound, nodes: Number(data.mip_node_count ?? 0), columns });
          },
        },
      );
      const code = model.getModelStatus();
      const { infeasible, unboundedOrInfeasible, optimal } = constants.modelStatus;
      if (code === infeasible || code === unboundedOrInfeasible)
        return { status: 'infeasible', value: NaN, bound: NaN, nodes: 0, columns: new Float64Array() };
      return {
        status: code === optimal ? 'optimal' : 'limit',
        value: model.getObjectiveValue(),
        bound: Number(model.info.get('mip_dual_bound')),
        nodes: Number(model.info.get('mip_node_count')),
        columns: Float64Array.from(model.getSolution().colValue),
      };
    } finally {
      model.dispose();
    }
  };
