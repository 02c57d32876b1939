import type { Batch, BatchActual } from '@ratio/core/batch';
import { countedActuals } from '@ratio/core/batch';
import { vesselTakesMl } from '@ratio/core/brew';
import { massOfStoredG } from '@ratio/core/matter';
import { computed, watch, type Ref } from 'vue';
import { newId } from '../../api/client.ts';
import { OTHER_JUG, type Fill } from './fills.ts';
import { useShop } from '../../stores/shop.ts';
import { useStrain } from './useStrain.ts';

/** Filling the jugs with what came out, by what the steps before it noted. */
export function useFilling(of: {
  batch: Readonly<Ref<Batch>>;
  actuals: Readonly<Ref<readonly BatchActual[]>>;
  isOn: () => boolean;
}) {
  const { batch, actuals, isOn } = of;
  const shelf = useShop();
  const strain = useStrain(batch);

  /** Jugs that take what came out, the largest first. */
  function fillsOf(massG: number, strengthFrac: number): Fill[] {
    const fills: Fill[] = [];
    let leftG = massG;
    const jugs = strain.free.value.toSorted((a, b) => vesselTakesMl(b) - vesselTakesMl(a));
    for (const jug of jugs) {
      if (leftG < 1) break;
      const takesG = massOfStoredG({ volumeMl: vesselTakesMl(jug), strengthFrac });
      const amount = Math.min(leftG, takesG);
      fills.push({ jugId: newId(), vesselId: jug.id, amount, seenAs: 'mass' });
      leftG -= amount;
    }
    if (leftG >= 1)
      fills.push({ jugId: newId(), vesselId: OTHER_JUG, amount: leftG, seenAs: 'mass' });
    return fills;
  }

  watch(
    isOn,
    (on) => {
      if (!on) return;
      const counted = countedActuals(actuals.value);
      const of = (step: string) => counted.find((row) => row.step === step);
      const [drawn, out, read] = [of('strain'), of('weigh-out'), of('read')];
      const strengthFrac = read?.strengthFrac ?? strain.predicted.value.strengthFrac;
      strain.change({
        ...(out?.massG ? { fills: fillsOf(out.massG, strengthFrac) } : {}),
        strengthFrac: read?.strengthFrac ?? null,
        strainedMs: drawn ? Date.parse(drawn.at) : null,
      });
    },
    { immediate: true },
  );

  const untold = computed(() =>
    strain.entered.value.fills.some(({ amount }) => amount === null || amount <= 0),
  );
  return {
    change: strain.change,
    setFill: strain.setFill,
    addFill: strain.addFill,
    dropFill: strain.dropFill,
    form: computed(() => {
      const { doseG, waterG, filtration } = batch.value.plan;
      return {
        ...strain.entered.value,
        startedAt: batch.value.startedAt,
        now: shelf.now,
        zone: shelf.zone,
        free: strain.free.value,
        predicted: strain.predicted.value,
        timingText: strain.timingText.value,
        farOff: strain.timing.value.isFarOff,
        wrongOf: strain.wrongOf,
        mostG: doseG + waterG + filtration.rinseG,
        wholeMl: strain.wholeMl.value,
        densityGPerMl: strain.densityGPerMl.value,
        busy: strain.doing.value,
        due: true,
      };
    }),
    button: computed(() => {
      if (batch.value.version === 0)
        return { text: 'Wait for the server: its start is not there yet', isOff: true };
      if (untold.value) return { text: 'Say what came out', isOff: true };
      const names = strain.entered.value.fills.map(
        ({ vesselId }) => shelf.vessels.find(({ id }) => id === vesselId)?.name ?? 'another jug',
      );
      const whole = strain.format.value.volume(strain.wholeMl.value);
      return { text: `Fill ${names.join(' and ')}: ${whole}`, isOff: strain.doing.value };
    }),
    fill: async (): Promise<void> => void (await strain.strain()),
  };
}
