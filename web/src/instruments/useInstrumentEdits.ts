import type { Instrument, InstrumentKind } from '@ratio/core/instruments';
import { useInstruments } from './instruments.ts';
import { newId, useEdits, useSaving } from '../sync/index.ts';

const NAMES: Readonly<Record<InstrumentKind, string>> = {
  scale: 'New scale',
  refractometer: 'New refractometer',
  probe: 'New probe',
};

/** Changes of the instruments, each saved as it is made. */
export function useInstrumentEdits() {
  const instruments = useInstruments();
  const { load, save, remove } = instruments.documents;
  const edits = useEdits<Instrument>({ load, save }, (id) =>
    instruments.all.find((one) => one.id === id),
  );
  const saving = useSaving(load);
  return {
    change: edits.change,
    /** A new one is a stand-in until it is said what speaks for it; @returns its identity */
    async add(kind: InstrumentKind): Promise<string> {
      const id = newId();
      await edits.add({
        id,
        version: 0,
        name: NAMES[kind],
        kind,
        driver: { by: 'simulated', seed: 1 },
        place: kind === 'probe' ? 'fridge' : null,
        batchId: null,
        calibration: null,
      });
      return id;
    },
    takeAway: (instrument: Instrument) =>
      saving({
        does: async () => {
          await remove(instrument);
          return {
            text: `${instrument.name} is taken away.`,
            undo: () => save({ ...instrument, version: 0 }),
          };
        },
      }),
  };
}
