import { networkInterfaces } from 'node:os';

/** @returns the addresses of this machine, as they are now: one may come with the network */
export const machineAddresses = () =>
  Object.values(networkInterfaces()).flatMap((all) => all ?? []);

/** @returns where others on the network reach this server; the machine itself where it is on none */
export function addressesOf(input: { scheme: 'http' | 'https'; port: number }): string[] {
  const { scheme, port } = input;
  const found = machineAddresses()
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => `${scheme}://${address}:${port}`);
  return found.length > 0 ? found : [`${scheme}://localhost:${port}`];
}
