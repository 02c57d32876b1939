// Loaded into a server under test: says when it ends how much of the processor's time one turn of its
// event loop took at most. Time on the wall would count what other programs take.
let before = process.cpuUsage();
let most = 0;
const measure = setInterval(() => {
  const { user, system } = process.cpuUsage(before);
  most = Math.max(most, (user + system) / 1000);
  before = process.cpuUsage();
}, 5);
measure.unref();
// What the start itself takes is not meant.
setTimeout(() => (most = 0), 3000).unref();
process.on('exit', () => console.log(`event loop: ${most.toFixed(0)} ms in its longest turn`));
