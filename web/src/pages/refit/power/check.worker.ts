import { expose } from 'comlink';
import { checkDesk } from './check-desk.js';

expose(checkDesk);
