import { Buffer } from 'node:buffer';

// For a test of the limits: takes memory outside the heap for as long as it gets any.
const taken = [];
process.on('message', () => {
  for (;;) taken.push(Buffer.alloc(20_000_000, 1));
});
