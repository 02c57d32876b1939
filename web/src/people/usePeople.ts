import type { Device, Pairing, Person, Role, SavePersonRequest } from '@ratio/core/shop';
import { tryOnMounted } from '@vueuse/core';
import { ref, shallowRef } from 'vue';
import { RequestProblem, ask, newId, sentenceOf, useNotice, useSession } from '../sync/index.ts';

/** A field that the server refused: whose it is (empty for somebody new), which one, and why. */
interface Refused {
  readonly id: string;
  readonly field: string;
  readonly text: string;
}

/** People, their tablets, and whether the machine itself asks who it is: written at once, with the server there. */
export function usePeople() {
  const notice = useNotice();
  const session = useSession();
  const people = shallowRef<Person[]>([]);
  const devices = shallowRef<Device[]>([]);
  const pairing = shallowRef<Pairing | null>(null);
  const busy = ref(false);
  const refused = ref<Refused | null>(null);

  async function load(): Promise<void> {
    [people.value, devices.value] = await Promise.all([
      ask<Person[]>('/api/people'),
      ask<Device[]>('/api/devices'),
    ]);
  }

  /**
   * Does something, reads all again, and says it; a secret is never kept in the browser, so nothing waits.
   *
   * @param id whose fields it writes, where it writes any: what is wrong with one is said there
   */
  async function does(work: () => Promise<unknown>, text: string, id?: string): Promise<boolean> {
    busy.value = true;
    refused.value = null;
    try {
      await work();
      await Promise.all([load(), session.load()]);
      notice.say({ tone: 'done', text });
      return true;
    } catch (error) {
      const [issue] = (error instanceof RequestProblem && error.problem.issues) || [];
      if (id !== undefined && issue) refused.value = { id, field: issue.path, text: issue.message };
      else notice.say({ tone: 'wrong', text: sentenceOf(error) });
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
    refusedOf: (id: string, field: string): string =>
      refused.value?.id === id && refused.value.field === field ? refused.value.text : '',
    add: (body: SavePersonRequest): Promise<boolean> =>
      does(() => put(newId(), 0, body), `${body.name} can sign in.`, ''),
    change: ({ id, version, name, role }: Person, change: Partial<SavePersonRequest>) =>
      does(() => put(id, version, { name, role, ...change }), `${name} is changed.`, id),
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
