import type { QueryInterface, Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';

interface Step {
  readonly name: string;
  readonly up: (queryInterface: QueryInterface) => Promise<void>;
  readonly down: (queryInterface: QueryInterface) => Promise<void>;
}

/** Any number, the same for every process: who holds it changes the tables. */
const LOCK = 47_110_815;

/** Each step once, in order; a step that has run is never altered. */
const STEPS: readonly Step[] = [
  {
    name: '0001-systems-and-changes',
    up: async ({ sequelize }) => {
      await sequelize.query(`
        CREATE TABLE systems (
          id uuid PRIMARY KEY,
          document jsonb NOT NULL,
          sequence integer NOT NULL DEFAULT 0,
          created_at timestamptz NOT NULL,
          updated_at timestamptz NOT NULL,
          deleted_at timestamptz
        );
        CREATE TABLE changes (
          id uuid PRIMARY KEY,
          system_id uuid NOT NULL REFERENCES systems (id) ON DELETE CASCADE,
          sequence integer NOT NULL,
          patch jsonb NOT NULL,
          inverse jsonb NOT NULL,
          label text NOT NULL,
          author uuid NOT NULL,
          gesture uuid NOT NULL,
          kind text NOT NULL CHECK (kind IN ('change', 'undo', 'redo')),
          schema integer NOT NULL,
          at timestamptz NOT NULL DEFAULT now(),
          UNIQUE (system_id, sequence)
        );
      `);
    },
    down: async ({ sequelize }) => {
      await sequelize.query('DROP TABLE changes; DROP TABLE systems;');
    },
  },
  {
    name: '0002-keepers',
    up: async ({ sequelize }) => {
      await sequelize.query(`
        CREATE TABLE keepers (
          id uuid PRIMARY KEY,
          kind text NOT NULL CHECK (kind IN ('pair')),
          content jsonb NOT NULL,
          note text NOT NULL,
          origin text NOT NULL,
          created_at timestamptz NOT NULL
        );
      `);
    },
    down: async ({ sequelize }) => {
      await sequelize.query('DROP TABLE keepers;');
    },
  },
  {
    name: '0003-own-fonts',
    up: async ({ sequelize }) => {
      await sequelize.query(`
        CREATE TABLE own_families (
          id text PRIMARY KEY,
          record jsonb NOT NULL,
          licence_note text NOT NULL,
          created_at timestamptz NOT NULL
        );
        CREATE TABLE own_font_files (
          name text PRIMARY KEY,
          family_id text NOT NULL REFERENCES own_families (id) ON DELETE CASCADE,
          bytes bytea NOT NULL
        );
      `);
    },
    down: async ({ sequelize }) => {
      await sequelize.query('DROP TABLE own_font_files; DROP TABLE own_families;');
    },
  },
  {
    name: '0004-pictures-and-palettes',
    up: async ({ sequelize }) => {
      await sequelize.query(`
        CREATE TABLE pictures (name text PRIMARY KEY, bytes bytea NOT NULL);
        ALTER TABLE keepers DROP CONSTRAINT keepers_kind_check;
        ALTER TABLE keepers ADD CONSTRAINT keepers_kind_check CHECK (kind IN ('pair', 'palette'));
      `);
    },
    down: async ({ sequelize }) => {
      await sequelize.query(`
        DROP TABLE pictures;
        DELETE FROM keepers WHERE kind = 'palette';
        ALTER TABLE keepers DROP CONSTRAINT keepers_kind_check;
        ALTER TABLE keepers ADD CONSTRAINT keepers_kind_check CHECK (kind IN ('pair'));
      `);
    },
  },
  {
    name: '0005-persons-and-summaries',
    up: async ({ sequelize }) => {
      await sequelize.query(`
        CREATE TABLE settings (name text PRIMARY KEY, value text NOT NULL);
        ALTER TABLE changes ADD COLUMN window_id uuid;
        UPDATE changes SET window_id = author;
        ALTER TABLE changes ALTER COLUMN window_id SET NOT NULL;
        ALTER TABLE systems
          ADD COLUMN name text GENERATED ALWAYS AS (coalesce(document->>'name', '')) STORED,
          ADD COLUMN description text GENERATED ALWAYS AS (coalesce(document->>'description', '')) STORED,
          ADD COLUMN summary jsonb,
          ADD COLUMN summary_of text;
        CREATE INDEX systems_changed ON systems (updated_at DESC, id) WHERE deleted_at IS NULL;
      `);
    },
    down: async ({ sequelize }) => {
      await sequelize.query(`
        DROP INDEX systems_changed;
        ALTER TABLE systems DROP COLUMN name, DROP COLUMN description, DROP COLUMN summary,
          DROP COLUMN summary_of;
        ALTER TABLE changes DROP COLUMN window_id;
        DROP TABLE settings;
      `);
    },
  },
  {
    // Until here everything kept was of the forms of schema 5: no schema before it had others.
    name: '0006-schema-of-what-is-kept',
    up: async ({ sequelize }) => {
      await sequelize.query(`
        ALTER TABLE keepers ADD COLUMN schema integer NOT NULL DEFAULT 5;
        ALTER TABLE own_families ADD COLUMN schema integer NOT NULL DEFAULT 5;
        ALTER TABLE keepers ALTER COLUMN schema DROP DEFAULT;
        ALTER TABLE own_families ALTER COLUMN schema DROP DEFAULT;
      `);
    },
    down: async ({ sequelize }) => {
      await sequelize.query(`
        ALTER TABLE keepers DROP COLUMN schema;
        ALTER TABLE own_families DROP COLUMN schema;
      `);
    },
  },
  {
    // What windows measured on the pages, and of which change.
    name: '0007-what-was-measured',
    up: async ({ sequelize }) => {
      await sequelize.query(
        'ALTER TABLE systems ADD COLUMN measured jsonb, ADD COLUMN measured_of integer',
      );
    },
    down: async ({ sequelize }) => {
      await sequelize.query('ALTER TABLE systems DROP COLUMN measured, DROP COLUMN measured_of');
    },
  },
  {
    // What came out when the files of a state were read in a browser.
    name: '0008-what-was-verified',
    up: async ({ sequelize }) => {
      await sequelize.query(
        'ALTER TABLE systems ADD COLUMN verified jsonb, ADD COLUMN verified_of integer',
      );
    },
    down: async ({ sequelize }) => {
      await sequelize.query('ALTER TABLE systems DROP COLUMN verified, DROP COLUMN verified_of');
    },
  },
  {
    // Numbered states with the bytes of all their files. They go with their system, and are never altered.
    name: '0009-releases',
    up: async ({ sequelize }) => {
      await sequelize.query(`
        CREATE TABLE releases (
          id uuid PRIMARY KEY,
          system_id uuid NOT NULL REFERENCES systems (id) ON DELETE CASCADE,
          number text NOT NULL,
          words text NOT NULL,
          sequence integer NOT NULL,
          author uuid NOT NULL,
          document jsonb NOT NULL,
          schema integer NOT NULL,
          files jsonb NOT NULL,
          at timestamptz NOT NULL DEFAULT now(),
          UNIQUE (system_id, number)
        );
        CREATE TABLE release_files (
          release_id uuid NOT NULL REFERENCES releases (id) ON DELETE CASCADE,
          file text NOT NULL,
          bytes bytea NOT NULL,
          PRIMARY KEY (release_id, file)
        );
        CREATE FUNCTION refuse_alteration() RETURNS trigger LANGUAGE plpgsql AS
          $$ BEGIN RAISE EXCEPTION 'releases are never altered'; END $$;
        CREATE TRIGGER releases_stay BEFORE UPDATE ON releases
          FOR EACH ROW EXECUTE FUNCTION refuse_alteration();
        CREATE TRIGGER release_files_stay BEFORE UPDATE ON release_files
          FOR EACH ROW EXECUTE FUNCTION refuse_alteration();
      `);
    },
    down: async ({ sequelize }) => {
      await sequelize.query(`
        DROP TABLE release_files;
        DROP TABLE releases;
        DROP FUNCTION refuse_alteration();
      `);
    },
  },
  {
    // Under which guests read a system. Whoever has the address may; a passphrase is kept as what it comes to.
    name: '0010-links',
    up: async ({ sequelize }) => {
      await sequelize.query(`
        CREATE TABLE links (
          id uuid PRIMARY KEY,
          system_id uuid NOT NULL REFERENCES systems (id) ON DELETE CASCADE,
          address text NOT NULL UNIQUE,
          label text NOT NULL,
          release text,
          pages jsonb,
          until timestamptz,
          salt bytea,
          passphrase bytea,
          at timestamptz NOT NULL DEFAULT now(),
          used_at timestamptz
        );
        CREATE INDEX links_of_system ON links (system_id);
      `);
    },
    down: async ({ sequelize }) => {
      await sequelize.query('DROP TABLE links');
    },
  },
  {
    // What people ask and tell at things of pages. An answer is a note with another above it.
    name: '0011-notes',
    up: async ({ sequelize }) => {
      await sequelize.query(`
        ALTER TABLE links ADD COLUMN may_write boolean NOT NULL DEFAULT false;
        CREATE TABLE notes (
          id uuid PRIMARY KEY,
          system_id uuid NOT NULL REFERENCES systems (id) ON DELETE CASCADE,
          answers uuid REFERENCES notes (id) ON DELETE CASCADE,
          kind text NOT NULL,
          page text NOT NULL,
          pin jsonb NOT NULL,
          words text NOT NULL,
          writer text NOT NULL,
          author uuid NOT NULL,
          at timestamptz NOT NULL DEFAULT now(),
          edited_at timestamptz,
          resolved_at timestamptz
        );
        CREATE INDEX notes_of_system ON notes (system_id, at);
      `);
    },
    down: async ({ sequelize }) => {
      await sequelize.query(`
        DROP TABLE notes;
        ALTER TABLE links DROP COLUMN may_write;
      `);
    },
  },
  {
    // What tells a team's channel of notes and releases. A message is written down with what it tells of, or not at all.
    name: '0012-messages',
    up: async ({ sequelize }) => {
      await sequelize.query(`
        CREATE TABLE receivers (
          id uuid PRIMARY KEY,
          system_id uuid NOT NULL REFERENCES systems (id) ON DELETE CASCADE,
          url text NOT NULL,
          secret text NOT NULL,
          at timestamptz NOT NULL DEFAULT now()
        );
        CREATE INDEX receivers_of_system ON receivers (system_id);
        CREATE TABLE messages (
          id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
          system_id uuid NOT NULL REFERENCES systems (id) ON DELETE CASCADE,
          receiver_id uuid NOT NULL REFERENCES receivers (id) ON DELETE CASCADE,
          kind text NOT NULL,
          body jsonb NOT NULL,
          state text NOT NULL DEFAULT 'waiting',
          tries integer NOT NULL DEFAULT 0,
          answer text,
          at timestamptz NOT NULL DEFAULT now(),
          next_at timestamptz NOT NULL DEFAULT now(),
          sent_at timestamptz
        );
        CREATE INDEX messages_due ON messages (next_at) WHERE state = 'waiting';
        CREATE INDEX messages_of_system ON messages (system_id, at);
        CREATE FUNCTION tell_of_note() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
          INSERT INTO messages (system_id, receiver_id, kind, body)
          SELECT NEW.system_id, receivers.id, 'note', jsonb_build_object(
            'id', NEW.id, 'answers', NEW.answers, 'kind', NEW.kind, 'page', NEW.page,
            'thing', NEW.pin->>'name', 'words', NEW.words, 'writer', NEW.writer)
          FROM receivers WHERE receivers.system_id = NEW.system_id;
          RETURN NULL;
        END $$;
        CREATE FUNCTION tell_of_release() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
          INSERT INTO messages (system_id, receiver_id, kind, body)
          SELECT NEW.system_id, receivers.id, 'release',
            jsonb_build_object('number', NEW.number, 'words', NEW.words)
          FROM receivers WHERE receivers.system_id = NEW.system_id;
          RETURN NULL;
        END $$;
        CREATE TRIGGER notes_are_told AFTER INSERT ON notes
          FOR EACH ROW EXECUTE FUNCTION tell_of_note();
        CREATE TRIGGER releases_are_told AFTER INSERT ON releases
          FOR EACH ROW EXECUTE FUNCTION tell_of_release();
      `);
    },
    down: async ({ sequelize }) => {
      await sequelize.query(`
        DROP TRIGGER notes_are_told ON notes;
        DROP TRIGGER releases_are_told ON releases;
        DROP FUNCTION tell_of_note();
        DROP FUNCTION tell_of_release();
        DROP TABLE messages;
        DROP TABLE receivers;
      `);
    },
  },
  {
    // Links for those who look at pages and answer questions, and build nothing.
    name: '0013-clients',
    up: async ({ sequelize }) => {
      await sequelize.query(
        'ALTER TABLE links ADD COLUMN for_client boolean NOT NULL DEFAULT false',
      );
    },
    down: async ({ sequelize }) => {
      await sequelize.query('ALTER TABLE links DROP COLUMN for_client');
    },
  },
  {
    // Pages that were read from outside, on which a system is proved.
    name: '0014-kept-pages',
    up: async ({ sequelize }) => {
      await sequelize.query(`
        CREATE TABLE kept_pages (
          id uuid PRIMARY KEY,
          system_id uuid NOT NULL REFERENCES systems (id) ON DELETE CASCADE,
          name text NOT NULL,
          html text NOT NULL,
          sheets jsonb NOT NULL,
          alike jsonb NOT NULL,
          at timestamptz NOT NULL DEFAULT now()
        );
        CREATE INDEX kept_pages_of_system ON kept_pages (system_id, at);
      `);
    },
    down: async ({ sequelize }) => {
      await sequelize.query('DROP TABLE kept_pages');
    },
  },
  {
    name: '0015-kept-pages-of-links',
    up: async ({ sequelize }) => {
      await sequelize.query('ALTER TABLE links ADD COLUMN kept jsonb');
    },
    down: async ({ sequelize }) => {
      await sequelize.query('ALTER TABLE links DROP COLUMN kept');
    },
  },
];

/** Why a database cannot be used, in words for whoever starts the server. */
export class UnknownMigration extends Error {
  override readonly name = 'UnknownMigration';
}

/** Does something while no other process does: of two first starts at once, one waits for the other. */
export async function alone<Result>(
  sequelize: Sequelize,
  work: () => Promise<Result>,
): Promise<Result> {
  return sequelize.transaction(async (transaction) => {
    await sequelize.query(`SELECT pg_advisory_xact_lock(${LOCK})`, { transaction });
    return work();
  });
}

/** Brings the tables to the newest form. Safe to run at every start. */
export async function migrate(sequelize: Sequelize): Promise<void> {
  const storage = new SequelizeStorage({ sequelize });
  const umzug = new Umzug<QueryInterface>({
    migrations: STEPS.map(({ name, up, down }) => ({
      name,
      up: ({ context }: { context: QueryInterface }) => up(context),
      down: ({ context }: { context: QueryInterface }) => down(context),
    })),
    context: sequelize.getQueryInterface(),
    storage,
    logger: undefined,
  });
  const known = new Set(STEPS.map(({ name }) => name));
  await alone(sequelize, async () => {
    // Told by the table itself: of steps that it does not know, the library says nothing.
    const unknown = (await storage.executed()).filter((name) => !known.has(name));
    if (unknown.length > 0)
      throw new UnknownMigration(
        `A newer Garnish has used this database (${unknown.join(', ')}), and this one would not understand what it finds. ` +
          'Start the newer one, or name another database with DATABASE_URL. Nothing was changed.',
      );
    await umzug.up();
  });
}
