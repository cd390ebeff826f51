import type { Knex } from 'knex';

/** The role every request's queries run as. It may sign in nowhere; whoever may, is a member of it. */
export const APP_ROLE = 'even_tally_app';

/** What the application may do, said anew at every start: a restored database has none of it. */
export async function grantAll(owner: Knex | Knex.Transaction): Promise<void> {
  await owner.raw(`
    do $$ begin
      if not exists (select 1 from pg_roles where rolname = '${APP_ROLE}') then
        create role ${APP_ROLE} nologin nosuperuser nocreatedb nocreaterole;
      end if;
    exception when duplicate_object or unique_violation then null;
    end $$`);
  await owner.raw(`
    do $$ begin
      if not pg_has_role(current_user, '${APP_ROLE}', 'member') then
        execute format('grant ${APP_ROLE} to %I', current_user);
      end if;
    end $$;
    grant usage on schema public to ${APP_ROLE};
    revoke create on schema public from ${APP_ROLE};
    grant select, insert, update, delete on all tables in schema public to ${APP_ROLE};
    grant usage on all sequences in schema public to ${APP_ROLE};
    revoke update, delete, truncate on records from ${APP_ROLE};
    revoke all on knex_migrations, knex_migrations_lock from ${APP_ROLE};
    grant execute on function sweep_yards(integer) to ${APP_ROLE}`);
}
