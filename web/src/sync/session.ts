import { mayDo, type Role, type Session, type SignInRequest } from '@ratio/core/shop';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { ask } from './client.ts';
import { askOrLast } from './askOrLast.ts';

const PATH = '/api/session';

/** Who is signed in at this page, and what they may do; the server checks each request again. */
export const useSession = defineStore('session', () => {
  const session = shallowRef<Session | null>(null);

  async function change(method: 'POST' | 'DELETE', path: string, body?: object): Promise<void> {
    session.value = await ask<Session>(path, { method, ...(body ? { body } : {}) });
  }

  return {
    session,
    needsSignIn: computed(() => session.value?.needsSignIn ?? false),
    load: async (): Promise<void> => {
      session.value = await askOrLast<Session>(PATH);
    },
    /** Whether the person who is signed in has at least this role. */
    can: (least: Role): boolean => mayDo(session.value?.role ?? 'leads', least),
    signIn: (request: SignInRequest): Promise<void> => change('POST', PATH, request),
    signOut: (): Promise<void> => change('DELETE', PATH),
    pair: (code: string, device: string): Promise<void> =>
      change('POST', `${PATH}/pair`, { code, device }),
  };
});
