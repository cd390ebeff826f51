import { exhaustive } from '../../test/exhaustiveDay.js';
import { clockOf } from './json.js';
import type { Day, PlacedDay } from './day.js';
import { checkDay, readDay } from './form.js';
import { planPinned } from './pinned.js';
import { planDay, plainDay } from './planDay.js';

const LONG = process.env.LONG === '1';

/** Numbers that come by a seed, 0 to below 1. */
function seeded(seed: number): () => number {
  let s = seed * 2_654_435_761;
  return () => {
    s = (Math.imul(s ^ (s >>> 15), 2_246_822_519) + 3_266_489_917) >>> 0;
    return ((s ^ (s >>> 13)) >>> 0) / 4_294_967_296;
  };
}

const L = 1e-3;
const dayOf = (more: object = {}): Day => {
  const checked = checkDay({
    from: '08:00',
    to: '16:30',
    breaks: [
      ['10:00', '10:15'],
      ['12:00', '12:30'],
    ],
    demand: [{ from: '08:00', to: '16:30', perHour: '66 L' }],
    batch: '100 L',
    step: '5 L',
    before: '10 min',
    life: '120 min',
    ...more,
  });
  if (!checked.ok) throw new Error(JSON.stringify(checked.faults));
  return checked.day;
};

/** A small day whose boundaries fall on whole minutes, by a seed. */
function smallDay(seed: number): Day {
  const next = seeded(seed);
  const whole = (least: number, most: number): number => least + Math.floor(next() * (most - least + 1));
  const step = whole(2, 5) * L;
  const to = whole(12, 26);
  const at = whole(4, to - 6);
  const drop = whole(2, to);
  const life = whole(6, 16);
  return {
    from: 0,
    to,
    breaks: next() < 0.6 ? [{ from: at, to: at + whole(1, 6) }] : [],
    demand: [{ from: 0, to, perHour: 60 * L }],
    batch: step * whole(1, 3),
    step,
    before: whole(1, 4),
    lives:
      next() < 0.6
        ? [{ at: 0, life }]
        : [
            { at: 0, life },
            { at: drop, life: Math.max(3, life + whole(-6, 2)) },
          ],
    mixers: whole(1, 2),
  };
}

/** A larger day, by a seed. */
function largeDay(seed: number): Day {
  const next = seeded(seed);
  const whole = (least: number, most: number): number => least + Math.floor(next() * (most - least + 1));
  const hour = 60;
  const noon = { from: 12 * hour, to: 12 * hour + whole(20, 60) };
  const life = whole(60, 150);
  return {
    from: 8 * hour,
    to: 16 * hour + whole(0, 60),
    breaks: next() < 0.5 ? [noon] : [{ from: 10 * hour, to: 10 * hour + 15 }, noon],
    demand: [{ from: 8 * hour, to: 17 * hour, perHour: whole(20, 200) * L }],
    batch: whole(60, 150) * L,
    step: whole(3, 10) * L,
    before: whole(5, 20),
    lives:
      next() < 0.5
        ? [{ at: 0, life }]
        : [
            { at: 0, life },
            { at: 13 * hour, life: Math.round(life * 0.7) },
          ],
    mixers: whole(1, 2),
  };
}

const waited = (p: PlacedDay): number => p.waits.reduce((s, w) => s + w.to - w.from, 0);

/** What is wrong with a plan of a day by the contract's rules, checked batch by batch. */
function wrongWith(day: Day, p: PlacedDay): string[] {
  const wrong: string[] = [];
  const no = (is: boolean, says: string): void => void (is && wrong.push(says));
  const lifeAt = (w: number): number =>
    [...day.lives].reverse().find((l) => l.at <= w + 1e-6)?.life ?? day.lives[0]?.life ?? 0;
  p.batches.forEach((b, i) => {
    const before = p.batches[i - 1];
    no(b.first < b.water + day.before - 1e-6, `batch ${i} is used before it is fit`);
    no(
      before !== undefined && b.first < before.last - 1e-6,
      `batch ${i} is used before the one before is gone`,
    );
    no(b.last > b.expires + 1e-6, `batch ${i} is used after it is dead`);
    no(Math.abs(b.expires - b.water - lifeAt(b.water)) > 1e-6, `batch ${i} has another life`);
    no(b.made > day.batch + 1e-12, `batch ${i} is too large`);
    const steps = b.made / day.step;
    no(Math.abs(steps - Math.round(steps)) > 1e-6, `batch ${i} is no whole step`);
    no(Math.abs(b.made - b.used - b.left) > 1e-12 || b.left < -1e-12, `batch ${i} does not add up`);
    const behind = p.batches[i - day.mixers];
    no(behind !== undefined && b.water < behind.water + day.before - 1e-6, `no mixer is free for batch ${i}`);
  });
  return wrong;
}

