import { hostname, networkInterfaces } from 'node:os';

/** The addresses under which this machine is reached in the local network, IPv4. */
export function ownAddresses(): string[] {
  return Object.values(networkInterfaces())
    .flatMap((addresses) => addresses ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address);
}

/** Host names that mean this machine in the local network, without a port. */
export function ownHosts(): string[] {
  const name = hostname().toLowerCase();
  return [...ownAddresses(), name, `${name}.local`];
}
