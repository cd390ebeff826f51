import { SERVER } from '@even-tally/words';
import { availableParallelism } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  createParamDecorator,
  Global,
  Inject,
  Injectable,
  Logger,
  Module,
  type ExecutionContext,
  type OnApplicationShutdown,
} from '@nestjs/common';
import type { Response } from 'express';
import { Piscina } from 'piscina';
import { Refusal } from '../errors/refusal.js';
import { SETTINGS, type Settings } from '../settings.js';
import type { Work, WORK } from './work.js';

/** As it is built: threads are not run through whatever reads the source. */
const FILE = join(dirname(fileURLToPath(import.meta.url)), '../../dist/workers/work.js');

/** Says that the server is there and it was the work: whoever only saves is not told to wait. */
const LATER = { 'Retry-After': '30' };
const busy = (): Refusal => new Refusal(503, { says: SERVER.tooMuch }, LATER);

/** Plans, sheets and large documents, worked out in threads of their own, so that nobody waits for another's. */
@Injectable()
export class Workers implements OnApplicationShutdown {
  private readonly log = new Logger('workers');
  private readonly pool: Piscina;
  private readonly seconds: number;
  /** At work and waiting, at most; and now. */
  private readonly most: number;
  private held = 0;

  constructor(@Inject(SETTINGS) { work }: Settings) {
    this.seconds = work.seconds;
    // One processor is left to those who wait for an answer.
    const threads = Math.max(1, availableParallelism() - 1);
    this.most = threads + work.waiting;
    this.pool = new Piscina({
      filename: FILE,
      minThreads: 0,
      maxThreads: threads,
      idleTimeout: 60_000,
      resourceLimits: { maxOldGenerationSizeMb: work.heapMb },
      // Whoever only saves goes before whoever prints.
      niceIncrement: 10,
      closeTimeout: 1000,
    });
  }

  /**
   * Does a piece of work. Given up when `leaves` says that whoever asked is gone, when it takes too long or too much memory, and
   * refused when too much waits already: each in a sentence.
   */
  async do<W extends Work>(
    what: W,
    given: Parameters<(typeof WORK)[W]>[0],
    leaves?: AbortSignal,
  ): Promise<Awaited<ReturnType<(typeof WORK)[W]>>> {
    const late = AbortSignal.timeout(this.seconds * 1000);
    const signal = leaves ? AbortSignal.any([leaves, late]) : late;
    // Counted here: the pool counts what waits while its threads are being started as it likes.
    if (this.held >= this.most) throw busy();
    this.held += 1;
    try {
      return (await this.pool.run({ what, given }, { signal })) as Awaited<ReturnType<(typeof WORK)[W]>>;
    } catch (error) {
      const { code } = error as { code?: string };
      if (late.aborted)
        throw new Refusal(
          503,
          {
            says: `Wanted an answer within ${this.seconds} s, and this takes longer. Nothing was changed.`,
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
      throw error;
    } finally {
      this.held -= 1;
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
