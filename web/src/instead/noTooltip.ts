import { defineComponent } from 'vue';

/**
 * Stands in for the tip over the thumb of a slider: the value stands beside it, so that no tip is shown, and
 * 16 kB need not be fetched. What the tip is wrapped around is there all the same.
 */
export const ElTooltip = defineComponent({
  inheritAttrs: false,
  setup(_, { slots, expose }) {
    expose({ updatePopper: () => undefined });
    return () => slots['default']?.();
  },
});
