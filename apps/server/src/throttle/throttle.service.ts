import { SERVER } from '@even-tally/words';
import { createHash } from 'node:crypto';
import { Global, Inject, Injectable, Module } from '@nestjs/common';
import type { Knex } from 'knex';
import { RateLimiterPostgres, type RateLimiterRes } from 'rate-limiter-flexible';
import { DATABASE } from '../database/database.module.js';
import { Refusal } from '../errors/refusal.js';

/**
 * How often something may be tried, counted for all servers together. An address stands for a whole site behind one router: its
 * bounds are wide, and what works is not counted; an account tried from one place is bounded closely.
 */
const BOUNDS = {
  /** Failed sign-ins to one account from one address. */
  pair: { points: 8, duration: 60 },
  /** Failed sign-ins to one account from anywhere. */
  account: { points: 50, duration: 3600 },
  /** Failed sign-ins from one address to any account. */
  address: { points: 200, duration: 600 },
  /** That an account was signed in to from an address: kept a month, and it bounds nothing. */
  known: { points: 1_000_000_000, duration: 30 * 86_400 },
  /** Accounts and demo copies opened from one address. */
  opening: { points: 600, duration: 3600 },
  /** Accounts opened under one name. */
  naming: { points: 3, duration: 86_400 },
  /** Links and passwords tried while signed in. */
  asking: { points: 20, duration: 600 },
  /** Sheets printed for one yard. */
  printing: { points: 60, duration: 60 },
  /** Whole yards taken out or brought in. */
  carrying: { points: 10, duration: 3600 },
} as const;
export type Bound = keyof typeof BOUNDS;

/** Keys are hashed, so that the table is no list of who has an account. */
const keyOf = (what: string): string => createHash('sha256').update(what).digest('base64url');

function tooMany(left: RateLimiterRes): Refusal {
  const seconds = Math.max(1, Math.ceil(left.msBeforeNext / 1000));
  const minutes = seconds > 90 ? Math.ceil(seconds / 60) : seconds > 50 ? 1 : 0;
  return new Refusal(
    429,
    { says: SERVER.tooManyTries({ minutes, seconds }) },
    { 'Retry-After': `${seconds}` },
  );
}

@Injectable()
export class Throttle {
  private readonly limiters: Record<Bound, RateLimiterPostgres>;

  constructor(@Inject(DATABASE) db: Knex) {
    const made = Object.entries(BOUNDS).map(([name, bound]) => [
      name,
      new RateLimiterPostgres({
        storeClient: db,
        storeType: 'knex',
        tableName: 'throttle',
        tableCreated: true,
        keyPrefix: name,
        clearExpiredByTimeout: false,
        ...bound,
      }),
    ]);
    this.limiters = Object.fromEntries(made) as Record<Bound, RateLimiterPostgres>;
  }

  /** Counts one more, and refuses when that is too many. */
  async count(bound: Bound, what: string): Promise<void> {
    try {
      await this.limiters[bound].consume(keyOf(what));
    } catch (left) {
      if (left instanceof Error) throw left;
      throw tooMany(left as RateLimiterRes);
    }
  }

  /** Whether it was counted within the time it is kept. */
  async has(bound: Bound, what: string): Promise<boolean> {
    return (await this.limiters[bound].get(keyOf(what))) !== null;
  }

  /** It worked: it is not held against anybody. */
  async forget(bound: Bound, what: string): Promise<void> {
    await this.limiters[bound].reward(keyOf(what), 1);
  }
}

@Global()
@Module({ providers: [Throttle], exports: [Throttle] })
export class ThrottleModule {}
