import type { Device, Pairing, Person, Role, SavePersonRequest } from '@ratio/core/shop';
import { tryOnMounted } from '@vueuse/core';
import { ref, shallowRef } from 'vue';
import { ask, newId, sentenceOf } from '../../api/client.ts';
import { useNotice } from '../../stores/notice.ts';
import { useSession } from '../../stores/session.ts';

/** People, their tablets, and whether the machine itself asks who it is: written at once, with the server there. */
export function usePeople() {
  const notice = useNotice();
  const session = useSession();
  const people = shallowRef<Person[]>([]);
  const devices = shallowRef<Device[]>([]);
  const pairing = shallowRef<Pairing | null>(null);
  const busy = ref(false);

  async function load(): Promise<void> {
    [people.value, devices.value] = await Promise.all([
      ask<Person[]>('/api/people'),
      ask<Device[]>('/api/devices'),
    ]);
  }

  /** Does something, reads all again, and says it; a secret is never kept in the browser, so nothing waits. */
  async function does(work: () => Promise<unknown>, text: string): Promise<boolean> {
    busy.value = true;
    try {
      await work();
      await Promise.all([load(), session.load()]);
      notice.say({ tone: 'done', text });
      return true;
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
      return false;
    } finally {
      busy.value = false;
    }
  }
  tryOnMounted(() => {
    load().catch((error: unknown) => notice.say({ tone: 'wrong', text: sentenceOf(error) }));
  });

  const put = (id: string, version: number, body: SavePersonRequest) =>
    ask<Person>(`/api/people/${id}`, { method: 'PUT', body, version });

  return {
    people,
    devices,
    pairing,
    busy,
    add: (body: SavePersonRequest): Promise<boolean> =>
      does(() => put(newId(), 0, body), `${body.name} can sign in.`),
    change: ({ id, version, name, role }: Person, change: Partial<SavePersonRequest>) =>
      does(() => put(id, version, { name, role, ...change }), `${name} is changed.`),
    remove: ({ id, version, name }: Person) =>
      does(() => ask(`/api/people/${id}`, { method: 'DELETE', version }), `${name} is gone.`),
    forget: ({ id, version, name }: Device) =>
      does(() => ask(`/api/devices/${id}`, { method: 'DELETE', version }), `${name} is forgotten.`),
    showCode: (role: Role) =>
      does(async () => {
        const path = '/api/pairing';
        pairing.value = await ask<Pairing>(path, { method: 'POST', body: { role } });
      }, 'The code holds for ten minutes.'),
    askHere: (signInHere: boolean) =>
      does(
        () => ask('/api/access', { method: 'PUT', body: { signInHere } }),
        signInHere ? 'This machine asks who it is from now on.' : 'This machine asks nobody.',
      ),
  };
}
