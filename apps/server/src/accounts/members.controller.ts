import { SERVER } from '@even-tally/words';
import {
  Body,
  Controller,
  Delete,
  Get,
  HttpCode,
  Param,
  ParseUUIDPipe,
  Post,
  Put,
  Req,
  UseGuards,
} from '@nestjs/common';
import { ApiCookieAuth, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { Refusal } from '../errors/refusal.js';
import { Throttle } from '../throttle/throttle.service.js';
import { Again, Invite, Joining, NewRole } from './accounts.dto.js';
import { AccountsService, type SessionSaid } from './accounts.service.js';
import { DoorLog } from './doorLog.js';
import { InvitesService, type InviteLine } from './invites.service.js';
import { MembersService, type MemberLine } from './members.service.js';
import { Needs, type Role } from './roles.js';
import { begin, CurrentVisitor, SignedIn, type Visitor } from './session.js';

const Id = (name: string): ParameterDecorator =>
  Param(
    name,
    new ParseUUIDPipe({
      exceptionFactory: () => new Refusal(404, { says: SERVER.nobody }),
    }),
  );

/** Who is in a yard, and how one comes to be. */
@ApiTags('members')
@Controller('api')
export class MembersController {
  constructor(
    private readonly members: MembersService,
    private readonly invites: InvitesService,
    private readonly accounts: AccountsService,
    private readonly throttle: Throttle,
    private readonly log: DoorLog,
  ) {}

  @Get('members')
  @ApiCookieAuth()
  @UseGuards(SignedIn)
  @Needs('reads')
  list(@CurrentVisitor() visitor: Visitor): Promise<MemberLine[]> {
    return this.members.list(visitor);
  }

  @Put('members/:account')
  @ApiCookieAuth()
  @UseGuards(SignedIn)
  @Needs('owns')
  @HttpCode(204)
  async role(
    @CurrentVisitor() visitor: Visitor,
    @Id('account') account: string,
    @Body() { role }: NewRole,
    @Req() request: Request,
  ): Promise<void> {
    await this.members.setRole(visitor.yardId, account, role);
    this.log.note(request, {
      event: 'role changed',
      account: visitor.accountId,
      yard: visitor.yardId,
      of: account,
      role,
    });
  }

  /** Puts a member out; whoever leaves by themselves needs to own nothing. */
  @Delete('members/:account')
  @ApiCookieAuth()
  @UseGuards(SignedIn)
  @Needs('reads')
  @HttpCode(204)
  async remove(
    @CurrentVisitor() visitor: Visitor,
    @Id('account') account: string,
    @Req() request: Request,
  ): Promise<void> {
    if (account.toLowerCase() !== visitor.accountId && visitor.role !== 'owns')
      throw new Refusal(403, { says: SERVER.mayNotSettle });
    await this.members.remove(visitor.yardId, account);
    this.log.note(request, {
      event: 'member put out',
      account: visitor.accountId,
      yard: visitor.yardId,
      of: account,
    });
  }

  @Get('invites')
  @ApiCookieAuth()
  @UseGuards(SignedIn)
  @Needs('plans')
  links(@CurrentVisitor() { yardId }: Visitor): Promise<InviteLine[]> {
    return this.invites.list(yardId);
  }

  /** What the answer's `invite` holds goes after # in a link, where it is sent to no server on the way. */
  @Post('invites')
  @ApiCookieAuth()
  @UseGuards(SignedIn)
  @Needs('plans')
  async invite(
    @CurrentVisitor() visitor: Visitor,
    @Body() { role, hours }: Invite,
    @Req() request: Request,
  ): Promise<InviteLine & { invite: string }> {
    const made = await this.invites.make(visitor, role, hours);
    this.log.note(request, { event: 'link made', account: visitor.accountId, yard: visitor.yardId, role });
    return made;
  }

  @Delete('invites/:invite')
  @ApiCookieAuth()
  @UseGuards(SignedIn)
  @Needs('plans')
  @HttpCode(204)
  takeBack(@CurrentVisitor() { yardId }: Visitor, @Id('invite') id: string): Promise<void> {
    return this.invites.takeBack(yardId, id);
  }

  /** What a link is for: asked before anybody signs in. */
  @Post('invites/look')
  @HttpCode(200)
  async look(@Body() { invite }: Joining, @Req() request: Request): Promise<{ yard: string; role: Role }> {
    await this.throttle.count('opening', request.ip ?? 'nowhere');
    return this.invites.look(invite);
  }

  @Post('invites/join')
  @ApiCookieAuth()
  @UseGuards(SignedIn)
  @HttpCode(200)
  async join(
    @CurrentVisitor() { accountId, email }: Visitor,
    @Body() { invite }: Joining,
    @Req() request: Request,
  ): Promise<SessionSaid> {
    if (email === null) throw new Refusal(403, { says: SERVER.visitorJoins });
    await this.throttle.count('asking', accountId);
    const { yardId, role } = await this.invites.join(accountId, invite);
    this.log.note(request, { event: 'joined', account: accountId, yard: yardId, role });
    await begin(request, { accountId, yardId });
    await this.accounts.enterYard(accountId, yardId);
    return this.accounts.session({ accountId, yardId });
  }

  @Post('yard/close')
  @ApiCookieAuth()
  @UseGuards(SignedIn)
  @Needs('owns')
  @HttpCode(204)
  async close(
    @CurrentVisitor() { accountId, yardId }: Visitor,
    @Body() { password }: Again,
    @Req() request: Request,
  ): Promise<void> {
    await this.throttle.count('asking', accountId);
    await this.accounts.again(accountId, password);
    await this.accounts.closeYard(yardId);
    this.log.note(request, { event: 'yard closed', account: accountId, yard: yardId });
  }
}
