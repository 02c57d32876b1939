import { hostname } from 'node:os';
import type { Request, RequestHandler } from 'express';
import { machineAddresses } from './machineAddresses.ts';
import { ProblemError } from './problem.ts';

const READS = ['GET', 'HEAD', 'OPTIONS'];

/** @returns the name or address in a Host header, without its port, small; '' for none */
function nameOf(host: string | undefined): string {
  const match = /^(?:\[([0-9a-f:.]+)\]|([^:]*))(?::\d+)?$/i.exec(host ?? '');
  return (match?.[1] ?? match?.[2] ?? '').toLowerCase();
}

/** Names and addresses of this machine, as they are now: an address may come with the network. */
function ownNames(): string[] {
  const name = hostname().toLowerCase();
  return ['localhost', name, `${name}.local`, ...machineAddresses().map(({ address }) => address)];
}

/**
 * Lets in only what was meant for this server: another site whose name was made to point here (DNS
 * rebinding) is refused by the name, and one that sends from its own pages by its origin.
 *
 * @param names what the shop calls the machine, besides its own names and addresses
 */
export function allowedHosts(names: readonly string[]): RequestHandler {
  const given = names.map((name) => name.toLowerCase());
  let known = new Set<string>();
  const isOwn = (name: string): boolean => {
    // The machine is asked again for a name that it did not have.
    if (!known.has(name)) known = new Set([...given, ...ownNames()]);
    return known.has(name);
  };
  return (request, _, next) => {
    const name = nameOf(request.get('Host'));
    if (!isOwn(name))
      throw new ProblemError(
        'wrong_host',
        `This server is not known as “${name.slice(0, 80)}”. Open it by the machine’s address, or give the name in RATIO_NAMES.`,
      );
    if (isGuarded(request) && !isFromHere(request))
      throw new ProblemError('wrong_origin', 'Another site may not do this. Open Ratio itself.');
    next();
  };
}

const isGuarded = ({ method, path }: Request): boolean =>
  !READS.includes(method) || path === '/api/changes';

/** Programs send no origin; a browser sends its page's, and whose it is. */
function isFromHere(request: Request): boolean {
  const site = request.get('Sec-Fetch-Site');
  if (site !== undefined && !['same-origin', 'none'].includes(site)) return false;
  const origin = request.get('Origin');
  if (origin === undefined) return true;
  return URL.canParse(origin) && new URL(origin).host === request.get('Host')?.toLowerCase();
}
