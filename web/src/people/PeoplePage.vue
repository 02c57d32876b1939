<script setup lang="ts">
import { ROLES, type Role } from '@ratio/core/shop';
import { ElButton, ElForm, ElFormItem, ElInput, ElSwitch } from 'element-plus';
import 'element-plus/theme-chalk/el-form.css';
import 'element-plus/theme-chalk/el-form-item.css';
import 'element-plus/theme-chalk/el-switch.css';
import { ref } from 'vue';
import { usePeople } from './usePeople.ts';
import { clockTime, dayName } from '../format/index.ts';
import { useShop } from '../shop/index.ts';
import { useSession } from '../sync/index.ts';
import { LinkButton } from '../ui/buttons/index.ts';
import { QrCode } from '../ui/drawings/index.ts';
import { ChoiceField } from '../ui/fields/index.ts';

/** Who works here, what each may do, and the tablets that are paired. */
const TEXTS: Readonly<Record<Role, string>> = {
  pours: 'pours drinks, takes the steps of a steep, counts',
  brews: 'pours, plans, works on jugs, keeps shelf and menu',
  leads: 'brews, sets prices, people, backups and the shop itself',
};
const ROLE_OPTIONS = ROLES.map((value) => ({ value, label: value }));

const isSecure = location.protocol === 'https:';
const shop = useShop();
const session = useSession();
const { people, devices, pairing, busy, refusedOf, ...does } = usePeople();
const fresh = ref<{ name: string; role: Role; pin: string }>({ name: '', role: 'pours', pin: '' });
const pins = ref<Record<string, string>>({});
const passwords = ref<Record<string, string>>({});
const tabletRole = ref<Role>('brews');

async function add(): Promise<void> {
  const { name, role, pin } = fresh.value;
  const body = { name, role, ...(pin === '' ? {} : { pin }) };
  if (await does.add(body)) fresh.value = { name: '', role: 'pours', pin: '' };
}
async function give(
  person: (typeof people.value)[number],
  what: 'pin' | 'password',
): Promise<void> {
  const from = what === 'pin' ? pins : passwords;
  const done = await does.change(person, { [what]: from.value[person.id] ?? '' });
  if (done) from.value = { ...from.value, [person.id]: '' };
}
</script>

