/** The devices that are signed in with the shop's code. */
export const SIGNED_IN_WORDS = {
  title: 'Signed-in devices',
  own: 'this device',
  end: 'Sign out',
};

const KINDS: Readonly<Record<string, string>> = { phone: 'Phone', tablet: 'Tablet', computer: 'Computer' };

/** One of them: 'Phone at 192.0.2.7, signed in 2026-11-03, last seen 2026-11-30 10:12'. Times are UTC, as they are kept. */
export const deviceWords = (device: {
  device: string;
  address: string;
  opened: string;
  seen: string;
}): string =>
  `${KINDS[device.device] ?? KINDS['computer']} at ${device.address}, signed in ${device.opened.slice(0, 10)}, last seen ${device.seen.slice(0, 16).replace('T', ' ')} UTC`;
