import { Type } from 'class-transformer';
import { IsIn, IsInt, IsOptional, IsString, Max, MaxLength, Min, MinLength } from 'class-validator';
import { PAPER_SIZES, type PaperSize, type Show } from '@even-tally/core';
import { SPOKEN, type Language } from '@even-tally/words';

export class Exporting {
  /** Id of the wall; left out, every wall. */
  @IsOptional()
  @IsString()
  @MinLength(1)
  @MaxLength(200)
  wall?: string;

  /** Place of the run in its wall; left out, every run. */
  @IsOptional()
  @Type(() => Number)
  @IsInt()
  @Min(0)
  @Max(999)
  run?: number;

  @IsOptional()
  @IsIn(['ft-in', 'mm'])
  show?: Show;

  /** What it is printed on; left out, Letter with feet and inches, A4 with millimetres. */
  @IsOptional()
  @IsIn(Object.keys(PAPER_SIZES))
  paper?: PaperSize;

  /** What findings are said in; left out, as the trade of the job’s profile says them. */
  @IsOptional()
  @IsIn(SPOKEN)
  words?: Language;
}
