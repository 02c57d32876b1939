import { ref } from 'vue';
import type { Problem } from '@ratio/core/document';

const PATH = '/api/archive';

/** Taking an archive in: all of it or nothing, stopped at any moment. */
export function useArchive() {
  const taking = ref(false);
  const refused = ref('');
  let control: AbortController | null = null;

  async function take(file: File): Promise<void> {
    control = new AbortController();
    taking.value = true;
    refused.value = '';
    try {
      const answer = await fetch(PATH, {
        method: 'POST',
        headers: { 'Content-Type': 'application/zip' },
        body: file,
        signal: control.signal,
      });
      if (answer.ok) location.reload();
      else {
        const problem = (await answer.json().catch(() => null)) as Problem | null;
        refused.value = `${problem?.detail ?? 'It was not taken in.'} Nothing was changed.`;
      }
    } catch {
      refused.value = 'It did not get through. Nothing was changed.';
    } finally {
      taking.value = false;
    }
  }
  return { taking, refused, take, stop: () => control?.abort() };
}
