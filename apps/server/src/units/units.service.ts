import { Inject, Injectable } from '@nestjs/common';
import type { OwnUnit } from '@even-tally/core';
import { SERVER } from '@even-tally/words';
import type { Knex } from 'knex';
import { DATABASE } from '../database/database.module.js';
import { Refusal } from '../errors/refusal.js';

/** What one yard may keep: as many as one job may have. */
export const MOST_UNITS = 500;

/** Units of a yard's own. Every query names the yard, so no row of another can be read or written. */
@Injectable()
export class UnitsService {
  constructor(@Inject(DATABASE) private readonly db: Knex) {}

  async list(yardId: string, db: Knex = this.db): Promise<OwnUnit[]> {
    const rows = await db('yard_units')
      .where({ yard_id: yardId })
      .orderBy('place')
      .select<{ unit: OwnUnit }[]>('unit');
    return rows.map((r) => r.unit);
  }

  /** Keeps units, each in the place of the one that had its id. */
  async keep(yardId: string, units: readonly OwnUnit[], db: Knex = this.db): Promise<void> {
    await db.transaction(async (trx) => {
      await trx('yards').where({ id: yardId }).forUpdate().first('id');
      for (const unit of units)
        await trx('yard_units')
          .insert({ yard_id: yardId, id: unit.id, unit: JSON.stringify(unit) })
          .onConflict(['yard_id', 'id'])
          .merge(['unit']);
      const [{ count = 0 } = {}] = await trx('yard_units')
        .where({ yard_id: yardId })
        .count<{ count: string }[]>();
      if (Number(count) > MOST_UNITS)
        throw new Refusal(409, { says: SERVER.unitsAtMost({ most: MOST_UNITS }) });
    });
  }

  async remove(yardId: string, id: string): Promise<void> {
    await this.db('yard_units').where({ yard_id: yardId, id }).delete();
  }
}
