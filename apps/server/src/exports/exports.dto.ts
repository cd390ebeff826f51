import { IsIn, IsOptional, IsString, MaxLength, MinLength } from 'class-validator';
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
