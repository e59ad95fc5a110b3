import { describe, expect, test } from '@jest/globals';
import { ConnectionError } from 'sequelize';
import { databaseProblem } from './problems.ts';

const failed = (code: string) =>
  Object.assign(new Error('said'), { original: { code, message: 'said' } });

describe('what the database says of itself', () => {
  // PostgreSQL’s manual, appendix A: class 08 connection, 57P operator intervention, 53 resources, 22 data.
  test.each([
    ['57P01', 'database-away'],
    ['57P03', 'database-away'],
    ['08006', 'database-away'],
    ['53300', 'database-away'],
    ['ECONNREFUSED', 'database-away'],
    ['EPIPE', 'database-away'],
    ['53100', 'storage-full'],
    ['ENOSPC', 'storage-full'],
    ['22P05', 'invalid-input'],
    ['22021', 'invalid-input'],
  ])('%s is %s', (code, kind) => {
    expect(databaseProblem(failed(code))?.kind).toBe(kind);
  });

  test('no connection at all is a database that is away', () => {
    expect(databaseProblem(new ConnectionError(new Error('refused')))?.kind).toBe('database-away');
  });

  test('a fault of ours is nothing of the kind', () => {
    expect(databaseProblem(failed('42601'))).toBeUndefined();
    expect(databaseProblem(new TypeError('x is not a function'))).toBeUndefined();
  });
});
