import { Controller, Get, Param, Query, StreamableFile, UseGuards } from '@nestjs/common';
import { ApiCookieAuth, ApiTags } from '@nestjs/swagger';
import { PAPERS } from '@even-tally/core';
import { Needs } from '../accounts/roles.js';
import { CurrentVisitor, SignedIn, type Visitor } from '../accounts/session.js';
import { Refusal } from '../errors/refusal.js';
import { JobId } from '../jobs/jobId.js';
import { JobsService } from '../jobs/jobs.service.js';
import { RecordsService } from '../records/records.service.js';
import { Throttle } from '../throttle/throttle.service.js';
import { Leaves, Workers } from '../workers/workers.module.js';
import { Printing, PrintingRun } from './exports.dto.js';
import type { Printed } from './print.js';

/** What goes to the printer. The plan is worked out from the job as it is kept, in a thread of its own. */
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

  @Get(':jobId/pole.pdf')
  pole(
    @CurrentVisitor() visitor: Visitor,
    @JobId() id: string,
    @Query() asked: Printing,
    @Leaves() leaves: AbortSignal,
  ): Promise<StreamableFile> {
    return this.printed('pole', 'story-pole', visitor, id, asked, leaves);
  }

  @Get(':jobId/tape.pdf')
  tape(
    @CurrentVisitor() visitor: Visitor,
    @JobId() id: string,
    @Query() asked: PrintingRun,
    @Leaves() leaves: AbortSignal,
  ): Promise<StreamableFile> {
    return this.printed('tape', 'dry-lay-tape', visitor, id, asked, leaves);
  }

  @Get(':jobId/papers/:kind.pdf')
  paper(
    @CurrentVisitor() visitor: Visitor,
    @JobId() id: string,
    @Param('kind') kind: string,
    @Query() asked: PrintingRun,
    @Leaves() leaves: AbortSignal,
  ): Promise<StreamableFile> {
    const which = PAPERS.find((k) => k === kind);
    if (!which) throw new Refusal(404, { says: 'There is no such sheet.' });
    return this.printed(which, which, visitor, id, asked, leaves);
  }

  private async printed(
    what: Printed,
    name: string,
    visitor: Visitor,
    id: string,
    { wall, run = 0, show }: PrintingRun,
    leaves: AbortSignal,
  ): Promise<StreamableFile> {
    const { document } = await this.jobs.parsed(visitor.yardId, id);
    await this.throttle.count('printing', visitor.yardId);
    const record = what === 'holds' ? await this.records.list(visitor.yardId, id) : [];
    const pdf = await this.workers.do(
      'print',
      { what, document, wall, run, show: show ?? null, record },
      leaves,
    );
    if (!pdf)
      throw new Refusal(404, { says: 'There is no such wall in this job, or no such run in the wall.' });
    return new StreamableFile(pdf, {
      type: 'application/pdf',
      disposition: `inline; filename="${name}.pdf"`,
    });
  }
}
