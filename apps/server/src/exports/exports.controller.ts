import { Controller, Get, Param, Query, StreamableFile, UseGuards } from '@nestjs/common';
import { ApiCookieAuth, ApiTags } from '@nestjs/swagger';
import {
  PAPERS,
  paperOf,
  poleSheet,
  setOutWall,
  tapeSheet,
  workWall,
  type JobDocument,
  type Show,
  type WallWork,
} from '@even-tally/core';
import { CurrentVisitor, SignedIn, type Visitor } from '../accounts/session.js';
import { Refusal } from '../errors/refusal.js';
import { JobId } from '../jobs/jobId.js';
import { JobsService } from '../jobs/jobs.service.js';
import { RecordsService } from '../records/records.service.js';
import { Printing, PrintingRun } from './exports.dto.js';
import { paperPdf } from './paperPdf.js';
import { polePdf } from './polePdf.js';
import { tapePdf } from './tapePdf.js';

const paper = (pdf: Buffer, name: string): StreamableFile =>
  new StreamableFile(pdf, { type: 'application/pdf', disposition: `inline; filename="${name}.pdf"` });

/** What goes to the printer. The plan is worked out from the job as it is kept. */
@ApiTags('exports')
@ApiCookieAuth()
@Controller('api/jobs')
@UseGuards(SignedIn)
export class ExportsController {
  constructor(
    private readonly jobs: JobsService,
    private readonly records: RecordsService,
  ) {}

  @Get(':jobId/pole.pdf')
  async pole(
    @CurrentVisitor() visitor: Visitor,
    @JobId() id: string,
    @Query() asked: Printing,
  ): Promise<StreamableFile> {
    const { name, work, show } = await this.wall(visitor, id, asked);
    return paper(await polePdf(poleSheet(name, work, show), show), 'story-pole');
  }

  @Get(':jobId/tape.pdf')
  async tape(
    @CurrentVisitor() visitor: Visitor,
    @JobId() id: string,
    @Query() asked: PrintingRun,
  ): Promise<StreamableFile> {
    const { name, work, show } = await this.wall(visitor, id, asked);
    const run = asked.run ?? 0;
    if (!work.wall.runs[run]) throw new Refusal(404, { says: 'There is no such run in this wall.' });
    return paper(await tapePdf(tapeSheet(name, work, run, show), show), 'dry-lay-tape');
  }

  @Get(':jobId/papers/:kind.pdf')
  async paper(
    @CurrentVisitor() visitor: Visitor,
    @JobId() id: string,
    @Param('kind') kind: string,
    @Query() asked: PrintingRun,
  ): Promise<StreamableFile> {
    const which = PAPERS.find((k) => k === kind);
    if (!which) throw new Refusal(404, { says: 'There is no such sheet.' });
    const { document, index, show } = await this.wallOf(visitor, id, asked);
    const run = asked.run ?? 0;
    if (!setOutWall(document, index).runs[run])
      throw new Refusal(404, { says: 'There is no such run in this wall.' });
    const record = which === 'holds' ? await this.records.list(visitor.yardId, id) : [];
    return paper(await paperPdf(paperOf(which, document, index, run, show, record), show), which);
  }

  private async wall(
    visitor: Visitor,
    id: string,
    asked: Printing,
  ): Promise<{ name: string; work: WallWork; show: Show }> {
    const { document, index, show } = await this.wallOf(visitor, id, asked);
    return { name: document.name, work: workWall(document, index), show };
  }

  private async wallOf(
    visitor: Visitor,
    id: string,
    asked: Printing,
  ): Promise<{ document: JobDocument; index: number; show: Show }> {
    const { document } = await this.jobs.read(visitor.yardId, id);
    const index = document.walls.findIndex((w) => w.id === asked.wall);
    if (index < 0) throw new Refusal(404, { says: 'There is no such wall in this job.' });
    return { document, index, show: asked.show ?? document.show };
  }
}
