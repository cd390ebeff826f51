import { Controller, Get, Query, StreamableFile, UseGuards } from '@nestjs/common';
import { ApiCookieAuth, ApiTags } from '@nestjs/swagger';
import { poleSheet, workWall } from '@even-tally/core';
import { CurrentVisitor, SignedIn, type Visitor } from '../accounts/session.js';
import { Refusal } from '../errors/refusal.js';
import { JobId } from '../jobs/jobId.js';
import { JobsService } from '../jobs/jobs.service.js';
import { Printing } from './exports.dto.js';
import { polePdf } from './polePdf.js';

/** What goes to the printer. The plan is worked out from the job as it is kept. */
@ApiTags('exports')
@ApiCookieAuth()
@Controller('api/jobs')
@UseGuards(SignedIn)
export class ExportsController {
  constructor(private readonly jobs: JobsService) {}

  @Get(':jobId/pole.pdf')
  async pole(
    @CurrentVisitor() visitor: Visitor,
    @JobId() id: string,
    @Query() asked: Printing,
  ): Promise<StreamableFile> {
    const { document } = await this.jobs.read(visitor.yardId, id);
    const index = document.walls.findIndex((w) => w.id === asked.wall);
    if (index < 0) throw new Refusal(404, { says: 'There is no such wall in this job.' });
    const show = asked.show ?? document.show;
    const pdf = await polePdf(poleSheet(document.name, workWall(document, index), show), show);
    return new StreamableFile(pdf, {
      type: 'application/pdf',
      disposition: 'inline; filename="story-pole.pdf"',
    });
  }
}
