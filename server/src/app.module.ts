import { Global, Module, type DynamicModule } from '@nestjs/common';
import { ServeStaticModule } from '@nestjs/serve-static';
import { TypeOrmModule } from '@nestjs/typeorm';
import { dataSourceOptions } from './database/data-source.js';
import { HealthModule } from './health/health.module.js';
import { JobsModule } from './jobs/jobs.module.js';
import { LibraryModule } from './library/library.module.js';
import { PhotosModule } from './photos/photos.module.js';
import { SERVING, type Serving } from './serving.js';
import { ShopModule } from './shop/shop.module.js';
import { TransferModule } from './transfer/transfer.module.js';

@Global()
@Module({})
export class AppModule {
  static for(serving: Serving): DynamicModule {
    const pages = serving.pages
      ? [ServeStaticModule.forRoot({ rootPath: serving.pages, exclude: ['/api/{*splat}'] })]
      : [];
    return {
      module: AppModule,
      imports: [
        TypeOrmModule.forRoot({ ...dataSourceOptions(serving.database), retryAttempts: 0 }),
        HealthModule,
        JobsModule,
        LibraryModule,
        TransferModule,
        PhotosModule,
        ShopModule,
        ...pages,
      ],
      providers: [{ provide: SERVING, useValue: serving }],
      exports: [SERVING],
    };
  }
}
