import { ApiProperty } from '@nestjs/swagger';
import { Type } from 'class-transformer';
import { IsIn, IsInt, IsOptional, Max, Min } from 'class-validator';

/** What comes with a document: described here, and read where the document is checked (`workers/envelope.ts`). */
export class NewJob {
  @ApiProperty({
    type: 'object',
    additionalProperties: true,
    description: 'an Even Tally job file, see docs/format.md',
  })
  document: object;

  @ApiProperty({
    required: false,
    format: 'uuid',
    description: 'an id of its own, the same when it is sent again',
  })
  save?: string;
}

export class SavedJob extends NewJob {
  @ApiProperty({ minimum: 1, description: 'the revision this edit was made on' })
  revision: number;

  @ApiProperty({ required: false, description: 'what stands now is kept as a version, however new it is' })
  keep?: boolean;
}

export class Listing {
  @IsOptional()
  @IsIn(['0', '1'], { message: 'away: wanted 0 or 1' })
  away?: '0' | '1';

  @IsOptional()
  @Type(() => Number)
  @IsInt({ message: 'after: wanted the place of a job' })
  @Min(0, { message: 'after: wanted the place of a job' })
  @Max(Number.MAX_SAFE_INTEGER, { message: 'after: wanted the place of a job' })
  after?: number;
}
