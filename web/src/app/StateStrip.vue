<script setup lang="ts">
import { ElButton } from 'element-plus';
import { computed } from 'vue';
import type { HeldField } from './heldFields.ts';

/** What stands between this tablet and the server: what is kept here, and what somebody has to decide. */
const props = defineProps<{
  /** Why nothing gets through; empty while it does. */
  stopped: string;
  /** Pages show what this tablet saw last. */
  away: boolean;
  /** What is kept until the server is back. */
  waiting: readonly string[];
  /** What the server refused. */
  held: readonly {
    id: string;
    what: string;
    reason: string;
    fields: readonly HeldField[];
    canInsist: boolean;
  }[];
  /** Why the server did not take the plan on the bench; empty where it did. */
  draftRefused: string;
  /** How far the machine's clock is behind, in words; empty as it should be. */
  clockBehind: string;
}>();
const emit = defineEmits<{ send: []; insist: [id: string]; discard: [id: string] }>();

const NAMED = 3;
const named = (all: readonly string[]): string => {
  const names = all.slice(0, NAMED).join('; ');
  return all.length > NAMED ? `${names}; and ${all.length - NAMED} more` : names;
};
const keptText = computed(() => {
  const { waiting } = props;
  const count = waiting.length === 1 ? 'One change is' : `${waiting.length} changes are`;
  return `${count} kept on this tablet until it is back: ${named(waiting)}.`;
});
</script>

<template>
  <section class="strip no-print" role="status" aria-label="The server">
    <div v-if="away || stopped !== ''" class="row">
      <p>
        <strong>{{ stopped || 'The server does not answer.' }}</strong>
        <template v-if="away">{{ ' What you see is from when it last did.' }}</template>
        <template v-if="waiting.length > 0">{{ ` ${keptText}` }}</template>
      </p>
      <ElButton @click="emit('send')">Try now</ElButton>
    </div>
    <p v-if="draftRefused !== ''">
      <strong>The plan on the bench is not saved.</strong> {{ draftRefused }} It is kept on this
      tablet.
    </p>
    <p v-if="clockBehind !== ''">
      <strong>The clock of the machine that runs Ratio is {{ clockBehind }} slow:</strong> the last
      entry is later than now. Set it right; until then entries get the wrong time.
    </p>
    <div v-for="one in held" :key="one.id" class="row" role="alert">
      <div>
        <p>
          <strong>{{ one.what }}: not done.</strong> {{ one.reason }}
        </p>
        <dl v-if="one.fields.length > 0">
          <template v-for="field in one.fields" :key="field.name">
            <dt>{{ field.name }}</dt>
            <dd>here {{ field.mine }}, there {{ field.theirs }}</dd>
          </template>
        </dl>
      </div>
      <span class="ways">
        <ElButton v-if="one.canInsist" @click="emit('insist', one.id)"
          >Keep what was made here</ElButton
        >
        <ElButton text @click="emit('discard', one.id)">{{
          one.canInsist ? 'Keep what is there' : 'Let it go'
        }}</ElButton>
      </span>
    </div>
  </section>
</template>

<style scoped>
.strip {
  display: grid;
  gap: 10px;
  border-bottom: 2px solid var(--due);
  background: var(--panel);
  padding: 10px 24px;
}

.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px 24px;
}

.row > :first-child {
  flex: 1 1 28rem;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0 16px;
  margin: 4px 0 0;
}

dd {
  margin: 0;
}
</style>
