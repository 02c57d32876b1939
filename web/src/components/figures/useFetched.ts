import { ref, type Ref } from 'vue';
import { nextPicture } from '../../composables/nextPicture.ts';
import { fetchedPart } from './fetchedPart.ts';

/**
 * A part of a page that is fetched by itself once the page is seen to stand: what is above it does not wait
 * for it.
 *
 * @returns the part, and whether it is here or cannot be had: what stands below it waits for that, so
 * that nothing moves when it comes
 */
export function useFetched<T>(fetchIt: () => Promise<{ default: T }>): {
  part: T;
  isHere: Readonly<Ref<boolean>>;
} {
  const isHere = ref(false);
  const say = (): void => void (isHere.value = true);
  void nextPicture().then(fetchIt).then(say, say);
  return { part: fetchedPart(fetchIt), isHere };
}
