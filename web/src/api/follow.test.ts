/** @jest-environment jsdom */
import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { follow } from './follow.ts';

const opened: Told[] = [];

/** A stream that says what it is made to say. */
class Told extends EventTarget {
  isClosed = false;
  constructor() {
    super();
    opened.push(this);
  }
  close(): void {
    this.isClosed = true;
  }
  tell(name: string, data = ''): void {
    this.dispatchEvent(new MessageEvent(name, { data }));
  }
}

const last = (): Told => {
  const one = opened.at(-1);
  if (!one) throw new Error('nothing was opened');
  return one;
};

describe('a stream that is followed', () => {
  const said: string[] = [];
  let leave: () => void;
  beforeEach(() => {
    jest.useFakeTimers();
    Object.assign(globalThis, { EventSource: Told });
    opened.length = 0;
    said.length = 0;
    leave = follow('/events', {
      on: { message: (data) => said.push(data), gone: () => leave() },
      onLost: () => said.push('lost'),
      onFound: () => said.push('found'),
      onAgain: () => said.push('again'),
    });
  });
  afterEach(() => {
    leave();
    jest.useRealTimers();
  });

  it('tells what it hears, by name', () => {
    last().tell('open');
    last().tell('message', 'one');
    last().tell('another', 'two');
    expect(said).toEqual(['found', 'one']);
  });

  it('is tried again after it ended, until somebody answers', () => {
    const first = last();
    first.tell('error');
    expect(first.isClosed).toBe(true);
    expect(said).toEqual(['lost']);
    jest.advanceTimersByTime(3000);
    expect(opened).toHaveLength(2);
    last().tell('error');
    jest.advanceTimersByTime(3000);
    expect(opened).toHaveLength(3);
    last().tell('open');
    expect(said).toEqual(['lost', 'again', 'lost', 'again', 'found']);
    // What the first one still says is of no interest.
    first.tell('message', 'late');
    first.tell('error');
    expect(said).toHaveLength(5);
    expect(last().isClosed).toBe(false);
  });

  it('is lost as soon as the browser is offline, and found as soon as it is online', () => {
    last().tell('open');
    globalThis.dispatchEvent(new Event('offline'));
    expect(said).toEqual(['found', 'lost']);
    globalThis.dispatchEvent(new Event('online'));
    expect(opened).toHaveLength(2);
    jest.advanceTimersByTime(10_000);
    expect(opened).toHaveLength(2);
  });

  it('is lost when it is silent for longer than a server ever is', () => {
    last().tell('open');
    for (let beat = 0; beat < 5; beat += 1) {
      jest.advanceTimersByTime(20_000);
      last().tell('beat');
    }
    expect(said).toEqual(['found']);
    jest.advanceTimersByTime(50_000);
    expect(said).toEqual(['found', 'lost']);
  });

  it('is left for good', () => {
    last().tell('gone');
    expect(last().isClosed).toBe(true);
    globalThis.dispatchEvent(new Event('online'));
    jest.advanceTimersByTime(100_000);
    expect(opened).toHaveLength(1);
    expect(said).toEqual([]);
  });
});
