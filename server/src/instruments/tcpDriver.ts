import { lookup } from 'node:dns/promises';
import { BlockList, connect, isIP, type Socket } from 'node:net';
import { ASKS, createLineCutter, readLine } from '@ratio/core/instruments';
import type { Driver, Hearing } from './driver.ts';

const FIRST_RETRY_MS = 1000;
const LONGEST_RETRY_MS = 30_000;
const CONNECT_MS = 5000;
/** More lines than this in a tenth of a second say nothing that the last of them does not. */
const WINDOW_MS = 100;
const LINES_A_WINDOW = 50;

/** The shop's own network and this machine: a driver opens no connection to anywhere else. */
const OWN_NETWORK = new BlockList();
for (const [net, prefix] of [
  ['10.0.0.0', 8],
  ['172.16.0.0', 12],
  ['192.168.0.0', 16],
  ['169.254.0.0', 16],
  ['127.0.0.0', 8],
] as const)
  OWN_NETWORK.addSubnet(net, prefix, 'ipv4');
OWN_NETWORK.addSubnet('fc00::', 7, 'ipv6');
OWN_NETWORK.addSubnet('fe80::', 10, 'ipv6');
OWN_NETWORK.addAddress('::1', 'ipv6');

/** @returns whether an address is of the shop's own network */
export const isOwnNetwork = (address: string): boolean =>
  OWN_NETWORK.check(address, isIP(address) === 6 ? 'ipv6' : 'ipv4');

/** A device that speaks the line protocol at an address of the shop's network; it is called again when it is gone. */
export function tcpDriver(input: { host: string; portNumber: number }, hearing: Hearing): Driver {
  let socket: Socket | null = null;
  let retryMs = FIRST_RETRY_MS;
  let again: NodeJS.Timeout | undefined;
  let isClosed = false;

  async function open(): Promise<void> {
    hearing.state('connecting', `Calling ${input.host}:${input.portNumber}.`);
    const address = await lookup(input.host).then(
      (found) => found.address,
      () => null,
    );
    if (isClosed) return;
    if (address === null) return lost(`Nothing is called ${input.host}.`);
    if (!isOwnNetwork(address))
      return lost(`${input.host} is not of this network. Instruments are called there alone.`);
    const cut = createLineCutter();
    let [windowMs, count] = [0, 0];
    const line = connect({ host: address, port: input.portNumber });
    socket = line;
    line.setEncoding('utf8').setTimeout(CONNECT_MS, () => line.destroy());
    line.once('connect', () => {
      line.setTimeout(0);
      retryMs = FIRST_RETRY_MS;
      hearing.state('speaks', '');
    });
    line.on('data', (text: unknown) => {
      const now = performance.now();
      if (now - windowMs > WINDOW_MS) [windowMs, count] = [now, 0];
      for (const one of cut(String(text)))
        if (count++ < LINES_A_WINDOW) hearing.line(readLine(one));
      if (count <= LINES_A_WINDOW) return;
      // A flood waits at its own end until there is room for more.
      line.pause();
      setTimeout(() => line.resume(), WINDOW_MS).unref();
    });
    line.once('error', () => undefined);
    line.once('close', () => {
      if (socket === line) socket = null;
      lost('It does not answer. It is called again.');
    });
  }

  function lost(detail: string): void {
    if (isClosed) return;
    hearing.state('gone', detail);
    again = setTimeout(() => void open(), retryMs);
    again.unref();
    retryMs = Math.min(2 * retryMs, LONGEST_RETRY_MS);
  }

  void open();
  return {
    act: ({ act }) => act === 'tare' && socket?.write(`${ASKS.tare}\n`) !== undefined,
    close: () => {
      isClosed = true;
      clearTimeout(again);
      socket?.destroy();
    },
  };
}
