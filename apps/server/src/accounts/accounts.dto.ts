import { ApiProperty } from '@nestjs/swagger';
import { Transform } from 'class-transformer';
import { IsEmail, IsString, Length, Matches, MaxLength, MinLength } from 'class-validator';

// eslint-disable-next-line no-control-regex -- the characters a name may not hold
const PLAIN_TEXT = /^[^\u0000-\u001f\u007f\ud800-\udfff]*$/u;

export class Credentials {
  @ApiProperty({ example: 'mason@example.test' })
  @Transform(({ value }: { value: unknown }) =>
    typeof value === 'string' ? value.trim().toLowerCase() : value,
  )
  @IsEmail({}, { message: 'email: wanted an address such as mason@example.test' })
  @MaxLength(200, { message: 'email: wanted at most 200 characters' })
  email: string;

  @ApiProperty({ minLength: 10, maxLength: 200 })
  @IsString({ message: 'password: wanted text' })
  @MinLength(10, { message: 'password: wanted at least 10 characters' })
  @MaxLength(200, { message: 'password: wanted at most 200 characters' })
  password: string;
}

export class NewAccount extends Credentials {
  @ApiProperty({ example: 'Our crew' })
  @IsString({ message: 'yard: wanted text' })
  @Length(1, 200, { message: 'yard: wanted 1 to 200 characters' })
  @Matches(PLAIN_TEXT, { message: 'yard: wanted text without control characters' })
  yard: string;
}
