import { Readable } from 'node:stream';
import { Controller, Get, HttpCode, Post, Req, StreamableFile, UseGuards } from '@nestjs/common';
import { ApiCookieAuth, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { Needs } from '../accounts/roles.js';
import { CurrentVisitor, SignedIn, type Visitor } from '../accounts/session.js';
import { Throttle } from '../throttle/throttle.service.js';
import { Leaves } from '../workers/workers.module.js';
import { CarryService } from './carry.service.js';

/** A yard whole: taken out as one file and brought in again, here or elsewhere. */
@ApiTags('yards')
@ApiCookieAuth()
@Controller('api/yard')
@UseGuards(SignedIn)
@Needs('owns')
export class YardsController {
  constructor(
    private readonly carry: CarryService,
    private readonly throttle: Throttle,
  ) {}

  @Get('file')
  async out(@CurrentVisitor() { yardId }: Visitor): Promise<StreamableFile> {
    await this.throttle.count('carrying', yardId);
    return new StreamableFile(Readable.from(this.carry.out(yardId)), {
      type: 'application/x-ndjson; charset=utf-8',
      disposition: 'attachment; filename="yard.even-tally.ndjson"',
    });
  }

  @Post('file')
  @HttpCode(200)
  async in(
    @CurrentVisitor() visitor: Visitor,
    @Req() request: Request,
    @Leaves() leaves: AbortSignal,
  ): Promise<{ jobs: number; entries: number }> {
    await this.throttle.count('carrying', visitor.yardId);
    return this.carry.in(visitor, request, leaves);
  }
}
