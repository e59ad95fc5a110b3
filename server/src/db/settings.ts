import { QueryTypes, type Sequelize } from 'sequelize';

/** Values that the whole installation shares. */
export const createSettings = (sequelize: Sequelize) => ({
  /** What is kept under a name; made the first time, by whichever process comes first. */
  async once(name: string, make: () => string): Promise<string> {
    await sequelize.query(
      'INSERT INTO settings (name, value) VALUES (:name, :value) ON CONFLICT (name) DO NOTHING',
      { replacements: { name, value: make() } },
    );
    const [row] = await sequelize.query<{ value: string }>(
      'SELECT value FROM settings WHERE name = :name',
      { replacements: { name }, type: QueryTypes.SELECT },
    );
    if (!row) throw new Error(`the setting ${name} could not be kept`);
    return row.value;
  },
});

export type Settings = ReturnType<typeof createSettings>;
