import { createRoot } from 'react-dom/client';
import { App } from './app.js';
import './index.css';
import { askBeforeLeaving } from './job/session/open-sessions.js';

const root = document.getElementById('root');
if (!root) throw new Error('the page has no #root');
createRoot(root).render(<App />);
askBeforeLeaving();

// From the next load on the pages are there without the server. A browser that cannot, or may not, does without.
if ('serviceWorker' in navigator && import.meta.env.PROD)
  navigator.serviceWorker.register('/sw.js').catch(() => undefined);
