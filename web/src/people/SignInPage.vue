<script setup lang="ts">
import { ElButton, ElForm, ElFormItem, ElInput } from 'element-plus';
import 'element-plus/theme-chalk/el-form.css';
import 'element-plus/theme-chalk/el-form-item.css';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { sentenceOf, useSession } from '../sync/index.ts';

/** Ways in, and the way out. */
type Way = 'pin' | 'password' | 'pair' | 'out';

/** Who stands here: by a PIN on a tablet of the shop, by a password elsewhere; or a tablet is paired. */
const emit = defineEmits<{ done: [] }>();
const route = useRoute();
const store = useSession();

const chosenId = ref('');
const pin = ref('');
const name = ref('');
const password = ref('');
const code = ref(typeof route.query['code'] === 'string' ? route.query['code'] : '');
const device = ref('');
/** What the server said to one of the ways in. */
const refused = ref<{ way: Way; text: string } | null>(null);
const refusedOf = (way: Way): string => (refused.value?.way === way ? refused.value.text : '');
const busy = ref(false);

const people = computed(() => store.session?.people ?? []);
const isSignedIn = computed(
  () => store.session !== null && !store.session.needsSignIn && store.session.name !== 'unsigned',
);
const isPerson = computed(() => isSignedIn.value && store.session?.name !== store.session?.device);

async function attempt(way: Way, work: () => Promise<void>): Promise<void> {
  busy.value = true;
  refused.value = null;
  try {
    await work();
    pin.value = '';
    password.value = '';
    emit('done');
  } catch (error) {
    refused.value = { way, text: sentenceOf(error) };
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <div class="page narrow">
    <h1>Who is it?</h1>
    <p v-if="isSignedIn">
      {{ store.session?.name }} {{ store.session?.role }} here.
      <ElButton v-if="isPerson" :loading="busy" @click="attempt('out', store.signOut)"
        >Sign out</ElButton
      >
    </p>
    <p v-if="refusedOf('out')" class="due" role="alert">{{ refusedOf('out') }}</p>
    <section v-if="people.length > 0" aria-labelledby="by-pin">
      <h2 id="by-pin" class="section-head">On this tablet</h2>
      <div class="names">
        <ElButton
          v-for="person in people"
          :key="person.id"
          size="large"
          :type="chosenId === person.id ? 'primary' : 'default'"
          :aria-pressed="chosenId === person.id"
          @click="chosenId = person.id"
          >{{ person.name }}</ElButton
        >
      </div>
      <ElForm
        v-if="chosenId !== ''"
        class="row"
        label-position="top"
        @submit.prevent="attempt('pin', () => store.signIn({ personId: chosenId, pin }))"
      >
        <ElFormItem label="PIN" :error="refusedOf('pin')">
          <ElInput
            v-model="pin"
            type="password"
            inputmode="numeric"
            autocomplete="off"
            size="large"
          />
        </ElFormItem>
        <ElButton
          type="primary"
          size="large"
          native-type="submit"
          :loading="busy"
          :disabled="pin === ''"
          >Sign in</ElButton
        >
      </ElForm>
    </section>
    <section aria-labelledby="by-password">
      <h2 id="by-password" class="section-head">By name and password</h2>
      <ElForm
        class="row"
        label-position="top"
        @submit.prevent="attempt('password', () => store.signIn({ name, password }))"
      >
        <ElFormItem label="Name">
          <ElInput v-model="name" autocomplete="username" />
        </ElFormItem>
        <ElFormItem label="Password" :error="refusedOf('password')">
          <ElInput v-model="password" type="password" autocomplete="current-password" />
        </ElFormItem>
        <ElButton native-type="submit" :loading="busy" :disabled="name === '' || password === ''"
          >Sign in</ElButton
        >
      </ElForm>
    </section>
    <section v-if="store.session?.device === null" aria-labelledby="pair">
      <h2 id="pair" class="section-head">Pair this tablet</h2>
      <p class="soft">
        On the machine that runs Ratio, open Shelf, People, and show a code. It holds for ten
        minutes and for one tablet.
      </p>
      <ElForm
        class="row"
        label-position="top"
        @submit.prevent="attempt('pair', () => store.pair(code, device))"
      >
        <ElFormItem label="Code" :error="refusedOf('pair')">
          <ElInput v-model="code" autocomplete="off" />
        </ElFormItem>
        <ElFormItem label="Name of the tablet">
          <ElInput v-model="device" placeholder="such as Bar tablet" />
        </ElFormItem>
        <ElButton native-type="submit" :loading="busy" :disabled="code === '' || device === ''"
          >Pair</ElButton
        >
      </ElForm>
    </section>
  </div>
</template>

<style scoped>
.section-head {
  margin-bottom: 12px;
}

.page {
  display: grid;
  gap: 24px;
}

.names {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  padding: 8px 0 12px;
}

.names .el-button + .el-button {
  margin-left: 0;
}

.row {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 10px 16px;
  margin-top: 10px;
}

.row .el-form-item {
  flex: 1 1 12rem;
}

.row .el-button {
  margin-bottom: 18px;
}
</style>
