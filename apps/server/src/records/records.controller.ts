import { Body, Controller, Get, Post, UseGuards } from '@nestjs/common';
import { ApiCookieAuth, ApiTags } from '@nestjs/swagger';
import type { RecordEntry } from '@even-tally/core';
import { CurrentVisitor, SignedIn, type Visitor } from '../accounts/session.js';
import { JobId } from '../jobs/jobId.js';
import { NewRecord } from './records.dto.js';
import { RecordsService } from './records.service.js';

@ApiTags('records')
@ApiCookieAuth()
@Controller('api/jobs/:jobId/record')
@UseGuards(SignedIn)
export class RecordsController {
  constructor(private readonly records: RecordsService) {}

  @Get()
  list(@CurrentVisitor() visitor: Visitor, @JobId() id: string): Promise<RecordEntry[]> {
    return this.records.list(visitor.yardId, id);
  }

  @Post()
  add(
    @CurrentVisitor() visitor: Visitor,
    @JobId() id: string,
    @Body() given: NewRecord,
  ): Promise<RecordEntry> {
    return this.records.add(visitor.yardId, id, given);
  }
}
