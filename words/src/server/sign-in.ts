/** The page on which a device of the local network signs in. */
export const SIGN_IN_TEXT = {
  title: 'Which Way: sign in',
  label: 'The shop’s code, as it was printed where Which Way was started',
  open: 'Open the bench',
  caution:
    'This address is plain http: the code and the sign-in travel in the clear, and whoever can listen in on this network can read them. Use it in the shop’s own network, not in a public one.',
  wrong: () =>
    'That is not the code. It stands where Which Way was started. Each wrong try makes the next wait longer.',
  wait: (seconds: number) =>
    `A wrong code was tried from here. Wait ${seconds === 1 ? 'a second' : `${seconds} seconds`}, then try again.`,
  updated: () =>
    'Which Way was updated, and every device was signed out once. Enter the shop’s code to sign in again.',
  unread: () => 'That could not be read. Type the code again.',
};
