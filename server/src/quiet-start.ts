import { ConsoleLogger } from '@nestjs/common';

const CHATTER = new Set([
  'InstanceLoader',
  'RoutesResolver',
  'RouterExplorer',
  'NestFactory',
  'NestApplication',
]);

/** One JSON line per event, without the framework's own chatter at start. */
export class QuietStart extends ConsoleLogger {
  constructor() {
    super({ json: true, logLevels: ['log', 'warn', 'error', 'fatal'], colors: false });
  }

  override log(message: unknown, ...rest: unknown[]): void {
    const context = rest.at(-1);
    if (typeof context === 'string' && CHATTER.has(context)) return;
    super.log(message, ...rest);
  }
}
