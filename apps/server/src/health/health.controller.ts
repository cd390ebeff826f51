import { randomUUID } from 'node:crypto';
import { Controller, Get, Inject, Module } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Knex } from 'knex';
import { DATABASE } from '../database/database.module.js';
import { Refusal } from '../errors/refusal.js';

/** An answer serves everybody who asks within so long, so that asking is no way to load the database. ms. */
const FRESH = 1000;

@ApiTags('health')
@Controller('api/health')
export class HealthController {
  private readonly server = randomUUID();
  private last: { at: number; looked: Promise<boolean> } | null = null;

  constructor(@Inject(DATABASE) private readonly db: Knex) {}

  /** The process answers. Nothing else is asked, so that a database away gets no server killed. */
  @Get('alive')
  alive(): { ok: true } {
    return { ok: true };
  }

  /** Ready to be sent work: the database takes what is written. */
  @Get()
  async ready(): Promise<{ ok: true }> {
    if (!this.last || Date.now() - this.last.at > FRESH) this.last = { at: Date.now(), looked: this.look() };
    if (await this.last.looked) return { ok: true };
    throw new Refusal(503, { says: 'The database does not take what is written.' });
  }

  private async look(): Promise<boolean> {
    try {
      await this.db('heartbeats')
        .insert({ server: this.server, at: this.db.fn.now() })
        .onConflict('server')
        .merge();
      return true;
    } catch {
      return false;
    }
  }
}

@Module({ controllers: [HealthController] })
export class HealthModule {}
