import { networkInterfaces } from 'node:os';

/** @returns the addresses of this machine, as they are now: one may come with the network */
export const machineAddresses = () =>
  Object.values(networkInterfaces()).flatMap((all) => all ?? []);
