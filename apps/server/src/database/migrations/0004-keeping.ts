import type { Knex } from 'knex';

/** Roles of a yard, each with all that stands before it. */
const ROLES = `('reads', 'logs', 'plans', 'owns')`;

/**
 * What it takes for nothing to be lost and nobody to come in: sessions with a beginning and a last use, members with roles and links
 * to join by, jobs that are put away and not gone, their versions, and a record that is added to and read and nothing else.
 */
export const keeping = {
  name: '0004-keeping',
  async up(knex: Knex): Promise<void> {
    await knex.raw(`
      alter table accounts drop constraint accounts_email_unique;
      create index accounts_email on accounts (email);
      alter table accounts add column closed_at timestamptz;

      alter table yards add column closed_at timestamptz;
      -- How long nobody has used a copy of the demo yard, counted while a server runs.
      alter table yards add column idle_seconds integer not null default 0;

      alter table members add column role text not null default 'owns' check (role in ${ROLES});
      alter table members add column since timestamptz not null default now();
      alter table members add column used_at timestamptz not null default now();
      create index members_yard on members (yard_id);

      drop table session;
      create table sessions (
        -- SHA-256 of what the cookie holds: whoever reads this table signs in as nobody.
        id text primary key,
        account_id uuid not null references accounts on delete cascade,
        yard_id uuid not null references yards on delete cascade,
        made timestamptz not null default now(),
        seen timestamptz not null default now(),
        agent text not null default ''
      );
      create index sessions_account on sessions (account_id);

      create table invites (
        id uuid primary key default gen_random_uuid(),
        hash text not null unique,
        yard_id uuid not null references yards on delete cascade,
        role text not null check (role in ${ROLES}),
        made_by uuid not null references accounts on delete cascade,
        made_at timestamptz not null default now(),
        expires_at timestamptz not null,
        used_at timestamptz,
        used_by uuid
      );
      create index invites_yard on invites (yard_id);

      alter table jobs alter column document drop not null;
      alter table jobs add column name text;
      alter table jobs add column walls integer;
      alter table jobs add column bytes integer not null default 0;
      alter table jobs add column put_away_at timestamptz;
      alter table jobs add column deleted_at timestamptz;
      alter table jobs add column saved_by uuid;
      alter table jobs add column spell_began timestamptz not null default now();
      alter table jobs add column save_id uuid;
      alter table jobs add column add_id uuid;
      create unique index jobs_add on jobs (yard_id, add_id);
      update jobs set name = document->>'name', walls = jsonb_array_length(document->'walls'),
        bytes = octet_length(document::text);

      create table job_versions (
        job_id uuid not null references jobs on delete cascade,
        revision integer not null,
        saved_at timestamptz not null,
        member uuid,
        bytes integer not null,
        document jsonb not null,
        primary key (job_id, revision)
      );

      alter table records drop constraint records_job_id_foreign;
      alter table records drop constraint records_yard_id_foreign;
      alter table records add foreign key (job_id) references jobs;
      alter table records add foreign key (yard_id) references yards;
      -- An entry is found by its job: the same record may be loaded into two yards.
      alter table records drop constraint records_pkey;
      alter table records add primary key (job_id, id);
      create index records_yard on records (yard_id);

      -- Packed the quick way where the server was built with it: it is written at every save.
      do $$ begin
        alter table jobs alter column document set compression lz4;
        alter table job_versions alter column document set compression lz4;
      exception when feature_not_supported then null;
      end $$;

      create function records_stand() returns trigger language plpgsql as $$
      begin
        if coalesce(current_setting('tally.sweeping', true), '') = 'on' then return old; end if;
        raise exception 'the record is added to and read, and nothing else' using errcode = 'insufficient_privilege';
      end $$;
      create trigger records_stand before update or delete on records
        for each row execute function records_stand();
      create trigger records_stand_whole before truncate on records
        for each statement execute function records_stand();

      -- The one way out for a record: with its whole yard, a demo copy left alone or a yard closed a month ago.
      create function sweep_yards(unused_seconds integer) returns integer
        language plpgsql security definer set search_path = public, pg_temp set tally.sweeping = 'on' as $$
      declare gone uuid[]; people uuid[];
      begin
        select coalesce(array_agg(id), '{}') into gone from (
          select id from yards where (demo and idle_seconds >= unused_seconds) or closed_at < now() - interval '30 days'
          limit 200) y;
        select coalesce(array_agg(account_id), '{}') into people from members where yard_id = any (gone);
        delete from records where yard_id = any (gone);
        delete from jobs where yard_id = any (gone);
        delete from yards where id = any (gone);
        delete from accounts a where a.id = any (people) and a.email is null
          and not exists (select 1 from members m where m.account_id = a.id);
        return cardinality(gone);
      end $$;
      revoke execute on function sweep_yards(integer) from public;

      -- The shape rate-limiter-flexible expects.
      create table throttle (key varchar(255) primary key, points integer not null default 0, expire bigint);
      create table heartbeats (server text primary key, at timestamptz not null);
      create table sweeps (what text primary key, at timestamptz not null);
    `);
  },
  down(): Promise<void> {
    return Promise.reject(new Error('0004-keeping is not taken back: restore a backup made before it.'));
  },
};
