<script setup lang="ts">
import { computed, ref } from 'vue';
import { RouterLink, RouterView, useRoute, useRouter } from 'vue-router';
import NoticeBar from './NoticeBar.vue';
import StateStrip from './StateStrip.vue';
import TheLine from './TheLine.vue';
import { useChanges } from './useChanges.ts';
import { useLine } from './useLine.ts';
import { useStateStrip } from './useStateStrip.ts';
import { useStart } from './start.ts';
import { ElButton } from 'element-plus';
import { useDueCall, useHands } from '../day/index.ts';
import { authorOf } from '../format/index.ts';
import { loadSignIn } from '../people/index.ts';
import { useDraft } from '../plan/index.ts';
import { useSettings } from '../shop/index.ts';
import { useNotice, useSession, useSetAside } from '../sync/index.ts';
import { saveFile, useKeys, useTypedAhead } from '../ui/browser/index.ts';
import { lazyComponent } from '../ui/lazy/index.ts';

const FinderPage = lazyComponent(() => import('./FinderPage.vue'));
const KeysHelp = lazyComponent(() => import('./KeysHelp.vue'));
const SignInPage = lazyComponent(loadSignIn);
const SetAsideStrip = lazyComponent(() => import('./SetAsideStrip.vue'));

/** Stands until both the shop and the page are there; the document says the same before it is read. */
const FETCHING = 'Fetching the shop …';
/** Pages whose `n` makes one of what they hold. */
const STARTS_ITS_OWN = ['/pour', '/shelf', '/shelf/house-recipes', '/shelf/ingredients'];

const settings = useSettings();
const notices = useNotice();
const aside = useSetAside();
const drafts = useDraft();
const router = useRouter();
const route = useRoute();
const session = useSession();
const start = useStart();
useChanges(() => start.state === 'ready');
const { strip, isNews, tryNow, insist, discard } = useStateStrip(start.refresh);
const { stations } = useLine();
const hands = useHands();
useDueCall();
const sought = ref('');
/** What is asked for: the address says it before the page has come. */
const asked = computed(() =>
  route.matched.length > 0 ? route : router.resolve(location.pathname),
);
const isBare = computed(() => asked.value.meta.bare === true);
/** What the page takes at least, and whether whoever stands here may see it. */
const least = computed(() => route.meta.least ?? 'pours');
const isAllowed = computed(() => session.can(least.value));
const who = computed(() => authorOf({ author: session.session?.name ?? '' }));
/** Somebody else stands here now: what they see is read again. */
async function signedIn(): Promise<void> {
  await start.load();
  await router.push('/pour');
}
const help = ref(false);
const finding = ref(false);
function find(): void {
  sought.value = '';
  finding.value = true;
}
// What is typed before the finder stands is for it all the same.
useTypedAhead({ waits: finding, text: sought });
const to = (path: string) => () => void router.push(path);

useKeys({
  '0': to('/bench'),
  '1': to('/plan'),
  '2': to('/steep'),
  '3': to('/jugs'),
  '4': to('/pour'),
  '?': () => (help.value = true),
  '/': find,
  n: () => {
    if (STARTS_ITS_OWN.includes(router.currentRoute.value.path)) return;
    drafts.restart();
    void router.push('/plan');
  },
});
</script>

<template>
  <a href="#page" class="skip">Skip to the page</a>
  <TheLine
    v-if="!isBare || start.state === 'signIn'"
    :stations="start.state === 'signIn' ? [] : stations"
    :units="settings.units"
    :due="hands.due.length"
    :night="settings.isNight"
    :who
    :shelf="session.can('brews')"
    @help="help = true"
    @find="find"
    @theme="settings.toggleTheme"
    @units="settings.toggleUnits"
  />
  <SetAsideStrip
    v-if="aside.all.length > 0"
    :count="aside.all.length"
    @export="saveFile({ name: 'ratio-set-aside.json', data: aside.exported() })"
    @discard="aside.discard"
  />
  <StateStrip v-if="isNews" v-bind="strip" @send="tryNow" @insist="insist" @discard="discard" />
  <main id="page" tabindex="-1" :class="{ bare: isBare }">
    <RouterView v-if="start.state === 'ready' && isAllowed" v-slot="{ Component }">
      <component :is="Component" v-if="Component" @done="signedIn" />
      <h1 v-else class="wait soft">{{ FETCHING }}</h1>
    </RouterView>
    <SignInPage v-else-if="start.state === 'signIn'" @done="signedIn" />
    <div v-else-if="start.state === 'ready'" class="wait">
      <h1>This page takes somebody who {{ least }}</h1>
      <p><RouterLink to="/sign-in">Sign in as somebody else</RouterLink></p>
    </div>
    <h1 v-else-if="start.state === 'loading'" class="wait soft">{{ FETCHING }}</h1>
    <div v-else class="wait" role="alert">
      <h1>The shop’s server does not answer</h1>
      <p>{{ start.failure }} What you typed is kept on this tablet.</p>
      <ElButton @click="start.load">Try again</ElButton>
    </div>
  </main>

  <NoticeBar
    :notice="notices.shown"
    :raised="isBare"
    @undo="notices.undo"
    @close="notices.dismiss"
  />

  <KeysHelp v-if="help" v-model="help" />
  <FinderPage v-if="finding" v-model="finding" v-model:sought="sought" />
</template>

<style scoped>
.skip {
  position: absolute;
  left: -999px;
}

.skip:focus {
  left: 8px;
  top: 8px;
  padding: 12px;
  background: var(--panel);
  z-index: 20;
}

/* A page that is a whole screen is one under the strip, too. */
:global(#app:has(main.bare)) {
  display: flex;
  flex-direction: column;
  height: 100dvh;
}

main.bare {
  flex: 1;
  min-height: 0;
}

main:focus {
  outline: none;
}
</style>
