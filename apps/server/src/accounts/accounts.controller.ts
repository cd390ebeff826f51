import { Body, Controller, Get, HttpCode, Inject, Post, Req, UseGuards } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import { Throttle, ThrottlerGuard } from '@nestjs/throttler';
import type { Request } from 'express';
import { Refusal } from '../errors/refusal.js';
import { SETTINGS, type Settings } from '../settings.js';
import { Credentials, NewAccount } from './accounts.dto.js';
import { AccountsService, type SessionSaid } from './accounts.service.js';
import { begin, end, type Visitor } from './session.js';

@ApiTags('accounts')
@Controller('api')
export class AccountsController {
  constructor(
    private readonly accounts: AccountsService,
    @Inject(SETTINGS) private readonly settings: Settings,
  ) {}

  @Get('session')
  async session(@Req() request: Request): Promise<SessionSaid & { demo: boolean }> {
    const { accountId, yardId } = request.session;
    const visitor = accountId && yardId ? { accountId, yardId } : null;
    return { ...(await this.accounts.session(visitor)), demo: this.settings.demo };
  }

  @Post('accounts')
  @UseGuards(ThrottlerGuard)
  @Throttle({ default: { limit: 10, ttl: 60_000 } })
  async open(@Body() given: NewAccount, @Req() request: Request): Promise<SessionSaid> {
    return this.enter(request, await this.accounts.open(given));
  }

  @Post('session')
  @HttpCode(200)
  @UseGuards(ThrottlerGuard)
  @Throttle({ default: { limit: 8, ttl: 60_000 } })
  async signIn(@Body() given: Credentials, @Req() request: Request): Promise<SessionSaid> {
    return this.enter(request, await this.accounts.signIn(given));
  }

  @Post('demo')
  @UseGuards(ThrottlerGuard)
  @Throttle({ default: { limit: 30, ttl: 60_000 } })
  async demo(@Req() request: Request): Promise<SessionSaid> {
    if (!this.settings.demo) throw new Refusal(404, { says: 'There is no demo yard here.' });
    return this.enter(request, await this.accounts.openDemo());
  }

  @Post('session/end')
  @HttpCode(204)
  async signOut(@Req() request: Request): Promise<void> {
    await end(request);
  }

  private async enter(request: Request, visitor: Visitor): Promise<SessionSaid> {
    await begin(request, visitor);
    return this.accounts.session(visitor);
  }
}
