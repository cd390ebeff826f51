import { Module, type DynamicModule } from '@nestjs/common';
import { LoggerModule } from 'nestjs-pino';
import { destination } from 'pino';
import { AccountsModule } from './accounts/accounts.module.js';
import { DatabaseModule } from './database/database.module.js';
import { ExportsModule } from './exports/exports.module.js';
import { HealthModule } from './health/health.controller.js';
import { JobsModule } from './jobs/jobs.module.js';
import { RecordsModule } from './records/records.module.js';
import { SETTINGS, type Settings } from './settings.js';
import { ThrottleModule } from './throttle/throttle.service.js';
import { WorkersModule } from './workers/workers.module.js';
import { UnitsModule } from './units/units.module.js';
import { YardsModule } from './yards/yards.module.js';

const watched = ({ logLevel }: Settings): boolean => ['debug', 'trace'].includes(logLevel);

@Module({})
export class AppModule {
  static with(settings: Settings): DynamicModule {
    return {
      module: AppModule,
      global: true,
      imports: [
        LoggerModule.forRoot({
          // Each request has a logger of its own only where somebody looks for it: it costs every one of them.
          ...(watched(settings) ? {} : { forRoutes: [] }),
          pinoHttp: {
            level: settings.logLevel,
            ...(settings.logFile === null
              ? {}
              : { stream: destination({ dest: settings.logFile, append: true, mkdir: true }) }),
            autoLogging: watched(settings),
            // Cookies and bodies never reach the log.
            redact: ['req.headers.cookie', 'res.headers["set-cookie"]'],
            serializers: {
              req: (r: { id: unknown; method: string; url: string }) => ({
                id: r.id,
                method: r.method,
                url: r.url,
              }),
            },
          },
        }),
        DatabaseModule,
        ThrottleModule,
        WorkersModule,
        AccountsModule,
        JobsModule,
        RecordsModule,
        ExportsModule,
        UnitsModule,
        YardsModule,
        HealthModule,
      ],
      providers: [{ provide: SETTINGS, useValue: settings }],
      exports: [SETTINGS],
    };
  }
}
