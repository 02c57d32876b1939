<script setup lang="ts">
import { ElInput } from 'element-plus';
import { ref } from 'vue';
import { LinkButton } from '../ui/buttons/index.ts';
import { ActButton } from '../ui/fields/index.ts';

/** What one shift leaves to the next in words, and what was thrown away. */
defineProps<{
  notes: readonly { id: string; date: string; note: string; when: string; by: string }[];
  gone: readonly { id: string; text: string }[];
}>();
const emit = defineEmits<{ note: [text: string]; takeBack: [id: string, date: string] }>();

const text = ref('');
function leave(): void {
  const note = text.value.trim();
  if (note === '') return;
  emit('note', note);
  text.value = '';
}
</script>

<template>
  <section aria-labelledby="hand-over">
    <h2 id="hand-over">Hand-over</h2>
    <blockquote v-for="note in notes" :key="note.id">
      <p>{{ note.note }}</p>
      <footer class="soft">
        {{ note.when }}{{ note.by === '' ? '' : `, ${note.by}` }}
        <LinkButton class="no-print" @click="emit('takeBack', note.id, note.date)"
          >take back</LinkButton
        >
      </footer>
    </blockquote>
    <div class="write no-print">
      <ElInput
        v-model="text"
        type="textarea"
        :rows="1"
        resize="none"
        maxlength="500"
        aria-label="A note for the next shift"
        placeholder="A note for the next shift"
      />
      <ActButton :disabled="text.trim() === ''" @act="leave">Leave it</ActButton>
    </div>
    <p v-for="one in gone" :key="one.id" class="soft fine">{{ one.text }}</p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 6px;
}

blockquote {
  margin: 0;
  border-left: 3px solid var(--hairline-strong);
  padding-left: 10px;
}

footer,
.fine {
  font-size: var(--t13);
}

footer :deep(.el-button) {
  min-height: 24px;
  padding: 0 4px;
  font-size: var(--t13);
}

.write {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: end;
  gap: 10px;
}

/* The browser lets it grow as it is written: measured by a script it would lay the page out anew. */
.write :deep(textarea) {
  field-sizing: content;
  min-height: 44px;
  padding-block: 10px;
  max-height: calc(5lh + 22px);
}
</style>
