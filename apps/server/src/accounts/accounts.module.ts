import { Module } from '@nestjs/common';
import { AccountsController } from './accounts.controller.js';
import { AccountsService } from './accounts.service.js';
import { DoorLog } from './doorLog.js';
import { InvitesService } from './invites.service.js';
import { MembersController } from './members.controller.js';
import { MembersService } from './members.service.js';
import { SessionsService } from './sessions.service.js';

@Module({
  controllers: [AccountsController, MembersController],
  providers: [AccountsService, DoorLog, InvitesService, MembersService, SessionsService],
})
export class AccountsModule {}
