import { Module } from '@nestjs/common';
import { JobsController } from './jobs.controller.js';
import { JobsService } from './jobs.service.js';
import { VersionsService } from './versions.service.js';

@Module({ controllers: [JobsController], providers: [JobsService, VersionsService], exports: [JobsService] })
export class JobsModule {}
