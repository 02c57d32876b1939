import { defineStore } from 'pinia';
import { ref } from 'vue';

/** Whether pages show answers of the server, or the last ones that this tablet stored. */
export const useConnection = defineStore('connection', () => {
  /** Whether the last read got no answer. */
  const away = ref(false);
  return { away };
});
