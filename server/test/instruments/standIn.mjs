// A device in a process of its own that speaks the line protocol, well or badly, as its argument says.
import { createServer } from 'node:net';

const [, , manner = 'scale'] = process.argv;
let massG = 500;

const server = createServer((socket) => {
  socket.on('error', () => undefined);
  socket.setEncoding('utf8').on('data', (text) => {
    if (text.includes('tare')) massG = 0;
  });
  const say = (line) => socket.writable && socket.write(line);
  say('hello bench scale\n');
  const every = (ms, work) => {
    const timer = setInterval(work, ms);
    socket.on('close', () => clearInterval(timer));
  };
  if (manner === 'scale') every(50, () => say(`mass ${massG.toFixed(1)} steady\n`));
  if (manner === 'malformed')
    every(20, () => say(`\u0000ÿ#${'?'.repeat(300)}\nmass oops\nmass 42 steady\n`));
  if (manner === 'flood') {
    const flood = () => {
      while (socket.writable && socket.write(`mass ${Math.random().toFixed(3)}\n`.repeat(500)));
      socket.once('drain', flood);
    };
    flood();
  }
  if (manner === 'gone') setTimeout(() => socket.destroy(), 150);
});
server.listen(0, '127.0.0.1', () => process.stdout.write(`${server.address().port}\n`));
