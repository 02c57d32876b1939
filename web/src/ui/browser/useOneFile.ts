import { useFileDialog } from '@vueuse/core';

/**
 * Asks for a file; the same one again, once it was repaired, is a choice too.
 *
 * @param accept as of an input of files
 * @returns opens the dialog
 */
export function useOneFile(accept: string, take: (file: File) => void): () => void {
  const { open, onChange } = useFileDialog({ accept, multiple: false, reset: true });
  onChange((files) => {
    const file = files?.[0];
    if (file) take(file);
  });
  return () => open();
}
