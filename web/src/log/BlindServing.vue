<script setup lang="ts">
import type { BlindTest } from '@ratio/core/tasting';
import { ElButton } from 'element-plus';
import { computed, ref } from 'vue';
import { LinkButton } from '../ui/buttons/index.ts';
import { TextField } from '../ui/fields/index.ts';
import { FoldAway } from '../ui/figures/index.ts';

/** One serving of a blind comparison: who pours sees what goes where, who tastes sees codes. */
const props = defineProps<{ test: BlindTest; at: number; question: string; verdict: string }>();
const emit = defineEmits<{ answer: [picked: number, taster: string]; leave: [] }>();

const pouring = ref(true);
const taster = ref('');
const serving = computed(() => props.test.servings[props.at] ?? null);
const nameOf = (side: 'A' | 'B'): string => (side === 'A' ? props.test.a : props.test.b);
const isReference = (i: number): boolean => props.test.kind === 'duo-trio' && i === 0;
</script>

<template>
  <section class="blind" aria-label="Blind comparison">
    <LinkButton class="out" @click="emit('leave')">Leave it for now</LinkButton>
    <template v-if="serving">
      <p class="soft">Answer {{ at + 1 }} of {{ test.servings.length }}</p>
      <template v-if="pouring">
        <h2>For whoever pours: nobody else looks</h2>
        <ol class="pour">
          <li v-for="cup in serving.cups" :key="cup.code">
            <b class="figures">{{ cup.code }}</b>
            <span>{{ nameOf(cup.side) }}</span>
          </li>
        </ol>
        <ElButton type="primary" class="large" @click="pouring = false"
          >Poured, for the taster</ElButton
        >
      </template>
      <template v-else>
        <h2>{{ question }}</h2>
        <TextField
          label="Who tastes"
          placeholder="who tastes"
          :value="taster"
          live
          @change="taster = $event"
        />
        <div class="codes">
          <ElButton
            v-for="(cup, i) in serving.cups"
            :key="cup.code"
            class="code figures"
            :disabled="isReference(i)"
            @click="emit('answer', i, taster.trim())"
            >{{ cup.code }}{{ isReference(i) ? ', the reference' : '' }}</ElButton
          >
        </div>
      </template>
    </template>
    <template v-else>
      <h2>{{ test.a }} and {{ test.b }}</h2>
      <p class="verdict">{{ verdict }}</p>
      <FoldAway title="Every answer">
        <ul class="answers">
          <li v-for="(one, i) in test.servings" :key="i">
            {{ one.taster || `taster ${i + 1}` }}: {{ one.cups.map(({ side }) => side).join('') }},
            picked
            {{ one.picked === null ? 'none' : one.cups[one.picked]!.code }}
          </li>
        </ul>
      </FoldAway>
    </template>
  </section>
</template>

<style scoped>
.blind {
  display: grid;
  justify-items: start;
  gap: 14px;
  max-width: 720px;
  padding-top: 12px;
}

h2 {
  color: var(--ink);
  font-size: var(--t24);
}

.pour li {
  display: flex;
  align-items: baseline;
  gap: 18px;
  padding: 6px 0;
  font-size: var(--t18);
}

.pour b {
  font-size: var(--t40);
}

.large {
  min-height: 56px;
  font-size: var(--t18);
}

.codes {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
}

.codes .el-button {
  min-width: 150px;
  height: auto;
  min-height: 96px;
  margin: 0;
  font-family: var(--figures);
  font-size: var(--t40);
  white-space: normal;
}

.verdict {
  font-size: var(--t18);
}

.answers {
  font-size: var(--t13);
}
</style>
