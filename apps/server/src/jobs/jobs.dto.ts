import { ApiProperty } from '@nestjs/swagger';
import { IsInt, IsObject, Min } from 'class-validator';

export class NewJob {
  @ApiProperty({
    type: 'object',
    additionalProperties: true,
    description: 'an Even Tally job file, see docs/format.md',
  })
  @IsObject({ message: 'document: wanted a job file' })
  document: object;
}

export class SavedJob extends NewJob {
  @ApiProperty({ minimum: 1, description: 'the revision this edit was made on' })
  @IsInt({ message: 'revision: wanted the whole number the edit was made on' })
  @Min(1, { message: 'revision: wanted 1 or more' })
  revision: number;
}
