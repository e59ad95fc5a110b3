import type { QueryInterface, Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';

interface Step {
  readonly name: string;
  readonly up: (queryInterface: QueryInterface) => Promise<void>;
  readonly down: (queryInterface: QueryInterface) => Promise<void>;
}

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
];

/** Brings the tables to the newest form. Safe to run at every start. */
export async function migrate(sequelize: Sequelize): Promise<void> {
  const umzug = new Umzug<QueryInterface>({
    migrations: STEPS.map(({ name, up, down }) => ({
      name,
      up: ({ context }: { context: QueryInterface }) => up(context),
      down: ({ context }: { context: QueryInterface }) => down(context),
    })),
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize }),
    logger: undefined,
  });
  await umzug.up();
}
