import { Body, Controller, Get, Post, UseGuards } from '@nestjs/common';
import { ApiBody, ApiCookieAuth, ApiTags } from '@nestjs/swagger';
import { entrySchema, type RecordEntry } from '@even-tally/core';
import { Needs } from '../accounts/roles.js';
import { CurrentVisitor, SignedIn, type Visitor } from '../accounts/session.js';
import { JobId } from '../jobs/jobId.js';
import { Leaves } from '../workers/workers.module.js';
import { EntryPipe } from './entry.pipe.js';
import { RecordsService } from './records.service.js';

@ApiTags('records')
@ApiCookieAuth()
@Controller('api/jobs/:jobId/record')
@UseGuards(SignedIn)
@Needs('reads')
export class RecordsController {
  constructor(private readonly records: RecordsService) {}

  @Get()
  list(@CurrentVisitor() visitor: Visitor, @JobId() id: string): Promise<RecordEntry[]> {
    return this.records.list(visitor.yardId, id);
  }

  @Post()
  @Needs('logs')
  @ApiBody({ schema: entrySchema() })
  add(
    @CurrentVisitor() visitor: Visitor,
    @JobId() id: string,
    @Body(EntryPipe) given: RecordEntry,
    @Leaves() leaves: AbortSignal,
  ): Promise<RecordEntry> {
    return this.records.add(visitor, id, given, leaves);
  }
}
