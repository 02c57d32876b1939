import { defineStore } from 'pinia';
import { ref } from 'vue';

/** Whether what pages show is the server's, or what this tablet saw last. */
export const useConnection = defineStore('connection', () => {
  /** The server did not answer when something was read last. */
  const away = ref(false);
  return { away };
});
