import type { SERVER } from '@even-tally/words';
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
/** A sentence of the catalogue where only text fits: its code and the property it is about, put into words when it is answered. */
const coded = (name: keyof typeof SERVER): { message: string } => ({ message: `server.${name} $property` });
const WHOLE = coded('whole');
/** 32 random bytes, as a link carries them. */
const TOKEN = /^[A-Za-z0-9_-]{43}$/;

const lowered = ({ value }: { value: unknown }): unknown =>
  typeof value === 'string' ? value.trim().toLowerCase() : value;

/** Several decorators as one. */
const Email = (): PropertyDecorator =>
  applyDecorators(
    Transform(lowered),
    Matches(PLAIN_TEXT, WHOLE),
    IsEmail({}, coded('emailLike')),
    MaxLength(200, coded('atMost200')),
  );
const OneRole = (): PropertyDecorator =>
  applyDecorators(
    ApiProperty({ enum: ROLES }),
    IsIn(ROLES, { message: `role: wanted one of ${ROLES.join(', ')}` }),
  );
/** A password that is being chosen. */
const Chosen = (): PropertyDecorator =>
  applyDecorators(
    IsString(coded('wantedText')),
    Matches(PLAIN_TEXT, WHOLE),
    MinLength(12, coded('atLeast12')),
    MaxLength(200, coded('atMost200')),
  );

export class Credentials {
  @ApiProperty({ example: 'mason@example.test' })
  @Email()
  email: string;

  @ApiProperty({ maxLength: 200 })
  @IsString(coded('wantedText'))
  @Matches(PLAIN_TEXT, WHOLE)
  @MinLength(1, coded('aPassword'))
  @MaxLength(200, coded('atMost200'))
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
  @IsString(coded('wantedText'))
  @Length(1, 200, coded('oneTo200'))
  @Matches(PLAIN_TEXT, coded('noControl'))
  yard?: string;

  @ApiProperty({ required: false, description: 'what stands after # in a link to join a yard' })
  @IsOptional()
  @Matches(TOKEN, coded('linkAsGiven'))
  invite?: string;
}

export class NewPassword {
  @IsString(coded('wantedText'))
  @MaxLength(200, coded('atMost200'))
  old: string;

  @Chosen()
  password: string;
}

export class Again {
  @IsString(coded('wantedText'))
  @MaxLength(200, coded('atMost200'))
  password: string;
}

export class WhichYard {
  @IsUUID(undefined, coded('yardOfYours'))
  yard: string;
}

export class Invite {
  @OneRole()
  role: Role;

  @ApiProperty({ minimum: 1, maximum: 72, required: false })
  @IsOptional()
  @IsInt(coded('hours'))
  @Min(1, coded('hours'))
  @Max(72, coded('hours'))
  hours?: number;
}

export class Joining {
  @Matches(TOKEN, coded('linkAsGiven'))
  invite: string;
}

export class NewRole {
  @OneRole()
  role: Role;
}
