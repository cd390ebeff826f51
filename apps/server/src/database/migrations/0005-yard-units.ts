import type { Knex } from 'knex';

/** Units of a yard's own, kept for all its jobs. They go with the yard. */
export const yardUnits = {
  name: '0005-yard-units',
  async up(knex: Knex): Promise<void> {
    await knex.schema.createTable('yard_units', (t) => {
      t.uuid('yard_id').notNullable().references('yards.id').onDelete('CASCADE');
      t.text('id').notNullable();
      t.jsonb('unit').notNullable();
      t.specificType('place', 'bigint generated always as identity');
      t.primary(['yard_id', 'id']);
    });
  },
  async down(knex: Knex): Promise<void> {
    await knex.schema.dropTableIfExists('yard_units');
  },
};
