import { createWords, languageAsked, SERVER } from '@even-tally/words';
import {
  Controller,
  Delete,
  Get,
  Header,
  Headers,
  HttpCode,
  Param,
  ParseIntPipe,
  Post,
  Put,
  Query,
  Res,
  UseGuards,
} from '@nestjs/common';
import { ApiBody, ApiCookieAuth, ApiTags } from '@nestjs/swagger';
import type { Response } from 'express';
import { Needs } from '../accounts/roles.js';
import { CurrentVisitor, SignedIn, type Visitor } from '../accounts/session.js';
import { Refusal } from '../errors/refusal.js';
import { Leaves } from '../workers/workers.module.js';
import { DocumentText } from './documentText.js';
import { JobId } from './jobId.js';
import { Listing, NewJob, SavedJob } from './jobs.dto.js';
import { JobsService, type JobLine, type JsonText } from './jobs.service.js';
import { VersionsService, type Version, type VersionLine } from './versions.service.js';

const JSON_TEXT = ['Content-Type', 'application/json; charset=utf-8'] as const;
const noVersion = (): Refusal => new Refusal(404, { says: SERVER.noSuchVersion });

@ApiTags('jobs')
@ApiCookieAuth()
@Controller('api/jobs')
@UseGuards(SignedIn)
@Needs('reads')
export class JobsController {
  constructor(
    private readonly jobs: JobsService,
    private readonly versions: VersionsService,
  ) {}

  /** A page of lines; `Link` says where the next one is. */
  @Get()
  async list(
    @CurrentVisitor() visitor: Visitor,
    @Query() { away, after = 0 }: Listing,
    @Res({ passthrough: true }) response: Response,
  ): Promise<JobLine[]> {
    const { lines, next } = await this.jobs.list(visitor.yardId, { away: away === '1', after });
    if (next !== null)
      response.setHeader('Link', `</api/jobs?after=${next}${away ? '&away=1' : ''}>; rel="next"`);
    return lines;
  }

  @Post()
  @Needs('plans')
  @Header(...JSON_TEXT)
  @ApiBody({ type: NewJob })
  add(@CurrentVisitor() visitor: Visitor, @DocumentText() body: string): Promise<JsonText> {
    return this.jobs.add(visitor, body);
  }

  @Get(':jobId')
  @Header(...JSON_TEXT)
  read(@CurrentVisitor() visitor: Visitor, @JobId() id: string): Promise<JsonText> {
    return this.jobs.read(visitor.yardId, id);
  }

  /** The job file itself, for keeping or for another yard. */
  @Get(':jobId/file')
  @Header(...JSON_TEXT)
  @Header('Content-Disposition', 'attachment; filename="job.even-tally.json"')
  file(@CurrentVisitor() visitor: Visitor, @JobId() id: string): Promise<JsonText> {
    return this.jobs.file(visitor.yardId, id);
  }

  @Put(':jobId')
  @Needs('plans')
  @Header(...JSON_TEXT)
  @ApiBody({ type: SavedJob })
  save(
    @CurrentVisitor() visitor: Visitor,
    @JobId() id: string,
    @DocumentText() body: string,
    @Headers('prefer') prefer?: string,
  ): Promise<JsonText> {
    return this.jobs.save(visitor, id, body, prefer === 'return=minimal');
  }

  /** Puts a job away: it is off the list and comes back as it was. */
  @Delete(':jobId')
  @Needs('plans')
  @HttpCode(204)
  putAway(@CurrentVisitor() visitor: Visitor, @JobId() id: string): Promise<void> {
    return this.jobs.putAway(visitor.yardId, id);
  }

  @Post(':jobId/back')
  @Needs('plans')
  @HttpCode(204)
  bringBack(@CurrentVisitor() visitor: Visitor, @JobId() id: string): Promise<void> {
    return this.jobs.bringBack(visitor, id);
  }

  /** A job that is put away goes for good; its record stays. */
  @Delete(':jobId/away')
  @Needs('owns')
  @HttpCode(204)
  remove(@CurrentVisitor() visitor: Visitor, @JobId() id: string): Promise<void> {
    return this.jobs.remove(visitor.yardId, id);
  }

  @Get(':jobId/versions')
  async changes(
    @CurrentVisitor() visitor: Visitor,
    @JobId() id: string,
    @Leaves() leaves: AbortSignal,
    @Headers('accept-language') languages?: string,
  ): Promise<(Omit<VersionLine, 'says'> & { says: string | null })[]> {
    const { say } = createWords(languageAsked(languages), 'mm');
    const lines = await this.versions.list(visitor.yardId, id, leaves);
    return lines.map((line) => ({ ...line, says: line.says === null ? null : say(line.says) }));
  }

  /** What the job was then. Taking it back is saving it over what stands now. */
  @Get(':jobId/versions/:revision')
  version(
    @CurrentVisitor() visitor: Visitor,
    @JobId() id: string,
    @Param('revision', new ParseIntPipe({ exceptionFactory: noVersion })) revision: number,
  ): Promise<Version> {
    if (!(revision >= 1 && revision < 2 ** 31)) throw noVersion();
    return this.versions.read(visitor.yardId, id, revision);
  }
}
