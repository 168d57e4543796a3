/** Comlink ships its adapter for worker threads without types beside the module file. */
declare module 'comlink/dist/esm/node-adapter.mjs' {
  import type { Endpoint } from 'comlink';
  import type { MessagePort, Worker } from 'node:worker_threads';
  export default function nodeEndpoint(side: MessagePort | Worker): Endpoint;
}
