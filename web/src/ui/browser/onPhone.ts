import { useMediaQuery } from '@vueuse/core';
import type { Ref } from 'vue';

/** @returns whether the window is as narrow as a phone, by the limit of the styles */
export const onPhone = (): Readonly<Ref<boolean>> => useMediaQuery('(max-width: 640px)');
