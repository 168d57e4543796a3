// A report that is read by a link follows what is done at the bench: asked for again now and then, shown anew where it differs.
const AGAIN_MS = 15_000;

async function follow() {
  try {
    const answer = await fetch(location.href, { cache: 'no-store' });
    const next = new DOMParser().parseFromString(await answer.text(), 'text/html').querySelector('main');
    const now = document.querySelector('main');
    if (now && next && now.innerHTML !== next.innerHTML) now.replaceWith(next);
  } catch {
    // The server is away: what is shown stays.
  }
}

setInterval(follow, AGAIN_MS);
