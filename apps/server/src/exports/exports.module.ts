import { Module } from '@nestjs/common';
import { JobsModule } from '../jobs/jobs.module.js';
import { ExportsController } from './exports.controller.js';

@Module({ imports: [JobsModule], controllers: [ExportsController] })
export class ExportsModule {}
