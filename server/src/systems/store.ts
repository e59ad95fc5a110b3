import { randomUUID } from 'node:crypto';
import { SCHEMA, type StyleDocument } from '@garnish/core/system/document';
import {
  overlapsOf,
  patched,
  valueAt,
  type Json,
  type Operation,
} from '@garnish/core/system/patch';
import { readDocument, upgradePatch } from '@garnish/core/system/upgrade';
import { Op, QueryTypes, type Transaction } from 'sequelize';
import type { ChangeRow, Database, SystemRow } from '../db/models.ts';
import { Problem } from '../problems.ts';
import type { NewChange } from './schemas.ts';

/** The channel on which every server process hears of changes. */
export const CHANNEL = 'garnish_changes';

export interface OpenSystem {
  readonly id: string;
  readonly sequence: number;
  readonly document: StyleDocument;
  readonly updatedAt: Date;
}

function read(row: SystemRow): OpenSystem {
  const result = readDocument(row.document);
  if (!result.ok)
    throw new Error(
      `system ${row.id} cannot be read: ${result.problems.map(({ path, message }) => `${path} ${message}`).join('; ')}`,
    );
  const { id, sequence, updatedAt } = row;
  return { id, sequence, document: result.document, updatedAt };
}

/** A system that is stored, and that this Garnish cannot read. */
export interface UnreadableSystem {
  readonly id: string;
  readonly name: string;
  readonly problem: string;
}

function unreadableOf({ id, document }: SystemRow, error: unknown): UnreadableSystem {
  const { name } = document as { readonly name?: unknown };
  return {
    id,
    name: typeof name === 'string' ? name : 'a system without a name',
    problem: error instanceof Error ? error.message : String(error),
  };
}

const unknown = (): Problem =>
  new Problem('unknown-system', 'It may have been deleted, or the address is incomplete.');

/** Keeps systems and their changes. Everything that belongs together happens in one transaction. */
export function createStore({ sequelize, Systems, Changes }: Database) {
  const notify = (systemId: string, sequence: number, transaction: Transaction) =>
    sequelize.query('SELECT pg_notify(:channel, :payload)', {
      replacements: { channel: CHANNEL, payload: JSON.stringify({ systemId, sequence }) },
      type: QueryTypes.SELECT,
      transaction,
    });

  const locked = async (id: string, transaction: Transaction): Promise<SystemRow> => {
    const row = await Systems.findOne({
      where: { id, deletedAt: null },
      lock: transaction.LOCK.UPDATE,
      transaction,
    });
    if (!row) throw unknown();
    return row;
  };

  const changesAfter = (systemId: string, after: number, transaction?: Transaction) =>
    Changes.findAll({
      where: { systemId, sequence: { [Op.gt]: after } },
      order: [['sequence', 'ASC']],
      ...(transaction && { transaction }),
    });

  return {
    /** Every system that can be read, and what is wrong with any other: one never hides the rest. */
    async list(): Promise<{ systems: OpenSystem[]; unreadable: UnreadableSystem[] }> {
      const rows = await Systems.findAll({
        where: { deletedAt: null },
        order: [
          ['createdAt', 'ASC'],
          ['id', 'ASC'],
        ],
      });
      const systems: OpenSystem[] = [];
      const unreadable: UnreadableSystem[] = [];
      for (const row of rows)
        try {
          systems.push(read(row));
        } catch (error) {
          unreadable.push(unreadableOf(row, error));
        }
      return { systems, unreadable };
    },

    async open(id: string): Promise<OpenSystem> {
      const row = await Systems.findOne({ where: { id, deletedAt: null } });
      if (!row) throw unknown();
      return read(row);
    },

    async create(document: StyleDocument): Promise<OpenSystem> {
      return read(await Systems.create({ id: randomUUID(), document }));
    },

    /** Deletes, or brings back; a system that is deleted is kept until somebody empties the table. */
    async setDeleted(id: string, deleted: boolean): Promise<OpenSystem> {
      return sequelize.transaction(async (transaction) => {
        const row = await Systems.findOne({
          where: { id },
          lock: transaction.LOCK.UPDATE,
          transaction,
        });
        if (!row || (deleted && row.deletedAt)) throw unknown();
        await row.update({ deletedAt: deleted ? new Date() : null }, { transaction });
        await notify(id, row.sequence, transaction);
        return read(row);
      });
    },

    /**
     * Applies a change, or answers with what stands in its way. A change that was taken before (its
     * reply got lost) is not applied again.
     */
    async change(systemId: string, change: NewChange): Promise<ChangeRow> {
      return sequelize.transaction(async (transaction) => {
        const row = await locked(systemId, transaction);
        const before = await Changes.findByPk(change.id, { transaction });
        if (before) {
          if (before.systemId !== systemId) throw unknown();
          return before;
        }
        const { document } = read(row);
        const since = await changesAfter(systemId, change.base, transaction);
        // What one author did since was done knowingly: only others can be in the way.
        const touched: Operation[] = since
          .filter(({ author }) => author !== change.author)
          .flatMap(({ patch, schema }) => upgradePatch(patch, schema));
        const [path] = overlapsOf(change.patch, touched);
        if (path !== undefined) {
          const value = valueAt(document, path) as Json | undefined;
          throw new Problem('conflict', 'Nothing was changed. Choose which value stays.', {
            conflict: { path, sequence: row.sequence, ...(value !== undefined && { value }) },
          });
        }
        const result = patched(document, change.patch);
        if (!result.ok)
          throw new Problem('invalid-change', 'Nothing was changed.', {
            problems: [...result.problems],
          });
        const sequence = row.sequence + 1;
        await row.update({ document: result.document, sequence }, { transaction });
        const written = await Changes.create(
          {
            id: change.id,
            systemId,
            sequence,
            patch: [...change.patch],
            inverse: [...result.inverse],
            label: change.label,
            author: change.author,
            gesture: change.gesture,
            kind: change.kind,
            schema: SCHEMA,
          },
          { transaction },
        );
        await notify(systemId, sequence, transaction);
        return written;
      });
    },

    async changes(systemId: string, after: number, last: number): Promise<ChangeRow[]> {
      if ((await Systems.count({ where: { id: systemId, deletedAt: null } })) === 0)
        throw unknown();
      const newest = await Changes.findAll({
        where: { systemId, sequence: { [Op.gt]: after } },
        order: [['sequence', 'DESC']],
        limit: last,
      });
      return newest.reverse();
    },

    async isEmpty(): Promise<boolean> {
      return (await Systems.count()) === 0;
    },
  };
}

export type Store = ReturnType<typeof createStore>;
