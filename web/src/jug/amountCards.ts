import type { Expected } from '@ratio/core/units';
import type { Ref } from 'vue';
import { MOST_G, type CardOf } from './jugCard.ts';
import type { JugBench } from './useJugBench.ts';
import { amountRow, pouredKind, textRow, type AmountFormat } from '../format/index.ts';

/** What leaves a jug, and what is counted in it. */
export const amountCards = (bench: JugBench, amounts: Readonly<Ref<AmountFormat>>) => {
  const { volumeText, gPerMl, tareG } = bench;
  /** On the scale the jug is weighed too, where its own mass is known. */
  function setCounted(volumeMl: number, quantity: Expected): void {
    const seenG = volumeMl * gPerMl.value;
    bench.countedG.value = quantity === 'mass' ? Math.max(0, seenG - (tareG.value ?? 0)) : seenG;
  }
  const poured = (input: { min: number; max: number; limitText?: string }) =>
    pouredKind(amounts.value, { step: 10, gPerMl: gPerMl.value, ...input });

  return {
    draw: ({ label, strengthFrac, onHandG }) => {
      const { mass, volume, pouredOrWeighed } = amounts.value;
      const drawnG = bench.drawnG.value;
      const volumeOf = (massG: number): string => volumeText(massG, strengthFrac);
      return {
        title: 'Draw off',
        reason: 'What was poured by hand, as it was seen.',
        rows: [
          amountRow({
            label: `How much, ${pouredOrWeighed}`,
            name: 'How much is drawn off',
            placeholder: volume(480),
            value: drawnG === null ? null : drawnG / gPerMl.value,
            kind: poured({
              min: 1,
              max: onHandG / gPerMl.value,
              limitText: `No more than the ${volumeOf(onHandG)} that are in it.`,
            }),
            change: (volumeMl) => (bench.drawnG.value = volumeMl * gPerMl.value),
          }),
          textRow({
            label: 'For',
            name: 'What it is drawn off for',
            live: true,
            placeholder: 'staff, a tasting',
            value: bench.drawnFor.value,
            change: (text) => (bench.drawnFor.value = text),
          }),
        ],
        worked:
          drawnG === null
            ? `${mass(onHandG)} are in it.`
            : `${mass(onHandG)} − ${mass(drawnG)} = ${mass(onHandG - drawnG)} left, ${volumeOf(onHandG - drawnG)}`,
        action: drawnG === null ? 'Say how much' : `Draw off ${volumeOf(drawnG)}`,
        disabled: drawnG === null,
        act: () =>
          void bench.enter(
            { kind: 'poured', massG: drawnG!, note: bench.drawnFor.value },
            `${label}: ${volumeOf(drawnG!)} drawn off.`,
          ),
      };
    },
    count: ({ label, strengthFrac, onHandG }) => {
      const { mass, pouredOrWeighed } = amounts.value;
      const countedG = bench.countedG.value;
      const volumeOf = (massG: number): string => volumeText(massG, strengthFrac);
      return {
        title: 'Count what it holds',
        reason:
          tareG.value === null
            ? 'By its marks, or on the scale without the jug.'
            : `By its marks; or on the scale, jug and all: its ${mass(tareG.value)} are taken off.`,
        rows: [
          amountRow({
            label: `It holds, ${pouredOrWeighed}`,
            name: 'Counted in the jug',
            placeholder: volumeOf(onHandG),
            value: countedG === null ? null : countedG / gPerMl.value,
            kind: poured({ min: 0, max: MOST_G }),
            change: setCounted,
          }),
        ],
        worked:
          countedG === null
            ? `By the ledger: ${mass(onHandG)}, ${volumeOf(onHandG)}.`
            : `${mass(onHandG)} by the ledger, ${mass(countedG)} by the count: ${mass(Math.abs(countedG - onHandG))} ${countedG < onHandG ? 'are missing' : 'more'}.`,
        action: countedG === null ? 'Say what it holds' : `It holds ${volumeOf(countedG)}`,
        disabled: countedG === null,
        act: () =>
          void bench.enter(
            { kind: 'counted', massG: countedG!, note: '' },
            `${label}: ${volumeOf(countedG!)} counted.`,
          ),
      };
    },
    discard: ({ label, strengthFrac, onHandG, pricePerKg }) => {
      const { mass, money, pouredOrWeighed } = amounts.value;
      const [discardG, reason] = [bench.discardG.value, bench.discardReason.value];
      const massG = discardG ?? onHandG;
      return {
        title: 'Discard',
        reason: 'What is thrown away stays in the log, with the reason and what it had cost.',
        rows: [
          amountRow({
            label: `How much, ${pouredOrWeighed}`,
            name: 'How much is discarded',
            placeholder: 'all of it',
            value: discardG === null ? null : discardG / gPerMl.value,
            kind: poured({ min: 1, max: onHandG / gPerMl.value }),
            change: (volumeMl) => (bench.discardG.value = volumeMl * gPerMl.value),
          }),
          textRow({
            label: 'Because',
            name: 'Why it is discarded',
            live: true,
            placeholder: 'past its date',
            value: reason,
            change: (text) => (bench.discardReason.value = text),
          }),
        ],
        worked:
          pricePerKg === null
            ? `${mass(massG)} go.`
            : `${mass(massG)} go: ${money((massG / 1000) * pricePerKg)} of coffee.`,
        action: reason === '' ? 'Say why' : `Discard ${volumeText(massG, strengthFrac)}`,
        disabled: reason === '',
        act: () =>
          void bench.enter(
            { kind: 'discarded', massG, reason },
            `${label}: ${mass(massG)} discarded.`,
          ),
      };
    },
  } satisfies Record<string, CardOf>;
};