test('the example of a day: nobody waits, and what is thrown away is the last part of a step', () => {
  const plan = planDay(dayOf());
  // 7 h 45 min of laying at 66 L an hour are 511.5 L; in steps of 5 L the least that is made is 515.
  expect(plan.used).toBeCloseTo(511.5 * L, 9);
  expect(plan.left).toBeCloseTo(3.5 * L, 9);
  expect(plan.proof).toEqual({ status: 'best', bound: plan.left });
  expect(plan.waits).toEqual([]);
  // No way leaves less or has fewer: of those of six the larger first. The third is used over the half hour, so that 88 of its 90 are.
  expect(plan.batches.map((b) => Math.round(b.made / L))).toEqual([100, 100, 90, 100, 100, 25]);
  expect(clockOf(plan.batches[0]?.water ?? 0)).toBe('07:50:00');
  expect(wrongWith(dayOf(), plan)).toEqual([]);
});

test('a break that falls in a batch makes it smaller; with steps that do not meet the break something must be left', () => {
  // Half an hour's life over an hour's break: what is mixed before it is dead after it.
  const day = dayOf({ life: '40 min', breaks: [['12:00', '13:00']], step: '10 L', batch: '40 L' });
  const plan = planDay(day);
  expect(wrongWith(day, plan)).toEqual([]);
  expect(waited(plan)).toBe(0);
  // Four hours at 66 L are 264, three and a half 231: to whole tens 6 and 9 are left.
  expect(plan.left).toBeCloseTo(15 * L, 9);
});

test('mud that is dead before it is fit lays nothing, and the whole day is waited', () => {
  const plan = planDay(dayOf({ life: '5 min' }));
  expect(plan.batches).toEqual([]);
  expect(waited(plan)).toBe(7.75 * 60);
});

test('one mixer that cannot keep up is waited for, and two keep up', () => {
  const small = { batch: '10 L', before: '15 min', step: '5 L' };
  const [one, two] = [1, 2].map((mixers) => dayOf({ ...small, mixers }));
  if (!one || !two) throw new Error('no day');
  const [alone, both] = [planDay(one), planDay(two)];
  expect(waited(alone)).toBeGreaterThan(60);
  expect(waited(both)).toBe(0);
  expect(wrongWith(one, alone)).toEqual([]);
  expect(wrongWith(two, both)).toEqual([]);
});

/** How far the search is from trying everything, over some small days. */
function against(from: number, many: number): { proved: number; waiting: number; missed: number } {
  const sum = { proved: 0, waiting: 0, missed: 0 };
  const round = (n: number): number => Math.round(n * 1e6) / 1e6;
  for (let seed = from; seed < from + many; seed++) {
    const day = smallDay(seed);
    const plan = planDay(day);
    const best = exhaustive(day);
    expect({ seed, wrong: wrongWith(day, plan) }).toEqual({ seed, wrong: [] });
    const found = {
      seed,
      waited: round(waited(plan)),
      left: round(plan.left / L),
      sizes: plan.batches.map((b) => round(b.made / L)),
    };
    const wanted = {
      seed,
      waited: round(best.waited),
      left: round(best.left / L),
      sizes: best.sizes.map((s) => round(s / L)),
    };
    // What is proved is exact; where waiting cannot be helped it says that it is not proved, and comes near.
    if (plan.proof.status === 'best') {
      sum.proved++;
      expect(found).toEqual(wanted);
    } else {
      sum.waiting++;
      if (JSON.stringify(found) !== JSON.stringify(wanted)) sum.missed++;
      expect(found.waited).toBeGreaterThanOrEqual(wanted.waited - 1e-6);
      expect(found.waited).toBeLessThanOrEqual(wanted.waited + Math.max(4, wanted.waited * 0.5));
    }
  }
  return sum;
}

test('small days are what trying everything finds; where somebody must wait, nearly always', () => {
  const { proved, waiting, missed } = against(1, LONG ? 2000 : 200);
  expect(proved).toBeGreaterThan(LONG ? 1200 : 120);
  expect(waiting).toBeGreaterThan(LONG ? 10 : 6);
  expect(missed).toBeLessThanOrEqual(waiting * 0.15);
});

