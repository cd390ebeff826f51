import { Controller, Get, Inject, Module } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Knex } from 'knex';
import { DATABASE } from '../database/database.module.js';
import { Refusal } from '../errors/refusal.js';

@ApiTags('health')
@Controller('api/health')
export class HealthController {
  constructor(@Inject(DATABASE) private readonly db: Knex) {}

  @Get()
  async health(): Promise<{ ok: true }> {
    try {
      await this.db.raw('select 1');
      return { ok: true };
    } catch {
      throw new Refusal(503, { says: 'The database does not answer.' });
    }
  }
}

@Module({ controllers: [HealthController] })
export class HealthModule {}
