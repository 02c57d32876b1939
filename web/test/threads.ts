import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { expose, type Endpoint } from 'comlink';
import { createMenuCounter } from '../src/drink/menuCounter.ts';

/** A worker for tests: the menu's counts beside the test as it would beside a page; any other never answers. */
export class Thread {
  readonly #port: MessagePort;

  constructor(address: URL) {
    const { port1, port2 } = new MessageChannel();
    if (address.pathname.endsWith('menu.worker.ts'))
      expose(createMenuCounter(), port2 as unknown as Endpoint);
    this.#port = port1;
    this.#port.start();
    for (const port of [port1, port2]) port.unref();
  }
  postMessage(...message: Parameters<MessagePort['postMessage']>): void {
    this.#port.postMessage(...message);
  }
  addEventListener(type: string, listener: () => void): void {
    (this.#port as unknown as EventTarget).addEventListener(type, listener);
    this.#port.unref();
  }
  removeEventListener(type: string, listener: () => void): void {
    (this.#port as unknown as EventTarget).removeEventListener(type, listener);
  }
  terminate(): void {
    this.#port.close();
  }
}

/** Waits until something is so. */
export async function until(isSo: () => boolean): Promise<void> {
  while (!isSo()) await new Promise((resolve) => setTimeout(resolve, 2));
}
