import { expose } from 'comlink';
import { mattersDesk } from './matters-desk.js';

expose(mattersDesk);
