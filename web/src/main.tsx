import { createRoot } from 'react-dom/client';
import { App } from './app.js';
import './index.css';

const root = document.getElementById('root');
if (!root) throw new Error('the page has no #root');
createRoot(root).render(<App />);