test.each(Array.from({ length: LONG ? 10 : 5 }, (_, i) => i * (LONG ? 1000 : 20) + 1))(
  'larger days from %p on keep the rules, and are never worse than mixing the next when the last is gone',
  (from) => {
    for (let seed = from; seed < from + (LONG ? 1000 : 20); seed++) {
      const day = largeDay(seed);
      const [plan, plain] = [planDay(day), plainDay(day)];
      expect({ seed, wrong: wrongWith(day, plan) }).toEqual({ seed, wrong: [] });
      const better = waited(plan) - waited(plain);
      expect({ seed, ok: better < 1e-6 && (better < -1e-6 || plan.left <= plain.left + 1e-9) }).toEqual({
        seed,
        ok: true,
      });
    }
  },
);

test('what a day file gets wrong is said with its place', () => {
  const faults = (value: unknown): string[] => {
    const checked = checkDay(value);
    return checked.ok ? [] : checked.faults.map((f) => f.path);
  };
  const sound = {
    from: '08:00',
    to: '16:30',
    demand: [{ from: '08:00', to: '16:30', perHour: '66 L' }],
    batch: '100 L',
    step: '5 L',
    before: '10 min',
    life: '120 min',
  };
  expect(faults(sound)).toEqual([]);
  expect(faults({ ...sound, to: '07:00' })).toEqual(['/to']);
  expect(faults({ ...sound, step: '0 L' })).toEqual(['/step']);
  expect(faults({ ...sound, batch: '2 L' })).toEqual(['/batch']);
  expect(faults({ ...sound, life: [{ at: '08:00', life: '0 min' }] })).toEqual(['/life/0/life']);
  expect(faults({ ...sound, breaks: [['10:00', '09:00']] })).toEqual(['/breaks/0']);
  expect(faults({ ...sound, perHour: 1 })).toEqual(['/perHour']);
  expect(readDay('{').ok).toBe(false);
});

test('a batch as somebody wants it is kept to, what comes before stays, and what comes after is planned after it', () => {
  const day = dayOf();
  const free = planDay(day);
  const [first] = free.batches;
  const made = (at: number): number => Math.round((planned.batches[at]?.made ?? 0) / L);
  let planned = planPinned(day, [{ made: first?.made ?? 0 }, { made: 40 * L }]);
  expect([made(0), made(1)]).toEqual([100, 40]);
  expect(wrongWith(day, planned)).toEqual([]);
  expect(planned.used).toBeCloseTo(free.used, 9);
  expect(planned.proof.status).toBe('open');
  // Pulled until it is gone at nine: an hour of 66 L, to the step of five.
  planned = planPinned(day, [{ gone: 9 * 60 }]);
  expect(made(0)).toBe(65);
  expect(wrongWith(day, planned)).toEqual([]);
  // No smaller than a step, no larger than may be.
  // Mixed half an hour early it is as large, and dead so much the sooner; late, somebody waits for it.
  const early = planPinned(day, [{ made: first?.made ?? 0, water: (first?.water ?? 0) - 30 }]);
  expect(early.batches[0]).toMatchObject({ water: (first?.water ?? 0) - 30, first: first?.first });
  expect(early.batches[0]?.expires).toBeCloseTo((first?.expires ?? 0) - 30, 6);
  const late = planPinned(day, [{ made: first?.made ?? 0, water: (first?.water ?? 0) + 30 }]);
  expect(late.waits[0]).toMatchObject({ from: first?.first, to: (first?.first ?? 0) + 30 });
  planned = planPinned(day, [{ gone: 8 * 60 }, { gone: 16 * 60 }]);
  expect([made(0), made(1)]).toEqual([5, 100]);
  expect(planPinned(day, [])).toEqual(free);
});

test('a batch pulled past its life is thrown away from there on, and the day goes on', () => {
  const day = dayOf({ life: '40 min' });
  const planned = planPinned(day, [{ made: 100 * L }]);
  expect(wrongWith(day, planned)).toEqual([]);
  // Half an hour of 66 L is used of it.
  expect(planned.batches[0]?.used).toBeCloseTo(33 * L, 6);
  expect(planned.batches[0]?.left).toBeCloseTo(67 * L, 6);
});
