import { useMediaQuery } from '@vueuse/core';
import type { Ref } from 'vue';

/** @returns whether the window is a phone's, as the styles have it */
export const onPhone = (): Readonly<Ref<boolean>> => useMediaQuery('(max-width: 640px)');
