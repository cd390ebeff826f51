import { Body, Controller, Delete, Get, Header, HttpCode, Post, Put, UseGuards } from '@nestjs/common';
import { ApiCookieAuth, ApiTags } from '@nestjs/swagger';
import { CurrentVisitor, SignedIn, type Visitor } from '../accounts/session.js';
import { JobId } from './jobId.js';
import { NewJob, SavedJob } from './jobs.dto.js';
import { JobsService, type JobAnswer } from './jobs.service.js';

@ApiTags('jobs')
@ApiCookieAuth()
@Controller('api/jobs')
@UseGuards(SignedIn)
export class JobsController {
  constructor(private readonly jobs: JobsService) {}

  @Get()
  list(@CurrentVisitor() visitor: Visitor): Promise<JobAnswer[]> {
    return this.jobs.list(visitor.yardId);
  }

  @Post()
  add(@CurrentVisitor() visitor: Visitor, @Body() given: NewJob): Promise<JobAnswer> {
    return this.jobs.add(visitor.yardId, given.document);
  }

  @Get(':jobId')
  read(@CurrentVisitor() visitor: Visitor, @JobId() id: string): Promise<JobAnswer> {
    return this.jobs.read(visitor.yardId, id);
  }

  /** The job file itself, for keeping or for another yard. */
  @Get(':jobId/file')
  @Header('Content-Disposition', 'attachment; filename="job.even-tally.json"')
  async file(@CurrentVisitor() visitor: Visitor, @JobId() id: string): Promise<JobAnswer['document']> {
    return (await this.jobs.read(visitor.yardId, id)).document;
  }

  @Put(':jobId')
  save(@CurrentVisitor() visitor: Visitor, @JobId() id: string, @Body() given: SavedJob): Promise<JobAnswer> {
    return this.jobs.save(visitor.yardId, id, given.revision, given.document);
  }

  @Delete(':jobId')
  @HttpCode(204)
  remove(@CurrentVisitor() visitor: Visitor, @JobId() id: string): Promise<void> {
    return this.jobs.remove(visitor.yardId, id);
  }
}
