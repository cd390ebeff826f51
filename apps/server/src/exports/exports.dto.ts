import { Type } from 'class-transformer';
import { IsIn, IsInt, IsOptional, IsString, Max, MaxLength, Min, MinLength } from 'class-validator';
import type { Show } from '@even-tally/core';

export class Printing {
  /** Id of the wall. */
  @IsString()
  @MinLength(1)
  @MaxLength(200)
  wall!: string;

  @IsOptional()
  @IsIn(['ft-in', 'mm'])
  show?: Show;
}

export class PrintingRun extends Printing {
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  @Max(999)
  run?: number;
}
