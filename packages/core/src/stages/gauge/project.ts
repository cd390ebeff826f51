/**
 * The point nearest to `from` that keeps every constraint: min Σ (x − from)², each constraint Σ aᵢ·xᵢ ≥ least.
 * Dual active-set method of Goldfarb and Idnani (Mathematical Programming 27, 1983) with the identity for
 * Hessian: exact and finite, for the few tens of unknowns a pole has. Null when nothing keeps them all.
 */
export interface Constraint {
  /** Coefficients by place; places left out are 0. */
  terms: readonly (readonly [number, number])[];
  least: number;
}

const EPS = 1e-9;

const dot = (c: Constraint, x: readonly number[]): number =>
  c.terms.reduce((sum, [i, a]) => sum + a * (x[i] ?? 0), 0);

/** Solves the small symmetric system m·x = b by elimination with pivoting; null when it is singular. */
function solve(m: number[][], b: number[]): number[] | null {
  const n = b.length;
  const rows = m.map((row, i) => [...row, b[i] ?? 0]);
  for (let c = 0; c < n; c++) {
    let pivot = c;
    for (let r = c + 1; r < n; r++)
      if (Math.abs(rows[r]?.[c] ?? 0) > Math.abs(rows[pivot]?.[c] ?? 0)) pivot = r;
    const [top, lead] = [rows[pivot] ?? [], rows[pivot]?.[c] ?? 0];
    if (Math.abs(lead) < 1e-12) return null;
    rows[pivot] = rows[c] ?? [];
    rows[c] = top;
    for (let r = 0; r < n; r++) {
      const row = rows[r] ?? [];
      const by = r === c ? 0 : (row[c] ?? 0) / lead;
      if (by !== 0) for (let k = c; k <= n; k++) row[k] = (row[k] ?? 0) - by * (top[k] ?? 0);
    }
  }
  return rows.map((row, i) => (row[n] ?? 0) / (row[i] ?? 1));
}

function dense(c: Constraint, n: number): number[] {
  const a = Array<number>(n).fill(0);
  for (const [i, v] of c.terms) a[i] = v;
  return a;
}

interface Active {
  index: number;
  normal: number[];
  multiplier: number;
}

const times = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, v, i) => sum + v * (b[i] ?? 0), 0);

/** How the step toward `normal` splits: the part free to move, and what it takes from the active ones. */
function split(active: Active[], normal: number[]): { free: number[]; taken: number[] } {
  if (active.length === 0) return { free: normal, taken: [] };
  const gram = active.map((a) => active.map((b) => times(a.normal, b.normal)));
  const taken =
    solve(
      gram,
      active.map((a) => times(a.normal, normal)),
    ) ?? active.map(() => 0);
  const free = normal.map(
    (v, i) => v - active.reduce((sum, a, k) => sum + (taken[k] ?? 0) * (a.normal[i] ?? 0), 0),
  );
  return { free, taken };
}

export function nearestPoint(from: readonly number[], constraints: readonly Constraint[]): number[] | null {
  const x = [...from];
  const active: Active[] = [];
  const sizes = constraints.map((c) => Math.hypot(...c.terms.map(([, a]) => a)));
  // Every pass adds a constraint for good or drops one with the cost strictly higher: it ends.
  for (let pass = 0; pass < 50 * (constraints.length + 1); pass++) {
    let worst = -1;
    let short = -EPS;
    constraints.forEach((c, i) => {
      const over = (dot(c, x) - c.least) / (sizes[i] ?? 1);
      if (over < short && !active.some((a) => a.index === i)) [worst, short] = [i, over];
    });
    const added = constraints[worst];
    if (!added) return x;
    const normal = dense(added, from.length);
    short = dot(added, x) - added.least;
    let multiplier = 0;
    for (;;) {
      const { free, taken } = split(active, normal);
      const reach = times(free, normal);
      let drop = -1;
      let step = reach > 1e-12 ? -short / reach : Infinity;
      active.forEach((a, k) => {
        const by = taken[k] ?? 0;
        if (by > 1e-12 && a.multiplier / by < step) [drop, step] = [k, a.multiplier / by];
      });
      if (step === Infinity) return null;
      active.forEach((a, k) => (a.multiplier -= step * (taken[k] ?? 0)));
      multiplier += step;
      if (reach > 1e-12) free.forEach((v, i) => (x[i] = (x[i] ?? 0) + step * v));
      if (drop < 0) break;
      active.splice(drop, 1);
      short = dot(added, x) - added.least;
    }
    active.push({ index: worst, normal, multiplier });
  }
  return null;
}
