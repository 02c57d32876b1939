import {
  jugEntrySchema,
  jugSchema,
  type Jug,
  type JugEntry,
  type JugEntryRequest,
} from '@ratio/core/jug';
import { storedCoffeeMl } from '@ratio/core/matter';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { z } from 'zod';
import { ask, newId } from '../api/client.ts';
import { useStored } from '../composables/useStored.ts';

const EMPTY_G = 1;
const jugsSchema = z.array(jugSchema);
const entriesSchema = z.array(jugEntrySchema);

/** @returns what is left in a jug, mL */
export const onHandMl = ({
  onHandG,
  strengthFrac,
}: Pick<Jug, 'onHandG' | 'strengthFrac'>): number =>
  storedCoffeeMl({ massG: onHandG, strengthFrac });

/** Concentrate on hand, as the server's ledger has it, and the jug that is being poured from. */
export const useJugs = defineStore('jugs', () => {
  const jugs = shallowRef<Jug[]>([]);
  const chosenId = useStored<string | null>('ratio.jug', z.string().nullable(), null);

  async function load(): Promise<void> {
    jugs.value = await ask(jugsSchema, '/api/jugs');
  }

  async function enter(jug: Jug, request: JugEntryRequest): Promise<void> {
    await ask(jugSchema, `/api/jugs/${jug.id}/entries`, { method: 'POST', body: request });
    await load();
  }

  const onHand = computed(() => jugs.value.filter(({ onHandG }) => onHandG >= EMPTY_G));
  return {
    jugs,
    onHand,
    /** The one that was picked, or else the oldest: it should go first. */
    chosen: computed(
      () => onHand.value.find(({ id }) => id === chosenId.value) ?? onHand.value[0] ?? null,
    ),
    choose: (id: string) => (chosenId.value = id),
    load,
    pour: (input: { jug: Jug; id: string; massG: number; note: string }) =>
      enter(input.jug, { id: input.id, kind: 'poured', massG: input.massG, note: input.note }),
    enter,
    entries: (id: string): Promise<JugEntry[]> => ask(entriesSchema, `/api/jugs/${id}/entries`),
    undo: (jug: Jug, entryId: string) => enter(jug, { id: newId(), kind: 'undone', entryId }),
  };
});
