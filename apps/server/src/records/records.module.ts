import { Module } from '@nestjs/common';
import { JobsModule } from '../jobs/jobs.module.js';
import { Notices } from './notices.js';
import { RecordsController } from './records.controller.js';
import { RecordsService } from './records.service.js';
import { WatchController } from './watch.controller.js';

@Module({
  imports: [JobsModule],
  controllers: [RecordsController, WatchController],
  providers: [RecordsService, Notices],
  exports: [RecordsService],
})
export class RecordsModule {}
