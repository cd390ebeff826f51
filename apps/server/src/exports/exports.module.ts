import { Module } from '@nestjs/common';
import { JobsModule } from '../jobs/jobs.module.js';
import { RecordsModule } from '../records/records.module.js';
import { ExportsController } from './exports.controller.js';

@Module({ imports: [JobsModule, RecordsModule], controllers: [ExportsController] })
export class ExportsModule {}
