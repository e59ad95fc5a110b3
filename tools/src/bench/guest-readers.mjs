// Guests of a link in a thread of their own: each follows every change and reads the system anew, as a window does.
import http from 'node:http';
import { parentPort, workerData } from 'node:worker_threads';

const { url, guests } = workerData;
const agent = new http.Agent({ keepAlive: true, maxSockets: Infinity });
let reads = 0;

const read = () =>
  http
    .get(url, { agent, headers: { 'accept-encoding': 'br' } }, (answer) => {
      answer.on('end', () => (reads += 1));
      answer.resume();
    })
    .on('error', () => undefined);

for (let guest = 0; guest < guests; guest += 1)
  http
    .get(`${url}/events`, (stream) => {
      stream.setEncoding('utf8');
      stream.on('data', (event) => {
        if (!event.includes('changed')) return;
        const spread = Number(/"spreadMs":(\d+)/.exec(event)?.[1] ?? 0);
        setTimeout(read, Math.random() * spread);
      });
      stream.on('error', () => undefined);
    })
    .on('error', () => undefined);

parentPort.on('message', () => {
  parentPort.postMessage(reads);
  reads = 0;
});
