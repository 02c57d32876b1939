<script setup lang="ts">
import type { ShopUnits } from '@ratio/core/units';
import { ElButton } from 'element-plus';
import { RouterLink, useRoute } from 'vue-router';
import KeysIcon from '~icons/lucide/keyboard';
import NightIcon from '~icons/lucide/moon';
import FindIcon from '~icons/lucide/search';
import DayIcon from '~icons/lucide/sun';

/** One station of the line, and what stands there now. */
interface Station {
  readonly to: string;
  readonly name: string;
  readonly text: string;
  readonly due: boolean;
}

/** The stations in the order in which coffee moves, with what stands at each now. */
defineProps<{
  stations: readonly Station[];
  units: ShopUnits;
  /** How many things need a hand by now. */
  due: number;
  /** Who has signed in; empty for nobody. */
  who: string;
  night: boolean;
  /** Whether the shelf is theirs. */
  shelf: boolean;
}>();
const emit = defineEmits<{ help: []; find: []; theme: []; units: [] }>();
const UNITS: Readonly<Record<ShopUnits, string>> = { metric: 'g · mL', us: 'oz · fl oz' };
const route = useRoute();
</script>

<template>
  <header class="line no-print">
    <RouterLink
      to="/bench"
      class="mark"
      :class="{ here: route.path.startsWith('/bench') }"
      :aria-label="due > 0 ? `Ratio, the day: ${due} due` : 'Ratio, the day'"
    >
      <svg viewBox="0 0 16 32" aria-hidden="true">
        <circle cx="8" cy="5" r="4" />
        <circle cx="8" cy="23" r="7.5" />
      </svg>
      <span>Ratio</span>
      <b v-if="due > 0" class="count figures" aria-hidden="true">{{ due }}</b>
    </RouterLink>
    <nav aria-label="Stations">
      <RouterLink
        v-for="station in stations"
        :key="station.to"
        :to="station.to"
        class="station"
        :class="{ here: route.path.startsWith(station.to) }"
      >
        <strong>{{ station.name }}</strong>
        <span :class="station.due ? 'due' : 'soft'">{{ station.text }}</span>
      </RouterLink>
    </nav>
    <div class="end">
      <RouterLink to="/log" class="quiet">Log</RouterLink>
      <RouterLink v-if="shelf" to="/shelf" class="quiet">Shelf</RouterLink>
      <RouterLink v-if="who !== ''" to="/sign-in" class="quiet">{{ who }}</RouterLink>
      <ElButton text :icon="FindIcon" class="icon-button" aria-label="Find" @click="emit('find')" />
      <ElButton
        text
        :icon="KeysIcon"
        class="icon-button keys"
        aria-label="Keys"
        @click="emit('help')"
      />
      <ElButton
        text
        :icon="night ? DayIcon : NightIcon"
        class="icon-button"
        :aria-label="night ? 'Day colours' : 'Night colours'"
        @click="emit('theme')"
      />
      <ElButton
        class="boxed"
        :aria-label="`Units: ${units}, ${UNITS[units]}. Change`"
        @click="emit('units')"
      >
        {{ UNITS[units] }}
      </ElButton>
    </div>
  </header>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 132px minmax(0, 1fr) auto;
  min-height: 84px;
  border-bottom: 1px solid var(--hairline);
}

.mark {
  display: flex;
  align-items: center;
  gap: 10px;
  padding-left: 24px;
  color: var(--ink);
  font-size: var(--t18);
  font-weight: 700;
  text-decoration: none;
}

.mark.here {
  box-shadow: inset 0 -4px var(--action);
}

.count {
  min-width: 22px;
  border: 1.5px solid var(--due-mark);
  border-radius: 4px;
  color: var(--due);
  font-size: var(--t13);
  line-height: 20px;
  text-align: center;
}

.mark svg {
  height: 30px;
  fill: currentColor;
}

nav {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
}

.station {
  display: flex;
  flex-direction: column;
  gap: 2px;
  /* Names stand in one line, whatever wraps below them. */
  padding: 20px 14px 0;
  border-bottom: 4px solid transparent;
  color: var(--ink);
  font-size: var(--t13);
  text-decoration: none;
}

.station strong {
  font-size: var(--t15);
}

.station .due {
  font-weight: 600;
}

.station.here {
  background: var(--panel);
  border-bottom-color: var(--action);
  border-inline: 1px solid var(--hairline);
}

.end {
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 0 24px 0 14px;
}

.quiet {
  display: inline-flex;
  align-items: center;
  min-height: 36px;
  color: var(--ink);
  text-decoration: none;
  border: 1px solid transparent;
  border-radius: 4px;
  background: none;
  padding: 0 10px;
  font-size: var(--t13);
  cursor: pointer;
}

.boxed {
  height: 36px;
  min-height: 36px;
  background: var(--panel);
  padding: 0 10px;
  font-size: var(--t13);
}

@media (max-width: 900px) {
  .line {
    grid-template-columns: auto minmax(0, 1fr);
  }

  nav {
    grid-column: 1 / -1;
    grid-row: 2;
    min-height: 64px;
    align-items: stretch;
    border-top: 1px solid var(--hairline);
  }

  .mark {
    min-height: 52px;
  }

  .station {
    padding-block: 10px 6px;
  }

  .end {
    justify-content: flex-end;
  }
}

@media (max-width: 560px) {
  .mark {
    padding-left: 14px;
  }

  /* The mark alone: its name is read out all the same. */
  .mark span {
    display: none;
  }

  .station {
    padding-inline: 8px;
  }

  .station span {
    font-size: 0.75rem;
    line-height: 1.25;
  }

  /* A phone has none; where one is plugged in, “?” shows them. */
  .keys {
    display: none;
  }

  .end {
    flex-wrap: wrap;
    gap: 0 2px;
    padding-right: 12px;
  }
}

@media (pointer: coarse) {
  .quiet,
  .boxed {
    min-height: var(--touch);
  }
}
</style>
