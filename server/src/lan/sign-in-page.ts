/** What the page says above the field. */
export interface SignIn {
  code: string;
  trouble: 'wrong' | 'wait' | 'unread' | 'updated' | null;
  seconds?: number;
}

const escape = (text: string): string =>
  text.replace(/[&<>"']/g, (character) => `&#${character.charCodeAt(0)};`);

/** The one page that answers without the code: no script, no picture, nothing of the shop. */
export function signInPage({ code, trouble, seconds = 0 }: SignIn): string {
  const said = {
    wrong:
      'That is not the code. It stands where Which Way was started. Each wrong try makes the next wait longer.',
    wait: `A wrong code was tried from here. Wait ${seconds === 1 ? 'a second' : `${seconds} seconds`}, then try again.`,
    updated:
      'Which Way was updated, and every device was signed out once. Enter the shop’s code to sign in again.',
    unread: 'That could not be read. Type the code again.',
  };
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>Which Way: sign in</title>
<style>
body { margin: 0; font: 1.15rem/1.45 system-ui, sans-serif; background: #edf1ee; color: #14201c; }
header { background: #14342b; color: #fff; padding: 1rem 1.25rem; font-weight: 700; font-size: 1.3rem; }
form { max-width: 26rem; margin: 1.5rem auto; padding: 0 1.25rem; display: grid; gap: 1rem; }
input, button { font: inherit; min-height: 3.5rem; border-radius: 5px; border: 2px solid #4d5d57; padding: 0 1rem; }
input { font-family: ui-monospace, monospace; font-size: 1.5rem; text-transform: uppercase; letter-spacing: 0.1em; }
button { background: #14342b; border-color: #14342b; color: #fff; font-weight: 700; }
p.plain { margin: 0; font-size: 1rem; color: #4d5d57; }
p[role] { margin: 0; border: 2px solid #97351a; background: #fbe9e3; padding: 0.75rem 1rem; border-radius: 5px; }
</style>
</head>
<body>
<header>Which Way</header>
<form method="post" action="/sign-in">
<label for="code">The shop’s code, as it was printed where Which Way was started</label>
${trouble ? `<p role="alert">${said[trouble]}</p>` : ''}
<input id="code" name="code" value="${escape(code)}" autocomplete="off" autocapitalize="characters" spellcheck="false" required maxlength="20">
<button>Open the bench</button>
<p class="plain">This address is plain http: the code and the sign-in travel in the clear, and whoever can listen in on this network can read them. Use it in the shop’s own network, not in a public one.</p>
</form>
</body>
</html>`;
}
