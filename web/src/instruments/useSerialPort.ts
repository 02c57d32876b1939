import { createLineCutter } from '@ratio/core/instruments';
import { onScopeDispose, ref } from 'vue';
import { useInstruments } from './instruments.ts';

/** The little of Web Serial that is used here; not every browser has it, and none over plain HTTP. */
interface Port {
  readonly readable: ReadableStream<Uint8Array> | null;
  readonly open: (options: { baudRate: number }) => Promise<void>;
  readonly close: () => Promise<void>;
}
interface Serial {
  readonly requestPort: () => Promise<Port>;
}

const PUSH_EVERY_MS = 200;
const MOST_LINES = 100;

/** Reads an instrument at this tablet's serial port, and sends on what it says. */
export function useSerialPort() {
  const instruments = useInstruments();
  const serial = (navigator as Navigator & { serial?: Serial }).serial;
  const openFor = ref<string | null>(null);
  const failure = ref('');
  let stop = (): void => undefined;

  async function open(id: string, baudRate: number): Promise<void> {
    if (!serial) return;
    failure.value = '';
    try {
      const port = await serial.requestPort();
      await port.open({ baudRate });
      const reader = port.readable!.getReader();
      const decoder = new TextDecoder();
      const cut = createLineCutter();
      let waiting: string[] = [];
      const pushing = setInterval(() => {
        const lines = waiting.slice(-MOST_LINES);
        waiting = [];
        if (lines.length > 0) void instruments.push(id, lines).catch(() => undefined);
      }, PUSH_EVERY_MS);
      openFor.value = id;
      stop = () => void reader.cancel();
      for (;;) {
        const { value, done } = await reader.read();
        if (done) break;
        waiting.push(...cut(decoder.decode(value, { stream: true })));
      }
      clearInterval(pushing);
      reader.releaseLock();
      await port.close();
    } catch (error) {
      failure.value = error instanceof Error ? error.message : String(error);
    } finally {
      openFor.value = null;
    }
  }
  onScopeDispose(() => stop());
  return { hasSerial: serial !== undefined, openFor, failure, open, close: () => stop() };
}
