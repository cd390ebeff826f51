import { Module } from '@nestjs/common';
import { RecordsModule } from '../records/records.module.js';
import { UnitsModule } from '../units/units.module.js';
import { CarryService } from './carry.service.js';
import { Sweeper } from './sweeper.js';
import { YardsController } from './yards.controller.js';

@Module({
  imports: [RecordsModule, UnitsModule],
  controllers: [YardsController],
  providers: [CarryService, Sweeper],
})
export class YardsModule {}
