import { madeElsewhere, roomFor, type JugEstimate, type NewJugRequest } from '@ratio/core/jug';
import { vesselTakesMl } from '@ratio/core/brew';
import { massOfStoredG, storedCoffeeMl } from '@ratio/core/matter';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useJugs } from '../events/index.ts';
import { useAmountFormat, useShop } from '../shop/index.ts';
import { newId, sentenceOf, useNotice, useStored, type Kept } from '../sync/index.ts';

const NO_VESSEL = 'none';
const NO_COFFEE = 'unknown';
const UNTITLED = 'Jug from elsewhere';

type Form = Kept['ratio.newJug'];

/** A jug that was made elsewhere, or before Ratio: what is in it, and how strong it is taken to be. */
export function useNewJug() {
  const shop = useShop();
  const jugs = useJugs();
  const notice = useNotice();
  const format = useAmountFormat();
  const router = useRouter();

  const nothing = (): Form => ({
    id: newId(),
    label: '',
    vesselId: NO_VESSEL,
    coffeeId: NO_COFFEE,
    amount: null,
    seenAs: 'volume',
    madeMs: null,
    knownBy: 'taste',
    readFrac: null,
    ratio: 5,
    hours: 18,
    place: 'fridge',
    rest: 1,
  });
  const form = useStored('ratio.newJug', nothing());
  const change = (part: Partial<Form>): void => {
    form.value = { ...form.value, ...part };
  };

  const estimate = computed<JugEstimate | undefined>(() => {
    const { knownBy, ratio, hours, place, rest } = form.value;
    if (knownBy === 'reading') return undefined;
    if (knownBy === 'taste') return { parts: { concentrate: 1, fill: rest } };
    return { ratio, hours, place, grind: shop.document?.defaults.grind ?? 'coarse' };
  });
  /** How strong it is taken to be; null while a reading is still to come. */
  const known = computed(() => {
    const { knownBy, readFrac, coffeeId } = form.value;
    const { roomC = 22, fridgeC = 4 } = shop.document ?? {};
    if (knownBy === 'reading' && readFrac === null) return null;
    return madeElsewhere({
      strengthFrac: knownBy === 'reading' ? (readFrac ?? undefined) : undefined,
      estimate: estimate.value,
      coffee: shop.coffeeOf(coffeeId),
      roomC,
      fridgeC,
    });
  });
  const densityGPerMl = computed(
    () => 1 / storedCoffeeMl({ massG: 1, strengthFrac: known.value?.strengthFrac ?? 0.03 }),
  );

  const free = computed(() =>
    shop.jugVessels.filter(({ id }) => !jugs.onHand.some(({ vesselId }) => vesselId === id)),
  );
  const volumeMl = computed(() => {
    const { amount, seenAs } = form.value;
    return amount === null || seenAs === 'volume' ? amount : amount / densityGPerMl.value;
  });
  /** Why it cannot hold so much; empty where it can. */
  const wrong = computed(() => {
    const vessel = free.value.find(({ id }) => id === form.value.vesselId);
    if (!vessel || volumeMl.value === null || !known.value) return '';
    const { strengthFrac } = known.value;
    const capacityMl = vesselTakesMl(vessel);
    const massG = massOfStoredG({ volumeMl: volumeMl.value, strengthFrac });
    return roomFor({ capacityMl, massG, strengthFrac }).fits
      ? ''
      : `${vessel.name} takes ${format.value.volume(capacityMl)}.`;
  });

  const saving = ref(false);
  async function add(): Promise<void> {
    const { id, label, vesselId, coffeeId, amount, seenAs, madeMs, readFrac, knownBy } = form.value;
    if (amount === null || saving.value) return;
    const vessel = free.value.find((one) => one.id === vesselId);
    const request: NewJugRequest = {
      id,
      label: label.trim() || (vessel?.name ?? UNTITLED),
      ...(vessel ? { vesselId } : {}),
      ...(coffeeId === NO_COFFEE ? {} : { coffeeId }),
      ...(seenAs === 'mass' ? { onHandG: amount } : { onHandMl: amount }),
      madeAt: new Date(madeMs ?? shop.now.getTime()).toISOString(),
      ...(knownBy === 'reading' ? { strengthFrac: readFrac! } : { estimate: estimate.value! }),
    };
    saving.value = true;
    try {
      await jugs.add(request);
      jugs.choose(id);
      form.value = nothing();
      notice.say({ tone: 'done', text: `${request.label} is on hand.` });
      await router.push('/jugs');
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
      // Entered anew it is another one.
      change({ id: newId() });
    } finally {
      saving.value = false;
    }
  }

  return {
    form,
    change,
    known,
    free,
    volumeMl,
    densityGPerMl,
    wrong,
    saving,
    add,
    shop,
    format,
    NO_VESSEL,
    NO_COFFEE,
    UNTITLED,
  };
}
