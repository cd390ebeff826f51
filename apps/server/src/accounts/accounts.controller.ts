import { SERVER } from '@even-tally/words';
import { Body, Controller, Delete, Get, HttpCode, Inject, Param, Post, Req, UseGuards } from '@nestjs/common';
import { ApiCookieAuth, ApiTags } from '@nestjs/swagger';
import type { Request } from 'express';
import { Refusal } from '../errors/refusal.js';
import { SETTINGS, type Settings } from '../settings.js';
import { Throttle } from '../throttle/throttle.service.js';
import { Again, Credentials, NewAccount, NewPassword, WhichYard } from './accounts.dto.js';
import { AccountsService, type Entry, type SessionSaid } from './accounts.service.js';
import { DoorLog } from './doorLog.js';
import { InvitesService } from './invites.service.js';
import { begin, CurrentVisitor, end, SignedIn, visitorOf, type Visitor } from './session.js';
import { SessionsService, type SessionLine } from './sessions.service.js';

const address = (request: Request): string => request.ip ?? 'nowhere';

/** The way in and out: accounts, sessions, and which yard is in use. */
@ApiTags('accounts')
@Controller('api')
export class AccountsController {
  constructor(
    private readonly accounts: AccountsService,
    private readonly invites: InvitesService,
    private readonly sessions: SessionsService,
    private readonly throttle: Throttle,
    private readonly log: DoorLog,
    @Inject(SETTINGS) private readonly settings: Settings,
  ) {}

  @Get('session')
  async session(@Req() request: Request): Promise<SessionSaid & { demo: boolean }> {
    return { ...(await this.accounts.session(visitorOf(request))), demo: this.settings.demo };
  }

  @Post('accounts')
  async open(@Body() given: NewAccount, @Req() request: Request): Promise<SessionSaid> {
    if ((given.yard === undefined) === (given.invite === undefined))
      throw new Refusal(400, { says: SERVER.yardOrLink });
    await this.throttle.count('opening', address(request));
    this.accounts.refuseWeak(given, given.yard ?? '');
    await this.throttle.count('naming', given.email);
    if (given.invite !== undefined) await this.invites.look(given.invite);
    const { accountId, yardId } = await this.accounts.open(given, given.yard ?? null);
    const joined =
      given.invite === undefined ? yardId : (await this.invites.join(accountId, given.invite)).yardId;
    if (!joined) throw new Refusal(403, { says: SERVER.noYard });
    this.log.note(request, { event: 'account opened', account: accountId, yard: joined });
    return this.enter(request, { accountId, yardId: joined });
  }

  @Post('session')
  @HttpCode(200)
  async signIn(@Body() given: Credentials, @Req() request: Request): Promise<SessionSaid> {
    const from = address(request);
    const pair = `${given.email} ${from}`;
    // Whoever has come in from there before is not kept out by what others try from elsewhere.
    const known = await this.throttle.has('known', pair);
    const tried: ['pair' | 'account' | 'address', string][] = [
      ['pair', pair],
      ['address', from],
      ...(known ? [] : [['account', given.email] as ['account', string]]),
    ];
    for (const [bound, what] of tried) await this.throttle.count(bound, what);
    try {
      const entry = await this.accounts.signIn(given);
      for (const [bound, what] of tried) await this.throttle.forget(bound, what);
      await this.throttle.count('known', pair);
      this.log.note(request, { event: 'signed in', account: entry.accountId, yard: entry.yardId });
      return await this.enter(request, entry);
    } catch (error) {
      if (error instanceof Refusal) this.log.refused(request, { event: 'sign-in refused' });
      throw error;
    }
  }

  @Post('demo')
  async demo(@Req() request: Request): Promise<SessionSaid> {
    if (!this.settings.demo) throw new Refusal(404, { says: SERVER.noDemo });
    await this.throttle.count('opening', address(request));
    return this.enter(request, await this.accounts.openDemo());
  }

  @Post('session/end')
  @HttpCode(204)
  async signOut(@Req() request: Request): Promise<void> {
    await end(request);
  }

  /** Another of one's yards. */
  @Post('session/yard')
  @HttpCode(200)
  @ApiCookieAuth()
  @UseGuards(SignedIn)
  async yard(
    @CurrentVisitor() { accountId }: Visitor,
    @Body() { yard }: WhichYard,
    @Req() request: Request,
  ): Promise<SessionSaid> {
    await this.accounts.enterYard(accountId, yard);
    return this.enter(request, { accountId, yardId: yard });
  }

  /** Where the account is signed in. */
  @Get('sessions')
  @ApiCookieAuth()
  @UseGuards(SignedIn)
  list(@CurrentVisitor() { accountId }: Visitor, @Req() request: Request): Promise<SessionLine[]> {
    return this.sessions.list(accountId, request.sessionID);
  }

  @Delete('sessions/:session')
  @HttpCode(204)
  @ApiCookieAuth()
  @UseGuards(SignedIn)
  async putOut(
    @CurrentVisitor() { accountId }: Visitor,
    @Param('session') session: string,
    @Req() request: Request,
  ): Promise<void> {
    await this.sessions.end(accountId, session);
    this.log.note(request, { event: 'session ended', account: accountId });
  }

  /** Signed out everywhere, here too. */
  @Post('sessions/end')
  @HttpCode(204)
  @ApiCookieAuth()
  @UseGuards(SignedIn)
  async everywhere(@CurrentVisitor() { accountId }: Visitor, @Req() request: Request): Promise<void> {
    await this.sessions.endAll(accountId);
    this.log.note(request, { event: 'signed out everywhere', account: accountId });
  }

  @Post('account/password')
  @HttpCode(200)
  @ApiCookieAuth()
  @UseGuards(SignedIn)
  async password(
    @CurrentVisitor() visitor: Visitor,
    @Body() given: NewPassword,
    @Req() request: Request,
  ): Promise<SessionSaid> {
    await this.throttle.count('asking', visitor.accountId);
    await this.accounts.change(visitor, given);
    this.log.note(request, { event: 'password changed', account: visitor.accountId });
    return this.enter(request, visitor);
  }

  @Post('account/close')
  @HttpCode(204)
  @ApiCookieAuth()
  @UseGuards(SignedIn)
  async close(
    @CurrentVisitor() { accountId }: Visitor,
    @Body() { password }: Again,
    @Req() request: Request,
  ): Promise<void> {
    await this.throttle.count('asking', accountId);
    await this.accounts.again(accountId, password);
    await this.accounts.close(accountId);
    this.log.note(request, { event: 'account closed', account: accountId });
  }

  private async enter(request: Request, entry: Entry): Promise<SessionSaid> {
    await begin(request, entry);
    await this.accounts.enterYard(entry.accountId, entry.yardId);
    return this.accounts.session(entry);
  }
}
