import { availableParallelism } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  createParamDecorator,
  Global,
  Injectable,
  Logger,
  Module,
  type ExecutionContext,
  type OnApplicationShutdown,
} from '@nestjs/common';
import type { Response } from 'express';
import { Piscina } from 'piscina';
import { Refusal } from '../errors/refusal.js';
import type { Work, WORK } from './work.js';

/** As it is built: threads are not run through whatever reads the source. */
const FILE = join(dirname(fileURLToPath(import.meta.url)), '../../dist/workers/work.js');

/** What one piece of work may take, and how many may wait. */
const LONGEST = 60_000;
const HEAP_MB = 900;
const WAITING = 60;

/** Says that the server is there and it was the work: whoever only saves is not told to wait. */
const LATER = { 'Retry-After': '30' };
const busy = (): Refusal =>
  new Refusal(503, { says: 'Too much is being worked out at once. Try again in a minute.' }, LATER);

/** Plans, sheets and large documents, worked out in threads of their own, so that nobody waits for another's. */
@Injectable()
export class Workers implements OnApplicationShutdown {
  private readonly log = new Logger('workers');
  private readonly pool = new Piscina({
    filename: FILE,
    minThreads: 0,
    // One processor is left to those who wait for an answer.
    maxThreads: Math.max(1, availableParallelism() - 1),
    idleTimeout: 60_000,
    maxQueue: WAITING,
    resourceLimits: { maxOldGenerationSizeMb: HEAP_MB },
    // Whoever only saves goes before whoever prints.
    niceIncrement: 10,
    closeTimeout: 1000,
  });

  /**
   * Does a piece of work. Given up when `leaves` says that whoever asked is gone, when it takes too long or too much memory, and
   * refused when too much waits already: each in a sentence.
   */
  async do<W extends Work>(
    what: W,
    given: Parameters<(typeof WORK)[W]>[0],
    leaves?: AbortSignal,
  ): Promise<Awaited<ReturnType<(typeof WORK)[W]>>> {
    const late = AbortSignal.timeout(LONGEST);
    const signal = leaves ? AbortSignal.any([leaves, late]) : late;
    try {
      return (await this.pool.run({ what, given }, { signal })) as Awaited<ReturnType<(typeof WORK)[W]>>;
    } catch (error) {
      const { code, message } = error as { code?: string; message?: string };
      if (late.aborted)
        throw new Refusal(
          503,
          {
            says: `Wanted an answer within ${LONGEST / 1000} s, and this takes longer. Nothing was changed.`,
          },
          LATER,
        );
      if (leaves?.aborted) throw new Refusal(499, { says: 'Nobody waits for this any more.' });
      if (code === 'ERR_WORKER_OUT_OF_MEMORY') {
        this.log.warn({ event: 'out of memory', what });
        throw new Refusal(
          503,
          { says: 'This takes more memory than one piece of work is given. Nothing was changed.' },
          LATER,
        );
      }
      if (message?.includes('queue is at limit')) throw busy();
      throw error;
    }
  }

  async onApplicationShutdown(): Promise<void> {
    await this.pool.destroy();
  }
}

/** Ends when whoever asked has gone before the answer was made. */
export const Leaves = createParamDecorator((_: unknown, context: ExecutionContext): AbortSignal => {
  const response = context.switchToHttp().getResponse<Response>();
  const gone = new AbortController();
  response.on('close', () => response.writableFinished || gone.abort());
  return gone.signal;
});

@Global()
@Module({ providers: [Workers], exports: [Workers] })
export class WorkersModule {}
