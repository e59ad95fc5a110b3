import { createServer, type Server } from 'node:net';
import { afterEach, describe, expect, test } from '@jest/globals';
import { diskProblem, nodeProblem } from '../prepare.mjs';
import { installProblem } from './packages.ts';
import { freePort } from './ports.ts';

describe('what cannot be done is said with what to do', () => {
  test.each(['18.20.0', '20.18.3', '16.0.0'])('Node %s is too old', (version) => {
    expect(nodeProblem(version)).toContain('nvm install 20');
  });

  test.each(['20.19.0', '20.20.2', '22.12.0', '24.0.0'])('Node %s is new enough', (version) => {
    expect(nodeProblem(version)).toBeUndefined();
  });

  test('a full disk', () => {
    expect(diskProblem(120, '/srv/garnish')).toContain('df -h /srv/garnish');
    expect(diskProblem(90_000, '/srv/garnish')).toBeUndefined();
  });

  test('no rights to install: the whole command is there to be copied', () => {
    const machine = { hasApt: true, isRoot: false };
    expect(installProblem('PostgreSQL', ['postgresql'], machine)).toContain(
      'sudo apt-get install -y --no-install-recommends postgresql',
    );
    expect(
      installProblem('PostgreSQL', ['postgresql'], { ...machine, isRoot: true }),
    ).toBeUndefined();
  });

  test('a system without Debian’s packages', () => {
    expect(installProblem('Chromium', ['chromium'], { hasApt: false, isRoot: true })).toContain(
      'not a Debian system',
    );
  });
});

describe('a taken port', () => {
  let taken: Server | undefined;
  afterEach(() => {
    taken?.close();
  });

  test('is passed over for the next free one', async () => {
    const first = await freePort(46_000);
    taken = createServer();
    await new Promise<void>((resolve) => taken?.listen(first, '127.0.0.1', resolve));
    expect(await freePort(first)).toBeGreaterThan(first);
  });
});
