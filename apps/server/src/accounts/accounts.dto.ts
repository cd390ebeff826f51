import { applyDecorators } from '@nestjs/common';
import { ApiProperty } from '@nestjs/swagger';
import { Transform } from 'class-transformer';
import {
  IsEmail,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  IsUUID,
  Length,
  Matches,
  Max,
  MaxLength,
  Min,
  MinLength,
} from 'class-validator';
import { ROLES, type Role } from './roles.js';

// eslint-disable-next-line no-control-regex -- the characters a name may not hold
const PLAIN_TEXT = /^[^\u0000-\u001f\u007f\ud800-\udfff]*$/u;
const WHOLE = { message: '$property: wanted whole characters and no control characters' };
/** 32 random bytes, as a link carries them. */
const TOKEN = /^[A-Za-z0-9_-]{43}$/;

const lowered = ({ value }: { value: unknown }): unknown =>
  typeof value === 'string' ? value.trim().toLowerCase() : value;

/** Several decorators as one. */
const Email = (): PropertyDecorator =>
  applyDecorators(
    Transform(lowered),
    Matches(PLAIN_TEXT, WHOLE),
    IsEmail({}, { message: 'email: wanted an address such as mason@example.test' }),
    MaxLength(200, { message: 'email: wanted at most 200 characters' }),
  );
const OneRole = (): PropertyDecorator =>
  applyDecorators(
    ApiProperty({ enum: ROLES }),
    IsIn(ROLES, { message: `role: wanted one of ${ROLES.join(', ')}` }),
  );
/** A password that is being chosen. */
const Chosen = (): PropertyDecorator =>
  applyDecorators(
    IsString({ message: '$property: wanted text' }),
    Matches(PLAIN_TEXT, WHOLE),
    MinLength(12, { message: '$property: wanted at least 12 characters' }),
    MaxLength(200, { message: '$property: wanted at most 200 characters' }),
  );

export class Credentials {
  @ApiProperty({ example: 'mason@example.test' })
  @Email()
  email: string;

  @ApiProperty({ maxLength: 200 })
  @IsString({ message: 'password: wanted text' })
  @Matches(PLAIN_TEXT, WHOLE)
  @MinLength(1, { message: 'password: wanted a password, got none' })
  @MaxLength(200, { message: 'password: wanted at most 200 characters' })
  password: string;
}

/** A yard of one's own, or the link to somebody else's. */
export class NewAccount {
  @ApiProperty({ example: 'mason@example.test' })
  @Email()
  email: string;

  @ApiProperty({ minLength: 12, maxLength: 200 })
  @Chosen()
  password: string;

  @ApiProperty({ example: 'Our crew', required: false })
  @IsOptional()
  @IsString({ message: 'yard: wanted text' })
  @Length(1, 200, { message: 'yard: wanted 1 to 200 characters' })
  @Matches(PLAIN_TEXT, { message: 'yard: wanted text without control characters' })
  yard?: string;

  @ApiProperty({ required: false, description: 'what stands after # in a link to join a yard' })
  @IsOptional()
  @Matches(TOKEN, { message: 'invite: wanted the link as it was given' })
  invite?: string;
}

export class NewPassword {
  @IsString({ message: 'old: wanted text' })
  @MaxLength(200, { message: 'old: wanted at most 200 characters' })
  old: string;

  @Chosen()
  password: string;
}

export class Again {
  @IsString({ message: 'password: wanted text' })
  @MaxLength(200, { message: 'password: wanted at most 200 characters' })
  password: string;
}

export class WhichYard {
  @IsUUID(undefined, { message: 'yard: wanted the id of one of your yards' })
  yard: string;
}

export class Invite {
  @OneRole()
  role: Role;

  @ApiProperty({ minimum: 1, maximum: 72, required: false })
  @IsOptional()
  @IsInt({ message: 'hours: wanted a whole number from 1 to 72' })
  @Min(1, { message: 'hours: wanted a whole number from 1 to 72' })
  @Max(72, { message: 'hours: wanted a whole number from 1 to 72' })
  hours?: number;
}

export class Joining {
  @Matches(TOKEN, { message: 'invite: wanted the link as it was given' })
  invite: string;
}

export class NewRole {
  @OneRole()
  role: Role;
}
