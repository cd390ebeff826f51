import { ApiProperty } from '@nestjs/swagger';
import {
  ArrayMaxSize,
  IsArray,
  IsIn,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  MaxLength,
  ValidateIf,
} from 'class-validator';

/** One thing that happened, as it is sent in. */
export class NewRecord {
  @ApiProperty({ description: 'made by whoever records it, so that sending it twice records it once' })
  @IsUUID(undefined, { message: 'id: wanted a UUID' })
  id: string;

  @ApiProperty({ enum: ['hold-signed', 'step-done'] })
  @IsIn(['hold-signed', 'step-done'], { message: 'kind: wanted hold-signed or step-done' })
  kind: 'hold-signed' | 'step-done';

  @ApiProperty({ description: 'id of the wall' })
  @IsString({ message: 'wall: wanted the id of a wall' })
  @Length(1, 200, { message: 'wall: wanted the id of a wall' })
  wall: string;

  @ApiProperty({ description: 'the name of whoever saw it' })
  @IsString({ message: 'by: wanted a name' })
  @Length(1, 200, { message: 'by: wanted a name of 1 to 200 characters' })
  by: string;

  @ApiProperty({ required: false })
  @ValidateIf((r: NewRecord) => r.kind === 'hold-signed')
  @IsString({ message: 'hold: wanted the id of a hold' })
  @Length(1, 200, { message: 'hold: wanted the id of a hold' })
  hold?: string;

  @ApiProperty({ required: false, type: [String] })
  @ValidateIf((r: NewRecord) => r.kind === 'hold-signed')
  @IsArray({ message: 'seen: wanted a list' })
  @ArrayMaxSize(5000, { message: 'seen: wanted at most 5000' })
  @IsString({ each: true, message: 'seen: wanted words' })
  @MaxLength(200, { each: true, message: 'seen: wanted at most 200 characters each' })
  seen?: string[];

  @ApiProperty({ required: false })
  @ValidateIf((r: NewRecord) => r.kind === 'step-done')
  @IsString({ message: 'step: wanted the id of a step' })
  @Length(1, 200, { message: 'step: wanted the id of a step' })
  step?: string;

  @ApiProperty({ required: false })
  @IsOptional()
  @IsString({ message: 'note: wanted words' })
  @MaxLength(2000, { message: 'note: wanted at most 2000 characters' })
  note?: string;
}
