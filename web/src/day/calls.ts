import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { useStored } from '../sync/index.ts';

/** Two quiet notes, Hz, and how long each sounds, s. */
const NOTES = [660, 880];
const NOTE_S = 0.22;
const LOUDNESS = 0.08;

/** How this tablet calls somebody when something is due: each only where somebody switched it on. */
export const useCalls = defineStore('calls', () => {
  const sound = useStored('ratio.sound', false);
  const notification = useStored('ratio.notification', false);
  // Neither a secure context nor every browser is a matter of course: tablets come by plain HTTP.
  const canNotify = 'Notification' in globalThis && globalThis.isSecureContext;
  const refusal = ref('');
  let audio: AudioContext | null = null;

  function ring(): void {
    audio ??= new AudioContext();
    void audio.resume();
    for (const [i, frequency] of NOTES.entries()) {
      const from = audio.currentTime + i * NOTE_S;
      const tone = new OscillatorNode(audio, { type: 'sine', frequency });
      const gain = new GainNode(audio, { gain: 0 });
      gain.gain.setValueAtTime(0, from);
      gain.gain.linearRampToValueAtTime(LOUDNESS, from + 0.03);
      gain.gain.linearRampToValueAtTime(0, from + NOTE_S);
      tone.connect(gain).connect(audio.destination);
      tone.start(from);
      tone.stop(from + NOTE_S);
    }
  }

  return {
    sound: computed(() => sound.value),
    notification: computed(() => notification.value && canNotify),
    canNotify,
    refusal,
    /** Switched on by a touch, it sounds once: so loud it will be. */
    setSound: (on: boolean): void => {
      sound.value = on;
      if (on) ring();
    },
    setNotification: async (on: boolean): Promise<void> => {
      refusal.value = '';
      notification.value = on && (await Notification.requestPermission()) === 'granted';
      if (on && !notification.value)
        refusal.value = 'This browser does not allow it. Its settings for this page say why.';
    },
    call: (text: string): void => {
      if (sound.value) ring();
      if (notification.value && canNotify && Notification.permission === 'granted')
        new Notification('Ratio', { body: text, icon: '/mark-due.svg', tag: 'ratio-due' });
    },
  };
});
