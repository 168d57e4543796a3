import { createRoot } from 'react-dom/client';
import { App } from './app.js';
import './index.css';
import { keepPages } from './keep-pages.js';
import { askBeforeLeaving } from './job/session/leaving.js';

const root = document.getElementById('root');
if (!root) throw new Error('the page has no #root');
createRoot(root).render(<App />);
askBeforeLeaving();

// From the next load on the pages are there without the server. A browser that cannot, or may not, does without.
if (import.meta.env.PROD) keepPages();
