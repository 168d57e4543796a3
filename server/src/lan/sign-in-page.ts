import { SIGN_IN_TEXT } from '@which-way/words/server/sign-in';

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
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<title>${SIGN_IN_TEXT.title}</title>
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
<label for="code">${SIGN_IN_TEXT.label}</label>
${trouble ? `<p role="alert">${SIGN_IN_TEXT[trouble](seconds)}</p>` : ''}
<input id="code" name="code" value="${escape(code)}" autocomplete="off" autocapitalize="characters" spellcheck="false" required maxlength="20">
<button>${SIGN_IN_TEXT.open}</button>
<p class="plain">${SIGN_IN_TEXT.caution}</p>
</form>
</body>
</html>`;
}
