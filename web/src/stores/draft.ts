import {
  CONSTANTS,
  setTiedAmount,
  togglePin,
  type Plan,
  type TiedAmounts,
  type TiedKey,
} from '@ratio/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { newId } from '../api/client.ts';
import { useStored } from './useStored.ts';

/** A plan before it is started: its choices, and which of the tied amounts are held. */
export interface Draft extends Omit<Plan, 'doseG' | 'waterG'> {
  readonly id: string;
  readonly amounts: TiedAmounts;
}

const freshDraft = (): Draft => ({
  id: newId(),
  coffeeId: '',
  vesselId: '',
  grind: 'coarse',
  amounts: { doseG: 850, waterG: 4250, ratio: 5, held: ['ratio', 'doseG'], pinned: null },
  waterC: 12,
  wetting: 'stages',
  steep: [{ place: 'fridge', tempC: CONSTANTS.brewVolumeTempC.value, hours: 18 }],
  separation: { method: 'drain', rinseG: 0 },
});

/** The draft on the planning bench; this browser keeps it through a reload. */
export const useDraft = defineStore('draft', () => {
  const draft = useStored<Draft>('ratio.draft', freshDraft());
  const change = (part: Partial<Draft>): void => {
    draft.value = { ...draft.value, ...part };
  };
  return {
    draft,
    plan: computed<Plan>(() => {
      const { id: _, amounts, ...choices } = draft.value;
      return { ...choices, doseG: amounts.doseG, waterG: amounts.waterG };
    }),
    change,
    setAmount: (key: TiedKey, value: number) =>
      change({ amounts: setTiedAmount({ amounts: draft.value.amounts, key, value }) }),
    pin: (key: TiedKey) => change({ amounts: togglePin(draft.value.amounts, key) }),
    /** The same plan under a new identity, once this one is started. */
    renew: () => change({ id: newId() }),
    restart: (defaults: Partial<Draft>) => {
      draft.value = { ...freshDraft(), ...defaults };
    },
  };
});
