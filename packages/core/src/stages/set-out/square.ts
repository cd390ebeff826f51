/** A rectangle as it was measured on the ground, walked A B C D. All millimetres. */
export interface MeasuredSquare {
  ab: number;
  bc: number;
  cd: number;
  da: number;
  ac: number;
  /** The other diagonal, when it was taped: it proves the rest. */
  bd: number | null;
}

export interface SquareAnswer {
  /** Where each corner stands, A at nothing and B along x. */
  corners: { name: 'A' | 'B' | 'C' | 'D'; x: number; y: number; moveX: number; moveY: number }[];
  /** What the second diagonal must read if the other five are right, and how far the tape is from it. */
  otherDiagonal: number;
  disagrees: number | null;
  /** Inside angle at each corner, degrees. */
  angles: [number, number, number, number];
}

const angle = (
  a: { x: number; y: number },
  at: { x: number; y: number },
  b: { x: number; y: number },
): number => {
  const [ux, uy, vx, vy] = [a.x - at.x, a.y - at.y, b.x - at.x, b.y - at.y];
  return (Math.acos((ux * vx + uy * vy) / (Math.hypot(ux, uy) * Math.hypot(vx, vy))) * 180) / Math.PI;
};

/**
 * From four sides and a diagonal: where the corners are, and how far each must move for a true rectangle
 * `length` by `width` with A kept and the side AB kept on its line. Null when the sides and the diagonal do not
 * make a figure. Plane geometry.
 */
export function checkSquare(m: MeasuredSquare, length: number, width: number): SquareAnswer | null {
  const makes = (a: number, b: number, c: number): boolean => a < b + c && b < a + c && c < a + b;
  if (!makes(m.ab, m.bc, m.ac) || !makes(m.cd, m.da, m.ac)) return null;
  const xC = (m.ac ** 2 - m.bc ** 2 + m.ab ** 2) / (2 * m.ab);
  const yC = Math.sqrt(Math.max(0, m.ac ** 2 - xC ** 2));
  const along = (m.da ** 2 - m.cd ** 2 + m.ac ** 2) / (2 * m.ac);
  const off = Math.sqrt(Math.max(0, m.da ** 2 - along ** 2));
  const [ux, uy] = [xC / m.ac, yC / m.ac];
  const points = {
    A: { x: 0, y: 0 },
    B: { x: m.ab, y: 0 },
    C: { x: xC, y: yC },
    D: { x: along * ux - off * uy, y: along * uy + off * ux },
  };
  const wanted = { A: [0, 0], B: [length, 0], C: [length, width], D: [0, width] } as const;
  const otherDiagonal = Math.hypot(points.D.x - points.B.x, points.D.y - points.B.y);
  const { A, B, C, D } = points;
  return {
    corners: (['A', 'B', 'C', 'D'] as const).map((name) => ({
      name,
      ...points[name],
      moveX: wanted[name][0] - points[name].x,
      moveY: wanted[name][1] - points[name].y,
    })),
    otherDiagonal,
    disagrees: m.bd === null ? null : m.bd - otherDiagonal,
    angles: [angle(D, A, B), angle(A, B, C), angle(B, C, D), angle(C, D, A)],
  };
}

/** Sides of a 3-4-5 triangle that fits: the largest whole multiple of `step` whose legs lie inside both sides. */
export function threeFourFive(long: number, short: number, step: number): [number, number, number] | null {
  const most = Math.floor(Math.min(Math.max(long, short) / 4, Math.min(long, short) / 3) / step);
  return most < 1 ? null : [3 * most * step, 4 * most * step, 5 * most * step];
}
