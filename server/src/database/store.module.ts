import {
  Global,
  Inject,
  Injectable,
  Module,
  type DynamicModule,
  type OnApplicationShutdown,
} from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import Database from 'libsql';
import { dirname, join } from 'node:path';
import { DataSource } from 'typeorm';
import { Backroom } from '../backroom/backroom.js';
import { Live } from '../live/live.js';
import { SERVING, type Serving } from '../serving.js';
import { Works } from '../works/works.js';
import { Acknowledged } from './acknowledged.js';
import { dataSourceOptions } from './data-source.js';
import { Footing } from './footing.js';
import { Writer } from './writer.js';

/** When the server stops: everything goes from the write-ahead log into the one file, so that a copy of that is all there is. */
@Injectable()
export class ClosingTime implements OnApplicationShutdown {
  constructor(
    @Inject(SERVING) private readonly serving: Serving,
    private readonly acknowledged: Acknowledged,
  ) {}

  /** On a connection of its own: whether the ORM has closed its own by now does not matter then. */
  onApplicationShutdown(): void {
    const connection = new Database(this.serving.database);
    connection.exec('PRAGMA busy_timeout = 2000');
    connection.pragma('wal_checkpoint(TRUNCATE)');
    connection.close();
    this.acknowledged.close();
  }
}

/** The store and those who may touch it: one writer, the readers in their workers, long work, and what pages hear of it. */
@Global()
@Module({})
export class StoreModule {
  static for({ database, driver }: Serving): DynamicModule {
    const shared = [Writer, Backroom, Live, Works, Acknowledged, Footing];
    return {
      module: StoreModule,
      imports: [TypeOrmModule.forRoot({ ...dataSourceOptions(database, driver), retryAttempts: 0 })],
      providers: [
        Writer,
        Live,
        ClosingTime,
        {
          provide: Footing,
          // Not before the database is open: it is made where there is none.
          inject: [DataSource],
          useFactory: () => {
            const footing = new Footing([dirname(database), database]);
            footing.take();
            return footing;
          },
        },
        { provide: Acknowledged, useFactory: () => new Acknowledged(dirname(database)) },
        {
          provide: Backroom,
          inject: [SERVING],
          useFactory: ({ backroom, reading }: Serving) => new Backroom(database, backroom, reading),
        },
        {
          provide: Works,
          inject: [Live],
          useFactory: (live: Live) => new Works(join(dirname(database), 'works'), live),
        },
      ],
      exports: shared,
    };
  }
}
