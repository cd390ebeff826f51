import { Module } from '@nestjs/common';
import { AccountsController } from './accounts.controller.js';
import { AccountsService } from './accounts.service.js';

@Module({ controllers: [AccountsController], providers: [AccountsService] })
export class AccountsModule {}
