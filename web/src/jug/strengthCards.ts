import { waterDensityGPerMl } from '@ratio/core/matter';
import type { Ref } from 'vue';
import { MOST_G, type CardOf } from './jugCard.ts';
import type { JugBench } from './useJugBench.ts';
import {
  STRENGTH,
  amountRow,
  jugOption,
  massKind,
  pickRow,
  pouredKind,
  type AmountFormat,
} from '../format/index.ts';

const WATER_G_PER_ML = waterDensityGPerMl(4);

/** What changes how strong a jug is, or what is known of it: each a balance before it is done. */
export const strengthCards = (bench: JugBench, amounts: Readonly<Ref<AmountFormat>>) => {
  const { other, menus, volumeText } = bench;
  return {
    read: ({ label, strengthFrac }) => {
      const { percent } = amounts.value;
      const readFrac = bench.readFrac.value;
      return {
        title: 'Read it',
        reason:
          'Black coffee, stirred, at room temperature. A refractometer counts milk and sugar too.',
        rows: [
          amountRow({
            label: 'Refractometer',
            name: 'Reading of the jug',
            placeholder: percent(strengthFrac),
            value: readFrac,
            kind: STRENGTH,
            change: (frac) => (bench.readFrac.value = frac),
          }),
        ],
        worked:
          readFrac === null
            ? `Now ${percent(strengthFrac)}.`
            : `${percent(strengthFrac)} → ${percent(readFrac)}, caffeine with it`,
        menu: menus.read.value,
        action: readFrac === null ? 'Say what was read' : 'Note this reading',
        disabled: readFrac === null,
        act: () =>
          void bench.enter(
            { kind: 'read', strengthFrac: readFrac!, note: '' },
            `${label}: read ${percent(readFrac!)}.`,
          ),
      };
    },
    thin: ({ label, strengthFrac, onHandG }) => {
      const { mass, percent } = amounts.value;
      const [balance, wantedFrac] = [bench.thin.value, bench.thinFrac.value];
      return {
        title: 'Bring it down to a strength',
        reason: 'Water, cold and filtered: the solids stay, so m (c / c* − 1).',
        rows: [
          amountRow({
            label: 'Strength wanted',
            name: 'Strength wanted in the jug',
            value: wantedFrac,
            kind: STRENGTH,
            change: (frac) => (bench.thinFrac.value = frac),
          }),
        ],
        balance,
        worked: `${mass(onHandG)} (${percent(strengthFrac)} / ${percent(wantedFrac)} − 1) = ${mass(balance.addG)} of water, ${volumeText(balance.afterG, balance.afterFrac)} in all`,
        menu: menus.thin.value,
        action: `Add ${mass(balance.addG)} of water`,
        act: () =>
          void bench.enter(
            { kind: 'watered', massG: balance.addG, note: `down to ${percent(wantedFrac)}` },
            `${label}: ${mass(balance.addG)} of water added.`,
          ),
      };
    },
    blend: ({ label, strengthFrac, onHandG }) => {
      const { mass, percent } = amounts.value;
      const [balance, wantedFrac, from] = [bench.blend.value, bench.blendFrac.value, other.value];
      if (!from || !balance) return null;
      return {
        title: 'Blend it with another jug',
        reason:
          'Up or down, between the two: m (c* − c) / (c₂ − c*). The older one’s date then holds for both.',
        rows: [
          pickRow({
            label: 'With',
            name: 'Blend with',
            value: from.id,
            options: bench.others.value.map((one) =>
              jugOption(one, volumeText(one.onHandG, one.strengthFrac), amounts.value),
            ),
            change: bench.chooseOther,
          }),
          amountRow({
            label: 'To a strength of',
            name: 'Strength of the blend',
            value: wantedFrac,
            kind: STRENGTH,
            change: (frac) => (bench.blendFrac.value = frac),
          }),
        ],
        balance,
        worked: `${mass(onHandG)} (${percent(wantedFrac)} − ${percent(strengthFrac)}) / (${percent(from.strengthFrac)} − ${percent(wantedFrac)}) = ${mass(balance.addG)} of ${from.label}, ${volumeText(balance.afterG, balance.afterFrac)} in all`,
        menu: menus.blend.value,
        action: `Add ${mass(balance.addG)} of ${from.label}`,
        act: () =>
          void bench.enter(
            {
              kind: 'blended',
              fromJugId: from.id,
              massG: balance.addG,
              note: `${from.label} into ${label}`,
            },
            `${mass(balance.addG)} of ${from.label} into ${label}.`,
          ),
      };
    },
    stretch: ({ label, strengthFrac, onHandG }) => {
      const { mass, percent } = amounts.value;
      const [balance, toG] = [bench.stretch.value, bench.stretchG.value];
      return {
        title: 'Stretch it for a rush',
        reason:
          'Water to an amount. Drinks poured by hand come out weaker; those to a strength take more of it.',
        rows: [
          amountRow({
            label: 'To',
            name: 'Amount wanted in the jug',
            value: toG,
            kind: massKind(amounts.value, { step: 50, min: 1, max: MOST_G }),
            change: (massG) => (bench.stretchG.value = massG),
          }),
        ],
        balance,
        worked: `${mass(onHandG)} · ${percent(strengthFrac)} / ${mass(toG)} = ${percent(balance.afterFrac)}, with ${mass(balance.addG)} of water`,
        menu: menus.stretch.value,
        action: `Add ${mass(balance.addG)} of water`,
        act: () =>
          void bench.enter(
            { kind: 'watered', massG: balance.addG, note: `stretched to ${mass(toG)}` },
            `${label}: stretched to ${mass(toG)}.`,
          ),
      };
    },
    water: ({ label, strengthFrac, onHandG }) => {
      const { mass, percent, volume, pouredOrWeighed } = amounts.value;
      const [balance, waterG] = [bench.water.value, bench.waterG.value];
      return {
        title: 'I add water',
        reason: 'As it was seen, by volume or by mass.',
        rows: [
          amountRow({
            label: `Water, ${pouredOrWeighed}`,
            name: 'Water added',
            placeholder: volume(250),
            value: waterG === null ? null : waterG / WATER_G_PER_ML,
            kind: pouredKind(amounts.value, {
              step: 10,
              min: 1,
              max: MOST_G,
              gPerMl: WATER_G_PER_ML,
            }),
            change: (volumeMl) => (bench.waterG.value = volumeMl * WATER_G_PER_ML),
          }),
        ],
        balance,
        worked:
          waterG === null
            ? 'Say how much.'
            : `${mass(onHandG)} · ${percent(strengthFrac)} / ${mass(balance.afterG)} = ${percent(balance.afterFrac)}, ${volumeText(balance.afterG, balance.afterFrac)} in all`,
        menu: menus.water.value,
        action: waterG === null ? 'Say how much water' : `${mass(waterG)} of water are in`,
        act: () =>
          void bench.enter(
            { kind: 'watered', massG: waterG!, note: '' },
            `${label}: ${mass(waterG!)} of water added.`,
          ),
      };
    },
  } satisfies Record<string, CardOf>;
};