<template>
  <div class="page">
    <h1>People</h1>
    <p class="soft">
      Every entry keeps who wrote it. On this machine nobody has to sign in until you switch that on
      below. From anywhere else people sign in.
    </p>
    <section aria-labelledby="who">
      <h2 id="who" class="section-head">Who works here</h2>
      <dl class="roles soft">
        <template v-for="role in ROLES" :key="role">
          <dt>{{ role }}</dt>
          <dd>{{ TEXTS[role] }}</dd>
        </template>
      </dl>
      <p v-if="people.length === 0">Nobody yet. Whoever is at this machine leads.</p>
      <ul>
        <li v-for="person in people" :key="person.id" class="person">
          <strong>{{ person.name }}</strong>
          <ChoiceField
            :label="`What ${person.name} may do`"
            :model-value="person.role"
            :options="ROLE_OPTIONS"
            @update:model-value="does.change(person, { role: $event })"
          />
          <ElForm class="secret" @submit.prevent="give(person, 'pin')">
            <ElFormItem :error="refusedOf(person.id, 'pin')">
              <ElInput
                v-model="pins[person.id]"
                type="password"
                inputmode="numeric"
                autocomplete="new-password"
                :aria-label="`PIN of ${person.name}`"
                :placeholder="person.hasPin ? 'has a PIN' : 'no PIN'"
              />
            </ElFormItem>
            <ElButton native-type="submit" :disabled="busy">Set PIN</ElButton>
          </ElForm>
          <ElForm class="secret" @submit.prevent="give(person, 'password')">
            <ElFormItem :error="refusedOf(person.id, 'password')">
              <ElInput
                v-model="passwords[person.id]"
                type="password"
                autocomplete="new-password"
                :aria-label="`Password of ${person.name}`"
                :placeholder="person.hasPassword ? 'has a password' : 'no password'"
              />
            </ElFormItem>
            <ElButton native-type="submit" :disabled="busy">Set password</ElButton>
          </ElForm>
          <LinkButton @click="does.remove(person)">Take away</LinkButton>
        </li>
      </ul>
      <ElForm class="person fresh" label-position="top" @submit.prevent="add">
        <ElFormItem label="Somebody new" :error="refusedOf('', 'name')">
          <ElInput v-model="fresh.name" aria-label="Name of somebody new" placeholder="a name" />
        </ElFormItem>
        <ElFormItem label="May">
          <ChoiceField v-model="fresh.role" label="What they may do" :options="ROLE_OPTIONS" />
        </ElFormItem>
        <ElFormItem label="PIN" :error="refusedOf('', 'pin')">
          <ElInput
            v-model="fresh.pin"
            type="password"
            inputmode="numeric"
            autocomplete="new-password"
            aria-label="PIN of somebody new"
            placeholder="4 to 8 digits"
          />
        </ElFormItem>
        <ElButton class="add" type="primary" native-type="submit" :loading="busy">Add</ElButton>
      </ElForm>
      <p class="here">
        <ElSwitch
          :model-value="session.session?.signInHere ?? false"
          aria-label="Ask on this machine too"
          @change="does.askHere(Boolean($event))"
        />
        <span>Ask who it is on this machine too</span>
      </p>
    </section>
    <section aria-labelledby="tablets">
      <h2 id="tablets" class="section-head">Tablets</h2>
      <p class="soft">
        A paired tablet opens without a sign-in. Until somebody signs in there, entries carry the
        tablet’s name.
      </p>
      <p v-if="isSecure" class="soft">
        This page came by HTTPS. Where Ratio made the certificate itself, open
        <a href="/trust/ratio.crt">its authority</a> once on each tablet and trust it in the
        settings, under certificates. Then the tablet warns no more, and pages open there without
        the server.
      </p>
      <ul>
        <li v-for="device in devices" :key="device.id" class="device">
          <strong>{{ device.name }}</strong>
          <span>{{ device.role }}</span>
          <span class="soft"
            >paired {{ dayName({ at: new Date(device.pairedAt), zone: shop.zone }) }}</span
          >
          <LinkButton @click="does.forget(device)">Forget</LinkButton>
        </li>
      </ul>
      <div class="device">
        <span>A new tablet</span>
        <div class="role">
          <ChoiceField
            v-model="tabletRole"
            label="What the tablet may do while nobody has signed in on it"
            :options="ROLE_OPTIONS"
          />
        </div>
        <ElButton :loading="busy" @click="does.showCode(tabletRole)">Show a code</ElButton>
      </div>
      <div v-if="pairing" class="code" role="status">
        <p>
          <span class="figure figures">{{ pairing.code }}</span>
          <span class="soft"
            >until {{ clockTime({ at: new Date(pairing.expiresAt), zone: shop.zone }) }}, for one
            tablet</span
          >
        </p>
        <p v-if="pairing.links.length === 0" class="soft">
          This machine has no address on a network. Start Ratio with RATIO_HOST=0.0.0.0 once it has.
        </p>
        <figure v-for="link in pairing.links" :key="link">
          <QrCode :text="link" />
          <figcaption>{{ link }}</figcaption>
        </figure>
      </div>
    </section>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 24px;
}

.page > p {
  margin-top: -20px;
}

.person {
  display: grid;
  grid-template-columns: minmax(120px, 1fr) 120px minmax(0, 1.6fr) minmax(0, 1.8fr) 90px;
  align-items: center;
  gap: 8px 14px;
  border-bottom: 1px solid var(--hairline);
  padding: 10px 0;
}

.person .el-form-item {
  flex: 1;
  min-width: 0;
  margin-bottom: 0;
}

/* Room for what is wrong. */
.fresh {
  border-bottom: 0;
  padding-bottom: 24px;
}

.roles {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0 16px;
  padding: 8px 0;
}

.add {
  align-self: end;
  justify-self: start;
}

dt {
  color: var(--ink);
  font-weight: 600;
}

.secret,
.here {
  display: flex;
  align-items: center;
  gap: 8px;
}

.device {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 18px;
  padding: 10px 0;
}

.role {
  width: 8rem;
}

.code {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  gap: 24px;
}

.code p {
  display: grid;
}

.figure {
  font-size: var(--t40);
  font-weight: 600;
  letter-spacing: 0.08em;
}

figure {
  margin: 0;
  width: 220px;
  font-size: var(--t13);
  overflow-wrap: anywhere;
}

@media (max-width: 900px) {
  .person {
    grid-template-columns: 1fr;
    justify-items: stretch;
  }

  .person > .is-link {
    justify-self: start;
  }

  .person .el-form-item {
    margin-bottom: 18px;
  }
}
</style>
