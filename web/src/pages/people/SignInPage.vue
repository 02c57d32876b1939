<script setup lang="ts">
import { ElButton, ElInput } from 'element-plus';
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { sentenceOf } from '../../api/client.ts';
import { useSession } from '../../stores/session.ts';

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
const wrong = ref('');
const busy = ref(false);

const people = computed(() => store.session?.people ?? []);
const isSignedIn = computed(
  () => store.session !== null && !store.session.needsSignIn && store.session.name !== 'unsigned',
);
const isPerson = computed(() => isSignedIn.value && store.session?.name !== store.session?.device);

async function attempt(work: () => Promise<void>): Promise<void> {
  busy.value = true;
  wrong.value = '';
  try {
    await work();
    pin.value = '';
    password.value = '';
    emit('done');
  } catch (error) {
    wrong.value = sentenceOf(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <div class="page narrow">
    <h1>Who is it?</h1>
    <p v-if="wrong !== ''" class="due" role="alert">{{ wrong }}</p>
    <p v-if="isSignedIn">
      {{ store.session?.name }} {{ store.session?.role }} here.
      <ElButton v-if="isPerson" :loading="busy" @click="attempt(store.signOut)">Sign out</ElButton>
    </p>
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
      <form
        v-if="chosenId !== ''"
        class="row"
        @submit.prevent="attempt(() => store.signIn({ personId: chosenId, pin }))"
      >
        <ElInput
          v-model="pin"
          type="password"
          inputmode="numeric"
          autocomplete="off"
          aria-label="PIN"
          placeholder="PIN"
          size="large"
        />
        <ElButton
          type="primary"
          size="large"
          native-type="submit"
          :loading="busy"
          :disabled="pin === ''"
          >Sign in</ElButton
        >
      </form>
    </section>
    <section aria-labelledby="by-password">
      <h2 id="by-password" class="section-head">By name and password</h2>
      <form class="row" @submit.prevent="attempt(() => store.signIn({ name, password }))">
        <ElInput v-model="name" aria-label="Name" placeholder="Name" autocomplete="username" />
        <ElInput
          v-model="password"
          type="password"
          aria-label="Password"
          placeholder="Password"
          autocomplete="current-password"
        />
        <ElButton native-type="submit" :loading="busy" :disabled="name === '' || password === ''"
          >Sign in</ElButton
        >
      </form>
    </section>
    <section v-if="store.session?.device === null" aria-labelledby="pair">
      <h2 id="pair" class="section-head">Pair this tablet</h2>
      <p class="soft">
        On the machine that runs Ratio, open Shelf, People, and show a code. It holds for ten
        minutes and for one tablet.
      </p>
      <form class="row" @submit.prevent="attempt(() => store.pair(code, device))">
        <ElInput v-model="code" aria-label="Code" placeholder="Code" autocomplete="off" />
        <ElInput
          v-model="device"
          aria-label="Name of the tablet"
          placeholder="What it is called, such as Bar tablet"
        />
        <ElButton native-type="submit" :loading="busy" :disabled="code === '' || device === ''"
          >Pair</ElButton
        >
      </form>
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
  gap: 10px;
}

.row .el-input {
  flex: 1 1 12rem;
}
</style>
