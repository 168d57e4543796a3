import type { ConsoleLogger } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { SwaggerModule } from '@nestjs/swagger';
import { describedApi } from './errors/api-description.js';
import { json, type NextFunction, type Request, type Response } from 'express';
import helmet from 'helmet';
import { AppModule } from './app.module.js';
import { takeStock } from './database/take-stock.js';
import { Acknowledged } from './database/acknowledged.js';
import { Writer } from './database/writer.js';
import { bodyTrouble } from './errors/body-trouble.js';
import { ErrorFilter } from './errors/error.filter.js';
import { keptAccess } from './lan/access.js';
import { notTooDeep } from './errors/levels.js';
import { gate } from './lan/gate.js';
import { Sessions } from './lan/sessions.js';
import { Live } from './live/live.js';
import { TransferService } from './transfer/transfer.service.js';
import { ownHosts } from './lan/own-hosts.js';
import { sameOriginOnly } from './errors/same-origin.js';
import { strictValidation } from './errors/validation.js';
import { QuietStart } from './quiet-start.js';
import type { Serving } from './serving.js';

/** Bodies that are files: they are read as streams, whatever they call themselves. */
const TAKEN_AS_THEY_COME = /^\/api\/(import|imports|restore)$/;

/** The server, ready to listen: everything between the socket and the modules. */
export async function createApplication(serving: Serving): Promise<NestExpressApplication> {
  const logger = new QuietStart();
  const app = await NestFactory.create<NestExpressApplication>(AppModule.for(serving), {
    bodyParser: false,
    forceCloseConnections: true,
    logger: process.env['WHICH_WAY_LOG'] === 'quiet' ? false : logger,
    abortOnError: false,
  });
  app.use(sameOriginOnly(serving.lan ? ownHosts : undefined));
  app.use(
    helmet({
      strictTransportSecurity: false,
      // With no referrer at all a browser says "Origin: null" when a form is sent, and that is turned away.
      referrerPolicy: { policy: 'same-origin' },
      // Browsers heed these two on secure addresses only, and complain about them elsewhere.
      crossOriginOpenerPolicy: serving.lan ? false : undefined,
      originAgentCluster: serving.lan ? false : undefined,
      contentSecurityPolicy: {
        directives: {
          upgradeInsecureRequests: null,
          workerSrc: ["'self'", 'blob:'],
          connectSrc: ["'self'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
        },
      },
    }),
  );
  app.use(logRequests(logger));
  if (serving.lan) {
    const access = await app.get(Writer).write((manager) => keptAccess(manager, serving.newCode));
    const sessions = app.get(Sessions);
    if (serving.newCode) await sessions.endAll();
    await sessions.load();
    app.use(gate(access, sessions));
  }
  const parse = json({ limit: '1mb' });
  app.use((request: Request, response: Response, next: NextFunction) =>
    TAKEN_AS_THEY_COME.test(request.path) ? next() : parse(request, response, next),
  );
  app.use(bodyTrouble);
  app.use(notTooDeep);
  app.useGlobalPipes(strictValidation());
  app.useGlobalFilters(new ErrorFilter());
  SwaggerModule.setup('api/docs', app, () => describedApi(app, serving.version));
  app.enableShutdownHooks();
  await app.init();
  app.get(Live).store = await takeStock(app.get(Writer), app.get(Acknowledged));
  await app.get(TransferService).tidy();
  return app;
}

/** One line for each request to the API that changes something or fails. */
function logRequests(logger: ConsoleLogger) {
  return (request: Request, response: Response, next: NextFunction): void => {
    const began = process.hrtime.bigint();
    response.on('finish', () => {
      if (!request.path.startsWith('/api/') || (request.method === 'GET' && response.statusCode < 400))
        return;
      if (process.env['WHICH_WAY_LOG'] === 'quiet') return;
      const milliseconds = Number((process.hrtime.bigint() - began) / 1_000_000n);
      const line = { method: request.method, path: request.path, status: response.statusCode, milliseconds };
      logger.log(line, 'request');
    });
    next();
  };
}
