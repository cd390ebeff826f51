import { SERVER } from '@even-tally/words';
import {
  Controller,
  Get,
  Headers,
  Req,
  Res,
  UseGuards,
  type BeforeApplicationShutdown,
} from '@nestjs/common';
import { ApiCookieAuth, ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { Needs, reaches } from '../accounts/roles.js';
import { CurrentVisitor, SignedIn, visitorOf, type Visitor } from '../accounts/session.js';
import { Refusal } from '../errors/refusal.js';
import { JobId } from '../jobs/jobId.js';
import { Notices } from './notices.js';
import { RecordsService } from './records.service.js';

/** Streams one session may hold open. */
const MOST = 4;
/** Rights are looked at again so often, and a line that nobody uses is kept open, ms. */
const LOOK_AGAIN = 30_000;
const KEEP_OPEN = 15_000;

/** Server-sent events: that a job's record has grown, and how far. What is new is asked for as the record always is. */
@ApiTags('records')
@ApiCookieAuth()
@Controller('api/jobs/:jobId/record/events')
@UseGuards(SignedIn)
@Needs('reads')
export class WatchController implements BeforeApplicationShutdown {
  private readonly open = new Map<string, number>();
  private readonly streams = new Set<Response>();

  constructor(
    private readonly notices: Notices,
    private readonly records: RecordsService,
  ) {}

  /** A server that goes down does not wait for those who listen. */
  beforeApplicationShutdown(): void {
    for (const stream of this.streams) stream.end();
  }

  @Get()
  async watch(
    @CurrentVisitor() visitor: Visitor,
    @JobId() job: string,
    @Headers('last-event-id') last: string | undefined,
    @Req() request: Request,
    @Res() response: Response,
  ): Promise<void> {
    const { yardId } = visitor;
    let seen = await this.records.place(yardId, job);
    const had = /^\d{1,15}$/.test(last ?? '') ? Number(last) : seen;
    const session = request.sessionID;
    const count = this.open.get(session) ?? 0;
    if (count >= MOST) throw new Refusal(429, { says: SERVER.tooManyStreams });
    this.open.set(session, count + 1);
    this.streams.add(response);
    response.writeHead(200, {
      'Content-Type': 'text/event-stream; charset=utf-8',
      'Cache-Control': 'no-store',
      'X-Accel-Buffering': 'no',
    });
    const say = (place: number): void => {
      response.write(`id: ${place}\ndata: ${JSON.stringify({ job, place })}\n\n`);
    };
    response.write(`retry: 1000\n\n`);
    // Whoever comes back is told at once what they have missed; whoever comes first knows how far it is.
    if (had !== seen || last === undefined) say(seen);
    const tell = (place: number): void => {
      if (place <= seen) return;
      seen = place;
      say(place);
    };
    const again = (): void => void this.records.place(yardId, job).then(tell, () => response.end());
    const stop = await this.notices.listen(job, (place) => (place === null ? again() : tell(place)));
    // What came in between the first look and the listening.
    again();
    const look = setInterval(() => {
      request.session.reload((error: unknown) => {
        const now = error ? null : visitorOf(request);
        if (!now || now.yardId !== yardId || !reaches(now.role, 'reads')) return void response.end();
        again();
      });
    }, LOOK_AGAIN);
    const keep = setInterval(() => response.write(':\n\n'), KEEP_OPEN);
    response.on('close', () => {
      clearInterval(look);
      clearInterval(keep);
      stop();
      this.streams.delete(response);
      const left = (this.open.get(session) ?? 1) - 1;
      if (left > 0) this.open.set(session, left);
      else this.open.delete(session);
    });
  }
}
