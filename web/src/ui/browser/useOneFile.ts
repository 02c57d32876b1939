import { useFileDialog } from '@vueuse/core';

/**
 * Asks for a file. The same file can be chosen again, for example after it was corrected.
 *
 * @param accept as of an input of files
 * @returns a function that opens the dialog
 */
export function useOneFile(accept: string, take: (file: File) => void): () => void {
  const { open, onChange } = useFileDialog({ accept, multiple: false, reset: true });
  onChange((files) => {
    const file = files?.[0];
    if (file) take(file);
  });
  return () => open();
}
