import { SERVER } from '@even-tally/words';
import { Controller, Get, Param, Query, StreamableFile, UseGuards } from '@nestjs/common';
import { ApiCookieAuth, ApiTags } from '@nestjs/swagger';
import { exportNamed } from '@even-tally/exports';
import { Needs } from '../accounts/roles.js';
import { CurrentVisitor, SignedIn, type Visitor } from '../accounts/session.js';
import { Refusal } from '../errors/refusal.js';
import { JobId } from '../jobs/jobId.js';
import { JobsService } from '../jobs/jobs.service.js';
import { RecordsService } from '../records/records.service.js';
import { Throttle } from '../throttle/throttle.service.js';
import { Leaves, Workers } from '../workers/workers.module.js';
import { Exporting } from './exports.dto.js';

/** Everything there is to take away, made from the job as it is kept, in a thread of its own. */
@ApiTags('exports')
@ApiCookieAuth()
@Controller('api/jobs')
@UseGuards(SignedIn)
@Needs('reads')
export class ExportsController {
  constructor(
    private readonly jobs: JobsService,
    private readonly records: RecordsService,
    private readonly workers: Workers,
    private readonly throttle: Throttle,
  ) {}

  /** `kind` is one of `EXPORTS`: `dxf`, `csv:tally`, `pdf:pole` … */
  @Get(':jobId/exports/:kind')
  async export(
    @CurrentVisitor() visitor: Visitor,
    @JobId() id: string,
    @Param('kind') kind: string,
    @Query() { wall, run, show, words, paper }: Exporting,
    @Leaves() leaves: AbortSignal,
  ): Promise<StreamableFile> {
    const found = exportNamed(kind);
    if (!found) throw new Refusal(404, { says: SERVER.noSuchExport });
    const { document } = await this.jobs.parsed(visitor.yardId, id);
    await this.throttle.count('printing', visitor.yardId);
    const record = await this.records.list(visitor.yardId, id);
    const now = new Date().toISOString();
    const asked = {
      kind,
      document,
      wall: wall ?? null,
      run: run ?? null,
      show: show ?? null,
      paper: paper ?? null,
      words: words ?? null,
      record,
      now,
    };
    const bytes = await this.workers.do('takeAway', asked, leaves);
    if (!bytes) throw new Refusal(404, { says: SERVER.noSuchRun });
    return new StreamableFile(bytes, {
      type: found.media,
      disposition: `inline; filename="${kind.replace(':', '-')}.${found.ending}"`,
    });
  }
}
